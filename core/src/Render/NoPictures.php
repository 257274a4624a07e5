<?php

declare(strict_types=1);

namespace Crag\Render;

final class NoPictures implements Pictures
{
    public function source(string $asset): ?string
    {
        return null;
    }
}
