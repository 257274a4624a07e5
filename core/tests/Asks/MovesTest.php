<?php

declare(strict_types=1);

namespace Crag\Tests\Asks;

use Crag\Asks\Moves;
use Crag\Json\Fields;
use Crag\Prompt\Question\Question;
use PHPUnit\Framework\TestCase;

final class MovesTest extends TestCase
{
    public function test_who_went_from_where_to_where(): void
    {
        $question = $this->question(['kind' => 'choice', 'options' => self::OPTIONS, 'right' => ['o2']]);
        $moves = Moves::between(
            $question,
            ['ada' => 'o1', 'ben' => 'o1', 'cy' => 'o2', 'dot' => 'o1'],
            ['ada' => 'o2', 'ben' => 'o1', 'cy' => 'o2', 'eve' => 'o1'],
        );
        self::assertSame(['Left', 'Right', '3'], $moves->labels);
        self::assertSame([['ben'], ['ada'], []], $moves->cells[0]);
        self::assertSame([[], ['cy'], []], $moves->cells[1]);
        self::assertSame([[], [], []], $moves->cells[2]);
        self::assertSame([1, 3], [$moves->moved(), $moves->both()]);
        self::assertSame([0, 1], $moves->used());
    }

    public function test_equal_numbers_stand_in_one_place_however_they_are_written(): void
    {
        $question = $this->question(['kind' => 'number', 'right' => '80 N']);
        $moves = Moves::between(
            $question,
            ['ada' => '240 N', 'ben' => '0.24 kN', 'cy' => '80 N'],
            ['ada' => '80 N', 'ben' => '240 N', 'cy' => '0.08 kN'],
        );
        // 0.24 kN and 240 N are one answer: only Ada has moved.
        self::assertSame([1, 3], [$moves->moved(), $moves->both()]);
    }

    public function test_of_several_ticks_nobody_comes_from_one_place(): void
    {
        $question = $this->question(['kind' => 'choices', 'options' => self::OPTIONS, 'right' => []]);
        $moves = Moves::between(
            $question,
            ['ada' => ['o1', 'o2'], 'ben' => ['o1']],
            ['ada' => ['o1'], 'ben' => ['o2']],
        );
        self::assertSame([1, 1], [$moves->moved(), $moves->both()]);
        self::assertSame(['ben'], $moves->cells[0][1]);
    }

    private const OPTIONS = [
        ['id' => 'o1', 'words' => 'Left'],
        ['id' => 'o2', 'words' => 'Right'],
        ['id' => 'o3', 'words' => '3'],
    ];

    /** @param  array<string, mixed>  $asked */
    private function question(array $asked): Question
    {
        return Question::read(
            new Fields($asked + ['id' => 'ask', 'spot' => null, 'words' => 'Which?', 'shuffle' => false]),
        );
    }
}
