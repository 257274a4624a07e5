<?php

declare(strict_types=1);

namespace App\Plans;

use App\Jobs\JobState;
use App\Models\HeldFolder;
use App\Models\Teachers\Intake;
use App\Models\Teachers\Plan;
use App\Models\Teachers\Teacher;
use App\Pictures\PdfPage;
use App\Pictures\StorePicture;
use App\Pictures\UnusablePicture;
use App\Records\Rsvg;
use Crag\Formats\QtiItem;
use Crag\Formats\UnreadableFile;
use Crag\Plan\PlanPrompt;
use Crag\Plan\PromptPage;
use Crag\Plan\PromptPages;
use Crag\Prompt\InvalidPrompt;
use Illuminate\Process\Exceptions\ProcessFailedException;
use Illuminate\Process\Exceptions\ProcessTimedOutException;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Str;
use Throwable;
use ZipArchive;

/** Files from outside become prompts of a plan. Their kind is found from their bytes. */
final readonly class BringInPlan
{
    /** Of one file. */
    public const MOST_MEGABYTES = 60;

    public const MOST_BYTES = self::MOST_MEGABYTES * 1024 * 1024;

    public const MOST_PAGES = 60;

    private const MOST_TEXT = 200_000;

    /** PDFs of one teacher that wait for pages to be chosen. */
    private const MOST_CHOSEN = 4;

    public function __construct(
        private MakePlan $make,
        private EditPlan $edit,
        private PlanZip $zips,
        private StorePicture $storePicture,
    ) {
    }

    /** @throws UnusablePlan and then no plan is made */
    public function asPlan(Teacher $teacher, string $path, string $name): Plan
    {
        $plan = $this->make->empty($teacher, pathinfo($name, PATHINFO_FILENAME));
        try {
            $this->into($plan, $teacher, $path, null);
        } catch (Throwable $problem) {
            $plan->delete();
            HeldFolder::remove('plans', $plan->id);
            throw $problem;
        }

        return $plan;
    }

    /**
     * Adds what is in a file after a prompt of the plan (null: after the last one). A PDF is only looked at: the answer
     * says how many pages there are to choose from.
     *
     * @throws UnusablePlan
     */
    public function into(Plan $plan, Teacher $teacher, string $path, ?string $after): ?Intake
    {
        if (PdfPage::is($path)) {
            return $this->pdf($plan, $teacher, $path);
        }
        try {
            $prompts = $this->prompts($plan, $path);
        } catch (UnusablePicture|UnreadableFile|InvalidPrompt $problem) {
            throw UnusablePlan::because(__($problem->getMessage()));
        }
        DB::transaction(function () use ($plan, $teacher, $prompts, $after): void {
            foreach ($prompts as $prepared) {
                $sequence = $plan->refresh()->sequence;
                $after = $this->edit->add(
                    $plan,
                    $teacher,
                    $prepared,
                    $after ?? ($sequence === [] ? null : end($sequence)),
                )->id;
            }
        });

        return null;
    }

    /**
     * @return list<PreparedPrompt>
     *
     * @throws UnusablePicture|UnreadableFile|InvalidPrompt|UnusablePlan
     */
    private function prompts(Plan $plan, string $path): array
    {
        $head = (string) file_get_contents($path, length: 4096);

        return match (true) {
            $head === '' => throw UnusablePlan::because(__('That file is empty.')),
            str_starts_with($head, "PK\x03\x04") => $this->zip($plan, $path),
            @getimagesize($path) !== false => [$this->picture($plan, $path)],
            str_contains($head, '<qti-assessment-item') => [
                new PreparedPrompt(QtiItem::read((string) file_get_contents($path)), PromptPages::blank()),
            ],
            preg_match('/<([a-z]+:)?svg[\s>]/', $head) === 1 => [$this->svg($plan, $path)],
            default => $this->paragraphs($path),
        };
    }

    /** @return list<PreparedPrompt> */
    private function zip(Plan $plan, string $path): array
    {
        $zip = new ZipArchive();
        if ($zip->open($path, ZipArchive::RDONLY) !== true) {
            throw UnusablePlan::zip();
        }
        try {
            if ($zip->locateName('plan.json') !== false) {
                $value = $this->zips->read($zip, $plan);
                if ($plan->sequence === []) {
                    $plan->update(['title' => $value->title ?: $plan->title, 'tags' => $value->tags]);
                }

                return array_map(
                    static fn (array $one): PreparedPrompt => new PreparedPrompt($one[0], $one[1]),
                    $value->prompts,
                );
            }
            PlanZip::checkSize($zip);
            $manifest = $zip->getFromName('imsmanifest.xml');
            $items = $manifest === false ? [] : array_slice(QtiItem::named($manifest), 0, PlanPrompt::MOST_PROMPTS);
            if ($items === []) {
                throw UnusablePlan::zip();
            }

            return array_map(fn (string $file): PreparedPrompt => $this->qti($plan, $zip, $file), $items);
        } finally {
            $zip->close();
        }
    }

    /** An item of a QTI package, with the pictures of its choices that can be read. */
    private function qti(Plan $plan, ZipArchive $zip, string $file): PreparedPrompt
    {
        $xml = (string) $zip->getFromName($file);
        $pictures = [];
        foreach (QtiItem::pictures($xml) as $name) {
            $bytes = $zip->getFromName($name, StorePicture::MOST_BYTES);
            $path = (string) tempnam(sys_get_temp_dir(), 'crag-qti');
            try {
                file_put_contents($path, (string) $bytes);
                $pictures[$name] = ($this->storePicture)($plan, $path)->id;
            } catch (UnusablePicture) {
                // The choice keeps its words.
            } finally {
                unlink($path);
            }
        }

        return new PreparedPrompt(QtiItem::read($xml, $pictures), PromptPages::blank());
    }

    private function picture(Plan $plan, string $path): PreparedPrompt
    {
        $asset = ($this->storePicture)($plan, $path);

        return PreparedPrompt::saying('', PromptPages::of([new PromptPage($asset->backdrop())]));
    }

    /** Drawn by librsvg, which runs no script and fetches nothing. */
    private function svg(Plan $plan, string $path): PreparedPrompt
    {
        $drawn = (string) tempnam(sys_get_temp_dir(), 'crag-svg');
        try {
            file_put_contents($drawn, Rsvg::pngOfUpload((string) file_get_contents($path), 2400));

            return $this->picture($plan, $drawn);
        } catch (ProcessFailedException|ProcessTimedOutException) {
            throw UnusablePlan::because(__('That SVG file is damaged and can’t be drawn.'));
        } finally {
            unlink($drawn);
        }
    }

    /** @return list<PreparedPrompt> one for each paragraph: what stands between empty lines */
    private function paragraphs(string $path): array
    {
        $text = (string) file_get_contents($path, length: self::MOST_TEXT + 1);
        $text = str_starts_with($text, "\xFF\xFE") ? mb_convert_encoding(substr($text, 2), 'UTF-8', 'UTF-16LE') : $text;
        if (strlen($text) > self::MOST_TEXT) {
            throw UnusablePlan::large();
        }
        if (! mb_check_encoding($text, 'UTF-8')) {
            $text = mb_convert_encoding($text, 'UTF-8', 'Windows-1252');
        }
        if (preg_match('/[\x00-\x08\x0E-\x1F]/', $text) === 1) {
            throw UnusablePlan::kind();
        }
        $prompts = [];
        foreach (preg_split('/\R\s*\R/u', trim(str_replace("\u{FEFF}", '', $text))) ?: [] as $paragraph) {
            if (trim($paragraph) !== '') {
                $prompts[] = PreparedPrompt::saying($paragraph);
            }
        }

        return $prompts === []
            ? throw UnusablePlan::because(__('That file is empty.'))
            : array_slice($prompts, 0, PlanPrompt::MOST_PROMPTS);
    }

    private function pdf(Plan $plan, Teacher $teacher, string $path): Intake
    {
        try {
            $pages = PdfPage::count($path);
        } catch (UnusablePicture $problem) {
            throw UnusablePlan::because($problem->getMessage());
        }
        // PDFs that were looked at and left: after an hour, or when there are more than a few.
        $left = Intake::query()
            ->where('teacher_id', $teacher->id)
            ->where('state', JobState::Chosen)
            ->with('plan')
            ->latest()
            ->get();
        foreach (
            $left->filter(
                static fn (Intake $one, int $i): bool => $i >= self::MOST_CHOSEN - 1 ||
                    $one->created_at?->lessThan(now()->subHour()) === true,
            ) as $forsaken
        ) {
            File::delete($forsaken->path());
            $forsaken->delete();
        }
        $intake = Intake::query()->create([
            'id' => (string) Str::ulid(),
            'plan_id' => $plan->id,
            'teacher_id' => $teacher->id,
            'state' => JobState::Chosen,
            'total' => $pages,
            'settings' => ['pages' => [], 'as' => 'prompts', 'after' => ''],
        ]);
        copy($path, $intake->path());

        return $intake;
    }
}
