<?php

declare(strict_types=1);

namespace Crag\Construct;

use Crag\Construct\Figure\Label;
use Crag\Construct\Figure\MeasureUnit;

/** A measure in words: rounded as one reads it, with its unit. */
final class Written
{
    /**
     * @param  float  $per  units of the page in one of the unit
     * @param  string  $unit  of lengths; empty for plain numbers
     */
    public static function label(Label $label, float $per, string $unit): string
    {
        return match ($label->unit) {
            MeasureUnit::Length => trim(self::number($label->value / $per, 1).' '.$unit),
            MeasureUnit::Area => trim(
                self::number($label->value / $per ** 2, 1).($unit === '' ? '' : " {$unit}²"),
            ),
            MeasureUnit::Degrees => self::number($label->value, 1).'°',
            MeasureUnit::Number => self::number($label->value, 2),
        };
    }

    /** Without needless zeros, with a minus sign as it is printed; half is rounded up, as a browser does it. */
    private static function number(float $value, int $places): string
    {
        $power = 10 ** $places;
        $rounded = floor(abs($value) * $power + 0.5);
        $whole = intdiv((int) $rounded, $power);
        $rest = (int) $rounded % $power;
        $decimals = $rest === 0 ? '' : '.'.rtrim(str_pad((string) $rest, $places, '0', STR_PAD_LEFT), '0');

        return ($value < 0 && $rounded > 0 ? '−' : '').$whole.$decimals;
    }
}
