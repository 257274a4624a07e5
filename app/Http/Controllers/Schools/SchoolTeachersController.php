<?php

declare(strict_types=1);

namespace App\Http\Controllers\Schools;

use App\Accounts\AccountRole;
use App\Accounts\Invitation;
use App\Http\CurrentTeacher;
use App\Live\PublicAddress;
use App\Models\Teachers\School;
use App\Models\Teachers\Teacher;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;

/** Who may teach at a school. */
final class SchoolTeachersController
{
    private const DAYS = 7;

    /** A link for one person, shown once. */
    public function invite(Request $request, School $school): RedirectResponse
    {
        $request->validate(['role' => ['required', Rule::enum(AccountRole::class)]]);
        abort_if($school->going_at !== null, 409, __('This school is being deleted.'));
        $role = AccountRole::from($request->string('role')->toString());
        $link = PublicAddress::of('invitation', ['token' => Invitation::make(self::DAYS, $school, $role)]);

        return back()->with('link', $link);
    }

    /** May not teach any more; what they made stays, and is theirs. */
    public function stop(Request $request, School $school, Teacher $teacher): RedirectResponse
    {
        abort_if($teacher->is(CurrentTeacher::found($request)), 409, __('You can’t stop yourself.'));
        $teacher->update(['stopped_at' => now()]);

        // The devices stay signed in: their owner still takes home or deletes what is theirs.
        return back()->with('said', __(':name can’t teach here any more.', ['name' => $teacher->name]));
    }

    public function again(School $school, Teacher $teacher): RedirectResponse
    {
        abort_unless($school->hasRoomForTeacher(), 409, __('This school has no room for another teacher.'));
        $teacher->update(['stopped_at' => null]);

        return back()->with('said', __(':name can teach here again.', ['name' => $teacher->name]));
    }
}
