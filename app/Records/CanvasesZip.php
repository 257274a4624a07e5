<?php

declare(strict_types=1);

namespace App\Records;

use App\Canvas\CanvasFile;
use App\Models\Canvas;
use App\Models\LiveSession;
use App\Models\LoggedOperation;
use App\Models\TalkThrough;
use App\Pictures\EmbeddedPictures;
use App\Sessions\Room\EachSeat;
use Closure;
use Crag\Formats\SpokenPage;
use Illuminate\Support\Str;

/** Each page as PNG and SVG, the ink of each canvas as InkML, in a folder for each student. */
final class CanvasesZip
{
    /**
     * @param  list<Canvas>  $canvases
     * @param  Closure(int): void  $progress
     * @param  array<string, string>  $beside  more files, by name
     */
    public static function write(
        LiveSession $session,
        array $canvases,
        string $to,
        bool $bySeat,
        Closure $progress,
        array $beside = [],
    ): void {
        $files = static function () use ($canvases, $session, $bySeat, $progress, $beside): iterable {
            yield from $beside;
            foreach ($canvases as $i => $canvas) {
                $name = $bySeat ? $canvas->seat?->seatName() : $canvas->seat?->name;
                $folder = sprintf('%02d-%s', $canvas->seat->n ?? 0, Str::slug((string) $name) ?: 'student');
                $file = "{$folder}/prompt-{$canvas->prompt->number()}";
                $pages = EachSeat::read(
                    (string) $canvas->seat_id,
                    static fn (): int => count($canvas->scene()->pages),
                    static fn (): int => 0,
                );
                if ($pages === 0) {
                    yield "{$file}.txt" => __('This canvas can’t be read.');
                    $progress($i + 1);

                    continue;
                }
                for ($page = 1; $page <= $pages; $page++) {
                    foreach (['png', 'svg'] as $format) {
                        yield "{$file}-page-{$page}.{$format}" => (string) CanvasFile::bytes($canvas, $format, $page);
                    }
                }
                yield "{$file}.inkml" => (string) CanvasFile::bytes($canvas, 'inkml', 1);
                yield from self::talks($session, $canvas, $file, $bySeat);
                $progress($i + 1);
            }
        };
        Zip::write($files(), $to);
    }

    /** @return iterable<string, string> what was said about it, as it was recorded, and with the drawing as it grew */
    private static function talks(LiveSession $session, Canvas $canvas, string $file, bool $bySeat): iterable
    {
        $talks = TalkThrough::query()->where('canvas_id', $canvas->id)->with('seat')->orderBy('id')->get();
        $log = $talks->isEmpty() ? [] : iterator_to_array(LoggedOperation::read($canvas->operations()), false);
        foreach ($talks as $i => $talk) {
            $one = "{$file}-talk-".($i + 1);
            yield "{$one}.webm" => (string) @file_get_contents($talk->path());
            if ($talk->words !== '') {
                yield "{$one}.vtt" => $talk->captions()->vtt();
            }
            yield "{$one}.html" => SpokenPage::html(
                __(':name, :prompt', [
                    'name' => $talk->seat === null
                        ? $talk->speaker
                        : ($bySeat ? $talk->seat->seatName() : $talk->seat->name),
                    'prompt' => $canvas->prompt->title(),
                ]),
                app()->getLocale(),
                $log,
                $talk->began_at_ms,
                $talk->lasts_ms,
                $talk->captions(),
                basename($one).'.webm',
                $talk->is_filmed,
                new EmbeddedPictures($session),
            );
        }
    }
}
