<?php

declare(strict_types=1);

namespace Crag\Canvas\Object;

use Crag\Json\Fields;
use Crag\Prompt\Tray\Tool;

/**
 * A shape drawn from one corner to the opposite one: for a line or an arrow, from its beginning to its end. Corner and
 * the way to the other one in tenths, which may be negative; a triangle stands on the side that the pen went to.
 */
final readonly class BoxShape implements CanvasObject
{
    public const TYPES = ['line', 'arrow', 'rectangle', 'ellipse', 'triangle'];

    public const CHANGEABLE = ['x', 'y', 'w', 'h', ...ShapeLook::CHANGEABLE];

    private function __construct(
        public string $type,
        public int $x,
        public int $y,
        public int $w,
        public int $h,
        public ShapeLook $look,
    ) {
    }

    public static function read(Fields $fields): self
    {
        $type = $fields->oneOf('type', self::TYPES);

        return new self(
            $type,
            ReadField::position($fields, 'x'),
            ReadField::position($fields, 'y'),
            ReadField::length($fields, 'w'),
            ReadField::length($fields, 'h'),
            ShapeLook::read($fields, $type),
        );
    }

    public function toArray(): array
    {
        return ['type' => $this->type, 'x' => $this->x, 'y' => $this->y, 'w' => $this->w, 'h' => $this->h] +
            $this->look->toArray();
    }

    public function tool(): Tool
    {
        return Tool::Shapes;
    }

    public function assets(): array
    {
        return [];
    }
}
