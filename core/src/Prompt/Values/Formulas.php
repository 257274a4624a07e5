<?php

declare(strict_types=1);

namespace Crag\Prompt\Values;

/**
 * Finds formulas in a text. One begins with a dollar sign before something that is no space and ends with the next
 * dollar sign, which must come right after something that is no space and not before a digit: so "$5 and then $6" are
 * prices. A backslash before a dollar sign makes it a plain one. resources/ts/questions/words.ts parts texts the same.
 */
final class Formulas
{
    private const FORMULA = '/((?<!\\\\)\$(?=[^\s$])(?:\\\\.|[^$\\\\\n])+?(?<=\S)\$(?!\d))/u';

    /** @return list<array{string, bool}> the text in turns: words, and formulas with their dollar signs */
    public static function parts(string $text): array
    {
        $parts = [];
        foreach (preg_split(self::FORMULA, $text, -1, PREG_SPLIT_DELIM_CAPTURE) ?: [] as $i => $part) {
            $parts[] = [$part, $i % 2 === 1];
        }

        return $parts;
    }

    /** @param  callable(string): string  $set  what stands for a formula, which it is given without its dollar signs */
    public static function replaced(string $text, callable $set): string
    {
        $whole = '';
        foreach (self::parts($text) as [$part, $isFormula]) {
            $whole .= $isFormula ? $set(substr($part, 1, -1)) : str_replace('\\$', '$', $part);
        }

        return $whole;
    }
}
