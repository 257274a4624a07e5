<?php

declare(strict_types=1);

namespace Crag\Formats;

/**
 * Comma-separated values as RFC 4180 has them: CRLF line ends, quotes doubled; UTF-8 with a byte order mark,
 * without which spreadsheet programs misread names. Semicolons and tabs are quoted too: some programs part cells at
 * them. A cell that a spreadsheet would run as a formula gets an apostrophe in front.
 */
final class Csv
{
    private const BYTE_ORDER_MARK = "\u{FEFF}";

    /** @param  iterable<list<string|int|null>>  $rows */
    public static function write(iterable $rows): string
    {
        $csv = self::BYTE_ORDER_MARK;
        foreach ($rows as $row) {
            $csv .= implode(',', array_map(self::cell(...), $row))."\r\n";
        }

        return $csv;
    }

    private static function cell(string|int|null $value): string
    {
        if (! is_string($value)) {
            return (string) $value;
        }
        if (preg_match('/\A\s*[=+\-@\t\r]/', $value) === 1) {
            $value = "'".$value;
        }

        return strpbrk($value, ",;\t\"\r\n") === false ? $value : '"'.str_replace('"', '""', $value).'"';
    }
}
