<?php

declare(strict_types=1);

namespace App\Sessions\Watch;

use App\Models\Canvas;
use App\Models\Prompt;
use App\Sessions\Room\EachSeat;
use Crag\Watch\Sorting;
use Illuminate\Support\Collection;

/** How many pieces lie where they belong, on each canvas of a prompt that has areas to sort into. */
final class SortedWork
{
    /** @var array<string, array{string, ?array{int, int}}> by canvas: what it was worked out of, and what came of it */
    private static array $known = [];

    private const MOST_KNOWN = 2000;

    /**
     * @param  Collection<array-key, Canvas>  $canvases  by seat
     * @return array<string, array{int, int}> right ones and all, by seat
     */
    public static function on(Prompt $prompt, Collection $canvases): array
    {
        $key = $prompt->sortingKey();
        if ($key->isEmpty()) {
            return [];
        }
        if (count(self::$known) > self::MOST_KNOWN) {
            self::$known = [];
        }
        $sorted = [];
        foreach ($canvases as $seat => $canvas) {
            // A canvas is folded once for each time that it changed, not for each time that a desk asks.
            $of = md5(serialize($key)).':'.$canvas->operation_count;
            if ((self::$known[$canvas->id][0] ?? null) !== $of) {
                $count = EachSeat::read(
                    (string) $seat,
                    static fn (): Sorting => Sorting::of($canvas->scene(), $key),
                    static fn (): null => null,
                );
                self::$known[$canvas->id] = [$of, $count === null ? null : [$count->right, $count->all]];
            }
            $found = self::$known[$canvas->id][1];
            if ($found !== null && $found[1] > 0) {
                $sorted[(string) $seat] = $found;
            }
        }

        return $sorted;
    }
}
