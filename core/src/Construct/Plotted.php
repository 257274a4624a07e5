<?php

declare(strict_types=1);

namespace Crag\Construct;

use Crag\Construct\Figure\Straight;
use Crag\Maths\Plotting\Equation;

/** What stands on axes, in words: graphs as they were typed, straight lines by their equations. */
final class Plotted
{
    /** @return list<string> in the order in which it was put there; a constructed line with "≈" */
    public static function on(Construction $construction, Scale $scale): array
    {
        if (! $scale->isAxes) {
            return [];
        }
        $all = [];
        foreach ($construction->figures($scale) as $id => $figure) {
            $element = $construction->elements[$id];
            if ($element->kind === ElementKind::Graph) {
                $all[] = $element->source;
            } elseif ($figure instanceof Straight && ! $element->isHidden) {
                $all[] = self::equation($figure, $scale);
            }
        }

        return $all;
    }

    private static function equation(Straight $line, Scale $scale): string
    {
        $x = ($line->from->x - $scale->origin->x) / $scale->across;
        $y = ($scale->origin->y - $line->from->y) / $scale->up;
        $across = ($line->to->x - $line->from->x) / $scale->across;
        $up = ($line->from->y - $line->to->y) / $scale->up;
        if (abs($across) < 1e-6) {
            return 'x ≈ '.Equation::decimal(round($x, 2));
        }
        $slope = $up / $across;

        return 'y ≈ '.Equation::linear(round($slope, 2), round($y - $slope * $x, 2));
    }
}
