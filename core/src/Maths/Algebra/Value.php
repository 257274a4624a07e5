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

    private const CONSTANTS = [
        'π' => '3.14159265358979323846264338327950288419716939937510582097494459',
        'e' => '2.71828182845904523536028747135266249775724709369995957496696763',
    ];

    /** What is known to fourteen figures differs by less where it is the same. */
    private const NOTHING = 1e-11;

    private const LARGEST_POWER = 400;

    private const LARGEST_LETTER_POWER = 20;

    /** Larger numbers are not taken apart into primes. */
    private const LARGEST_FACTORED = 1_000_000_000_000;

    private function __construct(public Terms $numerator, public Terms $denominator)
    {
    }

    public static function number(BigRational|int|string $number): self
    {
        return new self(Terms::number(BigRational::of($number)), Terms::number(BigRational::one()));
    }

    /** A number that cannot be written exactly, to fourteen figures. */
    public static function about(float $number): self
    {
        $figures = BigDecimal::of(sprintf('%.13e', abs($number)))->stripTrailingZeros();
        $value = new self(Terms::of(Term::near((string) $figures)), Terms::number(BigRational::one()));

        return match (true) {
            $figures->isZero() => self::number(0),
            $number < 0 => $value->negated(),
            default => $value,
        };
    }

    public static function letter(string $letter): self
    {
        return new self(Terms::of(Term::letter($letter)), Terms::number(BigRational::one()));
    }

    public function plus(self $other): self
    {
        return self::quotient(
            $this->numerator
                ->multipliedBy($other->denominator)
                ->plus($other->numerator->multipliedBy($this->denominator)),
            $this->denominator->multipliedBy($other->denominator),
        );
    }

    public function minus(self $other): self
    {
        return $this->plus($other->negated());
    }

    public function negated(): self
    {
        return new self($this->numerator->scaledBy(BigRational::of(-1)), $this->denominator);
    }

    public function multipliedBy(self $other): self
    {
        return self::quotient(
            $this->numerator->multipliedBy($other->numerator),
            $this->denominator->multipliedBy($other->denominator),
        );
    }

    /** @throws UnreadableMaths by zero */
    public function dividedBy(self $other): self
    {
        return self::quotient(
            $this->numerator->multipliedBy($other->denominator),
            $this->denominator->multipliedBy($other->numerator),
        );
    }

    /** @throws UnreadableMaths by zero */
    private static function quotient(Terms $numerator, Terms $denominator): self
    {
        if ($denominator->isZero()) {
            throw UnreadableMaths::divisionByZero();
        }
        $single = $denominator->single();
        if ($single !== null && ! $single->hasLetters() && ! $single->isTranscendental()) {
            return new self(
                $numerator->multipliedBy(Terms::of($single->reciprocal())),
                Terms::number(BigRational::one()),
            );
        }

        return new self($numerator, $denominator);
    }

    /** @throws UnreadableMaths where the power is no plain number, or too large */
    public function power(self $power): self
    {
        $exponent = $power->rational() ?? throw UnreadableMaths::power();
        [$numerator, $denominator] = [$exponent->getNumerator(), $exponent->getDenominator()];
        if ($numerator->abs()->isGreaterThan(self::LARGEST_POWER) || $denominator->isGreaterThan(12)) {
            throw UnreadableMaths::large();
        }
        $raised = $this->raised($numerator->abs()->toInt());
        $raised = $numerator->isNegative() ? self::number(1)->dividedBy($raised) : $raised;

        return $raised->root($denominator->toInt());
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
            $product = $product->multipliedBy($this);
        }

        return $product;
    }

    /** @throws UnreadableMaths where there is no such root, or none that can be left exact */
    public function root(int $order): self
    {
        if ($order === 1) {
            return $this;
        }
        if ($this->numerator->isZero()) {
            return $this;
        }
        [$numerator, $denominator] = [$this->numerator->single(), $this->denominator->single()];
        if ($numerator === null || $denominator === null) {
            throw UnreadableMaths::rootOfSum();
        }

        return self::termRoot($numerator, $order)->dividedBy(self::termRoot($denominator, $order));
    }

    private static function termRoot(Term $term, int $order): self
    {
        $factor = $term->factor;
        $isNegative = $factor->getSign() < 0;
        if ($isNegative && $order % 2 === 0) {
            throw UnreadableMaths::negativeRoot();
        }
        $root = Terms::of($term->letterRoot($order))->multipliedBy(
            self::wholeRoot($factor->getNumerator()->abs(), $order),
        );
        $denominator = self::wholeRoot($factor->getDenominator(), $order);

        return self::quotient($isNegative ? $root->scaledBy(BigRational::of(-1)) : $root, $denominator);
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
                $root = $root->multipliedBy(Terms::of(Term::root($prime, $times, $order)));
            }
        }

        return $root;
    }

    /** Whether both are worth the same, for all values of the letters for which both are worth something. */
    public function equals(self $other): bool
    {
        $difference = $this->minus($other);

        return $difference->numerator->isZero() || ($difference->isNear() && $difference->isNothing($this));
    }

    /** Whether something in it is known to fourteen figures alone, and nothing depends on letters. */
    private function isNear(): bool
    {
        $isNear = false;
        foreach ([...$this->numerator->terms, ...$this->denominator->terms] as $term) {
            foreach (array_keys($term->powers) as $name) {
                $isNear = $isNear || Term::isNear((string) $name);
            }
        }

        return $isNear && ! $this->hasLetters();
    }

    /** Whether it is zero as far as can be known, beside a number of which it is a difference. */
    private function isNothing(self $beside): bool
    {
        $most = max(1.0, abs($beside->approximated()->toFloat())) * self::NOTHING;

        return abs($this->approximated()->toFloat()) < $most;
    }

    /** Whether one is the other times a number that is not zero. */
    public function isMultipleOf(self $other): bool
    {
        $kind = array_key_first($this->numerator->terms);
        if ($kind === null || ! isset($other->numerator->terms[$kind])) {
            return $kind === array_key_first($other->numerator->terms);
        }
        $by = $this->numerator->terms[$kind]->factor->dividedBy($other->numerator->terms[$kind]->factor);

        return self::quotient($other->numerator->scaledBy($by), Terms::number(BigRational::one()))->equals(
            self::quotient($this->numerator, Terms::number(BigRational::one())),
        );
    }

    public function hasLetters(): bool
    {
        return $this->numerator->hasLetters() || $this->denominator->hasLetters();
    }

    /** @return list<string> the letters that it depends on */
    public function letters(): array
    {
        $letters = [];
        foreach ([...$this->numerator->terms, ...$this->denominator->terms] as $term) {
            foreach (array_keys($term->powers) as $name) {
                if (! Term::isConstant((string) $name)) {
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
        [$numerator, $denominator] = [$this->numerator->rational(), $this->denominator->rational()];
        if ($numerator !== null && $denominator !== null) {
            return $numerator->dividedBy($denominator)->simplified();
        }
        if (array_keys($this->numerator->terms) !== array_keys($this->denominator->terms)) {
            return null;
        }
        // 3π/2π is a number too.
        $kind = (string) array_key_first($this->numerator->terms);
        $by = $this->numerator->terms[$kind]->factor->dividedBy($this->denominator->terms[$kind]->factor)->simplified();

        return $this->equals(self::number($by)) ? $by : null;
    }

    /**
     * A rational number, exactly or closer than anybody asks for.
     *
     * @throws UnreadableMaths when it depends on letters
     */
    public function approximated(): BigRational
    {
        $rational = $this->rational();
        if ($rational !== null) {
            return $rational;
        }
        $denominator = self::approximatedSum($this->denominator);

        return $denominator->getSign() === 0
            ? throw UnreadableMaths::divisionByZero()
            : self::approximatedSum($this->numerator)->dividedBy($denominator);
    }

    private static function approximatedSum(Terms $terms): BigRational
    {
        $sum = BigRational::zero();
        foreach ($terms->terms as $term) {
            $product = $term->factor;
            foreach ($term->powers as $name => [$numerator, $denominator]) {
                $base = match (true) {
                    isset(self::CONSTANTS[$name]) => BigRational::of(self::CONSTANTS[$name]),
                    Term::isConstant($name) => BigRational::of(Term::figures($name)),
                    default => throw UnreadableMaths::letters($name),
                };
                $product = $product->multipliedBy(self::approximateRoot($base->power($numerator), $denominator));
            }
            $sum = $sum->plus($product);
        }

        return BigRational::of($sum->toScale(self::PLACES, RoundingMode::HALF_EVEN));
    }

    /** By Newton's rule on whole numbers, the number first made larger by as many zeros as places are wanted. */
    private static function approximateRoot(BigRational $number, int $order): BigRational
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
        return $this->equals($other) ? 0 : $this->approximated()->compareTo($other->approximated());
    }

    public function decimal(int $places): BigDecimal
    {
        return $this->approximated()->toScale($places, RoundingMode::HALF_UP);
    }
}
