<?php

declare(strict_types=1);

namespace Crag\Canvas\Operation;

use Crag\Canvas\Drawing\Ink;
use Crag\Canvas\Log\Operation;
use Crag\Canvas\Log\OperationKind;
use Crag\Canvas\Object\ObjectId;
use Crag\Canvas\Object\Stroke;
use Crag\Canvas\SceneDraft;
use Crag\Json\Fields;
use Crag\Json\UnreadableFields;
use Crag\Prompt\Tray\Tool;

/**
 * Rubs out parts of strokes: each stroke that it names gives way to the parts of it that are left, which stand where it
 * stood and can be worked on like any other.
 */
final readonly class Cut implements Effect
{
    private const MOST_STROKES = 500;

    private const MOST_PARTS = 200;

    /** @param  list<array{target: string, keep: list<array{int, int}>}>  $cuts  places in sixteenths of a sample */
    private function __construct(private array $cuts)
    {
    }

    /** @throws UnreadableFields */
    public static function read(Fields $body): self
    {
        return new self(
            array_map(
                static fn (Fields $cut): array => [
                    'target' => ObjectId::in($cut, 'target'),
                    'keep' => self::keep($cut),
                ],
                $body->objects('cuts', self::MOST_STROKES),
            ),
        );
    }

    public function kind(): OperationKind
    {
        return OperationKind::Cut;
    }

    public function toArray(): array
    {
        return ['cuts' => $this->cuts];
    }

    public function targets(): array
    {
        return array_column($this->cuts, 'target');
    }

    public function madeWith(): array
    {
        return [[Tool::Eraser]];
    }

    /** @return array<string, string> by what follows the operation's id in the parts' ids */
    public function types(): array
    {
        $parts = array_sum(array_map(static fn (array $cut): int => count($cut['keep']), $this->cuts));
        $types = [];
        for ($i = 0; $i < $parts; $i++) {
            $types[".{$i}"] = Stroke::TYPE;
        }

        return $types;
    }

    public function apply(SceneDraft $draft, Operation $operation): void
    {
        $n = 0;
        foreach ($this->cuts as ['target' => $target, 'keep' => $keep]) {
            $placed = $draft->touchable($target, $operation->author);
            $stroke = $placed?->object;
            $first = $n;
            $n += count($keep);
            if (! ($stroke instanceof Stroke)) {
                continue;
            }
            $length = 16 * (count($stroke->ink->samples()) - 1);
            $parts = [];
            foreach ($keep as $i => [$from, $to]) {
                if ($to <= $length) {
                    $part = clone $placed;
                    $part->object = $stroke->part($from, $to);
                    $parts[$operation->id->value.'.'.($first + $i)] = $part;
                }
            }
            $draft->split($target, $parts);
        }
    }

    /** @return list<array{int, int}> */
    private static function keep(Fields $cut): array
    {
        $keep = [];
        $last = -1;
        foreach ($cut->list('keep', 0, self::MOST_PARTS) as $part) {
            $fits =
                is_array($part) &&
                array_is_list($part) &&
                count($part) === 2 &&
                is_int($part[0]) &&
                is_int($part[1]) &&
                $part[0] > $last &&
                $part[1] >= $part[0] &&
                $part[1] <= 16 * Ink::MOST_SAMPLES;
            if (! $fits) {
                throw UnreadableFields::badValue('keep', 'is not a list of parts, one after the other');
            }
            $keep[] = [$part[0], $part[1]];
            $last = $part[1];
        }

        return $keep;
    }
}
