<?php

declare(strict_types=1);

namespace Crag\Classes;

/** A class as a school's own records have it. */
final readonly class RosteredClass
{
    /**
     * @param  string  $id  the records' own, the same from one export to the next
     * @param  list<RosteredStudent>  $students  in the order of their family names
     */
    public function __construct(public string $id, public string $title, public array $students)
    {
    }
}
