<?php

declare(strict_types=1);

namespace Crag\Checks;

/** A row or a column of the class picture, added up. */
final readonly class ResultTotals
{
    private function __construct(
        public LevelTally $tally,
        public int $started,
        public int $sent,
        public int $drawingMs,
        public ?float $secure,
        public ?float $points,
    ) {
    }

    /** @param  list<StudentResult>  $cells */
    public static function of(array $cells): self
    {
        $shares = array_filter(
            array_map(static fn (StudentResult $cell): ?float => $cell->secure(), $cells),
            is_float(...),
        );
        $points = array_filter(
            array_map(static fn (StudentResult $cell): ?float => $cell->points, $cells),
            is_float(...),
        );

        return new self(
            LevelTally::of(array_map(static fn (StudentResult $cell): ?Level => $cell->level, $cells)),
            count(array_filter($cells, static fn (StudentResult $cell): bool => $cell->isStarted)),
            count(array_filter($cells, static fn (StudentResult $cell): bool => $cell->isSent)),
            array_sum(array_map(static fn (StudentResult $cell): int => $cell->drawingMs, $cells)),
            // How secure: the mean of what was checked, each as a share of the highest.
            $shares === [] ? null : array_sum($shares) / count($shares),
            $points === [] ? null : array_sum($points),
        );
    }
}
