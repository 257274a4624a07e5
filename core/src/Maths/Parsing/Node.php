<?php

declare(strict_types=1);

namespace Crag\Maths\Parsing;

use Brick\Math\BigRational;
use Crag\Maths\Algebra\Functions;
use Crag\Maths\Algebra\Value;

/** An expression as it was written, so that both its worth and its form can be told. */
final readonly class Node
{
    /**
     * @param  list<self>  $parts
     * @param  int  $order  of a root
     */
    private function __construct(
        public NodeKind $sign,
        public array $parts = [],
        public ?Numeral $numeral = null,
        public string $letter = '',
        public int $order = 2,
    ) {
    }

    public static function number(Numeral $numeral): self
    {
        return new self(NodeKind::Number, numeral: $numeral);
    }

    public static function letter(string $letter): self
    {
        return new self(NodeKind::Letter, letter: $letter);
    }

    public static function of(NodeKind $sign, self ...$parts): self
    {
        return new self($sign, array_values($parts));
    }

    public static function root(int $order, self $of): self
    {
        return new self(NodeKind::Root, [$of], order: $order);
    }

    public static function called(string $function, self $of): self
    {
        return new self(NodeKind::Called, [$of], letter: $function);
    }

    public static function logarithm(self $of, self $base): self
    {
        return new self(NodeKind::Logarithm, [$of, $base]);
    }

    /**
     * @param  array<string, Value>  $letters  what letters stand for; others stay letters
     *
     * @throws UnreadableMaths
     */
    public function value(array $letters = []): Value
    {
        $parts = array_map(static fn (self $part): Value => $part->value($letters), $this->parts);

        return match ($this->sign) {
            NodeKind::Number => Value::number($this->numeral->value ?? 0),
            NodeKind::Letter => $letters[$this->letter] ?? Value::letter($this->letter),
            NodeKind::Mixed, NodeKind::Sum => self::all($parts, static fn (Value $a, Value $b): Value => $a->plus($b)),
            NodeKind::Product => self::all($parts, static fn (Value $a, Value $b): Value => $a->multipliedBy($b)),
            NodeKind::Negative => $parts[0]->negated(),
            NodeKind::Quotient => $parts[0]->dividedBy($parts[1]),
            NodeKind::Power => $parts[0]->power($parts[1]),
            NodeKind::Root => $parts[0]->root($this->order),
            NodeKind::Percent => $parts[0]->multipliedBy(Value::number(BigRational::nd(1, 100))),
            NodeKind::Called => Functions::of($this->letter, $parts[0]),
            NodeKind::Logarithm => Functions::logarithm($parts[0], $parts[1]),
            NodeKind::Factorial => Functions::factorial($parts[0]),
            NodeKind::Binomial => Functions::binomial($parts[0], $parts[1]),
        };
    }

    /** Without the minus before it. */
    public function bare(): self
    {
        return $this->sign === NodeKind::Negative ? $this->parts[0]->bare() : $this;
    }

    public function is(NodeKind $sign): bool
    {
        return $this->sign === $sign;
    }

    public function isWhole(): bool
    {
        return $this->numeral?->isWhole() === true && $this->numeral->places === 0;
    }

    /** A whole number over a whole number. */
    public function isFraction(): bool
    {
        return $this->is(NodeKind::Quotient) && $this->parts[0]->bare()->isWhole() && $this->parts[1]->isWhole();
    }

    /** @param  callable(self): bool  $which */
    public function holds(callable $which): bool
    {
        if ($which($this)) {
            return true;
        }
        foreach ($this->parts as $part) {
            if ($part->holds($which)) {
                return true;
            }
        }

        return false;
    }

    /**
     * @param  list<Value>  $parts
     * @param  callable(Value, Value): Value  $both
     */
    private static function all(array $parts, callable $both): Value
    {
        $value = array_shift($parts) ?? Value::number(0);
        foreach ($parts as $part) {
            $value = $both($value, $part);
        }

        return $value;
    }
}
