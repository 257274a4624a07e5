<?php

declare(strict_types=1);

namespace App\Accounts;

use App\Database\Turn;
use App\Database\Wipe;
use App\Models\Check;
use App\Models\HeldFolder;
use App\Models\LiveSession;
use App\Models\Message;
use App\Models\Teachers\Teacher;
use App\Sessions\Life\EndSession;
use App\Sessions\Life\ForgetSession;
use Crag\Session\Rules\Role;
use Illuminate\Support\Facades\DB;

/**
 * Everything of a teacher: plans, classes, sessions with all that students did in them, devices and the account. What a
 * colleague runs or edits too stays, and is the colleague's from now on.
 */
final readonly class DeleteTeacher
{
    public function __construct(private EndSession $end, private ForgetSession $forget)
    {
    }

    public function __invoke(Teacher $teacher): void
    {
        foreach ($teacher->sessions()->get() as $session) {
            if ($this->isRunByOthers($session, $teacher)) {
                $session->teachers()->detach($teacher);
            } else {
                Turn::during([$session->id], function () use ($session): void {
                    ($this->end)($session);
                    ($this->forget)($session);
                });
            }
        }
        foreach ($teacher->plans()->where('plans.teacher_id', $teacher->id)->get() as $plan) {
            $editor = $plan->teachers()->whereKeyNot($teacher->id)->first();
            if ($editor !== null) {
                $plan->teacher()->associate($editor)->save();
            }
        }
        $folders = $teacher->plans()->where('plans.teacher_id', $teacher->id)->pluck('plans.id')->all();
        DB::transaction(static function () use ($teacher): void {
            DB::table('plans')->where('teacher_id', $teacher->id)->delete();
            $teacher->rosters()->delete();
            $teacher->devices()->delete();
            DB::table('plan_rights')->where('teacher_id', $teacher->id)->delete();
            DB::table('password_reset_tokens')->where('email', $teacher->email)->delete();
            // In a colleague's session stays who checked or wrote: somebody, without a name or a way in.
            $stays =
                Check::query()->where('teacher_id', $teacher->id)->exists() ||
                Message::query()->where('teacher_id', $teacher->id)->exists();
            if ($stays) {
                $teacher->update([
                    'name' => '',
                    'email' => null,
                    'password' => null,
                    'return_key' => '',
                    'phrases' => null,
                    'school_id' => null,
                    'role' => AccountRole::Teacher,
                ]);
            } else {
                $teacher->delete();
            }
        });
        foreach ($folders as $plan) {
            HeldFolder::remove('plans', (string) $plan);
        }
        Wipe::afterForgetting();
    }

    private function isRunByOthers(LiveSession $session, Teacher $teacher): bool
    {
        return $session->teachers()->whereKeyNot($teacher->id)->wherePivot('role', Role::Colleague->value)->exists();
    }
}
