<?php

declare(strict_types=1);

namespace Crag\Manipulative;

/** A mat on which tokens lie: new ones take the first free spot, one that is dragged off it is gone. */
final class Mat
{
    private const EDGE = 40;

    /**
     * @param  list<int>  $tokens
     * @param  int  $across  spots in a row
     * @param  int  $apart  from one spot to the next, in units
     * @return list<int>
     */
    public static function added(array $tokens, int $kind, int $across, int $apart, int $top = 0): array
    {
        for ($spot = 0; $spot < 400; $spot++) {
            $x = self::EDGE + $spot % $across * $apart;
            $y = self::EDGE + $top + intdiv($spot, $across) * $apart;
            if (self::isFree($tokens, $x, $y, intdiv($apart, 2))) {
                return Tokens::put($tokens, $kind, $x, $y);
            }
        }

        return $tokens;
    }

    /** @param  list<int>  $tokens */
    private static function isFree(array $tokens, int $x, int $y, int $reach): bool
    {
        for ($n = 0; $n < Tokens::count($tokens); $n++) {
            if (abs($tokens[3 * $n + 1] - $x) < $reach && abs($tokens[3 * $n + 2] - $y) < $reach) {
                return false;
            }
        }

        return true;
    }

    /**
     * @param  list<int>  $tokens
     * @return list<int>
     */
    public static function dragged(array $tokens, Act $act, int $width, int $height): array
    {
        $x = $act->x ?? 0;
        $y = $act->y ?? 0;
        if (self::isOff($act, $width, $height)) {
            return Tokens::without($tokens, $act->n);
        }

        return Tokens::moved($tokens, $act->n, Tokens::within($x, 0, $width), Tokens::within($y, 0, $height));
    }

    public static function isOff(Act $act, int $width, int $height): bool
    {
        $x = $act->x ?? 0;
        $y = $act->y ?? 0;

        return $x < -self::EDGE || $y < -self::EDGE || $x > $width + self::EDGE || $y > $height + self::EDGE;
    }
}
