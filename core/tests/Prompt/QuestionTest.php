<?php

declare(strict_types=1);

namespace Crag\Tests\Prompt;

use Crag\Json\Fields;
use Crag\Json\UnreadableFields;
use Crag\Prompt\Question\Question;
use Crag\Prompt\Values\Values;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Test;
use PHPUnit\Framework\TestCase;

final class QuestionTest extends TestCase
{
    private const BEAM = [
        'id' => 'q1',
        'kind' => 'choice',
        'words' => 'Which way does it tip?',
        'spot' => null,
        'options' => [
            ['id' => 'a', 'words' => 'left'],
            ['id' => 'b', 'words' => 'right'],
            ['id' => 'c', 'words' => '', 'picture' => 'PIC'],
        ],
        'right' => ['b'],
        'shuffle' => false,
    ];

    /** @return iterable<string, array{array<string, mixed>}> */
    public static function questions(): iterable
    {
        yield 'one choice' => [self::BEAM];
        yield 'several choices at a spot' => [
            ['kind' => 'choices', 'right' => ['a', 'c'], 'spot' => ['page' => 1, 'x' => 10, 'y' => 20, 'w' => 300]] +
            self::BEAM,
        ];
        yield 'a number' => [
            self::asked('number', [
                'right' => '240 N m',
                'tolerance' => ['kind' => 'percent', 'most' => '2'],
                'form' => ['kind' => 'figures', 'digits' => 2],
                'own_unit' => true,
            ]),
        ];
        yield 'maths' => [self::asked('maths', ['right' => '2x+6', 'form' => ['kind' => 'expanded', 'digits' => 0]])];
        yield 'a few words' => [self::asked('text', ['right' => ['the pivot', 'fulcrum']])];
        yield 'a box to tick' => [self::asked('tick', ['right' => 'ticked'])];
        yield 'a part of the page to draw in' => [
            ['spot' => ['page' => 0, 'x' => 10, 'y' => 20, 'w' => 300, 'h' => 200, 'bare' => true]] +
            self::asked('drawing', []),
        ];
        yield 'room to write' => [self::asked('space', [])];
        yield 'printed answers' => [self::asked('marked', [
            'options' => [
                ['id' => 'c1', 'words' => 'left', 'x' => 10, 'y' => 20, 'w' => 60, 'h' => 30],
                ['id' => 'c2', 'words' => '', 'x' => 110, 'y' => 20, 'w' => 60, 'h' => 30],
            ],
            'right' => ['c2'],
            'several' => true,
        ])];
        yield 'a scale' => [self::asked('scale', ['from' => 1, 'to' => 5, 'low' => 'lost', 'high' => 'sure'])];
    }

    /** @param  array<string, mixed>  $json */
    #[Test]
    #[DataProvider('questions')]
    public function it_is_read_and_written_alike(array $json): void
    {
        self::assertEquals($json, self::question($json)->toArray());
    }

    /** @param  array<string, mixed>  $json */
    #[Test]
    #[DataProvider('questions')]
    public function a_student_is_never_told_what_is_right(array $json): void
    {
        $told = self::question($json)->forStudent('seat');
        self::assertArrayNotHasKey('right', $told);
        self::assertArrayNotHasKey('tolerance', $told);
        self::assertSame($json['words'], $told['words']);
    }

    #[Test]
    public function choices_are_shuffled_for_each_student_and_alike_each_time(): void
    {
        $options = array_map(static fn (int $i): array => ['id' => "o{$i}", 'words' => "choice {$i}"], range(1, 6));
        $question = self::question(['options' => $options, 'right' => [], 'shuffle' => true] + self::BEAM);
        $order = static fn (string $seat): string => implode(
            ' ',
            array_map(
                static fn (mixed $id): string => is_string($id) ? $id : '',
                array_column((array) $question->forStudent($seat)['options'], 'id'),
            ),
        );
        self::assertSame($order('one'), $order('one'));
        $orders = array_unique(array_map($order, ['one', 'two', 'three', 'four', 'five']));
        self::assertGreaterThan(1, count($orders));
        foreach ($orders as $one) {
            $ids = explode(' ', $one);
            sort($ids);
            self::assertSame(array_column($options, 'id'), $ids);
        }
    }

    /** @return iterable<string, array{array<string, mixed>, mixed, ?string}> */
    public static function answers(): iterable
    {
        yield 'the right choice' => [self::BEAM, 'b', 'right'];
        yield 'another choice' => [self::BEAM, 'a', 'wrong'];
        yield 'no key' => [['right' => []] + self::BEAM, 'a', null];
        $several = ['kind' => 'choices', 'right' => ['a', 'c']] + self::BEAM;
        yield 'all right choices, in any order' => [$several, ['c', 'a'], 'right'];
        yield 'one too few' => [$several, ['a'], 'wrong'];
        yield 'one too many' => [$several, ['a', 'b', 'c'], 'wrong'];
        $text = self::asked('text', ['right' => ['the pivot', 'Fulcrum', 'Stütze']]);
        yield 'a tick where one belongs' => [self::asked('tick', ['right' => 'ticked']), 'ticked', 'right'];
        yield 'a tick where none belongs' => [self::asked('tick', ['right' => 'empty']), 'ticked', 'wrong'];
        yield 'a tick that is only counted' => [self::asked('tick', ['right' => '']), 'ticked', null];
        yield 'words as they stand' => [$text, 'the pivot', 'right'];
        yield 'other spaces and letters' => [$text, '  The   PIVOT. ', 'right'];
        yield 'the other accepted answer' => [$text, 'fulcrum', 'right'];
        yield 'the same letter made of two signs' => [$text, "stu\u{308}tze", 'right'];
        yield 'other words' => [$text, 'the beam', 'wrong'];
        yield 'a number with its unit' => [self::asked('number', ['right' => '240 N m']), '0.24 kN m', 'right'];
        yield 'a number without its unit' => [self::asked('number', ['right' => '240 N m']), '240', 'other-form'];
        yield 'no number' => [self::asked('number', ['right' => '240 N m']), 'much', 'unreadable'];
        yield 'an expression' => [self::asked('maths', ['right' => '2(x+3)']), '6+2x', 'right'];
        yield 'a scale has no right step' => [self::asked('scale'), 3, null];
    }

    /** @param  array<string, mixed>  $json */
    #[Test]
    #[DataProvider('answers')]
    public function an_answer_is_compared(array $json, mixed $answer, ?string $outcome): void
    {
        $question = self::question($json);
        self::assertSame($outcome, $question->compare($question->asked->read($answer))?->outcome->value);
    }

    /** @return iterable<string, array{array<string, mixed>, mixed}> */
    public static function impossible(): iterable
    {
        yield 'a choice that is not there' => [self::BEAM, 'z'];
        yield 'a list for one choice' => [self::BEAM, ['a']];
        yield 'one for several' => [['kind' => 'choices'] + self::BEAM, 'a'];
        yield 'a number for words' => [self::asked('text', ['right' => []]), 5];
        yield 'too many words' => [self::asked('text', ['right' => []]), str_repeat('a', 301)];
        yield 'a step beyond the scale' => [self::asked('scale'), 6];
        yield 'words for a scale' => [self::asked('scale'), '3'];
    }

    /** @param  array<string, mixed>  $json */
    #[Test]
    #[DataProvider('impossible')]
    public function what_cannot_be_an_answer_is_refused(array $json, mixed $answer): void
    {
        $this->expectException(UnreadableFields::class);
        self::question($json)->asked->read($answer);
    }

    /** @return iterable<string, array{array<string, mixed>}> */
    public static function broken(): iterable
    {
        yield 'no kind' => [['kind' => 'riddle'] + self::BEAM];
        yield 'an id twice' => [
            ['options' => [['id' => 'a', 'words' => ''], ['id' => 'a', 'words' => '']]] + self::BEAM,
        ];
        yield 'a right choice that is not there' => [['right' => ['z']] + self::BEAM];
        yield 'two right ones for one choice' => [['right' => ['a', 'b']] + self::BEAM];
        yield 'a spot off the page' => [['spot' => ['x' => 2001, 'y' => 0, 'w' => 200]] + self::BEAM];
        yield 'a tolerance that is no number' => [
            self::asked('number', ['right' => '1', 'tolerance' => ['kind' => 'within', 'most' => 'much']]),
        ];
        yield 'a form that is none' => [self::asked('number', ['right' => '1', 'form' => ['kind' => 'pretty']])];
        yield 'a scale of one step' => [self::asked('scale', ['from' => 1, 'to' => 1])];
        yield 'an id of signs' => [['id' => '<b>'] + self::BEAM];
    }

    /** @param  array<string, mixed>  $json */
    #[Test]
    #[DataProvider('broken')]
    public function a_broken_question_is_refused(array $json): void
    {
        $this->expectException(UnreadableFields::class);
        self::question($json);
    }

    #[Test]
    public function the_key_follows_the_values_drawn(): void
    {
        $question = self::question(
            self::asked('number', ['right' => '{a*b} N m', 'words' => 'The moment of {a: 6} N at {b: 4} m?']),
        );
        $filled = $question->filled(Values::in($question->texts())->draw('seed', 0));
        self::assertSame('The moment of 6 N at 4 m?', $filled->words);
        self::assertSame('right', $filled->compare('24 N m')?->outcome->value);
        self::assertSame('wrong', $filled->compare('25 N m')?->outcome->value);
    }

    /** @param  array<string, mixed>  $json */
    private static function question(array $json): Question
    {
        return Question::read(new Fields($json));
    }

    /**
     * @param  array<string, mixed>  $more
     * @return array<string, mixed>
     */
    private static function asked(string $kind, array $more = []): array
    {
        return $more + ['id' => 'q1', 'kind' => $kind, 'words' => 'Say it.', 'spot' => null];
    }

    /** @return iterable<array{string, string, string}> what is right, what a piece shows, and what comes of it */
    public static function shown(): iterable
    {
        yield ['3/4', '6/8', 'right'];
        yield ['0.75', '3/4', 'right'];
        yield ['3/4', '4/3', 'wrong'];
        yield ['15:40', '15:40', 'right'];
        yield ['1:2', '2:4', 'wrong'];
        yield ['(x+2)(x+3)', 'x² + 5x + 6', 'right'];
        yield ['x', 'x + 3', 'wrong'];
        yield ['7,14,21', '7, 14, 21', 'right'];
        yield ['7, 14', '7, 14, 21', 'wrong'];
        yield ['Balanced', 'balanced', 'right'];
        yield ['balanced', 'left', 'wrong'];
        yield ['h2o', 'H2O', 'right'];
        yield ['−2', '-2', 'right'];
        yield ['4', '', 'wrong'];
    }

    #[DataProvider('shown')]
    public function test_what_a_piece_shows_is_compared_as_a_number_where_it_is_one(
        string $right,
        string $shows,
        string $outcome,
    ): void {
        $question = Question::read(new Fields([
            'id' => 'q1',
            'kind' => 'state',
            'words' => '',
            'piece' => 'fraction_bar',
            'fact' => 'shaded',
            'right' => $right,
        ]));
        self::assertSame($outcome, $question->compare($shows)?->outcome->value);
        self::assertStringNotContainsString('right', (string) json_encode($question->forStudent('seed')));
    }

    public function test_a_piece_is_asked_only_for_what_it_can_tell(): void
    {
        $this->expectException(UnreadableFields::class);
        Question::read(new Fields([
            'id' => 'q1', 'kind' => 'state', 'words' => '', 'piece' => 'clock', 'fact' => 'shaded', 'right' => '',
        ]));
    }
}
