<?php

declare(strict_types=1);

namespace Crag\Checks;

/**
 * Whether work is another than the one that was checked: its answer is, or a good part of its ink. A stroke that ends a
 * word, or a line rubbed out and drawn again, is no reason to look once more.
 */
final class ChangedSince
{
    /** So many steps at the least. */
    public const FEWEST = 3;

    /** So large a part of the steps that the work had when it was checked. */
    public const PART = 0.2;

    /**
     * @param  int  $steps  how many of the student's steps came since
     * @param  int  $before  how many there were when it was checked
     * @param  bool  $hasAnswered  whether one of those since is an answer
     */
    public static function isMuch(int $steps, int $before, bool $hasAnswered): bool
    {
        return $hasAnswered || $steps >= max(self::FEWEST, (int) ceil(self::PART * $before));
    }
}
