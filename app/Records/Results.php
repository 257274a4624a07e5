<?php

declare(strict_types=1);

namespace App\Records;

use App\Live\SchoolTime;
use App\Models\Asks\Ask;
use App\Models\Asks\AskAnswer;
use App\Models\Asks\Run;
use App\Models\Canvas;
use App\Models\LiveSession;
use App\Models\LoggedOperation;
use App\Models\Prompt;
use App\Models\Seat;
use App\Models\Show\ShowcaseItem;
use App\Sessions\Checks\ClassOverview;
use App\Sessions\Room\EachSeat;
use Crag\Canvas\Log\OperationKind;
use Crag\Checks\DrawingTime;
use Crag\Checks\Judgement;
use Crag\Checks\Level;
use Crag\Checks\ResultTotals;
use Crag\Checks\StudentResult;
use Crag\Formats\Csv;
use Crag\Formats\Table;
use Crag\Formats\Xapi;
use Crag\Maths\Comparing\Outcome;
use DateTimeImmutable;
use Illuminate\Support\Collection;

/**
 * What came of a session in numbers: a row for each seat and prompt, the matrix, answers with their times, quick asks.
 */
final readonly class Results
{
    /**
     * @param  Collection<int, Seat>  $seats
     * @param  Collection<int, Prompt>  $prompts
     * @param  Collection<int, Canvas>  $canvases  by prompt, then by seat
     */
    private function __construct(
        private LiveSession $session,
        private Collection $seats,
        private Collection $prompts,
        private Collection $canvases,
        private bool $bySeat,
    ) {
    }

    public static function of(LiveSession $session, bool $bySeat = false): self
    {
        $seats = $session->seatsWithWork()->get();
        $prompts = $session->prompts()->get();
        $canvases = $session
            ->openCanvases()
            ->whereIn('prompt_id', $prompts->modelKeys())
            ->with(['seat.members.seat', 'prompt', 'check'])
            ->get()
            ->sortBy(static fn (Canvas $canvas): array => [$canvas->prompt->n, $canvas->seat?->n])
            ->values();

        return new self($session, $seats, $prompts, $canvases, $bySeat);
    }

    /** @param  string  $table  rows, matrix, answers or asks */
    public function csv(string $table = 'rows'): string
    {
        $made = match ($table) {
            'matrix' => $this->matrix(),
            'answers' => $this->answers(),
            'asks' => $this->asks(),
            default => $this->rows(),
        };

        return Csv::write($made->plain());
    }

    /** @return list<Table> */
    public function tables(): array
    {
        return [
            $this->rows(),
            $this->matrix(),
            $this->totals(),
            $this->answers(),
            $this->asks(),
            $this->runs(),
            $this->praise(),
        ];
    }

    /**
     * Whose work each canvas is: on a group's canvas, everyone's who was in it.
     *
     * @return list<array{Seat, Canvas}>
     */
    private function work(): array
    {
        $work = [];
        foreach ($this->canvases as $canvas) {
            foreach ($this->seats->whereIn('id', $canvas->workers()) as $seat) {
                $work[] = [$seat, $canvas];
            }
        }

        return $work;
    }

    /** A row for each seat and prompt. */
    private function rows(): Table
    {
        $rows = [
            [
                __('Seat'),
                __('Name'),
                __('Prompt'),
                __('Words'),
                __('Level'),
                __('Check'),
                __('Points'),
                __('Note'),
                __('Checked at'),
                __('Started'),
                __('Sent at'),
                __('At work (s)'),
                __('Shared canvas'),
            ],
        ];
        foreach ($this->work() as [$seat, $canvas]) {
            $check = $canvas->check;
            $judgement = $check?->judgement() ?? Judgement::nothing();
            $made = self::made($canvas, $seat);
            $rows[] = [
                $seat->n,
                $this->name($seat),
                $canvas->prompt->n,
                $canvas->prompt->plainWords(),
                $check?->level,
                $judgement->words($canvas->prompt->value()->aspects()),
                $judgement->points,
                $judgement->note,
                $judgement->isEmpty() ? null : self::time($check?->made_at_ms),
                $made === [] ? __('no') : __('yes'),
                self::time($canvas->sent_at_ms),
                intdiv(DrawingTime::of($made), 1000),
                $canvas->seat?->isGroup() === true ? $canvas->seat->name : '',
            ];
        }

        return new Table(__('Results'), $rows);
    }

    /** Seats by prompts: levels, with the points and how secure each row and column is, in hundredths. */
    private function matrix(): Table
    {
        $cells = [];
        foreach ($this->work() as [$seat, $canvas]) {
            if (! isset($cells[$seat->id][$canvas->prompt_id]) || $canvas->isAsShared()) {
                $cells[$seat->id][$canvas->prompt_id] = ClassOverview::cell($canvas, $canvas->prompt->value());
            }
        }
        $sum = static fn (iterable $some): ResultTotals => ResultTotals::of(
            array_values(
                array_filter(collect($some)->all(), static fn (mixed $cell): bool => $cell instanceof StudentResult),
            ),
        );
        $share = static fn (ResultTotals $sum): ?int => $sum->secure === null ? null : (int) round(100 * $sum->secure);
        $rows = [
            [
                __('Seat'),
                __('Name'),
                ...$this->prompts
                    ->map(static fn (Prompt $prompt): string => __('Prompt :n', ['n' => $prompt->n]))
                    ->all(),
                __('Points'),
                __('Secure (%)'),
            ],
        ];
        foreach ($this->seats as $seat) {
            $mine = $this->prompts->map(
                static fn (Prompt $prompt): ?StudentResult => $cells[$seat->id][$prompt->id] ?? null,
            );
            $rows[] = array_values([
                $seat->n,
                $this->name($seat),
                ...$mine->map(static fn (?StudentResult $cell): ?Level => $cell?->level)->all(),
                $sum($mine)->points,
                $share($sum($mine)),
            ]);
        }
        $columns = $this->prompts->map(
            fn (Prompt $prompt): ResultTotals => $sum(
                $this->seats->map(static fn (Seat $seat): ?StudentResult => $cells[$seat->id][$prompt->id] ?? null),
            ),
        );
        $whole = $sum(array_merge(...array_map(array_values(...), array_values($cells))));
        $rows[] = array_values([
            '',
            __('Points'),
            ...$columns->map(static fn (ResultTotals $one): ?float => $one->points)->all(),
            $whole->points,
            null,
        ]);
        $rows[] = array_values(['', __('Secure (%)'), ...$columns->map($share)->all(), null, $share($whole)]);

        return new Table(__('Matrix'), $rows);
    }

    /** For each prompt and for all of them: how many stand at each level, have begun and have sent, and how secure. */
    private function totals(): Table
    {
        $levels = array_reverse(Level::cases());
        $rows = [
            [
                __('Prompt'),
                __('Words'),
                ...array_map(static fn (Level $level): string => __($level->word()), $levels),
                __('Not checked'),
                __('Started'),
                __('Sent'),
                __('Secure (%)'),
                __('Points'),
            ],
        ];
        $all = [];
        foreach ($this->prompts as $prompt) {
            $cells = [];
            foreach ($this->canvases->where('prompt_id', $prompt->id) as $canvas) {
                $cells[] = ClassOverview::cell($canvas, $prompt->value());
            }
            array_push($all, ...$cells);
            $rows[] = [$prompt->n, $prompt->plainWords(), ...self::total($levels, ResultTotals::of($cells))];
        }
        $rows[] = [null, __('All'), ...self::total($levels, ResultTotals::of($all))];

        return new Table(__('Totals'), $rows);
    }

    /**
     * @param  list<Level>  $levels
     * @return list<int|float|null>
     */
    private static function total(array $levels, ResultTotals $sum): array
    {
        return [
            ...array_map(static fn (Level $level): int => $sum->tally->at($level), $levels),
            $sum->tally->unchecked,
            $sum->started,
            $sum->sent,
            $sum->secure === null ? null : (int) round(100 * $sum->secure),
            $sum->points,
        ];
    }

    /** What was said of shown work before the class. */
    private function praise(): Table
    {
        $rows = [[__('Seat'), __('Name'), __('Prompt'), __('Words')]];
        $items = ShowcaseItem::query()
            ->whereIn('canvas_id', $this->session->canvases()->select('id'))
            ->where('praise', '!=', '')
            ->with('canvas.seat', 'canvas.prompt')
            ->orderBy('id')
            ->get();
        foreach ($items as $item) {
            $seat = $item->canvas->seat;
            if ($seat !== null) {
                $rows[] = [$seat->n, $this->name($seat), $item->canvas->prompt->title(), $item->praise];
            }
        }

        return new Table(__('Praise'), $rows);
    }

    /** Every answer with its time: what was changed stands before what counts. */
    private function answers(): Table
    {
        $rows = [[__('Seat'), __('Name'), __('Prompt'), __('Question'), __('Answer'), __('Compared'), __('At')]];
        foreach ($this->given() as [$seat, $prompt, $words, $written, $outcome, $at]) {
            $rows[] = [
                $seat->n,
                $this->name($seat),
                $prompt->n,
                $words,
                $written,
                $outcome === null ? '' : __($outcome->word()),
                $at === 0 ? null : self::time($at),
            ];
        }

        return new Table(__('Answers'), $rows);
    }

    /** Who was asked what, and when: every answer, with the one that was given when the same was asked before. */
    private function asks(): Table
    {
        $rows = [
            [
                __('Quick ask'),
                __('Words'),
                __('Asked at'),
                __('Seat'),
                __('Name'),
                __('Answer'),
                __('Compared'),
                __('At'),
                __('Before'),
                __('Run'),
            ],
        ];
        $seats = $this->seats->keyBy('id');
        $asks = Ask::query()
            ->where('live_session_id', $this->session->id)
            ->with('againOf', 'drawings.canvases')
            ->orderBy('n')
            ->get();
        $runs = array_flip($asks->pluck('run_id')->filter()->unique()->values()->all());
        foreach ($asks as $ask) {
            $question = $ask->question;
            $run = $ask->run_id === null ? null : $runs[$ask->run_id] + 1;
            $head = [$ask->n, $question->words, self::time($ask->made_at_ms)];
            $before = $ask->againOf?->latest() ?? [];
            foreach (self::latest($ask) as $answer) {
                $seat = $ask->is_anonymous ? null : $seats->get($answer->voter);
                $value = $answer->value['value'];
                $outcome = $question->compare($value)?->outcome;
                $was = $seat === null ? null : $before[$seat->id] ?? null;
                // Who answered anonymously has no seat, no name and no time of the own.
                $rows[] = [
                    ...$head,
                    $seat?->n,
                    $seat === null ? __('anonymous') : $this->name($seat),
                    $question->asked->written($value),
                    $outcome === null ? '' : __($outcome->word()),
                    $seat === null ? null : self::time($answer->made_at_ms),
                    $was === null ? '' : $question->asked->written($was),
                    $run,
                ];
            }
            foreach ($ask->drawings->canvases ?? [] as $canvas) {
                $seat = $seats->get((string) $canvas->seat_id);
                if ($seat !== null && $canvas->sent_at_ms !== null) {
                    $rows[] = [
                        ...$head,
                        $seat->n,
                        $this->name($seat),
                        __('a drawing'),
                        '',
                        self::time($canvas->sent_at_ms),
                        '',
                        $run,
                    ];
                }
            }
        }

        return new Table(__('Quick asks'), $rows);
    }

    /** How each run ended: for each team, or for the class, the average of right answers. */
    private function runs(): Table
    {
        $rows = [
            [__('Run'), __('Started at'), __('Questions'), __('With a right answer'), __('Team'), __('Students'), __('Average right')],
        ];
        $runs = Run::query()->where('live_session_id', $this->session->id)->orderBy('id')->with('asks')->get();
        foreach ($runs as $i => $run) {
            $result = $run->result();
            $teams = $run->teams?->all() ?? [];
            $played = array_count_values(array_intersect_key($teams, $result->right));
            $all = count($result->right);
            $head = [$i + 1, self::time($run->asks->first()?->made_at_ms), $run->asks->count(), $result->of];
            foreach ($result->teams as $team => $mean) {
                $rows[] = [...$head, (string) $team, $played[$team] ?? 0, round($mean, 2)];
            }
            $rows[] = [
                ...$head,
                __('everyone'),
                $all,
                $all === 0 ? null : round(array_sum($result->right) / $all, 2),
            ];
        }

        return new Table(__('Runs'), $rows);
    }

    /** @return list<array<string, mixed>> statements of the Experience API, in the order of time */
    public function statements(string $base): array
    {
        $xapi = new Xapi($base, $this->session->id, $this->session->title);
        $stated = [];
        foreach ($this->work() as [$seat, $canvas]) {
            $who = [$seat->id, $this->name($seat), $canvas->prompt_id, $canvas->prompt->plainWords()];
            $made = self::made($canvas, $seat);
            if ($made !== []) {
                $stated[] = $xapi->attempted(...$who, atMs: min($made));
            }
            if ($canvas->sent_at_ms !== null) {
                $stated[] = $xapi->completed(...$who, atMs: $canvas->sent_at_ms);
            }
            $prompt = $canvas->prompt->value();
            $judgement = $canvas->check?->judgement() ?? Judgement::nothing();
            $share = $judgement->share($prompt->aspects(), $prompt->points);
            if ($share !== null) {
                $stated[] = $xapi->scored(
                    ...$who,
                    share: $share,
                    points: $judgement->points,
                    most: $prompt->points,
                    atMs: (int) $canvas->check?->made_at_ms,
                );
            }
        }
        foreach ($this->given() as [$seat, $prompt, $words, $written, $outcome, $at, $id]) {
            if ($id !== '') {
                $stated[] = $xapi->answered(
                    $seat->id,
                    $this->name($seat),
                    $prompt->id,
                    $id,
                    $words,
                    $written,
                    $outcome === null ? null : $outcome === Outcome::Right,
                    $at,
                );
            }
        }
        usort(
            $stated,
            static fn (array $a, array $b): int => [$a['timestamp'], $a['id']] <=> [$b['timestamp'], $b['id']],
        );

        return $stated;
    }

    /**
     * @return list<array{Seat, Prompt, string, string, ?Outcome, int, string}> seat, prompt, the question's words, the
     *      answer as it was written, what came of it, when, the question's id
     */
    private function given(): array
    {
        $given = [];
        foreach ($this->work() as [$seat, $canvas]) {
            array_push(
                $given,
                ...EachSeat::read(
                    $seat->id,
                    fn (): array => self::givenOn($canvas, $seat),
                    static fn (): array => [[$seat, $canvas->prompt, '', __('This canvas can’t be read.'), null, 0, '']],
                ),
            );
        }

        return $given;
    }

    /** @return list<array{Seat, Prompt, string, string, ?Outcome, int, string}> */
    private static function givenOn(Canvas $canvas, Seat $seat): array
    {
        $given = self::shownOn($canvas, $seat);
        foreach (
            LoggedOperation::query()
                ->where('canvas_id', $canvas->id)
                ->where('seat_id', $seat->id)
                ->where('kind', OperationKind::Answer->value)
                ->orderBy('n')
                ->get() as $row
        ) {
            $body = (array) json_decode($row->body, true, flags: JSON_THROW_ON_ERROR);
            $id = is_string($body['question'] ?? null) ? $body['question'] : '';
            $question = $canvas->prompt->question($id, $seat);
            if ($question !== null && isset($body['value'])) {
                $given[] = [
                    $seat,
                    $canvas->prompt,
                    $question->words,
                    $question->asked->written($body['value']),
                    $question->compare($body['value'])?->outcome,
                    $row->made_at_ms,
                    $id,
                ];
            }
        }

        return $given;
    }

    /**
     * What pieces show, where that is asked for.
     *
     * @return list<array{Seat, Prompt, string, string, ?Outcome, int, string}>
     */
    private static function shownOn(Canvas $canvas, Seat $seat): array
    {
        $shown = [];
        foreach ($canvas->prompt->value()->asksForStates() ? $canvas->prompt->forSeat($seat)->questions : [] as $one) {
            $value = $one->asked->kind()->isOnCanvas() ? $canvas->scene()->answerTo($one) : null;
            if ($value !== null) {
                $outcome = $one->compare($value)?->outcome;
                $at = $canvas->last_stroke_ms ?? 0;
                $shown[] = [$seat, $canvas->prompt, $one->words, $one->asked->written($value), $outcome, $at, $one->id];
            }
        }

        return $shown;
    }

    /** @return list<AskAnswer> the one of each that counts */
    private static function latest(Ask $ask): array
    {
        return array_values(
            $ask
                ->answers()
                ->get()
                ->keyBy('voter')
                ->reject(static fn (AskAnswer $answer): bool => is_null($answer->value['value']))
                ->all(),
        );
    }

    /** @return list<int> when a student made each step there, milliseconds since 1970 */
    private static function made(Canvas $canvas, Seat $seat): array
    {
        return array_values(
            $canvas
                ->operations()
                ->where('seat_id', $seat->id)
                ->reorder()
                ->pluck('made_at_ms')
                ->map(intval(...))
                ->all(),
        );
    }

    private function name(Seat $seat): string
    {
        return $this->bySeat ? $seat->seatName() : $seat->name;
    }

    private static function time(?int $ms): ?DateTimeImmutable
    {
        return $ms === null ? null : SchoolTime::of($ms)->toDateTimeImmutable();
    }
}
