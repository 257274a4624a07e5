<?php

declare(strict_types=1);

namespace Crag\Maths\Structured;

use Brick\Math\BigInteger;
use Crag\Maths\Algebra\Value;
use Crag\Maths\Comparing\Form;
use Crag\Maths\Comparing\FormKind;
use Crag\Maths\Comparing\Verdict;
use Crag\Maths\Parsing\UnreadableMaths;

/** Compares answers that are made of several parts: each part exactly, the whole by its kind. */
final class Structured
{
    /**
     * What was typed is read as what the right answer is: "(2,5)" is a pair where a pair is asked for.
     *
     * @throws UnreadableMaths when the right answer itself cannot be read
     */
    public static function compare(StructureKind $kind, string $right, string $given, Form $form): Verdict
    {
        return match ($kind) {
            StructureKind::Region => self::regions($right, $given),
            StructureKind::Ratio => self::ratios($right, $given, $form),
            StructureKind::Matrix => self::matrices($right, $given, $form),
            default => self::lists($kind, $right, $given, $form),
        };
    }

    private static function lists(StructureKind $kind, string $right, string $given, Form $form): Verdict
    {
        $wanted = self::entries($kind, $right) ?? throw UnreadableMaths::nothing();
        try {
            $found = self::entries($kind, $given);
        } catch (UnreadableMaths $problem) {
            return Verdict::unreadable($problem->getMessage());
        }
        if ($found === null) {
            return Verdict::wrong($kind->wanted());
        }
        $isSame = $kind === StructureKind::Tuple
            ? self::areInOrder($wanted, $found)
            : self::missing($wanted, $found) === 0 && self::missing($found, $wanted) === 0;
        if (! $isSame) {
            $missing = self::missing($wanted, $found);
            $isPart = $kind !== StructureKind::Tuple && $found !== [] && self::missing($found, $wanted) === 0;

            return match (true) {
                $isPart => Verdict::wrong($missing === 1 ? 'One is missing.' : "{$missing} are missing."),
                $kind === StructureKind::Tuple && self::areInOrder($wanted, array_reverse($found)) => Verdict::wrong(
                    'The order counts.',
                ),
                default => Verdict::wrong(),
            };
        }
        foreach ($found as $entry) {
            if (! $form->isMet($entry->node)) {
                return Verdict::otherForm($form->wanted());
            }
        }

        return Verdict::right();
    }

    /** @return ?list<Entry> null where something else is written */
    private static function entries(StructureKind $kind, string $written): ?array
    {
        $text = Pieces::plain($written);
        if ($kind === StructureKind::Solutions) {
            $pieces = Pieces::alternatives($text);
        } else {
            [$open, $close] = $kind === StructureKind::Set ? ['{', '}'] : ['(', ')'];
            if (! str_starts_with($text, $open) || ! str_ends_with($text, $close)) {
                return null;
            }
            $inside = trim(mb_substr($text, 1, -1));
            $pieces = $inside === '' ? [] : Pieces::apart($inside, ',;');
        }

        return array_merge(...array_map(Entry::both(...), $pieces));
    }

    /**
     * @param  list<Entry>  $ones
     * @param  list<Entry>  $others
     * @return int how many of them the others lack; what is said twice counts once
     */
    private static function missing(array $ones, array $others): int
    {
        $lacking = [];
        foreach ($ones as $one) {
            $isSame = static fn (Entry $other): bool => $one->is($other);
            $isThere = array_filter([...$others, ...$lacking], $isSame) !== [];
            if (! $isThere) {
                $lacking[] = $one;
            }
        }

        return count($lacking);
    }

    /**
     * @param  list<Entry>  $ones
     * @param  list<Entry>  $others
     */
    private static function areInOrder(array $ones, array $others): bool
    {
        if (count($ones) !== count($others)) {
            return false;
        }
        foreach ($ones as $i => $one) {
            if (! $one->is($others[$i])) {
                return false;
            }
        }

        return true;
    }

    private static function regions(string $right, string $given): Verdict
    {
        $wanted = Region::read($right);
        try {
            $isOther = StructureKind::of($given) !== StructureKind::Region && ! str_starts_with(trim($given), '(');
            $found = $isOther ? null : Region::read($given);
        } catch (UnreadableMaths $problem) {
            return Verdict::unreadable($problem->getMessage());
        }

        return match (true) {
            $found === null => Verdict::wrong(StructureKind::Region->wanted()),
            $wanted->is($found) => Verdict::right(),
            $wanted->hasBoundsOf($found) => Verdict::wrong('Look again at whether the ends belong to it.'),
            default => Verdict::wrong(),
        };
    }

    private static function ratios(string $right, string $given, Form $form): Verdict
    {
        $wanted = self::parts($right);
        try {
            $found = self::parts($given);
        } catch (UnreadableMaths $problem) {
            return Verdict::unreadable($problem->getMessage());
        }
        if (count($found) < 2) {
            return Verdict::wrong(StructureKind::Ratio->wanted());
        }
        $isSame = count($wanted) === count($found) && ! $found[0]->equals(Value::number(0));
        foreach ($isSame ? $wanted : [] as $i => $part) {
            $isSame = $isSame && $part->multipliedBy($found[0])->equals($found[$i]->multipliedBy($wanted[0]));
        }

        return match (true) {
            ! $isSame => Verdict::wrong(),
            $form->kind === FormKind::Lowest && ! self::isLowest($found) => Verdict::otherForm(
                'Give the ratio in its simplest form.',
            ),
            default => Verdict::right(),
        };
    }

    /** @return list<Value> */
    private static function parts(string $written): array
    {
        return array_map(
            static fn (string $part): Value => Entry::read($part)->value(),
            Pieces::apart(Pieces::plain($written), ':'),
        );
    }

    /** @param  list<Value>  $parts */
    private static function isLowest(array $parts): bool
    {
        $divisor = BigInteger::zero();
        foreach ($parts as $part) {
            $number = $part->rational();
            if ($number === null || ! $number->getDenominator()->isEqualTo(1)) {
                return false;
            }
            $divisor = $divisor->gcd($number->getNumerator());
        }

        return $divisor->isEqualTo(1);
    }

    private static function matrices(string $right, string $given, Form $form): Verdict
    {
        $wanted = self::rows($right) ?? throw UnreadableMaths::nothing();
        try {
            $found = self::rows($given);
        } catch (UnreadableMaths $problem) {
            return Verdict::unreadable($problem->getMessage());
        }
        if ($found === null) {
            return Verdict::wrong(StructureKind::Matrix->wanted());
        }
        if (array_map(count(...), $wanted) !== array_map(count(...), $found)) {
            return Verdict::wrong('The matrix has other rows or columns.');
        }
        foreach ($wanted as $i => $row) {
            if (! self::areInOrder($row, $found[$i])) {
                return Verdict::wrong();
            }
        }

        return Verdict::right();
    }

    /** @return ?list<list<Entry>> */
    private static function rows(string $written): ?array
    {
        $text = Pieces::plain($written);
        if (preg_match('/^\\\\begin\{[pbv]?matrix\}(.*)\\\\end\{[pbv]?matrix\}$/us', $text, $found) === 1) {
            $rows = preg_split('/\\\\\\\\/u', trim($found[1])) ?: [];
            $cells = static fn (string $row): array => Pieces::apart($row, '&');
        } elseif (preg_match('/^[\[(](.*)[\])]$/us', $text, $found) === 1) {
            $rows = Pieces::apart($found[1], ';');
            $cells = static fn (string $row): array => preg_split('/\s*,\s*|\s+/u', trim($row)) ?: [];
        } else {
            return null;
        }

        return array_map(
            static fn (string $row): array => array_map(Entry::read(...), $cells(trim($row))),
            array_values(array_filter($rows, static fn (string $row): bool => trim($row) !== '')),
        );
    }
}
