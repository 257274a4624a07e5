<?php

declare(strict_types=1);

namespace App\Http\Controllers\Desk\Room;

use App\Http\ActAnswer;
use App\Models\LiveSession;
use App\Models\Prompt;
use App\Sessions\Room\ChangePrompts;
use App\Sessions\Work\HandOutWork;
use App\Sessions\Work\SendWork;
use App\Sessions\Work\ShareCanvases;
use Crag\Prompt\Backdrop\Backdrop;
use Crag\Prompt\InvalidPrompt;
use Crag\Prompt\Prompt as PromptValue;
use Crag\Prompt\Sharing;
use Crag\Session\Room\PromptState;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;

/** A session's prompts: opened, closed, skipped, put in another order, added, and where everybody is. */
final class PromptsController
{
    public function __construct(private readonly ChangePrompts $steer)
    {
    }

    /** Brings everybody to a prompt, and to a page of it if one is named. */
    public function gather(Request $request, LiveSession $session, Prompt $prompt): JsonResponse
    {
        $request->validate(['page' => ['nullable', 'integer', 'min:0', 'max:100']]);

        return ActAnswer::of($request, $this->steer->gather($session, $prompt, $request->integer('page')));
    }

    public function set(Request $request, LiveSession $session, Prompt $prompt): JsonResponse
    {
        $request->validate(['state' => ['required', Rule::enum(PromptState::class)]]);
        $state = PromptState::from($request->string('state')->toString());
        abort_if(
            ! $state->isSeen() && $prompt->id === $session->prompt_id,
            409,
            __('Students are on this prompt. Bring them to another one first.'),
        );

        return ActAnswer::of($request, $this->steer->set($session, $prompt, $state));
    }

    /** One canvas for each, for each group, or for everyone; what was drawn before stays where it is. */
    public function share(
        Request $request,
        LiveSession $session,
        Prompt $prompt,
        ShareCanvases $share,
    ): JsonResponse {
        $request->validate(['sharing' => ['required', Rule::enum(Sharing::class)]]);
        $before = $prompt->sharing();
        $share($session, $prompt, Sharing::from($request->string('sharing')->toString()));

        return response()->json([
            'undo' => [
                'address' => route('desk.prompt.share', [$session, $prompt], false),
                'body' => ['sharing' => $before->value],
            ],
            'said' => match ($prompt->sharing()) {
                Sharing::Each => __('Everyone has their own canvas again. The shared ones are kept.'),
                Sharing::Group => __('Each group shares a canvas now. Anyone without a group works alone.'),
                Sharing::Everyone => __('Everyone shares one canvas now. Their own work is kept.'),
            },
        ]);
    }

    public function move(Request $request, LiveSession $session, Prompt $prompt): JsonResponse
    {
        $request->validate(['by' => ['required', Rule::in([-1, 1])]]);
        $this->steer->move($session, $prompt, $request->integer('by'));

        return response()->json([]);
    }

    public function add(Request $request, LiveSession $session, HandOutWork $handOut): JsonResponse
    {
        try {
            $value = PromptValue::of($request->string('words')->toString(), Backdrop::blank());
        } catch (InvalidPrompt $problem) {
            abort(422, __($problem->getMessage()));
        }

        return response()->json([
            'prompt' => $handOut->add($session, $value)->id,
            'said' => __('Added. Students won’t see it until you open it.'),
        ]);
    }

    public function reveal(Request $request, LiveSession $session, Prompt $prompt, SendWork $work): JsonResponse
    {
        return ActAnswer::of($request, $work->reveal($session, $prompt));
    }

    /** Whether the reader of work answers at once whoever sends work on it. */
    public function reader(Request $request, LiveSession $session, Prompt $prompt): JsonResponse
    {
        $request->validate(['on' => ['required', 'boolean']]);
        $prompt->update(['reads_at_once' => $request->boolean('on')]);

        return response()->json([
            'said' => $request->boolean('on')
                ? __('Automatic feedback is on: anyone who sends work on prompt :n gets it straight away.', [
                    'n' => $prompt->n,
                ])
                : __('Automatic feedback is off.'),
        ]);
    }
}
