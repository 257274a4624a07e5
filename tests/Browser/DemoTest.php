<?php

declare(strict_types=1);

namespace Tests\Browser;

use Deploy\Child;
use Deploy\Folder;
use Deploy\Install\Setup;
use Deploy\Port;
use PHPUnit\Framework\TestCase;

/** `./crag demo` as another process sees it. */
final class DemoTest extends TestCase
{
    public function test_the_demo_answers_at_four_addresses_and_ends_everything_it_started(): void
    {
        $port = Port::free();
        $demo = proc_open(
            [Setup::root().'/crag', 'demo', "--port={$port}", '--json', '--students=3'],
            [['file', '/dev/null', 'r'], ['pipe', 'w'], ['file', '/dev/null', 'w']],
            $pipes,
        );
        self::assertIsResource($demo);
        $pid = proc_get_status($demo)['pid'];
        try {
            $told = json_decode((string) fgets($pipes[1]), true);
            self::assertIsArray($told);
            self::assertSame(['desk', 'plans', 'join', 'code', 'screen', 'student', 'schools'], array_keys($told));
            foreach (
                [
                    'desk' => 'id="grid"',
                    'plans' => 'Bridges and Beams',
                    'join' => 'name="name"',
                    'screen' => 'id="shown"',
                    'student' => 'id="tray"',
                    'schools' => 'Sillbeck School',
                ] as $way => $holds
            ) {
                self::assertStringContainsString($holds, $this->open($told[$way]), $way);
            }
            $started = Child::descendants($pid);
            self::assertGreaterThanOrEqual(5, count($started));

            // The class that has gone home does not come back again and again; another part that ends does.
            $class = $this->part($pid, 'class.mjs');
            $queue = $this->part($pid, 'crag:work');
            posix_kill($class, SIGTERM);
            posix_kill($queue, SIGKILL);
            $until = microtime(true) + 20;
            while (in_array($this->part($pid, 'crag:work'), [0, $queue], true) && microtime(true) < $until) {
                usleep(50_000);
            }
            self::assertGreaterThan(0, $this->part($pid, 'crag:work'), 'what keeps Crag going is started again');
            self::assertSame(0, $this->part($pid, 'class.mjs'));
            $started = [...$started, ...Child::descendants($pid)];

            posix_kill($pid, SIGTERM);
            $until = microtime(true) + 10;
            while (proc_get_status($demo)['running'] && microtime(true) < $until) {
                usleep(50_000);
            }
            self::assertFalse(proc_get_status($demo)['running']);
            self::assertSame(
                [],
                array_values(array_filter($started, static fn (int $one): bool => is_dir("/proc/{$one}"))),
            );
        } finally {
            // Whatever failed, nothing stays behind.
            if (proc_get_status($demo)['running']) {
                posix_kill($pid, SIGTERM);
            }
            proc_close($demo);
            Folder::remove(Setup::root()."/storage/run/demo-{$port}");
        }
    }

    /** The process of a part that runs; 0 for none. */
    private function part(int $of, string $command): int
    {
        foreach (Child::descendants($of) as $pid) {
            if (str_contains((string) @file_get_contents("/proc/{$pid}/cmdline"), $command)) {
                return $pid;
            }
        }

        return 0;
    }

    public function test_what_is_typed_wrong_is_said(): void
    {
        foreach ([['dance'], ['demo', '--port=high'], ['test', 'everything'], ['bench']] as $arguments) {
            exec(escapeshellarg(Setup::root().'/crag').' '.implode(' ', $arguments).' 2>&1', $lines, $code);
            self::assertGreaterThan(0, $code, implode(' ', $arguments));
        }
        exec(escapeshellarg(Setup::root().'/crag').' help', $help, $code);
        self::assertSame(0, $code);
        self::assertStringContainsString('doctor', implode("\n", $help));
    }

    /** Follows redirects with the cookies that they set, as a browser does. */
    private function open(string $address): string
    {
        $curl = curl_init($address);
        self::assertNotFalse($curl);
        curl_setopt_array($curl, [
            CURLOPT_RETURNTRANSFER => true,
            CURLOPT_FOLLOWLOCATION => true,
            CURLOPT_COOKIEFILE => '',
            CURLOPT_TIMEOUT => 20,
        ]);

        return (string) curl_exec($curl);
    }
}
