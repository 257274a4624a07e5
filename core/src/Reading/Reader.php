<?php

declare(strict_types=1);

namespace Crag\Reading;

/** Reads a student's work and says what it finds. What it says is a teacher's to send, to change or to drop. */
interface Reader
{
    /** What kind of reader it is, in plain words: it stands beside all that it says. */
    public function name(): string;

    public function read(Work $work): Reading;
}
