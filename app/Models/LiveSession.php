<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Asks\Ask;
use App\Models\Asks\Run;
use App\Models\Casts\CoreValue;
use App\Models\Session\AsksOfSession;
use App\Models\Session\LifeOfSession;
use App\Models\Session\RoomOfSession;
use App\Models\Session\ShowOfSession;
use App\Models\Session\WatchOfSession;
use App\Models\Session\WorkOfSession;
use App\Models\Show\LineupEntry;
use App\Models\Show\Offer;
use App\Models\Show\Showcase;
use App\Models\Teachers\Plan;
use App\Models\Teachers\Roster;
use App\Models\Teachers\School;
use App\Models\Teachers\Teacher;
use Crag\Canvas\Log\TrayInForce;
use Crag\Session\Door\Door;
use Crag\Session\Life\SessionSettings;
use Crag\Session\Room\Pace;
use Crag\Session\Room\Pens;
use Crag\Session\Room\Timer;
use Crag\Session\Screen\Destination;
use Crag\Session\Screen\LeadSharing;
use Crag\Session\Screen\OfferBoard;
use Crag\Session\Screen\ScreenView;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\BelongsToMany;
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
 * @property ?list<string> $group_places  where in the room each group sits, in the groups' order
 * @property string $helper_key
 * @property int $warned_at_ms
 * @property ?string $carries_on_id  the earlier session that it goes on from
 * @property OfferBoard $board
 * @property ?string $school_id  its teacher's when it began
 * @property ?School $school
 * @property ?int $keep_days  after its end; null as the school or the installation has it
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
        'act' => Act::class,
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

    use AsksOfSession;
    use HasUlids;
    use LifeOfSession;
    use RoomOfSession;
    use ShowOfSession;
    use WatchOfSession;
    use WorkOfSession;

    protected $table = 'live_sessions';

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
        'group_places' => null,
        'carries_on_id' => null,
        'run_id' => null,
        'keep_days' => null,
        'school_id' => null,
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
            'group_places' => 'array',
            'board' => CoreValue::class.':'.OfferBoard::class.',always',
        ];
    }

    /** @return BelongsTo<School, $this> */
    public function school(): BelongsTo
    {
        return $this->belongsTo(School::class);
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

    /** @return BelongsToMany<Teacher, $this> */
    public function teachers(): BelongsToMany
    {
        return $this->belongsToMany(Teacher::class, 'desk_rights')->withPivot('role', 'at_seat', 'heard_at_ms');
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
}
