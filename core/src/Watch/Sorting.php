<?php

declare(strict_types=1);

namespace Crag\Watch;

use Crag\Canvas\Drawing\Bounds;
use Crag\Canvas\Drawing\Place;
use Crag\Canvas\Object\Piece;
use Crag\Canvas\Object\PlacedObject;
use Crag\Canvas\Scene;

/**
 * How many pieces lie in an area that they belong into. A piece lies where its middle is; where areas overlap, one that
 * it belongs into is enough.
 */
final readonly class Sorting
{
    /**
     * @param  int  $placed  pieces that lie in any area
     * @param  int  $all  pieces that belong somewhere
     */
    private function __construct(public int $right, public int $placed, public int $all)
    {
    }

    public static function of(Scene $scene, SortingKey $key): self
    {
        $right = $placed = $all = 0;
        $areas = array_filter($scene->placed, static fn (PlacedObject $one): bool => self::area($one) !== null);
        foreach ($scene->placed as $one) {
            $piece = $one->object;
            if (! ($piece instanceof Piece) || ! $piece->moves() || ! $key->belongsSomewhere($piece->alt)) {
                continue;
            }
            $in = array_map(
                static fn (PlacedObject $area): string => (string) self::area($area),
                array_filter($areas, static fn (PlacedObject $area): bool => self::liesIn($one, $area)),
            );
            $all++;
            $placed += $in === [] ? 0 : 1;
            $right += array_filter($in, static fn (string $area): bool => $key->belongs($piece->alt, $area)) === []
                ? 0
                : 1;
        }

        return new self($right, $placed, $all);
    }

    private static function area(PlacedObject $placed): ?string
    {
        return $placed->object instanceof Piece && $placed->object->area ? $placed->object->alt : null;
    }

    private static function liesIn(PlacedObject $piece, PlacedObject $area): bool
    {
        if ($piece->page !== $area->page) {
            return false;
        }
        [$x, $y] = self::on(Bounds::of($piece->object)->middle(), $piece->place);
        [$x, $y] = self::back([$x, $y], $area->place);

        return Bounds::of($area->object)->holds($x, $y);
    }

    /**
     * @param  array{float, float}  $point
     * @return array{float, float} where it stands on the page
     */
    private static function on(array $point, ?Place $place): array
    {
        [$a, $b, $c, $d, $e, $f] = ($place ?? Place::untouched())->matrix();

        return [$a * $point[0] + $c * $point[1] + $e, $b * $point[0] + $d * $point[1] + $f];
    }

    /**
     * @param  array{float, float}  $point  on the page
     * @return array{float, float} where it stands on the object before that is placed
     */
    private static function back(array $point, ?Place $place): array
    {
        [$a, $b, $c, $d, $e, $f] = ($place ?? Place::untouched())->matrix();
        $all = $a * $d - $b * $c;
        [$x, $y] = [$point[0] - $e, $point[1] - $f];

        return [($d * $x - $c * $y) / $all, ($a * $y - $b * $x) / $all];
    }
}
