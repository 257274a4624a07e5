<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Accounts\AccountRole;
use App\Accounts\DeleteTeacher;
use App\Models\HeldFolder;
use App\Models\Teachers\School;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Illuminate\Support\Facades\DB;

/**
 * Everything of a school: its teachers with all that is theirs, and the school. A worker that is killed goes on where
 * it was: who is gone is gone.
 */
final class RemoveSchool implements ShouldQueue
{
    use Queueable;

    public function __construct(private readonly string $schoolId)
    {
    }

    public function handle(DeleteTeacher $delete): void
    {
        $school = School::query()->find($this->schoolId);
        if ($school?->going_at === null) {
            return;
        }
        foreach ($school->teachers()->get() as $teacher) {
            $delete($teacher);
        }
        DB::table('invitations')->where('school_id', $school->id)->delete();
        HeldFolder::remove('schools', $school->id);
        DB::transaction(static function () use ($school): void {
            // Who came in meanwhile looks after no other school for it.
            $school->teachers()->update(['role' => AccountRole::Teacher]);
            $school->delete();
        });
    }
}
