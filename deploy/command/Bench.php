<?php

declare(strict_types=1);

namespace Deploy;

/** Measurements. Each prints one JSON object on the standard output. */
final class Bench
{
    public function run(Options $options): int
    {
        $what = $options->words[0] ?? '';
        if (! in_array($what, ['live', 'canvas'], true)) {
            throw new Problem('What shall be measured? There is: ./crag bench live [--students=40] [--seconds=20], and ./crag bench canvas');
        }
        Setup::complete(withBrowser: true);
        require_once Setup::root().'/vendor/autoload.php';
        $bench = $what === 'canvas' ? new BenchCanvas : new BenchLive(
            $options->whole('students', 40, 1, 200),
            $options->whole('seconds', 20, 1, 3600),
        );
        $measured = $bench->measure();
        Console::say((string) json_encode($measured, JSON_UNESCAPED_SLASHES));

        return 0;
    }
}
