<?php

declare(strict_types=1);

namespace Crag\Classes;

/** A student of a class list: a seat number, a name, and perhaps a group, and an account to sign in with. */
final readonly class ClassEntry
{
    public function __construct(public int $n, public string $name, public string $group, public string $account = '')
    {
    }
}
