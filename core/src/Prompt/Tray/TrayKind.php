<?php

declare(strict_types=1);

namespace Crag\Prompt\Tray;

enum TrayKind: string
{
    case Starter = 'starter';
    case Standard = 'standard';
    case Maths = 'maths';
    case Custom = 'custom';

    public function word(): string
    {
        return ucfirst($this->value);
    }

    /** @return list<Tool> what it holds; a custom tray holds what was chosen */
    public function tools(): array
    {
        $starter = [Tool::Pen, Tool::Eraser, Tool::Move, Tool::Text];
        $standard = [
            Tool::Pen,
            Tool::Highlighter,
            Tool::Eraser,
            Tool::Move,
            Tool::Shapes,
            Tool::Text,
            Tool::Note,
            Tool::Stamps,
            Tool::Picture,
            Tool::Pages,
        ];

        return match ($this) {
            self::Starter => $starter,
            self::Standard => $standard,
            self::Maths => [...$standard, Tool::Maths, Tool::Construct, Tool::Pieces],
            self::Custom => [],
        };
    }
}
