<?php

declare(strict_types=1);

namespace App\Sessions\Checks;

use App\Models\Canvas;
use App\Models\LiveSession;
use App\Models\Prompt;
use App\Models\Seat;
use App\Sessions\Room\EachSeat;
use App\Sessions\Watch\GivenAnswers;
use Crag\Checks\ClassPicture;
use Crag\Checks\DrawingTime;
use Crag\Checks\Judgement;
use Crag\Checks\StudentResult;
use Crag\Groups\Student;
use Crag\Maths\Comparing\Outcome;
use Crag\Plan\PlanPrompt;
use Crag\Reading\Pattern;
use Crag\Reading\Patterns;
use Crag\Reading\Reading;
use Crag\Watch\AnswerGroup;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** Where a class stands: its picture, its most frequent slips, and what is known of each when groups are made. */
final readonly class ClassOverview
{
    private const MOST_SLIPS = 3;

    /**
     * @param  Collection<int, Seat>  $seats
     * @param  Collection<int, Prompt>  $prompts
     */
    private function __construct(public Collection $seats, public Collection $prompts, public ClassPicture $picture)
    {
    }

    public static function of(LiveSession $session): self
    {
        $seats = $session->seated()->with('entry')->get();
        $prompts = $session
            ->prompts()
            ->get()
            ->filter(static fn (Prompt $prompt): bool => $prompt->state->isSeen())
            ->values();
        $canvases = $session->openCanvases()->with('check', 'prompt', 'seat.members')->get();
        $times = self::times($canvases);
        $values = $prompts->mapWithKeys(static fn (Prompt $prompt): array => [$prompt->id => $prompt->value()])->all();
        $cells = [];
        foreach ($canvases as $canvas) {
            $cell = EachSeat::read(
                (string) $canvas->seat_id,
                static fn (): StudentResult => self::cell(
                    $canvas,
                    $values[$canvas->prompt_id] ?? $canvas->prompt->value(),
                    $times[$canvas->id] ?? 0,
                ),
                static fn (): StudentResult => new StudentResult(
                    null,
                    $canvas->last_stroke_ms !== null,
                    $canvas->sent_at_ms !== null,
                ),
            );
            foreach ($canvas->workers() as $seat) {
                // Where a prompt was shared, or no longer is, the canvas that a student has now counts.
                if (! isset($cells[$seat][$canvas->prompt_id]) || $canvas->isAsShared()) {
                    $cells[$seat][$canvas->prompt_id] = $cell;
                }
            }
        }
        $skills = $prompts
            ->mapWithKeys(static fn (Prompt $prompt): array => [$prompt->id => array_values($prompt->value()->skills)])
            ->all();

        return new self(
            $seats,
            $prompts,
            ClassPicture::of(
                array_values($seats->map(static fn (Seat $seat): string => $seat->id)->all()),
                $skills,
                $cells,
            ),
        );
    }

    public static function cell(Canvas $canvas, PlanPrompt $prompt, int $drawingMs = 0): StudentResult
    {
        $judgement = $canvas->check?->judgement() ?? Judgement::nothing();

        return new StudentResult(
            $canvas->check?->level,
            $canvas->last_stroke_ms !== null,
            $canvas->sent_at_ms !== null,
            $drawingMs,
            $judgement->share($prompt->aspects(), $prompt->points),
            $judgement->points,
        );
    }

    /** @return list<AnswerGroup> the wrong answers to a prompt that most gave */
    public function slips(Prompt $prompt): array
    {
        if ($prompt->isCovered()) {
            return [];
        }
        $canvases = $prompt
            ->canvases()
            ->with('seat.members')
            ->get()
            ->sortBy(static fn (Canvas $canvas): bool => $canvas->setRelation('prompt', $prompt)->isAsShared())
            ->flatMap(static fn (Canvas $canvas): array => array_fill_keys($canvas->workers(), $canvas));
        $wrong = array_filter(
            GivenAnswers::to($prompt, $this->seats, $canvases)->groups,
            static fn (AnswerGroup $group): bool => $group->outcome === Outcome::Wrong,
        );
        usort($wrong, static fn (AnswerGroup $a, AnswerGroup $b): int => count($b->seats) <=> count($a->seats));

        return array_slice($wrong, 0, self::MOST_SLIPS);
    }

    /** @return list<Pattern> what several students miss, or slip on, at a prompt that looks for something */
    public function patterns(Prompt $prompt): array
    {
        if ($prompt->value()->lookFor->isEmpty() || $prompt->isCovered()) {
            return [];
        }
        $read = app(ReadWork::class);
        $readings = [];
        foreach (
            $prompt
                ->canvases()
                ->whereIn('seat_id', $this->seats->pluck('id'))
                ->whereNotNull('last_stroke_ms')
                ->with('seat', 'prompt.session')
                ->get() as $canvas
        ) {
            if ($canvas->seat !== null) {
                $readings[$canvas->seat->id] = EachSeat::read(
                    $canvas->seat->id,
                    static fn (): Reading => $read($canvas, $canvas->seat),
                    static fn () => null,
                );
            }
        }

        return Patterns::among(array_filter($readings));
    }

    /**
     * @param  list<string>  $present  seats
     * @return list<Student>
     */
    public function students(array $present): array
    {
        $slips = [];
        foreach ($this->prompts as $prompt) {
            foreach ($this->slips($prompt) as $group) {
                foreach ($group->seats as $seat) {
                    $slips[$seat] ??= [$group->written, false];
                }
            }
        }
        foreach ($this->prompts as $prompt) {
            foreach ($this->patterns($prompt) as $pattern) {
                foreach ($pattern->who as $seat) {
                    $slips[$seat] ??= [__($pattern->point->sentence, $pattern->point->values), true];
                }
            }
        }

        return array_values(
            $this->seats
                ->filter(static fn (Seat $seat): bool => in_array($seat->id, $present, true))
                ->map(
                    fn (Seat $seat): Student => new Student(
                        $seat->id,
                        $seat->n,
                        $this->picture->rows[$seat->id]->secure,
                        ...$slips[$seat->id] ?? ['', false],
                    ),
                )
                ->all(),
        );
    }

    /**
     * @param  Collection<int, Canvas>  $canvases
     * @return array<string, int> milliseconds by canvas
     */
    private static function times(Collection $canvases): array
    {
        $made = [];
        foreach (
            DB::table('operations')
                ->whereIn('canvas_id', $canvases->pluck('id'))
                ->whereNotNull('seat_id')
                ->get(['canvas_id', 'made_at_ms']) as $row
        ) {
            $made[(string) $row->canvas_id][] = (int) $row->made_at_ms;
        }

        return array_map(DrawingTime::of(...), $made);
    }
}
