<?php

declare(strict_types=1);

namespace App\Models;

/**
 * What pictures and canvases belong to: a session or a plan. Each has a folder of its own, so that forgetting it
 * forgets its files.
 */
interface Holder
{
    /** The name of the column by which what it holds names it. */
    public function column(): string;

    public function holderId(): string;

    public function folder(): string;
}
