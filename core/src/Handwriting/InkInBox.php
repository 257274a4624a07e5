<?php

declare(strict_types=1);

namespace Crag\Handwriting;

use Crag\Canvas\Log\Layer;
use Crag\Canvas\Marking\Footprint;
use Crag\Canvas\Object\PlacedObject;
use Crag\Canvas\Object\Stroke;
use Crag\Canvas\Scene;
use Crag\Prompt\Question\Spot;

/** The strokes that a student wrote: in a box, or those that are named, in the order in which they were written. */
final class InkInBox
{
    /** So many strokes make an answer; what is more is no line. */
    private const MOST_STROKES = 50;

    /** A stroke of more places is a scribble, or was written slowly: so many say as much. */
    private const MOST_PLACES = 100;

    /** Null where there is more than a line. */
    public static function of(Scene $scene, Spot $spot): ?Trace
    {
        $page = array_map(strval(...), array_keys($scene->pages))[$spot->page] ?? null;

        return self::among($scene, static function (PlacedObject $placed) use ($spot, $page): bool {
            if ($placed->page !== $page) {
                return false;
            }
            [$x, $y] = Footprint::middle($placed);

            return $x >= $spot->x && $x <= $spot->x + $spot->w && $y >= $spot->y && $y <= $spot->y + $spot->height();
        });
    }

    /** @param  list<string>  $ids */
    public static function named(Scene $scene, array $ids): ?Trace
    {
        $wanted = array_flip($ids);

        return self::among(
            $scene,
            static fn (PlacedObject $placed, string $id): bool => isset($wanted[$id]),
        );
    }

    /** @param  callable(PlacedObject, string): bool  $isMeant */
    private static function among(Scene $scene, callable $isMeant): ?Trace
    {
        $strokes = [];
        foreach ($scene->placed as $id => $placed) {
            $object = $placed->object;
            $isPen = $placed->layer === Layer::Student && $object instanceof Stroke && ! $object->highlights;
            if ($isPen && $isMeant($placed, (string) $id)) {
                $strokes[] = self::fewer(Footprint::points($placed));
            }
        }

        return count($strokes) > self::MOST_STROKES ? null : Trace::of($strokes);
    }

    /**
     * @param  list<array{float, float}>  $places
     * @return list<array{float, float}>
     */
    private static function fewer(array $places): array
    {
        $last = count($places) - 1;
        if ($last < self::MOST_PLACES) {
            return $places;
        }
        $kept = [];
        for ($i = 0; $i <= self::MOST_PLACES; $i++) {
            $kept[] = $places[intdiv($i * $last, self::MOST_PLACES)];
        }

        return $kept;
    }
}
