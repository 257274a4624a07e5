<?php

declare(strict_types=1);

namespace Crag\Prompt\Question;

use Crag\Json\Fields;
use Crag\Json\UnreadableFields;
use Crag\Maths\Comparing\Compare;
use Crag\Maths\Comparing\Form;
use Crag\Maths\Comparing\Verdict;
use Crag\Prompt\Values\Draw;

/** An expression or an equation with letters. An answer is what was typed. */
final readonly class MathsAsked implements Asked
{
    use TypedAnswer;

    private function __construct(private string $right, private Form $form)
    {
    }

    /** @throws UnreadableFields */
    public static function of(Fields $fields): self
    {
        return new self(trim($fields->text('right', Question::LONGEST_ANSWER)), NumberAsked::form($fields));
    }

    public function kind(): QuestionKind
    {
        return QuestionKind::Maths;
    }

    public function toArray(): array
    {
        return ['right' => $this->right, 'form' => $this->form->toArray()];
    }

    public function texts(): array
    {
        return [$this->right];
    }

    public function filled(Draw $draw): self
    {
        return new self($draw->fill($this->right), $this->form);
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
        return Compare::areSameExpressions($this->written($one), $this->written($other));
    }

    public function compare(mixed $answer): Verdict
    {
        return Compare::expressions($this->right, $this->written($answer), $this->form);
    }
}
