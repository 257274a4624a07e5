<?php

declare(strict_types=1);

namespace Crag\Tests\Canvas;

use Crag\Canvas\Bolder;
use Crag\Canvas\Drawing\Ink;
use Crag\Canvas\Scene;
use PHPUnit\Framework\TestCase;

/** Thin pens vanish at the back of a room. */
final class BolderTest extends TestCase
{
    public function test_lines_are_at_least_two_and_a_half_pixels_wide_on_a_screen_of_1280(): void
    {
        $ink = Ink::of([[1000, 1000, 128, 0], [2000, 1200, 128, 16]])->encode();
        $pen = ['type' => 'stroke', 'colour' => '#25323b', 'ink' => $ink];
        $stroke = static fn (int $width): array => $pen + ['width' => $width];
        $scene = Scene::fold([
            Logs::object('thin', $stroke(15)),
            Logs::object('usual', $stroke(40)),
            Logs::object('wide', $stroke(120)),
            Logs::object('line', Examples::all()['line']),
            Logs::text('words', 'F = 80 N'),
            Logs::operation('halved', 'add', ['object' => $stroke(40), 'place' => [0, 0, 0, 5_000]]),
        ]);
        $alone = Bolder::scene($scene, 1);
        $beside = Bolder::scene($scene, 3);
        $width = static fn (Scene $of, string $id): mixed => $of->placed[Logs::id($id)]->object->toArray()['width'];
        // 1600 units on 1120 pixels: 2.5 of them are 3.6 units; beside others 6.7 units.
        self::assertSame([36, 40, 120, 72], array_map(static fn (string $id): mixed => $width($alone, $id), [
            'thin', 'usual', 'wide', 'halved',
        ]));
        self::assertSame([67, 67, 120, 134], array_map(static fn (string $id): mixed => $width($beside, $id), [
            'thin', 'usual', 'wide', 'halved',
        ]));
        self::assertSame(67, $width($beside, 'line'));
        // What was drawn stays as it was, and so does what has no line.
        self::assertSame(15, $width($scene, 'thin'));
        self::assertSame($scene->placed[Logs::id('words')], $beside->placed[Logs::id('words')]);
        self::assertSame(array_keys($scene->placed), array_keys($beside->placed));
    }
}
