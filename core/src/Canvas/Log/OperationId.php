<?php

declare(strict_types=1);

namespace Crag\Canvas\Log;

use Crag\Json\UnreadableFields;
use Stringable;

/** The id that a browser gives an operation; what an add makes is known by the add's id. */
final readonly class OperationId implements Stringable
{
    private function __construct(public string $value)
    {
    }

    /** @throws UnreadableFields unless it is 12 to 32 letters, digits, "-" or "_" */
    public static function from(mixed $value): self
    {
        if (! is_string($value) || preg_match('/\A[A-Za-z0-9_-]{12,32}\z/', $value) !== 1) {
            throw UnreadableFields::missing('id');
        }

        return new self($value);
    }

    /** One that was checked when it came in. */
    public static function kept(string $value): self
    {
        return new self($value);
    }

    public function __toString(): string
    {
        return $this->value;
    }
}
