<?php

declare(strict_types=1);

namespace Crag\Tests\Checks;

use Crag\Checks\ClassPicture;
use Crag\Checks\Level;
use Crag\Checks\OverTime;
use Crag\Checks\StudentResult;
use PHPUnit\Framework\TestCase;

final class OverTimeTest extends TestCase
{
    public function test_a_skill_is_followed_through_sessions_whoever_sat_where(): void
    {
        $first = ClassPicture::of(
            ['s1', 's2'],
            ['p' => ['moments']],
            ['s1' => ['p' => new StudentResult(Level::NotYet)], 's2' => ['p' => new StudentResult(Level::Secure)]],
        );
        $second = ClassPicture::of(
            ['t1', 't2'],
            ['q' => ['moments', 'units']],
            ['t1' => ['q' => new StudentResult(Level::Secure)]],
        );
        $time = OverTime::of([
            'one' => ['picture' => $first, 'students' => ['s1' => 'ada', 's2' => 'bo']],
            'two' => ['picture' => $second, 'students' => ['t1' => 'ada']],
        ]);
        self::assertSame(['one', 'two'], $time->sessions);
        self::assertSame(['moments', 'units'], array_keys($time->skills));
        self::assertEqualsWithDelta(['one' => 2 / 3, 'two' => 1.0], $time->skills['moments'], 1e-9);
        self::assertEqualsWithDelta(2 / 3, $time->change('moments', 'ada'), 1e-9);
        self::assertNull($time->change('moments', 'bo'), 'once is no change');
        self::assertNull($time->change('units', 'nobody'));
        self::assertSame([], OverTime::of([])->skills);
    }
}
