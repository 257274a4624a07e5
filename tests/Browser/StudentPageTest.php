<?php

declare(strict_types=1);

namespace Tests\Browser;

use Deploy\Bench\BenchPaper;
use Deploy\Browser\Page;
use PHPUnit\Framework\Attributes\TestWith;
use Tests\Support\BrowserTestCase;

/** A student's page on the devices that students have: paper first, and with no network too. */
final class StudentPageTest extends BrowserTestCase
{
    /** Two fingers that tap the page twice. */
    private const TAP_TWICE = <<<'JS'
        const surface = document.querySelector('#page-frame');
        const touch = (type, pointerId) => surface.dispatchEvent(new PointerEvent(type, { pointerId, pointerType: 'touch', clientX: 100 * pointerId, clientY: 400, button: 0, bubbles: true, cancelable: true }));
        for (let tap = 0; tap < 2; tap++) {
            ['pointerdown', 'pointerup'].forEach((type) => [1, 2].forEach((finger) => touch(type, finger)));
        }
        JS;

    private string $code;

    private Page $teacher;

    private string $name = '';

    private static int $times = 0;

    protected function setUp(): void
    {
        [$this->teacher, $this->code] = $this->startLesson();
    }

    #[TestWith([390, 844, 0.65])]
    #[TestWith([844, 390, 0.65])]
    #[TestWith([360, 640, 0.65])]
    #[TestWith([820, 1180, 0.70])]
    #[TestWith([1180, 820, 0.70])]
    #[TestWith([1280, 800, 0.75])]
    public function test_most_of_every_screen_is_paper(int $width, int $height, float $least): void
    {
        $student = $this->comeIn($width, $height);
        self::assertGreaterThan($least, $student->run(BenchPaper::SHARE, BenchPaper::STEP));
        self::assertTrue(
            $student->run(
                'return document.documentElement.scrollWidth <= innerWidth && document.documentElement.scrollHeight <= innerHeight',
            ),
        );
    }

    public function test_the_prompt_is_whole_until_the_first_stroke_and_one_press_away_after_it(): void
    {
        $this->giveWords('Two masons carry a beam. Who carries more, and why? Draw the forces and say it in one line.');
        $student = $this->comeIn(390, 844);
        self::assertStringContainsString('Who carries more', $student->text('#prompt-words'));
        // What it covers is the paper, and the paper takes it away.
        $student->draw('#page-frame', [[0.2, 0.7], [0.6, 0.75]], 'touch');
        $this->steps($student, 1);
        self::assertFalse($student->find('#prompt-sheet')->isDisplayed());
        $student->driver->navigate()->refresh();
        $student->find('#page-frame[data-ready]');
        self::assertFalse($student->find('#prompt-sheet')->isDisplayed(), 'read already');
        $student->click('#unfold');
        self::assertStringContainsString('Who carries more', $student->text('#prompt-words'));
        $student->press("\u{E00C}");
        self::assertFalse($student->find('#prompt-sheet')->isDisplayed());
        // Another prompt is there to be read first.
        $this->giveWords('Now the frame, with a load on its upper corner. Where does it give way, and what would hold it?', 'next');
        $student->waitForText('#prompt-words', 'Where does it give way');
        $student->click('#fold');
        self::assertFalse($student->find('#prompt-sheet')->isDisplayed());
    }

    public function test_a_phone_opens_at_writing_width_and_two_taps_show_the_whole_page_and_back(): void
    {
        $student = $this->comeIn(390, 844);
        self::assertSame(250, $this->zoom($student));
        $student->run(self::TAP_TWICE);
        $student->until(fn (): bool => $this->zoom($student) === 100, 'the whole page');
        $student->run(self::TAP_TWICE);
        $student->until(fn (): bool => $this->zoom($student) === 250, 'writing width again');
        self::assertSame(0, $this->stored($this->name), 'no tap of two fingers draws');
        // With "Fingers draw" off one finger moves the page.
        $student->click('#more');
        $student->click('.menu .do-fingers');
        $student->press("\u{E00C}");
        $student->draw('#page-frame', [[0.8, 0.5], [0.5, 0.5], [0.2, 0.5]], 'touch');
        $student->until(
            fn (): bool => $student->run('return document.querySelector(".page-paper").getBoundingClientRect().left') < -150,
            'the page to be moved',
        );
        self::assertSame(0, $this->stored($this->name));
    }

    public function test_a_phone_turned_round_still_shows_where_the_pen_was(): void
    {
        $student = $this->comeIn(390, 844);
        $student->draw('#page-frame', [[0.5, 0.7], [0.8, 0.75]], 'touch');
        $this->steps($student, 1);
        $student->emulate(844, 390);
        $student->until(
            fn (): bool => $this->inked($student, '#page') > 50,
            'the stroke in sight',
        );
        self::assertGreaterThan(0.65, $student->run(BenchPaper::SHARE, BenchPaper::STEP));
    }

    public function test_the_writing_window_writes_on_the_page_and_moves_on_by_itself(): void
    {
        $student = $this->comeIn(390, 844);
        $student->click('[data-writing=open]')->find('.has-writing');
        $student->until(fn (): bool => $this->zoom($student) === 100, 'the page to be seen whole beside it');
        $left = 'return parseFloat(document.querySelector(".writing-mark").style.left)';
        $student->draw('.writing-page', [[0.1, 0.4], [0.15, 0.6], [0.2, 0.4]], 'touch');
        $this->steps($student, 1);
        // A tenth of the window is a thirtieth of the page's width.
        $stroke = $this->lastStroke($student);
        self::assertEqualsWithDelta(1600 / 30, $stroke['left'], 8);
        self::assertEqualsWithDelta(1600 / 30, $stroke['width'], 10);
        $before = $student->run($left);
        $student->draw('.writing-page', [[0.85, 0.4], [0.9, 0.6], [0.95, 0.4]], 'touch');
        $student->until(fn (): bool => $student->run($left) > $before + 60, 'the window to move on');
        // What was written is still in it, to go on from.
        self::assertGreaterThan(20, $this->inked($student, '.writing-page'));
        for ($i = 0; $i < 3; $i++) {
            $student->click('[data-writing=on]');
        }
        self::assertEqualsWithDelta($before, $student->run($left), 1, 'the next line begins where lines begin');
        // It takes everything back like the page itself, and is there again after a reload.
        $student->click('#undo');
        $this->steps($student, 3);
        $student->driver->navigate()->refresh();
        $student->find('#page-frame[data-ready]');
        $student->find('.has-writing');
        $student->click('[data-writing=close]');
        $student->until(fn (): bool => $this->zoom($student) === 250, 'the page as large as before');
    }

    public function test_a_tall_page_is_tall_for_everybody(): void
    {
        $this->teacher->press('h')->seen('#handout');
        $this->teacher->run(
            'document.querySelector("#handout [name=backdrop][value=lined]").click(); document.querySelector("#handout [name=\'settings[paper]\']").value = "1000x1600"',
        );
        $student = $this->comeIn(390, 844);
        $this->teacher->click('#handout .btn-go');
        $shape = 'const b = document.querySelector("#page .page-paper").getBoundingClientRect(); return Math.abs(b.width / b.height - 0.625) < 0.01';
        $student->until(fn (): bool => $student->run($shape) === true, 'a tall page');
        self::assertGreaterThan(0.65, $student->run(BenchPaper::SHARE, BenchPaper::STEP));
        self::seeWhole($student)->draw('.page-paper', [[0.2, 0.9], [0.8, 0.95]], 'touch');
        $this->steps($student, 1);
        $this->teacher->until(fn (): bool => $this->inked($this->teacher, '.tile') > 20, 'the ink at the foot of the page');
        self::assertSame(
            80,
            $this->teacher->run(
                'const b = document.querySelector(".tile .tile-page").getBoundingClientRect(); return Math.round(100 * b.width / b.height)',
            ),
            'a tile as tall as a tile gets',
        );
        // In the close-up too, and with the teacher's private notes on top of it.
        $this->teacher->run('document.querySelector(".tile-open").click()');
        $paper = 'const b = document.querySelector("#closeup .page:not(.page-below, .writing-page) > .page-paper")?.getBoundingClientRect(); return b !== undefined && Math.abs(b.width / b.height - 0.625) < 0.01';
        $this->teacher->until(fn (): bool => $this->teacher->run($paper) === true, 'a tall page in the close-up');
        $this->teacher->press('o');
        $this->teacher->until(
            fn (): bool => $this->teacher->find('#closeup')->getAttribute('data-mode') === 'private',
            'the private notes',
        );
        self::assertTrue($this->teacher->run($paper));
        $this->teacher->press("\u{E00C}")->press("\u{E00C}");
        // A page that is added is like the first, and one with work on it keeps its shape.
        $this->teacher->press('h')->seen('#handout');
        $this->teacher->run(
            'document.querySelector("#handout [name=backdrop][value=squared]").click(); document.querySelector("#handout [name=\'settings[paper]\']").value = "1600x1000"',
        );
        $this->teacher->click('#handout .btn-go');
        $student->until(
            fn (): bool => str_contains((string) $student->find('#page .page-backdrop')->getAttribute('src'), 'squared'),
            'the squares',
        );
        self::assertTrue($student->run($shape));
        self::assertSame('1000x1600', $this->paperOf($student));
    }

    public function test_without_a_network_the_page_opens_shows_the_work_and_takes_ink(): void
    {
        $student = $this->comeIn();
        $student->draw('.page-paper', [[0.2, 0.3], [0.5, 0.4]]);
        $this->steps($student, 1);
        $student->waitForText('#saved', 'Saved');
        $this->kept($student);
        $student->draw('.page-paper', [[0.2, 0.5], [0.5, 0.6]]);
        $this->steps($student, 2);
        $student->waitForText('#saved', 'Saved');
        $inked = $this->inked($student, '#page');

        self::$crag->child('nginx')->stop(signal: SIGKILL);
        $student->driver->navigate()->refresh();
        $student->find('#page-frame[data-ready]');
        $student->waitForText('#saved', 'Offline');
        $student->until(fn (): bool => $this->inked($student, '#page') === $inked, 'the work as it was');
        $student->draw('.page-paper', [[0.2, 0.7], [0.5, 0.8]]);
        $student->waitForText('#saved', '1 stroke kept here');
        // Once more: what was drawn without a network is there too.
        $student->driver->navigate()->refresh();
        $student->find('#page-frame[data-ready]');
        $student->until(fn (): bool => $this->inked($student, '#page') > $inked, 'the stroke that waits');

        self::$crag->startOne('nginx');
        $student->waitForText('#saved', 'Saved', 40);
        $student->until(fn (): bool => $this->stored($this->name) === 3, 'all three, once');
        $student->until(fn (): bool => $this->inked($student, '#page') > $inked, 'all three to be seen');
    }

    public function test_who_leaves_the_device_leaves_nothing_on_it(): void
    {
        $student = $this->comeIn();
        $address = $student->driver->getCurrentURL();
        $student->draw('.page-paper', [[0.2, 0.3], [0.5, 0.4]]);
        $student->waitForText('#saved', 'Saved');
        $this->kept($student);
        $student->click('#more')->click('#leave-device')->click('#leave-window .btn-end');
        $student->seen('#code');
        self::assertSame([0, 0], $this->keptHere($student));
        // The next one at it sees nothing, and gets a place of their own.
        $student->visit($address)->waitForText('body', 'belongs to another device');
        $student->visit(self::$crag->address().'/join/'.$this->code)->type('#name', 'Rafe')->click('.btn-go');
        $student->find('#page-frame[data-ready]');
        self::assertSame(0, $this->inked($student, '#page'));
        self::assertSame(1, $this->stored($this->name));
    }

    /** Comes in and turns to the paper. */
    private function comeIn(int $width = 1280, int $height = 800): Page
    {
        $name = $this->name = 'Una '.++self::$times;
        $student = $this->person($name, $width, $height);
        // What is not as wide as a laptop is worked with fingers.
        $student->developer('Emulation.setTouchEmulationEnabled', ['enabled' => $width < 1200]);
        $student->visit(self::$crag->address().'/join/'.$this->code);
        $student->type('#name', $name)->click('.btn-go');
        $student->find('#page-frame[data-ready]');

        return $student;
    }

    /**
     * How large the page is, against all of it.
     *
     * @phpstan-impure
     */
    private function zoom(Page $student): int
    {
        return (int) $student->text('.bench-percent-n');
    }

    private function giveWords(string $words, string $place = 'under'): void
    {
        $this->teacher->press('h')->type('#handout-words', $words);
        $this->teacher->run('document.querySelector(`#handout [name=place][value="${arguments[0]}"]`).click()', $place);
        $this->teacher->click('#handout .btn-go');
        $this->teacher->until(
            fn (): bool => (int) $this->sql('select count(*) from prompts where words = ?', [$words]) > 0,
            'the words to be handed out',
        );
    }

    /** Waits until the server has so many steps of the canvas that is open. */
    private function steps(Page $student, int $count): void
    {
        $canvas = $student->run('return document.querySelector("#page-frame").dataset.ready');
        $student->until(
            fn (): bool => (int) $this->sql('select count(*) from operations where canvas_id = ?', [$canvas]) >= $count,
            "{$count} steps",
        );
    }

    /** @return array{left: float, width: float} of the last stroke, in units */
    private function lastStroke(Page $student): array
    {
        $body = json_decode(
            (string) $this->sql("select body from operations where kind = 'add' and canvas_id = ? order by n desc limit 1", [
                $student->run('return document.querySelector("#page-frame").dataset.ready'),
            ]),
            true,
        );
        assert(is_array($body));
        $xs = array_column(\Crag\Canvas\Drawing\Ink::decode($body['object']['ink'])->samples(), 0);

        return ['left' => min($xs) / 10, 'width' => (max($xs) - min($xs)) / 10];
    }

    private function paperOf(Page $student): string
    {
        $svg = $student->run(
            'return await (await fetch(location.pathname + "/work/" + document.querySelector("#page-frame").dataset.ready + ".svg")).text()',
        );
        assert(is_string($svg));
        preg_match('/viewBox="0 0 (\d+) (\d+)"/', $svg, $found);

        return "{$found[1]}x{$found[2]}";
    }

    /** Waits until the device has the page. */
    private function kept(Page $student): void
    {
        $student->until(fn (): bool => $this->keptHere($student)[1] > 0, 'the page to be kept', 30);
    }

    /** @return array{int, int} how many stores there are, and how many pages in them */
    private function keptHere(Page $student): array
    {
        $kept = $student->run(
            'const names = (await caches.keys()).filter((one) => one.startsWith("crag-seat-")); let pages = 0; for (const name of names) { pages += (await (await caches.open(name)).keys()).filter(({ url }) => url.includes("/seat/")).length; } return [names.length, pages]',
        );
        assert(is_array($kept));

        return [(int) $kept[0], (int) $kept[1]];
    }

    public function test_tasks_tick_themselves_as_they_are_done_and_the_desk_shows_who_has_them_all(): void
    {
        [$teacher, $code] = $this->startLesson('Warm-up');
        $tasks = json_encode(['tasks' => [
            ['do' => 'pen', 'words' => '', 'with' => ''],
            ['do' => 'marker', 'words' => 'Highlight it', 'with' => ''],
            ['do' => 'hand', 'words' => '', 'with' => ''],
        ]]);
        $this->sql('update prompts set details = ? where id = (select prompt_id from live_sessions order by rowid desc limit 1)', [$tasks]);
        $phone = $this->person('Iona', 390, 844)->visit(self::$crag->address().'/join/'.$code);
        $phone->type('#name', 'Iona')->click('.btn-go');
        $phone->waitForText('#tasks', 'Draw something with the pen');
        self::assertSame('0/3', $phone->text('#tasks-n'));
        self::readPrompt($phone);
        self::seeWhole($phone);
        $phone->draw('.page-paper', [[0.2, 0.4], [0.6, 0.5]])->waitForText('#tasks-n', '1/3');
        $phone->waitForText('#notice', 'Done: Draw something with the pen');
        $phone->press("\u{E009}", 'z')->waitForText('#tasks-n', '0/3');
        $phone->press("\u{E009}", 'y')->waitForText('#tasks-n', '1/3');
        $phone->option('[data-tool=highlighter]')->draw('.page-paper', [[0.2, 0.6], [0.6, 0.6]])->waitForText('#tasks-n', '2/3');
        $teacher->waitForText('#tasks-all', '0 of 1 have done every task');
        $phone->click('#hand')->click('#hand-window .btn-go')->waitForText('#tasks-n', '3/3');
        $phone->waitForText('#notice', 'All done');
        $teacher->waitForText('#tasks-all', '1 of 1 have done every task');
        self::assertSame('3/3', $teacher->text('.tile-tasks'));
        // A page that is loaded again says nothing new about what was done before.
        $phone->driver->navigate()->refresh();
        $phone->waitForText('#tasks-n', '3/3');
        self::assertFalse($phone->run('return document.querySelector("#notice").textContent.includes("done")'));
    }
}
