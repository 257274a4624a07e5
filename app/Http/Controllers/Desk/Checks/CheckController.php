<?php

declare(strict_types=1);

namespace App\Http\Controllers\Desk\Checks;

use App\Http\CurrentRole;
use App\Http\CurrentTeacher;
use App\Models\Canvas;
use App\Models\LiveSession;
use App\Models\Prompt;
use App\Models\Teachers\Teacher;
use App\Sessions\Checks\Checking;
use App\Sessions\Work\SendWork;
use Crag\Checks\InvalidJudgement;
use Crag\Checks\Judgement;
use Crag\Checks\Level;
use Crag\Checks\Scale;
use Crag\Session\Rules\Deed;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** What a teacher finds in one canvas or in several: levels, points, a note. */
final class CheckController
{
    private const MOST_AT_ONCE = 200;

    private const MOST_PHRASES = 30;

    public function __construct(private readonly Checking $checking)
    {
    }

    /**
     * `level` is the key that was pressed, or null to take the check away; `marks` holds levels by place of the aspect;
     * `points` and `note` change what they name. What is not named stays.
     */
    public function judge(Request $request, LiveSession $session): JsonResponse
    {
        $request->validate([
            'level' => ['nullable', 'integer', 'min:0', 'max:'.Scale::MOST],
            'marks' => ['array'],
            'marks.*' => ['nullable', 'integer'],
            'points' => ['nullable', 'numeric'],
            'note' => ['nullable', 'string'],
            'canvas' => ['nullable', 'string'],
            'canvases' => ['nullable', 'array', 'max:'.self::MOST_AT_ONCE],
        ]);
        $ids = $request->json('canvas') === null ? $request->array('canvases') : [$request->json('canvas')];

        return $this->done(
            $request,
            $session,
            $this->canvases($request, $session, $ids),
            static function (Canvas $canvas, Judgement $was) use ($request): Judgement {
                $prompt = $canvas->prompt->value();

                return $was->changed($prompt->aspects(), self::changes($request), $prompt->points);
            },
        );
    }

    /** Each canvas gets what it had. */
    public function restore(Request $request, LiveSession $session): JsonResponse
    {
        $request->validate([
            'before' => ['required', 'array', 'max:'.self::MOST_AT_ONCE],
            'before.*.canvas' => ['required', 'string'],
            'before.*.judgement' => ['required', 'array'],
        ]);
        $before = collect($request->array('before'))->keyBy('canvas');

        return $this->done(
            $request,
            $session,
            $this->canvases($request, $session, $before->keys()->all()),
            static function (Canvas $canvas) use ($before): Judgement {
                $had = (array) $before[$canvas->id]['judgement'];
                $prompt = $canvas->prompt->value();

                return Judgement::of(
                    $prompt->aspects(),
                    (bool) ($had['none'] ?? false),
                    (array) ($had['marks'] ?? []),
                    is_numeric($had['points'] ?? null) ? (float) $had['points'] : null,
                    is_string($had['note'] ?? null) ? $had['note'] : '',
                    $prompt->points,
                );
            },
        );
    }

    /** How many canvases would get which level from their answers; nothing is checked yet. */
    public function proposed(LiveSession $session, Prompt $prompt): JsonResponse
    {
        $counts = array_count_values(
            array_map(static fn (Level $level): int => $level->value, Checking::proposed($prompt)),
        );
        krsort($counts);

        return response()->json([
            'counts' => array_map(
                static fn (int $level, int $n): array => [
                    'level' => $level,
                    'word' => __(Level::from($level)->word()),
                    'n' => $n,
                ],
                array_keys($counts),
                $counts,
            ),
        ]);
    }

    /** The teacher accepts what the answers say. */
    public function accept(Request $request, LiveSession $session, Prompt $prompt): JsonResponse
    {
        $proposed = Checking::proposed($prompt);
        abort_if($proposed === [], 422, __('There’s nothing left to accept.'));

        return $this->done(
            $request,
            $session,
            $this->canvases($request, $session, array_keys($proposed)),
            static function (Canvas $canvas, Judgement $was) use ($proposed): Judgement {
                $prompt = $canvas->prompt->value();
                $scale = $prompt->aspects()[0]->scale;

                return Judgement::of(
                    $prompt->aspects(),
                    false,
                    [$scale->nearest($proposed[$canvas->id])] + $was->marks,
                    $was->points,
                    $was->note,
                    $prompt->points,
                );
            },
        );
    }

    /** Another try: the work goes back to its author, who is told to send it again. */
    public function again(Request $request, LiveSession $session, SendWork $work): JsonResponse
    {
        $request->validate(['canvas' => ['required', 'string']]);
        $canvas = $session
            ->canvases()
            ->with(['seat.session', 'prompt'])
            ->findOrFail($request->string('canvas')->toString());
        $seat = $canvas->seat ?? abort(404);
        $work->again($seat, $canvas, CurrentTeacher::found($request));

        return response()->json(['said' => __(':name can draw on it again, and is asked to send it once more.', [
            'name' => $seat->name,
        ])]);
    }

    /** The teacher's own phrases for notes. */
    public function phrases(Request $request, LiveSession $session): JsonResponse
    {
        $request->validate([
            'phrase' => ['required', 'string', 'max:'.Judgement::LONGEST_NOTE],
            'drop' => ['boolean'],
        ]);
        $teacher = self::teacher($request);
        $phrase = $request->string('phrase')->trim()->toString();
        $others = array_values(array_diff($teacher->phrases ?? [], [$phrase]));
        $teacher->update([
            'phrases' => $request->boolean('drop') || $phrase === ''
                    ? $others
                    : array_slice([...$others, $phrase], -self::MOST_PHRASES),
        ]);

        return response()->json([
            'said' => $request->boolean('drop') ? __('The phrase is gone.') : __('Saved to your phrases.'),
        ]);
    }

    /** @return array{level?: ?int, marks?: array<array-key, mixed>, points?: ?float, note?: string} what is named */
    private static function changes(Request $request): array
    {
        $number = static fn (string $name): ?string => $request->input($name) === null
            ? null
            : $request->string($name)->toString();
        $changes = ['marks' => $request->array('marks')];
        if ($request->has('level')) {
            $level = $number('level');
            $changes['level'] = $level === null ? null : (int) $level;
        }
        if ($request->has('points')) {
            $points = $number('points');
            $changes['points'] = $points === null ? null : (float) $points;
        }
        if ($request->has('note')) {
            $changes['note'] = $request->string('note')->toString();
        }

        return $changes;
    }

    /**
     * @param  Collection<int, Canvas>  $canvases
     * @param  \Closure(Canvas, Judgement): Judgement  $judge
     */
    private function done(Request $request, LiveSession $session, Collection $canvases, \Closure $judge): JsonResponse
    {
        try {
            return response()->json($this->checking->judge($session, self::teacher($request), $canvases, $judge));
        } catch (InvalidJudgement $problem) {
            abort(422, __($problem->getMessage()));
        }
    }

    /**
     * @param  array<array-key, mixed>  $ids
     * @return Collection<int, Canvas>
     */
    private function canvases(Request $request, LiveSession $session, array $ids): Collection
    {
        $canvases = $session->canvases()->with('check', 'prompt.session', 'seat')->whereIn('id', $ids)->get();
        abort_if($canvases->isEmpty(), 404);
        foreach ($canvases->unique('prompt_id') as $canvas) {
            CurrentRole::check($request, $session, Deed::Check, $canvas->prompt);
        }

        return $canvases;
    }

    private static function teacher(Request $request): Teacher
    {
        $teacher = $request->attributes->get('teacher');
        assert($teacher instanceof Teacher);

        return $teacher;
    }
}
