<?php

declare(strict_types=1);

namespace Deploy\Bench;

use Crag\Canvas\Drawing\Ink;
use Crag\Canvas\Log\Author;
use Crag\Canvas\Log\Operation;
use Crag\Canvas\Scene;
use Deploy\Browser\Chrome;
use Deploy\Browser\Page;
use Deploy\Console;
use Deploy\DemoClass;
use Deploy\Port;
use Deploy\Problem;

/**
 * What a full canvas costs: folding its log, keeping its strokes, and drawing on it, panning and zooming it in a
 * browser.
 */
final class BenchCanvas
{
    private const OPERATIONS = 10_000;

    private const OBJECTS = 1_000;

    /** Beside the objects, of which seven in ten are strokes. */
    private const STROKES = 1_300;

    /** Seconds for each of drawing, panning and zooming. */
    private const SECONDS = 3;

    /** @return array<string, mixed> */
    public function measure(): array
    {
        $rows = self::rows();
        $class = DemoClass::start('127.0.0.1', Port::free(), 'bench');
        $chrome = Chrome::start();
        try {
            Console::step('Opening a canvas with '.self::OBJECTS.' objects');
            $page = $this->open($chrome, $class);

            return [
                ...self::fold($rows),
                'stored_ratio' => self::ratio($rows),
                'opened_from_scene' => $page->run('return window.cragOpened'),
                'fps_1000_objects' => array_combine(
                    ['draw', 'pan', 'zoom'],
                    array_map(fn (string $what): mixed => $this->frames($page, $what), ['draw', 'pan', 'zoom']),
                ),
                'pen_to_pixel_ms' => $this->penToPixel($page),
                ...$this->crowded($page),
                'construct_200' => $this->constructed($chrome, $class),
            ];
        } finally {
            $chrome->stop();
            $class->instance->stop();
            $class->instance->removeAll();
        }
    }

    /**
     * @return list<array<string, mixed>> the log of a busy hour, each operation as it is stored: its body a JSON text
     */
    private static function rows(): array
    {
        mt_srand(1);
        $rows = $strokes = [];
        for ($i = 0; $i < self::OPERATIONS; $i++) {
            $id = sprintf('operation-%06d', $i);
            $dice = mt_rand(1, 100);
            $some = $strokes === [] ? null : $strokes[array_rand($strokes)];
            [$kind, $body] = match (true) {
                $some !== null && $dice > 97 => [
                    'withdraw',
                    ['target' => $rows[$i - 1]['kind'] === 'withdraw' ? $some : $rows[$i - 1]['id']],
                ],
                $some !== null && $dice > 92 => ['remove', ['targets' => [$some]]],
                $some !== null && $dice > 90 => [
                    'cut',
                    ['cuts' => [['target' => $some, 'keep' => [[0, 200], [260, 500]]]]],
                ],
                $some !== null && $dice > 84 => [
                    'arrange',
                    ['targets' => [$some], 'places' => [[mt_rand(-500, 500), mt_rand(-500, 500), 0, 10_000]]],
                ],
                default => ['add', ['object' => self::stroke(mt_rand(0, 12_000), mt_rand(0, 8_000))]],
            };
            if ($kind === 'add') {
                $strokes[] = $id;
            }
            $rows[] = [
                'id' => $id,
                'kind' => $kind,
                'layer' => 'student',
                'at' => 1_000 * $i,
                'body' => (string) json_encode($body),
            ];
        }

        return $rows;
    }

    /** @return array<string, mixed> a line of 40 samples, as long as a written word's */
    private static function stroke(int $x, int $y): array
    {
        $samples = [];
        for ($i = 0; $i < 40; $i++) {
            $samples[] = [
                $x + 25 * $i + mt_rand(-4, 4),
                $y + (int) (700 * sin($i / 5)) + mt_rand(-4, 4),
                128 + mt_rand(-30, 30),
                8 * $i,
            ];
        }

        return ['type' => 'stroke', 'colour' => '#25323b', 'width' => 40, 'ink' => Ink::of($samples)->encode()];
    }

    /**
     * Milliseconds from the operations to the scene, and from the rows of the log, their JSON unread, to the scene; the
     * middle of seven runs each.
     *
     * @param  list<array<string, mixed>>  $rows
     * @return array{fold_10000_ms: float, read_and_fold_10000_ms: float}
     */
    private static function fold(array $rows): array
    {
        $author = Author::seat('bench');
        $folding = $all = [];
        for ($run = 0; $run < 7; $run++) {
            $began = hrtime(true);
            $log = array_map(
                static fn (array $row): Operation => Operation::read(
                    ['body' => json_decode((string) $row['body'], true)] + $row,
                    $author,
                    true,
                ),
                $rows,
            );
            $read = hrtime(true);
            Scene::fold($log);
            $folding[] = (hrtime(true) - $read) / 1e6;
            $all[] = (hrtime(true) - $began) / 1e6;
        }

        return [
            'fold_10000_ms' => (float) Quantiles::of($folding, 50)['p50'],
            'read_and_fold_10000_ms' => (float) Quantiles::of($all, 50)['p50'],
        ];
    }

    /**
     * Bytes of the stored strokes against plain JSON of the same samples.
     *
     * @param  list<array<string, mixed>>  $rows
     */
    private static function ratio(array $rows): float
    {
        $stored = $plain = 0;
        foreach ($rows as ['kind' => $kind, 'body' => $body]) {
            if ($kind !== 'add') {
                continue;
            }
            $object = json_decode((string) $body, true)['object'];
            $stored += strlen((string) $body);
            $object['points'] = array_map(
                static fn (array $s): array => [
                    'x' => $s[0] / 10,
                    'y' => $s[1] / 10,
                    'pressure' => round($s[2] / 255, 3),
                    't' => $s[3],
                ],
                Ink::decode($object['ink'])->samples(),
            );
            unset($object['ink']);
            $plain += strlen((string) json_encode(['object' => $object]));
        }

        return round($stored / $plain, 3);
    }

    /** A student's page on a canvas with a thousand objects, opened anew so that they come from the kept scene. */
    private function open(Chrome $chrome, DemoClass $class): Page
    {
        $page = $chrome->open()->visit($class->addresses['student']);
        $page->find('#page-frame[data-ready]');
        $this->fill($page, range(1, self::OBJECTS), self::object(...));
        $page->run(
            'const answer = await (await fetch(location.pathname + "/canvas")).json(); window.cragOpened = { objects: answer.scene?.objects.length ?? 0, operations: answer.operations.length }',
        );
        $page->until(
            fn (): bool => $page->run('return document.querySelectorAll(".object").length') === 500,
            'the objects',
        );
        sleep(1);

        return $page;
    }

    /**
     * Puts objects on the canvas and opens the page anew with them.
     *
     * @param  list<int>  $numbers
     * @param  callable(int): array<string, mixed>  $object  by its number
     */
    private function fill(Page $page, array $numbers, callable $object): void
    {
        foreach (array_chunk($numbers, 100) as $some) {
            $operations = array_map(
                static fn (int $i): array => [
                    'id' => sprintf('object-%06d', $i),
                    'kind' => 'add',
                    'layer' => 'student',
                    'at' => 1_000 * $i,
                    'body' => ['object' => $object($i)],
                ],
                $some,
            );
            $answer = $page->run(
                'return await (await fetch(location.pathname + "/operations", { method: "POST", headers: { "Content-Type": "application/json" }, body: JSON.stringify({ canvas: document.querySelector("#page-frame").dataset.ready, operations: JSON.parse(arguments[0]) }) })).json()',
                (string) json_encode($operations),
            );
            if (! is_array($answer) || count($answer['accepted']) !== count($some)) {
                throw new Problem('The objects were not taken: '.json_encode($answer));
            }
        }
        $page->driver->navigate()->refresh();
        $page->find('#page-frame[data-ready]');
    }

    /**
     * With 2,000 strokes on the page: how long a pen's line takes to be seen, and an eraser that is dragged over them
     * for a second, its script's time and its longest frame.
     *
     * @return array<string, mixed>
     */
    private function crowded(Page $page): array
    {
        Console::step('Measuring: 2,000 strokes');
        $this->fill(
            $page,
            range(self::OBJECTS + 1, self::OBJECTS + self::STROKES),
            static fn (int $i): array => self::stroke(($i * 1373) % 14_500, ($i * 911) % 9_000),
        );
        sleep(2);
        $lag = $this->penToPixel($page);
        $erased = $page->run(
            <<<'JS'
            document.querySelector('[data-tool=eraser]').click();
            const surface = document.querySelector('#page-frame'), box = surface.getBoundingClientRect();
            let script = 0, longest = 0, frames = 0;
            const send = (type, x, y) => {
                const began = performance.now();
                surface.dispatchEvent(new PointerEvent(type, { pointerId: 9, pointerType: 'mouse', button: 0, buttons: 1, clientX: x, clientY: y, bubbles: true, cancelable: true }));
                script += performance.now() - began;
            };
            const at = (share) => [box.left + box.width * (.15 + .7 * Math.abs(1 - 2 * ((3 * share) % 1))), box.top + box.height * (.1 + .8 * share)];
            send('pointerdown', ...at(0));
            await new Promise(requestAnimationFrame);
            const began = performance.now();
            let last = began;
            await new Promise((done) => {
                const frame = (now) => {
                    frames++;
                    longest = Math.max(longest, now - last);
                    last = now;
                    if (now - began > 1000) return done();
                    send('pointermove', ...at((now - began) / 1000));
                    requestAnimationFrame(frame);
                };
                requestAnimationFrame(frame);
            });
            send('pointerup', ...at(1));
            return { script_ms: Math.round(script), longest_frame_ms: Math.round(longest), frames };
            JS
            ,
        );

        return ['pen_to_pixel_2000_ms' => $lag, 'erase_2000' => $erased];
    }

    /**
     * A construction of 200 elements that all hang on one point, which is dragged.
     *
     * @return array<string, mixed>
     */
    private function constructed(Chrome $chrome, DemoClass $class): array
    {
        Console::step('Measuring: a construction of 200');
        $page = $chrome->open(1280, 800);
        $page->visit($class->addresses['student'])->find('#page-frame[data-ready]');
        $elements = [
            ['id' => 'p0', 'kind' => 'point', 'x' => 4000, 'y' => 5000, 'label' => 'A'],
            ['id' => 'p1', 'kind' => 'point', 'x' => 12_000, 'y' => 5000, 'label' => 'B'],
        ];
        for ($i = 2; count($elements) < 200; $i++) {
            $last = 'p'.($i - 1);
            $elements[] = ['id' => "p{$i}", 'kind' => 'rotation', 'of' => [$last, 'p0'], 'by' => 700];
            $elements[] = ['id' => "s{$i}", 'kind' => $i % 2 === 0 ? 'segment' : 'circle', 'of' => [$last, "p{$i}"]];
        }
        $this->fill($page, [900_000], static fn (): array => [
            'type' => 'construction',
            'elements' => array_slice($elements, 0, 200),
            'colour' => '#2272b5',
            'width' => 24,
        ]);
        $dragged = $page->run(
            <<<'JS'
            document.querySelector('#fold')?.click();
            document.querySelector('#bench [data-tool=construct]').click();
            const surface = document.querySelector('#page-frame'), box = document.querySelector('#page .page-paper').getBoundingClientRect();
            const send = (type, x, y) => surface.dispatchEvent(new PointerEvent(type, { pointerId: 9, pointerType: 'mouse', button: 0, buttons: 1, clientX: x, clientY: y, bubbles: true, cancelable: true }));
            const at = (share) => [box.left + box.width * (.25 + .3 * share), box.top + box.height * (.5 + .1 * Math.sin(9 * share))];
            send('pointerdown', ...at(0));
            await new Promise(requestAnimationFrame);
            const began = performance.now();
            let [frames, longest, last] = [0, 0, began];
            await new Promise((done) => {
                const frame = (now) => {
                    frames++;
                    longest = Math.max(longest, now - last);
                    last = now;
                    if (now - began > arguments[0] * 1000) return done();
                    send('pointermove', ...at((now - began) / 1000 / arguments[0]));
                    requestAnimationFrame(frame);
                };
                requestAnimationFrame(frame);
            });
            send('pointerup', ...at(1));
            return { fps: Math.round(frames / ((last - began) / 1000) * 10) / 10, longest_frame_ms: Math.round(longest) };
            JS,
            self::SECONDS,
        );

        $page->until(
            fn (): bool => $page->run(
                'return JSON.stringify(await (await fetch(location.pathname + "/canvas")).json()).includes(\'"kind":"change"\')',
            ) === true,
            'the drag to be stored',
        );

        return is_array($dragged) ? $dragged : [];
    }

    /** @return array<string, mixed> mostly strokes, with shapes, words and stamps among them, all over the page */
    private static function object(int $i): array
    {
        [$x, $y] = [($i * 1373) % 14_500, ($i * 911) % 9_000];

        return match ($i % 10) {
            7 => [
                'type' => 'rectangle',
                'x' => $x,
                'y' => $y,
                'w' => 900,
                'h' => 600,
                'colour' => '#2272b5',
                'width' => 24,
                'filled' => true,
            ],
            8 => [
                'type' => 'text',
                'x' => $x,
                'y' => $y,
                'w' => 1200,
                'size' => 30,
                'colour' => '#8f2d1a',
                'align' => 'start',
                'fixed' => false,
                'text' => "F = {$i} N",
            ],
            9 => ['type' => 'stamp', 'stamp' => 'weight', 'x' => $x, 'y' => $y, 'size' => 60, 'colour' => '#5f9a3c'],
            default => self::stroke($x, $y),
        };
    }

    /** Frames a second while a pointer or a wheel moves in every frame. */
    private function frames(Page $page, string $what): mixed
    {
        Console::step("Measuring: {$what}");

        return $page->run(
            <<<'JS'
            const [what, seconds] = arguments;
            const surface = document.querySelector('#page-frame'), box = surface.getBoundingClientRect();
            const send = (type, x, y) => surface.dispatchEvent(new PointerEvent(type, { pointerId: 7, pointerType: 'mouse', button: 0, buttons: 1, clientX: x, clientY: y, bubbles: true, cancelable: true }));
            const wheel = (deltaY, ctrlKey) => surface.dispatchEvent(new WheelEvent('wheel', { deltaY, deltaX: deltaY / 2, ctrlKey, clientX: box.left + box.width / 2, clientY: box.top + box.height / 2, bubbles: true, cancelable: true }));
            const at = (n) => [box.left + box.width * (.5 + .3 * Math.cos(n / 9)), box.top + box.height * (.5 + .3 * Math.sin(n / 7))];
            if (what === 'draw') { document.querySelector('[data-tool=pen]').click(); send('pointerdown', ...at(0)); }
            if (what === 'pan') { for (let i = 0; i < 4; i++) document.querySelector('[data-zoom=in]').click(); await new Promise((done) => setTimeout(done, 500)); }
            const began = performance.now();
            let frames = 0, longest = 0, last = began;
            await new Promise((done) => {
                const frame = (now) => {
                    frames++;
                    longest = Math.max(longest, now - last);
                    last = now;
                    if (now - began > seconds * 1000) return done();
                    if (what === 'draw') send('pointermove', ...at(frames));
                    if (what === 'pan') wheel(8 * Math.sign(Math.sin(frames / 20)), false);
                    if (what === 'zoom') wheel(6 * Math.sign(Math.sin(frames / 30)), true);
                    requestAnimationFrame(frame);
                };
                requestAnimationFrame(frame);
            });
            if (what === 'draw') send('pointerup', ...at(frames));
            document.querySelector('[data-zoom=fit]').click();
            await new Promise((done) => setTimeout(done, 500));
            return Math.round(frames / ((last - began) / 1000) * 10) / 10;
            JS
            ,
            $what,
            self::SECONDS,
        );
    }

    /**
     * From a real pointer's event to after the frame with its ink was painted.
     *
     * @return array<string, ?float>
     */
    private function penToPixel(Page $page): array
    {
        Console::step('Measuring: pen to pixel');
        $page->run(
            <<<'JS'
            window.cragDrawn = [];
            const after = new MessageChannel();
            let waiting = [];
            after.port1.onmessage = () => { const now = performance.now(); waiting.forEach((then) => window.cragDrawn.push(now - then)); waiting = []; };
            // The event reaches the document after the page's own listener has drawn it.
            document.addEventListener('pointermove', (event) => {
                if (event.buttons === 0) return;
                if (waiting.length === 0) requestAnimationFrame(() => after.port2.postMessage(null));
                waiting.push(event.timeStamp);
            });
            JS
            ,
        );
        for ($stroke = 0; $stroke < 6; $stroke++) {
            $points = [];
            for ($i = 0; $i < 30; $i++) {
                $points[] = [0.1 + 0.025 * $i, 0.15 + 0.12 * $stroke + 0.03 * sin($i / 2), 0.5];
            }
            $page->draw('.page-paper', $points, 'pen', 12);
        }
        $drawn = $page->run('return window.cragDrawn');
        if (! is_array($drawn) || count($drawn) < 50) {
            throw new Problem('The page saw too few of the pen\'s movements.');
        }

        return Quantiles::of(array_values(array_map(floatval(...), $drawn)), 50, 95);
    }
}
