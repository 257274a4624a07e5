<?php

declare(strict_types=1);

namespace Crag\Maths\Algebra;

use Brick\Math\BigRational;
use Crag\Maths\Parsing\UnreadableMaths;

/**
 * A rational number times powers of letters and roots of primes. π and e are letters here: no sum of the powers of one
 * of them with rational factors is zero, so they may be treated as such (Lindemann 1882, Hermite 1873).
 */
final readonly class Term
{
    private const NEAR = '≈';

    private const TRANSCENDENTAL = ['π', 'e'];

    /**
     * @param  array<string, array{int, int}>  $powers  by letter, or "√p" for a prime p, in order: above and below the
     *                                                 fraction line, in lowest terms; a prime's lie between 0 and 1
     */
    private function __construct(public BigRational $factor, public array $powers)
    {
    }

    public static function number(BigRational $factor): self
    {
        return new self($factor->simplified(), []);
    }

    public static function letter(string $letter): self
    {
        return new self(BigRational::one(), [$letter => [1, 1]]);
    }

    /** The root of a prime, to a power between 0 and 1. */
    public static function root(int $prime, int $numerator, int $denominator): self
    {
        return self::of(BigRational::one(), ["√{$prime}" => [$numerator, $denominator]]);
    }

    /** What tells it from terms that cannot be added to it. */
    public function kind(): string
    {
        $kind = '';
        foreach ($this->powers as $name => [$numerator, $denominator]) {
            $kind .= "{$name}^{$numerator}/{$denominator}·";
        }

        return $kind;
    }

    public function multipliedBy(self $other): self
    {
        $powers = $this->powers;
        foreach ($other->powers as $name => [$numerator, $denominator]) {
            [$before, $by] = $powers[$name] ?? [0, 1];
            $powers[$name] = [$before * $denominator + $numerator * $by, $by * $denominator];
        }

        return self::of($this->factor->multipliedBy($other->factor), $powers);
    }

    /** With another of the same kind. */
    public function plus(self $other): self
    {
        return new self($this->factor->plus($other->factor)->simplified(), $this->powers);
    }

    public function scaledBy(BigRational $factor): self
    {
        return new self($this->factor->multipliedBy($factor)->simplified(), $this->powers);
    }

    public function isNumber(): bool
    {
        return $this->powers === [];
    }

    /** Whether a letter other than π and e is in it. */
    public function hasLetters(): bool
    {
        foreach ($this->powers as $name => $power) {
            if (! self::isConstant($name)) {
                return true;
            }
        }

        return false;
    }

    /** One over it. Letters get powers below zero, so that only a number may be turned over for good. */
    public function reciprocal(): self
    {
        return self::of(
            $this->factor->reciprocal(),
            array_map(static fn (array $power): array => [-$power[0], $power[1]], $this->powers),
        );
    }

    /** @throws UnreadableMaths where the sign of a letter would matter */
    public function letterRoot(int $order): self
    {
        $powers = [];
        foreach ($this->powers as $name => [$numerator, $denominator]) {
            $isEven = $denominator === 1 && $numerator % 2 === 0;
            $root = self::lowest($numerator, $denominator * $order);
            if (
                $order % 2 === 0 &&
                $isEven &&
                ! self::isConstant($name) &&
                ($root[1] !== 1 || $root[0] % 2 !== 0)
            ) {
                throw UnreadableMaths::rootOfPower($name);
            }
            $powers[$name] = $root;
        }

        return self::of(BigRational::one(), $powers);
    }

    /** Whether it stands for a number: π, e, the root of a prime, or one that is known to fourteen figures. */
    public static function isConstant(string $name): bool
    {
        return in_array($name, self::TRANSCENDENTAL, true) || self::isRoot($name) || self::isNear($name);
    }

    /** Whether it is no root of anything, so that it stays under a fraction line. */
    public function isTranscendental(): bool
    {
        return array_intersect(array_keys($this->powers), self::TRANSCENDENTAL) !== [];
    }

    /** A number that is known to fourteen figures: they are its name. */
    public static function near(string $figures): self
    {
        return new self(BigRational::one(), [self::NEAR.$figures => [1, 1]]);
    }

    public static function isNear(string $name): bool
    {
        return str_starts_with($name, self::NEAR);
    }

    /** What a constant is worth, as far as its name tells. */
    public static function figures(string $name): string
    {
        return substr($name, strlen(self::isRoot($name) ? '√' : self::NEAR));
    }

    public static function isRoot(string $name): bool
    {
        return str_starts_with($name, '√');
    }

    /**
     * @param  array<string, array{int, int}>  $powers
     */
    private static function of(BigRational $factor, array $powers): self
    {
        $kept = [];
        foreach ($powers as $name => [$numerator, $denominator]) {
            [$numerator, $denominator] = self::lowest($numerator, $denominator);
            if (self::isRoot($name)) {
                $whole = (int) floor($numerator / $denominator);
                $taken = BigRational::of(substr($name, 3))->power(abs($whole));
                $factor = $whole < 0 ? $factor->dividedBy($taken) : $factor->multipliedBy($taken);
                $numerator -= $whole * $denominator;
            }
            if ($numerator !== 0) {
                $kept[$name] = [$numerator, $denominator];
            }
        }
        ksort($kept);

        return new self($factor->simplified(), $kept);
    }

    /** @return array{int, int} */
    private static function lowest(int $numerator, int $denominator): array
    {
        [$a, $b] = [abs($numerator), $denominator];
        while ($b !== 0) {
            [$a, $b] = [$b, $a % $b];
        }

        return $a === 0 ? [0, 1] : [intdiv($numerator, $a), intdiv($denominator, $a)];
    }
}
