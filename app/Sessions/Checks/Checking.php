<?php

declare(strict_types=1);

namespace App\Sessions\Checks;

use App\Canvas\Together;
use App\Live\Announce;
use App\Live\Audience;
use App\Live\Clock;
use App\Models\Canvas;
use App\Models\Check;
use App\Models\LiveSession;
use App\Models\Prompt;
use App\Models\Seat;
use App\Models\Teachers\Teacher;
use App\Sessions\Room\EachSeat;
use App\Sessions\Room\RoomState;
use Closure;
use Crag\Checks\Judgement;
use Crag\Checks\Level;
use Crag\Checks\LevelTally;
use Crag\Checks\Proposal;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;

/**
 * Writes down what a teacher found in canvases, each with the moment of the work that was judged, and tells who may
 * know.
 */
final readonly class Checking
{
    public function __construct(private Announce $announce, private RoomState $room)
    {
    }

    /**
     * @param  Collection<int, Canvas>  $canvases  with check, prompt and seat
     * @param  Closure(Canvas, Judgement): Judgement  $judge  what becomes of what was there
     * @return array{
     *     canvas?: string, seat?: ?string, level?: ?int, tally?: array<array-key, int>,
     *     before: list<array{canvas: string, judgement: array<string, mixed>}>,
     * }
     */
    public function judge(LiveSession $session, Teacher $teacher, Collection $canvases, Closure $judge): array
    {
        $before = [];
        $told = [];
        DB::transaction(function () use ($session, $teacher, $canvases, $judge, &$before, &$told): void {
            foreach ($canvases as $canvas) {
                $was = $canvas->check?->judgement() ?? Judgement::nothing();
                $now = $judge($canvas, $was);
                $prompt = $canvas->prompt->value();
                $before[] = ['canvas' => $canvas->id, 'judgement' => $was->toArray()];
                $check = Check::query()->create([
                    'canvas_id' => $canvas->id,
                    'teacher_id' => $teacher->id,
                    'level' => $now->level($prompt->aspects(), $prompt->points),
                    'marks' => $now->marks,
                    'is_no_attempt' => $now->isNoAttempt,
                    'points' => $now->points,
                    'note' => $now->note,
                    'at_operation' => $canvas->operation_count,
                    'made_at_ms' => Clock::ms(),
                ]);
                $canvas->setRelation('check', $check);
            }
            foreach ($canvases as $canvas) {
                $told = [
                    'canvas' => $canvas->id,
                    'seat' => $canvas->seat_id,
                    'level' => $canvas->check?->level?->value,
                    'tally' => self::tally($session, $canvas->prompt),
                ];
                ($this->announce)($session, Audience::desk($session), 'check', $told);
                foreach ($session->settings->feedback->isNothing() ? [] : $canvas->seat?->people() ?? [] as $seat) {
                    $this->room->tellStudent($seat->setRelation('session', $session));
                }
            }
        });

        return $told + ['before' => $before];
    }

    /** @return array<string, Level> by canvas: what the answers would say of those that have no check yet */
    public static function proposed(Prompt $prompt): array
    {
        $proposed = [];
        $questions = array_filter(
            $prompt->value()->questions,
            static fn ($question): bool => $question->asked->hasKey(),
        );
        foreach (
            $questions === []
                ? []
                : $prompt
                    ->canvases()
                    ->with(['check', 'seat', 'prompt.session'])
                    ->get() as $canvas
        ) {
            if ($canvas->seat === null || ! $canvas->seat->isIn() || $canvas->check?->level !== null) {
                continue;
            }
            $level = EachSeat::read(
                $canvas->seat->id,
                static fn (): ?Level => self::proposal($prompt, $canvas, $canvas->seat),
                static fn (): ?Level => null,
            );
            if ($level !== null) {
                $proposed[$canvas->id] = $level;
            }
        }

        return $proposed;
    }

    private static function proposal(Prompt $prompt, Canvas $canvas, Seat $seat): ?Level
    {
        $scene = $canvas->scene();
        $outcomes = [];
        foreach ($prompt->forSeat($seat)->questions as $question) {
            if ($question->asked->hasKey()) {
                $given = $scene->answerTo($question);
                $outcomes[] =
                    $given === null || trim($question->asked->written($given)) === ''
                        ? null
                        : $question->compare($given)?->outcome;
            }
        }

        return Proposal::of($outcomes);
    }

    /** @return array<array-key, int> */
    private static function tally(LiveSession $session, Prompt $prompt): array
    {
        return LevelTally::of(
            $prompt
                ->canvases()
                ->whereIn('seat_id', Together::holders($session, $prompt)->pluck('id'))
                ->with('check')
                ->get()
                ->map(static fn (Canvas $one) => $one->check?->level),
        )->toArray();
    }
}
