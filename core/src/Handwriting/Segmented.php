<?php

declare(strict_types=1);

namespace Crag\Handwriting;

/**
 * Which strokes of a line are which sign: of all ways to put neighbouring strokes together the likeliest, found by
 * dynamic programming (Bellman, 1957) over the strokes in the order in which they were drawn; a stroke that was added
 * later to an earlier sign, as the bar of a 7, is first put beside it.
 */
final class Segmented
{
    private const MOST_STROKES = 4;

    /** How far strokes of one sign may be apart, beside the height of a digit. */
    private const APART = 0.45;

    private const TOUCH = 0.1;

    private const DOT = 0.15;

    private const LOOKED_AT = 60;

    /** How tall a digit is at least, beside all of a line without fractions. */
    private const WHOLE = 0.82;

    /** One sign of several strokes is likelier than several signs that lie so close. */
    private const EACH = 0.9;

    /**
     * @return array{signs: list<Sign>, unit: float}
     */
    public static function of(Trace $line, Network $network, OwnForms $own): array
    {
        $unit = self::unit($line);
        $order = self::inOrder($line, $unit);
        $count = count($order);
        /** @var array<int, array{float, list<Sign>}> $best */
        $best = [0 => [0.0, []]];
        $singles = array_map(static fn (int $n): Trace => Trace::of([$line->strokes[$n]]), $order);
        $bars = self::bars($singles, $unit);
        for ($end = 1; $end <= $count; $end++) {
            for ($from = $end - 1; $from >= max(0, $end - self::MOST_STROKES); $from--) {
                $strokes = array_slice($singles, $from, $end - $from);
                $hasBar = count($strokes) > 1 && array_intersect($bars, range($from, $end - 1)) !== [];
                if (! isset($best[$from]) || $hasBar || ! self::areNear($strokes, $unit)) {
                    continue;
                }
                $trace = Trace::together($strokes);
                $features = Features::of($trace, $unit);
                $likely = $network->tell($features);
                // Which strokes belong together is the network's to tell; what they are, the hand's own forms as well.
                $sign = Sign::of($trace, $likely, array_slice($order, $from, $end - $from), $features);
                $score = $best[$from][0] + ($end - $from) * log(max(1e-6, $sign->certainty())) - self::EACH;
                if (! isset($best[$end]) || $score > $best[$end][0]) {
                    $sign = $own->isEmpty() ? $sign : $sign->as($own->weigh($likely, $features));
                    $best[$end] = [$score, [...$best[$from][1], $sign]];
                }
            }
        }

        return ['signs' => $best[$count][1] ?? [], 'unit' => $unit];
    }

    /** How tall a digit is in this line. */
    private static function unit(Trace $line): float
    {
        $strokes = $line->apart();
        // A root's roof and brackets are taller than digits.
        $heights = array_map(
            static fn (Trace $one): float => $one->height() * ($one->width() > 1.2 * $one->height() ? 0.8 : 0.95),
            $strokes,
        );
        $widths = array_map(static fn (Trace $one): float => $one->width(), $strokes);

        // Nothing but flat strokes: a minus, an equals sign.
        $unit = max([1e-6, ...$heights, ...array_map(static fn (float $width): float => 0.25 * $width, $widths)]);

        // With a power on a small letter nothing in the line is as tall as a digit, but all of it together is.
        return self::bars($strokes, $unit) === [] ? max($unit, min(2 * $unit, self::WHOLE * $line->height())) : $unit;
    }

    /**
     * The numbers of the strokes, each beside those that it belongs to.
     *
     * @return list<int>
     */
    private static function inOrder(Trace $line, float $unit): array
    {
        /** @var list<int> $order */
        $order = [];
        $near = self::TOUCH * $unit;
        foreach ($line->strokes as $n => $stroke) {
            $place = count($order);
            $isAlone = $place > 0 && ! self::touch($stroke, $line->strokes[$order[$place - 1]], $near);
            foreach ($isAlone ? array_reverse($order, true) : [] as $i => $other) {
                $isRoof = Trace::of([$line->strokes[$other]])->width() > 1.6 * $unit;
                if (! $isRoof && self::touch($stroke, $line->strokes[$other], $near)) {
                    $place = $i + 1;
                    break;
                }
            }
            array_splice($order, $place, 0, [$n]);
        }

        return $order;
    }

    /**
     * @param  list<array{float, float}>  $one
     * @param  list<array{float, float}>  $other
     */
    private static function touch(array $one, array $other, float $near): bool
    {
        [$a, $b] = [Trace::of([$one]), Trace::of([$other])];
        if (
            $a->left > $b->right + $near || $b->left > $a->right + $near ||
            $a->top > $b->bottom + $near || $b->top > $a->bottom + $near
        ) {
            return false;
        }
        $square = $near * $near;
        [$stepOne, $stepOther] = [self::stepOf($one), self::stepOf($other)];
        for ($i = 0; $i < count($one); $i += $stepOne) {
            for ($j = 0; $j < count($other); $j += $stepOther) {
                if (($one[$i][0] - $other[$j][0]) ** 2 + ($one[$i][1] - $other[$j][1]) ** 2 <= $square) {
                    return true;
                }
            }
        }

        return false;
    }

    /**
     * So that a long stroke is looked at in so many places.
     *
     * @param  list<array{float, float}>  $stroke
     */
    private static function stepOf(array $stroke): int
    {
        return max(1, intdiv(count($stroke), self::LOOKED_AT));
    }

    /**
     * The lines of fractions: flat, with more than dots and lines above and below them.
     *
     * @param  list<Trace>  $strokes
     * @return list<int>
     */
    private static function bars(array $strokes, float $unit): array
    {
        $bars = [];
        foreach ($strokes as $n => $bar) {
            if ($bar->width() < Layout::BAR * $unit || $bar->height() > 0.3 * $bar->width()) {
                continue;
            }
            [$above, $below] = [false, false];
            foreach ($strokes as $one) {
                [$x] = $one->middle();
                if ($one->height() > 0.3 * $unit && $x > $bar->left - 0.1 * $unit && $x < $bar->right + 0.1 * $unit) {
                    $above = $above || $one->bottom < $bar->middle()[1] + 0.05 * $unit;
                    $below = $below || $one->top > $bar->middle()[1] - 0.05 * $unit;
                }
            }
            if ($above && $below) {
                $bars[] = $n;
            }
        }

        return $bars;
    }

    /**
     * Whether strokes may be of one sign: none stands beside the others with a gap.
     *
     * @param  list<Trace>  $strokes
     */
    private static function areNear(array $strokes, float $unit): bool
    {
        if (count($strokes) === 1) {
            return true;
        }
        $whole = Trace::together($strokes);
        if ($whole->width() > 1.7 * $unit || $whole->height() > 1.8 * $unit) {
            return false;
        }
        foreach ($strokes as $i => $stroke) {
            $others = $strokes;
            unset($others[$i]);
            $rest = Trace::together(array_values($others));
            $across = max($rest->left - $stroke->right, $stroke->left - $rest->right);
            $down = max($rest->top - $stroke->bottom, $stroke->top - $rest->bottom);
            if ($across > 0.18 * $unit || $down > self::APART * $unit) {
                return false;
            }
            // A dot belongs to what it stands above, or between; beside a digit it is a decimal point.
            $isDot = $stroke->size() < self::DOT * $unit;
            [$x] = $stroke->middle();
            if ($isDot && ($x < $rest->left - 0.05 * $unit || $x > $rest->right + 0.05 * $unit)) {
                return false;
            }
        }

        return true;
    }
}
