<?php

declare(strict_types=1);

namespace Crag\Manipulative;

/** A sentence and what is put into it, to be said in any language. */
final readonly class Said
{
    /** @param  array<string, int|string>  $with  by the names that stand in the words with a colon before them */
    private function __construct(public string $words, public array $with)
    {
    }

    /** @param  array<string, int|string>  $with */
    public static function of(string $words, array $with = []): self
    {
        return new self($words, $with);
    }

    /** As it stands in English. */
    public function __toString(): string
    {
        $put = [];
        foreach ($this->with as $name => $value) {
            $put[":{$name}"] = (string) $value;
        }

        return strtr($this->words, $put);
    }
}
