<?php

declare(strict_types=1);

namespace Crag\Canvas\Object;

use Crag\Canvas\Colour;
use Crag\Canvas\Fields;
use Crag\Canvas\Ink;
use Crag\Canvas\UnreadableOperation;

/** One line of the pen, from touching the page to leaving it. Width in tenths of a unit at middle pressure. */
final readonly class Stroke implements CanvasObject
{
    public const TYPE = 'stroke';

    public function __construct(public Colour $colour, public int $width, public Ink $ink)
    {
    }

    public static function read(Fields $fields): self
    {
        return new self(
            Colour::from($fields->text('colour')),
            $fields->whole('width', 5, 600),
            Ink::decode($fields->text('ink', Ink::MOST_SAMPLES * 24)),
        );
    }

    public function toArray(): array
    {
        return [
            'type' => self::TYPE,
            'colour' => $this->colour->hex,
            'width' => $this->width,
            'ink' => $this->ink->encode(),
        ];
    }

    public function with(Fields $set): CanvasObject
    {
        throw UnreadableOperation::badValue('set', 'cannot change a stroke');
    }
}
