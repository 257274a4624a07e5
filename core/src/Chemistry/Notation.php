<?php

declare(strict_types=1);

namespace Crag\Chemistry;

use Crag\Maths\Parsing\Digits;

/**
 * The ways in which formulas are typed, made one: small digits, \ce{…}, arrows and dots. Charges stand behind "^".
 */
final class Notation
{
    private const SAME = [
        '\rightleftharpoons' => '⇌',
        '\longrightarrow' => '→',
        '\rightarrow' => '→',
        '\to' => '→',
        '<=>' => '⇌',
        '<->' => '⇌',
        '<-->' => '⇌',
        '⇄' => '⇌',
        '⇋' => '⇌',
        '↔' => '⇌',
        '-->' => '→',
        '->' => '→',
        '=>' => '→',
        '⟶' => '→',
        '➔' => '→',
        '=' => '→',
        '−' => '-',
        '–' => '-',
        '\cdot' => '·',
        '•' => '·',
        '⋅' => '·',
        '*' => '·',
        '_' => '',
        '\,' => ' ',
        '~' => ' ',
    ];

    private const LOWERED = ['₀', '₁', '₂', '₃', '₄', '₅', '₆', '₇', '₈', '₉'];

    private const RAISED = [
        '⁰' => '0', '¹' => '1', '²' => '2', '³' => '3', '⁴' => '4', '⁵' => '5', '⁶' => '6', '⁷' => '7', '⁸' => '8',
        '⁹' => '9', '⁺' => '+', '⁻' => '-',
    ];

    public static function plain(string $typed): string
    {
        $text = (string) preg_replace_callback(
            '/['.implode('', array_keys(self::RAISED)).']+/u',
            static fn (array $found): string => '^{'.strtr($found[0], self::RAISED).'}',
            Digits::plain(mb_scrub($typed)),
        );
        $text = strtr($text, array_combine(self::LOWERED, range('0', '9')));
        // \ce{H2O} and \mathrm{H}: what stands in them, alone.
        for ($i = 0; $i < 5; $i++) {
            $text = (string) preg_replace('/\\\\(?:ce|mathrm|text)\s*\{((?:[^{}]|\{[^{}]*\})*)\}/u', '$1', $text);
        }
        // H_{2}
        $text = (string) preg_replace('/_\{(\d+)\}/u', '$1', $text);

        return trim((string) preg_replace('/\s+/u', ' ', strtr($text, self::SAME)));
    }
}
