<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Accounts\WhoTeaches;
use App\Http\CurrentTeacher;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;

final class HomeController
{
    public function __invoke(Request $request): View
    {
        $teacher = CurrentTeacher::of($request);
        $sessions =
            $teacher?->sessions()->where('is_trial', false)->withCount('seats')->latest()->limit(100)->get() ??
            collect();

        return view('home', [
            'teacher' => $teacher,
            'mayTeach' => WhoTeaches::here()->admits($teacher),
            'running' => $sessions->whereNull('ended_at'),
            'ended' => $sessions->whereNotNull('ended_at'),
        ]);
    }
}
