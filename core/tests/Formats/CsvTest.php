<?php

declare(strict_types=1);

namespace Crag\Tests\Formats;

use Crag\Formats\Csv;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class CsvTest extends TestCase
{
    public function test_rows_read_back_with_a_standard_reader(): void
    {
        $rows = [['name', 'words'], ['Tamsin "T"', "two\nlines, one comma"], ['نور', '240 N m'], ['', 'x;y']];
        $file = tmpfile();
        self::assertIsResource($file);
        fwrite($file, substr(Csv::write($rows), 3));
        rewind($file);
        $read = [];
        while (($row = fgetcsv($file, escape: '')) !== false) {
            $read[] = $row;
        }
        self::assertSame($rows, $read);
    }

    public function test_it_starts_with_the_byte_order_mark_and_ends_lines_as_the_standard_says(): void
    {
        self::assertSame("\xEF\xBB\xBF\"a;=1\",\"b\tc\"\r\n", Csv::write([['a;=1', "b\tc"]]));
        self::assertSame("\xEF\xBB\xBFa,1,\r\n", Csv::write([['a', 1, null]]));
    }

    #[TestWith(['=1+1'])]
    #[TestWith(['+1'])]
    #[TestWith(['-2+3'])]
    #[TestWith(['@SUM(A1)'])]
    #[TestWith(["\t=1"])]
    #[TestWith([' =1'])]
    public function test_a_cell_that_a_spreadsheet_would_run_is_defused(string $cell): void
    {
        self::assertStringContainsString("'".$cell, Csv::write([[$cell]]));
    }

    public function test_a_number_stays_a_number(): void
    {
        self::assertStringEndsWith("-5\r\n", Csv::write([[-5]]));
    }
}
