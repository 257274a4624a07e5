<?php

declare(strict_types=1);

namespace App\Sessions\Room;

use App\Live\Audience;
use App\Live\Clock;
use App\Live\Publisher;
use App\Models\LiveSession;
use App\Models\Seat;
use App\Models\Teachers\Teacher;
use Crag\Formats\SessionDescription;
use Crag\Formats\UnusableDescription;
use Crag\Session\Room\TurnPass;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Str;

/**
 * A teacher and one student talk from page to page: asked, accepted, and put through to each other. The sound goes
 * between the two browsers; here is only, for as long as it lasts, who talks with whom.
 */
final readonly class LiveTalk
{
    /** So long the student's page asks; the desk gives up a little sooner, and says so. */
    public const ASKS_S = 60;

    /** A talk of which nobody says that it ended is over then. */
    private const LONGEST_S = 3_600;

    public function __construct(private Publisher $publisher, private RoomState $room)
    {
    }

    /** @return ?string the id of the talk; null while the student talks with somebody */
    public function ask(Seat $seat, Teacher $teacher): ?string
    {
        $id = (string) Str::ulid();
        $talk = ['id' => $id, 'seat' => $seat->id, 'by' => $teacher->id, 'name' => $teacher->name, 'isOn' => false];
        if (! Cache::add(self::key($seat->id), $talk, self::ASKS_S)) {
            return null;
        }
        $this->room->tellStudent($seat);

        return $id;
    }

    /** @return array{id: string, name: string, isOn: bool}|null what a student's page is asked, or in the middle of */
    public static function toStudent(Seat $seat): ?array
    {
        $talk = self::of($seat->id);

        return $talk === null ? null : ['id' => $talk['id'], 'name' => $talk['name'], 'isOn' => $talk['isOn']];
    }

    /** The student says yes; a page that comes later is no part of it. */
    public function accept(Seat $seat, string $id): bool
    {
        $talk = self::of($seat->id);
        if ($talk === null || $talk['id'] !== $id || $talk['isOn']) {
            return false;
        }
        Cache::put(self::key($seat->id), ['isOn' => true] + $talk, self::LONGEST_S);
        $this->room->tellStudent($seat);
        $this->tellDesk($seat->session, ['id' => $id, 'is' => 'accepted']);

        return true;
    }

    /**
     * How the student's browser can be reached, to the desk that asked.
     *
     * @throws UnusableDescription
     */
    public function offer(Seat $seat, string $id, string $sdp): bool
    {
        if (! self::isOn($seat->id, $id)) {
            return false;
        }
        $this->tellDesk($seat->session, ['id' => $id, 'is' => 'offer', 'sdp' => self::read($sdp)]);

        return true;
    }

    /**
     * And how the desk's can be, to the student's page.
     *
     * @throws UnusableDescription
     */
    public function answer(Seat $seat, string $id, string $sdp): bool
    {
        if (! self::isOn($seat->id, $id)) {
            return false;
        }
        $this->publisher->publish(
            Audience::seat($seat)->channel,
            json_encode(['stream' => 'live', 'live' => ['id' => $id, 'sdp' => self::read($sdp)]], JSON_THROW_ON_ERROR),
        );

        return true;
    }

    /** @param  string  $is  why, to the desk: declined, or ended */
    public function end(Seat $seat, string $id, string $is = 'ended'): void
    {
        if ((self::of($seat->id)['id'] ?? null) === $id) {
            Cache::forget(self::key($seat->id));
            $this->room->tellStudent($seat);
            $this->tellDesk($seat->session, ['id' => $id, 'is' => $is]);
        }
    }

    /** The teacher who began a talk, or takes part in it, at their desk alone. */
    public static function isBy(Seat $seat, string $id, Teacher $teacher): bool
    {
        $talk = self::of($seat->id);

        return $talk !== null && $talk['id'] === $id && $talk['by'] === $teacher->id;
    }

    /**
     * By what the two browsers find each other, beside their own addresses.
     *
     * @return array{servers: list<array{urls: string, username: string, credential: string}>, only: bool}
     */
    public static function ways(): array
    {
        $url = config()->string('crag.turn_url');
        $pass = TurnPass::until(config()->string('crag.turn_secret'), Clock::ms());

        return [
            'servers' => $url === ''
                ? []
                : [['urls' => $url, 'username' => $pass->username, 'credential' => $pass->credential]],
            'only' => $url !== '' && config()->boolean('crag.turn_only'),
        ];
    }

    private static function read(string $sdp): string
    {
        $networks = array_filter(array_map(trim(...), explode(',', config()->string('crag.talk_networks'))));

        return SessionDescription::read($sdp, array_values($networks));
    }

    private static function isOn(string $seat, string $id): bool
    {
        $talk = self::of($seat);

        return $talk !== null && $talk['id'] === $id && $talk['isOn'];
    }

    /** @return array{id: string, seat: string, by: string, name: string, isOn: bool}|null */
    private static function of(string $seat): ?array
    {
        /** @var array{id: string, seat: string, by: string, name: string, isOn: bool}|null */
        return Cache::get(self::key($seat));
    }

    private static function key(string $seat): string
    {
        return "live-talk.{$seat}";
    }

    /** @param  array<string, string>  $what */
    private function tellDesk(LiveSession $session, array $what): void
    {
        $this->publisher->publish(
            Audience::desk($session)->channel,
            json_encode(['stream' => 'live', 'live' => $what], JSON_THROW_ON_ERROR),
        );
    }
}
