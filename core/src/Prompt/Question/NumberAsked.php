<?php

declare(strict_types=1);

namespace Crag\Prompt\Question;

use Crag\Json\Fields;
use Crag\Json\UnreadableFields;
use Crag\Maths\Comparing\Compare;
use Crag\Maths\Comparing\Form;
use Crag\Maths\Comparing\FormKind;
use Crag\Maths\Comparing\Tolerance;
use Crag\Maths\Comparing\Verdict;
use Crag\Maths\Parsing\Notation;
use Crag\Maths\Parsing\UnreadableMaths;
use Crag\Prompt\Values\Draw;

/** A number, with a unit or without. An answer is what was typed. */
final readonly class NumberAsked implements Asked, ByHand, ReadsNotation
{
    use TypedAnswer;

    /** @param  bool  $isDrawn  whether values were put into the right answer */
    private function __construct(
        private string $right,
        private Tolerance $tolerance,
        private Form $form,
        private bool $isInOwnUnit,
        private Notation $notation,
        private bool $isByHand,
        private bool $isDrawn = false,
    ) {
    }

    /** @throws UnreadableFields */
    public static function of(Fields $fields): self
    {
        try {
            $tolerance = $fields->has('tolerance')
                ? Tolerance::of(
                    $fields->object('tolerance')->oneOf('kind', ['none', 'within', 'percent'], 'none'),
                    $fields->object('tolerance')->text('most', 40),
                )
                : Tolerance::none();
        } catch (UnreadableMaths) {
            throw UnreadableFields::badValue('tolerance', 'is no number');
        }

        return new self(
            trim($fields->text('right', Question::LONGEST_ANSWER)),
            $tolerance,
            self::form($fields),
            $fields->flag('own_unit'),
            Notation::usual(),
            $fields->flag('by_hand'),
        );
    }

    public function inNotation(Notation $notation): self
    {
        return new self(
            $this->right,
            $this->tolerance,
            $this->form,
            $this->isInOwnUnit,
            $notation,
            $this->isByHand,
            $this->isDrawn,
        );
    }

    /** @throws UnreadableFields */
    public static function form(Fields $fields): Form
    {
        if (! $fields->has('form')) {
            return Form::any();
        }
        $form = $fields->object('form');

        return Form::of(
            FormKind::from($form->oneOf('kind', array_column(FormKind::cases(), 'value'))),
            $form->whole('digits', 0, Form::MOST_DIGITS, 0),
        );
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
        return QuestionKind::Number;
    }

    public function toArray(): array
    {
        return [
            'right' => $this->right,
            'tolerance' => $this->tolerance->toArray(),
            'form' => $this->form->toArray(),
            'own_unit' => $this->isInOwnUnit,
        ] + ($this->isByHand ? ['by_hand' => true] : []);
    }

    public function texts(): array
    {
        return [$this->right];
    }

    public function filled(Draw $draw): self
    {
        $right = $draw->fill($this->right);

        return new self(
            $right,
            $this->tolerance,
            $this->form,
            $this->isInOwnUnit,
            $this->notation,
            $this->isByHand,
            $right !== $this->right,
        );
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
        return Compare::areSameNumbers(
            $this->notation->plain($this->written($one)),
            $this->notation->plain($this->written($other)),
        );
    }

    public function compare(mixed $answer): Verdict
    {
        return Compare::numbers(
            $this->notation->plain($this->right, $this->isDrawn),
            $this->notation->plain($this->written($answer)),
            $this->tolerance,
            $this->form,
            $this->isInOwnUnit,
        )->told($this->notation->said(...));
    }
}
