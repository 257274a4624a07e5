<?php

declare(strict_types=1);

namespace App\Sessions\Room;

use Closure;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\Log;
use Throwable;

/**
 * Works something out for one seat, or one session, of many: what fails there is written to the log once, and the
 * others go on. The log says where it failed, never whose it is or what was typed.
 */
final class EachSeat
{
    private const LOGGED_SECONDS = 86_400;

    /**
     * @template T
     *
     * @param  string  $id  of the seat, the canvas or the session
     * @param  Closure(): T  $read
     * @param  Closure(): T  $otherwise  what stands there when it cannot be read
     * @return T
     */
    public static function read(string $id, Closure $read, Closure $otherwise): mixed
    {
        try {
            return $read();
        } catch (Throwable $fault) {
            self::log($id, $fault);

            return $otherwise();
        }
    }

    /** The same fault of the same seat is written down once a day. */
    public static function log(string $id, Throwable $fault): void
    {
        $where = $fault::class.' at '.basename($fault->getFile()).':'.$fault->getLine();
        if (Cache::add('unreadable.'.hash('sha256', "{$id} {$where}"), true, self::LOGGED_SECONDS)) {
            Log::error("One of many could not be read, and the others went on: {$where}.");
        }
    }
}
