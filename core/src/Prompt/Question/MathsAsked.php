<?php

declare(strict_types=1);

namespace Crag\Prompt\Question;

use Crag\Json\Fields;
use Crag\Json\UnreadableFields;
use Crag\Maths\Comparing\Compare;
use Crag\Maths\Comparing\Form;
use Crag\Maths\Comparing\Verdict;
use Crag\Maths\Parsing\Notation;
use Crag\Prompt\Values\Draw;

/** An expression or an equation with letters. An answer is what was typed. */
final readonly class MathsAsked implements Asked, ByHand, ReadsNotation
{
    use TypedAnswer;

    /** @param  bool  $isDrawn  whether values were put into the right answer */
    private function __construct(
        private string $right,
        private Form $form,
        private Notation $notation,
        private bool $isByHand,
        private bool $isDrawn = false,
    ) {
    }

    /** @throws UnreadableFields */
    public static function of(Fields $fields): self
    {
        return new self(
            trim($fields->text('right', Question::LONGEST_ANSWER)),
            NumberAsked::form($fields),
            Notation::usual(),
            $fields->flag('by_hand'),
        );
    }

    public function inNotation(Notation $notation): self
    {
        return new self($this->right, $this->form, $notation, $this->isByHand, $this->isDrawn);
    }

    public function isByHand(): bool
    {
        return $this->isByHand;
    }

    public function forStudent(string $seed): array
    {
        return $this->isByHand ? ['by_hand' => true] : [];
    }

    public function kind(): QuestionKind
    {
        return QuestionKind::Maths;
    }

    public function toArray(): array
    {
        return ['right' => $this->right, 'form' => $this->form->toArray()] +
            ($this->isByHand ? ['by_hand' => true] : []);
    }

    public function texts(): array
    {
        return [$this->right];
    }

    public function filled(Draw $draw): self
    {
        $right = $draw->fill($this->right);

        return new self($right, $this->form, $this->notation, $this->isByHand, $right !== $this->right);
    }

    public function hasKey(): bool
    {
        return $this->right !== '';
    }

    public function key(): string
    {
        return $this->right;
    }

    public function isSame(mixed $one, mixed $other): bool
    {
        return Compare::areSameExpressions(
            $this->notation->plain($this->written($one)),
            $this->notation->plain($this->written($other)),
        );
    }

    public function compare(mixed $answer): Verdict
    {
        return Compare::expressions(
            $this->notation->plain($this->right, $this->isDrawn),
            $this->notation->plain($this->written($answer)),
            $this->form,
        )->told($this->notation->said(...));
    }
}
