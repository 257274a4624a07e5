<?php

declare(strict_types=1);

namespace Crag\Formats;

/** A transform of SVG (CSS Transforms Module Level 1, section 8): six numbers a to f. */
final readonly class SvgMatrix
{
    private function __construct(
        private float $a,
        private float $b,
        private float $c,
        private float $d,
        private float $e,
        private float $f,
    ) {
    }

    public static function none(): self
    {
        return new self(1, 0, 0, 1, 0, 0);
    }

    /** What a transform attribute says; what cannot be read counts as nothing. */
    public function and(string $transform): self
    {
        $matrix = $this;
        preg_match_all('/(matrix|translate|scale|rotate)\s*\(([^)]*)\)/', $transform, $found, PREG_SET_ORDER);
        foreach ($found as [, $name, $inside]) {
            $n = array_map(floatval(...), preg_split('/[\s,]+/', trim($inside)) ?: []);
            $matrix = match ($name) {
                'matrix' => count($n) === 6 ? $matrix->times(new self(...$n)) : $matrix,
                'translate' => $matrix->times(new self(1, 0, 0, 1, $n[0], $n[1] ?? 0.0)),
                'scale' => $matrix->times(new self($n[0], 0, 0, $n[1] ?? $n[0], 0, 0)),
                default => $matrix->turned($n[0], $n[1] ?? 0.0, $n[2] ?? 0.0),
            };
        }

        return $matrix;
    }

    /** One that brings a view box onto a page, as large as fits, in the middle. */
    public function fitting(float $x, float $y, float $w, float $h, float $pageWidth, float $pageHeight): self
    {
        $scale = min($pageWidth / $w, $pageHeight / $h);

        return $this->times(
            new self(
                $scale,
                0,
                0,
                $scale,
                ($pageWidth - $w * $scale) / 2 - $x * $scale,
                ($pageHeight - $h * $scale) / 2 - $y * $scale,
            ),
        );
    }

    /** @return array{float, float} */
    public function at(float $x, float $y): array
    {
        return [$this->a * $x + $this->c * $y + $this->e, $this->b * $x + $this->d * $y + $this->f];
    }

    /** How much longer lines become, on the whole. */
    public function scale(): float
    {
        return sqrt(abs($this->a * $this->d - $this->b * $this->c));
    }

    /** Whether what was upright stays upright. */
    public function isUpright(): bool
    {
        return abs($this->b) < 1e-6 && abs($this->c) < 1e-6;
    }

    private function times(self $m): self
    {
        return new self(
            $this->a * $m->a + $this->c * $m->b,
            $this->b * $m->a + $this->d * $m->b,
            $this->a * $m->c + $this->c * $m->d,
            $this->b * $m->c + $this->d * $m->d,
            $this->a * $m->e + $this->c * $m->f + $this->e,
            $this->b * $m->e + $this->d * $m->f + $this->f,
        );
    }

    private function turned(float $degrees, float $x, float $y): self
    {
        [$cos, $sin] = [cos(deg2rad($degrees)), sin(deg2rad($degrees))];

        return $this->times(new self($cos, $sin, -$sin, $cos, $x - $cos * $x + $sin * $y, $y - $sin * $x - $cos * $y));
    }
}
