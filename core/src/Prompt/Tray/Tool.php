<?php

declare(strict_types=1);

namespace Crag\Prompt\Tray;

/** What a student can be given to work with. Undo, redo and zoom are no tools: everybody always has them. */
enum Tool: string
{
    case Pen = 'pen';
    case Highlighter = 'highlighter';
    case Eraser = 'eraser';
    case Move = 'move';
    case Shapes = 'shapes';
    case Text = 'text';
    case Maths = 'maths';
    /** Points, lines and circles that depend on each other. */
    case Construct = 'construct';
    /** Bars, blocks, a balance: things with a state to count and to measure with. */
    case Pieces = 'pieces';
    case Note = 'note';
    case Stamps = 'stamps';
    case Picture = 'picture';
    case Pages = 'pages';

    public function word(): string
    {
        return match ($this) {
            self::Picture => 'Pictures',
            self::Pages => 'More pages',
            self::Note => 'Sticky note',
            default => ucfirst($this->value),
        };
    }
}
