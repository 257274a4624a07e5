<?php

declare(strict_types=1);

namespace Crag\Canvas;

/** The fields of a decoded JSON object, each read as what it must be or refused by name. */
final readonly class Fields
{
    /** @param  array<array-key, mixed>  $values */
    public function __construct(private array $values)
    {
    }

    public function has(string $name): bool
    {
        return array_key_exists($name, $this->values);
    }

    /** @throws UnreadableOperation */
    public function text(string $name, int $longest = 200): string
    {
        $value = $this->values[$name] ?? null;
        if (! is_string($value)) {
            throw UnreadableOperation::missing($name);
        }
        if (! mb_check_encoding($value, 'UTF-8')) {
            throw UnreadableOperation::badValue($name, 'is not valid UTF-8');
        }
        if (mb_strlen($value) > $longest) {
            throw UnreadableOperation::badValue($name, "is longer than {$longest} characters");
        }

        return $value;
    }

    /** @throws UnreadableOperation */
    public function whole(string $name, int $least, int $most): int
    {
        $value = $this->values[$name] ?? null;
        if (! is_int($value)) {
            throw UnreadableOperation::missing($name);
        }
        if ($value < $least || $value > $most) {
            throw UnreadableOperation::badValue($name, "is {$value}, outside {$least} to {$most}");
        }

        return $value;
    }

    /** @throws UnreadableOperation */
    public function object(string $name): self
    {
        $value = $this->values[$name] ?? null;
        if (! is_array($value)) {
            throw UnreadableOperation::missing($name);
        }

        return new self($value);
    }

    /**
     * @return list<string>
     *
     * @throws UnreadableOperation
     */
    public function ids(string $name, int $most = 2000): array
    {
        $value = $this->values[$name] ?? null;
        if (! is_array($value) || $value === [] || ! array_is_list($value)) {
            throw UnreadableOperation::missing($name);
        }
        if (count($value) > $most) {
            throw UnreadableOperation::badValue($name, "names more than {$most} things");
        }

        return array_map(static fn (mixed $id): string => OperationId::from($id)->value, $value);
    }
}
