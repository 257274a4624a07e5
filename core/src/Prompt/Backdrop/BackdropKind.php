<?php

declare(strict_types=1);

namespace Crag\Prompt\Backdrop;

enum BackdropKind: string
{
    case Blank = 'blank';
    case Squared = 'squared';
    case Dotted = 'dotted';
    case Isometric = 'isometric';
    case Lined = 'lined';
    case Axes = 'axes';
    case NumberLine = 'number-line';
    case Staves = 'staves';
    case Picture = 'picture';

    public function word(): string
    {
        return match ($this) {
            self::NumberLine => 'Number line',
            self::Staves => 'Music staves',
            self::Picture => 'Picture or PDF page',
            default => ucfirst($this->value),
        };
    }

    /** Whether it comes in sizes. */
    public function hasSizes(): bool
    {
        return in_array($this, [self::Squared, self::Dotted, self::Isometric], true);
    }
}
