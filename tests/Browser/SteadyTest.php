<?php

declare(strict_types=1);

namespace Tests\Browser;

use Deploy\Browser\Page;
use Tests\Support\BrowserTestCase;

/**
 * A teacher who presses twice, changes things in two places, and has one eye on the room: what was meant is what
 * happens.
 */
final class SteadyTest extends BrowserTestCase
{
    private const ESCAPE = "\u{E00C}";

    private Page $teacher;

    private string $code;

    protected function setUp(): void
    {
        [$this->teacher, $this->code] = $this->startLesson();
    }

    public function test_names_stay_hidden_and_two_presses_are_two_steps(): void
    {
        $tamsin = $this->join('Tamsin', $this->code);
        $this->teacher->waitForText('.tile-name', 'Tamsin');
        $this->teacher->press('s')->click('#shown-names');
        $this->teacher->until(fn (): bool => $this->pressed('#shown-names'), 'names on what is shown');
        $this->teacher->click('#shown-hidden');
        $this->teacher->until(fn (): bool => $this->pressed('#shown-hidden'), 'no names on what is shown');
        $this->teacher->press(self::ESCAPE)->click('#desk-menu summary')->click('#settings-button');
        self::assertSame(
            'hidden',
            $this->teacher->run('return document.querySelector("#shown_names").value'),
            'the form says what holds',
        );
        // A form that was left behind by what another desk did.
        $this->teacher->run('document.querySelector("#shown_names").value = "names"');
        $this->teacher->click('#settings [name=sound]');
        $this->teacher->until(
            fn (): bool => $this->sql(
                "select json_extract(settings, '$.sound') from live_sessions order by id desc limit 1",
            ) === 0,
            'the sound to be off',
        );
        self::assertSame(
            'hidden',
            $this->sql("select json_extract(settings, '$.shown_names') from live_sessions order by id desc limit 1"),
        );
        $this->teacher->press(self::ESCAPE);

        $this->teacher->run('document.body.focus()');
        $this->teacher->press('n')->press('n');
        self::assertSame('hidden', $this->teacher->run('return document.body.dataset.names'), 'here at once');
        $this->teacher->until(
            fn (): bool => $this->sql(
                "select json_extract(settings, '$.desk_names') from live_sessions order by id desc limit 1",
            ) === 'hidden',
            'and then told',
        );
        $this->teacher->until(
            fn (): bool => $this->teacher->run('return document.querySelector("#now").dataset.names') === 'hidden',
            'and said by the server',
        );
        self::assertSame('', $this->teacher->run('return document.querySelector(".tile-name").innerText.trim()'));
        self::assertStringNotContainsString(
            'Tamsin',
            (string) $this->teacher->run('return document.querySelector(".tile-open").getAttribute("aria-label")'),
        );
        self::assertSame([], $tamsin->complaints());
    }

    public function test_a_button_that_is_written_anew_while_it_is_pressed_is_pressed(): void
    {
        $tamsin = $this->join('Tamsin', $this->code);
        $this->teacher->press('s')->seen('#shown-names');
        $box = (array) $this->teacher->run(
            'const b = document.querySelector("#shown-names").getBoundingClientRect(); return [b.left + b.width / 2, b.top + b.height / 2]',
        );
        $press = [
            ['type' => 'pointerMove', 'origin' => 'viewport', 'x' => (int) $box[0], 'y' => (int) $box[1]],
            ['type' => 'pointerDown', 'button' => 0],
        ];
        $mouse = static fn (array $actions): array => [
            ['type' => 'pointer', 'id' => 'mouse', 'parameters' => ['pointerType' => 'mouse'], 'actions' => $actions],
        ];
        $perform = fn (array $actions): mixed => $this->teacher->driver->executeCustomCommand(
            '/session/:sessionId/actions',
            'POST',
            ['actions' => $mouse($actions)],
        );
        $perform($press);
        $tamsin->click('#hand')->click('#hand-window .btn-go');
        $this->teacher->waitForText('#waiting-button .count', '1');
        $perform([['type' => 'pointerUp', 'button' => 0]]);
        $this->teacher->until(fn (): bool => $this->pressed('#shown-names'), 'names on what is shown');
    }

    public function test_the_shield_hides_all_of_the_desk_at_once_whatever_is_open(): void
    {
        $tamsin = $this->join('Tamsin', $this->code);
        $tamsin->draw('.page-paper', [[0.2, 0.2], [0.5, 0.3]]);
        $this->teacher->until(fn (): bool => $this->inked($this->teacher, '.tile') > 10, 'the stroke');
        $open = [
            'the grid' => static fn () => null,
            'the close-up with its drawer' => fn () => $this->teacher->click('.tile-open')->press('w'),
            'the class picture' => fn () => $this->teacher
                ->press(self::ESCAPE)
                ->press(self::ESCAPE)
                ->press('m')
                ->find('#picture:not([hidden])'),
            'a window' => fn () => $this->teacher->press(self::ESCAPE)->press('k')->seen('#pick'),
        ];
        foreach ($open as $what => $do) {
            $do();
            usleep(300_000);
            // A field that somebody is typing in takes the letter.
            $this->teacher->run('document.activeElement.blur()');
            $this->teacher->press('b')->seen('#shield');
            $read = $this->teacher->run(
                <<<'JS'
                const seen = (one) => one.checkVisibility({ visibilityProperty: true }) && one.getClientRects().length > 0;
                return [...document.querySelectorAll('.desk-middle, .desk-middle *, #lineup, #lineup *, dialog[open], dialog[open] *, #desk-notice')].filter(seen).slice(0, 5).map((one) => one.outerHTML.slice(0, 80));
                JS
                ,
            );
            self::assertSame([], $read, "nothing is to be read under the Shield over {$what}");
            $this->teacher->press('b');
            $this->teacher->until(
                fn (): bool => ! $this->teacher->find('#shield')->isDisplayed(),
                'the Shield to come down',
            );
        }
    }

    public function test_pens_down_keeps_in_view_what_the_class_should_look_at(): void
    {
        $tamsin = $this->join('Tamsin', $this->code);
        $ada = $this->join('Ada', $this->code);
        $tamsin->draw('.page-paper', [[0.2, 0.2], [0.5, 0.3]]);
        $this->teacher->until(fn (): bool => $this->stored('Tamsin') === 1, 'the stroke');
        $screen = $this->person('screen')->visit(
            (string) $this->teacher->run('return document.querySelector("#open-screen").href'),
        );
        // With a tile chosen, the key still means everybody.
        $this->teacher->click('.tile .tile-name')->press('p');
        foreach ([$tamsin, $ada] as $student) {
            $student->waitForText('#cover', 'Look here');
            self::assertLessThan(
                120,
                $student->run('return document.querySelector("#cover").offsetHeight'),
                'a slim band',
            );
        }
        $this->teacher->press(self::ESCAPE);
        $this->teacher->run(
            'document.querySelector("#shown-on-both").click()',
        );
        $this->teacher->until(
            fn (): bool => $this->sql('select shown_on from live_sessions order by id desc limit 1') === 'both',
            'shown on both',
        );
        $this->teacher->run('document.querySelector(".tile-open").focus()');
        $this->teacher->press('j')->waitForText('#lineup', 'Tamsin');
        $this->teacher->click('.lineup-entry .chip');
        $ada->seen('#shown-work img');
        $ada->until(
            fn (): bool => $ada->run(
                'const b = document.querySelector("#shown-work img").getBoundingClientRect(), c = document.querySelector("#cover").getBoundingClientRect(); return b.height > 200 && b.top >= c.bottom - 1',
            ) === true,
            'the work under the band',
        );
        $screen->waitForText('#shown-pens', 'Look here');
        $screen->until(
            fn (): bool => $screen->run(
                'const b = document.querySelector(".shown-works img")?.getBoundingClientRect(), c = document.querySelector("#shown-pens").getBoundingClientRect(); return b !== undefined && b.height > 300 && c.height < 90 && b.top >= c.bottom - 1',
            ) === true,
            'the work under the band on the class screen',
        );

        // One more beside it: the frame that is there stays, and is never blank.
        $ada->run('window.first = document.querySelector("#shown-work img")');
        $this->teacher->run(
            '[...document.querySelectorAll(".tile-open")].find((one) => one.getAttribute("aria-label").includes("Ada")).focus()',
        );
        $this->teacher->press('p')->press('j')->waitForText('#lineup', 'Ada');
        $this->teacher->run(
            'document.querySelectorAll(".lineup-entry .chip")[1].dispatchEvent(new MouseEvent("click", { bubbles: true, ctrlKey: true }))',
        );
        $ada->until(fn (): bool => count($ada->all('#shown-work .shown-work')) === 2, 'both');
        self::assertTrue(
            $ada->run('return window.first.isConnected && window.first.complete && window.first.naturalWidth > 0'),
        );
        self::assertSame([], $screen->complaints());
    }

    public function test_who_is_there_is_known_of_covered_work_too(): void
    {
        $this->join('Tamsin', $this->code);
        $this->teacher->waitForText('.tile-name', 'Tamsin');
        $this->teacher->click('#desk-menu summary')->click('#settings-button')->click('#settings [name=cover]');
        $this->teacher->until(
            fn (): bool => $this->teacher->run('return document.body.classList.contains("is-covered")') === true,
            'covered work',
        );
        // Longer than a page may be silent.
        $away = 0;
        for ($end = microtime(true) + 7; microtime(true) < $end; usleep(250_000)) {
            $away += str_contains(
                (string) $this->teacher->run('return document.querySelector(".tile").dataset.state'),
                'away',
            )
                ? 1
                : 0;
        }
        self::assertSame(0, $away, 'a student who is here is not called away');
    }

    public function test_a_fresh_start_is_chosen_each_time_and_says_in_rust_what_it_does(): void
    {
        $this->join('Tamsin', $this->code);
        $this->teacher->waitForText('.tile-name', 'Tamsin');
        $this->teacher->click('#hand-out')->click('[name=what][value=prompt]')->click('[name=mode][value=fresh]');
        $this->teacher->waitForText('#handout-do', 'Clear 1 canvas and hand out');
        self::assertTrue(
            $this->teacher->run(
                'return document.querySelector("#handout-do").closest("button").classList.contains("btn-end")',
            ),
        );
        $this->teacher->click('.handout-end button')->waitForText('#desk-notice', 'Cleared 1 canvas and handed out');
        $this->teacher->click('#hand-out')->click('[name=what][value=prompt]');
        self::assertTrue($this->teacher->run('return document.querySelector("[name=mode][value=backdrop]").checked'));
        self::assertSame('Hand out to everyone', $this->teacher->text('#handout-do'));
        self::assertFalse(
            $this->teacher->run(
                'return document.querySelector("#handout-do").closest("button").classList.contains("btn-end")',
            ),
        );
    }

    public function test_everyone_comes_to_the_first_page_and_goes_back_to_where_they_were(): void
    {
        $session = basename($this->teacher->driver->getCurrentURL());
        $this->sql('update live_sessions set tray = ? where id = ?', [
            json_encode(['now' => ['kind' => 'maths', 'tools' => ['pages']], 'before' => null, 'changed' => 0]),
            $session,
        ]);
        $tamsin = $this->join('Tamsin', $this->code);
        $tamsin->click('[data-add-page]')->waitForText('.bench-page', 'Page 2 of 2');
        $tamsin->waitForText('#saved', 'Saved');
        $this->teacher->press('g')->waitForText('#desk-notice', 'Everyone is at prompt 1.');
        $tamsin->waitForText('.bench-page', 'Page 1 of 2');
        $this->teacher->click('#desk-notice button');
        $tamsin->waitForText('.bench-page', 'Page 2 of 2');

        // A prompt that closes is said to those who are at it.
        $this->teacher->run(
            '[...document.querySelectorAll(".rail-actions:not([hidden]) button")].find((one) => one.textContent.trim() === "Close").click()',
        );
        $tamsin->waitForText('#notice', 'This prompt is closed');
        self::assertSame([], [...$tamsin->complaints(), ...$this->teacher->complaints()]);
    }

    public function test_who_waits_is_counted_wherever_the_teacher_is(): void
    {
        $tamsin = $this->join('Tamsin', $this->code);
        $this->teacher->waitForText('.tile-name', 'Tamsin');
        $this->teacher->press('f')->find('#lead [data-ready]');
        $tamsin->click('#hand')->type('#hand-words', 'Which end?')->click('#hand-window .btn-go');
        $this->teacher->waitForText('#waiting-button .count', '1');
        $this->teacher->press('y')->waitForText('#waiting-panel', 'Which end?');
        $this->teacher->click('#waiting-all .waiting-one [data-do=talk]')->waitForText('#talk-body', 'Which end?');
        // On the lead canvas, too, P is pens for everybody; the pen has Shift.
        $this->teacher->press(self::ESCAPE)->run('document.querySelector("#lead .page-frame").focus()');
        $this->teacher->press('p');
        $tamsin->waitForText('#cover', 'Look here');
        $this->teacher
            ->press("\u{E008}", 's')
            ->until(fn (): bool => $this->pressed('#lead [data-tool=shapes]'), 'shapes by Shift and S');
        self::assertSame([], $this->teacher->complaints());
    }

    public function test_keys_pressed_one_right_after_the_other_and_a_tile_that_is_chosen_move_nothing(): void
    {
        for ($i = 1; $i <= 3; $i++) {
            $this->join("Student {$i}", $this->code);
        }
        $this->teacher->until(fn (): bool => count($this->teacher->all('.tile')) === 3, 'the class');
        $places =
            'return JSON.stringify([...document.querySelectorAll(".tile")].map((one) => { const b = one.getBoundingClientRect(); return [b.left, b.top, b.width, b.height]; }))';
        $before = $this->teacher->run($places);
        $this->teacher->click('.tile .tile-name')->seen('#chosen');
        self::assertSame($before, $this->teacher->run($places), 'the tiles stay where they are');
        $this->teacher->press(self::ESCAPE);
        $this->teacher->run('document.querySelector(".tile-open").focus()');
        $this->teacher->press("\u{E007}")->press('c');
        $this->teacher->until(
            fn (): bool => $this->teacher->run('return document.querySelector("#closeup").dataset.mode') === 'coach',
            'coach ink, though the canvas was not there yet',
        );

        // Emptied by mistake, and back again.
        $this->teacher->press(self::ESCAPE)->click('[data-do=empty-one]')->click('#empty-one [value=empty]');
        $this->teacher->waitForText('#desk-notice', 'Cleared 1 canvas');
        $this->teacher->click('#desk-notice button')->waitForText('#desk-notice', 'Undone.');
    }

    public function test_an_ask_counts_down_everywhere_and_a_tile_says_what_its_student_wrote(): void
    {
        $session = basename($this->teacher->driver->getCurrentURL());
        $this->sql('update prompts set details = ? where live_session_id = ?', [
            json_encode([
                'questions' => [['id' => 'q1', 'kind' => 'number', 'words' => 'F?', 'spot' => null, 'right' => '80 N']],
            ]),
            $session,
        ]);
        $this->teacher->driver->navigate()->refresh();
        $this->teacher->find('#grid[data-ready]');
        foreach (['Tamsin' => '80 N', 'Ada' => '80 N', 'Rafe' => '0.08 kN'] as $name => $answer) {
            $page = $this->join($name, $this->code);
            $page->click('#unfold')->type('#questions input', $answer)->press("\u{E004}");
            $page->waitForText('#saved', 'Saved');
        }
        $this->teacher->waitForText('.answer-chip .answer-n', '3');
        $this->teacher->until(
            fn (): bool => $this->teacher->run(
                'return [...document.querySelectorAll(".tile")].find((one) => one.textContent.includes("Rafe")).querySelector(".tile-answer").textContent',
            ) === '0.08 kN',
            'what Rafe wrote',
        );
        $this->teacher->press('a');
        self::writeRun($this->teacher, "F? | 80 N | 6 s\nM? | 2 N m | 60 s");
        $this->teacher->click('#run-form .btn-slate');
        $page->until(
            fn (): bool => preg_match('/^0:0\d$/', $page->text('#quick-ask-left')) === 1,
            'the time that is left, on the student\'s page',
        );
        $this->teacher->until(
            fn (): bool => preg_match('/^0:0\d$/', $this->teacher->text('#ask-left')) === 1,
            'and on the desk',
        );
        // With the panel closed the run goes on by itself.
        $this->teacher->press(self::ESCAPE)->press(self::ESCAPE);
        $page->waitForText('#quick-ask-body', 'M?');
    }

    private function pressed(string $selector): bool
    {
        return $this->teacher->run(
            'return document.querySelector(arguments[0])?.getAttribute("aria-pressed")',
            $selector,
        ) === 'true';
    }
}
