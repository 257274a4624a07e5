<?php

declare(strict_types=1);

namespace Crag\Tests\Formats;

use Crag\Canvas\Object\Stroke;
use Crag\Canvas\Scene;
use Crag\Formats\InkMl;
use Crag\Formats\UnreadableFile;
use Crag\Tests\Canvas\Examples;
use Crag\Tests\Canvas\Logs;
use DOMDocument;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class InkMlTest extends TestCase
{
    public function test_strokes_come_back_as_they_were_written(): void
    {
        $scene = Scene::fold([
            Logs::stroke('a'),
            Logs::object('h', Examples::all()['highlight']),
            Logs::text('t', 'not ink'),
            Logs::operation('p', 'page'),
            Logs::onPage('p', Logs::object('b', Examples::stroke())),
        ]);
        $xml = InkMl::write($scene);
        self::assertTrue((new DOMDocument())->loadXML($xml));
        $expected = [];
        foreach ($scene->placed as $placed) {
            if ($placed->object instanceof Stroke) {
                $expected[] = $placed->object->toArray();
            }
        }
        self::assertCount(3, $expected);
        self::assertSame(
            $expected,
            array_map(static fn (Stroke $stroke): array => $stroke->toArray(), InkMl::read($xml)),
        );
    }

    public function test_a_stroke_that_was_moved_is_written_where_it_stands(): void
    {
        $scene = Scene::fold([
            Logs::stroke('a', 1000),
            Logs::operation('m', 'arrange', ['targets' => [Logs::id('a')], 'places' => [[500, -100, 0, 20_000]]]),
        ]);
        [$stroke] = InkMl::read(InkMl::write($scene));
        self::assertSame([[2500, 1900, 128, 0], [2700, 2300, 128, 16]], $stroke->ink->samples());
        self::assertSame(80, $stroke->width);
    }

    public function test_differences_are_added_up_as_the_recommendation_says(): void
    {
        // 1125 18432, then first differences, then second differences: the example of section 3.2.1 in shape.
        [$stroke] = InkMl::read(self::file("<trace>1000 2000,'20'40,\"5\"-10,1 2</trace>"));
        self::assertSame(
            [[1000, 2000], [1020, 2040], [1045, 2070], [1071, 2102]],
            array_map(static fn (array $s): array => [$s[0], $s[1]], $stroke->ink->samples()),
        );
    }

    public function test_a_brush_is_found_by_its_name_however_many_there_are(): void
    {
        $brushes = implode(
            '',
            array_map(
                static fn (int $n): string => sprintf(
                    '<brush xml:id="b%d"><brushProperty name="color" value="#%06x"/></brush>',
                    $n,
                    $n,
                ),
                range(1, 3000),
            ),
        );
        $traces = implode(
            '',
            array_map(static fn (int $n): string => "<trace brushRef=\"#b{$n}\">1 2, 3 4</trace>", range(2501, 3000)),
        );
        $strokes = InkMl::read("<ink>{$brushes}{$traces}</ink>");
        self::assertCount(500, $strokes);
        self::assertSame(sprintf('#%06x', 3000), $strokes[499]->colour->hex);
    }

    public function test_more_than_a_canvas_takes_at_once_is_refused_before_it_is_read(): void
    {
        $this->expectExceptionMessage('500 objects');
        InkMl::read(
            '<ink>'.
                str_repeat('<brush xml:id="a"/>', 20_000).
                str_repeat('<trace brushRef="#a">1 2, 3 4</trace>', 20_000).
                '</ink>',
        );
    }

    public function test_more_points_than_a_page_can_show_are_refused(): void
    {
        $this->expectExceptionMessage('400000 points');
        InkMl::read('<ink>'.str_repeat('<trace>'.str_repeat('1 2,', 90_000).'</trace>', 5).'</ink>');
    }

    public function test_ink_without_a_resolution_is_fitted_onto_the_page(): void
    {
        [$stroke] = InkMl::read(
            '<ink xmlns="http://www.w3.org/2003/InkML"><trace>10 0, 9 14, 8 28, 7 42</trace></ink>',
        );
        self::assertSame([500, 3500, 6500, 9500], array_column($stroke->ink->samples(), 1));
        self::assertSame([1143, 929, 714, 500], array_column($stroke->ink->samples(), 0));
    }

    #[DataProvider('unreadable')]
    public function test_what_is_no_ink_is_refused_with_the_reason(string $xml, string $reason): void
    {
        $this->expectException(UnreadableFile::class);
        $this->expectExceptionMessage($reason);
        InkMl::read($xml);
    }

    /** @return iterable<string, array{string, string}> */
    public static function unreadable(): iterable
    {
        yield 'nothing' => ['', 'isn’t well-formed InkML'];
        yield 'half a file' => ['<ink><trace>', 'isn’t well-formed'];
        yield 'another format' => ['<svg/>', 'isn’t well-formed InkML'];
        $hidden =
            '<?xml version="1.0" encoding="UTF-16"?><!DOCTYPE ink [<!ENTITY a "b">]><ink><trace>1 2, 3 4</trace></ink>';
        yield 'a document type in UTF-16' => [
            "\xFF\xFE".mb_convert_encoding($hidden, 'UTF-16LE', 'UTF-8'),
            'isn’t well-formed',
        ];
        yield 'a document type in UTF-16 without a mark' => [
            mb_convert_encoding($hidden, 'UTF-16BE', 'UTF-8'),
            'isn’t well-formed',
        ];
        yield 'a document type in UTF-7' => [
            '<?xml version="1.0" encoding="UTF-7"?>+ADwAIQ-DOCTYPE ink+AD4-<ink><trace>1 2, 3 4</trace></ink>',
            'isn’t well-formed',
        ];
        yield 'an encoding that nobody knows' => [
            '<?xml version="1.0" encoding="IBM037"?><ink><trace>1 2, 3 4</trace></ink>',
            'isn’t well-formed',
        ];
        yield 'entities' => [
            '<!DOCTYPE ink [<!ENTITY a SYSTEM "file:///etc/passwd">]><ink><trace>&a;</trace></ink>',
            'isn’t well-formed',
        ];
        yield 'no traces' => ['<ink xmlns="http://www.w3.org/2003/InkML"/>', 'Nothing in this InkML'];
        yield 'words for points' => [self::file('<trace>one two, three four</trace>'), 'Nothing in this InkML'];
        yield 'far off the page' => [self::file('<trace>99999 99999, 99990 99999</trace>'), 'Nothing in this InkML'];
        yield 'very many' => [self::file(str_repeat('<trace>1 2</trace>', 501)), 'This InkML file has too much in it'];
    }

    private static function file(string $inside): string
    {
        return '<ink xmlns="http://www.w3.org/2003/InkML"><definitions><context><inkSource><traceFormat><channel name="X"/><channel name="Y"/></traceFormat>'.
            '<channelProperties><channelProperty channel="X" name="resolution" value="100" units="1/mm"/></channelProperties></inkSource></context></definitions>'.
            $inside.
            '</ink>';
    }
}
