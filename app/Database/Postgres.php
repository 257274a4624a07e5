<?php

declare(strict_types=1);

namespace App\Database;

use Illuminate\Support\Facades\DB;
use PDOException;
use RuntimeException;
use Symfony\Component\Process\Process;

/** A server for several nodes: writers of different sessions go on beside each other (Turn). */
final class Postgres extends Engine
{
    public function waitAtMost(int $ms): void
    {
        DB::connection()->getPdo()->exec("SET lock_timeout = {$ms}");
    }

    public function field(string $column, string $key): string
    {
        return "({$column}::json ->> '{$key}')";
    }

    /** The classes and codes of https://www.postgresql.org/docs/15/errcodes-appendix.html. */
    public function said(PDOException $fault): ?string
    {
        $code = (string) $fault->getCode();

        return match (true) {
            // Disk full, and what the disk said.
            $code === '53100', str_starts_with($code, '58') => __(
                'The server can’t save: its disk is full or broken. Nothing is lost, and it’ll try again.',
            ),
            // A lock in vain, a deadlock, too many at once.
            $code === '55P03', $code === '40P01', $code === '53300' => __(
                'The server’s database is locked. Nothing is lost, and it’ll try again.',
            ),
            str_starts_with($code, 'XX') => __(
                'The server’s database is damaged. Someone who looks after Crag needs to restore a backup.',
            ),
            $code === '25006' => __('The server’s database can’t be written to.'),
            // Not to be reached, or going down.
            $code === '7',
            str_starts_with($code, '08'),
            str_starts_with($code, '57P') => __(
                'The server can’t reach its database. Nothing is lost, and it’ll try again.',
            ),
            default => null,
        };
    }

    public function bytes(): int
    {
        return (int) DB::scalar('select pg_database_size(current_database())');
    }

    public function tables(): array
    {
        return array_map(strval(...), DB::table('pg_tables')
            ->where('schemaname', 'public')
            ->orderBy('tablename')
            ->pluck('tablename')
            ->all());
    }

    public function isThere(): bool
    {
        DB::connection()->getPdo();

        return true;
    }

    public function alone(callable $do): mixed
    {
        $pdo = DB::connection()->getPdo();
        $turn = "hashtextextended('crag alone', 0)";
        // As long as it takes: a start waits for the one before it.
        $pdo->exec('SET lock_timeout = 0');
        $pdo->exec("select pg_advisory_lock({$turn})");
        try {
            return $do();
        } finally {
            $pdo->exec("select pg_advisory_unlock({$turn})");
            $this->waitAsUsual();
        }
    }

    public function setAside(string $folder): string
    {
        $file = "{$folder}/before-upgrade-".now()->format('Y-m-d-His').'.pgdump';
        $config = DB::connection()->getConfig();
        $dump = new Process(
            ['pg_dump', '--format=custom', '--no-owner', '--file', $file],
            env: [
                'PGHOST' => $config['host'] ?? '',
                'PGPORT' => $config['port'] ?? '',
                'PGUSER' => $config['username'] ?? '',
                'PGPASSWORD' => $config['password'] ?? '',
                'PGDATABASE' => $config['database'] ?? '',
            ],
            timeout: null,
        );
        if ($dump->run() !== 0) {
            throw new RuntimeException('The database could not be set aside: '.trim($dump->getErrorOutput()));
        }

        return $file;
    }

    /** What is deleted is out of reach at once; its bytes are written over when the rows are vacuumed. */
    public function emptyLog(): void
    {
    }

    public function writeAnew(): bool
    {
        return self::went('VACUUM FULL');
    }
}
