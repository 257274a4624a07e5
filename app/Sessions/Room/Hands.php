<?php

declare(strict_types=1);

namespace App\Sessions\Room;

use App\Live\Clock;
use App\Models\Message;
use App\Models\Seat;
use App\Models\Teachers\Teacher;
use Crag\Session\Room\ShortMessage;
use Illuminate\Support\Facades\DB;

/** Hands that go up, and the few words that go to and fro. Every message has its sender, and can be removed. */
final readonly class Hands
{
    public function __construct(private RoomState $room)
    {
    }

    /** @param  ?ShortMessage  $note  what it is about, if the student says so */
    public function up(Seat $seat, ?ShortMessage $note): void
    {
        DB::transaction(function () use ($seat, $note): void {
            $seat->update(['hand_at_ms' => $seat->hand_at_ms ?? Clock::ms(), 'had_hand_up' => true]);
            if ($note !== null) {
                $this->write($seat, $note, null);
            }
            $this->room->tellOwn($seat);
        });
    }

    public function down(Seat $seat): void
    {
        DB::transaction(function () use ($seat): void {
            $seat->update(['hand_at_ms' => null, 'coming_at_ms' => null]);
            $this->room->tellOwn($seat);
        });
    }

    /** A teacher is on the way: the hand stays up, and the student is told. */
    public function coming(Seat $seat): void
    {
        DB::transaction(function () use ($seat): void {
            if ($seat->hand_at_ms !== null) {
                $seat->update(['coming_at_ms' => Clock::ms()]);
                $this->room->tellOwn($seat);
            }
        });
    }

    /** The student was seen to: the hand is down, and what was written waits no more. */
    public function seenTo(Seat $seat): void
    {
        DB::transaction(function () use ($seat): void {
            $seat->update(['hand_at_ms' => null, 'coming_at_ms' => null, 'seen_to_at_ms' => Clock::ms()]);
            $this->room->tellOwn($seat);
        });
    }

    /** @param  ?Teacher  $by  null for the student */
    public function say(Seat $seat, ShortMessage $note, ?Teacher $by): void
    {
        DB::transaction(function () use ($seat, $note, $by): void {
            $this->write($seat, $note, $by);
            // An answered hand is down.
            if ($by !== null) {
                $seat->update(['hand_at_ms' => null, 'coming_at_ms' => null]);
            }
            $this->room->tellOwn($seat);
        });
    }

    /** A word to one student that answers nothing: a hand that is up stays up. */
    public function remark(Seat $seat, ShortMessage $note, Teacher $by): void
    {
        DB::transaction(function () use ($seat, $note, $by): void {
            $this->write($seat, $note, $by);
            $this->room->tellOwn($seat);
        });
    }

    /** The reader of work writes, because a teacher lets it. */
    public function read(Seat $seat, string $words, string $reader): void
    {
        DB::transaction(function () use ($seat, $words, $reader): void {
            Message::query()->create([
                'live_session_id' => $seat->live_session_id,
                'seat_id' => $seat->id,
                'teacher_id' => $seat->session->teachers()->firstOrFail()->id,
                'sender' => $reader,
                'words' => ShortMessage::read($words)->words,
                'made_at_ms' => Clock::ms(),
            ]);
            $this->room->tellOwn($seat);
        });
    }

    public function remove(Message $message): void
    {
        DB::transaction(function () use ($message): void {
            $message->update(['is_removed' => true]);
            $this->room->tellOwn($message->seat);
        });
    }

    private function write(Seat $seat, ShortMessage $note, ?Teacher $by): void
    {
        Message::query()->create([
            'live_session_id' => $seat->live_session_id,
            'seat_id' => $seat->id,
            'teacher_id' => $by?->id,
            'sender' => $by === null ? $seat->name : $by->name,
            'words' => $note->words,
            'made_at_ms' => Clock::ms(),
        ]);
    }
}
