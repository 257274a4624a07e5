<?php

declare(strict_types=1);

namespace App\Models\Teachers;

use App\Jobs\JobState;
use App\Models\HeldFolder;
use App\Models\LiveSession;
use App\Models\Model;
use Crag\School\MailDomains;
use Crag\School\Quotas;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * One of the schools of an installation: who may teach there, how long work is kept, how much of it there may be.
 *
 * @property string $id
 * @property string $name
 * @property string $domains  see {@see MailDomains}
 * @property ?int $keep_days  the longest after a session; null as the installation has it
 * @property ?int $most_teachers
 * @property ?int $most_sessions
 * @property ?int $most_megabytes
 * @property ?JobState $export_state  null where none was made
 * @property int $export_done
 * @property int $export_total
 * @property ?\Illuminate\Support\Carbon $exported_at
 * @property ?\Illuminate\Support\Carbon $going_at  being deleted since
 */
final class School extends Model
{
    use HasUlids;

    protected $table = 'schools';

    protected $guarded = [];

    protected $attributes = [
        'domains' => '', 'keep_days' => null, 'most_teachers' => null, 'most_sessions' => null, 'most_megabytes' => null,
        'export_state' => null, 'export_done' => 0, 'export_total' => 0, 'exported_at' => null, 'going_at' => null,
    ];

    protected function casts(): array
    {
        return ['export_state' => JobState::class, 'exported_at' => 'datetime', 'going_at' => 'datetime'];
    }

    /** @return HasMany<Teacher, $this> */
    public function teachers(): HasMany
    {
        return $this->hasMany(Teacher::class)->orderBy('name');
    }

    /** @return HasMany<LiveSession, $this> */
    public function sessions(): HasMany
    {
        return $this->hasMany(LiveSession::class);
    }

    public function quotas(): Quotas
    {
        return new Quotas($this->most_teachers, $this->most_sessions, $this->most_megabytes);
    }

    public function hasRoomForTeacher(): bool
    {
        return $this->quotas()->letsInTeacher($this->teachers()->whereNull('stopped_at')->count());
    }

    public function mailDomains(): MailDomains
    {
        return MailDomains::read($this->domains);
    }

    /** Where everything of it is, in one file. */
    public function exportPath(): string
    {
        return HeldFolder::of('schools', $this->id).'/export.zip';
    }
}
