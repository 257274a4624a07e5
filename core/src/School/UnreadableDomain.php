<?php

declare(strict_types=1);

namespace Crag\School;

use InvalidArgumentException;

/** What was typed as the end of e-mail addresses, and is none. */
final class UnreadableDomain extends InvalidArgumentException
{
    /** @param  string  $word  that the sentence names, for `:word` */
    private function __construct(string $sentence, public readonly string $word = '')
    {
        parent::__construct($sentence);
    }

    public static function called(string $word): self
    {
        return new self('“:word” isn’t the end of an e-mail address. Write it like sillbeck.example.', mb_substr($word, 0, 60));
    }

    public static function tooMany(): self
    {
        return new self('That’s more than 20 endings.');
    }
}
