<?php

declare(strict_types=1);

namespace Tests\Browser;

use Deploy\Browser\Page;
use Facebook\WebDriver\WebDriverBy;
use Tests\Support\BrowserTestCase;
use Tests\Support\SamplePdf;

/** From a worksheet to a class that answers on it: brought in, its gaps found, begun, filled in. */
final class WorksheetTest extends BrowserTestCase
{
    public function test_a_worksheet_becomes_a_prompt_whose_gaps_students_fill_in(): void
    {
        $pdf = (string) tempnam(sys_get_temp_dir(), 'crag');
        file_put_contents($pdf, SamplePdf::worksheet());
        $teacher = $this->person('teacher')->visit(self::$crag->address().'/plans');
        $teacher->click('.library-head .btn-go')->find('#plan-file');
        $teacher->driver->findElement(WebDriverBy::cssSelector('#plan-file'))->sendKeys($pdf);
        $teacher->click('#pages-window [value=prompts]')->click('#pages-window .btn-go');
        $teacher->until(fn (): bool => $teacher->all('#plan-prompts [data-prompt]') !== [], 'the page as a prompt');
        $teacher->until(
            fn (): bool => $teacher->run('return document.querySelector("#words").value') === 'Levers and moments',
            'its first line as its words',
        );
        unlink($pdf);
        $teacher->click('#find-gaps')->waitForText('#plan-notice', '5 answer boxes added');
        $this->saved($teacher, 5);
        // Found again there is nothing new; one step back takes all of them away, and one on brings them again.
        $teacher->click('#find-gaps')->waitForText('#plan-notice', 'No new gaps');
        $teacher->click('#plan-undo');
        $this->saved($teacher, 0);
        $teacher->click('#plan-redo');
        $this->saved($teacher, 5);
        $this->assertAccessible($teacher, 'a worksheet with its gaps', '#plan-side');

        $plan = $this->plan();
        $teacher->visit(self::$crag->address()."/plan/{$plan}/start");
        $teacher->type('#name', 'Ms Okafor-Lind')->click('.btn-go');
        $teacher->find('#grid[data-ready]');
        $code = str_replace(' ', '', $teacher->text('.door-letters'));
        $wren = $this->join('Wren', $code, 390, 844);
        $wren->until(fn (): bool => count($wren->all('.spots .question.is-bare')) === 5, 'five boxes on the sheet');
        $this->assertAccessible($wren, 'a worksheet on a phone', '.spots');
        // What the sheet says is the box's name for those who hear it, and is not written over the sheet.
        $name = 'return document.querySelectorAll(".spots input")[3].getAttribute("aria-label")';
        self::assertSame('12 × 7 =', $wren->run($name));
        self::assertFalse($wren->run(
            'const words = document.querySelector(".spots .question.is-bare legend span[dir]");
            return words.getBoundingClientRect().width > 2',
        ));
        $wren->run(
            <<<'JS'
            const field = document.querySelectorAll('.spots input')[3];
            field.focus();
            field.value = '84';
            field.dispatchEvent(new Event('input', { bubbles: true }));
            field.dispatchEvent(new Event('change', { bubbles: true }));
            field.blur();
            JS
        );
        $teacher->until(
            fn (): bool => (int) $this->sql("select count(*) from operations where kind = 'answer'") === 1,
            'the answer',
        );
        $teacher->run('document.querySelector(".tile-open").click()');
        $teacher->waitForText('#closeup-answers', '84');
        foreach ([$teacher, $wren] as $page) {
            self::assertSame([], $page->complaints());
        }
    }

    public function test_several_files_come_in_one_after_the_other_wherever_they_are_dropped(): void
    {
        $teacher = $this->person('teacher')->visit(self::$crag->address().'/plans');
        $teacher->click('.library-head .btn-go')->click('#plan-add')->type('#words', 'First');
        $teacher->until(fn (): bool => $this->words() === ['First'], 'a prompt');
        $teacher->click('#plan-add');
        $teacher->until(fn (): bool => count($teacher->all('#plan-prompts [data-prompt]')) === 2, 'another');
        $teacher->until(fn (): bool => $teacher->run('return document.querySelector("#words").value') === '', 'it');
        $teacher->type('#words', 'Last');
        $teacher->until(fn (): bool => $this->words() === ['First', 'Last'], 'two prompts');
        $files = [];
        foreach (['One paragraph.' => 'txt', SamplePdf::pages(2) => 'pdf', 'Another paragraph.' => 'txt'] as $in => $kind) {
            $files[] = ['kind' => $kind === 'pdf' ? 'application/pdf' : 'text/plain', 'bytes' => base64_encode($in)];
        }
        // Dropped on the first prompt of the list they come behind it, in their order, and the PDF asks for its pages.
        $teacher->run(<<<'JS'
            const files = new DataTransfer();
            for (const { kind, bytes } of arguments[0]) {
                const data = Uint8Array.from(atob(bytes), (letter) => letter.charCodeAt(0));
                files.items.add(new File([data], 'sheet', { type: kind }));
            }
            document.querySelector('#plan-prompts [data-prompt]')
                .dispatchEvent(new DragEvent('drop', { dataTransfer: files, bubbles: true, cancelable: true }));
            JS, $files);
        $teacher->seen('#pages-window');
        $teacher->click('#pages-window [value=pages]')->click('#pages-window .btn-go');
        $teacher->until(
            fn (): bool => $this->words() ===
                ['First', 'One paragraph.', 'Worksheet, page 1', 'Another paragraph.', 'Last'],
            'all of them in their order',
            30,
        );
        // The PDF's own words can be heard, and found by the browser's search.
        $teacher->click('#plan-prompts [data-prompt]:nth-of-type(3), #plan-prompts li:nth-child(3) [data-prompt]');
        $teacher->waitForText('.page-text', 'Worksheet, page 1');
        // A PDF that is dropped on the canvas is asked about too; left there, nothing comes in.
        $teacher->run(<<<'JS'
            const files = new DataTransfer();
            const data = Uint8Array.from(atob(arguments[0]), (letter) => letter.charCodeAt(0));
            files.items.add(new File([data], 'sheet', { type: 'application/pdf' }));
            document.querySelector('#plan-bench .page-frame')
                .dispatchEvent(new DragEvent('drop', { dataTransfer: files, bubbles: true, cancelable: true }));
            JS, $files[1]['bytes']);
        $teacher->seen('#pages-window');
        $teacher->click('#pages-window [data-cancel]');
        self::assertCount(5, $this->words());
        self::assertSame([], $teacher->complaints());
    }

    public function test_boxes_are_drawn_by_hand_and_answered_small_and_large_by_field_tick_and_mark(): void
    {
        $teacher = $this->person('teacher')->visit(self::$crag->address().'/plans');
        $teacher->click('.library-head .btn-go')->click('#plan-add')->seen('#draw-boxes');
        $teacher->find('#plan-bench [data-ready]');
        $paper = '#plan-bench .page-paper';
        $boxes = [
            ['number', [[.1, .1], [.3, .16]]], ['tick', [[.5, .1], [.54, .16]]], ['drawing', [[.1, .5], [.4, .9]]],
            ['marked', [[.5, .5], [.6, .56]]], ['', [[.7, .5], [.8, .56]]], ['text', [[.5, .7], [.9, .9]]],
        ];
        foreach ($boxes as $i => [$kind, $line]) {
            if ($kind !== '') {
                $teacher->choose('#box-kind', $kind);
            }
            if ($i === 0) {
                $teacher->click('#draw-boxes');
            }
            $teacher->draw($paper, $line);
            $n = $i < 4 ? $i + 1 : $i;
            $teacher->until(
                fn (): bool => count($teacher->all('#question-list > li')) === $n,
                "{$n} questions after box {$i}",
            );
        }
        self::assertCount(2, $teacher->all('.spot-printed'), 'two printed answers of one question');
        // A press that goes nowhere makes no box, and Escape gives the page back to the pen.
        $teacher->draw($paper, [[.9, .3], [.9, .3]]);
        $teacher->press("\u{E00C}");
        self::assertSame('false', $teacher->find('#draw-boxes')->getAttribute('aria-pressed'));
        self::assertCount(5, $teacher->all('#question-list > li'));
        // Keys move a box and change its size; a printed answer has a handle of its own.
        $teacher->run(<<<'JS'
            const press = (handle, key, shiftKey) => document.querySelector(handle)
                .dispatchEvent(new KeyboardEvent('keydown', { key, shiftKey, bubbles: true }));
            press('[data-spot="q1"]', 'ArrowDown', false);
            press('[data-spot="q1"]', 'ArrowDown', true);
            press('[data-spot="q4 c2"]', 'ArrowRight', false);
            JS);
        $this->assertAccessible($teacher, 'drawn boxes', '.plan-middle');
        $this->saved($teacher, 5);
        $details = json_decode($this->details(), true);
        self::assertIsArray($details);
        $kinds = array_column($details['questions'], 'kind');
        self::assertSame(['number', 'tick', 'drawing', 'marked', 'text'], $kinds);
        self::assertEqualsWithDelta(70, $details['questions'][0]['spot']['h'], 6, 'a key made it taller');
        self::assertEqualsWithDelta(1130, $details['questions'][3]['options'][1]['x'], 8, 'a key moved it');

        $plan = $this->plan();
        $teacher->visit(self::$crag->address()."/plan/{$plan}/start");
        $teacher->type('#name', 'Ms Okafor-Lind')->click('.btn-go');
        $teacher->find('#grid[data-ready]');
        $code = str_replace(' ', '', $teacher->text('.door-letters'));
        // On a page that is seen small, a box is pressed and answered at the foot of the page.
        $wren = $this->join('Wren', $code, 390, 844);
        $this->seeAll($wren);
        $dots = fn (): array => array_values(array_filter(
            $wren->all('.spot-dot'),
            static fn ($dot): bool => $dot->isDisplayed(),
        ));
        $wren->until(fn (): bool => count($dots()) === 5, 'a dot for each box');
        $dots()[0]->click();
        $wren->seen('.answer-strip');
        $wren->type('.answer-strip input', '240 N');
        $wren->click('.answer-strip-button:nth-of-type(2)');
        $wren->click('.answer-strip .question-tick');
        $this->assertAccessible($wren, 'a box answered at the foot of the page', '.answer-strip');
        // The page is turned to its writing size with the strip open: the field goes home, with what stands in it.
        $wren->run('document.querySelector("[data-zoom=fit]").click()');
        $wren->until(
            fn (): bool => $wren->run('return document.querySelector(".answer-strip").hidden') === true,
            'the strip is closed',
        );
        self::assertSame('240 N', $wren->run('return document.querySelector(".spots input[type=text]").value'));

        $otis = $this->join('Otis', $code, 1280, 800);
        $this->seeAll($otis);
        $otis->draw('#page-frame .page-paper', [[.71, .53], [.75, .53], [.79, .53]]);
        $otis->draw('#page-frame .page-paper', [[.2, .6], [.3, .7]]);
        $otis->until(fn (): bool => $otis->run(
            'return document.querySelector(".spots .question[data-kind=drawing]").classList.contains("is-answered")',
        ) === true, 'the box to draw in has its answer');
        $teacher->until(
            fn (): bool => count($teacher->all('.tile .answer-box.is-answered')) === 2,
            'both answers in the tile',
        );
        $seat = (string) $this->sql("select id from seats where name = 'Otis'");
        $teacher->run("document.querySelector('[data-seat=\"{$seat}\"] .tile-open').click()");
        $teacher->waitForText('#closeup-answers', 'B');
        $teacher->waitForText('#closeup-answers', 'drawn');
        foreach ([$teacher, $wren, $otis] as $page) {
            self::assertSame([], $page->complaints());
        }
    }

    private function seeAll(Page $page): void
    {
        $page->until(fn (): bool => (bool) $page->run(
            <<<'JS'
            const fit = document.querySelector('[data-zoom=fit]');
            if (fit.querySelector('span').textContent.trim() !== '100 %') {
                fit.click();
            }
            return fit.querySelector('span').textContent.trim() === '100 %';
            JS,
        ), 'the whole page');
    }

    /** @return list<string> of the newest plan's prompts, in their order */
    private function words(): array
    {
        $sequence = json_decode((string) $this->sql('select sequence from plans order by rowid desc limit 1'), true);

        return array_map(
            fn (mixed $id): string => (string) $this->sql('select words from prompts where id = ?', [$id]),
            is_array($sequence) ? array_values($sequence) : [],
        );
    }

    private function plan(): string
    {
        return (string) $this->sql('select id from plans order by rowid desc limit 1');
    }

    /** Of the only prompt of the newest plan. */
    private function details(): string
    {
        return (string) $this->sql("select details from prompts where plan_id = '{$this->plan()}'");
    }

    private function saved(Page $teacher, int $questions): void
    {
        $teacher->until(function () use ($questions): bool {
            return substr_count($this->details(), '"bare":true') === $questions;
        }, "{$questions} boxes that are saved");
    }
}
