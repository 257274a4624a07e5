<?php

declare(strict_types=1);

namespace App\Pictures;

use GdImage;

/**
 * Whether a picture was drawn anew by StorePicture already, so that its bytes may stay as they are: it holds nothing
 * but what that writes. JPEG: the segments of ISO/IEC 10918-1 that a picture needs, a JFIF head and the writer's
 * comment, and nothing after its end. PNG: the chunks of the W3C's PNG specification that a picture needs, and nothing
 * after IEND.
 */
final class OurPicture
{
    private const QUALITY = 85;

    /** Those of our PNGs: head, size on paper, data, end. */
    private const CHUNKS = ['IHDR', 'pHYs', 'IDAT', 'IEND'];

    /** JFIF head, comment, tables, frame heads, restart interval. */
    private const SEGMENTS = [0xE0, 0xFE, 0xDB, 0xC4, 0xC0, 0xC1, 0xC2, 0xDD];

    public static function isWritten(string $bytes, bool $hasHoles): bool
    {
        return $hasHoles ? self::isPng($bytes) : self::isJpeg($bytes);
    }

    /** @return string the picture's bytes as a file: PNG where something is see-through, else JPEG */
    public static function write(GdImage $picture, bool $hasHoles): string
    {
        ob_start();
        imagesavealpha($picture, true);
        if ($hasHoles) {
            imagepng($picture, null, 7);
        } else {
            imagejpeg($picture, null, self::QUALITY);
        }

        return (string) ob_get_clean();
    }

    private static function isPng(string $bytes): bool
    {
        $at = 8;
        $length = strlen($bytes);
        while ($at + 12 <= $length) {
            $size = self::number($bytes, $at, 'N');
            $kind = substr($bytes, $at + 4, 4);
            if (! in_array($kind, self::CHUNKS, true)) {
                return false;
            }
            $at += 12 + $size;
            if ($kind === 'IEND') {
                return $size === 0 && $at === $length;
            }
        }

        return false;
    }

    private static function isJpeg(string $bytes): bool
    {
        $at = 2;
        while ($at + 4 <= strlen($bytes) && $bytes[$at] === "\xFF") {
            $marker = ord($bytes[$at + 1]);
            $size = self::number($bytes, $at + 2, 'n');
            $body = substr($bytes, $at + 4, max(0, $size - 2));
            if ($marker === 0xDA) {
                // The picture itself runs to the first marker that is none within it, and that is the end of all.
                return preg_match(
                    '/\A(?:[^\xFF]|\xFF[\x00\xD0-\xD7])*+\xFF\xD9\z/s',
                    substr($bytes, $at + 2 + $size),
                ) === 1 && str_contains(substr($bytes, 0, $at), 'CREATOR: gd-jpeg');
            }
            $isOurs = match ($marker) {
                0xE0 => str_starts_with($body, "JFIF\0") && $size === 16,
                0xFE => preg_match(
                    '/\ACREATOR: gd-jpeg v1\.0 \(using IJG JPEG v\d+\), quality = '.self::QUALITY.'\n\z/',
                    $body,
                ) === 1,
                default => in_array($marker, self::SEGMENTS, true),
            };
            if (! $isOurs) {
                return false;
            }
            $at += 2 + $size;
        }

        return false;
    }

    private static function number(string $bytes, int $at, string $format): int
    {
        $found = unpack($format, substr($bytes, $at, $format === 'N' ? 4 : 2).str_repeat("\0", 4));

        return is_int($found[1] ?? null) ? $found[1] : 0;
    }
}
