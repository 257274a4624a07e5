<?php

declare(strict_types=1);

namespace Crag\Construct;

use Crag\Construct\Figure\Arc;
use Crag\Construct\Figure\Circle;
use Crag\Construct\Figure\Extent;
use Crag\Construct\Figure\Figure;
use Crag\Construct\Figure\Path;
use Crag\Construct\Figure\Point;
use Crag\Construct\Figure\Polygon;
use Crag\Construct\Figure\Straight;

/** What one element is, worked out from what it is made of; null where it does not exist. */
final class Worked
{
    private const TENTHS = 10;

    private const FINE = 10_000;

    /** @param  list<Figure>  $of  as the kind needs them */
    public static function out(Element $element, array $of, Scale $scale): ?Figure
    {
        $points = array_values(array_filter($of, static fn (Figure $one): bool => $one instanceof Point));
        $straight = self::first($of, Straight::class);
        $circle = self::first($of, Circle::class);

        return match ($element->kind) {
            ElementKind::Point => new Point($element->number('x') / self::TENTHS, $element->number('y') / self::TENTHS),
            ElementKind::On => self::on($of[0], $element->number('t') / self::FINE),
            ElementKind::Segment => Straight::through(Extent::Segment, ...$points),
            ElementKind::Ray => Straight::through(Extent::Ray, ...$points),
            ElementKind::Line => Straight::through(Extent::Line, ...$points),
            ElementKind::Vector => Straight::through(Extent::Vector, ...$points),
            ElementKind::Circle => Circle::around($points[0], $points[0]->distance($points[1])),
            ElementKind::Compass => Circle::around($points[0], $element->number('by') / self::TENTHS),
            ElementKind::CircleThrough => Circle::throughThree(...$points),
            ElementKind::Arc => self::arc(...$points),
            ElementKind::Polygon => $points === [] ? null : new Polygon($points),
            ElementKind::Regular => self::regular($points[0], $points[1], $element->number('n')),
            ElementKind::Midpoint => self::between($points[0], $points[1]),
            ElementKind::Perpendicular => $straight === null ? null
                : self::from($points[0], $straight->way()->quarter()),
            ElementKind::Parallel => $straight === null ? null : self::from($points[0], $straight->way()),
            ElementKind::Bisector => $points[0]->isNear($points[1]) ? null : self::from(
                self::between($points[0], $points[1]),
                $points[1]->minus($points[0])->quarter(),
            ),
            ElementKind::AngleBisector => self::angleBisector(...$points),
            ElementKind::Tangent => $circle === null ? null
                : self::tangent($points[0], $circle, $element->number('which')),
            ElementKind::Intersection => Meeting::of($of[0], $of[1], $element->number('which')),
            ElementKind::Reflection => $straight === null ? null : self::reflected($points[0], $straight),
            ElementKind::Rotation => $points[1]->plus(
                $points[0]->minus($points[1])->turned(deg2rad($element->number('by') / 100)),
            ),
            ElementKind::Translation => $points[0]->plus($points[2]->minus($points[1])),
            ElementKind::Enlargement => $points[1]->plus($points[0]->minus($points[1]), $element->number('by') / 1000),
            ElementKind::Length, ElementKind::Angle, ElementKind::Area, ElementKind::Slope,
            ElementKind::Coordinates => Measured::of($element->kind, $of, $scale),
            ElementKind::Graph => self::graph($element),
            ElementKind::Locus => null,
        };
    }

    /**
     * @template T of Figure
     *
     * @param  list<Figure>  $of
     * @param  class-string<T>  $class
     * @return ?T
     */
    private static function first(array $of, string $class): ?Figure
    {
        foreach ($of as $one) {
            if ($one instanceof $class) {
                return $one;
            }
        }

        return null;
    }

    private static function on(Figure $figure, float $t): ?Point
    {
        return match (true) {
            $figure instanceof Straight => $figure->at($figure->extent->nearest($t)),
            $figure instanceof Circle => $figure->at($t),
            default => null,
        };
    }

    private static function graph(Element $element): Path
    {
        return new Path(
            self::rows($element->pieces),
            $element->source,
            self::rows($element->fills),
            $element->isDashed,
        );
    }

    /**
     * @param  list<list<int>>  $numbers
     * @return list<non-empty-list<Point>>
     */
    private static function rows(array $numbers): array
    {
        $pieces = [];
        foreach ($numbers as $piece) {
            $points = array_map(
                static fn (array $at): Point => new Point($at[0] / self::TENTHS, ($at[1] ?? 0) / self::TENTHS),
                array_chunk($piece, 2),
            );
            if ($points !== []) {
                $pieces[] = $points;
            }
        }

        return $pieces;
    }

    private static function between(Point $a, Point $b): Point
    {
        return new Point(($a->x + $b->x) / 2, ($a->y + $b->y) / 2);
    }

    private static function from(Point $point, Point $way): ?Straight
    {
        return Straight::through(Extent::Line, $point, $point->plus($way));
    }

    private static function arc(Point $a, Point $b, Point $c): ?Arc
    {
        $circle = Circle::throughThree($a, $b, $c);
        if ($circle === null) {
            return null;
        }
        $from = $circle->along($a);
        $round = 2 * M_PI;
        $turn = static fn (float $to): float => fmod(fmod($to - $from, $round) + $round, $round);
        [$through, $end] = [$turn($circle->along($b)), $turn($circle->along($c))];

        return new Arc($circle, $from, $through <= $end ? $end : $end - $round);
    }

    /** The side goes from the first point to the second; the rest stands to its right, as somebody walks along it. */
    private static function regular(Point $a, Point $b, int $n): ?Polygon
    {
        if ($a->isNear($b)) {
            return null;
        }
        $corners = [$a, $b];
        $side = $b->minus($a);
        for ($i = 2; $i < $n; $i++) {
            $side = $side->turned(2 * M_PI / $n);
            $corners[] = $corners[$i - 1]->plus($side);
        }

        return new Polygon($corners);
    }

    private static function angleBisector(Point $a, Point $corner, Point $b): ?Straight
    {
        [$p, $q] = [$a->minus($corner), $b->minus($corner)];
        if ($p->length() < 1e-6 || $q->length() < 1e-6) {
            return null;
        }
        $way = (new Point(0, 0))->plus($p, 1 / $p->length())->plus($q, 1 / $q->length());

        // Of an angle that is straight it is the perpendicular.
        return self::from($corner, $way->length() < 1e-9 ? $p->quarter() : $way);
    }

    private static function tangent(Point $point, Circle $circle, int $which): ?Straight
    {
        $way = $point->minus($circle->centre);
        $far = $way->length();
        // The point is on it: there is one tangent, whichever is asked for.
        if (abs($far - $circle->radius) < 1e-6 * $circle->radius) {
            return self::from($point, $way->quarter());
        }
        if ($far < $circle->radius) {
            return null;
        }
        $turn = acos($circle->radius / $far) * ($which === 0 ? 1 : -1);
        $touch = $circle->centre->plus($way->turned($turn), $circle->radius / $far);

        return Straight::through(Extent::Line, $point, $touch);
    }

    private static function reflected(Point $point, Straight $mirror): Point
    {
        $foot = $mirror->at($mirror->along($point));

        return $foot->plus($foot->minus($point));
    }
}
