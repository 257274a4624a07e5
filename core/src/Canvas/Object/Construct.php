<?php

declare(strict_types=1);

namespace Crag\Canvas\Object;

use Crag\Canvas\Drawing\Colour;
use Crag\Construct\Construction;
use Crag\Construct\Element;
use Crag\Construct\Scale;
use Crag\Json\Fields;
use Crag\Json\UnreadableFields;
use Crag\Prompt\Tray\Tool;

/**
 * A construction on a page. A change puts elements, new or each in place of the one of its id ("put"), or takes one away
 * with all that depends on it ("drop"): two hands at one construction change two elements of it.
 *
 * On axes it is measured in their units ("scale"), elsewhere in centimetres of a printed page.
 */
final readonly class Construct implements Handled
{
    public const TYPE = 'construction';

    public const CHANGEABLE = ['put', 'drop', 'colour', 'width'];

    /** What students change of one that a teacher handed out: they move its points and add to it. */
    public const HANDED_OUT = ['put'];

    /** So many elements one change puts at most. */
    public const MOST_PUT = 20;

    private function __construct(
        public Construction $construction,
        public Colour $colour,
        public int $width,
        public Scale $scale,
    ) {
    }

    public static function read(Fields $fields): self
    {
        return new self(
            Construction::read($fields),
            ReadField::colour($fields),
            ReadField::width($fields),
            $fields->isNull('scale') ? Scale::centimetres() : Scale::read($fields->object('scale')),
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
            $this->scale,
        );
    }

    public function toArray(): array
    {
        return [
            'type' => self::TYPE,
            'elements' => $this->construction->toArray(),
            'colour' => $this->colour->hex,
            'width' => $this->width,
        ] + ($this->scale->isAxes ? ['scale' => $this->scale->toArray()] : []);
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
