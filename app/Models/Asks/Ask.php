<?php

declare(strict_types=1);

namespace App\Models\Asks;

use App\Models\Casts\AskedQuestion;
use App\Models\LiveSession;
use App\Models\Model;
use App\Models\Prompt;
use App\Models\Seat;
use Crag\Asks\Changes;
use Crag\Asks\Moves;
use Crag\Asks\Tally;
use Crag\Prompt\Question\Question;
use Crag\Session\Screen\ScreenView;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasOne;

/**
 * A question that is asked of everybody, or of some, on the spot.
 *
 * @property string $id
 * @property string $live_session_id
 * @property int $n
 * @property Question $question
 * @property ?list<string> $seats  who is asked; null for everybody
 * @property bool $is_anonymous  even to the teacher
 * @property int $made_at_ms
 * @property ?int $ends_at_ms
 * @property ?int $closed_at_ms
 * @property bool $is_tally_shown
 * @property bool $is_right_shown
 * @property ?string $again_of_id
 * @property ?ScreenView $screen_before  what the class screen showed before this came onto it
 * @property ?string $run_id
 * @property string $picture  an asset's id, or nothing
 * @property bool $is_vote  on offered work, by its numbers
 * @property ?Prompt $drawings
 * @property ?Ask $againOf
 * @property \Illuminate\Database\Eloquent\Collection<int, AskAnswer> $answers
 * @property LiveSession $session
 */
final class Ask extends Model
{
    use HasUlids;

    public $timestamps = false;

    protected $table = 'asks';

    protected $guarded = [];

    protected $attributes = [
        'seats' => null,
        'is_anonymous' => false,
        'ends_at_ms' => null,
        'closed_at_ms' => null,
        'is_tally_shown' => false,
        'is_right_shown' => false,
        'again_of_id' => null,
        'screen_before' => null,
        'run_id' => null,
        'picture' => '',
        'is_vote' => false,
    ];

    protected function casts(): array
    {
        return [
            'question' => AskedQuestion::class,
            'seats' => 'array',
            'is_anonymous' => 'boolean',
            'is_vote' => 'boolean',
            'is_tally_shown' => 'boolean',
            'is_right_shown' => 'boolean',
            'screen_before' => ScreenView::class,
        ];
    }

    /** @return HasOne<Prompt, $this> what is drawn on, where it is answered by drawing */
    public function drawings(): HasOne
    {
        return $this->hasOne(Prompt::class);
    }

    /** How many have answered: of drawings, how many are sent. */
    public function answered(): int
    {
        $drawings = $this->drawings;

        return $drawings === null
            ? $this->tally()->answered
            : $drawings->canvases()->whereNotNull('sent_at_ms')->count();
    }

    public function isOpen(int $nowMs): bool
    {
        return $this->closed_at_ms === null && ($this->ends_at_ms === null || $nowMs < $this->ends_at_ms);
    }

    public function isFor(Seat $seat): bool
    {
        return $this->seats === null || in_array($seat->id, $this->seats, true);
    }

    /** Under what a seat's answers are written down. */
    public function voter(Seat $seat): string
    {
        return $this->is_anonymous
            ? hash_hmac('sha256', "{$this->id} {$seat->id} {$seat->token_hash}", config()->string('app.key'))
            : $seat->id;
    }

    /** @return array<string, mixed> by voter, the latest of each */
    public function latest(): array
    {
        $latest = [];
        foreach ($this->answers()->get() as $answer) {
            $latest[$answer->voter] = $answer->value['value'];
        }

        return array_filter($latest, static fn (mixed $value): bool => $value !== null);
    }

    public function tally(): Tally
    {
        return Tally::of($this->question, $this->latest());
    }

    /** Where answers went since the same was asked before; null where it was not, or where nobody is known. */
    public function moves(): ?Moves
    {
        return $this->againOf === null || $this->is_anonymous || $this->againOf->is_anonymous
            ? null
            : Moves::between($this->question, $this->againOf->latest(), $this->latest());
    }

    public function changes(): Changes
    {
        return Changes::among(
            $this->question,
            $this->answers()
                ->get()
                ->map(static fn (AskAnswer $one): array => [$one->voter, $one->value['value']])
                ->all(),
        );
    }

    /** @return HasMany<AskAnswer, $this> in the order in which they came */
    public function answers(): HasMany
    {
        $answers = $this->hasMany(AskAnswer::class);
        $answers->orderBy('id');

        return $answers;
    }

    /** @return BelongsTo<Ask, $this> */
    public function againOf(): BelongsTo
    {
        return $this->belongsTo(self::class, 'again_of_id');
    }

    /** @return BelongsTo<LiveSession, $this> */
    public function session(): BelongsTo
    {
        return $this->belongsTo(LiveSession::class, 'live_session_id');
    }
}
