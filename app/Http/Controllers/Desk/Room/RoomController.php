<?php

declare(strict_types=1);

namespace App\Http\Controllers\Desk\Room;

use App\Http\ActAnswer;
use App\Http\CurrentRole;
use App\Http\Words\ActWords;
use App\Live\Announce;
use App\Live\Audience;
use App\Live\Clock;
use App\Models\Act;
use App\Models\LiveSession;
use App\Models\Seat;
use App\Sessions\Room\AdmitStudents;
use App\Sessions\Room\Attention;
use App\Sessions\Room\ChangePrompts;
use App\Sessions\Room\ChangeSettings;
use App\Sessions\Room\UndoAct;
use Crag\Session\Door\Door;
use Crag\Session\Door\InvalidName;
use Crag\Session\Door\NameMode;
use Crag\Session\Life\Expiry;
use Crag\Session\Room\InvalidTimer;
use Crag\Session\Room\Pace;
use Crag\Session\Room\Timer;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;

/** What the teacher does to the whole room with one press. */
final class RoomController
{
    /** Pens down with words, or up again; for everybody, for one or for some. */
    public function pens(Request $request, LiveSession $session, Attention $attention): JsonResponse
    {
        $request->validate([
            'down' => ['required', 'boolean'],
            'words' => ['nullable', 'string'],
            'seat' => ['nullable', 'string'],
            'seats' => ['nullable', 'array'],
        ]);
        $ids = $request->filled('seat')
            ? [$request->string('seat')->toString()]
            : ($request->input('seats') === null
                ? null
                : $request->array('seats'));
        $seats = $ids === null ? [null] : $session->people($ids)->all();
        abort_if($seats === [], 404);
        $isDown = $request->boolean('down');
        $act = null;
        try {
            foreach ($seats as $seat) {
                $act = $isDown
                    ? $attention->pensDown($session, $seat, $request->string('words')->toString())
                    : $attention->pensUp($session, $seat);
            }
        } catch (InvalidName $problem) {
            abort(422, __($problem->getMessage()));
        }
        if ($ids === null) {
            return ActAnswer::of($request, $act);
        }
        $for = [
            'name' => count($seats) === 1
                    ? (string) $seats[0]?->name
                    : trans_choice('{1} :count student|[2,*] :count students', count($seats)),
        ];

        return response()->json([
            'said' => $isDown ? __('Pens down for :name.', $for) : __('Pens up for :name.', $for),
            'undo' => [
                'address' => route('desk.pens', $session, false),
                'body' => [
                    'down' => ! $isDown,
                    'seats' => array_map(static fn (?Seat $seat): ?string => $seat?->id, $seats),
                ],
            ],
        ]);
    }

    /** Takes back what was done to everybody, as far as nothing has replaced it since. */
    public function undo(Request $request, LiveSession $session, Act $act, UndoAct $undo): JsonResponse
    {
        CurrentRole::check($request, $session, $act->kind->undoing());
        abort_if($act->isUndone(), 409, __('That’s already been undone.'));
        abort_unless($undo($act), 409, __('Something newer has replaced that. Undo the newer one first.'));

        return response()->json(['said' => ActWords::undone($act)]);
    }

    public function timer(Request $request, LiveSession $session, Attention $attention): JsonResponse
    {
        $request->validate([
            'do' => ['required', Rule::in(['set', 'more', 'pause', 'resume', 'stop'])],
            'seconds' => ['nullable', 'integer'],
            'pens' => ['nullable', 'boolean'],
        ]);
        $now = Clock::ms();
        $timer = $session->timer;
        try {
            $next = match ($request->string('do')->toString()) {
                'set' => Timer::set(
                    $request->integer('seconds') * 1000,
                    $now,
                    $session->settings->sound,
                    $request->boolean('pens'),
                ),
                'more' => $timer?->more(60_000, $now),
                'pause' => $timer?->paused($now),
                'resume' => $timer?->resumed($now),
                default => null,
            };
        } catch (InvalidTimer $problem) {
            abort(422, __($problem->getMessage()));
        }
        $attention->timer($session, $next);

        return response()->json(['timer' => $next?->toArray()]);
    }

    public function door(Request $request, LiveSession $session, AdmitStudents $doorway): JsonResponse
    {
        $request->validate(['door' => ['required', Rule::enum(Door::class)]]);
        $door = Door::from($request->string('door')->toString());
        abort_if(
            $door->needsClassList() && $session->roster_id === null,
            409,
            __('This session has no class list. Start it with one to use this door.'),
        );
        $doorway->set($session, $door);

        return response()->json([]);
    }

    public function pace(Request $request, LiveSession $session, ChangePrompts $steer): JsonResponse
    {
        $request->validate(['pace' => ['required', Rule::enum(Pace::class)]]);

        return ActAnswer::of($request, $steer->pace($session, Pace::from($request->string('pace')->toString())));
    }

    public function settings(Request $request, LiveSession $session, ChangeSettings $change): JsonResponse
    {
        $changes = $request->validate([
            'desk_names' => [Rule::enum(NameMode::class)],
            'shown_names' => [Rule::enum(NameMode::class)],
            'pen_names' => [Rule::enum(NameMode::class)],
            'messages' => ['boolean'],
            'cover' => ['boolean'],
            'sound' => ['boolean'],
            'light' => ['boolean'],
            'offers' => ['boolean'],
            'keep_back' => ['boolean'],
            'usual_words' => ['boolean'],
            'recording' => ['boolean'],
            'camera' => ['boolean'],
            'expires_after' => ['integer', 'min:'.Expiry::LEAST_MINUTES, 'max:'.Expiry::MOST_MINUTES],
            'unsuitable' => ['nullable', 'string', 'max:20000'],
            'watch' => ['array'],
            'feedback' => ['array'],
        ]);
        $change($session, array_map(static fn (mixed $value): mixed => $value ?? '', $changes));

        return response()->json([]);
    }

    /** A sign of life: the session does not end by itself. */
    public function keepOpen(LiveSession $session, Announce $announce): JsonResponse
    {
        $announce($session, Audience::desk($session), 'kept');

        return response()->json(['said' => __('The session stays open.')]);
    }
}
