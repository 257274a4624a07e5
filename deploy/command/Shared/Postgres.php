<?php

declare(strict_types=1);

namespace Deploy\Shared;

use Deploy\Shell;
use PDO;
use PDOException;

/** PostgreSQL that writes to a disk as a test does: what is in it may be lost with the machine. */
final class Postgres extends Server
{
    private const PROGRAMS = '/usr/lib/postgresql/15/bin';

    public function url(): string
    {
        return "pgsql://crag@127.0.0.1:{$this->port}/crag";
    }

    /** Its address without a database's name. */
    public function address(): string
    {
        return "pgsql://crag@127.0.0.1:{$this->port}";
    }

    public function make(string ...$databases): static
    {
        foreach ($databases as $one) {
            $this->open('postgres')->exec("create database {$one}");
        }

        return $this;
    }

    public function open(string $database = 'crag'): PDO
    {
        return new PDO("pgsql:host=127.0.0.1;port={$this->port};dbname={$database};user=crag");
    }

    protected function name(): string
    {
        return 'postgres';
    }

    /** @return list<string> */
    protected function prepare(): array
    {
        // It refuses to run as root.
        $as = posix_geteuid() === 0 ? ['setpriv', '--reuid=postgres', '--regid=postgres', '--clear-groups', '--pdeathsig', 'TERM', '--'] : [];
        if ($as !== []) {
            chown($this->folder, 'postgres');
        }
        Shell::run(
            [...$as, self::PROGRAMS.'/initdb', '-D', "{$this->folder}/data", '-U', 'crag', '-A', 'trust', '-E', 'UTF8',
                '--locale=C.UTF-8', '--no-sync'],
            '/',
        );
        $settings = [
            'listen_addresses=127.0.0.1',
            "port={$this->port}",
            "unix_socket_directories={$this->folder}",
            'max_connections=200',
            'fsync=off',
            'shared_buffers=128MB',
        ];

        return [
            ...$as,
            self::PROGRAMS.'/postgres',
            '-D',
            "{$this->folder}/data",
            ...array_merge(...array_map(static fn (string $one): array => ['-c', $one], $settings)),
        ];
    }

    protected function answers(): bool
    {
        try {
            return $this->open('postgres')->query('select 1') !== false;
        } catch (PDOException) {
            return false;
        }
    }
}
