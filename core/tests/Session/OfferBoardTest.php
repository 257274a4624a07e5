<?php

declare(strict_types=1);

namespace Crag\Tests\Session;

use Crag\Session\Screen\OfferBoard;
use PHPUnit\Framework\TestCase;

final class OfferBoardTest extends TestCase
{
    public function test_at_first_it_has_one_column_without_a_heading_and_waits_for_the_teacher(): void
    {
        $board = OfferBoard::read([]);
        self::assertSame([''], $board->headings);
        self::assertSame(0, $board->lastColumn());
        self::assertFalse($board->isOpen);
    }

    public function test_what_is_not_said_stays_as_it_was(): void
    {
        $board = OfferBoard::read([])->arranged(['Triangles', 'Arches'], null)->arranged(null, true);
        self::assertSame(['headings' => ['Triangles', 'Arches'], 'open' => true], $board->toArray());
        self::assertSame(1, $board->lastColumn());
        self::assertEquals($board, OfferBoard::read($board->toArray()));
    }

    public function test_the_last_column_cannot_go(): void
    {
        self::assertSame([''], OfferBoard::read([])->arranged([], null)->headings);
    }
}
