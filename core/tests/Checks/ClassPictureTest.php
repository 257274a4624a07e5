<?php

declare(strict_types=1);

namespace Crag\Tests\Checks;

use Crag\Checks\ClassPicture;
use Crag\Checks\DrawingTime;
use Crag\Checks\Level;
use Crag\Checks\StudentResult;
use PHPUnit\Framework\TestCase;

final class ClassPictureTest extends TestCase
{
    public function test_rows_and_columns_add_up_to_the_same_whole(): void
    {
        $picture = self::picture();
        self::assertSame([1, 0, 0, 1], array_slice($picture->rows['a']->tally->toArray(), 0, 4));
        self::assertSame(
            [2, 1, 90_000],
            [$picture->rows['a']->started, $picture->rows['a']->sent, $picture->rows['a']->drawingMs],
        );
        self::assertSame([0, 1, 0, 1], array_slice($picture->columns['p']->tally->toArray(), 0, 4));
        $sum = static fn (array $some, string $of): int => array_sum(array_column($some, $of));
        foreach (['started', 'sent', 'drawingMs'] as $of) {
            self::assertSame($picture->whole->{$of}, $sum($picture->rows, $of));
            self::assertSame($picture->whole->{$of}, $sum($picture->columns, $of));
        }
        self::assertSame(3, 6 - $picture->whole->tally->unchecked);
    }

    public function test_how_secure_is_the_mean_of_what_was_checked(): void
    {
        $picture = self::picture();
        self::assertEqualsWithDelta(0.5, $picture->rows['a']->secure, 1e-9);
        self::assertEqualsWithDelta(1 / 3, $picture->rows['b']->secure, 1e-9);
        self::assertNull($picture->rows['c']->secure);
        self::assertEqualsWithDelta(2 / 3, $picture->columns['p']->secure, 1e-9);
    }

    public function test_skills_count_the_prompts_that_are_tagged_with_them(): void
    {
        $picture = self::picture();
        self::assertSame(['moments', 'ratio'], array_keys($picture->skills));
        self::assertEqualsWithDelta(4 / 9, $picture->skills['moments']['class'], 1e-9);
        self::assertEqualsWithDelta(0.0, $picture->skills['ratio']['seats']['a'], 1e-9);
        self::assertNull($picture->skills['ratio']['seats']['b']);
    }

    public function test_nobody_and_nothing_is_a_picture_too(): void
    {
        self::assertNull(ClassPicture::of([], [], [])->whole->secure);
        self::assertFalse(ClassPicture::of(['a'], ['p' => []], [])->at('a', 'p')->isStarted);
    }

    public function test_time_at_work_leaves_long_pauses_out(): void
    {
        self::assertSame(0, DrawingTime::of([]));
        self::assertSame(0, DrawingTime::of([5_000]));
        self::assertSame(25_000, DrawingTime::of([70_000, 1_000, 21_000, 65_000]));
        self::assertSame(0, DrawingTime::of([0, DrawingTime::LONGEST_PAUSE_MS + 1]));
    }

    private static function picture(): ClassPicture
    {
        return ClassPicture::of(
            ['a', 'b', 'c'],
            ['p' => ['moments'], 'q' => ['moments', 'ratio']],
            [
                'a' => [
                    'p' => new StudentResult(Level::Secure, true, true, 60_000),
                    'q' => new StudentResult(Level::NoAttempt, true, false, 30_000),
                ],
                'b' => ['p' => new StudentResult(Level::NotYet, true, false, 10_000)],
            ],
        );
    }

    public function test_who_needs_the_teacher_most_comes_first_and_equals_stay_as_they_sat(): void
    {
        $result = static fn (?Level $level): StudentResult => new StudentResult($level, true, false, 0, null);
        $picture = ClassPicture::of(['a', 'b', 'c', 'd'], ['p' => [], 'q' => []], [
            'a' => ['p' => $result(Level::Secure)],
            'c' => ['p' => $result(Level::NotYet), 'q' => $result(Level::Nearly)],
            'd' => ['p' => $result(Level::Secure), 'q' => $result(null)],
        ]);
        self::assertSame(['c', 'a', 'd', 'b'], $picture->byNeed());
    }
}
