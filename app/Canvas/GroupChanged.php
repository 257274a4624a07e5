<?php

declare(strict_types=1);

namespace App\Canvas;

use App\Models\Seat;

/** Somebody came into a group that draws together, or left it. */
final readonly class GroupChanged
{
    /** @param  Seat  $group  the seat that stands for it */
    public function __construct(public Seat $group)
    {
    }
}
