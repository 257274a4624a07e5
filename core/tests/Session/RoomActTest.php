<?php

declare(strict_types=1);

namespace Crag\Tests\Session;

use Crag\Session\Room\ActKind;
use Crag\Session\Room\RoomAct;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class RoomActTest extends TestCase
{
    /** @return iterable<string, array{list<array{string, string, bool}>, string}> kind, prompt, undone; the ids left */
    public static function acts(): iterable
    {
        yield 'nothing was done' => [[], ''];
        yield 'one of each' => [[['gather', '1', false], ['pens', '', false], ['reveal', '1', false]], 'abc'];
        yield 'the later move first' => [[['gather', '1', false], ['gather', '2', false]], 'b'];
        yield 'then the one before' => [[['gather', '1', false], ['gather', '2', true]], 'a'];
        yield 'pens down and up again' => [[['pens', '', false], ['pens', '', false]], 'b'];
        yield 'every hand-out by itself' => [[['hand_out', '1', false], ['hand_out', '1', false]], 'ab'];
        yield 'a hand-out before a move' => [[['hand_out', '1', false], ['gather', '2', false]], 'ab'];
        yield 'each prompt by itself' => [
            [['prompt_state', '1', false], ['prompt_state', '2', false], ['prompt_state', '1', false]],
            'cb',
        ];
        yield 'nothing twice' => [[['reveal', '1', true], ['hand_out', '1', true]], ''];
    }

    /** @param  list<array{string, string, bool}>  $acts */
    #[DataProvider('acts')]
    public function test_what_can_be_taken_back(array $acts, string $left): void
    {
        $made = [];
        foreach ($acts as $i => [$kind, $prompt, $isUndone]) {
            $made[] = new RoomAct(chr(ord('a') + $i), ActKind::from($kind), $prompt, $isUndone);
        }
        self::assertSame($left, implode('', RoomAct::undoable($made)));
    }

    public function test_what_taking_it_back_is(): void
    {
        $deeds = array_map(static fn (ActKind $kind): string => $kind->undoing()->value, ActKind::cases());
        self::assertSame(['change_prompts', 'hand_out', 'set_pens', 'cover', 'change_prompts'], $deeds);
    }
}
