<?php

declare(strict_types=1);

namespace App\Models\Teachers;

use App\Models\Model;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * A class list.
 *
 * @property string $id
 * @property string $teacher_id
 * @property string $name
 * @property ?string $source  the class in the school's records
 * @property array<string, mixed> $settings  what a session with this class was last started with
 */
final class Roster extends Model
{
    use HasUlids;

    protected $table = 'rosters';

    protected $guarded = [];

    protected $attributes = ['settings' => '{}'];

    protected function casts(): array
    {
        return ['settings' => 'array'];
    }

    /** @return HasMany<RosterEntry, $this> */
    public function entries(): HasMany
    {
        return $this->hasMany(RosterEntry::class)->orderBy('n');
    }
}
