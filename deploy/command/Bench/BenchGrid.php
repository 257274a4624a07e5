<?php

declare(strict_types=1);

namespace Deploy\Bench;

use Deploy\Browser\Chrome;
use Deploy\Browser\Page;
use Deploy\Console;
use Deploy\DemoClass;
use Deploy\Port;

/**
 * The grid on canvases that are full already: how long from asking for the desk to the first frame in which every
 * picture is complete (opened several times, the middle one told), how many frames a second are painted while all of
 * them draw, and what the page holds then.
 */
final readonly class BenchGrid
{
    private const OPENINGS = 5;

    private const DRAWING_S = 12;

    /** Notes the first frame after the grid says that it is ready, in which every tile in sight has ink. */
    private const COMPLETE = <<<'JS'
    (() => {
        const inked = (canvas) => canvas.width > 0 && canvas.getContext('2d').getImageData(0, 0, canvas.width, canvas.height).data.some((value, i) => i % 4 === 3 && value > 0);
        const look = () => {
            const tiles = [...document.querySelectorAll('#grid[data-ready] .tile')].filter((tile) => tile.getBoundingClientRect().top < innerHeight - 60);
            const at = performance.now();
            if (tiles.length > 0 && tiles.every((tile) => inked(tile.querySelector('.page-dry')))) {
                window.cragComplete = at;
            } else {
                requestAnimationFrame(look);
            }
        };
        addEventListener('DOMContentLoaded', look);
    })();
    JS;

    public function __construct(private int $canvases, private int $strokes)
    {
    }

    /** @return array<string, mixed> */
    public function measure(): array
    {
        $class = DemoClass::start('127.0.0.1', Port::free(), 'bench');
        $chrome = Chrome::start();
        $pens = null;
        try {
            Console::step("{$this->canvases} simulated students draw {$this->strokes} strokes each");
            $pens = new Scribblers($class, $this->canvases, self::DRAWING_S, before: $this->strokes);
            $page = $chrome->open();
            $page->developer('Page.addScriptToEvaluateOnNewDocument', ['source' => self::COMPLETE]);
            $complete = $this->openings($page, $class->addresses['desk']);
            $pens->begin();
            sleep(2);
            $frames = $page->run(
                'let n = 0; const end = performance.now() + 8000; return new Promise((done) => { const beat = () => { n++; performance.now() < end ? requestAnimationFrame(beat) : done(n / 8); }; requestAnimationFrame(beat); })',
            );
            $pens->finish();

            return [
                'canvases' => $this->canvases,
                'strokes' => $this->strokes,
                'complete_ms' => Quantiles::of($complete, 50)['p50'],
                'complete_slowest_ms' => max($complete),
                'fps' => round(is_numeric($frames) ? (float) $frames : 0, 1),
                'heap_mb' => $page->heap(),
            ];
        } finally {
            $pens?->leave();
            $chrome->stop();
            $class->instance->stop();
            $class->instance->removeAll();
        }
    }

    /** @return non-empty-list<float> milliseconds of each opening */
    private function openings(Page $page, string $address): array
    {
        $complete = [];
        for ($i = 0; $i < self::OPENINGS || $complete === []; $i++) {
            $page->visit($address);
            $at = $page->until(
                static fn (): mixed => $page->run('return window.cragComplete ?? null'),
                'a complete picture',
            );
            $complete[] = round(is_numeric($at) ? (float) $at : 0, 1);
        }

        return $complete;
    }
}
