<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Models\Asset;
use App\Models\Teachers\Intake;
use App\Models\Teachers\Teacher;
use App\Pictures\PageLines;
use App\Pictures\PdfPage;
use App\Pictures\StorePicture;
use App\Pictures\UnusablePicture;
use App\Plans\EditPlan;
use App\Plans\PreparedPrompt;
use Crag\Plan\PromptPage;
use Crag\Plan\PromptPages;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Illuminate\Support\Facades\File;
use Throwable;

/** Makes prompts of a PDF's chosen pages, saying how far it is. */
final class TakeInPdf implements ShouldQueue
{
    use Queueable;

    /** What fails once fails again; only a worker that was killed is worth another try. */
    public int $maxExceptions = 1;

    private const LONGEST_NAME = 120;

    public function __construct(private readonly string $intakeId)
    {
    }

    public function handle(StorePicture $storePicture, EditPlan $edit): void
    {
        $intake = Intake::query()->with('plan')->find($this->intakeId);
        if ($intake === null) {
            return;
        }
        ['pages' => $numbers, 'as' => $as, 'after' => $after] = $intake->settings;
        $intake->update(['state' => JobState::Making, 'done' => 0, 'total' => count($numbers)]);
        $teacher = Teacher::query()->findOrFail($intake->teacher_id);
        $pages = [];
        try {
            foreach ($numbers as $number) {
                $picture = $this->picture($intake, $number, $storePicture);
                $page = new PromptPage($picture->backdrop());
                $name ??= self::firstLine($picture);
                if ($as === 'pages') {
                    $pages[] = $page;
                } else {
                    $after = $edit->add(
                        $intake->plan,
                        $teacher,
                        PreparedPrompt::saying(self::firstLine($picture), PromptPages::of([$page])),
                        $after === '' ? null : $after,
                    )->id;
                }
                $intake->update(['done' => $intake->done + 1]);
            }
            if ($pages !== []) {
                $edit->add(
                    $intake->plan,
                    $teacher,
                    PreparedPrompt::saying($name, PromptPages::of($pages)),
                    $after === '' ? null : $after,
                );
            }
            $intake->update(['state' => JobState::Ready]);
        } catch (UnusablePicture $problem) {
            $intake->update(['state' => JobState::Failed, 'problem' => $problem->getMessage()]);
        } finally {
            File::delete($intake->path());
        }
    }

    public function failed(?Throwable $reason): void
    {
        Intake::query()
            ->whereKey($this->intakeId)
            ->update(['state' => JobState::Failed, 'problem' => __('That PDF couldn’t be turned into pictures.')]);
    }

    private function picture(Intake $intake, int $number, StorePicture $storePicture): Asset
    {
        $drawn = PdfPage::picture($intake->path(), $number);
        try {
            $stored = $storePicture($intake->plan, $drawn);
            $stored->update(['page_words' => PdfPage::words($intake->path(), $number)]);

            return $stored;
        } finally {
            unlink($drawn);
        }
    }

    /** What a page begins with is what its prompt is called; a page that is a picture has no words. */
    private static function firstLine(Asset $page): string
    {
        return mb_substr(trim(PageLines::of($page)[0][0] ?? '', " \t_.…"), 0, self::LONGEST_NAME);
    }
}
