<?php

declare(strict_types=1);

namespace Crag\Session\Room;

use Crag\Session\Door\InvalidName;

/** A few words from a student to the teacher, or back. */
final readonly class ShortMessage
{
    public const LONGEST = 300;

    private function __construct(public string $words)
    {
    }

    /** @throws InvalidName when nothing is left, or it is too long */
    public static function read(string $typed): self
    {
        $words = trim((string) preg_replace('/[^\P{C}\x{200c}\x{200d}\n\t]/u', '', mb_scrub($typed)));
        if ($words === '') {
            throw InvalidName::noWords();
        }

        return mb_strlen($words) > self::LONGEST ? throw InvalidName::longWords(self::LONGEST) : new self($words);
    }
}
