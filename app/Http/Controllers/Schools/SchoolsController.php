<?php

declare(strict_types=1);

namespace App\Http\Controllers\Schools;

use App\Http\CurrentTeacher;
use App\Jobs\RemoveSchool;
use App\Models\Teachers\School;
use App\Schools\Usage;
use Crag\School\MailDomains;
use Crag\School\UnreadableDomain;
use Crag\Session\Life\Retention;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;

/** The schools of this installation: how much each uses, and what holds for it. */
final class SchoolsController
{
    private const MOST = 1_000_000;

    /** Who looks after one sees that one. */
    public function index(Request $request): View|RedirectResponse
    {
        $own = CurrentTeacher::found($request)->school_id;
        if ($own !== null) {
            return redirect()->route('school', $own);
        }
        $schools = School::query()->orderBy('name')->get();

        return view('schools.schools', ['schools' => $schools, 'usage' => Usage::ofAll($schools)]);
    }

    public function make(Request $request): RedirectResponse
    {
        $request->validate(['name' => ['required', 'string', 'max:100', 'unique:schools,name']], [
            'name.unique' => __('There’s already a school with this name.'),
        ]);
        $school = School::query()->create(['name' => $request->string('name')->trim()->toString()]);

        return redirect()
            ->route('school', $school)
            ->with('said', __(':school is here. Invite its teachers next.', ['school' => $school->name]));
    }

    public function show(Request $request, School $school): View
    {
        return view('schools.school', [
            'school' => $school,
            'usage' => Usage::of($school),
            'teachers' => $school->teachers()->get(),
            'me' => CurrentTeacher::found($request),
            'usualDays' => config()->integer('crag.keep_days'),
        ]);
    }

    /** What the school decides itself: how long work is kept, and whose addresses are its own. */
    public function change(Request $request, School $school): RedirectResponse
    {
        $request->validate([
            'keep_days' => ['nullable', 'integer', 'min:0', 'max:'.Retention::LONGEST_DAYS],
            'domains' => ['nullable', 'string', 'max:2000'],
        ]);
        try {
            $domains = MailDomains::read((string) $request->input('domains'))->text();
        } catch (UnreadableDomain $problem) {
            throw ValidationException::withMessages(
                ['domains' => __($problem->getMessage(), ['word' => $problem->word])],
            );
        }
        $school->update(['keep_days' => self::number($request, 'keep_days'), 'domains' => $domains]);

        return back()->with('said', __('Saved.'));
    }

    /** What the installation gives it. */
    public function limit(Request $request, School $school): RedirectResponse
    {
        $quotas = ['most_teachers', 'most_sessions', 'most_megabytes'];
        $number = static fn (string $one): ?int => self::number($request, $one);
        $request->validate(
            array_fill_keys($quotas, ['nullable', 'integer', 'min:0', 'max:'.self::MOST]) +
                ['name' => ['required', 'string', 'max:100', "unique:schools,name,{$school->id}"]],
        );
        $school->update(
            ['name' => $request->string('name')->trim()->toString()] +
                array_combine($quotas, array_map($number, $quotas)),
        );

        return back()->with('said', __('Saved.'));
    }

    /** Everything of it goes; its name is typed first. */
    public function delete(Request $request, School $school): RedirectResponse
    {
        if ($request->string('sure')->trim()->toString() !== $school->name) {
            throw ValidationException::withMessages(['sure' => __('Type the school’s name just as it’s written here.')]);
        }
        if ($school->going_at === null) {
            $school->update(['going_at' => now()]);
            RemoveSchool::dispatch($school->id);
        }

        return redirect()
            ->route('schools')
            ->with('said', __(':school is being deleted.', ['school' => $school->name]));
    }

    private static function number(Request $request, string $field): ?int
    {
        return $request->input($field) === null ? null : $request->integer($field);
    }
}
