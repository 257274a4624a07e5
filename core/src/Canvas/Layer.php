<?php

declare(strict_types=1);

namespace Crag\Canvas;

/** Whose ink it is. The student layer is the student's own; what a teacher writes never touches it. */
enum Layer: string
{
    case Student = 'student';
    case Lead = 'lead';
    /** What was handed out to be moved: put there by the teacher, moved by the student, lost by nobody. */
    case Pieces = 'pieces';

    public function mayBeWrittenBy(Author $author): bool
    {
        return match ($this) {
            self::Student => $author->seat !== null,
            self::Lead, self::Pieces => $author->seat === null,
        };
    }
}
