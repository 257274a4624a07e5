<?php

declare(strict_types=1);

namespace Crag\Groups;

/** What is known of one student when groups are made. */
final readonly class Student
{
    /**
     * @param  string  $id  the seat's id
     * @param  int  $n  the seat's number: the last word wherever two are alike
     * @param  ?float  $secure  how secure the checked work is, from 0 to 1; null where nothing was checked
     * @param  string  $slip  the wrong answer that others gave too, or what else they have in common; empty for none
     * @param  bool  $isPattern  whether that is a sentence about the work, and not an answer
     */
    public function __construct(
        public string $id,
        public int $n,
        public ?float $secure,
        public string $slip = '',
        public bool $isPattern = false,
    ) {
    }
}
