<?php

declare(strict_types=1);

namespace App\Canvas;

use Crag\Canvas\Log\StoredBytes;

/** What all canvases of a session hold together, while something is being appended. */
final class SessionCounts
{
    public function __construct(public int $operations, public readonly StoredBytes $bytes)
    {
    }
}
