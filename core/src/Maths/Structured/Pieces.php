<?php

declare(strict_types=1);

namespace Crag\Maths\Structured;

use Crag\Maths\Parsing\Digits;

/** Cuts an answer into its pieces, brackets kept whole. */
final class Pieces
{
    private const SAME = [
        '\leqslant' => '≤', '\geqslant' => '≥', '\leq' => '≤', '\geq' => '≥', '\le' => '≤', '\ge' => '≥',
        '<=' => '≤', '>=' => '≥', '=<' => '≤', '=>' => '≥', '\lt' => '<', '\gt' => '>',
        '\pm' => '±', '+/-' => '±', '+-' => '±', '\{' => '{', '\}' => '}', '\lbrace' => '{', '\rbrace' => '}',
        '\infty' => '∞', '\left' => '', '\right' => '', '\colon' => ':', '∶' => ':', '\text{or}' => ' or ',
        '\text{and}' => ' and ', '\lor' => ' or ', '\land' => ' and ', '∨' => ' or ', '∧' => ' and ',
    ];

    public static function plain(string $written): string
    {
        return trim(strtr(Digits::plain(mb_scrub($written)), self::SAME));
    }

    /**
     * At signs that stand in no brackets.
     *
     * @param  string  $signs  any of these
     * @return list<string>
     */
    public static function apart(string $text, string $signs): array
    {
        $pieces = [''];
        $depth = 0;
        foreach (mb_str_split($text) as $letter) {
            $depth += match (true) {
                str_contains('([{', $letter) => 1,
                str_contains(')]}', $letter) => -1,
                default => 0,
            };
            if ($depth === 0 && mb_strpos($signs, $letter) !== false) {
                $pieces[] = '';
            } else {
                $pieces[count($pieces) - 1] .= $letter;
            }
        }

        return array_map(trim(...), $pieces);
    }

    /**
     * "x = 2 or x = −2", "2; −2", "2, −2": a comma parts answers where a space or a letter follows it, since it may be a
     * decimal point otherwise.
     *
     * @return list<string>
     */
    public static function alternatives(string $text): array
    {
        $text = (string) preg_replace(['/\s+(?:or|and)\s+/u', '/,(?=\s|\p{L}\s*=)/u'], [';', ';'], $text);

        return array_values(array_filter(self::apart($text, ';'), static fn (string $one): bool => $one !== ''));
    }
}
