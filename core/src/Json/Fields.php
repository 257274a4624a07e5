<?php

declare(strict_types=1);

namespace Crag\Json;

/** The fields of a decoded JSON object, each read as what it must be or refused by name. */
final readonly class Fields
{
    /**
     * @param  array<array-key, mixed>  $values
     * @param  bool  $kept  whether they come from where only what was checked is kept: costly checks are left out
     */
    public function __construct(private array $values, public bool $kept = false)
    {
    }

    /** @param  array<string, mixed>  $values  in place of what they say of these names, and besides */
    public function with(array $values): self
    {
        return new self($values + $this->values, $this->kept);
    }

    public function has(string $name): bool
    {
        return array_key_exists($name, $this->values);
    }

    /** Whether it is absent or null. */
    public function isNull(string $name): bool
    {
        return ! isset($this->values[$name]);
    }

    public function isList(string $name): bool
    {
        return is_array($this->values[$name] ?? null);
    }

    public function isWhole(string $name): bool
    {
        return is_int($this->values[$name] ?? null);
    }

    /** @return array<array-key, mixed> as they came: nothing of it is checked */
    public function all(): array
    {
        return $this->values;
    }

    /** @return list<string> */
    public function names(): array
    {
        return array_map(strval(...), array_keys($this->values));
    }

    /** @throws UnreadableFields */
    public function text(string $name, int $longest = 200): string
    {
        $value = $this->values[$name] ?? null;
        if (! is_string($value)) {
            throw UnreadableFields::missing($name);
        }
        if ($this->kept) {
            return $value;
        }
        if (! mb_check_encoding($value, 'UTF-8')) {
            throw UnreadableFields::badValue($name, 'is not valid UTF-8');
        }
        if (mb_strlen($value) > $longest) {
            throw UnreadableFields::badValue($name, "is longer than {$longest} characters");
        }

        return $value;
    }

    /** @throws UnreadableFields */
    public function whole(string $name, int $least, int $most, ?int $absent = null): int
    {
        $value = $this->values[$name] ?? $absent;
        if (! is_int($value)) {
            throw UnreadableFields::missing($name);
        }
        if ($value < $least || $value > $most) {
            throw UnreadableFields::badValue($name, "is {$value}, outside {$least} to {$most}");
        }

        return $value;
    }

    /** A finite number, whole or not. */
    public function number(string $name, float $least, float $most): float
    {
        $value = $this->values[$name] ?? null;
        if (! is_int($value) && ! (is_float($value) && is_finite($value))) {
            throw UnreadableFields::missing($name);
        }
        if ($value < $least || $value > $most) {
            throw UnreadableFields::badValue($name, "is {$value}, outside {$least} to {$most}");
        }

        return (float) $value;
    }

    /** False when it is absent. */
    public function flag(string $name): bool
    {
        $value = $this->values[$name] ?? false;

        return is_bool($value) ? $value : throw UnreadableFields::badValue($name, 'is neither true nor false');
    }

    /**
     * @param  list<string>  $choices
     *
     * @throws UnreadableFields
     */
    public function oneOf(string $name, array $choices, ?string $absent = null): string
    {
        $value = $this->values[$name] ?? $absent;
        if (! is_string($value)) {
            throw UnreadableFields::missing($name);
        }

        return in_array($value, $choices, true)
            ? $value
            : throw UnreadableFields::badValue($name, 'is none of '.implode(', ', $choices));
    }

    /** @throws UnreadableFields */
    public function object(string $name): self
    {
        $value = $this->values[$name] ?? null;
        if (! is_array($value)) {
            throw UnreadableFields::missing($name);
        }

        return new self($value, $this->kept);
    }

    /**
     * @return list<self>
     *
     * @throws UnreadableFields
     */
    public function objects(string $name, int $most): array
    {
        return array_map(
            fn (mixed $one): self => is_array($one)
                ? new self($one, $this->kept)
                : throw UnreadableFields::missing($name),
            $this->list($name, 1, $most),
        );
    }

    /**
     * @return list<int>
     *
     * @throws UnreadableFields
     */
    public function integers(string $name, int $fewest, int $most): array
    {
        return array_map(
            static fn (mixed $one): int => is_int($one)
                ? $one
                : throw UnreadableFields::badValue($name, 'holds something that is not a whole number'),
            $this->list($name, $fewest, $most),
        );
    }

    /**
     * @return list<mixed>
     *
     * @throws UnreadableFields
     */
    public function list(string $name, int $fewest, int $most): array
    {
        $value = $this->values[$name] ?? null;
        if (! is_array($value) || count($value) < $fewest || ! array_is_list($value)) {
            throw UnreadableFields::missing($name);
        }
        if (count($value) > $most) {
            throw UnreadableFields::badValue($name, "holds more than {$most} things");
        }

        return $value;
    }
}
