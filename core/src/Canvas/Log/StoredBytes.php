<?php

declare(strict_types=1);

namespace Crag\Canvas\Log;

/** A running total of stored bytes. Canvases that are written to in one go share that of their student and session. */
final class StoredBytes
{
    public function __construct(public int $bytes)
    {
    }
}
