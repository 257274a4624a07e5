<?php

declare(strict_types=1);

namespace App\Http\Controllers\Desk\Watch;

use App\Canvas\KeptScene;
use App\Canvas\Together;
use App\Http\CurrentTeacher;
use App\Live\Audience;
use App\Live\CatchUp;
use App\Live\Clock;
use App\Live\Health;
use App\Live\Portion;
use App\Models\Canvas;
use App\Models\LiveSession;
use App\Models\LoggedOperation;
use App\Models\Prompt;
use App\Models\Seat;
use App\Sessions\Room\EachSeat;
use App\Sessions\Watch\Colleagues;
use App\Sessions\Watch\DeskLooks;
use App\Sessions\Watch\TakeStudents;
use App\Sessions\Watch\Watching;
use Crag\Prompt\Sharing;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** What the grid asks for. */
final class WatchController
{
    /** Every seat, or group, with its canvas for a prompt: each canvas's kept scene, and what came since. */
    public function canvases(LiveSession $session, Prompt $prompt): StreamedResponse
    {
        $position = CatchUp::position($session, Audience::room($session), Audience::desk($session));
        $position['operations'] = LiveSession::query()->whereKey($session->id)->firstOrFail()->operation_count;
        $isCovered = $prompt->isCovered();
        $holders = Together::holders($session, $prompt);
        $canvases = $prompt->canvases()->whereIn('seat_id', $holders->pluck('id'))->get()->keyBy('seat_id');
        $seats = $holders
            ->map(
                static fn (Seat $seat): array => [
                    ...$seat->announcement(),
                    'canvas' => $canvases->get($seat->id)?->id,
                    'isSent' => $canvases->get($seat->id)?->sent_at_ms !== null,
                    'boxes' => EachSeat::read(
                        $seat->id,
                        static fn (): array => $prompt->boxesFor($seat),
                        static fn (): array => [],
                    ),
                ],
            );
        // Covered work does not even reach the desk's page.
        $canvases = $isCovered ? $canvases->take(0) : $canvases;
        $kept = $canvases
            ->mapWithKeys(
                static fn (Canvas $canvas): array => [
                    $canvas->id => EachSeat::read(
                        (string) $canvas->seat_id,
                        static fn (): ?array => KeptScene::opening($canvas),
                        static fn (): ?array => null,
                    ),
                ],
            )
            ->filter();

        return response()->stream(
            function () use ($prompt, $position, $seats, $canvases, $kept, $isCovered): void {
                echo '{"prompt":',
                json_encode($prompt->id),
                ',"covered":',
                json_encode($isCovered),
                ',"shared":',
                json_encode($prompt->sharing() !== Sharing::Each),
                ',"boxes":',
                json_encode($prompt->boxes()),
                ',"position":',
                json_encode($position),
                ',"seats":',
                $seats->toJson(),
                ',"kept":{';
                foreach ($kept->keys()->all() as $i => $id) {
                    echo $i === 0 ? '' : ',',
                    json_encode($id),
                    ':{"n":',
                    $kept[$id]['n'],
                    ',"scene":',
                    $kept[$id]['body'],
                    '}';
                }
                echo '},"operations":[';
                $first = true;
                foreach ($canvases as $canvas) {
                    $log = $canvas
                        ->operations()
                        ->where('n', '>', $kept[$canvas->id]['n'] ?? 0)
                        ->where('session_n', '<=', $position['operations'])
                        ->toBase();
                    foreach ($log->cursor() as $row) {
                        echo $first ? '' : ',', (new LoggedOperation())->setRawAttributes((array) $row)->wire();
                        $first = false;
                    }
                }
                echo ']}';
            },
            200,
            ['Content-Type' => 'application/json'],
        );
    }

    /** Where this teacher is; answers where the others are. */
    public function here(Request $request, LiveSession $session, Colleagues $colleagues): JsonResponse
    {
        $request->validate(['seat' => ['nullable', 'string', 'max:26']]);
        $seat = $request->filled('seat') ? $request->string('seat')->toString() : null;

        return response()->json(['others' => $colleagues($session, CurrentTeacher::found($request), $seat)]);
    }

    /** This teacher looks after the students who are named, or no longer does. */
    public function takeOn(Request $request, LiveSession $session, TakeStudents $take): JsonResponse
    {
        $request->validate(['seats' => ['required', 'array'], 'on' => ['boolean']]);
        $seats = $session->people($request->array('seats'));
        abort_if($seats->isEmpty(), 404);
        $isOn = $request->boolean('on', true);
        $take($session, $seats, $isOn ? CurrentTeacher::found($request) : null);

        return response()->json([
            'said' => trans_choice(
                $isOn
                    ? '{1} You’ve taken on :count student. “Mine” shows just yours.|[2,*] You’ve taken on :count students. “Mine” shows just yours.'
                    : '{1} :count student isn’t with anyone now.|[2,*] :count students aren’t with anyone now.',
                $seats->count(),
            ),
            'undo' => [
                'address' => route('desk.take-on', $session, false),
                'body' => ['seats' => $seats->modelKeys(), 'on' => ! $isOn],
            ],
        ]);
    }

    public function catchUp(Request $request, LiveSession $session): Response
    {
        $events = CatchUp::events($session, $request, Audience::room($session), Audience::desk($session));
        $portion = Portion::of(
            LoggedOperation::query()
                ->where('live_session_id', $session->id)
                ->where('session_n', '>', $request->integer('operations'))
                ->orderBy('session_n'),
            $session->coveredCanvases(),
        );

        return CatchUp::answer($events, $portion);
    }

    /**
     * The state of each canvas of a prompt, the answers, and what is worth a look; `silent` are seats from whose pages
     * this desk hears nothing, `looks` whether it is before somebody's eyes and would be told of changes.
     */
    public function states(Request $request, LiveSession $session, Prompt $prompt, Watching $watching): JsonResponse
    {
        $silent = array_values(array_filter(explode(',', $request->string('silent')->toString())));
        if ($request->boolean('looks') && $session->isRunning()) {
            DeskLooks::note($session, $prompt, $silent, Clock::ms());
        }

        return response()->json($watching->of($session, $prompt, $silent) + ['trouble' => Health::full()]);
    }
}
