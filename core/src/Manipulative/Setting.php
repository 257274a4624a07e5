<?php

declare(strict_types=1);

namespace Crag\Manipulative;

/** One field in a manipulative's form: a whole number between two others, one of a few choices, or words. */
final readonly class Setting
{
    public const LONGEST = 120;

    private const MOST = 10;

    /** @param  list<string>  $choices  what its numbers from 0 stand for; empty where it is a number or words */
    private function __construct(
        public string $name,
        public string $label,
        public int|string $first,
        public int $least = 0,
        public int $most = 0,
        public array $choices = [],
    ) {
    }

    public static function whole(string $name, string $label, int $first, int $least, int $most): self
    {
        return new self($name, $label, $first, $least, $most);
    }

    /** @param  non-empty-list<string>  $choices */
    public static function choice(string $name, string $label, array $choices, int $first = 0): self
    {
        return new self($name, $label, $first, 0, count($choices) - 1, $choices);
    }

    public static function words(string $name, string $label, string $first): self
    {
        return new self($name, $label, $first);
    }

    /** What came from outside, made to fit. */
    public function fitted(mixed $value): int|string
    {
        if (is_string($this->first)) {
            return is_string($value) && mb_check_encoding($value, 'UTF-8')
                ? mb_substr($value, 0, self::LONGEST)
                : $this->first;
        }

        return min($this->most, max($this->least, is_int($value) ? $value : $this->first));
    }

    /**
     * Settings of no kind in particular: as many and as long as any kind has.
     *
     * @param  array<array-key, mixed>  $given
     * @return array<string, int|string>
     */
    public static function within(array $given): array
    {
        $kept = [];
        foreach (array_slice($given, 0, self::MOST, true) as $name => $value) {
            if (is_int($value)) {
                $kept[(string) $name] = $value;
            } elseif (is_string($value) && mb_check_encoding($value, 'UTF-8')) {
                $kept[(string) $name] = mb_substr($value, 0, self::LONGEST);
            }
        }

        return $kept;
    }

    /** @return array{name: string, label: string, first: int|string, least: int, most: int, choices: list<string>} */
    public function toArray(): array
    {
        return [
            'name' => $this->name,
            'label' => $this->label,
            'first' => $this->first,
            'least' => $this->least,
            'most' => $this->most,
            'choices' => $this->choices,
        ];
    }
}
