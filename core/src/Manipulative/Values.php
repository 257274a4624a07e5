<?php

declare(strict_types=1);

namespace Crag\Manipulative;

/**
 * Settings or the state of a manipulative: whole numbers, lists of them, and words, by their names. What is not there
 * is 0, empty or ''. resources/ts/canvas/model/manipulative/values.ts is the same for the page.
 */
final readonly class Values
{
    /** @param  array<string, int|string|list<int>>  $all */
    private function __construct(private array $all)
    {
    }

    /** @param  array<string, int|string|array<int, int>>  $all */
    public static function of(array $all): self
    {
        return new self(array_map(
            static fn (int|string|array $one): int|string|array => is_array($one) ? array_values($one) : $one,
            $all,
        ));
    }

    public function int(string $name): int
    {
        $value = $this->all[$name] ?? 0;

        return is_int($value) ? $value : 0;
    }

    /** @return list<int> */
    public function list(string $name): array
    {
        $value = $this->all[$name] ?? [];

        return is_array($value) ? $value : [];
    }

    public function words(string $name): string
    {
        $value = $this->all[$name] ?? '';

        return is_string($value) ? $value : '';
    }

    /** @param  int|string|array<int, int>  $value */
    public function with(string $name, int|string|array $value): self
    {
        return new self([...$this->all, $name => is_array($value) ? array_values($value) : $value]);
    }

    /** @return array<string, int|string|list<int>> */
    public function toArray(): array
    {
        return $this->all;
    }
}
