<?php

declare(strict_types=1);

namespace Deploy;

use Deploy\Install\Setup;

/**
 * One process that an instance started, and all that it starts: a group of its own, known by the first one's id, so
 * that nothing outlives it.
 */
final class Child
{
    /** @var ?resource */
    private $process = null;

    private int $pid = 0;

    /** When it was started last, and how often in a row it ended soon after. */
    private float $startedAt = 0;

    private float $endedAt = 0;

    private int $failures = 0;

    private const SOON_S = 20;

    private const LONGEST_WAIT_S = 30;

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
        $leash = [
            ...Shell::has('setsid') ? ['setsid'] : [],
            ...Shell::has('setpriv') ? ['setpriv', '--pdeathsig', 'TERM', '--'] : [],
        ];
        $this->startedAt = microtime(true);
        $this->endedAt = 0;
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

    /**
     * It has ended, and whatever it left running ends too. Seconds until it is worth another start: at once the first
     * time, then more and more.
     */
    public function startsAgainIn(): float
    {
        $ran = microtime(true) - $this->startedAt;
        if ($this->endedAt === 0.0) {
            $this->endedAt = microtime(true);
            $this->endGroup();
            $this->failures = $ran > self::SOON_S ? 0 : $this->failures + 1;
        }
        $wait = $this->failures <= 1 ? 0.3 : min(self::LONGEST_WAIT_S, 2 ** ($this->failures - 1));

        return max(0, $this->endedAt + $wait - microtime(true));
    }

    /** Whatever of its group still runs after it has ended. */
    public function endGroup(): void
    {
        if ($this->pid > 1) {
            self::killGroup($this->pid);
        }
    }

    public static function killGroup(int $group): void
    {
        @posix_kill(-$group, SIGKILL);
    }

    /** Whether a group's processes were started for an instance's folder. */
    public static function isGroupOf(int $group, string $run): bool
    {
        foreach (glob('/proc/[0-9]*/stat') ?: [] as $file) {
            $stat = (string) @file_get_contents($file);
            // The fifth field of proc(5) is the group; the second, a name in brackets, may hold anything.
            $fields = explode(' ', substr($stat, (int) strrpos($stat, ')') + 2));
            if ((int) ($fields[2] ?? 0) !== $group) {
                continue;
            }
            $about =
                (string) @file_get_contents(dirname($file).'/environ').
                (string) @file_get_contents(dirname($file).'/cmdline');
            if (str_contains($about, $run) || preg_match('/nginx: worker|php-fpm: pool|crag: pool/', $about) === 1) {
                return true;
            }
        }

        return false;
    }

    /** Asks it to end; after $patience seconds it is made to, whatever it does. */
    public function stop(float $patience = 5.0, int $signal = SIGTERM): void
    {
        if ($this->process === null) {
            return;
        }
        if ($this->isRunning()) {
            posix_kill($this->pid, $signal);
            $until = microtime(true) + $patience;
            while ($this->isRunning() && microtime(true) < $until) {
                usleep(10_000);
            }
        }
        $this->endGroup();
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
