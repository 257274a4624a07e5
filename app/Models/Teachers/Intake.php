<?php

declare(strict_types=1);

namespace App\Models\Teachers;

use App\Jobs\JobState;
use App\Models\Model;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A PDF on its way into a plan.
 *
 * @property string $id
 * @property string $plan_id
 * @property string $teacher_id
 * @property ?\Illuminate\Support\Carbon $created_at
 * @property JobState $state
 * @property int $done  pages
 * @property int $total
 * @property array{pages: list<int>, as: string, after: string} $settings
 * @property string $problem
 * @property Plan $plan
 */
final class Intake extends Model
{
    use HasUlids;

    protected $table = 'intakes';

    protected $guarded = [];

    protected $attributes = ['state' => JobState::Waiting, 'done' => 0, 'total' => 0, 'problem' => ''];

    protected function casts(): array
    {
        return ['settings' => 'array', 'state' => JobState::class];
    }

    /** @return BelongsTo<Plan, $this> */
    public function plan(): BelongsTo
    {
        return $this->belongsTo(Plan::class);
    }

    public function path(): string
    {
        return $this->plan->folder()."/{$this->id}.pdf";
    }
}
