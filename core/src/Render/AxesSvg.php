<?php

declare(strict_types=1);

namespace Crag\Render;

use Crag\Canvas\Page;
use Crag\Prompt\Axes;
use Crag\Prompt\Range;

/** Two axes with their grid, numbers and labels, over the whole page. */
final class AxesSvg
{
    /** Between the grid and the page's edges, in units; resources/ts/canvas/snap.ts snaps to the same grid. */
    public const MARGIN = 70;

    private const AXIS = '#4a5a64';

    private const MOST_LABELS = 25;

    public static function draw(Axes $axes): string
    {
        $x = static fn (float $value): float => self::along($axes->x, $value, self::MARGIN, Page::WIDTH - self::MARGIN);
        $y = static fn (float $value): float => self::along($axes->y, $value, Page::HEIGHT - self::MARGIN, self::MARGIN);
        // An axis whose nought lies outside the range stands at the nearest edge.
        $originX = $x(max($axes->x->from, min($axes->x->to, 0.0)));
        $originY = $y(max($axes->y->from, min($axes->y->to, 0.0)));

        return self::grid($axes, $x, $y)
            .self::axes($originX, $originY)
            .self::numbers($axes->x, static fn (float $value): array => [$x($value), $originY + 24, 'middle'])
            .self::numbers($axes->y, static fn (float $value): array => [$originX - 10, $y($value) + 6, 'end'])
            .self::write(Page::WIDTH - self::MARGIN + 12, $originY - 14, $axes->xLabel, 'end', 24)
            .self::write($originX + 16, self::MARGIN - 34, $axes->yLabel, 'start', 24);
    }

    private static function along(Range $range, float $value, int $first, int $last): float
    {
        return $first + ($value - $range->from) / ($range->to - $range->from) * ($last - $first);
    }

    /**
     * @param  callable(float): float  $x
     * @param  callable(float): float  $y
     */
    private static function grid(Axes $axes, callable $x, callable $y): string
    {
        $path = '';
        foreach ($axes->x->ticks() as $tick) {
            $path .= 'M'.Xml::number($x($tick)).' '.self::MARGIN.'V'.(Page::HEIGHT - self::MARGIN);
        }
        foreach ($axes->y->ticks() as $tick) {
            $path .= 'M'.self::MARGIN.' '.Xml::number($y($tick)).'H'.(Page::WIDTH - self::MARGIN);
        }

        return Xml::element('path', ['d' => $path, 'stroke' => BackdropSvg::LINE, 'stroke-width' => 1.5, 'fill' => 'none']);
    }

    private static function axes(float $originX, float $originY): string
    {
        [$x, $y] = [Xml::number($originX), Xml::number($originY)];
        $right = Page::WIDTH - self::MARGIN + 24;
        $top = self::MARGIN - 24;
        $path = 'M'.(self::MARGIN - 12)." {$y}H{$right}m-14 -7l14 7l-14 7"
            ."M{$x} ".(Page::HEIGHT - self::MARGIN + 12)."V{$top}m-7 14l7 -14l7 14";

        return Xml::element('path', ['d' => $path, 'stroke' => self::AXIS, 'stroke-width' => 2.5, 'fill' => 'none', 'stroke-linejoin' => 'round']);
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
        return $text === '' ? '' : Xml::element('text', [
            'x' => $x, 'y' => $y, 'font-family' => SceneSvg::FONT, 'font-size' => $size, 'text-anchor' => $anchor, 'fill' => self::AXIS, 'text-rendering' => 'geometricPrecision',
        ], Xml::text($text));
    }
}
