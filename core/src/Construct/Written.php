<?php

declare(strict_types=1);

namespace Crag\Construct;

use Crag\Construct\Figure\Label;
use Crag\Construct\Figure\MeasureUnit;

/** A measure in words: exact where that is known, else rounded as one reads it. */
final class Written
{
    public static function label(Label $label, Scale $scale): string
    {
        if ($label->exact !== '') {
            return $label->exact;
        }
        $unit = $scale->unit();

        return match ($label->unit) {
            MeasureUnit::Length => trim(self::number($label->value, 1).' '.$unit),
            MeasureUnit::Area => trim(self::number($label->value, 1).($unit === '' ? '' : " {$unit}²")),
            MeasureUnit::Degrees => self::number($label->value, 1).'°',
            MeasureUnit::Number => self::number($label->value, 2),
            MeasureUnit::Place => '('.self::number($label->value, 2).', '.self::number($label->second, 2).')',
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
