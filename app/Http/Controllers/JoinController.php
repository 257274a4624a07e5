<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Database\Turn;
use App\Http\CurrentSeat;
use App\Http\Visitor;
use App\Models\LiveSession;
use App\Models\Seat;
use App\Models\Teachers\RosterEntry;
use App\Sessions\Room\ComeIn;
use App\Sessions\Room\TakeSeat;
use Crag\Maths\Parsing\Digits;
use Crag\Session\Door\DeviceKind;
use Crag\Session\Door\InvalidJoinCode;
use Crag\Session\Door\InvalidName;
use Crag\Session\Door\JoinCode;
use Crag\Session\Door\PersonName;
use Crag\Session\Room\SeatState;
use Crag\Session\Rules\RefusedDeed;
use Illuminate\Contracts\View\View;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Http\Exceptions\HttpResponseException;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Validation\ValidationException;

/** A student comes in: by code, link or QR code, then a name. */
final class JoinController
{
    /**
     * Wrong codes in a minute: by one browser, and by all at one address. Whoever has a right one comes in all the
     * same.
     */
    private const WRONG_BY_ONE = 10;

    private const WRONG_FROM_AN_ADDRESS = 300;

    private const WRONG_PINS = 5;

    /** For one session in a minute. */
    private const WRONG_SEAT_CODES = 20;

    public function show(Request $request, ?string $code = null): View|RedirectResponse
    {
        $typed = $code ?? $request->string('code')->toString();
        if ($typed === '') {
            return view('student.join', ['session' => null, 'code' => '', 'problem' => null]);
        }
        try {
            $session = $this->find($request, $typed);
        } catch (ValidationException $problem) {
            return view('student.join', ['session' => null, 'code' => $typed, 'problem' => $problem->getMessage()]);
        }
        $seat = CurrentSeat::in($request, $session);

        return $seat !== null
            ? redirect()->route('seat', $seat)
            : view(
                'student.join',
                ['session' => $session, 'code' => $session->join_code, 'problem' => null] +
                    $this->names($request, $session),
            );
    }

    public function join(Request $request, ComeIn $comeIn): RedirectResponse
    {
        $session = $this->find($request, $request->string('code')->toString());
        $seat = CurrentSeat::in($request, $session);
        if ($seat !== null) {
            return redirect()->route('seat', $seat);
        }
        $back = route('join', ['code' => $session->join_code]);
        if ($session->seats()->count() >= TakeSeat::MOST_SEATS) {
            throw ValidationException::withMessages([
                'code' => __('This session is full. Tell your teacher.'),
            ])->redirectTo($back);
        }
        try {
            [$seat, $token] = match (true) {
                $request->filled('seat_code') => $this->withSeatCode($request, $session, $comeIn, $back),
                $request->filled('entry') => $this->asListed($request, $session, $comeIn, $back),
                default => $comeIn(
                    $session,
                    PersonName::read($request->string('name')->toString()),
                    null,
                    self::device($request),
                    self::held($request, $session),
                ),
            };
        } catch (InvalidName|RefusedDeed $problem) {
            throw ValidationException::withMessages(['name' => __($problem->getMessage())])->redirectTo($back);
        }
        CurrentSeat::remember($seat, $token);

        return redirect()->route('seat', $seat);
    }

    /**
     * A student taps the own name in the class list. Whoever taps one that is taken knocks: the teacher says whether
     * it is the same student on another device.
     *
     * @return array{Seat, string}
     */
    private function asListed(Request $request, LiveSession $session, ComeIn $comeIn, string $back): array
    {
        $entry = RosterEntry::query()
            ->where('roster_id', $session->roster_id)
            ->findOrFail($request->string('entry')->toString());
        $tries = "pin:{$session->id}:{$entry->id}";
        if (RateLimiter::tooManyAttempts($tries, self::WRONG_PINS)) {
            throw ValidationException::withMessages([
                'pin' => __('Too many wrong PINs. Wait a minute, then try again.'),
            ])->redirectTo($back);
        }
        $pin = Digits::plain($request->string('pin')->trim()->toString());
        if ($entry->pin !== '' && $pin === '') {
            // The name alone was tapped: the page asks for the PIN, and nothing was wrong yet.
            throw $request->has('pin')
                ? ValidationException::withMessages([
                    'pin' => __('Type the PIN for :name.', ['name' => $entry->name]),
                ])->redirectTo($back.'?entry='.$entry->id)
                : new HttpResponseException(redirect($back.'?entry='.$entry->id));
        }
        if ($entry->pin !== '' && ! hash_equals($entry->pin, $pin)) {
            RateLimiter::hit($tries);
            throw ValidationException::withMessages([
                'pin' => __('That’s not :name’s PIN. Ask your teacher for it.', ['name' => $entry->name]),
            ])->redirectTo($back.'?entry='.$entry->id);
        }
        try {
            return $comeIn(
                $session,
                PersonName::read($entry->name),
                $entry,
                self::device($request),
                self::held($request, $session),
            );
        } catch (UniqueConstraintViolationException) {
            // Somebody tapped it in the same moment; now it is taken.
            return $comeIn(
                $session,
                PersonName::read($entry->name),
                $entry,
                self::device($request),
                self::held($request, $session),
            );
        }
    }

    /**
     * The code that the student's other device shows brings the place here.
     *
     * @return array{Seat, string}
     */
    private function withSeatCode(Request $request, LiveSession $session, ComeIn $comeIn, string $back): array
    {
        $tries = "seat-code:{$session->id}";
        if (RateLimiter::tooManyAttempts($tries, self::WRONG_SEAT_CODES)) {
            throw ValidationException::withMessages([
                'seat_code' => __('Too many wrong codes. Wait a minute, then try again.'),
            ])->redirectTo($back);
        }
        try {
            $found = $comeIn->withCode(
                $session,
                JoinCode::read($request->string('seat_code')->toString())->value,
                self::device($request),
            );
        } catch (InvalidJoinCode) {
            $found = null;
        }
        if ($found === null) {
            RateLimiter::hit($tries);
            throw ValidationException::withMessages([
                'seat_code' => __(
                    'That seat code isn’t on any page now. Open “Another device” on the page you were working on.',
                ),
            ])->redirectTo($back);
        }

        return $found;
    }

    /** The place that this device held in the session that this one goes on from. */
    private static function held(Request $request, LiveSession $session): ?Seat
    {
        $earlier = $session->carries_on_id === null ? null : LiveSession::query()->find($session->carries_on_id);

        return $earlier === null ? null : CurrentSeat::in($request, $earlier);
    }

    private static function device(Request $request): DeviceKind
    {
        return DeviceKind::of((string) $request->userAgent());
    }

    /**
     * @return array{entries: Collection<int, RosterEntry>, taken: list<mixed>, chosen: ?RosterEntry} the class list to
     *      choose from, if there is one
     */
    private function names(Request $request, LiveSession $session): array
    {
        $entries = $session->roster?->entries()->get() ?? new Collection();

        return [
            'entries' => $entries,
            'taken' => $session
                ->seats()
                ->whereIn('state', [SeatState::Seated, SeatState::SentOut, SeatState::KeptOut])
                ->whereNotNull('roster_entry_id')
                ->pluck('roster_entry_id')
                ->values()
                ->all(),
            'chosen' => $entries->firstWhere('id', $request->string('entry')->toString()),
        ];
    }

    /** @throws ValidationException with a helpful answer; wrong codes count against guessing */
    private function find(Request $request, string $typed): LiveSession
    {
        try {
            $code = JoinCode::read($typed);
        } catch (InvalidJoinCode $problem) {
            throw self::wrong($request, __($problem->getMessage()));
        }
        $session = LiveSession::query()->with('prompt')->where('join_code', $code->value)->first();
        if ($session === null) {
            throw self::wrong(
                $request,
                __('No session has the code :code. Check the class screen again.', ['code' => $code->spaced()]),
            );
        }
        if (! $session->isRunning() && CurrentSeat::in($request, $session) === null) {
            throw self::problem(__('That session has ended. Ask your teacher for the new code.'));
        }
        Turn::of($session->id);

        return $session;
    }

    private static function wrong(Request $request, string $sentence): ValidationException
    {
        $visitor = Visitor::of($request);
        $tries = [
            'wrong-code one '.($visitor ?: $request->ip()) => self::WRONG_BY_ONE,
            'wrong-code all '.$request->ip() => self::WRONG_FROM_AN_ADDRESS,
        ];
        $isTooMany = false;
        foreach ($tries as $key => $most) {
            $isTooMany = RateLimiter::tooManyAttempts($key, $most) || $isTooMany;
            RateLimiter::hit($key);
        }

        return self::problem($isTooMany ? __('Too many wrong codes. Wait a minute, then try again.') : $sentence);
    }

    private static function problem(string $sentence): ValidationException
    {
        return ValidationException::withMessages(['code' => $sentence])->redirectTo(route('join'));
    }
}
