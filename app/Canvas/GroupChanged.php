<?php

declare(strict_types=1);

namespace App\Canvas;

use App\Models\Seat;

/** Somebody came into a group that draws together, or left it, or is called otherwise there. */
final readonly class GroupChanged
{
    /**
     * @param  Seat  $group  the seat that stands for it
     * @param  bool  $isGrown  whether it only has more in it than before: those who were there go on as they did
     */
    public function __construct(public Seat $group, public bool $isGrown)
    {
    }
}
