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
use Crag\Maths\Parsing\UnreadableMaths;
use Crag\Prompt\Values\Draw;

/** A number, with a unit or without. An answer is what was typed. */
final readonly class NumberAsked implements Asked
{
    use TypedAnswer;

    private function __construct(
        private string $right,
        private Tolerance $tolerance,
        private Form $form,
        private bool $isInOwnUnit,
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
        ];
    }

    public function texts(): array
    {
        return [$this->right];
    }

    public function filled(Draw $draw): self
    {
        return new self($draw->fill($this->right), $this->tolerance, $this->form, $this->isInOwnUnit);
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
        return Compare::areSameNumbers($this->written($one), $this->written($other));
    }

    public function compare(mixed $answer): Verdict
    {
        return Compare::numbers(
            $this->right,
            $this->written($answer),
            $this->tolerance,
            $this->form,
            $this->isInOwnUnit,
        );
    }
}
