<?php

declare(strict_types=1);

namespace App\Pictures;

use App\Models\Asset;
use App\Models\Holder;
use Crag\Render\Pictures;

/** The pictures of a session or a plan as data: URIs, for a drawing that must stand alone. */
final readonly class EmbeddedPictures implements Pictures
{
    public function __construct(private Holder $holder)
    {
    }

    public function source(string $asset): ?string
    {
        $found = Asset::query()->where($this->holder->column(), $this->holder->holderId())->find($asset);
        $bytes = $found === null ? false : @file_get_contents($found->path());

        return $bytes === false || $found === null ? null : "data:{$found->mime};base64,".base64_encode($bytes);
    }
}
