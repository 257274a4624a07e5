<?php

declare(strict_types=1);

namespace Crag\Formats;

use Crag\Canvas\Log\Operation;
use Crag\Canvas\Log\Replay;
use Crag\Canvas\Scene;
use Crag\Render\BackdropSvg;
use Crag\Render\ObjectSvg;
use Crag\Render\Pictures;
use Crag\Render\SceneSvg;

/**
 * A page for any browser that plays a recording and the drawing as it grew: it needs the sound's file beside it, and
 * nothing else. Each step of the drawing is a list of pieces of SVG; what does not change is written once.
 */
final class SpokenPage
{
    private ObjectSvg $draw;

    /** @var array<string, int> drawings by what they are, each with its number */
    private array $drawings = [];

    private function __construct(private readonly Pictures $pictures)
    {
        $this->draw = new ObjectSvg($pictures);
    }

    /**
     * @param  list<Operation>  $log  in its order
     * @param  int  $beganMs  when the recording began, milliseconds since 1970
     * @param  string  $sound  the file's name
     * @param  bool  $isFilmed  whether it has small pictures of who speaks
     */
    public static function html(
        string $title,
        string $language,
        array $log,
        int $beganMs,
        int $lastsMs,
        Captions $captions,
        string $sound,
        bool $isFilmed,
        Pictures $pictures,
    ): string {
        $page = new self($pictures);
        $frames = $page->frames($log, Replay::along($log, $beganMs, $lastsMs));
        $film = json_encode(
            ['frames' => $frames, 'drawings' => array_keys($page->drawings), 'captions' => $captions->lines],
            JSON_THROW_ON_ERROR | JSON_HEX_TAG | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES,
        );
        $title = htmlspecialchars($title);
        $language = htmlspecialchars($language);
        $sound = htmlspecialchars($sound);
        $voice = $isFilmed ? 'video' : 'audio';

        return <<<HTML
            <!doctype html>
            <html lang="{$language}">
            <meta charset="utf-8">
            <meta name="viewport" content="width=device-width">
            <title>{$title}</title>
            <style>
            body { margin: 1rem auto; max-width: 64rem; padding: 0 1rem; background: #f6f3ec; color: #25323b;
                font-family: sans-serif; }
            svg { display: block; width: 100%; height: auto; max-height: 74vh; }
            svg { border: 1px solid #dad4c7; background: #fff; }
            audio { width: 100%; margin-top: 0.5rem; }
            video { display: block; max-width: 20rem; margin: 0.5rem auto 0; }
            p { min-height: 1.5em; margin: 0.5rem 0 0; font-size: 1.2rem; text-align: center; }
            </style>
            <h1 dir="auto">{$title}</h1>
            <svg xmlns="http://www.w3.org/2000/svg" role="img" aria-labelledby="said"></svg>
            <p id="said" dir="auto" aria-live="polite"></p>
            <{$voice} controls src="{$sound}"></{$voice}>
            <script type="application/json" id="film">{$film}</script>
            <script>
            const film = JSON.parse(document.querySelector('#film').textContent);
            const [svg, said, audio] = ['svg', '#said', '{$voice}'].map((one) => document.querySelector(one));
            let shown = -1;
            const show = () => {
                const at = audio.currentTime * 1000;
                const n = Math.max(0, film.frames.findLastIndex((frame) => frame.at <= at));
                if (n !== shown) {
                    shown = n;
                    const { size, of } = film.frames[n];
                    svg.setAttribute('viewBox', '0 0 ' + size.join(' '));
                    svg.innerHTML = of.map((one) => film.drawings[one]).join('');
                }
                const line = film.captions.find(({ from, to }) => at >= from && at < to)?.words ?? '';
                if (said.textContent !== line) {
                    said.textContent = line;
                }
                requestAnimationFrame(show);
            };
            show();
            </script>
            </html>

            HTML;
    }

    /**
     * @param  list<Operation>  $log
     * @return list<array{at: int, size: array{int, int}, of: list<int>}> what is to be seen from when on, by the
     *      numbers of its drawings
     */
    private function frames(array $log, Replay $replay): array
    {
        $scene = Scene::fold([]);
        $page = '';
        $frames = [$this->frame(0, $scene, $page)];
        foreach ($log as $i => $operation) {
            // What takes back or gives back something older is told by the whole log alone.
            $scene = $scene->and([$operation]) ?? Scene::fold(array_slice($log, 0, $i + 1));
            $page = $operation->page() ?? $page;
            $page = isset($scene->pages[$page]) ? $page : '';
            $at = $replay->steps[$i]['to'];
            // Of what is there at once only the last is seen.
            if (($log[$i + 1] ?? null) === null || $replay->steps[$i + 1]['to'] > $at) {
                $frames[] = $this->frame($at, $scene, $page);
            }
        }

        return $frames;
    }

    /** @return array{at: int, size: array{int, int}, of: list<int>} */
    private function frame(int $at, Scene $scene, string $page): array
    {
        $paper = $scene->paper($page);
        $of = [$this->number(BackdropSvg::draw($scene->backdrop($page), $this->pictures))];
        foreach ($scene->onPage($page) as $placed) {
            $of[] = $this->number(SceneSvg::placed($placed, $this->draw->draw($placed->object), false));
        }

        return ['at' => $at, 'size' => [$paper->width, $paper->height], 'of' => $of];
    }

    private function number(string $drawing): int
    {
        return $this->drawings[$drawing] ??= count($this->drawings);
    }
}
