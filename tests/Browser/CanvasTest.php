<?php

declare(strict_types=1);

namespace Tests\Browser;

use Deploy\Browser\Page;
use PHPUnit\Framework\Attributes\TestWith;
use Tests\Support\BrowserTestCase;

/** Every tool, as a mouse, a finger, a stylus and a keyboard work it. */
final class CanvasTest extends BrowserTestCase
{
    private const ESCAPE = "\u{E00C}";

    private const CONTROL = "\u{E009}";

    private const SHIFT = "\u{E008}";

    private const ENTER = "\u{E007}";

    private const DELETE = "\u{E017}";

    private const RIGHT = "\u{E014}";

    private Page $page;

    private Page $teacher;

    private int $made = 0;

    private string $name = '';

    private static int $lessons = 0;

    private static string $code = '';

    private static string $desk = '';

    #[TestWith(['mouse', 1280, 800])]
    #[TestWith(['touch', 390, 844])]
    #[TestWith(['pen', 1024, 768])]
    public function test_every_tool_makes_what_it_says(string $pointer, int $width, int $height): void
    {
        $this->begin($width, $height);
        $this->draw([[0.1, 0.1], [0.15, 0.2], [0.2, 0.1], [0.25, 0.2]], $pointer);
        self::assertSame('stroke', $this->added()['type']);
        $this->page->option('[data-tool=highlighter]')->option('[data-highlight="#8fd16a"]');
        $this->draw([[0.1, 0.25], [0.2, 0.25], [0.3, 0.25]], $pointer);
        $highlight = $this->added();
        self::assertSame(
            ['highlight', '#8fd16a', 240],
            [$highlight['type'], $highlight['colour'], $highlight['width']],
        );

        $this->page
            ->option('[data-tool=shapes]')
            ->option('.tray-options [data-colour="#8f2d1a"]')
            ->option('[data-width="70"]');
        foreach (['line', 'arrow', 'rectangle', 'ellipse', 'triangle'] as $i => $shape) {
            $this->page->option("[data-shape={$shape}]");
            $this->draw([[0.1 + 0.15 * $i, 0.3], [0.15 + 0.15 * $i, 0.4], [0.2 + 0.15 * $i, 0.4]], $pointer);
            $added = $this->added();
            self::assertSame([$shape, '#8f2d1a', 70], [$added['type'], $added['colour'], $added['width']]);
            self::assertEqualsWithDelta(1600, $added['w'], 60);
        }
        foreach (['polygon', 'curve'] as $i => $shape) {
            $this->page->option("[data-shape={$shape}]");
            foreach ([[0.1, 0.45], [0.2, 0.45], [0.2, 0.55]] as [$x, $y]) {
                $this->draw([[$x + 0.3 * $i, $y]], $pointer);
            }
            $this->page->click('[data-finish]');
            $added = $this->added();
            self::assertSame($shape, $added['type']);
            self::assertIsArray($added['points']);
            self::assertCount(6, $added['points']);
        }

        $this->page->option('[data-tool=stamps]')->option('[data-stamps=forces]')->option('[data-stamp=hammer]');
        $this->draw([[0.8, 0.5]], $pointer);
        self::assertSame(['stamp', 'hammer'], array_slice(array_values($this->added()), 0, 2));
        $this->page->option('[data-tool=note]')->option('[data-note="#cfe3f0"]');
        $this->draw([[0.05, 0.6]], $pointer);
        self::assertSame(['note', '#cfe3f0'], [($note = $this->added())['type'], $note['colour']]);
        $this->page->seen('.page-typing')->sendKeys('Mind the pivot');
        $this->page->option('[data-tool=text]');
        self::assertSame(['text' => 'Mind the pivot'], $this->body('change')['set']);
        $this->draw([[0.4, 0.7]], $pointer);
        $this->page->seen('.page-typing')->sendKeys('span : depth = 12 : 1');
        $this->page->option('[data-tool=maths]');
        self::assertSame('span : depth = 12 : 1', $this->added()['text']);
        $this->draw([[0.7, 0.7]], $pointer);
        $this->page->type('.maths-source', '\frac{1}{2}')->click('.maths-end .btn-go');
        $maths = $this->added();
        self::assertSame('\frac{1}{2}', $maths['source']);
        self::assertMatchesRegularExpression(
            '/^M-?\d+ -?\d+[MLQCZ\d -]+Z$/',
            is_string($maths['path']) ? $maths['path'] : '',
        );
        $tile = $this->watch();
        $this->teacher->until(fn (): bool => $this->inked($this->teacher, $tile) > 300, 'all of it on the grid');
        self::assertSame([], $this->page->complaints());
    }

    public function test_the_eraser_takes_whole_lines_or_parts_of_them(): void
    {
        $this->begin();
        $this->draw([[0.2, 0.3], [0.4, 0.3], [0.6, 0.3], [0.8, 0.3]], 'mouse');
        $this->added();
        $this->draw([[0.2, 0.6], [0.8, 0.6]], 'mouse');
        $this->added();
        $this->page->option('[data-tool=eraser]');
        $this->draw([[0.5, 0.5], [0.5, 0.7]], 'mouse');
        $this->body('remove');
        $this->page->option('[data-rub=part]');
        $this->draw([[0.5, 0.2], [0.5, 0.4]], 'pen');
        $cuts = $this->body('cut')['cuts'];
        self::assertIsArray($cuts);
        self::assertCount(1, $cuts);
        self::assertCount(2, $cuts[0]['keep']);
        self::assertGreaterThan(20, $this->ink('.2', '.3'));
        self::assertSame(0, $this->ink('.5', '.3'));
        $this->page->click('#undo');
        $this->body('withdraw');
        self::assertGreaterThan(20, $this->ink('.5', '.3'));
    }

    public function test_objects_are_chosen_moved_turned_resized_and_ordered_by_pointer(): void
    {
        $this->begin();
        $this->page->option('[data-tool=shapes]')->option('[data-shape=rectangle]');
        $this->draw([[0.2, 0.2], [0.3, 0.4]], 'mouse');
        $this->added();
        $this->draw([[0.5, 0.2], [0.6, 0.4]], 'mouse');
        $this->added();
        $this->page->option('[data-tool=move]');
        $this->draw([[0.21, 0.3], [0.25, 0.35], [0.31, 0.4]], 'mouse');
        $place = $this->place();
        self::assertEqualsWithDelta(1600, $place[0], 30);
        self::assertEqualsWithDelta(1000, $place[1], 30);
        $this->page->draw('.knob[data-handle=se]', [[0.5, 0.5], [4, 4], [6, 10]], 'mouse');
        self::assertGreaterThan(11_000, $this->place()[3]);
        $this->page->draw('.knob[data-handle=turn]', [[0.5, 0.5], [5, 3], [9, 6]], 'mouse');
        self::assertNotSame(0, $this->place()[2]);
        $this->page->draw('.knob[data-handle=e]', [[0.5, 0.5], [4, 0.5]], 'mouse');
        self::assertSame(['w'], array_keys((array) $this->body('change')['set']));

        $this->draw([[0.02, 0.02], [0.9, 0.98]], 'mouse');
        $this->page->option('[data-chosen=group]');
        self::assertCount(2, (array) $this->body('arrange')['targets']);
        $this->page->option('[data-chosen=back]');
        self::assertSame('back', $this->body('arrange')['order']);
        $this->page->option('[data-chosen=duplicate]');
        self::assertCount(2, (array) $this->body('add')['objects']);
        $this->page->option('.tray-options [data-colour="#5f9a3c"]');
        $this->page->until(fn (): bool => count($this->log($this->name)) === $this->made + 2, 'both in another colour');
        $this->made += 2;
        $this->page->option('[data-chosen=delete]');
        self::assertCount(2, (array) $this->body('remove')['targets']);
        $this->page->option('[data-select=lasso]');
        $this->draw([[0.48, 0.1], [0.7, 0.1], [0.7, 0.5], [0.48, 0.5], [0.47, 0.15]], 'mouse');
        $this->page->option('[data-chosen=ungroup]');
        self::assertSame('', $this->body('arrange')['group']);
    }

    public function test_everything_but_freehand_is_done_by_keyboard(): void
    {
        $this->begin();
        $this->page->run('document.querySelector("#page-frame").focus()');
        $this->page->press('t');
        $this->page->seen('.page-typing')->sendKeys('by hand');
        $this->page->press(self::ESCAPE);
        self::assertSame('by hand', $this->added()['text']);
        $this->page->press('s')->press(self::ENTER);
        self::assertSame('line', $this->added()['type']);
        $this->page->press(self::RIGHT)->press(self::SHIFT, self::RIGHT);
        $this->made++;
        self::assertSame([110, 0, 0, 10_000], $this->place());
        $this->page->press(']');
        self::assertSame(1500, $this->place()[2]);
        $this->page->press('.');
        self::assertSame(11_000, $this->place()[3]);
        $this->page->press(self::CONTROL, 'd');
        self::assertCount(1, (array) $this->body('add')['objects']);
        $this->page->press(self::CONTROL, 'a')->press(self::CONTROL, 'g');
        self::assertCount(3, (array) $this->body('arrange')['targets']);
        $this->page->press(self::DELETE);
        self::assertCount(3, (array) $this->body('remove')['targets']);
        $this->page->press(self::CONTROL, 'z');
        $this->body('withdraw');
        $this->page->press(self::CONTROL, 'y');
        $this->body('reinstate');
        $this->page->press(self::CONTROL, 'z');
        $this->body('withdraw');
        $this->page->press('x');
        $this->page->seen('.maths-source')->sendKeys('x^2'.self::ENTER);
        self::assertSame('x^2', $this->added()['source']);
        $this->page->press('n');
        $this->page->seen('.page-typing');
        self::assertSame('note', $this->added()['type']);
        $this->page->press(self::ESCAPE)->press('a')->press(self::ENTER);
        self::assertSame('stamp', $this->added()['type']);
        $this->page->press('+')->press('+');
        $this->page->until(fn (): bool => $this->page->text('.bench-percent-n') === '156 %', 'the page larger');
        $this->page->press('0');
        $this->page->until(fn (): bool => $this->page->text('.bench-percent-n') === '100 %', 'the whole page');
    }

    public function test_objects_are_listed_for_those_who_do_not_see_them(): void
    {
        $this->begin();
        $this->page->option('[data-tool=text]');
        $this->draw([[0.1, 0.1]], 'mouse');
        $this->page->seen('.page-typing')->sendKeys('F = 80 N');
        $this->page->option('[data-tool=stamps]')->option('[data-stamps=forces]')->option('[data-stamp=weight]');
        $this->draw([[0.9, 0.9]], 'mouse');
        $this->page->until(
            fn (): bool => $this->listed() === ['Text “F = 80 N”, top left', 'Stamp: Weight, bottom right'],
            'both in the list',
        );
        $this->page->run('document.querySelectorAll(".object")[1].focus()');
        $this->page->press(self::ENTER);
        $this->page->press(self::DELETE);
        $this->page->until(fn (): bool => count($this->listed()) === 1, 'one in the list');
        self::assertSame(['Text “F = 80 N”, top left'], $this->listed());
    }

    public function test_two_fingers_move_the_page_and_once_a_stylus_was_seen_one_does(): void
    {
        $this->begin(1024, 768);
        $this->page->fingers('.page-paper', [
            [[0.4, 0.5], [0.35, 0.5], [0.2, 0.5]],
            [[0.6, 0.5], [0.65, 0.5], [0.8, 0.5]],
        ]);
        $this->page->until(fn (): bool => (int) $this->page->text('.bench-percent-n') > 200, 'the page larger');
        self::assertSame([], $this->log($this->name));
        $this->page->click('[data-zoom=fit]');
        $this->page->until(fn (): bool => $this->page->text('.bench-percent-n') === '100 %', 'the whole page');
        $this->draw([[0.3, 0.3], [0.4, 0.4]], 'touch');
        $this->added();
        $this->draw([[0.5, 0.3], [0.6, 0.4]], 'pen');
        $this->added();
        $before = $this->page->run('return document.querySelector(".page-paper").style.transform');
        // For a moment after the stylus, a touch is the hand that holds it.
        $this->page->until(function () use ($before): bool {
            $this->draw([[0.5, 0.6], [0.55, 0.65], [0.6, 0.7]], 'touch');

            return $this->page->run('return document.querySelector(".page-paper").style.transform') !== $before;
        }, 'the page moved');
        usleep(300_000);
        self::assertCount(2, $this->log($this->name));
    }

    public function test_the_wheel_pans_and_zooms_and_what_is_drawn_then_lies_where_the_pen_was(): void
    {
        $this->begin();
        $this->page->run(
            <<<'JS'
            const f = document.querySelector('#page-frame'), b = f.getBoundingClientRect();
            const wheel = (more) => f.dispatchEvent(new WheelEvent('wheel', { bubbles: true, cancelable: true, ...more }));
            wheel({ deltaY: -400, ctrlKey: true, clientX: b.left + b.width / 2, clientY: b.top + b.height / 2 });
            wheel({ deltaY: 100 });
            JS,
        );
        $this->page->until(fn (): bool => (int) $this->page->text('.bench-percent-n') > 150, 'the page larger');
        usleep(300_000);
        $this->page->option('[data-tool=shapes]')->option('[data-shape=line]');
        $this->draw([[0.5, 0.5], [0.6, 0.6]], 'mouse');
        $line = $this->added();
        self::assertEqualsWithDelta(8000, $line['x'], 30);
        self::assertEqualsWithDelta(5000, $line['y'], 30);
        self::assertEqualsWithDelta(1600, $line['w'], 30);
    }

    public function test_shapes_keep_to_the_grid_and_to_even_angles(): void
    {
        $this->begin();
        $this->page->click('#more')->click('#snap')->press(self::ESCAPE);
        $this->page->option('[data-tool=shapes]')->option('[data-shape=rectangle]');
        $this->draw([[0.107, 0.203], [0.306, 0.398]], 'mouse');
        $box = $this->added();
        self::assertSame([0, 0, 0, 0], [$box['x'] % 250, $box['y'] % 250, $box['w'] % 250, $box['h'] % 250]);
        foreach (
            [
                'line' => static fn (array $line): bool => abs($line['h']) <= 1,
                'ellipse' => static fn (array $round): bool => $round['w'] === $round['h'],
            ] as $shape => $isEven
        ) {
            $this->page->option("[data-shape={$shape}]")->run(
                <<<'JS'
                const surface = document.querySelector('#page-frame'), paper = document.querySelector('.page-paper').getBoundingClientRect();
                const send = (type, x, y) => surface.dispatchEvent(new PointerEvent(type, { pointerId: 9, pointerType: 'mouse', button: 0, buttons: 1, shiftKey: true, clientX: paper.left + x * paper.width, clientY: paper.top + y * paper.height, bubbles: true, cancelable: true }));
                send('pointerdown', .5, .5); send('pointermove', .6, .52); send('pointermove', .7, .53); send('pointerup', .7, .53);
                JS
                ,
            );
            $added = $this->added();
            self::assertSame($shape, $added['type']);
            self::assertTrue($isEven($added), (string) json_encode($added));
        }
    }

    public function test_words_and_formulas_are_opened_again_and_changed(): void
    {
        $this->begin();
        $this->page->option('[data-tool=maths]');
        $this->draw([[0.3, 0.3]], 'mouse');
        $this->page->type('.maths-source', 'x^2')->click('.maths-end .btn-go');
        $this->added();
        $this->page->option('[data-tool=move]');
        $this->draw([[0.305, 0.31]], 'mouse');
        $this->page->option('[data-chosen=edit]')->type('.maths-source', 'x^{')->click('.maths-end .btn-go');
        $this->page->waitForText('.maths-problem', 'brace');
        $this->page->type('.maths-source', 'x^{3}')->click('.maths-end .btn-go');
        $set = $this->body('change')['set'];
        self::assertIsArray($set);
        self::assertSame('x^{3}', $set['source']);
        self::assertArrayHasKey('path', $set);
        $this->page->option('[data-tool=text]')->option('[data-size="52"]')->option('[data-align=middle]');
        $this->draw([[0.8, 0.6]], 'touch');
        $this->page->seen('.page-typing')->sendKeys('العزم');
        $this->page->press(self::ESCAPE);
        $text = $this->added();
        self::assertSame([52, 'middle', 'العزم'], [$text['size'], $text['align'], $text['text']]);
        // What reads to the left ends where the page was tapped.
        self::assertEqualsWithDelta(12_800, $text['x'] + $text['w'], 60);
        $this->draw([[0.79, 0.6]], 'mouse');
        $this->page->seen('.page-typing')->sendKeys(' =');
        $this->page->press(self::ESCAPE);
        self::assertSame('العزم =', ((array) $this->body('change')['set'])['text']);
    }

    public function test_a_formula_is_written_as_it_looks_by_keys_and_by_its_pad(): void
    {
        $this->begin();
        $this->page->option('[data-tool=maths]');
        $this->draw([[0.3, 0.3]], 'mouse');
        $keys = $this->page->seen('.maths-keys');
        $keys->sendKeys('F=1/2');
        // Tab leads out of the fraction, and at the end of all away from the formula.
        $this->page->press("\u{E004}");
        $keys->sendKeys('x^3');
        $source = 'return document.querySelector(".maths-source").value';
        self::assertSame('F=\frac{1}{2}x^{3}', $this->page->run($source));
        $this->page->press("\u{E004}")->press("\u{E004}");
        self::assertFalse($this->page->run('return document.activeElement.matches(".maths-keys")'));
        // By the pad alone, as on a phone: a root, a number in it, behind it a unit, and the last sign taken away.
        $this->page->click('[data-latex="\\\\sqrt{}"]')->click('[data-key="4"]')->click('[data-move=next]');
        $this->page->click('[data-key="7"]')->click('[data-move=back]')->click('[data-latex="\\\\,\\\\text{N m}"]');
        self::assertSame('F=\frac{1}{2}x^{3}\sqrt{4}\,\text{N m}', $this->page->run($source));
        $this->page->click('.maths-end .btn-go');
        self::assertSame('F=\frac{1}{2}x^{3}\sqrt{4}\,\text{N m}', $this->added()['source']);
        // Chemistry is words to type and a formula to see.
        $this->draw([[0.3, 0.6]], 'mouse');
        $this->page->click('[data-latex="\\\\ce{}"]');
        $this->page->seen('.maths-keys')->sendKeys('2H2 + O2 -> 2H2O');
        $this->page->click('.maths-end .btn-go');
        self::assertSame('\ce{2H2 + O2 -> 2H2O}', $this->added()['source']);
        self::assertSame([], $this->page->complaints());
    }

    public function test_pages_are_added_turned_and_seen_by_the_teacher(): void
    {
        $this->begin();
        $this->draw([[0.2, 0.2], [0.5, 0.5]], 'mouse');
        $this->added();
        $this->page->click('[data-add-page]');
        $this->body('page');
        $this->page->waitForText('.bench-page', 'Page 2 of 2');
        self::assertSame(0, $this->inked($this->page, '#page'));
        $this->draw([[0.2, 0.8], [0.8, 0.8]], 'mouse');
        self::assertArrayHasKey('page', $this->body('add'));
        $tile = $this->watch();
        $this->teacher->waitForText("{$tile} .tile-pages", '2/2');
        $this->teacher->click("{$tile} .tile-open");
        $this->teacher->waitForText('#closeup .bench-page', 'Page 2 of 2');
        $this->page->click('[data-page-step="-1"]');
        $this->page->until(fn (): bool => $this->inked($this->page, '#page') > 100, 'the first page');
        $this->page->click('#more')->click('[data-empty=all]');
        $this->body('clear');
        self::assertSame(0, $this->inked($this->page, '#page'));
        $this->page->click('[data-page-step="1"]');
        $this->page->until(fn (): bool => $this->inked($this->page, '#page') > 100, 'the second page as it was');
    }

    public function test_pages_are_seen_small_moved_ruled_and_taken_out_and_undo_brings_them_back(): void
    {
        $this->begin();
        $this->page->click('[data-add-page]')->waitForText('.bench-page', 'Page 2 of 2');
        $this->draw([[0.2, 0.8], [0.8, 0.8]], 'mouse');
        $this->page->click('[data-add-page]')->waitForText('.bench-page', 'Page 3 of 3');
        $this->made = 3;
        $this->page->click('[data-pages]')->waitForText('.pages-window', 'Page 3 of 3');
        // The first belongs to the prompt: it can be copied, and a page stays behind it.
        foreach (['[data-gone]' => 2, '[data-copy-page]' => 3] as $act => $n) {
            self::assertCount($n, array_filter(
                $this->page->all(".page-acts {$act}"),
                static fn ($button): bool => $button->isDisplayed(),
            ));
        }
        $this->page->until(
            fn (): bool => $this->inked($this->page, '.page-list li:nth-child(2)') > 20,
            'the second page small',
        );
        $this->page->click('.page-list li:nth-child(3) [data-move="-1"]');
        self::assertSame(1, $this->body('arrange_page')['to']);
        $this->page->waitForText('.bench-page', 'Page 2 of 3');
        $this->page->run(
            'const s = document.querySelector(".page-list li:nth-child(3) select"); s.value = "squared small"; s.dispatchEvent(new Event("change", { bubbles: true }))',
        );
        self::assertSame(['kind' => 'squared', 'size' => 'small'], $this->body('arrange_page')['ruling']);
        $this->page->click('.page-list li:nth-child(3) [data-gone]');
        self::assertTrue($this->body('arrange_page')['gone']);
        $this->page->until(fn (): bool => count($this->page->all('.page-list li')) === 2, 'two pages');
        $this->page->press(self::ESCAPE)->press(self::CONTROL, 'z');
        $this->body('withdraw');
        // Two presses fast after one another at one place mean one page, whatever has come there meanwhile.
        $this->page->waitForText('.bench-page', 'of 3')->click('[data-pages]')->seen('.page-list [data-gone]');
        $this->page->run(
            'for (const detail of [1, 2]) document.querySelector(".page-list li:nth-child(2) [data-gone]").dispatchEvent(new MouseEvent("click", { bubbles: true, detail }))',
        );
        $this->body('arrange_page');
        $this->page->press(self::ESCAPE)->press(self::CONTROL, 'z');
        $this->body('withdraw');
        $this->page->waitForText('.bench-page', 'of 3')->click('[data-pages]');
        $this->page->click('.page-list li:nth-child(3) .page-thumb');
        $this->page->until(fn (): bool => $this->inked($this->page, '#page') > 100, 'what was drawn on it');
        self::assertSame([], $this->page->complaints());
    }

    /** The first column of the pixels at a place, in shares of the page: how many are inked in a square around it. */
    private function ink(string $x, string $y): int
    {
        usleep(100_000);
        $n = $this->page->run(
            <<<'JS'
            const dry = document.querySelector('#page > .page-ink > .page-dry'), paper = document.querySelector('#page .page-paper').getBoundingClientRect(), frame = dry.getBoundingClientRect();
            const x = paper.left - frame.left + arguments[0] * paper.width, y = paper.top - frame.top + arguments[1] * paper.height;
            const { data } = dry.getContext('2d').getImageData(x - 6 + (arguments[0] < .3 ? 8 : 0), y - 6, 12, 12);
            let n = 0;
            for (let i = 3; i < data.length; i += 4) n += data[i] > 40 ? 1 : 0;
            return n;
            JS
            ,
            (float) $x,
            (float) $y,
        );

        return is_numeric($n) ? (int) $n : 0;
    }

    /** A student's page; all of this class's are in one session, which begins with the first. */
    private function begin(int $width = 1280, int $height = 800): void
    {
        if (self::$desk === '') {
            [$teacher, self::$code] = $this->startLesson();
            $session = basename($teacher->driver->getCurrentURL());
            $this->sql('update live_sessions set tray = ? where id = ?', [
                json_encode(['now' => ['kind' => 'maths', 'tools' => ['pages']], 'before' => null, 'changed' => 0]),
                $session,
            ]);
            self::$desk =
                self::$crag->address().
                "/return/{$session}/".
                $this->string('select return_key from live_sessions where id = ?', $session);
        }
        $this->name = 'Tova '.++self::$lessons;
        $this->page = $this->join($this->name, self::$code, $width, $height);
        $this->made = 0;
    }

    /** The teacher's desk, and the student's tile on it. */
    private function watch(): string
    {
        $this->teacher = $this->person('teacher')->visit(self::$desk);
        $this->teacher->find('#grid[data-ready]');
        $place = $this->teacher->until(
            fn (): mixed => $this->teacher->run(
                'return [...document.querySelectorAll(".tile")].findIndex((tile) => tile.textContent.includes(arguments[0])) + 1',
                $this->name,
            ),
            'the tile',
        );

        return '.tile:nth-child('.(is_int($place) ? $place : 0).')';
    }

    private function string(string $query, string $value): string
    {
        $found = $this->sql($query, [$value]);

        return is_string($found) ? $found : '';
    }

    /** @param  list<array{float, float}|array{float, float, float}>  $points  in shares of the page */
    private function draw(array $points, string $pointer): void
    {
        $this->page->draw('.page-paper', $points, $pointer);
    }

    /** @return array<string, mixed> the object that the next operation added */
    private function added(): array
    {
        $object = $this->body('add')['object'];
        self::assertIsArray($object);

        return $object;
    }

    /** @return array<string, mixed> the next operation's body */
    private function body(string $kind): array
    {
        return $this->latest($this->page, $this->name, $kind, ++$this->made);
    }

    /** @return list<int> where the next operation put its first target */
    private function place(): array
    {
        $places = $this->body('arrange')['places'];
        self::assertIsArray($places);

        return $places[0];
    }

    /** @return list<mixed> */
    private function listed(): array
    {
        $listed = $this->page->run('return [...document.querySelectorAll(".object")].map((one) => one.textContent)');

        return is_array($listed) ? array_values($listed) : [];
    }
}
