<?php

declare(strict_types=1);

namespace Crag\Construct;

use Crag\Json\Fields;
use Crag\Json\UnreadableFields;

/**
 * One element of a construction, stored as what it is and not as where it is.
 *
 * JSON form: {"id", "kind", "of": [ids of earlier elements]} and, as its kind has it: "x" and "y" in tenths (point), "t"
 * (on: along something straight 0 at its first point and 1 at its second, in ten-thousandths; on a circle the direction
 * in ten-thousandths of a radian), "which" 0 or 1 (intersection, tangent), "n" corners (regular), "by" (rotation: degrees
 * in hundredths, clockwise; enlargement: the factor in thousandths; compass: the radius in tenths), "label" what it is
 * called, "hidden": true. A graph has its "source" and its "pieces": rows of x, y, x, y … in tenths, "fills" (what is
 * shaded, in the same way) and "dashed": true.
 */
final readonly class Element
{
    public const LONGEST_ID = 12;

    private const LONGEST_LABEL = 12;

    private const FARTHEST = 40_000;

    /** What a kind has besides what it is made of: the least and the most. */
    private const NUMBERS = [
        'point' => ['x' => [-20_000, 40_000], 'y' => [-20_000, 40_000]],
        'on' => ['t' => [-100_000_000, 100_000_000]],
        'regular' => ['n' => [3, 20]],
        'intersection' => ['which' => [0, 1]],
        'tangent' => ['which' => [0, 1]],
        'rotation' => ['by' => [-36_000, 36_000]],
        'enlargement' => ['by' => [-100_000, 100_000]],
        'compass' => ['by' => [1, 30_000]],
    ];

    /**
     * @param  list<string>  $of
     * @param  array<string, int>  $numbers
     * @param  string  $source  of a graph: as it was typed
     * @param  list<list<int>>  $pieces  of a graph: x, y, x, y … in tenths
     * @param  list<list<int>>  $fills  of a graph: what is shaded
     */
    private function __construct(
        public string $id,
        public ElementKind $kind,
        public array $of,
        private array $numbers,
        public string $label,
        public bool $isHidden,
        public string $source = '',
        public array $pieces = [],
        public array $fills = [],
        public bool $isDashed = false,
    ) {
    }

    /** @throws UnreadableFields */
    public static function read(Fields $fields): self
    {
        $kind = ElementKind::tryFrom($fields->text('kind')) ?? throw UnreadableFields::badValue('kind', 'is no element');
        $of = [];
        foreach ($fields->has('of') ? $fields->list('of', 0, Construction::MOST) : [] as $id) {
            $of[] = is_string($id) ? $id : throw UnreadableFields::badValue('of', 'names no element');
        }
        $numbers = [];
        foreach (self::NUMBERS[$kind->value] ?? [] as $name => [$least, $most]) {
            $numbers[$name] = $fields->whole($name, $least, $most);
        }

        return new self(
            self::id($fields->text('id')),
            $kind,
            $of,
            $numbers,
            $fields->has('label') ? trim($fields->text('label', self::LONGEST_LABEL)) : '',
            $fields->has('hidden') && $fields->flag('hidden'),
            $kind === ElementKind::Graph ? $fields->text('source', Graph::LONGEST_SOURCE) : '',
            $kind === ElementKind::Graph ? self::pieces($fields, 'pieces') : [],
            $kind === ElementKind::Graph && $fields->has('fills') ? self::pieces($fields, 'fills') : [],
            $kind === ElementKind::Graph && $fields->flag('dashed'),
        );
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['id' => $this->id, 'kind' => $this->kind->value] +
            ($this->of === [] ? [] : ['of' => $this->of]) +
            $this->numbers +
            ($this->kind === ElementKind::Graph ? ['source' => $this->source, 'pieces' => $this->pieces] : []) +
            ($this->fills === [] ? [] : ['fills' => $this->fills]) +
            ($this->isDashed ? ['dashed' => true] : []) +
            ($this->label === '' ? [] : ['label' => $this->label]) +
            ($this->isHidden ? ['hidden' => true] : []);
    }

    public function number(string $name): int
    {
        return $this->numbers[$name] ?? 0;
    }

    /**
     * The same with a number set anew, as far as its kind allows.
     *
     * @param  array<string, int>  $numbers
     */
    public function with(array $numbers): self
    {
        $kept = $this->numbers;
        foreach (self::NUMBERS[$this->kind->value] ?? [] as $name => [$least, $most]) {
            $kept[$name] = max($least, min($most, $numbers[$name] ?? $kept[$name] ?? $least));
        }

        return new self(
            $this->id,
            $this->kind,
            $this->of,
            $kept,
            $this->label,
            $this->isHidden,
            $this->source,
            $this->pieces,
            $this->fills,
            $this->isDashed,
        );
    }

    /**
     * @return list<list<int>>
     *
     * @throws UnreadableFields
     */
    private static function pieces(Fields $fields, string $name): array
    {
        $pieces = [];
        $numbers = 0;
        foreach ($fields->list($name, 0, Graph::MOST_NUMBERS) as $piece) {
            $kept = [];
            foreach (is_array($piece) ? $piece : [] as $number) {
                $kept[] = is_int($number) && abs($number) <= self::FARTHEST
                    ? $number
                    : throw UnreadableFields::badValue($name, 'are not places on a page');
            }
            $numbers += count($kept);
            if (count($kept) < 4 || count($kept) % 2 === 1 || $numbers > Graph::MOST_NUMBERS) {
                throw UnreadableFields::badValue($name, 'are too few or too many places');
            }
            $pieces[] = $kept;
        }

        return $pieces;
    }

    private static function id(string $id): string
    {
        return preg_match('/\A[A-Za-z0-9_-]{1,12}\z/', $id) === 1 ? $id : throw UnreadableFields::missing('id');
    }
}
