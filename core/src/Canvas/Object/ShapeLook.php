<?php

declare(strict_types=1);

namespace Crag\Canvas\Object;

use Crag\Canvas\Drawing\Colour;
use Crag\Json\Fields;

/**
 * How a shape's line and its inside look. What is as usual is left out of its JSON form: filled with the line's own
 * colour, lightly; an even line; a head at an arrow's end alone.
 */
final readonly class ShapeLook
{
    public const CHANGEABLE = ['colour', 'width', 'filled', 'fill', 'strength', 'line', 'ends'];

    public const LINES = ['solid', 'dashed', 'dotted'];

    public const ENDS = ['none', 'end', 'both'];

    /** The inside has the line's colour. */
    public const OWN = 'own';

    /** Per cent of the inside's colour. */
    public const LIGHT = 18;

    /** What has ends. */
    private const OPEN = ['line', 'arrow', 'curve'];

    /**
     * @param  int  $width  of the line, in tenths of a unit
     * @param  ?Colour  $fill  null for the line's own
     * @param  int  $strength  of the fill, in per cent
     */
    private function __construct(
        private string $type,
        public Colour $colour,
        public int $width,
        private bool $filled,
        public ?Colour $fill,
        public int $strength,
        public string $line,
        public string $ends,
    ) {
    }

    /** @param  string  $type  of the shape */
    public static function read(Fields $fields, string $type): self
    {
        return new self(
            $type,
            ReadField::colour($fields),
            ReadField::width($fields),
            $fields->flag('filled'),
            self::fill($fields),
            self::strength($fields),
            $fields->oneOf('line', self::LINES, 'solid'),
            $fields->oneOf('ends', self::ENDS, self::usualEnds($type)),
        );
    }

    public static function fill(Fields $fields): ?Colour
    {
        return $fields->has('fill') && $fields->text('fill') !== self::OWN ? ReadField::colour($fields, 'fill') : null;
    }

    public static function strength(Fields $fields): int
    {
        return $fields->whole('strength', 5, 100, self::LIGHT);
    }

    /** Whether the inside is seen. */
    public function isFilled(): bool
    {
        return $this->filled && ! $this->isOpen();
    }

    public function hasHeadAtEnd(): bool
    {
        return $this->isOpen() && $this->ends !== 'none';
    }

    public function hasHeadAtStart(): bool
    {
        return $this->isOpen() && $this->ends === 'both';
    }

    /** @return array<string, string|int|bool> */
    public function toArray(): array
    {
        return ['colour' => $this->colour->hex, 'width' => $this->width, 'filled' => $this->filled] +
            ($this->fill === null ? [] : ['fill' => $this->fill->hex]) +
            ($this->strength === self::LIGHT ? [] : ['strength' => $this->strength]) +
            ($this->line === 'solid' ? [] : ['line' => $this->line]) +
            ($this->ends === self::usualEnds($this->type) ? [] : ['ends' => $this->ends]);
    }

    private function isOpen(): bool
    {
        return in_array($this->type, self::OPEN, true);
    }

    private static function usualEnds(string $type): string
    {
        return $type === 'arrow' ? 'end' : 'none';
    }
}
