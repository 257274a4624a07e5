<?php

declare(strict_types=1);

namespace Crag\Tests\Canvas;

use Crag\Canvas\Log\LateInk;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class LateInkTest extends TestCase
{
    #[TestWith([null, 9_000_000, true])]
    #[TestWith([1_000_000, 1_000_000, true])]
    #[TestWith([1_000_000, 1_600_000, true])]
    #[TestWith([1_000_000, 1_600_001, false])]
    public function test_it_arrives_while_the_session_runs_and_ten_minutes_longer(
        ?int $ended,
        int $now,
        bool $may,
    ): void {
        self::assertSame($may, LateInk::mayArrive($ended, $now));
    }
}
