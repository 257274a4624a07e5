<?php

declare(strict_types=1);

namespace Crag\Render;

use Crag\Canvas\Object\Stroke;
use Crag\Prompt\Paper;

/**
 * A stroke of one width as path data: through the midpoints between samples, each sample being the control point of a
 * quadratic curve; the first and the last half segment are straight.
 */
final class StrokeLine
{
    public static function of(Stroke $stroke): string
    {
        $samples = $stroke->ink->samples();
        $last = count($samples) - 1;
        $path = 'M'.self::pair(...self::at($samples[0]));
        if ($last === 0) {
            return $path.'h0.01';
        }
        $path .= 'L'.self::pair(...self::middle($samples[0], $samples[1]));
        for ($i = 1; $i < $last; $i++) {
            $path .=
                'Q'.
                self::pair(...self::at($samples[$i])).
                ' '.
                self::pair(...self::middle($samples[$i], $samples[$i + 1]));
        }

        return $path.'L'.self::pair(...self::at($samples[$last] ?? $samples[0]));
    }

    /**
     * @param  array{int, int, int, int}  $sample
     * @return array{float, float}
     */
    private static function at(array $sample): array
    {
        return [$sample[0] / Paper::TENTHS, $sample[1] / Paper::TENTHS];
    }

    /**
     * @param  array{int, int, int, int}  $a
     * @param  array{int, int, int, int}  $b
     * @return array{float, float}
     */
    private static function middle(array $a, array $b): array
    {
        return [($a[0] + $b[0]) / (2 * Paper::TENTHS), ($a[1] + $b[1]) / (2 * Paper::TENTHS)];
    }

    private static function pair(float $x, float $y): string
    {
        return Xml::number($x).' '.Xml::number($y);
    }
}
