<?php

declare(strict_types=1);

namespace Tests\Browser;

use Deploy\Child;
use Deploy\Folder;
use Deploy\Install\Setup;
use Deploy\Port;
use PHPUnit\Framework\TestCase;
use RuntimeException;
use Symfony\Component\Process\Process;

/** `./crag serve` when its parts, or it itself, are killed outright. */
final class SupervisorTest extends TestCase
{
    private string $folder;

    private int $port;

    /** @var list<Process> */
    private array $started = [];

    protected function setUp(): void
    {
        $this->folder = Setup::root().'/storage/run/supervised-'.getmypid();
        $this->port = Port::free();
    }

    protected function tearDown(): void
    {
        foreach ($this->started as $process) {
            $process->stop(8, SIGTERM);
        }
        Folder::remove($this->folder);
    }

    public function test_parts_that_are_killed_come_back_alone_and_nothing_is_left_behind(): void
    {
        $serve = $this->serve($this->port);
        $this->untilUp();
        foreach (['nginx', 'answer', 'php-fpm', 'queue'] as $part) {
            $before = $this->pids();
            $family = [$before[$part], ...Child::descendants($before[$part])];
            posix_kill($before[$part], SIGKILL);
            $this->until(fn (): bool => $this->pids()[$part] !== $before[$part], "{$part} to be started again");
            $this->untilUp();
            foreach ($family as $pid) {
                $this->until(static fn (): bool => ! self::runs($pid), "process {$pid} of the killed {$part} to be gone");
            }
            self::assertSame(
                array_diff_key($before, [$part => 0]),
                array_diff_key($this->pids(), [$part => 0]),
                'the others go on as they were',
            );
        }
        self::assertTrue($serve->isRunning());
        self::assertStringContainsString(
            'nginx ended; starting it again',
            $serve->getErrorOutput().$serve->getOutput(),
        );
    }

    public function test_a_second_start_on_the_same_data_is_refused_and_disturbs_nothing(): void
    {
        $this->serve($this->port);
        $this->untilUp();
        $before = $this->pids();
        $second = $this->serve(Port::free(), $this->folder.'/second');
        $second->wait();
        self::assertSame(1, $second->getExitCode());
        self::assertStringContainsString(
            "Crag is running on {$this->folder}/data already",
            $second->getErrorOutput().$second->getOutput(),
        );
        self::assertSame($before, $this->pids());
        $this->untilUp();
    }

    public function test_what_a_killed_supervisor_leaves_is_gone_and_it_starts_again(): void
    {
        $first = $this->serve($this->port);
        $this->untilUp();
        $before = $this->pids();
        // A part that does not hear the end of its supervisor.
        posix_kill($before['php-fpm'], SIGSTOP);
        posix_kill((int) $first->getPid(), SIGKILL);
        $this->until(static fn (): bool => ! self::runs($before['nginx']), 'nginx to go with its supervisor');
        file_put_contents("{$this->folder}/data/tmp/half-made", 'Tamsin');
        $this->serve($this->port);
        $this->untilUp();
        self::assertFileDoesNotExist("{$this->folder}/data/tmp/half-made");
        $this->until(static fn (): bool => ! self::runs($before['php-fpm']), 'what was left to be ended');
        self::assertSame(0o700, fileperms($this->folder.'/data') & 0o777);
        self::assertSame(0o700, fileperms($this->folder.'/run') & 0o777);
        foreach (glob($this->folder.'/run/*.sock') ?: [] as $socket) {
            $this->until(static function () use ($socket): bool {
                clearstatcache();

                return (fileperms($socket) & 0o777) === 0o600;
            }, "{$socket} to be nobody else's");
        }
    }

    private function serve(int $port, ?string $run = null): Process
    {
        $process = new Process([PHP_BINARY, 'crag', 'serve', "--port={$port}", '--host=127.0.0.1'], Setup::root(), [
            'CRAG_DATA' => $this->folder.'/data',
            'CRAG_RUN_DIR' => $run ?? $this->folder.'/run',
            'CRAG_RUN' => false,
        ]);
        $process->start();

        return $this->started[] = $process;
    }

    /** @return array<string, int> */
    private function pids(): array
    {
        $pids = [];
        foreach (['nginx', 'answer', 'php-fpm', 'queue'] as $part) {
            $pids[$part] = (int) file_get_contents("{$this->folder}/run/{$part}.started");
        }

        return $pids;
    }

    private function untilUp(): void
    {
        $this->until(
            fn (): bool => @file_get_contents(
                "http://127.0.0.1:{$this->port}/up",
                false,
                stream_context_create(['http' => ['timeout' => 2]]),
            ) === 'up',
            'an answer',
        );
    }

    private static function runs(int $pid): bool
    {
        $stat = (string) @file_get_contents("/proc/{$pid}/stat");

        return $stat !== '' && ! str_contains(substr($stat, (int) strrpos($stat, ')')), ' Z ');
    }

    private function until(callable $holds, string $what): void
    {
        $end = microtime(true) + 60;
        while (! $holds()) {
            if (microtime(true) > $end) {
                throw new RuntimeException(
                    "Waited in vain for {$what}.\n".
                        implode(
                            "\n",
                            array_map(
                                static fn (Process $one): string => $one->getOutput().$one->getErrorOutput(),
                                $this->started,
                            ),
                        ),
                );
            }
            usleep(50_000);
        }
    }
}
