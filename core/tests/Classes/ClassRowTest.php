<?php

declare(strict_types=1);

namespace Crag\Tests\Classes;

use Crag\Classes\ClassRow;
use Crag\Classes\FreeSeats;
use Crag\Session\Door\InvalidName;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class ClassRowTest extends TestCase
{
    public function test_digits_of_any_script_are_a_seat_and_a_pin(): void
    {
        $row = ClassRow::read('٧', '  نور ', 'Oak', '１２３４');
        self::assertSame([7, 'نور', 'Oak', '1234'], [$row->n, $row->name, $row->group, $row->pin]);
    }

    #[TestWith(['0', 'Ada', '', 'seat number is from 1 to 999'])]
    #[TestWith(['1000', 'Ada', '', 'seat number is from 1 to 999'])]
    #[TestWith(['seven', 'Ada', '', 'seat number is from 1 to 999'])]
    #[TestWith(['7', 'Ada', '123', 'four to six digits'])]
    #[TestWith(['7', 'Ada', '1234567', 'four to six digits'])]
    #[TestWith(['7', '   ', '', 'type a name'])]
    public function test_what_is_wrong_with_a_row_is_said(string $n, string $name, string $pin, string $said): void
    {
        $this->expectException(InvalidName::class);
        $this->expectExceptionMessage($said);
        ClassRow::read($n, $name, '', $pin);
    }

    /** @return iterable<string, array{array<string, int>, array<string, int>, list<string>}> wanted, now, refused */
    public static function moves(): iterable
    {
        $now = ['ada' => 1, 'ivo' => 2, 'mei' => 3];
        yield 'nobody moves' => [[], $now, []];
        yield 'into an empty seat' => [['ada' => 9], $now, []];
        yield 'two change places' => [['ada' => 2, 'ivo' => 1], $now, []];
        yield 'three in a circle' => [['ada' => 2, 'ivo' => 3, 'mei' => 1], $now, []];
        yield 'where somebody stays' => [['ada' => 2], $now, ['ada']];
        yield 'two into one' => [['ada' => 9, 'ivo' => 9], $now, ['ada', 'ivo']];
        yield 'one who stays after all is in the way of another' => [['ada' => 2, 'ivo' => 3], $now, ['ivo', 'ada']];
        yield 'a seat that was given up' => [['ada' => 2], ['ada' => 1, 'mei' => 3], []];
        yield 'only a name changes' => [['ada' => 1], $now, []];
    }

    /**
     * @param  array<string, int>  $wanted
     * @param  array<string, int>  $now
     * @param  list<string>  $refused
     */
    #[DataProvider('moves')]
    public function test_whoever_stays_keeps_the_seat(array $wanted, array $now, array $refused): void
    {
        $rows = array_map(static fn (int $n): ClassRow => ClassRow::read((string) $n, 'Ada', '', ''), $wanted);
        self::assertSame($refused, ClassRow::inTheWay($rows, $now));
    }

    public function test_a_seat_that_is_taken_is_another_ones(): void
    {
        $seats = FreeSeats::besides([1, 3]);
        self::assertSame([5, 2, 4, 6], [$seats->take(5), $seats->take(1), $seats->take(3), $seats->take(5)]);
        self::assertSame(6, $seats->count());
    }
}
