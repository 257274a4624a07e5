<?php

declare(strict_types=1);

namespace Crag\Tests\Maths;

use Crag\Maths\Steps\Working;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Lines of working, each compared with the one before. */
final class WorkingTest extends TestCase
{
    /** @return iterable<string, array{string, string, string, string}> before, after, whether it follows, why not */
    public static function steps(): iterable
    {
        $cases = <<<'CASES'
            both sides divided|2x = 6|x = 3|Yes|
            both sides divided wrongly|2x = 6|x = 4|No|It holds for another number than the line before.
            a term brought over|x + 3 = 5|x = 5 - 3|Yes|
            a term brought over with its sign|x + 3 = 5|x = 5 + 3|No|It holds for another number than the line before.
            brackets multiplied out|2(x+3) = 10|2x + 6 = 10|Yes|
            brackets multiplied out in part|2(x+3) = 10|2x + 3 = 10|No|It holds for another number than the line before.
            sides changed|x = 3 + y|3 + y = x|Yes|
            an expression on its own way|2(x+3)|= 2x + 6|Yes|
            an expression that is worth something else|2(x+3)|= 2x + 3|No|It isn’t worth the same as the line before.
            another sum below|2 + 3|4 × 5|Unknown|
            the same below, without a sign|2(x+3)|2x + 6|Yes|
            a sum that holds|5|3 × 4 = 12|Unknown|
            a sum that does not hold|5|3 × 4 = 13|No|What stands on both sides of “=” isn’t worth the same.
            a chain|M = 3 × 240|M = 3 × 240 = 720|Unknown|
            a chain with a slip|M = 3 × 240|M = 3 × 240 = 620|No|What stands on both sides of “=” isn’t worth the same.
            a chain that goes on|M = 3 × 240|= 720|Yes|
            a chain that goes on wrongly|M = 3 × 240|= 620|No|It isn’t worth the same as the line before.
            a root with both signs|x² = 4|x = 2 or x = −2|Yes|
            a root with its two signs in one|x² = 4|x = ±2|Yes|
            a root that loses one|x² = 4|x = 2|No|A solution is lost.
            a root that is none|x² = 4|x = 4|No|It holds for another number than the line before.
            squaring|x = √2|x² = 2|Unknown|
            factors|x² - 5x + 6 = 0|(x-2)(x-3) = 0|Yes|
            factors with a wrong sign|x² - 5x + 6 = 0|(x+2)(x+3) = 0|No|It holds for another number than the line before.
            solutions of factors|(x-2)(x-3) = 0|x = 2 or x = 3|Yes|
            one of them alone|(x-2)(x-3) = 0|x = 2|No|A solution is lost.
            with roots in them|x² - 2x - 1 = 0|x = 1 ± √2|Yes|
            divided by the letter|x² = 3x|x = 3|No|A solution is lost.
            no solution|x² + 1 = 0|x = 1|No|It holds for another number than the line before.
            two questions|x = 2|x = 5|Unknown|
            another letter|F = m a|F = 3 × 5|Unknown|
            solved for another letter|F = m a|m a = F|Yes|
            multiplied by a letter|v = s/t|s = v t|Yes|
            an inequality|2x > 6|x > 3|Yes|
            an inequality turned|-2x > 6|x > -3|No|It allows other numbers than the line before.
            an inequality turned as it must be|-2x > 6|x < -3|Yes|
            the end|2x ≥ 6|x > 3|No|Look at whether the end belongs to it.
            a sine|sin x = 1/2|x = 30|Yes|
            a sine in radians|sin x = 1/2|x = π/6|Yes|
            a sine that does not fit|sin x = 1/2|x = 60|No|It doesn’t fit the line before.
            a rounded number|e^x = 5|x = 1.609|Unknown|
            a power|2^x = 8|x = 3|Yes|
            a power that does not fit|2^x = 8|x = 4|No|It doesn’t fit the line before.
            a fraction with the letter below|6/x = 2|x = 3|Yes|
            a fraction that does not fit|6/x = 2|x = 12|No|It doesn’t fit the line before.
            words|take moments|M = 720|Unknown|
            words after|M = 720|so it balances|Unknown|
            a little word before|2x = 6|so x = 3|Yes|
            a number before|2x = 6|2) x = 4|No|It holds for another number than the line before.
            what always holds|2x = 2x|x = 1|Unknown|
            CASES;
        foreach (explode("\n", $cases) as $line) {
            [$why, $before, $after, $follows, $said] = explode('|', $line);
            yield $why => [$before, $after, $follows, $said];
        }
    }

    #[DataProvider('steps')]
    public function test_a_step_is_compared_with_the_line_before(
        string $before,
        string $after,
        string $follows,
        string $said,
    ): void {
        $step = Working::step($before, $after);
        self::assertSame([$follows, $said], [$step->follows->name, $step->why]);
    }

    public function test_the_first_slip_is_pointed_at(): void
    {
        self::assertSame(
            ['before' => '2x + 6 = 10', 'after' => '2x = 16', 'at' => 2],
            array_diff_key(Working::firstSlip(['2(x+3) = 10', '2x + 6 = 10', '2x = 16', 'x = 4']) ?? [], ['why' => 0]),
        );
        self::assertSame(0, Working::firstSlip(['3 × 4 = 13', '= 13'])['at'] ?? null);
        self::assertNull(Working::firstSlip(['2(x+3) = 10', 'divide by two', 'x + 3 = 5', 'x = 2']));
        self::assertNull(Working::firstSlip([]));
    }
}
