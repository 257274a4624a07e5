<?php

declare(strict_types=1);

namespace Crag\Canvas\Object;

use Crag\Canvas\Drawing\Colour;
use Crag\Canvas\Drawing\StampArt;
use Crag\Json\Fields;
use Crag\Prompt\Tray\Tool;

/** One of our small drawings, as large as its size in units; its middle stands at x, y in tenths. */
final readonly class Stamp implements CanvasObject
{
    public const TYPE = 'stamp';

    public const CHANGEABLE = ['x', 'y', 'size', 'colour'];

    private function __construct(
        public string $stamp,
        public int $x,
        public int $y,
        public int $size,
        public Colour $colour,
    ) {
    }

    public static function read(Fields $fields): self
    {
        return new self(
            $fields->oneOf('stamp', StampArt::names()),
            ReadField::position($fields, 'x'),
            ReadField::position($fields, 'y'),
            ReadField::size($fields),
            ReadField::colour($fields),
        );
    }

    public function toArray(): array
    {
        return [
            'type' => self::TYPE,
            'stamp' => $this->stamp,
            'x' => $this->x,
            'y' => $this->y,
            'size' => $this->size,
            'colour' => $this->colour->hex,
        ];
    }

    public function tool(): Tool
    {
        return Tool::Stamps;
    }

    public function assets(): array
    {
        return [];
    }
}
