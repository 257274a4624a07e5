<?php

declare(strict_types=1);

namespace App\Live\Keeper;

use App\Models\Seat;

/**
 * By this the keeper knows that a batch comes from the page of a seat: only that page and the server know it. The ink
 * key would not do, for desks know that one too. Another device that takes the seat, and channels that are begun anew,
 * make it another.
 */
final class KeepKey
{
    private const LENGTH = 40;

    public static function of(Seat $seat): string
    {
        return self::from($seat->id, $seat->turn, $seat->token_hash);
    }

    public static function from(string $seat, int $turn, string $tokenHash): string
    {
        return substr(
            hash_hmac('sha256', "keep {$seat} {$turn} {$tokenHash}", config()->string('app.key')),
            0,
            self::LENGTH,
        );
    }
}
