<?php

declare(strict_types=1);

namespace Crag\Handwriting;

use Crag\Maths\Algebra\Quantity;
use Crag\Maths\Parsing\MathsParser;
use Crag\Maths\Parsing\UnreadableMaths;

/**
 * Reads a line of handwriting as an answer: a number with a unit, an expression, an equation. What it is not sure of it
 * says; nothing is judged by it before its writer has confirmed it.
 */
final class ReadLine
{
    /** So many readings are looked at. */
    private const BEAM = 10;

    /** Below this a sign is unsure. */
    private const SURE = 0.6;

    /** What an answer that is understood is worth, beside one that is not. */
    private const UNDERSTOOD = 3.0;

    /** How tall a raised digit is beside the others. */
    private const SMALL = 0.58;

    private const LETTER = '/^\p{L}$/u';

    private const TALL = ['c' => 'C', 'k' => 'K', 'p' => 'P', 'v' => 'V', 'w' => 'W', 's' => 'S'];

    public static function of(Trace $line, OwnForms $own): WrittenLine
    {
        if ($line->strokes === []) {
            return WrittenLine::nothing();
        }
        ['signs' => $signs, 'unit' => $unit] = Segmented::of($line, Network::shipped(), $own);
        $signs = self::smallOnes($signs, $unit, $own);
        $pieces = Layout::of($signs, $unit);
        $readings = self::readings($pieces, $unit, Layout::foot($signs));
        [$text, $score, $chosen] = $readings[0];
        $isSure = array_filter(
            $chosen,
            static fn (array $one): bool => ($one[0]->guesses[$one[1]] ?? 0.0) < self::SURE,
        ) === [];

        return new WrittenLine(
            $text,
            $isSure && $score > -1.2 * count($signs),
            array_values(array_unique(array_slice(array_column($readings, 0), 1, 3))),
            array_map(static fn (array $one): array => ['sign' => $one[1], 'strokes' => $one[0]->strokes], $chosen),
            array_map(static fn (array $one): Sign => $one[0], $chosen),
        );
    }

    /**
     * What stands high in the line is written smaller, and looked at as such: a small 2 is no z.
     *
     * @param  list<Sign>  $signs
     * @return list<Sign>
     */
    private static function smallOnes(array $signs, float $unit, OwnForms $own): array
    {
        $foot = Layout::foot($signs);

        return array_map(static function (Sign $sign) use ($unit, $foot, $own): Sign {
            $box = $sign->trace;
            $isSmall = $box->height() < 0.8 * $unit && $box->height() > 0.2 * $unit;
            if (! $isSmall || $box->bottom > $foot - Layout::RAISED * $unit) {
                return $sign;
            }
            $likely = Network::shipped()->tell(Features::of($box, self::SMALL * $unit));

            return $sign->as($own->isEmpty() ? $likely : $own->weigh($likely, $sign->features));
        }, $signs);
    }

    /**
     * @param  list<Sign|string>  $pieces
     * @return non-empty-list<array{string, float, list<array{Sign, string}>}> the likeliest first
     */
    private static function readings(array $pieces, float $unit, float $foot): array
    {
        /** @var list<array{string, float, list<array{Sign, string}>, string}> $beam */
        $beam = [['', 0.0, [], '']];
        foreach ($pieces as $piece) {
            $next = [];
            foreach ($beam as [$text, $score, $chosen, $last]) {
                if (is_string($piece)) {
                    $next[] = ["{$text}{$piece}", $score, $chosen, $piece === ' ' ? $last : $piece];

                    continue;
                }
                foreach ($piece->guesses as $sign => $likely) {
                    $sign = (string) $sign;
                    $next[] = [
                        $text.self::said($sign, $piece, $unit, $foot),
                        $score + log(max(1e-5, $likely)) + self::suits($last, $sign),
                        [...$chosen, [$piece, $sign]],
                        $sign,
                    ];
                }
            }
            usort($next, static fn (array $a, array $b): int => $b[1] <=> $a[1]);
            $beam = array_slice($next, 0, self::BEAM);
        }
        $readings = array_map(static function (array $one): array {
            $text = self::apart(self::tidy($one[0]));

            return [$text, $one[1] + self::understood($text), $one[2]];
        }, $beam);
        usort($readings, static fn (array $a, array $b): int => $b[1] <=> $a[1]);

        return $readings === [] ? [['', 0.0, []]] : $readings;
    }

    /** A sign as it is typed. A letter that looks the same in both sizes is a capital where it is tall. */
    private static function said(string $sign, Sign $written, float $unit, float $foot): string
    {
        $box = $written->trace;

        return match (true) {
            $sign === '-' => '−',
            ! isset(self::TALL[$sign]) || $box->height() < 0.8 * $unit => $sign,
            // A small one hangs below the line.
            $sign === 'p' => $box->bottom > $foot + 0.18 * $unit ? 'p' : 'P',
            // The arms of a small one do not reach as high as its stem.
            $sign === 'k' => self::hasHighArms($written) ? 'K' : 'k',
            default => self::TALL[$sign],
        };
    }

    private static function hasHighArms(Sign $written): bool
    {
        $strokes = $written->trace->apart();
        $arms = count($strokes) > 1 ? Trace::together(array_slice($strokes, 1)) : null;

        return $arms !== null && $arms->top < $written->trace->top + 0.22 * $written->trace->height();
    }

    /** How well one sign follows another: digits stand together, a unit follows a number, hardly a digit a letter. */
    private static function suits(string $before, string $sign): float
    {
        $isLetter = preg_match(self::LETTER, $sign) === 1 && $sign !== 'π';
        $wasLetter = preg_match(self::LETTER, $before) === 1 && $before !== 'π';
        $isDigit = ctype_digit($sign);
        $wasDigit = ctype_digit($before);

        return match (true) {
            $isDigit && $wasDigit => 0.3,
            // It multiplies.
            $isDigit && $before === 'x' => -0.8,
            $isDigit && $wasLetter => -3.5,
            $isLetter && $wasDigit => -0.4,
            $isLetter && $wasLetter => -0.3,
            $sign === '.' && ! $wasDigit => -1.5,
            $sign === '/' && $before === '' => -2.0,
            in_array($sign, [')', '%'], true) && ! $wasDigit && ! $wasLetter && $before !== ')' => -2.0,
            in_array($sign, ['+', '=', '<', '>', '≤', '≥', '÷'], true) && $before === '' => -2.5,
            default => 0.0,
        };
    }

    private static function understood(string $text): float
    {
        try {
            foreach (preg_split('/[=<>≤≥]/u', $text) ?: [] as $side) {
                if (str_contains($side, '±')) {
                    $side = str_replace('±', '+', $side);
                }
                try {
                    Quantity::read($side);
                } catch (UnreadableMaths) {
                    MathsParser::expression($side);
                }
            }

            return self::UNDERSTOOD;
        } catch (UnreadableMaths) {
            return 0.0;
        }
    }

    /** A space between a number and its unit. */
    private static function apart(string $text): string
    {
        if (preg_match('/^([−\d.,\/^()×√ ]*\d)(\p{L}.*)$/u', $text, $found) !== 1) {
            return $text;
        }
        try {
            return Quantity::read($text)->unit->isNone() ? $text : "{$found[1]} {$found[2]}";
        } catch (UnreadableMaths) {
            return $text;
        }
    }

    /** "x" between numbers multiplies; brackets around one sign go. */
    private static function tidy(string $text): string
    {
        $text = (string) preg_replace('/(?<=[\d)])\s*x\s*(?=[\d(√])/u', ' × ', $text);
        $text = (string) preg_replace('/\^\(([\w\d]|−?\d+)\)/u', '^$1', $text);
        $text = (string) preg_replace('/(?<![\p{L}√^])\(([\d.]+|\p{L})\)\/\(([\d.]+|\p{L})\)/u', '$1/$2', $text);
        $text = (string) preg_replace('/√\(([\d.]+|\p{L})\)/u', '√$1', $text);
        $text = (string) preg_replace('/\s*([=<>≤≥±])\s*/u', ' $1 ', $text);

        return trim((string) preg_replace('/\s+/u', ' ', $text));
    }
}
