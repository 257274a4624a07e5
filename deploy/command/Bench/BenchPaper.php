<?php

declare(strict_types=1);

namespace Deploy\Bench;

use Deploy\Browser\Chrome;
use Deploy\Browser\Page;
use Deploy\Console;
use Deploy\DemoClass;
use Deploy\Port;

/** How much of a student's screen is paper that can be drawn on, at the sizes of common devices. */
final class BenchPaper
{
    /** Width and height in CSS pixels, and the least share that is wanted. */
    private const DEVICES = [
        'phone' => [390, 844, 0.65],
        'phone-flat' => [844, 390, 0.65],
        'small-phone' => [360, 640, 0.65],
        'tablet' => [820, 1180, 0.70],
        'tablet-flat' => [1180, 820, 0.70],
        'laptop' => [1280, 800, 0.75],
    ];

    /** Every so many CSS pixels, across and down, is asked what lies there. */
    public const STEP = 8;

    /**
     * Points of a grid over the whole screen: a point counts where a pen would meet the page, and the paper in it.
     */
    public const SHARE = <<<'JS'
        const paper = document.querySelector('#page .page-paper').getBoundingClientRect();
        let all = 0, drawn = 0;
        for (let x = arguments[0] / 2; x < innerWidth; x += arguments[0]) {
            for (let y = arguments[0] / 2; y < innerHeight; y += arguments[0]) {
                all++;
                const isPaper = x >= paper.left && x < paper.right && y >= paper.top && y < paper.bottom;
                drawn += isPaper && document.elementFromPoint(x, y)?.closest('#page-frame') !== null ? 1 : 0;
            }
        }
        return Math.round(1000 * drawn / all) / 1000;
        JS;

    /** @return array<string, mixed> */
    public function measure(): array
    {
        $class = DemoClass::start('127.0.0.1', Port::free(), 'bench');
        $chrome = Chrome::start();
        try {
            $desk = $chrome->open()->visit($class->addresses['desk']);
            $desk->find('#grid[data-ready]');
            $shares = [];
            // The demo's first prompt has a question beside the page; the one that is handed out has none.
            foreach (['question' => 1, 'no_question' => 2] as $which => $n) {
                if ($n === 2) {
                    $desk->press('h')->type('#handout-words', 'Draw the forces on the beam, then find the turning one.');
                    $desk->run('document.querySelector("#handout [name=place][value=next]").click()');
                    $desk->click('#handout .btn-go');
                }
                foreach (self::DEVICES as $device => [$width, $height, $least]) {
                    Console::step("{$device}, {$which}");
                    $page = $chrome->open($width, $height)->visit($class->addresses['student']);
                    $page->find('#page-frame[data-ready]');
                    $page->waitForText('#prompt-number', (string) $n);
                    $shares[$device]['least'] = $least;
                    $shares[$device][$which] = $this->shares($page);
                    $page->quit();
                }
            }
            $missed = array_keys(
                array_filter(
                    $shares,
                    static fn (array $one): bool => min($one['question']['drawing'], $one['no_question']['drawing']) <
                        $one['least'],
                ),
            );

            return ['paper' => $shares, 'missed' => $missed];
        } finally {
            $chrome->stop();
            $class->instance->stop();
            $class->instance->removeAll();
        }
    }

    /** @return array{reading: float, drawing: float} before the first stroke, and after it */
    private function shares(Page $page): array
    {
        $reading = (float) $page->run(self::SHARE, self::STEP);
        $page->run(
            'document.querySelector("#page-frame").dispatchEvent(new PointerEvent("pointerdown", { bubbles: true, pointerType: "mouse", button: 2 }))',
        );

        return ['reading' => $reading, 'drawing' => (float) $page->run(self::SHARE, self::STEP)];
    }
}
