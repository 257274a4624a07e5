<?php

declare(strict_types=1);

namespace Deploy\Bench;

use Deploy\Browser\Chrome;
use Deploy\Browser\Page;
use Deploy\DemoClass;
use Deploy\Install\Setup;
use Deploy\Port;
use Deploy\Problem;

/**
 * What a student's page sends and gets in a minute, with all data and with light data: the same strokes, the same lead
 * ink and the same picture handed out, every byte counted between the browser and the server.
 */
final class BenchLight
{
    /** What is drawn takes less; the rest of the time the page waits. */
    private const SECONDS = 40;

    /** @return array{full_bytes_per_min: int, light_bytes_per_min: int} */
    public function measure(): array
    {
        $class = DemoClass::start('127.0.0.1', Port::free(), 'bench');
        $chrome = Chrome::start();
        $between = Port::free();
        $counter =
            proc_open(
                [
                    'setpriv',
                    '--pdeathsig',
                    'TERM',
                    '--',
                    'node',
                    Setup::root().'/storage/setup/demo/class.mjs',
                    'count',
                    (string) $between,
                    (string) $class->instance->port,
                ],
                [['pipe', 'r'], ['pipe', 'w'], STDERR],
                $pipes,
            ) ?:
            throw new Problem('The counter could not be started.');
        $picture = $this->picture();
        try {
            fgets($pipes[1]);
            $desk = $chrome->open()->visit($class->addresses['desk']);
            $desk->find('#grid[data-ready]');
            $student = $chrome->open()->visit("http://127.0.0.1:{$between}/join/{$class->addresses['code']}");
            $student->type('#name', 'Tamsin')->click('form > .btn-go');
            $student->find('#page-frame[data-ready]');
            $desk->press('f');
            $desk->find('#lead [data-ready]');
            $desk->click('#lead-ink');
            $desk->until(
                fn (): bool => $desk->run('return document.querySelector("#lead-ink").ariaPressed') === 'true',
                'lead ink',
            );
            $bytes = [];
            foreach (['full', 'light'] as $mode) {
                $student->click('#more')->click('#light');
                if ($mode === 'full') {
                    $student->click('#light');
                }
                $student->press("\u{E00C}");
                sleep(2);
                $this->count($pipes);
                $began = microtime(true);
                $this->draw($desk, $student, $picture);
                usleep((int) max(0, 1e6 * (self::SECONDS - (microtime(true) - $began))));
                $bytes[$mode] = (int) round(($this->count($pipes) * 60) / (microtime(true) - $began));
            }

            return ['full_bytes_per_min' => $bytes['full'], 'light_bytes_per_min' => $bytes['light']];
        } finally {
            proc_terminate($counter);
            $chrome->stop();
            $class->instance->stop();
            $class->instance->removeAll();
            unlink($picture);
        }
    }

    /** @param  array<int, resource>  $pipes */
    private function count(array $pipes): int
    {
        fwrite($pipes[0], "how many\n");

        return (int) substr((string) fgets($pipes[1]), 6);
    }

    private function draw(Page $desk, Page $student, string $picture): void
    {
        for ($i = 0; $i < 10; $i++) {
            $student->draw('#bench .page-paper', $this->wave(0.1 + $i * 0.08), 'pen');
            if ($i % 2 === 0) {
                $desk->draw('#lead .page-paper', $this->wave(0.14 + $i * 0.08));
            }
        }
        $desk->press('f');
        $desk->press('h');
        $desk->run('document.querySelector("#handout [value=picture]").click()');
        $desk->seen('#give-picture')->sendKeys($picture);
        $desk->run('document.querySelector("#handout-form").requestSubmit()');
        $desk->until(fn (): bool => ! $desk->all('#handout')[0]->isDisplayed(), 'the picture to go out');
        $desk->press('f');
    }

    /** @return list<array{float, float}> fractions of the page */
    private function wave(float $y): array
    {
        return array_map(static fn (int $i): array => [0.1 + $i * 0.012, $y + 0.03 * sin($i / 4)], range(0, 60));
    }

    /** A photograph's worth of colours. */
    private function picture(): string
    {
        $image = imagecreatetruecolor(2000, 1250);
        for ($x = 0; $x < 2000; $x += 4) {
            for ($y = 0; $y < 1250; $y += 4) {
                imagefilledrectangle(
                    $image,
                    $x,
                    $y,
                    $x + 3,
                    $y + 3,
                    (crc32("{$x} {$y}") & 0x1F1F1F) + (intdiv($x, 16) << 16) + (intdiv($y, 10) << 8),
                );
            }
        }
        $file = (string) tempnam(sys_get_temp_dir(), 'crag-picture').'.jpg';
        imagejpeg($image, $file, 85);

        return $file;
    }
}
