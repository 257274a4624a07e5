<?php

declare(strict_types=1);

namespace Crag\Watch;

use Random\Randomizer;

/**
 * A fair random student. Everybody who is there comes round before anyone comes twice: the draw is among those who were
 * picked least often, and not the one who was picked last unless there is nobody else. Whoever is away keeps the own
 * turn.
 */
final class Pick
{
    /**
     * Among whom the next draw is.
     *
     * @param  list<string>  $present  seats that can be picked
     * @param  list<string>  $before  the seats picked so far, the last one last, without those that were undone
     * @return list<string> none only where nobody is present
     */
    public static function among(array $present, array $before): array
    {
        if ($present === []) {
            return [];
        }
        $times = array_count_values($before);
        $least = min(array_map(static fn (string $seat): int => $times[$seat] ?? 0, $present));
        $next = array_values(array_filter($present, static fn (string $seat): bool => ($times[$seat] ?? 0) === $least));
        $others = array_values(array_diff($next, array_slice($before, -1)));

        return $others === [] ? $next : $others;
    }

    /**
     * @param  list<string>  $present
     * @param  list<string>  $before
     */
    public static function draw(array $present, array $before, Randomizer $randomizer): ?string
    {
        $among = self::among($present, $before);

        return $among === [] ? null : $among[$randomizer->getInt(0, count($among) - 1)];
    }
}
