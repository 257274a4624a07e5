<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A few words between a student and the teachers, or from a teacher to a student. Students never write to each other.
 *
 * @property string $id
 * @property string $live_session_id
 * @property string $seat_id
 * @property ?string $teacher_id  null where the student wrote it
 * @property string $sender  the name under which it was written
 * @property string $words
 * @property int $made_at_ms
 * @property bool $is_removed
 * @property Seat $seat
 */
final class Message extends Model
{
    use HasUlids;

    public $timestamps = false;

    protected $table = 'messages';

    protected $guarded = [];

    protected $attributes = ['is_removed' => false, 'teacher_id' => null];

    protected function casts(): array
    {
        return ['is_removed' => 'boolean'];
    }

    public function isFromStudent(): bool
    {
        return $this->teacher_id === null;
    }

    /** @return BelongsTo<Seat, $this> */
    public function seat(): BelongsTo
    {
        return $this->belongsTo(Seat::class);
    }

    /** @return array{id: string, mine: bool, from: string, words: string} as the student's page shows it */
    public function toStudent(): array
    {
        return ['id' => $this->id, 'mine' => $this->isFromStudent(), 'from' => $this->sender, 'words' => $this->words];
    }
}
