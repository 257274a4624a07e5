<?php

declare(strict_types=1);

namespace App\Live\Keeper;

/** Of the only machine: nobody else asks for it. */
final readonly class OwnShare implements Share
{
    /** @param  string  $mark  a file that says how far it was read */
    public function __construct(private string $mark)
    {
    }

    public function isMine(): bool
    {
        return true;
    }

    public function readTo(): string
    {
        return trim((string) @file_get_contents($this->mark));
    }

    public function hasRead(string $message): void
    {
        file_put_contents($this->mark, $message);
    }

    public function giveBack(): void
    {
    }
}
