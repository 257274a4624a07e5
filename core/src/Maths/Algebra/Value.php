<?php

declare(strict_types=1);

namespace Crag\Maths\Algebra;

use Brick\Math\BigDecimal;
use Brick\Math\BigInteger;
use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use Crag\Maths\Parsing\UnreadableMaths;

/** What an expression is worth, exactly: one sum of terms over another. */
final readonly class Value
{
    /** Decimal places to which what is not rational is worked out where it must be compared or written. */
    private const PLACES = 40;

    private const PI = '3.14159265358979323846264338327950288419716939937510582097494459';

    private const LARGEST_POWER = 400;

    private const LARGEST_LETTER_POWER = 20;

    /** Larger numbers are not taken apart into primes. */
    private const LARGEST_FACTORED = 1_000_000_000_000;

    private function __construct(public Terms $over, public Terms $under)
    {
    }

    public static function number(BigRational|int|string $number): self
    {
        return new self(Terms::number(BigRational::of($number)), Terms::number(BigRational::one()));
    }

    public static function letter(string $letter): self
    {
        return new self(Terms::of(Term::letter($letter)), Terms::number(BigRational::one()));
    }

    public function plus(self $other): self
    {
        return self::over(
            $this->over->times($other->under)->plus($other->over->times($this->under)),
            $this->under->times($other->under),
        );
    }

    public function minus(self $other): self
    {
        return $this->plus($other->negated());
    }

    public function negated(): self
    {
        return new self($this->over->by(BigRational::of(-1)), $this->under);
    }

    public function times(self $other): self
    {
        return self::over($this->over->times($other->over), $this->under->times($other->under));
    }

    /** @throws UnreadableMaths by nought */
    public function dividedBy(self $other): self
    {
        return self::over($this->over->times($other->under), $this->under->times($other->over));
    }

    /** @throws UnreadableMaths by nought */
    private static function over(Terms $over, Terms $under): self
    {
        if ($under->isNought()) {
            throw UnreadableMaths::byNought();
        }
        $single = $under->single();
        if ($single !== null && ! $single->hasLetters() && ! isset($single->powers['π'])) {
            return new self($over->times(Terms::of($single->turnedOver())), Terms::number(BigRational::one()));
        }

        return new self($over, $under);
    }

    /** @throws UnreadableMaths where the power is no plain number, or too large */
    public function toThe(self $power): self
    {
        $exponent = $power->rational() ?? throw UnreadableMaths::power();
        [$over, $under] = [$exponent->getNumerator(), $exponent->getDenominator()];
        if ($over->abs()->isGreaterThan(self::LARGEST_POWER) || $under->isGreaterThan(12)) {
            throw UnreadableMaths::large();
        }
        $raised = $this->raised($over->abs()->toInt());
        $raised = $over->isNegative() ? self::number(1)->dividedBy($raised) : $raised;

        return $raised->root($under->toInt());
    }

    private function raised(int $times): self
    {
        $rational = $this->rational();
        if ($rational !== null) {
            if (strlen((string) $rational) * $times > 4000) {
                throw UnreadableMaths::large();
            }

            return self::number($rational->power($times)->simplified());
        }
        if ($times > self::LARGEST_LETTER_POWER) {
            throw UnreadableMaths::large();
        }
        $product = self::number(1);
        for ($i = 0; $i < $times; $i++) {
            $product = $product->times($this);
        }

        return $product;
    }

    /** @throws UnreadableMaths where there is no such root, or none that can be left exact */
    public function root(int $order): self
    {
        if ($order === 1) {
            return $this;
        }
        if ($this->over->isNought()) {
            return $this;
        }
        [$over, $under] = [$this->over->single(), $this->under->single()];
        if ($over === null || $under === null) {
            throw UnreadableMaths::rootOfSum();
        }

        return self::termRoot($over, $order)->dividedBy(self::termRoot($under, $order));
    }

    private static function termRoot(Term $term, int $order): self
    {
        $factor = $term->factor;
        $isNegative = $factor->getSign() < 0;
        if ($isNegative && $order % 2 === 0) {
            throw UnreadableMaths::negativeRoot();
        }
        $root = Terms::of($term->letterRoot($order))->times(self::wholeRoot($factor->getNumerator()->abs(), $order));
        $under = self::wholeRoot($factor->getDenominator(), $order);

        return self::over($isNegative ? $root->by(BigRational::of(-1)) : $root, $under);
    }

    /** A whole number's root as roots of its primes. */
    private static function wholeRoot(BigInteger $number, int $order): Terms
    {
        if ($number->isGreaterThan(self::LARGEST_FACTORED)) {
            throw UnreadableMaths::large();
        }
        $rest = $number->toInt();
        $root = Terms::number(BigRational::one());
        for ($prime = 2; $rest > 1; $prime++) {
            if ($prime * $prime > $rest) {
                $prime = $rest;
            }
            for ($times = 0; $rest % $prime === 0; $times++) {
                $rest = intdiv($rest, $prime);
            }
            if ($times > 0) {
                $root = $root->times(Terms::of(Term::root($prime, $times, $order)));
            }
        }

        return $root;
    }

    /** Whether both are worth the same, for all values of the letters for which both are worth something. */
    public function equals(self $other): bool
    {
        return $this->minus($other)->over->isNought();
    }

    /** Whether one is the other times a number that is not nought. */
    public function isMultipleOf(self $other): bool
    {
        $kind = array_key_first($this->over->terms);
        if ($kind === null || ! isset($other->over->terms[$kind])) {
            return $kind === array_key_first($other->over->terms);
        }
        $by = $this->over->terms[$kind]->factor->dividedBy($other->over->terms[$kind]->factor);

        return self::over($other->over->by($by), Terms::number(BigRational::one()))->equals(
            self::over($this->over, Terms::number(BigRational::one())),
        );
    }

    public function hasLetters(): bool
    {
        return $this->over->hasLetters() || $this->under->hasLetters();
    }

    /** @return list<string> the letters that it depends on */
    public function letters(): array
    {
        $letters = [];
        foreach ([...$this->over->terms, ...$this->under->terms] as $term) {
            foreach (array_keys($term->powers) as $name) {
                if ($name !== 'π' && ! Term::isRoot((string) $name)) {
                    $letters[(string) $name] = true;
                }
            }
        }
        ksort($letters);

        return array_map(strval(...), array_keys($letters));
    }

    /** The rational number that it is, if it is one. */
    public function rational(): ?BigRational
    {
        [$over, $under] = [$this->over->rational(), $this->under->rational()];
        if ($over !== null && $under !== null) {
            return $over->dividedBy($under)->simplified();
        }
        if (array_keys($this->over->terms) !== array_keys($this->under->terms)) {
            return null;
        }
        // 3π/2π is a number too.
        $kind = (string) array_key_first($this->over->terms);
        $by = $this->over->terms[$kind]->factor->dividedBy($this->under->terms[$kind]->factor)->simplified();

        return $this->equals(self::number($by)) ? $by : null;
    }

    /**
     * A rational number, exactly or closer than anybody asks for.
     *
     * @throws UnreadableMaths when it depends on letters
     */
    public function close(): BigRational
    {
        $rational = $this->rational();
        if ($rational !== null) {
            return $rational;
        }
        $under = self::sum($this->under);

        return $under->getSign() === 0 ? throw UnreadableMaths::byNought() : self::sum($this->over)->dividedBy($under);
    }

    private static function sum(Terms $terms): BigRational
    {
        $sum = BigRational::zero();
        foreach ($terms->terms as $term) {
            $product = $term->factor;
            foreach ($term->powers as $name => [$over, $under]) {
                $base = match (true) {
                    $name === 'π' => BigRational::of(self::PI),
                    Term::isRoot($name) => BigRational::of(substr($name, 3)),
                    default => throw UnreadableMaths::letters($name),
                };
                $product = $product->multipliedBy(self::closeRoot($base->power($over), $under));
            }
            $sum = $sum->plus($product);
        }

        return BigRational::of($sum->toScale(self::PLACES, RoundingMode::HALF_EVEN));
    }

    /** By Newton's rule on whole numbers, the number first made larger by as many noughts as places are wanted. */
    private static function closeRoot(BigRational $number, int $order): BigRational
    {
        if ($order === 1) {
            return $number;
        }
        $large = BigInteger::of(
            $number->multipliedBy(BigRational::of(10)->power(self::PLACES * $order))->toScale(0, RoundingMode::DOWN),
        );
        $root = BigInteger::of(10)->power(intdiv(strlen((string) $large), $order) + 1);
        do {
            $before = $root;
            $root = $before
                ->multipliedBy($order - 1)
                ->plus($large->quotient($before->power($order - 1)))
                ->quotient($order);
        } while ($root->isLessThan($before));

        return BigRational::nd($before, BigInteger::of(10)->power(self::PLACES));
    }

    public function compareTo(self $other): int
    {
        return $this->equals($other) ? 0 : $this->close()->compareTo($other->close());
    }

    public function decimal(int $places): BigDecimal
    {
        return $this->close()->toScale($places, RoundingMode::HALF_UP);
    }
}
