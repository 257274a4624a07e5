<?php

declare(strict_types=1);

namespace Tests\Browser;

use Deploy\Browser\Page;
use Deploy\Folder;
use Deploy\Install\Setup;
use Facebook\WebDriver\WebDriverBy;
use Tests\Support\BrowserTestCase;
use Tests\Support\SamplePdf;

/**
 * Minutes before class: a worksheet of six pages lies on the teacher's disk, and at the end students have answered on
 * it by phone, tablet and laptop. What the teacher presses is counted, and what it takes is kept beside the run.
 */
final class WorksheetLessonTest extends BrowserTestCase
{
    private const PAGES = 6;

    /** The file, the pages, the gaps, the start, and its confirmation. */
    private const MOST_PRESSES = 6;

    private int $presses = 0;

    public function test_from_a_pdf_on_the_home_page_to_three_students_who_answer_on_it(): void
    {
        $pdf = (string) tempnam(sys_get_temp_dir(), 'crag');
        file_put_contents($pdf, SamplePdf::worksheet(self::PAGES));
        $began = microtime(true);
        $teacher = $this->person('teacher')->visit(self::$crag->address());
        $teacher->driver->findElement(WebDriverBy::cssSelector('[data-send-file] input[type=file]'))->sendKeys($pdf);
        $this->presses++;
        $teacher->seen('#pages-window');
        $this->press($teacher, '#pages-window .btn-go');
        $teacher->until(fn (): bool => $teacher->all('#plan-prompts [data-prompt]') !== [], 'the prompt', 30);
        $teacher->until(
            fn (): bool => $teacher->run('return document.querySelector("#words").value') === 'Levers and moments',
            'its words',
        );
        $this->press($teacher, '#find-gaps');
        $teacher->waitForText('#plan-notice', '30 answer boxes added');
        $teacher->until(
            fn (): bool => $teacher->find('#plan-saved')->getAttribute('data-state') === 'saved',
            'all of it saved',
        );
        $this->press($teacher, '.plan-bar .btn-go');
        $teacher->type('#name', 'Ms Okafor-Lind');
        $this->press($teacher, '.btn-go');
        $teacher->find('#grid[data-ready]');
        $ready = microtime(true);
        unlink($pdf);
        $code = str_replace(' ', '', $teacher->text('.door-letters'));

        $devices = ['Wren' => [390, 844], 'Ruan' => [820, 1180], 'Tamsin' => [1280, 800]];
        foreach ($devices as $name => [$width, $height]) {
            $student = $this->person($name, $width, $height)->visit(self::$crag->address()."/join/{$code}");
            $student->type('#name', $name)->click('.btn-go');
            $student->find('#page-frame[data-ready]');
            self::readPrompt($student);
            $this->answer($student, 3, '84');
            if ($student->find('.answer-strip')->isDisplayed()) {
                // From the last box of a page it goes on to the next page's first.
                $student->click('.answer-strip-button:nth-of-type(2)')->click('.answer-strip-button:nth-of-type(2)');
                $student->waitForText('.answer-strip-n', '6')->click('.answer-strip-button:nth-of-type(3)');
            } else {
                $student->click('[data-page-step="1"]');
            }
            $this->answer($student, 8, '84');
            $this->assertAccessible($student, "a worksheet for {$name}", '.stage');
        }
        $teacher->until(
            fn (): bool => (int) $this->sql("select count(*) from operations where kind = 'answer'") === 6,
            'six answers',
        );
        foreach (['4', '9'] as $question) {
            $teacher->waitForText('#answer-groups', "Question {$question}");
        }
        $teacher->waitForText('#answer-groups', '3');
        $seconds = round(microtime(true) - $began, 1);
        $folder = Setup::root().'/storage/run/measured';
        Folder::make($folder);
        file_put_contents("{$folder}/worksheet-lesson.json", json_encode([
            'pages' => self::PAGES,
            'teacher_presses' => $this->presses,
            'seconds_until_the_class_can_come' => round($ready - $began, 1),
            'seconds_until_three_have_answered' => $seconds,
        ], JSON_THROW_ON_ERROR)."\n");
        self::assertLessThanOrEqual(self::MOST_PRESSES, $this->presses);
        foreach (['teacher', ...array_keys($devices)] as $who) {
            self::assertSame([], $this->people[$who]->complaints(), $who);
        }
    }

    private function press(Page $page, string $selector): void
    {
        $this->presses++;
        $page->click($selector);
    }

    /** In the box where it stands, or at the foot of the page where the page is seen small. */
    private function answer(Page $student, int $box, string $value): void
    {
        $id = (string) $student->run(
            'return [...document.querySelectorAll(".spots .question, .answer-strip .question")]
                .map((one) => one.dataset.question)
                .sort((a, b) => a.length - b.length || a.localeCompare(b))[arguments[0]]',
            $box,
        );
        $field = "[data-question=\"{$id}\"] input";
        $dot = $student->run(
            'const dots = [...document.querySelectorAll(".spot-dot")]; const dot = dots[arguments[0]];
            if (dot.hidden) { return false; } dot.click(); return true',
            $box,
        );
        if ($dot !== true) {
            $student->run('document.querySelector(arguments[0]).focus()', ".spots {$field}");
        }
        $student->type(($dot === true ? '.answer-strip ' : '.spots ').$field, $value);
        $student->run('document.activeElement.blur()');
        $student->until(
            fn (): bool => $student->find('#saved')->getAttribute('data-state') !== 'saving',
            'it is saved',
        );
    }
}
