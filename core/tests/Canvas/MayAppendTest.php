<?php

declare(strict_types=1);

namespace Crag\Tests\Canvas;

use Crag\Canvas\Author;
use Crag\Canvas\Known;
use Crag\Canvas\MayAppend;
use Crag\Canvas\Operation;
use Crag\Canvas\RefusedOperation;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\DoesNotPerformAssertions;
use PHPUnit\Framework\TestCase;

final class MayAppendTest extends TestCase
{
    #[DataProvider('refused')]
    public function test_it_refuses_with_the_reason(Operation $operation, string $reason): void
    {
        $this->expectException(RefusedOperation::class);
        $this->expectExceptionMessage($reason);
        self::rule()->check($operation);
    }

    /** @return iterable<string, array{Operation, string}> */
    public static function refused(): iterable
    {
        $lead = Logs::stroke('n', 0, null);
        yield 'a student on the lead layer' => [
            Operation::read($lead->toArray(), Author::seat(Logs::SEAT)), 'lead layer',
        ];
        yield 'a teacher on the student layer' => [
            Operation::read(Logs::stroke('n')->toArray(), Author::teacher()), 'student layer',
        ];
        yield 'a student handing out' => [
            Logs::operation('n', 'backdrop', ['backdrop' => ['kind' => 'lined']]), 'Only the teacher',
        ];
        yield 'erasing what is not there' => [Logs::remove('n', 'ghost'), 'nothing called'];
        yield 'erasing what another wrote' => [Logs::remove('n', 'theirs'), 'somebody else'];
        yield 'erasing half of it from another' => [Logs::remove('n', 'stroke', 'theirs'), 'somebody else'];
        yield 'erasing the teacher\'s' => [Logs::remove('n', 'lead'), 'somebody else'];
        yield 'erasing an eraser' => [Logs::remove('n', 'rub'), 'cannot be the target'];
        yield 'retyping a stroke' => [Logs::retype('n', 'stroke', 'x'), 'cannot be the target'];
        yield 'undoing an undo' => [Logs::undo('n', 'undo'), 'cannot be the target'];
        yield 'undoing another\'s' => [Logs::undo('n', 'theirs'), 'somebody else'];
    }

    #[DataProvider('accepted'), DoesNotPerformAssertions]
    public function test_it_lets_a_student_do_what_is_theirs(Operation $operation): void
    {
        self::rule()->check($operation);
    }

    /** @return iterable<string, array{Operation}> */
    public static function accepted(): iterable
    {
        yield 'draw' => [Logs::stroke('n')];
        yield 'erase' => [Logs::remove('n', 'stroke', 'words')];
        yield 'retype' => [Logs::retype('n', 'words', 'x')];
        yield 'undo a rub' => [Logs::undo('n', 'rub')];
        yield 'redo' => [Logs::redo('n', 'stroke')];
        yield 'empty' => [Logs::operation('n', 'clear')];
        yield 'hand out, as the teacher' => [Logs::operation('n', 'backdrop', ['backdrop' => ['kind' => 'lined']], null)];
    }

    public function test_a_full_canvas_takes_no_more(): void
    {
        $this->expectException(RefusedOperation::class);
        (new MayAppend(MayAppend::MOST_OPERATIONS, []))->check(Logs::stroke('n'));
    }

    private static function rule(): MayAppend
    {
        $log = [
            Logs::stroke('stroke'), Logs::text('words', 'x'), Logs::stroke('theirs', 0, 'seat-two'),
            Logs::stroke('lead', 0, null), Logs::remove('rub', 'stroke'), Logs::undo('undo', 'rub'),
        ];
        $known = [];
        foreach ($log as $operation) {
            $known[$operation->id->value] = Known::of($operation);
        }

        return new MayAppend(count($log), $known);
    }
}
