<?php

declare(strict_types=1);

namespace Crag\Session\Door;

use Stringable;

/**
 * The six characters that let a class in. None of them looks like another (no 0 and O, 1 and I and L, 2 and Z,
 * 5 and S, 8 and B, U and V), and without vowels no code spells a word. 21⁶, about 86 million codes.
 */
final readonly class JoinCode implements Stringable
{
    public const LENGTH = 6;

    public const ALPHABET = 'CDFGHJKMNPQRTWXY34679';

    private function __construct(public string $value)
    {
    }

    /** @param  callable(int, int): int  $draw a whole number between two, both included */
    public static function draw(callable $draw): self
    {
        $code = '';
        for ($i = 0; $i < self::LENGTH; $i++) {
            $code .= self::ALPHABET[$draw(0, strlen(self::ALPHABET) - 1)];
        }

        return new self($code);
    }

    /**
     * Reads what a student typed: small letters, spaces and dashes do no harm.
     *
     * @throws InvalidJoinCode
     */
    public static function read(string $typed): self
    {
        $code = mb_strtoupper((string) preg_replace('/[\s\-–.]+/u', '', mb_scrub($typed)));
        foreach (mb_str_split($code) as $character) {
            if (! str_contains(self::ALPHABET, $character)) {
                throw InvalidJoinCode::character($character);
            }
        }
        if (strlen($code) !== self::LENGTH) {
            throw InvalidJoinCode::length(strlen($code));
        }

        return new self($code);
    }

    /** As it is shown, in two halves: "KMP 4R7". */
    public function spaced(): string
    {
        return substr($this->value, 0, 3).' '.substr($this->value, 3);
    }

    public function __toString(): string
    {
        return $this->value;
    }
}
