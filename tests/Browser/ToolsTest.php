<?php

declare(strict_types=1);

namespace Tests\Browser;

use Deploy\Browser\Page;
use Tests\Support\BrowserTestCase;

/**
 * Each tool after each other tool, the hand that rests on the glass, and what is chosen changed: nothing is lost and
 * nothing appears.
 */
final class ToolsTest extends BrowserTestCase
{
    private const KINDS = [
        'pen',
        'highlighter',
        'line',
        'arrow',
        'rectangle',
        'ellipse',
        'triangle',
        'polygon',
        'curve',
        'stamps',
        'note',
        'text',
    ];

    /** Pointer events as a hand makes them, in the page itself: hundreds of strokes in a few seconds. */
    private const HAND = <<<'JS'
    const surface = document.querySelector('#page-frame');
    const paper = () => document.querySelector('#page > .page-paper').getBoundingClientRect();
    window.hand = (type, x, y, kind = 'mouse', more = {}) => {
        const box = paper();
        surface.dispatchEvent(new PointerEvent(type, { pointerId: { mouse: 1, pen: 2, touch: 3 }[kind], pointerType: kind, isPrimary: true, button: 0, buttons: type === 'pointerup' ? 0 : 1, pressure: .5,
            width: 20, height: 20, clientX: box.left + x * box.width, clientY: box.top + y * box.height, bubbles: true, cancelable: true, ...more }));
    };
    window.drag = (points, kind = 'mouse', more = {}) => {
        hand('pointerdown', ...points[0], kind, more);
        points.slice(1).forEach((at) => hand('pointermove', ...at, kind, more));
        hand('pointerup', ...points.at(-1), kind, more);
        if (kind === 'mouse' && points.length === 1) surface.dispatchEvent(new MouseEvent('click', { bubbles: true }));
    };
    window.pixels = () => {
        const { width, height } = document.querySelector('#page > .page-ink > .page-dry');
        const { data } = document.querySelector('#page > .page-ink > .page-dry').getContext('2d').getImageData(0, 0, width, height);
        let inked = 0, sum = 0;
        for (let i = 3; i < data.length; i += 4) if (data[i] > 40) { inked++; sum = (sum + (i >> 2) * (data[i - 1] + 1)) % 1e9; }
        return [inked, sum];
    };
    JS;

    private Page $page;

    private static string $code = '';

    public function test_one_of_each_kind_is_drawn_after_each_other_kind_and_all_of_them_stay(): void
    {
        $this->begin('Wenna');
        $order = self::eachAfterEach(count(self::KINDS));
        $made = $this->page->driver->executeAsyncScript(
            <<<'JS'
            const [kinds, order, done] = arguments;
            // A click without a place is a keyboard's press.
            const press = (selector) => document.querySelector('#tray ' + selector).dispatchEvent(new MouseEvent('click', { bubbles: true, detail: 1 }));
            const wait = (ms) => new Promise((go) => setTimeout(go, ms));
            (async () => {
                const made = [];
                for (const [i, n] of order.entries()) {
                    const kind = kinds[n], x = .02 + .075 * (i % 12), y = .03 + .068 * Math.floor(i / 12), w = .04, h = .03;
                    const shapes = ['line', 'arrow', 'rectangle', 'ellipse', 'triangle', 'polygon', 'curve'];
                    press(`[data-tool="${shapes.includes(kind) ? 'shapes' : kind}"]`);
                    shapes.includes(kind) && press(`[data-shape="${kind}"]`);
                    if (kind === 'polygon' || kind === 'curve') {
                        for (const at of [[x, y], [x + w, y], [x + w, y + h]]) drag([at]);
                        press('[data-finish]');
                    } else if (kind === 'text' || kind === 'note') {
                        drag([[x, y]]);
                        const field = document.querySelector('.page-typing');
                        field.textContent = 'F' + i;
                        field.dispatchEvent(new Event('input'));
                    } else if (kind === 'stamps') {
                        drag([[x + w / 2, y + h / 2]]);
                    } else {
                        drag([[x, y], [x + w / 2, y + h / 2], [x + w, y + h]]);
                    }
                    made.push(kind);
                    await wait(0);
                }
                press('[data-tool="pen"]');
                done(made);
            })();
            JS
            ,
            [self::KINDS, $order],
        );
        self::assertIsArray($made);
        self::assertCount(count(self::KINDS) * (count(self::KINDS) - 1) + 1, $made);
        $types = ['pen' => 'stroke', 'highlighter' => 'highlight', 'stamps' => 'stamp'];
        $wanted = array_count_values(
            array_map(static fn (mixed $kind): string => $types[$kind] ?? (string) $kind, $made),
        );
        // A tap on a note that lies there opens it: there are fewer than taps.
        unset($wanted['note']);
        ksort($wanted);
        $this->page->until(
            fn (): bool => array_diff_key($this->kinds('Wenna'), ['note' => 1]) === $wanted,
            'all of them in the log: '.json_encode($wanted),
        );
        self::assertGreaterThan(2, $this->kinds('Wenna')['note']);
        $this->page->waitForText('#saved', 'Saved');
        $before = $this->settledPixels();
        $this->page->run(
            'sessionStorage.setItem("before", document.querySelector("#page > .page-ink > .page-dry").toDataURL())',
        );
        $this->page->visit($this->page->driver->getCurrentURL());
        $this->page->find('#page-frame[data-ready]');
        $this->page->run(self::HAND);
        $after = $this->settledPixels();
        self::assertGreaterThan(10_000, $before[0]);
        self::assertSame($before[0], $after[0]);
        $differing = $this->page->driver->executeAsyncScript(
            <<<'JS'
            const [done] = arguments;
            const dry = document.querySelector('#page > .page-ink > .page-dry');
            const was = new Image();
            was.onload = () => {
                const context = new OffscreenCanvas(dry.width, dry.height).getContext('2d');
                context.drawImage(was, 0, 0);
                const [a, b] = [context, dry.getContext('2d')].map((one) => one.getImageData(0, 0, dry.width, dry.height).data);
                let other = 0;
                for (let i = 0; i < a.length; i += 4) other += [0, 1, 2, 3].some((k) => Math.abs(a[i + k] - b[i + k]) > 8) ? 1 : 0;
                done(other);
            };
            was.src = sessionStorage.getItem('before');
            JS
            ,
        );
        self::assertLessThan(
            20,
            $differing,
            'the page after a reload is the page before it, but for the rounding of what lies over what',
        );
        self::assertSame([], $this->page->complaints());
    }

    public function test_a_resting_palm_neither_destroys_a_stroke_nor_draws(): void
    {
        $this->begin('Keir');
        foreach ([50, 500] as $i => $later) {
            $y = 0.2 + 0.2 * $i;
            $this->page->driver->executeAsyncScript(
                <<<'JS'
                const [y, later, done] = arguments;
                hand('pointerdown', .2, y, 'pen');
                hand('pointermove', .3, y, 'pen');
                setTimeout(() => {
                    hand('pointerdown', .7, .8, 'touch', { width: 30 });
                    hand('pointermove', .6, .8, 'touch', { width: 30 });
                    hand('pointermove', .5, y, 'pen');
                    hand('pointerup', .5, y, 'pen');
                    hand('pointermove', .5, .7, 'touch', { width: 30 });
                    hand('pointerup', .5, .7, 'touch', { width: 30 });
                    done();
                }, later);
                JS
                ,
                [$y, $later],
            );
            $stroke = $this->latest($this->page, 'Keir', 'add', $i + 1)['object'] ?? [];
            self::assertSame('stroke', is_array($stroke) ? $stroke['type'] : '');
        }
        $whole = $this->page->run('return document.querySelector("#page > .page-paper").style.transform');
        // A palm that comes down after the pen has gone, one that is there before it, and a broad contact at any time.
        $this->page->driver->executeAsyncScript(
            <<<'JS'
            const [done] = arguments;
            hand('pointerdown', .6, .9, 'pen');
            hand('pointermove', .8, .9, 'pen');
            hand('pointerup', .8, .9, 'pen');
            drag([[.2, .6], [.5, .6]], 'touch');
            setTimeout(() => {
                drag([[.2, .7], [.5, .7]], 'touch', { width: 90, height: 70 });
                hand('pointerdown', .7, .8, 'touch');
                hand('pointerdown', .2, .6, 'pen');
                hand('pointermove', .4, .6, 'pen');
                hand('pointerup', .4, .6, 'pen');
                hand('pointerup', .7, .8, 'touch');
                done();
            }, 800);
            JS
            ,
        );
        $this->latest($this->page, 'Keir', 'add', 4);
        self::assertSame(
            $whole,
            $this->page->run('return document.querySelector("#page > .page-paper").style.transform'),
            'the page has not moved',
        );
        // Fingers move what is chosen, and draw where that is wanted.
        $this->page->option('[data-tool=move]');
        $this->page->run("drag([[.2, .2], [.2, .2]], 'mouse')");
        $this->page->run('return new Promise((go) => setTimeout(go, 700))');
        $this->page->run("drag([[.3, .2], [.35, .3], [.4, .4]], 'touch')");
        self::assertCount(1, (array) ($this->latest($this->page, 'Keir', 'arrange', 5)['targets'] ?? []));
        $this->page->option('[data-tool=pen]')->click('.do-fingers');
        $this->page->run("drag([[.2, .9], [.4, .9], [.6, .9]], 'touch')");
        $this->latest($this->page, 'Keir', 'add', 6);
    }

    public function test_hollow_shapes_let_the_eraser_and_the_lasso_through(): void
    {
        $this->begin('Isla');
        $this->page
            ->option('[data-tool=shapes]')
            ->option('[data-shape=rectangle]')
            ->run('drag([[.2, .2], [.4, .4], [.6, .6]])');
        $this->page->option('[data-tool=pen]')->run('drag([[.35, .4], [.4, .4], [.45, .4]])');
        $this->latest($this->page, 'Isla', 'add', 2);
        $this->page->option('[data-tool=move]')->run('drag([[.3, .35], [.4, .45], [.5, .5]])');
        $this->page->until(
            fn (): bool => $this->page->run(
                'return !document.querySelector(".selection").hidden && document.querySelector(".selection").offsetWidth < 200',
            ) === true,
            'the stroke alone to be chosen',
        );
        $this->page->option('[data-tool=eraser]')->run('drag([[.4, .35], [.4, .4], [.4, .45]])');
        self::assertCount(1, (array) ($this->latest($this->page, 'Isla', 'remove', 3)['targets'] ?? []));
        $this->page->option('[data-rub=part]')->run('drag([[.15, .3], [.2, .3], [.25, .3]])');
        $this->page->waitForText('#notice', 'You can only rub out parts of lines');
        self::assertCount(3, $this->log('Isla'));
        $this->page->option('[data-rub=whole]')->run('drag([[.15, .3], [.2, .3], [.25, .3]])');
        $this->latest($this->page, 'Isla', 'remove', 4);
        self::assertSame(0, $this->settledPixels()[0]);
    }

    public function test_the_eraser_reaches_a_fingertip_on_a_phone_too(): void
    {
        $this->begin('Perran', 390, 844);
        $this->page->run('drag([[.2, .3], [.5, .3], [.8, .3]])');
        $this->latest($this->page, 'Perran', 'add', 1);
        // Eight CSS pixels beside the line: two units of a page at this size are less than one.
        $beside = $this->page->run(
            'return 8 / document.querySelector("#page > .page-paper").getBoundingClientRect().height',
        );
        $this->page
            ->option('[data-tool=eraser]')
            ->run('drag([[.4, .3 + arguments[0]], [.45, .3 + arguments[0]]], "touch")', $beside);
        $this->latest($this->page, 'Perran', 'remove', 2);
        $this->page->option('[data-reach="44"]');
        $this->page->run("hand('pointermove', .5, .5)");
        self::assertSame(88, $this->page->run('return document.querySelector(".eraser-ring").offsetWidth - 0'));
    }

    public function test_on_a_phone_held_across_every_tool_is_in_view(): void
    {
        $this->begin('Lowen', 844, 390);
        $outside = $this->page->run(
            <<<'JS'
            return [...document.querySelectorAll('#tray .tool')].filter((one) => one.checkVisibility()).filter((one) => {
                const box = one.getBoundingClientRect();
                const at = document.elementFromPoint(box.left + box.width / 2, box.top + box.height / 2);
                return box.bottom > innerHeight || box.height < 44 || at?.closest('.tool') !== one;
            }).map((one) => one.textContent.trim());
            JS
            ,
        );
        self::assertSame([], $outside);
        $this->page->run('drag([[.2, .3], [.5, .3], [.8, .3]], "touch")');
        $this->latest($this->page, 'Lowen', 'add', 1);
        $this->page->click('#undo');
        $this->latest($this->page, 'Lowen', 'withdraw', 2);
    }

    public function test_what_is_wet_looks_as_it_will_when_it_is_dry(): void
    {
        $this->begin('Morwen');
        foreach (['pen', 'highlighter'] as $i => $tool) {
            $this->page->option("[data-tool={$tool}]");
            $differing = $this->page->driver->executeAsyncScript(
                <<<'JS'
                const [y, done] = arguments;
                const both = () => {
                    const [dry, wet] = ['.page-dry', '.page-wet'].map((one) => document.querySelector('#page > .page-ink > ' + one));
                    const together = new OffscreenCanvas(dry.width, dry.height).getContext('2d');
                    together.drawImage(dry, 0, 0);
                    together.globalCompositeOperation = getComputedStyle(wet).mixBlendMode === 'multiply' ? 'multiply' : 'source-over';
                    together.drawImage(wet, 0, 0);
                    return together.getImageData(0, 0, dry.width, dry.height).data;
                };
                const points = Array.from({ length: 40 }, (_, i) => [.2 + i * .01, y + .05 * Math.sin(i)]);
                hand('pointerdown', ...points[0]);
                points.slice(1).forEach((at) => hand('pointermove', ...at));
                requestAnimationFrame(() => {
                    const wet = both();
                    hand('pointerup', ...points.at(-1));
                    requestAnimationFrame(() => {
                        const dry = both();
                        let inked = 0, other = 0;
                        for (let i = 0; i < dry.length; i += 4) {
                            inked += dry[i + 3] > 40 ? 1 : 0;
                            other += [0, 1, 2, 3].some((k) => Math.abs(dry[i + k] - wet[i + k]) > 24) ? 1 : 0;
                        }
                        done([inked, other]);
                    });
                });
                JS
                ,
                [0.3],
            );
            self::assertIsArray($differing);
            self::assertGreaterThan(500, $differing[0]);
            // Where two of the 39 pieces of a growing line meet, pixels of its edge are painted twice until it is dry:
            // one or two, three where events come late. A line of another width differs along all of its edge.
            self::assertLessThan(
                39 * 3,
                $differing[1],
                "{$tool}: {$differing[1]} of {$differing[0]} pixels change as the pen is lifted",
            );
            $this->latest($this->page, 'Morwen', 'add', $i + 1);
        }
    }

    public function test_what_is_chosen_takes_another_look(): void
    {
        $this->begin('Jory');
        $this->page
            ->option('[data-tool=shapes]')
            ->option('[data-shape=ellipse]')
            ->run('drag([[.1, .1], [.2, .2], [.3, .3]])');
        $this->page->option('[data-tool=text]')->run('drag([[.5, .2]])');
        $this->page->seen('.page-typing')->sendKeys('240 N m');
        self::assertSame(
            'rgba(0, 0, 0, 0)',
            $this->page->run('return getComputedStyle(document.querySelector(".page-typing")).color'),
            'words are drawn once while they are typed',
        );
        $this->page->option('[data-tool=note]')->run('drag([[.1, .5]])');
        $this->page->seen('.page-typing')->sendKeys('pivot');
        $this->page->option('[data-tool=move]');
        $this->page->until(fn (): bool => count($this->log('Jory')) === 4, 'three things and the words of the note');
        $this->page->run('drag([[.1, .2], [.1, .2]])');
        foreach (
            [
                '[data-width="70"]' => ['width' => 70],
                '[data-strength="18"]' => ['filled' => true],
                '[data-colour="#8f2d1a"]' => ['colour' => '#8f2d1a'],
            ] as $button => $set
        ) {
            $this->page->option(".tray-options {$button}");
            self::assertSame($set, $this->latest($this->page, 'Jory', 'change', $n = ($n ?? 4) + 1)['set'] ?? null);
        }
        $this->page->run('drag([[.52, .2], [.52, .2]])');
        $this->page->option('.tray-options [data-size="52"]');
        $set = (array) ($this->latest($this->page, 'Jory', 'change', 8)['set'] ?? []);
        self::assertSame(52, $set['size']);
        self::assertGreaterThan(1500, $set['w'], 'the words have room in their new size');
        $this->page->option('.tray-options [data-align=end]');
        self::assertSame(['align' => 'end'], $this->latest($this->page, 'Jory', 'change', 9)['set'] ?? null);
        $this->page->run('drag([[.15, .55], [.15, .55]])');
        $this->page->option('.tray-options [data-note="#cfe3f0"]');
        self::assertSame(['colour' => '#cfe3f0'], $this->latest($this->page, 'Jory', 'change', 10)['set'] ?? null);
        self::assertSame(
            'true',
            $this->page->run(
                'return document.querySelector(".tray-options [data-note=\'#cfe3f0\']").getAttribute("aria-pressed")',
            ),
        );
        self::assertFalse($this->page->seen('.tray-options [data-note="#cfe3f0"]')->getAttribute('hidden') !== null);
    }

    public function test_the_list_of_objects_takes_the_keyboard_and_a_line_of_writing_is_one_entry(): void
    {
        $this->begin('Nessa');
        $this->page->click('#more')->click('#list-objects');
        self::assertSame('OL', $this->page->run('return document.activeElement.tagName'));
        foreach ([0.2, 0.23, 0.26] as $x) {
            $this->page->run('drag([[arguments[0], .2], [arguments[0] + .02, .24]])', $x);
        }
        $this->latest($this->page, 'Nessa', 'add', 3);
        $this->page->click('#more')->click('#list-objects');
        self::assertSame('Writing, 3 strokes, top left', $this->page->run('return document.activeElement.textContent'));
        $this->page->press("\u{E007}")->press("\u{E017}");
        self::assertCount(3, (array) ($this->latest($this->page, 'Nessa', 'remove', 4)['targets'] ?? []));
    }

    public function test_a_page_full_of_ink_is_rubbed_out_without_waiting(): void
    {
        $this->begin('Bryok');
        $took = $this->page->driver->executeAsyncScript(
            <<<'JS'
            const [done] = arguments;
            (async () => {
                for (let i = 0; i < 400; i++) {
                    const x = .02 + .0475 * (i % 20), y = .02 + .0475 * Math.floor(i / 20);
                    drag([[x, y], [x + .03, y + .02], [x + .01, y + .03]]);
                    i % 50 === 0 && await new Promise((go) => setTimeout(go, 0));
                }
                document.querySelector('#tray [data-tool=eraser]').click();
                // Counted is how often the whole page is drawn while the eraser moves: with the ink it would take ever
                // longer.
                const context = document.querySelector('#page > .page-ink > .page-dry').getContext('2d');
                const clear = context.clearRect.bind(context);
                let whole = 0, part = 0;
                context.clearRect = (...box) => { box[2] >= context.canvas.width ? whole++ : part++; clear(...box); };
                hand('pointerdown', .05, .05);
                for (let i = 1; i <= 60; i++) {
                    hand('pointermove', .05 + i * .012, .05 + i * .01);
                    await new Promise((go) => requestAnimationFrame(go));
                }
                const counted = [whole, part];
                hand('pointerup', .8, .65);
                done(counted);
            })();
            JS
            ,
        );
        self::assertIsArray($took);
        self::assertSame(0, $took[0], 'the whole page is not drawn for what is rubbed out of it');
        self::assertGreaterThan(5, $took[1]);
        self::assertGreaterThan(
            20,
            count(
                (array) ($this->page->until(
                    fn (): array => array_filter(
                        $this->log('Bryok'),
                        static fn (array $one): bool => $one['kind'] === 'remove',
                    ),
                    'it to be rubbed out',
                )[400]['body']['targets'] ?? []),
            ),
        );
    }

    private function begin(string $name, int $width = 1280, int $height = 800): void
    {
        if (self::$code === '') {
            [$teacher, self::$code] = $this->startLesson();
            $session = basename($teacher->driver->getCurrentURL());
            $this->sql('update live_sessions set tray = ? where id = ?', [
                json_encode(['now' => ['kind' => 'maths', 'tools' => ['pages']], 'before' => null, 'changed' => 0]),
                $session,
            ]);
        }
        $this->page = $this->join($name, self::$code, $width, $height);
        $this->page->driver->manage()->timeouts()->setScriptTimeout(60);
        $this->page->run(self::HAND);
    }

    /** @return array<string, int> how many of each kind a student's log has added */
    private function kinds(string $name): array
    {
        $types = [];
        foreach ($this->log($name) as $one) {
            $object = $one['body']['object'] ?? null;
            if ($one['kind'] === 'add' && is_array($object)) {
                $types[] = (string) $object['type'];
            }
        }
        $counts = array_count_values($types);
        ksort($counts);

        return $counts;
    }

    /** @return array{int, int} how many pixels are inked, and a sum of where, when two frames in a row say the same */
    private function settledPixels(): array
    {
        $before = null;

        return $this->page->until(function () use (&$before): ?array {
            usleep(150_000);
            $now = $this->page->run('return pixels()');
            $same = $now === $before;
            $before = $now;

            return $same && is_array($now) ? [(int) $now[0], (int) $now[1]] : null;
        }, 'the page to rest');
    }

    /** @return list<int> an order in which each of n comes right after each other one, once */
    private static function eachAfterEach(int $n): array
    {
        // Along every step of the same length round a ring; each ring begins where the one before ended.
        $order = [0];
        $left = [];
        for ($from = 0; $from < $n; $from++) {
            for ($to = 0; $to < $n; $to++) {
                if ($from !== $to) {
                    $left[$from][] = $to;
                }
            }
        }
        $stack = [0];
        $order = [];
        while ($stack !== []) {
            $at = $stack[count($stack) - 1];
            if ($left[$at] === []) {
                $order[] = array_pop($stack);
            } else {
                $stack[] = array_pop($left[$at]);
            }
        }

        return array_reverse($order);
    }
}
