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
    case Tick = 'tick';
    /** A part of the page to draw in. */
    case Drawing = 'drawing';
    /** Room to write: nothing is asked there. */
    case Space = 'space';
    /** Answers printed on the page, to be ticked or circled. */
    case Marked = 'marked';

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
            self::Tick => 'A box to tick',
            self::Drawing => 'A drawing',
            self::Space => 'Room to write',
            self::Marked => 'Printed answers to tick or circle',
        };
    }

    /** Whether the canvas itself is the answer: nobody types or chooses one. */
    public function isOnCanvas(): bool
    {
        return match ($this) {
            self::State, self::Graph, self::Drawing, self::Space, self::Marked => true,
            default => false,
        };
    }

    /** @return list<self> those for which a box is drawn on a page, the most usual first */
    public static function ofBoxes(): array
    {
        return [
            self::Number, self::Text, self::Maths, self::Choice, self::Tick, self::Marked, self::Drawing, self::Space,
        ];
    }

    /** Whether it means a part of a page, and is nothing without one. */
    public function needsPlace(): bool
    {
        return $this === self::Drawing || $this === self::Space || $this === self::Marked;
    }
}
