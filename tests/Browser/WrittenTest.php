<?php

declare(strict_types=1);

namespace Tests\Browser;

use Crag\Handwriting\Made\Forms;
use Crag\Handwriting\Made\Hand;
use Deploy\Browser\Page;
use Tests\Support\BrowserTestCase;

/** Answers written by hand in their box, read as the pen pauses, and confirmed by their writer. */
final class WrittenTest extends BrowserTestCase
{
    private const BOX = ['page' => 0, 'x' => 150, 'y' => 250, 'w' => 1200, 'h' => 220];

    public function test_a_written_answer_is_confirmed_and_stands_with_the_typed_ones(): void
    {
        [$teacher, $code] = $this->lesson();
        $tamsin = $this->join('Tamsin', $code);
        $this->write($tamsin, '240 Nm', 3);
        $tamsin->waitForText('.written-bar:not([hidden])', '240');
        $this->assertAccessible($tamsin, 'what was read', '#page-frame');
        $said = $tamsin->text('.written-says');
        self::assertSame('240 Nm', $said);
        self::assertSame(0, $this->answers(), 'nothing counts by itself');
        $tamsin->click('.written-says + .btn')->waitForText('.question-read', '240');
        self::assertFalse($tamsin->find('.written-bar')->isDisplayed());
        // Reloaded, it is not asked about again.
        $tamsin->driver->navigate()->refresh();
        $tamsin->find('#page-frame[data-ready]');
        $tamsin->waitForText('.question-read', '240');
        // On a phone the bar lies beside the box, and what is typed counts as what is written does.
        $otis = $this->join('Otis', $code, 390, 844);
        $this->write($otis, '24', 5);
        $otis->seen('.written-bar:not([hidden])');
        $box = $otis->run('const { left, right } = document.querySelector(".written-bar").getBoundingClientRect(); return [left >= 0, right <= innerWidth]');
        self::assertSame([true, true], $box);
        $otis->click('.written-others + .btn')->type('.written-form input', '0.24 kN m')->click('.written-form .btn');
        $otis->waitForText('.question-read', '0.24');
        $teacher->waitForText('#answer-groups', '240');
        $teacher->until(fn (): bool => $teacher->text('#answer-groups .answer-n') === '2', 'both in one group');
        // Looked up as it was read, and as it was typed.
        foreach ([['240 nm', '2 wrote it'], ['0.24', '1 wrote it'], ['720', '0 wrote it']] as [$what, $said]) {
            $teacher->type('#who-wrote input', $what)->waitForText('#who-wrote output', $said);
        }
        $teacher->type('#who-wrote input', '240')->press("\u{E007}");
        $teacher->until(fn (): bool => count($teacher->all('.tile.is-chosen')) === 2, 'both chosen');
        $this->assertAccessible($teacher, 'who wrote it', '#desk, main');
        self::assertSame([], $tamsin->complaints());
        self::assertSame([], $otis->complaints());
    }

    public function test_a_seven_that_is_corrected_to_a_one_is_read_as_one_from_then_on(): void
    {
        [, $code] = $this->lesson();
        $ada = $this->join('Ada', $code);
        $this->write($ada, '7', 9);
        $ada->waitForText('.written-says', '7');
        // Rubbed out before anything was said: there is nothing to confirm.
        $this->undoAll($ada);
        $ada->until(fn (): bool => ! $ada->find('.written-bar')->isDisplayed(), 'the bar to go');
        $this->write($ada, '7', 9);
        $ada->seen('.written-bar:not([hidden])');
        $ada->click('.written-others + .btn')->type('.written-form input', '1')->click('.written-form .btn');
        $ada->waitForText('.question-read', '1');
        $own = 'select count(*) from own_forms where seat_id = (select id from seats order by rowid desc limit 1)';
        $ada->until(fn (): bool => (int) $this->sql($own) === 1, 'it to be learned');
        // It is taken back, and the same is written twice: another seven than that may be a seven still.
        $this->undoAll($ada);
        $this->write($ada, '7', 9);
        $this->write($ada, '7', 9, right: 100);
        $ada->waitForText('.written-says', '11');
        self::assertSame([], $ada->complaints());
    }

    public function test_a_box_for_writing_is_drawn_in_a_plan_and_a_formula_is_asked_for_beside_it(): void
    {
        $teacher = $this->person('teacher')->visit(self::$crag->address().'/plans');
        $teacher->click('.library-head .btn-go')->click('#plan-add')->seen('#draw-boxes');
        $teacher->find('#plan-bench [data-ready]');
        $teacher->choose('#box-kind', 'written')->click('#draw-boxes');
        $teacher->draw('#plan-bench .page-paper', [[.1, .2], [.6, .4]])->press("\u{E00C}");
        $teacher->type('#question-list [data-field=right]', '240 N m');
        self::assertTrue($teacher->run('return document.querySelector("[data-field=by_hand]").checked'));
        $teacher->choose('#question-new', 'text')->seen('#question-list li:nth-child(2)');
        $second = '#question-list li:nth-child(2) ';
        $teacher->type("{$second}[data-field=rights]", '2H2 + O2 -> 2H2O');
        self::assertTrue($teacher->find("{$second}.question-loose")->isDisplayed());
        $teacher->choose("{$second}[data-field=reads]", 'chemistry');
        // How strictly words are compared is nothing that a formula asks about.
        self::assertFalse($teacher->find("{$second}.question-loose")->isDisplayed());
        $this->assertAccessible($teacher, 'a box for writing and a formula', '.plan-middle');
        $details = fn (): array => (array) json_decode(
            (string) $this->sql('select details from prompts where plan_id is not null order by rowid desc limit 1'),
            true,
        );
        $teacher->until(fn (): bool => ($details()['questions'][1]['reads'] ?? '') === 'chemistry', 'both saved');
        self::assertTrue($details()['questions'][0]['by_hand'] ?? false);
        // A key that is no formula is said.
        $teacher->type("{$second}[data-field=rights]", 'Xy2');
        $teacher->waitForText('#plan-problems', '“Xy” isn’t the symbol of an element.');
        self::assertSame([], $teacher->complaints());
    }

    public function test_chosen_strokes_are_set_in_type_below_the_ink_that_stays(): void
    {
        [$teacher, $code] = $this->lesson();
        $bo = $this->join('Bo', $code);
        $strokes = $this->write($bo, '√{50}', 4);
        $bo->click('[data-tool=move]')->draw('#page-frame .page-paper', [[.05, .2], [.3, .35], [.6, .55]]);
        // The tray has words and no formulas.
        $bo->option('[data-chosen=type]');
        $made = $this->latest($bo, 'Bo', 'add', $strokes + 1);
        self::assertSame(['text', '√50'], [$made['object']['type'], $made['object']['text']]);
        $bo->press("\u{E00C}");
        // With formulas it stands in their window first.
        $teacher->run(<<<'JS'
            fetch(`${location.pathname}/tray`, {
                method: 'POST',
                headers: {
                    Accept: 'application/json',
                    'X-XSRF-TOKEN': decodeURIComponent(/XSRF-TOKEN=([^;]+)/.exec(document.cookie)[1]),
                },
                body: new URLSearchParams({ tray: 'maths', for: 'session' }),
            });
            JS);
        $bo->until(fn (): bool => $bo->run('return !document.querySelector("[data-tool=maths]").hidden') === true, 'formulas');
        $bo->click('[data-tool=move]')->draw('#page-frame .page-paper', [[.05, .2], [.3, .3], [.6, .46]]);
        $bo->option('[data-chosen=type]')->seen('.maths-window[open] svg.maths-preview path');
        self::assertSame('\\sqrt{50}', $bo->run('return document.querySelector(".maths-source").value'));
        $bo->click('.maths-window .btn-go');
        $made = $this->latest($bo, 'Bo', 'add', $strokes + 2);
        self::assertSame(['maths', '\\sqrt{50}'], [$made['object']['type'], $made['object']['source']]);
        // What is no ink is not read.
        $bo->click('[data-tool=move]')->draw('#page-frame .page-paper', [[.05, .2], [.3, .45], [.9, .95]]);
        $bo->option('[data-reveal=rare]');
        self::assertFalse($bo->find('[data-chosen=type]')->isDisplayed());
        self::assertSame([], $bo->complaints());
    }

    public function test_what_was_written_first_is_asked_about_after_what_was_written_since(): void
    {
        [, $code] = $this->lesson(2);
        $cy = $this->join('Cy', $code);
        $this->write($cy, '12', 6);
        $cy->waitForText('.written-bar .answer-strip-n', '1');
        $this->write($cy, '35', 6, 300);
        $cy->waitForText('.written-bar .answer-strip-n', '2')->waitForText('.written-says', '35');
        $cy->click('.written-says + .btn');
        $cy->waitForText('.written-bar .answer-strip-n', '1')->waitForText('.written-says', '12');
        $cy->click('.written-bar .btn-icon');
        self::assertFalse($cy->find('.written-bar')->isDisplayed(), 'put away it stays away');
        // Written on, it is asked about again.
        $this->write($cy, '7', 6, 0, 420);
        $cy->waitForText('.written-bar .answer-strip-n', '1');
        self::assertSame(1, $this->answers());
        self::assertSame([], $cy->complaints());
    }

    public function test_a_nought_that_ends_with_a_rest_is_no_circle(): void
    {
        [, $code] = $this->lesson();
        $di = self::seeWhole($this->join('Di', $code));
        $nought = static fn (float $y): array => array_map(
            static fn (int $n): array => [.3 + .05 * cos($n * M_PI / 8), $y + .08 * sin($n * M_PI / 8)],
            range(0, 16),
        );
        $kinds = fn (): array => array_column($this->log('Di'), 'kind');
        $di->draw('#page-frame .page-paper', $nought(.35), 'pen', 16, true, 1_800);
        $di->until(fn (): bool => $kinds() === ['add'], 'the nought');
        $di->seen('.written-bar:not([hidden])');
        // Beside the box a shape is meant.
        $di->draw('#page-frame .page-paper', $nought(.75), 'pen', 16, true, 1_800);
        $di->until(fn (): bool => $kinds() === ['add', 'add', 'straighten'], 'the circle');
        self::assertSame([], $di->complaints());
    }

    /** @return array{Page, string} a desk and its code, with a question or two that are answered by hand */
    private function lesson(int $questions = 1): array
    {
        [$teacher, $code] = $this->startLesson();
        $this->sql('delete from operations');
        $this->sql('update prompts set details = ? where live_session_id = (select id from live_sessions order by rowid desc limit 1)', [
            json_encode(['questions' => array_map(static fn (int $n): array => [
                'id' => "m{$n}",
                'kind' => 'number',
                'words' => 'What is the moment?',
                'spot' => ['y' => self::BOX['y'] + 300 * $n] + self::BOX,
                'right' => '240 N m',
                'by_hand' => true,
            ], range(0, $questions - 1))]),
        ]);

        return [$teacher, $code];
    }

    /** Whatever was done on the page is taken back, step by step. */
    private function undoAll(Page $page): void
    {
        $page->until(function () use ($page): bool {
            $page->press("\u{E009}", 'z');

            return $this->inked($page, '#page-frame') === 0;
        }, 'an empty page');
    }

    private function answers(): int
    {
        return (int) $this->sql("select count(*) from operations where kind = 'answer'");
    }

    /** In a made-up hand, into the box. How many strokes that took. */
    private function write(Page $page, string $text, int $seed, int $down = 0, int $right = 0): int
    {
        $strokes = (new Hand(Forms::all(true), $seed))->line($text)['trace']->strokes;
        foreach ($strokes as $stroke) {
            $page->draw('#page-frame .page-paper', array_map(
                static fn (array $at): array => [
                    (200 + $right + $at[0] * 1.2) / 1600,
                    (430 + $down + $at[1] * 1.2) / 1000,
                ],
                self::everySecond($stroke),
            ), 'pen', 4);
        }

        return count($strokes);
    }

    /**
     * @param  list<array{float, float}>  $stroke
     * @return list<array{float, float}> with its end
     */
    private static function everySecond(array $stroke): array
    {
        $last = count($stroke) - 1;

        return array_values(array_filter(
            $stroke,
            static fn (int $n): bool => $n % 2 === 0 || $n === $last,
            ARRAY_FILTER_USE_KEY,
        ));
    }
}
