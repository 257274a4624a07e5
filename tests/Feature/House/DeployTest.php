<?php

declare(strict_types=1);

namespace Tests\Feature\House;

use Deploy\Bench\Quantiles;
use Deploy\Bench\Station;
use Deploy\Child;
use Deploy\Folder;
use Deploy\Install\Setup;
use Deploy\LogLines;
use Deploy\Options;
use Deploy\Port;
use Deploy\Problem;
use Deploy\SecondTry;
use Deploy\Shell;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** What `./crag` is made of. */
final class DeployTest extends TestCase
{
    public function test_options_are_names_flags_and_words(): void
    {
        $options = Options::read(['live', '--students=7', '--json', '--host=a=b']);
        self::assertSame(['live'], $options->words);
        self::assertSame(7, $options->whole('students', 40, 1, 200));
        self::assertSame(40, $options->whole('seconds', 40, 1, 200));
        self::assertTrue($options->has('json'));
        self::assertFalse($options->has('quiet'));
        self::assertSame('a=b', $options->text('host', ''));
    }

    #[TestWith(['x'])]
    #[TestWith(['0'])]
    #[TestWith(['201'])]
    #[TestWith(['-1'])]
    #[TestWith(['1.5'])]
    public function test_a_number_out_of_range_is_told_with_its_range(string $typed): void
    {
        $this->expectException(Problem::class);
        $this->expectExceptionMessage('from 1 to 200');
        Options::read(["--students={$typed}"])->whole('students', 40, 1, 200);
    }

    public function test_quantiles_are_values_that_were_measured(): void
    {
        self::assertSame(['p50' => 50.0, 'p95' => 95.0, 'p99' => 99.0], Quantiles::of(range(100, 1), 50, 95, 99));
        self::assertSame(['p50' => 3.5], Quantiles::of([3.5], 50));
        self::assertSame(['p50' => null], Quantiles::of([], 50));
    }

    public function test_what_did_not_pass_is_tried_again_whether_it_failed_or_was_never_begun(): void
    {
        $listed = "Available tests:\n - Tests\\A::test_x\n - Tests\\A::test_y#0\n - Tests\\A::test_y#1\n - Tests\\B::test_z\n";
        $case = static fn (string $class, string $name, string $in = ''): string => "<testcase class=\"Tests\\{$class}\" name=\"{$name}\">{$in}</testcase>";
        $junit = static fn (string ...$cases): string => '<testsuites><testsuite>'.implode('', $cases).'</testsuite></testsuites>';
        $x = $case('A', 'test_x');
        $y = $case('A', 'test_y with data set #0').$case('A', 'test_y with data set #1', '<failure/>');
        self::assertSame(['Tests\A::test_y', 'Tests\B::test_z'], SecondTry::of($listed, $junit($x, $y)));
        self::assertSame(['Tests\B::test_z'], SecondTry::of($listed, $junit($x, $case('A', 'test_y with data set #1'))));
        self::assertSame([], SecondTry::of($listed, ''), 'nothing is known of it');
        $many = implode("\n", array_map(static fn (int $n): string => " - Tests\A::test_{$n}", range(1, 7)));
        self::assertSame([], SecondTry::of($many, $junit()), 'too many for an accident');
    }

    public function test_a_port_is_given_once(): void
    {
        $ports = array_map(static fn (): int => Port::free(), range(1, 20));
        self::assertSame($ports, array_values(array_unique($ports)));
        $code = 'require "vendor/autoload.php"; echo json_encode(array_map(fn () => Deploy\Port::free(), range(1, 20)));';
        $others = json_decode(Shell::output([PHP_BINARY, '-r', $code], Setup::root()), true);
        self::assertSame([], array_intersect($ports, $others));
    }

    public function test_what_parts_log_is_handed_on_once_in_whole_lines_of_json(): void
    {
        $run = sys_get_temp_dir().'/crag-lines-'.getmypid();
        Folder::make($run);
        try {
            $lines = new LogLines($run, 'north-8000');
            self::assertSame([], $lines->since());
            file_put_contents("{$run}/crag.log", '{"message":"a beam","level":400}'."\n".'{"message":"half');
            file_put_contents("{$run}/nginx.log", "no room \xff\n\n");
            file_put_contents("{$run}/stored.log", "1 2 200\n");
            self::assertSame(
                [
                    '{"node":"north-8000","part":"crag","message":"a beam","level":400}',
                    '{"node":"north-8000","part":"nginx","message":"no room �"}',
                ],
                $lines->since(),
            );
            self::assertSame([], $lines->since());
            file_put_contents("{$run}/crag.log", ' a beam"}'."\n", FILE_APPEND);
            self::assertSame(['{"node":"north-8000","part":"crag","message":"half a beam"}'], $lines->since());
            // Begun anew by whoever turns logs over.
            file_put_contents("{$run}/nginx.log", "again\n");
            self::assertSame(['{"node":"north-8000","part":"nginx","message":"again"}'], $lines->since());
        } finally {
            Folder::remove($run);
        }
    }

    public function test_a_station_serves_who_came_first_and_says_how_busy_it_was(): void
    {
        $one = new Station(1);
        self::assertSame([10.0, 20.0, 60.0], [$one->take(0, 10), $one->take(5, 10), $one->take(50, 10)]);
        self::assertSame(0.3, $one->use(100));
        $two = new Station(2);
        self::assertSame([10.0, 15.0, 20.0], [$two->take(0, 10), $two->take(5, 10), $two->take(5, 10)]);
        self::assertSame(0.15, $two->use(100));
    }

    public function test_a_taken_port_is_seen_and_a_free_one_is_free(): void
    {
        $port = Port::free();
        self::assertFalse(Port::isTaken('127.0.0.1', $port));
        $holder = stream_socket_server("tcp://127.0.0.1:{$port}");
        self::assertNotFalse($holder);
        self::assertTrue(Port::isTaken('127.0.0.1', $port));
        fclose($holder);
    }

    public function test_a_child_and_all_below_it_end_even_if_they_do_not_want_to(): void
    {
        $log = (string) tempnam(sys_get_temp_dir(), 'crag');
        $child = new Child('stubborn', ['bash', '-c', 'trap "" TERM; sleep 61 & echo started; wait; wait'], $log, []);
        $child->start();
        $until = microtime(true) + 5;
        while ($child->lastWords() !== 'started' && microtime(true) < $until) {
            usleep(10_000);
        }
        $below = Child::descendants($child->pid());
        self::assertCount(1, $below);
        $child->stop(patience: 0.2);
        self::assertFalse($child->isRunning());
        usleep(50_000);
        foreach ([$child->pid(), ...$below] as $pid) {
            $state = (string) @file_get_contents("/proc/{$pid}/stat");
            self::assertTrue($state === '' || str_contains($state, ') Z '), "{$pid} still runs");
        }
        unlink($log);
    }

    public function test_what_a_killed_part_left_is_gone_when_it_starts_again(): void
    {
        $stale = (string) tempnam(sys_get_temp_dir(), 'crag-socket');
        $log = (string) tempnam(sys_get_temp_dir(), 'crag');
        $child = new Child('part', ['test', '!', '-e', $stale], $log, [], [$stale]);
        $child->start();
        $until = microtime(true) + 5;
        while ($child->isRunning() && microtime(true) < $until) {
            usleep(10_000);
        }
        $child->stop();
        self::assertFileDoesNotExist($stale);
        unlink($log);
    }

    public function test_a_failing_program_is_told_with_its_last_words(): void
    {
        Shell::run(['true'], '/');
        $this->expectException(Problem::class);
        $this->expectExceptionMessage("failed (3):\nno beam is long enough");
        Shell::run(['bash', '-c', 'echo no beam is long enough >&2; exit 3'], '/');
    }

    public function test_a_folder_goes_with_all_that_is_in_it_and_nothing_beyond(): void
    {
        $root = sys_get_temp_dir().'/crag-folder-'.getmypid();
        Folder::make("{$root}/a/b");
        Folder::make("{$root}/kept");
        file_put_contents("{$root}/kept/file", 'x');
        symlink("{$root}/kept", "{$root}/a/link");
        file_put_contents("{$root}/a/b/file", 'x');
        Folder::remove("{$root}/a");
        self::assertDirectoryDoesNotExist("{$root}/a");
        self::assertFileExists("{$root}/kept/file");
        Folder::remove($root);
        self::assertDirectoryDoesNotExist($root);
    }

    public function test_a_part_that_keeps_ending_is_started_again_after_longer_and_longer(): void
    {
        $child = new Child('false', ['false'], '/dev/null', []);
        $waits = [];
        for ($i = 0; $i < 4; $i++) {
            $child->start();
            while ($child->isRunning()) {
                usleep(2000);
            }
            $waits[] = round($child->startsAgainIn(), 1);
        }
        self::assertSame([0.3, 2.0, 4.0, 8.0], $waits);
    }

    public function test_a_project_that_is_moved_is_still_the_same_and_one_that_changes_is_not(): void
    {
        $folder = sys_get_temp_dir().'/crag-moved-'.getmypid();
        try {
            foreach (['here', 'there'] as $place) {
                Folder::make("{$folder}/{$place}/resources/ts");
                file_put_contents("{$folder}/{$place}/resources/ts/desk.ts", 'one');
            }
            $here = Setup::fingerprint(['resources/ts'], "{$folder}/here");
            self::assertSame($here, Setup::fingerprint(['resources/ts'], "{$folder}/there"));
            file_put_contents("{$folder}/there/resources/ts/desk.ts", 'two');
            self::assertNotSame($here, Setup::fingerprint(['resources/ts'], "{$folder}/there"));
            rename("{$folder}/here/resources/ts/desk.ts", "{$folder}/here/resources/ts/seat.ts");
            self::assertNotSame($here, Setup::fingerprint(['resources/ts'], "{$folder}/here"));
        } finally {
            Folder::remove($folder);
        }
    }
}
