<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A student in a group, now or before: who comes back is the same member again.
 *
 * @property int $id
 * @property string $group_id  the seat that stands for the group
 * @property string $seat_id
 * @property int $since_ms
 * @property ?int $until_ms  null while the student is in it
 * @property Seat $group
 * @property Seat $seat
 */
final class Member extends Model
{
    protected $table = 'members';

    protected $guarded = [];

    public $timestamps = false;

    protected $attributes = ['until_ms' => null];

    /** @return BelongsTo<Seat, $this> */
    public function group(): BelongsTo
    {
        return $this->belongsTo(Seat::class, 'group_id');
    }

    /** @return BelongsTo<Seat, $this> */
    public function seat(): BelongsTo
    {
        return $this->belongsTo(Seat::class);
    }
}
