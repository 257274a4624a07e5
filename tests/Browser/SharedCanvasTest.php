<?php

declare(strict_types=1);

namespace Tests\Browser;

use Deploy\Browser\Page;
use Facebook\WebDriver\Remote\LocalFileDetector;
use Tests\Support\BrowserTestCase;

/** What several pages, the teacher and files from outside do to a canvas. */
final class SharedCanvasTest extends BrowserTestCase
{
    private const ESCAPE = "\u{E00C}";

    private const CONTROL = "\u{E009}";

    private Page $teacher;

    private string $code;

    private static int $students = 0;

    protected function setUp(): void
    {
        [$this->teacher, $this->code] = $this->startLesson();
    }

    public function test_one_seat_in_two_tabs_shows_one_canvas(): void
    {
        [$one, $name] = $this->student();
        $first = $one->driver->getWindowHandle();
        $second = $one->openBeside();
        $one->driver->switchTo()->window($second);
        $one->find('#page-frame[data-ready]');
        $one->press('0')->until(
            fn (): bool => $one->run(
                'return document.querySelector(".page-paper").getBoundingClientRect().right <= innerWidth',
            ) === true,
            'the whole page in the second tab',
        );
        $one->draw('.page-paper', [[0.6, 0.2], [0.8, 0.4]]);
        $this->latest($one, $name, 'add', 1);
        $one->driver->switchTo()->window($first);
        $one->until(fn (): bool => $this->inked($one, '#page') > 100, 'the other tab\'s stroke');
        $one->draw('.page-paper', [[0.2, 0.2], [0.4, 0.4]]);
        $this->latest($one, $name, 'add', 2);
        $one->click('#undo');
        $this->latest($one, $name, 'withdraw', 3);
        $one->click('#undo');
        $this->latest($one, $name, 'withdraw', 4);
        $one->driver->switchTo()->window($second);
        $one->until(fn (): bool => $this->inked($one, '#page') === 0, 'both undone in the other tab too');
        self::assertFalse($one->find('#undo')->isEnabled());
    }

    public function test_undo_goes_back_before_what_was_folded_away(): void
    {
        [$page, $name] = $this->student();
        $this->post($page, array_map(fn (int $i): array => $this->stroke("stroke-number-{$i}", $i), range(10, 69)));
        $page->driver->navigate()->refresh();
        $page->find('#page-frame[data-ready]');
        $page->until(fn (): bool => $this->inked($page, '#page') > 1000, 'sixty strokes');
        self::assertSame(60, $this->sql('select n from scenes where canvas_id = ?', [$this->canvas($page)]));
        for ($i = 1; $i <= 60; $i++) {
            $page->until(fn (): bool => $page->find('#undo')->isEnabled(), 'something to undo');
            $page->press(self::CONTROL, 'z');
        }
        $page->until(fn (): bool => $this->inked($page, '#page') === 0, 'an empty page');
        $page->until(fn (): bool => count($this->log($name)) === 120, 'every step stored');
        $this->teacher->until(fn (): bool => $this->inked($this->teacher, '.tile') === 0, 'an empty tile');
    }

    public function test_a_change_of_tools_reaches_open_pages_and_what_was_drawn_stays(): void
    {
        [$page, $name] = $this->student();
        $page->option('[data-tool=stamps]');
        $page->draw('.page-paper', [[0.3, 0.3]]);
        $this->latest($page, $name, 'add', 1);
        $this->teacher
            ->click('#desk-menu summary')
            ->click('#tools-button')
            ->click('#tools [value=starter]')
            ->click('#tools .btn-go');
        $page->until(fn (): bool => ! $page->find('[data-tool=stamps]')->isDisplayed(), 'no stamps in the tray');
        self::assertSame('pen', $page->find('#page-frame')->getAttribute('data-using'));
        self::assertGreaterThan(50, $this->inked($page, '#page'));
        $this->sql('update live_sessions set tray = json_set(tray, \'$.changed\', 0)');
        $refused = $this->post($page, [
            [
                'body' => [
                    'object' => [
                        'type' => 'stamp',
                        'stamp' => 'tick',
                        'x' => 100,
                        'y' => 100,
                        'size' => 60,
                        'colour' => '#25323b',
                    ],
                ],
            ] + $this->stroke('not-in-the-tray', 1),
        ]);
        self::assertStringContainsString('Your tray doesn’t have', $refused['refused'][0]['reason']);
        $this->teacher->until(
            fn (): bool => str_contains(
                (string) $this->teacher->run('return document.querySelector("#tools-button").textContent'),
                'Starter',
            ),
            'the tray in the menu',
        );
    }

    public function test_pieces_are_moved_and_copied_and_cannot_be_lost(): void
    {
        [$page, $name] = $this->student();
        $this->teacher->press('f');
        $this->teacher->find('#lead [data-ready]');
        $this->teacher->option('#lead [data-tool=stamps]')->option('[data-stamps=forces]')->option('[data-stamp=weight]');
        foreach ([['move', 0.2], ['stack', 0.5], ['locked', 0.8]] as [$how, $x]) {
            $this->teacher->option('[data-tool=stamps]')->draw('#lead .page-paper', [[$x, 0.3]]);
            $this->teacher->option('[data-tool=move]')->draw('#lead .page-paper', [[$x, 0.3]]);
            $this->teacher
                ->option('[data-chosen=pieces]')
                ->type('#pieces-alt', "Weight {$how}")
                ->click("#pieces [value={$how}]")
                ->click('#pieces .btn-go');
            $this->teacher->waitForText('#desk-notice', 'On 1 canvas, for the student to move.');
            $this->teacher->run('document.querySelector("#desk-notice").hidden = true');
        }
        $page->until(
            fn (): bool => $page->run('return document.querySelectorAll(".object").length') === 3,
            'three pieces',
        );
        $page->until(fn (): bool => $this->marks($page) === '× 0|', 'the stack and the locked one to be marked');
        // Any tool moves what is dragged, and takes a copy off a stack; where there is no piece it draws.
        $page->draw('.page-paper', [[0.2, 0.3], [0.25, 0.5], [0.3, 0.6]], 'pen');
        self::assertCount(1, (array) $this->latest($page, $name, 'arrange', 1)['places']);
        $page->draw('.page-paper', [[0.5, 0.3], [0.5, 0.5], [0.5, 0.7]], 'mouse');
        $copy = $this->latest($page, $name, 'add', 2)['object'];
        self::assertIsArray($copy);
        self::assertSame([false, 'Weight stack'], [$copy['stack'], $copy['alt']]);
        $page->until(fn (): bool => $this->marks($page) === '× 1|', 'the copy to be counted');
        self::assertSame('pen', $page->run('return document.querySelector("#page-frame").dataset.using'));
        $page->option('[data-tool=move]');
        $page->draw('.page-paper', [[0.8, 0.3], [0.8, 0.5]]);
        $page->click('#more')->click('[data-empty=all]');
        $this->latest($page, $name, 'clear', 3);
        self::assertGreaterThan(100, $this->inked($page, '#page'));
        $page->run(
            '[...document.querySelectorAll(".object")].find((one) => one.textContent.includes("Stack")).click()',
        );
        self::assertSame('Weight stack', $this->object($this->latest($page, $name, 'add', 4))['alt']);
        // A place to sort into takes what lies in it; the tile counts what belongs there.
        $this->teacher->option('[data-tool=shapes]')->option('[data-shape=rectangle]');
        $this->teacher->draw('#lead .page-paper', [[0.2, 0.6], [0.4, 0.9]])->option('[data-tool=move]');
        $this->teacher->draw('#lead .page-paper', [[0.2, 0.75]])->option('[data-chosen=pieces]');
        $this->teacher->type('#pieces-alt', 'Weights')->click('#pieces [value=area]');
        $this->teacher->type('#pieces-takes', 'Weight move')->click('#pieces .btn-go');
        $page->until(
            fn (): bool => $page->run(
                'return [...document.querySelectorAll(".object")].some((one) => one.textContent.startsWith("Place to sort into: Weights"))',
            ) === true,
            'the area',
        );
        $page->draw('.page-paper', [[0.3, 0.6], [0.3, 0.7], [0.3, 0.75]], 'pen');
        $this->latest($page, $name, 'arrange', 5);
        $this->teacher->press('f')->waitForText('.tile-sorted:not([hidden])', '1/1');
        self::closeUp($this->teacher, $name);
        $this->teacher->waitForText('#closeup-state', '1 of 1 in the right place')->press("\u{E00C}");
        $this->teacher->press('f');
        $late = $this->join('Late '.++self::$students, $this->code);
        $late->until(
            fn (): bool => $late->run('return document.querySelectorAll(".object").length') === 4,
            'the late-comer\'s pieces',
        );
    }

    /** @phpstan-impure */
    private function marks(Page $page): string
    {
        $marks = $page->run(
            'return [...document.querySelectorAll(".piece-mark")].map((one) => one.textContent).join("|")',
        );

        return is_string($marks) ? $marks : '';
    }

    public function test_what_the_teacher_locks_stays_until_it_is_unlocked(): void
    {
        $this->teacher->press('f');
        $this->teacher->find('#lead [data-ready]');
        $this->teacher->option('[data-tool=shapes]')->draw('#lead .page-paper', [[0.2, 0.3], [0.5, 0.3], [0.8, 0.3]]);
        $this->teacher->option('[data-tool=move]')->draw('#lead .page-paper', [[0.5, 0.3]]);
        $this->teacher->option('[data-chosen=lock]')->draw('#lead .page-paper', [[0.5, 0.3], [0.5, 0.6]]);
        $this->teacher->option('[data-tool=eraser]')->draw('#lead .page-paper', [[0.5, 0.2], [0.5, 0.4]]);
        $this->teacher->waitForText('#lead-saved', 'Saved');
        self::assertSame('add arrange', $this->leadKinds());
        $this->teacher->option('[data-tool=move]')->draw('#lead .page-paper', [[0.5, 0.3]]);
        $this->teacher->option('[data-chosen=lock]')->press("\u{E017}");
        $this->teacher->until(
            fn (): bool => $this->leadKinds() === 'add arrange arrange remove',
            'unlocked and deleted',
        );
    }

    public function test_pictures_come_from_files_the_clipboard_a_drop_and_the_camera(): void
    {
        [$page, $name] = $this->student();
        $page->option('[data-tool=picture]');
        $field = $page->find('.bench-file');
        $page->run('arguments[0].hidden = false', $field);
        $field->setFileDetector(new LocalFileDetector())->sendKeys($this->png());
        $picture = $this->object($this->latest($page, $name, 'add', 1));
        self::assertSame('picture', $picture['type']);
        self::assertSame([3200, 2400], [$picture['w'], $picture['h']]);
        $page->run(
            <<<'JS'
            const bytes = await (await new Promise((done) => { const c = new OffscreenCanvas(200, 100); c.getContext('2d').fillRect(0, 0, 200, 100); done(c.convertToBlob()); })).arrayBuffer();
            window.clip = new File([bytes], 'clip.png', { type: 'image/png' });
            const data = new DataTransfer(); data.items.add(window.clip);
            document.dispatchEvent(new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }));
            JS
            ,
        );
        self::assertSame(2000, $this->object($this->latest($page, $name, 'add', 2))['w']);
        $page->run(
            <<<'JS'
            const data = new DataTransfer(); data.items.add(window.clip);
            const box = document.querySelector('.page-paper').getBoundingClientRect();
            document.querySelector('#page-frame').dispatchEvent(new DragEvent('drop', { dataTransfer: data, clientX: box.left + box.width / 4, clientY: box.top + box.height / 2, bubbles: true, cancelable: true }));
            JS
            ,
        );
        self::assertEqualsWithDelta(3000, $this->object($this->latest($page, $name, 'add', 3))['x'], 20);
        $page->option('[data-tool=picture]')->option('.tray-options [data-camera]');
        $page->until(
            fn (): bool => $page->run('return document.querySelector(".camera-view").videoWidth > 0'),
            'the camera\'s picture',
        );
        $page->click('[data-shoot]')->click('.paper-window [data-as-it-is]');
        self::assertSame('picture', $this->object($this->latest($page, $name, 'add', 4))['type']);
        $page->until(fn (): bool => $this->inked($page, '#page') > 10_000, 'the pictures drawn');
        $this->teacher->until(fn (): bool => $this->inked($this->teacher, '.tile') > 300, 'the pictures on the grid');

        $page->run(
            'const data = new DataTransfer(); data.items.add(new File(["nonsense"], "x.png", { type: "image/png" })); document.dispatchEvent(new ClipboardEvent("paste", { clipboardData: data, bubbles: true, cancelable: true }))',
        );
        $page->waitForText('#notice', 'isn’t a PNG');
        self::assertCount(4, $this->log($name));
    }

    public function test_a_photo_of_a_page_is_flattened_and_lit_evenly_before_it_is_written_over(): void
    {
        [$page, $name] = $this->student();
        $page->option('[data-tool=picture]');
        $page->find('.bench-camera')->setFileDetector(new LocalFileDetector())->sendKeys($this->photoOfAPage());
        // The corners are found: the sheet lies in the middle of the photo, a little turned.
        $page->until(
            fn (): bool => $page->run(
                'return document.querySelector(".paper-window polygon").getAttribute("points").startsWith("15")',
            ) === true,
            'the upper left corner',
        );
        $page->run('document.querySelector(".paper-corner").focus()');
        $points = 'return document.querySelector(".paper-window polygon").getAttribute("points")';
        $before = $page->run($points);
        $page->press("\u{E014}");
        self::assertNotSame($before, $page->run($points), 'a key moves a corner');
        $page->press("\u{E012}");
        // Closed, nothing comes of it; the next photo does.
        $page->press(self::ESCAPE);
        $page->find('.bench-camera')->setFileDetector(new LocalFileDetector())->sendKeys($this->photoOfAPage());
        $page->click('.paper-window [data-flatten]');
        $picture = $this->object($this->latest($page, $name, 'add', 1));
        self::assertSame('picture', $picture['type']);
        self::assertEqualsWithDelta(545 / 600, $picture['w'] / $picture['h'], 0.03, 'the sheet alone');
        $page->until(fn (): bool => $this->inked($page, '#page') > 10_000, 'the picture drawn');
        // Paper in the shadow is as white as the rest.
        $light = $page->run(
            <<<'JS'
            const light = [];
            for (const canvas of document.querySelectorAll('#page canvas')) {
                if (canvas.width === 0) continue;
                const { data } = canvas.getContext('2d').getImageData(0, 0, canvas.width, canvas.height);
                for (let i = 0; i < data.length; i += 4) if (data[i + 3] > 250) light.push(data[i]);
            }
            light.sort((a, b) => a - b);
            return light[Math.floor(light.length / 10)];
            JS
        );
        self::assertGreaterThan(210, $light);
        self::assertSame([], $page->complaints());
    }

    public function test_what_was_copied_is_pasted_on_the_next_prompt(): void
    {
        [$page, $name] = $this->student();
        $page->option('[data-tool=text]')->draw('.page-paper', [[0.3, 0.3]]);
        $page->seen('.page-typing')->sendKeys('M = F × d');
        $page->press(self::ESCAPE)->press(self::CONTROL, 'a')->press(self::CONTROL, 'c');
        $this->latest($page, $name, 'add', 1);
        $first = $page->find('#page-frame')->getAttribute('data-ready');
        $this->teacher->click('#hand-out')->seen('#handout-words');
        $this->teacher->run('document.querySelector("#handout [name=place][value=next]").click()');
        $this->teacher->click('#handout .btn-go');
        $page->until(
            fn (): bool => $page->find('#page-frame')->getAttribute('data-ready') !== $first,
            'the next prompt',
        );
        $page->run('document.querySelector("#page-frame").focus()');
        $page->press(self::CONTROL, 'v');
        $pasted = $this->latest($page, $name, 'add', 2)['objects'];
        self::assertIsArray($pasted);
        self::assertSame('M = F × d', $pasted[0]['object']['text']);
    }

    public function test_a_canvas_is_saved_in_every_format_and_its_ink_comes_in_again(): void
    {
        [$page, $name] = $this->student();
        $page->draw('.page-paper', [[0.2, 0.2], [0.3, 0.3], [0.4, 0.2]]);
        $this->latest($page, $name, 'add', 1);
        $page->click('#more');
        $saved = $page->run(
            <<<'JS'
            const saved = {};
            for (const link of document.querySelectorAll('#more-menu [data-format]')) {
                const answer = await fetch(link.href);
                saved[link.dataset.format] = [answer.status, answer.headers.get('Content-Type'), (await answer.clone().arrayBuffer()).byteLength > 300];
                window[link.dataset.format] = await answer.blob();
            }
            return saved;
            JS
            ,
        );
        self::assertEquals(
            [
                'png' => [200, 'image/png', true],
                'svg' => [200, 'image/svg+xml', true],
                'pdf' => [200, 'application/pdf', true],
                'inkml' => [200, 'application/inkml+xml', true],
            ],
            $saved,
        );
        $page->press(self::ESCAPE);
        foreach (['inkml', 'svg'] as $i => $format) {
            $page->run(
                'const data = new DataTransfer(); data.items.add(new File([window[arguments[0]]], "work")); document.dispatchEvent(new ClipboardEvent("paste", { clipboardData: data, bubbles: true, cancelable: true }))',
                $format,
            );
            $body = $this->latest($page, $name, 'add', 2 + $i);
            self::assertSame($this->log($name)[0]['body']['object'] ?? null, $this->object($body), $format);
        }
    }

    public function test_the_replay_plays_and_can_be_scrubbed(): void
    {
        [$page, $name] = $this->student();
        foreach ([0.2, 0.4, 0.6] as $i => $y) {
            $page->draw('.page-paper', [[0.2, $y], [0.5, $y], [0.8, $y]]);
            $this->latest($page, $name, 'add', $i + 1);
        }
        $this->teacher->click('.tile-open')->click('#replay');
        $this->teacher->until(fn (): bool => $this->inked($this->teacher, '.player-page') > 300, 'the replay to draw');
        $this->teacher->until(
            fn (): bool => $this->teacher->run(
                'const s = document.querySelector(".player-at"); return Number(s.max) > 0 && s.value === s.max',
            ),
            'its end',
        );
        $end = $this->inked($this->teacher, '.player-page');
        $this->teacher->run(
            'const s = document.querySelector(".player-at"); s.value = s.max / 2; s.dispatchEvent(new Event("input"))',
        );
        $half = $this->inked($this->teacher, '.player-page');
        self::assertGreaterThan(100, $half);
        self::assertLessThan($end * 0.8, $half);
        $this->teacher->click('.player-close');
        self::assertTrue($this->teacher->find('#closeup-page')->isDisplayed());
    }

    /** @return array{Page, string} */
    private function student(): array
    {
        $name = 'Student '.++self::$students;

        return [$this->join($name, $this->code), $name];
    }

    /**
     * What was done on the lead canvas.
     *
     * @phpstan-impure
     */
    private function leadKinds(): string
    {
        $session = basename($this->teacher->driver->getCurrentURL());
        $kinds = $this->sql(
            "select group_concat(kind, ' ') from (select kind from operations where live_session_id = ? and canvas_id in (select id from canvases where seat_id is null) order by n)",
            [$session],
        );

        return is_string($kinds) ? $kinds : '';
    }

    private function canvas(Page $page): string
    {
        return (string) $page->find('#page-frame')->getAttribute('data-ready');
    }

    /**
     * @param  list<array<string, mixed>>  $operations
     * @return array{accepted: list<mixed>, refused: list<array{reason: string}>}
     */
    private function post(Page $page, array $operations): array
    {
        $answer = $page->run(
            'return await (await fetch(location.pathname + "/operations", { method: "POST", headers: { "Content-Type": "application/json" }, body: arguments[0] })).json()',
            (string) json_encode(['canvas' => $this->canvas($page), 'operations' => $operations]),
        );
        assert(is_array($answer));

        return ['accepted' => $answer['accepted'], 'refused' => $answer['refused']];
    }

    /** @return array<string, mixed> */
    private function stroke(string $id, int $i): array
    {
        return [
            'id' => $id,
            'kind' => 'add',
            'layer' => 'student',
            'at' => 1_000 * $i,
            'body' => [
                'object' => [
                    'type' => 'line',
                    'x' => 100,
                    'y' => 120 * $i,
                    'w' => 15_000,
                    'h' => 60,
                    'colour' => '#25323b',
                    'width' => 30,
                    'filled' => false,
                ],
            ],
        ];
    }

    /**
     * The one object that a body adds.
     *
     * @param  array<string, mixed>  $body
     * @return array<string, mixed>
     */
    private function object(array $body): array
    {
        $objects = $body['objects'] ?? [['object' => $body['object'] ?? null]];
        assert(is_array($objects) && is_array($objects[0]) && is_array($objects[0]['object']));

        return $objects[0]['object'];
    }

    /** A sheet on a dark table, its right half in the shadow. */
    private function photoOfAPage(): string
    {
        $photo = imagecreatetruecolor(1000, 800) ?: self::fail();
        imagefill($photo, 0, 0, (int) imagecolorallocate($photo, 90, 60, 40));
        $sheet = [155, 100, 700, 120, 690, 720, 165, 700];
        imagefilledpolygon($photo, $sheet, (int) imagecolorallocate($photo, 236, 232, 224));
        imagefilter($photo, IMG_FILTER_SMOOTH, 6);
        $shadow = (int) imagecolorallocatealpha($photo, 0, 0, 0, 90);
        imagefilledrectangle($photo, 430, 0, 1000, 800, $shadow);
        $file = sys_get_temp_dir().'/crag-test-photo.jpg';
        imagejpeg($photo, $file, 92);

        return $file;
    }

    private function png(): string
    {
        $file = sys_get_temp_dir().'/crag-test-picture.png';
        $image = imagecreatetruecolor(320, 240);
        imagefill($image, 0, 0, 0x4F7A3A);
        imagepng($image, $file);

        return $file;
    }
}
