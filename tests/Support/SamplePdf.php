<?php

declare(strict_types=1);

namespace Tests\Support;

use Symfony\Component\Process\Process;

/** PDF files for tests. */
final class SamplePdf
{
    /** Pages of A4 upright, each with its number on it. */
    public static function pages(int $pages): string
    {
        return self::of(array_map(
            static fn (int $n): string => "<text x=\"60\" y=\"120\" font-size=\"48\">Worksheet, page {$n}</text>".
                '<path d="M60 400H500M60 600H500" stroke="#000"/>',
            range(1, $pages),
        ));
    }

    /** A page to be filled in: a word left out, a line to write on, a table with an empty cell, a sum, room below. */
    public static function worksheet(int $pages = 1): string
    {
        $line = static fn (int $y, string $words): string => "<text x=\"60\" y=\"{$y}\" font-size=\"14\">{$words}</text>";

        return self::of(array_fill(
            0,
            $pages,
            $line(60, 'Levers and moments').
                $line(110, 'A plank turns about its ____________ when a load hangs from it.').
                $line(160, 'Name of the force').'<path d="M200 162H400" stroke="#000"/>'.
                '<path d="M60 200H360M60 230H360M60 260H360M60 200V260M210 200V260M360 200V260" stroke="#000"/>'.
                $line(220, 'load').'<text x="220" y="220" font-size="14">moment</text>'.$line(250, '40 N').
                $line(310, '12 × 7 =').
                $line(360, '1. Why does the plank tip?').
                $line(520, 'Well done.'),
        ));
    }

    /** @param  list<string>  $pages  what is drawn on each, as SVG, 595 wide and 842 high */
    private static function of(array $pages): string
    {
        $folder = sys_get_temp_dir().'/crag-sample-'.bin2hex(random_bytes(6));
        mkdir($folder);
        $files = [];
        foreach ($pages as $n => $drawn) {
            file_put_contents(
                $files[] = sprintf('%s/%03d.svg', $folder, $n),
                '<svg xmlns="http://www.w3.org/2000/svg" width="595pt" height="842pt" viewBox="0 0 595 842">'.
                    "<rect width=\"595\" height=\"842\" fill=\"#fff\"/>{$drawn}</svg>",
            );
        }
        (new Process(['rsvg-convert', '-f', 'pdf', '-o', "{$folder}/sheet.pdf", ...$files]))->mustRun();
        $bytes = (string) file_get_contents("{$folder}/sheet.pdf");
        array_map(unlink(...), glob("{$folder}/*") ?: []);
        rmdir($folder);

        return $bytes;
    }

    /**
     * One empty page behind a password: what belongs to the password is made up, so that none opens it (PDF 1.4,
     * 3.5.2).
     */
    public static function locked(): string
    {
        $key = '<'.str_repeat('41', 32).'>';
        $objects = [
            '<< /Type /Catalog /Pages 2 0 R >>',
            '<< /Type /Pages /Kids [3 0 R] /Count 1 >>',
            '<< /Type /Page /Parent 2 0 R /MediaBox [0 0 100 100] >>',
            "<< /Filter /Standard /V 1 /R 2 /O {$key} /U {$key} /P -64 >>",
        ];
        $pdf = "%PDF-1.4\n";
        $table = "0000000000 65535 f \n";
        foreach ($objects as $i => $object) {
            $table .= sprintf("%010d 00000 n \n", strlen($pdf));
            $pdf .= $i + 1 ." 0 obj\n{$object}\nendobj\n";
        }
        $at = strlen($pdf);

        return $pdf.
            "xref\n0 5\n{$table}trailer\n<< /Size 5 /Root 1 0 R /Encrypt 4 0 R /ID [<41><41>] >>\nstartxref\n{$at}\n%%EOF\n";
    }
}
