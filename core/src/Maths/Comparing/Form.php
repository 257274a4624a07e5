<?php

declare(strict_types=1);

namespace Crag\Maths\Comparing;

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use Crag\Maths\Parsing\Node;
use Crag\Maths\Parsing\NodeKind;
use Crag\Maths\Parsing\Numeral;

/** The form in which an answer is wanted, and whether what was written has it. */
final readonly class Form
{
    public const MOST_DIGITS = 12;

    private function __construct(public FormKind $kind, public int $digits)
    {
    }

    public static function any(): self
    {
        return new self(FormKind::Any, 0);
    }

    public static function of(FormKind $kind, int $digits = 0): self
    {
        return new self(
            $kind,
            $kind->hasDigits() ? max($kind === FormKind::Figures ? 1 : 0, min(self::MOST_DIGITS, $digits)) : 0,
        );
    }

    public function isMet(Node $node): bool
    {
        $bare = $node->bare();

        return match ($this->kind) {
            FormKind::Any => true,
            FormKind::Lowest => $bare->isWhole() ||
                ($bare->isFraction() && self::isLowest($bare) && ! self::isOver($bare, 1)),
            FormKind::Mixed => $bare->isWhole() ||
                ($bare->is(NodeKind::Mixed) && self::isProper($bare->parts[1])) ||
                ($bare->isFraction() && self::isProper($bare)),
            FormKind::Decimal => $bare->is(NodeKind::Number),
            FormKind::Percent => $bare->is(NodeKind::Percent) && $bare->parts[0]->is(NodeKind::Number),
            FormKind::Standard => self::isStandard($bare),
            FormKind::Figures => self::hasFigures($bare, $this->digits),
            FormKind::Places => $bare->is(NodeKind::Number) && $bare->numeral?->places === $this->digits,
            FormKind::Surd => self::isSmallestSurd($node),
            FormKind::Expanded => ! $node->holds(self::isProductOfSum(...)),
        };
    }

    /** What is said to whoever wrote it in another form. */
    public function wanted(): string
    {
        return match ($this->kind) {
            FormKind::Figures => $this->digits === 1
                ? 'Give your answer to 1 significant figure.'
                : "Give your answer to {$this->digits} significant figures.",
            FormKind::Places => $this->digits === 1
                ? 'Give your answer to 1 decimal place.'
                : "Give your answer to {$this->digits} decimal places.",
            default => "Give your answer {$this->kind->word()}.",
        };
    }

    /** What the right answer is in this form, where the form rounds it; otherwise the answer itself. */
    public function rounded(BigRational $exact): BigRational
    {
        if ($this->kind === FormKind::Places) {
            return $exact->toScale($this->digits, RoundingMode::HALF_UP)->toBigRational();
        }
        if ($this->kind !== FormKind::Figures || $exact->getSign() === 0) {
            return $exact;
        }
        // The place of the first figure that counts: the power of ten that the number reaches.
        $reaches = self::tens($exact->abs());
        $shift = $this->digits - 1 - $reaches;
        $by = BigRational::of(BigDecimal::of(10)->power(abs($shift)));
        $shifted = $shift < 0 ? $exact->dividedBy($by) : $exact->multipliedBy($by);
        $rounded = $shifted->toScale(0, RoundingMode::HALF_UP)->toBigRational();

        return ($shift < 0 ? $rounded->multipliedBy($by) : $rounded->dividedBy($by))->simplified();
    }

    /** @return array{kind: string, digits: int} */
    public function toArray(): array
    {
        return ['kind' => $this->kind->value, 'digits' => $this->digits];
    }

    private static function tens(BigRational $number): int
    {
        $tens = strlen((string) $number->getNumerator()) - strlen((string) $number->getDenominator());
        $ten = BigRational::of(10);
        $power = static fn (int $n): BigRational => $n < 0 ? $ten->power(-$n)->reciprocal() : $ten->power($n);

        return $number->isLessThan($power($tens)) ? $tens - 1 : $tens;
    }

    private static function isLowest(Node $fraction): bool
    {
        $lowest = $fraction->value()->rational();

        return $lowest !== null && $lowest->getDenominator()->isEqualTo(self::ends($fraction)[1]->value);
    }

    /** @return array{Numeral, Numeral} */
    private static function ends(Node $fraction): array
    {
        [$numerator, $denominator] = [$fraction->parts[0]->bare()->numeral, $fraction->parts[1]->numeral];
        assert($numerator !== null && $denominator !== null);

        return [$numerator, $denominator];
    }

    /** Whether the number under the line is so much: a whole number should be written as one. */
    private static function isOver(Node $fraction, int $denominator): bool
    {
        return self::ends($fraction)[1]->value->isEqualTo($denominator);
    }

    private static function isProper(Node $fraction): bool
    {
        [$numerator, $denominator] = self::ends($fraction);

        return $numerator->value->isLessThan($denominator->value) && self::isLowest($fraction);
    }

    private static function isStandard(Node $node): bool
    {
        if (! $node->is(NodeKind::Product) || count($node->parts) !== 2) {
            return false;
        }
        [$number, $power] = [$node->parts[0]->bare()->numeral, $node->parts[1]];

        return $number !== null &&
            $number->value->isGreaterThanOrEqualTo(1) &&
            $number->value->isLessThan(10) &&
            $power->is(NodeKind::Power) &&
            (string) $power->parts[0]->numeral?->value === '10' &&
            $power->parts[1]->bare()->isWhole();
    }

    private static function hasFigures(Node $node, int $figures): bool
    {
        $numeral = self::isStandard($node) ? $node->parts[0]->bare()->numeral : $node->numeral;

        return $numeral !== null && $numeral->leastFigures <= $figures && $figures <= $numeral->mostFigures;
    }

    /** No root of something with a square factor, none under a line, and at most one in a product. */
    private static function isSmallestSurd(Node $node): bool
    {
        $isRoot = static fn (Node $one): bool => $one->is(NodeKind::Root);
        $isLarge = static fn (Node $one): bool => $one->is(NodeKind::Root) &&
            ! (
                $one->parts[0]->isWhole() &&
                self::isSquareFree((int) (string) $one->parts[0]->numeral?->value, $one->order)
            );
        $isUnder = static fn (Node $one): bool => $one->is(NodeKind::Quotient) && $one->parts[1]->holds($isRoot);
        $isMany = static fn (Node $one): bool => $one->is(NodeKind::Product) &&
            count(array_filter($one->parts, static fn (Node $part): bool => $part->holds($isRoot))) > 1;

        return ! $node->holds($isLarge) && ! $node->holds($isUnder) && ! $node->holds($isMany);
    }

    private static function isSquareFree(int $number, int $order): bool
    {
        for ($n = 2; $n ** $order <= $number; $n++) {
            if ($number % $n ** $order === 0) {
                return false;
            }
        }

        return $number > 1;
    }

    private static function isProductOfSum(Node $node): bool
    {
        $isSum = static fn (Node $part): bool => $part->bare()->is(NodeKind::Sum);

        return ($node->is(NodeKind::Product) && array_filter($node->parts, $isSum) !== []) ||
            ($node->is(NodeKind::Power) && $isSum($node->parts[0])) ||
            ($node->is(NodeKind::Negative) && $isSum($node->parts[0]));
    }
}
