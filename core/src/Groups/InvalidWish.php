<?php

declare(strict_types=1);

namespace Crag\Groups;

use DomainException;

/** Wishes for groups that cannot all come true. */
final class InvalidWish extends DomainException
{
    public static function togetherAndApart(): self
    {
        return new self('Two students are to be kept together and apart at once.');
    }

    public static function groupTooLarge(int $size, int $most): self
    {
        return new self("{$size} students are to be kept together, and a group has {$most}.");
    }

    public static function sizeOutOfRange(int $size): self
    {
        return new self("A group of {$size} is none: from 2 to 12.");
    }

    public static function cannotKeepApart(): self
    {
        return new self('With so few groups not all of these students can be kept apart.');
    }
}
