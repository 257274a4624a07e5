<?php

declare(strict_types=1);

namespace Crag\Session\Door;

/**
 * Words that no teacher wants to read as a name, as they ship. Found as words, so that a name that only holds the
 * letters of one stays a name; found too where they are spelled around: f.i.g.u.r.e.s, l3tters, looong.
 */
final readonly class UsualWords
{
    /** A word as long as this is found inside others. */
    private const LONG = 6;

    /** Pieces of so many letters are what a word looks like that was taken apart. */
    private const PIECE = 2;

    /** @param  list<string>  $words  folded */
    private function __construct(private array $words)
    {
    }

    /** @param  string  $text  a word on each line; what follows a # is for those who read it */
    public static function read(string $text): self
    {
        $lines = array_map(
            static fn (string $line): string => UnsuitableWords::folded((string) preg_replace('/#.*/', '', $line)),
            preg_split('/\R/', $text) ?: [],
        );

        return new self(array_values(array_unique(array_filter($lines, static fn (string $one): bool => $one !== ''))));
    }

    public function areIn(PersonName $name): bool
    {
        $pieces = array_values(
            array_filter(
                array_map(
                    // Figures alone are a number: Wren 455.
                    static fn (string $piece): string => preg_match('/\A\p{N}+\z/u', $piece) === 1
                        ? ''
                        : UnsuitableWords::folded($piece),
                    preg_split('/[\s_.\-*+~,;:\/|]+/u', $name->value) ?: [],
                ),
                static fn (string $piece): bool => $piece !== '',
            ),
        );
        $whole = implode('', $pieces);
        $isApart = $pieces !== [] && max(array_map(mb_strlen(...), $pieces)) <= self::PIECE;
        foreach ($this->words as $word) {
            foreach ($isApart ? [...$pieces, $whole] : $pieces as $piece) {
                if (in_array($word, self::readings($piece, $word), true)) {
                    return true;
                }
            }
            $isLong = mb_strlen($word) >= self::LONG;
            foreach ($isLong ? self::readings($whole, $word) : [] as $reading) {
                if (str_contains($reading, $word)) {
                    return true;
                }
            }
        }

        return false;
    }

    /**
     * How letters that are drawn out may be read: three and more of one as two of it or as one, and two as one where
     * the word has no letter twice in a row. (Bob is not a longer word that lost an o.)
     *
     * @return list<string>
     */
    private static function readings(string $text, string $word): array
    {
        $run = '/(\p{L})\1{2,}/u';
        $readings = [(string) preg_replace($run, '$1$1', $text), (string) preg_replace($run, '$1', $text)];

        return preg_match('/(\p{L})\1/u', $word) === 1
            ? $readings
            : [...$readings, (string) preg_replace('/(\p{L})\1+/u', '$1', $text)];
    }
}
