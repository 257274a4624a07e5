<?php

declare(strict_types=1);

namespace Deploy\Shared;

/** Redis that keeps everything in memory. */
final class Redis extends Server
{
    public function url(): string
    {
        return "redis://127.0.0.1:{$this->port}";
    }

    public function open(): \Redis
    {
        $redis = new \Redis();
        $redis->connect('127.0.0.1', $this->port);

        return $redis;
    }

    protected function name(): string
    {
        return 'redis';
    }

    /** @return list<string> */
    protected function prepare(): array
    {
        return ['/usr/bin/redis-server', '--port', (string) $this->port, '--bind', '127.0.0.1', '--save', '',
            '--appendonly', 'no', '--dir', $this->folder];
    }

    protected function answers(): bool
    {
        $socket = @stream_socket_client("tcp://127.0.0.1:{$this->port}", timeout: 1);
        if ($socket === false) {
            return false;
        }
        fwrite($socket, "PING\r\n");
        $said = (string) fgets($socket);
        fclose($socket);

        return trim($said) === '+PONG';
    }
}
