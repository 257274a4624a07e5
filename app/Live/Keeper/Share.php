<?php

declare(strict_types=1);

namespace App\Live\Keeper;

/** A keeper's share of the sessions: whether it is this keeper's now, and how far what came for it was read. */
interface Share
{
    /** Asked before each round. */
    public function isMine(): bool;

    /** The last message that was read, by its number in nginx; empty at the very beginning. */
    public function readTo(): string;

    /** Written down before anything is done with it. */
    public function hasRead(string $message): void;

    /** Another may have it from now on. */
    public function giveBack(): void;
}
