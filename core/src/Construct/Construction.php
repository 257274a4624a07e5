<?php

declare(strict_types=1);

namespace Crag\Construct;

use Crag\Construct\Figure\Circle;
use Crag\Construct\Figure\Figure;
use Crag\Construct\Figure\Point;
use Crag\Construct\Figure\Straight;
use Crag\Json\Fields;
use Crag\Json\UnreadableFields;

/**
 * Points, lines and circles that depend on each other. Each is stored as what it is made of; where they are is worked
 * out from the free ones. What does not exist at the moment (where two parallel lines meet) is not there, nor is what
 * depends on it, and both come back when it does.
 *
 * JSON form: a list of elements, each after those that it is made of.
 */
final readonly class Construction
{
    public const MOST = 200;

    /** Each costs as much as some hundred other elements. */
    private const MOST_LOCI = 8;

    /** What is stored in whole numbers has so many parts to a unit. */
    private const TENTHS = 10;

    private const FINE = 10_000;

    /** @param  array<string, Element>  $elements  by id, each after those that it is made of */
    private function __construct(public array $elements)
    {
    }

    public static function nothing(): self
    {
        return new self([]);
    }

    /** @throws UnreadableFields */
    public static function read(Fields $fields, string $name = 'elements'): self
    {
        $elements = [];
        foreach ($fields->list($name, 0, self::MOST) === [] ? [] : $fields->objects($name, self::MOST) as $one) {
            $element = Element::read($one);
            if (isset($elements[$element->id])) {
                throw UnreadableFields::badValue($name, "hold \"{$element->id}\" twice");
            }
            self::check($element, $elements);
            $elements[$element->id] = $element;
        }

        return self::whole($elements);
    }

    /** @return list<array<string, mixed>> */
    public function toArray(): array
    {
        return array_values(array_map(static fn (Element $element): array => $element->toArray(), $this->elements));
    }

    /**
     * With an element more, or with one in place of the one of its id: in its place in the order.
     *
     * @throws UnreadableFields when it is not made of earlier ones as its kind needs them, or there are too many
     */
    public function with(Element $element): self
    {
        $elements = $this->elements;
        $before = [];
        foreach ($elements as $id => $one) {
            if ($id === $element->id) {
                break;
            }
            $before[$id] = $one;
        }
        self::check($element, $before);
        if (isset($elements[$element->id]) && $elements[$element->id]->kind !== $element->kind) {
            throw UnreadableFields::badValue('kind', 'cannot become another one');
        }
        $elements[$element->id] = $element;

        return self::whole($elements);
    }

    /**
     * @param  array<string, Element>  $elements
     *
     * @throws UnreadableFields when there are too many
     */
    private static function whole(array $elements): self
    {
        $loci = array_filter($elements, static fn (Element $one): bool => $one->kind === ElementKind::Locus);

        return match (true) {
            count($elements) > self::MOST => throw UnreadableFields::badValue('elements', 'are more than '.self::MOST),
            count($loci) > self::MOST_LOCI => throw UnreadableFields::badValue('elements', 'hold too many loci'),
            default => new self($elements),
        };
    }

    /** Nothing is made of a locus. */
    public function withoutLoci(): self
    {
        return new self(
            array_filter($this->elements, static fn (Element $one): bool => $one->kind !== ElementKind::Locus),
        );
    }

    /** Without an element and all that depends on it. */
    public function without(string $id): self
    {
        return new self(array_diff_key($this->elements, array_flip([$id, ...$this->dependants($id)])));
    }

    /** @return list<string> what goes with an element, in order */
    public function dependants(string $id): array
    {
        $gone = [$id => true];
        foreach ($this->elements as $one) {
            if (array_intersect_key(array_flip($one->of), $gone) !== []) {
                $gone[$one->id] = true;
            }
        }

        return array_slice(array_map(strval(...), array_keys($gone)), 1);
    }

    /**
     * With a free point moved to a place, or a point along what it lies on as near to the place as it can come. What is
     * not free stays.
     */
    public function moved(string $id, Point $to): self
    {
        $element = $this->elements[$id] ?? null;
        $numbers = match ($element?->kind) {
            ElementKind::Point => [
                'x' => (int) round($to->x * self::TENTHS),
                'y' => (int) round($to->y * self::TENTHS),
            ],
            ElementKind::On => $this->along($element, $to),
            default => null,
        };

        return $element === null || $numbers === null
            ? $this
            : new self([...$this->elements, $id => $element->with($numbers)]);
    }

    /** @return array{t: int}|null */
    private function along(Element $element, Point $to): ?array
    {
        $on = $this->figures()[$element->of[0]] ?? null;
        $t = match (true) {
            $on instanceof Straight => $on->extent->nearest($on->along($to)),
            $on instanceof Circle => $on->along($to),
            default => null,
        };

        return $t === null ? null : ['t' => (int) round($t * self::FINE)];
    }

    /**
     * @param  ?Scale  $scale  in what is measured; null for centimetres
     * @return array<string, ?Figure> by id: where each is now, null for what does not exist
     */
    public function figures(?Scale $scale = null): array
    {
        $scale ??= Scale::centimetres();
        $figures = [];
        foreach ($this->elements as $id => $element) {
            $figures[$id] = $this->figure($element, $figures, $scale);
        }

        return $figures;
    }

    /** @param  array<string, ?Figure>  $figures  of what stands before it */
    private function figure(Element $element, array $figures, Scale $scale): ?Figure
    {
        // It is there though the point that it traces is not, at the moment.
        if ($element->kind === ElementKind::Locus) {
            return Locus::of($this, $element);
        }
        $of = [];
        foreach ($element->of as $id) {
            $figure = $figures[$id] ?? null;
            if ($figure === null) {
                return null;
            }
            $of[] = $figure;
        }

        return Worked::out($element, $of, $scale);
    }

    /**
     * @param  array<string, Element>  $before
     *
     * @throws UnreadableFields
     */
    private static function check(Element $element, array $before): void
    {
        $needs = $element->kind->needs();
        $isOpen = str_ends_with($needs, '+');
        $letters = str_split(rtrim($needs, '+') ?: ' ');
        $least = $needs === '' ? 0 : count($letters);
        if (count($element->of) < $least || (! $isOpen && count($element->of) > $least)) {
            throw UnreadableFields::badValue('of', "is not what a {$element->kind->value} is made of");
        }
        foreach ($element->of as $i => $id) {
            $letter = $letters[min($i, count($letters) - 1)];
            if (! isset($before[$id]) || ! $before[$id]->kind->serves($letter)) {
                throw UnreadableFields::badValue('of', "names \"{$id}\", of which no {$element->kind->value} is made");
            }
        }
    }
}
