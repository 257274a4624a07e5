<?php

declare(strict_types=1);

namespace Crag\Tests\Asks;

use Crag\Asks\Bar;
use Crag\Asks\Changes;
use Crag\Asks\Tally;
use Crag\Json\Fields;
use Crag\Maths\Comparing\Outcome;
use Crag\Prompt\Question\Question;
use PHPUnit\Framework\TestCase;

final class TallyTest extends TestCase
{
    public function test_choices_are_counted_in_their_order_and_those_that_nobody_took_too(): void
    {
        $choice = self::question('choice', [
            'options' => [
                ['id' => 'l', 'words' => 'Left'],
                ['id' => 'm', 'words' => ''],
                ['id' => 'r', 'words' => 'Right'],
            ],
            'right' => ['r'],
            'shuffle' => true,
        ]);
        $tally = Tally::of($choice, ['a' => 'r', 'b' => 'l', 'c' => 'r']);
        self::assertSame(
            [['Left', 1, Outcome::Wrong], ['2', 0, Outcome::Wrong], ['Right', 2, Outcome::Right]],
            self::bars($tally),
        );
        self::assertSame([3, 2], [$tally->answered, $tally->right()]);
        self::assertSame(['a', 'c'], $tally->bars[2]->voters);
    }

    public function test_several_choices_count_each(): void
    {
        $choices = self::question('choices', [
            'options' => [['id' => 'x', 'words' => 'X'], ['id' => 'y', 'words' => 'Y']],
            'right' => [],
            'shuffle' => false,
        ]);
        $tally = Tally::of($choices, ['a' => ['x', 'y'], 'b' => ['y'], 'c' => []]);
        self::assertSame([['X', 1, null], ['Y', 2, null]], self::bars($tally));
        self::assertSame([2, null], [$tally->answered, $tally->right()]);
    }

    public function test_equal_numbers_stand_together_and_on_a_line_with_a_middle(): void
    {
        $number = self::question('number', ['right' => '240 N m']);
        $tally = Tally::of($number, [
            'a' => '240 Nm',
            'b' => '0.24 kN m',
            'c' => '24 N m',
            'd' => 'no idea',
            'e' => '1 kN m',
        ]);
        self::assertSame(
            [
                ['240 Nm', 2, Outcome::Right],
                ['24 N m', 1, Outcome::Wrong],
                ['no idea', 1, Outcome::Unreadable],
                ['1 kN m', 1, Outcome::Wrong],
            ],
            self::bars($tally),
        );
        self::assertSame([[24.0, '24 N m', 1], [240.0, '240 Nm', 2], [1000.0, '1 kN m', 1]], $tally->line);
        self::assertSame('240 Nm', $tally->middle);
        self::assertSame(2, $tally->right());
        self::assertNull(Tally::of($number, [])->middle);
    }

    public function test_a_scale_has_a_bar_for_each_step_and_a_mean(): void
    {
        $tally = Tally::of(self::question('scale', ['from' => 1, 'to' => 4]), ['a' => 1, 'b' => 4, 'c' => 4]);
        self::assertSame([['1', 1, null], ['2', 0, null], ['3', 0, null], ['4', 2, null]], self::bars($tally));
        self::assertSame('3.0', $tally->middle);
    }

    public function test_words_are_counted_once_for_each_who_says_them(): void
    {
        $tally = Tally::of(self::question('text', ['right' => []]), [
            'a' => 'The pivot, the pivot!',
            'b' => 'pivot and load',
            'c' => 'محور الحمل',
            'd' => '  ',
        ]);
        self::assertSame(3, $tally->answered);
        self::assertSame('pivot', array_key_first($tally->words));
        self::assertSame(2, $tally->words['pivot']);
        self::assertSame(1, $tally->words['محور']);
    }

    public function test_who_changed_from_what_to_what(): void
    {
        $number = self::question('number', ['right' => '80 N']);
        $changes = Changes::among($number, [
            ['a', '720 N'],
            ['b', '80 N'],
            ['c', '720 N'],
            ['a', '80 N'],
            ['b', '80.0 N'],
            ['c', '60 N'],
            ['c', '80 N'],
            ['d', '5'],
            ['d', null],
        ]);
        self::assertSame([['from' => '720 N', 'to' => '80 N', 'voters' => ['a', 'c']]], $changes->all);
    }

    /** @param  array<string, mixed>  $fields */
    private static function question(string $kind, array $fields): Question
    {
        return Question::read(new Fields($fields + ['id' => 'q', 'kind' => $kind, 'words' => '', 'spot' => null]));
    }

    /** @return list<array{string, int, ?Outcome}> */
    private static function bars(Tally $tally): array
    {
        return array_map(static fn (Bar $bar): array => [$bar->label, $bar->count(), $bar->outcome], $tally->bars);
    }
}
