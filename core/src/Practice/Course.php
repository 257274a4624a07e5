<?php

declare(strict_types=1);

namespace Crag\Practice;

/** How far one student is in practice that goes on until enough answers in a row are right. */
final readonly class Course
{
    /**
     * @param  list<Task>  $tasks  those that have an answer, and the one that is open
     * @param  list<bool>  $marks  whether each answer is right: one fewer than tasks while one is open
     * @param  int  $inRow  how many of the last answers are right
     * @param  int  $level  of the last task
     */
    public function __construct(
        public array $tasks,
        public array $marks,
        public int $inRow,
        public int $level,
        public bool $isDone,
    ) {
    }
}
