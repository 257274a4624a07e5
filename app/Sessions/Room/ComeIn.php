<?php

declare(strict_types=1);

namespace App\Sessions\Room;

use App\Canvas\CarriedWork;
use App\Live\Clock;
use App\Models\LiveSession;
use App\Models\Seat;
use App\Models\Teachers\RosterEntry;
use Crag\Session\Door\DeviceKind;
use Crag\Session\Door\PersonName;
use Crag\Session\Door\SeatCode;
use Crag\Session\Door\UsualWords;
use Crag\Session\Room\SeatState;
use Crag\Session\Rules\Refusal;
use Crag\Session\Rules\RefusedDeed;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** A student at the door: takes a seat, knocks, or comes back to a seat that is there. */
final readonly class ComeIn
{
    public function __construct(private TakeSeat $takeSeat, private AdmitStudents $doorway)
    {
    }

    /** Whether a name has a word that the teacher, or the installation, does not want to read. */
    private static function isUnsuitable(LiveSession $session, PersonName $name): bool
    {
        $settings = $session->settings;

        return $settings->unsuitable->areIn($name) ||
            ($settings->usualWords &&
                UsualWords::read((string) @file_get_contents(config()->string('crag.unsuitable')))->areIn($name));
    }

    /**
     * @param  ?Seat  $held  the place that this device held in the session that this one goes on from
     * @return array{Seat, string} the seat, and the token by which its cookie is known
     *
     * @throws RefusedDeed
     */
    public function __invoke(
        LiveSession $session,
        PersonName $name,
        ?RosterEntry $entry,
        DeviceKind $device,
        ?Seat $held = null,
    ): array {
        $same = $this->same($session, $name, $entry);
        if ($same?->state === SeatState::KeptOut) {
            throw RefusedDeed::because(Refusal::KeptOut);
        }
        // Earlier work is its owner's: known by the device or a PIN, or by the teacher, who is asked.
        $earlier = CarriedWork::waitsFor($session, $name->value, $entry?->id);
        $isUnsure = $earlier !== null && $earlier->id !== $held?->id && ($entry === null || $entry->pin === '');
        $state = $session->door->answer(
            $same !== null || $isUnsure || self::isUnsuitable($session, $name),
            $entry !== null,
        );

        // A place in the class list that is taken stays with the one who has it, until the teacher says otherwise.
        return ($this->takeSeat)(
            $session,
            $name,
            $same?->roster_entry_id === null ? $entry : null,
            $state,
            $same,
            $device,
        );
    }

    /**
     * A student who signed in is who they are on every device: the seat that is theirs comes here.
     *
     * @param  string  $seal  whose account it is
     * @return array{Seat, string}
     *
     * @throws RefusedDeed
     */
    public function withAccount(
        LiveSession $session,
        PersonName $name,
        ?RosterEntry $entry,
        string $seal,
        DeviceKind $device,
    ): array {
        return DB::transaction(function () use ($session, $name, $entry, $seal, $device): array {
            $own = $session->seats()->where('account_hash', $seal)->first() ??
                ($entry === null ? null : $session->seats()->where('roster_entry_id', $entry->id)->first());
            if ($own?->state === SeatState::KeptOut) {
                throw RefusedDeed::because(Refusal::KeptOut);
            }
            if ($own !== null) {
                $token = Str::random(40);
                $this->doorway->moveTo($own, hash('sha256', $token));
                $own->update(['device' => $device, 'account_hash' => $seal]);

                return [$own, $token];
            }
            // Who is on the list is known by it; whose name somebody else has here is asked about.
            [$seat, $token] = $entry !== null && $session->door->answer(false, true) === SeatState::Seated
                ? ($this->takeSeat)($session, $name, $entry, SeatState::Seated, null, $device)
                : $this($session, $name, $entry, $device);
            $seat->update(['account_hash' => $seal]);

            return [$seat, $token];
        });
    }

    /**
     * A seat code moves the seat here from the device that shows it.
     *
     * @return array{Seat, string}|null null where no page shows that code now
     */
    public function withCode(LiveSession $session, string $code, DeviceKind $device): ?array
    {
        return DB::transaction(function () use ($session, $code, $device): ?array {
            $seat = $session->seated()->where('code', $code)->first();
            if ($seat === null || ! SeatCode::isValid($seat->code_at_ms, Clock::ms())) {
                return null;
            }
            $token = Str::random(40);
            $this->doorway->moveTo($seat, hash('sha256', $token));
            $seat->update(['device' => $device]);

            return [$seat, $token];
        });
    }

    /** Whoever has that name, or that line of the class list, already. */
    private function same(LiveSession $session, PersonName $name, ?RosterEntry $entry): ?Seat
    {
        $folded = mb_strtolower($name->value);

        return $session
            ->seats()
            ->whereIn('state', [SeatState::Seated, SeatState::SentOut, SeatState::KeptOut])
            ->get()
            ->first(
                static fn (Seat $seat): bool => ($entry !== null && $seat->roster_entry_id === $entry->id) ||
                    mb_strtolower($seat->name) === $folded,
            );
    }
}
