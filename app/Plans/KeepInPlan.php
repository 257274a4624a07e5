<?php

declare(strict_types=1);

namespace App\Plans;

use App\Database\Turn;
use App\Models\LiveSession;
use App\Models\Prompt;
use App\Models\Teachers\Teacher;

/**
 * What a teacher types on the desk while teaching goes into the session's plan too, and is there for the next class.
 */
final readonly class KeepInPlan
{
    public function __construct(private EditPlan $edit)
    {
    }

    /** @param  string  $before  the prompt's words before the desk changed them */
    public function __invoke(LiveSession $session, Prompt $prompt, string $before): void
    {
        $plan = $session->is_trial ? null : $session->plan;
        $teacher = $session
            ->teachers()
            ->get()
            ->first(static fn (Teacher $one): bool => $plan !== null && $one->mayEdit($plan));
        if ($plan === null || $teacher === null) {
            return;
        }
        $source = $prompt->source_id === null ? null : $plan->prompts()->find($prompt->source_id);
        // The plan is not the session's alone: colleagues may be at it.
        Turn::during([], function () use ($session, $prompt, $teacher, $plan, $source, $before): void {
            if ($source === null) {
                $this->add($session, $prompt, $teacher);
            } elseif ($source->words === $before && $prompt->words !== $before) {
                $this->edit->set($plan, $teacher, $source, 'words', $before, $prompt->words);
            }
        });
    }

    private function add(LiveSession $session, Prompt $prompt, Teacher $teacher): void
    {
        $plan = $session->plan()->firstOrFail();
        $before = $session
            ->prompts()
            ->where('n', '<', $prompt->n)
            ->whereIn('source_id', $plan->sequence)
            ->reorder()
            ->orderByDesc('n')
            ->value('source_id');
        $last = $plan->sequence === [] ? null : $plan->sequence[count($plan->sequence) - 1];
        $prepared = MakePlan::withPictures(
            new PreparedPrompt($prompt->value(), $prompt->pagesValue()),
            $session,
            $plan,
        );
        $prompt->update([
            'source_id' => $this->edit->add($plan, $teacher, $prepared, is_string($before) ? $before : $last)->id,
        ]);
    }
}
