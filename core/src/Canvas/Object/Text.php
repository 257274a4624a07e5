<?php

declare(strict_types=1);

namespace Crag\Canvas\Object;

use Crag\Canvas\Colour;
use Crag\Canvas\Fields;
use Crag\Canvas\Page;
use Crag\Canvas\UnreadableOperation;

/** Typed words. The position is the top left corner of the first line, in tenths; the size is in units. */
final readonly class Text implements CanvasObject
{
    public const TYPE = 'text';

    public const LONGEST = 2000;

    /** From one line's baseline to the next, in sizes. */
    public const LINE_HEIGHT = 1.25;

    /** From the top of a line to its baseline, in sizes. */
    public const ASCENT = 0.95;

    private function __construct(
        public int $x,
        public int $y,
        public int $size,
        public Colour $colour,
        public string $text,
    ) {
    }

    public static function read(Fields $fields): self
    {
        $text = $fields->text('text', self::LONGEST);
        if (trim($text) === '') {
            throw UnreadableOperation::badValue('text', 'is empty');
        }

        return new self(
            $fields->whole('x', 0, Page::WIDTH * Page::TENTHS),
            $fields->whole('y', 0, Page::HEIGHT * Page::TENTHS),
            $fields->whole('size', 12, 200),
            Colour::from($fields->text('colour')),
            self::plain($text),
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
            'text' => $this->text,
        ];
    }

    public function with(Fields $set): CanvasObject
    {
        return self::read(new Fields([...$this->toArray(), 'text' => $set->text('text', self::LONGEST)]));
    }

    /** @return list<string> */
    public function lines(): array
    {
        return explode("\n", $this->text);
    }

    /** Line ends made "\n"; control characters, which no XML can hold, left out. */
    private static function plain(string $text): string
    {
        $text = str_replace(["\r\n", "\r"], "\n", $text);

        return (string) preg_replace('/[^\P{C}\n\x{200c}\x{200d}]/u', '', str_replace("\t", ' ', $text));
    }
}
