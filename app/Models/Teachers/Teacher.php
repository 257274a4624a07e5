<?php

declare(strict_types=1);

namespace App\Models\Teachers;

use App\Accounts\AccountRole;
use App\Live\PublicAddress;
use App\Models\LiveSession;
use App\Models\Model;
use Crag\Session\Rules\Role;
use Illuminate\Auth\Passwords\CanResetPassword;
use Illuminate\Contracts\Auth\CanResetPassword as Resettable;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\BelongsToMany;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Mail;
use Illuminate\Support\Str;

/**
 * A teacher: of one device until another device is opened with the private return link or the account.
 *
 * @property ?string $ready_plan_id  the plan in which prompts stand that are kept to be used again
 * @property string $id
 * @property string $name
 * @property ?string $email  null without an account
 * @property ?string $password  hashed
 * @property string $return_key
 * @property ?list<string> $phrases  for notes on checks
 * @property ?string $school_id
 * @property AccountRole $role
 * @property ?\Illuminate\Support\Carbon $stopped_at  since when they may not teach here any more
 * @property ?School $school
 */
final class Teacher extends Model implements Resettable
{
    use CanResetPassword;
    use HasUlids;

    protected $table = 'teachers';

    protected $guarded = [];

    protected $attributes = [
        'name' => '', 'email' => null, 'password' => null, 'return_key' => '', 'school_id' => null, 'role' => 'teacher',
        'stopped_at' => null,
    ];

    protected $hidden = ['password', 'return_key'];

    protected static function booted(): void
    {
        self::creating(static function (self $teacher): void {
            $teacher->return_key = Str::random(40);
        });
    }

    protected function casts(): array
    {
        return [
            'password' => 'hashed', 'phrases' => 'array', 'role' => AccountRole::class, 'stopped_at' => 'datetime',
        ];
    }

    /** @param  string  $token */
    public function sendPasswordResetNotification($token): void
    {
        $link = PublicAddress::of('account.reset', ['token' => $token, 'email' => $this->email]);
        $words = __(
            "Someone asked for a new password for your Crag account. If it was you, open this link within an hour:\n\n:link\n\nIf it wasn’t you, nothing has changed and there’s nothing you need to do.",
            ['link' => $link],
        );
        Mail::raw($words, fn ($mail) => $mail->to((string) $this->email)->subject(__('A new password for Crag')));
    }

    /** @return BelongsTo<School, $this> */
    public function school(): BelongsTo
    {
        return $this->belongsTo(School::class);
    }

    /** Whether they look after schools: after theirs, or where they have none after all. */
    public function isAdministrator(): bool
    {
        return $this->hasAccount() && $this->role === AccountRole::Administrator && $this->stopped_at === null;
    }

    public function looksAfter(School $school): bool
    {
        return $this->isAdministrator() && ($this->school_id === null || $this->school_id === $school->id);
    }

    public function hasAccount(): bool
    {
        return $this->email !== null;
    }

    /** @return BelongsToMany<LiveSession, $this> */
    public function sessions(): BelongsToMany
    {
        return $this->belongsToMany(LiveSession::class, 'desk_rights')->withPivot('role');
    }

    /** @return BelongsToMany<Plan, $this> the own ones, and those that others share for editing */
    public function plans(): BelongsToMany
    {
        return $this->belongsToMany(Plan::class, 'plan_rights');
    }

    /** @return HasMany<Roster, $this> */
    public function rosters(): HasMany
    {
        return $this->hasMany(Roster::class)->orderBy('name');
    }

    /** @return HasMany<Device, $this> */
    public function devices(): HasMany
    {
        return $this->hasMany(Device::class);
    }

    /** As whom the teacher acts in a session; null for none of theirs. */
    public function roleIn(LiveSession $session): ?Role
    {
        $role = DB::table('desk_rights')
            ->where('live_session_id', $session->id)
            ->where('teacher_id', $this->id)
            ->value('role');

        return is_string($role) ? Role::from($role) : null;
    }

    public function mayRun(LiveSession $session): bool
    {
        return $this->roleIn($session) !== null;
    }

    public function mayEdit(Plan $plan): bool
    {
        return $this->plans()->whereKey($plan->id)->exists();
    }
}
