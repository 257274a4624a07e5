<?php

declare(strict_types=1);

namespace Crag\Manipulative;

use Crag\Json\Fields;
use Crag\Json\UnreadableFields;

/**
 * One thing that a hand does to a manipulative: presses a part of it, drags the part to a place (units, in the
 * manipulative's own drawing), or types a number into it.
 */
final readonly class Act
{
    private const FARTHEST = 4000;

    private function __construct(
        public string $part,
        public int $n,
        public ?int $x,
        public ?int $y,
        public ?int $to,
    ) {
    }

    public static function press(string $part, int $n = 0): self
    {
        return new self($part, $n, null, null, null);
    }

    public static function drag(string $part, int $n, int $x, int $y): self
    {
        return new self($part, $n, $x, $y, null);
    }

    public static function type(string $part, int $n, int $to): self
    {
        return new self($part, $n, null, null, $to);
    }

    /** @throws UnreadableFields */
    public static function read(Fields $fields): self
    {
        $place = static fn (string $name): ?int => $fields->isNull($name)
            ? null
            : $fields->whole($name, -self::FARTHEST, self::FARTHEST);

        return new self(
            $fields->text('part', 20),
            $fields->whole('n', -9999, 9999, 0),
            $place('x'),
            $place('y'),
            $fields->isNull('to') ? null : $fields->whole('to', -Field::LARGEST, Field::LARGEST),
        );
    }

    /** @return array<string, int|string> */
    public function toArray(): array
    {
        return array_filter(
            ['part' => $this->part, 'n' => $this->n, 'x' => $this->x, 'y' => $this->y, 'to' => $this->to],
            static fn (mixed $value): bool => $value !== null,
        );
    }
}
