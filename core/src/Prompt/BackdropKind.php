<?php

declare(strict_types=1);

namespace Crag\Prompt;

enum BackdropKind: string
{
    case Blank = 'blank';
    case Squared = 'squared';
    case Dotted = 'dotted';
    case Isometric = 'isometric';
    case Lined = 'lined';
    case Picture = 'picture';

    public function word(): string
    {
        return ucfirst($this->value);
    }
}
