<?php

declare(strict_types=1);

namespace Crag\Tests\Session;

use Crag\Session\Life\Rounds;
use PHPUnit\Framework\TestCase;

final class RoundsTest extends TestCase
{
    private const HOUR = 3_600_000;

    public function test_rounds_that_follow_each_other_hold_nothing_back(): void
    {
        $rounds = Rounds::first(0);
        for ($now = 0; $now < 10 * self::HOUR; $now += 20_000) {
            $rounds = $rounds->at($now);
        }
        self::assertNull($rounds->aliveFromMs);
        self::assertTrue($rounds->mayForget($now));
    }

    public function test_after_a_night_without_power_sessions_live_on_for_a_while_and_forgetting_goes_on(): void
    {
        $rounds = Rounds::first(0)->at(14 * self::HOUR);
        self::assertSame(14 * self::HOUR, $rounds->aliveFromMs);
        self::assertTrue($rounds->mayForget(14 * self::HOUR));
    }

    public function test_a_jump_by_days_holds_forgetting_back_for_hours_and_no_longer(): void
    {
        $before = Rounds::first(0)->at(20_000);
        $now = 30 * 24 * self::HOUR;
        $after = $before->at($now);
        self::assertTrue($after->hasJumped($before));
        self::assertSame($now, $after->aliveFromMs);
        self::assertFalse($after->mayForget($now));
        $later = $after->at($now + 20_000);
        self::assertFalse($later->hasJumped($after));
        self::assertFalse($later->mayForget($now + 6 * self::HOUR - 1));
        self::assertTrue($later->mayForget($now + 6 * self::HOUR));
    }

    public function test_a_clock_that_is_put_right_again_is_followed(): void
    {
        $ahead = Rounds::first(0)->at(365 * 24 * self::HOUR);
        $right = $ahead->at(2 * self::HOUR);
        self::assertSame(2 * self::HOUR, $right->lastMs);
        self::assertFalse($right->mayForget(2 * self::HOUR));
        self::assertTrue($right->mayForget(9 * self::HOUR));
    }

    public function test_it_is_kept_and_read_again(): void
    {
        $rounds = Rounds::first(5)->at(40 * 24 * self::HOUR);
        self::assertEquals($rounds, Rounds::read($rounds->toArray(), 7));
        self::assertEquals(Rounds::first(7), Rounds::read([], 7));
        self::assertEquals(Rounds::first(7), Rounds::read(['last' => 'x'], 7));
    }
}
