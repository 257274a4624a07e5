<?php

declare(strict_types=1);

namespace Crag\Plan;

use Crag\Asks\Card;
use Crag\Checks\Aspect;
use Crag\Json\Fields;
use Crag\Json\UnreadableFields;
use Crag\Maths\Parsing\Notation;
use Crag\Maths\Parsing\UnreadableMaths;
use Crag\Plan\Task\Task;
use Crag\Practice\PracticeSheet;
use Crag\Prompt\Backdrop\Backdrop;
use Crag\Prompt\InvalidPrompt;
use Crag\Prompt\LookFor;
use Crag\Prompt\Prompt;
use Crag\Prompt\Question\Question;
use Crag\Prompt\Question\QuestionKind;
use Crag\Prompt\Sharing;
use Crag\Prompt\Tray\ToolTray;
use Crag\Prompt\Values\Braces;
use Crag\Prompt\Values\Draw;
use Crag\Prompt\Values\InvalidValues;
use Crag\Prompt\Values\Values;

/**
 * A prompt as a plan holds it, but for what is drawn, which is a scene of its own.
 *
 * JSON form: {"words", "questions": […], "tray": null or {"kind", "tools"}, "points": null or halves from 0 to 100,
 * "minutes": null or 1 to 600, "look_for": {"steps", "words", "slips"}, "skills": […],
 * "aspects": what is checked, {"name", "levels"} each; none for Strata alone, "asks": quick asks that are planned, each a
 * card (Crag\Asks\Card) or a line (Crag\Asks\AskLine), "tasks": what ticks itself (Crag\Plan\Task\Task),
 * "sharing": "each", "group" or "everyone" has a canvas; "each" where it is not said, "practice": null or tasks of which
 * each student has their own (Crag\Practice\PracticeSheet)}.
 */
final readonly class PlanPrompt
{
    private const MOST_COUNTED = 1000;

    public const MOST_QUESTIONS = 40;

    public const MOST_PROMPTS = 200;

    public const MOST_ASKS = 20;

    /** What is longer than a prompt's words may be is refused with its length, up to so many characters. */
    private const LONGEST_PASTE = 1_000_000;

    private const MOST_POINTS = 100;

    private const MOST_MINUTES = 600;

    /**
     * @param  list<Question>  $questions  those that are the same for all, then a place for each task of practice
     * @param  list<string>  $skills
     * @param  list<Aspect>  $aspects
     * @param  list<Card>  $asks
     * @param  list<Task>  $tasks  that tick themselves
     */
    private function __construct(
        public string $words,
        public array $questions,
        public ?ToolTray $tray,
        public ?float $points,
        public ?int $minutes,
        public LookFor $lookFor,
        public array $skills,
        private array $aspects,
        public array $asks,
        public array $tasks = [],
        public Sharing $sharing = Sharing::Each,
        public ?PracticeSheet $practice = null,
    ) {
    }

    public static function saying(string $words): self
    {
        return new self(
            Prompt::of($words, Backdrop::blank())->words,
            [],
            null,
            null,
            null,
            LookFor::nothing(),
            [],
            [],
            [],
        );
    }

    /**
     * @throws UnreadableFields
     * @throws InvalidPrompt
     */
    public static function read(Fields $fields): self
    {
        $questions = [];
        foreach (
            $fields->has('questions') && $fields->list('questions', 0, self::MOST_QUESTIONS) !== []
                ? $fields->objects('questions', self::MOST_QUESTIONS)
                : [] as $one
        ) {
            $questions[] = $question = Question::read($one);
            $isSame = static fn (Question $other): bool => $other->id === $question->id;
            if (count(array_filter($questions, $isSame)) > 1) {
                throw UnreadableFields::badValue('questions', "hold the id {$question->id} twice");
            }
        }
        $practice = $fields->isNull('practice') ? null : PracticeSheet::read($fields->object('practice'));
        $points = $fields->isNull('points') ? null : $fields->number('points', 0, self::MOST_POINTS);
        if ($points !== null && floor($points * 2) !== $points * 2) {
            throw UnreadableFields::badValue('points', 'are neither whole nor half');
        }

        return new self(
            Prompt::of($fields->text('words', self::LONGEST_PASTE), Backdrop::blank())->words,
            [...$questions, ...$practice?->places() ?? []],
            $fields->isNull('tray') ? null : ToolTray::read($fields->object('tray')),
            $points,
            $fields->isNull('minutes') ? null : $fields->whole('minutes', 1, self::MOST_MINUTES),
            $fields->isNull('look_for') ? LookFor::nothing() : LookFor::read($fields->object('look_for')),
            LookFor::lines($fields, 'skills'),
            self::readAspects($fields),
            self::readAsks($fields),
            self::readTasks($fields),
            self::readSharing($fields),
            $practice,
        );
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'words' => $this->words,
            'questions' => array_map(static fn (Question $question): array => $question->toArray(), $this->common()),
            'tray' => $this->tray?->toArray(),
            'points' => $this->points,
            'minutes' => $this->minutes,
            'look_for' => $this->lookFor->toArray(),
            'skills' => $this->skills,
            'aspects' => array_map(static fn (Aspect $aspect): array => $aspect->toArray(), $this->aspects),
            'asks' => array_map(static fn (Card $card): array => $card->toArray(), $this->asks),
            'tasks' => array_map(static fn (Task $task): array => $task->toArray(), $this->tasks),
            'sharing' => $this->sharing->value,
            'practice' => $this->practice?->toArray(),
        ];
    }

    /** @return list<Question> those that are the same for all but for values */
    public function common(): array
    {
        $isCommon = static fn (Question $one): bool => ! PracticeSheet::isTask($one);

        return $this->practice === null ? $this->questions : array_values(array_filter($this->questions, $isCommon));
    }

    /** Whether it asks for a piece's state or a graph: then answers are found on canvases alone. */
    public function asksForStates(): bool
    {
        foreach ($this->questions as $question) {
            if ($question->asked->kind()->isOnCanvas() && $question->takesAnswer()) {
                return true;
            }
        }

        return false;
    }

    /** @return list<Aspect> what is checked: at least one */
    public function aspects(): array
    {
        return $this->aspects === [] ? [Aspect::whole()] : $this->aspects;
    }

    /**
     * @return list<Card>
     *
     * @throws UnreadableFields
     */
    private static function readAsks(Fields $fields): array
    {
        return Card::list(array_filter(
            $fields->has('asks') ? $fields->list('asks', 0, self::MOST_ASKS) : [],
            static fn (mixed $card): bool => ! is_string($card) || trim($card) !== '',
        ));
    }

    /**
     * @return list<Task>
     *
     * @throws UnreadableFields
     */
    private static function readTasks(Fields $fields): array
    {
        return $fields->has('tasks') && $fields->list('tasks', 0, Task::MOST) !== []
            ? array_map(Task::read(...), $fields->objects('tasks', Task::MOST))
            : [];
    }

    /** @throws UnreadableFields */
    private static function readSharing(Fields $fields): Sharing
    {
        return ! $fields->has('sharing')
            ? Sharing::Each
            : Sharing::tryFrom($fields->text('sharing')) ??
                throw UnreadableFields::badValue('sharing', 'is none of each, group and everyone');
    }

    /**
     * @return list<Aspect>
     *
     * @throws UnreadableFields
     */
    private static function readAspects(Fields $fields): array
    {
        $given =
            $fields->has('aspects') && $fields->list('aspects', 0, Aspect::MOST) !== []
                ? $fields->objects('aspects', Aspect::MOST)
                : [];
        $aspects = array_map(Aspect::read(...), $given);
        $names = array_map(static fn (Aspect $aspect): string => mb_strtolower($aspect->name), $aspects);
        if (count(array_unique($names)) < count($names) || (count($names) > 1 && in_array('', $names, true))) {
            throw UnreadableFields::saying('Give each thing you check a different name.');
        }

        return $aspects;
    }

    /** Its number as everyone reads it, from 1; 0 where there is no such question. */
    public function numberOf(string $id): int
    {
        foreach ($this->questions as $i => $question) {
            if ($question->id === $id) {
                return $i + 1;
            }
        }

        return 0;
    }

    public function question(string $id): ?Question
    {
        foreach ($this->questions as $question) {
            if ($question->id === $id) {
                return $question;
            }
        }

        return null;
    }

    /**
     * What is drawn for each student.
     *
     * @throws InvalidValues
     */
    public function values(): Values
    {
        return Values::in($this->texts());
    }

    /**
     * What a teacher should mend before a class sees it: values that cannot be drawn, right answers that cannot be
     * read.
     *
     * @return list<string> sentences
     */
    public function problems(): array
    {
        try {
            $mine = $this->filled($this->values()->draw('', 0));
        } catch (InvalidValues $problem) {
            return [$problem->getMessage()];
        }
        $problems = $this->unknownNames();
        foreach ($mine->questions as $i => $question) {
            try {
                if ($question->asked->hasKey()) {
                    $question->asked->compare($question->asked->kind() === QuestionKind::Choices ? [] : '');
                }
            } catch (UnreadableMaths $problem) {
                $problems[] = 'Question '.($i + 1).", the right answer: {$problem->getMessage()}";
            }
            if ($question->spot === null && $question->needsPlace()) {
                $problems[] = 'Question '.($i + 1).' needs a place on the page.';
            }
        }

        return $problems;
    }

    /** @return list<string> a sentence for each single letter in braces that has no values, where the prompt has any */
    private function unknownNames(): array
    {
        $values = $this->values();
        $unknown = [];
        foreach ($values->isEmpty() ? [] : $this->texts() as $text) {
            foreach (Braces::within($text) as $inside) {
                if (
                    preg_match('/^\s*(\p{L})\s*$/u', $inside, $found) === 1 &&
                    ! in_array($found[1], $values->names(), true)
                ) {
                    $unknown[$found[1]] = InvalidValues::unknown($found[1])->getMessage();
                }
            }
        }

        return array_values($unknown);
    }

    /** @return list<string> everything that may hold values in braces */
    private function texts(): array
    {
        return [
            $this->words,
            ...array_merge(...array_map(static fn (Question $question): array => $question->texts(), $this->questions)),
        ];
    }

    /**
     * As a student has it; where no values can be drawn, dots stand for them.
     *
     * @param  array<string, mixed>  $answers  the student's, by question: practice may go by them
     */
    public function forStudent(string $seed, int $n, array $answers = []): self
    {
        $mine = $this->filled($this->drawFor($seed, $n));

        return $this->practice === null
            ? $mine
            : $mine->with($mine->words, [...$mine->common(), ...$this->practice->questions($seed, $n, $answers)]);
    }

    /**
     * What leads to a wrong answer of a student to a task of practice, where that is known.
     *
     * @param  array<string, mixed>  $answers  all of the student's, by question
     */
    public function slip(string $seed, int $n, Question $question, mixed $answer, array $answers = []): ?string
    {
        return PracticeSheet::isTask($question)
            ? $this->practice?->slip($seed, $n, $question, $answer, $answers)
            : null;
    }

    /**
     * What is drawn of the values in its words: how many different draws there are (counted up to a thousand), and the
     * words of the first three students; null where nothing is drawn, or nothing can be.
     *
     * @return ?array{count: int, more: bool, samples: list<string>}
     */
    public function draws(string $seed): ?array
    {
        try {
            $values = $this->values();
            $n = $values->isEmpty() ? 0 : $values->count(self::MOST_COUNTED);
        } catch (InvalidValues) {
            return null;
        }

        return $n === 0 ? null : [
            'count' => $n,
            'more' => $n >= self::MOST_COUNTED,
            'samples' => array_map(fn (int $i): string => $values->draw($seed, $i)->fill($this->words), [1, 2, 3]),
        ];
    }

    /** The values that a student has; dots where none can be drawn. */
    public function drawFor(string $seed, int $n): Draw
    {
        try {
            return $this->values()->draw($seed, $n);
        } catch (InvalidValues) {
            return Draw::unknown();
        }
    }

    /** For everybody at once: every value stands as its name. */
    public function wordsForAll(): string
    {
        try {
            return Draw::names($this->values())->fill($this->words);
        } catch (InvalidValues) {
            return Draw::unknown()->fill($this->words);
        }
    }

    /** As one student has it, with the drawn values put in. */
    public function filled(Draw $draw): self
    {
        return $this->with(
            $draw->fill($this->words),
            array_map(static fn (Question $question): Question => $question->filled($draw), $this->questions),
        );
    }

    /** With answers read as a school writes numbers. */
    public function inNotation(Notation $notation): self
    {
        return $this->with(
            $this->words,
            array_map(static fn (Question $question): Question => $question->inNotation($notation), $this->questions),
        );
    }

    /** @param  list<Question>  $questions */
    private function with(string $words, array $questions): self
    {
        return new self(
            $words,
            $questions,
            $this->tray,
            $this->points,
            $this->minutes,
            $this->lookFor,
            $this->skills,
            $this->aspects,
            $this->asks,
            $this->tasks,
            $this->sharing,
            $this->practice,
        );
    }

    /** @return list<string> the pictures that its questions show */
    public function assets(): array
    {
        return array_merge(
            ...array_map(static fn (Question $question): array => $question->asked->assets(), $this->questions),
        );
    }
}
