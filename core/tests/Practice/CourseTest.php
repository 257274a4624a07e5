<?php

declare(strict_types=1);

namespace Crag\Tests\Practice;

use Crag\Json\Fields;
use Crag\Json\UnreadableFields;
use Crag\Practice\Course;
use Crag\Practice\PracticeSheet;
use Crag\Practice\Task;
use PHPUnit\Framework\TestCase;

/** Practice that goes on until enough answers in a row are right, and a teacher's own question in it. */
final class CourseTest extends TestCase
{
    private const TABLES = ['family' => 'times_tables', 'kinds' => [], 'level' => 2, 'n' => 10, 'row' => 3, 'follows' => true];

    private const OWN = [
        'family' => 'own',
        'kinds' => ['own'],
        'level' => 1,
        'n' => 12,
        'words' => 'A load of {a: 20..90} N hangs {b: 2..6} m away. Its moment?',
        'right' => '{a*b} N m',
        'letters' => false,
    ];

    public function test_the_next_task_comes_with_an_answer_and_three_right_in_a_row_end_it(): void
    {
        $practice = PracticeSheet::read(new Fields(self::TABLES));
        $course = $this->answered($practice, 'rrwrrr');
        self::assertSame([true, true, false, true, true, true], $course->marks);
        self::assertTrue($course->isDone);
        self::assertCount(6, $course->tasks);
        self::assertCount(6, array_unique(array_map(static fn (Task $task): string => $task->words, $course->tasks)));
        $open = $this->answered($practice, 'rr');
        self::assertFalse($open->isDone);
        self::assertSame(2, $open->inRow);
        self::assertCount(3, $open->tasks);
        self::assertEquals($course->tasks[2], $open->tasks[2], 'the way is the same however far one looks');
        self::assertCount(1, $practice->course('seed', 1, [])->tasks);
    }

    public function test_the_level_follows_only_where_it_is_wished(): void
    {
        $practice = PracticeSheet::read(new Fields(['row' => 20] + self::TABLES));
        self::assertSame(3, $this->answered($practice, 'rr')->level);
        self::assertSame(3, $this->answered($practice, 'rrrrrr')->level, 'there is none above');
        self::assertSame(1, $this->answered($practice, 'ww')->level);
        self::assertSame(1, $this->answered($practice, 'wwwwww')->level, 'there is none below');
        self::assertSame(2, $this->answered($practice, 'rwrw')->level);
        $steady = PracticeSheet::read(new Fields(['follows' => false, 'row' => 20] + self::TABLES));
        self::assertSame(2, $this->answered($steady, 'rrrrwwww')->level);
    }

    public function test_nobody_goes_on_for_ever(): void
    {
        $practice = PracticeSheet::read(new Fields(['row' => 20] + self::TABLES));
        $course = $this->answered($practice, str_repeat('rw', 40));
        self::assertCount(PracticeSheet::MOST, $course->tasks);
        self::assertFalse($course->isDone);
    }

    public function test_a_students_page_is_told_what_came_of_an_answer_and_nothing_of_the_open_task(): void
    {
        $practice = PracticeSheet::read(new Fields(self::TABLES));
        $course = $this->answered($practice, 'rw');
        $questions = $practice->questions('seed', 1, $this->answers($practice, 'rw'));
        $told = array_map(static fn ($one): array => PracticeSheet::marked($course, $one), $questions);
        self::assertSame(['mark' => ['right' => true, 'key' => '', 'steps' => []]], $told[0]);
        $task = $course->tasks[1];
        self::assertSame(['mark' => ['right' => false, 'key' => $task->right, 'steps' => $task->steps]], $told[1]);
        self::assertSame(['once' => true], $told[2]);
    }

    public function test_a_question_of_ones_own_has_other_values_each_time_and_for_each_student(): void
    {
        $practice = PracticeSheet::read(new Fields(self::OWN));
        self::assertSame(self::OWN, $practice->toArray());
        $sheets = [];
        foreach ([1, 2, 3] as $student) {
            $words = [];
            foreach ($practice->tasks('seed', $student) as $task) {
                self::assertSame(1, preg_match('/A load of (\d+) N hangs (\d) m/', $task->words, $found));
                self::assertSame((int) ($found[1] ?? 0) * (int) ($found[2] ?? 0).' N m', $task->right);
                $words[] = $task->words;
            }
            self::assertCount(12, array_unique($words));
            $sheets[] = implode($words);
        }
        self::assertCount(3, array_unique($sheets));
    }

    public function test_a_question_of_ones_own_without_words_key_or_values_is_refused_in_a_sentence(): void
    {
        foreach (
            [
                [['words' => ''], 'Write the question'],
                [['right' => ' '], 'Write the question'],
                [['words' => '3 × 4', 'right' => '12'], 'Put values into your question'],
                [['words' => '{a: 9..2}'], '9..2'],
            ] as [$odd, $said]
        ) {
            try {
                PracticeSheet::read(new Fields($odd + self::OWN));
                self::fail(json_encode($odd, JSON_THROW_ON_ERROR));
            } catch (UnreadableFields $problem) {
                self::assertStringContainsString($said, $problem->getMessage());
            }
        }
    }

    /** @param  string  $how  r for a right answer, w for a wrong one */
    private function answered(PracticeSheet $practice, string $how): Course
    {
        return $practice->course('seed', 1, $this->answers($practice, $how));
    }

    /** @return array<string, string> by question */
    private function answers(PracticeSheet $practice, string $how): array
    {
        $answers = [];
        foreach (str_split($how) as $i => $one) {
            $tasks = $practice->course('seed', 1, $answers)->tasks;
            $right = ($tasks[$i] ?? null)?->right;
            if ($right !== null) {
                $answers[PracticeSheet::id($i + 1)] = $one === 'r' ? $right : '-999';
            }
        }

        return $answers;
    }
}
