<?php

declare(strict_types=1);

namespace App\Http\Pages;

use App\Models\LiveSession;
use App\Models\Teachers\Plan;
use App\Models\Teachers\Teacher;
use Illuminate\Support\Collection;

/** With which class a plan is started by one press. */
final class StartableClasses
{
    /**
     * @param  Collection<int, Plan>  $plans
     * @return array<string, LiveSession> the last session with a class, by the plan
     */
    public static function last(Teacher $teacher, Collection $plans): array
    {
        $classes = [];
        $last = $teacher->sessions()->whereNotNull('roster_id')->with('roster')->latest()->limit(50)->get();
        foreach ($plans as $plan) {
            $session = $last->firstWhere('plan_id', $plan->id) ?? $last->first();
            if ($session !== null) {
                $classes[$plan->id] = $session;
            }
        }

        return $classes;
    }
}
