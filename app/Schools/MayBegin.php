<?php

declare(strict_types=1);

namespace App\Schools;

use App\Models\Teachers\School;
use App\Models\Teachers\Teacher;
use Crag\Session\Rules\RefusedDeed;

/** Whether a teacher's school has room for one more session. */
final class MayBegin
{
    /** @throws RefusedDeed */
    public static function check(Teacher $teacher): void
    {
        $school = $teacher->school_id === null ? null : School::query()->find($teacher->school_id);
        if ($school === null) {
            return;
        }
        $refusal = $school->quotas()->refusal(
            $school->sessions()->whereNull('ended_at')->count(),
            (int) $school->sessions()->sum('byte_count'),
        );
        if ($refusal !== null) {
            throw RefusedDeed::because($refusal);
        }
    }
}
