<?php

declare(strict_types=1);

namespace App\Answering;

use Closure;
use RuntimeException;

/**
 * Processes that stay started and answer what nginx passes on, each one request at a time. They are copies of one
 * that has the application loaded already, made anew when they have answered much, and when one ends by whatever it
 * met.
 */
final class Workers
{
    /** Requests that one answers, and bytes that it may come to hold, before another takes its place. */
    private const MOST_REQUESTS = 2_000;

    private const MOST_MEMORY = 96 * 1024 * 1024;

    /** Waiting in the socket for a worker that is free. */
    private const BACKLOG = 1024;

    /** How soon one whose parent has gone notices. */
    private const LOOKS_S = 5.0;

    /** One that breaks at once is not made again at once. */
    private const SOON_S = 1.0;

    private const PAUSE_US = 200_000;

    private bool $isAsked = false;

    /** @var array<int, array{string, float}> by process: its pool, and when it began */
    private array $running = [];

    /**
     * @param  Closure(): Answer  $make  called once in each
     * @param  array<string, array{string, int, int}>  $pools  by name: the path of its socket, how many answer there,
     *     and the seconds that a request may take
     */
    public function __construct(private readonly Closure $make, private readonly array $pools)
    {
    }

    /** Until it is asked to end. */
    public function __invoke(): void
    {
        $sockets = array_map(static fn (array $pool) => self::listen($pool[0]), $this->pools);
        pcntl_async_signals(true);
        foreach ([SIGTERM, SIGINT, SIGHUP] as $signal) {
            // Waiting for a process to end is broken off by it.
            pcntl_signal($signal, function (): void {
                $this->isAsked = true;
            }, false);
        }
        // @phpstan-ignore booleanNot.alwaysTrue (a signal sets it)
        while (! $this->isAsked) {
            $this->fill($sockets);
            $ended = pcntl_wait($status);
            $ran = microtime(true) - ($this->running[$ended][1] ?? 0);
            unset($this->running[$ended]);
            if ($ended < 1 || ($status !== 0 && $ran < self::SOON_S)) {
                usleep(self::PAUSE_US);
            }
        }
        foreach (array_keys($this->running) as $worker) {
            posix_kill($worker, SIGTERM);
        }
        foreach (array_keys($this->running) as $worker) {
            pcntl_waitpid($worker, $status);
        }
    }

    /** @return resource whole before anybody finds it, and nobody else's */
    private static function listen(string $path)
    {
        $mask = umask(0o177);
        $context = stream_context_create(['socket' => ['backlog' => self::BACKLOG]]);
        @unlink("{$path}.new");
        $socket = stream_socket_server("unix://{$path}.new", $code, $why, context: $context);
        umask($mask);
        if ($socket === false || ! rename("{$path}.new", $path)) {
            throw new RuntimeException("Nothing can listen at {$path}: {$why}");
        }

        return $socket;
    }

    /**
     * As many as there should be; where the machine gives no more processes, as many as there can be.
     *
     * @param  array<string, resource>  $sockets  by pool
     */
    private function fill(array $sockets): void
    {
        foreach ($this->pools as $name => [, $many]) {
            $there = count(array_filter($this->running, static fn (array $one): bool => $one[0] === $name));
            for (; $there < $many; $there++) {
                $this->start($name, $sockets[$name]);
            }
        }
    }

    /** @param  resource  $socket */
    private function start(string $name, $socket): void
    {
        $parent = posix_getpid();
        $worker = pcntl_fork();
        if ($worker > 0) {
            $this->running[$worker] = [$name, microtime(true)];
        } elseif ($worker === 0) {
            @cli_set_process_title("crag: pool {$name}");
            $this->work($socket, $parent, $this->pools[$name][2]);
            exit(0);
        }
    }

    /** @param  resource  $socket */
    private function work($socket, int $parent, int $longest): void
    {
        // Numbers that differ from those of its brothers and sisters.
        mt_srand();
        // Without a request in hand it ends at once.
        array_map(static fn (int $signal): bool => pcntl_signal($signal, SIG_DFL), [SIGTERM, SIGINT, SIGHUP]);
        $answer = ($this->make)();
        $answer->warm();
        $isAsked = false;
        $finish = static function () use (&$isAsked): void {
            $isAsked = true;
        };
        for ($n = 0; $n < self::MOST_REQUESTS && memory_get_usage() < self::MOST_MEMORY;) {
            $stream = @stream_socket_accept($socket, self::LOOKS_S);
            if ($stream === false) {
                if (posix_getppid() !== $parent) {
                    return;
                }

                continue;
            }
            pcntl_signal(SIGTERM, $finish);
            // What takes too long ends with its process.
            pcntl_alarm($longest);
            $n++;
            $isWell = $answer(new FastCgi($stream));
            pcntl_alarm(0);
            // @phpstan-ignore if.alwaysFalse (a signal sets it)
            if (! $isWell || $isAsked) {
                return;
            }
            pcntl_signal(SIGTERM, SIG_DFL);
        }
    }
}
