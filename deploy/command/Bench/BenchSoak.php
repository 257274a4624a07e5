<?php

declare(strict_types=1);

namespace Deploy\Bench;

use Deploy\Browser\Chrome;
use Deploy\Console;
use Deploy\DemoClass;
use Deploy\Instance;
use Deploy\Port;

/**
 * A class that works calmly for a long time with the grid open: whether the page, the server's processes and the
 * database grow, and whether everything that was finished is stored. The start is taken after half a minute.
 */
final readonly class BenchSoak
{
    private const SETTLE_S = 30;

    /** Between two strokes of a student. */
    private const PAUSE_MS = 3000;

    private const PARTS = ['nginx', 'php', 'keeper', 'browser'];

    public function __construct(private int $students, private int $minutes)
    {
    }

    /** @return array<string, mixed> */
    public function measure(): array
    {
        $class = DemoClass::start('127.0.0.1', Port::free(), 'bench');
        $chrome = Chrome::start();
        $pens = null;
        try {
            $pens = new Scribblers($class, $this->students, $this->minutes * 60, self::PAUSE_MS);
            $page = $chrome->open()->visit($class->addresses['desk']);
            $page->until(fn (): bool => count($page->all('.tile')) === $this->students, 'every student in the grid', 30);
            $memory = static fn (): array => [
                'heap' => $page->heap(),
                'nginx' => Usage::memory($class->instance->child('nginx')->pid()),
                'php' => Usage::answering(Usage::memory(...), $class->instance),
                'keeper' => array_sum(array_map(
                    static fn (string $keeper): float => Usage::memory($class->instance->child($keeper)->pid()),
                    Instance::keeperNames(),
                )),
                'browser' => Usage::memory($chrome->pid()),
            ];
            $bytes = static fn (): int => array_sum(
                array_map(
                    static fn (string $file): int => (int) filesize($file),
                    glob("{$class->instance->data}/crag.sqlite*") ?: [],
                ),
            );
            $before = $bytes();
            $pens->begin();
            Console::step("{$this->students} simulated students draw for {$this->minutes} min");
            sleep(self::SETTLE_S);
            $start = $memory();
            $pens->finish();
            sleep(2);
            $end = $memory();
            $stored = $pens->stored();
            $growth = static fn (string $of): array => ['start' => $start[$of], 'end' => $end[$of]];

            return [
                'students' => $this->students,
                'minutes' => $this->minutes,
                'strokes' => $stored['posted'],
                'heap_mb' => $growth('heap'),
                'rss_mb' => array_map($growth, array_combine(self::PARTS, self::PARTS)),
                'db_bytes_per_student_min' => (int) round(($bytes() - $before) / $this->students / $this->minutes),
                'lost' => $stored['missing'],
                'twice' => $stored['twice'],
                'post_ms' => $stored['post_ms'],
            ];
        } finally {
            $pens?->leave();
            $chrome->stop();
            $class->instance->stop();
            $class->instance->removeAll();
        }
    }
}
