<?php

declare(strict_types=1);

namespace Crag\Prompt\Question;

use Crag\Json\Fields;
use Crag\Json\UnreadableFields;
use Crag\Manipulative\ManipulativeKind;
use Crag\Maths\Comparing\Compare;
use Crag\Maths\Comparing\Verdict;
use Crag\Prompt\Values\Draw;

/**
 * What a manipulative is to show. Nobody types an answer: it is a fact of the piece that the student worked
 * ({@see \Crag\Canvas\Scene::answerTo}). Numbers and expressions are compared as such, so that 6/8 is 3/4; anything
 * else by its letters.
 */
final readonly class StateAsked implements Asked
{
    use TypedAnswer;

    private function __construct(public ManipulativeKind $piece, public string $fact, private string $right)
    {
    }

    /** @throws UnreadableFields */
    public static function of(Fields $fields): self
    {
        $piece = ManipulativeKind::from(
            $fields->oneOf('piece', array_column(ManipulativeKind::cases(), 'value')),
        );

        return new self(
            $piece,
            $fields->oneOf('fact', array_keys($piece->rules()::factWords())),
            trim($fields->text('right', Question::LONGEST_ANSWER)),
        );
    }

    public function kind(): QuestionKind
    {
        return QuestionKind::State;
    }

    public function toArray(): array
    {
        return ['piece' => $this->piece->value, 'fact' => $this->fact, 'right' => $this->right];
    }

    public function forStudent(string $seed): array
    {
        return ['piece' => $this->piece->value];
    }

    public function texts(): array
    {
        return [$this->right];
    }

    public function filled(Draw $draw): self
    {
        return new self($this->piece, $this->fact, $draw->fill($this->right));
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
        return self::agree($this->written($one), $this->written($other));
    }

    public function compare(mixed $answer): Verdict
    {
        return self::agree($this->right, $this->written($answer)) ? Verdict::right() : Verdict::wrong();
    }

    private static function agree(string $one, string $other): bool
    {
        if (self::plain($one) === self::plain($other)) {
            return true;
        }
        // A time or a list of numbers is no expression.
        $isMaths = preg_match('/\A[0-9a-z²³+−\-*×. ()\/]+\z/u', "{$one}{$other}") === 1;
        if (! $isMaths || trim($other) === '') {
            return false;
        }

        return preg_match('/[a-z]/', "{$one}{$other}") === 1
            ? Compare::areSameExpressions($one, $other)
            : Compare::areSameNumbers($one, $other);
    }

    private static function plain(string $words): string
    {
        return mb_strtolower((string) preg_replace('/\s+/u', '', $words));
    }
}
