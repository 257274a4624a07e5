<?php

declare(strict_types=1);

namespace Crag\Construct;

use Crag\Construct\Figure\Point;
use Crag\Json\Fields;
use Crag\Json\UnreadableFields;

/**
 * In what is measured: in centimetres of a page that is printed on A4, or in the units of axes, which may be longer one
 * way than the other.
 *
 * JSON form of axes: {"x", "y": where they cross, in tenths, "across", "up": how long one is, in thousandths of a unit}.
 */
final readonly class Scale
{
    /** A wide page of 1600 units is printed 27.16 cm wide. */
    private const CENTIMETRE = 58.9;

    private function __construct(
        public Point $origin,
        public float $across,
        public float $up,
        public bool $isAxes,
    ) {
    }

    public static function centimetres(): self
    {
        return new self(new Point(0, 0), self::CENTIMETRE, self::CENTIMETRE, false);
    }

    /** @throws UnreadableFields */
    public static function read(Fields $axes): self
    {
        return new self(
            new Point($axes->whole('x', -100_000, 100_000) / 10, $axes->whole('y', -100_000, 100_000) / 10),
            $axes->whole('across', 1, 10_000_000) / 1000,
            $axes->whole('up', 1, 10_000_000) / 1000,
            true,
        );
    }

    /** @return array{x: int, y: int, across: int, up: int}|null null for centimetres */
    public function toArray(): ?array
    {
        return $this->isAxes
            ? [
                'x' => (int) round($this->origin->x * 10),
                'y' => (int) round($this->origin->y * 10),
                'across' => (int) round($this->across * 1000),
                'up' => (int) round($this->up * 1000),
            ]
            : null;
    }

    /** A way on the page as it is counted here: up is more. */
    public function way(Point $way): Point
    {
        return new Point($way->x / $this->across, -$way->y / $this->up);
    }

    /** A place on the page as it is counted here. */
    public function place(Point $place): Point
    {
        return $this->way($place->minus($this->origin));
    }

    /** The name of a length of one. */
    public function unit(): string
    {
        return $this->isAxes ? '' : 'cm';
    }
}
