<?php

declare(strict_types=1);

namespace App\Canvas;

use App\Models\Canvas;
use App\Pictures\EmbeddedPictures;
use App\Records\Rsvg;
use Crag\Formats\InkMl;
use Crag\Render\SceneSvg;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Str;

/** A canvas as a file to take away: a picture of a page (PNG, SVG), all pages (PDF), or the ink alone (InkML). */
final class CanvasFile
{
    public const MIME = [
        'png' => 'image/png',
        'svg' => 'image/svg+xml',
        'pdf' => 'application/pdf',
        'inkml' => 'application/inkml+xml',
    ];

    /** An SVG that is opened as a page of its own must not run or fetch anything. */
    private const POLICY = "default-src 'none'; img-src data:; style-src 'unsafe-inline'; sandbox";

    /** @param  int  $page  which page, from 1, where the format holds one */
    public static function answer(Canvas $canvas, string $format, int $page): Response
    {
        $bytes = self::bytes($canvas, $format, $page) ?? abort(404);
        $name =
            (Str::slug($canvas->prompt->plan->title ?? $canvas->prompt->session->title) ?: 'work').
            '-'.ltrim($canvas->prompt->number(), '0').
            ($page > 1 ? "-{$page}" : '');

        return response($bytes)->withHeaders([
            'Content-Type' => self::MIME[$format],
            'Content-Disposition' => "attachment; filename=\"{$name}.{$format}\"",
            'Content-Security-Policy' => self::POLICY,
        ]);
    }

    /** Its first page to look at, side by side with others; made again only where something was drawn since. */
    public static function picture(Request $request, Canvas $canvas): Response
    {
        $answer = response('')->withHeaders([
            'Content-Type' => self::MIME['svg'],
            'Content-Security-Policy' => self::POLICY,
            'Cache-Control' => 'private, no-cache',
        ]);
        $answer->setEtag("{$canvas->id}-{$canvas->operation_count}");
        if (! $answer->isNotModified($request)) {
            $pictures = new EmbeddedPictures($canvas->prompt->holder());
            $answer->setContent(SceneSvg::document($canvas->sceneSeen(), $pictures));
        }

        return $answer;
    }

    /** @return ?string null where there is no such page */
    public static function bytes(Canvas $canvas, string $format, int $page): ?string
    {
        $scene = $canvas->sceneSeen();
        $pictures = new EmbeddedPictures($canvas->prompt->holder());
        $work = $scene->withoutInstruments();
        $pageId = array_map(strval(...), array_keys($scene->pages))[$page - 1] ?? null;

        return $pageId === null
            ? null
            : match ($format) {
                'png' => Rsvg::png(SceneSvg::document($work, $pictures, $pageId), $scene->paper($pageId)->width),
                'svg' => SceneSvg::exchange($scene, $pictures, $pageId),
                'inkml' => InkMl::write($scene),
                default => self::pdf(
                    array_map(
                        static fn (int|string $id): string => SceneSvg::document($work, $pictures, (string) $id),
                        array_keys($scene->pages),
                    ),
                ),
            };
    }

    /** @param  list<string>  $pages  SVG documents */
    private static function pdf(array $pages): string
    {
        $folder = sys_get_temp_dir().'/crag-canvas-'.Str::random(12);
        File::makeDirectory($folder, 0o700);
        try {
            $files = [];
            foreach ($pages as $i => $svg) {
                $files[] = $file = "{$folder}/{$i}.svg";
                file_put_contents($file, $svg);
            }
            Rsvg::pdf($files, "{$folder}/canvas.pdf");

            return (string) file_get_contents("{$folder}/canvas.pdf");
        } finally {
            File::deleteDirectory($folder);
        }
    }
}
