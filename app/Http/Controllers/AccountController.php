<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Accounts\AccountRole;
use App\Accounts\Invitation;
use App\Accounts\JoinTeachers;
use App\Accounts\WhoTeaches;
use App\Http\CurrentTeacher;
use App\Http\Visitor;
use App\Live\PublicAddress;
use App\Models\Teachers\School;
use App\Models\Teachers\Teacher;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Facades\Mail;
use Illuminate\Support\Facades\Password;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\Str;
use Illuminate\Validation\Rules\Password as PasswordRule;
use Illuminate\Validation\ValidationException;

/** An account, for those who want their plans on other devices too. Nothing needs one. */
final readonly class AccountController
{
    private const TRIES_A_MINUTE = 6;

    /** An invitation that somebody asked for themselves. */
    private const ASKED_DAYS = 2;

    /** On one account, from wherever they come. */
    private const TRIES_ON_AN_ACCOUNT = 30;

    public function __construct(private JoinTeachers $join)
    {
    }

    public function show(Request $request): View
    {
        return view('account.account', [
            'teacher' => CurrentTeacher::found($request),
            'mayMake' => self::mayMake($request),
            'mayAccept' => Invitation::isAccepted($request),
            'invitedTo' => Invitation::accepted($request)[0] ?? null,
            'canAsk' => School::query()->where('domains', '!=', '')->exists(),
            'who' => WhoTeaches::here(),
            'devices' => CurrentTeacher::found($request)->devices()->orderByDesc('updated_at')->get(),
            'here' => CurrentTeacher::device($request)?->token_hash,
        ]);
    }

    /** The teacher of this device gets an account: the plans, classes and sessions are there already. */
    public function make(Request $request): RedirectResponse
    {
        $teacher = CurrentTeacher::found($request);
        abort_if($teacher->hasAccount(), 409, __('You already have an account.'));
        abort_unless(
            self::mayMake($request),
            403,
            __('You need an invitation to make an account here. Ask whoever looks after Crag at your school.'),
        );
        $request->merge(['email' => self::email($request)]);
        $request->validate(
            [
                'name' => ['required', 'string', 'max:60'],
                'email' => ['required', 'email', 'max:200', 'unique:teachers,email'],
                'password' => ['required', 'string', 'max:200', PasswordRule::min(10)],
            ],
            ['email.unique' => __('There’s already an account with this address. Sign in instead.')],
        );
        $this->belongs($request, $teacher, $request->only(['name', 'email', 'password']));

        return redirect()->route('plans')->with('said', __('Your account is ready. Sign in with it on any device.'));
    }

    /** With an invitation an account can be made. */
    public function invited(Request $request, string $token): RedirectResponse
    {
        abort_unless(
            Invitation::holds($token),
            404,
            __('This invitation has been used, or is too old. Ask for another.'),
        );
        Invitation::accept($request, $token);

        return redirect()
            ->route('account')
            ->with('said', __('You’ve been invited to teach with Crag here: make your account.'));
    }

    /** Who has an account already comes into the school that they are invited to, or looks after it from now on. */
    public function accept(Request $request): RedirectResponse
    {
        $teacher = CurrentTeacher::found($request);
        abort_unless($teacher->hasAccount(), 409, __('Make an account first.'));
        abort_unless(Invitation::isAccepted($request), 404, __('This invitation has been used, or is too old. Ask for another.'));
        $this->belongs($request, $teacher, []);

        return redirect()->route('account')->with('said', __('Done.'));
    }

    /**
     * @param  array<string, mixed>  $with  what is set beside it
     */
    private function belongs(Request $request, Teacher $teacher, array $with): void
    {
        [$school, $role] = Invitation::accepted($request) ?? [null, AccountRole::Teacher];
        DB::transaction(static function () use ($request, $teacher, $with, $school, $role): void {
            $isNew = $school !== null && $teacher->school_id !== $school->id;
            abort_if(
                $isNew && ($school->going_at !== null || ! $school->hasRoomForTeacher()),
                409,
                __('This school has no room for another teacher. Ask the person who looks after Crag there.'),
            );
            abort_if(
                $school !== null && $teacher->isAdministrator() && $teacher->school_id === null,
                409,
                __('You look after every school here, so you can’t belong to one of them.'),
            );
            $isAdministrator = $role === AccountRole::Administrator;
            $teacher->update($with +
                ($school === null && ! $isAdministrator ? [] : ['school_id' => $school?->id]) +
                ($isAdministrator ? ['role' => $role] : []));
            Invitation::use($request);
        });
    }

    /** Whoever reads mail at a school's address teaches there. The answer is the same whatever was typed. */
    public function ask(Request $request): RedirectResponse
    {
        $request->validate(['school_email' => ['required', 'email', 'max:200']], [], ['school_email' => __('e-mail')]);
        $address = mb_strtolower($request->string('school_email')->trim()->toString());
        $school = School::query()
            ->where('domains', '!=', '')
            ->whereNull('going_at')
            ->get()
            ->first(static fn (School $one): bool => $one->mailDomains()->have($address));
        if ($school !== null) {
            $link = PublicAddress::of('invitation', ['token' => Invitation::make(self::ASKED_DAYS, $school)]);
            $words = __(
                "Someone asked to teach with Crag at :school with this address. If it was you, open this link within two days and make your account:\n\n:link\n\nIf it wasn’t you, there’s nothing you need to do.",
                ['school' => $school->name, 'link' => $link],
            );
            Mail::raw($words, static fn ($mail) => $mail->to($address)->subject(__('Teach with Crag')));
        }

        return redirect()
            ->route('account')
            ->with('said', __('If that’s an address at a school here, we’ve sent it an e-mail with an invitation.'));
    }

    private static function mayMake(Request $request): bool
    {
        return WhoTeaches::here() !== WhoTeaches::Invitation || Invitation::isAccepted($request);
    }

    public function signIn(Request $request): RedirectResponse
    {
        $email = self::email($request);
        $tries = 'sign-in:'.$email.'|'.(Visitor::of($request) ?: $request->ip());
        $onAccount = 'sign-in:'.$email;
        if (
            RateLimiter::tooManyAttempts($tries, self::TRIES_A_MINUTE) ||
            RateLimiter::tooManyAttempts($onAccount, self::TRIES_ON_AN_ACCOUNT)
        ) {
            throw ValidationException::withMessages(['email' => __('Too many tries. Wait a minute, then try again.')]);
        }
        $teacher = Teacher::query()->where('email', $email)->first();
        // The hash is worked out for unknown addresses too, so that the time taken tells nothing.
        $fits = Hash::check(
            $request->string('password')->toString(),
            $teacher->password ?? '$2y$12$'.str_repeat('.', 53),
        );
        if ($teacher === null || ! $fits) {
            RateLimiter::hit($tries);
            RateLimiter::hit($onAccount);
            throw ValidationException::withMessages([
                'email' => __('That e-mail address and password don’t match.'),
            ]);
        }
        RateLimiter::clear($tries);
        $request->session()->regenerate();
        $this->join->signIn($request, $teacher);

        return redirect()->route('plans')->with('said', __('Hello, :name.', ['name' => $teacher->name]));
    }

    public function signOut(Request $request): RedirectResponse
    {
        $teacher = CurrentTeacher::found($request);
        abort_unless(
            $teacher->hasAccount(),
            409,
            __('Without an account, this device would lose its plans. Make one first, or keep the return link.'),
        );
        CurrentTeacher::forget($request);
        $request->session()->invalidate();

        return redirect()->route('home')->with('said', __('You’re signed out on this device.'));
    }

    /** The private return link gives another device the same plans, without an account. */
    public function return(Request $request, Teacher $teacher, string $key): RedirectResponse|View
    {
        abort_unless(hash_equals($teacher->return_key, $key), 404);

        // A link that a stranger sent must neither carry this device's plans away nor have it work in the stranger's
        // name.
        return CurrentTeacher::of($request)?->is($teacher) === true
            ? redirect()->route('plans')
            : view('account.join', [
                'teacher' => $teacher,
                'key' => $key,
                'takesOver' => $this->join->wouldTakeOver($request, $teacher),
                'before' => CurrentTeacher::of($request),
            ]);
    }

    public function returnAndJoin(Request $request, Teacher $teacher, string $key): RedirectResponse
    {
        abort_unless(hash_equals($teacher->return_key, $key), 404);
        $this->join->signIn($request, $teacher);

        return redirect()->route('plans');
    }

    public function forgot(): View
    {
        return view('account.forgot');
    }

    /** The answer is the same whether there is such an account or not. */
    public function sendReset(Request $request): RedirectResponse
    {
        $request->validate(['email' => ['required', 'email']]);
        Password::sendResetLink(['email' => self::email($request)]);

        return redirect()
            ->route('account.forgot')
            ->with('said', __('If there’s an account with that address, we’ve sent it an e-mail with a link.'));
    }

    public function reset(Request $request, string $token): View
    {
        return view('account.reset', ['token' => $token, 'email' => $request->string('email')->toString()]);
    }

    public function setPassword(Request $request): RedirectResponse
    {
        $request->validate([
            'token' => ['required', 'string'],
            'email' => ['required', 'email'],
            'password' => ['required', 'string', 'max:200', PasswordRule::min(10)],
        ]);
        $status = Password::reset(
            ['email' => self::email($request)] + $request->only(['password', 'token']),
            static function (Teacher $teacher, string $password): void {
                $teacher->update(['password' => $password, 'return_key' => Str::random(40)]);
                // Whoever had the old password is signed out everywhere.
                $teacher->devices()->delete();
            },
        );
        if ($status !== Password::PASSWORD_RESET) {
            throw ValidationException::withMessages([
                'email' => __(
                    'That link has been used already, is older than an hour, or is for another address. Ask for a new one.',
                ),
            ]);
        }

        return redirect()->route('account')->with('said', __('Your new password is set. Sign in with it.'));
    }

    private static function email(Request $request): string
    {
        return mb_strtolower($request->string('email')->trim()->toString());
    }
}
