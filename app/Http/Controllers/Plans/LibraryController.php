<?php

declare(strict_types=1);

namespace App\Http\Controllers\Plans;

use App\Http\CurrentTeacher;
use App\Http\Pages\StartableClasses;
use App\Models\HeldFolder;
use App\Models\Teachers\Intake;
use App\Models\Teachers\Plan;
use App\Models\Teachers\Teacher;
use App\Plans\BringInPlan;
use App\Plans\LibraryLook;
use App\Plans\MakePlan;
use App\Plans\UnusablePlan;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;

/** A teacher's plans, and what is done to a whole one. */
final readonly class LibraryController
{
    public function __construct(private MakePlan $make)
    {
    }

    public function show(Request $request): View
    {
        $teacher = CurrentTeacher::found($request);
        $plans = $teacher->plans()->with('teacher')->get()->toBase();
        $look = LibraryLook::of($request);
        $shown = $look->shown($plans);
        if ($request->has('dense')) {
            $request->session()->put('library-is-dense', $request->boolean('dense'));
        }

        return view('plans.library', [
            'teacher' => $teacher,
            'running' => $teacher
                ->sessions()
                ->where('is_trial', false)
                ->whereNull('ended_at')
                ->withCount('seats')
                ->latest()
                ->get(),
            'plans' => $shown,
            'lastClass' => StartableClasses::last($teacher, $shown),
            'rosters' => $teacher->rosters()->orderBy('name')->get(),
            'tags' => $plans
                ->filter(static fn (Plan $plan): bool => ($plan->archived_at !== null) === $look->inArchive)
                ->flatMap(static fn (Plan $plan): array => $plan->tags)
                ->countBy(static fn (string $tag): string => $tag)
                ->sortDesc()
                ->keys(),
            'archived' => $plans->whereNotNull('archived_at')->count(),
            'look' => $look,
            'isDense' => $request->session()->get('library-is-dense') === true,
        ]);
    }

    public function make(Request $request): RedirectResponse
    {
        $plan = $this->make->empty($this->named($request), $request->string('title')->toString());

        return redirect()->route('plan', $plan);
    }

    /** A whole plan from a file. */
    public function bringIn(Request $request, BringInPlan $bringIn): RedirectResponse
    {
        $file = $request->file('file');
        if ($file === null || is_array($file) || ! $file->isValid() || $file->getSize() > BringInPlan::MOST_BYTES) {
            throw ValidationException::withMessages([
                'file' => __('Choose a file of up to :n MB.', ['n' => BringInPlan::MOST_MEGABYTES]),
            ]);
        }
        try {
            $plan = $bringIn->asPlan(
                CurrentTeacher::found($request),
                $file->getPathname(),
                $file->getClientOriginalName(),
            );
        } catch (UnusablePlan $problem) {
            throw ValidationException::withMessages(['file' => $problem->getMessage()]);
        }

        // Of a PDF the pages are chosen next.
        return redirect()->route(
            'plan',
            [$plan] + array_filter(['intake' => Intake::query()->where('plan_id', $plan->id)->value('id')]),
        );
    }

    public function duplicate(Request $request, Plan $plan): RedirectResponse
    {
        $this->make->copy(
            $plan,
            CurrentTeacher::found($request),
            __(':title (copy)', ['title' => mb_substr($plan->title, 0, 70)]),
        );

        return redirect()
            ->route('plans')
            ->with('said', __('You now have a copy of “:title”.', ['title' => $plan->title]));
    }

    public function archive(Request $request, Plan $plan): RedirectResponse
    {
        $plan->update(['archived_at' => $request->boolean('restore') ? null : now()]);

        return redirect()
            ->route('plans')
            ->with(
                'said',
                $request->boolean('restore')
                    ? __('“:title” is back among the plans.', ['title' => $plan->title])
                    : __('“:title” is in the archive.', ['title' => $plan->title]),
            );
    }

    /** Those who only share it lose it from their list; its owner deletes it. */
    public function delete(Request $request, Plan $plan): RedirectResponse
    {
        $teacher = CurrentTeacher::found($request);
        if ($plan->teacher_id !== $teacher->id) {
            $plan->teachers()->detach($teacher);

            return redirect()
                ->route('plans')
                ->with('said', __('“:title” is no longer on your list.', ['title' => $plan->title]));
        }
        $plan->delete();
        HeldFolder::remove('plans', $plan->id);

        return redirect()->route('plans')->with('said', __('“:title” is deleted.', ['title' => $plan->title]));
    }

    private function named(Request $request): Teacher
    {
        $name = $request->string('name')->trim()->toString();
        $teacher = CurrentTeacher::found($request);
        if ($teacher->name === '' && $name !== '') {
            $teacher->update(['name' => mb_substr($name, 0, 60)]);
        }

        return $teacher;
    }
}
