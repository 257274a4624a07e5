<?php

declare(strict_types=1);

namespace App\Models\Asks;

use App\Models\LiveSession;
use App\Models\Model;
use App\Models\Seat;
use Crag\Asks\AskLine;
use Crag\Asks\RunResult;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * Several quick asks one after the other.
 *
 * @property string $id
 * @property string $live_session_id
 * @property list<string> $lines  {@see AskLine}
 * @property int $seconds  for each that has no time of its own
 * @property bool $is_auto  moves on by itself
 * @property bool $by_teams
 * @property int $at  which of them is before the class, from 1
 * @property ?int $ended_at_ms
 * @property bool $is_shown  whether the class sees how everybody did
 * @property LiveSession $session
 */
final class Run extends Model
{
    use HasUlids;

    public $timestamps = false;

    protected $table = 'runs';

    protected $guarded = [];

    protected $attributes = ['at' => 0, 'ended_at_ms' => null, 'is_shown' => false];

    protected function casts(): array
    {
        return ['lines' => 'array', 'is_auto' => 'boolean', 'by_teams' => 'boolean', 'is_shown' => 'boolean'];
    }

    public function isOver(): bool
    {
        return $this->ended_at_ms !== null;
    }

    public function result(): RunResult
    {
        $asked = $this->asks()->get()->map(static fn (Ask $ask): array => [$ask->question, $ask->latest()])->all();
        $teams = $this->by_teams
            ? $this->session
                ->seats()
                ->with('entry')
                ->get()
                ->mapWithKeys(static fn (Seat $seat): array => [$seat->id => $seat->groupName()])
                ->all()
            : [];

        return RunResult::of(array_values($asked), $teams);
    }

    /** @return HasMany<Ask, $this> in their order */
    public function asks(): HasMany
    {
        $asks = $this->hasMany(Ask::class);
        $asks->orderBy('n');

        return $asks;
    }

    /** @return BelongsTo<LiveSession, $this> */
    public function session(): BelongsTo
    {
        return $this->belongsTo(LiveSession::class, 'live_session_id');
    }
}
