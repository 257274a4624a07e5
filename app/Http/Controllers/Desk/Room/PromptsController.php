<?php

declare(strict_types=1);

namespace App\Http\Controllers\Desk\Room;

use App\Models\LiveSession;
use App\Models\Prompt;
use App\Sessions\Room\ChangePrompts;
use App\Sessions\Work\HandOutWork;
use App\Sessions\Work\SendWork;
use Crag\Prompt\Backdrop\Backdrop;
use Crag\Prompt\InvalidPrompt;
use Crag\Prompt\Prompt as PromptValue;
use Crag\Session\Room\Pace;
use Crag\Session\Room\PromptState;
use Crag\Session\Screen\ScreenView;
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
        $before = $this->steer->gather($session, $prompt, $request->integer('page'));

        return response()->json(self::gathered($session, $prompt, $before));
    }

    /** Everybody goes back to where they were before. */
    public function back(Request $request, LiveSession $session, Prompt $prompt): JsonResponse
    {
        /**
         * @var array{
         *     pace?: string, prompt: string, state: string, screen: string, seats: array<string, string>,
         * } $before
         */
        $before = $request->validate([
            'pace' => [Rule::enum(Pace::class)],
            'prompt' => ['required', 'string'],
            'state' => ['required', Rule::enum(PromptState::class)],
            'screen' => ['required', Rule::enum(ScreenView::class)],
            'seats' => ['array'],
            'seats.*' => ['string'],
        ]) + ['seats' => []];
        $this->steer->back($session, $prompt, $before);

        return response()->json(['said' => __('Everyone is back where they were.')]);
    }

    /**
     * What is said after everybody was brought to a prompt, with the way back.
     *
     * @param  array<string, mixed>  $before
     * @return array<string, mixed>
     */
    public static function gathered(LiveSession $session, Prompt $prompt, array $before): array
    {

        return [
            'said' => __('Everyone is at prompt :n.', ['n' => $prompt->n]).
                ($session->screen_view->staysWhenGathered() ? ' '.__('The class screen keeps what it shows.') : ''),
            'undo' => ['address' => route('desk.gather.back', [$session, $prompt], false), 'body' => $before],
        ];
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
        $this->steer->set($session, $prompt, $state);

        return response()->json([]);
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

    public function reveal(LiveSession $session, Prompt $prompt, SendWork $work): JsonResponse
    {
        $work->reveal($session, $prompt);

        return response()->json([]);
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
