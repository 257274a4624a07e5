<?php

declare(strict_types=1);

namespace App\Records;

use App\Models\Canvas;
use App\Models\LiveSession;
use App\Pictures\EmbeddedPictures;
use Closure;
use Crag\Render\Sheet;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Facades\Process;
use Illuminate\Support\Str;

/** A PDF of canvases, one on a sheet. */
final class Sheets
{
    /** So many pages are drawn between two words about progress. */
    private const AT_ONCE = 8;

    /**
     * @param  iterable<Canvas>  $canvases  with seat, prompt and check
     * @param  Closure(int): void  $progress  is told how many sheets are done
     */
    public static function pdf(LiveSession $session, iterable $canvases, string $to, bool $withChecks, Closure $progress): void
    {
        $folder = sys_get_temp_dir().'/crag-sheets-'.Str::random(12);
        File::makeDirectory($folder, 0o700);
        try {
            $parts = [];
            $done = 0;
            foreach (collect($canvases)->chunk(self::AT_ONCE) as $some) {
                $parts[] = $part = sprintf('%s/part-%04d.pdf', $folder, count($parts));
                $files = $some->map(static function (Canvas $canvas) use ($session, $folder, $withChecks): string {
                    $file = "{$folder}/{$canvas->id}.svg";
                    file_put_contents($file, self::sheet($session, $canvas, $withChecks));

                    return $file;
                });
                Rsvg::pdf(array_values($files->all()), $part);
                $progress($done += $files->count());
            }
            self::join($parts, $to);
        } finally {
            File::deleteDirectory($folder);
        }
    }

    private static function sheet(LiveSession $session, Canvas $canvas, bool $withChecks): string
    {
        $prompt = $canvas->prompt;

        return Sheet::document(
            $session->title,
            $session->created_at->format('Y-m-d'),
            $canvas->seat->name,
            __('Prompt :n', ['n' => $prompt->n]).($prompt->words === '' ? '' : ': '.$prompt->words),
            $canvas->scene(),
            new EmbeddedPictures($session->id),
            $withChecks ? $canvas->check?->level : null,
        );
    }

    /** @param  list<string>  $parts */
    private static function join(array $parts, string $to): void
    {
        if (count($parts) === 1) {
            File::move($parts[0], $to);

            return;
        }
        Process::timeout(120)->run(['pdfunite', ...$parts, $to])->throw();
    }
}
