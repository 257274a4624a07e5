<?php

declare(strict_types=1);

namespace App\Http\Controllers\Plans;

use App\Models\Prompt;
use App\Models\Teachers\Plan;
use App\Pictures\EmbeddedPictures;
use App\Plans\MakePlan;
use App\Plans\PlanZip;
use App\Plans\PreparedPrompt;
use App\Plans\TakesDrawing;
use App\Records\Rsvg;
use Crag\Formats\QtiPackage;
use Crag\Plan\PictureIds;
use Crag\Plan\PlanPrompt;
use Crag\Prompt\Question\Question;
use Crag\Render\PromptSheet;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Str;
use Symfony\Component\HttpFoundation\BinaryFileResponse;
use ZipArchive;

/** A plan to take away: as it is (zip), on paper (PDF), its questions alone (QTI 3). */
final readonly class TakeOutController
{
    public function zip(Plan $plan, PlanZip $zips): BinaryFileResponse
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'crag-plan');
        $zips->write($plan, $file);

        return $this->download($plan, $file, 'zip', 'application/zip');
    }

    /** With the key on sheets of its own behind all prompts, if wished. */
    public function pdf(Request $request, Plan $plan, TakesDrawing $drawing): BinaryFileResponse
    {
        $folder = sys_get_temp_dir().'/crag-print-'.Str::random(12);
        File::makeDirectory($folder, 0o700);
        $file = (string) tempnam(sys_get_temp_dir(), 'crag-plan');
        try {
            $sheets = [];
            foreach ($request->boolean('key') ? [false, true] : [false] as $isKey) {
                foreach ($plan->present() as $n => $prompt) {
                    foreach ($this->sheets($plan, $prompt, $n + 1, $drawing, $isKey) as $svg) {
                        $sheets[] = $sheet = sprintf('%s/%04d.svg', $folder, count($sheets));
                        file_put_contents($sheet, $svg);
                    }
                }
            }
            abort_if($sheets === [], 404, __('This plan has no prompts yet.'));
            Rsvg::pdf($sheets, $file);
        } finally {
            File::deleteDirectory($folder);
        }

        return $this->download($plan, $file, 'pdf', 'application/pdf');
    }

    public function qti(Plan $plan, MakePlan $plans): BinaryFileResponse
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'crag-plan');
        $zip = new ZipArchive();
        $zip->open($file, ZipArchive::CREATE | ZipArchive::OVERWRITE);
        $prompts = array_map(
            static fn (PreparedPrompt $one) => $one->prompt->forStudent($plan->id, 0),
            $plans->prepared($plan),
        );
        $pictures = [];
        $ids = PictureIds::in(array_map(self::questions(...), $prompts));
        foreach ($plan->assets()->whereIn('id', $ids)->get() as $one) {
            $pictures[$one->id] = 'pictures/'.$one->id.($one->mime === 'image/png' ? '.png' : '.jpg');
            $zip->addFile($one->path(), $pictures[$one->id]);
        }
        foreach (QtiPackage::write($plan->title, $prompts, $pictures) as $name => $xml) {
            $zip->addFromString($name, $xml);
        }
        $zip->close();

        return $this->download($plan, $file, 'qti.zip', 'application/zip');
    }

    /** @return array<array-key, mixed> */
    private static function questions(PlanPrompt $prompt): array
    {
        return $prompt->toArray()['questions'];
    }

    /** @return list<string> with one draw of its values, since paper is the same for everybody */
    private function sheets(Plan $plan, Prompt $prompt, int $n, TakesDrawing $drawing, bool $isKey): array
    {
        $value = $prompt->value()->forStudent($plan->id, 0);
        $hasKey = array_filter(
            $value->questions,
            static fn (Question $question): bool => $question->asked->hasKey(),
        ) !== [];

        return $isKey && ! $hasKey ? [] : PromptSheet::documents(
            $plan->title,
            $n,
            $value,
            $drawing->canvas($prompt)->scene(),
            new EmbeddedPictures($plan),
            $isKey,
        );
    }

    private function download(Plan $plan, string $file, string $ending, string $mime): BinaryFileResponse
    {
        return response()
            ->download($file, (Str::slug($plan->title) ?: 'plan').".{$ending}", ['Content-Type' => $mime])
            ->deleteFileAfterSend();
    }
}
