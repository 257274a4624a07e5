<?php

declare(strict_types=1);

namespace App\Database;

use Illuminate\Database\Connectors\SQLiteConnector;
use PDO;

final class ImmediateConnector extends SQLiteConnector
{
    /**
     * @param  string  $dsn
     * @param  ?string  $username
     * @param  ?string  $password
     * @param  array<int, mixed>  $options
     */
    protected function createPdoConnection($dsn, $username, #[\SensitiveParameter] $password, $options): PDO
    {
        return new ImmediatePdo($dsn, $username, $password, $options);
    }
}
