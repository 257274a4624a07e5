<?php

declare(strict_types=1);

namespace Crag\Tests\Watch;

use Crag\Json\Fields;
use Crag\Maths\Comparing\Outcome;
use Crag\Prompt\Question\Question;
use Crag\Watch\AnswerGroup;
use Crag\Watch\AnswerGroups;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class AnswerGroupsTest extends TestCase
{
    public function test_equal_answers_stand_together_the_most_frequent_first(): void
    {
        $asked = self::question('number', ['right' => '240 N m']);
        $groups = AnswerGroups::among([
            ['a', $asked, '24'],
            ['b', $asked, '240 Nm'],
            ['c', $asked, '0.24 kN m'],
            ['d', $asked, '240 N m'],
            ['e', $asked, '240'],
            ['f', $asked, '240 N m'],
            ['g', $asked, 'no idea'],
        ])->groups;
        self::assertSame(
            [
                ['240 N m', Outcome::Right, ['b', 'c', 'd', 'f']],
                ['24', Outcome::Wrong, ['a']],
                ['240', Outcome::OtherForm, ['e']],
                ['no idea', Outcome::Unreadable, ['g']],
            ],
            array_map(self::said(...), $groups),
        );
    }

    public function test_questions_are_counted_one_by_one(): void
    {
        $choice = self::question(
            'choice',
            [
                'options' => [['id' => 'x', 'words' => 'Left'], ['id' => 'y', 'words' => 'Right']],
                'right' => ['y'],
                'shuffle' => true,
            ],
            'q2',
        );
        $scale = self::question('scale', ['from' => 1, 'to' => 5], 'q3');
        $groups = AnswerGroups::among([
            ['a', $choice, 'x'],
            ['a', $scale, 4],
            ['b', $choice, 'x'],
            ['b', $scale, 2],
            ['c', $choice, 'y'],
            ['c', $scale, 4],
        ])->groups;
        self::assertSame(
            [['q2', 'Left', ['a', 'b']], ['q2', 'Right', ['c']], ['q3', '4 / 5', ['a', 'c']], ['q3', '2 / 5', ['b']]],
            array_map(
                static fn (AnswerGroup $group): array => [$group->question, $group->written, $group->seats],
                $groups,
            ),
        );
        self::assertNull($groups[2]->outcome);
    }

    public function test_where_each_has_other_values_right_ones_stand_together(): void
    {
        $groups = AnswerGroups::among([
            ['a', self::question('number', ['right' => '12 N']), '12 N'],
            ['b', self::question('number', ['right' => '15 N']), '15 N'],
            ['c', self::question('number', ['right' => '18 N']), '12 N'],
            ['d', self::question('number', ['right' => '20 N']), '12 N'],
        ])->groups;
        self::assertSame(
            [[Outcome::Right, ['a', 'b']], [Outcome::Wrong, ['c', 'd']]],
            array_map(static fn (AnswerGroup $group): array => [$group->outcome, $group->seats], $groups),
        );
    }

    #[TestWith(['maths', '2(x+1)', '2x + 2', true])]
    #[TestWith(['maths', 'x = 5', '5', true])]
    #[TestWith(['maths', '2x', '3x', false])]
    #[TestWith(['maths', '2 +', '2+', true])]
    #[TestWith(['maths', '2 +', '3 +', false])]
    #[TestWith(['number', '1/2', '0.5', true])]
    #[TestWith(['number', '3 m', '300 cm', true])]
    #[TestWith(['number', '3 m', '3', false])]
    #[TestWith(['number', '3 m', '3 s', false])]
    #[TestWith(['text', 'the Pivot.', 'The  pivot', true])]
    #[TestWith(['text', 'pivot', 'beam', false])]
    public function test_what_is_equal(string $kind, string $one, string $other, bool $same): void
    {
        $asked = self::question($kind, ['right' => $kind === 'text' ? [] : ''])->asked;
        self::assertSame($same, $asked->isSame($one, $other));
        self::assertSame($same, $asked->isSame($other, $one));
    }

    /** @return array{string, ?Outcome, list<string>} */
    private static function said(AnswerGroup $group): array
    {
        return [$group->written, $group->outcome, $group->seats];
    }

    /** @param  array<string, mixed>  $more */
    private static function question(string $kind, array $more, string $id = 'q1'): Question
    {
        return Question::read(new Fields(['id' => $id, 'kind' => $kind, 'words' => '', 'spot' => null] + $more));
    }
}
