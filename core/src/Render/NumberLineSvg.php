<?php

declare(strict_types=1);

namespace Crag\Render;

use Crag\Prompt\Paper;
use Crag\Prompt\Values\Range;

/** A number line across the middle of the page; its steps may be cut into equal parts, labelled as fractions. */
final class NumberLineSvg
{
    private const COLOUR = '#4a5a64';

    private const MARGIN = 90;

    private const MOST_LABELS = 25;

    public static function draw(Range $line, int $parts, Paper $paper): string
    {
        $middle = $paper->height / 2;
        $x = static fn (float $value): float => self::MARGIN +
            (($value - $line->from) / ($line->to - $line->from)) * ($paper->width - 2 * self::MARGIN);
        $every = $line->labelEvery(self::MOST_LABELS);
        $path =
            'M'.(self::MARGIN - 40)." {$middle}H".($paper->width - self::MARGIN + 40).'m-14 -8l14 8l-14 8';
        $written = '';
        $few = count($line->ticks()) * $parts <= self::MOST_LABELS;
        foreach ($line->ticks() as $tick) {
            $path .= self::tick($x($tick), $middle, 16);
            $n = (int) round($tick / $line->step);
            $written .= $n % $every === 0 ? self::write($x($tick), $middle + 50, Numbers::plain($tick), 26) : '';
            for ($part = 1; $part < $parts; $part++) {
                $value = $tick + ($line->step * $part) / $parts;
                if ($value < $line->to) {
                    $path .= self::tick($x($value), $middle, 9);
                    $written .= $few ? self::fraction($x($value), $middle, $part, $parts) : '';
                }
            }
        }

        return Xml::element('path', [
            'd' => $path,
            'stroke' => self::COLOUR,
            'stroke-width' => 2.5,
            'fill' => 'none',
            'stroke-linejoin' => 'round',
        ]).$written;
    }

    private static function tick(float $x, float $middle, int $half): string
    {
        return 'M'.Xml::number($x).' '.Xml::number($middle - $half).'v'. 2 * $half;
    }

    /** In lowest terms, numerator over denominator, above the line. */
    private static function fraction(float $x, float $middle, int $part, int $parts): string
    {
        $common = Numbers::commonFactor($part, $parts);
        $bar = Xml::element('path', [
            'd' => 'M'.Xml::number($x - 10).' '.Xml::number($middle - 47).'h20',
            'stroke' => self::COLOUR,
            'stroke-width' => 1.5,
        ]);

        return self::write($x, $middle - 53, (string) intdiv($part, $common), 18).
            $bar.
            self::write($x, $middle - 28, (string) intdiv($parts, $common), 18);
    }

    private static function write(float $x, float $y, string $text, int $size): string
    {
        return Xml::words($x, $y, $size, $text, [
            'text-anchor' => 'middle',
            'fill' => self::COLOUR,
            'text-rendering' => 'geometricPrecision',
        ]);
    }
}
