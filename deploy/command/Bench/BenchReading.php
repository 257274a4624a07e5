<?php

declare(strict_types=1);

namespace Deploy\Bench;

use Crag\Handwriting\Made\Trial;
use Deploy\Console;

/** How well, and how fast, handwriting is read: in made-up hands and of forms that nothing was trained on. */
final readonly class BenchReading
{
    private const SEED = 50_000;

    private const MOST_SLIPS = 25;

    public function __construct(private int $hands)
    {
    }

    /** @return array<string, mixed> */
    public function measure(): array
    {
        Console::step("Signs in {$this->hands} hands");
        $signs = Trial::signs($this->hands, self::SEED);
        Console::step('Lines');
        $lines = Trial::lines($this->hands, self::SEED);
        $kinds = array_map(static fn (float $right): float => round($right, 3), $lines['kinds']);

        return [
            'hands' => $this->hands,
            'signs' => $signs['signs'],
            'signs_right' => round($signs['right'], 4),
            'confused' => array_slice($signs['confused'], 0, self::MOST_SLIPS),
            'lines' => $lines['lines'],
            'lines_right' => round($lines['right'], 4),
            'sure' => round($lines['sure'], 4),
            'sure_but_wrong' => round($lines['sure_wrong'], 4),
            'kinds' => $kinds,
            'below_80_percent' => array_keys(array_filter($kinds, static fn (float $right): bool => $right < 0.8)),
            'ms' => Quantiles::of($lines['ms'], 50, 95),
            'slips' => array_map(
                static fn (array $one): string => "{$one[0]} as {$one[1]}",
                array_slice($lines['slips'], 0, self::MOST_SLIPS),
            ),
        ];
    }
}
