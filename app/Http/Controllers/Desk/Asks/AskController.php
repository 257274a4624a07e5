<?php

declare(strict_types=1);

namespace App\Http\Controllers\Desk\Asks;

use App\Http\Pages\Deeds;
use App\Models\Asks\Ask;
use App\Models\LiveSession;
use App\Sessions\Asks\Asking;
use Crag\Json\Fields;
use Crag\Json\UnreadableFields;
use Crag\Prompt\Question\Question;
use Illuminate\Contracts\View\View;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** Quick asks: a choice, a number, a few words, asked of everybody in seconds. */
final class AskController
{
    private const LONGEST_S = 3600;

    public function __construct(private readonly Asking $asking)
    {
    }

    /** The present ask with its tally, and those before. */
    public function show(Request $request, LiveSession $session): View
    {
        $session->load('ask.againOf', 'run', 'prompt');

        return view('desk.asks.ask-body', [
            'session' => $session,
            'ask' => $session->ask,
            'deeds' => Deeds::of($request, $session),
            'settings' => $session->settings,
            'seats' => $session->seated()->get()->keyBy('id'),
            'run' => $session->run,
            'planned' => $session->prompt?->value()->asks ?? [],
            'before' => $session
                ->asks()
                ->whereKeyNot($session->ask_id ?? '')
                ->limit(20)
                ->get(),
        ]);
    }

    public function ask(Request $request, LiveSession $session): JsonResponse
    {
        $request->validate([
            'question' => ['required', 'array'],
            'seats' => ['nullable', 'array'],
            'seats.*' => ['string'],
            'seconds' => ['nullable', 'integer', 'min:5', 'max:'.self::LONGEST_S],
            'anonymous' => ['boolean'],
        ]);
        try {
            $question = Question::read(new Fields($request->array('question') + ['id' => 'ask', 'spot' => null]));
        } catch (UnreadableFields $problem) {
            abort(422, __('You can’t ask that yet: :problem', ['problem' => $problem->getMessage()]));
        }
        $seats =
            $request->input('seats') === null
                ? null
                : $session
                    ->seated()
                    ->whereIn('id', $request->array('seats'))
                    ->pluck('id')
                    ->map(strval(...))
                    ->values()
                    ->all();
        abort_if($seats === [], 422, __('Nobody is chosen.'));
        $ask = $this->asking->ask(
            $session,
            $question,
            $seats,
            $request->input('seconds') === null ? null : $request->integer('seconds'),
            $request->boolean('anonymous'),
        );

        return response()->json(['ask' => $ask->id]);
    }

    public function close(LiveSession $session, Ask $ask): JsonResponse
    {
        $this->asking->close($session, $ask);

        return response()->json([]);
    }

    public function putAway(LiveSession $session): JsonResponse
    {
        $this->asking->putAway($session);

        return response()->json([]);
    }

    public function reveal(Request $request, LiveSession $session, Ask $ask): JsonResponse
    {
        $request->validate(['tally' => ['boolean'], 'right' => ['boolean']]);
        $this->asking->show(
            $session,
            $ask,
            $request->has('tally') ? $request->boolean('tally') : null,
            $request->has('right') ? $request->boolean('right') : null,
        );

        return response()->json([]);
    }

    /** The same once more, after a talk: before and after stand side by side. */
    public function again(LiveSession $session, Ask $ask): JsonResponse
    {
        $seconds = $ask->ends_at_ms === null ? null : intdiv($ask->ends_at_ms - $ask->made_at_ms, 1000);
        $again = $this->asking->ask($session, $ask->question, $ask->seats, $seconds, $ask->is_anonymous, $ask);

        return response()->json(['ask' => $again->id]);
    }
}
