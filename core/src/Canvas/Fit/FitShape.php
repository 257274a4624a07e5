<?php

declare(strict_types=1);

namespace Crag\Canvas\Fit;

/**
 * Which shape a stroke was meant as, when its pen is held still at the end. The page works it out with the same rules
 * (resources/ts/canvas/fit), because it must show the shape before the pen is lifted.
 */
final class FitShape
{
    /** @param  list<array{int, int, int, int}>  $samples  as {@see \Crag\Canvas\Drawing\Ink} has them */
    public static function to(array $samples): ?FittedShape
    {
        $trace = Trace::of($samples);
        if ($trace->size < FitLimit::SMALLEST) {
            return null;
        }
        if (! $trace->isClosed()) {
            return FitLine::to($trace) ?? FitArrow::to($trace) ?? FitArc::to($trace);
        }
        $round = FitEllipse::to($trace);
        $cornered = FitPolygon::to($trace);
        if ($round === null || $cornered === null) {
            return $round ?? $cornered;
        }
        $price = FitLimit::CORNER * self::corners($cornered);

        return $cornered->residual + $price <= $round->residual ? $cornered : $round;
    }

    private static function corners(FittedShape $shape): int
    {
        return $shape->kind === 'rectangle' ? 4 : intdiv(count((array) ($shape->object['points'] ?? [])), 2);
    }
}
