<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Teachers\Teacher;
use Crag\Checks\Judgement;
use Crag\Checks\Level;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * What a teacher found in a canvas as it was at an operation. The latest of a canvas holds.
 *
 * @property int $id
 * @property string $canvas_id
 * @property string $teacher_id
 * @property ?Level $level  the Strata level that follows from the judgement
 * @property ?array<int, int> $marks  by place of the aspect; null where Strata alone was checked
 * @property bool $is_no_attempt
 * @property ?float $points
 * @property string $note
 * @property int $at_operation
 * @property int $made_at_ms
 * @property ?Teacher $teacher
 */
final class Check extends Model
{
    protected $table = 'checks';

    protected $guarded = [];

    public $timestamps = false;

    protected $attributes = ['marks' => null, 'is_no_attempt' => false, 'points' => null, 'note' => ''];

    protected function casts(): array
    {
        return ['level' => Level::class, 'marks' => 'array', 'is_no_attempt' => 'boolean', 'points' => 'float'];
    }

    public function judgement(): Judgement
    {
        return Judgement::kept(
            $this->is_no_attempt,
            $this->marks ?? ($this->level === null ? [] : [$this->level->value]),
            $this->points,
            $this->note,
        );
    }

    /** @return BelongsTo<Teacher, $this> */
    public function teacher(): BelongsTo
    {
        return $this->belongsTo(Teacher::class);
    }
}
