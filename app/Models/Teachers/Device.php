<?php

declare(strict_types=1);

namespace App\Models\Teachers;

use App\Models\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A browser that is known as a teacher's.
 *
 * @property string $token_hash
 * @property string $teacher_id
 * @property Teacher $teacher
 */
final class Device extends Model
{
    protected $primaryKey = 'token_hash';

    protected $keyType = 'string';

    public $incrementing = false;

    protected $table = 'devices';

    protected $guarded = [];

    /** @return BelongsTo<Teacher, $this> */
    public function teacher(): BelongsTo
    {
        return $this->belongsTo(Teacher::class);
    }
}
