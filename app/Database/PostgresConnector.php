<?php

declare(strict_types=1);

namespace App\Database;

use Illuminate\Database\Connectors\PostgresConnector as FrameworkConnector;
use PDO;

/** A worker keeps its connection from one request to the next, as with SQLite. */
final class PostgresConnector extends FrameworkConnector
{
    /** @param  array<string, mixed>  $config */
    public function connect(array $config): PDO
    {
        $connection = parent::connect($config);
        $connection->exec('SET lock_timeout = '.(int) ($config['lock_timeout'] ?? 0));

        return $connection;
    }

    /**
     * @param  array<string, mixed>  $config
     * @return array<int, mixed>
     */
    public function getOptions(array $config): array
    {
        return [
            // One question and one answer for each statement.
            PDO::PGSQL_ATTR_DISABLE_PREPARES => true,
            PDO::ATTR_PERSISTENT => PHP_SAPI === 'fpm-fcgi',
        ] + parent::getOptions($config);
    }
}
