<?php

declare(strict_types=1);

namespace App\Http\Controllers\Desk\Asks;

use App\Http\Pages\Deeds;
use App\Http\ReadsCards;
use App\Models\Asks\Run;
use App\Models\Asset;
use App\Models\LiveSession;
use App\Models\Seat;
use App\Sessions\Asks\GivePractice;
use App\Sessions\Asks\RunAsks;
use Crag\Asks\AskLine;
use Crag\Asks\Card;
use Crag\Asks\Teams;
use Crag\Json\UnreadableFields;
use Crag\Session\Rules\Deed;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Str;
use Illuminate\Validation\Rule;

/** Quick asks one after the other. */
final class RunController
{
    public function __construct(private readonly RunAsks $runs)
    {
    }

    public function start(Request $request, LiveSession $session): JsonResponse
    {
        $request->validate([
            'cards' => ['required', 'array'],
            'seconds' => ['required', 'integer', 'min:'.AskLine::LEAST_SECONDS, 'max:'.AskLine::LONGEST_SECONDS],
            'auto' => ['boolean'],
            'screen' => ['boolean'],
            // The groups, or so many teams at random.
            'teams' => ['nullable', Rule::in(['groups', ...range(2, Teams::MOST)])],
            'team_names' => ['array', 'max:'.Teams::MOST],
            'team_names.*' => ['string'],
        ]);
        $cards = ReadsCards::from($request->array('cards'));
        $this->checkPictures($session, $cards);
        $run = $this->runs->start(
            $session,
            $cards,
            $request->integer('seconds'),
            $request->boolean('auto'),
            $request->boolean('screen') && Deeds::of($request, $session)->may(Deed::ChooseScreen),
            $this->teams($request, $session),
        );

        return response()->json([
            'run' => $run->id,
            'said' => trans_choice(
                '{1} One quick ask starts.|[2,*] :count quick asks start, one after the other.',
                count($cards),
            ),
        ]);
    }

    /** The same questions for everyone's own time. */
    public function practice(Request $request, LiveSession $session, GivePractice $give): JsonResponse
    {
        $request->validate(['cards' => ['required', 'array']]);
        $cards = ReadsCards::from($request->array('cards'));
        $this->checkPictures($session, $cards);
        $prompt = $give($session, $cards) ?? abort(422, __('There’s no question among them.'));

        return response()->json([
            'prompt' => $prompt->id,
            'said' => __('Prompt :n holds the practice, and it’s open.', ['n' => $prompt->n]),
        ]);
    }

    /** @param  list<Card>  $cards  whose pictures have to be the session's own */
    private function checkPictures(LiveSession $session, array $cards): void
    {
        $named = array_unique(array_filter(array_map(static fn (Card $card): string => $card->picture, $cards)));
        $held = Asset::query()
            ->where('live_session_id', $session->id)
            ->whereNull('seat_id')
            ->whereIn('id', $named)
            ->count();
        abort_if($held < count($named), 422, __('A picture is missing. Choose it again.'));
    }

    private function teams(Request $request, LiveSession $session): ?Teams
    {
        $teams = $request->string('teams')->toString();
        if ($teams === '') {
            return null;
        }
        $seats = $session->seated()->with('entry')->get();
        try {
            return $teams === 'groups'
                ? Teams::ofGroups(
                    $seats->mapWithKeys(static fn (Seat $seat): array => [$seat->id => $seat->teamName()])->all(),
                )
                : Teams::dealt(
                    $seats->pluck('id')->map(strval(...))->values()->all(),
                    $this->teamNames($request, (int) $teams),
                    Str::random(),
                );
        } catch (UnreadableFields $problem) {
            abort(422, __($problem->getMessage()));
        }
    }

    /** @return list<string> those that were typed, then numbers */
    private function teamNames(Request $request, int $n): array
    {
        $names = [];
        foreach (range(1, $n) as $i) {
            $typed = $request->array('team_names')[$i - 1] ?? '';
            $names[] = is_string($typed) && trim($typed) !== '' ? trim($typed) : __('Team :n', ['n' => $i]);
        }

        return $names;
    }

    public function next(Request $request, LiveSession $session, Run $run): JsonResponse
    {
        $request->validate(['at' => ['required', 'integer', 'min:0'], 'looked' => ['boolean']]);
        $this->runs->next($session, $run, $request->integer('at'), $request->boolean('looked'));

        return response()->json([]);
    }

    public function end(LiveSession $session, Run $run): JsonResponse
    {
        $this->runs->end($session, $run);

        return response()->json([]);
    }

    public function show(Request $request, LiveSession $session, Run $run): JsonResponse
    {
        $request->validate(['on' => ['required', 'boolean']]);
        $this->runs->show($session, $run, $request->boolean('on'));

        return response()->json([]);
    }

    public function putAway(LiveSession $session, Run $run): JsonResponse
    {
        abort_unless($run->isOver(), 409, __('Stop the run first.'));
        $this->runs->putAway($session, $run);

        return response()->json([]);
    }
}
