<?php

declare(strict_types=1);

namespace Crag\Manipulative;

/** What one name in a manipulative's state may hold: a whole number, or a list of them. */
final readonly class Field
{
    public const LARGEST = 1_000_000;

    private function __construct(
        public string $name,
        public int $least,
        public int $most,
        public ?int $longest,
        public int $by,
    ) {
    }

    public static function whole(string $name, int $least, int $most): self
    {
        return new self($name, $least, $most, null, 1);
    }

    /** @param  int  $by  how many numbers of the list belong together */
    public static function list(string $name, int $longest, int $least, int $most, int $by = 1): self
    {
        return new self($name, $least, $most, $longest * $by, $by);
    }

    /**
     * What came from outside, made to fit.
     *
     * @return int|list<int>
     */
    public function fitted(mixed $value): int|array
    {
        $whole = fn (mixed $one): int => min($this->most, max($this->least, is_int($one) ? $one : 0));
        if ($this->longest === null) {
            return $whole($value);
        }
        $list = array_slice(is_array($value) ? array_values($value) : [], 0, $this->longest);

        return array_map($whole, array_slice($list, 0, intdiv(count($list), $this->by) * $this->by));
    }
}
