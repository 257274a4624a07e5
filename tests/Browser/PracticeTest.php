<?php

declare(strict_types=1);

namespace Tests\Browser;

use Deploy\Browser\Page;
use Tests\Support\BrowserTestCase;

/** Practice from the editor to the class: chosen, looked at, printed, answered by two with numbers of their own. */
final class PracticeTest extends BrowserTestCase
{
    public function test_a_question_of_ones_own_goes_on_until_two_in_a_row_are_right(): void
    {
        $teacher = $this->person('teacher')->visit(self::$crag->address().'/plans');
        $teacher->click('.library-head .btn-go')->click('#plan-add');
        $teacher->click('#practice summary')->choose('#practice-family', 'own')->seen('#practice-own');
        foreach (['words' => '{a: 2..90} N at {b: 2..9} m. Moment?', 'right' => '{a*b}', 'row' => '2'] as $field => $value) {
            $teacher->run(
                'const field = document.querySelector(arguments[0]); field.value = arguments[1];
                field.dispatchEvent(new Event("change", { bubbles: true }))',
                "#practice-{$field}",
                $value,
            );
        }
        $this->saved($teacher, '"row":2');
        $this->assertAccessible($teacher, 'a question of one’s own', '#practice');
        $plan = (string) $this->sql('select id from plans order by rowid desc limit 1');
        $teacher->visit(self::$crag->address()."/plan/{$plan}/start");
        $teacher->type('#name', 'Ms Okafor-Lind')->click('.btn-go');
        $teacher->find('#grid[data-ready]');
        $wren = $this->come('Wren', str_replace(' ', '', $teacher->text('.door-letters')), 390, 844);
        $wren->run('document.querySelector("#questions").hidden = false');
        $open = '#questions .question:not(:has(.question-mark))';
        // Half an answer is none until it is handed in.
        $wren->type("{$open} input", '1');
        self::assertCount(1, $wren->all('#questions .question'));
        $wren->type("{$open} input", '1');
        $wren->click("{$open} .question-hand-in");
        $wren->waitForText('.question-mark', 'Not right');
        for ($n = 2; $n <= 3; $n++) {
            $wren->until(fn (): bool => count($wren->all('#questions .question')) === $n, "task {$n}");
            $words = (string) $wren->run("return document.querySelector('{$open} [data-words]').dataset.words");
            self::assertSame(1, preg_match('/(\d+) N at (\d+) m/', $words, $found), $words);
            $wren->type("{$open} input", (string) ((int) $found[1] * (int) $found[2]));
            $wren->press("\u{E007}");
        }
        $wren->waitForText('.course-state', 'Done: 2 right in a row');
        $this->assertAccessible($wren, 'practice that is done', '#questions');
        $teacher->waitForText('.tile-practice', '2/2');
        // Loaded again, it is as far as it was.
        $wren->driver->navigate()->refresh();
        $wren->waitForText('.course-state', 'Done: 2 right in a row');
        self::assertCount(3, $wren->all('#questions .question-mark'));
        foreach ([$teacher, $wren] as $page) {
            self::assertSame([], $page->complaints());
        }
    }

    public function test_a_teacher_sets_practice_and_each_student_has_their_own(): void
    {
        $teacher = $this->person('teacher')->visit(self::$crag->address().'/plans');
        $teacher->click('.library-head .btn-go')->click('#plan-add');
        $teacher->click('#practice summary')->choose('#practice-family', 'times_tables');
        $teacher->seen('#practice-kinds');
        $this->saved($teacher, '"family":"times_tables"');
        // The answer is late: what is changed before it comes stays as it was typed.
        self::holdAnswers($teacher, '/edits');
        // Of eleven tables two.
        $teacher->run(
            'for (const box of document.querySelectorAll("#practice-kinds input")) {
                if (box.checked !== ["t7", "t8"].includes(box.value)) { box.click(); }
            }',
        );
        $this->saved($teacher, '"kinds":["t7","t8"]');
        $teacher->run(
            'const n = document.querySelector("#practice-n"); n.value = 12;
            n.dispatchEvent(new Event("change", { bubbles: true }))',
        );
        self::letAnswersGo($teacher, true);
        $this->saved($teacher, '"n":12');
        self::assertSame('12', $teacher->run('return document.querySelector("#practice-n").value'));
        self::letAnswersGo($teacher);
        $teacher->choose('#practice-level', '2');
        $this->saved($teacher, '"level":2');
        $this->assertAccessible($teacher, 'practice in the editor', '#practice');
        $teacher->click('#practice-look')->seen('#practice-sheets li');
        self::assertCount(36, $teacher->all('#practice-sheets li'));
        $this->assertAccessible($teacher, 'three sheets', '#practice-sheets');
        $teacher->click('#practice-sheets [data-cancel]');
        // It is still there when the page is loaded again, and can be taken back.
        $teacher->driver->navigate()->refresh();
        $teacher->until(
            fn (): bool => $teacher->run('return document.querySelector("#practice-family").value') === 'times_tables',
            'it',
        );
        self::assertSame('12', $teacher->run('return document.querySelector("#practice-n").value'));
        $teacher->click('#plan-undo');
        $this->saved($teacher, '"level":1');
        $teacher->click('#plan-redo');
        $this->saved($teacher, '"level":2');
        $plan = (string) $this->sql('select id from plans order by rowid desc limit 1');
        $prompt = (string) $this->sql('select id from prompts where plan_id is not null order by rowid desc limit 1');
        $teacher->run('window.location = arguments[0]', "/plan/{$plan}/prompt/{$prompt}/practice/print?n=2&key=1");
        $teacher->until(fn (): bool => count($teacher->all('.practice-paper')) === 4, 'two sheets and two keys');
        $this->assertAccessible($teacher, 'sheets to print');

        $teacher->visit(self::$crag->address()."/plan/{$plan}/start");
        $teacher->type('#name', 'Ms Okafor-Lind')->click('.btn-go');
        $teacher->find('#grid[data-ready]');
        $code = str_replace(' ', '', $teacher->text('.door-letters'));
        [$wren, $ruan] = [$this->come('Wren', $code, 390, 844), $this->come('Ruan', $code)];
        $asked = fn (Page $page): string => (string) $page->run(
            'return [...document.querySelectorAll("#questions [data-words]")].map((one) => one.dataset.words).join()',
        );
        self::assertNotSame($asked($wren), $asked($ruan));
        $this->assertAccessible($wren, 'practice on a phone', '#prompt-sheet');
        // Each answers the first three of their own: all right, two right, and one a row too far.
        $this->answer($wren, true);
        $this->answer($ruan, false);
        foreach (['Wren' => '3/12', 'Ruan' => '2/12'] as $name => $right) {
            $teacher->until(
                fn (): bool => str_contains((string) $teacher->run(
                    <<<'JS'
                    return [...document.querySelectorAll('.tile')]
                        .find((tile) => tile.textContent.includes(arguments[0]))
                        .querySelector('.tile-practice').textContent
                    JS
                    ,
                    $name,
                ), $right),
                "{$right} on {$name}’s tile",
            );
        }
        self::closeUp($teacher, 'Ruan');
        $teacher->waitForText('#closeup-answers', 'Perhaps: one row too far');
        foreach ([$teacher, $wren, $ruan] as $page) {
            self::assertSame([], $page->complaints());
        }
    }

    private function saved(Page $teacher, string $json): void
    {
        $details = fn (): string => (string) $this->sql(
            'select details from prompts where plan_id is not null order by rowid desc limit 1',
        );
        $teacher->until(static fn (): bool => str_contains($details(), $json), $json);
    }

    private function come(string $name, string $code, int $width = 1280, int $height = 800): Page
    {
        $page = $this->person($name, $width, $height)->visit(self::$crag->address()."/join/{$code}");
        $page->type('#name', $name)->press("\u{E007}");
        $page->find('#page-frame[data-ready]');
        $page->seen('#questions .question');

        return $page;
    }

    /** The first three tasks. One answer is a row too far, where it is plain in which table. */
    private function answer(Page $page, bool $allRight): void
    {
        $page->run(
            <<<'JS'
            const [allRight] = arguments;
            const isTable = (factor) => [7, 8].includes(factor);
            const tasks = [...document.querySelectorAll('#questions .question')].slice(0, 3).map((question) => {
                const [, a, b] = question.querySelector('[data-words]').dataset.words.match(/(\d+)\D+(\d+)/).map(Number);
                return { field: question.querySelector('input'), a, b };
            });
            const off = allRight ? undefined : tasks.find(({ a, b }) => isTable(a) !== isTable(b));
            for (const task of tasks) {
                const { field, a, b } = task;
                field.focus();
                field.value = String(a * b + (task === off ? (isTable(a) ? a : b) : 0));
                field.dispatchEvent(new Event('input', { bubbles: true }));
                field.dispatchEvent(new Event('change', { bubbles: true }));
                field.blur();
            }
            JS
            ,
            $allRight,
        );
    }
}
