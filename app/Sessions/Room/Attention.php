<?php

declare(strict_types=1);

namespace App\Sessions\Room;

use App\Live\Clock;
use App\Models\Act;
use App\Models\LiveSession;
use App\Models\Seat;
use Crag\Session\Door\InvalidName;
use Crag\Session\Room\ActKind;
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
     * @return ?Act where it was for everybody
     *
     * @throws InvalidName when the words are too long
     */
    public function pensDown(LiveSession $session, ?Seat $seat, string $words): ?Act
    {
        $pens = Pens::down(Clock::ms(), $words);

        return DB::transaction(function () use ($session, $seat, $pens): ?Act {
            if ($seat !== null) {
                $this->ofOne($seat, $pens);

                return null;
            }
            $act = $this->note($session, $pens);
            $this->change($session, ['pens' => $pens]);

            return $act;
        });
    }

    /** Everybody's pens go up, those of single students too, and a timer that is over has done its work. */
    public function pensUp(LiveSession $session, ?Seat $seat): ?Act
    {
        return DB::transaction(function () use ($session, $seat): ?Act {
            if ($seat !== null) {
                $this->ofOne($seat, Pens::up());

                return null;
            }
            $act = $this->note($session, Pens::up());
            $timer = $session->timer;
            $isOver = $timer !== null && $timer->isRunning() && $timer->left(Clock::ms()) <= 0;
            $this->change($session, ['pens' => Pens::up()] + ($isOver ? ['timer' => null] : []));
            foreach ($session->seats()->whereNotNull('pens')->get() as $one) {
                $this->ofOne($one, Pens::up());
            }

            return $act;
        });
    }

    /** Everybody's pens, and those of single students, as they were. */
    public function back(Act $act): void
    {
        DB::transaction(function () use ($act): void {
            /** @var array{pens: ?array<string, mixed>, seats: array<string, array<string, mixed>>} $before */
            $before = $act->before;
            $this->change($act->session, ['pens' => Pens::read($before['pens'])]);
            foreach ($act->session->seated()->whereIn('id', array_keys($before['seats']))->get() as $seat) {
                $this->ofOne($seat, Pens::read($before['seats'][$seat->id]));
            }
        });
    }

    private function note(LiveSession $session, Pens $now): Act
    {
        return Act::note(
            $session,
            ActKind::Pens,
            null,
            ['down' => $now->isDown(), 'n' => $session->seated()->count()],
            [
                'pens' => $session->pens->toArray(),
                'seats' => $session
                    ->seated()
                    ->whereNotNull('pens')
                    ->get()
                    ->mapWithKeys(static fn (Seat $one): array => [$one->id => $one->pens->toArray()])
                    ->all(),
            ],
        );
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
