<?php

declare(strict_types=1);

namespace Crag\Canvas\Object;

use Crag\Canvas\Drawing\Colour;
use Crag\Canvas\Drawing\PathData;
use Crag\Json\Fields;
use Crag\Prompt\Tray\Tool;

/**
 * A formula: its LaTeX source, and beside it the outline that the page set from it. Top left corner in tenths, the size
 * of its letters in units; the outline and its width and height are in thousandths of that size.
 */
final readonly class Maths implements CanvasObject
{
    public const TYPE = 'maths';

    public const CHANGEABLE = ['source', 'path', 'wide', 'tall', 'x', 'y', 'size', 'colour'];

    private function __construct(
        public int $x,
        public int $y,
        public int $size,
        public Colour $colour,
        public string $source,
        public PathData $path,
        public int $wide,
        public int $tall,
    ) {
    }

    public static function read(Fields $fields): self
    {
        return new self(
            ReadField::position($fields, 'x'),
            ReadField::position($fields, 'y'),
            ReadField::size($fields),
            ReadField::colour($fields),
            ReadField::source($fields),
            ReadField::path($fields),
            ReadField::ems($fields, 'wide'),
            ReadField::ems($fields, 'tall'),
        );
    }

    public function toArray(): array
    {
        return [
            'type' => self::TYPE,
            'x' => $this->x,
            'y' => $this->y,
            'size' => $this->size,
            'colour' => $this->colour->hex,
            'source' => $this->source,
            'path' => $this->path->path,
            'wide' => $this->wide,
            'tall' => $this->tall,
        ];
    }

    public function tool(): Tool
    {
        return Tool::Maths;
    }

    public function assets(): array
    {
        return [];
    }
}
