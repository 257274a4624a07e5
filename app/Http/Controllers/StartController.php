<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\CurrentTeacher;
use App\Models\LiveSession;
use App\Models\Teachers\Teacher;
use App\Plans\MakePlan;
use App\Sessions\Life\StartSession;
use Crag\Session\Door\InvalidName;
use Crag\Session\Door\PersonName;
use Crag\Session\Rules\Role;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;

final class StartController
{
    public function start(Request $request, StartSession $start, MakePlan $plans): RedirectResponse
    {
        $request->validate(['title' => ['required', 'string', 'max:80']], [], ['title' => __('title')]);
        try {
            $name = PersonName::read($request->string('name')->toString());
        } catch (InvalidName $problem) {
            throw ValidationException::withMessages(['name' => __($problem->getMessage())]);
        }
        $teacher = CurrentTeacher::orNew($request, $name->value);
        $title = $request->string('title')->trim()->toString();
        $session = $start($teacher, $title);
        // What is typed while teaching is kept for the next class.
        $session->update(['plan_id' => $plans->empty($teacher, $title)->id]);

        return redirect()->route('desk', $session);
    }

    /** The private return link gives this device the desk; the helper's link a place beside it. */
    public function return(Request $request, LiveSession $session, string $key): RedirectResponse
    {
        $role = $this->role($session, $key);
        // A device that is somebody's already asks before it takes part in a session that is not theirs.
        $known = CurrentTeacher::of($request);
        if ($known !== null && $known->roleIn($session) === null) {
            return redirect()->route('beside', [$session, $key]);
        }
        $teacher = CurrentTeacher::orNew($request, '');
        if ($teacher->name === '' && $role === Role::Colleague) {
            $teacher->update(['name' => $session->teacher_name]);
        }

        return $this->enter($session, $teacher, $role);
    }

    /** Before a second teacher comes in: under which name. */
    public function invited(Request $request, LiveSession $session, string $key): View
    {
        return view('desk.room.invited', [
            'session' => $session,
            'key' => $key,
            'role' => $this->role($session, $key),
            'teacher' => CurrentTeacher::of($request),
        ]);
    }

    public function accept(Request $request, LiveSession $session, string $key): RedirectResponse
    {
        $role = $this->role($session, $key);
        try {
            $teacher = CurrentTeacher::orNew($request, PersonName::read($request->string('name')->toString())->value);
        } catch (InvalidName $problem) {
            throw ValidationException::withMessages(['name' => __($problem->getMessage())]);
        }

        return $this->enter($session, $teacher, $role);
    }

    /** Whoever has more rights already keeps them. */
    private function enter(LiveSession $session, Teacher $teacher, Role $role): RedirectResponse
    {
        if ($teacher->roleIn($session) !== Role::Colleague) {
            $session->teachers()->syncWithoutDetaching([$teacher->id => ['role' => $role->value]]);
        }

        return redirect()->route('desk', $session);
    }

    private function role(LiveSession $session, string $key): Role
    {
        return match (true) {
            hash_equals($session->return_key, $key) => Role::Colleague,
            $session->helper_key !== '' && hash_equals($session->helper_key, $key) => Role::Helper,
            default => abort(404),
        };
    }
}
