<?php

declare(strict_types=1);

namespace App\Models;

use App\Live\Clock;
use App\Models\Teachers\Teacher;
use Crag\Session\Room\ActKind;
use Crag\Session\Room\RoomAct;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * Something that was done to the whole room, with how it was before.
 *
 * @property string $id
 * @property string $live_session_id
 * @property ?string $teacher_id
 * @property ?string $prompt_id
 * @property ?string $handout_id
 * @property ActKind $kind
 * @property array<string, mixed> $said  what the sentence about it needs: numbers and names of things, none of people
 * @property array<string, mixed> $before
 * @property int $made_at_ms
 * @property ?int $undone_at_ms
 * @property LiveSession $session
 * @property ?Teacher $teacher
 * @property ?Prompt $prompt
 * @property ?Handout $handout
 */
final class Act extends Model
{
    use HasUlids;

    protected $table = 'acts';

    protected $guarded = [];

    public $timestamps = false;

    protected $attributes = ['teacher_id' => null, 'undone_at_ms' => null];

    protected function casts(): array
    {
        return ['kind' => ActKind::class, 'said' => 'array', 'before' => 'array'];
    }

    /**
     * @param  array<string, mixed>  $said
     * @param  array<string, mixed>  $before
     */
    public static function note(
        LiveSession $session,
        ActKind $kind,
        ?Prompt $prompt,
        array $said,
        array $before,
        ?Handout $handout = null,
    ): self {
        return self::query()->create([
            'live_session_id' => $session->id,
            'kind' => $kind,
            'prompt_id' => $prompt?->id,
            'handout_id' => $handout?->id,
            'said' => $said,
            'before' => $before,
            'made_at_ms' => Clock::ms(),
        ]);
    }

    public function isUndone(): bool
    {
        return $this->undone_at_ms !== null || $this->handout?->undone_at_ms !== null;
    }

    public function value(): RoomAct
    {
        return new RoomAct($this->id, $this->kind, $this->prompt_id, $this->isUndone());
    }

    /** @return BelongsTo<LiveSession, $this> */
    public function session(): BelongsTo
    {
        return $this->belongsTo(LiveSession::class, 'live_session_id');
    }

    /** @return BelongsTo<Teacher, $this> */
    public function teacher(): BelongsTo
    {
        return $this->belongsTo(Teacher::class);
    }

    /** @return BelongsTo<Prompt, $this> */
    public function prompt(): BelongsTo
    {
        return $this->belongsTo(Prompt::class);
    }

    /** @return BelongsTo<Handout, $this> */
    public function handout(): BelongsTo
    {
        return $this->belongsTo(Handout::class);
    }
}
