<?php

declare(strict_types=1);

namespace Crag\Formats;

use Crag\Canvas\Drawing\Colour;
use Crag\Canvas\Drawing\Ink;
use Crag\Canvas\Object\Stroke;
use Crag\Canvas\Operation\Add;
use Crag\Json\UnreadableFields;
use Crag\Prompt\Paper;
use DOMElement;

/**
 * Reads InkML: every trace with its brush, explicit values and first and second differences (section 3.1.2). Where the
 * source tells its resolution, ink keeps its size; where it does not, all of it is fitted onto the page.
 */
final class InkMlReader
{
    private const FORMAT = 'InkML';

    private const MM_IN = [
        'm' => 1000.0,
        'cm' => 10.0,
        'mm' => 1.0,
        'in' => 25.4,
        'pt' => 25.4 / 72,
        'himetric' => 0.01,
    ];

    private const FARTHEST = 1e9;

    private readonly DOMElement $root;

    /** Points of all traces together; a page that is black with ink has 200,000. */
    private const MOST_POINTS = 400_000;

    /** @var list<string> */
    private array $channels;

    /** @var array<string, array{Colour, int, bool}> by the id of the brush */
    private array $brushes = [];

    public function __construct(string $xml)
    {
        $this->root = XmlFile::root($xml, self::FORMAT, 'ink');
        $channels = [];
        foreach (XmlFile::all($this->root, 'channel') as $channel) {
            $channels[] = $channel->getAttribute('name');
        }
        $this->channels = in_array('X', $channels, true) && in_array('Y', $channels, true) ? $channels : ['X', 'Y'];
        foreach (XmlFile::all($this->root, 'brush') as $brush) {
            $this->brushes[$brush->getAttributeNS('http://www.w3.org/XML/1998/namespace', 'id')] ??= $this->brush(
                $brush,
            );
        }
    }

    /**
     * @return list<Stroke>
     *
     * @throws UnreadableFile
     */
    public function strokes(): array
    {
        $elements = XmlFile::all($this->root, 'trace');
        if (count($elements) > Add::MOST_OBJECTS) {
            throw UnreadableFile::tooMuch(self::FORMAT, Add::MOST_OBJECTS);
        }
        $traces = [];
        $left = self::MOST_POINTS;
        foreach ($elements as $element) {
            $points = $this->points($element->textContent, $left);
            $left -= count($points);
            if ($points !== []) {
                $traces[] = [
                    $points,
                    $this->brushes[ltrim($element->getAttribute('brushRef'), '#')] ?? self::plainBrush(),
                ];
            }
        }
        if ($traces === []) {
            throw UnreadableFile::nothingIn(self::FORMAT);
        }
        [$scale, $left, $top] = $this->fit(array_merge(...array_column($traces, 0)));
        $strokes = [];
        foreach ($traces as [$points, [$colour, $width, $highlights]]) {
            foreach (array_chunk($points, Ink::MOST_SAMPLES) as $some) {
                try {
                    $strokes[] = new Stroke($colour, $width, $this->ink($some, $scale, $left, $top), $highlights);
                } catch (UnreadableFields) {
                    // A trace that lies off the page is left out.
                }
            }
        }

        return $strokes === [] ? throw UnreadableFile::nothingIn(self::FORMAT) : $strokes;
    }

    /**
     * @return list<array<string, float>> values by channel
     *
     * @throws UnreadableFile if there are more than $most
     */
    private function points(string $trace, int $most): array
    {
        if (substr_count($trace, ',') >= $most) {
            throw UnreadableFile::tooMuch(self::FORMAT, self::MOST_POINTS, 'points');
        }
        $points = [];
        $value = $speed = array_fill_keys($this->channels, 0.0);
        $mode = array_fill_keys($this->channels, '!');
        foreach (explode(',', $trace) as $text) {
            preg_match_all(
                '/([!\'"])?\s*(-?(?:\d+\.?\d*|\.\d+)(?:[eE][-+]?\d+)?|[*?TF])/',
                $text,
                $found,
                PREG_SET_ORDER,
            );
            if (count($found) < 2) {
                continue;
            }
            foreach ($this->channels as $i => $name) {
                [, $prefix, $token] = $found[$i] ?? ['', '', '*'];
                $mode[$name] = $prefix === '' ? $mode[$name] : $prefix;
                if (is_numeric($token)) {
                    // What lies beyond this is on no paper, and sums of it would not be finite.
                    $number = max(-self::FARTHEST, min(self::FARTHEST, (float) $token));
                    $was = $value[$name];
                    $value[$name] = match ($mode[$name]) {
                        "'" => $was + $number,
                        '"' => $was + $speed[$name] + $number,
                        default => $number,
                    };
                    $speed[$name] = $value[$name] - $was;
                } elseif ($token === '*' && $mode[$name] !== '!') {
                    $value[$name] += $speed[$name];
                }
            }
            $points[] = $value;
        }

        return $points;
    }

    /** @return array{Colour, int, bool} */
    private function brush(DOMElement $brush): array
    {
        [$colour, $width, $highlights] = self::plainBrush();
        foreach (XmlFile::all($brush, 'brushProperty') as $property) {
            $value = $property->getAttribute('value');
            match ($property->getAttribute('name')) {
                'color' => ($colour =
                    preg_match('/\A#[0-9a-fA-F]{6}\z/', $value) === 1 ? Colour::from($value) : $colour),
                'width' => ($width = $this->width((float) $value, $property->getAttribute('units'))),
                'rasterOp' => ($highlights = $value === 'maskPen'),
                default => null,
            };
        }

        return [$colour, $width, $highlights];
    }

    /** @return array{Colour, int, bool} */
    private static function plainBrush(): array
    {
        return [Colour::from('#25323b'), 40, false];
    }

    private function width(float $value, string $units): int
    {
        $mm = $value * (self::MM_IN[$units] ?? 1.0);

        return (int) max(5, min(600, round($mm * InkMl::PER_MM)));
    }

    /** Tenths of a page unit in one of the file's units; null when it does not tell. */
    private function resolution(): ?float
    {
        foreach (XmlFile::all($this->root, 'channelProperty') as $property) {
            $isResolution =
                $property->getAttribute('channel') === 'X' && $property->getAttribute('name') === 'resolution';
            $unit =
                preg_match('/\A1\/(\w+)\z/', $property->getAttribute('units'), $found) === 1
                    ? self::MM_IN[$found[1]] ?? null
                    : null;
            $value = (float) $property->getAttribute('value');
            if ($isResolution && $unit !== null && $value > 0) {
                return ($unit / $value) * InkMl::PER_MM;
            }
        }

        return null;
    }

    /**
     * @param  list<array<string, float>>  $points
     * @return array{float, float, float} scale, and what is taken off x and y before it
     */
    private function fit(array $points): array
    {
        $resolution = $this->resolution();
        if ($resolution !== null) {
            return [$resolution, 0.0, 0.0];
        }
        [$xs, $ys] = [array_column($points, 'X'), array_column($points, 'Y')];
        [$left, $top] = [min($xs ?: [0.0]), min($ys ?: [0.0])];
        $margin = 500;
        $paper = Paper::wide();
        $scale = min(
            ($paper->width * Paper::TENTHS - 2 * $margin) / max(1.0, max($xs ?: [1.0]) - $left),
            ($paper->height * Paper::TENTHS - 2 * $margin) / max(1.0, max($ys ?: [1.0]) - $top),
        );

        return [$scale, $left - $margin / $scale, $top - $margin / $scale];
    }

    /**
     * @param  list<array<string, float>>  $points
     *
     * @throws UnreadableFields
     */
    private function ink(array $points, float $scale, float $left, float $top): Ink
    {
        $hasForce = in_array('F', $this->channels, true);
        $strongest = $hasForce ? max(255.0, ...array_column($points, 'F')) : 255.0;
        $first = $points[0]['T'] ?? 0.0;
        $last = 0;
        $samples = [];
        foreach ($points as $i => $point) {
            $ms = isset($point['T']) ? (int) round($point['T'] - $first) : 8 * $i;
            $samples[] = [
                (int) round(($point['X'] - $left) * $scale),
                (int) round(($point['Y'] - $top) * $scale),
                $hasForce ? (int) max(0, min(255, round(($point['F'] * 255) / $strongest))) : 128,
                ($last = max($last, $ms)),
            ];
        }

        return Ink::of($samples);
    }
}
