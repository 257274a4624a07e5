<?php

declare(strict_types=1);

namespace Crag\Formats;

use Crag\Canvas\Drawing\Colour;
use Crag\Canvas\Drawing\Ink;
use Crag\Canvas\Object\ReadObject;
use Crag\Canvas\Object\Stroke;
use Crag\Canvas\Operation\Add;
use Crag\Canvas\Operation\Placing;
use Crag\Json\Fields;
use Crag\Json\UnreadableFields;
use Crag\Prompt\Paper;
use Crag\Render\SceneSvg;
use DOMElement;

/**
 * Reads drawings in SVG (SVG 2). What Crag wrote comes back just as it was. Of others: path, line, polyline, polygon,
 * rect, circle, ellipse and text with fill, stroke, stroke-width and transforms; everything else is left out. Nothing
 * of the file's own markup is kept.
 */
final class SvgDrawing
{
    private const FORMAT = 'SVG';

    /** @var list<Placing> */
    private array $placings = [];

    /** Pictures are another session's and are left out. */
    private function __construct()
    {
    }

    /**
     * @return list<Placing>
     *
     * @throws UnreadableFile
     */
    public static function read(string $xml): array
    {
        $root = XmlFile::root($xml, self::FORMAT, 'svg');
        $drawing = new self();
        $drawing->inside($root, $drawing->view($root), [
            'fill' => '#000000',
            'stroke' => 'none',
            'stroke-width' => '1',
            'font-size' => '16',
        ]);

        return match (true) {
            $drawing->placings === [] => throw UnreadableFile::nothingIn(self::FORMAT),
            count($drawing->placings) > Add::MOST_OBJECTS => throw UnreadableFile::tooMuch(
                self::FORMAT,
                Add::MOST_OBJECTS,
            ),
            default => $drawing->placings,
        };
    }

    private function view(DOMElement $root): SvgMatrix
    {
        $paper = Paper::wide();
        $box = array_map(floatval(...), preg_split('/[\s,]+/', trim($root->getAttribute('viewBox'))) ?: []);
        if (count($box) !== 4 || $box[2] <= 0 || $box[3] <= 0) {
            $box = [
                0.0,
                0.0,
                (float) $root->getAttribute('width') ?: $paper->width,
                (float) $root->getAttribute('height') ?: $paper->height,
            ];
        }

        return SvgMatrix::none()->fitting(
            $box[0],
            $box[1],
            max(1.0, $box[2]),
            max(1.0, $box[3]),
            $paper->width,
            $paper->height,
        );
    }

    /** @param  array<string, string>  $style */
    private function inside(DOMElement $parent, SvgMatrix $matrix, array $style): void
    {
        foreach ($parent->childNodes as $element) {
            if (
                ! ($element instanceof DOMElement) ||
                count($this->placings) > Add::MOST_OBJECTS ||
                $element->getAttribute('id') === 'backdrop'
            ) {
                continue;
            }
            $own = $this->own($element);
            if ($own !== null) {
                $this->placings[] = $own;

                continue;
            }
            $here = $this->style($element, $style);
            $at = $matrix->and($element->getAttribute('transform'));
            if (in_array($element->localName, ['g', 'svg', 'a'], true)) {
                $this->inside($element, $at, $here);
            } else {
                $this->element($element, $at, $here);
            }
        }
    }

    /** What an element of ours says of itself. */
    private function own(DOMElement $element): ?Placing
    {
        $json = json_decode($element->getAttribute(SceneSvg::OBJECT), true);
        if (! is_array($json)) {
            return null;
        }
        try {
            $placing = Placing::read(new Fields($json));

            return $placing->object->assets() === [] ? $placing : null;
        } catch (UnreadableFields) {
            return null;
        }
    }

    /**
     * @param  array<string, string>  $style
     * @return array<string, string>
     */
    private function style(DOMElement $element, array $style): array
    {
        preg_match_all('/([\w-]+)\s*:\s*([^;]+)/', $element->getAttribute('style'), $found, PREG_SET_ORDER);
        $inline = array_column($found, 2, 1);
        foreach (array_keys($style) as $name) {
            $style[$name] = trim($inline[$name] ?? ($element->getAttribute($name) ?: $style[$name]));
        }

        return $style;
    }

    /** @param  array<string, string>  $style */
    private function element(DOMElement $element, SvgMatrix $at, array $style): void
    {
        $n = static fn (string $name): float => (float) $element->getAttribute($name);
        match ($element->localName) {
            'path' => $this->lines(SvgPath::lines($element->getAttribute('d')), $at, $style),
            'polyline' => $this->lines([$this->points($element)], $at, $style),
            'polygon' => $this->polygon($this->points($element), $at, $style),
            'line' => $this->line([[$n('x1'), $n('y1')], [$n('x2'), $n('y2')]], $at, $style),
            'rect' => $this->box('rectangle', $n('x'), $n('y'), $n('width'), $n('height'), $at, $style),
            'circle' => $this->box(
                'ellipse',
                $n('cx') - $n('r'),
                $n('cy') - $n('r'),
                2 * $n('r'),
                2 * $n('r'),
                $at,
                $style,
            ),
            'ellipse' => $this->box(
                'ellipse',
                $n('cx') - $n('rx'),
                $n('cy') - $n('ry'),
                2 * $n('rx'),
                2 * $n('ry'),
                $at,
                $style,
            ),
            'text' => $this->text($element->textContent, $n('x'), $n('y'), $at, $style),
            default => null,
        };
    }

    /** @return list<array{float, float}> */
    private function points(DOMElement $element): array
    {
        preg_match_all('/-?(?:\d+\.?\d*|\.\d+)(?:[eE][-+]?\d+)?/', $element->getAttribute('points'), $found);
        $pairs = array_filter(
            array_chunk(array_map(floatval(...), $found[0]), 2),
            static fn (array $pair): bool => count($pair) === 2,
        );

        return array_map(static fn (array $pair): array => [$pair[0], $pair[1]], array_values($pairs));
    }

    /**
     * @param  list<list<array{float, float}>>  $lines
     * @param  array<string, string>  $style
     */
    private function lines(array $lines, SvgMatrix $at, array $style): void
    {
        foreach ($lines as $line) {
            foreach (array_chunk($line, Ink::MOST_SAMPLES) as $some) {
                $samples = [];
                foreach ($some as $i => [$x, $y]) {
                    $samples[] = [...$this->tenths($x, $y, $at), 128, 8 * $i];
                }
                $this->keep(
                    fn (): Stroke => new Stroke($this->colour($style), $this->width($style, $at), Ink::of($samples)),
                );
            }
        }
    }

    /**
     * @param  list<array{float, float}>  $points
     * @param  array<string, string>  $style
     */
    private function polygon(array $points, SvgMatrix $at, array $style): void
    {
        $flat = [];
        foreach ($points as [$x, $y]) {
            array_push($flat, ...$this->tenths($x, $y, $at));
        }
        $this->shape(['type' => 'polygon', 'points' => $flat], $at, $style);
    }

    /**
     * @param  array{array{float, float}, array{float, float}}  $ends
     * @param  array<string, string>  $style
     */
    private function line(array $ends, SvgMatrix $at, array $style): void
    {
        [$x, $y] = $this->tenths($ends[0][0], $ends[0][1], $at);
        [$toX, $toY] = $this->tenths($ends[1][0], $ends[1][1], $at);
        $this->shape(['type' => 'line', 'x' => $x, 'y' => $y, 'w' => $toX - $x, 'h' => $toY - $y], $at, $style);
    }

    /** @param  array<string, string>  $style */
    private function box(string $type, float $x, float $y, float $w, float $h, SvgMatrix $at, array $style): void
    {
        if ($at->isUpright()) {
            [$left, $top] = $this->tenths($x, $y, $at);
            [$right, $bottom] = $this->tenths($x + $w, $y + $h, $at);
            $this->shape(
                ['type' => $type, 'x' => $left, 'y' => $top, 'w' => $right - $left, 'h' => $bottom - $top],
                $at,
                $style,
            );

            return;
        }
        $corners = [[$x, $y], [$x + $w, $y], [$x + $w, $y + $h], [$x, $y + $h]];
        if ($type === 'ellipse') {
            $corners = array_map(
                static fn (int $i): array => [
                    $x + ($w / 2) * (1 + cos(($i * M_PI) / 12)),
                    $y + ($h / 2) * (1 + sin(($i * M_PI) / 12)),
                ],
                range(0, 23),
            );
        }
        $this->polygon($corners, $at, $style);
    }

    /** @param  array<string, string>  $style */
    private function text(string $words, float $x, float $y, SvgMatrix $at, array $style): void
    {
        $size = max(8, min(400, (int) round((float) $style['font-size'] * $at->scale())));
        [$left, $base] = $this->tenths($x, $y, $at);
        $this->keep(
            fn () => ReadObject::from(
                new Fields([
                    'type' => 'text',
                    'x' => $left,
                    'y' => $base - (int) ($size * 9.5),
                    'w' => (int) (mb_strlen(trim($words)) * $size * 5.5),
                    'size' => $size,
                    'colour' => $this->colour(['stroke' => $style['fill']] + $style)->hex,
                    'text' => trim($words),
                ]),
            ),
        );
    }

    /**
     * @param  array<string, mixed>  $fields
     * @param  array<string, string>  $style
     */
    private function shape(array $fields, SvgMatrix $at, array $style): void
    {
        $this->keep(
            fn () => ReadObject::from(
                new Fields(
                    $fields + [
                        'colour' => $this->colour($style)->hex,
                        'width' => $this->width($style, $at),
                        'filled' => $style['fill'] !== 'none',
                    ],
                ),
            ),
        );
    }

    /** @param  callable(): \Crag\Canvas\Object\CanvasObject  $make */
    private function keep(callable $make): void
    {
        try {
            $this->placings[] = new Placing($make());
        } catch (UnreadableFields) {
            // What a canvas cannot hold is left out.
        }
    }

    /** @return array{int, int} */
    private function tenths(float $x, float $y, SvgMatrix $at): array
    {
        [$x, $y] = $at->at($x, $y);

        return [(int) round($x * Paper::TENTHS), (int) round($y * Paper::TENTHS)];
    }

    /** @param  array<string, string>  $style */
    private function width(array $style, SvgMatrix $at): int
    {
        return (int) max(5, min(600, round((float) $style['stroke-width'] * $at->scale() * Paper::TENTHS)));
    }

    /** @param  array<string, string>  $style */
    private function colour(array $style): Colour
    {
        foreach ([$style['stroke'], $style['fill']] as $colour) {
            if (preg_match('/\A#([0-9a-f])([0-9a-f])([0-9a-f])\z/i', $colour, $short) === 1) {
                return Colour::from("#{$short[1]}{$short[1]}{$short[2]}{$short[2]}{$short[3]}{$short[3]}");
            }
            if (preg_match('/\A#[0-9a-f]{6}\z/i', $colour) === 1) {
                return Colour::from($colour);
            }
        }

        return Colour::from('#25323b');
    }
}
