<?php

declare(strict_types=1);

namespace Crag\Tests\Session;

use Crag\Session\CanvasState;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class CanvasStateTest extends TestCase
{
    #[TestWith([null, true, CanvasState::NotStarted])]
    #[TestWith([null, false, CanvasState::Away])]
    #[TestWith([0, true, CanvasState::Drawing])]
    #[TestWith([10_000, true, CanvasState::Drawing])]
    #[TestWith([10_001, true, CanvasState::Quiet])]
    #[TestWith([-500, true, CanvasState::Drawing])]
    #[TestWith([0, false, CanvasState::Away])]
    public function test_the_state_follows_from_the_last_stroke(?int $ago, bool $here, CanvasState $state): void
    {
        $now = 5_000_000;
        self::assertSame($state, CanvasState::of($ago === null ? null : $now - $ago, $now, $here));
    }

    #[TestWith([0, 0])]
    #[TestWith([59_999, 0])]
    #[TestWith([60_000, 1])]
    #[TestWith([185_000, 3])]
    #[TestWith([-9_000, 0])]
    public function test_quiet_is_counted_in_whole_minutes(int $ago, int $minutes): void
    {
        self::assertSame($minutes, CanvasState::quietMinutes(1_000_000 - $ago, 1_000_000));
    }
}
