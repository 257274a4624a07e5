<?php

declare(strict_types=1);

namespace App\Plans;

use App\Models\Prompt;
use App\Models\Teachers\Plan;
use App\Models\Teachers\Teacher;
use Illuminate\Support\Facades\DB;

/** Prompts that a teacher keeps to use again, with all that belongs to them: they stand in a plan of their own. */
final readonly class OwnReadyMade
{
    public function __construct(private MakePlan $make, private TakesDrawing $drawing)
    {
    }

    public function keep(Teacher $teacher, Plan $plan, Prompt $prompt): void
    {
        DB::transaction(function () use ($teacher, $plan, $prompt): void {
            $kept = self::of($teacher) ?? $this->make->empty($teacher, __('My ready-made prompts'));
            $teacher->update(['ready_plan_id' => $kept->id]);
            $this->make->append(
                $kept,
                $teacher,
                [new PreparedPrompt($prompt->value(), $this->drawing->of($prompt))],
                $plan->is($kept) ? null : $plan,
            );
        });
    }

    /** The plan in which they stand; null while nothing is kept. */
    public static function of(Teacher $teacher): ?Plan
    {
        $plan = $teacher->ready_plan_id === null ? null : Plan::query()->find($teacher->ready_plan_id);

        return $plan !== null && $teacher->mayEdit($plan) ? $plan : null;
    }
}
