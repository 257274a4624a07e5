<?php

declare(strict_types=1);

namespace App\Pictures;

use App\Models\Asset;

/** A smaller copy of a picture for light data, made when it is first asked for and kept beside the picture. */
final class LightPicture
{
    private const WIDEST = 900;

    private const QUALITY = 55;

    /** @return ?string where it is; null where it would save nothing */
    public static function of(Asset $asset): ?string
    {
        $path = "{$asset->path()}-light";
        if (is_file($path)) {
            return $path;
        }
        $image =
            $asset->width <= self::WIDEST ? false : imagecreatefromstring((string) file_get_contents($asset->path()));
        $small = $image === false ? false : imagescale($image, self::WIDEST);
        if ($small === false) {
            return null;
        }
        imagesavealpha($small, true);
        $made = tempnam(dirname($path), 'light');
        if ($made === false) {
            return null;
        }
        if ($asset->mime === 'image/png') {
            imagepng($small, $made, 9);
        } else {
            imagejpeg($small, $made, self::QUALITY);
        }
        rename($made, $path);

        return $path;
    }
}
