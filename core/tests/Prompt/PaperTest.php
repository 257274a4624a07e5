<?php

declare(strict_types=1);

namespace Crag\Tests\Prompt;

use Crag\Json\UnreadableFields;
use Crag\Prompt\Paper;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class PaperTest extends TestCase
{
    public function test_its_form_comes_back_as_it_was(): void
    {
        foreach ([Paper::wide(), Paper::tall(), Paper::square(), Paper::like(210, 297)] as $paper) {
            self::assertEquals($paper, Paper::from($paper->text()));
        }
    }

    /** @return iterable<string, array{float, float, float}> */
    public static function sheets(): iterable
    {
        yield 'A4 upright' => [210, 297, 210 / 297];
        yield 'A4 flat' => [297, 210, 297 / 210];
        yield 'a slide' => [16, 9, 16 / 9];
        yield 'a strip' => [1000, 30, 2.5];
        yield 'a till receipt' => [30, 1000, 0.4];
        yield 'nothing' => [0, 0, 0.4];
    }

    #[DataProvider('sheets')]
    public function test_a_sheet_keeps_its_proportions_and_all_papers_are_about_as_large(
        float $width,
        float $height,
        float $ratio,
    ): void {
        $paper = Paper::like($width, $height);
        self::assertEqualsWithDelta($ratio, $paper->width / $paper->height, 0.01);
        self::assertEqualsWithDelta(1_600_000, $paper->width * $paper->height, 3_000);
        self::assertLessThanOrEqual(Paper::LONGEST, max($paper->width, $paper->height));
        self::assertEquals($paper, Paper::from($paper->text()), 'and it can be read again');
    }

    public function test_what_no_page_can_be_is_refused(): void
    {
        foreach (['', '1600', '1600x', '100x1000', '1000x2001', '1600x1000 ', '-600x1000', '1e3x1000'] as $text) {
            try {
                Paper::from($text);
                self::fail("“{$text}” was taken.");
            } catch (UnreadableFields) {
                self::addToAssertionCount(1);
            }
        }
    }

    public function test_a_pen_may_leave_the_longest_paper_a_little_and_no_more(): void
    {
        self::assertTrue(Paper::reaches(-2000, 22_000));
        self::assertFalse(Paper::reaches(-2001, 0));
        self::assertFalse(Paper::reaches(0, 22_001));
    }
}
