<?php

declare(strict_types=1);

namespace Crag\Render;

/** Where a drawing gets the pictures that it names. */
interface Pictures
{
    /** What an image element can refer to: an address or a data: URI. Null when there is no such picture. */
    public function source(string $asset): ?string;
}
