<?php

declare(strict_types=1);

namespace Crag\Tests\Render;

use Crag\Canvas\Drawing\CutOut;
use Crag\Canvas\Scene;
use Crag\Render\BoardCell;
use Crag\Render\BoardSheet;
use Crag\Render\NoPictures;
use PHPUnit\Framework\TestCase;

final class BoardSheetTest extends TestCase
{
    public function test_columns_stand_beside_each_other_and_long_ones_go_on_on_the_next_sheet(): void
    {
        $cells = array_map(
            static fn (int $n): BoardCell => new BoardCell("{$n} Seat {$n}", "words {$n}", Scene::fold([])),
            range(1, 5),
        );
        $sheets = BoardSheet::documents('Beams & frames', '2026-11-29', [['By <moments>', $cells], ['', []]], new NoPictures());
        self::assertCount(2, $sheets);
        foreach ($sheets as $sheet) {
            self::assertNotFalse(simplexml_load_string($sheet));
            self::assertStringContainsString('By &lt;moments&gt;', $sheet);
        }
        self::assertStringContainsString('3 Seat 3', $sheets[0]);
        self::assertStringNotContainsString('4 Seat 4', $sheets[0]);
        self::assertStringContainsString('words 5', $sheets[1]);
    }

    public function test_a_part_is_shown_alone_and_in_its_own_proportions(): void
    {
        $cut = CutOut::read(['x' => 100, 'y' => 50, 'w' => 400, 'h' => 200]);
        $cell = new BoardCell('1', '', Scene::fold([]), '', $cut);
        $sheet = BoardSheet::documents('', '', [['', [$cell]]], new NoPictures())[0];
        self::assertStringContainsString('viewBox="100 50 400 200"', $sheet);
    }

    public function test_an_empty_board_is_one_sheet(): void
    {
        self::assertCount(1, BoardSheet::documents('', '', [['Left', []]], new NoPictures()));
    }
}
