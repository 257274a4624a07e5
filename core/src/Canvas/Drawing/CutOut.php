<?php

declare(strict_types=1);

namespace Crag\Canvas\Drawing;

use Crag\Json\UnreadableFields;
use Crag\Prompt\Paper;

/** A part of a page, in units, that lies on it and is large enough to be seen. */
final readonly class CutOut
{
    private const SMALLEST = 40.0;

    private function __construct(public float $x, public float $y, public float $w, public float $h)
    {
    }

    /**
     * What lies beyond the page is cut off; where the page is not known, what lies beyond every page.
     *
     * @param  array<array-key, mixed>  $json  {"x", "y", "w", "h"}
     *
     * @throws UnreadableFields
     */
    public static function read(array $json, ?Paper $paper = null): self
    {
        foreach (['x', 'y', 'w', 'h'] as $name) {
            if (! (is_int($json[$name] ?? null) || is_float($json[$name] ?? null))) {
                throw UnreadableFields::missing($name);
            }
        }
        [$left, $top] = [max(0.0, (float) $json['x']), max(0.0, (float) $json['y'])];
        [$right, $bottom] = [(float) ($paper->width ?? Paper::LONGEST), (float) ($paper->height ?? Paper::LONGEST)];
        $width = min($right, (float) $json['x'] + (float) $json['w']) - $left;
        $height = min($bottom, (float) $json['y'] + (float) $json['h']) - $top;
        if ($width < self::SMALLEST || $height < self::SMALLEST) {
            throw UnreadableFields::badValue('cut', 'is too small to be seen');
        }

        return new self($left, $top, $width, $height);
    }

    /** @return array{x: float, y: float, w: float, h: float} */
    public function toArray(): array
    {
        return ['x' => $this->x, 'y' => $this->y, 'w' => $this->w, 'h' => $this->h];
    }
}
