<?php

declare(strict_types=1);

namespace Crag\Tests\Watch;

use Crag\Watch\Colleague;
use Crag\Watch\SentWork;
use PHPUnit\Framework\TestCase;

final class WaitingTest extends TestCase
{
    public function test_sent_work_waits_until_it_is_checked_or_looked_at_as_it_is_now(): void
    {
        self::assertTrue(SentWork::waits(5, false, 0, 12));
        self::assertTrue(SentWork::waits(5, false, 11, 12), 'it went on after it was looked at');
        self::assertFalse(SentWork::waits(5, false, 12, 12));
        self::assertFalse(SentWork::waits(5, true, 0, 12));
        self::assertFalse(SentWork::waits(null, false, 0, 12));
    }

    public function test_a_colleague_is_there_for_a_minute_after_the_last_word(): void
    {
        self::assertTrue(Colleague::isThere(100_000, 160_000));
        self::assertFalse(Colleague::isThere(100_000, 160_001));
    }
}
