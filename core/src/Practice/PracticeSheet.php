<?php

declare(strict_types=1);

namespace Crag\Practice;

use Crag\Json\Fields;
use Crag\Json\UnreadableFields;
use Crag\Maths\Comparing\Outcome;
use Crag\Prompt\Question\Question;
use Crag\Prompt\Question\QuestionKind;

/**
 * A sheet of tasks that each student has with numbers of their own: so many at once, or one after the other until
 * enough in a row are right.
 *
 * JSON form: {"family": its key, "kinds": [keys; all where there is none], "level": 1 to 3, "n": how many, "row": how
 * many in a row must be right (0: all tasks at once), "follows": whether the level follows the last answers}; for a
 * question of the teacher's own "family" is "own", with "words", "right" and "letters".
 */
final readonly class PracticeSheet
{
    public const MOST = 60;

    public const MOST_ROW = 20;

    /** With this an id begins that belongs to a task. */
    private const ID = 'practice';

    /** So often a task that was there already is drawn again; a family may have no more of them. */
    private const TRIES = 60;

    /** @param  non-empty-list<string>  $kinds  of the family's */
    private function __construct(
        public string $key,
        private Family $family,
        public array $kinds,
        public int $level,
        public int $n,
        public int $row,
        public bool $follows,
    ) {
    }

    /** @throws UnreadableFields */
    public static function read(Fields $fields): self
    {
        $key = $fields->text('family', 40);
        $family = $key === OwnQuestion::KEY
            ? OwnQuestion::of($fields->text('words', 500), $fields->text('right', 300), $fields->flag('letters'))
            : Families::all()[$key] ?? throw UnreadableFields::badValue('family', 'is none that is known');
        $known = array_keys($family->kinds());
        $chosen = $fields->has('kinds') ? $fields->list('kinds', 0, 40) : [];
        $kinds = array_values(array_filter($known, static fn (string $kind): bool => in_array($kind, $chosen, true)));

        return new self(
            $key,
            $family,
            $kinds === [] ? $known : $kinds,
            $fields->whole('level', 1, 3),
            $fields->whole('n', 1, self::MOST),
            $fields->whole('row', 0, self::MOST_ROW, 0),
            $fields->flag('follows'),
        );
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['family' => $this->key, 'kinds' => $this->kinds, 'level' => $this->level, 'n' => $this->n] +
            ($this->row === 0 ? [] : ['row' => $this->row, 'follows' => $this->follows]) +
            ($this->family instanceof OwnQuestion ? $this->family->toArray() : []);
    }

    /** Whether tasks come one after the other. */
    public function isStepwise(): bool
    {
        return $this->row > 0;
    }

    /**
     * The way that one student has gone so far: the next task comes when the one before has an answer, until enough in
     * a row are right. Where the level follows, two right in a row raise it and two wrong in a row lower it.
     *
     * @param  array<string, mixed>  $answers  by question
     */
    public function course(string $seed, int $student, array $answers): Course
    {
        $kinds = (new Chance("{$seed} kinds {$student}"))->mixed($this->kinds);
        $tasks = $marks = $seen = [];
        [$level, $inRow, $wrong] = [$this->level, 0, 0];
        for ($i = 0; $i < self::MOST && $inRow < $this->row; $i++) {
            $task = $this->fresh(new Chance("{$seed} step {$student} {$i}"), $kinds[$i % count($kinds)], $level, $seen);
            $tasks[] = $task;
            $seen[$task->words] = $task;
            $question = self::question($task, $i + 1);
            if (! isset($answers[$question->id])) {
                break;
            }
            $marks[] = $isRight = $question->compare($answers[$question->id])?->outcome === Outcome::Right;
            [$inRow, $wrong] = $isRight ? [$inRow + 1, 0] : [0, $wrong + 1];
            if ($this->follows && $isRight && $inRow % 2 === 0) {
                $level = min(3, $level + 1);
            } elseif ($this->follows && $wrong > 0 && $wrong % 2 === 0) {
                $level = max(1, $level - 1);
            }
        }

        return new Course($tasks, $marks, $inRow, $level, $inRow >= $this->row);
    }

    public function name(): string
    {
        return $this->family->name();
    }

    /**
     * What one student has: always the same for the same seed and number, no task twice as long as the family has
     * others, and every kind as often as the others.
     *
     * @return list<Task>
     */
    public function tasks(string $seed, int $student): array
    {
        $chance = new Chance("{$seed} practice {$student}");
        $tasks = $kinds = [];
        for ($i = 0; $i < $this->n; $i++) {
            $kinds = $kinds === [] ? $chance->mixed($this->kinds) : $kinds;
            $kind = array_pop($kinds) ?? $this->kinds[0];
            $task = $this->fresh($chance, $kind, $this->level, $tasks);
            $tasks[isset($tasks[$task->words]) ? "{$task->words} {$i}" : $task->words] = $task;
        }

        return array_values($tasks);
    }

    /**
     * The same as a prompt's questions; of those that come one after the other, as far as the student is.
     *
     * @param  array<string, mixed>  $answers  by question
     * @return list<Question>
     */
    public function questions(string $seed, int $student, array $answers = []): array
    {
        $tasks = $this->isStepwise()
            ? $this->course($seed, $student, $answers)->tasks
            : $this->tasks($seed, $student);

        return array_map(self::question(...), $tasks, array_keys($tasks) === [] ? [] : range(1, count($tasks)));
    }

    /** @param  array<string, Task>  $there  by their words: none of these, as long as there are others */
    private function fresh(Chance $chance, string $kind, int $level, array $there): Task
    {
        $try = 0;
        do {
            $task = $this->family->task($chance, $kind, $level);
        } while (isset($there[$task->words]) && ++$try < self::TRIES);

        return $task;
    }

    /** @return list<Question> for everybody at once: which there are, without what each student has */
    public function places(): array
    {
        return array_map(
            static fn (int $n): Question => self::question(new Task("Task {$n}", ''), $n),
            range(1, $this->isStepwise() ? 1 : $this->n),
        );
    }

    /**
     * What leads to a wrong answer, where that is known.
     *
     * @param  array<string, mixed>  $answers  all of the student's, by question
     */
    public function slip(string $seed, int $student, Question $question, mixed $answer, array $answers = []): ?string
    {
        $tasks = $this->isStepwise()
            ? $this->course($seed, $student, $answers)->tasks
            : $this->tasks($seed, $student);
        $task = $tasks[(int) substr($question->id, strlen(self::ID)) - 1] ?? null;
        foreach ($task->slips ?? [] as $wrong => $why) {
            if ($question->isSame((string) $wrong, $answer)) {
                return $why;
            }
        }

        return null;
    }

    /** The id of a task's question. */
    public static function id(int $n): string
    {
        return self::ID.sprintf('%02d', $n);
    }

    /**
     * What a student is told of a task beside its question: of one that is open, that an answer counts when it is
     * handed in; of one that has an answer, whether that is right, and how a wrong one would have been.
     *
     * @return array{once?: true, mark?: array{right: bool, key: string, steps: list<string>}}
     */
    public static function marked(Course $course, Question $question): array
    {
        if (! self::isTask($question)) {
            return [];
        }
        $at = (int) substr($question->id, strlen(self::ID)) - 1;
        $isRight = $course->marks[$at] ?? null;
        $task = $course->tasks[$at] ?? null;

        return $isRight === null || $task === null
            ? ['once' => true]
            : ['mark' => [
                'right' => $isRight,
                'key' => $isRight ? '' : $task->right,
                'steps' => $isRight ? [] : $task->steps,
            ]];
    }

    /** Whether a question is one of a sheet's. */
    public static function isTask(Question $question): bool
    {
        return str_starts_with($question->id, self::ID);
    }

    private static function question(Task $task, int $n): Question
    {
        return Question::read(new Fields([
            'id' => self::id($n),
            'kind' => ($task->hasLetters ? QuestionKind::Maths : QuestionKind::Number)->value,
            'words' => $task->words,
            'spot' => null,
            'right' => $task->right,
            'form' => ['kind' => $task->form->value, 'digits' => 0],
            'tolerance' => ['kind' => 'none', 'most' => ''],
            'own_unit' => false,
        ], true));
    }
}
