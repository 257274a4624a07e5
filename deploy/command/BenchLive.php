<?php

declare(strict_types=1);

namespace Deploy;

use Deploy\Browser\Chrome;
use Deploy\Browser\Page;
use PDO;

/**
 * A class that draws without a pause, watched in the real grid: how long from a pen's point to the painted pixel, and
 * whether everything that was finished is stored, once and in order.
 *
 * The pens and the browser run on the same machine, so both read the same clock. A point counts as drawn at the first
 * note after the frame with it was painted (resources/ts/grid/painted.ts); the time has a grain of 1 ms.
 */
final readonly class BenchLive
{
    public function __construct(private int $students, private int $seconds)
    {
    }

    /** @return array<string, mixed> */
    public function measure(): array
    {
        $class = DemoClass::start('127.0.0.1', Port::free(), 'bench');
        $chrome = Chrome::start();
        $report = tempnam(sys_get_temp_dir(), 'crag-bench') ?: throw new Problem('No temporary file can be made.');
        try {
            $pens = $this->startPens($class, $report);
            Console::step("{$this->students} simulated students are in; opening the grid");
            $page = $this->openGrid($chrome, $class);
            $before = $this->cpu($class, $chrome);
            $this->say($pens, 'go');
            Console::step("Drawing for {$this->seconds} s");
            $this->hear($pens, 'done', $this->seconds + 60);
            $used = array_map(static fn (float $now, float $then): float => round($now - $then, 2), $this->cpu($class, $chrome), $before);
            sleep(1);
            $painted = $this->painted($page);
            $memory = ['nginx' => Usage::memory($class->instance->child('nginx')->pid()), 'php' => Usage::memory($class->instance->child('php-fpm')->pid()), 'grid_heap' => $this->heap($page)];
            $made = json_decode((string) file_get_contents($report), true, flags: JSON_THROW_ON_ERROR);
            $dry = $this->dry($class, $made['ids'], $made['posts']);
            $this->say($pens, 'bye');

            return [
                'students' => $this->students,
                'seconds' => $this->seconds,
                'wet' => $this->wet($made['sent'], $painted),
                'dry' => $dry,
                'join_ms' => Quantiles::of($made['joins'], 50, 95),
                'cpu_s' => ['nginx' => $used[0], 'php' => $used[1], 'browser' => $used[2]],
                'rss_mb' => $memory,
            ];
        } finally {
            $chrome->stop();
            $class->instance->stop();
            $class->instance->removeAll();
            @unlink($report);
        }
    }

    /** @return array{resource, resource, resource} the process and its two ends */
    private function startPens(DemoClass $class, string $report): array
    {
        $command = [
            'setpriv', '--pdeathsig', 'TERM', '--', 'node', Setup::root().'/storage/setup/demo/class.mjs', 'scribble',
            $class->instance->address(), $class->addresses['code'], (string) $this->students, (string) $this->seconds, $report,
        ];
        $process = proc_open($command, [['pipe', 'r'], ['pipe', 'w'], STDERR], $pipes);
        if ($process === false) {
            throw new Problem('The simulated class could not be started.');
        }
        $pens = [$process, $pipes[0], $pipes[1]];
        $this->hear($pens, 'joined', 60);

        return $pens;
    }

    /** @param  array{resource, resource, resource}  $pens */
    private function say(array $pens, string $word): void
    {
        fwrite($pens[1], $word."\n");
    }

    /** @param  array{resource, resource, resource}  $pens */
    private function hear(array $pens, string $word, int $patience): void
    {
        stream_set_blocking($pens[2], false);
        $until = microtime(true) + $patience;
        $heard = '';
        while (! str_contains($heard, $word)) {
            if (microtime(true) > $until || ! proc_get_status($pens[0])['running']) {
                throw new Problem("The simulated class did not say \"{$word}\".");
            }
            $heard .= (string) fgets($pens[2]);
            usleep(20_000);
        }
    }

    private function openGrid(Chrome $chrome, DemoClass $class): Page
    {
        $page = $chrome->open()->visit($class->addresses['desk']);
        $page->until(fn (): bool => count($page->all('.tile')) === $this->students, 'every student in the grid', 30);
        $page->run('window.cragPainted = []');
        sleep(1);

        return $page;
    }

    /** @return array{float, float, float} seconds of nginx, of php-fpm and of the browser with the grid */
    private function cpu(DemoClass $class, Chrome $chrome): array
    {
        return [
            Usage::cpu($class->instance->child('nginx')->pid()),
            Usage::cpu($class->instance->child('php-fpm')->pid()),
            Usage::cpu($chrome->pid()),
        ];
    }

    /** @return list<array{string, ?int, int}> stroke, samples so far (null: all), and when they were painted */
    private function painted(Page $page): array
    {
        $json = $page->run('return JSON.stringify(window.cragPainted)');

        return json_decode(is_string($json) ? $json : '[]', true, flags: JSON_THROW_ON_ERROR);
    }

    private function heap(Page $page): float
    {
        $bytes = $page->run('return performance.memory.usedJSHeapSize');

        return round((is_numeric($bytes) ? $bytes : 0) / 1048576, 1);
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

    /**
     * @param  list<string>  $ids
     * @param  list<float>  $posts
     * @return array<string, mixed>
     */
    private function dry(DemoClass $class, array $ids, array $posts): array
    {
        $database = new PDO("sqlite:{$class->instance->data}/crag.sqlite");
        $found = $database->query("select op_id, canvas_id, n from operations where kind = 'add' order by id");
        $rows = $found === false ? [] : $found->fetchAll(PDO::FETCH_NUM);
        $stored = array_count_values(array_map(static fn (array $row): string => (string) $row[0], $rows));
        $disordered = 0;
        $last = [];
        foreach ($rows as [, $canvas, $n]) {
            $disordered += (int) $n <= ($last[$canvas] ?? 0) ? 1 : 0;
            $last[$canvas] = (int) $n;
        }

        return [
            'posted' => count($ids),
            'stored' => count(array_intersect_key(array_flip($ids), $stored)),
            'missing' => count(array_diff_key(array_flip($ids), $stored)),
            'twice' => count(array_filter($stored, static fn (int $times): bool => $times > 1)),
            'disordered' => $disordered,
            'post_ms' => Quantiles::of($posts, 50, 95),
        ];
    }
}
