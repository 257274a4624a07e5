<?php

declare(strict_types=1);

namespace Crag\Canvas\Object;

use Crag\Canvas\Drawing\Colour;
use Crag\Canvas\Drawing\Ink;
use Crag\Json\Fields;
use Crag\Prompt\Tray\Tool;

/**
 * One line of the pen or the highlighter, from touching the page to leaving it. Width in tenths of a unit, for a pen at
 * middle pressure; a highlighter's line is even, and lets through what it goes over.
 */
final readonly class Stroke implements CanvasObject
{
    public const TYPE = 'stroke';

    public const HIGHLIGHT = 'highlight';

    public const CHANGEABLE = ['colour', 'width'];

    public function __construct(
        public Colour $colour,
        public int $width,
        public Ink $ink,
        public bool $highlights = false,
    ) {
    }

    public static function read(Fields $fields): self
    {
        $text = $fields->text('ink', Ink::LONGEST_TEXT);

        return new self(
            ReadField::colour($fields),
            ReadField::width($fields),
            $fields->kept ? Ink::kept($text) : Ink::decode($text),
            $fields->text('type') === self::HIGHLIGHT,
        );
    }

    public function toArray(): array
    {
        return [
            'type' => $this->highlights ? self::HIGHLIGHT : self::TYPE,
            'colour' => $this->colour->hex,
            'width' => $this->width,
            'ink' => $this->ink->encode(),
        ];
    }

    /** The part of the line between two places, in sixteenths of a sample. */
    public function part(int $from, int $to): self
    {
        return new self($this->colour, $this->width, $this->ink->part($from, $to), $this->highlights);
    }

    public function tool(): Tool
    {
        return $this->highlights ? Tool::Highlighter : Tool::Pen;
    }

    public function assets(): array
    {
        return [];
    }
}
