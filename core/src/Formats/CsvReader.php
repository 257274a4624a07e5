<?php

declare(strict_types=1);

namespace Crag\Formats;

use Generator;

/**
 * Reads separated values as programs write them: separated by commas, semicolons or tabs (whichever the first line has
 * most of), in UTF-8 with or without a mark, UTF-16 with a mark, or Windows-1252; cells in quotes as in RFC 4180.
 */
final class CsvReader
{
    private const MOST_ROWS = 5_000;

    /** Around a cell's words: spaces, also those that do not break, and byte order marks. */
    private const EDGES = '/^[ \t\x{A0}\x{FEFF}]+|[ \t\x{A0}\x{FEFF}]+$/Du';

    /**
     * @return list<list<string>> rows with something in them, cells trimmed
     *
     * @throws UnreadableFile
     */
    public static function rows(string $bytes, int $most = self::MOST_ROWS): array
    {
        return iterator_to_array(self::each($bytes, $most), false);
    }

    /**
     * One row after the other, for a file of which only a part is kept.
     *
     * @return Generator<int, list<string>>
     *
     * @throws UnreadableFile
     */
    public static function each(string $bytes, int $most = self::MOST_ROWS): Generator
    {
        $text = self::utf8($bytes);
        if (str_contains($text, "\0")) {
            throw UnreadableFile::notText();
        }
        $separator = self::separator($text);
        $stream = fopen('php://memory', 'r+');
        if ($stream === false) {
            return;
        }
        fwrite($stream, str_replace(["\r\n", "\r"], "\n", $text));
        rewind($stream);
        $n = 0;
        while (($cells = fgetcsv($stream, null, $separator, '"', '')) !== false) {
            $cells = (array) preg_replace(self::EDGES, '', array_map(strval(...), $cells));
            if (array_filter($cells, static fn (string $cell): bool => $cell !== '') === []) {
                continue;
            }
            if (++$n > $most) {
                throw UnreadableFile::manyRows($most);
            }
            yield $cells;
        }
        fclose($stream);
    }

    private static function utf8(string $bytes): string
    {
        return match (true) {
            str_starts_with($bytes, "\u{FEFF}") => mb_scrub(substr($bytes, 3), 'UTF-8'),
            str_starts_with($bytes, "\xFF\xFE") => mb_convert_encoding(substr($bytes, 2), 'UTF-8', 'UTF-16LE'),
            str_starts_with($bytes, "\xFE\xFF") => mb_convert_encoding(substr($bytes, 2), 'UTF-8', 'UTF-16BE'),
            mb_check_encoding($bytes, 'UTF-8') => $bytes,
            default => mb_convert_encoding($bytes, 'UTF-8', 'Windows-1252'),
        };
    }

    private static function separator(string $text): string
    {
        $first = (string) strtok(ltrim($text, "\r\n"), "\r\n");
        $counts = array_map(static fn (string $sign): int => substr_count($first, $sign), [
            "\t" => "\t",
            ';' => ';',
            ',' => ',',
        ]);
        arsort($counts);

        return (string) array_key_first($counts);
    }
}
