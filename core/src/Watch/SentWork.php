<?php

declare(strict_types=1);

namespace Crag\Watch;

/** Work that was sent and waits for the teacher: until it is checked, or looked at as it is now. */
final class SentWork
{
    /**
     * @param  ?int  $sentAtMs  null where it was not sent
     * @param  int  $lookedAt  how many operations it had when a teacher last looked at it
     * @param  int  $operations  how many it has
     */
    public static function waits(?int $sentAtMs, bool $isChecked, int $lookedAt, int $operations): bool
    {
        return $sentAtMs !== null && ! $isChecked && $lookedAt < $operations;
    }
}
