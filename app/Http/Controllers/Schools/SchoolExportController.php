<?php

declare(strict_types=1);

namespace App\Http\Controllers\Schools;

use App\Jobs\ExportSchool;
use App\Jobs\JobState;
use App\Models\Teachers\School;
use Illuminate\Http\RedirectResponse;
use Illuminate\Support\Str;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

/** Everything of a school in one file. */
final class SchoolExportController
{
    public function make(School $school): RedirectResponse
    {
        if ($school->export_state?->isUnderWay() !== true) {
            $school->update(['export_state' => JobState::Waiting, 'export_done' => 0, 'export_total' => 0]);
            ExportSchool::dispatch($school->id);
        }

        return redirect()->route('school', $school)->with('said', __('We’re putting the file together.'));
    }

    public function file(School $school): BinaryFileResponse
    {
        abort_unless($school->export_state === JobState::Ready && is_file($school->exportPath()), 404);

        return response()->download($school->exportPath(), (Str::slug($school->name) ?: 'school').'.zip', [
            'Cache-Control' => 'no-store, private',
        ]);
    }
}
