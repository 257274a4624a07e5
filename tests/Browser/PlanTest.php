<?php

declare(strict_types=1);

namespace Tests\Browser;

use Deploy\Browser\Page;
use Facebook\WebDriver\Remote\LocalFileDetector;
use Facebook\WebDriver\WebDriverSelect;
use Tests\Support\BrowserTestCase;
use Tests\Support\SamplePdf;
use ZipArchive;

/** A plan prepared in a real browser, started with a class, and answered. */
final class PlanTest extends BrowserTestCase
{
    /** @var list<string> brought in, and deleted when the test is over */
    private array $files = [];

    protected function tearDown(): void
    {
        parent::tearDown();
        array_map(unlink(...), $this->files);
    }

    public function test_the_library_is_searched_while_typing_and_a_class_is_one_press_away(): void
    {
        $teacher = $this->person('librarian')->visit(self::$crag->address().'/plans');
        foreach (['Moments about a support', 'Span to depth'] as $title) {
            $teacher->visit(self::$crag->address().'/plans')->click('.library-new .btn-go');
            $teacher->until(fn (): bool => $teacher->find('#plan-empty')->isDisplayed(), 'an empty plan');
            $teacher->type('#plan-title', $title."\u{E004}");
            $teacher->until(
                fn (): bool => $this->sql('select count(*) from plans where title = ?', [$title]) === 1,
                'the title is kept',
            );
        }
        $teacher->visit(self::$crag->address().'/plans')->type('#search', 'momen');
        $teacher->until(fn (): bool => count($teacher->all('.plan-card')) === 1, 'only what matches');
        $teacher->waitForText('.plan-card', 'Moments about a support');
        // The address is that of what is seen, and the field is still being typed in.
        self::assertStringContainsString('search=momen', $teacher->driver->getCurrentURL());
        $teacher->find('#search')->sendKeys('xyz');
        $teacher->waitForText('#plans-found', 'No plans match');
        $teacher->visit(self::$crag->address().'/')->waitForText('#way-plans', 'Teach now');
        $teacher->click('.plan-card-do summary')->click('.plan-card-do .menu-item')->seen('#name');
    }

    public function test_a_worksheet_with_questions_variants_and_pieces_is_made_answered_and_taken_out(): void
    {
        $teacher = $this->newPlan('Levers');

        // Six pages of a PDF as one prompt, with two questions placed on the first.
        $this->upload($teacher, '#plan-file', SamplePdf::pages(6), 'pdf');
        $teacher->until(
            fn (): bool => $teacher->run('return document.querySelectorAll("#pages-pictures img").length') === 6,
            'six pages to choose from',
        );
        $teacher->click('#pages-window .btn-go');
        $teacher->waitForText('.bench-page', 'Page 1 of 6');
        $this->question($teacher, 'maths', 'Twice x and six', '2x+6');
        $this->question($teacher, 'number', 'The moment', '240 N m');
        $teacher->run('document.querySelectorAll("[data-do=spot]")[0].click()');
        $this->place($teacher, 1, [-0.2, -0.25]);
        $teacher->run('document.querySelectorAll("[data-do=spot]")[1].click()');
        $this->place($teacher, 2, [-0.2, 0.1]);
        $teacher->type('#words', 'Fill in the worksheet.');

        // A prompt with other numbers for each student.
        $teacher->click('#plan-add');
        $teacher->until(fn (): bool => count($teacher->all('#plan-prompts li')) === 2, 'a second prompt');
        $teacher->until(fn (): bool => $teacher->find('#words')->getAttribute('value') === '', 'its empty words');
        $teacher->type('#words', 'What is {a: 2..9} × {b: 2..9; b ≠ a}?');
        $this->question($teacher, 'number', 'It is', '{a*b}');
        $teacher->waitForText('#words-shown', 'What is a × b?');

        // Pieces to be moved: a shape that is drawn and made into one.
        $teacher->click('#plan-add');
        $teacher->until(fn (): bool => count($teacher->all('#plan-prompts li')) === 3, 'a third prompt');
        $this->ready($teacher);
        $teacher->type('#words', 'Where does the weight go?');
        $teacher
            ->option('[data-tool=shapes]')
            ->option('[data-shape=rectangle]')
            ->draw('#plan-bench .page-paper', [[0.2, 0.2], [0.35, 0.35]]);
        $teacher->option('[data-tool=move]')->draw('#plan-bench .page-paper', [[0.1, 0.1], [0.5, 0.5]]);
        $teacher->option('[data-chosen=pieces]');
        $teacher->type('#pieces-alt', 'A weight')->click('#pieces .btn-go');
        $this->saved($teacher);

        $plan = (string) $this->sql("select id from plans where title = 'Levers'");
        $first = $this->takenOut($teacher, $plan);
        self::assertCount(6, $first['prompts'][0]['pages']);
        self::assertSame(['maths', 'number'], array_column($first['prompts'][0]['questions'], 'kind'));
        [$one, $two] = array_column($first['prompts'][0]['questions'], 'spot');
        self::assertLessThan($two['y'], $one['y']);
        self::assertSame('piece', $first['prompts'][2]['pages'][0]['objects'][0]['object']['type']);

        // Read back, it is the same plan.
        $this->bringBack($teacher, $plan);
        $copy = (string) $this->sql('select id from plans order by id desc limit 1');
        self::assertNotSame($plan, $copy);
        self::assertSame($first, $this->takenOut($teacher, $copy));

        $this->lesson($teacher, $plan);
    }

    public function test_two_pages_of_one_plan_never_overwrite_each_other(): void
    {
        $one = $this->newPlan('Frames');
        $one->click('#plan-add');
        $one->until(fn (): bool => $one->find('#plan-prompt')->isDisplayed(), 'a prompt');
        $one->type('#words', 'First words');
        $this->saved($one);
        $first = $one->driver->getWindowHandle();
        $second = $one->openBeside();
        $one->driver->switchTo()->window($second);
        $one->until(
            fn (): bool => $one->find('#words')->getAttribute('value') === 'First words',
            'the words on the second page',
        );
        $one->run('document.querySelector("#minutes").closest("details").open = true');
        $one->type('#minutes', '7')->click('#plan-tags');
        $this->saved($one);
        // The pages ask every three seconds: what they type meanwhile meets.
        $one->run(
            'window.stop(); const old = window.fetch; window.fetch = (a, b) => (b?.method ?? "GET") === "GET" ? new Promise(() => {}) : old(a, b)',
        );
        $one->driver->switchTo()->window($first);
        $one->type('#words', 'Theirs');
        $this->saved($one);
        $one->driver->switchTo()->window($second);
        $one->type('#words', 'Mine');
        $one->seen('#conflict-window[open]');
        self::assertSame('Theirs', $one->text('#conflict-theirs'));
        self::assertSame('Mine', $one->text('#conflict-mine'));
        self::assertSame('Theirs', $this->words());
        $one->click('#conflict-window [value=mine]');
        $one->until(fn (): bool => $this->words() === 'Mine', 'mine to stand');
        $one->driver->switchTo()->window($first);
        $one->find('#plan-title')->click();
        $one->until(
            fn (): bool => $one->find('#words')->getAttribute('value') === 'Mine',
            'the other page to hear of it',
        );
        self::assertSame(
            7,
            (int) $this->sql(
                "select json_extract(details, '$.minutes') from prompts where plan_id is not null order by id desc limit 1",
            ),
        );
    }

    public function test_changes_wait_for_the_network_and_are_taken_back_step_by_step(): void
    {
        $teacher = $this->newPlan('Loads');
        $teacher->click('#plan-ready')->click('[data-ready=agree]');
        $teacher->until(
            fn (): bool => count($teacher->all('#question-list li')) === 1,
            'the question of the ready-made prompt',
        );
        $teacher->offline(true);
        $teacher->type('#words', 'Typed in a tunnel');
        $teacher->waitForText('#plan-saved', 'Not saved yet — trying again');
        $teacher->offline(false);
        $this->saved($teacher);
        self::assertSame(
            'Typed in a tunnel',
            $this->sql('select words from prompts where plan_id is not null order by id desc limit 1'),
        );
        $teacher->click('#plan-title')->click('#plan-undo');
        $teacher->until(
            fn (): bool => str_contains((string) $teacher->find('#words')->getAttribute('value'), 'longer the plank'),
            'the words before',
        );
        $teacher->click('#plan-undo');
        $teacher->until(fn (): bool => count($teacher->all('#plan-prompts li')) === 0, 'no prompt');
        self::assertTrue($teacher->find('#plan-empty')->isDisplayed());
        $teacher->click('#plan-redo');
        $teacher->until(fn (): bool => count($teacher->all('#plan-prompts li')) === 1, 'the prompt again');
    }

    public function test_what_cannot_be_saved_stays_beside_its_field_until_it_is_mended(): void
    {
        $teacher = $this->newPlan('Scales');
        // A file that is dropped on the empty page comes into the plan instead of taking the page's place.
        self::assertTrue(
            $teacher->run(
                'const files = new DataTransfer(); files.items.add(new File(["One|"], "one.txt", { type: "text/plain" })); return ["dragover", "drop"].every((kind) => !document.querySelector("#plan-empty").dispatchEvent(new DragEvent(kind, { bubbles: true, cancelable: true, dataTransfer: files })));',
            ),
        );
        $teacher->until(fn (): bool => count($teacher->all('#plan-prompts li')) === 1, 'a prompt of the dropped file');
        $this->ready($teacher);
        $teacher->run('document.querySelectorAll("#plan-side details").forEach((one) => { one.open = true; })');
        $told = fn (string $field): string => (string) $teacher->run(
            "const p = document.querySelector('[data-refused=\"{$field}\"]'); return p.hidden ? '' : p.textContent;",
        );
        // A line that is none is said, and stays to be mended.
        $lines = '#asks [data-cards=lines]';
        $teacher->type($lines, "Which way? | up; *down\nHow far? | 3 m | soon")->click('#asks [data-cards=take]');
        $teacher->waitForText('#asks [data-cards=problem]', 'Card 2: Write a time like 20 s or 2 min.');
        $teacher->run('document.querySelector("#asks [data-cards=lines]").value = ""');
        $teacher->type($lines, "Which way? | up; *down\nHow far? | 3 m\nHow heavy? | 80 N");
        $teacher->click('#asks [data-cards=take]')->find('.run-card:nth-child(3)');
        // A card without words cannot be asked; those around it are saved.
        $teacher->choose('.run-card:nth-child(2) [data-card=kind]', 'worked');
        $teacher->run(
            'const words = document.querySelector(".run-card:nth-child(2) textarea"); words.value = ""; words.dispatchEvent(new Event("change", { bubbles: true }));',
        );
        $teacher->waitForText('#plan-saved', '1 thing not saved');
        self::assertStringContainsString('Card 2: Write the worked answer, or give it a picture.', $told('asks'));
        $asks = fn (): mixed => json_decode(
            (string) $this->sql(
                "select json_extract(details, '$.asks') from prompts where plan_id is not null order by id desc limit 1",
            ),
        );
        $teacher->until(
            fn (): bool => array_column(array_column((array) $asks(), 'question'), 'words') === ['Which way?', 'How heavy?'],
            'the good cards to be saved',
        );
        $teacher->type('#points', '1000')->click('#minutes');
        $teacher->waitForText('#plan-saved', '2 things not saved');
        // Axes that cannot be drawn stay in the form, and the page keeps what it had.
        $teacher->run(
            'const kind = document.querySelector("#backdrop-kind"); kind.value = "axes"; kind.dispatchEvent(new Event("change", { bubbles: true }));',
        );
        $teacher->until(
            fn (): bool => $teacher->run(
                'return document.querySelector("#plan-bench .page-backdrop")?.outerHTML.includes("axes") || document.querySelector("[name=\'settings[x_to]\']").offsetParent !== null',
            ) === true,
            'the settings of axes',
        );
        $teacher->run(
            'const to = document.querySelector("[name=\'settings[x_to]\']"); to.value = "-9"; to.dispatchEvent(new Event("change", { bubbles: true }));',
        );
        $teacher->waitForText('#plan-saved', '3 things not saved');
        self::assertStringContainsString('Across: “to” must be above “from”.', $told('backdrop'));
        // It goes with its prompt, and comes back with it.
        $teacher->run('document.querySelector("#plan-prompts [data-do=out]").click()');
        $teacher->until(fn (): bool => count($teacher->all('#plan-prompts li')) === 0, 'the prompt to be taken out');
        $this->saved($teacher);
        $teacher->click('#plan-undo')->waitForText('#plan-saved', '3 things not saved');
        // All of it is still there after a reload.
        $teacher->driver->navigate()->refresh();
        $this->ready($teacher);
        $teacher->waitForText('#plan-saved', '3 things not saved');
        self::assertSame(
            [['Which way?', 'choice'], ['', 'worked'], ['How heavy?', 'number']],
            $teacher->run(
                'return [...document.querySelectorAll("#asks .run-card")].map((one) => [one.querySelector("textarea").value, one.dataset.kind])',
            ),
        );
        self::assertSame(
            ['1000', '-9'],
            $teacher->run(
                'return [document.querySelector("#points").value, document.querySelector("[name=\'settings[x_to]\']").value]',
            ),
        );
        $teacher->run(
            'document.querySelector("[data-refused=points] button").click(); document.querySelector("[data-refused=backdrop] button").click(); const words = document.querySelector(".run-card:nth-child(2) textarea"); words.value = "3 m"; words.dispatchEvent(new Event("change", { bubbles: true }));',
        );
        $this->saved($teacher);
        self::assertSame(
            [3, ''],
            [count((array) $asks()), $teacher->run('return document.querySelector("#points").value')],
        );
        // An empty title is put back.
        $teacher->run(
            'const title = document.querySelector("#plan-title"); title.focus(); title.value = " "; title.dispatchEvent(new Event("input")); title.blur();',
        );
        $this->saved($teacher);
        self::assertSame(
            ['Scales', 'Scales'],
            [
                $this->sql('select title from plans order by id desc limit 1'),
                $teacher->run('return document.querySelector("#plan-title").value'),
            ],
        );
    }

    public function test_a_plan_is_tried_on_devices_of_every_size(): void
    {
        $teacher = $this->newPlan('Scale');
        $teacher->click('#plan-ready')->click('[data-ready=moments]');
        $this->ready($teacher);
        $this->saved($teacher);
        $teacher->click('.plan-bar a[href$="/try"]');
        $teacher->driver->switchTo()->frame($teacher->find('.try-frame'));
        $teacher->find('#page-frame[data-ready]');
        $teacher->type('[data-question=force] input', '80');
        $teacher->until(
            fn (): bool => (int) $this->sql("select count(*) from operations where kind = 'answer'") >= 1,
            'the answer to be stored',
        );
        $teacher->driver->switchTo()->defaultContent();
        foreach (['1280x720', '820x1100', '844x390'] as $size) {
            $teacher->click("[data-device=\"{$size}\"]");
            $box = $teacher->run(
                'const b = document.querySelector(".try-device").getBoundingClientRect(); return [b.left, b.top, innerWidth - b.right, innerHeight - b.bottom]',
            );
            self::assertGreaterThanOrEqual(0, min((array) $box), $size);
        }
    }

    private function lesson(Page $teacher, string $plan): void
    {
        $teacher->visit(self::$crag->address().'/classes');
        $teacher
            ->type('#name', '9B Beams')
            ->type('#names', "Ada Brook\nIvo Stone\nنور الهدى")
            ->click('.btn-go')
            ->find('.class-table');
        $teacher
            ->visit(self::$crag->address()."/plan/{$plan}/start")
            ->type('#name', 'Ms Okafor-Lind')
            ->click('.btn-go');
        $teacher->find('#grid[data-ready]');
        $code = str_replace(' ', '', $teacher->text('.door-letters'));
        $ada = $this->sit('Ada Brook', $code);
        $ivo = $this->sit('Ivo Stone', $code, 390, 844);
        $teacher->click('#door-button');
        $teacher->waitForText('#missing', '1 of 9B Beams are missing');
        $teacher->press("\u{E00C}");

        // In place, over the worksheet; what cannot be understood is said to the teacher.
        $ada->type('.spots [data-question=q1] input', '2(x+3)')->type('.spots [data-question=q2] input', '0.24 kN m');
        $ada->click('#prompt-number');
        // On the phone the page is seen small: the box is pressed, and answered at the foot of the page.
        $ivo->run('document.querySelector("#fold")?.click()');
        $ivo->click('.spot-dot:not([hidden])')->type('.answer-strip [data-question=q1] input', '2x+');
        $teacher->until(
            fn (): bool => (int) $this->sql("select count(*) from operations where kind = 'answer'") === 3,
            'three answers',
        );
        // The boxes are as large on every device as the page is; whoever types sees letters that can be read.
        $ivo->run('document.activeElement.blur()');
        usleep(200_000);
        $ratio =
            'const box = document.querySelector("#closeup:not([hidden]) .spots .question, body > :not(#closeup) .spots .question"); return parseFloat(getComputedStyle(box).fontSize) / box.closest(".bench, .closeup-main").querySelector(".page-paper").getBoundingClientRect().width';
        $of = static fn (mixed $number): float => is_numeric($number) ? (float) $number : 0.0;
        self::assertEqualsWithDelta($of($ada->run($ratio)), $of($ivo->run($ratio)), 0.0005);
        self::assertGreaterThanOrEqual(
            16,
            $of($ivo->run(
                'return parseFloat(getComputedStyle(document.querySelector(".answer-strip input")).fontSize)',
            )),
            'letters that can be read',
        );
        $this->assertAnswers($teacher, 'Ada Brook', ['right', 'right']);
        $this->assertTyped($teacher, ['2(x+3)', '0.24 kN m']);
        self::assertEqualsWithDelta($of($ada->run($ratio)), $of($teacher->run($ratio)), 0.0005);
        $this->assertAnswers($teacher, 'Ivo Stone', ['unreadable', 'none']);
        $this->assertTyped($teacher, ['2x+', '']);

        // Everybody goes on to the prompt with numbers of their own.
        $teacher->press("\u{E00C}");
        $teacher->click('#rail-2')->click('.rail-actions:not([hidden]) .btn-go');
        $words = [];
        foreach (['Ada Brook' => $ada, 'Ivo Stone' => $ivo] as $name => $student) {
            $student->until(
                fn (): bool => preg_match('/What is (\d) × (\d)\?/', $student->text('#prompt-line')) === 1,
                'numbers of the own',
            );
            $words[] = $asked = $student->text('#prompt-line');
            preg_match('/(\d) × (\d)/', $asked, $found);
            $student->type('#questions input', (string) ((int) ($found[1] ?? 0) * (int) ($found[2] ?? 0)));
            $student->run('document.activeElement.blur()');
        }
        self::assertNotSame($words[0], $words[1]);
        $teacher->until(
            fn (): bool => (int) $this->sql("select count(*) from operations where kind = 'answer'") === 5,
            'five answers',
        );
        $this->assertAnswers($teacher, 'Ivo Stone', ['right']);

        // An answer is there again when the page is opened anew, and a piece can be moved.
        $ada->driver->navigate()->refresh();
        $ada->find('#page-frame[data-ready]');
        $ada->until(fn (): bool => $ada->find('#questions input')->getAttribute('value') !== '', 'the answer again');
        $teacher->press("\u{E00C}");
        $teacher->click('#rail-3')->click('.rail-actions:not([hidden]) .btn-go');
        $ada->waitForText('#prompt-line', 'Where does the weight go?');
        $ada->find('.bench-objects [data-id]');
        $before = (int) $this->sql("select count(*) from operations where kind = 'arrange'");
        $ada->option('[data-tool=move]')->draw('.page-paper', [[0.275, 0.2], [0.5, 0.5], [0.6, 0.6]]);
        $ada->until(
            fn (): bool => (int) $this->sql("select count(*) from operations where kind = 'arrange'") === $before + 1,
            'the piece to be moved',
        );
    }

    private function sit(string $name, string $code, int $width = 1280, int $height = 800): Page
    {
        $student = $this->person($name, $width, $height)->visit(self::$crag->address()."/join/{$code}");
        $student->run(
            '[...document.querySelectorAll(".join-name")].find((one) => one.textContent.trim() === arguments[0]).click()',
            $name,
        );
        $student->find('#page-frame[data-ready]');

        return $student;
    }

    /** @param  list<string>  $outcomes */
    private function assertAnswers(Page $teacher, string $name, array $outcomes): void
    {
        $teacher->press("\u{E00C}");
        self::closeUp($teacher, $name);
        $teacher->until(
            fn (): bool => $teacher->run(
                'return [...document.querySelectorAll("#closeup-answers [data-outcome]")].map((one) => one.dataset.outcome)',
            ) === $outcomes,
            implode(', ', $outcomes)." for {$name}",
        );
    }

    /** @param  list<string>  $typed  in the fields that lie over the canvas in the close-up */
    private function assertTyped(Page $teacher, array $typed): void
    {
        $teacher->until(
            fn (): bool => $teacher->run(
                'return [...document.querySelectorAll("#closeup .spots input")].map((one) => one.value)',
            ) === $typed,
            implode(', ', $typed).' in the fields over the canvas',
        );
    }

    /**
     * The words of the newest prompt of a plan.
     *
     * @phpstan-impure
     */
    private function words(): mixed
    {
        return $this->sql('select words from prompts where plan_id is not null order by id desc limit 1');
    }

    private function newPlan(string $title): Page
    {
        $teacher = $this->person('teacher')->visit(self::$crag->address().'/plans');
        $teacher->click('.library-new .btn-go');
        $teacher->until(fn (): bool => $teacher->find('#plan-empty')->isDisplayed(), 'an empty plan');
        $teacher->type('#plan-title', $title);
        $this->saved($teacher);

        return $teacher;
    }

    private function saved(Page $page): void
    {
        $page->until(
            fn (): bool => $page->run('return document.querySelector("#plan-saved").dataset.state') === 'saved',
            'everything to be saved',
        );
    }

    /** Waits until the open prompt's canvas is here. */
    private function ready(Page $page): void
    {
        $page->until(
            fn (): bool => $page->run('return document.querySelector("#plan-bench .page-frame").dataset.ready') ===
                $this->sql(
                    'select c.id from canvases c join prompts p on p.id = c.prompt_id where p.plan_id is not null and c.seat_id is null order by c.id desc limit 1',
                ),
            'the canvas of the new prompt',
        );
    }

    private function question(Page $teacher, string $kind, string $words, string $right): void
    {
        $before = count($teacher->all('#question-list li'));
        (new WebDriverSelect($teacher->find('#question-new')))->selectByValue($kind);
        $teacher->until(
            fn (): bool => count($teacher->all('#question-list li')) === $before + 1,
            "a question more than {$before}",
        );
        $teacher->type('#question-list li:last-child [data-field=words]', $words);
        $teacher->type('#question-list li:last-child [data-field=right]', $right);
        $this->saved($teacher);
    }

    /**
     * Drags a question's handle, in fractions of the page.
     *
     * @param  array{float, float}  $by
     */
    private function place(Page $teacher, int $n, array $by): void
    {
        $teacher->until(fn (): bool => count($teacher->all('.spot-handle')) === $n, "{$n} questions on the page");
        $handle = $teacher->run(
            'const p = document.querySelector("#plan-bench .page-paper").getBoundingClientRect(); const b = [...document.querySelectorAll(".spot-handle")].at(-1).getBoundingClientRect(); return [(b.left + 15 - p.left) / p.width, (b.top + 15 - p.top) / p.height]',
        );
        assert(is_array($handle));
        $teacher->draw('#plan-bench .page-paper', [
            [$handle[0], $handle[1]],
            [$handle[0] + $by[0] / 2, $handle[1] + $by[1] / 2],
            [$handle[0] + $by[0], $handle[1] + $by[1]],
        ]);
        $this->saved($teacher);
    }

    private function upload(Page $page, string $input, string $bytes, string $ending): void
    {
        $file = sys_get_temp_dir().'/crag-upload-'.bin2hex(random_bytes(4)).".{$ending}";
        file_put_contents($file, $bytes);
        $page->find($input)->setFileDetector(new LocalFileDetector())->sendKeys($file);
        // The page reads it when it sends it.
        $this->files[] = $file;
    }

    /** @return array<string, mixed> plan.json of a plan that is taken out, as the page's own link gives it */
    private function takenOut(Page $teacher, string $plan): array
    {
        $file = $this->zip($teacher, $plan);
        $zip = new ZipArchive();
        self::assertTrue($zip->open($file));
        $json = json_decode((string) $zip->getFromName('plan.json'), true, flags: JSON_THROW_ON_ERROR);
        $zip->close();
        unlink($file);

        return $json;
    }

    private function zip(Page $teacher, string $plan): string
    {
        $teacher->driver->manage()->timeouts()->setScriptTimeout(30);
        $bytes = $teacher->driver->executeAsyncScript(
            'const done = arguments.at?.(-1) ?? arguments[arguments.length - 1]; fetch(arguments[0]).then((r) => r.arrayBuffer()).then((b) => done(btoa([...new Uint8Array(b)].map((c) => String.fromCharCode(c)).join(""))))',
            ["/plan/{$plan}/take-out/plan.zip"],
        );
        $file = (string) tempnam(sys_get_temp_dir(), 'crag-taken');
        file_put_contents($file, base64_decode(is_string($bytes) ? $bytes : ''));

        return $file;
    }

    private function bringBack(Page $teacher, string $plan): void
    {
        $file = $this->zip($teacher, $plan);
        $teacher->visit(self::$crag->address().'/plans');
        $this->upload($teacher, '.library-new input[type=file]', (string) file_get_contents($file), 'zip');
        unlink($file);
        $teacher->until(fn (): bool => count($teacher->all('#plan-prompts li')) === 3, 'the plan that was brought in');
    }
}
