<?php

declare(strict_types=1);

namespace Crag\Tests\Plan;

use Crag\Canvas\Log\Operation;
use Crag\Canvas\Scene;
use Crag\Json\Fields;
use Crag\Json\UnreadableFields;
use Crag\Plan\Task\DoneTasks;
use Crag\Plan\Task\Task;
use Crag\Plan\Task\TaskKind;
use Crag\Tests\Canvas\Logs;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class TaskTest extends TestCase
{
    #[TestWith(['N', '80 N', true])]
    #[TestWith(['N', '80n', true])]
    #[TestWith(['N', 'The force is 80 N.', true])]
    #[TestWith(['N', '80 Nm', false])]
    #[TestWith(['N', 'N 80', false])]
    #[TestWith(['N m', '240 N m', true])]
    #[TestWith(['m/s', '3 m/s', true])]
    #[TestWith(['.*', '3 metres', false])]
    #[TestWith(['%', '40 %', true])]
    public function test_a_number_with_its_unit(string $unit, string $typed, bool $isDone): void
    {
        self::assertSame([$isDone], self::done(['do' => 'unit', 'with' => $unit], Logs::text('t', $typed)));
    }

    public function test_each_tool_ticks_its_own_task_and_undo_takes_the_tick_away(): void
    {
        $arrow = ['type' => 'arrow', 'x' => 0, 'y' => 0, 'w' => 100, 'h' => 0, 'colour' => '#25323b', 'width' => 40,
            'filled' => false];
        $log = [Logs::stroke('s'), Logs::object('a', $arrow), Logs::text('t', 'about the pivot')];
        $kinds = ['pen', 'colour', 'marker', 'shape', 'arrow', 'stamp', 'text', 'note', 'page', 'answer'];
        $tasks = array_map(static fn (string $kind): array => ['do' => $kind], $kinds);
        self::assertSame(
            ['pen', 'shape', 'arrow', 'text'],
            array_values(array_intersect_key($kinds, array_filter(self::all($tasks, $log)))),
        );
        $undone = self::all([['do' => 'arrow'], ['do' => 'pen']], [...$log, Logs::undo('u', 'a')]);
        self::assertSame([false, true], $undone);
        self::assertSame([true], self::done(['do' => 'word', 'with' => 'PIVOT'], ...$log));
    }

    public function test_an_arrow_is_whatever_has_a_head(): void
    {
        $line = ['x' => 0, 'y' => 0, 'w' => 100, 'h' => 0, 'colour' => '#25323b', 'width' => 40, 'filled' => false];
        $is = static fn (string $type, string ...$ends): bool => self::done(
            ['do' => 'arrow'],
            Logs::object('a', ['type' => $type] + ($ends === [] ? [] : ['ends' => $ends[0]]) + $line),
        )[0];
        self::assertTrue($is('arrow'));
        self::assertFalse($is('line'));
        self::assertTrue($is('line', 'both'));
        self::assertFalse($is('arrow', 'none'));
    }

    public function test_hand_and_send_are_facts_of_the_room(): void
    {
        $tasks = [Task::read(new Fields(['do' => 'hand'])), Task::read(new Fields(['do' => 'send']))];
        self::assertSame([true, false], DoneTasks::of($tasks, Scene::fold([]), true, false)->done);
        self::assertSame(1, DoneTasks::of($tasks, Scene::fold([]), false, true)->count());
    }

    public function test_each_kind_is_read_and_written_alike_and_has_its_words(): void
    {
        foreach (TaskKind::cases() as $kind) {
            $json = ['do' => $kind->value, 'words' => 'Try it', 'with' => $kind->takesWord() ? 'N' : ''];
            self::assertSame($json, Task::read(new Fields($json))->toArray());
            self::assertNotSame('', $kind->word());
            self::assertSame($kind->takesWord(), str_contains($kind->sentence(), ':with'));
        }
    }

    /** @param  array<string, mixed>  $json */
    #[TestWith([['do' => 'dance']])]
    #[TestWith([['do' => 'unit']])]
    #[TestWith([['do' => 'word', 'with' => '  ']])]
    public function test_what_is_no_task_says_so(array $json): void
    {
        $this->expectException(UnreadableFields::class);
        Task::read(new Fields($json));
    }

    /**
     * @param  array<string, mixed>  $task
     * @return list<bool>
     */
    private static function done(array $task, Operation ...$log): array
    {
        return self::all([$task], array_values($log));
    }

    /**
     * @param  list<array<string, mixed>>  $tasks
     * @param  list<Operation>  $log
     * @return list<bool>
     */
    private static function all(array $tasks, array $log): array
    {
        $read = array_map(static fn (array $json): Task => Task::read(new Fields($json)), $tasks);

        return DoneTasks::of($read, Scene::fold($log), false, false)->done;
    }
}
