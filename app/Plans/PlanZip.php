<?php

declare(strict_types=1);

namespace App\Plans;

use App\Models\Asset;
use App\Models\Teachers\Plan;
use App\Pictures\EmbeddedPictures;
use App\Pictures\StorePicture;
use App\Pictures\UnusablePicture;
use Crag\Json\UnreadableFields;
use Crag\Plan\PictureIds;
use Crag\Plan\Plan as PlanValue;
use Crag\Prompt\InvalidPrompt;
use Crag\Render\SceneSvg;
use Illuminate\Support\Str;
use JsonException;
use ZipArchive;

/** A plan as one zip: plan.json (docs/plan.schema.json), its pictures, and each page as SVG to look at. */
final readonly class PlanZip
{
    private const MOST_BYTES = 200 * 1024 * 1024;

    private const MOST_FILES = 2_000;

    private const LARGEST_FILE = 40 * 1024 * 1024;

    public function __construct(
        private MakePlan $plans,
        private TakesDrawing $drawing,
        private StorePicture $storePicture,
    ) {
    }

    /** @param  string  $to  a file to write */
    public function write(Plan $plan, string $to): void
    {
        $zip = new ZipArchive();
        $zip->open($to, ZipArchive::CREATE | ZipArchive::OVERWRITE);
        $json = $this->plans->value($plan)->toArray();
        $names = [];
        $pictures = [];
        foreach (PictureIds::in($json) as $i => $id) {
            $asset = Asset::query()->where('plan_id', $plan->id)->find($id);
            if ($asset !== null) {
                $names[$id] = $name = 'picture-'.($i + 1);
                $pictures[] = [
                    'id' => $name,
                    'file' => ($file = "pictures/{$name}.".($asset->mime === 'image/png' ? 'png' : 'jpg')),
                    'width' => $asset->width,
                    'height' => $asset->height,
                ];
                $zip->addFile($asset->path(), $file);
                $zip->setCompressionName($file, ZipArchive::CM_STORE);
            }
        }
        $zip->addFromString(
            'plan.json',
            json_encode(
                PictureIds::renamed($json, $names) + ['pictures' => $pictures],
                JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRETTY_PRINT,
            ),
        );
        foreach ($plan->present() as $n => $prompt) {
            $scene = $this->drawing->canvas($prompt)->scene();
            foreach (array_keys($scene->pages) as $i => $page) {
                $zip->addFromString(
                    sprintf('svg/prompt-%02d-page-%d.svg', $n + 1, $i + 1),
                    SceneSvg::exchange($scene, new EmbeddedPictures($plan), (string) $page),
                );
            }
        }
        $zip->close();
    }

    /**
     * The plan in an open zip, its pictures taken into $into.
     *
     * @throws UnusablePlan
     */
    public function read(ZipArchive $zip, Plan $into): PlanValue
    {
        self::checkSize($zip);
        try {
            $json = json_decode((string) $zip->getFromName('plan.json'), true, 64, JSON_THROW_ON_ERROR);
            if (! is_array($json)) {
                throw UnusablePlan::zip();
            }
            $names = $stored = [];
            foreach (is_array($json['pictures'] ?? null) ? $json['pictures'] : [] as $picture) {
                if (is_array($picture) && is_string($picture['id'] ?? null) && is_string($picture['file'] ?? null)) {
                    // However often a file is named, it is unpacked and drawn anew once.
                    $names[$picture['id']] = $stored[$picture['file']] ??= $this->picture(
                        $zip,
                        $picture['file'],
                        $into,
                    );
                }
            }

            // Pictures that the file does not bring along are of nobody's: they must not name another plan's.
            $unknown = array_fill_keys(
                array_diff(PictureIds::in($json['prompts'] ?? []), array_keys($names)),
                (string) Str::ulid(),
            );

            return PlanValue::read(PictureIds::renamed($json, $names + $unknown));
        } catch (JsonException) {
            throw UnusablePlan::zip();
        } catch (UnreadableFields|InvalidPrompt $problem) {
            throw UnusablePlan::because(__($problem->getMessage()));
        }
    }

    /** @throws UnusablePlan before anything of a zip that unpacks to endless bytes is read */
    public static function checkSize(ZipArchive $zip): void
    {
        $bytes = $largest = 0;
        for ($i = 0; $i < min($zip->numFiles, self::MOST_FILES + 1); $i++) {
            $size = $zip->statIndex($i)['size'] ?? 0;
            $largest = max($largest, $size);
            $bytes += $size;
        }
        if ($largest > self::LARGEST_FILE || $bytes > self::MOST_BYTES || $zip->numFiles > self::MOST_FILES) {
            throw UnusablePlan::large();
        }
    }

    private function picture(ZipArchive $zip, string $file, Plan $into): string
    {
        $bytes = $zip->getFromName($file);
        if ($bytes === false) {
            throw UnusablePlan::zip();
        }
        $path = (string) tempnam(sys_get_temp_dir(), 'crag-picture');
        file_put_contents($path, $bytes);
        try {
            return ($this->storePicture)($into, $path)->id;
        } catch (UnusablePicture $problem) {
            throw UnusablePlan::pictures($problem->getMessage());
        } finally {
            unlink($path);
        }
    }
}
