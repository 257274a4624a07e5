<?php

declare(strict_types=1);

namespace Crag\Canvas\Log;

/** The kinds of operation that a log can hold. */
enum OperationKind: string
{
    case Add = 'add';
    case Change = 'change';
    case Remove = 'remove';
    case Cut = 'cut';
    case Straighten = 'straighten';
    case Arrange = 'arrange';
    case Clear = 'clear';
    case Page = 'page';
    case ArrangePage = 'arrange_page';
    case Backdrop = 'backdrop';
    case Answer = 'answer';
    case Fresh = 'fresh';
    case GiveBack = 'give_back';
    case Withdraw = 'withdraw';
    case Reinstate = 'reinstate';

    /**
     * Whether undo can take it back. What was handed out is not an author's to undo; an answer is changed by answering.
     */
    public function isUndoable(): bool
    {
        return match ($this) {
            self::Backdrop, self::Answer, self::Withdraw, self::Reinstate => false,
            default => true,
        };
    }

    /** Whether something that was there goes with it. */
    public function takesAway(): bool
    {
        return match ($this) {
            self::Remove, self::Cut, self::Clear, self::Fresh, self::GiveBack, self::Withdraw => true,
            default => false,
        };
    }

    /** Whether its author has second thoughts: rubbed out, removed, emptied or undone. */
    public function rubsOut(): bool
    {
        return match ($this) {
            self::Remove, self::Cut, self::Clear, self::Withdraw => true,
            default => false,
        };
    }

    /** @return list<self> */
    public static function rubbingOut(): array
    {
        return array_values(array_filter(self::cases(), static fn (self $kind): bool => $kind->rubsOut()));
    }

    /** Whether what it puts on the page is called by its own id. */
    private function makes(): bool
    {
        return match ($this) {
            self::Add, self::Cut, self::Straighten, self::Page => true,
            default => false,
        };
    }

    /** @return list<string> the values of those that put something there */
    public static function making(): array
    {
        return array_values(
            array_map(
                static fn (self $kind): string => $kind->value,
                array_filter(self::cases(), static fn (self $kind): bool => $kind->makes()),
            ),
        );
    }

    /** Whether it empties a canvas or a page of it. */
    public function empties(): bool
    {
        return $this === self::Clear || $this === self::Fresh;
    }
}
