<?php

declare(strict_types=1);

namespace Crag\Handwriting;

/** A line as it was read, in LaTeX: to be set in type. */
final class InLatex
{
    private const SIGNS = [
        '−' => '-', '×' => '\times ', '÷' => '\div ', '±' => '\pm ', '≤' => '\le ', '≥' => '\ge ', 'π' => '\pi ',
        '%' => '\%',
    ];

    public static function of(string $text): string
    {
        do {
            $before = $text;
            // The innermost first. Brackets of LaTeX are braces, so that those on paper can be told from them.
            $text = (string) preg_replace(
                [
                    '/√\(([^()]*)\)/u',
                    '/√(\d[\d.]*|\p{L})/u',
                    '/\^\(([^()]*)\)/u',
                    '/\^(−?\d+|\p{L})/u',
                    '/\(([^()]*)\)\/\(([^()]*)\)/u',
                    '/(?<![\d\p{L})}\/])(\d+)\/(\d+)(?![\d\p{L}\/])/u',
                ],
                ['\sqrt{$1}', '\sqrt{$1}', '^{$1}', '^{$1}', '\frac{$1}{$2}', '\frac{$1}{$2}'],
                $text,
            );
        } while ($text !== $before);

        return strtr($text, self::SIGNS);
    }
}
