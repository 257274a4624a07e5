<?php

declare(strict_types=1);

namespace App\Sessions\Watch;

use App\Models\Canvas;
use App\Models\Prompt;
use App\Models\Seat;
use App\Sessions\Room\EachSeat;
use Crag\Plan\Task\DoneTasks;
use Illuminate\Support\Collection;

/** How many of a prompt's tasks are done on each canvas. */
final class TaskWork
{
    /** @var array<string, array{string, ?array{int, int}}> by canvas: what it was worked out of, and what came of it */
    private static array $known = [];

    private const MOST_KNOWN = 2000;

    /**
     * @param  Collection<int, Seat>  $seats
     * @param  Collection<array-key, Canvas>  $canvases  by seat
     * @return array<string, array{int, int}> those done and all, by seat
     */
    public static function on(Prompt $prompt, Collection $seats, Collection $canvases): array
    {
        $tasks = $prompt->value()->tasks;
        if ($tasks === []) {
            return [];
        }
        if (count(self::$known) > self::MOST_KNOWN) {
            self::$known = [];
        }
        $of = md5(serialize($tasks));
        $done = [];
        foreach ($seats as $seat) {
            $canvas = $canvases->get($seat->id);
            if ($canvas === null) {
                continue;
            }
            // A canvas is folded once for each time that it changed, not for each time that a desk asks.
            $isSent = $canvas->sent_at_ms !== null;
            $key = implode(':', [$of, $canvas->operation_count, (int) $isSent, (int) $seat->had_hand_up]);
            if ((self::$known[$canvas->id][0] ?? null) !== $key) {
                $n = EachSeat::read(
                    $seat->id,
                    static fn (): int => DoneTasks::of($tasks, $canvas->scene(), $seat->had_hand_up, $isSent)->count(),
                    static fn (): null => null,
                );
                self::$known[$canvas->id] = [$key, $n === null ? null : [$n, count($tasks)]];
            }
            $done[$seat->id] = self::$known[$canvas->id][1];
        }

        return array_filter($done);
    }
}
