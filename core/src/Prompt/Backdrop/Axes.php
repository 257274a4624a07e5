<?php

declare(strict_types=1);

namespace Crag\Prompt\Backdrop;

use Crag\Json\Fields;
use Crag\Json\UnreadableFields;
use Crag\Prompt\Values\Range;

/**
 * Two axes that cross: for each its range, the step from one gridline to the next, and a label at its end. With the
 * same scale both ways a circle is round and a slope of 1 is half a right angle; without it, each axis is as long as
 * the page allows.
 */
final readonly class Axes
{
    private function __construct(
        public Range $x,
        public Range $y,
        public string $xLabel,
        public string $yLabel,
        public bool $isEqual,
    ) {
    }

    /** @throws UnreadableFields */
    public static function read(Fields $fields): self
    {
        return new self(
            Range::read($fields, 'x_', 'Across: '),
            Range::read($fields, 'y_', 'Upwards: '),
            trim($fields->text('x_label', 20)),
            trim($fields->text('y_label', 20)),
            $fields->whole('equal', 0, 1, 1) === 1,
        );
    }

    /** @return array<string, string|float|int> */
    public function toArray(): array
    {
        return [
            ...$this->x->toArray('x_'),
            ...$this->y->toArray('y_'),
            'x_label' => $this->xLabel,
            'y_label' => $this->yLabel,
            'equal' => (int) $this->isEqual,
        ];
    }
}
