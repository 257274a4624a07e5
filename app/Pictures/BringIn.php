<?php

declare(strict_types=1);

namespace App\Pictures;

use App\Models\Asset;
use App\Models\Holder;
use App\Models\Seat;
use Crag\Canvas\Object\Stroke;
use Crag\Canvas\Operation\Placing;
use Crag\Formats\InkMl;
use Crag\Formats\SvgDrawing;
use Crag\Formats\UnreadableFile;
use Crag\Prompt\Paper;

/**
 * Makes objects of a file, whose kind is found from its bytes: ink, a drawing, a picture, or a teacher's PDF, of which
 * a page is taken.
 */
final readonly class BringIn
{
    /** So many pictures may one student bring into a session. */
    private const MOST_PICTURES = 60;

    /** A picture comes in at most so large, in page units, and is then sized by hand. */
    private const WIDEST = 800;

    private const TALLEST = 600;

    public function __construct(private StorePicture $storePicture)
    {
    }

    /**
     * @return list<array<string, mixed>> objects as an operation adds them
     *
     * @throws UnusablePicture
     * @throws UnreadableFile
     */
    public function __invoke(Holder $holder, ?Seat $seat, string $bytes, int $pdfPage = 1): array
    {
        $xml = ltrim($bytes, "\u{FEFF} \r\n\t");
        if (
            str_starts_with($xml, '<') &&
            preg_match('/<([a-z]+:)?(ink|svg)[\s>]/', substr($xml, 0, 2000), $found) === 1
        ) {
            return array_map(
                static function (Placing|Stroke $one): array {
                    return ($one instanceof Stroke ? new Placing($one) : $one)->toArray();
                },
                $found[2] === 'ink' ? InkMl::read($xml) : SvgDrawing::read($xml),
            );
        }
        if ($seat !== null && Asset::query()->where('seat_id', $seat->id)->count() >= self::MOST_PICTURES) {
            throw UnusablePicture::tooMany(self::MOST_PICTURES);
        }

        return [['object' => $this->picture($holder, $seat, $bytes, $pdfPage)]];
    }

    /** @return array<string, mixed> */
    private function picture(Holder $holder, ?Seat $seat, string $bytes, int $pdfPage): array
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'crag-picture');
        file_put_contents($file, $bytes);
        $page = null;
        try {
            // Only a teacher's file is given to the reader of PDFs.
            $page = $seat === null && PdfPage::is($file) ? PdfPage::picture($file, $pdfPage) : null;
            $asset = ($this->storePicture)($holder, $page ?? $file, $seat);
            if ($page !== null) {
                $asset->update(['page_words' => PdfPage::words($file, $pdfPage)]);
            }
        } finally {
            unlink($file);
            if ($page !== null) {
                unlink($page);
            }
        }
        $scale = min(1, self::WIDEST / $asset->width, self::TALLEST / $asset->height);
        $paper = Paper::wide();
        [$w, $h] = [$asset->width * $scale, $asset->height * $scale];

        return [
            'type' => 'picture',
            'asset' => $asset->id,
            'alt' => '',
            'x' => (int) ((($paper->width - $w) / 2) * Paper::TENTHS),
            'y' => (int) ((($paper->height - $h) / 2) * Paper::TENTHS),
            'w' => (int) ($w * Paper::TENTHS),
            'h' => (int) ($h * Paper::TENTHS),
        ];
    }
}
