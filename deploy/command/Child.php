<?php

declare(strict_types=1);

namespace Deploy;

/** One process that an instance started, known by its id and ended by it. */
final class Child
{
    /** @var ?resource */
    private $process = null;

    private int $pid = 0;

    /**
     * @param  list<string>  $command
     * @param  array<string, string>  $environment
     * @param  list<string>  $stale  what it leaves behind when it is killed and must not find when it starts
     */
    public function __construct(
        public readonly string $name,
        private readonly array $command,
        private readonly string $log,
        private readonly array $environment,
        private readonly array $stale = [],
    ) {
    }

    public function start(): void
    {
        array_map(static fn (string $file): bool => @unlink($file), $this->stale);
        // Should this process be killed outright, the kernel ends the child with it.
        $leash = Shell::has('setpriv') ? ['setpriv', '--pdeathsig', 'TERM', '--'] : [];
        $process = proc_open(
            [...$leash, ...$this->command],
            [['file', '/dev/null', 'r'], ['file', $this->log, 'a'], ['file', $this->log, 'a']],
            $pipes,
            Setup::root(),
            [...getenv(), ...$this->environment],
        );
        if ($process === false) {
            throw new Problem("{$this->name} could not be started.");
        }
        $this->process = $process;
        $this->pid = proc_get_status($process)['pid'];
    }

    /** @phpstan-impure */
    public function isRunning(): bool
    {
        return $this->process !== null && proc_get_status($this->process)['running'];
    }

    public function pid(): int
    {
        return $this->pid;
    }

    /** Asks it to end; after $patience seconds it is made to, whatever it does. */
    public function stop(float $patience = 5.0, int $signal = SIGTERM): void
    {
        if ($this->process === null) {
            return;
        }
        if ($this->isRunning()) {
            $descendants = self::descendants($this->pid);
            posix_kill($this->pid, $signal);
            $until = microtime(true) + $patience;
            while ($this->isRunning() && microtime(true) < $until) {
                usleep(10_000);
            }
            foreach ($this->isRunning() ? [$this->pid, ...$descendants] : $descendants as $pid) {
                @posix_kill($pid, SIGKILL);
            }
        }
        proc_close($this->process);
        $this->process = null;
    }

    /** @return list<int> */
    public static function descendants(int $pid): array
    {
        $found = [];
        foreach (glob("/proc/{$pid}/task/*/children") ?: [] as $thread) {
            foreach (array_filter(explode(' ', trim((string) @file_get_contents($thread)))) as $child) {
                $found = [...$found, (int) $child, ...self::descendants((int) $child)];
            }
        }

        return $found;
    }

    public function lastWords(): string
    {
        return implode("\n", array_slice(explode("\n", trim((string) @file_get_contents($this->log))), -10));
    }
}
