<?php

declare(strict_types=1);

namespace App\Models\Teachers;

use App\Models\Model;

/**
 * One change to a plan: which field of which prompt (or of the plan itself), what it was and what it became.
 *
 * @property string $plan_id
 * @property int $n
 * @property string $teacher_id
 * @property ?string $prompt_id
 * @property string $field
 * @property mixed $before
 * @property mixed $after
 * @property bool $undone
 */
final class PlanEdit extends Model
{
    protected $table = 'plan_edits';

    protected $guarded = [];

    protected $attributes = ['undone' => false];

    protected function casts(): array
    {
        return ['before' => 'array', 'after' => 'array', 'undone' => 'boolean'];
    }
}
