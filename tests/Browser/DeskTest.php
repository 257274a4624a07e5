<?php

declare(strict_types=1);

namespace Tests\Browser;

use Deploy\Browser\Page;
use PHPUnit\Framework\Attributes\TestWith;
use Tests\Support\BrowserTestCase;
use Tests\Support\Visitor;

/** The desk as it is used while talking: nothing cut off on any screen, and how many taps each thing takes. */
final class DeskTest extends BrowserTestCase
{
    private const ESCAPE = "\u{E00C}";

    private const ENTER = "\u{E006}";

    private const RIGHT = "\u{E014}";

    /** What lies over the grid, by its key. */
    private const PANELS = ['s', 'a', 'h', 'y', 't', 'd', 'e', 'i', '?'];

    /** What can be pressed is in sight, or can be scrolled to; nothing makes the page wider than the screen. */
    private const CUT = <<<'JS'
        const wide = document.documentElement.scrollWidth > innerWidth ? ['the page is ' + document.documentElement.scrollWidth] : [];
        const scrolls = (node) => {
            for (let one = node.parentElement; one !== null; one = one.parentElement) {
                const { overflowX } = getComputedStyle(one);
                if (['auto', 'scroll'].includes(overflowX) && one.scrollWidth > one.clientWidth + 1) return true;
            }
            return false;
        };
        const cut = [...document.querySelectorAll('button, a, input, select, textarea')].filter((one) => {
            if (!one.checkVisibility({ checkVisibilityCSS: true, opacityProperty: true }) || one.closest('.tile') !== null) return false;
            const { left, right, width } = one.getBoundingClientRect();
            return width > 1 && (left < -1 || right > innerWidth + 1) && !scrolls(one);
        });
        return [...wide, ...cut.map((one) => (one.id || one.dataset.do || one.className) + ' ' + one.textContent.trim().slice(0, 20))];
        JS;

    private Page $teacher;

    private string $code;

    public function test_benches_that_are_opened_fast_are_made_once_and_work_after_each_other(): void
    {
        $this->begin(['Tamsin']);
        // Open, shut and open again before the first bench is there.
        $this->teacher->run("for (let i = 0; i < 3; i++) document.body.dispatchEvent(new KeyboardEvent('keydown', { key: 'f', bubbles: true }));");
        $this->teacher->find('#lead [data-ready]');
        $stroke = [[0.3, 0.4], [0.5, 0.5], [0.6, 0.4]];
        $this->teacher->draw('#page-frame', $stroke);
        $drawn = "select count(*) from operations where kind = 'add' and layer = ?";
        $this->teacher->until(fn (): bool => (int) $this->sql($drawn, ['lead']) === 1, 'the lead canvas to have a stroke');
        // Straight on to a student's canvas, with coach ink before the page is there.
        $this->teacher->press('f')->click('.tile-open')->press('c')->find('#closeup[data-mode=coach] [data-ready]');
        $this->teacher->draw('#closeup-page-frame', $stroke);
        $this->teacher->until(fn (): bool => (int) $this->sql($drawn, ['coach']) === 1, 'the student to have coach ink');
        self::assertSame(
            [1, 1, []],
            $this->teacher->run(<<<'JS'
            const ids = [...document.querySelectorAll('[id]')].map((one) => one.id);
            return [
                document.querySelectorAll('#lead .page-dry').length,
                document.querySelectorAll('#closeup .page-frame').length,
                ids.filter((id, i) => ids.indexOf(id) !== i),
            ];
            JS),
        );
        self::assertSame([], $this->teacher->complaints());
    }

    public function test_a_prompts_lead_canvas_is_drawn_on_when_it_is_there(): void
    {
        $this->begin(['Tamsin']);
        $stroke = [[0.3, 0.4], [0.5, 0.5], [0.6, 0.4]];
        $drawn = fn (): int => (int) $this->sql(
            "select count(distinct canvas_id) from operations where kind = 'add' and layer = 'lead'
                and live_session_id = (select id from live_sessions order by rowid desc limit 1)",
        );
        $this->teacher->press('f')->find('#lead [data-ready]');
        $this->teacher->draw('#page-frame', $stroke)->until(fn (): bool => $drawn() === 1, 'a stroke');
        $this->teacher->press('f')->click('#add-prompt-button')->type('#add-words', 'Brace it.')->click('#add-prompt .btn-go');
        $this->teacher->waitForText('#rail', 'Brace it.')->click('#rail-2')->find('#grid[data-ready]');
        // What is asked for and given up comes late, and is not taken; nor is the canvas before drawn on meanwhile.
        self::holdAnswers($this->teacher, '/lead');
        $this->teacher->press('f')->find('#lead[aria-busy=true]');
        $this->teacher->press('f')->click('#rail-1')->find('#rail-1[aria-pressed=true]');
        $this->teacher->press('f')->find('#lead[aria-busy=false]:not([hidden])');
        self::letAnswersGo($this->teacher, true);
        self::assertGreaterThan(0, $this->inked($this->teacher, '#lead .page-frame'), 'the first prompt\'s');
        $this->teacher->press('f')->click('#rail-2')->find('#rail-2[aria-pressed=true]');
        $this->teacher->press('f')->find('#lead[aria-busy=true]');
        $this->teacher->draw('#page-frame', $stroke);
        self::assertSame('lead', $this->teacher->run(<<<'JS'
            const { left, top, width, height } = document.querySelector('.tile-open').getBoundingClientRect();
            return document.elementFromPoint(left + width / 2, top + height / 2).closest('#lead, .tile').id;
            JS), 'no press goes through to a tile');
        self::letAnswersGo($this->teacher);
        $this->teacher->find('#lead[aria-busy=false] [data-ready]');
        self::assertSame(0, $this->inked($this->teacher, '#lead .page-frame'), 'nothing on the second yet');
        $this->teacher->draw('#page-frame', $stroke)->until(fn (): bool => $drawn() === 2, 'a stroke on the second');
        self::assertSame([], $this->teacher->complaints());
    }

    public function test_a_canvas_that_is_open_stays_open_when_the_others_are_asked_for_anew(): void
    {
        $this->begin(['Tamsin']);
        self::closeUp($this->teacher, 'Tamsin');
        $this->teacher->press('c')->find('#closeup[data-mode=coach]');
        $this->comeAnew();
        $this->teacher->find('#closeup[data-mode=coach]:not([hidden])');
        self::assertCount(1, $this->teacher->all('.tile.is-close'));
        // What is drawn on either side is there as before.
        $before = $this->inked($this->teacher, '#closeup-page-frame');
        $this->people['Tamsin']->draw('.page-paper', [[0.2, 0.7], [0.6, 0.8]]);
        $this->teacher->until(fn (): bool => $this->inked($this->teacher, '#closeup-page-frame') > $before, 'their ink');
        $this->teacher->draw('#closeup-page-frame', [[0.3, 0.4], [0.5, 0.5], [0.6, 0.4]]);
        $coached = "select count(*) from operations where layer = 'coach'";
        $this->teacher->until(fn (): bool => (int) $this->sql($coached) === 1, 'coach ink');
        // With private notes under the pen, what is missed of the canvas comes below them.
        $this->teacher->click('.closeup-modes [data-mode=private]')->find('#closeup[data-mode=private]');
        $this->comeAnew();
        $this->teacher->find('#closeup[data-mode=private]:not([hidden])');
        $below = fn (): int => $this->inked($this->teacher, '#closeup-page-frame .page-below');
        $before = $below();
        $this->people['Tamsin']->draw('.page-paper', [[0.2, 0.8], [0.6, 0.9]]);
        $this->teacher->until(fn (): bool => $below() > $before, 'their ink');
        $this->teacher->until(
            fn (): bool => $below() === $this->inked($this->teacher, '#closeup-page-frame'),
            'nothing of it among the notes',
        );
        // Escape puts the pen down, and then the canvas.
        $this->teacher->press(self::ESCAPE)->press(self::ESCAPE);
        self::assertSame([], $this->teacher->all('#closeup:not([hidden])'));
        self::assertSame([], $this->teacher->complaints());
    }

    public function test_who_is_opened_while_another_prompt_is_on_its_way_is_seen_on_that_prompt(): void
    {
        $this->begin(['Tamsin', 'Wren']);
        $this->teacher->click('#add-prompt-button')->type('#add-words', 'Brace it.')->click('#add-prompt .btn-go');
        $this->teacher->waitForText('#rail', 'Brace it.')->click('#rail-2')->find('#grid[data-ready]');
        $this->teacher->press('g');
        $this->teacher->waitForText('#rail-2', 'students are here');
        $this->people['Wren']->waitForText('#prompt-line', 'Brace it.');
        $this->people['Wren']->draw('.page-paper', [[0.3, 0.6], [0.6, 0.6]]);
        $this->people['Wren']->waitForText('#saved', 'Saved');
        $this->teacher->click('#rail-1');
        $this->teacher->until(fn (): bool => $this->inked($this->teacher, '.tile') > 0, 'the first prompt');
        self::holdAnswers($this->teacher, '/canvases');
        $this->teacher->click('#rail-2');
        self::closeUp($this->teacher, 'Wren');
        self::letAnswersGo($this->teacher);
        $canvas = (string) $this->sql(
            "select canvases.id from canvases join seats on seats.id = seat_id where name = 'Wren' order by canvases.rowid desc",
        );
        $this->teacher->find("#closeup:not([hidden]) #closeup-page-frame[data-ready=\"{$canvas}\"]");
        $this->teacher->waitForText('#closeup-name', 'Wren');
        self::assertCount(1, $this->teacher->all('.tile.is-close'));
        self::assertSame([], $this->teacher->complaints());
    }

    public function test_canvases_beside_each_other_keep_up_and_are_called_as_the_desk_calls_them(): void
    {
        $this->begin(['Tamsin', 'Wren']);
        $this->teacher->click('.tile:nth-child(1) .tile-name')->click('.tile:nth-child(2) .tile-name');
        $this->teacher->waitForText('#chosen-count', '2 chosen');
        $dry = fn (): int => $this->inked($this->teacher, '.tile:nth-child(1) .page-dry');
        $before = $dry();
        // A stroke that comes while the log is on its way is no more of it than the others.
        self::holdAnswers($this->teacher, '/log');
        $this->teacher->press('v');
        $this->people['Tamsin']->draw('.page-paper', [[0.2, 0.7], [0.6, 0.8]]);
        $this->teacher->until(fn (): bool => $dry() > $before, 'the stroke on the tile');
        $this->teacher->until(
            fn (): bool => $this->teacher->run('return window.heldAnswers.length') === 2,
            'both logs',
        );
        self::letAnswersGo($this->teacher, true);
        $this->teacher->find('#compare[data-ready]');
        $all = $this->atStep(2);
        self::assertLessThan($all, $this->atStep(1), 'the second stroke');
        self::assertSame($all, $this->atStep(2), 'both strokes, as they were when it was opened');

        // Names are those of the desk, as they change.
        self::assertSame(['Tamsin', 'Wren'], $this->besideNames());
        $this->teacher->press('n');
        self::assertSame(['Seat 1', 'Seat 2'], $this->besideNames());
        $this->teacher->press('n')->press('n');
        $seat = $this->teacher->find('.tile:nth-child(2)')->getAttribute('data-seat');
        $this->postAs($this->teacher, 'rename', ['seat' => $seat, 'name' => 'Wren B.']);
        $this->teacher->until(fn (): bool => $this->besideNames() === ['Tamsin', 'Wren B.'], 'the new name');

        // The grid comes anew, and they stay.
        $this->comeAnew();
        $this->people['Tamsin']->draw('.page-paper', [[0.2, 0.9], [0.6, 0.9]]);
        $this->teacher->until(fn (): bool => $this->inked($this->teacher, '.compare-pane:nth-child(1)') > $all, 'their ink');
        self::letAnswersGo($this->teacher);
        self::assertSame(['Tamsin', 'Wren B.'], $this->besideNames());
        $this->teacher->press(self::ESCAPE);
        self::assertFalse($this->teacher->find('#compare')->isDisplayed());
        self::assertSame([], $this->teacher->complaints());
    }

    /** How much ink the first of those beside each other has after so many steps. */
    private function atStep(int $at): int
    {
        $this->teacher->run(
            <<<'JS'
            const slider = document.querySelector('.compare-at');
            slider.value = arguments[0];
            slider.dispatchEvent(new Event('input'));
            JS
            ,
            $at,
        );

        return $this->inked($this->teacher, '.compare-pane:nth-child(1)');
    }

    /** @return list<string> what can be read over those beside each other */
    private function besideNames(): array
    {
        $names = $this->teacher->run('return [...document.querySelectorAll(".compare-name")].map((one) => one.innerText)');

        return is_array($names) ? array_values(array_map(strval(...), $names)) : [];
    }

    public function test_who_comes_back_and_draws_at_once_is_seen_with_all_of_it(): void
    {
        $this->begin(['Tamsin']);
        $tamsin = $this->people['Tamsin'];
        $dry = fn (): int => $this->inked($this->teacher, '.tile .page-dry');
        $whole = $this->teacher->until($dry, 'what is there');
        $seat = $this->teacher->find('.tile')->getAttribute('data-seat');
        $this->postAs($this->teacher, 'send-out', ['seat' => $seat]);
        $tamsin->seen('#knock');
        $this->teacher->until(fn (): bool => $this->teacher->all('.tile') === [], 'the empty place');
        // Their log is on its way while they draw already.
        self::holdAnswers($this->teacher, '/log');
        $this->postAs($this->teacher, 'let-in', ['seats' => [$seat]]);
        $tamsin->find('#page-frame[data-ready]');
        $tamsin->draw('.page-paper', [[0.2, 0.8], [0.5, 0.8]]);
        $fresh = $this->teacher->until($dry, 'the stroke');
        self::letAnswersGo($this->teacher);
        $this->teacher->until(fn (): bool => $dry() >= $whole + $fresh, 'what was there before, and the stroke');
        self::assertSame([], $this->teacher->complaints());
    }

    public function test_a_check_pass_goes_on_when_the_grid_comes_anew(): void
    {
        $this->begin(['Tamsin', 'Wren']);
        $this->teacher->run('document.querySelector("[data-do=pass]").click()');
        $this->teacher->waitForText('#closeup-name', 'Tamsin')->waitForText('#pass-at', '1');
        $this->comeAnew();
        $this->teacher->seen('#pass');
        $this->teacher->press('3')->waitForText('#closeup-name', 'Wren');
        self::assertSame(
            ['Wren'],
            $this->teacher->run('return [...document.querySelectorAll(".tile.is-close .name-real")].map((one) => one.textContent)'),
        );
        $this->teacher->until(
            fn (): bool => $this->teacher->all('.tile[data-level="3"]') !== [],
            'the check to stand on the tile that is there',
        );
        self::assertSame([], $this->teacher->complaints());
    }

    #[TestWith([1280, 800])]
    #[TestWith([1024, 768])]
    #[TestWith([820, 1180])]
    #[TestWith([1180, 820])]
    #[TestWith([390, 844])]
    public function test_nothing_is_cut_off_in_any_panel_or_mode(int $width, int $height): void
    {
        $this->begin(['Tamsin', 'Wren']);
        $this->teacher->emulate($width, $height);
        $this->fits('the grid');
        foreach (self::PANELS as $key) {
            $this->teacher->press($key)->seen('#drawer');
            $this->fits("the panel of {$key}");
            $this->teacher->press(self::ESCAPE);
        }
        foreach (['#tools-button' => '#tools', '#settings-button' => '#settings'] as $button => $panel) {
            $this->teacher->click('#desk-menu summary')->click($button)->seen($panel);
            $this->fits($panel);
            $this->teacher->press(self::ESCAPE);
        }
        $this->teacher->run('document.querySelector(".tile-open").focus()');
        $this->teacher->press(self::ENTER)->find('#closeup-page-frame[data-ready]');
        $this->fits('the close-up');
        $this->teacher->press('c');
        $this->fits('coach ink');
        $this->teacher->press(self::ESCAPE)->press(self::ESCAPE)->press('q')->seen('#pass');
        $this->fits('the check pass');
        $this->teacher->press(self::ESCAPE)->press('f')->find('#lead [data-ready]');
        $this->fits('the lead canvas');
        $this->teacher->press('f')->press('m')->seen('#picture');
        $this->fits('the class picture');
        $this->teacher->press(self::ESCAPE);
        $this->teacher->run('document.querySelectorAll(".tile-name").forEach((one) => one.click())');
        $this->teacher->seen('#chosen');
        $this->fits('what is chosen');
        self::assertSame([], $this->teacher->complaints());
    }

    public function test_on_a_tablet_all_of_it_is_done_by_touch(): void
    {
        $this->begin(['Tamsin']);
        $this->teacher->emulate(820, 1180);
        $this->teacher->click('#rail-button')->seen('#pace');
        self::assertSame('true', $this->teacher->find('#rail-button')->getAttribute('aria-expanded'));
        $this->teacher->press(self::ESCAPE);
        self::assertFalse($this->teacher->find('#pace')->isDisplayed());
        $this->teacher->click('.now-prompt');
        self::assertSame('true', $this->teacher->find('.now-prompt')->getAttribute('aria-expanded'));
        $this->teacher->click('.now-prompt');
        // The acts lie where a thumb reaches them, and are large enough for it.
        $boxes = $this->teacher->run(
            'return [...document.querySelectorAll(".act")].map((one) => one.getBoundingClientRect()).map((b) => [b.top, b.height])',
        );
        self::assertCount(5, (array) $boxes);
        foreach ((array) $boxes as [$top, $tall]) {
            self::assertGreaterThan(1100, $top);
            self::assertGreaterThanOrEqual(44, $tall);
        }
        $this->teacher->click('#pens')->waitForText('.pens-word', 'Pens up');
        $this->teacher->click('#pens')->waitForText('.pens-word', 'Pens down');
    }

    public function test_in_the_close_up_a_press_jumps_to_any_other_student(): void
    {
        $this->begin(['Tamsin', 'Wren', 'Rafe']);
        $this->teacher->click('.tile-open')->waitForText('#closeup-name', 'Tamsin');
        $this->teacher->click('#closeup-strip button:nth-child(3)')->waitForText('#closeup-name', 'Rafe');
        $current = 'return document.querySelector("#closeup-strip [aria-current]").innerText.trim()';
        $this->teacher->until(fn (): bool => $this->teacher->run($current) === 'Rafe', 'to be marked there');
        $this->teacher->press('3')->until(
            fn (): bool => $this->teacher->all('#closeup-strip button:nth-child(3)[data-level="3"]') !== [],
            'the check to stand there too',
        );
        // With names hidden on this desk, none is in the strip.
        $this->teacher->press('n')->until(fn (): bool => $this->teacher->run($current) === 'Seat 3', 'the seat number');
    }

    public function test_a_finger_wipes_to_the_next_student_while_the_page_is_seen_whole(): void
    {
        $this->begin(['Tamsin', 'Wren']);
        $this->teacher->emulate(820, 1180);
        $this->teacher->click('.tile-open')->waitForText('#closeup-name', 'Tamsin');
        $this->teacher->find('#closeup-page-frame[data-ready]');
        $this->teacher->draw('#closeup-page-frame', [[0.8, 0.5], [0.5, 0.5], [0.2, 0.5]], 'touch')
            ->waitForText('#closeup-name', 'Wren');
        $this->teacher->find('#closeup-page-frame[data-ready]');
        // Up and down is not meant, and neither is anything while one draws.
        $this->teacher->draw('#closeup-page-frame', [[0.5, 0.2], [0.55, 0.8]], 'touch')
            ->draw('#closeup-page-frame', [[0.2, 0.5], [0.5, 0.5], [0.8, 0.5]], 'touch')
            ->waitForText('#closeup-name', 'Tamsin');
        $this->teacher->press('c')->until(
            fn (): bool => $this->teacher->find('#closeup')->getAttribute('data-mode') === 'coach',
            'coach ink',
        );
        $this->teacher->draw('#closeup-page-frame', [[0.8, 0.3], [0.5, 0.3], [0.2, 0.3]], 'touch')
            ->waitForText('#closeup-saved', 'The student has it');
        self::assertStringContainsString('Tamsin', $this->teacher->text('#closeup-name'));
    }

    public function test_a_check_pass_is_one_key_for_each_student_and_ends_with_the_class_picture(): void
    {
        $this->begin(['Tamsin', 'Wren', 'Rafe']);
        $this->teacher->press('q')->waitForText('#pass-at', '1 of 3');
        $this->teacher->click('#pass-nameless');
        self::assertSame(
            'hidden',
            $this->teacher->run('return getComputedStyle(document.querySelector("#closeup-name")).visibility'),
        );
        // Three keys fast after one another are three checks.
        $this->teacher->press('2')->press('3')->press('1')->seen('#picture');
        $checks = $this->sql(
            'select count(*) from checks where canvas_id in (select id from canvases where live_session_id = ?)',
            [basename($this->teacher->driver->getCurrentURL())],
        );
        self::assertSame(3, $checks, 'the class picture waits for all of them');
        self::assertSame(
            ['2', '3', '1'],
            $this->teacher->run('return [...document.querySelectorAll(".tile")].map((one) => one.dataset.level)'),
        );
        self::assertFalse($this->teacher->find('#pass')->isDisplayed());
        self::assertFalse($this->teacher->run('return document.body.classList.contains("is-nameless")'));
        // Left in the middle, it is over: a digit checks the tile that is meant, and no other follows.
        $this->teacher->press(self::ESCAPE)->press('q')->waitForText('#pass-at', '1 of 3');
        $this->teacher->press(self::ESCAPE);
        $this->teacher->until(fn (): bool => ! $this->teacher->find('#closeup')->isDisplayed(), 'the grid');
        $this->teacher->run('document.querySelector(".tile-open").focus()');
        $this->teacher->press('0')->waitForText('#tally > [data-level="0"]', '1');
        self::assertFalse($this->teacher->find('#closeup')->isDisplayed());
        // Of what is chosen, only these.
        $this->teacher->run('document.querySelectorAll(".tile-name").forEach((one, i) => i > 0 && one.click())');
        $this->teacher->waitForText('#chosen-count', '2 chosen')->press('q')->waitForText('#pass-at', '1 of 2');
        self::assertSame([], $this->teacher->complaints());
    }

    public function test_a_pass_takes_notes_and_phrases_by_key_and_goes_on_when_a_student_leaves(): void
    {
        $this->begin(['Isolde', 'Bran', 'Corin']);
        $note = fn (string $name): mixed => $this->sql(
            'select checks.note from checks join canvases on canvases.id = checks.canvas_id join seats on seats.id = canvases.seat_id where seats.name = ? order by checks.id desc',
            [$name],
        );
        $this->teacher->press('q')->waitForText('#pass-at', '1 of 3')->seen('.marking-note textarea');
        $this->teacher->press('.');
        self::assertSame('note', $this->teacher->run('return document.activeElement.name'));
        $this->teacher->find('.marking-note textarea')->sendKeys('Label the 3 kN load'.self::ENTER);
        $this->teacher->until(fn (): bool => $note('Isolde') === 'Label the 3 kN load', 'the note is kept');
        // The 3 was typed, and is no level.
        self::assertSame('1 of 3', $this->teacher->text('#pass-at'));
        $this->teacher->click('[data-then=phrases].mini-text')->waitForText('.phrase', 'Label the 3 kN load');
        $this->teacher->press('2')->waitForText('#pass-at', '2 of 3')->waitForText('.phrase', 'Label the 3 kN load');
        self::assertSame('', $this->teacher->run('return document.querySelector(".marking-note textarea").value'));
        $this->teacher->press('7');
        $this->teacher->until(fn (): bool => $note('Bran') === 'Label the 3 kN load', 'the phrase is kept');
        // Points by keys, as fast as they come.
        $this->teacher->press(';')->press(';')->press(';')->press(',');
        $points = fn (): mixed => $this->sql(
            'select points from checks join canvases on canvases.id = checks.canvas_id join seats on seats.id = canvases.seat_id where seats.name = ? order by checks.id desc',
            ['Bran'],
        );
        $this->teacher->until(fn (): bool => (float) $points() === 2.0, 'two points');
        // Who leaves while they are looked at is passed over.
        $bran = $this->sql('select id from seats where name = ?', ['Bran']);
        $this->postAs($this->teacher, 'send-out', ['seat' => $bran, 'reason' => '']);
        $this->teacher->waitForText('#pass-at', '2 of 2')->waitForText('#closeup-name', 'Corin');
        $this->teacher->press('3')->seen('#picture');
        $this->teacher->press(self::ESCAPE);
        // Nothing is gone through while the work is covered.
        $this->teacher->click('#desk-menu summary')->click('#settings-button')->click('#settings input[name=cover]')->until(
            fn (): bool => $this->teacher->run('return document.body.classList.contains("is-covered")') === true,
            'covered',
        );
        $this->teacher->press(self::ESCAPE)->press('q')->waitForText('#desk-notice', 'Covered');
        self::assertFalse($this->teacher->find('#pass')->isDisplayed());
        self::assertSame([], $this->teacher->complaints());
    }

    public function test_a_picture_that_is_pasted_or_dropped_is_seen_before_it_is_handed_out(): void
    {
        $this->begin(['Sefton']);
        $this->teacher->press('h')->waitForText('#handout-prompt', 'For prompt 1');
        $shown = fn (): string => (string) $this->teacher->run(
            'const img = document.querySelector("#handout-preview img"); return img.hidden ? "" : img.src',
        );
        $this->teacher->until(fn (): bool => str_starts_with($shown(), 'data:image/png'), 'the backdrop');
        $blank = $shown();
        $this->teacher->run('document.querySelector("[name=backdrop][value=axes]").click()');
        $this->teacher->until(fn (): bool => ! in_array($shown(), ['', $blank], true), 'another backdrop');
        $axes = $shown();
        $bring = fn (string $event, string $carrier): mixed => $this->teacher->run(
            <<<'JS'
            const canvas = Object.assign(document.createElement('canvas'), { width: 60, height: 40 });
            const ink = canvas.getContext('2d');
            ink.fillStyle = arguments[0] === 'paste' ? '#2272b5' : '#8f2d1a';
            ink.fillRect(0, 0, 60, 40);
            canvas.toBlob((blob) => {
                const data = new DataTransfer();
                data.items.add(new File([blob], 'beam.png', { type: 'image/png' }));
                const target = arguments[0] === 'paste' ? document : document.querySelector('#handout');
                const event = new Event(arguments[0], { bubbles: true, cancelable: true });
                event[arguments[1]] = data;
                target.dispatchEvent(event);
            });
            JS
            ,
            $event,
            $carrier,
        );
        $bring('paste', 'clipboardData');
        $this->teacher->until(fn (): bool => ! in_array($shown(), ['', $axes], true), 'the pasted picture');
        $pasted = $shown();
        $bring('drop', 'dataTransfer');
        $this->teacher->until(fn (): bool => ! in_array($shown(), ['', $pasted], true), 'the dropped one');
        self::assertTrue($this->teacher->run('return document.querySelector("[name=what][value=picture]").checked'));
        $this->teacher->click('#handout-form .btn-go')->waitForText('#desk-notice', 'Handed out on 1 canvas');
        self::assertSame(
            'A picture',
            $this->sql('select label from handouts order by made_at_ms desc, id desc'),
        );
        // What was looked at and not given left nothing on any page.
        self::assertSame([], $this->teacher->complaints());
    }

    public function test_the_live_view_stands_still_for_one_and_for_all_and_loses_nothing(): void
    {
        [$this->teacher, $this->code] = $this->startLesson();
        $one = $this->join('Percival', $this->code);
        $other = $this->join('Quill', $this->code);
        $this->teacher->until(fn (): bool => count($this->teacher->all('.tile')) === 2, 'the tiles');
        $drawn = fn (int $n): int => $this->inked($this->teacher, ".tile:nth-child({$n}) .tile-page");
        // Ink that is still under way is drawn a little otherwise.
        $dry = fn (int $n): bool => $this->inked($this->teacher, ".tile:nth-child({$n}) .page-dry") > 0;
        $draws = function (Page $student, string $name, int $n): void {
            $student->draw('.page-paper', [[0.1 * $n, 0.2], [0.1 * $n, 0.6]]);
            $student->until(fn (): bool => $this->stored($name) === $n, "stroke {$n} of {$name}");
        };
        $draws($one, 'Percival', 1);
        $this->teacher->until(fn (): bool => $dry(1), 'the first stroke');
        $first = $drawn(1);
        $this->teacher->run('document.querySelector(".tile-open").click()');
        $this->teacher->find('#closeup-page-frame[data-ready]');
        $this->teacher->click('#hold-one')->waitForText('#held', '1 held since');
        $draws($one, 'Percival', 2);
        $draws($other, 'Quill', 1);
        $this->teacher->press(self::ESCAPE)->until(fn (): bool => $dry(2), 'the other goes on');
        $second = $drawn(2);
        self::assertSame($first, $drawn(1));
        self::assertTrue($this->teacher->find('.tile-held')->isDisplayed());
        $this->teacher->click('#view-menu summary')->click('#hold')->waitForText('#held', 'Held since');
        $draws($other, 'Quill', 2);
        $draws($one, 'Percival', 3);
        // The states are counted all the same: the held ink is there, and is not drawn.
        self::assertSame([$first, $second], [$drawn(1), $drawn(2)]);
        // While all are held, one is let go and held again.
        $this->teacher->run('document.querySelector(".tile-open").click()');
        $this->teacher->find('#closeup-page-frame[data-ready]');
        $this->teacher->click('#hold-one')->press(self::ESCAPE)->until(
            fn (): bool => $drawn(1) > 2 * $first,
            'one goes on',
        );
        self::assertSame($second, $drawn(2));
        $this->teacher->click('#held');
        $this->teacher->until(fn (): bool => $drawn(1) > 2 * $first && $drawn(2) > 1.5 * $second, 'all that was held');
        self::assertFalse($this->teacher->find('#held')->isDisplayed());
        // A colleague's desk says where it is.
        $session = $this->sql("select id || '/' || helper_key from live_sessions order by created_at desc, id desc");
        $helper = $this->person('helper')->visit(self::$crag->address()."/beside/{$session}");
        $helper->type('[name=name]', 'Mr Abara')->click('.btn-go')->find('#grid[data-ready]');
        $this->teacher->waitForText('#colleagues', 'Mr Abara');
        $helper->run('document.querySelectorAll(".tile-open")[1].click()');
        $this->teacher->waitForText('#colleagues', 'Mr Abara (helper), at Quill’s canvas');
        self::assertTrue($this->teacher->all('.tile-colleague')[1]->isDisplayed());
        $helper->press(self::ESCAPE);
        $this->teacher->until(fn (): bool => $this->teacher->text('#colleagues') === 'Mr Abara (helper)', 'back at the grid');
        // Less data is said on the tile.
        $one->run('document.querySelector("#light").click()');
        $this->teacher->until(fn (): bool => $this->teacher->all('.tile-light')[0]->isDisplayed(), 'light data');
        self::assertSame([], $this->teacher->complaints());
    }

    public function test_what_was_done_to_the_room_is_undone_from_the_list(): void
    {
        [$this->teacher, $this->code] = $this->startLesson();
        $student = $this->join('Ottoline', $this->code);
        $this->teacher->find('.tile');
        $this->teacher->press('p')->waitForText('#desk-notice', 'Pens down for 1 student.');
        $student->seen('#cover');
        $this->teacher->press('i')->waitForText('#done-body', 'Pens down for 1 student.');
        $this->teacher->click('.done-act button')->waitForText('#desk-notice', 'Pens are up again.');
        $student->until(fn (): bool => ! $student->find('#cover')->isDisplayed(), 'pens up on the page');
        $this->teacher->waitForText('.done-act', 'undone');
        self::assertSame([], $this->teacher->all('.done-act button'));
        self::assertSame([], $this->teacher->complaints());
    }

    public function test_what_was_drawn_over_work_a_moment_ago_is_handed_out_with_it(): void
    {
        $this->begin(['Tamsin']);
        $this->teacher->run('document.querySelector(".tile-open").focus()');
        $this->teacher->press('s')->press(self::ENTER)->waitForText('.show-now', 'Chosen work');
        $this->teacher->press('s')->press('u')->find('#talking [data-ready]');
        $this->teacher->draw('#talking .page-paper', [[0.3, 0.6], [0.6, 0.7], [0.8, 0.6]])->click('#talking-give');
        $this->teacher->waitForText('#desk-notice', 'On 1 canvas, under the ink.');
        $given = (array) json_decode((string) $this->sql(
            "select json_group_array(json(body)) from operations where layer = 'lead' and kind = 'add'
                and live_session_id = (select id from live_sessions order by rowid desc limit 1)",
        ), true);
        self::assertCount(2, $given, 'the work, and what was drawn over it');
        self::assertSame([], $this->teacher->complaints());
    }

    public function test_of_two_works_pressed_fast_the_later_one_is_talked_about(): void
    {
        $this->begin(['Tamsin', 'Wren']);
        $this->teacher->run('document.querySelectorAll(".tile-name").forEach((one) => one.click())');
        $this->teacher->press('s')->waitForText('#show-these', 'these 2')->press(self::ENTER);
        $this->teacher->waitForText('.show-now', 'Chosen work')->press('s')->press('u');
        $first = $this->teacher->find('#talking [data-ready]')->getAttribute('data-ready');
        self::holdAnswers($this->teacher, '/over');
        $this->teacher->click('#talking-which [data-n="2"]')->click('#talking-which [data-n="1"]');
        $this->teacher->until(
            fn (): bool => $this->teacher->run('return window.heldAnswers.length') === 2,
            'both to be asked for',
        );
        // What was asked for last has its answer first.
        $this->teacher->run('window.heldAnswers.pop()()');
        self::letAnswersGo($this->teacher);
        $this->teacher->draw('#talking .page-paper', [[0.3, 0.6], [0.6, 0.7], [0.8, 0.6]]);
        $drawn = "select canvas_id from operations where layer = 'lead' and kind = 'add'
            and live_session_id = (select id from live_sessions order by rowid desc limit 1)";
        $this->teacher->until(fn (): bool => is_string($this->sql($drawn)), 'what is drawn over it');
        self::assertSame($first, $this->sql($drawn));
        $this->teacher->find('#talking-which [data-n="1"][aria-pressed=true]');
        self::assertSame([], $this->teacher->complaints());
    }

    public function test_a_replay_that_comes_late_does_not_lie_over_the_next_student(): void
    {
        $this->begin(['Tamsin', 'Wren']);
        self::closeUp($this->teacher, 'Tamsin');
        self::holdAnswers($this->teacher, '/replay');
        $this->teacher->press('r');
        $held = fn (int $n): bool => $this->teacher->run('return window.heldAnswers.length') === $n;
        $this->teacher->until(fn (): bool => $held(1), 'the replay to be asked for');
        $this->teacher->press(self::RIGHT)->waitForText('#closeup-name', 'Wren');
        self::letAnswersGo($this->teacher, true);
        $before = $this->inked($this->teacher, '#closeup-page-frame');
        $this->people['Wren']->draw('.page-paper', [[0.2, 0.7], [0.6, 0.8]]);
        $this->teacher->until(fn (): bool => $this->inked($this->teacher, '#closeup-page-frame') > $before, 'their ink');
        self::assertFalse($this->teacher->find('#player')->isDisplayed());
        // Pressed twice it plays once, and Escape ends what is still on its way.
        $this->teacher->press('r')->press('r');
        $this->teacher->until(fn (): bool => $held(2), 'both to be asked for');
        self::letAnswersGo($this->teacher);
        $this->teacher->seen('#player');
        $this->teacher->press(self::ESCAPE);
        self::assertFalse($this->teacher->find('#player')->isDisplayed());
        self::assertTrue($this->teacher->find('#closeup')->isDisplayed());
        self::assertSame([], $this->teacher->complaints());
    }

    public function test_what_is_opened_or_written_while_an_answer_is_on_its_way_stays(): void
    {
        $this->begin(['Tamsin']);
        $open = fn (): mixed => $this->teacher->run('return document.querySelector("#drawer:not([hidden])")?.dataset.panel');
        self::holdAnswers($this->teacher, 'hand-out');
        // Handed out, and the panel open again with the next words before the answer is here.
        $this->teacher->press('h')->type('#handout-words', 'Brace it.')->click('#handout .btn-go');
        $this->people['Tamsin']->waitForText('#prompt-line', 'Brace it.');
        $this->teacher->press(self::ESCAPE)->press('h')->type('#handout-words', 'Now load it.');
        self::letAnswersGo($this->teacher, true);
        // The next can be handed out once the one before has its answer.
        $next = fn (): bool => $this->teacher->run(
            'document.querySelector("#handout .btn-go").click(); return window.heldAnswers.length > 0',
        ) === true;
        $this->teacher->until($next, 'the next to be handed out');
        self::assertSame('handout', $open());
        $this->people['Tamsin']->waitForText('#prompt-line', 'Now load it.');
        // Another panel open meanwhile.
        $this->teacher->run('document.activeElement.blur()');
        $this->teacher->press('d');
        self::letAnswersGo($this->teacher, true);
        $this->teacher->until($next, 'the answer to be taken');
        self::assertSame('door', $open());
        self::assertSame([], $this->teacher->complaints());
    }

    public function test_what_was_written_to_one_student_does_not_come_late_under_anothers_name(): void
    {
        $this->begin(['Tamsin', 'Wren']);
        self::holdAnswers($this->teacher, '/student/');
        $this->teacher->press('d')->click('.seat-list li:nth-child(1) .seat-line');
        $isHeld = fn (): bool => $this->teacher->run('return window.heldAnswers.length') === 1;
        $this->teacher->until($isHeld, 'the first to be asked for');
        $this->teacher->press('d')->click('.seat-list li:nth-child(2) .seat-line');
        self::letAnswersGo($this->teacher, true);
        $this->teacher->until($isHeld, 'the second to be asked for');
        self::assertCount(0, $this->teacher->all('#talk-body > *'));
        self::letAnswersGo($this->teacher);
        $this->teacher->waitForText('#talk-body', 'Wren');
        self::assertSame([], $this->teacher->complaints());
    }

    public function test_work_is_before_the_class_with_two_keys_and_taken_down_with_one_tap(): void
    {
        $this->begin(['Tamsin', 'Wren']);
        $screen = $this->person('screen')->visit((string) $this->teacher->find('#open-screen')->getAttribute('href'));
        $this->teacher->run('document.querySelector(".tile-open").focus()');
        $this->teacher->press('s')->press(self::ENTER);
        $screen->until(fn (): bool => count($screen->all('.shown-canvas')) === 1, 'one canvas');
        $this->teacher->waitForText('.show-now', 'Chosen work');
        self::assertSame('A', $this->teacher->text('.lineup-letter'));
        // The small picture in the panel is the class screen.
        $this->teacher->until(
            fn (): bool => $this->teacher->run(
                'return document.querySelector("#mini-screen iframe").contentDocument?.querySelectorAll(".shown-canvas").length === 1',
            ) === true,
            'the same in the panel',
        );
        $this->teacher->click('#take-down');
        $screen->until(fn (): bool => count($screen->all('.shown-canvas')) === 0, 'nothing before the class');
        $this->teacher->press(self::ESCAPE);
        $this->teacher->run('document.querySelectorAll(".tile-name").forEach((one) => one.click())');
        $this->teacher->press('s')->waitForText('#show-these', 'these 2')->press(self::ENTER);
        $screen->until(fn (): bool => count($screen->all('.shown-canvas')) === 2, 'both beside each other');
        // S again closes the panel.
        $this->teacher->press('s');
        self::assertFalse($this->teacher->find('#drawer')->isDisplayed());
        self::assertSame([], $this->teacher->complaints());
    }

    public function test_a_session_that_was_ended_by_mistake_opens_again_with_everybody_in_their_places(): void
    {
        $this->begin(['Tamsin']);
        $student = $this->person('Otis Brack')->visit(self::$crag->address().'/join/'.$this->code);
        $student->type('#name', 'Otis Brack')->click('.btn-go')->find('#page-frame[data-ready]');
        $student->draw('.page-paper', [[0.2, 0.4], [0.5, 0.5]])->waitForText('#saved', 'Saved');
        $this->teacher->click('#desk-menu summary')->click('#end')->click('#ask-first-yes');
        $student->waitForText('main', 'The session has ended');
        $this->teacher->click('#reopen')->find('#grid[data-ready]');
        $this->teacher->until(fn (): bool => count($this->teacher->all('.tile')) === 2, 'both in their places');
        // The student need not do anything.
        $student->find('#page-frame[data-ready]');
        $student->draw('.page-paper', [[0.2, 0.6], [0.5, 0.7]]);
        $student->until(fn (): bool => $this->stored('Otis Brack') === 2, 'the next stroke');
        $late = $this->person('late')->visit(self::$crag->address().'/join/'.$this->code);
        $late->seen('#name');
    }

    public function test_every_key_that_is_listed_does_something_and_has_a_button(): void
    {
        $this->begin([]);
        $this->teacher->press('?')->seen('#keys');
        $listed = $this->teacher->run(
            'return [...document.querySelectorAll("#keys kbd")].flatMap((one) => one.textContent.split(" ")).filter((one) => /^[A-Z?]$/.test(one)).map((one) => one.toLowerCase())',
        );
        self::assertGreaterThan(25, count((array) $listed));
        self::assertSame('', $this->teacher->run('return document.querySelector("#keys").dataset.idle'));
        // Each has a button that says it, somewhere on the desk; X chooses a tile, which is done by pressing its name.
        foreach (array_diff(array_unique((array) $listed), ['?', 'g', 'x']) as $key) {
            $key = strtoupper((string) $key);
            self::assertTrue($this->teacher->run(
                'return [...document.querySelectorAll("[title], kbd")].some((one) => one.title.includes(`(${arguments[0]})`) || one.matches(".act kbd, .menu kbd, .closeup kbd, .btn kbd, .chip kbd") && one.textContent.trim() === arguments[0])',
                $key,
            ), "a button says {$key}");
        }
    }

    private function fits(string $what): void
    {
        // What is put in its place once its room is known has a moment for it.
        $cut = [];
        for ($i = 0; $i < 40 && ($cut = $this->teacher->run(self::CUT)) !== []; $i++) {
            usleep(50_000);
        }
        self::assertSame([], $cut, $what);
    }

    /** A helper clears the places that stand empty, and the grid comes anew. */
    private function comeAnew(): void
    {
        (new Visitor(self::$crag->address()))->join('Nobody', $this->code);
        $tiles = fn (int $n): bool => count($this->teacher->all('.tile')) === $n;
        $others = count($this->people) - 1;
        $this->teacher->until(fn (): bool => $tiles($others + 1), 'whoever came as a joke');
        $this->postAs($this->teacher, 'clear-fresh', []);
        $this->teacher->until(fn (): bool => $tiles($others), 'the place to be free again');
    }

    /** @param  list<string>  $names */
    private function begin(array $names): void
    {
        [$this->teacher, $this->code] = $this->startLesson();
        foreach ($names as $name) {
            $student = $this->join($name, $this->code);
            $student->draw('.page-paper', [[0.2, 0.2], [0.5, 0.5]]);
            $student->waitForText('#saved', 'Saved');
        }
        $this->teacher->until(fn (): bool => count($this->teacher->all('.tile')) === count($names), 'the tiles');
    }
}
