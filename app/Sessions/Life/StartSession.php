<?php

declare(strict_types=1);

namespace App\Sessions\Life;

use App\Models\LiveSession;
use App\Models\Prompt;
use App\Models\Teachers\Plan;
use App\Models\Teachers\Roster;
use App\Models\Teachers\Teacher;
use App\Plans\MakePlan;
use App\Plans\PreparedPrompt;
use App\Schools\MayBegin;
use Crag\Canvas\Log\TrayInForce;
use Crag\Prompt\Backdrop\Backdrop;
use Crag\Prompt\Tray\ToolTray;
use Crag\Session\Door\JoinCode;
use Crag\Session\Room\PromptState;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** A new session: with one empty prompt, so that a class can draw at once, or with a plan's prompts. */
final readonly class StartSession
{
    public function __construct(private MakePlan $plans)
    {
    }

    public function __invoke(Teacher $teacher, string $title): LiveSession
    {
        return DB::transaction(static function () use ($teacher, $title): LiveSession {
            $session = self::begin($teacher, ['title' => $title]);
            self::firstPrompt($session);

            return $session;
        });
    }

    /**
     * One without a prompt, to be filled.
     *
     * @param  array<string, mixed>  $with
     */
    public function empty(Teacher $teacher, array $with): LiveSession
    {
        return self::begin($teacher, $with);
    }

    /** @param  ?ToolTray  $tray  for prompts without one of their own; null for the usual one */
    public function fromPlan(
        Teacher $teacher,
        Plan $plan,
        ?Roster $roster,
        ?ToolTray $tray = null,
        bool $isTrial = false,
    ): LiveSession {
        return DB::transaction(function () use ($teacher, $plan, $roster, $tray, $isTrial): LiveSession {
            $session = self::begin($teacher, [
                'title' => $plan->title,
                'plan_id' => $plan->id,
                'roster_id' => $roster?->id,
                'is_trial' => $isTrial,
                'tray' => $tray === null ? null : TrayInForce::always($tray),
            ]);
            $prompts = $plan->present();
            foreach ($this->plans->prepared($plan) as $i => $prepared) {
                $prompt = self::put(
                    $session,
                    MakePlan::withPictures($prepared, $plan, $session),
                    $i + 1,
                    $prompts[$i]->id ?? null,
                );
                $session->prompt_id ??= $prompt->id;
            }
            $session->save();
            $session->prompt()->update(['state' => PromptState::Open]);
            if ($session->prompt_id === null) {
                self::firstPrompt($session);
            }
            if (! $isTrial) {
                $plan->update(['used_at' => now()]);
            }

            return $session;
        });
    }

    /** A prepared prompt as one of the session's. */
    public static function put(LiveSession $session, PreparedPrompt $prepared, int $n, ?string $source): Prompt
    {
        return Prompt::query()->create(
            ['live_session_id' => $session->id, 'n' => $n, 'source_id' => $source] + self::columns($prepared),
        );
    }

    /** @return array<string, mixed> */
    public static function columns(PreparedPrompt $prepared): array
    {
        $details = $prepared->prompt->toArray();
        unset($details['words'], $details['tray']);

        return [
            'words' => $prepared->prompt->words,
            'backdrop' => $prepared->pages->first(),
            'pages' => $prepared->pages,
            'tray' => $prepared->prompt->tray === null ? null : TrayInForce::always($prepared->prompt->tray),
            'details' => $details,
        ];
    }

    /** @param  array<string, mixed>  $with */
    private static function begin(Teacher $teacher, array $with): LiveSession
    {
        MayBegin::check($teacher);
        $session = LiveSession::query()->create(
            $with + [
                'school_id' => $teacher->school_id,
                'teacher_name' => $teacher->name,
                'join_code' => self::freeCode(),
                'return_key' => Str::random(40),
                'screen_key' => Str::random(40),
                'helper_key' => Str::random(40),
            ],
        );
        $session->teachers()->attach($teacher);

        return $session;
    }

    private static function firstPrompt(LiveSession $session): void
    {
        $prompt = Prompt::query()->create([
            'live_session_id' => $session->id,
            'n' => 1,
            'words' => '',
            'backdrop' => Backdrop::blank(),
            'state' => PromptState::Open,
        ]);
        $session->update(['prompt_id' => $prompt->id]);
    }

    private static function freeCode(): string
    {
        do {
            $code = JoinCode::draw(random_int(...))->value;
        } while (LiveSession::query()->where('join_code', $code)->exists());

        return $code;
    }
}
