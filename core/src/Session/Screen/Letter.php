<?php

declare(strict_types=1);

namespace Crag\Session\Screen;

/** Works that are talked about have letters: A to Z, then AA, AB and so on. */
final class Letter
{
    /** @param  int  $at  the place, from 0 */
    public static function at(int $at): string
    {
        return ($at >= 26 ? self::at(intdiv($at, 26) - 1) : '').chr(65 + $at % 26);
    }
}
