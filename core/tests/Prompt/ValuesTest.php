<?php

declare(strict_types=1);

namespace Crag\Tests\Prompt;

use Crag\Json\Fields;
use Crag\Maths\Algebra\Written;
use Crag\Plan\PlanPrompt;
use Crag\Prompt\Values\Draw;
use Crag\Prompt\Values\Formulas;
use Crag\Prompt\Values\InvalidValues;
use Crag\Prompt\Values\Values;
use Crag\Render\PlainMaths;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Test;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class ValuesTest extends TestCase
{
    #[Test]
    public function the_same_student_always_gets_the_same(): void
    {
        $text = 'What is {a: 2..9} × {b: 2..9}?';
        $values = Values::in([$text]);
        self::assertSame(
            $values->draw('session', 3)->fill($text),
            Values::in([$text])
                ->draw('session', 3)
                ->fill($text),
        );
    }

    #[Test]
    public function neighbours_have_different_numbers(): void
    {
        $values = Values::in(['{a: 1..3}']);
        for ($n = 0; $n < 30; $n++) {
            self::assertNotSame($values->draw('s', $n)->fill('{a}'), $values->draw('s', $n + 1)->fill('{a}'));
        }
    }

    #[Test]
    public function another_session_draws_otherwise(): void
    {
        $values = Values::in(['{a: 1..1000}']);
        $all = static fn (string $seed): string => implode(
            ' ',
            array_map(static fn (int $n): string => $values->draw($seed, $n)->fill('{a}'), range(0, 20)),
        );
        self::assertNotSame($all('one'), $all('two'));
    }

    #[Test]
    public function every_draw_keeps_to_its_range_and_conditions(): void
    {
        $values = Values::in(['{a: 2..9} and {b: 2..9; a ≠ b; a*b < 40}', '{c = a*b}']);
        $seen = [];
        for ($n = 0; $n < 200; $n++) {
            [$a, $b, $c] = array_map(intval(...), explode(' ', $values->draw('seed', $n)->fill('{a} {b} {c}')));
            self::assertGreaterThanOrEqual(2, min($a, $b));
            self::assertLessThanOrEqual(9, max($a, $b));
            self::assertNotSame($a, $b);
            self::assertLessThan(40, $a * $b);
            self::assertSame($a * $b, $c);
            $seen["{$a},{$b}"] = true;
        }
        self::assertGreaterThan(20, count($seen));
    }

    #[Test]
    public function lists_steps_and_results_are_exact(): void
    {
        $values = Values::in([
            '{a: 0.1, 0.1}',
            '{b: 0.2..0.2}',
            '{c = a + b}',
            '{d = 1/3 + 1/6}',
            '{e: 0..1 step 0.25; e = 3/4}',
            '{f = √2*√2*√3}',
        ]);
        self::assertSame('0.3 0.5 0.75 2√3', $values->draw('', 0)->fill('{c} {d} {e} {f}'));
    }

    #[Test]
    public function expressions_are_worked_out_where_they_stand(): void
    {
        $draw = Values::in(['{a: 6}', '{b: 4}'])->draw('', 0);
        self::assertSame(
            '6 × 4 = 24, half of it 12, 6/4 is 1.5, 1/6',
            $draw->fill('{a} × {b} = {a*b}, half of it {a*b/2}, {a}/{b} is {a/b}, {1/a}'),
        );
    }

    #[Test]
    public function braces_of_formulas_stay_theirs(): void
    {
        $draw = Values::in(['{a: 6}', '$\frac{{b: 4}}{7}$'])->draw('', 0);
        self::assertSame(
            '$\frac{{4}}{7} x^{2} \sum_{i=1}^{{6}}$',
            $draw->fill('$\frac{{b: 4}}{7} x^{2} \sum_{i=1}^{{a}}$'),
        );
        self::assertSame('$\frac{6}{4}$ and {1, 2}', $draw->fill('$\frac{a}{b}$ and {1, 2}'));
    }

    #[Test]
    public function for_everybody_at_once_values_are_their_names(): void
    {
        $text = 'Solve ${a: 2..9}x + {b: 1..9} = {c: 3}$; {d = a*b}, {a*b} and {n}.';
        self::assertSame('Solve ${a}x + {b} = {c}$; d, ab and {n}.', Draw::names(Values::in([$text]))->fill($text));
    }

    #[Test]
    public function values_can_be_drawn_without_being_shown(): void
    {
        $draw = Values::in(['Solve {a: 3}x + {b: 4} = {c = a*x + b; x: 5..9; x > 8}.'])->draw('', 0);
        self::assertSame('Solve 3x + 4 = 31.', $draw->fill('Solve {a: 3}x + {b: 4} = {c = a*x + b; x: 5..9; x > 8}.'));
        self::assertSame('9', $draw->fill('{x}'));
    }

    #[Test]
    public function words_without_values_are_left_alone(): void
    {
        $values = Values::in(['A set {1, 2, 3} and {n}']);
        self::assertTrue($values->isEmpty());
        self::assertSame('{1, 2, 3} and {n}', $values->draw('', 0)->fill('{1, 2, 3} and {n}'));
    }

    /** @return iterable<string, array{string, string}> */
    public static function mistakes(): iterable
    {
        yield 'a name twice' => ['{a: 1..2} {a: 3..4}', 'a is given values twice.'];
        yield 'a range turned round' => [
            '{a: 9..2}',
            '“9..2” is neither a range such as 2..9 nor a list such as 3, 5, 7.',
        ];
        yield 'no numbers' => ['{a: oak}', '“oak” is neither a range such as 2..9 nor a list such as 3, 5, 7.'];
        yield 'a step of zero' => [
            '{a: 1..2 step 0}',
            '“1..2” is neither a range such as 2..9 nor a list such as 3, 5, 7.',
        ];
        yield 'too many' => ['{a: 1..100000}', 'a has more than 2000 values to choose from.'];
        yield 'an unknown name' => ['{a: 1..2} {b = a*q}', 'In {b = a*q}: q has no values.'];
        yield 'no condition' => ['{a: 1..2; big}', 'In {a: 1..2; big}: “big” isn’t a condition like a ≠ b.'];
        yield 'conditions that nothing meets' => ['{a: 1..2; a > 5}', 'No values fit all the conditions.'];
        yield 'by zero' => ['{a: 0} {b = 1/a}', 'In {b = 1/a}: You can’t divide by 0.'];
    }

    #[Test]
    #[DataProvider('mistakes')]
    public function a_mistake_is_said(string $text, string $sentence): void
    {
        $this->expectException(InvalidValues::class);
        $this->expectExceptionMessage($sentence);
        Values::in([$text]);
    }

    #[Test]
    public function results_may_have_any_form(): void
    {
        $draw = Values::in(['{a: -3}'])->draw('', 0);
        self::assertSame('−3', $draw->fill('{a}'));
        self::assertSame('${-3}$', $draw->fill('${a}$'));
        self::assertSame(
            '${\frac{1}{3}}$',
            Values::in(['{a: 1/3}'])
                ->draw('', 0)
                ->fill('${a}$'),
        );
        self::assertSame(
            '2π',
            Written::plain(
                $draw->values['a']
                    ->plus(\Crag\Maths\Algebra\Value::number(5))
                    ->multipliedBy(\Crag\Maths\Algebra\Value::letter('π')),
            ),
        );
    }

    #[Test]
    #[TestWith(['Weigh {a: 2-9} g', 'two dots'])]
    #[TestWith(['Weigh {a: 2 – 9} g', 'two dots'])]
    #[TestWith(['Weigh {num: 2..9} g', 'one letter'])]
    #[TestWith(['Weigh {a: nothing at all} g', 'neither a range'])]
    #[TestWith(['Weigh {a: 9..2} g', 'neither a range'])]
    #[TestWith(['Weigh ${num: 2..9}$ g', 'one letter'])]
    public function what_cannot_be_drawn_is_said_and_students_never_see_its_braces(string $words, string $said): void
    {
        $prompt = PlanPrompt::read(
            new Fields([
                'words' => $words,
                'questions' => [
                    ['id' => 'q1', 'kind' => 'number', 'words' => 'And {a}?', 'spot' => null, 'right' => '{a} g'],
                ],
            ]),
        );
        self::assertStringContainsString($said, implode(' ', $prompt->problems()));
        $mine = $prompt->forStudent('seed', 3);
        foreach ([$mine->words, $mine->questions[0]->words, $prompt->wordsForAll()] as $text) {
            self::assertDoesNotMatchRegularExpression('/[{}]/', $text);
            self::assertStringContainsString('…', $text);
        }
        self::assertNull($mine->questions[0]->compare('5 g'));
    }

    #[Test]
    public function a_set_in_braces_stays_and_a_letter_without_values_is_said(): void
    {
        $set = PlanPrompt::saying('Which of {1, 2, 3} is even?');
        self::assertSame([[], 'Which of {1, 2, 3} is even?'], [$set->problems(), $set->forStudent('seed', 1)->words]);
        self::assertSame(
            ['{b} has no values. Give it some where it first stands, such as {b: 2..9}.'],
            PlanPrompt::saying('{a: 2..9} and {b}')->problems(),
        );
        self::assertSame([], PlanPrompt::saying('{a: -3, 2-9, 5}')->problems(), 'in a list a subtraction is one');
    }

    /** @param  list<string>  $formulas */
    #[Test]
    #[TestWith(['It costs $5 and then $6', []])]
    #[TestWith(['It costs $5 for $x$ kg and $6', ['x']])]
    #[TestWith(['$\frac{1}{2}$ of $ab$', ['\frac{1}{2}', 'ab']])]
    #[TestWith(['From \$5 to \$6, $x$', ['x']])]
    #[TestWith(['$5$ and $6$', ['5', '6']])]
    #[TestWith(['Only $ signs $ here', []])]
    #[TestWith(['$5,000–$6,000', []])]
    public function a_price_is_no_formula(string $text, array $formulas): void
    {
        $found = array_values(array_filter(Formulas::parts($text), static fn (array $part): bool => $part[1]));
        self::assertSame($formulas, array_map(static fn (array $part): string => substr($part[0], 1, -1), $found));
        self::assertSame($text, implode('', array_column(Formulas::parts($text), 0)));
        self::assertStringNotContainsString('\$', PlainMaths::words($text));
    }
}
