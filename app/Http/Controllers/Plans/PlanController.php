<?php

declare(strict_types=1);

namespace App\Http\Controllers\Plans;

use App\Http\CurrentSeat;
use App\Http\CurrentTeacher;
use App\Jobs\JobState;
use App\Models\LiveSession;
use App\Models\Teachers\Intake;
use App\Models\Teachers\Plan;
use App\Models\Teachers\Roster;
use App\Models\Teachers\Teacher;
use App\Pictures\EmbeddedPictures;
use App\Plans\FollowPlan;
use App\Plans\MakePlan;
use App\Plans\ReadyPrompts;
use App\Plans\TakeChanges;
use App\Plans\TakesDrawing;
use App\Records\Rsvg;
use App\Sessions\Life\ForgetSession;
use App\Sessions\Life\StartSession;
use App\Sessions\Room\TakeSeat;
use Crag\Prompt\Tray\Tool;
use Crag\Prompt\Tray\ToolTray;
use Crag\Prompt\Tray\TrayKind;
use Crag\Render\SceneSvg;
use Crag\Session\Door\InvalidName;
use Crag\Session\Door\NameMode;
use Crag\Session\Door\PersonName;
use Crag\Session\Life\SessionSettings;
use Illuminate\Contracts\View\View;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Str;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;

/** A plan opened, shared, tried and started. */
final readonly class PlanController
{
    /** In pixels. */
    private const PICTURE = 320;

    public function __construct(private StartSession $start)
    {
    }

    public function show(Request $request, Plan $plan, ReadyPrompts $ready): View
    {
        return view('plans.plan', [
            'plan' => $plan,
            'teacher' => CurrentTeacher::found($request),
            'ready' => $ready->all(),
            'rosters' => CurrentTeacher::found($request)->rosters()->get(),
            'intake' => Intake::query()
                ->where('plan_id', $plan->id)
                ->where('state', JobState::Chosen)
                ->find($request->string('intake')->toString())
                ?->only(['id', 'state', 'total']),
        ]);
    }

    /** With what, before a session begins. */
    public function beforeStart(Request $request, Plan $plan): View
    {
        $teacher = CurrentTeacher::found($request);
        $rosters = $teacher->rosters()->withCount('entries')->get();
        $last =
            $plan->sessions()->whereNotNull('roster_id')->latest()->value('roster_id') ??
            $rosters->sortByDesc('updated_at')->first()?->id;

        return view('plans.start', [
            'plan' => $plan,
            'teacher' => $teacher,
            'rosters' => $rosters,
            'last' => $last,
            'prompts' => $plan->present(),
        ]);
    }

    /** A session with a class, with what that class was last started with where nothing else is said. */
    public function start(Request $request, Plan $plan): RedirectResponse
    {
        $request->validate([
            'roster' => ['nullable', 'string'],
            'tray' => ['nullable', Rule::enum(TrayKind::class)],
            'tools.*' => [Rule::enum(Tool::class)],
        ]);
        $teacher = CurrentTeacher::found($request);
        if ($teacher->name === '' && ! $this->named($request, $teacher)) {
            return redirect()->route('plan.start', $plan);
        }
        $roster = $request->filled('roster')
            ? $teacher->rosters()->findOrFail($request->string('roster')->toString())
            : null;
        $settings = $this->settings($request, $roster);
        $session = $this->start->fromPlan($teacher, $plan, $roster, ToolTray::of(TrayKind::from($settings['tray'])));
        $session->update(['settings' => SessionSettings::read($settings['session'])]);

        return redirect()->route('desk', $session);
    }

    /** The plan as a student sees it, on a device of any size: a session for the teacher alone, gone after a day. */
    public function try(Request $request, Plan $plan, ForgetSession $forget): View
    {
        $teacher = CurrentTeacher::found($request);
        LiveSession::query()->where('is_trial', true)->where('created_at', '<', now()->subDay())->get()->each($forget);
        $session = $plan->sessions()->where('is_trial', true)->whereNull('ended_at')->latest()->first();
        if ($session === null || ! $teacher->mayRun($session) || $session->created_at->lt($plan->updated_at)) {
            $session = $this->start->fromPlan($teacher, $plan, null, ToolTray::of(TrayKind::Maths), true);
        }

        return view('plans.try', ['plan' => $plan, 'session' => $session, 'prompts' => $session->prompts()->get()]);
    }

    /** The teacher's seat in the trial, in the frame. */
    public function trySeat(Request $request, Plan $plan, string $run, TakeSeat $takeSeat): RedirectResponse
    {
        $session = $plan->sessions()->where('is_trial', true)->findOrFail($run);
        abort_unless(CurrentTeacher::found($request)->mayRun($session), 403);
        $seat = CurrentSeat::in($request, $session);
        if ($seat === null) {
            [$seat, $token] = $takeSeat($session, PersonName::read(__('A student')));
            CurrentSeat::remember($seat, $token);
        }

        return redirect()->route('seat', $seat);
    }

    /** A running session takes over what has changed in the plan. */
    public function follow(Request $request, Plan $plan, string $run, FollowPlan $follow): JsonResponse
    {
        $running = $plan->sessions()->whereNull('ended_at')->findOrFail($run);
        abort_unless(CurrentTeacher::found($request)->mayRun($running), 403);

        return response()->json(['changed' => $follow($running, $plan)]);
    }

    /** A link by which another teacher of this installation may take a copy of it, or edit it too. */
    public function shared(Request $request, Plan $plan, string $key): View
    {
        abort_unless($plan->isLink($key), 404);

        return view('plans.shared', [
            'plan' => $plan,
            'key' => $key,
            'mayEdit' => hash_equals($plan->edit_key, $key),
            'prompts' => $plan->present(),
        ]);
    }

    /** A prompt of a shared plan as a small picture, before it is taken. */
    public function sharedPicture(Plan $plan, string $key, string $prompt, TakesDrawing $drawing): Response
    {
        abort_unless($plan->isLink($key), 404);
        $found = $plan->present()->firstWhere('id', $prompt) ?? abort(404);
        $scene = $drawing->canvas($found)->scene()->withBoxes($found->value()->common());

        return response(Rsvg::png(SceneSvg::document($scene, new EmbeddedPictures($plan)), self::PICTURE))
            ->header('Content-Type', 'image/png');
    }

    /** Both links lead nowhere from now on; who works on it together goes on. */
    public function endLinks(Request $request, Plan $plan): RedirectResponse
    {
        abort_unless($plan->teacher_id === CurrentTeacher::found($request)->id, 403);
        $plan->update(['copy_key' => Str::random(40), 'edit_key' => Str::random(40)]);

        return redirect()->route('plan', $plan);
    }

    /** What has been changed in the original since it was copied. */
    public function takeChanges(Request $request, Plan $plan, TakeChanges $take): JsonResponse
    {
        return response()->json(['changed' => $take($plan, CurrentTeacher::found($request))]);
    }

    public function takeShared(Request $request, Plan $plan, string $key, MakePlan $make): RedirectResponse
    {
        $teacher = CurrentTeacher::found($request);
        if (hash_equals($plan->edit_key, $key) && $request->string('how')->is('edit')) {
            $plan->teachers()->syncWithoutDetaching([$teacher->id]);

            return redirect()->route('plan', $plan);
        }
        abort_unless($plan->isLink($key), 404);

        return redirect()->route('plan', $make->copy($plan, $teacher, $plan->title, $key));
    }

    /** Students see whose session they join: a teacher without a name gives one before the first. */
    private function named(Request $request, Teacher $teacher): bool
    {
        try {
            return $request->filled('name') &&
                $teacher->update(['name' => PersonName::read($request->string('name')->toString())->value]);
        } catch (InvalidName $problem) {
            throw ValidationException::withMessages(['name' => __($problem->getMessage())]);
        }
    }

    /** @return array{tray: string, session: array<string, mixed>} */
    private function settings(Request $request, ?Roster $roster): array
    {
        $before = $roster === null ? [] : $roster->settings;
        $tray = $request->filled('tray')
            ? $request->string('tray')->toString()
            : $before['tray'] ?? TrayKind::Standard->value;
        $settings = [
            'tray' => is_string($tray) ? $tray : TrayKind::Standard->value,
            'session' => ($request->has('tray')
                    ? [
                        'desk_names' => $request->boolean('names') ? NameMode::Names->value : NameMode::Seats->value,
                        'cover' => $request->boolean('cover'),
                        'messages' => $request->boolean('messages'),
                    ]
                    : []) + (is_array($before['session'] ?? null) ? $before['session'] : []),
        ];
        $roster?->update(['settings' => $settings]);

        return $settings;
    }
}
