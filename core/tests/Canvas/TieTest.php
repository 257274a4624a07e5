<?php

declare(strict_types=1);

namespace Crag\Tests\Canvas;

use Crag\Canvas\Log\Operation;
use Crag\Canvas\Scene;
use Crag\Json\UnreadableFields;
use PHPUnit\Framework\TestCase;

/** Lines stay tied to what they join. */
final class TieTest extends TestCase
{
    private const UNTOUCHED = [0, 0, 0, 10_000];

    public function test_a_line_goes_where_what_it_joins_is_moved(): void
    {
        $log = [...$this->twoBoxesJoined(), $this->move('m', ['a' => [500, 0, 0, 10_000]])];
        self::assertSame([1500, 1000, 1500, 0], $this->line($log));
        // Turned by a quarter about the page's corner, and twice as large.
        $log[] = $this->move('n', ['b' => [4000, 0, 9_000, 20_000]]);
        self::assertSame([1500, 1000, 500, 5000], $this->line($log));
    }

    public function test_moved_together_it_stays_tied_and_keeps_its_width(): void
    {
        $place = [100, 200, 0, 20_000];
        $together = $this->move('m', ['a' => $place, 'b' => $place, 'l' => $place]);
        $log = [...$this->twoBoxesJoined(), $together];
        self::assertSame([2100, 2200, 4000, 0], $this->line($log));
        self::assertNull(Scene::fold($log)->placed[Logs::id('l')]->place);
        $log[] = $this->move('n', ['b' => self::UNTOUCHED]);
        self::assertSame([2100, 2200, 900, -1200], $this->line($log));
    }

    public function test_moved_by_itself_it_is_tied_no_more(): void
    {
        $log = [
            ...$this->twoBoxesJoined(),
            $this->move('m', ['l' => [0, 300, 0, 10_000]]),
            $this->move('n', ['a' => [5000, 0, 0, 10_000]]),
        ];
        self::assertSame([1000, 1000, 2000, 0], $this->line($log));
        self::assertSame([0, 300, 0, 10_000], Scene::fold($log)->placed[Logs::id('l')]->place?->toArray());
        // Put elsewhere by its corners, it is not tied either.
        $log = [
            ...$this->twoBoxesJoined(),
            Logs::operation('c', 'change', ['target' => Logs::id('l'), 'set' => ['w' => 700]]),
            $this->move('n', ['b' => [5000, 0, 0, 10_000]]),
        ];
        self::assertSame([1000, 1000, 700, 0], $this->line($log));
    }

    public function test_it_stays_where_it_was_when_what_it_joined_is_gone_and_goes_on_when_that_comes_back(): void
    {
        $log = [
            ...$this->twoBoxesJoined(),
            $this->move('m', ['a' => [500, 0, 0, 10_000]]),
            Logs::operation('r', 'remove', ['targets' => [Logs::id('a')]]),
        ];
        self::assertSame([1500, 1000, 1500, 0], $this->line($log));
        $log[] = Logs::undo('u', Logs::id('r'));
        $log[] = $this->move('n', ['a' => self::UNTOUCHED]);
        self::assertSame([1000, 1000, 2000, 0], $this->line($log));
    }

    public function test_one_undo_takes_the_move_back_for_both(): void
    {
        $log = [...$this->twoBoxesJoined(), $this->move('m', ['a' => [500, 0, 0, 10_000]])];
        $log[] = Logs::undo('u', Logs::id('m'));
        self::assertSame([1000, 1000, 2000, 0], $this->line($log));
    }

    public function test_it_follows_on_its_own_page_alone_and_never_beyond_what_can_be_kept(): void
    {
        $log = [
            Logs::operation('p', 'page'),
            Logs::object('a', $this->box(0)),
            Logs::operation('l', 'add', ['object' => $this->joined('a', 'a'), 'page' => Logs::id('p')]),
            $this->move('m', ['a' => [500, 0, 0, 10_000]]),
        ];
        self::assertSame([1000, 1000, 2000, 0], $this->line($log));
        $far = [...$this->twoBoxesJoined(), $this->move('m', ['a' => [200_000, 0, 0, 10_000]])];
        self::assertSame(40_000, $this->line($far)[0]);
        self::assertEquals(Scene::fold($far), Scene::read(Scene::fold($far)->toArray()));
    }

    public function test_a_line_that_is_tied_to_a_line_goes_by_where_that_was_put_whichever_was_drawn_first(): void
    {
        $place = [0, 700, 0, 10_000];
        foreach ([['l', 'k'], ['k', 'l']] as $order) {
            $lines = ['l' => $this->joined('a', 'b'), 'k' => $this->joined('l', 'l')];
            $log = [Logs::object('a', $this->box(0)), Logs::object('b', $this->box(3000))];
            foreach ($order as $id) {
                $log[] = Logs::object($id, $lines[$id]);
            }
            $log[] = $this->move('m', ['a' => $place, 'b' => $place, 'l' => $place]);
            $k = Scene::fold($log)->placed[Logs::id('k')]->object->toArray();
            self::assertSame([1000, 1700, 2000, 0], [$k['x'], $k['y'], $k['w'], $k['h']], implode(', ', $order));
        }
    }

    public function test_only_lines_and_arrows_are_tied_and_only_to_what_has_an_id(): void
    {
        $box = ['start' => ['on' => Logs::id('a'), 'x' => 0, 'y' => 0]] + $this->box(0);
        $placed = Scene::fold([Logs::object('b', $box)])->placed[Logs::id('b')];
        self::assertArrayNotHasKey('start', $placed->object->toArray());

        $this->expectException(UnreadableFields::class);
        Logs::object('l', ['start' => ['on' => 'no id', 'x' => 0, 'y' => 0]] + $this->joined('a', 'b'));
    }

    /** @return list<Operation> */
    private function twoBoxesJoined(): array
    {
        return [
            Logs::object('a', $this->box(0)),
            Logs::object('b', $this->box(3000)),
            Logs::object('l', $this->joined('a', 'b')),
        ];
    }

    /** @return array<string, mixed> */
    private function joined(string $from, string $to): array
    {
        return [
            'type' => 'arrow',
            'x' => 1000,
            'y' => 1000,
            'w' => 2000,
            'h' => 0,
            'colour' => '#25323b',
            'width' => 40,
            'filled' => false,
            'start' => ['on' => Logs::id($from), 'x' => 1000, 'y' => 1000],
            'end' => ['on' => Logs::id($to), 'x' => 3000, 'y' => 1000],
        ];
    }

    /** @return array<string, mixed> */
    private function box(int $x): array
    {
        return ['type' => 'rectangle', 'x' => $x, 'y' => 500, 'w' => 1000, 'h' => 1000] +
            ['colour' => '#25323b', 'width' => 40, 'filled' => false];
    }

    /** @param  array<string, array{int, int, int, int}>  $places */
    private function move(string $id, array $places): Operation
    {
        $targets = array_map(Logs::id(...), array_keys($places));

        return Logs::operation($id, 'arrange', ['targets' => $targets, 'places' => array_values($places)]);
    }

    /**
     * @param  list<Operation>  $log
     * @return list<mixed> x, y, w and h
     */
    private function line(array $log): array
    {
        $line = Scene::fold($log)->placed[Logs::id('l')]->object->toArray();

        return [$line['x'], $line['y'], $line['w'], $line['h']];
    }
}
