<?php

declare(strict_types=1);

namespace App\Http\Controllers\Desk\Asks;

use App\Http\CurrentRole;
use App\Http\Pages\Deeds;
use App\Http\Words\AskWords;
use App\Models\Asks\Ask;
use App\Models\Asset;
use App\Models\LiveSession;
use App\Sessions\Asks\Asking;
use App\Sessions\Asks\PadBase;
use App\Sessions\Asks\ShowOneOfEach;
use Crag\Canvas\Drawing\CutOut;
use Crag\Json\Fields;
use Crag\Json\UnreadableFields;
use Crag\Plan\PromptPages;
use Crag\Prompt\Backdrop\UsualPaper;
use Crag\Prompt\Question\Question;
use Crag\Session\Room\SeatState;
use Crag\Session\Rules\Deed;
use Crag\Session\Screen\Letter;
use Crag\Session\Screen\ScreenView;
use Illuminate\Contracts\View\View;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;

/** Quick asks: a choice, a number, a few words, asked of everybody in seconds. */
final class AskController
{
    private const LONGEST_S = 3600;

    private const LONGER_S = 30;

    /** What a drawing can start on, besides papers. */
    private const BASES = ['prompt', 'lead', 'lead-part', 'picture'];

    public function __construct(private readonly Asking $asking, private readonly PadBase $base)
    {
    }

    /** The present ask with its tally, and those before. */
    public function show(Request $request, LiveSession $session): View
    {
        $session->load('ask.againOf', 'ask.drawings', 'run', 'prompt');

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
                ->with('drawings')
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
            'screen' => ['boolean'],
            // On what is drawn, where it is answered by drawing.
            'pad' => ['nullable', Rule::in([...self::BASES, ...array_column(UsualPaper::cases(), 'value')])],
            'picture' => ['nullable', 'string', 'max:40'],
            'page' => ['nullable', 'string', 'max:40'],
            'cut' => ['nullable', 'array'],
        ]);
        try {
            $question = Question::toAsk(new Fields($request->array('question')));
        } catch (UnreadableFields $problem) {
            abort(422, __('You can’t ask that yet: :problem', ['problem' => $problem->getMessage()]));
        }
        $seats =
            $request->input('seats') === null
                ? null
                : $session
                    ->people($request->array('seats'))
                    ->where('state', SeatState::Seated)
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
            null,
            $request->boolean('screen') &&
                Deeds::of($request, $session)->may(Deed::ChooseScreen),
            $this->pad($request, $session),
        );

        return response()->json(['ask' => $ask->id, 'drawings' => $ask->drawings?->id]);
    }

    private function pad(Request $request, LiveSession $session): ?PromptPages
    {
        $base = $request->string('pad')->toString();
        $picture = $request->string('picture')->toString();

        return match ($base) {
            '' => null,
            'prompt' => $this->base->prompt($session),
            'lead' => $this->base->lead($session),
            'lead-part' => $this->part($request, $session),
            'picture' => $this->base->picture(
                Asset::query()->where('live_session_id', $session->id)->whereNull('seat_id')->find($picture) ??
                    abort(422, __('A picture is missing. Choose it again.')),
            ),
            default => $this->base->paper(UsualPaper::from($base)),
        };
    }

    /** What the teacher sees of the lead canvas. */
    private function part(Request $request, LiveSession $session): PromptPages
    {
        try {
            $cut = $request->input('cut') === null ? null : CutOut::read($request->array('cut'));
        } catch (UnreadableFields $problem) {
            abort(422, __($problem->getMessage()));
        }

        return $this->base->lead($session, $request->string('page')->toString(), $cut);
    }

    public function close(LiveSession $session, Ask $ask): JsonResponse
    {
        $this->asking->close($session, $ask);

        return response()->json([]);
    }

    /** Half a minute more, from the press on where its time was up. */
    public function longer(LiveSession $session, Ask $ask): JsonResponse
    {
        abort_unless($ask->id === $session->ask_id, 409, __('That one is over. Ask it again instead.'));
        $this->asking->longer($session, $ask, self::LONGER_S);

        return response()->json([]);
    }

    /** What was asked aloud gets its words. */
    public function reword(Request $request, LiveSession $session, Ask $ask): JsonResponse
    {
        $request->validate(['words' => ['required', 'string', 'max:300']]);
        try {
            $words = ['words' => $request->string('words')->trim()->toString()];
            $this->asking->reword($session, $ask, Question::read(new Fields($words + $ask->question->toArray())));
        } catch (UnreadableFields $problem) {
            abort(422, __('You can’t ask that yet: :problem', ['problem' => $problem->getMessage()]));
        }

        return response()->json([]);
    }

    /** Hidden, then the bars, then the right answer. */
    public function step(LiveSession $session): JsonResponse
    {
        $this->asking->step($session, $session->ask ?? abort(422, __('Ask something first.')));

        return response()->json([]);
    }

    /** What each student chose, by seat, for the tiles. */
    public function choices(LiveSession $session): JsonResponse
    {
        $ask = $session->ask;
        $choices = [];
        if ($ask !== null && ! $ask->is_anonymous) {
            foreach ($ask->tally()->bars as $bar) {
                foreach ($bar->voters as $voter) {
                    $choices[$voter] = isset($choices[$voter]) ? "{$choices[$voter]}, {$bar->label}" : $bar->label;
                }
            }
        }

        return response()->json(['choices' => (object) $choices]);
    }

    /** One canvas for each common answer, before the class. */
    public function oneOfEach(
        Request $request,
        LiveSession $session,
        Ask $ask,
        ShowOneOfEach $show,
    ): JsonResponse {
        CurrentRole::check($request, $session, Deed::SeeWork, $session->prompt);
        abort_if($ask->is_anonymous, 422, __('These answers are anonymous, so nobody’s work can be picked by them.'));
        $found = $show($session, $ask);
        abort_if($found === [], 422, __('Nobody who answered has work to show here.'));

        return response()->json(['said' => AskWords::shown($found)]);
    }

    /** Which of the works that are shown each agrees with. */
    public function works(LiveSession $session): JsonResponse
    {
        $n = $session->screen_view === ScreenView::Showcase ? $session->showcase?->items()->count() ?? 0 : 0;
        abort_if($n < 2, 422, __('Show two works or more first.'));
        $options = array_map(
            static fn (int $i): array => ['id' => 'o'.($i + 1), 'words' => Letter::at($i)],
            range(0, $n - 1),
        );
        $ask = $this->asking->ask(
            $session,
            Question::read(
                new Fields([
                    'id' => 'ask',
                    'spot' => null,
                    'kind' => 'choice',
                    'words' => __('Which one do you agree with?'),
                    'options' => $options,
                    'right' => [],
                    'shuffle' => false,
                ]),
            ),
            null,
            null,
            false,
        );

        return response()->json(['ask' => $ask->id, 'said' => __('Asked: which one do you agree with?')]);
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
        $again = $this->asking->ask(
            $session,
            $ask->question,
            $ask->seats,
            $seconds,
            $ask->is_anonymous,
            $ask,
            $session->screen_view === ScreenView::Tally,
            $ask->drawings?->pagesValue(),
        );

        return response()->json(['ask' => $again->id]);
    }
}
