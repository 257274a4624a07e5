<?php

declare(strict_types=1);

namespace Crag\Render;

use Crag\Prompt\Backdrop\Axes;
use Crag\Prompt\Paper;
use Crag\Prompt\Values\Range;

/** Two axes with their grid, numbers and labels, over the whole page. */
final class AxesSvg
{
    /** Between the grid and the page's edges, in units; resources/ts/canvas/model/snap.ts snaps to the same grid. */
    public const MARGIN = 70;

    private const AXIS = '#4a5a64';

    private const MOST_LABELS = 25;

    public static function draw(Axes $axes, Paper $paper): string
    {
        [$left, $right, $top, $bottom] = self::frame($axes, $paper);
        $x = static fn (float $value): float => self::along($axes->x, $value, $left, $right);
        $y = static fn (float $value): float => self::along($axes->y, $value, $bottom, $top);
        // An axis whose zero lies outside the range stands at the nearest edge.
        $originX = $x(max($axes->x->from, min($axes->x->to, 0.0)));
        $originY = $y(max($axes->y->from, min($axes->y->to, 0.0)));

        return self::grid($axes, $x, $y, [$left, $right, $top, $bottom]).
            self::axes($originX, $originY, [$left, $right, $top, $bottom]).
            self::numbers($axes->x, static fn (float $value): array => [$x($value), $originY + 24, 'middle']).
            self::numbers($axes->y, static fn (float $value): array => [$originX - 10, $y($value) + 6, 'end']).
            self::write($right + 12, $originY - 14, $axes->xLabel, 'end', 24).
            self::write($originX + 16, $top - 34, $axes->yLabel, 'start', 24);
    }

    /**
     * @return array{float, float, float, float} left, right, top and bottom of the grid: in the middle of the page
     *      where both scales are the same
     */
    private static function frame(Axes $axes, Paper $paper): array
    {
        $width = $paper->width - 2 * self::MARGIN;
        $height = $paper->height - 2 * self::MARGIN;
        if ($axes->isEqual) {
            $across = $axes->x->to - $axes->x->from;
            $up = $axes->y->to - $axes->y->from;
            $unit = min($width / $across, $height / $up);
            [$width, $height] = [$unit * $across, $unit * $up];
        }

        return [
            ($paper->width - $width) / 2,
            ($paper->width + $width) / 2,
            ($paper->height - $height) / 2,
            ($paper->height + $height) / 2,
        ];
    }

    private static function along(Range $range, float $value, float $first, float $last): float
    {
        return $first + (($value - $range->from) / ($range->to - $range->from)) * ($last - $first);
    }

    /**
     * @param  callable(float): float  $x
     * @param  callable(float): float  $y
     * @param  array{float, float, float, float}  $frame
     */
    private static function grid(Axes $axes, callable $x, callable $y, array $frame): string
    {
        [$left, $right, $top, $bottom] = array_map(Xml::number(...), $frame);
        $path = '';
        foreach ($axes->x->ticks() as $tick) {
            $path .= 'M'.Xml::number($x($tick))." {$top}V{$bottom}";
        }
        foreach ($axes->y->ticks() as $tick) {
            $path .= "M{$left} ".Xml::number($y($tick))."H{$right}";
        }

        return Xml::element('path', [
            'd' => $path,
            'stroke' => BackdropSvg::LINE,
            'stroke-width' => 1.5,
            'fill' => 'none',
        ]);
    }

    /** @param  array{float, float, float, float}  $frame */
    private static function axes(float $originX, float $originY, array $frame): string
    {
        [$left, $right, $top, $bottom] = $frame;
        [$x, $y] = [Xml::number($originX), Xml::number($originY)];
        $path =
            'M'.
            Xml::number($left - 12).
            " {$y}H".
            Xml::number($right + 24).
            'm-14 -7l14 7l-14 7'.
            "M{$x} ".
            Xml::number($bottom + 12).
            'V'.
            Xml::number($top - 24).
            'm-7 14l7 -14l7 14';

        return Xml::element('path', [
            'd' => $path,
            'stroke' => self::AXIS,
            'stroke-width' => 2.5,
            'fill' => 'none',
            'stroke-linejoin' => 'round',
        ]);
    }

    /** @param  callable(float): array{float, float, string}  $at  x, y and anchor of a number */
    private static function numbers(Range $range, callable $at): string
    {
        $every = $range->labelEvery(self::MOST_LABELS);
        $written = '';
        foreach ($range->ticks() as $tick) {
            $n = (int) round($tick / $range->step);
            if ($n !== 0 && $n % $every === 0) {
                [$x, $y, $anchor] = $at($tick);
                $written .= self::write($x, $y, Numbers::plain($tick), $anchor);
            }
        }

        return $written;
    }

    private static function write(float $x, float $y, string $text, string $anchor, int $size = 19): string
    {
        return Xml::words($x, $y, $size, $text, [
            'text-anchor' => $anchor,
            'fill' => self::AXIS,
            'text-rendering' => 'geometricPrecision',
        ]);
    }
}
