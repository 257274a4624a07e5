<?php

declare(strict_types=1);

namespace Crag\Construct;

use Crag\Construct\Figure\Arc;
use Crag\Construct\Figure\Circle;
use Crag\Construct\Figure\Figure;
use Crag\Construct\Figure\Label;
use Crag\Construct\Figure\MeasureUnit;
use Crag\Construct\Figure\Point;
use Crag\Construct\Figure\Polygon;
use Crag\Construct\Figure\Straight;

/** What is measured: its value, and where it is written. */
final class Measured
{
    /** How far beside what it measures the middle of a label stands, in units: above it, and farther at its side. */
    private const ASIDE = 26.0;

    private const WIDE = 34.0;

    /** How far beyond its mark an angle's label stands. */
    private const BEYOND = 46.0;

    /** The radius of an angle's mark, in units; smaller where a side is short. */
    private const MARK = 44.0;

    /** @param  list<Figure>  $of */
    public static function of(ElementKind $kind, array $of, Scale $scale): ?Label
    {
        $points = array_values(array_filter($of, static fn (Figure $one): bool => $one instanceof Point));
        $a = $of[0] ?? null;

        return match (true) {
            $kind === ElementKind::Length && count($points) === 2 => self::length($points[0], $points[1], $scale),
            $kind === ElementKind::Angle && count($points) === 3 => self::angle(...$points),
            $kind === ElementKind::Area && $a instanceof Polygon => self::area(
                self::middle($a),
                $a->area(),
                $scale,
            ),
            $kind === ElementKind::Area && $a instanceof Circle => self::area(
                $a->centre,
                M_PI * $a->radius ** 2,
                $scale,
            ),
            $kind === ElementKind::Slope && $a instanceof Straight => self::slope($a, $scale),
            $kind === ElementKind::Coordinates && $a instanceof Point => self::coordinates($a, $scale),
            default => null,
        };
    }

    private static function length(Point $a, Point $b, Scale $scale): Label
    {
        $way = $b->minus($a);
        $across = $way->length() < 1e-6 ? new Point(0, -1)
            : (new Point(0, 0))->plus($way->quarter(), -1 / $way->length());
        $aside = new Point($across->x * (self::ASIDE + self::WIDE * abs($across->x)), $across->y * self::ASIDE);
        $middle = $a->plus($way, 0.5);
        // Above rather than below.
        $at = $aside->y > 0 ? $middle->plus($aside, -1) : $middle->plus($aside);
        $counted = $scale->way($way);

        return new Label(
            $at,
            $counted->length(),
            MeasureUnit::Length,
            exact: $scale->isAxes ? Exact::length($counted->x, $counted->y) ?? '' : '',
        );
    }

    private static function area(Point $at, float $area, Scale $scale): Label
    {
        return new Label($at, $area / ($scale->across * $scale->up), MeasureUnit::Area);
    }

    private static function coordinates(Point $point, Scale $scale): Label
    {
        $place = $scale->place($point);

        return new Label(
            $point->plus(new Point(0, self::BEYOND - 6)),
            $place->x,
            MeasureUnit::Place,
            second: $place->y,
        );
    }

    /** From 0 to 180 degrees. */
    private static function angle(Point $a, Point $corner, Point $b): ?Label
    {
        [$p, $q] = [$a->minus($corner), $b->minus($corner)];
        if ($p->length() < 1e-6 || $q->length() < 1e-6) {
            return null;
        }
        $sweep = atan2($p->cross($q), $p->dot($q));
        $from = atan2($p->y, $p->x);
        $radius = min(self::MARK, $p->length() * 0.6, $q->length() * 0.6);
        $circle = Circle::around($corner, max(1.0, $radius));
        $way = (new Point(1, 0))->turned($from + $sweep / 2);

        return new Label(
            $corner->plus($way, $radius + self::BEYOND),
            rad2deg(abs($sweep)),
            MeasureUnit::Degrees,
            $circle === null ? null : new Arc($circle, $from, $sweep),
        );
    }

    /** Up counts, as on axes; null for what is upright. */
    private static function slope(Straight $straight, Scale $scale): ?Label
    {
        $way = $scale->way($straight->way());

        return abs($way->x) < 1e-9 ? null : new Label(
            $straight->at(0.5)->plus(new Point(self::ASIDE, -self::ASIDE)),
            $way->y / $way->x,
            MeasureUnit::Number,
            exact: $scale->isAxes ? Exact::slope($way->x, $way->y) ?? '' : '',
        );
    }

    private static function middle(Polygon $polygon): Point
    {
        $sum = new Point(0, 0);
        foreach ($polygon->corners as $corner) {
            $sum = $sum->plus($corner, 1 / count($polygon->corners));
        }

        return $sum;
    }
}
