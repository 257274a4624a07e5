<?php

declare(strict_types=1);

namespace Crag\Canvas;

/** Whose ink it is. The student layer is the student's own; what a teacher writes never touches it. */
enum Layer: string
{
    case Student = 'student';
    case Lead = 'lead';

    public function mayBeWrittenBy(Author $author): bool
    {
        return match ($this) {
            self::Student => $author->seat !== null,
            self::Lead => $author->seat === null,
        };
    }
}
