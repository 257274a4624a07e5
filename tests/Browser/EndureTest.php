<?php

declare(strict_types=1);

namespace Tests\Browser;

use Deploy\Bench\BenchFaults;
use PHPUnit\Framework\TestCase;

/** A short run of the fault injector; `./crag bench faults` is the long one. */
final class EndureTest extends TestCase
{
    public function test_a_drawing_class_under_faults_of_every_kind_loses_nothing(): void
    {
        $found = (new BenchFaults(14, 10, 3))->measure();
        self::assertSame(14, $found['faults']);
        self::assertNotContains(0, (array) $found['kinds'], 'each kind at least once');
        self::assertGreaterThan(50, $found['acknowledged']);
        self::assertSame(
            [0, 0, 0, 0],
            [$found['lost'], $found['twice'], $found['disagreements'], $found['never_answered']],
            (string) json_encode($found),
        );
        self::assertSame(['tiles' => 10, 'differ' => 0], $found['desk']);
    }
}
