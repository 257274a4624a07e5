<?php

declare(strict_types=1);

namespace Crag\Maths\Comparing;

/** What came of comparing an answer with the right one. */
enum Outcome: string
{
    case Right = 'right';
    /** The value holds, the form that was asked for does not. */
    case OtherForm = 'other-form';
    case Wrong = 'wrong';
    case Unreadable = 'unreadable';

    public function word(): string
    {
        return match ($this) {
            self::Right => 'right',
            self::OtherForm => 'right value, other form',
            self::Wrong => 'not right',
            self::Unreadable => 'not understood',
        };
    }
}
