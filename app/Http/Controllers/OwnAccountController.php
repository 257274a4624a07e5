<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Accounts\DeleteTeacher;
use App\Http\CurrentTeacher;
use App\Models\Teachers\Device;
use App\Models\Teachers\Teacher;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\Str;
use Illuminate\Validation\Rule;
use Illuminate\Validation\Rules\Password as PasswordRule;
use Illuminate\Validation\ValidationException;

/** What a teacher changes about themselves: name, address, password, devices, and that all of it goes. */
final class OwnAccountController
{
    private const TRIES_A_MINUTE = 6;

    public function name(Request $request): RedirectResponse
    {
        $request->validate(['name' => ['required', 'string', 'max:60']]);
        $this->teacher($request)->update(['name' => $request->string('name')->trim()->toString()]);

        return self::back(__('Students and colleagues see this name from now on.'));
    }

    public function address(Request $request): RedirectResponse
    {
        $teacher = $this->withAccount($request);
        $request->merge(['new_email' => mb_strtolower($request->string('new_email')->trim()->toString())]);
        $request->validate(
            ['new_email' => ['required', 'email', 'max:200', Rule::unique('teachers', 'email')->ignore($teacher->id)]],
            ['new_email.unique' => __('There’s already an account with this address.')],
            ['new_email' => __('e-mail')],
        );
        $this->checkPassword($request, $teacher, 'address_password');
        $teacher->update(['email' => $request->string('new_email')->toString()]);

        return self::back(__('You sign in with :email now.', ['email' => (string) $teacher->email]));
    }

    /** Whoever knew the old one is signed out, and the old return link leads nowhere. */
    public function password(Request $request): RedirectResponse
    {
        $teacher = $this->withAccount($request);
        $request->validate(['new_password' => ['required', 'string', 'max:200', PasswordRule::min(10)]], [], [
            'new_password' => __('password'),
        ]);
        $this->checkPassword($request, $teacher, 'old_password');
        $teacher->update(['password' => $request->string('new_password')->toString(), 'return_key' => Str::random(40)]);
        $this->others($request, $teacher)->each->delete();
        $request->session()->regenerate();

        return self::back(__('Your new password is set. Other devices are signed out.'));
    }

    /** One that is named, or all but this one. */
    public function signOutDevices(Request $request): RedirectResponse
    {
        $teacher = $this->withAccount($request);
        $named = $request->string('device')->toString();
        $devices = $this->others($request, $teacher)->filter(
            static fn (Device $one): bool => $named === '' || $one->publicId() === $named,
        );
        $devices->each->delete();

        return self::back(trans_choice(
            '{0} No other device was signed in.|{1} One device is signed out.|[2,*] :count devices are signed out.',
            $devices->count(),
        ));
    }

    public function delete(Request $request, DeleteTeacher $delete): RedirectResponse
    {
        $teacher = $this->teacher($request);
        if ($teacher->hasAccount()) {
            $this->checkPassword($request, $teacher, 'delete_password');
        } elseif (! $request->boolean('sure')) {
            throw self::problem('sure', __('Tick the box first.'));
        }
        $delete($teacher);
        CurrentTeacher::forget($request);
        $request->session()->invalidate();

        return redirect()->route('home')->with('said', __('Everything is deleted.'));
    }

    /** @return Collection<int, Device> */
    private function others(Request $request, Teacher $teacher): Collection
    {
        $here = CurrentTeacher::device($request)?->token_hash;
        $isOther = static fn (Device $one): bool => $one->token_hash !== $here;

        return $teacher->devices()->get()->toBase()->filter($isOther);
    }

    private function teacher(Request $request): Teacher
    {
        $teacher = CurrentTeacher::found($request);
        abort_unless($teacher->exists, 404);

        return $teacher;
    }

    private function withAccount(Request $request): Teacher
    {
        $teacher = $this->teacher($request);
        abort_unless($teacher->hasAccount(), 409, __('Make an account first.'));

        return $teacher;
    }

    /** A device that was left open is not enough for this. */
    private function checkPassword(Request $request, Teacher $teacher, string $field): void
    {
        $tries = "own-password:{$teacher->id}";
        if (RateLimiter::tooManyAttempts($tries, self::TRIES_A_MINUTE)) {
            throw self::problem($field, __('Too many tries. Wait a minute, then try again.'));
        }
        if (! Hash::check($request->string($field)->toString(), (string) $teacher->password)) {
            RateLimiter::hit($tries);
            throw self::problem($field, __('That isn’t your password.'));
        }
        RateLimiter::clear($tries);
    }

    private static function problem(string $field, string $sentence): ValidationException
    {
        return ValidationException::withMessages([$field => $sentence])->redirectTo(route('account'));
    }

    private static function back(string $said): RedirectResponse
    {
        return redirect()->route('account')->with('said', $said);
    }
}
