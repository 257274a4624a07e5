<?php

declare(strict_types=1);

namespace Crag\Classes;

/** A student as a school's own records have them. */
final readonly class RosteredStudent
{
    /**
     * @param  string  $id  the records' own, the same from one export to the next
     * @param  string  $account  with which the student signs in: an address, or a user name; empty for none
     */
    public function __construct(public string $id, public string $name, public string $account)
    {
    }
}
