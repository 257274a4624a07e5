<?php

declare(strict_types=1);

namespace Crag\Tests\Practice;

use Crag\Json\Fields;
use Crag\Json\UnreadableFields;
use Crag\Maths\Comparing\Outcome;
use Crag\Practice\Families;
use Crag\Practice\PracticeSheet;
use Crag\Practice\Task;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Sheets of practice: right, different, and the same again. */
final class PracticeSheetTest extends TestCase
{
    private const STUDENTS = 24;

    /** @return iterable<string, array{string, string, int}> every kind of every family at every level */
    public static function kinds(): iterable
    {
        foreach (Families::all() as $key => $family) {
            foreach (array_keys($family->kinds()) as $kind) {
                foreach ([1, 2, 3] as $level) {
                    yield "{$key}, {$kind}, level {$level}" => [$key, $kind, $level];
                }
            }
        }
    }

    #[DataProvider('kinds')]
    public function test_every_key_is_right_and_every_slip_is_wrong(string $key, string $kind, int $level): void
    {
        $practice = self::practice($key, [$kind], $level, 15);
        for ($student = 1; $student <= 2; $student++) {
            $tasks = $practice->tasks('seed', $student);
            foreach ($practice->questions('seed', $student) as $i => $question) {
                $task = $tasks[$i];
                $outcome = $question->compare($task->right)?->outcome;
                self::assertSame(Outcome::Right, $outcome, "{$task->words}: {$task->right}");
                foreach ($task->slips as $wrong => $why) {
                    self::assertNotSame('', $why);
                    self::assertSame(
                        Outcome::Wrong,
                        $question->compare((string) $wrong)?->outcome,
                        "{$task->words}: {$wrong} ({$why})",
                    );
                }
                self::assertNotSame([], $task->steps, $task->words);
                self::assertLessThanOrEqual(500, mb_strlen($task->words));
            }
        }
    }

    /** @param  list<string>  $kinds */
    #[DataProvider('sheets')]
    public function test_a_class_has_sheets_without_a_task_twice_and_none_alike(
        string $key,
        array $kinds,
        int $level,
    ): void {
        $practice = self::practice($key, $kinds, $level, 20);
        $sheets = [];
        for ($student = 1; $student <= self::STUDENTS; $student++) {
            $words = array_map(static fn (Task $task): string => $task->words, $practice->tasks('a lesson', $student));
            self::assertCount(20, array_unique($words), "student {$student}");
            $sheets[] = implode("\n", $words);
        }
        self::assertCount(self::STUDENTS, array_unique($sheets));
        // The same again whenever it is asked for, and others in another lesson.
        self::assertEquals($practice->tasks('a lesson', 3), $practice->tasks('a lesson', 3));
        self::assertNotEquals($practice->tasks('a lesson', 3), $practice->tasks('another lesson', 3));
    }

    /** @return iterable<string, array{string, list<string>, int}> */
    public static function sheets(): iterable
    {
        foreach (array_keys(Families::all()) as $key) {
            foreach ([1, 2, 3] as $level) {
                yield "{$key}, level {$level}" => [$key, [], $level];
            }
        }
        yield 'multiplications' => ['four_operations', ['multiply'], 2];
    }

    public function test_twenty_multiplications_are_what_their_signs_say(): void
    {
        foreach (self::practice('four_operations', ['multiply'], 2, 20)->tasks('a lesson', 7) as $task) {
            self::assertSame(1, preg_match('/^\$(\d+) \\\\times (\d+)\$$/', $task->words, $found), $task->words);
            self::assertSame((string) ((int) ($found[1] ?? 0) * (int) ($found[2] ?? 0)), $task->right);
        }
    }

    public function test_kinds_take_turns(): void
    {
        $signs = array_map(
            static fn (Task $task): string => (string) preg_replace('/[\d\s$]/', '', $task->words),
            self::practice('four_operations', ['add', 'multiply'], 1, 10)->tasks('seed', 1),
        );
        self::assertSame(['+' => 5, '\times' => 5], self::sorted(array_count_values($signs)));
    }

    public function test_a_family_with_few_tasks_gives_them_again_rather_than_none(): void
    {
        $tasks = self::practice('times_tables', ['t7'], 1, 30)->tasks('seed', 1);
        self::assertCount(30, $tasks);
        self::assertCount(9, array_unique(array_map(static fn (Task $task): string => $task->words, $tasks)));
    }

    public function test_what_is_read_is_written_the_same_and_nonsense_is_refused(): void
    {
        $json = ['family' => 'fractions', 'kinds' => ['add'], 'level' => 2, 'n' => 12];
        self::assertSame($json, PracticeSheet::read(new Fields($json))->toArray());
        self::assertSame(
            ['simplify', 'add', 'multiply', 'divide'],
            PracticeSheet::read(new Fields(['kinds' => ['nothing']] + $json))->toArray()['kinds'],
        );
        foreach ([['family' => 'magic'], ['level' => 4], ['n' => 0], ['n' => PracticeSheet::MOST + 1], ['kinds' => 'all']] as $odd) {
            try {
                PracticeSheet::read(new Fields($odd + $json));
                self::fail(json_encode($odd, JSON_THROW_ON_ERROR));
            } catch (UnreadableFields $problem) {
                self::assertNotSame('', $problem->getMessage());
            }
        }
    }

    public function test_for_everybody_at_once_there_are_places_without_numbers_or_keys(): void
    {
        $places = self::practice('solving', [], 1, 3)->places();
        self::assertSame(['Task 1', 'Task 2', 'Task 3'], array_column($places, 'words'));
        self::assertNull($places[0]->compare('x = 1'));
        self::assertSame(
            array_column($places, 'id'),
            array_column(self::practice('solving', [], 1, 3)->questions('seed', 1), 'id'),
        );
        self::assertTrue(PracticeSheet::isTask($places[0]));
    }

    /** @param  list<string>  $kinds */
    private static function practice(string $key, array $kinds, int $level, int $n): PracticeSheet
    {
        return PracticeSheet::read(new Fields(['family' => $key, 'kinds' => $kinds, 'level' => $level, 'n' => $n]));
    }

    /**
     * @param  array<string, int>  $counts
     * @return array<string, int>
     */
    private static function sorted(array $counts): array
    {
        ksort($counts);

        return $counts;
    }
}
