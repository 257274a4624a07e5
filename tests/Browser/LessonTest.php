<?php

declare(strict_types=1);

namespace Tests\Browser;

use Deploy\Browser\Page;
use Tests\Support\BrowserTestCase;

/** A teacher and two students in three browsers, and the class screen in a fourth, from start to end. */
final class LessonTest extends BrowserTestCase
{
    private const LINE = [[0.2, 0.3], [0.3, 0.4], [0.4, 0.3], [0.5, 0.45], [0.6, 0.3]];

    public function test_a_lesson_from_start_to_end(): void
    {
        // By hand all the way, forms too.
        $teacher = $this->person('teacher')->visit(self::$crag->address());
        $teacher->type('#name', 'Ms Okafor-Lind')->type('#title', 'Bridges and Beams')->click('.btn-slate');
        $teacher->find('#grid[data-ready]');
        $code = str_replace(' ', '', $teacher->text('.door-letters'));
        $tamsin = $this->person('Tamsin')->visit(self::$crag->address()."/join/{$code}");
        $tamsin->type('#name', 'Tamsin')->click('.btn-go')->find('#page-frame[data-ready]');
        self::readPrompt($tamsin);
        $rafe = $this->join('Rafe', $code, 390, 844);
        $teacher->until(fn (): bool => count($teacher->all('.tile')) === 2, 'both tiles');

        $this->drawing($teacher, $tamsin, $rafe);
        $this->typing($teacher, $tamsin);
        $this->undoing($tamsin);
        $this->handingOut($teacher, $tamsin, $rafe);
        $screen = $this->showing($teacher);
        $this->checking($teacher);
        $this->ending($teacher, $tamsin, $screen, $code);

        foreach ([$teacher, $tamsin, $rafe, $screen] as $page) {
            self::assertSame([], $page->complaints());
        }
    }

    private function drawing(Page $teacher, Page $tamsin, Page $rafe): void
    {
        $tamsin->draw('.page-paper', self::LINE, 'pen', lift: false);
        $teacher->waitForText('.tile:nth-child(1)', 'drawing now');
        $teacher->until(
            fn (): bool => $this->inked($teacher, '.tile:nth-child(1)') > 20,
            'ink in the grid before the pen is lifted',
        );
        self::assertSame(0, $this->stored('Tamsin'));
        $tamsin->lift('pen');
        $tamsin->waitForText('#saved', 'Saved');
        $tamsin->until(fn (): bool => $this->stored('Tamsin') === 1, 'the stroke to be stored');

        $rafe->draw('.page-paper', self::LINE, 'touch');
        $teacher->until(fn (): bool => $this->inked($teacher, '.tile:nth-child(2)') > 20, 'a finger\'s ink');
        $rafe->until(fn (): bool => $this->stored('Rafe') === 1, 'the finger\'s stroke');
    }

    private function typing(Page $teacher, Page $tamsin): void
    {
        $teacher->run('document.querySelector(".tile-open").click()');
        $before = $this->inked($teacher, '#closeup-page');
        $tamsin->option('[data-tool="text"]')->draw('.page-paper', [[0.3, 0.6]]);
        // While nothing can be posted, only the socket brings words to the teacher.
        $tamsin->run('window.realFetch = window.fetch; window.fetch = () => Promise.reject(new TypeError())');
        $tamsin->seen('.page-typing')->sendKeys('F = 80');
        $teacher->until(
            fn (): bool => $this->inked($teacher, '#closeup-page') > $before + 100,
            'words in the close-up while they are typed',
        );
        $tamsin->run('window.fetch = window.realFetch');
        $tamsin->seen('.page-typing')->sendKeys(' N');
        $tamsin->press("\u{E00C}");
        $tamsin->until(
            fn (): bool => str_contains(
                (string) $this->sql("select group_concat(body) from operations where body like '%\"text\"%'"),
                'F = 80 N',
            ),
            'the words to be stored',
        );
        $tamsin->option('[data-tool="pen"]');
        $teacher->press("\u{E00C}");
    }

    private function undoing(Page $tamsin): void
    {
        $all = $this->inked($tamsin, '#page');
        $tamsin->option('[data-tool="eraser"]')->draw('.page-paper', [[0.35, 0.2], [0.35, 0.5]]);
        $tamsin->until(fn (): bool => $this->inked($tamsin, '#page') < $all, 'the stroke to be rubbed out');
        $tamsin->click('#undo');
        $tamsin->until(fn (): bool => $this->inked($tamsin, '#page') === $all, 'the stroke to come back');
        $tamsin->click('#redo');
        $tamsin->until(fn (): bool => $this->inked($tamsin, '#page') < $all, 'the stroke to go again');
        $tamsin->press("\u{E009}", 'z');
        $tamsin->until(fn (): bool => $this->inked($tamsin, '#page') === $all, 'the stroke to come back by key');
        $tamsin->click('#more')->click('#empty');
        $tamsin->until(fn (): bool => $this->inked($tamsin, '#page') === 0, 'an empty page');
        $tamsin->press("\u{E009}", 'z');
        $tamsin->until(fn (): bool => $this->inked($tamsin, '#page') === $all, 'everything to come back');
        $tamsin->option('[data-tool="pen"]')->waitForText('#saved', 'Saved');
        $tamsin->driver->navigate()->refresh();
        $tamsin->find('#page-frame[data-ready]');
        $tamsin->until(fn (): bool => abs($this->inked($tamsin, '#page') - $all) < 3, 'the same page after a reload');
    }

    private function handingOut(Page $teacher, Page $tamsin, Page $rafe): void
    {
        $teacher->press('h')->type('#handout-words', 'Find the moment about the pivot.');
        self::assertStringContainsString('2 canvases', $teacher->text('#handout-effect'));
        $teacher->click('#handout label:has([value="squared"])')->click('#handout .btn-go');
        foreach ([$tamsin, $rafe] as $student) {
            $student->waitForText('#prompt-line', 'Find the moment');
            $student->until(
                fn (): bool => str_contains(
                    (string) $student->run('return document.querySelector(".page-backdrop").src'),
                    '/backdrop.svg?kind=squared',
                ),
                'the squares',
            );
            self::assertGreaterThan(0, $this->inked($student, '#page'));
        }
        $teacher->waitForText('#now', 'Find the moment');

        // The form opens with what the students have now, so that changing one thing loses nothing else; a draft stays.
        $teacher->press('h');
        $form =
            'const f = new FormData(document.querySelector("#handout-form")); return ["words", "backdrop", "place"].map((n) => f.get(n)).join("|")';
        self::assertSame('Find the moment about the pivot.|squared|under', $teacher->run($form));
        $teacher
            ->type('#handout-words', 'Brace the frame.')
            ->run('document.querySelector(`#handout input[value="next"]`).click()');
        self::assertStringContainsString('Gives 2 students a new canvas', $teacher->text('#handout-effect'));
        $teacher->press("\u{E00C}")->press('h');
        self::assertSame('Brace the frame.|squared|next', $teacher->run($form));
        $teacher->press("\u{E00C}");
    }

    private function showing(Page $teacher): Page
    {
        $teacher->click('#door-button')->find('#door .door-qr svg');
        $teacher->press("\u{E00C}");
        $link = $teacher->find('#open-screen')->getAttribute('href');
        $screen = $this->person('class screen')->visit((string) $link);
        $screen->waitForText('#shown', 'Find the moment');
        $teacher->run('document.querySelector(".tile-open").focus()');
        $teacher->press('s')->click('[data-do=show-these]')->waitForText('.lineup-entry', 'Tamsin');
        $screen->until(
            fn (): bool => (bool) $screen->run('return document.querySelector(".shown-canvas")?.naturalWidth > 0'),
            'the showcase',
        );
        self::assertStringNotContainsString('Tamsin', (string) $screen->driver->getPageSource());
        $teacher->click('#shown-seats');
        $screen->waitForText('#shown', 'Seat 1');
        $teacher->click('#shown-names');
        $screen->waitForText('#shown', 'Tamsin');
        $teacher->click('#screen-join');
        $screen->find('.shown-qr svg');
        $teacher->press("\u{E00C}");

        return $screen;
    }

    private function checking(Page $teacher): void
    {
        $teacher->run('document.querySelector(".tile-open").focus()');
        $teacher->press('3');
        $teacher->waitForText('#tally > [data-level="3"]', '1');
        $teacher->press("\u{E014}")->press("\u{E006}");
        $teacher->seen('#closeup');
        $teacher->click('#closeup [data-level="1"]');
        $teacher->waitForText('#tally > [data-level="1"]', '1');
        $teacher->press("\u{E00C}")->press('n');
        $teacher->waitForText('.tile:nth-child(1)', 'Seat 1');
        $teacher
            ->press('n')
            ->until(
                static fn (): bool => ! str_contains($teacher->text('.tile:nth-child(1)'), 'Seat 1'),
                'nothing stands for the student',
            );
        self::assertStringNotContainsString('Tamsin', $teacher->text('#grid'));
        $teacher->press('n')->waitForText('.tile:nth-child(1)', 'Tamsin');
        // The desk shows it before the server has been told.
        $teacher->until(
            fn (): bool => $this->sql("select json_extract(settings, '$.desk_names') from live_sessions") === 'names',
            'the server to know it',
        );
    }

    private function ending(Page $teacher, Page $tamsin, Page $screen, string $code): void
    {
        $teacher->click('#desk-menu summary')->click('#end')->click('#ask-first-yes');
        $tamsin->waitForText('main', 'The session has ended');
        $screen->waitForText('#shown', 'The session has ended');
        self::assertCount(1, $tamsin->all('a[href$="work.pdf"]'));
        self::assertCount(1, $tamsin->all('.take-home a[href$=".png"]'));
        $teacher->click('#record button');
        $teacher->until(fn (): bool => $teacher->all('#record a[href$="record.pdf"]') !== [], 'the record', 20);
        $late = $this->person('late')->visit(self::$crag->address().'/join/'.$code);
        self::assertStringContainsString('has ended', $late->text('main'));
    }
}
