<?php

declare(strict_types=1);

namespace App\Models;

use App\Jobs\JobState;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A PDF or a zip of a session's canvases, being made or ready.
 *
 * @property string $id
 * @property string $live_session_id
 * @property JobState $state
 * @property string $kind pdf or zip
 * @property ?array{
 *     kind?: string, by?: string, names?: string, checks?: bool, notes?: bool, words?: bool, per?: int,
 *     prompts?: list<string>, seats?: list<string>,
 * } $options what was chosen
 * @property int $done pages drawn
 * @property int $total
 * @property ?\Illuminate\Support\Carbon $updated_at
 * @property LiveSession $session
 */
final class Record extends Model
{
    use HasUlids;

    private const PATIENCE_S = 120;

    protected $table = 'records';

    protected $guarded = [];

    protected $attributes = ['state' => JobState::Waiting, 'done' => 0, 'total' => 0, 'kind' => 'pdf', 'options' => null];

    protected function casts(): array
    {
        return ['options' => 'array', 'state' => JobState::class];
    }

    /** @return BelongsTo<LiveSession, $this> */
    public function session(): BelongsTo
    {
        return $this->belongsTo(LiveSession::class, 'live_session_id');
    }

    public function path(): string
    {
        return HeldFolder::of('sessions', $this->live_session_id)."/record-{$this->id}.{$this->kind}";
    }

    public function isReady(): bool
    {
        return $this->state === JobState::Ready;
    }

    /** One of which nothing was heard for so long is not waited for: another can be made. */
    public function isUnderWay(): bool
    {
        return $this->state->isUnderWay() &&
            $this->updated_at?->greaterThan(now()->subSeconds(self::PATIENCE_S)) === true;
    }
}
