<?php

declare(strict_types=1);

namespace App\Database;

/**
 * Whose turn a transaction takes as it begins. Rules are asked and then something is written, so that two who write in
 * the same session come one after the other. SQLite has one turn for all; in PostgreSQL each session has its own, and
 * what belongs to none shares one.
 */
final class Turn
{
    /** Of what belongs to no session: accounts, plans, classes. */
    private const HOUSE = 'house';

    /** @var list<string> */
    private static array $whose = [self::HOUSE];

    /** Until the request or the command ends. */
    public static function of(string ...$sessions): void
    {
        self::$whose = $sessions === [] ? [self::HOUSE] : array_values(array_unique($sessions));
    }

    /**
     * @template T
     *
     * @param  list<string>  $sessions
     * @param  callable(): T  $do
     * @return T
     */
    public static function during(array $sessions, callable $do): mixed
    {
        $before = self::$whose;
        self::of(...$sessions);
        try {
            return $do();
        } finally {
            self::$whose = $before;
        }
    }

    /** @return list<int> 64-bit numbers, in the one order in which everybody takes them */
    public static function keys(): array
    {
        $keys = array_map(static fn (string $one): int => unpack('q', hash('xxh64', $one, true))[1] ?? 0, self::$whose);
        sort($keys);

        return $keys;
    }
}
