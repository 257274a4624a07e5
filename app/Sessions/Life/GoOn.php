<?php

declare(strict_types=1);

namespace App\Sessions\Life;

use App\Models\Asset;
use App\Models\LiveSession;
use App\Models\Prompt;
use App\Models\Teachers\Teacher;
use Crag\Json\Fields;
use Crag\Plan\PromptPages;
use Crag\Prompt\Backdrop\Backdrop;
use Crag\Session\Room\PromptState;
use Illuminate\Support\Facades\DB;

/**
 * A new session that goes on from an earlier one: its plan, class, prompts, settings and groups; canvases carried on,
 * or empty.
 */
final readonly class GoOn
{
    public function __construct(private StartSession $start)
    {
    }

    public function __invoke(Teacher $teacher, LiveSession $from, bool $isCarried): LiveSession
    {
        return DB::transaction(function () use ($teacher, $from, $isCarried): LiveSession {
            $session = $this->start->empty(
                $teacher,
                $from->only(['title', 'plan_id', 'roster_id', 'tray', 'settings', 'keep_days']) + [
                    'carries_on_id' => $from->id,
                ],
            );
            foreach ($from->prompts()->get() as $prompt) {
                $copies = self::pictures($prompt, $session);
                $new = Prompt::query()->create(
                    ['live_session_id' => $session->id, 'carries_prompt_id' => $isCarried ? $prompt->id : null] +
                        $prompt->only(['n', 'source_id', 'words', 'tray', 'reads_at_once', 'details']) + [
                            'backdrop' => Backdrop::read(
                                new Fields(self::renamed($prompt->backdrop->toArray(), $copies), true),
                            ),
                            'pages' => $prompt->pages === null
                                ? null
                                : PromptPages::read(self::renamed($prompt->pages->toArray(), $copies), true),
                        ],
                );
                $session->prompt_id ??= $new->id;
            }
            $session->save();
            $session->prompt()->update(['state' => PromptState::Open]);

            return $session;
        });
    }

    /** @return array<string, string> */
    private static function pictures(Prompt $prompt, LiveSession $session): array
    {
        $json = json_encode(
            [$prompt->backdrop->toArray(), $prompt->pages?->toArray(), $prompt->details], JSON_THROW_ON_ERROR);
        $copies = [];
        foreach (
            Asset::query()->where('live_session_id', $prompt->live_session_id)->whereNull('seat_id')->get() as $asset
        ) {
            if (str_contains($json, $asset->id)) {
                $copies[$asset->id] = $asset->copyTo($session)->id;
            }
        }

        return $copies;
    }

    /**
     * @param  array<array-key, mixed>  $json
     * @param  array<string, string>  $copies
     * @return array<array-key, mixed>
     */
    private static function renamed(array $json, array $copies): array
    {
        return (array) json_decode(
            strtr(
                json_encode($json, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_PRESERVE_ZERO_FRACTION),
                $copies,
            ),
            true,
            flags: JSON_THROW_ON_ERROR,
        );
    }
}
