<?php

declare(strict_types=1);

namespace Crag\Tests\Construct;

use Crag\Construct\Construction;
use Crag\Construct\Figure\Figure;
use Crag\Construct\Figure\Label;
use Crag\Construct\Figure\Point;
use Crag\Construct\Scale;
use Crag\Json\Fields;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Constructions in few words: "A point 100 200; B point 300 200; m midpoint A B", with numbers in units. */
final class Sketch
{
    /** What the numbers of a kind are called, and how many parts a unit of them has. */
    private const NUMBERS = [
        'point' => ['x' => 10, 'y' => 10],
        'on' => ['t' => 10_000],
        'regular' => ['n' => 1],
        'intersection' => ['which' => 1],
        'tangent' => ['which' => 1],
        'rotation' => ['by' => 100],
        'enlargement' => ['by' => 1000],
        'compass' => ['by' => 10],
    ];

    public static function of(string $words): Construction
    {
        return Construction::read(new Fields(['elements' => self::json($words)]));
    }

    /** @return list<array<string, mixed>> */
    public static function json(string $words): array
    {
        $elements = [];
        foreach (array_filter(array_map(trim(...), explode(';', $words))) as $line) {
            [$id, $kind, $rest] = [...explode(' ', $line, 3), ''];
            $rest = $rest === '' ? [] : explode(' ', $rest);
            $numbers = array_values(array_filter($rest, is_numeric(...)));
            $element = ['id' => $id, 'kind' => $kind];
            $of = array_values(array_filter($rest, static fn (string $one): bool => ! is_numeric($one)));
            if ($of !== []) {
                $element['of'] = $of;
            }
            $names = self::NUMBERS[$kind] ?? [];
            foreach ($names as $name => $parts) {
                $element[$name] = (int) round((float) array_shift($numbers) * $parts);
            }
            $elements[] = $element;
        }

        return $elements;
    }

    public static function figure(string $words, string $id): ?Figure
    {
        return self::of($words)->figures()[$id] ?? null;
    }

    /** @return array{float, float}|null where a point is, to a thousandth */
    public static function at(string $words, string $id): ?array
    {
        $point = self::figure($words, $id);

        return $point instanceof Point ? [round($point->x, 3) + 0.0, round($point->y, 3) + 0.0] : null;
    }

    public static function value(string $words, string $id): ?float
    {
        // In units of the page, up being more.
        $scale = Scale::read(new Fields(['x' => 0, 'y' => 0, 'across' => 1000, 'up' => 1000]));
        $label = self::of($words)->figures($scale)[$id] ?? null;

        return $label instanceof Label ? round($label->value, 3) + 0.0 : null;
    }

    /**
     * A construction of every kind, at random: what exists of it and what does not is chance.
     *
     * @return list<array<string, mixed>>
     */
    public static function random(int $seed): array
    {
        $chance = new Randomizer(new Mt19937($seed));
        $elements = [];
        $have = ['p' => [], 's' => [], 'c' => [], 'g' => []];
        $kinds = \Crag\Construct\ElementKind::cases();
        for ($n = 0; $n < 40; $n++) {
            $kind = $n < 5 ? \Crag\Construct\ElementKind::Point : $kinds[$chance->getInt(0, count($kinds) - 1)];
            $of = [];
            foreach (str_split(rtrim($kind->needs(), '+') ?: ' ') as $letter) {
                $from = match ($letter) {
                    'f' => [...$have['s'], ...$have['c']],
                    'g' => [...$have['g'], ...$have['c']],
                    ' ' => [],
                    default => $have[$letter],
                };
                if ($letter !== ' ' && $from === []) {
                    continue 2;
                }
                if ($from !== []) {
                    $of[] = $from[$chance->getInt(0, count($from) - 1)];
                }
            }
            $element = ['id' => "e{$n}", 'kind' => $kind->value] + ($of === [] ? [] : ['of' => $of]);
            $element += match ($kind->value) {
                'point' => ['x' => $chance->getInt(1000, 9000), 'y' => $chance->getInt(1000, 9000)],
                'on' => ['t' => $chance->getInt(-20_000, 20_000)],
                'regular' => ['n' => $chance->getInt(3, 8)],
                'intersection', 'tangent' => ['which' => $chance->getInt(0, 1)],
                'rotation' => ['by' => $chance->getInt(-36_000, 36_000)],
                'enlargement' => ['by' => $chance->getInt(-3000, 3000)],
                'compass' => ['by' => $chance->getInt(200, 4000)],
                'graph' => ['source' => 'y = x', 'pieces' => [[0, 9000, 4000 + $n, 5000, 8000, 100]]],
                default => [],
            };
            $elements[] = $element;
            if ($kind->makes() !== '') {
                $have[$kind->makes()][] = "e{$n}";
            }
        }

        return $elements;
    }
}
