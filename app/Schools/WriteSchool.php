<?php

declare(strict_types=1);

namespace App\Schools;

use App\Models\LiveSession;
use App\Models\Teachers\Plan;
use App\Models\Teachers\School;
use App\Models\Teachers\Teacher;
use App\Plans\PlanZip;
use App\Records\CanvasesZip;
use App\Records\Results;
use App\Sessions\Room\EachSeat;
use Closure;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Str;
use RuntimeException;
use ZipArchive;

/**
 * Everything of a school as one zip of open formats: school.json says what is in it; plans as they are exchanged; of
 * each session the results as CSV and every canvas as PNG, SVG and InkML. docs/formats.md has its form.
 */
final readonly class WriteSchool
{
    private const VERSION = 1;

    public function __construct(private PlanZip $planZip)
    {
    }

    /** @param  Closure(int, int): void  $progress  parts that are done, and of how many */
    public function __invoke(School $school, string $to, Closure $progress): void
    {
        $plans = Plan::query()->whereIn('teacher_id', $school->teachers()->select('id'))->orderBy('id')->get();
        $sessions = $school->sessions()->where('is_trial', false)->orderBy('id')->get();
        $all = $plans->count() + $sessions->count();
        $folder = sys_get_temp_dir().'/crag-school-'.Str::random(12);
        File::ensureDirectoryExists($folder, 0o700);
        $zip = new ZipArchive();
        $part = "{$to}.part";
        if ($zip->open($part, ZipArchive::CREATE | ZipArchive::OVERWRITE) !== true) {
            throw new RuntimeException("{$part} cannot be written.");
        }
        try {
            $told = ['plans' => [], 'sessions' => []];
            $done = 0;
            foreach ($plans as $i => $plan) {
                $name = sprintf('plans/%04d-%s.zip', $i + 1, Str::slug($plan->title) ?: 'plan');
                $this->planZip->write($plan, "{$folder}/plan-{$i}");
                $zip->addFile("{$folder}/plan-{$i}", $name);
                $told['plans'][] = ['file' => $name, 'title' => $plan->title, 'teacher' => $plan->teacher_id];
                $progress(++$done, $all);
            }
            foreach ($sessions as $i => $session) {
                $name = sprintf('sessions/%05d-%s', $i + 1, $session->fileName());
                self::session($zip, $session, $name, "{$folder}/session-{$i}");
                $told['sessions'][] = [
                    'folder' => $name,
                    'title' => $session->title,
                    'teacher' => $session->teacher_name,
                    'began' => $session->created_at->toIso8601String(),
                    'ended' => $session->ended_at?->toIso8601String(),
                ];
                $progress(++$done, $all);
            }
            $zip->addFromString('school.json', self::json($school, $told));
            if (! $zip->close()) {
                throw new RuntimeException("{$to} cannot be written.");
            }
            chmod($part, 0o600);
            rename($part, $to);
        } finally {
            File::deleteDirectory($folder);
            @unlink($part);
        }
    }

    private static function session(ZipArchive $zip, LiveSession $session, string $name, string $file): void
    {
        $results = Results::of($session);
        foreach (['rows', 'answers', 'asks'] as $table) {
            $zip->addFromString("{$name}/{$table}.csv", $results->csv($table));
        }
        $canvases = $session->openCanvases()->with(['seat.members.seat', 'prompt', 'check'])->get()->all();
        if ($canvases !== []) {
            // One that cannot be read is left out, and said in its place.
            EachSeat::read(
                $session->id,
                static fn () => CanvasesZip::write($session, array_values($canvases), $file, false, self::quietly(...)),
                static fn () => file_put_contents($file, ''),
            );
            $zip->addFile($file, "{$name}/canvases.zip");
            $zip->setCompressionName("{$name}/canvases.zip", ZipArchive::CM_STORE);
        }
    }

    private static function quietly(): void
    {
    }

    /** @param  array<string, mixed>  $told */
    private static function json(School $school, array $told): string
    {
        return json_encode(
            [
                'kind' => 'school',
                'version' => self::VERSION,
                'name' => $school->name,
                'domains' => $school->mailDomains()->names,
                'keep_days' => $school->keep_days,
                'teachers' => $school->teachers()->get()->map(static fn (Teacher $one): array => [
                    'id' => $one->id,
                    'name' => $one->name,
                    'email' => $one->email,
                    'role' => $one->role->value,
                    'classes' => $one->rosters()->with('entries')->get()->map(static fn ($roster): array => [
                        'name' => $roster->name,
                        'students' => $roster->entries->pluck('name')->all(),
                    ])->all(),
                ])->all(),
            ] + $told,
            JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRETTY_PRINT,
        );
    }
}
