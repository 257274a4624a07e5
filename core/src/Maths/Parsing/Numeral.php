<?php

declare(strict_types=1);

namespace Crag\Maths\Parsing;

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;

/** A number as it was written: its exact value, and how many places and figures it shows. */
final readonly class Numeral
{
    private function __construct(
        public BigRational $value,
        /** Digits after the decimal point. */
        public int $places,
        /** Significant figures; zeros at the end of a whole number may count or not. */
        public int $leastFigures,
        public int $mostFigures,
        /** Whether dots say that more digits follow. */
        public bool $goesOn,
    ) {
    }

    /** @param  string  $digits  digits with at most one point */
    public static function of(string $digits, bool $goesOn = false): self
    {
        [$whole, $after] = [...explode('.', $digits, 2), ''];
        $figures = ltrim($whole.$after, '0');
        $isWhole = ! str_contains($digits, '.');

        return new self(
            BigDecimal::of(($whole === '' ? '0' : $whole).($after === '' ? '' : ".{$after}"))
                ->toBigRational()
                ->simplified(),
            strlen($after),
            max(1, strlen($isWhole ? rtrim($figures, '0') : $figures)),
            max(1, strlen($figures)),
            $goesOn,
        );
    }

    /**
     * A decimal whose last digits come again without end: 0.1(6) is 1/6.
     *
     * @param  string  $fixed  digits before the ones that come again, with a point among them
     * @param  string  $again  those that come again
     */
    public static function recurring(string $fixed, string $again): self
    {
        $start = self::of(rtrim($fixed, '.') === '' ? '0' : rtrim($fixed, '.'));
        $part = BigRational::nd($again, str_repeat('9', strlen($again)))
            ->dividedBy(BigRational::of(10)->power($start->places));
        $places = $start->places + strlen($again);

        return new self($start->value->plus($part)->simplified(), $places, $places, $places, false);
    }

    public static function fraction(int $numerator, int $denominator): self
    {
        return new self(BigRational::nd($numerator, $denominator), 0, 1, 1, false);
    }

    public function isWhole(): bool
    {
        return $this->value->getDenominator()->isEqualTo(1);
    }
}
