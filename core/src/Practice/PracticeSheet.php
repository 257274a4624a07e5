<?php

declare(strict_types=1);

namespace Crag\Practice;

use Crag\Json\Fields;
use Crag\Json\UnreadableFields;
use Crag\Prompt\Question\Question;
use Crag\Prompt\Question\QuestionKind;

/**
 * A sheet of tasks that each student has with numbers of their own.
 *
 * JSON form: {"family": its key, "kinds": [keys; all where there is none], "level": 1 to 3, "n": how many}.
 */
final readonly class PracticeSheet
{
    public const MOST = 60;

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
    ) {
    }

    /** @throws UnreadableFields */
    public static function read(Fields $fields): self
    {
        $key = $fields->text('family', 40);
        $family = Families::all()[$key] ?? throw UnreadableFields::badValue('family', 'is none that is known');
        $known = array_keys($family->kinds());
        $chosen = $fields->has('kinds') ? $fields->list('kinds', 0, 40) : [];
        $kinds = array_values(array_filter($known, static fn (string $kind): bool => in_array($kind, $chosen, true)));

        return new self(
            $key,
            $family,
            $kinds === [] ? $known : $kinds,
            $fields->whole('level', 1, 3),
            $fields->whole('n', 1, self::MOST),
        );
    }

    /** @return array{family: string, kinds: list<string>, level: int, n: int} */
    public function toArray(): array
    {
        return ['family' => $this->key, 'kinds' => $this->kinds, 'level' => $this->level, 'n' => $this->n];
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
            $try = 0;
            do {
                $task = $this->family->task($chance, $kind, $this->level);
            } while (isset($tasks[$task->words]) && ++$try < self::TRIES);
            $tasks[isset($tasks[$task->words]) ? "{$task->words} {$i}" : $task->words] = $task;
        }

        return array_values($tasks);
    }

    /** @return list<Question> the same as a prompt's questions */
    public function questions(string $seed, int $student): array
    {
        return array_map(self::question(...), $this->tasks($seed, $student), range(1, $this->n));
    }

    /** @return list<Question> for everybody at once: which there are, without what each student has */
    public function places(): array
    {
        return array_map(
            static fn (int $n): Question => self::question(new Task("Task {$n}", ''), $n),
            range(1, $this->n),
        );
    }

    /** What leads to a wrong answer, where that is known. */
    public function slip(string $seed, int $student, Question $question, mixed $answer): ?string
    {
        $task = $this->tasks($seed, $student)[(int) substr($question->id, strlen(self::ID)) - 1] ?? null;
        foreach ($task->slips ?? [] as $wrong => $why) {
            if ($question->isSame((string) $wrong, $answer)) {
                return $why;
            }
        }

        return null;
    }

    /** Whether a question is one of a sheet's. */
    public static function isTask(Question $question): bool
    {
        return str_starts_with($question->id, self::ID);
    }

    private static function question(Task $task, int $n): Question
    {
        return Question::read(new Fields([
            'id' => self::ID.sprintf('%02d', $n),
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
