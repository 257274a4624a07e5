<?php

declare(strict_types=1);

namespace App\Http\Controllers\Desk\Life;

use App\Live\Clock;
use App\Live\SchoolTime;
use App\Models\LiveSession;
use App\Models\Seat;
use App\Records\OneStudent;
use App\Sessions\Life\ForgetStudent;
use App\Sessions\Life\OwnTime;
use Crag\Session\Life\Retention;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Carbon;
use Illuminate\Support\Str;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

/** How long a session is kept and stays open, and what is done with everything of one student. */
final class KeepController
{
    private const LONGEST_OPEN_DAYS = 120;

    public function days(Request $request, LiveSession $session): JsonResponse|RedirectResponse
    {
        $longest = $session->longestDays() ?? Retention::LONGEST_DAYS;
        $request->validate(['keep_days' => ['nullable', 'integer', 'min:0', "max:{$longest}"]]);
        $session->update([
            'keep_days' => $request->input('keep_days') === null ? null : $request->integer('keep_days'),
        ]);

        return $request->expectsJson()
            ? response()->json(['said' => self::said($session)])
            : back()->with('said', self::said($session));
    }

    /** Students go on without the teacher, at the own pace, until the end of a day; or no longer. */
    public function openUntil(Request $request, LiveSession $session, OwnTime $ownTime): JsonResponse
    {
        $request->validate(['until' => ['nullable', 'date_format:Y-m-d']], [], ['until' => __('date')]);
        $until = $request->filled('until')
            ? Carbon::createFromFormat('Y-m-d', $request->string('until')->toString(), SchoolTime::zone())
                ?->endOfDay()
                ->startOfSecond()
            : null;
        $ms = $until === null ? null : (int) $until->getTimestampMs();
        abort_if(
            $ms !== null && ($ms <= Clock::ms() || $ms > Clock::ms() + self::LONGEST_OPEN_DAYS * 86_400_000),
            422,
            __('Choose a day from today on, up to :n days ahead.', ['n' => self::LONGEST_OPEN_DAYS]),
        );
        if ($ms === null) {
            $ownTime->stop($session);
        } else {
            $ownTime->start($session, $ms);
        }

        return response()->json([
            'said' => $ms === null
                    ? __('The session won’t stay open any more.')
                    : __('Students can go on at their own pace until :date; then it ends by itself.', [
                        'date' => $session->openUntil(),
                    ]),
        ]);
    }

    /** Everything that is kept about one student. */
    public function everything(LiveSession $session, Seat $student): BinaryFileResponse
    {
        abort_if($student->isGroup(), 404);
        $file = sys_get_temp_dir().'/crag-student-'.Str::random(12);
        OneStudent::zip($student->setRelation('session', $session), $file);

        return response()
            ->download($file, (Str::slug($student->name) ?: 'student').'-everything.zip', [
                'Content-Type' => 'application/zip',
            ])
            ->deleteFileAfterSend();
    }

    public function forgetStudent(LiveSession $session, Seat $student, ForgetStudent $forget): RedirectResponse
    {
        abort_if($student->isGroup(), 404);
        $forget($session, $student->setRelation('session', $session));

        return redirect()
            ->route($session->isRunning() ? 'desk.take' : 'desk.ended', $session)
            ->with('said', __('Everything of :name in this session is deleted.', ['name' => $student->name]));
    }

    private static function said(LiveSession $session): string
    {
        return $session->retention()->isNone()
            ? __('Nothing is kept: everything is deleted when the session ends.')
            : trans_choice(
                '{1} Kept for one day after the session.|[2,*] Kept for :count days after the session.',
                $session->retention()->days,
            );
    }
}
