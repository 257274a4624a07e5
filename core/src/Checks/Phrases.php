<?php

declare(strict_types=1);

namespace Crag\Checks;

/** The phrases that are offered for a note on one prompt, the most used there first. */
final readonly class Phrases
{
    public const MOST = 12;

    /** A note that was written so often is offered though nobody kept it. */
    private const OFTEN = 2;

    /**
     * @param  list<string>  $kept  the teacher's own, in their order
     * @param  array<array-key, int>  $uses  how often each note was given on this prompt
     * @param  list<string>  $before  as they were offered a moment ago: their places do not change under the fingers
     * @return list<string>
     */
    public static function inOrder(array $kept, array $uses, array $before = []): array
    {
        $often = array_filter($uses, static fn (int $n): bool => $n >= self::OFTEN);
        $offered = array_values(array_unique([...$kept, ...array_map(strval(...), array_keys($often))]));
        $place = array_flip($before);
        $rank = array_flip($offered);
        usort($offered, static fn (string $a, string $b): int => [
            $place[$a] ?? PHP_INT_MAX,
            -($uses[$a] ?? 0),
            $rank[$a],
        ] <=> [
            $place[$b] ?? PHP_INT_MAX,
            -($uses[$b] ?? 0),
            $rank[$b],
        ]);

        return array_slice($offered, 0, self::MOST);
    }
}
