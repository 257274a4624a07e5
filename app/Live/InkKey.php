<?php

declare(strict_types=1);

namespace App\Live;

use App\Models\Seat;

/**
 * By this a page knows whose ink it is that is being drawn. On a student's own canvas the desks alone know the key. On
 * a group's canvas its members hear each other, so each has another key there, which is good for nothing else and is a
 * new one whenever somebody leaves the group.
 */
final class InkKey
{
    private const LENGTH = 16;

    /** @param  Seat  $group  the seat that stands for it */
    public static function near(Seat $seat, Seat $group): string
    {
        return substr(
            hash_hmac('sha256', "near {$group->id} {$group->turn} {$seat->id}", $seat->ink_key),
            0,
            self::LENGTH,
        );
    }
}
