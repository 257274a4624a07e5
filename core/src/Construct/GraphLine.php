<?php

declare(strict_types=1);

namespace Crag\Construct;

use Closure;
use Crag\Json\UnreadableFields;
use Crag\Maths\Plotting\Equation;
use Crag\Prompt\Paper;

/**
 * A line that is plotted: an {@see Equation} or an inequality, which is shaded; a point that runs, "(t², 2t) for
 * −1 ≤ t ≤ 1"; "tangent x² at 1"; "area x² from 0 to 2".
 */
final readonly class GraphLine
{
    /** A point runs through these where nothing else is said. */
    private const RUN = [-10.0, 10.0];

    /** Steps of Simpson's rule. */
    private const STRIPS = 400;

    private function __construct(private Equation $line)
    {
    }

    /** @throws UnreadableFields */
    public static function read(string $typed): self
    {
        return new self(Equation::read($typed)->begun());
    }

    /** @throws UnreadableFields */
    public function graph(Scale $scale, Paper $paper): Graph
    {
        $line = $this->line->typed;
        $number = '('.Equation::NUMBER.')';
        $tangent = '/\Atangent\s+(?:to\s+)?(?:y\s*=\s*)?(.+?)\s+at\s+(?:x\s*=\s*)?'.$number.'\z/u';
        $area = '/\Aarea\s+(?:under\s+)?(?:y\s*=\s*)?(.+?)\s+from\s+'.$number.'\s+to\s+'.$number.'\z/u';
        if (preg_match($tangent, $line, $found) === 1) {
            return $this->tangent($this->line->function($found[1]), Equation::number($found[2]), $scale, $paper);
        }
        if (preg_match($area, $line, $found) === 1) {
            [$from, $to] = [Equation::number($found[2]), Equation::number($found[3])];

            return $this->area($this->line->function($found[1]), min($from, $to), max($from, $to), $scale, $paper);
        }
        $run = '(?:\s+for\s+'.$number.'\s*(?:≤|<=|<)\s*t\s*(?:≤|<=|<)\s*'.$number.')?';
        if (preg_match('/\A\((.+),(.+)\)'.$run.'\z/u', $line, $found) === 1) {
            return Graph::ofPoint(
                Graph::written($line),
                $this->line->function($found[1], 't'),
                $this->line->function($found[2], 't'),
                isset($found[3]) ? Equation::number($found[3]) : self::RUN[0],
                isset($found[4]) ? Equation::number($found[4]) : self::RUN[1],
                $scale,
                $paper,
            );
        }

        return $this->plain($scale, $paper);
    }

    /** "y = …", "x = …", "y ≤ …", or the right side alone. */
    private function plain(Scale $scale, Paper $paper): Graph
    {
        [$of, $sign, $right] = $this->line->related();
        $source = Graph::written($this->line->typed.($this->line->inDegrees ? ' in degrees' : '').$this->given());
        $isUpright = $of === 'x';
        if ($isUpright) {
            $at = $this->line->function($right, '')(0.0) ?? throw UnreadableFields::saying(Equation::HOW);
            $graph = Graph::ofUpright($source, $at, $scale, $paper);
        } else {
            $graph = Graph::ofFunction($source, $this->line->pieces($right), $scale, $paper);
        }

        return $sign === '='
            ? $graph
            : $graph->shaded(in_array($sign, ['<', '≤'], true), in_array($sign, ['<', '>'], true), $isUpright, $paper);
    }

    private function given(): string
    {
        $given = [];
        foreach ($this->line->letters as $letter => $value) {
            $given[] = "{$letter} = ".Equation::decimal($value);
        }

        return $given === [] ? '' : ', '.implode(', ', $given);
    }

    /** @param  Closure(float): ?float  $function */
    private function tangent(Closure $function, float $at, Scale $scale, Paper $paper): Graph
    {
        $h = 1e-5 * max(1, abs($at));
        [$before, $here, $after] = [$function($at - $h), $function($at), $function($at + $h)];
        if ($before === null || $here === null || $after === null) {
            throw UnreadableFields::saying('It has no tangent there.');
        }
        // The same slope from both sides, or there is a corner.
        if (abs(($after - $here) - ($here - $before)) > 1e-3 * $h) {
            throw UnreadableFields::saying('It has no tangent there.');
        }
        $slope = round(($after - $before) / (2 * $h), 6);
        $start = round($here - $slope * $at, 6);

        return Graph::ofFunction(
            'y = '.Equation::linear($slope, $start),
            static fn (float $x): float => $slope * $x + $start,
            $scale,
            $paper,
        );
    }

    /**
     * Between a function and the axis, by Simpson's rule; what lies below counts as less than nothing.
     *
     * @param  Closure(float): ?float  $function
     */
    private function area(Closure $function, float $from, float $to, Scale $scale, Paper $paper): Graph
    {
        $h = ($to - $from) / self::STRIPS;
        $sum = 0.0;
        for ($i = 0; $i <= self::STRIPS; $i++) {
            $value = $function($from + $i * $h) ??
                throw UnreadableFields::saying('It isn’t defined everywhere between those.');
            $sum += $value * ($i === 0 || $i === self::STRIPS ? 1 : ($i % 2 === 1 ? 4 : 2));
        }

        return Graph::ofFunction(
            'area = '.Equation::decimal($sum * $h / 3),
            static fn (float $x): ?float => $x >= $from && $x <= $to ? $function($x) : null,
            $scale,
            $paper,
        )->overAxis($scale);
    }
}
