<?php

declare(strict_types=1);

namespace App\Http\Controllers\Desk;

use App\Live\Announce;
use App\Live\Audience;
use App\Live\Clock;
use App\Models\LiveSession;
use App\Sessions\Attention;
use App\Sessions\ChangeSettings;
use App\Sessions\Doorway;
use App\Sessions\Steer;
use Crag\Session\Door;
use Crag\Session\InvalidName;
use Crag\Session\InvalidTimer;
use Crag\Session\NameMode;
use Crag\Session\Pace;
use Crag\Session\Timer;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;

/** What the teacher does to the whole room with one press. */
final class RoomController
{
    /** Pens down with words, or up again; for everybody or for one. */
    public function pens(Request $request, LiveSession $session, Attention $attention): JsonResponse
    {
        $request->validate(['down' => ['required', 'boolean'], 'words' => ['nullable', 'string'], 'seat' => ['nullable', 'string']]);
        $seat = $request->filled('seat') ? $session->seats()->findOrFail($request->string('seat')->toString()) : null;
        try {
            $request->boolean('down') ? $attention->pensDown($session, $seat, $request->string('words')->toString()) : $attention->pensUp($session, $seat);
        } catch (InvalidName $problem) {
            abort(422, __($problem->getMessage()));
        }

        return response()->json(['said' => $seat === null ? null : ($request->boolean('down') ? __('Pens down for :name.', ['name' => $seat->name]) : __('Pens up for :name.', ['name' => $seat->name]))]);
    }

    public function timer(Request $request, LiveSession $session, Attention $attention): JsonResponse
    {
        $request->validate(['do' => ['required', Rule::in(['set', 'more', 'pause', 'resume', 'stop'])], 'seconds' => ['nullable', 'integer'], 'pens' => ['nullable', 'boolean']]);
        $now = Clock::ms();
        $timer = $session->timerValue();
        try {
            $next = match ($request->string('do')->toString()) {
                'set' => Timer::set($request->integer('seconds') * 1000, $now, $session->settingsValue()->sound, $request->boolean('pens')),
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

    public function door(Request $request, LiveSession $session, Doorway $doorway): JsonResponse
    {
        $request->validate(['door' => ['required', Rule::enum(Door::class)]]);
        $doorway->set($session, Door::from($request->string('door')->toString()));

        return response()->json([]);
    }

    public function pace(Request $request, LiveSession $session, Steer $steer): JsonResponse
    {
        $request->validate(['pace' => ['required', Rule::enum(Pace::class)]]);
        $steer->pace($session, Pace::from($request->string('pace')->toString()));

        return response()->json([]);
    }

    public function settings(Request $request, LiveSession $session, ChangeSettings $change): JsonResponse
    {
        $changes = $request->validate([
            'desk_names' => [Rule::enum(NameMode::class)], 'shown_names' => [Rule::enum(NameMode::class)],
            'messages' => ['boolean'], 'cover' => ['boolean'], 'sound' => ['boolean'], 'light' => ['boolean'],
            'expires_after' => ['integer', 'min:15', 'max:1440'], 'unsuitable' => ['nullable', 'string', 'max:20000'],
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
