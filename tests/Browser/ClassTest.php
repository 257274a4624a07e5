<?php

declare(strict_types=1);

namespace Tests\Browser;

use Deploy\Bench\Scribblers;
use Deploy\Browser\Engine;
use Deploy\Browser\Page;
use Deploy\DemoClass;
use Deploy\Install\Setup;
use Deploy\Port;
use SimpleXMLElement;
use Symfony\Component\Process\Process;
use Tests\Support\BrowserTestCase;
use ZipArchive;

/**
 * A class of 24 simulated students and one on a phone: three prompts watched, checked, asked and shown; its record; and
 * two weeks later nothing.
 */
final class ClassTest extends BrowserTestCase
{
    private const STUDENTS = 24;

    private const ESCAPE = "\u{E00C}";

    private static DemoClass $class;

    public static function setUpBeforeClass(): void
    {
        self::$class = DemoClass::start('127.0.0.1', Port::free(), 'test');
        self::$crag = self::$class->instance;
        self::$browsers = Engine::shared();
    }

    public function test_a_lesson_of_three_prompts_is_taught_taken_and_forgotten(): void
    {
        $class = new Scribblers(self::$class, self::STUDENTS, 600, 5000);
        try {
            $desk = $this->person('desk')->visit(self::$class->addresses['desk']);
            $screen = $this->person('class screen')->visit(self::$class->addresses['screen']);
            $phone = $this->join('نور', self::$class->addresses['code'], 390, 844);
            $desk->until(fn (): bool => count($desk->all('.tile')) === self::STUDENTS + 1, 'the whole class', 30);
            $class->begin();
            foreach (['Where does it turn?', 'Brace the frame.'] as $words) {
                $desk->click('[data-do="add-prompt"]')->type('#add-words', $words)->click('#add-prompt .btn-go');
                $desk->waitForText('#rail', $words);
            }
            $this->watched($desk, $phone, 1);
            $this->asked($desk, $phone, $screen);
            $this->shown($desk, $phone, $screen);
            foreach ([2, 3] as $n) {
                $this->gathered($desk, $phone, $screen, $n);
                $this->watched($desk, $phone, $n);
            }
            $id = (string) $this->sql('select id from live_sessions where join_code = ?', [
                self::$class->addresses['code'],
            ]);
            $this->kept($desk);
            $this->ended($desk, $phone, $screen);
            $this->taken($desk, $id);
            foreach ([$desk, $screen, $phone] as $page) {
                // A picture that was replaced while it was on its way is no one's to see any more.
                self::assertSame(
                    [],
                    array_filter(
                        $page->complaints(),
                        static fn (string $one): bool => preg_match('#/showcase/\S+\.svg\?\d+ - .*404#', $one) !== 1,
                    ),
                );
            }
            $this->gone($desk, $phone, $id);
        } finally {
            $class->leave();
        }
    }

    /** Everybody draws, and the teacher checks the whole class and then one otherwise. */
    private function watched(Page $desk, Page $phone, int $n): void
    {
        self::readPrompt($phone);
        $phone->draw('.page-paper', [[0.2, 0.2], [0.5, 0.4], [0.8, 0.2]]);
        $desk->until(
            fn (): bool => $desk->run(
                'return [...document.querySelectorAll(".tile")].filter((one) => one.dataset.state === "drawing" || one.dataset.state === "quiet").length',
            ) ===
                self::STUDENTS + 1,
            "everybody at work on prompt {$n}",
            40,
        );
        $desk->run(
            'document.querySelectorAll(".tile-name").forEach((one) => one.getAttribute("aria-pressed") === "true" || one.click())',
        );
        $desk
            ->waitForText('#chosen-count', self::STUDENTS + 1 .' chosen')
            ->press('3')
            ->waitForText('#tally > [data-level="3"]', (string) (self::STUDENTS + 1));
        $desk->press(self::ESCAPE)->run('document.querySelectorAll(".tile-open")[4].focus()');
        $desk->press((string) ($n - 1))->waitForText('#tally > [data-level="'.($n - 1).'"]', '1');
        $desk->until(
            fn (): bool => count($desk->all('.tile.has-changed')) > 3,
            'work that has changed since its check',
            60,
        );
    }

    private function asked(Page $desk, Page $phone, Page $screen): void
    {
        $desk->press('a');
        self::writeRun($desk, 'Which way does it turn? | up; *down | 120 s');
        $desk->run(
            'document.querySelector("#run-form [name=auto]").checked = false; document.querySelector("#run-form").requestSubmit()',
        );
        $desk->waitForText('#ask-body', self::STUDENTS.' of '.(self::STUDENTS + 1).' answered', 30);
        $desk->click('#ask-body [data-body*="tally"][data-post$="screen"]');
        $screen->waitForText('#shown', 'Which way does it turn?');
        $desk->click('#ask-body [data-on*="tally"][data-post$="show"]');
        $phone->click('#quick-ask label:nth-of-type(2)')->waitForText('#quick-ask-state', 'Your answer is in');
        $screen->waitForText('#shown', self::STUDENTS + 1 .' answers');
        $screen->until(
            fn (): bool => $screen->run(
                'return [...document.querySelectorAll(".tally-n")].reduce((sum, one) => sum + Number(one.textContent), 0)',
            ) ===
                self::STUDENTS + 1,
            'all answers in the bars',
        );
        $desk->click('.run-now .btn-slate')->waitForText('#ask-body', 'How everyone did');
        $right = $this->sql(
            "select count(*) from (select voter, value, row_number() over (partition by voter order by id desc) r from ask_answers) where r = 1 and value like '%o2%'",
        );
        self::assertStringContainsString("{$right} of ".(self::STUDENTS + 1).' right', $desk->text('.run-result'));
        $desk->press(self::ESCAPE);
    }

    private function shown(Page $desk, Page $phone, Page $screen): void
    {
        $desk->run('document.querySelectorAll(".tile-name").forEach((one, i) => i < 4 && one.click())');
        $desk->waitForText('#chosen-count', '4 chosen')->press('j')->press(self::ESCAPE);
        $desk->until(fn (): bool => count($desk->all('.lineup-entry')) === 4, 'four in the line-up');
        $desk->run(
            'document.querySelector("#shown-on-both").click()',
        );
        $desk->press(']');
        for ($n = 2; $n <= 4; $n++) {
            $this->seesPictures([$screen, $phone], $n - 1);
            $desk->run(
                'document.querySelectorAll(".lineup-entry [data-do=show-entry]")['.
                    ($n - 1).
                    '].dispatchEvent(new MouseEvent("click", { bubbles: true, ctrlKey: true }))',
            );
        }
        $this->seesPictures([$screen, $phone], 4);
        // Drawn over the first, made larger for everybody, and its replay.
        $desk->press('u')->find('#talking [data-ready]');
        // It has the desk's whole middle, and the work lies exactly where its page is.
        $desk->until(
            fn (): bool => $desk->run(
                <<<'JS'
                const box = (selector) => document.querySelector(selector).getBoundingClientRect();
                const [whole, talking] = [box('.desk-middle'), box('#talking')];
                const [paper, picture] = [box('#talking .page-paper'), box('#talking .talking-sheet img')];
                return talking.width === whole.width && picture.width > 100 &&
                    ['left', 'top', 'width', 'height'].every((one) => Math.abs(paper[one] - picture[one]) < 2);
                JS
            ) === true,
            'the work on its page',
        );
        $desk->draw('#talking .page-paper', [[0.3, 0.3], [0.5, 0.5], [0.7, 0.3]]);
        foreach ([$screen, $phone] as $page) {
            $page->until(
                fn (): bool => $page->run(
                    'return document.querySelector(".shown-over:not([hidden])")?.naturalWidth > 0',
                ) === true,
                'the ink over it',
            );
        }
        $desk->click('#talking [data-zoom="in"]');
        foreach ([$screen, $phone] as $page) {
            $page->until(
                fn (): bool => str_contains(
                    (string) $page->run('return document.querySelector(".shown-zoom").style.transform'),
                    'scale',
                ),
                'the part that the teacher looks at',
            );
        }
        $desk->click('#talking-replay');
        $screen->until(
            fn (): bool => (float) $screen->run('return document.querySelector(".shown-work").dataset.played ?? "0"') >
                0.2,
            'the replay',
        );
        self::assertStringNotContainsString('Student 1', (string) $screen->driver->getPageSource());
        $desk->press('u');
    }

    /** @param  list<Page>  $pages */
    private function seesPictures(array $pages, int $count): void
    {
        foreach ($pages as $page) {
            $page->until(
                fn (): bool => $page->run(
                    'return [...document.querySelectorAll(".shown-canvas")].filter((one) => one.naturalWidth > 0).length',
                ) === $count,
                "{$count} side by side",
            );
        }
    }

    private function gathered(Page $desk, Page $phone, Page $screen, int $n): void
    {
        $desk->click("#rail-{$n}")->press('g');
        $phone->waitForText('#prompt-number', "Prompt {$n}");
        // What is shown stays until the teacher puts something else on the class screen.
        if ($n === 2) {
            self::assertCount(4, $screen->all('.shown-canvas'));
        }
        $desk->press('s')->click('#screen-prompt')->press(self::ESCAPE);
        $screen->waitForText('#shown', "Prompt {$n}");
        $desk->until(
            fn (): bool => $desk->run('return document.querySelector("#grid").dataset.ready') ===
                $this->sql(
                    'select id from prompts where n = ? and live_session_id = (select id from live_sessions where join_code = ?)',
                    [$n, self::$class->addresses['code']],
                ),
            'the grid of the prompt',
        );
    }

    private function kept(Page $desk): void
    {
        $desk->run('document.querySelector("#settings-button").click()');
        $desk->run(
            'const days = document.querySelector("#keep-days"); days.value = "14"; days.dispatchEvent(new Event("change", { bubbles: true }))',
        );
        $desk->waitForText('#desk-notice', 'Kept for 14 days');
        $desk->press(self::ESCAPE);
    }

    private function ended(Page $desk, Page $phone, Page $screen): void
    {
        $desk->click('#desk-menu summary')->click('#end')->click('#ask-first-yes');
        $phone->waitForText('main', 'The session has ended');
        $screen->waitForText('#shown', 'The session has ended');
        self::assertCount(3, $phone->all('.take-home li'));
    }

    /** The files are opened, and what they say adds up to what the database holds. */
    private function taken(Page $desk, string $id): void
    {
        $desk->click('#record button');
        $desk->until(fn (): bool => $desk->all('#record a[href$="record.pdf"]') !== [], 'the record', 90);
        $file = fn (string $name): string => tap(
            (string) tempnam(sys_get_temp_dir(), 'crag-test'),
            fn (string $to) => file_put_contents($to, $this->fetched($desk, $name)),
        );
        $all = 3 * (self::STUDENTS + 1);
        $pdf = $file('record.pdf');
        self::assertStringContainsString(
            "Pages:           {$all}",
            (string) shell_exec('pdfinfo '.escapeshellarg($pdf)),
        );
        shell_exec('pdftoppm -r 40 -f 1 -l 1 -gray '.escapeshellarg($pdf).' '.escapeshellarg("{$pdf}-page"));
        $picture = glob("{$pdf}-page*") ?: self::fail('no page was drawn');
        self::assertGreaterThan(
            5,
            count(array_unique(str_split((string) file_get_contents($picture[0])))),
            'the page is not blank',
        );

        $secure = (int) $this->sql(
            'select count(*) from checks c join canvases k on k.id = c.canvas_id where k.live_session_id = ? and c.level = 3 and c.id = (select max(id) from checks where canvas_id = c.canvas_id)',
            [$id],
        );
        $rows = array_map(
            static fn (string $line): array => str_getcsv($line, escape: ''),
            explode("\r\n", trim($this->fetched($desk, 'results.csv'))),
        );
        self::assertCount($all + 1, $rows);
        self::assertSame($secure, count(array_filter($rows, static fn (array $row): bool => $row[4] === '3')));
        self::assertContains('نور', array_column($rows, 1));

        $ods = new ZipArchive();
        self::assertTrue($ods->open($file('results.ods')));
        $sheets = simplexml_load_string((string) $ods->getFromName('content.xml'));
        self::assertInstanceOf(SimpleXMLElement::class, $sheets);
        $sheets->registerXPathNamespace('table', 'urn:oasis:names:tc:opendocument:xmlns:table:1.0');
        self::assertCount($all + 1, $sheets->xpath('//table:table[1]/table:table-row') ?: []);
        $xlsx = new ZipArchive();
        self::assertTrue($xlsx->open($file('results.xlsx')));
        self::assertSame($all + 1, substr_count((string) $xlsx->getFromName('xl/worksheets/sheet1.xml'), '<row '));

        $statements = (array) json_decode($this->fetched($desk, 'statements.json'), true);
        self::assertCount(
            $all,
            array_filter($statements, static fn (mixed $one): bool => data_get($one, 'verb.display.en') === 'scored'),
        );
        self::assertSame(
            $secure,
            count(array_filter($statements, static fn (mixed $one): bool => data_get($one, 'result.score.scaled') == 1)),
        );
    }

    /** Two weeks later, on a clock that was moved on. */
    private function gone(Page $desk, Page $phone, string $id): void
    {
        self::assertStringContainsString('There is', $this->doctor($id));
        foreach (['13 days', '14 days 1 hour'] as $later) {
            $forget =
                'require "vendor/autoload.php"; $app = require "bootstrap/app.php"; $app->make(Illuminate\Contracts\Console\Kernel::class)->bootstrap(); Illuminate\Support\Carbon::setTestNow(now()->add("'.
                $later.
                '")); app(App\Sessions\Life\EndIdle::class)();';
            (new Process([PHP_BINARY, '-r', $forget], Setup::root(), self::$crag->environment()))->mustRun();
            self::assertSame(
                $later === '13 days' ? 1 : 0,
                $this->sql('select count(*) from live_sessions where id = ?', [$id]),
            );
        }
        self::assertStringNotContainsString('There is', $this->doctor($id));
        $desk->driver->navigate()->refresh();
        self::assertStringContainsString('There’s nothing here', $desk->text('main'));
        $phone->driver->navigate()->refresh();
        self::assertStringContainsString('There’s nothing here', $phone->text('main'));
    }

    private function doctor(string $id): string
    {
        $doctor = new Process([PHP_BINARY, 'crag', 'doctor', "--forgotten={$id}"], Setup::root());
        $doctor->run();

        return $doctor->getOutput();
    }

    /** A file as the teacher's browser gets it. */
    private function fetched(Page $desk, string $name): string
    {
        $base64 = $desk->driver->executeAsyncScript(
            <<<'JS'
            const [name, done] = arguments;
            fetch(location.pathname.replace(/\/ended$/, '/' + name)).then((answer) => answer.arrayBuffer()).then((bytes) => {
                let text = '';
                new Uint8Array(bytes).forEach((one) => { text += String.fromCharCode(one); });
                done(btoa(text));
            });
            JS
            ,
            [$name],
        );

        return (string) base64_decode(is_string($base64) ? $base64 : '', true);
    }
}
