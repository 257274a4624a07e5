<?php

declare(strict_types=1);

namespace App\Http\Controllers\Plans;

use App\Http\CurrentTeacher;
use App\Live\SchoolTime;
use App\Models\LiveSession;
use App\Models\Prompt;
use App\Models\Teachers\Plan;
use App\Models\Teachers\Teacher;
use App\Plans\ChangedMeanwhile;
use App\Plans\EditPlan;
use App\Plans\FollowPlan;
use App\Plans\MakePlan;
use App\Plans\NotTaken;
use App\Plans\PreparedPrompt;
use App\Plans\ReadyPrompts;
use App\Plans\TakeChanges;
use App\Plans\TakesDrawing;
use App\Plans\WhoIsHere;
use Crag\Json\UnreadableFields;
use Crag\Prompt\InvalidPrompt;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** What an open plan's page saves and asks for: every change is answered with what stands there now. */
final readonly class EditController
{
    public function __construct(
        private EditPlan $edit,
        private ReadyPrompts $ready,
        private FollowPlan $follow,
        private TakesDrawing $drawing,
        private TakeChanges $takes,
    ) {
    }

    /**
     * The plan as it is now; of its prompts those that changed after an edit that the page knows.
     *
     * @param  array<string, string>  $also
     */
    public function state(Request $request, Plan $plan, array $also = []): JsonResponse
    {
        $after = $request->integer('after', -1);
        $prompts = $plan
            ->present()
            ->filter(static fn (Prompt $prompt): bool => $prompt->changed_n > $after || $after < 0);

        return response()->json(
            $also + [
                'n' => $plan->edit_count,
                'title' => $plan->title,
                'tags' => $plan->tags,
                'sequence' => $plan->sequence,
                'prompts' => $prompts->map(self::told(...))->values(),
                'original' => $this->takes->offered($plan, CurrentTeacher::found($request)),
                'here' => WhoIsHere::with(
                    $plan,
                    CurrentTeacher::found($request),
                    $request->string('at')->toString(),
                ),
                'running' => $plan->sessions()->whereNull('ended_at')->where('is_trial', false)->get()->map(
                    function (LiveSession $session) use ($plan): array {
                        $lacking = $this->follow->lacking($session, $plan);

                        return [
                            'id' => $session->id,
                            'title' => $session->title,
                            'since' => SchoolTime::of($session->created_at)->translatedFormat('H:i'),
                            'behind' => ! $lacking->isNothing(),
                            'lacks' => $lacking->lacks,
                            'warnings' => $lacking->warnings,
                        ];
                    },
                ),
            ] +
                $this->edit->steps($plan, CurrentTeacher::found($request)),
        );
    }

    public function set(Request $request, Plan $plan, ?Prompt $prompt = null): JsonResponse
    {
        $field = $request->json('field');
        abort_unless(is_string($field), 422, __('That can’t be changed in a prompt.'));

        try {
            return $this->tried(
                $request,
                $plan,
                fn () => $this->edit->set(
                    $plan,
                    CurrentTeacher::found($request),
                    $prompt,
                    $field,
                    $request->json('from'),
                    $request->json('to'),
                ),
            );
        } catch (UnreadableFields|InvalidPrompt $problem) {
            return response()->json(
                get_object_vars(NotTaken::of($prompt, $field, $request->json('to'), $problem)),
                422,
            );
        }
    }

    public function add(Request $request, Plan $plan): JsonResponse
    {
        [$words, $ready, $copy] = [$request->json('words'), $request->json('ready'), $request->json('copy')];
        try {
            $prepared = match (true) {
                is_string($ready) => $this->ready->prompt($ready),
                is_string($copy) => $this->copy($plan, $copy, CurrentTeacher::found($request)),
                default => PreparedPrompt::saying(is_string($words) ? $words : ''),
            };
        } catch (InvalidPrompt $problem) {
            abort(422, __($problem->getMessage()));
        }
        $prompt = $this->edit->add($plan, CurrentTeacher::found($request), $prepared, self::after($request, $plan));

        return $this->state($request, $plan->refresh(), ['added' => $prompt->id]);
    }

    /** The same again, of this plan or of another of the teacher's: all that it says, and all that is drawn for it. */
    private function copy(Plan $plan, string $id, Teacher $teacher): PreparedPrompt
    {
        $prompt = Prompt::query()->whereNotNull('plan_id')->with('plan')->find($id);
        $from = $prompt?->plan;
        $mayTake = $from !== null && in_array($id, $from->sequence, true) && $teacher->mayEdit($from);
        abort_unless($mayTake, 422, __('There is no such prompt in the plan.'));
        $prepared = new PreparedPrompt($prompt->value(), $this->drawing->of($prompt));

        return $from->is($plan) ? $prepared : MakePlan::withPictures($prepared, $from, $plan);
    }

    /** Where a prompt stands: after another, in the first place, or (with false) nowhere. */
    public function place(Request $request, Plan $plan, Prompt $prompt): JsonResponse
    {
        $teacher = CurrentTeacher::found($request);
        if ($request->json('after') === false) {
            $this->edit->remove($plan, $teacher, $prompt);
        } else {
            $this->edit->move($plan, $teacher, $prompt, self::after($request, $plan));
        }

        return $this->state($request, $plan->refresh());
    }

    public function step(Request $request, Plan $plan): JsonResponse
    {
        return $this->tried(
            $request,
            $plan,
            fn () => $this->edit->step($plan, CurrentTeacher::found($request), $request->json('again') === true),
        );
    }

    /** @return array<string, mixed> */
    public static function told(Prompt $prompt): array
    {
        $value = $prompt->value();

        return [
            'id' => $prompt->id,
            'n' => $prompt->changed_n,
            'plain' => $prompt->plainWords(),
            'problems' => array_map(static fn (string $one): string => __($one), $value->problems()),
            'draws' => $value->draws($prompt->id),
        ] + $value->toArray();
    }

    /**
     * @param  callable(): mixed  $change
     *
     * @throws UnreadableFields
     * @throws InvalidPrompt
     */
    private function tried(Request $request, Plan $plan, callable $change): JsonResponse
    {
        try {
            $change();
        } catch (ChangedMeanwhile $problem) {
            return response()->json(
                ['message' => $problem->getMessage(), 'field' => $problem->field, 'present' => $problem->present],
                409,
            );
        }

        return $this->state($request, $plan->refresh());
    }

    private static function after(Request $request, Plan $plan): ?string
    {
        $after = $request->json('after');
        abort_unless(
            $after === null || (is_string($after) && in_array($after, $plan->sequence, true)),
            422,
            __('There is no such prompt in the plan.'),
        );

        return $after;
    }
}
