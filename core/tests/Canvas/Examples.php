<?php

declare(strict_types=1);

namespace Crag\Tests\Canvas;

use Crag\Canvas\Drawing\Ink;
use Crag\Tests\Construct\Sketch;

/** One of every kind of object in its JSON form. */
final class Examples
{
    /** @return array<string, array<string, mixed>> by kind */
    public static function all(): array
    {
        $box = [
            'x' => 1000,
            'y' => 2000,
            'w' => 3000,
            'h' => -1500,
            'colour' => '#a8452e',
            'width' => 40,
            'filled' => true,
        ];
        $points = [
            'points' => [1000, 1000, 4000, 1500, 3000, 5000],
            'colour' => '#2c6e8f',
            'width' => 20,
            'filled' => true,
        ];

        return [
            'stroke' => self::stroke(),
            'highlight' => ['type' => 'highlight', 'width' => 200] + self::stroke(),
            'line' => ['type' => 'line'] + $box,
            'arrow' => ['type' => 'arrow'] + $box,
            'rectangle' => ['type' => 'rectangle'] + $box,
            'ellipse' => ['type' => 'ellipse'] + $box,
            'triangle' => ['type' => 'triangle'] + $box,
            'polygon' => ['type' => 'polygon'] + $points,
            'curve' => ['type' => 'curve'] + $points,
            'dotted' => ['type' => 'rectangle', 'fill' => '#c98a1b', 'strength' => 50, 'line' => 'dotted'] + $box,
            'dashed' => ['type' => 'curve', 'line' => 'dashed', 'ends' => 'both'] + $points,
            'text' => self::text(),
            'list' => [
                'marks' => [[0, 1, 'b'], [0, 1, 'i'], [8, 9, 'sup'], [10, 13, 'sub']],
                'list' => 'numbers',
            ] + self::text(),
            'code' => ['face' => 'code'] + self::text(),
            'maths' => self::maths(),
            'note' => self::note(),
            'stamp' => self::stamp(),
            'picture' => self::picture(),
            'piece' => self::piece(),
            'construction' => self::construction(),
        ];
    }

    /** @return array<string, mixed> */
    public static function construction(): array
    {
        return [
            'type' => 'construction',
            'elements' => Sketch::json(
                'A point 300 700; B point 1100 700; C point 520 240; g polygon A B C; c circle3 A B C; m midpoint A B; '.
                's segment A B; l perpendicular C s; r ray A C; v vector m C; k arc A C B; n length A C; w angle B A C; '.
                't tangent B c 0; X intersection l s 0; d on c 0.5; o locus m d; a area g; y slope r; z coordinates C',
            ),
            'colour' => '#2272b5',
            'width' => 30,
        ];
    }

    /** @return array<string, mixed> */
    public static function stroke(): array
    {
        return [
            'type' => 'stroke',
            'colour' => '#25323b',
            'width' => 40,
            'ink' => Ink::of([
                [1000, 1000, 128, 0],
                [3000, 1600, 200, 16],
                [5000, 1000, 60, 32],
                [7000, 2400, 128, 48],
            ])->encode(),
        ];
    }

    /** @return array<string, mixed> */
    public static function text(): array
    {
        return [
            'type' => 'text',
            'x' => 800,
            'y' => 3000,
            'w' => 3600,
            'size' => 36,
            'colour' => '#25323b',
            'align' => 'middle',
            'fixed' => false,
            'text' => "M = F × d\nالعزم = القوة × الذراع",
        ];
    }

    /** @return array<string, mixed> */
    public static function maths(): array
    {
        return [
            'type' => 'maths',
            'x' => 9000,
            'y' => 3000,
            'size' => 40,
            'colour' => '#4f7a3a',
            'source' => '\frac{1}{2}',
            'path' => 'M0 0L500 0Q600 200 500 400L0 400ZM100 100C120 120 180 120 200 100Z',
            'wide' => 600,
            'tall' => 400,
        ];
    }

    /** @return array<string, mixed> */
    public static function note(): array
    {
        return [
            'type' => 'note',
            'x' => 500,
            'y' => 6000,
            'w' => 2600,
            'h' => 2000,
            'size' => 24,
            'colour' => '#f6e7b0',
            'text' => "Check the pivot\u{2028} first",
        ];
    }

    /** @return array<string, mixed> */
    public static function stamp(): array
    {
        return ['type' => 'stamp', 'stamp' => 'weight', 'x' => 6000, 'y' => 7000, 'size' => 90, 'colour' => '#a8452e'];
    }

    /** @return array<string, mixed> */
    public static function picture(): array
    {
        return [
            'type' => 'picture',
            'asset' => '01ARZ3NDEKTSV4RRFFQ69G5FAV',
            'x' => 9000,
            'y' => 5000,
            'w' => 4000,
            'h' => 3000,
            'alt' => 'The footbridge',
        ];
    }

    /** @return array<string, mixed> */
    public static function piece(): array
    {
        return [
            'type' => 'piece',
            'alt' => 'A weight of 240 N',
            'locked' => false,
            'stack' => false,
            'of' => self::stamp(),
        ];
    }
}
