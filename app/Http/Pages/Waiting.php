<?php

declare(strict_types=1);

namespace App\Http\Pages;

use App\Models\Seat;
use Crag\Session\Room\SeatState;
use Illuminate\Support\Collection;

/** Who waits for the teacher, and who is in the room. */
final readonly class Waiting
{
    /**
     * @param  Collection<int, Seat>  $knocking  the longest first
     * @param  Collection<int, Seat>  $hands  the longest first
     * @param  Collection<int, Seat>  $inside  by their numbers
     */
    private function __construct(public Collection $knocking, public Collection $hands, public Collection $inside)
    {
    }

    /** @param  Collection<int, Seat>  $seats  all of the session's */
    public static function among(Collection $seats): self
    {
        $inside = $seats->where('state', SeatState::Seated);

        return new self(
            $seats->where('state', SeatState::Knocking)->sortBy('state_at_ms')->values(),
            $inside->whereNotNull('hand_at_ms')->sortBy('hand_at_ms')->values(),
            $inside,
        );
    }

    public function count(): int
    {
        return $this->knocking->count() + $this->hands->count();
    }
}
