<?php

declare(strict_types=1);

namespace Crag\Prompt\Question;

/** The kinds of question that a prompt can ask. */
enum QuestionKind: string
{
    case Choice = 'choice';
    case Choices = 'choices';
    case Number = 'number';
    case Maths = 'maths';
    case Text = 'text';
    case Scale = 'scale';
    /** What a manipulative is to show. */
    case State = 'state';
    /** What is to be plotted on axes. */
    case Graph = 'graph';

    public function word(): string
    {
        return match ($this) {
            self::Choice => 'One choice',
            self::Choices => 'Several choices',
            self::Number => 'Number',
            self::Maths => 'Maths answer',
            self::Text => 'Short text',
            self::Scale => 'Scale',
            self::State => 'What a piece shows',
            self::Graph => 'A graph on axes',
        };
    }

    /** Whether the canvas itself is the answer: nobody types or chooses one. */
    public function isOnCanvas(): bool
    {
        return $this === self::State || $this === self::Graph;
    }
}
