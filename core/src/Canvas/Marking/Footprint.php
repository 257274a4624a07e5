<?php

declare(strict_types=1);

namespace Crag\Canvas\Marking;

use Crag\Canvas\Drawing\Bounds;
use Crag\Canvas\Fit\Trace;
use Crag\Canvas\Object\BoxShape;
use Crag\Canvas\Object\PlacedObject;
use Crag\Canvas\Object\PointShape;
use Crag\Canvas\Object\Stroke;
use Crag\Prompt\Paper;

/** Where an object lies on its page, moved and turned as it is. */
final class Footprint
{
    /** Sides of the polygon that stands for a shape that goes around something. */
    private const SIDES = 24;

    /** @return array{float, float} the middle of it, in units */
    public static function middle(PlacedObject $placed): array
    {
        return self::moved($placed, Bounds::of($placed->object)->middle());
    }

    /** The line that was drawn, by hand or as a shape; null for what is no line. */
    public static function trace(PlacedObject $placed): ?Trace
    {
        $points = array_map(
            static fn (array $point): array => [
                (int) round($point[0] * Paper::TENTHS),
                (int) round($point[1] * Paper::TENTHS),
                0,
                0,
            ],
            self::points($placed),
        );

        return $points === [] ? null : Trace::of($points);
    }

    /** @return list<array{float, float}> the places along that line, in units; none for what is no line */
    public static function points(PlacedObject $placed): array
    {
        $object = $placed->object;
        $points = match (true) {
            $object instanceof Stroke => array_map(
                static fn (array $sample): array => [$sample[0] / Paper::TENTHS, $sample[1] / Paper::TENTHS],
                $object->ink->samples(),
            ),
            $object instanceof PointShape => array_map(
                static fn (array $point): array => [$point[0] / Paper::TENTHS, ($point[1] ?? 0) / Paper::TENTHS],
                array_chunk($object->points, 2),
            ),
            $object instanceof BoxShape => in_array($object->type, BoxShape::OPEN, true)
                ? [
                    [$object->x / Paper::TENTHS, $object->y / Paper::TENTHS],
                    [($object->x + $object->w) / Paper::TENTHS, ($object->y + $object->h) / Paper::TENTHS],
                ]
                : self::round(Bounds::of($object)),
            default => [],
        };

        return array_map(static fn (array $point): array => self::moved($placed, $point), $points);
    }

    /** @return list<array{float, float}> */
    private static function round(Bounds $bounds): array
    {
        [$x, $y] = $bounds->middle();
        $points = [];
        for ($i = 0; $i <= self::SIDES; $i++) {
            $turn = 2 * M_PI * $i / self::SIDES;
            $points[] = [
                $x + cos($turn) * ($bounds->right - $bounds->left) / 2,
                $y + sin($turn) * ($bounds->bottom - $bounds->top) / 2,
            ];
        }

        return $points;
    }

    /**
     * @param  array{float|int, float|int}  $point
     * @return array{float, float}
     */
    private static function moved(PlacedObject $placed, array $point): array
    {
        if ($placed->place === null) {
            return [(float) $point[0], (float) $point[1]];
        }
        [$a, $b, $c, $d, $e, $f] = $placed->place->matrix();

        return [$a * $point[0] + $c * $point[1] + $e, $b * $point[0] + $d * $point[1] + $f];
    }
}
