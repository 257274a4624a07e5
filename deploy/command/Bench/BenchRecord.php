<?php

declare(strict_types=1);

namespace Deploy\Bench;

use Deploy\Console;
use Deploy\DemoClass;
use Deploy\Port;
use Deploy\Problem;

/**
 * How long the record of a lesson takes as PDF, from the teacher's press until it can be taken, and how large it is.
 */
final readonly class BenchRecord
{
    public function __construct(private int $students, private int $prompts, private int $strokes)
    {
    }

    /** @return array<string, mixed> */
    public function measure(): array
    {
        $class = DemoClass::start('127.0.0.1', Port::free(), 'bench');
        $report = tempnam(sys_get_temp_dir(), 'crag-bench') ?: throw new Problem('No temporary file can be made.');
        $pdf = tempnam(sys_get_temp_dir(), 'crag-bench') ?: throw new Problem('No temporary file can be made.');
        try {
            Console::step(
                "{$this->students} simulated students draw {$this->strokes} strokes at each of {$this->prompts} prompts",
            );
            $class->simulate(
                'record',
                (string) $this->students,
                (string) $this->prompts,
                (string) $this->strokes,
                $report,
                $pdf,
            );
            $told = (array) json_decode((string) file_get_contents($report), true, flags: JSON_THROW_ON_ERROR);
            $pages =
                preg_match(
                    '/^Pages:\s+(\d+)/m',
                    (string) shell_exec('pdfinfo '.escapeshellarg($pdf).' 2>/dev/null'),
                    $found,
                ) === 1
                    ? (int) $found[1]
                    : 0;

            return [
                'students' => $this->students,
                'prompts' => $this->prompts,
                'strokes' => $this->strokes,
                'seconds' => round((is_numeric($told['ms']) ? (float) $told['ms'] : 0) / 1000, 1),
                'pages' => $pages,
                'bytes' => (int) filesize($pdf),
            ];
        } finally {
            $class->instance->stop();
            $class->instance->removeAll();
            @unlink($report);
            @unlink($pdf);
        }
    }
}
