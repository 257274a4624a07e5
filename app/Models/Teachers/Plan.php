<?php

declare(strict_types=1);

namespace App\Models\Teachers;

use App\Models\Asset;
use App\Models\HeldFolder;
use App\Models\Holder;
use App\Models\LiveSession;
use App\Models\Model;
use App\Models\Prompt;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\BelongsToMany;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;
use Illuminate\Support\Collection;

/**
 * A lesson's worth of prepared work.
 *
 * @property string $id
 * @property string $teacher_id  whose it is
 * @property string $title
 * @property list<string> $tags
 * @property list<string> $sequence  the ids of its prompts, in order
 * @property int $edit_count
 * @property string $copy_key
 * @property string $edit_key
 * @property ?string $copied_from_id  the plan that it was copied from
 * @property ?string $copied_key  with which link
 * @property ?Carbon $used_at
 * @property ?Carbon $archived_at
 * @property Carbon $created_at
 * @property Carbon $updated_at
 * @property Teacher $teacher
 */
final class Plan extends Model implements Holder
{
    use HasUlids;

    protected $table = 'plans';

    protected $guarded = [];

    protected $attributes = [
        'tags' => '[]',
        'sequence' => '[]',
        'edit_count' => 0,
        'used_at' => null,
        'copied_from_id' => null,
        'copied_key' => null,
        'archived_at' => null,
    ];

    protected function casts(): array
    {
        return ['tags' => 'array', 'sequence' => 'array', 'used_at' => 'datetime', 'archived_at' => 'datetime'];
    }

    /** Whether a key is that of one of its links, as they are now. */
    public function isLink(string $key): bool
    {
        return hash_equals($this->copy_key, $key) || hash_equals($this->edit_key, $key);
    }

    public function column(): string
    {
        return 'plan_id';
    }

    public function holderId(): string
    {
        return $this->id;
    }

    public function folder(): string
    {
        return HeldFolder::of('plans', $this->id);
    }

    /** @return BelongsTo<Teacher, $this> */
    public function teacher(): BelongsTo
    {
        return $this->belongsTo(Teacher::class);
    }

    /** @return BelongsToMany<Teacher, $this> everybody who may edit it */
    public function teachers(): BelongsToMany
    {
        return $this->belongsToMany(Teacher::class, 'plan_rights');
    }

    /** @return HasMany<Prompt, $this> every prompt it ever had; what stands in it is {@see present} */
    public function prompts(): HasMany
    {
        return $this->hasMany(Prompt::class);
    }

    /** @return Collection<int, Prompt> the prompts that stand in it, in order */
    public function present(): Collection
    {
        $prompts = $this->prompts()->whereIn('id', $this->sequence)->get()->keyBy('id');

        return collect($this->sequence)->map(static fn (string $id): ?Prompt => $prompts->get($id))->filter()->values();
    }

    /** @return HasMany<Asset, $this> */
    public function assets(): HasMany
    {
        return $this->hasMany(Asset::class);
    }

    /** @return HasMany<PlanEdit, $this> */
    public function edits(): HasMany
    {
        return $this->hasMany(PlanEdit::class)->orderBy('n');
    }

    /** @return HasMany<LiveSession, $this> */
    public function sessions(): HasMany
    {
        return $this->hasMany(LiveSession::class);
    }
}
