<?php

declare(strict_types=1);

namespace Crag\Canvas\Drawing;

use Crag\Canvas\Object\BoxShape;
use Crag\Canvas\Object\CanvasObject;
use Crag\Canvas\Object\Construct;
use Crag\Canvas\Object\Manipulative;
use Crag\Canvas\Object\Maths;
use Crag\Canvas\Object\Note;
use Crag\Canvas\Object\Picture;
use Crag\Canvas\Object\Piece;
use Crag\Canvas\Object\PointShape;
use Crag\Canvas\Object\Stamp;
use Crag\Canvas\Object\Stroke;
use Crag\Canvas\Object\Text;
use Crag\Canvas\Object\Words;
use Crag\Construct\Figure\Point;
use Crag\Prompt\Paper;
use LogicException;

/** The upright box around the middle of an object's lines, before it is placed. In units. */
final readonly class Bounds
{
    private function __construct(public float $left, public float $top, public float $right, public float $bottom)
    {
    }

    public static function of(CanvasObject $object): self
    {
        return match (true) {
            $object instanceof Piece => self::of($object->of),
            $object instanceof BoxShape,
            $object instanceof Picture,
            $object instanceof Note => self::box($object->x, $object->y, $object->w, $object->h),
            $object instanceof PointShape => self::around(array_chunk($object->points, 2)),
            $object instanceof Manipulative => self::box(
                $object->x + $object->sketch()->left * Paper::TENTHS,
                $object->y + $object->sketch()->top * Paper::TENTHS,
                $object->sketch()->width * Paper::TENTHS,
                $object->sketch()->height * Paper::TENTHS,
            ),
            $object instanceof Construct => self::around(array_map(
                static fn (Point $point): array => [$point->x * Paper::TENTHS, $point->y * Paper::TENTHS],
                array_values(
                    array_filter(
                        $object->construction->figures(),
                        static fn (mixed $one): bool => $one instanceof Point,
                    ),
                ) ?: [new Point(0, 0)],
            )),
            $object instanceof Stroke => self::around(
                array_map(static fn (array $sample): array => [$sample[0], $sample[1]], $object->ink->samples()),
            ),
            $object instanceof Text => self::box(
                $object->x,
                $object->y,
                $object->w,
                count(Words::lines($object->text)) * $object->size * Words::LINE_HEIGHT * Paper::TENTHS,
            ),
            $object instanceof Maths => self::box(
                $object->x,
                $object->y,
                ($object->wide * $object->size) / 1000 * Paper::TENTHS,
                ($object->tall * $object->size) / 1000 * Paper::TENTHS,
            ),
            $object instanceof Stamp => self::box(
                $object->x - $object->size * Paper::TENTHS / 2,
                $object->y - $object->size * Paper::TENTHS / 2,
                $object->size * Paper::TENTHS,
                $object->size * Paper::TENTHS,
            ),
            default => throw new LogicException('Nothing measures a '.$object::class.'.'),
        };
    }

    /** @return array{float, float} */
    public function middle(): array
    {
        return [($this->left + $this->right) / 2, ($this->top + $this->bottom) / 2];
    }

    public function holds(float $x, float $y): bool
    {
        return $x >= $this->left && $x <= $this->right && $y >= $this->top && $y <= $this->bottom;
    }

    /** In tenths; lengths may be negative. */
    private static function box(float $x, float $y, float $w, float $h): self
    {
        return self::around([[$x, $y], [$x + $w, $y + $h]]);
    }

    /** @param  array<array<int|float>>  $points  in tenths */
    private static function around(array $points): self
    {
        $left = $top = INF;
        $right = $bottom = -INF;
        foreach ($points as $point) {
            [$x, $y] = [($point[0] ?? 0) / Paper::TENTHS, ($point[1] ?? 0) / Paper::TENTHS];
            [$left, $right] = [min($left, $x), max($right, $x)];
            [$top, $bottom] = [min($top, $y), max($bottom, $y)];
        }

        return new self($left, $top, $right, $bottom);
    }
}
