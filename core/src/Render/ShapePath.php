<?php

declare(strict_types=1);

namespace Crag\Render;

use Crag\Canvas\Object\BoxShape;
use Crag\Canvas\Object\PointShape;
use Crag\Prompt\Paper;

/** The outline of a shape as SVG path data in units. resources/ts/canvas/drawing/shapes.ts draws the same. */
final class ShapePath
{
    /** How far an arrow's head reaches back along it, in line widths, at least and beside the width. */
    private const HEAD = 4.0;

    private const HEAD_LEAST = 14.0;

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
            'line' => self::path('M', $x, $y, 'L', $x + $w, $y + $h),
            'arrow' => self::path('M', $x, $y, 'L', $x + $w, $y + $h).
                self::head($x + $w, $y + $h, $w, $h, $shape->width / Paper::TENTHS),
            'rectangle' => self::path('M', $x, $y, 'L', $x + $w, $y, 'L', $x + $w, $y + $h, 'L', $x, $y + $h, 'Z'),
            'triangle' => self::path('M', $x + $w / 2, $y, 'L', $x + $w, $y + $h, 'L', $x, $y + $h, 'Z'),
            default => self::ellipse($x + $w / 2, $y + $h / 2, $w / 2, $h / 2),
        };
    }

    public static function points(PointShape $shape): string
    {
        $points = array_map(
            static fn (array $point): array => [$point[0] / Paper::TENTHS, $point[1] / Paper::TENTHS],
            array_chunk($shape->points, 2),
        );

        return $shape->type === 'polygon' ? self::polygon($points) : self::curve($points);
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

    private static function head(float $x, float $y, float $w, float $h, float $width): string
    {
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
