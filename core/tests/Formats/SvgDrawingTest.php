<?php

declare(strict_types=1);

namespace Crag\Tests\Formats;

use Crag\Canvas\Object\Stroke;
use Crag\Canvas\Operation\Placing;
use Crag\Canvas\Scene;
use Crag\Formats\SvgDrawing;
use Crag\Formats\SvgPath;
use Crag\Formats\UnreadableFile;
use Crag\Render\NoPictures;
use Crag\Render\SceneSvg;
use Crag\Tests\Canvas\Examples;
use Crag\Tests\Canvas\Logs;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class SvgDrawingTest extends TestCase
{
    public function test_what_was_written_comes_back_as_it_was_but_for_pictures(): void
    {
        $objects = Examples::all();
        unset($objects['picture']);
        $log = [
            Logs::operation('b', 'backdrop', ['backdrop' => ['kind' => 'squared']], null),
            Logs::object('q', Examples::picture()),
        ];
        foreach ($objects as $kind => $object) {
            $log[] = Logs::operation($kind, 'add', ['object' => $object, 'place' => [100, 200, 4500, 15_000]]);
        }
        $back = SvgDrawing::read(SceneSvg::exchange(Scene::fold($log), new NoPictures()));
        self::assertEquals(
            array_values($objects),
            array_map(static fn (Placing $placing): array => $placing->object->toArray(), $back),
        );
        self::assertSame([100, 200, 4500, 15_000], $back[0]->place?->toArray());
    }

    public function test_simple_shapes_of_others_become_objects(): void
    {
        $types = self::types(
            '<rect x="10" y="20" width="100" height="50" fill="none" stroke="#f00"/><circle cx="50" cy="50" r="20"/>'.
                '<line x1="0" y1="0" x2="10" y2="10"/><polygon points="0,0 10,0 5,8"/><polyline points="0 0 10 10 20 0"/>'.
                '<path d="M0 0h10v10z"/><text x="5" y="40" font-size="20">span</text><script>alert(1)</script><image href="http://elsewhere/x"/>',
        );
        self::assertSame(['rectangle', 'ellipse', 'line', 'polygon', 'stroke', 'stroke', 'text'], $types);
    }

    public function test_transforms_and_the_view_box_are_followed(): void
    {
        $svg =
            '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 160 100"><g transform="translate(10 5) scale(2)"><rect x="1" y="2" width="10" height="5" stroke="#123" stroke-width="1"/></g></svg>';
        $rectangle = SvgDrawing::read($svg)[0]->object->toArray();
        self::assertSame([1200, 900, 2000, 1000], [$rectangle['x'], $rectangle['y'], $rectangle['w'], $rectangle['h']]);
        self::assertSame(['#112233', 200, true], [$rectangle['colour'], $rectangle['width'], $rectangle['filled']]);
    }

    public function test_a_turned_rectangle_keeps_its_corners(): void
    {
        $svg =
            '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 1600 1000"><rect x="0" y="0" width="100" height="50" transform="rotate(90 50 50)"/></svg>';
        self::assertSame(
            [1000, 0, 1000, 1000, 500, 1000, 500, 0],
            SvgDrawing::read($svg)[0]->object->toArray()['points'],
        );
    }

    public function test_curves_of_a_path_run_through_their_ends(): void
    {
        $lines = SvgPath::lines(
            'M10 10 C 20 20, 40 20, 50 10 S 80 0 90 10 Q100 20 110 10 t20 0 M5 5 l1 1 a5 5 0 0 1 9 9 H3 V4',
        );
        self::assertCount(2, $lines);
        self::assertSame(
            [130.0, 10.0],
            array_map(static fn (float $n): float => round($n, 6), $lines[0][count($lines[0]) - 1]),
        );
        self::assertSame([[5.0, 5.0], [6.0, 6.0], [15.0, 15.0], [3.0, 15.0], [3.0, 4.0]], $lines[1]);
        // The smooth curve's first control point mirrors the last one: 60 0. Half way along it: (50 + 3·60 + 3·80 + 90)
        // / 8.
        self::assertEqualsWithDelta(70.0, $lines[0][12 + 6][0], 0.001);
    }

    public function test_a_path_becomes_ink_that_a_pen_could_have_drawn(): void
    {
        $stroke = SvgDrawing::read(
            '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 1600 1000"><path d="M100 100L200 100" stroke="#2c6e8f" stroke-width="4" fill="none"/></svg>',
        )[0]->object;
        self::assertInstanceOf(Stroke::class, $stroke);
        self::assertSame(
            ['#2c6e8f', 40, [[1000, 1000, 128, 0], [2000, 1000, 128, 8]]],
            [$stroke->colour->hex, $stroke->width, $stroke->ink->samples()],
        );
    }

    #[DataProvider('unreadable')]
    public function test_what_is_no_drawing_is_refused_with_the_reason(string $xml, string $reason): void
    {
        $this->expectException(UnreadableFile::class);
        $this->expectExceptionMessage($reason);
        SvgDrawing::read($xml);
    }

    /** @return iterable<string, array{string, string}> */
    public static function unreadable(): iterable
    {
        yield 'half a file' => ['<svg><g>', 'isn’t well-formed SVG'];
        yield 'entities' => ['<!DOCTYPE svg [<!ENTITY a "b">]><svg/>', 'isn’t well-formed'];
        yield 'nothing in it' => ['<svg xmlns="http://www.w3.org/2000/svg"><metadata/></svg>', 'Nothing in this SVG'];
        yield 'very many' => [
            '<svg xmlns="http://www.w3.org/2000/svg">'.str_repeat('<line x2="9" y2="9"/>', 600).'</svg>',
            'This SVG file has too much in it',
        ];
    }

    /** @return list<mixed> */
    private static function types(string $inside): array
    {
        $read = SvgDrawing::read('<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 200 100">'.$inside.'</svg>');

        return array_map(static fn (Placing $placing): mixed => $placing->object->toArray()['type'], $read);
    }
}
