<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsToMany;

/**
 * @property string $id
 * @property string $name
 * @property string $token_hash
 */
final class Teacher extends Model
{
    use HasUlids;

    protected $guarded = [];

    /** @return BelongsToMany<LiveSession, $this> */
    public function sessions(): BelongsToMany
    {
        return $this->belongsToMany(LiveSession::class, 'desk_rights');
    }

    public function mayRun(LiveSession $session): bool
    {
        return $this->sessions()->whereKey($session->id)->exists();
    }
}
