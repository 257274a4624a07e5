<?php

declare(strict_types=1);

namespace Crag\Tests\Render;

use Crag\Canvas\Log\Operation;
use Crag\Canvas\Scene;
use Crag\Checks\Level;
use Crag\Render\Lines;
use Crag\Render\NoPictures;
use Crag\Render\Pictures;
use Crag\Render\SceneSvg;
use Crag\Render\Sheet;
use Crag\Render\SheetCell;
use Crag\Tests\Canvas\Examples;
use Crag\Tests\Canvas\Logs;
use DOMDocument;
use DOMXPath;
use PHPUnit\Framework\TestCase;

final class SceneSvgTest extends TestCase
{
    public function test_typed_markup_stays_text(): void
    {
        $paths = self::read(Logs::text('t', '<script>alert("1 & 2")</script>'));
        self::assertSame('<script>alert("1 & 2")</script>', $paths->evaluate('string(//s:text)'));
        self::assertSame(0.0, $paths->evaluate('count(//s:script)'));
    }

    public function test_each_line_of_text_stands_below_the_one_before(): void
    {
        $paths = self::read(Logs::text('t', "one\ntwo"));
        self::assertSame(36 * 1.25, $paths->evaluate('number(//s:text[2]/@y) - number(//s:text[1]/@y)'));
    }

    public function test_a_picture_backdrop_shows_its_picture_and_leaves_white_paper_without_one(): void
    {
        $pictures = new class implements Pictures
        {
            public function source(string $asset): string
            {
                return "data:image/png;base64,{$asset}";
            }
        };
        $scene = Scene::fold([
            Logs::operation('b', 'backdrop', ['backdrop' => ['kind' => 'picture', 'asset' => 'QUJD']], null),
        ]);
        self::assertStringContainsString('href="data:image/png;base64,QUJD"', SceneSvg::document($scene, $pictures));
        self::assertStringNotContainsString('<image', SceneSvg::document($scene, new NoPictures()));
    }

    public function test_a_sheet_carries_its_header_and_as_many_filled_bars_as_the_level_says(): void
    {
        $sheet = Sheet::document(
            'Bridges & Beams',
            '2026-11-20',
            new SheetCell('Tamsin', 'Find the moment', Scene::fold([]), '', Level::Nearly),
            new NoPictures(),
        );
        $paths = self::paths($sheet);
        self::assertSame(2.0, $paths->evaluate('count(//s:rect[@rx="1"][@fill="#25323b"])'));
        foreach (['Tamsin', 'Bridges & Beams · 2026-11-20', 'Find the moment', 'Nearly'] as $words) {
            self::assertSame(1.0, $paths->evaluate("count(//s:text[.='{$words}'])"), $words);
        }
    }

    public function test_all_that_was_asked_and_answered_stands_on_the_sheet_with_its_number(): void
    {
        $words = implode(' ', array_map(static fn (int $n): string => "word{$n}", range(1, 250)));
        $cell = new SheetCell(
            'Tamsin',
            'Prompt 1',
            Scene::fold([]),
            note: 'Say why.',
            words: $words,
            answers: ['1. F → 80 N (right)'],
        );
        $paths = self::paths(Sheet::document('Beams', '2026-11-20', $cell, new NoPictures(), 7));
        $texts = static function (DOMXPath $paths): string {
            $all = [];
            foreach ($paths->query('//s:text') ?: [] as $text) {
                $all[] = (string) $text->nodeValue;
            }

            return implode(' ', $all);
        };
        self::assertStringContainsString($words, $texts($paths));
        self::assertStringContainsString('1. F → 80 N (right)', $texts($paths));
        self::assertSame(1.0, $paths->evaluate("count(//s:text[.='7'])"));
        self::assertTrue(
            $paths->evaluate('//s:svg/s:svg/@y + //s:svg/s:svg/@height < 580'),
            'the canvas ends above the note',
        );
        self::assertTrue($paths->evaluate('//s:svg/s:svg/@y > 200'), 'and begins below the words');
        // Each canvas has its whole edge, outside what is cut off.
        $four = self::paths(
            Sheet::several('Beams', '2026-11-20', [$cell, $cell, $cell, $cell], 4, new NoPictures(), 12),
        );
        for ($i = 1; $i <= 4; $i++) {
            self::assertSame(
                1.0,
                $four->evaluate(
                    "count(/s:svg/s:rect[@fill='none'][@x = (//s:svg/s:svg)[{$i}]/@x][@y = (//s:svg/s:svg)[{$i}]/@y][@width = (//s:svg/s:svg)[{$i}]/@width])",
                ),
            );
        }
        self::assertSame(
            [4.0, 1.0],
            [$four->evaluate("count(//s:text[.='1. F → 80 N (right)'])"), $four->evaluate("count(//s:text[.='12'])")],
        );
        self::assertStringContainsString('word60', $texts($four));
    }

    public function test_words_are_broken_into_lines_and_nothing_of_them_is_lost(): void
    {
        self::assertSame([], Lines::of('', 10));
        self::assertSame(['Find the', 'moment', '', 'now'], Lines::of("Find the moment\n\nnow", 10));
        self::assertSame(['abcdefghij', 'klm no'], Lines::of('abcdefghijklm no', 10));
        self::assertSame(['力学的平衡', '問題'], Lines::of('力学的平衡問題', 10));
        self::assertSame(['Find the', 'moment …'], Lines::atMost("Find the moment\nnow", 10, 2));
    }

    public function test_several_stand_on_a_sheet_apart_from_each_other(): void
    {
        $cell = static fn (string $name): SheetCell => new SheetCell(
            $name,
            'Find the moment',
            Scene::fold([]),
            '',
            Level::Secure,
            'Method: complete',
            'Say why.',
        );
        foreach ([2, 4, 6] as $count) {
            $paths = self::paths(
                Sheet::several(
                    'Beams',
                    '2026-11-20',
                    array_map($cell, array_map(static fn (int $i): string => "Student {$i}", range(1, $count))),
                    $count,
                    new NoPictures(),
                ),
            );
            self::assertSame((float) $count, $paths->evaluate('count(//s:svg/s:svg)'));
            self::assertSame((float) $count, $paths->evaluate("count(//s:text[.='Say why.'])"));
            for ($i = 1; $i <= $count; $i++) {
                self::assertSame(
                    1.0,
                    $paths->evaluate(
                        "count(//s:svg/s:svg[@x = (//s:svg/s:svg)[{$i}]/@x and @y = (//s:svg/s:svg)[{$i}]/@y])",
                    ),
                    'each has a place of its own',
                );
                self::assertTrue($paths->evaluate("(//s:svg/s:svg)[{$i}]/@y + (//s:svg/s:svg)[{$i}]/@height <= 595"));
            }
        }
        self::assertSame(
            1.0,
            self::paths(Sheet::several('Beams', '2026-11-20', [$cell('Ada')], 4, new NoPictures()))->evaluate(
                'count(//s:svg/s:svg)',
            ),
            'the last sheet has what is left',
        );
    }

    public function test_every_kind_of_object_is_drawn_well_formed_where_it_was_placed(): void
    {
        $pictures = new class implements Pictures
        {
            public function source(string $asset): string
            {
                return "data:image/png;base64,{$asset}";
            }
        };
        $seen = [];
        foreach (Examples::all() as $kind => $object) {
            $plain = SceneSvg::document(Scene::fold([Logs::object('o', $object)]), $pictures);
            $moved = SceneSvg::document(
                Scene::fold([
                    Logs::object('o', $object),
                    Logs::operation('m', 'arrange', [
                        'targets' => [Logs::id('o')],
                        'places' => [[100, -50, 9000, 20_000]],
                    ]),
                ]),
                $pictures,
            );
            self::assertGreaterThan(strlen(SceneSvg::document(Scene::fold([]), $pictures)), strlen($plain), $kind);
            self::assertSame(
                1.0,
                self::paths($moved)->evaluate('count(//s:g[@transform="matrix(0 2 -2 0 10 -5)"])'),
                $kind,
            );
            $seen[] = $plain;
        }
        self::assertCount(count($seen), array_unique($seen));
    }

    public function test_a_piece_casts_a_shadow_in_one_colour(): void
    {
        foreach (Examples::all() as $kind => $object) {
            if ($kind === 'piece') {
                continue;
            }
            $svg = SceneSvg::document(
                Scene::fold([Logs::object('p', ['of' => $object] + Examples::piece())]),
                new NoPictures(),
            );
            $shadow = self::paths($svg)->query('//s:g[@transform="translate(2.5 3.5)"]//@*');
            self::assertNotFalse($shadow);
            $colours = [];
            foreach ($shadow as $attribute) {
                if (str_starts_with((string) $attribute->nodeValue, '#')) {
                    $colours[] = $attribute->nodeValue;
                }
            }
            self::assertSame(['#b9bdbe'], array_values(array_unique($colours)), $kind);
        }
    }

    public function test_lines_that_read_from_right_to_left_stand_at_the_right(): void
    {
        $paths = self::read(Logs::object('t', ['align' => 'start'] + Examples::text()));
        self::assertSame(80.0, $paths->evaluate('number(//s:text[1]/@x)'));
        self::assertSame(440.0, $paths->evaluate('number(//s:text[2]/@x)'));
        self::assertSame('rtl', $paths->evaluate('string(//s:text[2]/@direction)'));
        self::assertSame('', $paths->evaluate('string(//s:text[2]/@text-anchor)'));
        $paths = self::read(Logs::object('t', ['align' => 'end'] + Examples::text()));
        self::assertSame(
            ['end', 'end'],
            [
                $paths->evaluate('string(//s:text[1]/@text-anchor)'),
                $paths->evaluate('string(//s:text[2]/@text-anchor)'),
            ],
        );
        self::assertSame(
            [440.0, 80.0],
            [$paths->evaluate('number(//s:text[1]/@x)'), $paths->evaluate('number(//s:text[2]/@x)')],
        );
    }

    public function test_only_the_page_that_is_asked_for_is_drawn(): void
    {
        $scene = Scene::fold([
            Logs::operation('p', 'page'),
            Logs::text('a', 'one'),
            Logs::onPage('p', Logs::text('b', 'two')),
        ]);
        self::assertStringNotContainsString('two', SceneSvg::document($scene, new NoPictures()));
        self::assertStringContainsString('two', SceneSvg::document($scene, new NoPictures(), Logs::id('p')));
    }

    private static function svg(Operation ...$log): string
    {
        return SceneSvg::document(Scene::fold($log), new NoPictures());
    }

    private static function read(Operation ...$log): DOMXPath
    {
        return self::paths(self::svg(...$log));
    }

    private static function paths(string $svg): DOMXPath
    {
        $document = new DOMDocument();
        self::assertTrue($document->loadXML($svg));
        $paths = new DOMXPath($document);
        $paths->registerNamespace('s', 'http://www.w3.org/2000/svg');

        return $paths;
    }
}
