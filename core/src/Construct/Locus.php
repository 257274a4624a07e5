<?php

declare(strict_types=1);

namespace Crag\Construct;

use Crag\Construct\Figure\Circle;
use Crag\Construct\Figure\Extent;
use Crag\Construct\Figure\Path;
use Crag\Construct\Figure\Point;
use Crag\Construct\Figure\Straight;

/** Where a point comes as another moves along what it lies on: sampled, with a gap where it does not exist. */
final class Locus
{
    private const SAMPLES = 240;

    /** A line goes so many times its own two points' way to both sides. */
    private const FAR = 20;

    /** Two neighbours that are farther apart than this, in units, belong to two pieces. */
    private const JUMP = 400;

    public static function of(Construction $whole, Element $locus): ?Path
    {
        [$traced, $driver] = $locus->of;
        $moving = $whole->elements[$driver];
        if ($moving->kind !== ElementKind::On) {
            return null;
        }
        // No locus is worked out again for each place of another.
        $without = $whole->withoutLoci();
        $on = $without->figures()[$moving->of[0]] ?? null;
        $pieces = $piece = [];
        foreach (self::places($on) as $place) {
            $point = $without->moved($driver, $place)->figures()[$traced] ?? null;
            $point = $point instanceof Point ? $point : null;
            $isApart = $point === null || ($piece !== [] && $point->distance($piece[count($piece) - 1]) > self::JUMP);
            if ($isApart && $piece !== []) {
                $pieces[] = $piece;
                $piece = [];
            }
            if ($point !== null) {
                $piece[] = $point;
            }
        }

        return new Path($piece === [] ? $pieces : [...$pieces, $piece]);
    }

    /** @return list<Point> */
    private static function places(mixed $on): array
    {
        $places = [];
        for ($i = 0; $i <= self::SAMPLES; $i++) {
            $part = $i / self::SAMPLES;
            $place = match (true) {
                $on instanceof Circle => $on->at(2 * M_PI * $part - M_PI),
                $on instanceof Straight => $on->at(match ($on->extent) {
                    Extent::Line => self::FAR * (2 * $part - 1),
                    Extent::Ray => self::FAR * $part,
                    default => $part,
                }),
                default => null,
            };
            if ($place !== null) {
                $places[] = $place;
            }
        }

        return $places;
    }
}
