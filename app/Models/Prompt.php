<?php

declare(strict_types=1);

namespace App\Models;

use App\Canvas\Together;
use App\Live\SchoolNotation;
use App\Models\Casts\CoreValue;
use App\Models\Teachers\Plan;
use Crag\Canvas\Log\Author;
use Crag\Canvas\Log\Operation;
use Crag\Canvas\Log\OperationKind;
use Crag\Canvas\Log\TrayInForce;
use Crag\Canvas\Scene;
use Crag\Json\Fields;
use Crag\Plan\PlanPrompt;
use Crag\Plan\PromptPage;
use Crag\Plan\PromptPages;
use Crag\Plan\Task\Task;
use Crag\Practice\Course;
use Crag\Practice\PracticeSheet;
use Crag\Prompt\Backdrop\Backdrop;
use Crag\Prompt\Question\Question;
use Crag\Prompt\Sharing;
use Crag\Render\PlainMaths;
use Crag\Session\Room\PromptState;
use Crag\Watch\SortingKey;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * A prompt of a plan or of a session. In a plan, what is drawn for it stands on its lead canvas; a session's prompt has
 * it as pages, which every new canvas begins with.
 *
 * @property string $id
 * @property ?string $live_session_id
 * @property ?string $plan_id
 * @property ?string $source_id  the plan's prompt that a session's came from, or a copied plan's
 * @property ?int $source_n  in a copied plan: how far that one had changed
 * @property int $n
 * @property string $words
 * @property Backdrop $backdrop
 * @property ?TrayInForce $tray  null where the session's holds
 * @property ?PromptPages $pages  null for one page with the backdrop alone
 * @property array<string, mixed> $details  questions, points, minutes, look_for, skills
 * @property int $changed_n
 * @property PromptState $state  in a session
 * @property int $state_at_ms
 * @property ?int $revealed_at_ms
 * @property ?string $ask_id  the quick ask that is answered by drawing here
 * @property ?int $closes_at_ms  no more work is taken from then on
 * @property ?string $carries_prompt_id  the prompt of an earlier session whose canvases go on here
 * @property bool $reads_at_once  whether the reader of work answers whoever sends
 * @property LiveSession $session
 * @property ?Plan $plan
 */
final class Prompt extends Model
{
    use HasUlids;

    /** The numbers of those that hold drawings for quick asks lie behind those of all others. */
    public const ASKS = 100_000;

    protected $table = 'prompts';

    protected $guarded = [];

    protected $attributes = [
        'tray' => null,
        'pages' => null,
        'details' => '{}',
        'changed_n' => 0,
        'n' => 0,
        'state' => 'unseen',
        'state_at_ms' => 0,
        'revealed_at_ms' => null,
        'reads_at_once' => false,
        'carries_prompt_id' => null,
        'ask_id' => null,
        'closes_at_ms' => null,
    ];

    protected function casts(): array
    {
        return [
            'backdrop' => CoreValue::class.':'.Backdrop::class,
            'tray' => CoreValue::class.':'.TrayInForce::class,
            'state' => PromptState::class,
            'pages' => CoreValue::class.':'.PromptPages::class,
            'details' => 'array',
            'reads_at_once' => 'boolean',
        ];
    }

    /** As it is called among the others. */
    public function title(): string
    {
        return $this->ask_id === null
            ? __('Prompt :n', ['n' => $this->n])
            : __('Quick ask :n', ['n' => $this->n - self::ASKS]);
    }

    /** For the names of files: where it stands in the session, or which ask it answers. */
    public function number(): string
    {
        return $this->ask_id === null ? sprintf('%02d', $this->n) : 'ask-'.sprintf('%02d', $this->n - self::ASKS);
    }

    /** What every canvas begins with. */
    public function pagesValue(): PromptPages
    {
        if ($this->pages === null) {
            return PromptPages::of([new PromptPage($this->backdrop)]);
        }
        $pages = $this->pages->pages;
        $pages[0] = new PromptPage($this->backdrop, $pages[0]->placings);

        return PromptPages::of($pages);
    }

    /** What everybody has on an untouched canvas: what was prepared, and what was handed out to all since. */
    /** Which of the pieces that were handed out belong into which area. */
    public function sortingKey(): SortingKey
    {
        $handed = $this->handouts()->get()->flatMap(static fn (Handout $handout): array => $handout->body->pages);

        $pages = [...$this->pagesValue()->pages, ...$handed];

        $placings = array_map(static fn (PromptPage $page): array => $page->placings, $pages);

        return SortingKey::in(array_merge(...$placings));
    }

    public function sceneForAll(): Scene
    {
        $n = 0;
        $newId = static function () use (&$n): string {
            return sprintf('forall%014d', ++$n);
        };
        $operations = $this->pagesValue()->operations($newId, true);
        $pages = array_values(
            array_filter(
                array_map(
                    static fn (array $one): string => $one['kind'] === OperationKind::Page->value ? $one['id'] : '',
                    $operations,
                ),
            ),
        );
        foreach ($this->handouts()->get() as $handout) {
            array_push($operations, ...$handout->body->operations(['', ...$pages], $newId));
        }

        return Scene::fold(
            array_map(
                static fn (array $one): Operation => Operation::read($one + ['at' => 0], Author::teacher()),
                $operations,
            ),
        );
    }

    /** A word that changes whenever {@see sceneForAll} does. */
    public function sceneVersion(): string
    {
        return hash('crc32b', (string) json_encode([
            $this->backdrop->toArray(),
            $this->details['questions'] ?? [],
            $this->pages?->toArray(),
            $this->handouts()->pluck('id'),
        ]));
    }

    /** All but what is drawn. */
    public function value(): PlanPrompt
    {
        $fields = new Fields(['words' => $this->words, 'tray' => $this->tray?->now->toArray()] + $this->details);

        return PlanPrompt::read($fields)->inNotation(SchoolNotation::now());
    }

    /** How many canvases it has, and who draws on one together. */
    public function sharing(): Sharing
    {
        $sharing = $this->details['sharing'] ?? '';

        return Sharing::tryFrom(is_string($sharing) ? $sharing : '') ?? Sharing::Each;
    }

    /** As one student has it, with that student's values, or with their group's. */
    public function forSeat(Seat $seat): PlanPrompt
    {
        $value = $this->value();
        $holder = $this->drawer($seat);
        $answers = $value->practice?->isStepwise() === true ? $this->answersOf($holder) : [];

        return $value->forStudent($this->id, $holder->n, $answers);
    }

    /** Whose canvas a student draws on. */
    private function drawer(Seat $seat): Seat
    {
        return $this->sharing() === Sharing::Each ? $seat : Together::found($seat, $this) ?? $seat;
    }

    /** @return array<string, mixed> by question */
    private function answersOf(Seat $holder): array
    {
        return $this->canvases()->where('seat_id', $holder->id)->first()?->scene()->answers ?? [];
    }

    /** How far a student is in practice that goes on until enough in a row are right; null where there is none. */
    public function courseOf(Seat $seat): ?Course
    {
        $practice = $this->value()->practice;
        $holder = $this->drawer($seat);

        return $practice?->isStepwise() === true
            ? $practice->course($this->id, $holder->n, $this->answersOf($holder))
            : null;
    }

    /** A question that can be answered now: a task of practice is answered once. */
    public function questionToAnswer(string $id, Seat $seat): ?Question
    {
        $question = $this->question($id, $seat);
        $course = $question !== null && PracticeSheet::isTask($question) ? $this->courseOf($seat) : null;
        $isOpen = $course === null ||
            ($question?->id === PracticeSheet::id(count($course->tasks)) && ! $course->isDone);

        return $isOpen ? $question : null;
    }

    /** @return list<array{int, array<string, mixed>}> questions with a place on its pages, each behind its number */
    public function boxes(): array
    {
        return self::placed($this->value(), '');
    }

    /** @return list<array{int, array<string, mixed>}> the same with one student's values */
    public function boxesFor(Seat $seat): array
    {
        return self::placed($this->forSeat($seat), $seat->id);
    }

    /** @return list<array{int, array<string, mixed>}> */
    private static function placed(PlanPrompt $prompt, string $seed): array
    {
        $boxes = [];
        foreach ($prompt->questions as $i => $question) {
            if ($question->spot !== null) {
                $boxes[] = [$i + 1, $question->forStudent($seed)];
            }
        }

        return $boxes;
    }

    public function question(string $id, Seat $seat): ?Question
    {
        return $this->forSeat($seat)->question($id);
    }

    /** The words for everybody at once: values that each student has differently stand as their letters. */
    public function wordsForAll(): string
    {
        return str_contains($this->words, '{') ? $this->value()->wordsForAll() : $this->words;
    }

    /** The same where only letters can stand. */
    public function plainWords(): string
    {
        return PlainMaths::words($this->wordsForAll());
    }

    /** Whether its work is hidden from the desk until it is revealed. */
    public function isCovered(): bool
    {
        return $this->session->settings->covers($this->session->isRunning(), $this->revealed_at_ms !== null);
    }

    /** Whose pictures it shows. */
    public function holder(): Holder
    {
        return $this->plan ?? $this->session;
    }

    /** The tools that students have for it. */
    public function trayInForce(): TrayInForce
    {
        return $this->tray ?? $this->session->trayInForce();
    }

    /** @return BelongsTo<LiveSession, $this> */
    public function session(): BelongsTo
    {
        return $this->belongsTo(LiveSession::class, 'live_session_id');
    }

    /** @return BelongsTo<Plan, $this> */
    public function plan(): BelongsTo
    {
        return $this->belongsTo(Plan::class);
    }

    /** @return HasMany<Canvas, $this> the students' */
    public function canvases(): HasMany
    {
        $canvases = $this->hasMany(Canvas::class);
        $canvases->whereNotNull('seat_id');

        return $canvases;
    }

    /** @return HasMany<Handout, $this> what late-comers get too, oldest first */
    public function handouts(): HasMany
    {
        $handouts = $this->hasMany(Handout::class)->orderBy('id');
        $handouts->where('for_all', true)->whereNull('undone_at_ms');

        return $handouts;
    }

    /** @return array<string, mixed> what every page of the session is told */
    public function announcement(): array
    {
        return [
            'id' => $this->id,
            'n' => $this->n,
            'words' => $this->wordsForAll(),
            'own' => str_contains($this->words, '{'),
            'backdrop' => $this->backdrop->toArray(),
        ];
    }

    /** @return array<string, mixed> what one student's page is told */
    public function announcementTo(Seat $seat): array
    {
        $mine = $this->forSeat($seat);
        $course = $this->courseOf($seat);

        return [
            'words' => $mine->words,
            'questions' => array_map(
                static fn (Question $question): array => $question->forStudent($seat->id) +
                    ($course === null ? [] : PracticeSheet::marked($course, $question)),
                $mine->questions,
            ),
            'course' => $course === null ? null : [
                'n' => $course->inRow,
                'all' => $mine->practice->row ?? 0,
                'done' => $course->isDone,
            ],
            'points' => $mine->points,
            'minutes' => $mine->minutes,
            'tasks' => array_map(
                static fn (Task $task): array => [
                    'words' => $task->words === '' ? __($task->kind->sentence(), ['with' => $task->with]) : $task->words,
                    'test' => $task->test(),
                ],
                $mine->tasks,
            ),
        ] + $this->announcement();
    }
}
