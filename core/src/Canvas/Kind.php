<?php

declare(strict_types=1);

namespace Crag\Canvas;

/** The kinds of operation that a log can hold. */
enum Kind: string
{
    case Add = 'add';
    case Change = 'change';
    case Remove = 'remove';
    case Clear = 'clear';
    case Backdrop = 'backdrop';
    case Withdraw = 'withdraw';
    case Reinstate = 'reinstate';

    /** Whether undo can take it back. What was handed out is not an author's to undo. */
    public function isUndoable(): bool
    {
        return match ($this) {
            self::Add, self::Change, self::Remove, self::Clear => true,
            self::Backdrop, self::Withdraw, self::Reinstate => false,
        };
    }
}
