<?php

declare(strict_types=1);

namespace Crag\Tests\Maths;

use Crag\Maths\Calendar\CalendarDate;
use Crag\Maths\Calendar\TimeOfDay;
use Crag\Maths\Comparing\Compare;
use Crag\Maths\Comparing\Form;
use Crag\Maths\Comparing\FormKind;
use Crag\Maths\Comparing\Outcome;
use Crag\Maths\Comparing\Tolerance;
use Crag\Maths\Comparing\Verdict;
use Crag\Maths\Parsing\UnreadableMaths;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Test;
use PHPUnit\Framework\TestCase;

final class CompareTest extends TestCase
{
    /** @return iterable<string, array{string, string, string, string}> */
    public static function comparisons(): iterable
    {
        foreach (file(__DIR__.'/comparisons.txt', FILE_IGNORE_NEW_LINES) ?: [] as $n => $line) {
            if ($line !== '' && $line[0] !== '#') {
                [$asked, $right, $given, $outcome, $because] = array_map(
                    static fn (string $part): string => trim($part, ' '),
                    explode('|', $line),
                );
                yield 'line '.($n + 1).": {$given} for {$right}: {$because}" => [$asked, $right, $given, $outcome];
            }
        }
    }

    #[Test]
    #[DataProvider('comparisons')]
    public function an_answer_is_compared_by_worth_and_form(
        string $asked,
        string $right,
        string $given,
        string $outcome,
    ): void {
        if ($outcome === 'unreadable-key') {
            $this->expectException(UnreadableMaths::class);
        }
        $verdict = self::compare($asked, $right, $given);
        self::assertSame($outcome, $verdict->outcome->value, $verdict->why);
        if ($verdict->outcome === Outcome::Unreadable || $verdict->outcome === Outcome::OtherForm) {
            self::assertNotSame('', $verdict->why);
        }
    }

    #[Test]
    public function comparing_does_not_depend_on_which_is_the_right_answer(): void
    {
        $compared = 0;
        foreach (self::comparisons() as [$asked, $right, $given, $outcome]) {
            if (
                in_array($asked, ['number', 'expression'], true) &&
                $outcome === 'right' &&
                // A date in figures alone is no key.
                (TimeOfDay::key($right) ?? CalendarDate::key($right)) === null &&
                ! str_contains($given.$right, '=')
            ) {
                self::assertSame(
                    $outcome,
                    self::compare($asked, $given, $right)->outcome->value,
                    "{$right} for {$given}",
                );
                $compared++;
            }
        }
        self::assertGreaterThan(100, $compared);
    }

    #[Test]
    public function what_is_wrong_is_said(): void
    {
        self::assertSame('The unit is missing: N m.', self::compare('number', '240 N m', '240')->why);
        self::assertSame('m doesn’t measure the same thing as N.', self::compare('number', '1 N', '1 m')->why);
        self::assertSame(
            'Give your answer to 3 significant figures.',
            self::compare('number figures 3', 'π', '3.142')->why,
        );
        self::assertSame('Give your answer in kN.', self::compare('number in unit', '1.2 kN', '1200 N')->why);
        self::assertSame('“mod” isn’t a word Crag knows.', self::compare('expression', 'x', 'mod x')->why);
        self::assertSame('“blocks” isn’t a unit Crag knows.', self::compare('number', '5 N', '5 blocks')->why);
        self::assertSame('A bracket is not closed.', self::compare('expression', 'x', '2(x+3')->why);
    }

    private static function compare(string $asked, string $right, string $given): Verdict
    {
        $words = explode(' ', $asked);
        $kind =
            ['percent-form' => 'percent', 'within' => 'any', 'in' => 'any'][$words[1] ?? ''] ?? ($words[1] ?? 'any');
        $tolerance = match ($words[1] ?? '') {
            'within', 'percent' => Tolerance::of($words[1], $words[2]),
            default => Tolerance::none(),
        };
        $form = $tolerance->kind === 'none' ? Form::of(FormKind::from($kind), (int) ($words[2] ?? 0)) : Form::any();

        return $words[0] === 'number'
            ? Compare::numbers($right, $given, $tolerance, $form, ($words[1] ?? '') === 'in')
            : Compare::expressions($right, $given, $form);
    }
}
