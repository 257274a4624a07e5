<?php

declare(strict_types=1);

namespace Crag\Render;

use Crag\Canvas\Object\Construct;
use Crag\Construct\Element;
use Crag\Construct\Figure\Arc;
use Crag\Construct\Figure\Circle;
use Crag\Construct\Figure\Extent;
use Crag\Construct\Figure\Figure;
use Crag\Construct\Figure\Label;
use Crag\Construct\Figure\Path;
use Crag\Construct\Figure\Point;
use Crag\Construct\Figure\Polygon;
use Crag\Construct\Figure\Straight;
use Crag\Construct\Written;
use Crag\Prompt\Paper;

/** A construction as SVG, in page units. resources/ts/canvas/drawing/construct.ts draws the same. */
final class ConstructSvg
{
    /** Lines and rays go so far beyond their points, in units. */
    private const FAR = 6000.0;

    private const FREE = 7.0;

    private const BOUND = 5.0;

    private const LETTERS = 28;

    private const HEAD = 24.0;

    private const LOWEST = 960.0;

    /** A graph's words stand to the right of its end up to here, and to the left of it beyond. */
    private const LEFT = 400.0;

    /** Words whose places are no farther apart than this, in units, would stand in each other. */
    private const WIDE = 200.0;

    private const LINE = 34;

    /** Half of a head's angle, in radians. */
    private const HEAD_ANGLE = 0.42;

    public static function draw(Construct $object): string
    {
        $figures = $object->construction->figures($object->scale);
        [$below, $above, $worded] = ['', '', []];
        foreach ($object->construction->elements as $id => $element) {
            $figure = $figures[$id];
            if ($figure === null || $element->isHidden) {
                continue;
            }
            $drawn = self::figure($object, $element, $figure);
            $at = $figure instanceof Path && $figure->words !== '' ? self::endOf($figure) : null;
            if ($at !== null) {
                $worded[] = self::freed($at, $worded, $at->y < self::LOWEST / 2 ? self::LINE : -self::LINE);
                $drawn .= self::words($object, $figure->words, end($worded));
            }
            // Points stand above lines, whichever came first.
            if ($figure instanceof Point || $figure instanceof Label) {
                $above .= $drawn;
            } else {
                $below .= $drawn;
            }
        }

        return $below.$above;
    }

    private static function figure(Construct $object, Element $element, Figure $figure): string
    {
        return match (true) {
            $figure instanceof Point => self::point($object, $element, $figure),
            $figure instanceof Straight => self::line($object, self::straight($figure)),
            $figure instanceof Circle => self::line($object, self::circle($figure)),
            $figure instanceof Arc => self::line($object, self::arc($figure)),
            $figure instanceof Polygon => self::line($object, self::corners($figure->corners).'Z', [
                'fill' => $object->colour->hex,
                'fill-opacity' => 0.12,
            ]),
            $figure instanceof Path => self::path($object, $figure),
            $figure instanceof Label => self::label($object, $figure),
            default => '',
        };
    }

    /** A locus is dashed, a graph is not, but one that does not belong to what it bounds. */
    private static function path(Construct $object, Path $path): string
    {
        $fills = implode('', array_map(static fn (array $one): string => self::corners($one).'Z', $path->fills));

        return ($fills === '' ? '' : Xml::element('path', [
            'd' => $fills,
            'fill' => $object->colour->hex,
            'fill-opacity' => 0.12,
        ])).self::line(
            $object,
            implode('', array_map(self::corners(...), $path->pieces)),
            $path->words === '' || $path->isDashed ? ['stroke-dasharray' => '8 8'] : [],
        );
    }

    private static function words(Construct $object, string $words, Point $at): string
    {
        $isRight = $at->x > self::LEFT;

        return Xml::words($at->x + ($isRight ? -14 : 14), $at->y, self::LETTERS, $words, [
            'fill' => $object->colour->hex,
            'text-anchor' => $isRight ? 'end' : 'start',
        ]);
    }

    /**
     * The place itself, or as many lines below or above it as others' words take.
     *
     * @param  list<Point>  $others
     */
    private static function freed(Point $at, array $others, int $line): Point
    {
        foreach ($others as $other) {
            if (abs($at->x - $other->x) < self::WIDE && abs($at->y - $other->y) < self::LETTERS) {
                return self::freed(new Point($at->x, $at->y + $line), $others, $line);
            }
        }

        return $at;
    }

    /** The last place of a graph that lies well on the page, on it or where it leaves: its words stand beside it. */
    private static function endOf(Path $path): ?Point
    {
        foreach (array_reverse($path->pieces) as $piece) {
            for ($i = count($piece) - 1; $i >= 0; $i--) {
                $point = $piece[$i];
                $before = $piece[$i - 1] ?? $point;
                $edge = min(max($point->y, (float) self::LETTERS), self::LOWEST);
                if ($point->y === $edge) {
                    return $point;
                }
                if ($before->y < $edge !== $point->y < $edge) {
                    $way = ($edge - $point->y) / ($before->y - $point->y);

                    return new Point($point->x + ($before->x - $point->x) * $way, $edge);
                }
            }
        }

        return null;
    }

    private static function point(Construct $object, Element $element, Point $point): string
    {
        $dot = Xml::element('circle', [
            'cx' => Xml::number($point->x),
            'cy' => Xml::number($point->y),
            'r' => $element->kind->isFree() ? self::FREE : self::BOUND,
            'fill' => $object->colour->hex,
        ]);

        return $element->label === '' ? $dot : $dot.Xml::words(
            $point->x + 11,
            $point->y - 11,
            self::LETTERS,
            $element->label,
            ['fill' => $object->colour->hex],
        );
    }

    private static function label(Construct $object, Label $label): string
    {
        $words = Written::label($label, $object->scale);

        return ($label->arc === null ? '' : self::line($object, self::arc($label->arc))).Xml::words(
            $label->at->x,
            $label->at->y + self::LETTERS * 0.35,
            self::LETTERS,
            $words,
            ['fill' => $object->colour->hex, 'text-anchor' => 'middle'],
        );
    }

    /** @param  array<string, string|int|float>  $more */
    private static function line(Construct $object, string $path, array $more = []): string
    {
        return Xml::element('path', $more + [
            'd' => $path,
            'stroke' => $object->colour->hex,
            'stroke-width' => $object->width / Paper::TENTHS,
            'stroke-linecap' => 'round',
            'stroke-linejoin' => 'round',
            'fill' => 'none',
        ]);
    }

    private static function straight(Straight $straight): string
    {
        $far = self::FAR / $straight->way()->length();
        $path = self::corners([
            $straight->at($straight->extent === Extent::Line ? -$far : 0),
            $straight->at($straight->extent === Extent::Line || $straight->extent === Extent::Ray ? 1 + $far : 1),
        ]);
        if ($straight->extent !== Extent::Vector) {
            return $path;
        }
        $back = $straight->way()->turned(M_PI);
        $times = self::HEAD / $back->length();
        $side = static fn (float $turn): Point => $straight->to->plus($back->turned($turn), $times);

        return $path.self::corners([$side(self::HEAD_ANGLE), $straight->to, $side(-self::HEAD_ANGLE)]);
    }

    private static function circle(Circle $circle): string
    {
        return self::arc(new Arc($circle, 0, M_PI)).self::arc(new Arc($circle, M_PI, M_PI));
    }

    private static function arc(Arc $arc): string
    {
        $radius = Xml::number($arc->circle->radius);

        return 'M'.self::at($arc->circle->at($arc->from))."A{$radius} {$radius} 0 ".
            (abs($arc->sweep) > M_PI ? '1 ' : '0 ').($arc->sweep > 0 ? '1 ' : '0 ').
            self::at($arc->circle->at($arc->from + $arc->sweep));
    }

    /** @param  non-empty-list<Point>  $points */
    private static function corners(array $points): string
    {
        return 'M'.implode('L', array_map(self::at(...), $points));
    }

    private static function at(Point $point): string
    {
        return Xml::number($point->x).' '.Xml::number($point->y);
    }
}
