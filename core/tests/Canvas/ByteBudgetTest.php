<?php

declare(strict_types=1);

namespace Crag\Tests\Canvas;

use Crag\Canvas\Log\ByteBudget;
use Crag\Canvas\Log\RefusedOperation;
use Crag\Canvas\Log\StoredBytes;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class ByteBudgetTest extends TestCase
{
    #[DataProvider('full')]
    public function test_what_fits_is_taken_and_one_byte_more_is_refused_with_its_reason(
        int $canvas,
        ?int $seat,
        ?int $session,
        int $fits,
        string $reason,
    ): void {
        $stored = static fn (?int $bytes): ?StoredBytes => $bytes === null ? null : new StoredBytes($bytes);
        $budget = new ByteBudget(new StoredBytes($canvas), $stored($seat), $stored($session));
        try {
            $budget->take($fits + 1);
            self::fail('One byte more was taken.');
        } catch (RefusedOperation $problem) {
            self::assertStringContainsString($reason, $problem->getMessage());
        }
        self::assertSame([$canvas, $session], [$budget->ofCanvas(), $budget->ofSession()], 'a refusal takes nothing');
        $budget->take($fits);
        self::assertSame(
            [$canvas + $fits, $session === null ? null : $session + $fits],
            [$budget->ofCanvas(), $budget->ofSession()],
        );
    }

    public function test_two_canvases_of_one_student_share_the_room_that_the_student_has(): void
    {
        $seat = new StoredBytes(ByteBudget::SEAT - 10);
        $session = new StoredBytes(0);
        (new ByteBudget(new StoredBytes(0), $seat, $session))->take(6);
        self::assertSame([ByteBudget::SEAT - 4, 6], [$seat->bytes, $session->bytes]);
        $this->expectException(RefusedOperation::class);
        (new ByteBudget(new StoredBytes(0), $seat, $session))->take(5);
    }

    /** @return iterable<string, array{int, ?int, ?int, int, string}> */
    public static function full(): iterable
    {
        yield 'an operation' => [0, 0, 0, ByteBudget::OPERATION, '2 MB'];
        yield 'a canvas' => [ByteBudget::CANVAS - 10, 0, 0, 10, 'page is full'];
        yield 'a seat' => [0, ByteBudget::SEAT - 10, 0, 10, 'this session'];
        yield 'a session' => [0, 0, ByteBudget::SESSION - 10, 10, 'session is full'];
        yield 'a plan, where only the canvas counts' => [ByteBudget::CANVAS - 10, null, null, 10, 'page is full'];
    }
}
