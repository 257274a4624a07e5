<?php

declare(strict_types=1);

namespace Deploy;

final class Port
{
    public static function free(): int
    {
        $socket = stream_socket_server('tcp://127.0.0.1:0');
        if ($socket === false) {
            throw new Problem('No free port was found.');
        }
        $name = (string) stream_socket_get_name($socket, false);
        fclose($socket);

        return (int) substr($name, (int) strrpos($name, ':') + 1);
    }

    public static function isTaken(string $host, int $port): bool
    {
        // SO_REUSEADDR, as nginx sets it: a port in TIME_WAIT is not taken.
        $context = stream_context_create(['socket' => ['so_reuseaddr' => true]]);
        $socket = @stream_socket_server(
            "tcp://{$host}:{$port}",
            $code,
            $message,
            STREAM_SERVER_BIND | STREAM_SERVER_LISTEN,
            $context,
        );
        if ($socket === false) {
            return true;
        }
        fclose($socket);

        return false;
    }
}
