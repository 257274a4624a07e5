<?php

declare(strict_types=1);

namespace Crag\Render;

use Crag\Maths\Parsing\Greek;
use Crag\Prompt\Values\Formulas;

/**
 * Words with formulas between dollar signs, for where only letters can stand: ½ as 1/2, powers raised where they can
 * be.
 */
final class PlainMaths
{
    private const SIGNS = [
        'times' => ' × ',
        'cdot' => ' · ',
        'div' => ' ÷ ',
        'pm' => ' ± ',
        'le' => ' ≤ ',
        'leq' => ' ≤ ',
        'ge' => ' ≥ ',
        'geq' => ' ≥ ',
        'ne' => ' ≠ ',
        'neq' => ' ≠ ',
        'approx' => ' ≈ ',
        'pi' => 'π',
        ...Greek::LETTERS,
        'Sigma' => 'Σ',
        'Omega' => 'Ω',
        'circ' => '°',
        'infty' => '∞',
        'to' => '→',
        'rightarrow' => '→',
        'degree' => '°',
        'left' => '',
        'right' => '',
        'quad' => ' ',
        'ldots' => '…',
        'dots' => '…',
        'cdots' => '…',
    ];

    private const RAISED = [
        '0' => '⁰',
        '1' => '¹',
        '2' => '²',
        '3' => '³',
        '4' => '⁴',
        '5' => '⁵',
        '6' => '⁶',
        '7' => '⁷',
        '8' => '⁸',
        '9' => '⁹',
        '-' => '⁻',
        '−' => '⁻',
        'n' => 'ⁿ',
    ];

    public static function words(string $text): string
    {
        return Formulas::replaced($text, self::formula(...));
    }

    public static function formula(string $latex): string
    {
        $group = '\{((?:[^{}]|\{[^{}]*\})*)\}';
        // A value that was put in stands in braces of its own.
        $latex = (string) preg_replace('/\{\{([^{}]*)\}\}/u', '{$1}', $latex);
        for ($before = ''; $before !== $latex;) {
            $before = $latex;
            $latex = (string) preg_replace_callback(
                "/\\\\sqrt\s*(?:\[(\d+)\])?\s*{$group}/u",
                static fn (array $found): string => ($found[1] === '3' ? '∛' : '√').self::part($found[2]),
                $latex,
                1,
            );
            $latex = (string) preg_replace_callback(
                "/\\\\[dt]?frac\s*{$group}\s*{$group}/u",
                static fn (array $found): string => self::part($found[1]).'/'.self::part($found[2]),
                $latex,
                1,
            );
            $latex = (string) preg_replace_callback(
                "/\\\\(?:text|mathrm|vec|overline)\s*{$group}/u",
                static fn (array $found): string => $found[1],
                $latex,
                1,
            );
        }
        $latex = (string) preg_replace_callback(
            '/\\\\([A-Za-z]+) ?/',
            static fn (array $found): string => self::SIGNS[$found[1]] ?? $found[1],
            $latex,
        );
        $latex = (string) preg_replace(['/\\\\[,;! ]/', '/\\\\%/', '/\^\{?°\}?/u'], [' ', '%', '°'], $latex);
        $latex = (string) preg_replace_callback(
            '/\^(?:\{([^{}]*)\}|(.))/u',
            static fn (array $found): string => self::raised($found[1] !== '' ? $found[1] : $found[2] ?? ''),
            $latex,
        );

        return trim((string) preg_replace(['/_\{([^{}]*)\}/u', '/[{}]/', '/\s+/u'], ['_$1', '', ' '], $latex));
    }

    private static function raised(string $power): string
    {
        $raised = strtr($power, self::RAISED);

        return preg_match('/^[⁰¹²³⁴⁵⁶⁷⁸⁹⁻ⁿ]+$/u', $raised) === 1 ? $raised : '^'.self::part($power);
    }

    private static function part(string $part): string
    {
        $part = (string) preg_replace(['/_\{([^{}]*)\}/u', '/^\{(.*)\}$/u'], ['_$1', '$1'], $part);

        return preg_match('/^\S{0,1}$|^[\d.]+$|^\w+$|^√\w+$/u', trim($part)) === 1
            ? trim($part)
            : '('.trim($part).')';
    }
}
