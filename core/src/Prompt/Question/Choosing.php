<?php

declare(strict_types=1);

namespace Crag\Prompt\Question;

use Crag\Json\Fields;
use Crag\Json\UnreadableFields;
use Crag\Maths\Comparing\Verdict;
use Crag\Prompt\Values\Draw;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/** One choice or several. An answer is the id of a choice, or a list of them. */
final readonly class Choosing implements Asked
{
    public const MOST_OPTIONS = 40;

    /**
     * @param  list<Option>  $options
     * @param  list<string>  $right  ids of the right choices; none where there is no right and wrong
     * @param  ?int  $most  how many may be chosen of several
     */
    private function __construct(
        private QuestionKind $kind,
        private array $options,
        private array $right,
        private bool $isShuffled,
        private ?int $most,
    ) {
    }

    /** @throws UnreadableFields */
    public static function of(QuestionKind $kind, Fields $fields): self
    {
        $options = array_map(Option::read(...), $fields->objects('options', self::MOST_OPTIONS));
        $ids = array_map(static fn (Option $option): string => $option->id, $options);
        if (count(array_unique($ids)) < count($ids)) {
            throw UnreadableFields::badValue('options', 'hold an id twice');
        }
        $right = [];
        foreach ($fields->list('right', 0, $kind === QuestionKind::Choice ? 1 : self::MOST_OPTIONS) as $id) {
            $right[] =
                is_string($id) && in_array($id, $ids, true)
                    ? $id
                    : throw UnreadableFields::badValue('right', 'names no choice');
        }

        return new self(
            $kind,
            $options,
            array_values(array_unique($right)),
            $fields->flag('shuffle'),
            $kind === QuestionKind::Choices && ! $fields->isNull('most')
                ? $fields->whole('most', 1, self::MOST_OPTIONS)
                : null,
        );
    }

    public function kind(): QuestionKind
    {
        return $this->kind;
    }

    public function toArray(): array
    {
        return [
            'options' => array_map(static fn (Option $option): array => $option->toArray(), $this->options),
            'right' => $this->right,
            'shuffle' => $this->isShuffled,
        ] + ($this->most === null ? [] : ['most' => $this->most]);
    }

    public function forStudent(string $seed): array
    {
        $options = $this->isShuffled
            ? (new Randomizer(new Xoshiro256StarStar(hash('sha256', $seed, true))))->shuffleArray($this->options)
            : $this->options;

        return ['options' => array_map(static fn (Option $option): array => $option->toArray(), $options)] +
            ($this->most === null ? [] : ['most' => $this->most]);
    }

    public function texts(): array
    {
        return array_map(static fn (Option $option): string => $option->words, $this->options);
    }

    public function filled(Draw $draw): self
    {
        return new self(
            $this->kind,
            array_map(static fn (Option $option): Option => $option->filled($draw), $this->options),
            $this->right,
            $this->isShuffled,
            $this->most,
        );
    }

    public function hasKey(): bool
    {
        return $this->right !== [];
    }

    public function key(): string
    {
        return $this->written($this->kind === QuestionKind::Choice ? $this->right[0] ?? '' : $this->right);
    }

    public function read(mixed $answer): mixed
    {
        $ids = array_map(static fn (Option $option): string => $option->id, $this->options);
        $chosen = $this->kind === QuestionKind::Choice ? [$answer] : $answer;
        if (! is_array($chosen) || ! array_is_list($chosen) || count($chosen) > self::MOST_OPTIONS) {
            throw UnreadableFields::missing('value');
        }
        if ($this->most !== null && count($chosen) > $this->most) {
            throw UnreadableFields::saying("You can choose up to {$this->most}.");
        }
        foreach ($chosen as $id) {
            if (! in_array($id, $ids, true)) {
                throw UnreadableFields::badValue('value', 'names no choice');
            }
        }
        // In the order of the choices, so that equal answers are the same.
        $chosen = array_values(array_intersect($ids, $chosen));

        return $this->kind === QuestionKind::Choice ? $chosen[0] : $chosen;
    }

    public function written(mixed $answer): string
    {
        $chosen = is_array($answer) ? $answer : [$answer];
        $words = [];
        foreach ($this->options as $i => $option) {
            if (in_array($option->id, $chosen, true)) {
                $words[] = $option->words === '' ? chr(65 + $i) : $option->words;
            }
        }

        return implode(' · ', $words);
    }

    public function isSame(mixed $one, mixed $other): bool
    {
        return $one === $other;
    }

    public function compare(mixed $answer): Verdict
    {
        $chosen = is_array($answer) ? $answer : [$answer];

        return count($chosen) === count($this->right) &&
            array_diff($this->right, array_filter($chosen, is_string(...))) === []
            ? Verdict::right()
            : Verdict::wrong();
    }

    public function assets(): array
    {
        return array_values(
            array_filter(array_map(static fn (Option $option): string => $option->picture, $this->options)),
        );
    }
}
