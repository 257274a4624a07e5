<?php

declare(strict_types=1);

namespace App\Accounts;

use App\Http\CurrentTeacher;
use App\Models\Teachers\Teacher;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;

/** A device becomes a teacher's. What was made on it before, without an account, comes along. */
final class JoinTeachers
{
    private const OF_A_TEACHER = [
        'plans', 'rosters', 'intakes', 'plan_edits', 'checks', 'acts', 'devices', 'messages', 'talk_throughs',
    ];

    public function signIn(Request $request, Teacher $teacher): void
    {
        $before = CurrentTeacher::of($request);
        if ($before?->is($teacher) === true) {
            return;
        }
        if ($before !== null && ! $before->hasAccount()) {
            $this->takeOver($before, $teacher);
        }
        CurrentTeacher::remember($teacher);
    }

    /** Whether the device has something of its own that would become the teacher's. */
    public function wouldTakeOver(Request $request, Teacher $teacher): bool
    {
        $before = CurrentTeacher::of($request);

        return $before !== null &&
            ! $before->is($teacher) &&
            ! $before->hasAccount() &&
            ($before->plans()->exists() || $before->rosters()->exists() || $before->sessions()->exists());
    }

    private function takeOver(Teacher $from, Teacher $to): void
    {
        DB::transaction(static function () use ($from, $to): void {
            foreach (self::OF_A_TEACHER as $table) {
                DB::table($table)
                    ->where('teacher_id', $from->id)
                    ->update(['teacher_id' => $to->id]);
            }
            DB::table('seats')->where('taken_by_id', $from->id)->update(['taken_by_id' => $to->id]);
            foreach (['desk_rights' => 'live_session_id', 'plan_rights' => 'plan_id'] as $table => $column) {
                $held = DB::table($table)->where('teacher_id', $to->id)->pluck($column);
                DB::table($table)
                    ->where('teacher_id', $from->id)
                    ->whereNotIn($column, $held)
                    ->update(['teacher_id' => $to->id]);
            }
            if ($to->name === '') {
                $to->update(['name' => $from->name]);
            }
            $from->delete();
        });
    }
}
