<?php

declare(strict_types=1);

namespace Crag\Session\Door;

/** What stands in the place of names: on the desk, and on what is shown to others. */
enum NameMode: string
{
    case Real = 'real';
    case Stone = 'stone';
    case None = 'none';

    public function word(): string
    {
        return match ($this) {
            self::Real => 'Real',
            self::Stone => 'Stone',
            self::None => 'None',
        };
    }

    /** @param  int  $n  the seat's number */
    public function show(string $name, int $n): string
    {
        return match ($this) {
            self::Real => $name,
            self::Stone => StoneName::of($n),
            self::None => '',
        };
    }
}
