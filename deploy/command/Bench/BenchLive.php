<?php

declare(strict_types=1);

namespace Deploy\Bench;

use Deploy\Browser\Chrome;
use Deploy\Browser\Page;
use Deploy\Console;
use Deploy\DemoClass;
use Deploy\Port;

/**
 * A class that draws without a pause, watched in the real grid: how long from a pen's point to the painted pixel, and
 * whether everything that was finished is stored, once and in order.
 *
 * The pens and the browser run on the same machine, so both read the same clock. A point counts as drawn at the first
 * note after the frame with it was painted (resources/ts/grid/painted.ts); the time has a grain of 1 ms.
 */
final readonly class BenchLive
{
    /** @param  int  $together  how many draw on one canvas */
    public function __construct(private int $students, private int $seconds, private int $together = 1)
    {
    }

    /** @return array<string, mixed> */
    public function measure(): array
    {
        $class = DemoClass::start('127.0.0.1', Port::free(), 'bench');
        $chrome = Chrome::start();
        $pens = null;
        try {
            $pens = new Scribblers($class, $this->students, $this->seconds);
            Console::step("{$this->students} simulated students are in; opening the grid");
            $page = $this->openGrid($chrome, $class);
            $before = $this->cpu($class, $chrome);
            $pens->begin();
            Console::step("Drawing for {$this->seconds} s");
            $pens->finish();
            $used = array_map(
                static fn (float $now, float $then): float => round($now - $then, 2),
                $this->cpu($class, $chrome),
                $before,
            );
            sleep(1);
            $painted = $this->painted($page);
            $memory = [
                'nginx' => Usage::memory($class->instance->child('nginx')->pid()),
                'php' => Usage::answering(Usage::memory(...), $class->instance),
                'grid_heap' => $page->heap(),
            ];
            $made = $pens->made();

            return [
                'students' => $this->students,
                'on_one_canvas' => $this->together,
                'seconds' => $this->seconds,
                'wet' => $this->wet($made['sent'], $painted),
                'dry' => $pens->stored(),
                'join_ms' => Quantiles::of($made['joins'], 50, 95),
                'cpu_s' => ['nginx' => $used[0], 'php' => $used[1], 'browser' => $used[2]],
                'rss_mb' => $memory,
            ];
        } finally {
            $pens?->leave();
            $chrome->stop();
            $class->instance->stop();
            $class->instance->removeAll();
        }
    }

    private function openGrid(Chrome $chrome, DemoClass $class): Page
    {
        $page = $chrome->open()->visit($class->addresses['desk']);
        $page->until(fn (): bool => count($page->all('.tile')) === $this->students, 'every student in the grid', 30);
        if ($this->together > 1) {
            $this->group($page);
        }
        $page->run('window.cragPainted = []');
        sleep(1);

        return $page;
    }

    /** So many on each canvas, and every page on the one that is its group's. */
    private function group(Page $page): void
    {
        $page->driver->executeAsyncScript(
            <<<'JS'
            const [together, done] = arguments;
            const ask = (what, body) => fetch(`${location.pathname}/${what}`, {
                method: 'POST',
                headers: { 'Content-Type': 'application/json', Accept: 'application/json' },
                body: JSON.stringify(body),
            });
            const seats = [...document.querySelectorAll('.tile')].map(({ dataset }) => dataset.seat);
            const groups = [];
            while (seats.length > 0) groups.push(seats.splice(0, together));
            const prompt = document.querySelector('#grid').dataset.ready;
            ask('groups', { groups }).then(() => ask(`prompt/${prompt}/share`, { sharing: 'group' })).then(done);
            JS
            ,
            [$this->together],
        );
        $tiles = (int) ceil($this->students / $this->together);
        $page->until(static fn (): bool => count($page->all('.tile')) === $tiles, 'a tile for each group', 30);
        // Every page opens its other canvas, and its lines.
        sleep(4);
    }

    /**
     * @return array{float, float, float} seconds of nginx, of what answers requests and of the browser with the grid
     */
    private function cpu(DemoClass $class, Chrome $chrome): array
    {
        return [
            Usage::cpu($class->instance->child('nginx')->pid()),
            Usage::answering(Usage::cpu(...), $class->instance),
            Usage::cpu($chrome->pid()),
        ];
    }

    /** @return list<array{string, ?int, int}> stroke, samples so far (null: all), and when they were painted */
    private function painted(Page $page): array
    {
        $json = $page->run('return JSON.stringify(window.cragPainted)');

        return json_decode(is_string($json) ? $json : '[]', true, flags: JSON_THROW_ON_ERROR);
    }

    /**
     * @param  list<array{string, int, int}>  $sent  stroke, sample number, when it was made
     * @param  list<array{string, ?int, int}>  $painted
     * @return array<string, mixed>
     */
    private function wet(array $sent, array $painted): array
    {
        $notes = [];
        foreach ($painted as [$stroke, $upTo, $at]) {
            $notes[$stroke][] = [$upTo ?? PHP_INT_MAX, $at];
        }
        $times = [];
        foreach ($sent as [$stroke, $index, $made]) {
            foreach ($notes[$stroke] ?? [] as [$upTo, $at]) {
                if ($upTo > $index) {
                    $times[] = $at - $made;
                    break;
                }
            }
        }

        return [
            'sent' => count($sent),
            'drawn' => count($times),
            'lost' => count($sent) - count($times),
            'ms' => Quantiles::of($times, 50, 95, 99),
        ];
    }
}
