<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Models\Teachers\School;
use App\Schools\WriteSchool;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Throwable;

/** Puts everything of a school into one file, saying how far it is. */
final class ExportSchool implements ShouldQueue
{
    use Queueable;

    /** What fails once fails again; only a worker that was killed is worth another try. */
    public int $maxExceptions = 1;

    public function __construct(private readonly string $schoolId)
    {
    }

    public function handle(WriteSchool $write): void
    {
        $school = School::query()->find($this->schoolId);
        if ($school === null) {
            return;
        }
        $school->update(['export_state' => JobState::Making]);
        $write($school, $school->exportPath(), static function (int $done, int $of) use ($school): void {
            $school->update(['export_done' => $done, 'export_total' => $of]);
        });
        $school->update(['export_state' => JobState::Ready, 'exported_at' => now()]);
    }

    public function failed(?Throwable $reason): void
    {
        School::query()
            ->whereKey($this->schoolId)
            ->update(['export_state' => JobState::Failed]);
    }
}
