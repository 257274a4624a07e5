<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\CurrentSeat;
use App\Models\LiveSession;
use App\Models\RosterEntry;
use App\Sessions\TakeSeat;
use Crag\Session\InvalidJoinCode;
use Crag\Session\InvalidName;
use Crag\Session\JoinCode;
use Crag\Session\PersonName;
use Illuminate\Contracts\View\View;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Validation\ValidationException;

/** A student comes in: by code, link or QR code, then a name. */
final class JoinController
{
    /** Wrong codes from one address in a minute; a whole class may sit behind one address. */
    private const WRONG_A_MINUTE = 40;

    private const WRONG_PINS = 5;

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
            : view('student.join', ['session' => $session, 'code' => $session->join_code, 'problem' => null] + $this->names($request, $session));
    }

    public function join(Request $request, TakeSeat $takeSeat): RedirectResponse
    {
        $session = $this->find($request, $request->string('code')->toString());
        $seat = CurrentSeat::in($request, $session);
        if ($seat !== null) {
            return redirect()->route('seat', $seat);
        }
        if ($request->filled('entry')) {
            return $this->joinAsListed($request, $session, $takeSeat);
        }
        try {
            $name = PersonName::read($request->string('name')->toString());
        } catch (InvalidName $problem) {
            throw ValidationException::withMessages(['name' => __($problem->getMessage())])
                ->redirectTo(route('join', ['code' => $session->join_code]));
        }
        if ($session->seats()->count() >= TakeSeat::MOST_SEATS) {
            throw ValidationException::withMessages(['code' => __('This session is full. Tell your teacher.')]);
        }
        [$seat, $token] = $takeSeat($session, $name);
        CurrentSeat::remember($seat, $token);

        return redirect()->route('seat', $seat);
    }

    /** A student taps the own name in the class list. One whose place is taken already has it on another device. */
    private function joinAsListed(Request $request, LiveSession $session, TakeSeat $takeSeat): RedirectResponse
    {
        $back = route('join', ['code' => $session->join_code]);
        $entry = RosterEntry::query()->where('roster_id', $session->roster_id)->findOrFail($request->string('entry')->toString());
        $tries = "pin:{$session->id}:{$entry->id}";
        if (RateLimiter::tooManyAttempts($tries, self::WRONG_PINS)) {
            throw ValidationException::withMessages(['pin' => __('Too many wrong PINs. Wait a minute, then try again.')])->redirectTo($back);
        }
        if ($entry->pin !== '' && ! hash_equals($entry->pin, $request->string('pin')->trim()->toString())) {
            RateLimiter::hit($tries);
            throw ValidationException::withMessages(['pin' => __('That is not the PIN of :name. Your teacher has it.', ['name' => $entry->name])])->redirectTo($back.'?entry='.$entry->id);
        }
        if ($session->seats()->where('roster_entry_id', $entry->id)->exists()) {
            throw ValidationException::withMessages(['name' => __(':name is here already, on another device. Tell your teacher if that is not you.', ['name' => $entry->name])])->redirectTo($back);
        }
        try {
            [$seat, $token] = $takeSeat($session, PersonName::read($entry->name), $entry);
        } catch (UniqueConstraintViolationException) {
            throw ValidationException::withMessages(['name' => __(':name is here already, on another device. Tell your teacher if that is not you.', ['name' => $entry->name])])->redirectTo($back);
        }
        CurrentSeat::remember($seat, $token);

        return redirect()->route('seat', $seat);
    }

    /** @return array{entries: Collection<int, RosterEntry>, taken: list<mixed>, chosen: ?RosterEntry} the class list to choose from, if there is one */
    private function names(Request $request, LiveSession $session): array
    {
        $entries = $session->roster?->entries()->get() ?? new Collection;

        return [
            'entries' => $entries,
            'taken' => $session->seats()->whereNotNull('roster_entry_id')->pluck('roster_entry_id')->values()->all(),
            'chosen' => $entries->firstWhere('id', $request->string('entry')->toString()),
        ];
    }

    /** @throws ValidationException with a helpful answer; wrong codes count against guessing */
    private function find(Request $request, string $typed): LiveSession
    {
        $guesses = 'wrong-code:'.$request->ip();
        if (RateLimiter::tooManyAttempts($guesses, self::WRONG_A_MINUTE)) {
            throw self::problem(__('Too many wrong codes came from here. Wait a minute, then try again.'));
        }
        try {
            $code = JoinCode::read($typed);
        } catch (InvalidJoinCode $problem) {
            RateLimiter::hit($guesses);
            throw self::problem(__($problem->getMessage()));
        }
        $session = LiveSession::query()->with('prompt')->where('join_code', $code->value)->first();
        if ($session === null) {
            RateLimiter::hit($guesses);
            throw self::problem(__('No session has the code :code. Look at the class screen once more.', ['code' => $code->spaced()]));
        }
        if (! $session->isRunning() && CurrentSeat::in($request, $session) === null) {
            throw self::problem(__('That session has ended. Ask your teacher for the new code.'));
        }

        return $session;
    }

    private static function problem(string $sentence): ValidationException
    {
        return ValidationException::withMessages(['code' => $sentence])->redirectTo(route('join'));
    }
}
