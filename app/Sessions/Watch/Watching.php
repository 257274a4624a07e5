<?php

declare(strict_types=1);

namespace App\Sessions\Watch;

use App\Canvas\Together;
use App\Live\Clock;
use App\Models\Canvas;
use App\Models\LiveSession;
use App\Models\Prompt;
use App\Models\Seat;
use App\Sessions\Room\CurrentSituation;
use App\Sessions\Room\EachSeat;
use App\Sessions\Room\Presence;
use Crag\Canvas\Log\OperationKind;
use Crag\Checks\ChangedSince;
use Crag\Checks\LevelTally;
use Crag\Checks\Scale;
use Crag\Session\Room\Pace;
use Crag\Session\Room\SeatState;
use Crag\Watch\AnswerGroup;
use Crag\Watch\AnswerGroups;
use Crag\Watch\CanvasState;
use Crag\Watch\Noticed;
use Crag\Watch\Signal;
use Crag\Watch\Signals;
use Crag\Watch\Watched;
use Crag\Watch\WatchSettings;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use PDOException;

/**
 * What the desk is told again and again of a prompt's canvases: their states, their answers, and what is worth a look.
 */
final readonly class Watching
{
    /** When a student was last seen is written down no more often than this. */
    private const SEEN_MS = 10_000;

    public function __construct(private Presence $presence)
    {
    }

    /**
     * @param  list<string>  $silent  seats whose pages have stopped telling the desk that they are there, however open
     *      their sockets seem
     * @return array<string, mixed>
     */
    public function of(LiveSession $session, Prompt $prompt, array $silent = []): array
    {
        $now = Clock::ms();
        $seats = Together::holders($session, $prompt);
        $canvases = $prompt
            ->canvases()
            ->with('check')
            ->whereIn('seat_id', $seats->pluck('id'))
            ->get()
            ->keyBy('seat_id');
        $settings = $session->settings->watch;
        $watched = $this->watched($session, $prompt, $seats, $canvases, $silent, $now);
        $unreadable = [];
        $answers = $prompt->isCovered()
            ? AnswerGroups::among([])
            : GivenAnswers::to($prompt, $seats, $canvases, $unreadable);
        foreach ($unreadable as $seat) {
            $watched[$seat] = $watched[$seat]->unreadable();
        }
        $since = self::changedSince($canvases);
        $value = $prompt->value();
        $aspect = $value->aspects()[0];
        $sorted = $prompt->isCovered() ? [] : SortedWork::on($prompt, $canvases);
        $tasks = $prompt->isCovered() ? [] : TaskWork::on($prompt, $seats, $canvases);
        $practice = $prompt->isCovered() ? [] : PracticeWork::on($prompt, $seats, $canvases);
        $talks = DB::table('talk_throughs')
            ->whereIn('canvas_id', $canvases->pluck('id'))
            ->groupBy('canvas_id')
            ->selectRaw('canvas_id, count(*) as n')
            ->pluck('n', 'canvas_id');
        $noticed = Signals::among($watched, $answers, self::hushed($session, $settings), $now);
        $marked = Signals::marked($noticed);

        return [
            'at' => $now,
            'states' => $seats
                ->map(static function (Seat $seat) use (
                    $canvases,
                    $watched,
                    $settings,
                    $now,
                    $since,
                    $sorted,
                    $tasks,
                    $practice,
                    $talks,
                ): array {
                    $canvas = $canvases->get($seat->id);
                    $one = $watched[$seat->id];

                    return [
                        'seat' => $seat->id,
                        'states' => array_map(
                            static fn (CanvasState $state): string => $state->value,
                            CanvasState::all($one, $settings, $now),
                        ),
                        'minutes' => CanvasState::quietMinutes($one->lastStrokeMs, $settings, $now),
                        'last' => $one->isCovered ? 0 : $one->lastStrokeMs ?? 0,
                        'objects' => $one->objects,
                        'prompt' => $one->prompt,
                        'level' => $canvas?->check?->level?->value,
                        'changed' => $canvas !== null && in_array($canvas->id, $since, true),
                        'isSent' => $one->sentAtMs !== null,
                        'hand' => $one->hasHandUp,
                        'sorted' => $sorted[$seat->id] ?? null,
                        'tasks' => $tasks[$seat->id] ?? null,
                        'practice' => $practice[$seat->id] ?? null,
                        // What was said about it.
                        'talks' => $canvas === null || $one->isCovered ? 0 : (int) ($talks[$canvas->id] ?? 0),
                    ];
                })
                ->all(),
            'answers' => array_map(
                static fn (AnswerGroup $group): array => [
                    'question' => $group->question,
                    'n' => $value->numberOf($group->question),
                    'written' => $group->written,
                    'outcome' => $group->outcome?->value,
                    'seats' => $group->seats,
                    'otherwise' => (object) $group->otherwise,
                ],
                $answers->groups,
            ),
            'asksPieces' => $value->asksForStates(),
            'signals' => array_map(
                static fn (Noticed $one): array => [
                    'signal' => $one->signal->value,
                    'seat' => $one->seat,
                    'reason' => __($one->sentence, $one->values),
                    'mark' => in_array($one, $marked, true) ? $one->signal->mark() : null,
                ],
                $noticed,
            ),
            // A teacher's own levels, the lowest first, each with the Strata mark that stands for it.
            'scale' => $aspect->scale->isStrata
                ? null
                : array_map(
                    static fn (int $mark, string $word): array => [
                        'word' => $word,
                        'level' => Scale::level($aspect->scale->share($mark))->value,
                    ],
                    array_keys($aspect->scale->words),
                    $aspect->scale->words,
                ),
            'knocking' => $session->seats()->where('state', SeatState::Knocking)->count(),
            'started' => $canvases->whereNotNull('last_stroke_ms')->count(),
            'tally' => LevelTally::of($canvases->map(static fn (Canvas $canvas) => $canvas->check?->level))->toArray(),
        ];
    }

    /**
     * @param  Collection<array-key, Canvas>  $canvases
     * @return list<string> those whose work is another than the one that was checked
     */
    private static function changedSince(Collection $canvases): array
    {
        $checked = $canvases->filter(
            static fn (Canvas $canvas): bool => $canvas->check?->level !== null &&
                $canvas->operation_count > $canvas->check->at_operation,
        );
        if ($checked->isEmpty()) {
            return [];
        }
        $since = DB::table('operations')
            ->whereNotNull('seat_id')
            ->where(static function ($query) use ($checked): void {
                foreach ($checked as $canvas) {
                    $query->orWhere(
                        static fn ($one) => $one
                            ->where('canvas_id', $canvas->id)
                            ->where('n', '>', $canvas->check?->at_operation),
                    );
                }
            })
            ->groupBy('canvas_id')
            ->selectRaw('canvas_id, count(*) as steps, max(case when kind = ? then 1 else 0 end) as answered', [OperationKind::Answer->value])
            ->get()
            ->keyBy('canvas_id');
        $changed = [];
        foreach ($checked as $canvas) {
            $found = $since->get($canvas->id);
            if (
                $found !== null &&
                ChangedSince::isMuch(
                    is_numeric($found->steps) ? (int) $found->steps : 0,
                    $canvas->check->at_operation ?? 0,
                    (bool) $found->answered,
                )
            ) {
                $changed[] = $canvas->id;
            }
        }

        return $changed;
    }

    /** Nobody is still of the own accord while pens are down. */
    private static function hushed(LiveSession $session, WatchSettings $settings): WatchSettings
    {
        return CurrentSituation::pens($session, null)->isDown()
            ? WatchSettings::read(
                ['off' => [...$settings->toArray()['off'], Signal::LongStill->value]] + $settings->toArray(),
            )
            : $settings;
    }

    /**
     * @param  Collection<int, Seat>  $seats
     * @param  Collection<array-key, Canvas>  $canvases  by seat
     * @param  list<string>  $silent
     * @return array<string, Watched> by seat
     */
    private function watched(
        LiveSession $session,
        Prompt $prompt,
        Collection $seats,
        Collection $canvases,
        array $silent,
        int $now,
    ): array {
        $isCovered = $prompt->isCovered();
        $rubbed = DB::table('operations')
            ->whereIn('canvas_id', $canvases->pluck('id'))
            ->whereNotNull('seat_id')
            ->whereIn('kind', OperationKind::rubbingOut())
            ->where('stored_at_ms', '>=', $now - Signals::RUBBING_MS)
            ->groupBy('canvas_id')
            ->selectRaw('canvas_id, count(*) as times')
            ->pluck('times', 'canvas_id');
        $places = $session->prompts()->pluck('n', 'id');
        $people = $seats->flatMap(static fn (Seat $seat): array => $seat->people())->unique('id');
        $here = array_filter(
            $this->presence->among($people),
            static fn (bool $isHere, string $seat): bool => $isHere && ! in_array($seat, $silent, true),
            ARRAY_FILTER_USE_BOTH,
        );
        self::noteSeen($people, $here, $now);
        $watched = [];
        foreach ($seats as $seat) {
            $of = collect($seat->people());
            $canvas = $canvases->get($seat->id);
            $times = $canvas === null ? 0 : $rubbed[$canvas->id] ?? 0;
            $at = $of->first()?->presentPromptId() ?? $prompt->id;
            $place = $places[$at] ?? 1;
            $watched[$seat->id] = EachSeat::read(
                $seat->id,
                static fn (): Watched => new Watched(
                    $seat->id,
                    isHere: $of->contains(static fn (Seat $one): bool => isset($here[$one->id])),
                    hasHandUp: $of->contains(static fn (Seat $one): bool => $one->hand_at_ms !== null),
                    isElsewhere: $session->pace === Pace::Own &&
                        $of->every(
                            static fn (Seat $one): bool => $one->prompt_id !== null &&
                                $one->presentPromptId() !== $prompt->id,
                        ),
                    isCovered: $isCovered,
                    lastStrokeMs: $canvas?->last_stroke_ms,
                    sentAtMs: $canvas?->sent_at_ms,
                    givenAtMs: $canvas === null || $at !== $prompt->id
                        ? null
                        : (int) $canvas->created_at?->getTimestampMs(),
                    rubbedOut: is_numeric($times) ? (int) $times : 0,
                    objects: $isCovered ? 0 : $canvas->added_count ?? 0,
                    prompt: is_numeric($place) ? (int) $place : 1,
                ),
                static fn (): Watched => new Watched($seat->id, isUnreadable: true),
            );
        }

        return $watched;
    }

    /**
     * @param  Collection<int, Seat>  $people
     * @param  array<string, true>  $isHere  by seat
     */
    private static function noteSeen(Collection $people, array $isHere, int $now): void
    {
        $here = $people
            ->filter(
                static fn (Seat $seat): bool => isset($isHere[$seat->id]) && $now - $seat->seen_at_ms > self::SEEN_MS,
            )
            ->pluck('id');
        try {
            if (! $here->isEmpty()) {
                Seat::query()
                    ->whereIn('id', $here)
                    ->update(['seen_at_ms' => $now]);
            }
        } catch (PDOException) {
            // A disk that is full must not take the view of the class away.
        }
    }
}
