<?php

declare(strict_types=1);

namespace Crag\Tests\Render;

use Crag\Render\AskBlock;
use Crag\Render\AskSheet;
use PHPUnit\Framework\TestCase;

final class AskSheetTest extends TestCase
{
    public function test_bars_are_as_long_as_their_counts(): void
    {
        $block = new AskBlock('Quick ask 1', 'Which <way>?', [['up', 10.0, '10'], ['down', 5.0, '5 right']], ['Right: down']);
        $sheets = AskSheet::documents('Beams', '2026-11-29', [$block], 7);
        self::assertCount(1, $sheets);
        $svg = simplexml_load_string($sheets[0]);
        self::assertNotFalse($svg);
        $svg->registerXPathNamespace('s', 'http://www.w3.org/2000/svg');
        $widths = array_map(
            static fn ($one): float => (float) $one['width'],
            $svg->xpath('//s:rect[@fill="#2c6e8f"]') ?: [],
        );
        self::assertSame([360.0, 180.0], $widths);
        foreach (['Which &lt;way&gt;?', '5 right', 'Right: down', '>7</'] as $there) {
            self::assertStringContainsString($there, $sheets[0]);
        }
    }

    public function test_what_does_not_fit_goes_on_on_the_next_sheet_and_nothing_is_no_sheet(): void
    {
        $blocks = array_map(
            static fn (int $n): AskBlock => new AskBlock("Quick ask {$n}", 'Why?', [['a', 1.0, '1'], ['b', 0.0, '0']]),
            range(1, 12),
        );
        $sheets = AskSheet::documents('', '', $blocks);
        self::assertGreaterThan(1, count($sheets));
        $all = implode('', $sheets);
        foreach (range(1, 12) as $n) {
            self::assertSame(1, substr_count($all, ">Quick ask {$n}<"));
        }
        self::assertSame([], AskSheet::documents('', '', []));
    }
}
