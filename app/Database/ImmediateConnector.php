<?php

declare(strict_types=1);

namespace App\Database;

use Illuminate\Database\Connectors\SQLiteConnector;
use PDO;
use PDOException;

/**
 * In php-fpm a worker keeps its connection from one request to the next: opening it, its settings and reading the
 * tables' definitions anew cost a fifth of what storing a stroke does.
 */
final class ImmediateConnector extends SQLiteConnector
{
    /** @param  array<string, mixed>  $config */
    public function connect(array $config): PDO
    {
        $path = is_string($config['database'] ?? null) ? $this->parseDatabasePath($config['database']) : '';
        $connection = $this->createConnection("sqlite:{$path}", $config, $this->getOptions($config));
        if (self::isSet($connection)) {
            self::endWhatWasBegun($connection);
            $this->configureBusyTimeout($connection, $config);

            return $connection;
        }
        $this->configurePragmas($connection, $config);
        $this->configureBusyTimeout($connection, $config);
        $this->configureJournalMode($connection, $config);
        $this->configureSynchronous($connection, $config);
        // The last one: by it a connection is known to have them all.
        $this->configureForeignKeyConstraints($connection, $config);

        return $connection;
    }

    private static function isSet(PDO $connection): bool
    {
        return self::isKept() && $connection->query('pragma foreign_keys')->fetchColumn() === 1;
    }

    /** Nothing should be; but what one request left open would hold up every writer there is. */
    private static function endWhatWasBegun(PDO $connection): void
    {
        try {
            $connection->exec('ROLLBACK');
        } catch (PDOException) {
            // There was nothing.
        }
    }

    private static function isKept(): bool
    {
        return PHP_SAPI === 'fpm-fcgi';
    }

    /**
     * @param  string  $dsn
     * @param  ?string  $username
     * @param  ?string  $password
     * @param  array<int, mixed>  $options
     */
    protected function createPdoConnection($dsn, $username, #[\SensitiveParameter] $password, $options): PDO
    {
        return new ImmediatePdo($dsn, $username, $password, [PDO::ATTR_PERSISTENT => self::isKept()] + $options);
    }
}
