<?php

declare(strict_types=1);

namespace Crag\Prompt\Question;

use Crag\Json\Fields;
use Crag\Json\UnreadableFields;
use Crag\Maths\Comparing\Verdict;
use Crag\Prompt\Values\Draw;

/**
 * Answers that are printed on the page, to be ticked or circled by hand. Nobody sends an answer: it is what the marks
 * on the canvas say ({@see \Crag\Canvas\Scene::answerTo}), in ids; or that they do not say it.
 */
final readonly class MarkedAsked implements Asked
{
    public const MOST_OPTIONS = 20;

    /** The answer where marks do not tell which option is meant. */
    public const UNCLEAR = '?';

    /**
     * @param  list<PrintedOption>  $options
     * @param  list<string>  $right  ids; none where there is no right and wrong
     * @param  bool  $isSeveral  whether more than one may be marked
     */
    private function __construct(public array $options, private array $right, public bool $isSeveral)
    {
    }

    /** @throws UnreadableFields */
    public static function of(Fields $fields): self
    {
        $options = array_map(PrintedOption::read(...), $fields->objects('options', self::MOST_OPTIONS));
        $ids = array_map(static fn (PrintedOption $option): string => $option->id, $options);
        if (count(array_unique($ids)) < count($ids)) {
            throw UnreadableFields::badValue('options', 'hold an id twice');
        }
        $several = $fields->flag('several');
        $right = [];
        foreach ($fields->list('right', 0, $several ? self::MOST_OPTIONS : 1) as $id) {
            $right[] = is_string($id) && in_array($id, $ids, true)
                ? $id
                : throw UnreadableFields::badValue('right', 'names no choice');
        }

        return new self($options, array_values(array_unique($right)), $several);
    }

    public function kind(): QuestionKind
    {
        return QuestionKind::Marked;
    }

    public function toArray(): array
    {
        return ['options' => $this->printed(), 'right' => $this->right, 'several' => $this->isSeveral];
    }

    public function forStudent(string $seed): array
    {
        return ['options' => $this->printed()];
    }

    public function texts(): array
    {
        return [];
    }

    public function filled(Draw $draw): self
    {
        return $this;
    }

    public function hasKey(): bool
    {
        return $this->right !== [];
    }

    public function key(): string
    {
        return $this->written($this->right);
    }

    /** @return list<string>|string|null what marks on some of the options mean as an answer */
    public function meant(MarkedOptions $marks): array|string|null
    {
        $ids = array_map(fn (int $i): string => $this->options[$i]->id, $marks->marked);
        if (! $marks->isClear || (! $this->isSeveral && count($ids) > 1)) {
            return self::UNCLEAR;
        }

        return $ids === [] ? null : $ids;
    }

    /** @throws UnreadableFields always: the canvas is the answer */
    public function read(mixed $answer): mixed
    {
        throw UnreadableFields::saying('Mark your answer on the page.');
    }

    public function written(mixed $answer): string
    {
        if ($answer === self::UNCLEAR) {
            return self::UNCLEAR;
        }
        $words = [];
        foreach ($this->options as $i => $option) {
            if (is_array($answer) && in_array($option->id, $answer, true)) {
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
        if (! is_array($answer)) {
            return Verdict::unreadable('The marks don’t say which one is meant.');
        }

        $others = array_filter($this->right, static fn (string $id): bool => ! in_array($id, $answer, true));

        return count($answer) === count($this->right) && $others === []
            ? Verdict::right()
            : Verdict::wrong();
    }

    public function assets(): array
    {
        return [];
    }

    /** @return list<array{id: string, words: string, x: int, y: int, w: int, h: int}> */
    private function printed(): array
    {
        return array_map(static fn (PrintedOption $option): array => $option->toArray(), $this->options);
    }
}
