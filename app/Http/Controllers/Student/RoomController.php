<?php

declare(strict_types=1);

namespace App\Http\Controllers\Student;

use App\Live\Clock;
use App\Models\Canvas;
use App\Models\Prompt;
use App\Models\Seat;
use App\Models\Show\Offer;
use App\Sessions\Asks\Asking;
use App\Sessions\Room\AdmitStudents;
use App\Sessions\Room\ChangePrompts;
use App\Sessions\Room\Hands;
use App\Sessions\Room\RoomState;
use App\Sessions\Show\Offering;
use App\Sessions\Work\HandOutWork;
use App\Sessions\Work\LeadCanvas;
use App\Sessions\Work\SendWork;
use Crag\Canvas\Drawing\CutOut;
use Crag\Json\UnreadableFields;
use Crag\Session\Door\InvalidName;
use Crag\Session\Door\JoinCode;
use Crag\Session\Door\PersonName;
use Crag\Session\Room\SeatState;
use Crag\Session\Room\ShortMessage;
use Crag\Session\Screen\OfferBoard;
use Crag\Session\Screen\OfferState;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** What a student does in the room beside drawing. */
final class RoomController
{
    /** Hand up, with a few words if there are any, or down. */
    public function hand(Request $request, Seat $seat, Hands $hands): JsonResponse
    {
        $words = $request->string('words')->trim()->toString();
        $mayWrite = $seat->session->settings->messages;
        if ($request->boolean('up')) {
            $hands->up($seat, $words === '' || ! $mayWrite ? null : self::note($words));
        } else {
            $hands->down($seat);
        }

        return $this->own($seat);
    }

    public function write(Request $request, Seat $seat, Hands $hands): JsonResponse
    {
        $hands->say($seat, self::note($request->string('words')->toString()), null);

        return $this->own($seat);
    }

    public function send(Request $request, Seat $seat, SendWork $work): JsonResponse
    {
        $work->send($seat, self::canvas($request, $seat), true);

        return $this->own($seat);
    }

    public function takeBack(Request $request, Seat $seat, SendWork $work): JsonResponse
    {
        $work->send($seat, self::canvas($request, $seat), false);

        return $this->own($seat);
    }

    /** At the own pace, to another prompt that is open. */
    public function turnTo(Request $request, Seat $seat, ChangePrompts $steer): JsonResponse
    {
        $steer->turn(
            $seat,
            Prompt::query()
                ->where('live_session_id', $seat->live_session_id)
                ->whereNull('ask_id')
                ->findOrFail($request->string('prompt')->toString()),
        );

        return $this->own($seat);
    }

    /** The page of the lead canvas that may be looked at, and the ink that lies under the student's. */
    public function lead(Seat $seat): JsonResponse
    {
        $seen = $seat->session->lead;
        $find = static fn (?string $id): ?Canvas => $id === null
            ? null
            : Canvas::query()
                ->where('live_session_id', $seat->live_session_id)
                ->whereNull('seat_id')
                ->whereNull('notes_on_id')
                ->whereNull('over_item_id')
                ->find($id);
        $look = $find($seen->canvas);
        $ink = $find($seen->inkCanvas);

        return response()->json([
            'look' => $look === null
                    ? null
                    : [
                        'canvas' => $look->id,
                        'page' => $seen->page,
                        'n' => $look->operation_count,
                        'scene' => LeadCanvas::page($look, $seen->page)->toArray(),
                    ],
            'ink' => $ink === null
                    ? null
                    : [
                        'canvas' => $ink->id,
                        'prompt' => $ink->prompt_id,
                        'n' => $ink->operation_count,
                        'scene' => LeadCanvas::ink($ink, $seen->inkFrom)->toArray(),
                    ],
        ]);
    }

    /** A code to type on another device, which then has this place. */
    public function code(Seat $seat): JsonResponse
    {
        $seat->update(['code' => JoinCode::draw(random_int(...))->value, 'code_at_ms' => Clock::ms()]);

        return response()->json(['code' => JoinCode::read((string) $seat->code)->spaced()]);
    }

    public function light(Request $request, Seat $seat, RoomState $room): JsonResponse
    {
        $seat->update(['light' => $request->boolean('on')]);
        $room->tellOwn($seat);

        return $this->own($seat);
    }

    /** "Please don’t show mine", and yes again. */
    public function keepBack(Request $request, Seat $seat, RoomState $room): JsonResponse
    {
        $seat->update(['keeps_back' => $request->boolean('on')]);
        $room->tellOwn($seat);

        return $this->own($seat);
    }

    /** The own canvas, or a part of it, for the class: the teacher looks at it first. */
    public function offer(Request $request, Seat $seat, Offering $offering): JsonResponse
    {
        $request->validate([
            'canvas' => ['required', 'string'],
            'page' => ['nullable', 'string', 'max:40'],
            'cut' => ['nullable', 'array'],
            'words' => ['nullable', 'string', 'max:'.OfferBoard::LONGEST_WORDS],
        ]);
        abort_if(
            $seat->session->offers()->where('seat_id', $seat->id)->where('state', OfferState::Waiting)->count() >=
                OfferBoard::MOST_WAITING,
            409,
            __('Your teacher has not looked at your other offers yet.'),
        );
        abort_if(
            Offer::query()->where('seat_id', $seat->id)->count() >= OfferBoard::MOST,
            409,
            __('You’ve offered enough in this session.'),
        );
        $canvas = self::canvas($request, $seat);
        $scene = $canvas->scene();
        $page = $request->string('page')->toString();
        $page = isset($scene->pages[$page]) ? $page : '';
        try {
            $cut =
                $request->input('cut') === null
                    ? null
                    : CutOut::read((array) $request->json('cut'), $scene->paper($page));
        } catch (UnreadableFields $problem) {
            abort(422, $problem->getMessage());
        }
        $offering->offer(
            $seat,
            $canvas,
            $page,
            $cut,
            $request->string('words')->trim()->toString(),
        );

        return response()->json([]);
    }

    /** An answer to the quick ask that is before the class; null takes it back. */
    public function answerAsk(Request $request, Seat $seat, Asking $asking): JsonResponse
    {
        $ask = $seat->session->ask;
        abort_if(
            $ask === null || $ask->id !== $request->input('ask') || ! $ask->isFor($seat),
            409,
            __('This question is no longer open.'),
        );
        $value = $request->json('value');
        try {
            $asking->answer($ask, $seat, $value === null ? null : $ask->question->asked->read($value));
        } catch (UnreadableFields $problem) {
            abort(422, $problem->getMessage());
        }

        return response()->json([]);
    }

    /** Whoever was turned away may knock under another name; whoever was sent out stays who they are. */
    public function knock(Request $request, Seat $seat, AdmitStudents $doorway): JsonResponse
    {
        $request->validate(['name' => ['nullable', 'string', 'max:200']]);
        try {
            $doorway->knockAgain(
                $seat,
                $seat->state === SeatState::TurnedAway && $request->filled('name')
                    ? PersonName::read($request->string('name')->toString())
                    : null,
            );
        } catch (InvalidName $problem) {
            abort(422, __($problem->getMessage()));
        }

        return $this->own($seat);
    }

    /** The page has what was handed out. */
    public function got(Request $request, Seat $seat, HandOutWork $handOut): JsonResponse
    {
        $handOut->got(
            self::canvas($request, $seat),
            $request->filled('handout') ? $request->string('handout')->toString() : null,
        );

        return response()->json([]);
    }

    private function own(Seat $seat): JsonResponse
    {
        return response()->json(['own' => RoomState::own(RoomState::now($seat))]);
    }

    private static function canvas(Request $request, Seat $seat): Canvas
    {
        return $seat->worksOn()->with('seat.members.seat')->findOrFail($request->string('canvas')->toString());
    }

    private static function note(string $words): ShortMessage
    {
        try {
            return ShortMessage::read($words);
        } catch (InvalidName $problem) {
            abort(422, __($problem->getMessage()));
        }
    }
}
