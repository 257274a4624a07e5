<?php

declare(strict_types=1);

namespace App\Database;

use Illuminate\Support\Facades\DB;
use PDOException;

/** One file, one writer at a time: every transaction is the whole database's. */
final class Sqlite extends Engine
{
    private const WIPING_MS = 400;

    public function waitAtMost(int $ms): void
    {
        DB::connection()->getPdo()->exec("PRAGMA busy_timeout = {$ms}");
    }

    public function field(string $column, string $key): string
    {
        return "json_extract({$column}, '$.{$key}')";
    }

    public function said(PDOException $fault): ?string
    {
        $message = $fault->getMessage();

        return match (true) {
            str_contains($message, 'is full'), str_contains($message, 'disk I/O error') => __(
                'The server can’t save: its disk is full or broken. Nothing is lost, and it’ll try again.',
            ),
            str_contains($message, 'is locked') => __(
                'The server’s database is locked. Nothing is lost, and it’ll try again.',
            ),
            str_contains($message, 'malformed'), str_contains($message, 'not a database') => __(
                'The server’s database is damaged. Someone who looks after Crag needs to restore a backup.',
            ),
            str_contains($message, 'readonly'), str_contains($message, 'unable to open') => __(
                'The server’s database can’t be written to.',
            ),
            default => null,
        };
    }

    public function bytes(): int
    {
        return (int) array_sum(array_map(filesize(...), glob(DB::connection()->getDatabaseName().'*') ?: []));
    }

    public function tables(): array
    {
        return array_map(strval(...), DB::table('sqlite_master')
            ->where('type', 'table')
            ->where('name', 'not like', 'sqlite%')
            ->orderBy('name')
            ->pluck('name')
            ->all());
    }

    public function isThere(): bool
    {
        return is_file(DB::connection()->getDatabaseName());
    }

    /** There is one node, and its start is one process. */
    public function alone(callable $do): mixed
    {
        return $do();
    }

    public function setAside(string $folder): string
    {
        $file = "{$folder}/before-upgrade-".now()->format('Y-m-d-His').'.sqlite';
        DB::statement('VACUUM INTO ?', [$file]);

        return $file;
    }

    /** Whoever writes waits as long as this waits for whoever reads. */
    public function emptyLog(): void
    {
        self::went('PRAGMA busy_timeout = '.self::WIPING_MS);
        self::went('PRAGMA wal_checkpoint(TRUNCATE)');
        $this->waitAsUsual();
    }

    public function writeAnew(): bool
    {
        return self::went('VACUUM');
    }
}
