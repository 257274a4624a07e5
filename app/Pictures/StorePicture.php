<?php

declare(strict_types=1);

namespace App\Pictures;

use App\Models\Asset;
use App\Models\Holder;
use App\Models\Seat;
use App\Models\Teachers\Plan;
use GdImage;
use Illuminate\Support\Facades\DB;

/**
 * Takes an uploaded picture in: its kind is found from its bytes, it is drawn anew (which leaves every hidden
 * extra behind) and made no larger than twice the page. PNG when anything in it is see-through, else JPEG.
 */
final class StorePicture
{
    public const MOST_MEGABYTES = 10;

    public const MOST_BYTES = self::MOST_MEGABYTES * 1024 * 1024;

    private const MOST_PIXELS = 40_000_000;

    private const WIDEST = 3200;

    /** In pixels: what is taller is made smaller. */
    public const TALLEST = 2000;

    /** Of all pictures of one teacher's plans; a worksheet of 60 pages has some 20. */
    public const TEACHER_MB = 1024;

    /** Of all pictures in one session, the students' among them. */
    public const SESSION_MB = 512;

    private const READERS = [
        IMAGETYPE_PNG => 'imagecreatefrompng',
        IMAGETYPE_JPEG => 'imagecreatefromjpeg',
        IMAGETYPE_WEBP => 'imagecreatefromwebp',
        IMAGETYPE_GIF => 'imagecreatefromgif',
    ];

    /**
     * @param  string  $path  the file as it came
     * @param  ?Seat  $owner  the student whose it is; null for the teacher's, which the whole class may see
     *
     * @throws UnusablePicture
     */
    public function __invoke(Holder $holder, string $path, ?Seat $owner = null): Asset
    {
        self::checkRoom($holder);
        $size = @getimagesize($path);
        if ($size === false || ! isset(self::READERS[$size[2]])) {
            throw UnusablePicture::kind();
        }
        if ($size[0] * $size[1] > self::MOST_PIXELS) {
            throw UnusablePicture::tooLarge($size[0], $size[1]);
        }
        $picture = @self::READERS[$size[2]]($path);
        if (! ($picture instanceof GdImage)) {
            throw UnusablePicture::damaged();
        }
        $upright = self::scaled(self::upright($picture, $path, $size[2]));
        $holes = self::hasHoles($upright);
        $bytes = (string) file_get_contents($path);
        // What was drawn anew once stays as it is, however often a plan is taken out and brought in.
        $isOurs =
            $upright === $picture &&
            $size[2] === ($holes ? IMAGETYPE_PNG : IMAGETYPE_JPEG) &&
            OurPicture::isWritten($bytes, $holes);

        return self::keep($holder, $owner, $upright, $holes, $isOurs ? $bytes : OurPicture::write($upright, $holes));
    }

    /** @throws UnusablePicture */
    private static function checkRoom(Holder $holder): void
    {
        [$pictures, $most] =
            $holder instanceof Plan
                ? [
                    Asset::query()->whereIn(
                        'plan_id',
                        DB::table('plan_rights')
                            ->whereIn('teacher_id', $holder->teachers()->select('teachers.id'))
                            ->select('plan_id'),
                    ),
                    self::TEACHER_MB,
                ]
                : [Asset::query()->where($holder->column(), $holder->holderId()), self::SESSION_MB];
        if ((int) $pictures->sum('bytes') >= $most * 1024 * 1024) {
            throw UnusablePicture::noRoom($most);
        }
    }

    private static function keep(Holder $holder, ?Seat $owner, GdImage $picture, bool $holes, string $bytes): Asset
    {
        $asset = Asset::query()->create([
            $holder->column() => $holder->holderId(),
            'seat_id' => $owner?->id,
            'mime' => $holes ? 'image/png' : 'image/jpeg',
            'width' => imagesx($picture),
            'height' => imagesy($picture),
            'bytes' => strlen($bytes),
        ]);
        file_put_contents($asset->path(), $bytes);

        return $asset;
    }

    /** A phone stores which way up it was held; redrawn, the picture must stand that way by itself. */
    private static function upright(GdImage $picture, string $path, int $type): GdImage
    {
        $exif = $type === IMAGETYPE_JPEG && function_exists('exif_read_data') ? @exif_read_data($path) : false;
        $turn = match ($exif['Orientation'] ?? 1) {
            3 => 180,
            6 => 270,
            8 => 90,
            default => 0,
        };

        return $turn === 0 ? $picture : (imagerotate($picture, $turn, 0) ?: $picture);
    }

    private static function scaled(GdImage $picture): GdImage
    {
        if (! imageistruecolor($picture)) {
            imagepalettetotruecolor($picture);
        }
        imagealphablending($picture, false);
        $scale = min(1, self::WIDEST / imagesx($picture), self::TALLEST / imagesy($picture));
        if ($scale >= 1) {
            return $picture;
        }

        return imagescale(
            $picture,
            max(1, (int) (imagesx($picture) * $scale)),
            max(1, (int) (imagesy($picture) * $scale)),
            IMG_BICUBIC,
        ) ?:
            $picture;
    }

    private static function hasHoles(GdImage $picture): bool
    {
        $step = max(1, intdiv(imagesx($picture), 400));
        for ($y = 0; $y < imagesy($picture); $y += $step) {
            for ($x = 0; $x < imagesx($picture); $x += $step) {
                if (((imagecolorat($picture, $x, $y) >> 24) & 0x7F) > 0) {
                    return true;
                }
            }
        }

        return false;
    }
}
