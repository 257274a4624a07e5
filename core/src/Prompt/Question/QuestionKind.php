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
        };
    }
}
