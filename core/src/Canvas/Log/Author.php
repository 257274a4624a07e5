<?php

declare(strict_types=1);

namespace Crag\Canvas\Log;

/** Who made an operation: the student of a seat, or the teacher. */
final readonly class Author
{
    private function __construct(public ?string $seat)
    {
    }

    public static function seat(string $id): self
    {
        return new self($id);
    }

    public static function teacher(): self
    {
        return new self(null);
    }

    /** @param  array<array-key, self>  $others */
    public function isAmong(array $others): bool
    {
        foreach ($others as $other) {
            if ($this->is($other)) {
                return true;
            }
        }

        return false;
    }

    public function is(self $other): bool
    {
        return $this->seat === $other->seat;
    }
}
