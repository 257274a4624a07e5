<?php

declare(strict_types=1);

namespace Crag\Canvas\Object;

use Crag\Canvas\Drawing\Colour;
use Crag\Json\Fields;
use Crag\Json\UnreadableFields;
use Crag\Prompt\Tray\Tool;

/**
 * Typed words in a box: top left corner and width in tenths, the size of the letters in units. The page that wrote them
 * measured the width and marked where lines end for want of room (see {@see Words}); a fixed width was set by hand.
 */
final readonly class Text implements CanvasObject
{
    public const TYPE = 'text';

    public const LONGEST = ReadField::LONGEST_WORDS;

    public const CHANGEABLE = ['text', 'x', 'y', 'w', 'size', 'colour', 'align', 'fixed', 'marks', 'list', 'face'];

    /** What stands before each paragraph. */
    public const LISTS = ['none', 'bullets', 'numbers'];

    /** Code has letters of one width. */
    public const FACES = ['plain', 'code'];

    private function __construct(
        public int $x,
        public int $y,
        public int $w,
        public int $size,
        public Colour $colour,
        public string $align,
        public bool $fixed,
        public string $text,
        public TextMarks $marks,
        public string $list,
        public string $face,
    ) {
    }

    public static function read(Fields $fields): self
    {
        $text = ReadField::words($fields);
        if (trim($text) === '') {
            throw UnreadableFields::badValue('text', 'is empty');
        }

        return new self(
            ReadField::position($fields, 'x'),
            ReadField::position($fields, 'y'),
            ReadField::length($fields, 'w'),
            ReadField::size($fields),
            ReadField::colour($fields),
            ReadField::align($fields),
            $fields->flag('fixed'),
            $text,
            TextMarks::read($fields)->within($text),
            $fields->oneOf('list', self::LISTS, 'none'),
            $fields->oneOf('face', self::FACES, 'plain'),
        );
    }

    public function toArray(): array
    {
        return [
            'type' => self::TYPE,
            'x' => $this->x,
            'y' => $this->y,
            'w' => $this->w,
            'size' => $this->size,
            'colour' => $this->colour->hex,
            'align' => $this->align,
            'fixed' => $this->fixed,
            'text' => $this->text,
        ] +
            ($this->marks->toArray() === [] ? [] : ['marks' => $this->marks->toArray()]) +
            ($this->list === 'none' ? [] : ['list' => $this->list]) +
            ($this->face === 'plain' ? [] : ['face' => $this->face]);
    }

    public function tool(): Tool
    {
        return Tool::Text;
    }

    public function assets(): array
    {
        return [];
    }
}
