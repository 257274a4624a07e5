<?php

declare(strict_types=1);

namespace Crag\Prompt\Values;

/**
 * Finds values in braces in a text. Between dollar signs a text is LaTeX, whose own braces stay: there only braces that
 * give values ({a: 2..9}) or hold the name of one ({a}) are meant.
 */
final class Braces
{
    private const ANY = '/\{([^{}]+)\}/u';

    /** @return list<string> what stands in braces that could give values */
    public static function within(string $text): array
    {
        $found = [];
        foreach (Formulas::parts($text) as [$part, $isMaths]) {
            preg_match_all(self::ANY, $part, $matches);
            foreach ($matches[1] as $inside) {
                if (! $isMaths || str_contains($inside, ':')) {
                    $found[] = $inside;
                }
            }
        }

        return $found;
    }

    /**
     * @param  callable(string, bool): ?string  $with  what to put for what stands in braces, inside LaTeX or not; null
     *      to leave it
     */
    public static function replace(string $text, callable $with): string
    {
        $result = '';
        foreach (Formulas::parts($text) as [$part, $isMaths]) {
            $result .= preg_replace_callback(
                self::ANY,
                static fn (array $found): string => $with($found[1], $isMaths) ?? $found[0],
                $part,
            );
        }

        return $result;
    }
}
