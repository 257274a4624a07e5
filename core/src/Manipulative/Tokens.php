<?php

declare(strict_types=1);

namespace Crag\Manipulative;

/** Things that lie on a mat: a list of kind, x, y of each, their middles in units. */
final class Tokens
{
    public const BY = 3;

    /**
     * @param  list<int>  $tokens
     * @return list<int> with one more on top
     */
    public static function put(array $tokens, int $kind, int $x, int $y): array
    {
        return [...$tokens, $kind, $x, $y];
    }

    /**
     * @param  list<int>  $tokens
     * @return list<int>
     */
    public static function without(array $tokens, int $n): array
    {
        return [...array_slice($tokens, 0, $n * self::BY), ...array_slice($tokens, ($n + 1) * self::BY)];
    }

    /**
     * @param  list<int>  $tokens
     * @return list<int> with one of them elsewhere, in its place in the order
     */
    public static function moved(array $tokens, int $n, int $x, int $y): array
    {
        return [
            ...array_slice($tokens, 0, $n * self::BY + 1),
            $x,
            $y,
            ...array_slice($tokens, ($n + 1) * self::BY),
        ];
    }

    /**
     * @param  list<int>  $tokens
     * @return list<int>
     */
    public static function turned(array $tokens, int $n, int $kind): array
    {
        return [
            ...array_slice($tokens, 0, $n * self::BY),
            $kind,
            ...array_slice($tokens, $n * self::BY + 1),
        ];
    }

    /** @param  list<int>  $tokens */
    public static function count(array $tokens): int
    {
        return intdiv(count($tokens), self::BY);
    }

    /** @param  list<int>  $tokens */
    public static function countOf(array $tokens, int $kind): int
    {
        $count = 0;
        for ($n = 0; $n < self::count($tokens); $n++) {
            $count += $tokens[$n * self::BY] === $kind ? 1 : 0;
        }

        return $count;
    }

    /**
     * The last of a kind, −1 where there is none.
     *
     * @param  list<int>  $tokens
     */
    public static function last(array $tokens, int $kind): int
    {
        for ($n = self::count($tokens) - 1; $n >= 0; $n--) {
            if ($tokens[$n * self::BY] === $kind) {
                return $n;
            }
        }

        return -1;
    }

    /** A whole number kept between two others. */
    public static function within(int $value, int $least, int $most): int
    {
        return min($most, max($least, $value));
    }
}
