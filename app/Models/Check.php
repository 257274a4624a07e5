<?php

declare(strict_types=1);

namespace App\Models;

use Crag\Checks\Level;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * @property int $id
 * @property string $canvas_id
 * @property string $teacher_id
 * @property ?Level $level
 * @property int $at_operation
 * @property int $made_at_ms
 * @property ?Teacher $teacher
 */
final class Check extends Model
{
    protected $guarded = [];

    public $timestamps = false;

    protected function casts(): array
    {
        return ['level' => Level::class];
    }

    /** @return BelongsTo<Teacher, $this> */
    public function teacher(): BelongsTo
    {
        return $this->belongsTo(Teacher::class);
    }
}
