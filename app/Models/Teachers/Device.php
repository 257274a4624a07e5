<?php

declare(strict_types=1);

namespace App\Models\Teachers;

use App\Models\Model;
use Crag\Session\Door\DeviceKind;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * A browser that is known as a teacher's.
 *
 * @property string $token_hash
 * @property string $teacher_id
 * @property string $kind  a DeviceKind's; empty where it is not known
 * @property Carbon $created_at
 * @property Carbon $updated_at  about when it was last used
 * @property Teacher $teacher
 */
final class Device extends Model
{
    protected $primaryKey = 'token_hash';

    protected $keyType = 'string';

    public $incrementing = false;

    protected $table = 'devices';

    protected $guarded = [];

    /** By this a page names it, without saying by what it is known. */
    public function publicId(): string
    {
        return substr(hash('sha256', "device {$this->token_hash}"), 0, 16);
    }

    public function word(): string
    {
        return match (DeviceKind::tryFrom($this->kind)) {
            DeviceKind::Phone => __('Phone'),
            DeviceKind::Tablet => __('Tablet'),
            DeviceKind::Laptop => __('Laptop or computer'),
            null => __('A device'),
        };
    }

    /** Noted once an hour at most: it is for its teacher to read, not for counting. */
    public function used(): void
    {
        if ($this->updated_at->lessThan(Carbon::now()->subHour())) {
            $this->touch();
        }
    }

    /** @return BelongsTo<Teacher, $this> */
    public function teacher(): BelongsTo
    {
        return $this->belongsTo(Teacher::class);
    }
}
