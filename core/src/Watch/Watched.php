<?php

declare(strict_types=1);

namespace Crag\Watch;

/**
 * What is known at one moment of one student's canvas for a prompt. Times are milliseconds since 1970, on one clock.
 */
final readonly class Watched
{
    /**
     * @param  string  $seat  the seat's id
     * @param  bool  $isHere  whether the student's page answers
     * @param  bool  $isElsewhere  whether the student has turned to another prompt
     * @param  ?int  $lastStrokeMs  when the student last worked on this canvas; null for never
     * @param  ?int  $sentAtMs  when it was sent to the teacher
     * @param  ?int  $givenAtMs  since when the student could work on it
     * @param  int  $rubbedOut  how often something was rubbed out, emptied or undone within {@see Signals::RUBBING_MS}
     * @param  int  $objects  how much was ever put on it
     * @param  int  $prompt  the place of the prompt at which the student is, from 1
     * @param  bool  $isUnreadable  whether something in the seat's data cannot be worked out
     */
    public function __construct(
        public string $seat,
        public bool $isHere = true,
        public bool $isKnocking = false,
        public bool $hasHandUp = false,
        public bool $isElsewhere = false,
        public bool $isCovered = false,
        public ?int $lastStrokeMs = null,
        public ?int $sentAtMs = null,
        public ?int $givenAtMs = null,
        public int $rubbedOut = 0,
        public int $objects = 0,
        public int $prompt = 1,
        public bool $isUnreadable = false,
    ) {
    }

    /** The same seat, known to hold something that cannot be worked out. */
    public function unreadable(): self
    {
        /** @var array{seat: string} $all the constructor's own */
        $all = ['isUnreadable' => true] + get_object_vars($this);

        return new self(...$all);
    }
}
