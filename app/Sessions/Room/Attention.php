<?php

declare(strict_types=1);

namespace App\Sessions\Room;

use App\Live\Clock;
use App\Models\LiveSession;
use App\Models\Seat;
use Crag\Session\Door\InvalidName;
use Crag\Session\Room\Pens;
use Crag\Session\Room\Timer;
use Illuminate\Support\Facades\DB;

/** Pens down and up, and the timer. */
final readonly class Attention
{
    public function __construct(private RoomState $room)
    {
    }

    /**
     * @param  ?Seat  $seat  null for everybody
     *
     * @throws InvalidName when the words are too long
     */
    public function pensDown(LiveSession $session, ?Seat $seat, string $words): void
    {
        $pens = Pens::down(Clock::ms(), $words);
        DB::transaction(
            fn () => $seat === null ? $this->change($session, ['pens' => $pens]) : $this->ofOne($seat, $pens),
        );
    }

    /** Everybody's pens go up, those of single students too, and a timer that is over has done its work. */
    public function pensUp(LiveSession $session, ?Seat $seat): void
    {
        DB::transaction(function () use ($session, $seat): void {
            if ($seat !== null) {
                $this->ofOne($seat, Pens::up());

                return;
            }
            $timer = $session->timer;
            $isOver = $timer !== null && $timer->isRunning() && $timer->left(Clock::ms()) <= 0;
            $this->change($session, ['pens' => Pens::up()] + ($isOver ? ['timer' => null] : []));
            foreach ($session->seats()->whereNotNull('pens')->get() as $one) {
                $this->ofOne($one, Pens::up());
            }
        });
    }

    public function timer(LiveSession $session, ?Timer $timer): void
    {
        DB::transaction(fn () => $this->change($session, ['timer' => $timer]));
    }

    /** @param  array<string, mixed>  $changes */
    private function change(LiveSession $session, array $changes): void
    {
        $session->update($changes);
        $this->room->tell($session);
    }

    private function ofOne(Seat $seat, Pens $pens): void
    {
        $seat->update(['pens' => $pens]);
        $this->room->tellOwn($seat);
    }
}
