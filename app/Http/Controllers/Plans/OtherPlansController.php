<?php

declare(strict_types=1);

namespace App\Http\Controllers\Plans;

use App\Http\CurrentTeacher;
use App\Models\Prompt;
use App\Models\Teachers\Plan;
use App\Plans\OwnReadyMade;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** Beside an open plan: the teacher's other plans and their own ready-made prompts, to take prompts from. */
final class OtherPlansController
{
    public function index(Request $request, Plan $plan): JsonResponse
    {
        $plans = CurrentTeacher::found($request)
            ->plans()
            ->whereKeyNot($plan->id)
            ->whereNull('archived_at')
            ->latest('updated_at')
            ->get();

        return response()->json([
            'plans' => $plans->map(static fn (Plan $one): array => $one->only(['id', 'title']))->values(),
        ]);
    }

    public function show(Request $request, Plan $plan, string $other): JsonResponse
    {
        $found = CurrentTeacher::found($request)->plans()->whereKey($other)->firstOrFail();

        return response()->json(self::told($found));
    }

    public function ready(Request $request, Plan $plan): JsonResponse
    {
        $kept = OwnReadyMade::of(CurrentTeacher::found($request));

        return response()->json($kept === null ? ['id' => null, 'prompts' => []] : self::told($kept));
    }

    public function keep(Request $request, Plan $plan, Prompt $prompt, OwnReadyMade $ready): JsonResponse
    {
        $ready->keep(CurrentTeacher::found($request), $plan, $prompt);

        return response()->json(['said' => __('Kept. You’ll find it under Ready-made in every plan.')]);
    }

    /** @return array{id: string, prompts: list<array{id: string, n: int, plain: string}>} */
    private static function told(Plan $plan): array
    {
        return [
            'id' => $plan->id,
            'prompts' => array_values($plan->present()->map(static fn (Prompt $prompt): array => [
                'id' => $prompt->id,
                'n' => (int) $prompt->changed_n,
                'plain' => $prompt->plainWords(),
            ])->all()),
        ];
    }
}
