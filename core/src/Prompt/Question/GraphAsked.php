<?php

declare(strict_types=1);

namespace Crag\Prompt\Question;

use Crag\Json\Fields;
use Crag\Json\UnreadableFields;
use Crag\Maths\Comparing\Verdict;
use Crag\Maths\Plotting\Equation;
use Crag\Prompt\Values\Draw;

/**
 * What is to be plotted or constructed on axes: "y = 2x − 1" for a line through (0, −1) with slope 2. Nobody types an
 * answer: it is what stands on the canvas ({@see \Crag\Canvas\Scene::answerTo}).
 */
final readonly class GraphAsked implements Asked
{
    use TypedAnswer;

    private function __construct(private string $right)
    {
    }

    /** @throws UnreadableFields */
    public static function of(Fields $fields): self
    {
        return new self(trim($fields->text('right', Question::LONGEST_ANSWER)));
    }

    public function kind(): QuestionKind
    {
        return QuestionKind::Graph;
    }

    public function toArray(): array
    {
        return ['right' => $this->right];
    }

    public function texts(): array
    {
        return [$this->right];
    }

    public function filled(Draw $draw): self
    {
        return new self($draw->fill($this->right));
    }

    public function hasKey(): bool
    {
        return $this->right !== '';
    }

    public function key(): string
    {
        return $this->right;
    }

    /**
     * Of several graphs the one that is meant, else the last.
     *
     * @param  list<string>  $graphs
     */
    public function meant(array $graphs): ?string
    {
        foreach ($graphs as $graph) {
            if ($this->hasKey() && Equation::areSame($this->right, $graph)) {
                return $graph;
            }
        }

        return $graphs[count($graphs) - 1] ?? null;
    }

    public function isSame(mixed $one, mixed $other): bool
    {
        return Equation::areSame($this->written($one), $this->written($other));
    }

    public function compare(mixed $answer): Verdict
    {
        return Equation::areSame($this->right, $this->written($answer)) ? Verdict::right() : Verdict::wrong();
    }
}
