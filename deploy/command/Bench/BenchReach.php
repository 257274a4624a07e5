<?php

declare(strict_types=1);

namespace Deploy\Bench;

use Deploy\Console;
use Deploy\DemoClass;
use Deploy\Port;
use Deploy\Problem;

/**
 * How long from the press to a page that can be drawn on, for a class that comes in or reloads in the same moment and
 * in the same second; and from the teacher's click to the change on each student's page: pens down, a gathering and a
 * hand-out, each several times, while a simulated class works. In milliseconds. Teacher and students run on this
 * machine and read one clock.
 */
final readonly class BenchReach
{
    public function __construct(private int $students, private int $rounds)
    {
    }

    /** @return array<string, mixed> */
    public function measure(): array
    {
        $class = DemoClass::start('127.0.0.1', Port::free(), 'bench');
        $report = tempnam(sys_get_temp_dir(), 'crag-bench') ?: throw new Problem('No temporary file can be made.');
        try {
            Console::step("{$this->students} simulated students come in, and a teacher");
            $class->simulate('reach', (string) $this->students, (string) $this->rounds, $report);
            $measured = ['students' => $this->students];
            $times = (array) json_decode((string) file_get_contents($report), true, flags: JSON_THROW_ON_ERROR);
            foreach ($times as $what => $found) {
                $measured[(string) $what] = Quantiles::of($found['times'], 50, 95) + ['lost' => $found['lost']];
            }

            return $measured;
        } finally {
            $class->instance->stop();
            $class->instance->removeAll();
            @unlink($report);
        }
    }
}
