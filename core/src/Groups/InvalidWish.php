<?php

declare(strict_types=1);

namespace Crag\Groups;

use DomainException;

/** Wishes for groups that cannot all come true. */
final class InvalidWish extends DomainException
{
    public static function unknownName(string $name): self
    {
        return new self("Who is “{$name}”? Write the name as it stands on the tile.");
    }

    public static function togetherAndApart(): self
    {
        return new self('You’ve asked for two students to be both together and apart.');
    }

    public static function groupTooLarge(int $size, int $most): self
    {
        return new self("You’ve asked to keep {$size} students together, but a group has {$most}.");
    }

    public static function sizeOutOfRange(int $size): self
    {
        return new self("Groups can have 2 to 12 students, not {$size}.");
    }

    public static function cannotKeepApart(): self
    {
        return new self('There aren’t enough groups to keep all of these students apart.');
    }
}
