<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\CurrentTeacher;
use App\Models\LiveSession;
use App\Plans\MakePlan;
use App\Sessions\StartSession;
use Crag\Session\InvalidName;
use Crag\Session\PersonName;
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

    /** The private return link gives this device the desk. */
    public function return(Request $request, LiveSession $session, string $key): RedirectResponse
    {
        abort_unless(hash_equals($session->return_key, $key), 404);
        $teacher = CurrentTeacher::orNew($request, '');
        if ($teacher->name === '') {
            $teacher->update(['name' => $session->teacher_name]);
        }
        $session->teachers()->syncWithoutDetaching([$teacher->id]);

        return redirect()->route('desk', $session);
    }
}
