<?php

declare(strict_types=1);

namespace Crag\Render;

use Crag\Prompt\Page;
use Crag\Prompt\Values\Range;

/** A number line across the middle of the page; its steps may be cut into equal parts, labelled as fractions. */
final class NumberLineSvg
{
    private const COLOUR = '#4a5a64';

    private const MARGIN = 90;

    private const Y = Page::HEIGHT / 2;

    private const MOST_LABELS = 25;

    public static function draw(Range $line, int $parts): string
    {
        $x = static fn (float $value): float => self::MARGIN +
            (($value - $line->from) / ($line->to - $line->from)) * (Page::WIDTH - 2 * self::MARGIN);
        $every = $line->labelEvery(self::MOST_LABELS);
        $path =
            'M'.(self::MARGIN - 40).' '.self::Y.'H'.(Page::WIDTH - self::MARGIN + 40).'m-14 -8l14 8l-14 8';
        $written = '';
        $few = count($line->ticks()) * $parts <= self::MOST_LABELS;
        foreach ($line->ticks() as $tick) {
            $path .= self::tick($x($tick), 16);
            $n = (int) round($tick / $line->step);
            $written .= $n % $every === 0 ? self::write($x($tick), self::Y + 50, Numbers::plain($tick), 26) : '';
            for ($part = 1; $part < $parts; $part++) {
                $value = $tick + ($line->step * $part) / $parts;
                if ($value < $line->to) {
                    $path .= self::tick($x($value), 9);
                    $written .= $few ? self::fraction($x($value), $part, $parts) : '';
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

    private static function tick(float $x, int $half): string
    {
        return 'M'.Xml::number($x).' '.(self::Y - $half).'v'. 2 * $half;
    }

    /** In lowest terms, numerator over denominator, above the line. */
    private static function fraction(float $x, int $part, int $parts): string
    {
        $common = Numbers::commonFactor($part, $parts);
        $bar = Xml::element('path', [
            'd' => 'M'.Xml::number($x - 10).' '.(self::Y - 47).'h20',
            'stroke' => self::COLOUR,
            'stroke-width' => 1.5,
        ]);

        return self::write($x, self::Y - 53, (string) intdiv($part, $common), 18).
            $bar.
            self::write($x, self::Y - 28, (string) intdiv($parts, $common), 18);
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
