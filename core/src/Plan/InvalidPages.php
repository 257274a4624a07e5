<?php

declare(strict_types=1);

namespace Crag\Plan;

use DomainException;

/** Pages that cannot be chosen; the sentence is for the person who typed them. */
final class InvalidPages extends DomainException
{
    public static function unreadable(string $part): self
    {
        return new self("“{$part}” isn’t a page, or a range like 2-5.");
    }

    public static function empty(): self
    {
        return new self('There’s nothing on it to hand out.');
    }

    public static function none(): self
    {
        return new self('Choose at least one page.');
    }

    public static function missing(int $page, int $pages): self
    {
        return new self("There is no page {$page}: the file has {$pages}.");
    }

    public static function many(int $chosen, int $most): self
    {
        return new self("You chose {$chosen} pages: up to {$most} can be added like this.");
    }
}
