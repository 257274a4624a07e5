<?php

declare(strict_types=1);

namespace App\Canvas;

use App\Live\Audience;
use App\Live\Clock;
use App\Live\InkKey;
use App\Live\Publisher;
use App\Models\Canvas;
use App\Models\LiveSession;
use App\Models\Member;
use App\Models\Prompt;
use App\Models\Seat;
use Crag\Prompt\Sharing;
use Crag\Session\Room\SeatState;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/**
 * On whose canvas a student works: their own, or their group's. What a group draws is held by a seat on which nobody
 * sits, so that everything that works on a student's canvas works on a group's.
 */
final class Together
{
    /** The numbers of seats that stand for groups lie behind those of all students. */
    private const FIRST_N = 1_000;

    /** @var array<string, true> groups of which it will be told, once, that they have grown */
    private array $grown = [];

    public function __construct(private readonly Publisher $publisher)
    {
    }

    /** The seat that holds a student's canvas for a prompt: made, and the student counted in, when it is needed. */
    public function holder(Seat $seat, Prompt $prompt): Seat
    {
        $name = self::name($seat, $prompt);
        if ($name === null) {
            return $seat;
        }
        $group = $seat->session->groupSeats()->where('stands_for', $name)->first() ?? $this->make($seat->session, $name);
        $group->setRelation('session', $seat->session);
        $this->countIn($group, $seat);

        return $group;
    }

    /** The same as far as it is there already. */
    public static function found(Seat $seat, Prompt $prompt): ?Seat
    {
        $name = self::name($seat, $prompt);

        return $name === null
            ? $seat
            : $seat->session->groupSeats()->where('stands_for', $name)->first()?->setRelation('session', $seat->session);
    }

    /** The canvas that a student has for a prompt, where it is there. */
    public static function canvas(Seat $seat, Prompt $prompt): ?Canvas
    {
        $holder = self::found($seat, $prompt);

        return $holder === null ? null : Canvas::query()->where('seat_id', $holder->id)->where('prompt_id', $prompt->id)->first();
    }

    /**
     * Who draws on a student's canvas beside them.
     *
     * @return array{
     *     group: string, channel: string, name: string, ink: string,
     *     members: list<array{seat: string, ink: string, name: string}>,
     * }|null null on their own
     */
    public static function told(Seat $seat, Prompt $prompt): ?array
    {
        $group = self::found($seat, $prompt);

        return $group === null || ! $group->isGroup() ? null : self::toldTo($seat, $group);
    }

    /**
     * @return array{
     *     group: string, channel: string, name: string, ink: string,
     *     members: list<array{seat: string, ink: string, name: string}>,
     * }
     */
    public static function toldTo(Seat $seat, Seat $group): array
    {
        $names = $group->session->settings->penNames;

        return [
            'group' => $group->id,
            'channel' => $group->channelId(),
            'name' => $group->name,
            'ink' => InkKey::near($seat, $group),
            'members' => array_map(
                static fn (Seat $one): array => [
                    'seat' => $one->id,
                    'ink' => InkKey::near($one, $group),
                    'name' => $names->show($one->name, $one->seatName()),
                ],
                $group->people(),
            ),
        ];
    }

    /**
     * On whose canvases a prompt is worked on now: students' own, and groups' with somebody in them, in order.
     *
     * @return Collection<int, Seat> with members
     */
    public static function holders(LiveSession $session, Prompt $prompt): Collection
    {
        $seats = $session->seated()->with('entry')->get();
        $names = $seats->map(static fn (Seat $seat): ?string => self::name($seat, $prompt));
        $isNamed = static fn (?string $name): bool => $name !== null;
        $groups = $names->contains($isNamed)
            ? $session
                ->groupSeats()
                ->whereIn('stands_for', $names->filter($isNamed)->unique())
                ->with('members.seat')
                ->get()
            : collect();

        return $seats
            ->toBase()
            ->filter(static fn (Seat $seat, int $i): bool => $names[$i] === null)
            ->concat($groups)
            ->values();
    }

    /** Students' groups have changed: who is in another one now sees nothing more of the old one's canvases. */
    public function settle(LiveSession $session): void
    {
        $left = Member::query()
            ->whereNull('until_ms')
            ->whereHas('group', static fn ($group) => $group
                ->where('live_session_id', $session->id)
                ->where('stands_for', '!=', ''))
            ->with('group', 'seat.entry')
            ->get()
            ->filter(static fn (Member $one): bool => $one->seat->groupName() !== $one->group->stands_for);
        $left->each(static fn (Member $one) => $one->update(['until_ms' => Clock::ms()]));
        $this->beginAnew($left->map(static fn (Member $one): Seat => $one->group)->unique('id')->values()->all());
    }

    /** A student is out of the room, or forgotten: their ink is heard by their groups no more, nor theirs by them. */
    public function countOut(Seat $seat): void
    {
        $of = $seat->memberships()->whereNull('until_ms')->with('group')->get();
        $of->each(static fn (Member $one) => $one->update(['until_ms' => Clock::ms()]));
        $this->beginAnew($of->map(static fn (Member $one): Seat => $one->group)->all());
    }

    /** What the seat that holds the student's canvas stands for; null where it is that seat itself. */
    private static function name(Seat $seat, Prompt $prompt): ?string
    {
        $sharing = $prompt->sharing();

        return $seat->isGroup() || $sharing === Sharing::Each
            ? null
            : $sharing->standsFor($seat->loadMissing('entry')->groupName());
    }

    /** Something about students who are in groups is otherwise now: their groups hear who is in them. */
    public static function tellGroupsOf(Seat ...$seats): void
    {
        $in = Member::query()
            ->whereIn('seat_id', array_map(static fn (Seat $seat): string => $seat->id, $seats))
            ->whereNull('until_ms')
            ->with('group')
            ->get();
        foreach ($in->unique('group_id') as $member) {
            event(new GroupChanged($member->group, true));
        }
    }

    private function make(LiveSession $session, string $name): Seat
    {
        return DB::transaction(fn (): Seat => $session->groupSeats()->where('stands_for', $name)->first() ??
            Seat::query()->create([
                'live_session_id' => $session->id,
                'n' => max(self::FIRST_N, (int) $session->groupSeats()->max('n')) + 1,
                'name' => match (true) {
                    $name === '' => __('Everyone'),
                    ctype_digit($name) => __('Group :n', ['n' => $name]),
                    default => $name,
                },
                'stands_for' => $name,
                'token_hash' => hash('sha256', Str::random(40)),
                'ink_key' => Str::random(16),
                'state' => SeatState::Seated,
                'state_at_ms' => Clock::ms(),
            ]));
    }

    private function countIn(Seat $group, Seat $seat): void
    {
        $member = $group->members()->where('seat_id', $seat->id)->first();
        if ($member === null) {
            $group->members()->createOrFirst(['seat_id' => $seat->id], ['since_ms' => Clock::ms()]);
        } elseif ($member->until_ms !== null) {
            $member->update(['until_ms' => null]);
        } else {
            return;
        }
        $group->unsetRelation('members');
        // A class that is gathered comes in all at once: that is told once.
        if (! isset($this->grown[$group->id])) {
            $this->grown[$group->id] = true;
            DB::afterCommit(function () use ($group): void {
                unset($this->grown[$group->id]);
                event(new GroupChanged($group, true));
            });
        }
    }

    /**
     * Their channel for ink is another from now on: whoever left hears the old one, on which nobody speaks.
     *
     * @param  array<array-key, Seat>  $groups
     */
    private function beginAnew(array $groups): void
    {
        foreach ($groups as $group) {
            $old = Audience::group($group);
            $group->update(['turn' => $group->turn + 1]);
            $group->unsetRelation('members');
            DB::afterCommit(fn () => $this->publisher->close($old));
            DB::afterCommit(fn () => event(new GroupChanged($group, false)));
        }
    }
}
