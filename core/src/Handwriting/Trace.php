<?php

declare(strict_types=1);

namespace Crag\Handwriting;

/** What a pen wrote: strokes in the order in which they were drawn, in any unit, y down. */
final readonly class Trace
{
    /**
     * @param  list<list<array{float, float}>>  $strokes  none of them empty
     */
    private function __construct(
        public array $strokes,
        public float $left,
        public float $top,
        public float $right,
        public float $bottom,
    ) {
    }

    /** @param  list<list<array{float, float}>>  $strokes */
    public static function of(array $strokes): self
    {
        $left = $top = INF;
        $right = $bottom = -INF;
        $kept = [];
        foreach ($strokes as $stroke) {
            foreach ($stroke as [$x, $y]) {
                [$left, $right] = [min($left, $x), max($right, $x)];
                [$top, $bottom] = [min($top, $y), max($bottom, $y)];
            }
            if ($stroke !== []) {
                $kept[] = $stroke;
            }
        }

        return $kept === [] ? new self([], 0, 0, 0, 0) : new self($kept, $left, $top, $right, $bottom);
    }

    /** @param  list<self>  $traces */
    public static function together(array $traces): self
    {
        return self::of(array_merge(...array_map(static fn (self $one): array => $one->strokes, $traces)));
    }

    public function width(): float
    {
        return $this->right - $this->left;
    }

    public function height(): float
    {
        return $this->bottom - $this->top;
    }

    /** The larger of both. */
    public function size(): float
    {
        return max($this->width(), $this->height());
    }

    /** @return array{float, float} */
    public function middle(): array
    {
        return [($this->left + $this->right) / 2, ($this->top + $this->bottom) / 2];
    }

    /** @return list<self> each stroke by itself */
    public function apart(): array
    {
        return array_map(static fn (array $stroke): self => self::of([$stroke]), $this->strokes);
    }
}
