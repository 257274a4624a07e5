<?php

declare(strict_types=1);

namespace Crag\Watch;

use Crag\Maths\Comparing\Outcome;

/**
 * Which canvases are worth a teacher's look at this moment, and why.
 *
 * - Sent with an answer that is not right: sent, and one of its answers compares as not right.
 * - Rubbing out: rubbed out, emptied or undid at least {@see WatchSettings::$rubOuts} times within {@see
 * self::RUBBING_MS},
 *   and was at work within that time.
 * - Longest without a stroke: of those who are here, have not sent and have had no stroke for
 *   {@see WatchSettings::$stillMinutes} (counted from when they could begin), the {@see self::MOST_STILL} who have
 * been still longest.
 * - The same slip: at least {@see WatchSettings::$sameSlip} students gave the same answer, and it is not right.
 * - Far ahead: has sent while at most a quarter of those who are here have, and there are at least
 *   {@see self::LEAST_CLASS}; or is two prompts or more beyond the one at which the middle of the class is.
 *
 * Whoever knocks or whose work is covered is not spoken of. Each canvas has a signal once at most of each kind.
 */
final readonly class Signals
{
    public const RUBBING_MS = 300_000;

    public const MOST_STILL = 3;

    public const LEAST_CLASS = 4;

    /** On the grid no more than so many canvases are marked at a time: five can be gone to, twelve are wallpaper. */
    public const MOST_MARKED = 5;

    private const MINUTE_MS = 60_000;

    /** @param  list<Watched>  $canvases  those that may be spoken of */
    private function __construct(
        private array $canvases,
        private AnswerGroups $answers,
        private WatchSettings $settings,
        private int $nowMs,
    ) {
    }

    /**
     * @param  iterable<Watched>  $canvases
     * @return list<Noticed> the most urgent first
     */
    public static function among(iterable $canvases, AnswerGroups $answers, WatchSettings $settings, int $nowMs): array
    {
        $spoken = [];
        foreach ($canvases as $canvas) {
            if (! ($canvas->isKnocking || $canvas->isCovered)) {
                $spoken[] = $canvas;
            }
        }
        $signals = new self($spoken, $answers, $settings, $nowMs);
        $noticed = [];
        foreach (Signal::cases() as $signal) {
            if ($settings->hears($signal)) {
                array_push(
                    $noticed,
                    ...match ($signal) {
                        Signal::SentWrong => $signals->sentWrong(),
                        Signal::RubbingOut => $signals->rubbingOut(),
                        Signal::LongStill => $signals->longStill(),
                        Signal::SameSlip => $signals->sameSlip(),
                        Signal::FarAhead => $signals->farAhead(),
                    },
                );
            }
        }

        return $noticed;
    }

    /**
     * The few that are marked on the grid, each canvas once: the first of each kind, the most urgent kind first, then
     * the second of each, and so on, so that one slip of half a class does not hide the student who is stuck.
     *
     * @param  list<Noticed>  $noticed  as {@see self::among} gives them
     * @return list<Noticed>
     */
    public static function marked(array $noticed): array
    {
        $kinds = [];
        foreach ($noticed as $one) {
            $kinds[$one->signal->value][] = $one;
        }
        $marked = [];
        for ($round = 0; $round < max([0, ...array_map(count(...), $kinds)]); $round++) {
            foreach ($kinds as $kind) {
                $one = $kind[$round] ?? null;
                if ($one !== null && count($marked) < self::MOST_MARKED) {
                    $marked[$one->seat] ??= $one;
                }
            }
        }

        return array_values($marked);
    }

    /** @return list<Noticed> */
    private function sentWrong(): array
    {
        $noticed = [];
        foreach ($this->canvases as $canvas) {
            $wrong = $canvas->sentAtMs === null ? null : $this->answers->of($canvas->seat, Outcome::Wrong)[0] ?? null;
            if ($wrong !== null) {
                $noticed[] = new Noticed(Signal::SentWrong, $canvas->seat, 'Sent :answer', [
                    'answer' => $wrong->written,
                ]);
            }
        }

        return $noticed;
    }

    /** @return list<Noticed> */
    private function rubbingOut(): array
    {
        $noticed = [];
        foreach ($this->canvases as $canvas) {
            if (
                $canvas->rubbedOut >= $this->settings->rubOuts &&
                $canvas->lastStrokeMs !== null &&
                $this->nowMs - $canvas->lastStrokeMs <= self::RUBBING_MS
            ) {
                $noticed[] = new Noticed(Signal::RubbingOut, $canvas->seat, 'Rubbed out :n times in five minutes', [
                    'n' => $canvas->rubbedOut,
                ]);
            }
        }

        return $noticed;
    }

    /** @return list<Noticed> */
    private function longStill(): array
    {
        $still = [];
        foreach ($this->canvases as $canvas) {
            $since = max($canvas->lastStrokeMs ?? 0, $canvas->givenAtMs ?? 0);
            if (
                $canvas->isHere &&
                ! $canvas->isElsewhere &&
                $canvas->sentAtMs === null &&
                $since > 0 &&
                $this->nowMs - $since >= $this->settings->stillMinutes * self::MINUTE_MS
            ) {
                $still[] = [$since, $canvas];
            }
        }
        usort($still, static fn (array $a, array $b): int => $a[0] <=> $b[0]);

        return array_map(
            fn (array $one): Noticed => new Noticed(
                Signal::LongStill,
                $one[1]->seat,
                $one[1]->lastStrokeMs === null ? 'Nothing drawn for :n min' : 'No stroke for :n min',
                ['n' => intdiv($this->nowMs - $one[0], self::MINUTE_MS)],
            ),
            array_slice($still, 0, self::MOST_STILL),
        );
    }

    /** @return list<Noticed> */
    private function sameSlip(): array
    {
        $spoken = array_flip(array_column($this->canvases, 'seat'));
        $noticed = [];
        foreach ($this->answers->groups as $group) {
            $seats = array_values(array_filter($group->seats, static fn (string $seat): bool => isset($spoken[$seat])));
            if ($group->outcome !== Outcome::Wrong || count($seats) < $this->settings->sameSlip) {
                continue;
            }
            foreach ($seats as $seat) {
                $noticed[$seat] ??= new Noticed(Signal::SameSlip, $seat, ':answer, as :n say', [
                    'answer' => $group->written,
                    'n' => count($seats),
                ]);
            }
        }

        return array_values($noticed);
    }

    /** @return list<Noticed> */
    private function farAhead(): array
    {
        $here = array_values(array_filter($this->canvases, static fn (Watched $canvas): bool => $canvas->isHere));
        if (count($here) < self::LEAST_CLASS) {
            return [];
        }
        $places = array_column($here, 'prompt');
        sort($places);
        $middle = $places[intdiv(count($places) - 1, 2)];
        $sent = count(array_filter($here, static fn (Watched $canvas): bool => $canvas->sentAtMs !== null));
        $noticed = [];
        foreach ($here as $canvas) {
            if ($canvas->prompt - $middle >= 2) {
                $noticed[] = new Noticed(
                    Signal::FarAhead,
                    $canvas->seat,
                    'At prompt :n; the middle of the class is at :middle',
                    ['n' => $canvas->prompt, 'middle' => $middle],
                );
            } elseif ($canvas->sentAtMs !== null && 4 * $sent <= count($here)) {
                $noticed[] = new Noticed(Signal::FarAhead, $canvas->seat, 'Sent; :n of :all have', [
                    'n' => $sent,
                    'all' => count($here),
                ]);
            }
        }

        return $noticed;
    }
}
