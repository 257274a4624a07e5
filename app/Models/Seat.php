<?php

declare(strict_types=1);

namespace App\Models;

use App\Live\InkKey;
use App\Models\Casts\CoreValue;
use App\Models\Teachers\RosterEntry;
use App\Models\Teachers\Teacher;
use Closure;
use Crag\Canvas\Log\Author;
use Crag\Canvas\Log\OperationKind;
use Crag\Session\Door\DeviceKind;
use Crag\Session\Room\Pens;
use Crag\Session\Room\SeatState;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * @property string $id
 * @property string $live_session_id
 * @property int $n
 * @property string $name
 * @property ?string $account_hash  whose account it was joined with: a seal
 * @property string $token_hash
 * @property string $ink_key
 * @property int $polled_at_ms
 * @property ?string $roster_entry_id
 * @property SeatState $state
 * @property int $state_at_ms
 * @property ?string $claims_id  the seat that a knocking student says is theirs
 * @property string $reason  why the student was turned away or sent out
 * @property DeviceKind $device
 * @property int $seen_at_ms
 * @property Pens $pens  down for this student alone
 * @property ?string $prompt_id  where the student is, if not where the class is
 * @property bool $had_hand_up  ever in this session
 * @property ?int $hand_at_ms  since when the hand is up
 * @property ?int $coming_at_ms  since when a teacher is on the way to it
 * @property int $seen_to_at_ms  what was written until then waits no more
 * @property bool $light
 * @property ?string $group  null as in the class list
 * @property bool $keeps_back  asks not to be shown
 * @property ?string $home_key  opens the own work from anywhere; null until it is asked for
 * @property ?string $code
 * @property ?int $code_at_ms
 * @property int $turn  how often its channels were begun anew
 * @property ?string $old_token_hash  of the device before this one
 * @property ?string $taken_by_id  the teacher who has taken the student on, where several share the room
 * @property ?Teacher $takenBy
 * @property ?string $stands_for  the group whose shared canvases it holds, "" for everyone; null for a student's seat
 * @property ?RosterEntry $entry
 * @property LiveSession $session
 * @property \Illuminate\Database\Eloquent\Collection<int, Message> $messages
 * @property \Illuminate\Database\Eloquent\Collection<int, Member> $members
 */
final class Seat extends Model
{
    use HasUlids;

    /** The present prompt, once it was asked for. */
    private ?Prompt $present = null;

    protected $table = 'seats';

    protected $guarded = [];

    protected $attributes = [
        'polled_at_ms' => 0,
        'roster_entry_id' => null,
        'state' => 'seated',
        'state_at_ms' => 0,
        'claims_id' => null,
        'reason' => '',
        'device' => 'laptop',
        'seen_at_ms' => 0,
        'pens' => null,
        'prompt_id' => null,
        'had_hand_up' => false,
        'hand_at_ms' => null,
        'coming_at_ms' => null,
        'seen_to_at_ms' => 0,
        'light' => false,
        'keeps_back' => false,
        'group' => null,
        'home_key' => null,
        'code' => null,
        'code_at_ms' => null,
        'turn' => 0,
        'old_token_hash' => null,
        'stands_for' => null,
        'taken_by_id' => null,
    ];

    protected function casts(): array
    {
        return [
            'state' => SeatState::class,
            'device' => DeviceKind::class,
            'pens' => CoreValue::class.':'.Pens::class.',always',
            'light' => 'boolean',
            'keeps_back' => 'boolean',
            'had_hand_up' => 'boolean',
        ];
    }

    public function author(): Author
    {
        return Author::seat($this->id);
    }

    /** @return BelongsTo<LiveSession, $this> */
    public function session(): BelongsTo
    {
        return $this->belongsTo(LiveSession::class, 'live_session_id');
    }

    /** @return BelongsTo<Teacher, $this> */
    public function takenBy(): BelongsTo
    {
        return $this->belongsTo(Teacher::class, 'taken_by_id');
    }

    /** @return BelongsTo<RosterEntry, $this> */
    public function entry(): BelongsTo
    {
        return $this->belongsTo(RosterEntry::class, 'roster_entry_id');
    }

    /** Its part of its channels' names: its id, and how often they were begun anew; no id holds a u. */
    public function channelId(): string
    {
        return self::channelOf($this->id, $this->turn);
    }

    public static function channelOf(string $id, int $turn): string
    {
        return $turn === 0 ? $id : "{$id}u{$turn}";
    }

    /** The prompt that the student has: the class's, or at the own pace the one chosen. */
    public function presentPromptId(): string
    {
        return (string) ($this->prompt_id ?? $this->session->prompt_id);
    }

    public function presentPrompt(): Prompt
    {
        $id = $this->presentPromptId();
        if ($this->present?->id !== $id) {
            $this->present = $this->session->prompts()->findOrFail($id);
        }

        return $this->present;
    }

    /** In which group the student works; empty for none. */
    public function groupName(): string
    {
        return $this->group ?? ($this->entry->group ?? '');
    }

    /** Its group's name, as a team's. */
    public function teamName(): string
    {
        $group = $this->groupName();

        return ctype_digit($group) ? __('Team :n', ['n' => $group]) : $group;
    }

    /** Whether it stands for a group that draws together: nobody sits there. */
    public function isGroup(): bool
    {
        return $this->stands_for !== null;
    }

    public function isIn(): bool
    {
        return $this->state === SeatState::Seated;
    }

    /** Whether there is a class list, and this student is not on it. */
    public function isUnlisted(): bool
    {
        return $this->session->roster_id !== null && $this->roster_entry_id === null && $this->claims_id === null;
    }

    /** What stands for the student where names are not wanted. */
    public function seatName(): string
    {
        return $this->isGroup() ? $this->name : __('Seat :n', ['n' => $this->n]);
    }

    /** Where it stands on paper: of a group's seat, with everyone who was in it. */
    public function calledWithMembers(bool $bySeat): string
    {
        $name = static fn (self $seat): string => $bySeat ? $seat->seatName() : $seat->name;
        $members = $this->isGroup() ? $this->loadMissing('members.seat')->members : collect();

        return ! $this->isGroup()
            ? $name($this)
            : __(':group: :names', [
                'group' => $this->name,
                'names' => $members->map(static fn (Member $one): string => $name($one->seat))->implode(', '),
            ]);
    }

    /** @return HasMany<Message, $this> oldest first, without those that were removed */
    public function messages(): HasMany
    {
        $messages = $this->hasMany(Message::class)->orderBy('id');
        $messages->where('is_removed', false);

        return $messages;
    }

    /** @return HasMany<LoggedOperation, $this> what was answered, the latest and those before */
    public function answers(): HasMany
    {
        $answers = $this->hasMany(LoggedOperation::class);
        $answers->where('kind', OperationKind::Answer->value);

        return $answers;
    }

    /** @return HasMany<Canvas, $this> */
    public function canvases(): HasMany
    {
        return $this->hasMany(Canvas::class);
    }

    /** @return HasMany<Member, $this> of a group, now and before */
    public function members(): HasMany
    {
        return $this->hasMany(Member::class, 'group_id')->orderBy('id');
    }

    /** @return HasMany<Member, $this> in groups, now and before */
    public function memberships(): HasMany
    {
        return $this->hasMany(Member::class);
    }

    /** @return list<self> the students who are in the group now and in the room; a student's seat alone */
    public function people(): array
    {
        return ! $this->isGroup()
            ? [$this]
            : array_values(
                $this->loadMissing('members.seat')
                    ->members->filter(static fn (Member $one): bool => $one->until_ms === null && $one->seat->isIn())
                    ->map(fn (Member $one): self => $this->relationLoaded('session')
                        ? $one->seat->setRelation('session', $this->session)
                        : $one->seat)
                    ->sortBy('n')
                    ->all(),
            );
    }

    /** @return Builder<Canvas> on which the student works now: their own, and those of the groups that they are in */
    public function worksOn(): Builder
    {
        return $this->canvasesOf($this->memberships()->whereNull('until_ms'));
    }

    /** @return Builder<Canvas> all on which the student ever worked: they are in the student's record */
    public function workedOn(): Builder
    {
        return $this->canvasesOf($this->memberships());
    }

    /**
     * @param  HasMany<Member, covariant Model>  $in
     * @return Builder<Canvas>
     */
    private function canvasesOf(HasMany $in): Builder
    {
        return Canvas::query()->where(
            fn (Builder $canvas) => $canvas
                ->where('seat_id', $this->id)
                ->orWhereIn('seat_id', $in->select('group_id')),
        );
    }

    /**
     * @return array<string, mixed> what desks are told, and nobody else
     */
    public function announcement(): array
    {
        return ($this->isGroup() ? ['members' => $this->toldMembers()] : []) + [
            'id' => $this->id,
            'n' => $this->n,
            'name' => $this->name,
            'ink' => $this->ink_key,
            'keepsBack' => $this->doesAny(static fn (self $one): bool => $one->keeps_back),
            'light' => $this->doesAny(static fn (self $one): bool => $one->light),
            'takenBy' => $this->toldTeacher(),
        ];
    }

    /** @return array{by: string, name: string}|null who has taken the student on; of a group, who has all of it */
    private function toldTeacher(): ?array
    {
        $teachers = array_unique(array_map(static fn (self $one): ?string => $one->taken_by_id, $this->people()));
        $teacher = count($teachers) === 1 && $teachers[0] !== null
            ? ($this->people()[0])->loadMissing('takenBy')->takenBy
            : null;

        return $teacher === null ? null : ['by' => $teacher->id, 'name' => $teacher->name];
    }

    /** @param  Closure(self): bool  $does  of the student, or of anyone in the group */
    private function doesAny(Closure $does): bool
    {
        return array_filter($this->people(), $does) !== [];
    }

    /**
     * Who draws on the group's canvases.
     *
     * @return list<array{id: string, n: int, name: string, ink: string, own: string}>
     */
    private function toldMembers(): array
    {
        return array_map(
            fn (self $one): array => [
                'id' => $one->id,
                'n' => $one->n,
                'name' => $one->name,
                'ink' => InkKey::near($one, $this),
                'own' => $one->ink_key,
            ],
            $this->people(),
        );
    }

    /** The name of the cookie that holds a place in this session. */
    public static function cookieFor(string $sessionId): string
    {
        return 'crag_seat_'.strtolower($sessionId);
    }
}
