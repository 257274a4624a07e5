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

        $plan = (string) $this->sql('select id from plans');
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

    private function saved(Page $teacher, int $questions): void
    {
        $teacher->until(function () use ($questions): bool {
            $details = (string) $this->sql('select details from prompts where plan_id is not null');

            return substr_count($details, '"bare":true') === $questions;
        }, "{$questions} boxes that are saved");
    }
}
