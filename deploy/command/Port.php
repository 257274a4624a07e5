<?php

declare(strict_types=1);

namespace Deploy;

final class Port
{
    private const TRIES = 50;

    /** @var array<int, resource> by port; held until this process ends, so that no other finds it before it is used */
    private static array $taken = [];

    /** One that nobody listens at, and that no other process here has been given. */
    public static function free(): int
    {
        for ($try = 0; $try < self::TRIES; $try++) {
            $socket = stream_socket_server('tcp://127.0.0.1:0');
            if ($socket === false) {
                break;
            }
            $name = (string) stream_socket_get_name($socket, false);
            fclose($socket);
            $port = (int) substr($name, (int) strrpos($name, ':') + 1);
            $lock = fopen(sys_get_temp_dir()."/crag-port-{$port}", 'c');
            if ($lock !== false && ! isset(self::$taken[$port]) && flock($lock, LOCK_EX | LOCK_NB)) {
                self::$taken[$port] = $lock;

                return $port;
            }
        }
        throw new Problem('No free port was found.');
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
