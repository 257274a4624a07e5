<?php

declare(strict_types=1);

namespace App\Http\Pages;

use App\Models\Message;
use App\Models\Seat;
use Crag\Session\Room\SeatState;
use Illuminate\Support\Collection;

/** Who waits for the teacher, and who is in the room. */
final readonly class Waiting
{
    /**
     * @param  Collection<int, WaitingOne>  $all  the longest first
     * @param  Collection<int, Seat>  $knocking  the longest first
     * @param  Collection<int, Seat>  $inside  by their numbers
     */
    private function __construct(public Collection $all, public Collection $knocking, public Collection $inside)
    {
    }

    /**
     * @param  Collection<int, Seat>  $seats  all of the session's
     * @param  Collection<array-key, covariant Collection<int, Message>>  $messages  by the seat's id, the oldest first
     */
    public static function among(Collection $seats, Collection $messages): self
    {
        $inside = $seats->where('state', SeatState::Seated);
        $knocking = $seats->where('state', SeatState::Knocking)->sortBy('state_at_ms')->values();
        $all = $knocking->map(WaitingOne::knocks(...));
        foreach ($inside as $seat) {
            $one = WaitingOne::of($seat, $messages->get($seat->id));
            if ($one !== null) {
                $all->push($one);
            }
        }

        return new self($all->sortBy('since')->values(), $knocking, $inside);
    }

    public function count(): int
    {
        return $this->all->count();
    }
}
