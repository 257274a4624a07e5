<?php

declare(strict_types=1);

namespace Crag\Prompt;

use Crag\Prompt\Backdrop\Backdrop;

/** One task: what it says, and what lies under the ink. Either may be left empty. */
final readonly class Prompt
{
    public const LONGEST_WORDS = 2000;

    private function __construct(public string $words, public Backdrop $backdrop)
    {
    }

    /** @throws InvalidPrompt */
    public static function of(string $words, Backdrop $backdrop): self
    {
        $words = trim(str_replace(["\r\n", "\r"], "\n", mb_scrub($words)));
        if (mb_strlen($words) > self::LONGEST_WORDS) {
            throw InvalidPrompt::tooLong(mb_strlen($words), self::LONGEST_WORDS);
        }

        return new self($words, $backdrop);
    }
}
