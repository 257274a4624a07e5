<?php

declare(strict_types=1);

namespace Deploy\Shared;

use Deploy\Child;
use Deploy\Folder;
use Deploy\Port;
use Deploy\Problem;

/**
 * One of the servers that several nodes share, on this machine, in a folder and on a port of its own: for tests and
 * benches, which need nothing of it afterwards.
 */
abstract class Server
{
    protected readonly string $folder;

    protected readonly int $port;

    private ?Child $child = null;

    public function __construct()
    {
        $this->port = Port::free();
        // Not in the project: PostgreSQL runs as somebody else, who may not be let into it.
        $this->folder = sys_get_temp_dir()."/crag-{$this->name()}-{$this->port}";
    }

    abstract public function url(): string;

    abstract protected function name(): string;

    /**
     * Makes what it starts from.
     *
     * @return list<string> the command that starts it
     */
    abstract protected function prepare(): array;

    abstract protected function answers(): bool;

    public function start(): static
    {
        Folder::remove($this->folder);
        Folder::make($this->folder);
        $this->child = new Child($this->name(), $this->prepare(), "{$this->folder}/server.log", []);

        return $this->begin($this->child);
    }

    /** Ends as if it had been told to, and comes back with what it has on the disk. */
    public function startAgain(): static
    {
        $child = $this->child();
        $child->stop(10, SIGINT);

        return $this->begin($child);
    }

    private function begin(Child $child): static
    {
        $child->start();
        $until = microtime(true) + 30;
        while (! $this->answers()) {
            if (! $child->isRunning() || microtime(true) > $until) {
                $said = $child->lastWords();
                $this->stop();
                throw new Problem("{$this->name()} did not start:\n{$said}");
            }
            usleep(50_000);
        }

        return $this;
    }

    public function child(): Child
    {
        return $this->child ?? throw new Problem("{$this->name()} was not started.");
    }

    public function stop(): void
    {
        // PostgreSQL ends at once by SIGINT, and waits for everybody by SIGTERM.
        $this->child?->stop(10, SIGINT);
        $this->child = null;
        Folder::remove($this->folder);
    }
}
