<?php

declare(strict_types=1);

namespace App\Models\Session;

use App\Models\Member;
use App\Models\Message;
use App\Models\Pick;
use App\Models\Seat;
use App\Models\Teachers\Roster;
use App\Models\Teachers\RosterEntry;
use Crag\Session\Door\JoinCode;
use Crag\Session\Room\SeatState;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;

/** Who is in the room, and who wants what. */
trait RoomOfSession
{
    public function code(): JoinCode
    {
        return JoinCode::read($this->join_code);
    }

    /** @return BelongsTo<Roster, $this> */
    public function roster(): BelongsTo
    {
        return $this->belongsTo(Roster::class);
    }

    /** Whether students may explain drawings aloud: the installation allows it, and the teacher. */
    public function mayRecord(): bool
    {
        return config()->boolean('crag.recording') && $this->settings->recording;
    }

    /** Whether a camera may run with it, in a corner. */
    public function mayFilm(): bool
    {
        return config()->boolean('crag.camera') && $this->mayRecord() && $this->settings->camera;
    }

    /** @return HasMany<Seat, $this> the students' */
    public function seats(): HasMany
    {
        $seats = $this->hasMany(Seat::class)->chaperone('session');
        $seats->whereNull('stands_for')->orderBy('n');

        return $seats;
    }

    /** @return HasMany<Seat, $this> the students who have canvases, their own or a group's */
    public function seatsWithWork(): HasMany
    {
        $seats = $this->seats();
        $seats->where(
            static fn (Builder $seat) => $seat->whereHas('canvases')->orWhereHas('memberships'),
        );

        return $seats;
    }

    /** @return HasMany<Seat, $this> those that stand for groups, and hold what is drawn together */
    public function groupSeats(): HasMany
    {
        $seats = $this->hasMany(Seat::class)->chaperone('session');
        $seats->whereNotNull('stands_for')->orderBy('n');

        return $seats;
    }

    /**
     * The students who are named; of a seat that stands for a group, all who are in it.
     *
     * @param  array<array-key, mixed>  $ids
     * @return Collection<int, Seat>
     */
    public function people(array $ids): Collection
    {
        $ids = array_filter($ids, is_string(...));

        return $this->seats()
            ->where(static fn (Builder $seat) => $seat->whereIn('id', $ids)->orWhereIn(
                'id',
                Member::query()->whereIn('group_id', $ids)->whereNull('until_ms')->select('seat_id'),
            ))
            ->get();
    }

    /** @return HasMany<Seat, $this> those who are in the room, or were when it ended */
    public function seated(): HasMany
    {
        $seats = $this->seats();
        $seats->where('state', SeatState::Seated);

        return $seats;
    }

    /**
     * Places that were taken in the last minutes and where nothing was drawn.
     *
     * @return HasMany<Seat, $this>
     */
    public function freshSeats(): HasMany
    {
        $fresh = $this->seats();
        $fresh
            ->where('created_at', '>=', now()->subMinutes(self::FRESH_MINUTES))
            ->whereDoesntHave('canvases', static fn (Builder $canvas) => $canvas->whereNotNull('last_stroke_ms'));

        return $fresh;
    }

    /** @return Collection<int, RosterEntry> those of the class list who have not joined */
    public function missing(): Collection
    {
        return $this->roster === null
            ? new Collection()
            : $this->roster
                ->entries()
                ->whereNotIn('id', $this->seats()->whereNotNull('roster_entry_id')->pluck('roster_entry_id'))
                ->get();
    }

    /** @return HasMany<Message, $this> oldest first, without those that were removed */
    public function messages(): HasMany
    {
        $messages = $this->hasMany(Message::class)->orderBy('id');
        $messages->where('is_removed', false);

        return $messages;
    }

    /** @return HasMany<Pick, $this> the latest first, without those that were undone */
    public function picks(): HasMany
    {
        $picks = $this->hasMany(Pick::class);
        $picks->where('is_undone', false)->orderByDesc('id');

        return $picks;
    }
}
