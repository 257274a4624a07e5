<?php

declare(strict_types=1);

namespace Crag\Tests\Checks;

use Crag\Checks\ChangedSince;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class ChangedSinceTest extends TestCase
{
    #[TestWith([0, 10, false, false])]
    #[TestWith([2, 10, false, false])]
    #[TestWith([3, 10, false, true])]
    #[TestWith([3, 0, false, true])]
    #[TestWith([3, 100, false, false])]
    #[TestWith([19, 100, false, false])]
    #[TestWith([20, 100, false, true])]
    #[TestWith([1, 100, true, true])]
    public function test_much_is_an_answer_or_a_good_part(int $steps, int $before, bool $answered, bool $is): void
    {
        self::assertSame($is, ChangedSince::isMuch($steps, $before, $answered));
    }
}
