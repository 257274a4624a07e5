<?php

declare(strict_types=1);

namespace Crag\Prompt\Question;

use Crag\Json\Fields;
use Crag\Json\UnreadableFields;
use Crag\Maths\Comparing\Verdict;
use Crag\Maths\Parsing\Notation;
use Crag\Maths\Parsing\UnreadableMaths;
use Crag\Prompt\Values\Draw;
use Throwable;

/**
 * One question of a prompt, under its words or at a spot on its pages.
 *
 * JSON form: {"id": …, "kind": …, "words": …, "spot": null or {"page", "x", "y", "w", "h"}} and the fields of its kind.
 */
final readonly class Question
{
    public const LONGEST_ANSWER = 300;

    private const LONGEST_WORDS = 500;

    private function __construct(public string $id, public string $words, public ?Spot $spot, public Asked $asked)
    {
    }

    /** @throws UnreadableFields */
    public static function read(Fields $fields): self
    {
        $kind = QuestionKind::tryFrom($fields->text('kind')) ?? throw UnreadableFields::missing('kind');

        return new self(
            QuestionId::read($fields),
            trim($fields->text('words', self::LONGEST_WORDS)),
            $fields->isNull('spot') ? null : Spot::read($fields->object('spot')),
            match ($kind) {
                QuestionKind::Choice, QuestionKind::Choices => Choosing::of($kind, $fields),
                QuestionKind::Number => NumberAsked::of($fields),
                QuestionKind::Maths => MathsAsked::of($fields),
                QuestionKind::Text => TextAsked::of($fields),
                QuestionKind::Scale => ScaleAsked::of($fields),
                QuestionKind::State => StateAsked::of($fields),
                QuestionKind::Graph => GraphAsked::of($fields),
                QuestionKind::Tick => TickAsked::of($fields),
                QuestionKind::Drawing, QuestionKind::Space => new DrawAsked($kind),
                QuestionKind::Marked => MarkedAsked::of($fields),
            },
        );
    }

    /**
     * A question that is asked of everybody at once, away from any canvas: a piece or a graph has no place there.
     *
     * @throws UnreadableFields
     */
    public static function toAsk(Fields $fields): self
    {
        $question = self::read($fields->with(['id' => 'ask', 'spot' => null]));

        return $question->asked->kind()->isOnCanvas()
            ? throw UnreadableFields::badValue('kind', 'is asked on a canvas alone')
            : $question;
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return $this->common() + $this->asked->toArray();
    }

    /** @return array<string, mixed> what a student's page may know */
    public function forStudent(string $seed): array
    {
        return $this->common() + $this->asked->forStudent("{$seed} {$this->id}");
    }

    /** @return list<string> everything that may hold values in braces */
    public function texts(): array
    {
        return [$this->words, ...$this->asked->texts()];
    }

    /** As a school writes numbers. */
    public function inNotation(Notation $notation): self
    {
        return $this->asked instanceof ReadsNotation
            ? new self($this->id, $this->words, $this->spot, $this->asked->inNotation($notation))
            : $this;
    }

    public function filled(Draw $draw): self
    {
        return new self($this->id, $draw->fill($this->words), $this->spot, $this->asked->filled($draw));
    }

    /**
     * Null where there is no right and wrong, or the right answer itself cannot be read. Nothing is thrown: whatever
     * one answer does to the comparison, the others' are still compared.
     */
    public function compare(mixed $answer): ?Verdict
    {
        try {
            return $this->asked->hasKey() ? $this->asked->compare($answer) : null;
        } catch (UnreadableMaths) {
            return null;
        } catch (Throwable $fault) {
            return Verdict::broken($fault);
        }
    }

    /** Whether it means a part of a page, and is nothing without one. */
    public function needsPlace(): bool
    {
        return $this->asked->kind()->needsPlace() || $this->isByHand();
    }

    /** Whether it is answered by writing in its box. */
    public function isByHand(): bool
    {
        return $this->asked instanceof ByHand && $this->asked->isByHand();
    }

    /** Whether anything is answered there: room to write asks for nothing. */
    public function takesAnswer(): bool
    {
        return $this->asked->kind() !== QuestionKind::Space;
    }

    /** Whether two answers say the same; what cannot be compared is the same only when it is written alike. */
    public function isSame(mixed $one, mixed $other): bool
    {
        try {
            return $this->asked->isSame($one, $other);
        } catch (Throwable) {
            return $one === $other;
        }
    }

    /** @return array<string, mixed> */
    private function common(): array
    {
        return [
            'id' => $this->id,
            'kind' => $this->asked->kind()->value,
            'words' => $this->words,
            'spot' => $this->spot?->toArray(),
        ];
    }
}
