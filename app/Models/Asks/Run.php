<?php

declare(strict_types=1);

namespace App\Models\Asks;

use App\Models\Casts\CoreValue;
use App\Models\LiveSession;
use App\Models\Model;
use Crag\Asks\Card;
use Crag\Asks\CardKind;
use Crag\Asks\RunResult;
use Crag\Asks\Teams;
use Crag\Session\Screen\ScreenView;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * Several quick asks one after the other.
 *
 * @property string $id
 * @property string $live_session_id
 * @property list<mixed> $cards  {@see Card::list}
 * @property int $seconds  for each that has no time of its own
 * @property bool $is_auto  moves on by itself
 * @property ?Teams $teams
 * @property bool $on_screen  whether it stands on the class screen as it goes on
 * @property ?ScreenView $screen_before  what the class screen goes back to
 * @property ?int $ends_at_ms  of a card that is no ask: when its time is up
 * @property ?int $looked_at_ms  when the answers to the present card were shown
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

    protected $attributes = [
        'at' => 0,
        'ended_at_ms' => null,
        'is_shown' => false,
        'teams' => null,
        'on_screen' => false,
        'screen_before' => null,
        'ends_at_ms' => null,
        'looked_at_ms' => null,
    ];

    protected function casts(): array
    {
        return [
            'cards' => 'array',
            'is_auto' => 'boolean',
            'teams' => CoreValue::class.':'.Teams::class,
            'on_screen' => 'boolean',
            'screen_before' => ScreenView::class,
            'is_shown' => 'boolean',
        ];
    }

    public function isOver(): bool
    {
        return $this->ended_at_ms !== null;
    }

    /** @return list<Card> */
    public function cards(): array
    {
        return Card::list($this->cards);
    }

    /** @param  ?int  $at  from 1; without it the one before the class */
    public function card(?int $at = null): ?Card
    {
        $card = $this->cards[($at ?? $this->at) - 1] ?? null;

        return $card === null ? null : Card::one($card);
    }

    /** When it takes its next step by itself. */
    public function stepsAt(?Ask $ask): ?int
    {
        $card = $this->is_auto && ! $this->isOver() ? $this->card() : null;
        if ($card === null) {
            return null;
        }
        $over = match (true) {
            $card->kind !== CardKind::Ask => $this->ends_at_ms,
            // Put away by hand: nothing is waited for.
            $ask === null => 0,
            // The teacher's own question comes between: the run waits.
            $ask->run_id !== $this->id => null,
            default => $ask->closed_at_ms ?? $ask->ends_at_ms,
        };

        return $card->stepsAt($over, $this->looked_at_ms);
    }

    public function result(): RunResult
    {
        $asked = $this->asks()->get()->map(static fn (Ask $ask): array => [$ask->question, $ask->latest()])->all();

        return RunResult::of(array_values($asked), $this->teams?->all() ?? []);
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
