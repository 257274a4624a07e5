<?php

declare(strict_types=1);

namespace Crag\Session\Door;

/** Words that a teacher does not want in a name: a name with one knocks, whatever the door. */
final readonly class UnsuitableWords
{
    public const MOST = 500;

    private const LOOK_ALIKES = [
        '0' => 'o',
        '1' => 'i',
        '3' => 'e',
        '4' => 'a',
        '5' => 's',
        '7' => 't',
        '@' => 'a',
        '$' => 's',
        '!' => 'i',
    ];

    /** @param  list<string>  $words */
    private function __construct(public array $words)
    {
    }

    public static function none(): self
    {
        return new self([]);
    }

    /** One on each line, or with commas between them. */
    public static function read(string $typed): self
    {
        $words = array_map(
            static fn (string $word): string => mb_substr(trim($word), 0, PersonName::LONGEST),
            preg_split('/[\n\r,;]+/', mb_scrub($typed)) ?: [],
        );

        return new self(
            array_slice(
                array_values(
                    array_unique(
                        array_filter(
                            $words,
                            static fn (string $word): bool => preg_match('/\p{L}.*\p{L}/u', $word) === 1,
                        ),
                    ),
                ),
                0,
                self::MOST,
            ),
        );
    }

    /** Whether a name holds one, spaces, signs, accents and figures for letters notwithstanding. */
    public function areIn(PersonName $name): bool
    {
        $folded = self::folded($name->value);
        foreach ($this->words as $word) {
            if (str_contains($folded, self::folded($word))) {
                return true;
            }
        }

        return false;
    }

    /** Letters alone, without accents, small, and figures and signs that stand for some read as those. */
    public static function folded(string $text): string
    {
        $plain = (string) preg_replace(
            '/\p{M}+/u',
            '',
            (string) normalizer_normalize(mb_strtolower(strtr($text, self::LOOK_ALIKES)), \Normalizer::FORM_KD),
        );

        return (string) preg_replace('/[^\p{L}]+/u', '', $plain);
    }
}
