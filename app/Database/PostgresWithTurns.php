<?php

declare(strict_types=1);

namespace App\Database;

use Illuminate\Database\PostgresConnection;
use Throwable;

/** PostgreSQL whose transactions take their turn as they begin, and give it back as they end. */
final class PostgresWithTurns extends PostgresConnection
{
    protected function executeBeginTransactionStatement(): void
    {
        parent::executeBeginTransactionStatement();
        try {
            $this->getPdo()->exec(
                'select pg_advisory_xact_lock(k) from unnest(array['.
                    implode(', ', array_map(static fn (int $key): string => "{$key}::bigint", Turn::keys())).
                    ']) k',
            );
        } catch (Throwable $fault) {
            // It waited in vain; or the connection is gone, and there is nothing to take back.
            rescue(fn () => $this->getPdo()->rollBack(), report: false);
            throw $fault;
        }
    }
}
