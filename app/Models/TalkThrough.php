<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A drawing explained aloud: the sound is a file beside the session's pictures.
 *
 * @property string $id
 * @property string $live_session_id
 * @property string $canvas_id
 * @property string $seat_id  who speaks
 * @property int $began_at_ms
 * @property int $lasts_ms
 * @property int $bytes
 * @property int $sent_at_ms
 * @property string $words  what is said, in writing
 * @property Seat $seat
 * @property Canvas $canvas
 */
final class TalkThrough extends Model
{
    use HasUlids;

    protected $table = 'talk_throughs';

    protected $guarded = [];

    public $timestamps = false;

    public function path(): string
    {
        return HeldFolder::of('sessions', $this->live_session_id)."/{$this->id}";
    }

    /** @return BelongsTo<Seat, $this> */
    public function seat(): BelongsTo
    {
        return $this->belongsTo(Seat::class);
    }

    /** @return BelongsTo<Canvas, $this> */
    public function canvas(): BelongsTo
    {
        return $this->belongsTo(Canvas::class);
    }

    /** As a clock says it: 1:05. */
    public function length(): string
    {
        $seconds = intdiv($this->lasts_ms + 500, 1000);

        return sprintf('%d:%02d', intdiv($seconds, 60), $seconds % 60);
    }
}
