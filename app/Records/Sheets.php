<?php

declare(strict_types=1);

namespace App\Records;

use App\Live\SchoolTime;
use App\Models\Canvas;
use App\Models\LiveSession;
use App\Pictures\EmbeddedPictures;
use App\Sessions\Room\EachSeat;
use Closure;
use Crag\Canvas\Scene;
use Crag\Checks\Judgement;
use Crag\Plan\PlanPrompt;
use Crag\Render\AskSheet;
use Crag\Render\PlainMaths;
use Crag\Render\Sheet;
use Crag\Render\SheetCell;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Facades\Process;
use Illuminate\Support\Str;

/** A PDF of canvases: each page of one on a sheet, or several on each. */
final class Sheets
{
    /** So many sheets are drawn between two words about progress. */
    private const AT_ONCE = 8;

    /**
     * @param  iterable<Canvas>  $canvases  with seat, prompt and check
     * @param  Closure(int): void  $progress  is told how many canvases are done
     */
    public static function pdf(
        LiveSession $session,
        iterable $canvases,
        string $to,
        SheetChoice $choice,
        Closure $progress,
    ): void {
        $folder = sys_get_temp_dir().'/crag-sheets-'.Str::random(12);
        File::makeDirectory($folder, 0o700);
        try {
            $parts = [];
            [$done, $n] = [0, 0];
            $pictures = new EmbeddedPictures($session);
            $title = $session->title.($session->roster === null ? '' : ' · '.$session->roster->name);
            foreach (collect($canvases)->chunk(self::AT_ONCE * $choice->perSheet) as $some) {
                $parts[] = $part = sprintf('%s/part-%04d.pdf', $folder, count($parts));
                $cells = array_merge(
                    ...array_values(
                        $some
                            ->map(
                                static fn (Canvas $canvas): array => EachSeat::read(
                                    (string) $canvas->seat_id,
                                    static fn (): array => self::cells($canvas, $choice),
                                    static fn (): array => [self::unreadable($canvas, $choice)],
                                ),
                            )
                            ->all(),
                    ),
                );
                $files = [];
                foreach (array_chunk($cells, $choice->perSheet) as $i => $onSheet) {
                    $files[] = $file = sprintf('%s/%04d-%04d.svg', $folder, count($parts), $i);
                    $date = SchoolTime::of($session->created_at)->format('Y-m-d');
                    file_put_contents(
                        $file,
                        $choice->perSheet === 1
                            ? Sheet::document($title, $date, $onSheet[0], $pictures, ++$n)
                            : Sheet::several($title, $date, $onSheet, $choice->perSheet, $pictures, ++$n),
                    );
                }
                Rsvg::pdf($files, $part);
                $progress($done += $some->count());
            }
            if ($choice->withAsks) {
                $date = SchoolTime::of($session->created_at)->format('Y-m-d');
                $files = [];
                foreach (AskSheet::documents($title, $date, AskBlocks::of($session), $n + 1) as $i => $svg) {
                    file_put_contents($files[] = sprintf('%s/asks-%04d.svg', $folder, $i), $svg);
                }
                if ($files !== []) {
                    Rsvg::pdf($files, $parts[] = "{$folder}/asks.pdf");
                }
            }
            self::join($parts, $to);
        } finally {
            File::deleteDirectory($folder);
        }
    }

    private static function unreadable(Canvas $canvas, SheetChoice $choice): SheetCell
    {
        return new SheetCell(
            self::name($canvas, $choice),
            $canvas->prompt->title().': '.__('This canvas can’t be read.'),
            Scene::fold([]),
        );
    }

    private static function name(Canvas $canvas, SheetChoice $choice): string
    {
        return $canvas->seat?->calledWithMembers($choice->bySeat) ?? __('Lead canvas');
    }

    /** @return list<SheetCell> one for each page of a canvas */
    private static function cells(Canvas $canvas, SheetChoice $choice): array
    {
        $prompt = $canvas->prompt;
        $mine = $canvas->seat === null ? $prompt->value() : $prompt->forSeat($canvas->seat);
        $scene = $canvas->scene()->withoutInstruments()->withBoxes($canvas->seat === null ? [] : $mine->questions);
        $judgement = $canvas->check?->judgement() ?? Judgement::nothing();
        $cells = [];
        foreach (array_keys($scene->pages) as $i => $page) {
            $of =
                count($scene->pages) > 1
                    ? ' · '.__('page :n of :all', ['n' => $i + 1, 'all' => count($scene->pages)])
                    : '';
            $cells[] = new SheetCell(
                self::name($canvas, $choice),
                $prompt->title().$of,
                $scene,
                (string) $page,
                $choice->withChecks ? $canvas->check?->level : null,
                self::found($canvas, $judgement, $choice),
                $choice->withNotes ? $judgement->note : '',
                $i > 0 || ! $choice->withWords ? '' : PlainMaths::words($mine->words),
                $i > 0 ? [] : self::answers($mine, $scene, $choice),
            );
        }

        return $cells;
    }

    /** @return list<string> what was typed and chosen, with its question */
    private static function answers(PlanPrompt $prompt, Scene $scene, SheetChoice $choice): array
    {
        $answers = [];
        foreach ($prompt->questions as $i => $question) {
            if (! $question->takesAnswer()) {
                continue;
            }
            $value = $scene->answerTo($question);
            $verdict = $value === null || ! $choice->withChecks ? null : $question->compare($value);
            $answers[] =
                trim($i + 1 .'. '.PlainMaths::words($question->words)).
                ' → '.
                ($value === null ? __('no answer') : PlainMaths::words($question->asked->written($value))).
                ($verdict === null ? '' : ' ('.__($verdict->outcome->word()).')');
        }

        return $answers;
    }

    /** Levels and points in words. */
    private static function found(Canvas $canvas, Judgement $judgement, SheetChoice $choice): string
    {
        $prompt = $canvas->prompt->value();
        $points =
            $judgement->points === null || ! $choice->withPoints
                ? ''
                : ($prompt->points === null
                    ? trans_choice('{1} :count point|[0,*] :count points', $judgement->points)
                    : __(':n of :most points', ['n' => $judgement->points, 'most' => $prompt->points]));

        return implode(
            ' · ',
            array_filter([$choice->withChecks ? $judgement->words($prompt->aspects()) : '', $points]),
        );
    }

    /** @param  list<string>  $parts */
    private static function join(array $parts, string $to): void
    {
        if (count($parts) === 1) {
            File::move($parts[0], $to);

            return;
        }
        Process::timeout(120)
            ->run(['pdfunite', ...$parts, $to])
            ->throw();
    }
}
