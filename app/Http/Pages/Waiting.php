<?php

declare(strict_types=1);

namespace App\Http\Pages;

use App\Models\Canvas;
use App\Models\Message;
use App\Models\Prompt;
use App\Models\Seat;
use App\Models\Show\Offer;
use Crag\Session\Room\SeatState;
use Illuminate\Support\Collection;

/** Who waits for the teacher, and who is in the room. */
final readonly class Waiting
{
    /**
     * @param  Collection<int, WaitingOne>  $all  the longest first
     * @param  Collection<int, WaitingOne>  $sent  work that was not looked at since, the longest first
     * @param  Collection<int, Seat>  $knocking  the longest first
     * @param  Collection<int, Seat>  $inside  by their numbers
     */
    private function __construct(
        public Collection $all,
        public Collection $sent,
        public Collection $knocking,
        public Collection $inside,
    ) {
    }

    /**
     * @param  Collection<int, Seat>  $seats  all of the session's
     * @param  Collection<array-key, covariant Collection<int, Message>>  $messages  by the seat's id, the oldest first
     * @param  Collection<int, Offer>  $offers  those that wait
     * @param  Collection<int, Prompt>  $prompts  with their canvases and whose they are
     */
    public static function among(Collection $seats, Collection $messages, Collection $offers, Collection $prompts): self
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

        $all->push(...$offers->map(WaitingOne::offers(...)));
        $sent = $prompts
            ->flatMap(static fn (Prompt $prompt): Collection => $prompt->canvases->toBase())
            ->map(
                static fn (Canvas $canvas): ?WaitingOne => $canvas->seat?->isIn() === true
                    ? WaitingOne::sent($canvas, $canvas->seat)
                    : null,
            )
            ->filter();

        return new self($all->sortBy('since')->values(), $sent->sortBy('since')->values(), $knocking, $inside);
    }

    public function count(): int
    {
        return $this->all->count();
    }

    /** How many of each kind there are, in words; nothing where nobody waits. */
    public function counts(): string
    {
        $kinds = [...$this->all, ...$this->sent];
        $n = array_count_values(array_map(static fn (WaitingOne $one): string => $one->kind, $kinds));
        $said = [
            WaitingOne::HAND => '{1} :count hand|[2,*] :count hands',
            WaitingOne::KNOCKS => '{1} :count knocking|[2,*] :count knocking',
            WaitingOne::WROTE => '{1} :count message|[2,*] :count messages',
            WaitingOne::OFFERS => '{1} :count offer|[2,*] :count offers',
            WaitingOne::SENT => '{1} :count sent|[2,*] :count sent',
        ];

        return implode(
            ' · ',
            array_map(
                static fn (string $kind): string => trans_choice($said[$kind], $n[$kind]),
                array_keys(array_intersect_key($said, $n)),
            ),
        );
    }
}
