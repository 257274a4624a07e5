<?php

declare(strict_types=1);

namespace Crag\Formats;

/** A sheet of a spreadsheet: its name, and rows of cells, the first of which are the headings. */
final readonly class Table
{
    /** @param  list<list<string|int|float|null>>  $rows */
    public function __construct(public string $name, public array $rows)
    {
    }
}
