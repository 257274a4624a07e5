<?php

declare(strict_types=1);

namespace App\Models;

use App\Live\Clock;
use App\Live\SchoolTime;
use App\Models\Asks\Ask;
use App\Models\Asks\Run;
use App\Models\Casts\CoreValue;
use App\Models\Show\LineupEntry;
use App\Models\Show\Offer;
use App\Models\Show\Showcase;
use App\Models\Teachers\Plan;
use App\Models\Teachers\Roster;
use App\Models\Teachers\RosterEntry;
use App\Models\Teachers\Teacher;
use Crag\Canvas\Log\TrayInForce;
use Crag\Prompt\Tray\ToolTray;
use Crag\Prompt\Tray\TrayKind;
use Crag\Session\Door\Door;
use Crag\Session\Door\JoinCode;
use Crag\Session\Life\Retention;
use Crag\Session\Life\SessionSettings;
use Crag\Session\Room\Pace;
use Crag\Session\Room\Pens;
use Crag\Session\Room\SeatState;
use Crag\Session\Room\Timer;
use Crag\Session\Screen\Destination;
use Crag\Session\Screen\LeadSharing;
use Crag\Session\Screen\OfferBoard;
use Crag\Session\Screen\OfferState;
use Crag\Session\Screen\ScreenView;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\BelongsToMany;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;

/**
 * @property string $id
 * @property string $title
 * @property string $teacher_name
 * @property string $join_code
 * @property string $return_key
 * @property string $screen_key
 * @property ?string $prompt_id
 * @property ?string $showcase_id
 * @property ?string $ask_id  the quick ask that is before the class
 * @property ?string $run_id  the run of quick asks that is under way, or was last
 * @property ScreenView $screen_view
 * @property Destination $shown_on  where chosen work is to be seen
 * @property Door $door
 * @property Pace $pace
 * @property Pens $pens
 * @property ?Timer $timer
 * @property SessionSettings $settings
 * @property LeadSharing $lead  what students have of the lead canvas
 * @property string $helper_key
 * @property int $warned_at_ms
 * @property ?string $carries_on_id  the earlier session that it goes on from
 * @property OfferBoard $board
 * @property ?int $keep_days  after its end; null as the installation has it
 * @property ?int $open_until_ms  until when students go on without the teacher
 * @property ?TrayInForce $tray  null until it was changed
 * @property int $operation_count
 * @property int $byte_count
 * @property ?string $plan_id  what it was started from
 * @property ?string $roster_id  the class that it is for
 * @property bool $is_trial  the teacher alone tries a plan
 * @property ?Carbon $ended_at
 * @property Carbon $created_at
 * @property ?Prompt $prompt
 * @property ?Showcase $showcase
 * @property ?Ask $ask
 * @property ?Run $run
 * @property ?Plan $plan
 * @property ?Roster $roster
 */
final class LiveSession extends Model implements Holder
{
    public const FRESH_MINUTES = 3;

    /** @var array<string, class-string<Model>> by what routes call them */
    private const CHILDREN = [
        'prompt' => Prompt::class,
        'student' => Seat::class,
        'message' => Message::class,
        'handout' => Handout::class,
        'entry' => LineupEntry::class,
        'offer' => Offer::class,
        'pick' => Pick::class,
        'ask' => Ask::class,
        'run' => Run::class,
    ];

    /** From so many on the desk offers to remove them at once. */
    public const MANY_FRESH = 8;

    use HasUlids;

    protected $guarded = [];

    protected $attributes = [
        'operation_count' => 0,
        'byte_count' => 0,
        'screen_view' => 'join',
        'shown_on' => 'screen',
        'ended_at' => null,
        'tray' => null,
        'plan_id' => null,
        'roster_id' => null,
        'is_trial' => false,
        'door' => 'open',
        'pace' => 'together',
        'pens' => null,
        'timer' => null,
        'settings' => '{}',
        'lead' => null,
        'helper_key' => '',
        'warned_at_ms' => 0,
        'board' => null,
        'carries_on_id' => null,
        'run_id' => null,
        'keep_days' => null,
        'open_until_ms' => null,
    ];

    protected function casts(): array
    {
        return [
            'ended_at' => 'datetime',
            'screen_view' => ScreenView::class,
            'shown_on' => Destination::class,
            'tray' => CoreValue::class.':'.TrayInForce::class,
            'is_trial' => 'boolean',
            'door' => Door::class,
            'pace' => Pace::class,
            'pens' => CoreValue::class.':'.Pens::class.',always',
            'timer' => CoreValue::class.':'.Timer::class,
            'settings' => CoreValue::class.':'.SessionSettings::class,
            'lead' => CoreValue::class.':'.LeadSharing::class.',always',
            'board' => CoreValue::class.':'.OfferBoard::class.',always',
        ];
    }

    /** Whether work is hidden from its teachers until it is revealed. What has ended is open. */
    public function coversWork(): bool
    {
        return $this->settings->covers($this->isRunning(), false);
    }

    /**
     * The students' canvases that their teachers may see now. Everything that shows or takes out work begins here.
     *
     * @return HasMany<Canvas, $this>
     */
    public function openCanvases(): HasMany
    {
        return $this->coversWork()
            ? $this->canvases()->whereHas(
                'prompt',
                static fn (Builder $prompt) => $prompt->whereNotNull('revealed_at_ms'),
            )
            : $this->canvases();
    }

    /**
     * Places that were taken in the last minutes and where nothing was drawn.
     *
     * @return HasMany<Seat, $this>
     */
    public function freshSeats(): HasMany
    {
        $fresh = $this->seats();
        $fresh
            ->where('created_at', '>=', now()->subMinutes(self::FRESH_MINUTES))
            ->whereDoesntHave('canvases', static fn (Builder $canvas) => $canvas->whereNotNull('last_stroke_ms'));

        return $fresh;
    }

    /** @return list<string> canvases that nothing may be told of to a desk */
    public function coveredCanvases(): array
    {
        return ! $this->coversWork()
            ? []
            : $this->canvases()
                ->whereHas('prompt', static fn (Builder $prompt) => $prompt->whereNull('revealed_at_ms'))
                ->pluck('id')
                ->all();
    }

    /** The end that was, in milliseconds since 1970. */
    public function endedMs(): ?int
    {
        return $this->ended_at === null ? null : (int) $this->ended_at->getTimestampMs();
    }

    public function retention(): Retention
    {
        return Retention::days($this->keep_days ?? config()->integer('crag.keep_days'));
    }

    /** Until when it is kept, in words; as if it ended now while it runs. */
    public function keptUntil(): string
    {
        return self::day($this->retention()->untilMs($this->endedMs() ?? Clock::ms()));
    }

    /** Until when students go on without the teacher, in words; null where they do not. */
    public function openUntil(): ?string
    {
        return $this->open_until_ms === null ? null : self::day($this->open_until_ms);
    }

    private static function day(int $ms): string
    {
        return SchoolTime::of($ms)->translatedFormat('j F Y');
    }

    public function column(): string
    {
        return 'live_session_id';
    }

    public function holderId(): string
    {
        return $this->id;
    }

    public function folder(): string
    {
        return HeldFolder::of('sessions', $this->id);
    }

    /** @return BelongsTo<Plan, $this> */
    public function plan(): BelongsTo
    {
        return $this->belongsTo(Plan::class);
    }

    /** @return BelongsTo<Roster, $this> */
    public function roster(): BelongsTo
    {
        return $this->belongsTo(Roster::class);
    }

    public function isRunning(): bool
    {
        return $this->ended_at === null;
    }

    /** The tools that students have where a prompt has no tray of its own. */
    public function trayInForce(): TrayInForce
    {
        return $this->tray ?? TrayInForce::always(ToolTray::of(TrayKind::Standard));
    }

    public function code(): JoinCode
    {
        return JoinCode::read($this->join_code);
    }

    /** @return BelongsToMany<Teacher, $this> */
    public function teachers(): BelongsToMany
    {
        return $this->belongsToMany(Teacher::class, 'desk_rights')->withPivot('role');
    }

    /**
     * What is named beside a session in an address is looked for in that session alone.
     *
     * @param  string  $childType  as the route calls it
     */
    public function resolveChildRouteBinding($childType, $value, $field): ?Model
    {
        $class = self::CHILDREN[$childType] ?? abort(404);

        return $class::query()->where('live_session_id', $this->id)->where($field ?? 'id', $value)->first();
    }

    /** @return HasMany<Prompt, $this> */
    public function prompts(): HasMany
    {
        $prompts = $this->hasMany(Prompt::class)->chaperone('session');
        $prompts->orderBy('n');

        return $prompts;
    }

    /** @return BelongsTo<Prompt, $this> what the class works on now */
    public function prompt(): BelongsTo
    {
        return $this->belongsTo(Prompt::class);
    }

    /** @return BelongsTo<Showcase, $this> what is or was last shown */
    public function showcase(): BelongsTo
    {
        return $this->belongsTo(Showcase::class);
    }

    /** @return BelongsTo<Ask, $this> the quick ask that is before the class */
    public function ask(): BelongsTo
    {
        return $this->belongsTo(Ask::class);
    }

    /** @return BelongsTo<Run, $this> of quick asks: under way, or the last one */
    public function run(): BelongsTo
    {
        return $this->belongsTo(Run::class);
    }

    /** @return HasMany<Ask, $this> the latest first */
    public function asks(): HasMany
    {
        $asks = $this->hasMany(Ask::class);
        $asks->orderByDesc('n');

        return $asks;
    }

    /** @return HasMany<Seat, $this> */
    public function seats(): HasMany
    {
        $seats = $this->hasMany(Seat::class)->chaperone('session');
        $seats->orderBy('n');

        return $seats;
    }

    /** @return Collection<int, RosterEntry> those of the class list who have not joined */
    public function missing(): Collection
    {
        return $this->roster === null
            ? new Collection()
            : $this->roster
                ->entries()
                ->whereNotIn('id', $this->seats()->whereNotNull('roster_entry_id')->pluck('roster_entry_id'))
                ->get();
    }

    /** @return HasMany<Seat, $this> those who are in the room, or were when it ended */
    public function seated(): HasMany
    {
        $seats = $this->seats();
        $seats->where('state', SeatState::Seated);

        return $seats;
    }

    /** @return HasMany<Message, $this> oldest first, without those that were removed */
    public function messages(): HasMany
    {
        $messages = $this->hasMany(Message::class)->orderBy('id');
        $messages->where('is_removed', false);

        return $messages;
    }

    /** @return HasMany<Handout, $this> the latest first */
    public function handouts(): HasMany
    {
        $handouts = $this->hasMany(Handout::class);
        $handouts->orderByDesc('id');

        return $handouts;
    }

    /** @return HasMany<Canvas, $this> the students' */
    public function canvases(): HasMany
    {
        $canvases = $this->hasMany(Canvas::class);
        $canvases->whereNotNull('seat_id');

        return $canvases;
    }

    /** @return HasMany<LineupEntry, $this> in the order in which they are to be shown */
    public function lineup(): HasMany
    {
        $entries = $this->hasMany(LineupEntry::class);
        $entries->orderByRaw('(select prompts.n from prompts where prompts.id = lineup_entries.prompt_id), n');

        return $entries;
    }

    /** @return HasMany<Offer, $this> oldest first, without those that were declined */
    public function offers(): HasMany
    {
        $offers = $this->hasMany(Offer::class)->orderBy('id');
        $offers->where('state', '!=', OfferState::Declined);

        return $offers;
    }

    /** @return HasMany<Pick, $this> the latest first, without those that were undone */
    public function picks(): HasMany
    {
        $picks = $this->hasMany(Pick::class);
        $picks->where('is_undone', false)->orderByDesc('id');

        return $picks;
    }

    /** @return HasMany<Asset, $this> */
    public function assets(): HasMany
    {
        return $this->hasMany(Asset::class);
    }

    /** @return HasMany<Record, $this> */
    public function records(): HasMany
    {
        return $this->hasMany(Record::class)->latest('id');
    }
}
