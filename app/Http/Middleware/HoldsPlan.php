<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Http\CurrentTeacher;
use App\Models\Prompt;
use App\Models\Teachers\Plan;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Lets only those through who may edit the plan, and only to prompts that are its own. */
final class HoldsPlan
{
    public function handle(Request $request, Closure $next): Response
    {
        $plan = $request->route('plan');
        $teacher = CurrentTeacher::of($request);
        if (! ($plan instanceof Plan) || $teacher?->mayEdit($plan) !== true) {
            abort(403, __('This plan belongs to another teacher. They can share it with you by a link.'));
        }
        $prompt = $request->route('prompt');
        abort_if($prompt instanceof Prompt && $prompt->plan_id !== $plan->id, 404);
        $request->attributes->set('teacher', $teacher);

        return $next($request);
    }
}
