<?php

declare(strict_types=1);

namespace Crag\Handwriting\Made;

use Crag\Handwriting\Features;
use Crag\Handwriting\Network;
use Crag\Handwriting\OwnForms;
use Crag\Handwriting\ReadLine;
use Crag\Handwriting\Trace;

/**
 * How well handwriting is read: signs and lines in hands, and of forms, that nothing was trained on. The hands are made
 * up, so real ones are read less well; the figures tell what changed, and what is not to be offered at all.
 */
final class Trial
{
    /** By kind; "⁄{1}{2}" is written as a fraction, "^{2}" raised, "√{…}" under a roof. */
    public const LINES = [
        'whole numbers' => ['7', '42', '365', '1500', '90', '18', '2026', '640'],
        'decimals' => ['3.5', '0.75', '6.02', '12.4', '0.05', '98.6'],
        'negative numbers' => ['-7', '-12', '-0.5', '-304'],
        'with a unit' => ['240 Nm', '80N', '72km/h', '20m', '8kN', '15s', '300K', '45cm', '2.5kg', '12V'],
        'units with powers' => ['9.8m/s^{2}', '25m^{2}', '1.2m^{3}', '6m/s^{2}'],
        'percentages' => ['45%', '12.5%', '7%'],
        'fractions' => ['⁄{3}{4}', '⁄{1}{2}', '⁄{5}{12}', '⁄{x}{2}', '⁄{22}{7}'],
        'mixed numbers' => ['3⁄{1}{4}', '1⁄{1}{2}', '12⁄{2}{3}'],
        'powers' => ['x^{2}', '2^{8}', '3x10^{5}', '10^{3}'],
        'roots' => ['√{50}', '√{2}', '3√{5}', '√{x}'],
        'expressions' => ['2x+6', '5(x-3)', 'x^{2}+3x-4', '(x+2)(x-5)', '4ab', '3x-2y'],
        'equations' => ['x=5', '12+35=47', 'F=80N', '2x+6=10', 'y=3x-1', 'v=12m/s'],
        'inequalities' => ['x>3', 'x≤7', 'y<12', '2≥x'],
        'both signs' => ['5±2', '±7', 'x=±4'],
        'sums' => ['90÷6', '3x4', '7+8', '15-6=9'],
    ];

    /** @return array{signs: int, right: float, confused: array<string, int>} confused: "7 as 1" => how often */
    public static function signs(int $hands, int $seed): array
    {
        $forms = Forms::all(true);
        $network = Network::shipped();
        [$all, $right, $confused] = [0, 0, []];
        for ($n = 0; $n < $hands; $n++) {
            $hand = new Hand($forms, $seed + $n);
            foreach ($hand->signs() as $sign) {
                for ($times = 0; $times < 2; $times++) {
                    $likely = $network->tell(Features::of(Trace::of($hand->sign($sign)), 100));
                    unset($likely[Network::NONE]);
                    arsort($likely);
                    $read = (string) array_key_first($likely);
                    $all++;
                    if ($read === $sign) {
                        $right++;
                    } else {
                        $confused["{$sign} as {$read}"] = ($confused["{$sign} as {$read}"] ?? 0) + 1;
                    }
                }
            }
        }
        arsort($confused);

        return ['signs' => $all, 'right' => $right / max(1, $all), 'confused' => $confused];
    }

    /**
     * @return array{lines: int, right: float, sure: float, sure_wrong: float, kinds: array<string, float>,
     *     ms: list<float>, slips: list<array{string, string}>} of all lines: how many were read right, how many it was
     *     sure
     *     of, and of these how many were wrong; by kind; how long each took; what was read instead
     */
    public static function lines(int $hands, int $seed): array
    {
        $forms = Forms::all(true);
        [$all, $right, $sure, $sureWrong, $kinds, $ms, $slips] = [0, 0, 0, 0, [], [], []];
        foreach (self::LINES as $kind => $lines) {
            [$ofKind, $rightOfKind] = [0, 0];
            for ($n = 0; $n < $hands; $n++) {
                $hand = new Hand($forms, $seed + 100 * $n);
                foreach ($lines as $line) {
                    $trace = $hand->line($line)['trace'];
                    $began = hrtime(true);
                    $read = ReadLine::of($trace, OwnForms::none());
                    $ms[] = (hrtime(true) - $began) / 1e6;
                    $isRight = self::plain($line) === self::plain($read->text);
                    $ofKind++;
                    $rightOfKind += $isRight ? 1 : 0;
                    $sure += $read->isSure ? 1 : 0;
                    $sureWrong += $read->isSure && ! $isRight ? 1 : 0;
                    if (! $isRight) {
                        $slips[] = [self::plain($line), $read->text];
                    }
                }
            }
            $all += $ofKind;
            $right += $rightOfKind;
            $kinds[$kind] = $rightOfKind / $ofKind;
        }

        return [
            'lines' => $all,
            'right' => $right / $all,
            'sure' => $sure / $all,
            'sure_wrong' => $sureWrong / max(1, $sure),
            'kinds' => $kinds,
            'ms' => $ms,
            'slips' => $slips,
        ];
    }

    /** Without what is only a way of writing: spaces, brackets, the sign for minus. */
    private static function plain(string $line): string
    {
        $line = (string) preg_replace('/⁄\{([^{}]*)\}\{([^{}]*)\}/u', '$1/$2', $line);

        return (string) preg_replace('/[\s(){}]/u', '', strtr($line, ['−' => '-', '×' => 'x']));
    }
}
