<?php

declare(strict_types=1);

namespace Tests\Feature\Work;

use App\Models\HeldFolder;
use App\Models\LiveSession;
use App\Pictures\EmbeddedPictures;
use App\Pictures\StorePicture;
use App\Pictures\UnusablePicture;
use PHPUnit\Framework\Attributes\TestWith;
use Tests\Support\CragTestCase;

final class PictureTest extends CragTestCase
{
    private LiveSession $session;

    protected function setUp(): void
    {
        parent::setUp();
        $this->session = $this->newSession();
    }

    /** A phone held upright stores a lying picture and a note to turn it. */
    #[TestWith([1, 60, 40])]
    #[TestWith([3, 60, 40])]
    #[TestWith([6, 40, 60])]
    #[TestWith([8, 40, 60])]
    public function test_a_photograph_stands_the_way_it_was_taken(int $orientation, int $width, int $height): void
    {
        $asset = app(StorePicture::class)($this->session, $this->photograph($orientation));
        self::assertSame([$width, $height], [$asset->width, $asset->height]);
        $kept = (string) file_get_contents($asset->path());
        self::assertStringNotContainsString('Exif', $kept);
        // The left end of the picture as it was taken was dark.
        $picture = imagecreatefromstring($kept);
        self::assertNotFalse($picture);
        [$x, $y] = match ($orientation) {
            1 => [3, 20],
            3 => [56, 20],
            6 => [20, 3],
            default => [20, 56],
        };
        self::assertLessThan(60, imagecolorat($picture, $x, $y) & 0xFF);
    }

    public function test_what_was_drawn_anew_once_keeps_its_bytes_and_nothing_else_does(): void
    {
        $store = fn (string $bytes): string => (string) file_get_contents(
            app(StorePicture::class)($this->session, self::file($bytes))->path(),
        );
        $noise = imagecreatetruecolor(1600, 1000);
        for ($i = 0; $i < 40_000; $i++) {
            imagesetpixel($noise, random_int(0, 1599), random_int(0, 999), random_int(0, 0xFFFFFF));
        }
        ob_start();
        imagepng($noise);
        $jpeg = $store((string) ob_get_clean());
        imagealphablending($noise, false);
        imagefilledrectangle($noise, 0, 0, 400, 400, 0x7F000000);
        imagesavealpha($noise, true);
        ob_start();
        imagepng($noise, null, 1);
        $png = $store((string) ob_get_clean());
        foreach (['jpeg' => $jpeg, 'png' => $png] as $kind => $bytes) {
            self::assertTrue($store($bytes) === $bytes, "{$kind} stays");
            self::assertStringNotContainsString('hidden', $store($bytes.'hidden'), $kind);
        }
        $withComment = substr($jpeg, 0, 2)."\xFF\xFE".pack('n', 8).'hidden'.substr($jpeg, 2);
        $withText =
            substr($png, 0, -12).
            pack('N', 8).
            'tEXta'.
            "\0".
            'hidden'.
            pack('N', crc32("tEXta\0hidden")).
            substr($png, -12);
        foreach ([$withComment, $withText, str_replace('quality = 85', 'quality = 86', $jpeg)] as $bytes) {
            self::assertDoesNotMatchRegularExpression('/hidden|quality = 86/', $store($bytes));
        }
    }

    public function test_what_claims_to_be_huge_is_not_even_opened(): void
    {
        $header = "\x89PNG\r\n\x1a\n".pack('N', 13).'IHDR'.pack('NN', 50_000, 50_000)."\x08\x02\x00\x00\x00";
        $this->expectException(UnusablePicture::class);
        $this->expectExceptionMessage('50000 × 50000');
        app(StorePicture::class)($this->session, self::file($header.pack('N', crc32($header))));
    }

    #[TestWith(['%PDF-1.4'])]
    #[TestWith(['<?xml version="1.0"?><svg xmlns="http://www.w3.org/2000/svg"/>'])]
    #[TestWith([''])]
    public function test_what_is_no_picture_is_refused_whatever_its_name_says(string $content): void
    {
        $this->expectException(UnusablePicture::class);
        app(StorePicture::class)($this->session, self::file($content));
    }

    public function test_a_drawing_embeds_its_own_sessions_pictures_alone(): void
    {
        $asset = app(StorePicture::class)($this->session, $this->photograph(1));
        self::assertStringStartsWith(
            'data:image/jpeg;base64,',
            (string) (new EmbeddedPictures($this->session))->source($asset->id),
        );
        self::assertNull((new EmbeddedPictures($this->newSession('Levers')))->source($asset->id));
        self::assertNull((new EmbeddedPictures($this->session))->source('../../app.key'));
        HeldFolder::remove('sessions', $this->session->id);
        self::assertNull((new EmbeddedPictures($this->session))->source($asset->id));
    }

    public function test_backdrops_are_drawn_for_anybody_and_only_those_there_are(): void
    {
        foreach (
            [
                'kind=blank',
                'kind=squared&size=small',
                'kind=staves',
                'kind=number-line&from=0&to=2&step=0.5&parts=2',
                'kind=axes&x_from=0&x_to=9&x_step=1&y_from=-1&y_to=1&y_step=.1&x_label=&y_label=F',
            ] as $query
        ) {
            $this->get("/backdrop.svg?{$query}")
                ->assertOk()
                ->assertHeader('Content-Type', 'image/svg+xml');
        }
        foreach (
            ['', 'kind=picture&asset=abc', 'kind=lava', 'kind=axes', 'kind=number-line&from=0&to=1000000&step=1'] as $query
        ) {
            $this->get("/backdrop.svg?{$query}")->assertNotFound();
        }
        $this->get('/backdrop.svg?kind[]=blank')->assertUnprocessable();
    }

    /** A lying JPEG of 60 × 40, its left third dark, with an Exif note of how it was held. */
    private function photograph(int $orientation): string
    {
        $image = imagecreatetruecolor(60, 40);
        imagefill($image, 0, 0, 0xF0F0F0);
        imagefilledrectangle($image, 0, 0, 19, 39, 0x101010);
        ob_start();
        imagejpeg($image, null, 95);
        $jpeg = (string) ob_get_clean();
        $tiff = 'MM'.pack('nN', 42, 8).pack('n', 1).pack('nnNnn', 0x0112, 3, 1, $orientation, 0).pack('N', 0);
        $exif = "Exif\0\0".$tiff;

        return self::file(substr($jpeg, 0, 2)."\xFF\xE1".pack('n', strlen($exif) + 2).$exif.substr($jpeg, 2));
    }

    /** A file with this in it; it goes with the test's folder. */
    private static function file(string $content): string
    {
        $file = (string) tempnam(config()->string('crag.data'), 'picture');
        file_put_contents($file, $content);

        return $file;
    }
}
