<?php

declare(strict_types=1);

namespace Crag\Tests\Canvas;

use Crag\Canvas\Log\Author;
use Crag\Canvas\Log\History;
use Crag\Canvas\Log\Layer;
use Crag\Canvas\Log\Operation;
use PHPUnit\Framework\TestCase;

final class HistoryTest extends TestCase
{
    public function test_undo_takes_the_latest_and_then_the_one_before(): void
    {
        self::assertNext('b', null, Logs::stroke('a'), Logs::stroke('b'));
        self::assertNext('a', 'b', Logs::stroke('a'), Logs::stroke('b'), Logs::undo('u', 'b'));
        self::assertNext(null, 'a', Logs::stroke('a'), Logs::stroke('b'), Logs::undo('u', 'b'), Logs::undo('v', 'a'));
    }

    public function test_redo_gives_back_what_was_undone_last(): void
    {
        self::assertNext('b', null, Logs::stroke('a'), Logs::stroke('b'), Logs::undo('u', 'b'), Logs::redo('v', 'b'));
    }

    public function test_something_new_forgets_what_could_be_redone(): void
    {
        self::assertNext('c', null, Logs::stroke('a'), Logs::stroke('b'), Logs::undo('u', 'b'), Logs::stroke('c'));
    }

    public function test_nobody_undoes_what_somebody_else_made(): void
    {
        self::assertNext(
            'a',
            null,
            Logs::stroke('a'),
            Logs::stroke('other', 0, 'seat-two'),
            Logs::stroke('t', 0, null),
        );
    }

    public function test_a_hand_out_is_not_undone_by_a_student(): void
    {
        $handOut = Logs::operation('h', 'backdrop', ['backdrop' => ['kind' => 'lined']], null);
        self::assertNext('a', null, Logs::stroke('a'), $handOut);
    }

    public function test_what_giving_back_put_away_is_no_longer_the_students_to_undo_or_redo(): void
    {
        $log = [
            Logs::stroke('a'),
            Logs::stroke('b'),
            Logs::stroke('c'),
            Logs::undo('u', 'c'),
            Logs::giveBack('g', 'a'),
        ];
        self::assertNext('a', null, ...$log);
        self::assertNext('d', null, ...$log, ...[Logs::stroke('d')]);
        self::assertNext('b', 'c', ...$log, ...[Logs::undo('v', 'g', null)]);
    }

    private static function assertNext(?string $undo, ?string $redo, Operation ...$log): void
    {
        $history = History::of($log, Author::seat(Logs::SEAT), Layer::Student);
        self::assertSame($undo === null ? null : Logs::id($undo), $history->undo());
        self::assertSame($redo === null ? null : Logs::id($redo), $history->redo());
    }
}
