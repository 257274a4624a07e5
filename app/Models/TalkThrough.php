<?php

declare(strict_types=1);

namespace App\Models;

use Crag\Canvas\Log\OperationKind;
use Crag\Formats\Captions;
use Crag\Formats\Sound;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A drawing explained aloud, by a student or by a teacher: the sound is a file beside the session's pictures.
 *
 * @property string $id
 * @property string $live_session_id
 * @property string $canvas_id
 * @property ?string $seat_id  who speaks; null where a teacher does
 * @property ?string $teacher_id
 * @property string $speaker  the name under which a teacher spoke; empty where a student did
 * @property int $began_at_ms
 * @property int $lasts_ms
 * @property int $bytes
 * @property int $sent_at_ms
 * @property bool $is_filmed  whether it has small pictures of who speaks
 * @property string $words  what is said, in writing
 * @property ?Seat $seat
 * @property Canvas $canvas
 */
final class TalkThrough extends Model
{
    use HasUlids;

    protected $table = 'talk_throughs';

    protected $guarded = [];

    protected $attributes = ['speaker' => '', 'is_filmed' => false];

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

    protected function casts(): array
    {
        return ['is_filmed' => 'boolean'];
    }

    public function mime(): string
    {
        return $this->is_filmed ? Sound::FILMED_MIME : Sound::MIME;
    }

    public function isByTeacher(): bool
    {
        return $this->seat_id === null;
    }

    /** The page that was drawn on last when it ended. */
    public function page(): string
    {
        $last = $this->canvas
            ->operations()
            ->reorder()
            ->orderByDesc('n')
            ->where('made_at_ms', '<=', $this->began_at_ms + $this->lasts_ms)
            ->whereIn('kind', [OperationKind::Add->value, OperationKind::Change->value])
            ->first();
        $page = $last === null ? null : json_decode($last->body, true)['page'] ?? '';

        return is_string($page) && isset($this->canvas->scene()->pages[$page]) ? $page : '';
    }

    public function captions(): Captions
    {
        return Captions::read($this->words, $this->lasts_ms);
    }

    /** As a clock says it: 1:05. */
    public function length(): string
    {
        $seconds = intdiv($this->lasts_ms + 500, 1000);

        return sprintf('%d:%02d', intdiv($seconds, 60), $seconds % 60);
    }
}
