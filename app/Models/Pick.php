<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A student who was picked.
 *
 * @property int $id
 * @property string $live_session_id
 * @property string $seat_id
 * @property int $made_at_ms
 * @property int $among  among how many it was drawn
 * @property bool $is_undone
 * @property Seat $seat
 */
final class Pick extends Model
{
    protected $table = 'picks';

    protected $guarded = [];

    public $timestamps = false;

    protected function casts(): array
    {
        return ['is_undone' => 'boolean'];
    }

    /** @return BelongsTo<Seat, $this> */
    public function seat(): BelongsTo
    {
        return $this->belongsTo(Seat::class);
    }
}
