<?php

declare(strict_types=1);

namespace Tests\Feature\Life;

use Deploy\Folder;
use Deploy\Instance;
use Deploy\Keep\DataLock;
use PHPUnit\Framework\TestCase;

/** Instances of tests and benches that were killed outright: the next one takes what they left. */
final class SweepTest extends TestCase
{
    private string $folder;

    protected function setUp(): void
    {
        $this->folder = sys_get_temp_dir().'/crag-sweep-'.bin2hex(random_bytes(6));
    }

    protected function tearDown(): void
    {
        Folder::remove($this->folder);
    }

    public function test_what_was_killed_goes_and_what_runs_or_starts_stays(): void
    {
        foreach (['test-1' => 2, 'test-2' => 2, 'test-3' => 0, 'bench-4' => 2] as $name => $hours) {
            fclose(DataLock::take("{$this->folder}/{$name}/data"));
            touch("{$this->folder}/{$name}/data/lock", time() - 3600 * $hours);
        }
        $held = DataLock::take("{$this->folder}/test-2/data");
        touch("{$this->folder}/test-2/data/lock", time() - 7200);

        Instance::sweep("{$this->folder}/test");

        $left = array_map(basename(...), glob("{$this->folder}/*") ?: []);
        self::assertSame(['bench-4', 'test-2', 'test-3'], $left);
        fclose($held);
    }

    public function test_what_it_had_started_is_ended(): void
    {
        $run = "{$this->folder}/test-1";
        fclose(DataLock::take("{$run}/data"));
        touch("{$run}/data/lock", time() - 7200);
        $started = proc_open(['setsid', 'sleep', '60'], [], $pipes, null, ['CRAG_RUN' => $run, 'PATH' => '/usr/bin:/bin']);
        self::assertNotFalse($started);
        $pid = proc_get_status($started)['pid'];
        // A group of its own, once it has one.
        for ($tries = 0; posix_getpgid($pid) !== $pid && $tries < 10_000; $tries++) {
            usleep(1_000);
        }
        file_put_contents("{$run}/queue.started", (string) $pid);

        Instance::sweep("{$this->folder}/test");

        self::assertDirectoryDoesNotExist($run);
        for ($tries = 0; ($status = proc_get_status($started))['running'] && $tries < 10_000; $tries++) {
            usleep(1_000);
        }
        self::assertSame(SIGKILL, $status['termsig']);
        proc_close($started);
    }
}
