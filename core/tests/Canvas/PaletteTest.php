<?php

declare(strict_types=1);

namespace Crag\Tests\Canvas;

use Crag\Canvas\Drawing\Palette;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class PaletteTest extends TestCase
{
    /** How linear red, green and blue are seen, after Machado, Oliveira and Fernandes (2009), severity 1. */
    private const EYES = [
        'as most do' => [[1, 0, 0], [0, 1, 0], [0, 0, 1]],
        'protanopia' => [
            [0.152286, 1.052583, -0.204868],
            [0.114503, 0.786281, 0.099216],
            [-0.003882, -0.048116, 1.051998],
        ],
        'deuteranopia' => [
            [0.367322, 0.860646, -0.227968],
            [0.280085, 0.672501, 0.047413],
            [-0.01182, 0.04294, 0.968881],
        ],
        'tritanopia' => [
            [1.255528, -0.076749, -0.178779],
            [-0.078411, 0.930809, 0.147602],
            [0.004733, 0.691367, 0.3039],
        ],
    ];

    /** @return iterable<string, array{list<list<float|int>>}> */
    public static function eyes(): iterable
    {
        foreach (self::EYES as $name => $matrix) {
            yield $name => [$matrix];
        }
    }

    /** @param  list<list<float|int>>  $eye */
    #[DataProvider('eyes')]
    public function test_no_two_pens_look_alike(array $eye): void
    {
        $seen = array_map(static fn (string $hex): array => self::lab($hex, $eye), Palette::PENS);
        self::assertGreaterThanOrEqual(8, count($seen));
        foreach ($seen as $a => $one) {
            foreach ($seen as $b => $other) {
                if ($a < $b) {
                    $distance = sqrt(
                        ($one[0] - $other[0]) ** 2 + ($one[1] - $other[1]) ** 2 + ($one[2] - $other[2]) ** 2,
                    );
                    self::assertGreaterThan(15, $distance, "{$a} and {$b}");
                }
            }
        }
    }

    /**
     * CIE 1976 L*a*b*, D65.
     *
     * @param  list<list<float|int>>  $eye
     * @return array{float, float, float}
     */
    private static function lab(string $hex, array $eye): array
    {
        $linear = array_map(
            static function (int $from) use ($hex): float {
                $value = hexdec(substr($hex, $from, 2)) / 255;

                return $value <= 0.04045 ? $value / 12.92 : (($value + 0.055) / 1.055) ** 2.4;
            },
            [1, 3, 5],
        );
        [$r, $g, $b] = array_map(
            static fn (array $row): float => max(
                0.0,
                min(1.0, $row[0] * $linear[0] + $row[1] * $linear[1] + $row[2] * $linear[2]),
            ),
            $eye,
        );
        $f = static fn (float $t): float => $t > 0.008856 ? $t ** (1 / 3) : 7.787 * $t + 16 / 116;
        [$x, $y, $z] = [
            $f((0.4124 * $r + 0.3576 * $g + 0.1805 * $b) / 0.95047),
            $f(0.2126 * $r + 0.7152 * $g + 0.0722 * $b),
            $f((0.0193 * $r + 0.1192 * $g + 0.9505 * $b) / 1.08883),
        ];

        return [116 * $y - 16, 500 * ($x - $y), 200 * ($y - $z)];
    }
}
