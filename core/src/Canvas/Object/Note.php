<?php

declare(strict_types=1);

namespace Crag\Canvas\Object;

use Crag\Canvas\Drawing\Colour;
use Crag\Json\Fields;
use Crag\Prompt\Tray\Tool;

/** A sticky note: words on a coloured sheet. Corner, width and height in tenths, the size of the letters in units. */
final readonly class Note implements CanvasObject
{
    public const TYPE = 'note';

    public const CHANGEABLE = ['text', 'x', 'y', 'w', 'h', 'size', 'colour'];

    /** Between the sheet's edge and the words, in units. */
    public const MARGIN = 16;

    private function __construct(
        public int $x,
        public int $y,
        public int $w,
        public int $h,
        public int $size,
        public Colour $colour,
        public string $text,
    ) {
    }

    public static function read(Fields $fields): self
    {
        return new self(
            ReadField::position($fields, 'x'),
            ReadField::position($fields, 'y'),
            ReadField::length($fields, 'w'),
            ReadField::length($fields, 'h'),
            ReadField::size($fields),
            ReadField::colour($fields),
            ReadField::words($fields),
        );
    }

    public function toArray(): array
    {
        return [
            'type' => self::TYPE,
            'x' => $this->x,
            'y' => $this->y,
            'w' => $this->w,
            'h' => $this->h,
            'size' => $this->size,
            'colour' => $this->colour->hex,
            'text' => $this->text,
        ];
    }

    public function tool(): Tool
    {
        return Tool::Note;
    }

    public function assets(): array
    {
        return [];
    }
}
