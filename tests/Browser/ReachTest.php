<?php

declare(strict_types=1);

namespace Tests\Browser;

use Crag\Canvas\Scene;
use Crag\Json\Fields;
use Crag\Prompt\Backdrop\Backdrop;
use Crag\Render\NoPictures;
use Crag\Render\SceneSvg;
use Crag\Tests\Canvas\Examples;
use Crag\Tests\Canvas\Handwriting;
use Crag\Tests\Canvas\Logs;
use Deploy\Browser\Page;
use PHPUnit\Framework\Attributes\TestWith;
use Symfony\Component\Process\Process;
use Tests\Support\BrowserTestCase;

/** Pages that everybody can use, and pictures that agree. */
final class ReachTest extends BrowserTestCase
{
    public function test_no_page_has_a_serious_finding_of_axe(): void
    {
        $home = $this->person('home')->visit(self::$crag->address());
        $this->assertAccessible($home, 'home');
        $this->assertAccessible($home->visit(self::$crag->address().'/join?code=KMP4R'), 'join with a problem');

        [$teacher, $code] = $this->startLesson();
        $this->assertAccessible($teacher, 'an empty desk');
        $student = $this->join('Priya', $code, 390, 844);
        $this->assertAccessible($student, 'student');
        foreach (['shapes', 'move', 'stamps', 'picture'] as $tool) {
            $this->assertAccessible($student->option("[data-tool={$tool}]"), $tool, '.tray');
        }
        $this->assertAccessible($student->click('#more'), 'menu', '#more-menu');
        $student->press("\u{E00C}");
        $teacher->find('.tile');
        foreach (
            [
                '#hand-out' => 'hand out',
                '#tools-button' => 'tools',
                '#settings-button' => 'settings',
                '#done-button' => 'done',
                '#desk-menu [data-do=timer]' => 'timer',
                '#show-button' => 'show',
                '#door-button' => 'door',
                '#keys-button' => 'keys',
                '.seat-list button' => 'student',
                '.tile-open' => 'close-up',
            ] as $button => $what
        ) {
            if (in_array($what, ['tools', 'settings', 'done', 'keys', 'timer'], true)) {
                $teacher->click('#desk-menu summary');
            } elseif ($what === 'student') {
                $teacher->press('d');
            }
            $teacher->click($button);
            $this->assertAccessible($teacher, $what, $what === 'close-up' ? '#closeup' : '#drawer');
            $teacher->press("\u{E00C}");
        }
        $this->watching($teacher, $student);
        $teacher->press('f');
        $teacher->find('#lead [data-ready]');
        $this->assertAccessible($teacher, 'lead canvas', '#lead');
        $teacher->click('#lead-show');
        $student->click('#lead-look')->seen('#lead-page');
        $this->assertAccessible($student, 'the teacher\'s page', '#lead-page');
        $student->click('#lead-away')->click('#hand')->seen('#hand-words');
        $this->assertAccessible($student, 'hand up', '#hand-window');
        $student->click('#hand-window [data-cancel]');
        $teacher->click('#pens');
        $student->seen('#cover');
        $this->assertAccessible($student, 'pens down', '#cover');
        $teacher->click('#pens');
        $teacher->option('[data-tool=maths]')->draw('#lead .page-paper', [[0.3, 0.3]]);
        $teacher->seen('.maths-source')->sendKeys('x^2');
        $this->assertAccessible($teacher, 'formula', 'dialog[open]');
        $teacher->click('.maths-end [data-cancel]');
        $student->click('[data-add-page]')->click('[data-pages]')->seen('.pages-window .page-thumb');
        $this->assertAccessible($student, 'all pages', '.pages-window');
        $student->press("\u{E00C}");
        $settings = [
            'shapes' => '[data-reveal=line]',
            'stamps' => '[data-stamps=music]',
            'text' => '[data-list=numbers]',
        ];
        foreach ($settings as $tool => $setting) {
            $student->option("[data-tool={$tool}]")->option($setting);
            $this->assertAccessible($student, "settings of {$tool}", '.tray-options');
        }
        $student->draw('.page-paper', [[0.3, 0.7]]);
        $student->seen('.page-typing')->sendKeys('first');
        $this->assertAccessible($student, 'words that are typed', '.page-frame');
        $student->press("\u{E00C}");
        $teacher->press('f');
        $teacher->click('#door-button')->click('.door-states .chip:nth-child(2)');
        $outside = $this->person('outside', 390, 844)->visit(self::$crag->address().'/join/'.$code);
        $outside->type('#name', 'Otis')->click('form > .btn-go')->waitForText('h1', 'knocking');
        $this->assertAccessible($outside, 'knocking');
        $teacher->waitForText('#doorway', 'Otis');
        $this->assertAccessible($teacher, 'the door with somebody who knocks', '#drawer');
        $teacher->press("\u{E00C}");
        $screen = $this->person('screen')->visit((string) $teacher->find('#open-screen')->getAttribute('href'));
        $this->assertAccessible($screen, 'class screen');
        $this->talking($teacher, $student, $screen);
        $teacher->click('#desk-menu summary')->click('#end')->click('#ask-first-yes');
        $teacher->find('#record');
        $this->assertAccessible($teacher, 'ended');
    }

    /** The close-up with coach ink, two moments beside each other, what is chosen, who is picked. */
    private function watching(Page $teacher, Page $student): void
    {
        $teacher->click('.tile-open')->find('#closeup-page-frame[data-ready]');
        $teacher->press('c')->draw('#closeup .page-paper', [[0.3, 0.3], [0.6, 0.4]]);
        $student->seen('#coach-bar');
        $this->assertAccessible($student, 'coach ink on a student\'s page', '#coach-bar');
        $this->assertAccessible($teacher, 'coach ink', '#closeup');
        $teacher->press("\u{E00C}")->press('r')->seen('#player');
        $this->assertAccessible($teacher, 'replay', '#player');
        $teacher->press("\u{E00C}")->press('v')->find('#compare[data-ready]');
        $this->assertAccessible($teacher, 'compare', '#compare');
        $teacher->press("\u{E00C}")->press("\u{E00C}")->click('.tile-name')->seen('#chosen');
        $this->assertAccessible($teacher, 'what is chosen', '#chosen');
        $teacher->press('k')->seen('#pick');
        $this->assertAccessible($teacher, 'somebody picked', '#pick');
        $teacher->click('#pick .btn-go');
        $teacher->press('b')->seen('#shield');
        $this->assertAccessible($teacher, 'the Shield', '#shield');
        $teacher->press('b')->press("\u{E00C}");
        $teacher->press('m')->waitForText('#picture-body', 'Priya');
        $this->assertAccessible($teacher, 'class picture', '#picture');
        $teacher->press("\u{E00C}")->press('a')->click('#ask-form [data-kind=abcd]');
        $student->seen('#quick-ask');
        $this->assertAccessible($student, 'quick ask on a phone', '#quick-ask');
        $teacher->seen('.ask-now');
        $this->assertAccessible($teacher, 'quick ask', '#drawer');
        $teacher->click('#ask-body [data-post$=ask-away]')->press("\u{E00C}");
    }

    /** Work that is offered and shown, drawn over before the class; a run of asks; what can be taken. */
    private function talking(Page $teacher, Page $student, Page $screen): void
    {
        $student->click('#more')->click('#offer')->seen('#offer-window');
        $this->assertAccessible($student, 'offer', '#offer-window');
        $student->click('#offer-window .btn-go');
        $teacher->press('e')->waitForText('#offers', 'Priya');
        $this->assertAccessible($teacher, 'offers', '#drawer');
        $teacher->click('.offer .btn-go')->waitForText('#offers', 'No new offers');
        $teacher->run('document.querySelector("#offers .btn-slate").click()');
        $screen->find('.shown-offer img');
        $this->assertAccessible($screen, 'offers on the class screen');
        $teacher->press("\u{E00C}")->run('document.querySelector(".tile-open").focus()');
        $teacher->press('j')->find('.lineup-entry');
        $teacher->press(']')->press('s')->click('#talking-button')->find('#talking [data-ready]');
        $this->assertAccessible($teacher, 'drawing over what is shown', '#talking');
        // axe passes over a text of one letter.
        $colours = 'const letter = document.querySelector("[aria-pressed=true] > .lineup-letter");'.
            'return [letter, letter.closest(".chip")].map((one) => getComputedStyle(one).color)';
        $teacher->find('.lineup-entry [aria-pressed=true]');
        [$letter, $chip] = (array) $teacher->run($colours);
        self::assertSame($chip, $letter, 'a letter is as easy to read as the name beside it');
        $screen->find('.shown-frame');
        $this->assertAccessible($screen, 'showcase');
        $teacher->press('u')->press('a');
        self::writeRun($teacher, 'F? | 80 N');
        $this->assertAccessible($teacher, 'planned asks', '#drawer');
        $teacher
            ->click('#run-form .btn-slate')
            ->click('.run-now .btn-slate')
            ->waitForText('#ask-body', 'How everyone did');
        $teacher->click('.run-result [data-post$=show]');
        $this->assertAccessible($teacher, 'how everybody did', '#drawer');
        $screen->find('.run-asks');
        $this->assertAccessible($screen, 'how everybody did, on the class screen');
        $teacher->press("\u{E00C}");
        $home = (string) $student->find('#take-home')->getAttribute('href');
        $student->visit($home);
        $this->assertAccessible($student, 'what a student takes home');
        $this->assertAccessible($this->person('kept')->visit(self::$crag->address().'/kept'), 'what is kept');
        $desk = $teacher->driver->getCurrentURL();
        $teacher
            ->visit($desk.'/take')
            ->run('document.querySelectorAll("details").forEach((one) => { one.open = true })');
        $this->assertAccessible($teacher, 'record');
        $teacher->visit($desk)->find('#grid[data-ready]');
    }

    public function test_no_page_of_plans_and_classes_has_a_serious_finding_of_axe(): void
    {
        $teacher = $this->person('teacher')->visit(self::$crag->address().'/plans');
        $this->assertAccessible($teacher, 'empty library');
        $teacher->click('.library-new .btn-go');
        $teacher->until(fn (): bool => $teacher->find('#plan-empty')->isDisplayed(), 'an empty plan');
        $this->assertAccessible($teacher, 'empty plan');
        $teacher->click('#plan-ready');
        $this->assertAccessible($teacher, 'ready-made prompts');
        $teacher->click('[data-ready=agree]');
        $teacher->until(fn (): bool => count($teacher->all('#question-list li')) === 1, 'a question');
        $teacher->run(
            'document.querySelector("#question-new").value = "number"; document.querySelector("#question-new").dispatchEvent(new Event("change", {bubbles: true}))',
        );
        $teacher->until(fn (): bool => count($teacher->all('#question-list li')) === 2, 'a second question');
        $teacher->run('document.querySelectorAll("#plan-side details").forEach((one) => { one.open = true })');
        $teacher->run('[...document.querySelectorAll("[data-do=spot]")].at(-1).click()');
        $teacher->find('.spot-handle');
        $this->assertAccessible($teacher, 'plan with questions');
        $teacher->until(
            fn (): bool => $teacher->run('return document.querySelector("#plan-saved").dataset.state') === 'saved',
            'everything to be saved',
        );
        $plan = $teacher->driver->getCurrentURL();
        foreach (['/start' => 'start', '/try' => 'try'] as $page => $what) {
            $this->assertAccessible($teacher->visit($plan.$page), $what);
        }
        $teacher->driver->switchTo()->frame($teacher->find('.try-frame'));
        $teacher->find('#page-frame[data-ready]');
        $this->assertAccessible($teacher, 'questions on a phone');
        $teacher->driver->switchTo()->defaultContent();
        foreach (
            [
                '/plans' => 'library',
                '/classes' => 'classes',
                '/account' => 'account',
                '/account/forgot' => 'forgotten password',
            ] as $page => $what
        ) {
            $this->assertAccessible($teacher->visit(self::$crag->address().$page), $what);
        }
        $teacher
            ->visit(self::$crag->address().'/classes')
            ->type('#name', '9B')
            ->type('#names', "Ada\nIvo")
            ->click('.btn-go');
        $teacher->find('.class-table');
        $this->assertAccessible($teacher, 'a class');
    }

    public function test_thirty_tiles_fit_without_scrolling(): void
    {
        [$teacher] = $this->startLesson();
        $session = basename($teacher->driver->getCurrentURL());
        for ($n = 1; $n <= 30; $n++) {
            $this->sql(
                'insert into seats (id, live_session_id, n, name, token_hash, ink_key) values (?, ?, ?, ?, ?, ?)',
                [sprintf('seat%022d', $n), $session, $n, "Student Number {$n}", "h{$n}", "k{$n}"],
            );
        }
        $teacher->driver->navigate()->refresh();
        $teacher->until(fn (): bool => count($teacher->all('.tile')) === 30, 'thirty tiles');
        self::assertTrue(
            $teacher->run('const s = document.querySelector("#grid-space"); return s.scrollHeight <= s.clientHeight'),
        );
        self::assertGreaterThanOrEqual(132, $teacher->run('return document.querySelector(".tile").offsetWidth'));
        self::assertTrue($teacher->run('return document.documentElement.scrollWidth <= innerWidth'));
    }

    #[TestWith([1280, 800])]
    #[TestWith([390, 844])]
    #[TestWith([360, 640])]
    #[TestWith([740, 360])]
    public function test_the_students_page_fits_the_device_and_leaves_room_to_work(int $width, int $height): void
    {
        [, $code] = $this->startLesson();
        $student = $this->join('Finn', $code, $width, $height);
        $lying = $height < 480;
        foreach (['pen', 'shapes', 'stamps', 'move'] as $tool) {
            $student->option("[data-tool={$tool}]");
            self::assertTrue(
                $student->run(
                    'return document.documentElement.scrollWidth <= innerWidth && document.documentElement.scrollHeight <= innerHeight',
                ),
                $tool,
            );
            self::assertGreaterThan(
                $width * $height * ($lying ? 0.5 : 0.4),
                $student->run('const s = document.querySelector(".stage"); return s.clientWidth * s.clientHeight'),
                $tool,
            );
            $places = $student->run(
                'return [...document.querySelectorAll("#tray button")].filter((one) => one.offsetParent !== null).map((one) => { const b = one.getBoundingClientRect(); return [b.right, b.bottom, b.width, b.height] })',
            );
            self::assertIsArray($places);
            foreach ($places as [$right, $bottom, $wide, $tall]) {
                self::assertLessThanOrEqual($width, $right);
                // Held across, the tray is a column that scrolls.
                self::assertLessThanOrEqual($lying ? 2000 : $height, $bottom);
                self::assertGreaterThanOrEqual(34, min($wide, $tall));
            }
        }
    }

    /** Drawn by the page and by the server, every kind of object differs only where edges are smoothed otherwise. */
    public function test_the_page_and_the_server_draw_every_object_the_same(): void
    {
        [$teacher, $code] = $this->startLesson();
        $student = $this->join('Aino', $code, 1604, 1260);
        $address = (string) parse_url($student->driver->getCurrentURL(), PHP_URL_PATH);
        $this->sql('update live_sessions set tray = ?', [
            json_encode([
                'now' => ['kind' => 'maths', 'tools' => ['picture', 'pages']],
                'before' => null,
                'changed' => 0,
            ]),
        ]);
        $asset = $student->run(
            <<<'JS'
            const c = new OffscreenCanvas(80, 60), d = c.getContext('2d');
            d.fillStyle = '#2272b5';
            d.fillRect(0, 0, 80, 60);
            d.fillStyle = '#d99a1f';
            d.fillRect(10, 10, 30, 40);
            const answer = await fetch(arguments[0] + '/bring-in', {
                method: 'POST',
                headers: { 'Content-Type': 'application/octet-stream' },
                body: await c.convertToBlob(),
            });
            return (await answer.json()).objects[0].object.asset;
            JS,
            $address,
        );
        $log = [];
        $pages = [''];
        foreach (array_values(Examples::all()) as $i => $object) {
            if ($object['type'] === 'picture') {
                $object['asset'] = $asset;
            }
            if ($i > 0) {
                $log[] = Logs::operation($pages[] = sprintf('page-number-%d', $i), 'page')->toArray();
            }
            $page = $i === 0 ? [] : ['page' => $pages[$i]];
            $log[] = Logs::operation("plain-number-{$i}", 'add', ['object' => $object] + $page)->toArray();
            $log[] = Logs::operation(
                "placed-number-{$i}",
                'add',
                ['object' => $object, 'place' => [2600, 1500, 1500, 8_000]] + $page,
            )->toArray();
        }
        $answer = $student->run(
            'return await (await fetch(arguments[0] + "/operations", { method: "POST", headers: { "Content-Type": "application/json" }, body: arguments[1] })).json()',
            $address,
            (string) json_encode(['canvas' => $this->canvas($student), 'operations' => $log]),
        );
        self::assertIsArray($answer);
        self::assertSame([], $answer['refused']);
        $student->driver->navigate()->refresh();
        $student->find('#page-frame[data-ready]');
        $measured = [];
        foreach (array_keys(Examples::all()) as $i => $kind) {
            if ($i > 0) {
                $student->click('[data-page-step="1"]');
            }
            // A picture may still be on its way.
            for ($share = 1.0, $looks = 0; $share >= 0.03 && $looks < 8; $looks++) {
                usleep(250_000);
                [$width, $inked, $share] = $this->compare(
                    $student,
                    "{$address}/work/{$this->canvas($student)}.png?page=".($i + 1),
                );
            }
            self::assertSame(1600, $width);
            self::assertGreaterThan(400, $inked, $kind);
            $measured[$kind] = round($share, 4);
        }
        // Letters of scripts that our font lacks are set by two different libraries; everything else is lines and
        // fillings.
        foreach ($measured as $kind => $share) {
            self::assertLessThan(
                in_array($kind, ['text', 'note'], true) ? 0.05 : 0.03,
                $share,
                (string) json_encode($measured),
            );
        }
    }

    /** At every zoom a page draws the same outline as the server does. */
    public function test_handwriting_is_drawn_alike_whole_and_large(): void
    {
        [, $code] = $this->startLesson();
        $student = $this->join('Loveday', $code);
        $log = $scene = [];
        foreach (Handwriting::strokes() as $i => $stroke) {
            $scene[] = $written = Logs::object("letter-number-{$i}", $stroke);
            $log[] = $written->toArray();
        }
        $address = (string) parse_url($student->driver->getCurrentURL(), PHP_URL_PATH);
        $student->run(
            'await fetch(arguments[0] + "/operations", { method: "POST", headers: { "Content-Type": "application/json" }, body: arguments[1] })',
            $address,
            (string) json_encode(['canvas' => $this->canvas($student), 'operations' => $log]),
        );
        $student->driver->navigate()->refresh();
        $student->find('#page-frame[data-ready]');
        $student->press('0');
        foreach ([1.0, 2.44, 5.96] as $zoom) {
            while ((float) $student->text('.bench-percent-n') < 99 * $zoom) {
                $student->press('+');
            }
            // Drawn sharply once the movement is over.
            usleep(400_000);
            [$scale, $left, $top, $width, $height] = (array) $student->run(
                <<<'JS'
                const paper = document.querySelector('#page .page-paper').getBoundingClientRect(), frame = document.querySelector('#page > .page-ink > .page-dry').getBoundingClientRect();
                const scale = paper.width / 1600;
                return [scale, (frame.left - paper.left) / scale, (frame.top - paper.top) / scale, frame.width, frame.height];
                JS
            );
            $svg = SceneSvg::ink(Scene::fold($scene), new NoPictures());
            $svg = preg_replace(
                '/ width="1600" height="1000" viewBox="0 0 1600 1000"/',
                sprintf(
                    ' width="%s" height="%s" viewBox="%s %s %s %s"',
                    $width,
                    $height,
                    $left,
                    $top,
                    $width / $scale,
                    $height / $scale,
                ),
                $svg,
            );
            $printed = new Process(['rsvg-convert', '-f', 'png'], input: $svg);
            $printed->mustRun();
            [$inked, $differing] = (array) $student->run(
                <<<'JS'
                const dry = document.querySelector('#page > .page-ink > .page-dry'), { width, height } = dry;
                const picture = await new Promise((done, failed) => { const i = new Image(); i.onload = () => done(i); i.onerror = failed; i.src = arguments[0]; });
                const data = [dry, picture].map((source) => {
                    const c = new OffscreenCanvas(width, height).getContext('2d');
                    c.fillStyle = '#fff';
                    c.fillRect(0, 0, width, height);
                    c.drawImage(source, 0, 0, width, height);
                    return c.getImageData(0, 0, width, height).data;
                });
                let [inked, differing] = [0, 0];
                for (let i = 0; i < data[0].length; i += 4) {
                    inked += data[1][i] < 200 ? 1 : 0;
                    differing += Math.abs(data[0][i] - data[1][i]) > 96 ? 1 : 0;
                }
                return [inked, differing];
                JS,
                'data:image/png;base64,'.base64_encode($printed->getOutput()),
            );
            self::assertGreaterThan(600 * $zoom, $inked);
            self::assertLessThan(0.01, $differing / $inked, "at {$zoom}");
        }
    }

    /** @return iterable<string, array{string}> */
    public static function backdrops(): iterable
    {
        foreach (['squared', 'dotted', 'isometric'] as $kind) {
            foreach (['small', 'middle', 'large'] as $size) {
                yield "{$kind} {$size}" => ["kind={$kind}&size={$size}"];
            }
        }
        yield 'lined' => ['kind=lined'];
        yield 'staves' => ['kind=staves'];
    }

    /** Numbers and labels stand in the page's own font: seen on a student's page itself. */
    public function test_axes_and_number_lines_are_shown_as_they_are_printed(): void
    {
        [$teacher, $code] = $this->startLesson();
        $student = $this->join('Leila', $code, 1604, 1260);
        $before = '';
        foreach (['axes', 'number-line'] as $kind) {
            $teacher->click('#hand-out');
            $teacher->run(
                'document.querySelector(`[name=backdrop][value=${arguments[0]}]`).click(); document.querySelector("[name=\'settings[parts]\']").value = 4; document.querySelector("[name=\'settings[to]\']").value = 3',
                $kind,
            );
            $teacher->click('#handout .btn-go');
            $before = $student->until(function () use ($student, $before): ?string {
                $letters = $student->run('return document.querySelector(".page-lettered").textContent');

                return is_string($letters) && $letters !== $before ? $letters : null;
            }, "the {$kind}");
            $student->run(
                'document.querySelectorAll(".bench-pages, .bench-zoom, #notice").forEach((one) => one.style.visibility = "hidden")',
            );
            usleep(400_000);
            $shown =
                'data:image/png;base64,'.
                base64_encode((string) $student->find('.page-paper')->takeElementScreenshot());
            $address = (string) parse_url($student->driver->getCurrentURL(), PHP_URL_PATH);
            [, $inked, $share] = $this->compare(
                $student,
                "{$address}/work/{$this->canvas($student)}.png?{$kind}",
                $shown,
            );
            self::assertGreaterThan(2000, $inked);
            self::assertLessThan(0.03, $share, $kind);
        }
    }

    /** A page shows a backdrop as a picture; a file of it is drawn by the server's own means. */
    public function test_every_backdrop_is_shown_as_it_is_printed(): void
    {
        $page = $this->person('anybody')->visit(self::$crag->address());
        $measured = [];
        foreach (self::backdrops() as $what => [$query]) {
            parse_str($query, $fields);
            $fields = array_map(static fn (mixed $value): mixed => is_numeric($value) ? $value + 0 : $value, $fields);
            $svg = SceneSvg::backdrop(Backdrop::read(new Fields($fields)), new NoPictures());
            $printed = new Process(
                ['rsvg-convert', '-f', 'png'],
                env: ['FONTCONFIG_FILE' => self::$crag->run.'/fonts.conf'],
                input: $svg,
            );
            $printed->mustRun();
            [, $inked, $share] = $this->compare(
                $page,
                'data:image/png;base64,'.base64_encode($printed->getOutput()),
                "/backdrop.svg?{$query}",
            );
            self::assertGreaterThan(300, $inked, $what);
            $measured[$what] = round($share, 4);
        }
        self::assertLessThan(0.03, max($measured), (string) json_encode($measured));
    }

    /**
     * @return array{int, int, float} the surface's width, how many pixels are inked, and which share of them differs
     *      clearly
     */
    private function compare(Page $page, string $printed, ?string $shown = null): array
    {
        $measured = $page->run(
            <<<'JS'
            const at = (source) => new Promise((done, failed) => { const i = new Image(); i.onload = () => done(i); i.onerror = failed; i.src = source; });
            const [width, height] = [1600, 1000];
            const surface = () => { const c = new OffscreenCanvas(width, height).getContext('2d', { willReadFrequently: true }); c.fillStyle = '#fff'; c.fillRect(0, 0, width, height); return c; };
            const page = surface(), dry = document.querySelector('#page > .page-ink > .page-dry');
            if (arguments[1]) {
                page.drawImage(await at(arguments[1]), 0, 0, width, height);
            } else {
                const paper = document.querySelector('.page-paper').getBoundingClientRect(), frame = dry.getBoundingClientRect();
                page.drawImage(dry, paper.left - frame.left, paper.top - frame.top, paper.width, paper.height, 0, 0, width, height);
            }
            const server = surface();
            server.drawImage(await at(arguments[0]), 0, 0);
            const [a, b] = [page, server].map((c) => c.getImageData(0, 0, width, height).data);
            let differing = 0, inked = 0;
            // Rulings are faint, and drawn as pictures on both sides.
            const ruling = arguments[1]?.startsWith('/'), faint = ruling ? 40 : 96, white = ruling ? 235 : 200;
            for (let i = 0; i < a.length; i += 4) {
                const difference = Math.max(Math.abs(a[i] - b[i]), Math.abs(a[i + 1] - b[i + 1]), Math.abs(a[i + 2] - b[i + 2]));
                differing += difference > faint ? 1 : 0;
                inked += Math.min(b[i], b[i + 1], b[i + 2]) < white ? 1 : 0;
            }
            return [Math.round(document.querySelector('.page-paper')?.getBoundingClientRect().width ?? 0), inked, differing / Math.max(1, inked)];
            JS
            ,
            $printed,
            $shown,
        );
        assert(is_array($measured) && is_int($measured[0]) && is_int($measured[1]) && is_numeric($measured[2]));

        return [$measured[0], $measured[1], (float) $measured[2]];
    }

    private function canvas(Page $page): string
    {
        return (string) $page->find('#page-frame')->getAttribute('data-ready');
    }
}
