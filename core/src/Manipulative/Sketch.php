<?php

declare(strict_types=1);

namespace Crag\Manipulative;

/**
 * What a manipulative looks like and what can be taken hold of, in units from its upper left corner. Colours are names
 * of {@see self::COLOURS}. resources/ts/canvas/model/manipulative/sketch.ts is the same for the page.
 */
final class Sketch
{
    public const COLOURS = [
        '' => 'none',
        'slate' => '#25323b',
        'stone' => '#8b8578',
        'pale' => '#dad4c7',
        'paper' => '#fffdf8',
        'lichen' => '#4f7a3a',
        'moss' => '#c4d8b8',
        'ochre' => '#c98a1b',
        'sand' => '#f0dcae',
        'rust' => '#a8452e',
        'clay' => '#e9c3b6',
        'lake' => '#2c6e8f',
        'sky' => '#b9d6e4',
        'wood' => '#b99463',
        // What lies under it is seen through it.
        'glass' => '#2c6e8f22',
    ];

    /** Where its upper left corner is, in units from where the manipulative stands. */
    public int $left = 0;

    public int $top = 0;

    public int $width = 0;

    public int $height = 0;

    /** @var list<array<string, mixed>> in drawing order */
    public array $shapes = [];

    /** @var list<Part> in drawing order */
    public array $parts = [];

    public function size(int $width, int $height): void
    {
        $this->width = $width;
        $this->height = $height;
    }

    /** @param  list<float>  $points  x, y, x, y …: it is as large as the box around them */
    public function around(array $points): void
    {
        $xs = array_filter($points, static fn (int $i): bool => $i % 2 === 0, ARRAY_FILTER_USE_KEY);
        $ys = array_filter($points, static fn (int $i): bool => $i % 2 === 1, ARRAY_FILTER_USE_KEY);
        if ($xs === [] || $ys === []) {
            return;
        }
        $this->left = (int) floor(min($xs));
        $this->top = (int) floor(min($ys));
        $this->size((int) ceil(max($xs)) - $this->left, (int) ceil(max($ys)) - $this->top);
    }

    public function rect(
        float $x,
        float $y,
        float $w,
        float $h,
        string $fill,
        string $line = 'slate',
        int $radius = 0,
    ): void {
        $this->shapes[] = [
            'is' => 'rect',
            'at' => self::tenths([$x, $y, $w, $h]),
            'radius' => $radius,
            'fill' => $fill,
            'line' => $line,
        ];
    }

    public function circle(float $x, float $y, float $radius, string $fill, string $line = 'slate'): void
    {
        $this->shapes[] = ['is' => 'circle', 'at' => self::tenths([$x, $y, $radius]), 'fill' => $fill, 'line' => $line];
    }

    /** @param  list<int|float>  $points  x, y, x, y … */
    public function line(array $points, string $line = 'slate', int $width = 2, bool $isDashed = false): void
    {
        $this->shapes[] = [
            'is' => 'line',
            'at' => self::tenths($points),
            'line' => $line,
            'width' => $width,
            'dashed' => $isDashed,
        ];
    }

    /** @param  list<int|float>  $points  x, y, x, y … */
    public function polygon(array $points, string $fill, string $line = 'slate'): void
    {
        $this->shapes[] = ['is' => 'polygon', 'at' => self::tenths($points), 'fill' => $fill, 'line' => $line];
    }

    /** @param  string  $anchor  "start", "middle" or "end": which place of the words stands at x; their middle at y */
    public function words(
        float $x,
        float $y,
        string $words,
        int $size = 28,
        string $colour = 'slate',
        string $anchor = 'middle',
    ): void {
        $this->shapes[] = [
            'is' => 'words',
            'at' => self::tenths([$x, $y]),
            'words' => $words,
            'size' => $size,
            'fill' => $colour,
            'anchor' => $anchor,
        ];
    }

    /** A part that is pressed. */
    public function press(string $name, int $n, Said $label, float $x, float $y, float $w, float $h): void
    {
        $this->parts[] = new Part($name, $n, $label, self::box($x, $y, $w, $h), Part::PRESS);
    }

    /** @param  list<int|float>  $outline */
    public function pressOn(string $name, int $n, Said $label, array $outline): void
    {
        $this->parts[] = new Part($name, $n, $label, self::tenths($outline), Part::PRESS);
    }

    /** A part that is dragged; pressed, it may mean something too. */
    public function drag(string $name, int $n, Said $label, float $x, float $y, float $w, float $h, int $step): void
    {
        $this->parts[] = new Part($name, $n, $label, self::box($x, $y, $w, $h), Part::DRAG, $step);
    }

    /** @param  list<int|float>  $outline */
    public function dragOn(string $name, int $n, Said $label, array $outline, int $step): void
    {
        $this->parts[] = new Part($name, $n, $label, self::tenths($outline), Part::DRAG, $step);
    }

    /** A part into which a number is typed. */
    public function type(string $name, int $n, Said $label, float $x, float $y, float $w, float $h, int $value): void
    {
        $this->parts[] = new Part($name, $n, $label, self::box($x, $y, $w, $h), Part::TYPE, 0, $value);
    }

    /** A button beside the drawing. */
    public function button(string $name, int $n, Said $label, float $x, float $y, float $w = 64, float $h = 56): void
    {
        $this->parts[] = new Part($name, $n, $label, self::box($x, $y, $w, $h), Part::PRESS, 0, 0, true);
    }

    /** @return list<float> */
    private static function box(float $x, float $y, float $w, float $h): array
    {
        return self::tenths([$x, $y, $x + $w, $y, $x + $w, $y + $h, $x, $y + $h]);
    }

    /**
     * @param  list<int|float>  $numbers
     * @return list<float>
     */
    private static function tenths(array $numbers): array
    {
        return array_map(static fn (int|float $one): float => floor($one * 10 + 0.5) / 10, $numbers);
    }
}
