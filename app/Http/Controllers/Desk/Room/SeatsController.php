<?php

declare(strict_types=1);

namespace App\Http\Controllers\Desk\Room;

use App\Http\Pages\Deeds;
use App\Models\LiveSession;
use App\Models\Message;
use App\Models\Seat;
use App\Models\Teachers\Teacher;
use App\Sessions\Life\ForgetStudent;
use App\Sessions\Room\AdmitStudents;
use App\Sessions\Room\Hands;
use Crag\Session\Door\InvalidName;
use Crag\Session\Door\PersonName;
use Crag\Session\Room\SeatState;
use Crag\Session\Room\ShortMessage;
use Illuminate\Contracts\View\View;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** The door and the seats, and what is said to a student. */
final class SeatsController
{
    private const LONGEST_REASON = 200;

    public function __construct(private readonly AdmitStudents $doorway)
    {
    }

    /** What was written to and fro with one student, and what can be done. */
    public function show(Request $request, LiveSession $session, Seat $student): View
    {
        if ($student->isGroup()) {
            return view('desk.room.group-body', [
                'session' => $session,
                'group' => $student,
                'members' => $student->people(),
                'deeds' => Deeds::of($request, $session),
            ]);
        }

        return view('desk.room.talk-body', [
            'session' => $session,
            'seat' => $student,
            'messages' => $student->messages()->get(),
            'deeds' => Deeds::of($request, $session),
        ]);
    }

    /** Those who are named, or all who knock. One who says to be somebody else's seat can be let in as that. */
    public function letIn(Request $request, LiveSession $session): JsonResponse
    {
        $request->validate([
            'seats' => ['array'],
            'seats.*' => ['string'],
            'all' => ['boolean'],
            'claimed' => ['boolean'],
        ]);
        $seats = $request->boolean('all')
            ? $session->seats()->where('state', SeatState::Knocking)->get()
            : $this->seats($request, $session);
        foreach ($seats as $seat) {
            $claims = $request->boolean('claimed') ? $session->seats()->find($seat->claims_id) : null;
            if ($claims === null) {
                $this->doorway->letIn($seat);
            } else {
                $this->doorway->letInAs($seat, $claims);
            }
        }

        return response()->json([
            'said' => trans_choice(
                '{0} Nobody is knocking.|{1} :count student let in.|[2,*] :count students let in.',
                $seats->count(),
            ),
        ]);
    }

    public function turnAway(Request $request, LiveSession $session): JsonResponse
    {
        $request->validate([
            'seats' => ['required', 'array'],
            'reason' => ['nullable', 'string', 'max:'.self::LONGEST_REASON],
        ]);
        foreach ($this->seats($request, $session)->where('state', SeatState::Knocking) as $seat) {
            $this->doorway->turnAway($seat, $request->string('reason')->trim()->toString());
        }

        return response()->json([]);
    }

    public function sendOut(Request $request, LiveSession $session): JsonResponse
    {
        $request->validate([
            'seat' => ['required', 'string'],
            'reason' => ['nullable', 'string', 'max:'.self::LONGEST_REASON],
            'keep' => ['boolean'],
        ]);
        $seat = $this->seat($request, $session);
        $this->doorway->sendOut($seat, $request->string('reason')->trim()->toString(), $request->boolean('keep'));

        return response()->json([
            'said' => $request->boolean('keep')
                ? __(':name can’t come back in. Their work is kept.', ['name' => $seat->name])
                : __(':name has left the session. Their work is kept.', ['name' => $seat->name]),
            'undo' => ['address' => route('desk.let-in', $session, false), 'body' => ['seats' => [$seat->id]]],
        ]);
    }

    /** Places that were taken just now and stand empty, all of them. */
    public function clearFresh(LiveSession $session, ForgetStudent $forget): JsonResponse
    {
        return response()->json([
            'said' => trans_choice(
                '{0} Everyone here has drawn something.|{1} :count place is free again.|[2,*] :count places are free again.',
                $forget->fresh($session),
            ),
        ]);
    }

    public function rename(Request $request, LiveSession $session): JsonResponse
    {
        $seat = $this->seat($request, $session);
        try {
            $this->doorway->rename($seat, PersonName::read($request->string('name')->toString()));
        } catch (InvalidName $problem) {
            abort(422, __($problem->getMessage()));
        }

        return response()->json(['name' => $seat->name]);
    }

    /**
     * A few words to one student or to some, which answer a hand; without words the student was seen to, or a teacher
     * is on the way.
     */
    public function hand(Request $request, LiveSession $session, Hands $hands): JsonResponse
    {
        $seats =
            $request->input('seats') === null
                ? [$this->seat($request, $session)]
                : $this->seats($request, $session)->all();
        abort_if($seats === [], 404);
        try {
            $note = $request->filled('words') ? ShortMessage::read($request->string('words')->toString()) : null;
        } catch (InvalidName $problem) {
            abort(422, __($problem->getMessage()));
        }
        foreach ($seats as $seat) {
            if ($request->boolean('coming')) {
                $hands->coming($seat);
            } elseif ($note === null) {
                $hands->seenTo($seat);
            } else {
                $hands->say($seat, $note, $this->teacher($request));
            }
        }
        $name =
            count($seats) === 1
                ? $seats[0]->name
                : trans_choice('{1} :count student|[2,*] :count students', count($seats));

        return response()->json(['said' => $note === null ? null : __('Sent to :name.', ['name' => $name])]);
    }

    public function removeMessage(LiveSession $session, Message $message, Hands $hands): JsonResponse
    {
        $hands->remove($message);

        return response()->json([]);
    }

    /** @return Collection<int, Seat> */
    private function seats(Request $request, LiveSession $session): Collection
    {
        return $session->people($request->array('seats'));
    }

    private function seat(Request $request, LiveSession $session): Seat
    {
        return $session->seats()->findOrFail($request->string('seat')->toString());
    }

    private function teacher(Request $request): Teacher
    {
        $teacher = $request->attributes->get('teacher');

        return $teacher instanceof Teacher ? $teacher : abort(403);
    }
}
