<?php

declare(strict_types=1);

namespace Crag\Chemistry;

use Brick\Math\BigRational;
use Crag\Maths\Comparing\Outcome;
use Crag\Maths\Comparing\Verdict;

/** Compares a formula, or an equation of a reaction, with the right one. */
final class CompareChemistry
{
    /** @throws UnreadableChemistry when the right answer itself cannot be read */
    public static function verdict(string $right, string $given): Verdict
    {
        $wanted = self::sides($right);
        try {
            $found = self::sides($given);
        } catch (UnreadableChemistry $problem) {
            return self::fold($right) === self::fold($given)
                ? Verdict::wrong('Look again at capital and small letters.')
                : Verdict::unreadable($problem->getMessage());
        }
        [[$from, $to], [$left, $formed]] = [$wanted, $found];
        if ($to === null || $formed === null) {
            return match (true) {
                $to !== null => Verdict::wrong('Give an equation with an arrow.'),
                $formed !== null => Verdict::wrong('Give a formula, not an equation.'),
                default => self::formulas($from, $left, self::fold($right) === self::fold($given)),
            };
        }

        return self::reactions($from, $to, $left, $formed, self::isBothWays($right));
    }

    /** Whether two typed ones say the same. */
    public static function areSame(string $one, string $other): bool
    {
        if (self::fold($one) === self::fold($other) && Notation::plain($one) === Notation::plain($other)) {
            return true;
        }
        try {
            return self::verdict($one, $other)->outcome === Outcome::Right;
        } catch (UnreadableChemistry) {
            return false;
        }
    }

    /**
     * @return array{Side, ?Side} what stands before the arrow and behind it; a formula alone
     *
     * @throws UnreadableChemistry
     */
    private static function sides(string $typed): array
    {
        $text = Notation::plain($typed);
        if ($text === '') {
            throw UnreadableChemistry::nothing();
        }
        $sides = preg_split('/\s*[→⇌]\s*/u', $text) ?: [];

        return match (count($sides)) {
            1 => [Side::read($sides[0]), null],
            2 => [Side::read($sides[0]), Side::read($sides[1])],
            default => throw UnreadableChemistry::arrows(),
        };
    }

    /**
     * What does not balance, in words; empty where it does.
     *
     * @param  Side  $left  what goes in
     * @param  Side  $right  what comes out
     */
    public static function unbalanced(Side $left, Side $right): string
    {
        [$before, $after] = [$left->total(), $right->total()];
        foreach (array_unique([...array_keys($before), ...array_keys($after)]) as $symbol) {
            $one = $before[$symbol] ?? BigRational::zero();
            $two = $after[$symbol] ?? BigRational::zero();
            if ($symbol !== '' && ! $one->isEqualTo($two)) {
                return "{$symbol} isn’t balanced: {$one->simplified()} on the left, {$two->simplified()} on the right.";
            }
        }

        return $before['']->isEqualTo($after['']) ? '' : 'The charges aren’t balanced.';
    }

    private static function formulas(Side $wanted, Side $found, bool $isButForCapitals): Verdict
    {
        $isAlike = $found->multipleOf($wanted)?->isEqualTo(1) === true;
        if ($isAlike) {
            return self::withStates([$wanted], [$found]);
        }
        [$right, $given] = [self::counts($wanted), self::counts($found)];
        $isButForCharge = array_diff_key($right, ['' => 0]) === array_diff_key($given, ['' => 0]);

        return match (true) {
            $right === $given => Verdict::otherForm(
                'The atoms are right, but write the formula the usual way.',
            ),
            $isButForCapitals => Verdict::wrong('Look again at capital and small letters.'),
            $isButForCharge => Verdict::wrong('Look again at the charge.'),
            default => Verdict::wrong(),
        };
    }

    /** @return array<string, string> what {@see Side::total} counts, comparable */
    private static function counts(Side $side): array
    {
        $counts = array_map(static fn (BigRational $n): string => (string) $n->simplified(), $side->total());
        ksort($counts);

        return $counts;
    }

    private static function reactions(Side $from, Side $to, Side $left, Side $right, bool $isBothWays): Verdict
    {
        $isTurned = ! $left->hasSubstancesOf($from) && $left->hasSubstancesOf($to) && $right->hasSubstancesOf($from);
        if ($isTurned && ! $isBothWays) {
            return Verdict::wrong('The arrow points the other way.');
        }
        if ($isTurned) {
            [$left, $right] = [$right, $left];
        }
        if (! $left->hasSubstancesOf($from)) {
            return Verdict::wrong('Look again at what reacts.');
        }
        if (! $right->hasSubstancesOf($to)) {
            return Verdict::wrong('Look again at what is formed.');
        }
        [$before, $after] = [$left->multipleOf($from), $right->multipleOf($to)];
        if ($before === null || $after === null || ! $before->isEqualTo($after)) {
            return Verdict::wrong(self::unbalanced($left, $right));
        }

        return $before->isEqualTo(1)
            ? self::withStates([$from, $to], [$left, $right])
            : Verdict::otherForm('Use the smallest whole numbers.');
    }

    /**
     * @param  list<Side>  $wanted
     * @param  list<Side>  $found
     */
    private static function withStates(array $wanted, array $found): Verdict
    {
        $has = static fn (Side $side): bool => $side->hasStates();
        if (array_filter($wanted, $has) === []) {
            return Verdict::right();
        }
        if (array_filter($found, $has) === []) {
            return Verdict::otherForm('The state symbols are missing.');
        }
        foreach ($wanted as $i => $side) {
            if ($side->states() !== $found[$i]->states()) {
                return Verdict::wrong('Look again at the state symbols.');
            }
        }

        return Verdict::right();
    }

    private static function isBothWays(string $typed): bool
    {
        return str_contains(Notation::plain($typed), '⇌');
    }

    private static function fold(string $typed): string
    {
        return mb_strtolower((string) preg_replace('/\s+/u', '', Notation::plain($typed)));
    }
}
