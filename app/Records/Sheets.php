<?php

declare(strict_types=1);

namespace App\Records;

use App\Models\Canvas;
use App\Models\LiveSession;
use App\Pictures\EmbeddedPictures;
use Closure;
use Crag\Checks\Judgement;
use Crag\Render\Sheet;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Facades\Process;
use Illuminate\Support\Str;

/** A PDF of canvases, each page of one on a sheet. */
final class Sheets
{
    /** So many pages are drawn between two words about progress. */
    private const AT_ONCE = 8;

    /**
     * @param  iterable<Canvas>  $canvases  with seat, prompt and check
     * @param  Closure(int): void  $progress  is told how many sheets are done
     */
    public static function pdf(LiveSession $session, iterable $canvases, string $to, bool $withChecks, Closure $progress, bool $isStone = false): void
    {
        $folder = sys_get_temp_dir().'/crag-sheets-'.Str::random(12);
        File::makeDirectory($folder, 0o700);
        try {
            $parts = [];
            $done = 0;
            foreach (collect($canvases)->chunk(self::AT_ONCE) as $some) {
                $parts[] = $part = sprintf('%s/part-%04d.pdf', $folder, count($parts));
                $files = [];
                foreach ($some as $canvas) {
                    array_push($files, ...self::write($session, $canvas, $folder, $withChecks, $isStone));
                }
                Rsvg::pdf($files, $part);
                $progress($done += $some->count());
            }
            self::join($parts, $to);
        } finally {
            File::deleteDirectory($folder);
        }
    }

    /** @return list<string> files of one canvas, one for each of its pages */
    private static function write(LiveSession $session, Canvas $canvas, string $folder, bool $withChecks, bool $isStone): array
    {
        $prompt = $canvas->prompt;
        $scene = $canvas->scene();
        $judgement = $canvas->check?->judgement() ?? Judgement::nothing();
        $value = $prompt->value();
        $found = implode(' · ', array_filter([$judgement->words($value->aspects()), $judgement->points === null ? '' : ($value->points === null ? __(':n points', ['n' => $judgement->points]) : __(':n of :most points', ['n' => $judgement->points, 'most' => $value->points]))]));
        $files = [];
        foreach (array_keys($scene->pages) as $i => $page) {
            $of = count($scene->pages) > 1 ? ' · '.__('page :n of :all', ['n' => $i + 1, 'all' => count($scene->pages)]) : '';
            $files[] = $file = "{$folder}/{$canvas->id}-{$i}.svg";
            file_put_contents($file, Sheet::document(
                $session->title,
                $session->created_at->format('Y-m-d'),
                ($isStone ? $canvas->seat?->stoneName() : $canvas->seat?->name) ?? __('Lead canvas'),
                __('Prompt :n', ['n' => $prompt->n]).$of.($prompt->words === '' ? '' : ': '.$prompt->plainWords()),
                $scene,
                new EmbeddedPictures($session),
                $withChecks ? $canvas->check?->level : null,
                (string) $page,
                $withChecks ? $found : '',
                $withChecks ? $judgement->note : '',
            ));
        }

        return $files;
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
