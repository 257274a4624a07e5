<?php

declare(strict_types=1);

namespace Crag\Tests\Canvas;

use Crag\Canvas\Drawing\CutOut;
use Crag\Json\UnreadableFields;
use Crag\Prompt\Paper;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class CutOutTest extends TestCase
{
    /**
     * @param  array<string, int|float>  $given
     * @param  array<string, float>  $kept
     */
    #[
        TestWith([
            ['x' => 100, 'y' => 200, 'w' => 300, 'h' => 400],
            ['x' => 100.0, 'y' => 200.0, 'w' => 300.0, 'h' => 400.0],
        ]),
    ]
    #[
        TestWith([
            ['x' => -50, 'y' => -20.5, 'w' => 300, 'h' => 100],
            ['x' => 0.0, 'y' => 0.0, 'w' => 250.0, 'h' => 79.5],
        ]),
    ]
    #[
        TestWith([
            ['x' => 1500, 'y' => 900, 'w' => 900, 'h' => 900],
            ['x' => 1500.0, 'y' => 900.0, 'w' => 100.0, 'h' => 100.0],
        ]),
    ]
    #[
        TestWith([
            ['x' => -900, 'y' => -900, 'w' => 9000, 'h' => 9000],
            ['x' => 0.0, 'y' => 0.0, 'w' => 1600.0, 'h' => 1000.0],
        ]),
    ]
    public function test_what_lies_beyond_the_page_is_cut_off(array $given, array $kept): void
    {
        self::assertSame($kept, CutOut::read($given, Paper::wide())->toArray());
        self::assertSame($kept, CutOut::read(CutOut::read($given, Paper::wide())->toArray())->toArray(), 'once more changes nothing');
    }

    /** @param  array<string, mixed>  $given */
    #[TestWith([['x' => 0, 'y' => 0, 'w' => 39, 'h' => 400]])]
    #[TestWith([['x' => 0, 'y' => 0, 'w' => 400, 'h' => -400]])]
    #[TestWith([['x' => 1590, 'y' => 0, 'w' => 400, 'h' => 400]])]
    #[TestWith([['x' => 0, 'y' => 1200, 'w' => 400, 'h' => 400]])]
    #[TestWith([['x' => '0', 'y' => 0, 'w' => 400, 'h' => 400]])]
    #[TestWith([['y' => 0, 'w' => 400, 'h' => 400]])]
    public function test_nothing_to_be_seen_is_no_part(array $given): void
    {
        $this->expectException(UnreadableFields::class);
        CutOut::read($given, Paper::wide());
    }
}
