<?php

declare(strict_types=1);

namespace Tests\Browser;

use Deploy\Browser\Page;
use Tests\Support\BrowserTestCase;

/** A lesson on shared canvases: three at one, one of them on a phone and one without a network for a while. */
final class TogetherTest extends BrowserTestCase
{
    private const CONTROL = "\u{E009}";

    private Page $teacher;

    /** @var array<string, Page> by name */
    private array $at = [];

    protected function setUp(): void
    {
        [$this->teacher, $code] = $this->startLesson();
        $this->at = [
            'Wren' => $this->join('Wren', $code, 390, 844),
            'Ruan' => $this->join('Ruan', $code),
            'Olwen' => $this->join('Olwen', $code),
            'Piers' => $this->join('Piers', $code),
        ];
        $this->teacher->until(fn (): bool => count($this->teacher->all('.tile')) === 4, 'four tiles');
    }

    public function test_a_group_draws_on_one_canvas_and_loses_nothing(): void
    {
        ['Wren' => $wren, 'Ruan' => $ruan, 'Olwen' => $olwen, 'Piers' => $piers] = $this->at;
        $olwen->draw('#page-frame', [[0.1, 0.1], [0.2, 0.2]]);
        $olwen->until(fn (): bool => $this->stored('Olwen') === 1, 'a stroke on her own canvas');
        $this->group(['Wren', 'Ruan', 'Olwen'], ['Piers']);
        $this->share('group');
        $canvas = $this->open($olwen);
        foreach ([$wren, $ruan] as $page) {
            $page->until(fn (): bool => $this->open($page) === $this->open($olwen), 'the group’s canvas');
        }
        self::assertNotSame($canvas, $this->open($piers));
        $olwen->until(fn (): bool => $this->inked($olwen, '#page') === 0, 'a canvas that is empty');
        $ruan->waitForText('#together', 'With Wren, Olwen');

        // While a pen is down the others see it, and whose it is; the desk sees it on the group's tile.
        $wren->draw('#page-frame', [[0.2, 0.2], [0.5, 0.4], [0.8, 0.2]], 'mouse', 16, false);
        $x = 0.8;
        foreach ([$ruan, $olwen] as $page) {
            // Their lines for ink may only just be opening: the pen goes on until it is heard.
            $page->until(function () use ($page, $wren, &$x): bool {
                $x = $x > 0.7 ? 0.6 : 0.8;
                $wren->moveOn('#page-frame', $x, 0.2);

                return $this->inked($page, '#page') > 0 &&
                    $page->run('return document.querySelector(".page-pointer")?.textContent') === 'Wren';
            }, 'ink that is still wet, and whose it is');
        }
        self::assertSame(0, $this->inked($piers, '#page'));
        $this->teacher->waitForText('.tile-members .is-drawing', 'Wren');
        $wren->lift();

        // One is without a network for a while; what both draw meanwhile is there afterwards, in one order.
        $olwen->offline(true);
        $olwen->draw('#page-frame', [[0.2, 0.6], [0.4, 0.7]]);
        $ruan->draw('#page-frame', [[0.6, 0.6], [0.8, 0.7]], 'touch');
        $ruan->until(fn (): bool => $this->stored('Ruan') === 1, 'a stroke beside it');
        $olwen->offline(false);
        $olwen->until(fn (): bool => $this->stored('Olwen') === 2, 'what was drawn without a network');
        $this->alike(3);

        // Undo takes back one's own, and nobody empties what is others' too.
        $wren->click('#undo');
        $this->alike(2);
        self::assertFalse($wren->find('#undo')->isEnabled());
        $ruan->press(self::CONTROL, 'z');
        $this->alike(1);
        $ruan->press(self::CONTROL, 'y');
        $this->alike(2);
        $this->assertAccessible($this->teacher, 'a desk with a group');
        $this->assertAccessible($ruan, 'a shared canvas');

        // In another group there is another canvas, and what was drawn stays where it is.
        $this->group(['Wren', 'Ruan'], ['Piers', 'Olwen']);
        $olwen->until(fn (): bool => $this->open($olwen) === $this->open($piers), 'the other group’s canvas');
        $olwen->until(fn (): bool => $this->inked($olwen, '#page') === 0, 'an empty canvas');
        $ruan->draw('#page-frame', [[0.3, 0.3], [0.4, 0.4]], 'mouse', 16, false);
        $this->teacher->until(function () use ($ruan, &$x): bool {
            $x = $x > 0.7 ? 0.6 : 0.8;
            $ruan->moveOn('#page-frame', $x, 0.3);

            return str_contains(
                (string) $this->teacher->run(
                    'return [...document.querySelectorAll(".tile-members .is-drawing")].map((one) => one.textContent).join()',
                ),
                'Ruan',
            );
        }, 'ink of the first group');
        self::assertSame(0, $this->inked($olwen, '#page'), 'who has left sees nothing more of it');
        $ruan->lift();
        $ruan->until(fn (): bool => $this->objects($ruan) === 3, 'the work of who has left');

        // Each has their own again, with what was on it.
        $this->share('each');
        $olwen->until(fn (): bool => $this->inked($olwen, '#page') > 0, 'her own stroke');
        $olwen->until(fn (): bool => $this->objects($olwen) === 1, 'that stroke alone');
        foreach ([$this->teacher, $wren, $ruan, $piers] as $page) {
            self::assertSame([], $page->complaints());
        }
    }

    public function test_two_hands_reach_for_one_piece_and_it_lies_at_one_place_everywhere(): void
    {
        $this->share('everyone');
        $pages = array_values($this->at);
        foreach ($pages as $page) {
            $page->until(fn (): bool => $this->open($page) === $this->open($pages[0]), 'one canvas for all');
        }
        $this->handOutAPiece();
        foreach ($pages as $page) {
            $page->until(fn (): bool => $this->objects($page) === 1, 'the piece');
        }
        [$wren, $ruan] = $pages;
        foreach ([$wren, $ruan] as $page) {
            $page->option('[data-tool=move]');
        }
        // Both have it in the hand before either lets go.
        [$from, $low] = [[0.25, 0.2], [0.25, 0.6]];
        $wren->draw('#page .page-paper', [$from, [0.3, 0.3], $low], 'mouse', 16, false);
        $ruan->draw('#page .page-paper', [$from, [0.5, 0.2], [0.7, 0.2]], 'mouse', 16, false);
        $wren->lift();
        $wren->until(fn (): bool => $this->moves() === 1, 'the first to let go');
        $ruan->lift();
        $ruan->until(fn (): bool => $this->moves() === 2, 'the second');
        $this->alike(1);
    }

    public function test_a_shared_canvas_that_is_interrupted_in_every_way_loses_nothing(): void
    {
        ['Wren' => $wren, 'Ruan' => $ruan, 'Olwen' => $olwen, 'Piers' => $piers] = $this->at;
        $own = $this->open($wren);
        // It is shared while a pen is down: the stroke ends where it was begun.
        $wren->draw('#page-frame', [[0.2, 0.2], [0.6, 0.4]], 'mouse', 16, false);
        $this->share('everyone');
        $wren->until(fn (): bool => $this->open($wren) !== $own, 'the shared canvas');
        $wren->lift();
        $wren->until(fn (): bool => $this->stored('Wren') === 1, 'the stroke that was begun');
        $seat = $this->sql("select id from seats where name = 'Wren' order by rowid desc");
        self::assertSame($own, $this->sql('select canvas_id from operations where seat_id = ?', [$seat]));
        foreach (array_values($this->at) as $i => $page) {
            $page->until(fn (): bool => $this->open($page) === $this->open($wren), 'one canvas for all');
            $page->draw('#page-frame', [[0.2, 0.2 + 0.1 * $i], [0.4, 0.2 + 0.1 * $i]]);
        }
        $this->alike(4);
        // A page that is loaded again knows what is its own.
        $ruan->driver->navigate()->refresh();
        $ruan->find('#page-frame[data-ready]');
        $ruan->until(fn (): bool => $this->objects($ruan) === 4, 'all of it after a reload');
        $ruan->click('#undo');
        $this->alike(3);
        self::assertFalse($ruan->find('#undo')->isEnabled());
        // Its own tool takes away one's own, and nothing of anyone else's.
        $olwen->option('[data-tool=eraser]');
        $olwen->draw('#page-frame', [[0.3, 0.1], [0.3, 0.9]]);
        $this->alike(2);
        // One is sent out, and comes back to what was drawn meanwhile.
        $seat = $this->sql("select id from seats where name = 'Piers' order by rowid desc");
        $this->postAs($this->teacher, 'send-out', ['seat' => $seat]);
        $piers->seen('#knock');
        $wren->draw('#page-frame', [[0.6, 0.6], [0.8, 0.6]]);
        unset($this->at['Piers']);
        $this->alike(3);
        $this->postAs($this->teacher, 'let-in', ['seats' => [$seat]]);
        $piers->find('#page-frame[data-ready]');
        $this->at['Piers'] = $piers;
        $this->alike(3);
        // Shared otherwise twice in a moment: everyone ends on the canvas that holds.
        $this->share('each');
        $this->share('everyone');
        $wren->draw('#page-frame', [[0.6, 0.8], [0.8, 0.8]]);
        foreach ($this->at as $page) {
            $page->until(fn (): bool => $this->open($page) === $this->open($ruan), 'one canvas for all, again');
        }
        $wren->until(fn (): bool => $this->stored('Wren') === 4, 'the stroke between');
        // It may land on the canvas that was there for a moment: kept it is, wherever that was.
        $ruan->draw('#page-frame', [[0.1, 0.8], [0.2, 0.8]]);
        $ruan->until(fn (): bool => $this->stored('Ruan') >= 2, 'a stroke drawn while canvases change');
        foreach ($this->at as $page) {
            $page->until(fn (): bool => $this->open($page) === $this->open($ruan), 'one canvas for all, at last');
        }
        foreach ([$this->teacher, $wren, $ruan, $olwen] as $page) {
            // Whoever reaches for the ink of a group that is no more is turned away.
            self::assertSame([], array_filter(
                $page->complaints(),
                static fn (string $one): bool => preg_match('#/live/near/.* 403#', $one) !== 1,
            ));
        }
    }

    public function test_two_teachers_split_the_room_and_two_rooms_see_one_class_screen(): void
    {
        $address = (string) $this->teacher->run('return location.pathname');
        $session = basename($address);
        $key = (string) $this->sql('select helper_key from live_sessions where id = ?', [$session]);
        $helper = $this->person('helper')->visit(self::$crag->address()."/beside/{$session}/{$key}");
        $helper->type('#name', 'Mr Adeyemi')->click('.btn-go');
        $helper->find('#grid[data-ready]');
        $helper->until(fn (): bool => count($helper->all('.tile')) === 4, 'four tiles in the other room');
        $this->teacher->waitForText('#colleagues', 'Mr Adeyemi (helper)');
        // The helper takes two on: the other desk sees whose they are.
        $helper->run('document.querySelectorAll(".tile-name")[0].click(); document.querySelectorAll(".tile-name")[1].click()');
        $helper->click('#take-chosen');
        $this->teacher->until(
            fn (): bool => self::seen($this->teacher, '.tile-taken') === 2,
            'whose they are',
        );
        $helper->waitForText('#mine', '2')->click('#mine');
        $helper->until(fn (): bool => self::seen($helper, '.tile') === 2, 'just the two');
        self::assertSame(4, self::seen($this->teacher, '.tile'));
        // What one writes to a student the other sees too, with the name.
        $this->postAs($this->teacher, 'hand', ['seat' => $this->sql("select id from seats where name = 'Wren' order by rowid desc"), 'words' => 'Try a sketch.']);
        $helper->run('document.querySelector(".tile-open").click()');
        $helper->find('#closeup-page-frame[data-ready]');
        $helper->press('w')->waitForText('#talk-body', 'Try a sketch.');
        self::assertStringContainsString('Ms Okafor-Lind', $helper->text('#talk-body .letters-list'));
        // A class screen in each room shows the same.
        $open = (string) $this->teacher->run('return document.querySelector("#open-screen").href');
        $screens = [$this->person('screen')->visit($open), $this->person('other screen')->visit($open)];
        $this->postAs($this->teacher, 'screen', ['view' => 'prompt']);
        foreach ($screens as $screen) {
            $screen->until(fn (): bool => $screen->all('#shown-prompt') !== [], 'the prompt on the screen');
        }
    }

    private static function seen(Page $page, string $selector): int
    {
        return count(array_filter($page->all($selector), static fn ($one): bool => $one->isDisplayed()));
    }

    /** The page with this many objects, alike for everyone who draws there. */
    private function alike(int $objects): void
    {
        $canvas = $this->open($this->at['Ruan']);
        $there = array_filter($this->at, fn (Page $page): bool => $this->open($page) === $canvas);
        self::assertGreaterThan(1, count($there));
        $this->at['Ruan']->until(
            function () use ($there, $objects): bool {
                $scenes = array_map($this->scene(...), $there);

                return count(array_unique($scenes)) === 1 && $this->objects($this->at['Ruan']) === $objects;
            },
            "{$objects} objects, the same for ".implode(', ', array_keys($there)),
        );
    }

    private function open(Page $page): mixed
    {
        return $page->run('return document.querySelector("#page-frame").dataset.ready');
    }

    private function objects(Page $page): int
    {
        return count((array) json_decode((string) $this->scene($page), true));
    }

    /** What lies on the page and where, as the list of what is there says it. */
    private function scene(Page $page): mixed
    {
        return $page->run(
            'return JSON.stringify([...document.querySelectorAll("#bench .bench-objects .object")].map((one) => one.textContent))',
        );
    }

    private function moves(): int
    {
        return (int) $this->sql("select count(*) from operations where kind = 'arrange'");
    }

    private function share(string $how): void
    {
        $select = '.rail-actions:not([hidden]) [name=sharing]';
        $this->teacher->find($select);
        $this->teacher->choose($select, $how);
    }

    /** @param  list<string>  ...$groups  names */
    private function group(array ...$groups): void
    {
        $seats = [];
        foreach ($groups as $names) {
            $seats[] = array_map(
                fn (string $name): mixed => $this->sql('select id from seats where name = ? order by rowid desc', [$name]),
                $names,
            );
        }
        $this->postAs($this->teacher, 'groups', ['groups' => $seats]);
    }

    private function handOutAPiece(): void
    {
        $prompt = $this->teacher->run('return document.querySelector("#grid").dataset.ready');
        $this->postAs($this->teacher, "prompt/{$prompt}/hand-out", [
            'what' => 'pieces',
            'mode' => 'pieces',
            'page' => 0,
            'seats' => null,
            'objects' => [['object' => [
                'type' => 'piece',
                'alt' => 'Beam',
                'locked' => false,
                'stack' => false,
                'of' => [
                    'type' => 'rectangle', 'x' => 2000, 'y' => 1000, 'w' => 4000, 'h' => 2000,
                    'colour' => '#25323b', 'width' => 40, 'filled' => true,
                ],
            ]]],
        ]);
    }
}
