<?php

declare(strict_types=1);

namespace Tests\Browser;

use Deploy\Bench\BenchDistrictFaults;
use PHPUnit\Framework\TestCase;

/** Two nodes behind a front, with PostgreSQL and Redis: a short run of what `./crag bench district-faults` does. */
final class DistrictTest extends TestCase
{
    public function test_whatever_breaks_among_several_machines_loses_no_stroke_and_keeps_none_twice(): void
    {
        $found = (new BenchDistrictFaults(2, 13, 4, 7))->measure();
        self::assertSame(13, $found['faults']);
        self::assertNotContains(0, $found['kinds'], 'each kind came');
        self::assertGreaterThan(20, $found['acknowledged']);
        foreach (['lost', 'twice', 'disagreements', 'never_answered'] as $what) {
            self::assertSame(0, $found[$what], $what);
        }
    }
}
