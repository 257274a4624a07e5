<?php

declare(strict_types=1);

namespace Crag\Formats;

/**
 * Reads separated values as programs write them: separated by commas, semicolons or tabs (whichever the first line has
 * most of), in UTF-8 with or without a mark, UTF-16 with a mark, or Windows-1252; cells in quotes as in RFC 4180.
 */
final class CsvReader
{
    private const MOST_ROWS = 5_000;

    /**
     * @return list<list<string>> rows with something in them, cells trimmed
     *
     * @throws UnreadableFile
     */
    public static function rows(string $bytes, int $most = self::MOST_ROWS): array
    {
        $text = self::utf8($bytes);
        if (str_contains($text, "\0")) {
            throw UnreadableFile::notText();
        }
        $separator = self::separator($text);
        $rows = [];
        $stream = fopen('php://memory', 'r+');
        if ($stream === false) {
            return [];
        }
        fwrite($stream, str_replace(["\r\n", "\r"], "\n", $text));
        rewind($stream);
        while (($cells = fgetcsv($stream, null, $separator, '"', '')) !== false) {
            $cells = array_map(static fn (?string $cell): string => trim((string) $cell, " \t\u{A0}\u{FEFF}"), $cells);
            if (array_filter($cells, static fn (string $cell): bool => $cell !== '') !== []) {
                $rows[] = $cells;
            }
            if (count($rows) > $most) {
                throw UnreadableFile::manyRows($most);
            }
        }
        fclose($stream);

        return $rows;
    }

    private static function utf8(string $bytes): string
    {
        return match (true) {
            str_starts_with($bytes, "\u{FEFF}") => substr($bytes, 3),
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
