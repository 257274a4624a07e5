<?php

declare(strict_types=1);

namespace Tests\Browser;

use Deploy\Browser\Page;
use PDO;
use Tests\Support\BrowserTestCase;

/** One pair of eyes: states, signals, answers, choosing several, and close beside one student. */
final class WatchTest extends BrowserTestCase
{
    private const ESCAPE = "\u{E00C}";

    private const SHIFT_CLICK = 'document.querySelector(arguments[0]).dispatchEvent(new MouseEvent("click", { bubbles: true, shiftKey: true }))';

    private Page $teacher;

    private string $code;

    protected function setUp(): void
    {
        [$this->teacher, $this->code] = $this->startLesson();
    }

    public function test_states_signals_and_answers_are_seen_at_once_and_filter_and_choose(): void
    {
        $this->ask();
        $class = [];
        foreach (['Tamsin' => '80 N', 'Rafe' => '24 N', 'Iona' => '80', 'Wren' => '24N'] as $name => $answer) {
            $class[$name] = $this->join($name, $this->code);
            $class[$name]->click('#unfold')->type('#questions input', $answer)->press("\u{E004}");
            $class[$name]->waitForText('#saved', 'Saved');
        }
        $class['Tamsin']->draw('.page-paper', [[0.2, 0.2], [0.5, 0.3]]);
        $class['Rafe']->click('#hand')->click('#hand-window .btn-go');
        $class['Wren']->click('#send');

        $this->teacher->waitForText('#answer-groups', '24 N');
        $this->teacher->waitForText('.answer-chip[data-outcome=wrong] .answer-n', '2');
        $this->teacher->waitForText('#counts [data-filter=hand_up]', '1');
        $this->teacher->waitForText('#signals', 'Sent 24');
        $this->teacher->click('#counts [data-filter=hand_up]');
        $this->teacher->until(fn (): bool => $this->shown() === ['Rafe'], 'the one with the hand up');
        $this->teacher->click('#counts [data-filter=""]');
        self::assertCount(4, $this->shown());

        // Those who say the same are chosen together, and checked together.
        $this->teacher->click('.answer-chip[data-outcome=wrong]');
        $this->teacher->waitForText('#chosen-count', '2 chosen');
        $this->teacher->click('#chosen [data-level="1"]')->waitForText('#tally > [data-level="1"]', '2');
        $this->teacher->waitForText('#desk-notice', 'Checked 2 canvases');
        $this->teacher->click('#desk-notice button');
        $this->teacher->waitForText('#tally > [data-level="1"]', '0');
        $this->teacher->press('w')->type('#write-chosen-words', 'Which arm is longer?')->click('#write-chosen .btn-go');
        $class['Rafe']->waitForText('#letters', 'Which arm is longer?');
        $class['Wren']->waitForText('#letters', 'Which arm is longer?');
        self::assertSame([], $class['Tamsin']->all('#letters > *'));
        $this->teacher->press(self::ESCAPE);
        self::assertFalse($this->teacher->find('#chosen')->isDisplayed());

        // By name, with Shift, and by keys.
        $this->teacher->click('.tile:nth-child(1) .tile-name')->waitForText('#chosen-count', '1 chosen');
        $this->teacher->run(self::SHIFT_CLICK, '.tile:nth-child(3) .tile-name');
        $this->teacher->waitForText('#chosen-count', '3 chosen');
        $this->teacher->run('document.querySelector(".tile-open").focus()');
        $this->teacher->press('x')->waitForText('#chosen-count', '2 chosen');
        $this->teacher->click('#chosen [data-do=pens-chosen]');
        $class['Rafe']->seen('#cover');
        self::assertFalse($class['Tamsin']->find('#cover')->isDisplayed());
        $this->teacher->press('j')->waitForText('#lineup', 'Rafe');
        $this->teacher->waitForText('#lineup', 'Iona');
        $this->teacher->press('v');
        $this->teacher->find('#compare[data-ready]');
        self::assertCount(2, $this->teacher->all('.compare-pane'));
        $this->teacher->press(self::ESCAPE);

        $this->pick();
        $this->shield();
        $this->away($class['Iona']);
        self::assertSame([], $this->teacher->complaints());
    }

    private function pick(): void
    {
        $picked = [];
        $this->teacher->press(self::ESCAPE);
        for ($i = 0; $i < 4; $i++) {
            $this->teacher->press('k');
            $picked[] = $this->teacher->until(
                fn (): string => $this->teacher->find('#pick')->isDisplayed() ? $this->teacher->text('#pick-name') : '',
                'somebody to be picked',
            );
            $this->teacher->click('#pick .btn-go');
            $this->teacher->until(fn (): bool => ! $this->teacher->find('#pick')->isDisplayed(), 'the window to close');
        }
        sort($picked);
        self::assertSame(['Iona', 'Rafe', 'Tamsin', 'Wren'], $picked, 'everybody once before anyone twice');
    }

    private function shield(): void
    {
        $visible = 'return getComputedStyle(document.querySelector(arguments[0])).visibility';
        $this->teacher->press('b')->seen('#shield');
        foreach (['.tile .page-dry', '.answer-groups', '.tile-answer', '#signals'] as $work) {
            self::assertSame('hidden', $this->teacher->run($visible, $work), $work);
        }
        $this->teacher->press('b');
        self::assertSame('visible', $this->teacher->run($visible, '.tile .page-dry'));
    }

    private function point(Page $page, string $paper): void
    {
        $page->run(
            'const paper = document.querySelector(arguments[0]); const at = paper.getBoundingClientRect(); paper.dispatchEvent(new PointerEvent("pointermove", { bubbles: true, pointerId: 77, pointerType: "mouse", clientX: at.x + at.width * (.4 + Math.random() / 5), clientY: at.y + at.height / 2 }))',
            $paper,
        );
    }

    /** Its socket hangs open, but nothing comes from it any more. */
    private function away(Page $student): void
    {
        $student->run('WebSocket.prototype.send = () => undefined');
        $this->teacher->until(
            fn (): bool => $this->teacher->find('.tile:nth-child(3)')->getAttribute('data-state') === 'away',
            'a silent page to be away',
        );
        $student->quit();
    }

    public function test_close_beside_one_student_ink_is_seen_both_ways_and_notes_by_no_student(): void
    {
        $student = $this->join('Solveig', $this->code);
        $student->draw('.page-paper', [[0.2, 0.2], [0.4, 0.3], [0.6, 0.2]]);
        $this->teacher->until(fn (): bool => $this->stored('Solveig') === 1, 'the stroke');
        $this->teacher->click('.tile-open')->find('#closeup-page-frame[data-ready]');
        $own = $this->inked($student, '#page');

        // Coach ink is there before the pen is lifted, and the pointers of both.
        // The last of two quick presses counts, though the notes of the first are still to come.
        $this->teacher
            ->press('o')
            ->press('c')
            ->draw('#closeup .page-paper', [[0.3, 0.6], [0.5, 0.7], [0.7, 0.6]], lift: false);
        // The line for coach ink may open after the pen is down: the hand moves on until it is seen.
        $x = 0.7;
        $student->until(function () use ($student, $own, &$x): bool {
            $this->teacher->moveOn('#closeup .page-paper', $x = $x > 0.75 ? 0.3 : $x + 0.02, 0.6);

            return $this->inked($student, '#page') > $own + 50;
        }, 'coach ink while it is drawn');
        // A pointer that rests is not shown for long: the hands move on until they were seen.
        $seen = static fn (Page $page, string $in): bool => $page->run(
            'return document.querySelector(`${arguments[0]} .page-pointer`)?.textContent ?? null',
            $in,
        ) !== null;
        $student->until(function () use ($student): bool {
            $this->point($this->teacher, '#closeup .page-paper');

            return $student->run('return document.querySelector(".page-pointer")?.textContent ?? ""') === 'Teacher';
        }, 'the teacher\'s pointer');
        $this->teacher->lift();
        $student->seen('#coach-bar');
        $student->draw('.page-paper', [[0.2, 0.8], [0.4, 0.85]]);
        $this->teacher->until(function () use ($student, $seen): bool {
            $this->point($this->teacher, '#closeup .page-paper');
            $this->point($student, '.page-paper');

            return $seen($this->teacher, '#closeup');
        }, 'the student\'s pointer');
        $this->teacher->waitForText('#closeup-saved', 'The student has it');
        $this->teacher->until(fn (): bool => $this->stored('Solveig') === 2, 'the student\'s own strokes, untouched');

        // The student hides it, shows it, and asks about it.
        $with = $student->until(fn (): int => $this->inked($student, '#page'), 'all ink');
        $student->click('#coach-hide');
        $student->until(fn (): bool => $this->inked($student, '#page') < $with, 'coach ink to be hidden');
        $student->click('#coach-hide')->click('#coach-ask');
        self::assertStringContainsString(
            'About what you wrote',
            (string) $student->run('return document.querySelector("#hand-words").value'),
        );
        $student->click('#hand-window .btn-go');
        $this->teacher->waitForText('#waiting-all', 'Solveig');

        // Undo takes the teacher's own step alone.
        $this->teacher->click('#closeup-undo');
        $student->until(fn (): bool => ! $student->find('#coach-bar')->isDisplayed(), 'the coach ink to be gone');
        self::assertSame(2, $this->stored('Solveig'));

        // Private notes: another log, shown on the desk alone.
        $before = $this->inked($student, '#page');
        $this->teacher->press(self::ESCAPE)->press('o');
        $this->teacher->until(
            fn (): bool => $this->teacher->find('#closeup')->getAttribute('data-mode') === 'private',
            'private notes',
        );
        $this->teacher
            ->draw('#closeup .page-paper', [[0.1, 0.5], [0.9, 0.5]])
            ->waitForText('#closeup-saved', 'Kept for teachers');
        $this->teacher->until(fn (): bool => $this->howMany("layer = 'private' and kind = 'add'") === 1, 'the note');
        usleep(400_000);
        self::assertSame($before, $this->inked($student, '#page'));
        $this->teacher->press(self::ESCAPE)->press(self::ESCAPE);
        $this->teacher->until(fn (): bool => ! $this->teacher->find('#closeup')->isDisplayed(), 'the grid');
        $this->teacher->click('.tile-open');
        $this->teacher->until(
            fn (): bool => $this->inked($this->teacher, '#closeup .page-over') > 50,
            'the notes over the canvas',
        );

        // As it was when it was last looked at, given back, and taken back.
        $student->draw('.page-paper', [[0.6, 0.8], [0.9, 0.9]]);
        $this->teacher->until(fn (): bool => $this->stored('Solveig') === 3, 'a third stroke');
        $this->teacher->press(self::ESCAPE)->click('.tile-open')->find('#closeup-page-frame[data-ready]');
        $student->draw('.page-paper', [[0.6, 0.1], [0.9, 0.15]]);
        $this->teacher->until(fn (): bool => $this->stored('Solveig') === 4, 'a fourth stroke');
        $this->teacher->press('l')->seen('#player');
        $now = $this->inked($student, '#page');
        $this->teacher->until(fn (): bool => $this->inked($this->teacher, '.player-page') > 100, 'the last look');
        $this->teacher->click('.player-give');
        $student->until(
            fn (): bool => $this->inked($student, '#page') < $now,
            'the earlier state on the student\'s page',
        );
        $this->teacher->click('#desk-notice button');
        $student->until(fn (): bool => $this->inked($student, '#page') === $now, 'all of it again');
        $this->teacher->press('v')->find('#compare[data-ready]');
        $this->teacher->press(self::ESCAPE);
        self::assertTrue($this->teacher->find('#closeup')->isDisplayed());
        self::assertSame([], $this->teacher->complaints());
        self::assertSame([], $student->complaints());
    }

    public function test_two_desks_a_cut_socket_a_reload_in_mid_stroke_and_a_clock_that_jumps(): void
    {
        $session = $this->text(
            "select id || '/' || return_key from live_sessions order by created_at desc, id desc limit 1",
        );
        $other = $this->person('another desk')->visit(self::$crag->address()."/return/{$session}");
        $other->find('#grid[data-ready]');
        $student = $this->person('Wren');
        $student->developer('Page.addScriptToEvaluateOnNewDocument', [
            'source' => 'const Real = WebSocket; window.sockets = []; window.WebSocket = class extends Real { constructor(address) { super(window.isCut ? "ws://127.0.0.1:1/" : address); window.sockets.push(this); } };',
        ]);
        $student
            ->visit(self::$crag->address().'/join/'.$this->code)
            ->type('#name', 'Wren')
            ->click('form > .btn-go');
        $student->find('#page-frame[data-ready]');
        $this->stroke($student, 0.1);
        $this->agree(1, $student, $other);

        // Without a socket for a while, the page polls and stores.
        $student->run('window.isCut = true; window.sockets.forEach((one) => one.close())');
        $this->stroke($student, 0.25);
        $student->waitForText('#saved', 'slow connection');
        $student->run('window.isCut = false');
        $this->agree(2, $student, $other);

        // The pen is down when the page is reloaded: what there is of the stroke is kept.
        $student->draw('.page-paper', [[0.2, 0.4], [0.5, 0.45], [0.8, 0.4]], lift: false);
        $student->driver->navigate()->refresh();
        $student->find('#page-frame[data-ready]');
        $student->waitForText('#saved', 'Saved');
        $this->agree(3, $student, $other);

        // The device's clock jumps by an hour, each way.
        foreach ([3_600_000, -3_600_000] as $i => $by) {
            $student->run('const now = Date.now.bind(Date); Date.now = () => now() + arguments[0]', $by);
            $this->stroke($student, 0.55 + 0.15 * $i);
            $this->agree(4 + $i, $student, $other);
        }
        self::assertSame(5, $this->howMany("kind = 'add' and layer = 'student'"));
    }

    private function stroke(Page $student, float $y): void
    {
        $student->draw('.page-paper', [[0.2, $y], [0.5, $y + 0.05], [0.8, $y]]);
    }

    /** Both desks and the database have as many strokes as the student's page, and they look alike. */
    private function agree(int $strokes, Page $student, Page $other): void
    {
        $student->until(fn (): bool => $this->stored('Wren') === $strokes, "{$strokes} strokes to be stored");
        foreach ([$this->teacher, $other] as $desk) {
            $desk->until(function () use ($desk, $student): bool {
                $own = $this->ofStudent($student);

                return $own > 0 && abs($this->ofTile($desk) / $own - 1) < 0.12;
            }, "{$strokes} strokes on a desk");
        }
    }

    /** How much ink there is, as a share of the page. */
    private function ofTile(Page $desk): float
    {
        return $this->length($desk, '.tile .page-dry');
    }

    private function ofStudent(Page $student): float
    {
        return $this->length($student, '#page > .page-ink > .page-dry');
    }

    /**
     * The length of the ink in page widths: how many columns of pixels are inked, counted stroke by stroke from above.
     */
    private function length(Page $page, string $selector): float
    {
        $n = $page->run(
            <<<'JS'
            const dry = document.querySelector(arguments[0]), paper = dry.closest('.page').querySelector('.page-paper').getBoundingClientRect(), box = dry.getBoundingClientRect();
            const { data } = dry.getContext('2d').getImageData(0, 0, dry.width, dry.height);
            let runs = 0;
            for (let x = 0; x < dry.width; x++) {
                for (let y = 1; y < dry.height; y++) {
                    runs += data[(y * dry.width + x) * 4 + 3] > 40 && data[((y - 1) * dry.width + x) * 4 + 3] <= 40 ? 1 : 0;
                }
            }
            return runs / (dry.width * paper.width / box.width);
            JS
            ,
            $selector,
        );

        return is_numeric($n) ? (float) $n : 0;
    }

    /** @return list<string> the names on the tiles that are shown */
    private function shown(): array
    {
        $names = $this->teacher->run(
            'return [...document.querySelectorAll(".tile:not([hidden]) .name-real")].map((one) => one.textContent)',
        );

        return is_array($names) ? array_values(array_map(strval(...), $names)) : [];
    }

    /** The prompt asks for a number. */
    private function ask(): void
    {
        $database = new PDO('sqlite:'.self::$crag->data.'/crag.sqlite', options: [PDO::ATTR_TIMEOUT => 5]);
        $question = [
            'questions' => [
                ['id' => 'force', 'kind' => 'number', 'words' => 'The force', 'spot' => null, 'right' => '80 N'],
            ],
        ];
        $database
            ->prepare(
                'update prompts set details = ? where id = (select prompt_id from live_sessions order by id desc limit 1)',
            )
            ->execute([json_encode($question)]);
    }

    private function howMany(string $where): int
    {
        $n = $this->sql(
            "select count(*) from operations where {$where} and live_session_id = (select id from live_sessions order by id desc limit 1)",
        );

        return is_numeric($n) ? (int) $n : -1;
    }

    private function text(string $query): string
    {
        $found = $this->sql($query);

        return is_string($found) ? $found : '';
    }
}
