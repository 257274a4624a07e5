<?php

declare(strict_types=1);

namespace Crag\Tests\Groups;

use Crag\Groups\Basis;
use Crag\Groups\Group;
use Crag\Groups\Grouping;
use Crag\Groups\InvalidWish;
use Crag\Groups\Student;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

final class GroupingTest extends TestCase
{
    public function test_those_with_a_like_need_come_together_least_secure_first(): void
    {
        $groups = Grouping::of(
            self::students(['a' => 1.0, 'b' => 0.0, 'c' => 0.9, 'd' => 0.2, 'e' => null, 'f' => 0.5]),
            2,
            Basis::Alike,
        );
        self::assertSame([['b', 'e'], ['d', 'f'], ['a', 'c']], self::ids($groups));
        self::assertSame(
            ['Not yet secure in most of what was checked; :n not checked yet', ['n' => 1]],
            [$groups[0]->sentence, $groups[0]->values],
            'nothing is said of those without a check',
        );
        self::assertSame('Secure in most of what was checked', $groups[2]->sentence);
    }

    public function test_mixed_groups_have_some_of_all(): void
    {
        $groups = Grouping::of(self::students(['a' => 0.0, 'b' => 0.1, 'c' => 0.9, 'd' => 1.0]), 2, Basis::Mixed);
        self::assertSame([['a', 'd'], ['b', 'c']], self::ids($groups));
        self::assertSame(['least' => 0, 'most' => 100], $groups[0]->values);
    }

    public function test_the_same_slip_comes_together_and_one_that_nobody_shares_groups_nobody(): void
    {
        $students = [
            new Student('a', 1, 1.0),
            new Student('b', 2, 0.5, '24 N m'),
            new Student('c', 3, 0.4, '9 N m'),
            new Student('d', 4, 0.1, '24 N m'),
            new Student('e', 5, 0.9),
            new Student('f', 6, 0.2, '24 N m'),
        ];
        $groups = Grouping::of($students, 3, Basis::Slip);
        self::assertSame([['b', 'd', 'f'], ['a', 'c', 'e']], self::ids($groups));
        self::assertSame(
            [':n answered :slip', ['n' => 3, 'slip' => '24 N m']],
            [$groups[0]->sentence, $groups[0]->values],
        );
    }

    public function test_a_draw_heeds_the_seed_alone_and_every_wish(): void
    {
        $students = self::students(array_fill_keys(range('a', 'l'), 0.5));
        $draw = static fn (int $seed): array => self::ids(
            Grouping::of($students, 3, Basis::Random, [['a', 'b']], [['c', 'd']], $seed),
        );
        self::assertSame($draw(7), $draw(7));
        $draws = array_map($draw, range(1, 20));
        self::assertGreaterThan(15, count(array_unique($draws, SORT_REGULAR)));
        foreach ($draws as $groups) {
            self::assertCount(12, array_merge(...$groups));
            foreach ($groups as $group) {
                self::assertSame(in_array('a', $group, true), in_array('b', $group, true));
                self::assertFalse(in_array('c', $group, true) && in_array('d', $group, true));
            }
        }
    }

    public function test_sizes_differ_by_one_at_most(): void
    {
        foreach ([[7, 3], [10, 4], [25, 4], [1, 5], [13, 12]] as [$count, $size]) {
            foreach ([Basis::Alike, Basis::Mixed] as $way) {
                $sizes = array_map('count', self::ids(Grouping::of(self::many($count), $size, $way)));
                self::assertSame($count, array_sum($sizes));
                sort($sizes);
                self::assertLessThanOrEqual($size, $sizes[count($sizes) - 1]);
                self::assertLessThanOrEqual(
                    1,
                    $sizes[count($sizes) - 1] - $sizes[0],
                    "{$count} by {$size}, {$way->value}",
                );
            }
        }
    }

    public function test_wishes_come_true_and_everybody_is_there_once_and_it_is_the_same_again(): void
    {
        $random = new Randomizer(new Mt19937(7));
        for ($round = 0; $round < 60; $round++) {
            $students = self::many($random->getInt(8, 30), $random);
            $ids = array_column($students, 'id');
            $size = $random->getInt(3, 6);
            $together = [[$ids[0], $ids[3]]];
            $apart = [[$ids[1], $ids[2]], [$ids[1], $ids[4]], [$ids[0], $ids[5]]];
            $way = Basis::cases()[$round % 3];
            $groups = self::ids(Grouping::of($students, $size, $way, $together, $apart));
            self::assertEqualsCanonicalizing($ids, array_merge(...$groups));
            $of = [];
            foreach ($groups as $g => $group) {
                self::assertLessThanOrEqual($size, count($group));
                $of += array_fill_keys($group, $g);
            }
            foreach ($apart as [$one, $other]) {
                self::assertNotSame($of[$one], $of[$other]);
            }
            self::assertSame($groups, self::ids(Grouping::of($students, $size, $way, $together, $apart)));
        }
    }

    public function test_those_who_are_absent_are_left_out_of_wishes_too(): void
    {
        self::assertSame(
            [['a', 'b']],
            self::ids(
                Grouping::of(
                    self::students(['a' => 1.0, 'b' => 0.0]),
                    2,
                    Basis::Alike,
                    [['a', 'gone']],
                    [['gone', 'b']],
                ),
            ),
        );
        self::assertSame([], Grouping::of([], 3, Basis::Alike));
    }

    /** @return iterable<array{list<list<string>>, list<array{string, string}>, int}> */
    public static function impossible(): iterable
    {
        yield 'together and apart' => [[['a', 'b']], [['a', 'b']], 2];
        yield 'together by a third' => [[['a', 'b'], ['b', 'c']], [['a', 'c']], 3];
        yield 'too many together' => [[['a', 'b', 'c']], [], 2];
        yield 'one group alone' => [[], [['a', 'b']], 6];
        yield 'a group of one' => [[], [], 1];
    }

    /**
     * @param  list<list<string>>  $together
     * @param  list<array{string, string}>  $apart
     */
    #[DataProvider('impossible')]
    public function test_wishes_that_cannot_come_true_are_told(array $together, array $apart, int $size): void
    {
        $this->expectException(InvalidWish::class);
        Grouping::of(self::students(['a' => 1.0, 'b' => 0.5, 'c' => 0.0]), $size, Basis::Alike, $together, $apart);
    }

    /**
     * @param  array<string, ?float>  $secure
     * @return list<Student>
     */
    private static function students(array $secure): array
    {
        $students = [];
        foreach ($secure as $id => $share) {
            $students[] = new Student($id, count($students) + 1, $share);
        }

        return $students;
    }

    /** @return list<Student> */
    private static function many(int $count, ?Randomizer $random = null): array
    {
        return array_map(
            static fn (int $n): Student => new Student(
                "s{$n}",
                $n,
                $n % 5 === 0 ? null : (($n * 37) % 100) / 100,
                $random !== null && $random->getInt(0, 3) === 0 ? 'slip '.$random->getInt(0, 2) : '',
            ),
            range(1, $count),
        );
    }

    /**
     * @param  list<Group>  $groups
     * @return list<list<string>>
     */
    private static function ids(array $groups): array
    {
        return array_map(static fn (Group $group): array => $group->students, $groups);
    }
}
