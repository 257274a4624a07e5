<?php

declare(strict_types=1);

namespace Crag\Canvas\Object;

use Crag\Canvas\Drawing\Place;
use Crag\Json\Fields;
use Crag\Prompt\Paper;

/** What one end of a line is tied to: another object, at a point of it that goes wherever it is moved. */
final readonly class Tie
{
    /**
     * @param  string  $on  the other object's id
     * @param  int  $x  of the point on the other object as it is before it is placed, in tenths
     */
    private function __construct(public string $on, private int $x, private int $y)
    {
    }

    public static function read(Fields $fields): self
    {
        return new self(
            ObjectId::in($fields, 'on'),
            ReadField::position($fields, 'x'),
            ReadField::position($fields, 'y'),
        );
    }

    /** @return array{int, int} where the point is on the page, in tenths */
    public function at(?Place $place): array
    {
        return self::through($place, $this->x, $this->y);
    }

    /** @return array{int, int} where a point of an object comes to lie, in tenths, rounded as a browser rounds */
    public static function through(?Place $place, int $x, int $y): array
    {
        if ($place === null) {
            return [$x, $y];
        }
        [$a, $b, $c, $d, $e, $f] = $place->matrix();
        $tenths = static fn (float $value): int => (int) floor($value + 0.5);

        return [
            $tenths($a * $x + $c * $y + $e * Paper::TENTHS),
            $tenths($b * $x + $d * $y + $f * Paper::TENTHS),
        ];
    }

    /** @return array{on: string, x: int, y: int} */
    public function toArray(): array
    {
        return ['on' => $this->on, 'x' => $this->x, 'y' => $this->y];
    }
}
