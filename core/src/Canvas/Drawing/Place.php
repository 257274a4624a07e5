<?php

declare(strict_types=1);

namespace Crag\Canvas\Drawing;

use Crag\Json\UnreadableFields;
use Crag\Prompt\Paper;

/**
 * Where an object was moved, turned and scaled to, as [x, y in tenths, turn in hundredths of a degree clockwise,
 * scale in ten-thousandths]: first scaled and turned about the page's top left corner, then moved.
 */
final readonly class Place
{
    private const FARTHEST = 200_000;

    private const SMALLEST = 200;

    private const LARGEST = 500_000;

    private function __construct(public int $x, public int $y, public int $turn, public int $scale)
    {
    }

    public static function untouched(): self
    {
        return new self(0, 0, 0, 10_000);
    }

    /**
     * @param  list<mixed>  $numbers
     *
     * @throws UnreadableFields
     */
    public static function read(array $numbers): self
    {
        if (count($numbers) !== 4 || array_filter($numbers, is_int(...)) !== $numbers) {
            throw UnreadableFields::badValue('place', 'is not four whole numbers');
        }
        /** @var array{int, int, int, int} $numbers */
        [$x, $y, $turn, $scale] = $numbers;
        $fits =
            max(abs($x), abs($y)) <= self::FARTHEST &&
            $turn >= 0 &&
            $turn < 36_000 &&
            $scale >= self::SMALLEST &&
            $scale <= self::LARGEST;

        return $fits ? new self($x, $y, $turn, $scale) : throw UnreadableFields::badValue('place', 'is out of reach');
    }

    /** @return array{int, int, int, int} */
    public function toArray(): array
    {
        return [$this->x, $this->y, $this->turn, $this->scale];
    }

    public function isUntouched(): bool
    {
        return $this->toArray() === [0, 0, 0, 10_000];
    }

    /** @return array{float, float, float, float, float, float} as SVG writes a matrix, in units */
    public function matrix(): array
    {
        $turn = deg2rad($this->turn / 100);
        $scale = $this->scale / 10_000;

        return [
            $scale * cos($turn),
            $scale * sin($turn),
            -$scale * sin($turn),
            $scale * cos($turn),
            $this->x / Paper::TENTHS,
            $this->y / Paper::TENTHS,
        ];
    }
}
