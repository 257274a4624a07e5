<?php

declare(strict_types=1);

namespace Crag\Tests\Maths;

use Crag\Json\Fields;
use Crag\Maths\Parsing\Notation;
use Crag\Plan\PlanPrompt;
use Crag\Prompt\Question\Question;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Numbers and money as schools write them. */
final class NotationTest extends TestCase
{
    /** @return iterable<string, array{string, string, string, string, string}> decimal, money, key, given, outcome */
    public static function answers(): iterable
    {
        yield 'a decimal comma' => ['comma', '€', '3,5', '3,5', 'right'];
        yield 'a decimal point is read as well' => ['comma', '€', '3,5', '3.5', 'right'];
        yield 'three figures behind the comma' => ['comma', '€', '1,234', '1,234', 'right'];
        yield 'they are no thousands' => ['comma', '€', '1234', '1,234', 'wrong'];
        yield 'a point before three figures is one of thousands' => ['comma', '€', '1234', '1.234', 'right'];
        yield 'thousands and decimals' => ['comma', '€', '1234,5', '1.234,5', 'right'];
        yield 'thousands apart by a space' => ['comma', '€', '1234,5', '1 234,5', 'right'];
        yield 'millions' => ['comma', '€', '1234567', '1.234.567', 'right'];
        yield 'behind a nought it is a decimal point' => ['comma', '€', '0,125', '0.125', 'right'];
        yield 'so it is before four figures' => ['comma', '€', '3,1416', '3.1416', 'right'];
        yield 'a recurring decimal' => ['comma', '€', '1/6', '0,1(6)', 'right'];
        yield 'digits of another script' => ['comma', '€', '3,5', '٣٫٥', 'right'];
        yield 'with a unit' => ['comma', '€', '2,4 kN', '2400 N', 'right'];
        yield 'with a point, a comma parts thousands' => ['point', '£', '1234', '1,234', 'right'];
        yield 'with a point, other commas are decimal ones' => ['point', '£', '3.5', '3,5', 'right'];
        yield 'euros' => ['comma', '€', '4,50 €', '€4,50', 'right'];
        yield 'cents of a euro' => ['comma', '€', '0,50 €', '50 cents', 'right'];
        yield 'crowns' => ['comma', 'kr', '12,50 kr', '12,50 kr', 'right'];
        yield 'crowns before the number, with a full stop' => ['comma', 'kr', '12,50 kr', 'kr. 12,50', 'right'];
        yield 'other crowns' => ['comma', 'kr', '12,50 kr', '12 kr', 'wrong'];
        yield 'euros for crowns' => ['comma', 'kr', '12,50 kr', '12,50 €', 'wrong'];
        yield 'no sign' => ['comma', 'kr', '12,50 kr', '12,50', 'other-form'];
        yield 'francs' => ['point', 'CHF', '3.20 CHF', 'CHF 3.20', 'right'];
        yield 'small letters' => ['point', 'CHF', '3.20 CHF', '3.20 chf', 'right'];
        yield 'pence' => ['point', '£', '£1.50', '150p', 'right'];
    }

    #[DataProvider('answers')]
    public function test_an_answer_is_read_as_the_school_writes(
        string $decimal,
        string $money,
        string $key,
        string $given,
        string $outcome,
    ): void {
        $verdict = self::asked('number', $key)->inNotation(Notation::of($decimal, $money))->compare($given);
        self::assertSame($outcome, $verdict?->outcome->value, $verdict->why ?? '');
    }

    public function test_it_says_the_schools_own_sign(): void
    {
        $verdict = self::asked('number', '12,50 kr')->inNotation(Notation::of('comma', 'kr'))->compare('12,50');
        self::assertSame('The unit is missing: kr.', $verdict?->why);
    }

    public function test_expressions_and_lists_are_read_so_too(): void
    {
        $notation = Notation::of('comma', '€');
        self::assertSame('right', self::asked('maths', '(2,5; 3)')->inNotation($notation)->compare('(2,5; 3)')?->outcome->value);
        self::assertSame('right', self::asked('maths', '0,5x')->inNotation($notation)->compare('x/2')?->outcome->value);
        self::assertTrue(self::asked('number', '1,5')->inNotation($notation)->isSame('1,500', '1,5'));
        self::assertFalse(self::asked('number', '1,5')->inNotation(Notation::usual())->isSame('1,500', '1,5'));
    }

    public function test_what_crag_worked_out_itself_has_a_point(): void
    {
        // 1.234 is drawn, and is no thousand.
        $prompt = PlanPrompt::read(new Fields([
            'words' => 'A load of {a: 1.234} kN.',
            'questions' => [['id' => 'q', 'kind' => 'number', 'words' => '', 'right' => '{a} kN']],
        ]))->inNotation(Notation::of('comma', '€'));
        $mine = $prompt->forStudent('seed', 1);
        self::assertSame('right', $mine->questions[0]->compare('1,234 kN')?->outcome->value);
        self::assertSame('wrong', $mine->questions[0]->compare('1.234 kN')?->outcome->value);
    }

    public function test_what_is_stored_stays_as_it_was_typed(): void
    {
        $question = self::asked('number', '3,5 kr')->inNotation(Notation::of('comma', 'kr'));
        self::assertSame('3,5 kr', $question->toArray()['right']);
        self::assertSame('3,5 kr', $question->asked->key());
    }

    private static function asked(string $kind, string $right): Question
    {
        return Question::read(new Fields(['id' => 'q', 'kind' => $kind, 'words' => '', 'right' => $right]));
    }
}
