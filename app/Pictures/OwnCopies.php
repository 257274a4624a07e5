<?php

declare(strict_types=1);

namespace App\Pictures;

use App\Models\Asset;
use App\Models\Canvas;
use Crag\Plan\PictureIds;

/** A student's pictures are that student's alone: what others are to see of them are copies of the teacher's. */
final class OwnCopies
{
    /**
     * @param  list<array<string, mixed>>  $objects  in their JSON form
     * @return array<string, string> the copies' ids by those of the student's
     */
    public static function of(Canvas $canvas, array $objects): array
    {
        $copies = [];
        foreach (
            Asset::query()
                ->whereIn('id', PictureIds::in($objects))
                ->whereNotNull('seat_id')
                ->where('seat_id', $canvas->seat_id)
                ->get() as $asset
        ) {
            $copies[$asset->id] = $asset->copyTo($canvas->prompt->session)->id;
        }

        return $copies;
    }
}
