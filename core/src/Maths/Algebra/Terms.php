<?php

declare(strict_types=1);

namespace Crag\Maths\Algebra;

use Brick\Math\BigRational;
use Crag\Maths\Parsing\UnreadableMaths;

/**
 * A sum of terms of different kinds. It is zero only when it has no terms: roots of different products of primes, and
 * powers of letters, cannot cancel each other (Besicovitch, "On the linear independence of fractional powers of
 * integers", 1940).
 */
final readonly class Terms
{
    private const MOST = 300;

    /** @param  array<string, Term>  $terms  by kind, in order, none of them zero */
    private function __construct(public array $terms)
    {
    }

    public static function of(Term ...$terms): self
    {
        $sum = [];
        foreach ($terms as $term) {
            $kind = $term->kind();
            $sum[$kind] = isset($sum[$kind]) ? $sum[$kind]->plus($term) : $term;
        }
        $sum = array_filter($sum, static fn (Term $term): bool => $term->factor->getSign() !== 0);
        if (count($sum) > self::MOST) {
            throw UnreadableMaths::large();
        }
        ksort($sum);

        return new self($sum);
    }

    public static function number(BigRational $number): self
    {
        return self::of(Term::number($number));
    }

    public function plus(self $other): self
    {
        return self::of(...array_values($this->terms), ...array_values($other->terms));
    }

    public function multipliedBy(self $other): self
    {
        if (count($this->terms) * count($other->terms) > self::MOST * 10) {
            throw UnreadableMaths::large();
        }
        $products = [];
        foreach ($this->terms as $one) {
            foreach ($other->terms as $two) {
                $products[] = $one->multipliedBy($two);
            }
        }

        return self::of(...$products);
    }

    public function scaledBy(BigRational $factor): self
    {
        return self::of(
            ...array_map(static fn (Term $term): Term => $term->scaledBy($factor), array_values($this->terms)),
        );
    }

    public function isZero(): bool
    {
        return $this->terms === [];
    }

    /** The only term, or null when there is another number of them. */
    public function single(): ?Term
    {
        return count($this->terms) === 1 ? $this->terms[array_key_first($this->terms)] : null;
    }

    /** The rational number that it is, if it is one. */
    public function rational(): ?BigRational
    {
        if ($this->isZero()) {
            return BigRational::zero();
        }
        $single = $this->single();

        return $single?->isNumber() === true ? $single->factor : null;
    }

    public function hasLetters(): bool
    {
        return array_filter($this->terms, static fn (Term $term): bool => $term->hasLetters()) !== [];
    }
}
