<?php

declare(strict_types=1);

namespace App\Pictures;

use App\Models\Asset;
use Crag\Render\Pictures;

/** A session's pictures as data: URIs, for a drawing that must stand alone. */
final readonly class EmbeddedPictures implements Pictures
{
    public function __construct(private string $sessionId)
    {
    }

    public function source(string $asset): ?string
    {
        $found = Asset::query()->where('live_session_id', $this->sessionId)->find($asset);
        $bytes = $found === null ? false : @file_get_contents($found->path());

        return $bytes === false || $found === null ? null : "data:{$found->mime};base64,".base64_encode($bytes);
    }
}
