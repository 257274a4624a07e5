<?php

declare(strict_types=1);

namespace Deploy\Bench;

use Deploy\Console;
use Deploy\Install\Needs;
use Deploy\Install\Setup;
use Deploy\Options;
use Deploy\Problem;

/** Measurements. Each prints one JSON object on the standard output. */
final class Bench
{
    public function run(Options $options): int
    {
        $benches = [
            'live' => static fn (): array => (new BenchLive(
                $options->whole('students', 40, 1, 200),
                $options->whole('seconds', 20, 1, 3600),
                $options->whole('together', 1, 1, 40),
            ))->measure(),
            'reach' => static fn (): array => (new BenchReach(
                $options->whole('students', 35, 1, 200),
                $options->whole('rounds', 6, 1, 100),
            ))->measure(),
            'light' => static fn (): array => (new BenchLight())->measure(),
            'grid' => static fn (): array => (new BenchGrid(
                $options->whole('canvases', 40, 1, 200),
                $options->whole('strokes', 300, 1, 2000),
            ))->measure(),
            'soak' => static fn (): array => (new BenchSoak(
                $options->whole('students', 30, 1, 200),
                $options->whole('minutes', 10, 1, 120),
            ))->measure(),
            'record' => static fn (): array => (new BenchRecord(
                $options->whole('students', 30, 1, 200),
                $options->whole('prompts', 5, 1, 30),
                $options->whole('strokes', 60, 1, 2000),
            ))->measure(),
            'sheets' => static fn (): array => (new BenchSheets($options->whole('pages', 60, 1, 60)))->measure(),
            'reading' => static fn (): array => (new BenchReading($options->whole('hands', 20, 1, 200)))->measure(),
            'faults' => static fn (): array => (new BenchFaults(
                $options->whole('count', 100, 1, 10_000),
                $options->whole('students', 20, 1, 200),
                $options->whole('seed', 7, 0, 1_000_000),
            ))->measure(),
            'flood' => static fn (): array => (new BenchFlood(
                $options->whole('students', 300, 1, 600),
                $options->whole('seconds', 20, 1, 600),
                $options->whole('rate', 1, 1, 10),
                match ($options->text('way', 'both')) {
                    'socket' => 'socket',
                    'http' => 'http',
                    'both' => 'both',
                    default => throw new Problem('A stroke goes over the socket, over http, or both are measured.'),
                },
            ))->measure(),
            'classes' => static fn (): array => (new BenchClasses(
                $options->whole('classes', 10, 1, 20),
                $options->whole('students', 30, 1, 60),
                $options->whole('seconds', 30, 1, 600),
            ))->measure(),
            'district' => static fn (): array => (new BenchDistrict(
                $options->whole('nodes', 2, 2, 8),
                $options->whole('classes', 20, 1, 100),
                $options->whole('students', 30, 1, 60),
                $options->whole('seconds', 60, 20, 600),
                $options->whole('pause', 4, 1, 60),
            ))->measure(),
            'district-faults' => static fn (): array => (new BenchDistrictFaults(
                $options->whole('nodes', 2, 2, 8),
                $options->whole('count', 40, 1, 1000),
                $options->whole('students', 16, 1, 200),
                $options->whole('seed', 7, 0, 1_000_000),
            ))->measure(),
            'scale' => static fn (): array => (new BenchScale(
                $options->text('measured', 'docs/measured/district.json'),
                $options->whole('schools', 300, 1, 5000),
                $options->whole('students', 30, 1, 60),
                $options->whole('pause', 5, 1, 60),
                $options->whole('seconds', 60, 5, 600),
                $options->has('nodes') ? $options->whole('nodes', 2, 2, 1000) : null,
                $options->whole('cores', 8, 1, 128),
                $options->whole('database-cores', 32, 1, 256),
            ))->measure(),
            'canvas' => static fn (): array => (new BenchCanvas())->measure(),
            'paper' => static fn (): array => (new BenchPaper())->measure(),
            'desk' => static fn (): array => (new BenchDesk())->measure(),
        ];
        $bench =
            $benches[$options->words[0] ?? ''] ??
            throw new Problem(
                'What should be measured? There is: ./crag bench live [--students=40] [--seconds=20], reach [--students=35] [--rounds=6], grid [--canvases=40] [--strokes=300], soak [--students=30] [--minutes=10], light, record [--students=30] [--prompts=5], sheets [--pages=60], reading [--hands=20], faults [--count=100] [--students=20] [--seed=7], flood [--students=300] [--seconds=20] [--rate=1] [--way=both|socket|http], classes [--classes=10] [--students=30] [--seconds=30], district [--nodes=2] [--classes=20] [--students=30] [--seconds=60] [--pause=4], district-faults [--nodes=2] [--count=40], scale [--schools=300] [--pause=5] [--nodes=N] [--cores=8] [--database-cores=32] [--measured=FILE], canvas, paper, and desk',
            );
        Setup::complete(Needs::Tests);
        require_once Setup::root().'/vendor/autoload.php';
        $measured = $bench();
        Console::say((string) json_encode($measured, JSON_UNESCAPED_SLASHES));

        return 0;
    }
}
