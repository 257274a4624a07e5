<?php

declare(strict_types=1);

namespace Crag\Maths\Parsing;

/** Cuts what was typed into signs: numbers, letters, and the marks between them. The grammar is in docs/formats.md. */
final class Lexer
{
    public const LONGEST = 300;

    private const SAME = [
        '−' => '-',
        '–' => '-',
        '—' => '-',
        '×' => '*',
        '·' => '*',
        '⋅' => '*',
        '∙' => '*',
        '∗' => '*',
        '÷' => '/',
        '⁄' => '/',
        '∕' => '/',
        '\cdot' => '*',
        '\times' => '*',
        '\div' => '/',
        '\left' => '',
        '\right' => '',
        '\,' => ' ',
        '\;' => ' ',
        '\ ' => ' ',
        '\%' => '%',
        '\dfrac' => '\frac',
        '\tfrac' => '\frac',
        '\ldots' => '…',
        '\dots' => '…',
        '...' => '…',
        '\pi' => 'π',
        '∣' => '|',
        '\lvert' => '|',
        '\rvert' => '|',
        '\vert' => '|',
        '∛' => '\cbrt ',
    ];

    private const FRACTIONS = [
        '½' => '1/2',
        '⅓' => '1/3',
        '⅔' => '2/3',
        '¼' => '1/4',
        '¾' => '3/4',
        '⅕' => '1/5',
        '⅖' => '2/5',
        '⅗' => '3/5',
        '⅘' => '4/5',
        '⅙' => '1/6',
        '⅚' => '5/6',
        '⅛' => '1/8',
        '⅜' => '3/8',
        '⅝' => '5/8',
        '⅞' => '7/8',
        '⅐' => '1/7',
        '⅑' => '1/9',
        '⅒' => '1/10',
    ];

    private const RAISED = [
        '⁰' => '0',
        '¹' => '1',
        '²' => '2',
        '³' => '3',
        '⁴' => '4',
        '⁵' => '5',
        '⁶' => '6',
        '⁷' => '7',
        '⁸' => '8',
        '⁹' => '9',
        '⁻' => '-',
        '⁺' => '',
    ];

    /** By what it makes of them. */
    private const PATTERNS = [
        // log₂ 8, log_2 8, log_{2} 8: a logarithm with its base.
        'based' => '(?:\\\\log\s*_\s*(?=\d)\d|\\\\?log\s*_\s*(?:\{[^{}]+\}|\([^()]+\)|\d+|\p{L})|\\\\?log[₀₁₂₃₄₅₆₇₈₉]+)',
        // 0.(3) and 0.1(6); dots over the first and the last digit that come again; a line over all of them.
        'recurring' => '\d*[.,]\d*(?:\(\d+\)|\d[\x{307}\x{305}](?:\d*\d[\x{307}]|(?:\d[\x{305}])*))',
        // Groups of three after a comma or a narrow space; otherwise, and always after a leading zero, a comma is a
        // decimal point.
        'grouped' => '[1-9]\d{0,2}(?:[,\x{A0}\x{2009}\x{202F}]\d{3})+(?!\d)(?:\.\d+)?',
        'spaced' => '[1-9]\d{0,2}(?: \d{3})+(?![\d\/ ]*\/)(?!\d)(?:\.\d+)?',
        'number' => '\d+(?:[.,]\d+)?|[.]\d+',
        'fraction' => '[½⅓⅔¼¾⅕⅖⅗⅘⅙⅚⅛⅜⅝⅞⅐⅑⅒]',
        'raised' => '[⁻⁺]?[⁰¹²³⁴⁵⁶⁷⁸⁹]+',
        'command' => '\\\\[A-Za-z]+',
        'letter' => '\p{L}(?:_\{?[A-Za-z0-9]+\}?)?',
        'mark' => '[-+*\/^()\[\]{}√%…!|]',
    ];

    /**
     * @return list<Token>
     *
     * @throws UnreadableMaths
     */
    public static function cut(string $typed): array
    {
        $text = trim(self::inRadians(strtr(Digits::plain(mb_scrub($typed)), self::SAME)));
        if ($text === '') {
            throw UnreadableMaths::nothing();
        }
        if (mb_strlen($text) > self::LONGEST) {
            throw UnreadableMaths::long(self::LONGEST);
        }
        $any = implode(
            '|',
            array_map(
                static fn (string $name, string $pattern): string => "(?<{$name}>{$pattern})",
                array_keys(self::PATTERNS),
                self::PATTERNS,
            ),
        );
        $tokens = [];
        for ($at = 0; $at < strlen($text);) {
            preg_match(
                '/\G(?<space>\s*)(?:(?<word>pi|sqrt|cbrt|root|(?:(?:arc|a)?(?:sin|cos|tan)|ln|log|exp|mod|abs|or|and)(?![\p{L}_₀₁₂₃₄₅₆₇₈₉]))|'.
                    $any.
                    ')/u',
                $text,
                $found,
                PREG_UNMATCHED_AS_NULL,
                $at,
            );
            if (($found[0] ?? '') === '') {
                throw UnreadableMaths::sign(mb_substr(ltrim(substr($text, $at)), 0, 1));
            }
            $tokens[] = self::token($found);
            $at += strlen((string) $found[0]);
        }

        return $tokens;
    }

    /** An angle in degrees after the name of a function: sin 30° is sin(30π/180). */
    public static function inRadians(string $text): string
    {
        return (string) preg_replace(
            '/(?<=sin|cos|tan)(?<raised>[⁻⁺⁰¹²³⁴⁵⁶⁷⁸⁹]*)\s*(\(?)\s*([-−]?\d+(?:[.,]\d+)?)\s*[°º]\s*(\)?)/u',
            '$1(($3)*π/180)',
            $text,
        );
    }

    /** @param  array<array-key, ?string>  $found */
    private static function token(array $found): Token
    {
        $space = ($found['space'] ?? '') !== '';
        if (isset($found['word'])) {
            return $found['word'] === 'pi'
                ? new Token('letter', 'π', $space)
                : new Token('command', str_replace('arc', 'a', $found['word']), $space);
        }
        foreach (array_keys(self::PATTERNS) as $name) {
            $text = $found[$name] ?? null;
            if ($text === null) {
                continue;
            }

            return match ($name) {
                'based' => new Token('based', self::base($text), $space),
                'recurring' => new Token('recurring', str_replace(',', '.', $text), $space),
                'grouped', 'spaced' => new Token('number', (string) preg_replace('/[^\d.]/u', '', $text), $space),
                'number' => new Token('number', str_replace(',', '.', $text), $space),
                'fraction' => new Token('fraction', self::FRACTIONS[$text], $space),
                'raised' => new Token('raised', strtr($text, self::RAISED), $space),
                'command' => self::command(substr($text, 1), $space),
                'letter' => new Token('letter', str_replace(['{', '}'], '', $text), $space),
                default => new Token($text, $text, $space),
            };
        }
        throw UnreadableMaths::sign($found[0] ?? '');
    }

    /** What stands small behind "log". */
    private static function base(string $text): string
    {
        $small = (string) preg_replace('/^\\\\?log\s*_?\s*/u', '', $text);

        return strtr(trim($small, '{}()'), array_combine(mb_str_split('₀₁₂₃₄₅₆₇₈₉'), range('0', '9')));
    }

    private static function command(string $name, bool $space): Token
    {
        return isset(Greek::LETTERS[$name])
            ? new Token('letter', Greek::LETTERS[$name], $space)
            : new Token('command', str_replace('arc', 'a', $name), $space);
    }
}
