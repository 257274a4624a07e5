<?php

declare(strict_types=1);

namespace Crag\Construct;

use Crag\Construct\Figure\Circle;
use Crag\Construct\Figure\Figure;
use Crag\Construct\Figure\Point;
use Crag\Construct\Figure\Straight;

/**
 * Where two figures meet. Of two places, the first and the second are told apart by something that stays while the
 * figures are moved: along the line's own direction where one is straight, and by the side of the way from the first
 * circle's centre to the second's where both are round.
 */
final class Meeting
{
    /** @param  int  $which  0 or 1 */
    public static function of(Figure $one, Figure $other, int $which): ?Point
    {
        return match (true) {
            $one instanceof Straight && $other instanceof Straight => $which === 0
                ? self::straights($one, $other)
                : null,
            $one instanceof Straight && $other instanceof Circle => self::straightAndCircle($one, $other, $which),
            $one instanceof Circle && $other instanceof Straight => self::straightAndCircle($other, $one, $which),
            $one instanceof Circle && $other instanceof Circle => self::circles($one, $other, $which),
            default => null,
        };
    }

    /** Two straight figures that lie on one line meet nowhere in particular. */
    private static function straights(Straight $one, Straight $other): ?Point
    {
        [$p, $q] = [$one->way(), $other->way()];
        $cross = $p->cross($q);
        if (abs($cross) < 1e-9 * $p->length() * $q->length()) {
            return null;
        }
        $apart = $other->from->minus($one->from);
        [$t, $u] = [$apart->cross($q) / $cross, $apart->cross($p) / $cross];

        return $one->extent->holds($t) && $other->extent->holds($u) ? $one->at($t) : null;
    }

    private static function straightAndCircle(Straight $straight, Circle $circle, int $which): ?Point
    {
        $foot = $straight->along($circle->centre);
        $away = $straight->at($foot)->distance($circle->centre);
        if ($away > $circle->radius * (1 + 1e-9)) {
            return null;
        }
        $half = sqrt(max(0.0, $circle->radius ** 2 - $away ** 2)) / $straight->way()->length();
        $t = $which === 0 ? $foot - $half : $foot + $half;

        return $straight->extent->holds($t) ? $straight->at($t) : null;
    }

    private static function circles(Circle $one, Circle $other, int $which): ?Point
    {
        $way = $other->centre->minus($one->centre);
        $far = $way->length();
        $most = $one->radius + $other->radius;
        if ($far < 1e-6 || $far > $most * (1 + 1e-9) || $far < abs($one->radius - $other->radius) * (1 - 1e-9)) {
            return null;
        }
        $along = ($far ** 2 + $one->radius ** 2 - $other->radius ** 2) / (2 * $far);
        $aside = sqrt(max(0.0, $one->radius ** 2 - $along ** 2));
        $to = $one->centre->plus($way, $along / $far);

        return $to->plus($way->quarter(), ($which === 0 ? 1 : -1) * $aside / $far);
    }
}
