<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Accounts\JoinTeachers;
use App\Console\SeedDemo;
use App\Http\CurrentSeat;
use App\Http\CurrentTeacher;
use App\Models\LiveSession;
use App\Models\Teachers\Teacher;
use App\Sessions\Room\TakeSeat;
use Crag\Session\Door\PersonName;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** The demo's short ways in; the routes exist in a demo alone. */
final class DemoController
{
    /** The demo's plans, on a device that was nobody's. */
    public function plans(Request $request, JoinTeachers $join): RedirectResponse
    {
        $join->signIn($request, LiveSession::query()->oldest('id')->firstOrFail()->teachers()->firstOrFail());

        return redirect()->route('plans');
    }

    /** Who looks after the demo's schools. */
    public function schools(): RedirectResponse
    {
        CurrentTeacher::remember(Teacher::query()->where('email', SeedDemo::ADMINISTRATOR)->firstOrFail());

        return redirect()->route('schools');
    }

    /** A fresh student of the demo class, without typing. */
    public function student(TakeSeat $takeSeat): RedirectResponse
    {
        $session = LiveSession::query()->whereNull('ended_at')->with('prompt')->oldest('id')->firstOrFail();
        [$seat, $token] = $takeSeat($session, PersonName::read(__('Guest')));
        CurrentSeat::remember($seat, $token);

        return redirect()->route('seat', $seat);
    }
}
