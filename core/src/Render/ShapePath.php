<?php

declare(strict_types=1);

namespace Crag\Render;

use Crag\Canvas\Object\BoxShape;
use Crag\Canvas\Object\PointShape;
use Crag\Canvas\Object\ShapeLook;
use Crag\Prompt\Paper;

/** The outline of a shape as SVG path data in units. resources/ts/canvas/drawing/shapes.ts draws the same. */
final class ShapePath
{
    /** How far an arrow's head reaches back along it, in line widths, at least and beside the width. */
    private const HEAD = 4.0;

    private const HEAD_LEAST = 14.0;

    /** What a thin line's dashes are long, beside their share of its width. */
    private const DASH = 6.0;

    /** Of a circle's quarter, the share of the radius at which a cubic's control points stand. */
    private const ROUND = 0.5522847498;

    public static function box(BoxShape $shape): string
    {
        [$x, $y, $w, $h] = [
            $shape->x / Paper::TENTHS,
            $shape->y / Paper::TENTHS,
            $shape->w / Paper::TENTHS,
            $shape->h / Paper::TENTHS,
        ];

        return match ($shape->type) {
            'line', 'arrow' => self::path('M', $x, $y, 'L', $x + $w, $y + $h),
            'rectangle' => self::path('M', $x, $y, 'L', $x + $w, $y, 'L', $x + $w, $y + $h, 'L', $x, $y + $h, 'Z'),
            'triangle' => self::path('M', $x + $w / 2, $y, 'L', $x + $w, $y + $h, 'L', $x, $y + $h, 'Z'),
            default => self::ellipse($x + $w / 2, $y + $h / 2, $w / 2, $h / 2),
        };
    }

    public static function points(PointShape $shape): string
    {
        $points = self::pairs($shape);

        return $shape->type === 'polygon' ? self::polygon($points) : self::curve($points);
    }

    /** The heads of a line or an arrow; empty where it has none. */
    public static function boxHeads(BoxShape $shape): string
    {
        $from = [$shape->x / Paper::TENTHS, $shape->y / Paper::TENTHS];
        $to = [($shape->x + $shape->w) / Paper::TENTHS, ($shape->y + $shape->h) / Paper::TENTHS];

        return self::heads([$from, $to], $shape->look);
    }

    /** The heads of a curve; empty where it has none. It comes to its ends from the points beside them. */
    public static function pointHeads(PointShape $shape): string
    {
        return self::heads(self::pairs($shape), $shape->look);
    }

    /** @return list<float> lengths of dashes and gaps, in units; none for an even line. Ends are round. */
    public static function dashes(ShapeLook $look): array
    {
        $width = $look->width / Paper::TENTHS;

        return match ($look->line) {
            'dashed' => [3 * $width + self::DASH, 2.5 * $width + self::DASH],
            'dotted' => [0.01, 2 * $width + self::DASH / 3],
            default => [],
        };
    }

    /** @param  list<array{float, float}>  $points */
    private static function heads(array $points, ShapeLook $look): string
    {
        $last = count($points) - 1;
        $width = $look->width / Paper::TENTHS;

        return ($look->hasHeadAtStart() ? self::head($points[0], $points[1], $width) : '').
            ($look->hasHeadAtEnd() ? self::head($points[$last], $points[$last - 1], $width) : '');
    }

    /** @return list<array{float, float}> */
    private static function pairs(PointShape $shape): array
    {
        return array_map(
            static fn (array $point): array => [$point[0] / Paper::TENTHS, $point[1] / Paper::TENTHS],
            array_chunk($shape->points, 2),
        );
    }

    /** @param  list<array{float, float}>  $points */
    private static function polygon(array $points): string
    {
        $path = '';
        foreach ($points as $i => [$x, $y]) {
            $path .= self::path($i === 0 ? 'M' : 'L', $x, $y);
        }

        return $path.'Z';
    }

    /**
     * Smooth through every point: between two of them a cubic whose control points lie a sixth of the way that the
     * neighbours span (a Catmull-Rom spline).
     *
     * @param  list<array{float, float}>  $points
     */
    private static function curve(array $points): string
    {
        $path = self::path('M', ...$points[0]);
        $last = count($points) - 1;
        for ($i = 0; $i < $last; $i++) {
            $before = $points[max(0, $i - 1)];
            [$from, $to] = [$points[$i], $points[$i + 1]];
            $after = $points[min($last, $i + 2)];
            $path .= self::path(
                'C',
                $from[0] + ($to[0] - $before[0]) / 6,
                $from[1] + ($to[1] - $before[1]) / 6,
                $to[0] - ($after[0] - $from[0]) / 6,
                $to[1] - ($after[1] - $from[1]) / 6,
                $to[0],
                $to[1],
            );
        }

        return $path;
    }

    /**
     * @param  array{float, float}  $tip
     * @param  array{float, float}  $from  where the line comes from
     */
    private static function head(array $tip, array $from, float $width): string
    {
        [$x, $y] = $tip;
        [$w, $h] = [$x - $from[0], $y - $from[1]];
        $length = hypot($w, $h);
        if ($length === 0.0) {
            return '';
        }
        $reach = min($length, self::HEAD_LEAST + self::HEAD * $width);
        [$dx, $dy] = [($w / $length) * $reach, ($h / $length) * $reach];

        return self::path(
            'M',
            $x - $dx - $dy / 2,
            $y - $dy + $dx / 2,
            'L',
            $x,
            $y,
            'L',
            $x - $dx + $dy / 2,
            $y - $dy - $dx / 2,
        );
    }

    private static function ellipse(float $x, float $y, float $rx, float $ry): string
    {
        [$kx, $ky] = [$rx * self::ROUND, $ry * self::ROUND];

        return self::path('M', $x + $rx, $y).
            self::path('C', $x + $rx, $y + $ky, $x + $kx, $y + $ry, $x, $y + $ry).
            self::path('C', $x - $kx, $y + $ry, $x - $rx, $y + $ky, $x - $rx, $y).
            self::path('C', $x - $rx, $y - $ky, $x - $kx, $y - $ry, $x, $y - $ry).
            self::path('C', $x + $kx, $y - $ry, $x + $rx, $y - $ky, $x + $rx, $y, 'Z');
    }

    private static function path(string|float ...$parts): string
    {
        $path = '';
        foreach ($parts as $part) {
            $letter = is_string($part);
            $path .=
                ($path === '' || $letter || ctype_alpha($path[-1]) ? '' : ' ').($letter ? $part : Xml::number($part));
        }

        return $path;
    }
}
