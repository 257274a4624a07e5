<?php

declare(strict_types=1);

namespace Crag\Canvas\Drawing;

use Crag\Json\UnreadableFields;
use Stringable;

/** An opaque colour, written #rrggbb. */
final readonly class Colour implements Stringable
{
    private function __construct(public string $hex)
    {
    }

    /** One that was checked when it came in. */
    public static function kept(string $hex): self
    {
        return new self($hex);
    }

    /** @throws UnreadableFields */
    public static function from(string $hex): self
    {
        if (preg_match('/\A#[0-9a-fA-F]{6}\z/', $hex) !== 1) {
            throw UnreadableFields::badValue('colour', 'is not written #rrggbb');
        }

        return new self(strtolower($hex));
    }

    public function __toString(): string
    {
        return $this->hex;
    }
}
