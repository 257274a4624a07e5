<?php

declare(strict_types=1);

namespace Tests\Browser;

use App\Live\Publisher;
use Deploy\Browser\Page;
use Deploy\Child;
use Tests\Support\BrowserTestCase;

/** What breaks in a real lesson: nothing that was finished is lost, and nothing is there twice. */
final class FaultsTest extends BrowserTestCase
{
    public function test_strokes_drawn_offline_arrive_once_even_after_a_crash(): void
    {
        [$teacher, $code] = $this->startLesson();
        $student = $this->join('Solveig', $code);
        $this->line($student, 0.2);
        $student->until(fn (): bool => $this->stored('Solveig') === 1, 'the first stroke');

        $student->offline(true);
        $this->line($student, 0.4);
        $this->line($student, 0.6);
        $student->waitForText('#saved', 'Offline — 2 strokes kept here');
        self::assertSame(1, $this->stored('Solveig'));
        $inked = $this->inked($student, '#page');

        $student->offline(false);
        $student->driver->navigate()->refresh();
        $student->find('#page-frame[data-ready]');
        $student->waitForText('#saved', 'Saved');
        $student->until(fn (): bool => $this->stored('Solveig') === 3, 'all three, once');
        // What the old page still delivered while it was left comes with the first catching up.
        $student->until(fn (): bool => $this->inked($student, '#page') === $inked, 'the same ink as before');
        $teacher->until(fn (): bool => $this->inked($teacher, '.tile') > 0, 'them in the grid');
        usleep(700_000);
        self::assertSame(3, $this->stored('Solveig'));
    }

    public function test_php_killed_in_the_lesson_and_started_again_loses_nothing(): void
    {
        [$teacher, $code] = $this->startLesson();
        $student = $this->join('Ikenna', $code);
        $this->line($student, 0.2);
        $student->until(fn (): bool => $this->stored('Ikenna') === 1, 'the first stroke');
        // Stored is not yet answered: a page that was not answered keeps its stroke, as it should.
        $student->waitForText('#saved', 'Saved');

        // The keeper stores on without it.
        self::$crag->child('answer')->stop(signal: SIGKILL);
        self::$crag->child('php-fpm')->stop(signal: SIGKILL);
        $this->line($student, 0.3);
        $student->until(fn (): bool => $this->stored('Ikenna') === 2, 'the stroke that the keeper stores');
        $student->waitForText('#saved', 'Saved');
        self::$crag->child('keep-0')->stop(signal: SIGKILL);
        $this->line($student, 0.4);
        $this->line($student, 0.6);
        $student->waitForText('#saved', '2 strokes kept here');
        $teacher->until(fn (): bool => $this->inked($teacher, '.tile .page') > 0, 'wet ink that still flows');
        self::$crag->startOne('answer');
        self::$crag->startOne('php-fpm');
        self::$crag->startOne('keep-0');
        $student->waitForText('#saved', 'Saved', 30);
        self::assertSame(4, $this->stored('Ikenna'));
        $this->assertGridAgrees($teacher, 4);
    }

    public function test_a_keeper_that_stands_still_or_is_killed_costs_no_stroke_and_makes_none_twice(): void
    {
        [$teacher, $code] = $this->startLesson();
        $student = $this->join('Odalys', $code);
        $this->line($student, 0.2);
        $student->until(fn (): bool => $this->stored('Odalys') === 1, 'the first stroke');
        $student->waitForText('#saved', 'Saved');

        $keeper = self::$crag->child('keep-0');
        posix_kill($keeper->pid(), SIGSTOP);
        try {
            $this->line($student, 0.3);
            $student->until(fn (): bool => $this->stored('Odalys') === 2, 'what is not answered to be posted');
            $this->line($student, 0.4);
            $student->until(fn (): bool => $this->stored('Odalys') === 3, 'the next one to be posted at once');
            $student->waitForText('#saved', 'Saved');
        } finally {
            posix_kill($keeper->pid(), SIGCONT);
        }

        $keeper->stop(signal: SIGKILL);
        $this->line($student, 0.5);
        $student->until(fn (): bool => $this->stored('Odalys') === 4, 'a stroke without a keeper');
        self::$crag->startOne('keep-0');
        // It reads on behind what the one before had read; what it finds there is in the log already.
        $this->line($student, 0.6);
        $student->until(fn (): bool => $this->stored('Odalys') === 5, 'a stroke with the new one');
        $student->waitForText('#saved', 'Saved');
        $this->assertGridAgrees($teacher, 5);
    }

    public function test_nginx_restarted_under_an_open_lesson_loses_nothing(): void
    {
        [$teacher, $code] = $this->startLesson();
        $student = $this->join('Wren', $code);
        $student->draw('.page-paper', [[0.2, 0.2], [0.5, 0.3]], lift: false);
        self::$crag->child('nginx')->stop(signal: SIGKILL);
        $student->lift();
        $this->line($student, 0.6);
        $student->waitForText('#saved', '2 strokes kept here');
        self::$crag->startOne('nginx');
        $student->waitForText('#saved', 'Saved', 30);
        self::assertSame(2, $this->stored('Wren'));
        $this->assertGridAgrees($teacher, 2);
        // And the socket is back: ink flows before the pen is lifted.
        $before = $this->inked($teacher, '.tile .page');
        $teacher->until(fn (): bool => ! $teacher->find('#connection')->isDisplayed(), 'the desk to be live again', 20);
        $student->until(
            function () use ($student, $teacher, $before): bool {
                $student->draw('.page-paper', [[0.2, 0.8], [0.8, 0.8]]);

                return $this->inked($teacher, '.tile .page') > $before;
            },
            'ink to flow again',
            20,
        );
    }

    public function test_without_a_socket_the_page_polls_and_says_so(): void
    {
        [$teacher, $code] = $this->startLesson();
        $student = $this->person('Hana');
        // A school's proxy that swallows sockets.
        $student->developer('Page.addScriptToEvaluateOnNewDocument', [
            'source' => 'window.WebSocket = class extends EventTarget { constructor() { super(); this.readyState = 0; setTimeout(() => { this.readyState = 3; this.dispatchEvent(new Event("close")); }, 50); } close() {} static CONNECTING = 0; static OPEN = 1; };',
        ]);
        $student
            ->visit(self::$crag->address().'/join/'.$code)
            ->type('#name', 'Hana')
            ->click('.btn-go');
        $student->find('#page-frame[data-ready]');
        $student->waitForText('#saved', 'slow connection');
        $this->line($student, 0.3);
        $student->until(fn (): bool => $this->stored('Hana') === 1, 'the stroke');
        $teacher->press('h')->type('#handout-words', 'Now the frame.')->click('#handout .btn-go');
        $student->waitForText('#prompt-line', 'Now the frame.');
        $teacher->until(
            fn (): bool => $teacher->find('.tile')->getAttribute('data-state') === 'drawing',
            'a polling student to count as here',
        );
        self::assertSame(1, $this->stored('Hana'));
    }

    public function test_a_student_cannot_open_what_is_not_theirs(): void
    {
        [$teacher, $code] = $this->startLesson();
        $victim = $this->join('Esme', $code);
        $thief = $this->join('Gus', $code);
        $seat = basename($victim->driver->getCurrentURL());
        $session = basename($teacher->driver->getCurrentURL());
        foreach (["/seat/{$seat}", "/seat/{$seat}/canvas", "/desk/{$session}", "/screen/{$session}"] as $path) {
            self::assertSame(403, $thief->run('const r = await fetch(arguments[0]); return r.status', $path), $path);
        }
        foreach (
            [
                "/live/seat/{$session}/{$seat}",
                "/live/wet/{$session}/{$seat}",
                "/live/desk/{$session}",
                "/live/pens/{$session}",
                "/live/screen/{$session}",
            ] as $path
        ) {
            self::assertSame('shut', $this->knock($thief, $path), $path);
        }
        self::assertSame('open', $this->knock($victim, "/live/seat/{$session}/{$seat}"));

        // Ink with a key that the desk does not know, or for another's canvas, is not shown.
        $canvas = $this->sql('select id from canvases where seat_id = ?', [$seat]);
        $own = basename($thief->driver->getCurrentURL());
        $forged = json_encode([
            'k' => $this->sql('select ink_key from seats where id = ?', [$own]),
            'c' => $canvas,
            'o' => 'forged-stroke',
            's' => ['#a8452e', 400],
            'i' => 0,
            'p' => '0A+AAv8BABAQAAAQEAAA',
        ]);
        $thief->run(
            'const s = new WebSocket(`ws://${location.host}${arguments[0]}`); s.onopen = () => s.send(arguments[1]);',
            "/live/wet/{$session}/{$own}",
            $forged,
        );
        usleep(800_000);
        self::assertSame(0, $this->inked($teacher, '.tile:nth-child(1)'));

        // What cannot be drawn is let go, and the tile goes on.
        $mine = [
            'k' => $this->sql('select ink_key from seats where id = ?', [$own]),
            'c' => $this->sql('select id from canvases where seat_id = ?', [$own]),
        ];
        $broken = array_map(
            static fn (array $object): string => (string) json_encode($mine + ['o' => 'broken-object', 't' => $object]),
            [
                ['type' => 'polygon'],
                ['type' => 'curve', 'points' => 'none', 'colour' => 7],
                ['type' => 'text', 'text' => 5],
                ['type' => 'picture', 'asset' => '../desk'],
            ],
        );
        $thief->run(
            'const s = new WebSocket(`ws://${location.host}${arguments[0]}`); s.onopen = () => arguments[1].forEach((one) => s.send(one));',
            "/live/wet/{$session}/{$own}",
            $broken,
        );
        $this->line($thief, 0.5);
        $teacher->until(
            fn (): bool => $this->inked($teacher, '.tile:nth-child(2)') > 50,
            'a stroke drawn after the mischief',
        );
    }

    public function test_what_a_browser_sends_is_ink_or_nothing(): void
    {
        [$teacher, $code] = $this->startLesson();
        $student = $this->join('Esme', $code);
        $teacher->until(fn (): bool => count($teacher->all('.tile')) === 1, 'a student');
        $session = basename($teacher->driver->getCurrentURL());
        $seat = basename($student->driver->getCurrentURL());
        $teacher->run('window.here = true');
        $student->run('window.here = true');
        $events = [
            ['stream' => 'room', 'event' => ['n' => 900, 'type' => 'ended', 'body' => []]],
            [
                'stream' => 'desk',
                'event' => [
                    'n' => 901,
                    'type' => 'seat',
                    'body' => [
                        'seat' => ['id' => 'ghost', 'name' => 'Ghost', 'ink' => 'x', 'channel' => 'x'],
                        'state' => 'seated',
                        'canvas' => null,
                        'operations' => 0,
                    ],
                ],
            ],
            [
                'stream' => 'desk',
                'event' => ['n' => 902, 'type' => 'deed', 'body' => ['deed' => 'end', 'by' => 'x', 'name' => 'Ghost']],
            ],
            ['stream' => 'seat', 'event' => ['n' => 903, 'type' => 'moved', 'body' => []]],
            ['stream' => 'operations', 'operations' => [['id' => 'x', 's' => 5000, 'canvas' => 'x']]],
        ];
        $send =
            'await new Promise((sent) => { const s = new WebSocket(`ws://${location.host}${arguments[0]}`); s.onopen = () => { arguments[1].forEach((one) => s.send(one)); sent(); }; })';
        $forged = array_map(json_encode(...), $events);
        // A student to the desks; a teacher, who may be a helper, to the student.
        $student->run($send, "/live/wet/{$session}/{$seat}", $forged);
        $teacher->run($send, "/live/coach/{$session}/{$seat}", $forged);
        // Whoever comes after that is there, and so is what is drawn.
        $this->join('Gus', $code);
        $teacher->until(fn (): bool => count($teacher->all('.tile')) === 2, 'the latecomer');
        $this->line($student, 0.4);
        $teacher->until(fn (): bool => $this->inked($teacher, '.tile:nth-child(1)') > 50, 'the stroke');
        self::assertStringNotContainsString('Ghost', (string) $teacher->driver->getPageSource());
        self::assertTrue($teacher->run('return window.here'));
        self::assertTrue($student->run('return window.here'));
    }

    public function test_a_desk_in_the_background_leaves_the_ink_and_has_the_strokes_when_it_comes_back(): void
    {
        [$teacher, $code] = $this->startLesson();
        $student = $this->join('Esme', $code);
        $session = basename($teacher->driver->getCurrentURL());
        $publisher = new Publisher(self::$crag->run.'/publish.sock');
        $teacher->until(fn (): bool => $publisher->listeners("wet.{$session}") === 1, 'the desk to hear the pens');
        $teacher->run(
            'Object.defineProperty(document, "visibilityState", { configurable: true, get: () => "hidden" }); document.dispatchEvent(new Event("visibilitychange"))',
        );
        $teacher->until(fn (): bool => $publisher->listeners("wet.{$session}") === 0, 'the desk to leave the ink');
        $this->line($student, 0.4);
        $teacher->run('delete document.visibilityState; document.dispatchEvent(new Event("visibilitychange"))');
        $teacher->until(fn (): bool => $publisher->listeners("wet.{$session}") === 1, 'the desk to hear the pens again');
        $teacher->until(
            fn (): bool => $this->inked($teacher, '.tile:nth-child(1)') > 50,
            'the stroke that was drawn meanwhile',
        );
        self::assertStringNotContainsString('Away', $teacher->text('.tile:nth-child(1)'));
    }

    public function test_files_that_take_long_hold_nobody_who_draws(): void
    {
        [$teacher, $code] = $this->startLesson();
        $student = $this->join('Linnea', $code);
        $this->line($student, 0.3);
        $teacher->until(fn (): bool => $this->stored('Linnea') === 1, 'a stroke');
        $session = basename($teacher->driver->getCurrentURL());
        $canvas = $student->find('#page-frame')->getAttribute('data-ready');
        $ask = 'window.png = 0; fetch(arguments[0]).then((answer) => { window.png = answer.status; })';
        foreach (['dear', 'page'] as $pool) {
            $this->pool($pool, SIGSTOP);
            try {
                $teacher->run($ask, "/desk/{$session}/work/{$canvas}.png?while={$pool}");
                $before = $this->stored('Linnea');
                $this->line($student, $pool === 'dear' ? 0.5 : 0.7);
                $teacher->until(fn (): bool => $this->stored('Linnea') === $before + 1, 'a stroke meanwhile');
                if ($pool === 'dear') {
                    $this->join('Odell', $code);
                }
                // One waits already; two more may, and the others are told so in words.
                $more =
                    'return Promise.all([1, 2, 3, 4, 5].map((n) => Promise.race([fetch(`${arguments[0]}?again=${n}`, { headers: { Accept: "application/json" } }).then(async (answer) => `${answer.status} ${(await answer.json()).message}`), new Promise((late) => setTimeout(() => late("waits"), 2500))])))';
                if ($pool === 'dear') {
                    self::assertEquals(
                        ['waits' => 2, '429 Too many files at once. Wait for the others, then try again.' => 3],
                        array_count_values((array) $teacher->run($more, "/desk/{$session}/work/{$canvas}.svg")),
                    );
                }
                if ($pool === 'dear') {
                    self::assertSame(0, $teacher->run('return window.png'), 'the file waits');
                }
            } finally {
                $this->pool($pool, SIGCONT);
            }
            $teacher->until(fn (): bool => $teacher->run('return window.png') !== 0, "the file with {$pool} stopped");
            self::assertSame(200, $teacher->run('return window.png'));
        }
    }

    private function pool(string $name, int $signal): void
    {
        $workers = array_filter(
            [
                ...Child::descendants(self::$crag->child('answer')->pid()),
                ...Child::descendants(self::$crag->child('php-fpm')->pid()),
            ],
            static fn (int $pid): bool => str_contains(
                // A worker may have ended meanwhile.
                (string) @file_get_contents("/proc/{$pid}/cmdline"),
                "pool {$name}",
            ),
        );
        self::assertGreaterThan(1, count($workers));
        array_map(static fn (int $pid): bool => posix_kill($pid, $signal), $workers);
    }

    private function line(Page $page, float $y): void
    {
        $page->draw('.page-paper', [[0.2, $y], [0.4, $y + 0.05], [0.6, $y], [0.8, $y + 0.05]]);
    }

    private function knock(Page $page, string $path): mixed
    {
        return $page->run(
            'return await new Promise((told) => { const s = new WebSocket(`ws://${location.host}${arguments[0]}`); s.onopen = () => told("open"); s.onclose = () => told("shut"); })',
            $path,
        );
    }

    /** The grid shows just what a grid opened now shows, and the database holds so many strokes. */
    private function assertGridAgrees(Page $teacher, int $strokes): void
    {
        $teacher->until(
            fn (): bool => $teacher->find('.tile')->getAttribute('data-state') !== 'away',
            'the student to be back',
            20,
        );
        $fresh = $this->person('second look');
        foreach ($teacher->driver->manage()->getCookies() as $cookie) {
            if ($cookie->getName() === 'crag_teacher') {
                $fresh->visit(self::$crag->address().'/up');
                $fresh->driver
                    ->manage()
                    ->addCookie(['name' => 'crag_teacher', 'value' => $cookie->getValue(), 'path' => '/']);
            }
        }
        $fresh->visit($teacher->driver->getCurrentURL())->find('#grid[data-ready]');
        $expected = $this->inked($fresh, '.tile .page');
        self::assertGreaterThan(20 * $strokes, $expected);
        $teacher->until(
            fn (): bool => $this->inked($teacher, '.tile .page') === $expected,
            "the grid to show {$expected} inked pixels",
            20,
        );
    }
}
