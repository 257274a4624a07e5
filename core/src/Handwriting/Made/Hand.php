<?php

declare(strict_types=1);

namespace Crag\Handwriting\Made;

use Crag\Handwriting\Trace;
use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * A made-up hand that writes the forms in its own way: it slants, is wide or narrow, prefers some forms, trembles, is
 * in a hurry, overshoots; no two of its signs are quite the same. With one seed it always writes alike.
 */
final class Hand
{
    /** Capitals that look like their small letters, larger. */
    public const CAPITALS = ['C' => 'c', 'K' => 'k', 'P' => 'p', 'S' => 's', 'V' => 'v', 'W' => 'w'];

    private readonly Randomizer $random;

    private readonly float $slant;

    private readonly float $aspect;

    private readonly float $tremble;

    private readonly float $sloppy;

    private readonly float $uphill;

    private readonly float $gap;

    /** @var array<string, int> which form it writes of each sign */
    private array $prefers = [];

    /** @param  array<string, list<list<list<array{float, float, bool}>>>>  $forms */
    public function __construct(private readonly array $forms, int $seed)
    {
        $this->random = new Randomizer(new Mt19937($seed));
        $this->slant = $this->between(-0.12, 0.32);
        $this->aspect = $this->between(0.75, 1.25);
        $this->tremble = $this->between(0.1, 0.9);
        $this->sloppy = $this->between(1.5, 4.5);
        $this->uphill = $this->between(-0.04, 0.04);
        $this->gap = $this->between(10, 30);
    }

    /** @return list<string> the signs that it can write */
    public function signs(): array
    {
        return array_map(strval(...), array_keys($this->forms));
    }

    /**
     * One sign, with its line at y = 100, tall ones 100 high.
     *
     * @return list<list<array{float, float}>>
     */
    public function sign(string $sign): array
    {
        $forms = isset(self::CAPITALS[$sign])
            ? array_map(
                static fn (array $form): array => self::capital($sign, $form),
                $this->forms[self::CAPITALS[$sign]],
            )
            : $this->forms[$sign];
        // It mostly writes its own form.
        $this->prefers[$sign] ??= $this->random->getInt(0, count($forms) - 1);
        $isOwn = $this->between(0, 1) < 0.85;
        $form = $forms[$isOwn ? $this->prefers[$sign] : $this->random->getInt(0, count($forms) - 1)];
        $wide = $this->aspect * $this->between(0.9, 1.1);
        $tall = $this->between(0.92, 1.08);
        $lean = $this->slant + $this->between(-0.05, 0.05);
        $turn = $this->between(-0.05, 0.05);
        $written = [];
        foreach ($form as $stroke) {
            [$offX, $offY] = [$this->normal($this->sloppy), $this->normal($this->sloppy)];
            $places = array_map(
                fn (array $place): array => [
                    $place[0] + $offX * 0.6 + $this->normal($this->sloppy),
                    $place[1] + $offY * 0.6 + $this->normal($this->sloppy),
                    $place[2],
                ],
                $stroke,
            );
            $line = [];
            foreach (self::curve($places) as [$x, $y]) {
                $x = 50 + ($x - 50) * $wide;
                $y = 100 + ($y - 100) * $tall;
                $x += (100 - $y) * $lean;
                [$x, $y] = [
                    $x * cos($turn) - ($y - 50) * sin($turn),
                    50 + $x * sin($turn) + ($y - 50) * cos($turn),
                ];
                $line[] = [$x + $this->normal($this->tremble), $y + $this->normal($this->tremble)];
            }
            // Some write a stroke the other way.
            $written[] = $this->between(0, 1) < 0.06 ? array_reverse($line) : $line;
        }

        return $written;
    }

    /**
     * @param  list<list<array{float, float, bool}>>  $form
     * @return list<list<array{float, float, bool}>>
     */
    private static function capital(string $sign, array $form): array
    {
        // A small letter stands from 45 to 100; a p hangs down to 136, and the stem of a k is tall as it is.
        [$top, $tall] = $sign === 'P' ? [45, 91] : [45, 55];
        $larger = [];
        foreach ($form as $n => $stroke) {
            $places = [];
            foreach ($stroke as [$x, $y, $isCorner]) {
                $places[] = [$x, $sign === 'K' && $n === 0 ? $y : ($y - $top) / $tall * 100, $isCorner];
            }
            $larger[] = $places;
        }

        return $larger;
    }

    /**
     * Signs one after the other; "^{…}" is raised, "\frac{…}{…}" stands above each other, "√{…}" has a roof, a space
     * is a gap.
     *
     * @return array{trace: Trace, signs: list<array{sign: string, strokes: int}>} strokes in the order of writing
     */
    public function line(string $text): array
    {
        $signs = [];
        $strokes = [];
        $this->write(mb_str_split($text), 0.0, 0.0, 1.0, $strokes, $signs);

        return ['trace' => Trace::of($strokes), 'signs' => $signs];
    }

    /**
     * @param  list<string>  $text
     * @param  list<list<array{float, float}>>  $strokes
     * @param  list<array{sign: string, strokes: int}>  $signs
     * @return float where it ends
     */
    private function write(array $text, float $x, float $y, float $scale, array &$strokes, array &$signs): float
    {
        for ($i = 0; $i < count($text); $i++) {
            $sign = $text[$i];
            if ($sign === ' ') {
                $x += 38 * $scale * $this->between(0.8, 1.3);
            } elseif ($sign === '^') {
                $inside = self::group($text, $i);
                $x = $this->write($inside, $x, $y - 52 * $scale, $scale * $this->between(0.5, 0.64), $strokes, $signs);
            } elseif ($sign === '⁄') {
                $x = $this->fraction(self::group($text, $i), self::group($text, $i), $x, $y, $scale, $strokes, $signs);
            } elseif ($sign === '√') {
                $x = $this->root(self::group($text, $i), $x, $y, $scale, $strokes, $signs);
            } else {
                $x = $this->put($this->sign($sign), $sign, $x, $y, $scale, $strokes, $signs) +
                    $this->gap * $scale * $this->between(0.6, 1.4);
            }
        }

        return $x;
    }

    /**
     * @param  list<list<array{float, float}>>  $form
     * @param  list<list<array{float, float}>>  $strokes
     * @param  list<array{sign: string, strokes: int}>  $signs
     */
    private function put(
        array $form,
        string $sign,
        float $x,
        float $y,
        float $scale,
        array &$strokes,
        array &$signs,
    ): float {
        $scale *= $this->between(0.92, 1.08);
        $box = Trace::of($form);
        $y += $this->normal(3) * $scale + $x * $this->uphill;
        foreach ($form as $stroke) {
            $strokes[] = array_map(
                static fn (array $place): array => [
                    $x + ($place[0] - $box->left) * $scale,
                    $y + ($place[1] - 100) * $scale,
                ],
                $stroke,
            );
        }
        $signs[] = ['sign' => $sign, 'strokes' => count($form)];

        return $x + $box->width() * $scale;
    }

    /**
     * @param  list<string>  $above
     * @param  list<string>  $below
     * @param  list<list<array{float, float}>>  $strokes
     * @param  list<array{sign: string, strokes: int}>  $signs
     */
    private function fraction(
        array $above,
        array $below,
        float $x,
        float $y,
        float $scale,
        array &$strokes,
        array &$signs,
    ): float {
        $small = $scale * $this->between(0.72, 0.9);
        $begin = $x + 8 * $scale;
        $end = $this->write($above, $begin, $y - 62 * $scale, $small, $strokes, $signs);
        $bar = [[$x, $y - 45 * $scale + $this->normal(2)], [$end, $y - 45 * $scale + $this->normal(3)]];
        $strokes[] = array_map(
            fn (array $place): array => [$place[0], $place[1]],
            self::curve([[$bar[0][0], $bar[0][1], true], [$bar[1][0], $bar[1][1], true]]),
        );
        $signs[] = ['sign' => '-', 'strokes' => 1];
        $endBelow = $this->write($below, $begin, $y + 62 * $scale, $small, $strokes, $signs);

        return max($end, $endBelow) + $this->gap * $scale;
    }

    /**
     * @param  list<string>  $inside
     * @param  list<list<array{float, float}>>  $strokes
     * @param  list<array{sign: string, strokes: int}>  $signs
     */
    private function root(array $inside, float $x, float $y, float $scale, array &$strokes, array &$signs): float
    {
        $at = count($strokes);
        $named = count($signs);
        $begin = $x + 52 * $scale;
        $end = $this->write($inside, $begin, $y, $scale * 0.85, $strokes, $signs);
        $roof = $y - 112 * $scale;
        $root = [
            [$x, $y - 38 * $scale, false],
            [$x + 14 * $scale, $y - 46 * $scale + $this->normal(3), true],
            [$x + 28 * $scale, $y + 2 * $scale + $this->normal(3), true],
            [$x + 46 * $scale, $roof + $this->normal(3), true],
            [$end, $roof + $this->normal(4), true],
        ];
        // It is drawn before what stands in it.
        array_splice($strokes, $at, 0, [self::curve($root)]);
        array_splice($signs, $named, 0, [['sign' => '√', 'strokes' => 1]]);

        return $end + $this->gap * $scale;
    }

    /**
     * @param  list<string>  $text
     * @return list<string> what stands in the braces behind this place
     */
    private static function group(array $text, int &$i): array
    {
        $inside = [];
        $depth = 0;
        for ($i++; $i < count($text); $i++) {
            $depth += $text[$i] === '{' ? 1 : ($text[$i] === '}' ? -1 : 0);
            if ($depth === 0) {
                return $inside;
            }
            if ($text[$i] !== '{' || $depth > 1) {
                $inside[] = $text[$i];
            }
        }

        return $inside;
    }

    /**
     * A line through all places, round but at corners (Catmull and Rom, "A class of local interpolating splines",
     * 1974).
     *
     * @param  list<array{float, float, bool}>  $places
     * @return list<array{float, float}>
     */
    private static function curve(array $places): array
    {
        $line = [[$places[0][0], $places[0][1]]];
        for ($i = 0; $i + 1 < count($places); $i++) {
            [$b, $c] = [$places[$i], $places[$i + 1]];
            $a = $b[2] || $i === 0 ? $b : $places[$i - 1];
            $d = $c[2] || ! isset($places[$i + 2]) ? $c : $places[$i + 2];
            $steps = max(2, (int) (hypot($c[0] - $b[0], $c[1] - $b[1]) / 5));
            for ($n = 1; $n <= $steps; $n++) {
                $t = $n / $steps;
                $line[] = [
                    self::between4($a[0], $b[0], $c[0], $d[0], $t),
                    self::between4($a[1], $b[1], $c[1], $d[1], $t),
                ];
            }
        }

        return $line;
    }

    private static function between4(float $a, float $b, float $c, float $d, float $t): float
    {
        $square = 2 * $a - 5 * $b + 4 * $c - $d;
        $cube = 3 * $b - $a - 3 * $c + $d;

        return 0.5 * (2 * $b + ($c - $a) * $t + $square * $t ** 2 + $cube * $t ** 3);
    }

    private function between(float $low, float $high): float
    {
        return $low + ($high - $low) * $this->random->getInt(0, 1 << 30) / (1 << 30);
    }

    /** Around nought (Box and Muller, 1958). */
    private function normal(float $spread): float
    {
        return $spread * sqrt(-2 * log($this->between(1e-9, 1))) * cos(2 * M_PI * $this->between(0, 1));
    }
}
