<?php

declare(strict_types=1);

namespace Crag\Session\Screen;

use Crag\Json\Fields;
use Crag\Json\UnreadableFields;
use Crag\Prompt\Paper;

/** The part of a shown page that everyone sees: its upper left corner in units, and how many times larger it is. */
final readonly class ShownPart
{
    public const LARGEST = 8;

    private function __construct(public float $x, public float $y, public float $scale)
    {
    }

    /** @throws UnreadableFields */
    public static function read(Fields $fields): self
    {
        return new self(
            $fields->number('x', 0, Paper::LONGEST),
            $fields->number('y', 0, Paper::LONGEST),
            $fields->number('scale', 1, self::LARGEST),
        );
    }

    public function isWhole(): bool
    {
        return $this->scale <= 1.0;
    }

    /** @return array{x: float, y: float, scale: float} */
    public function toArray(): array
    {
        return ['x' => $this->x, 'y' => $this->y, 'scale' => $this->scale];
    }
}
