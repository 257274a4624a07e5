<?php

declare(strict_types=1);

namespace App\Http\Controllers\Desk\Watch;

use App\Canvas\CanvasFile;
use App\Http\ReplayAnswer;
use App\Models\Canvas;
use App\Models\LiveSession;
use App\Models\LoggedOperation;
use App\Models\Teachers\Teacher;
use App\Sessions\Checks\FeedbackForStudent;
use App\Sessions\Checks\OfferPhrases;
use App\Sessions\Checks\ReadWork;
use Crag\Canvas\Log\Author;
use Crag\Canvas\Log\Replay;
use Crag\Canvas\Scene;
use Crag\Checks\Judgement;
use Crag\Plan\PlanPrompt;
use Crag\Prompt\Question\Question;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** One canvas of the session, the lead canvas too: its files and its replay. */
final class CanvasController
{
    private const MOST_CHECKS = 20;

    public function picture(Request $request, LiveSession $session, string $canvas): Response
    {
        return CanvasFile::picture($request, $this->find($session, $canvas));
    }

    public function file(Request $request, LiveSession $session, string $canvas, string $format): Response
    {
        return CanvasFile::answer($this->find($session, $canvas), $format, $request->integer('page', 1));
    }

    /**
     * The whole log with the time of each step; `author` is "own" for the steps of those whose canvas it is, or the seat
     * of one of them.
     */
    public function replay(Request $request, LiveSession $session, string $canvas): Response
    {
        $found = $this->find($session, $canvas);
        $rows = $found->operations()->get();
        $who = $request->string('author')->toString();
        $authors = match ($who) {
            '', 'all' => [],
            'own' => $found->authors(),
            default => [in_array($who, $found->workers(), true) ? Author::seat($who) : abort(404)],
        };
        $replay = Replay::of($rows->map(static fn (LoggedOperation $row) => $row->operation()), ...$authors);

        return ReplayAnswer::of($replay, $rows, $found);
    }

    /** What was answered on it, beside what is right, and how it was checked. */
    public function answers(
        Request $request,
        LiveSession $session,
        string $canvas,
        OfferPhrases $phrases,
    ): View {
        $found = $this->find($session, $canvas);
        abort_if($found->seat === null, 404);
        $mine = $found->prompt->forSeat($found->seat);

        $teacher = $request->attributes->get('teacher');

        return view('desk.watch.answers', [
            'session' => $session,
            'canvas' => $found,
            'prompt' => $mine,
            'questions' => array_filter($mine->questions, static fn (Question $one): bool => $one->takesAnswer()),
            'answers' => self::answersOn($found->scene(), $mine),
            'lookFor' => $mine->lookFor,
            'checks' => $found->checks()->with('teacher')->limit(self::MOST_CHECKS)->get(),
            'judgement' => $found->check?->judgement() ?? Judgement::nothing(),
            'phrases' => $teacher instanceof Teacher ? $phrases($teacher, $found->prompt) : [],
            'kept' => $teacher instanceof Teacher ? $teacher->phrases ?? [] : [],
            'seen' => FeedbackForStudent::said($session->settings->feedback),
        ]);
    }

    /** What a reader of work proposes: the teacher sends it, changes it or drops it. */
    public function reading(LiveSession $session, string $canvas, ReadWork $read): View
    {
        $found = $this->find($session, $canvas);
        abort_if($found->seat === null, 404);

        return view('desk.checks.reading', [
            'session' => $session,
            'prompt' => $found->prompt,
            'seat' => $found->seat,
            'reading' => $read($found, $found->seat),
            'reader' => $read->name(),
        ]);
    }

    private function find(LiveSession $session, string $canvas): Canvas
    {
        return Canvas::query()->where('live_session_id', $session->id)->with('prompt.session')->findOrFail($canvas);
    }

    /** @return array<string, mixed> by the question's id */
    private static function answersOn(Scene $scene, PlanPrompt $prompt): array
    {
        $answers = [];
        foreach ($prompt->questions as $question) {
            $answers[$question->id] = $scene->answerTo($question);
        }

        return $answers;
    }
}
