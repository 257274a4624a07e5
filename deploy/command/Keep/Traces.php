<?php

declare(strict_types=1);

namespace Deploy\Keep;

use Deploy\Console;
use FilesystemIterator;
use PDO;
use RecursiveDirectoryIterator;
use RecursiveIteratorIterator;
use SplFileInfo;

/** What still holds an id or a name: rows of whichever database, and files, the write-ahead log among them. */
final class Traces
{
    /** @param  string  $url  as CRAG_DATABASE_URL has it */
    public static function server(string $url): PDO
    {
        $parts = (array) parse_url($url);
        $of = static fn (string $name): string => rawurldecode((string) ($parts[$name] ?? ''));

        return new PDO(
            "pgsql:host={$of('host')};port=".($of('port') ?: '5432').';dbname='.ltrim($of('path'), '/').
                ($of('query') === '' ? '' : ";{$of('query')}"),
            $of('user') ?: null,
            $of('pass') ?: null,
            [PDO::ATTR_TIMEOUT => 5],
        );
    }

    /** @return list<string> columns in which something holds it, and how many rows */
    public static function inRows(PDO $database, string $wanted): array
    {
        $isServer = $database->getAttribute(PDO::ATTR_DRIVER_NAME) === 'pgsql';
        $columns = $isServer
            ? "select table_name, column_name from information_schema.columns where table_schema = 'public'"
            : "select m.name, c.name from sqlite_master m, pragma_table_info(m.name) c where m.type = 'table' and m.name not like 'sqlite%'";
        $holds = $isServer
            ? 'position(lower(?) in lower(cast("%2$s" as text))) > 0'
            : 'instr(lower(cast("%2$s" as text)), lower(?)) > 0';
        $left = [];
        $found = $database->query($columns);
        foreach ($found === false ? [] : $found->fetchAll(PDO::FETCH_NUM) as [$table, $column]) {
            $count = $database->prepare(sprintf("select count(*) from \"%1\$s\" where {$holds}", $table, $column));
            $count->execute([$wanted]);
            $rows = (int) $count->fetchColumn();
            if ($rows !== 0) {
                $left[] = "{$table}.{$column} ({$rows})";
            }
        }

        return $left;
    }

    /** @return list<string> files and folders below one whose name or content holds it */
    public static function inFiles(string $folder, string $wanted): array
    {
        if (! is_dir($folder)) {
            return [];
        }
        $found = [];
        $all = new RecursiveIteratorIterator(
            new RecursiveDirectoryIterator($folder, FilesystemIterator::SKIP_DOTS),
            RecursiveIteratorIterator::SELF_FIRST,
        );
        foreach ($all as $path => $one) {
            assert($one instanceof SplFileInfo);
            // The write-ahead log too. What lies in unused parts of the database itself goes when it is written anew.
            if ($one->getFilename() === 'crag.sqlite') {
                if (self::holds((string) $path, $wanted)) {
                    Console::say(
                        "  -     Unused parts of {$path} hold {$wanted} still: it is written anew when no session runs.",
                    );
                }

                continue;
            }
            $isNamed = stripos($one->getFilename(), $wanted) !== false;
            if ($isNamed || ($one->isFile() && self::holds((string) $path, $wanted))) {
                $found[] = (string) $path;
            }
        }

        return $found;
    }

    /** Whether a file holds it, read piece by piece. */
    public static function holds(string $file, string $wanted): bool
    {
        $handle = @fopen($file, 'r');
        $before = '';
        while ($handle !== false && ! feof($handle)) {
            $piece = $before.fread($handle, 1 << 20);
            if (stripos($piece, $wanted) !== false) {
                return true;
            }
            $before = substr($piece, -strlen($wanted));
        }

        return false;
    }
}
