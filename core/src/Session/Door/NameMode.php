<?php

declare(strict_types=1);

namespace Crag\Session\Door;

/** What stands for a student: on the desk, and on what is shown to others. */
enum NameMode: string
{
    case Names = 'names';
    case Seats = 'seats';
    case Hidden = 'hidden';

    public function word(): string
    {
        return match ($this) {
            self::Names => 'Names',
            self::Seats => 'Seat numbers',
            self::Hidden => 'Hidden',
        };
    }

    /** @param  string  $seat  what the seat is called, as "Seat 7" */
    public function show(string $name, string $seat): string
    {
        return match ($this) {
            self::Names => $name,
            self::Seats => $seat,
            self::Hidden => '',
        };
    }
}
