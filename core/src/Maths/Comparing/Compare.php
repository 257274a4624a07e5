<?php

declare(strict_types=1);

namespace Crag\Maths\Comparing;

use Crag\Maths\Algebra\Quantity;
use Crag\Maths\Algebra\Value;
use Crag\Maths\Calendar\CalendarDate;
use Crag\Maths\Calendar\TimeOfDay;
use Crag\Maths\Parsing\MathsParser;
use Crag\Maths\Parsing\Node;
use Crag\Maths\Parsing\NodeKind;
use Crag\Maths\Parsing\UnreadableMaths;
use Crag\Maths\Structured\Structured;
use Crag\Maths\Structured\StructureKind;

/** Compares what a student typed with the right answer, exactly. */
final class Compare
{
    /**
     * A number, with a unit where the right answer has one; or a time of day, or a date, where that is one.
     *
     * @param  bool  $ownUnit  whether the unit must be the right answer's, not only one that measures the same
     *
     * @throws UnreadableMaths when the right answer itself cannot be read
     */
    public static function numbers(
        string $right,
        string $given,
        Tolerance $tolerance,
        Form $form,
        bool $ownUnit = false,
    ): Verdict {
        $moment = TimeOfDay::key($right) ?? CalendarDate::key($right);
        if ($moment !== null) {
            return $moment->compare($given);
        }
        $right = Quantity::read($right);
        try {
            $given = Quantity::read($given);
        } catch (UnreadableMaths $problem) {
            return Verdict::unreadable($problem->getMessage());
        }
        $unitless = $given->unit->isNone() && ! $right->unit->isNone();
        if (! $unitless && ! $right->unit->isNone() && ! $given->unit->isLike($right->unit)) {
            return Verdict::wrong("{$given->unit->text} doesn’t measure the same thing as {$right->unit->text}.");
        }
        // In the right answer's unit; a number alone is taken to be in it.
        $value =
            $given->unit->isNone() || $right->unit->isNone()
                ? $given->value
                : $given->inBase()->dividedBy($right->unit->factor);
        if (! self::holds($right->value, $value, $tolerance, $form)) {
            return self::isCutOff($right->value, $value, $given->node)
                ? Verdict::otherForm('The dots leave it unfinished: give the exact answer.')
                : Verdict::wrong();
        }

        return match (true) {
            $unitless => Verdict::otherForm("The unit is missing: {$right->unit->text}."),
            $right->unit->isNone() && ! $given->unit->isNone() => Verdict::otherForm('Leave the unit out.'),
            $ownUnit && ! $given->unit->is($right->unit) => Verdict::otherForm(
                "Give your answer in {$right->unit->text}.",
            ),
            ! $form->isMet($given->node) => Verdict::otherForm($form->wanted()),
            default => Verdict::right(),
        };
    }

    /**
     * An expression or an equation, or several of them ({@see StructureKind}). Expressions are equal when they are for
     * all values of their letters; equations when one is a multiple of the other.
     *
     * @throws UnreadableMaths when the right answer itself cannot be read
     */
    public static function expressions(string $right, string $given, Form $form): Verdict
    {
        $structure = StructureKind::of($right);
        if ($structure !== null) {
            return Structured::compare($structure, $right, $given, $form);
        }
        [$rightOne, $rightTwo] = self::sides($right);
        // A right answer that cannot be worked out is the teacher's to put right.
        foreach (array_filter([$rightOne, $rightTwo]) as $side) {
            self::areEqual($side, $side);
        }
        try {
            [$one, $two] = self::sides($given);
            if ($one?->is(NodeKind::Letter) === true && $rightOne === null) {
                // "x = 5" where 5 is asked for.
                $one = null;
            }
            if (($one === null) !== ($rightOne === null)) {
                return Verdict::wrong(
                    $rightOne === null ? 'Give an expression, not an equation.' : 'Give an equation.',
                );
            }
            $equal =
                $one === null || $rightOne === null
                    ? self::areEqual($rightTwo, $two)
                    : self::areMultiples([$rightOne, $rightTwo], [$one, $two]);
        } catch (UnreadableMaths $problem) {
            return Verdict::unreadable($problem->getMessage());
        }

        return match (true) {
            ! $equal => Verdict::wrong(),
            ! $form->isMet($two) || ($one !== null && ! $form->isMet($one)) => Verdict::otherForm($form->wanted()),
            default => Verdict::right(),
        };
    }

    /**
     * Whether two expressions are worth the same for all values of their letters.
     *
     * @throws UnreadableMaths
     */
    public static function areEqual(Node $right, Node $given): bool
    {
        return Sampled::isNeeded($right, $given)
            ? (Sampled::areEqual($right, $given) ?? throw UnreadableMaths::undefined())
            : $given->value()->equals($right->value());
    }

    /**
     * Whether one equation is a multiple of the other.
     *
     * @param  array{Node, Node}  $right
     * @param  array{Node, Node}  $given
     *
     * @throws UnreadableMaths
     */
    public static function areMultiples(array $right, array $given): bool
    {
        if (Sampled::isNeeded(...$right, ...$given)) {
            return Sampled::areMultiples($given, $right) ?? throw UnreadableMaths::undefined();
        }

        return $given[0]->value()->minus($given[1]->value())
            ->isMultipleOf($right[0]->value()->minus($right[1]->value()));
    }

    /** Whether two typed numbers say the same: the same value in units that measure the same, or both without one. */
    public static function areSameNumbers(string $one, string $other): bool
    {
        if (self::close($one) === self::close($other)) {
            return true;
        }
        [$moment, $then] = [TimeOfDay::key($one), TimeOfDay::key($other)];
        if ($moment !== null && $then !== null) {
            return $moment->is($then);
        }
        [$day, $date] = [CalendarDate::key($one), CalendarDate::key($other)];
        if ($day !== null && $date !== null) {
            return $day->is($date);
        }
        try {
            [$first, $second] = [Quantity::read($one), Quantity::read($other)];

            return $first->unit->isNone() === $second->unit->isNone() &&
                ($first->unit->isNone() || $first->unit->isLike($second->unit)) &&
                $first->inBase()->equals($second->inBase());
        } catch (UnreadableMaths) {
            return false;
        }
    }

    /** Whether two typed expressions or equations say the same. */
    public static function areSameExpressions(string $one, string $other): bool
    {
        try {
            return self::close($one) === self::close($other) ||
                self::expressions($one, $other, Form::any())->outcome === Outcome::Right ||
                self::expressions($other, $one, Form::any())->outcome === Outcome::Right;
        } catch (UnreadableMaths) {
            return false;
        }
    }

    private static function close(string $typed): string
    {
        return (string) preg_replace('/\s+/u', '', mb_scrub($typed));
    }

    /**
     * @return array{?Node, Node} what stands before the sign of equality, if there is one, and after it
     *
     * @throws UnreadableMaths
     */
    private static function sides(string $typed): array
    {
        $sides = explode('=', $typed);
        if (count($sides) > 2) {
            throw UnreadableMaths::extra('='.$sides[2]);
        }

        return count($sides) === 1
            ? [null, MathsParser::expression($sides[0])]
            : [MathsParser::expression($sides[0]), MathsParser::expression($sides[1])];
    }

    private static function holds(Value $right, Value $given, Tolerance $tolerance, Form $form): bool
    {
        if (! $form->kind->hasDigits()) {
            return $tolerance->allows($right, $given);
        }
        // What was rounded further than asked, or less far, is right when it rounds to the same.
        $wanted = $form->rounded($right->approximated());

        return $form->rounded($given->approximated())->isEqualTo($wanted) ||
            $tolerance->allows(Value::number($wanted), $given);
    }

    /** Whether a decimal that goes on is right as far as it was written. */
    private static function isCutOff(Value $right, Value $given, Node $node): bool
    {
        $numeral = $node->bare()->numeral;

        return $numeral?->goesOn === true &&
            Tolerance::of('within', '0.'.str_repeat('0', max(0, $numeral->places - 1)).'1')->allows($right, $given);
    }
}
