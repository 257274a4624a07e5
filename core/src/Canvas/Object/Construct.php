<?php

declare(strict_types=1);

namespace Crag\Canvas\Object;

use Crag\Canvas\Drawing\Colour;
use Crag\Construct\Construction;
use Crag\Construct\Element;
use Crag\Json\Fields;
use Crag\Json\UnreadableFields;
use Crag\Prompt\Tray\Tool;

/**
 * A construction on a page. A change puts elements, new or each in place of the one of its id ("put"), or takes one away
 * with all that depends on it ("drop"): two hands at one construction change two elements of it.
 *
 * Lengths are told in `unit`, of which one is `per` tenths of a unit of the page.
 */
final readonly class Construct implements CanvasObject
{
    public const TYPE = 'construction';

    public const CHANGEABLE = ['put', 'drop', 'colour', 'width'];

    /** A centimetre of a wide page that is printed on A4, in tenths of a unit. */
    public const CENTIMETRE = 589;

    /** So many elements one change puts at most. */
    public const MOST_PUT = 20;

    private const LONGEST_UNIT = 8;

    private function __construct(
        public Construction $construction,
        public Colour $colour,
        public int $width,
        public int $per,
        public string $unit,
    ) {
    }

    public static function read(Fields $fields): self
    {
        return new self(
            Construction::read($fields),
            ReadField::colour($fields),
            ReadField::width($fields),
            $fields->whole('per', 1, 100_000, self::CENTIMETRE),
            $fields->has('unit') ? trim($fields->text('unit', self::LONGEST_UNIT)) : 'cm',
        );
    }

    /**
     * The same with settings changed, as {@see ReadObject::settings} gives them.
     *
     * @param  array<string, mixed>  $set
     *
     * @throws UnreadableFields when an element does not fit in
     */
    public function with(array $set): self
    {
        $construction = $this->construction;
        foreach (is_array($set['put'] ?? null) ? $set['put'] : [] as $element) {
            $construction = $construction->with(Element::read(new Fields((array) $element)));
        }
        if (is_string($set['drop'] ?? null)) {
            $construction = $construction->without($set['drop']);
        }

        return new self(
            $construction,
            isset($set['colour']) ? ReadField::colour(new Fields($set)) : $this->colour,
            isset($set['width']) ? ReadField::width(new Fields($set)) : $this->width,
            $this->per,
            $this->unit,
        );
    }

    public function toArray(): array
    {
        return [
            'type' => self::TYPE,
            'elements' => $this->construction->toArray(),
            'colour' => $this->colour->hex,
            'width' => $this->width,
        ] + ($this->per === self::CENTIMETRE ? [] : ['per' => $this->per]) +
            ($this->unit === 'cm' ? [] : ['unit' => $this->unit]);
    }

    public function tool(): Tool
    {
        return Tool::Construct;
    }

    public function assets(): array
    {
        return [];
    }
}
