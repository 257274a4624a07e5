<?php

declare(strict_types=1);

namespace Crag\Prompt\Question;

use Crag\Maths\Comparing\Verdict;
use Crag\Prompt\Values\Draw;

/**
 * A part of the page to draw in: it is answered once something stands there ({@see \Crag\Canvas\Scene::answerTo}). The
 * same as mere room to write asks for nothing. Neither is right or wrong.
 */
final readonly class DrawAsked implements Asked
{
    use TypedAnswer;

    /** What stands for a drawing where answers are written. */
    public const DRAWN = 'drawn';

    public function __construct(private QuestionKind $kind)
    {
    }

    public function kind(): QuestionKind
    {
        return $this->kind;
    }

    public function toArray(): array
    {
        return [];
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
        return false;
    }

    public function key(): string
    {
        return '';
    }

    public function isSame(mixed $one, mixed $other): bool
    {
        return $one === $other;
    }

    public function compare(mixed $answer): Verdict
    {
        return Verdict::unreadable('A drawing is looked at, not compared.');
    }
}
