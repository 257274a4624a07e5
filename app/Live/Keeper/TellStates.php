<?php

declare(strict_types=1);

namespace App\Live\Keeper;

use App\Live\Audience;
use App\Live\Health;
use App\Live\Publisher;
use App\Models\LiveSession;
use App\Models\Prompt;
use App\Sessions\Watch\DeskLooks;
use App\Sessions\Watch\Watching;

/**
 * Tells desks the states of the canvases that they look at: worked out when something has happened, once for all desks
 * of a session. One at a time, so that no stroke waits for long.
 */
final class TellStates
{
    /** How often it is looked whether something has happened. */
    private const LOOK_MS = 500;

    /** Between two times that the same is told. */
    private const AT_MOST_MS = 2_000;

    /** Minutes pass, and pages go away, without anything happening. */
    private const AT_LEAST_MS = 10_000;

    private int $lookedMs = 0;

    /** @var array<string, array{version: string, atMs: int}> what was told last, by session and prompt */
    private array $told = [];

    /** @var list<array{session: string, prompt: string, silent: list<string>, version: string}> */
    private array $due = [];

    public function __construct(private readonly Publisher $publisher, private readonly Watching $watching)
    {
    }

    /** @return bool whether more of them are due */
    public function __invoke(int $nowMs): bool
    {
        if ($this->due === [] && $nowMs - $this->lookedMs >= self::LOOK_MS) {
            $this->lookedMs = $nowMs;
            $this->due = $this->whereSomethingHappened($nowMs);
        }
        $next = array_shift($this->due);
        if ($next !== null) {
            $this->told["{$next['session']} {$next['prompt']}"] = ['version' => $next['version'], 'atMs' => $nowMs];
            rescue(fn () => $this->tell($next['session'], $next['prompt'], $next['silent']));
        }

        return $this->due !== [];
    }

    /** @return list<array{session: string, prompt: string, silent: list<string>, version: string}> */
    private function whereSomethingHappened(int $nowMs): array
    {
        $looks = DeskLooks::recent($nowMs);
        $names = array_map(static fn (array $one): string => "{$one['session']} {$one['prompt']}", $looks);
        $this->told = array_intersect_key($this->told, array_flip($names));

        return array_values(
            array_filter($looks, function (array $one) use ($nowMs): bool {
                $told = $this->told["{$one['session']} {$one['prompt']}"] ?? ['version' => '', 'atMs' => 0];
                $since = $nowMs - $told['atMs'];

                return $since >= self::AT_LEAST_MS ||
                    ($since >= self::AT_MOST_MS && $told['version'] !== $one['version']);
            }),
        );
    }

    /** @param  list<string>  $silent */
    private function tell(string $session, string $prompt, array $silent): void
    {
        $found = LiveSession::query()->find($session);
        $at = Prompt::query()->where('live_session_id', $session)->find($prompt);
        if ($found === null || $at === null || ! $found->isRunning()) {
            return;
        }
        $states = $this->watching->of($found, $at, $silent) + ['trouble' => Health::full()];
        $this->publisher->publish(
            Audience::deskChannel($session),
            json_encode(['stream' => 'states', 'prompt' => $prompt, 'states' => $states], JSON_THROW_ON_ERROR),
        );
    }
}
