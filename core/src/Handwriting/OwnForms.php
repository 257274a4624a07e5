<?php

declare(strict_types=1);

namespace Crag\Handwriting;

use Crag\Json\Fields;
use Crag\Json\UnreadableFields;

/**
 * How one student writes, as far as they confirmed it: forms of signs by their features. A sign that looks much like
 * one of them is taken for that one. Kept with the seat, and forgotten with it.
 */
final readonly class OwnForms
{
    /** The oldest are let go. */
    public const MOST = 80;

    /** From such a likeness on a form counts; two signs of one hand are about so alike. */
    private const ALIKE = 0.86;

    /** How much it counts where it is the same. */
    private const WEIGHT = 0.75;

    /** @param  list<array{string, list<float>}>  $forms */
    private function __construct(private array $forms)
    {
    }

    public static function none(): self
    {
        return new self([]);
    }

    /** @throws UnreadableFields */
    public static function read(Fields $fields): self
    {
        $forms = [];
        foreach ($fields->isNull('forms') ? [] : $fields->list('forms', 0, self::MOST) as $form) {
            [$sign, $features] = is_array($form) && count($form) === 2 ? array_values($form) : [null, null];
            if (! is_string($sign) || ! is_array($features) || count($features) !== Features::COUNT) {
                throw UnreadableFields::badValue('forms', 'holds no form');
            }
            $numbers = array_map(
                static fn (mixed $one): float => is_numeric($one) ? $one / 100 : 0.0,
                array_values($features),
            );
            $forms[] = [$sign, $numbers];
        }

        return new self($forms);
    }

    /** @return array{forms: list<array{string, list<int>}>} */
    public function toArray(): array
    {
        return [
            'forms' => array_map(
                static fn (array $form): array => [
                    $form[0],
                    array_map(static fn (float $one): int => (int) round(100 * $one), $form[1]),
                ],
                $this->forms,
            ),
        ];
    }

    /** @param  list<float>  $features */
    public function with(string $sign, array $features): self
    {
        return new self(array_slice([...$this->forms, [$sign, $features]], -self::MOST));
    }

    public function isEmpty(): bool
    {
        return $this->forms === [];
    }

    /**
     * What the network said, as this hand writes.
     *
     * @param  array<string, float>  $likely
     * @param  list<float>  $features
     * @return array<string, float>
     */
    public function weigh(array $likely, array $features): array
    {
        [$best, $sign] = [0.0, null];
        foreach ($this->forms as [$one, $form]) {
            $alike = self::likeness($form, $features);
            if ($alike > $best) {
                [$best, $sign] = [$alike, $one];
            }
        }
        if ($sign === null || $best < self::ALIKE) {
            return $likely;
        }
        $share = self::WEIGHT * ($best - self::ALIKE) / (1 - self::ALIKE) + (1 - self::WEIGHT);
        $likely = array_map(static fn (float $one): float => $one * (1 - $share), $likely);
        $likely[$sign] = ($likely[$sign] ?? 0.0) + $share;

        return $likely;
    }

    /**
     * @param  list<float>  $one
     * @param  list<float>  $other
     * @return float the cosine between them
     */
    private static function likeness(array $one, array $other): float
    {
        $product = $first = $second = 0.0;
        foreach ($one as $i => $value) {
            $product += $value * $other[$i];
            $first += $value * $value;
            $second += $other[$i] * $other[$i];
        }

        return $product / sqrt(max(1e-12, $first * $second));
    }
}
