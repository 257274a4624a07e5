<?php

declare(strict_types=1);

namespace Crag\Tests\Prompt;

use Crag\Plan\InvalidPages;
use Crag\Plan\PageChoice;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class PageChoiceTest extends TestCase
{
    public function test_pages_and_ranges_are_read_in_order_each_once(): void
    {
        self::assertSame([1, 2, 3, 9, 5], PageChoice::read(' 1-3, 9, 2 – 2,5', 9, 60)->pages);
        self::assertSame([1, 2, 3, 4], PageChoice::read('All', 4, 60)->pages);
    }

    /** @return iterable<array{string, string}> */
    public static function mistakes(): iterable
    {
        yield ['', 'at least one'];
        yield ['two', '“two” isn’t a page'];
        yield ['5-2', '“5-2” isn’t a page'];
        yield ['0', 'no page 0'];
        yield ['3-10', 'no page 10: the file has 9'];
        yield ['all', 'You chose 9 pages: up to 8'];
    }

    #[DataProvider('mistakes')]
    public function test_a_mistake_is_said(string $typed, string $sentence): void
    {
        $this->expectException(InvalidPages::class);
        $this->expectExceptionMessage($sentence);
        PageChoice::read($typed, 9, 8);
    }
}
