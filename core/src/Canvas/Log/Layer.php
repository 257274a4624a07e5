<?php

declare(strict_types=1);

namespace Crag\Canvas\Log;

/** Whose ink it is. The student layer is the student's own; what a teacher writes never touches it. */
enum Layer: string
{
    case Student = 'student';
    case Lead = 'lead';
    /** What was handed out to be moved: put there by the teacher, moved by the student, lost by nobody. */
    case Pieces = 'pieces';
    /** What a teacher writes on a student's canvas for the student to see. */
    case Coach = 'coach';
    /**
     * What a teacher writes over a canvas for teachers alone. It has a log of its own, which no student's page is ever
     * sent.
     */
    case Private = 'private';

    /** @return list<self> what a log may hold whose author draws on this layer */
    public function besideInLog(): array
    {
        return match ($this) {
            self::Private => [self::Private],
            self::Lead => [self::Lead, self::Pieces],
            default => [self::Student, self::Lead, self::Pieces, self::Coach],
        };
    }

    public function mayBeWrittenBy(Author $author): bool
    {
        return match ($this) {
            self::Student => $author->seat !== null,
            self::Lead, self::Pieces, self::Coach, self::Private => $author->seat === null,
        };
    }

    /** Whether more than ink and objects may be on it: backdrops, fresh starts, what is given back. */
    private function arranges(): bool
    {
        return $this === self::Lead || $this === self::Pieces;
    }

    public function takes(OperationKind $kind): bool
    {
        return match ($kind) {
            OperationKind::Backdrop, OperationKind::Fresh, OperationKind::GiveBack => $this->arranges(),
            OperationKind::Answer => $this === self::Student,
            OperationKind::Page => $this !== self::Coach,
            OperationKind::ArrangePage => $this === self::Student || $this === self::Lead,
            default => true,
        };
    }
}
