<?php

declare(strict_types=1);

namespace App\Sessions\Watch;

use App\Models\Canvas;
use App\Models\Prompt;
use App\Models\Seat;
use App\Sessions\Room\EachSeat;
use Crag\Maths\Comparing\Outcome;
use Crag\Practice\PracticeSheet;
use Illuminate\Support\Collection;

/** How many of a practice sheet's tasks are right on each canvas. */
final class PracticeWork
{
    /** @var array<string, array{string, ?array{int, int}}> by canvas: what it was worked out of, and what came of it */
    private static array $known = [];

    private const MOST_KNOWN = 2000;

    /**
     * @param  Collection<int, Seat>  $seats
     * @param  Collection<array-key, Canvas>  $canvases  by seat
     * @return array<string, array{int, int}> those right and all, by seat
     */
    public static function on(Prompt $prompt, Collection $seats, Collection $canvases): array
    {
        $practice = $prompt->value()->practice;
        if ($practice === null) {
            return [];
        }
        if (count(self::$known) > self::MOST_KNOWN) {
            self::$known = [];
        }
        $of = md5(serialize($practice->toArray()));
        $right = [];
        foreach ($seats as $seat) {
            $canvas = $canvases->get($seat->id);
            if ($canvas === null) {
                continue;
            }
            // Sixty answers are compared once for each time that the canvas changed, not for each time a desk asks.
            $key = "{$of}:{$canvas->operation_count}:{$seat->n}";
            if ((self::$known[$canvas->id][0] ?? null) !== $key) {
                $n = EachSeat::read(
                    $seat->id,
                    static fn (): int => self::right($prompt, $seat, $canvas),
                    static fn (): null => null,
                );
                $all = $practice->isStepwise() ? $practice->row : $practice->n;
                self::$known[$canvas->id] = [$key, $n === null ? null : [$n, $all]];
            }
            $right[$seat->id] = self::$known[$canvas->id][1];
        }

        return array_filter($right);
    }

    private static function right(Prompt $prompt, Seat $seat, Canvas $canvas): int
    {
        $course = $prompt->courseOf($seat);
        if ($course !== null) {
            return $course->inRow;
        }
        $scene = $canvas->scene();
        $right = 0;
        foreach ($prompt->forSeat($seat)->questions as $question) {
            if (PracticeSheet::isTask($question)) {
                $answer = $scene->answerTo($question);
                $right += $answer !== null && $question->compare($answer)?->outcome === Outcome::Right ? 1 : 0;
            }
        }

        return $right;
    }
}
