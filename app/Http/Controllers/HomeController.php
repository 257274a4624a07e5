<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Accounts\WhoTeaches;
use App\Http\CurrentTeacher;
use App\Http\Pages\StartableClasses;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;

final class HomeController
{
    /** How many of the plans that were used last stand on top. */
    private const PLANS = 4;

    public function __invoke(Request $request): View
    {
        $teacher = CurrentTeacher::of($request);
        $sessions =
            $teacher?->sessions()->where('is_trial', false)->withCount('seats')->latest()->limit(100)->get() ??
            collect();

        $plans = $teacher === null
            ? collect()
            : $teacher
                ->plans()
                ->whereNull('archived_at')
                ->orderByRaw('coalesce(used_at, plans.created_at) desc')
                ->limit(self::PLANS)
                ->get()
                ->toBase();

        return view('home', [
            'teacher' => $teacher,
            'plans' => $plans,
            'lastClass' => $teacher === null ? [] : StartableClasses::last($teacher, $plans),
            'rosters' => $teacher?->rosters()->orderBy('name')->get() ?? collect(),
            'mayTeach' => WhoTeaches::here()->admits($teacher),
            'running' => $sessions->whereNull('ended_at'),
            'ended' => $sessions->whereNotNull('ended_at'),
        ]);
    }
}
