<?php

declare(strict_types=1);

namespace Deploy\Bench;

use Deploy\Browser\Chrome;
use Deploy\Browser\Page;
use Deploy\Child;
use Deploy\Console;
use Deploy\DemoClass;
use Deploy\Folder;
use Deploy\Install\Setup;
use Deploy\Instance;
use Deploy\Port;
use Deploy\Problem;
use Deploy\SimulatedClass;
use PDO;
use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * A class of simulated students draws while everything beneath it is broken, by a plan that a seed decides: workers
 * that answer pages and what starts them, php-fpm, nginx, the keeper, the queue and the whole of `crag` are killed,
 * the disk fills, the database is locked, sockets are cut, batches come twice and out of order. Afterwards every
 * stroke that was acknowledged must be in the log once, under the number that was told, and students' pages, a desk
 * that was open all the time and the database must agree.
 */
final class BenchFaults
{
    /** How often each kind comes, in shares. */
    private const KINDS = [
        'worker' => 4,
        'answer' => 2,
        'php-fpm' => 1,
        'nginx' => 2,
        'queue' => 1,
        'keep-0' => 3,
        'crag' => 2,
        'locked' => 2,
        'full' => 1,
        'stopped' => 2,
        'cut' => 3,
        'twice' => 3,
        'turned' => 3,
    ];

    private const DATA_MB = 96;

    /** @var ?resource */
    private $serve = null;

    private ?SimulatedClass $class = null;

    private readonly string $folder;

    private readonly int $port;

    private readonly Randomizer $chance;

    private bool $isMounted = false;

    public function __construct(
        private readonly int $count,
        private readonly int $students,
        int $seed,
        private readonly bool $withDesk = true,
    ) {
        $this->port = Port::free();
        $this->folder = Setup::root()."/storage/run/faults-{$this->port}";
        $this->chance = new Randomizer(new Mt19937($seed));
    }

    /** @return array<string, mixed> */
    public function measure(): array
    {
        Folder::make("{$this->folder}/data");
        // A disk of its own can be filled; it takes root to have one.
        exec(
            'mount -t tmpfs -o size='.
                self::DATA_MB.
                'm,mode=700 tmpfs '.
                escapeshellarg("{$this->folder}/data").
                ' 2>/dev/null',
            result_code: $code,
        );
        $this->isMounted = $code === 0;
        $chrome = null;
        try {
            $this->serve();
            $this->untilUp();
            $addresses = DemoClass::seed(
                [
                    'CRAG_DEMO' => 'true',
                    'APP_CONFIG_CACHE' => "{$this->folder}/no-config.php",
                    'APP_ROUTES_CACHE' => "{$this->folder}/no-routes.php",
                ] +
                    $this->environment() +
                    $this->instance()->environment(),
            );
            $report = "{$this->folder}/report.json";
            $this->class = $class = new SimulatedClass(
                'endure',
                "http://127.0.0.1:{$this->port}",
                $addresses['code'],
                (string) $this->students,
                $report,
            );
            $class->hear('joined', 60);
            $chrome = $this->withDesk ? Chrome::start() : null;
            $desk = $chrome
                ?->open(1280, 1600)
                ->visit("http://127.0.0.1:{$this->port}".(string) parse_url($addresses['desk'], PHP_URL_PATH));
            $done = $this->break();
            $class->say('end');
            $class->hear('done', 150);

            return ['faults' => array_sum($done), 'kinds' => $done] +
                EnduredLog::compare($this->database(), $report) + [
                    'desk' => $desk === null || $chrome === null ? null : $this->deskAgrees($chrome, $desk),
                ];
        } finally {
            $chrome?->stop();
            $this->end();
        }
    }

    /** @return array<string, int> how many of each kind there were */
    private function break(): array
    {
        $kinds = $this->isMounted ? self::KINDS : array_diff_key(self::KINDS, ['full' => 0]);
        $bag = array_merge(
            ...array_map(
                static fn (string $kind, int $share): array => array_fill(0, $share, $kind),
                array_keys($kinds),
                $kinds,
            ),
        );
        $done = array_fill_keys(array_keys($kinds), 0);
        for ($i = 0; $i < $this->count; $i++) {
            // Each kind comes at least once, if there are enough.
            $kind = $i < count($kinds) ? array_keys($kinds)[$i] : $bag[$this->chance->getInt(0, count($bag) - 1)];
            $this->fault($kind);
            $done[$kind]++;
            usleep($this->chance->getInt(200, 900) * 1000);
            if ($i % 10 === 9) {
                Console::step($i + 1 ." of {$this->count} faults");
            }
        }
        $this->untilUp();

        return $done;
    }

    private function fault(string $kind): void
    {
        match ($kind) {
            'worker' => $this->kill($this->one(Child::descendants($this->part('answer')))),
            'answer', 'php-fpm', 'nginx', 'queue', 'keep-0' => $this->kill($this->part($kind)),
            'crag' => $this->restart(),
            'locked' => $this->lock($this->chance->getInt(500, 3000)),
            'full' => $this->fill($this->chance->getInt(1000, 3000)),
            'stopped' => $this->stop(
                $this->one([
                    ...Child::descendants($this->part('nginx')),
                    ...Child::descendants($this->part('answer')),
                    ...Child::descendants($this->part('php-fpm')),
                    $this->part('keep-0'),
                ]),
                $this->chance->getInt(300, 2000),
            ),
            default => $this->class?->say($kind),
        };
    }

    /** @param  list<int>  $pids */
    private function one(array $pids): int
    {
        return $pids === [] ? 0 : $pids[$this->chance->getInt(0, count($pids) - 1)];
    }

    private function kill(int $pid): void
    {
        if ($pid > 1) {
            @posix_kill($pid, SIGKILL);
        }
    }

    private function stop(int $pid, int $ms): void
    {
        if ($pid > 1 && @posix_kill($pid, SIGSTOP)) {
            usleep($ms * 1000);
            @posix_kill($pid, SIGCONT);
        }
    }

    /** The supervisor is killed outright, and somebody starts it again. */
    private function restart(): void
    {
        if ($this->serve !== null) {
            posix_kill(proc_get_status($this->serve)['pid'], SIGKILL);
            proc_close($this->serve);
        }
        usleep(300_000);
        $this->serve();
        $this->untilUp();
    }

    private function lock(int $ms): void
    {
        $database = $this->database();
        try {
            $database->exec('begin immediate');
            usleep($ms * 1000);
            $database->exec('rollback');
        } catch (\PDOException) {
            // It was locked by another: just as well.
        }
    }

    private function fill(int $ms): void
    {
        $file = fopen("{$this->folder}/data/ballast", 'w');
        while ($file !== false && @fwrite($file, str_repeat('x', 1 << 16)) === 1 << 16) {
            continue;
        }
        usleep($ms * 1000);
        if ($file !== false) {
            fclose($file);
        }
        @unlink("{$this->folder}/data/ballast");
    }

    private function part(string $name): int
    {
        return (int) @file_get_contents("{$this->folder}/run/{$name}.started");
    }

    /**
     * The desk that was open all the time shows each canvas as one that is opened now does.
     *
     * @return array{tiles: int, differ: int}
     */
    private function deskAgrees(Chrome $chrome, Page $desk): array
    {
        $fresh = $chrome->open(1280, 1600);
        $fresh->visit("http://127.0.0.1:{$this->port}/up");
        foreach ($desk->driver->manage()->getCookies() as $cookie) {
            $fresh->driver
                ->manage()
                ->addCookie(['name' => $cookie->getName(), 'value' => $cookie->getValue(), 'path' => '/']);
        }
        $fresh->visit($desk->driver->getCurrentURL())->find('#grid[data-ready]');
        /** @return array<string, string> */
        $pictures = static fn (Page $page): array => (array) $page->run(
            'return Object.fromEntries([...document.querySelectorAll(".tile")].map((tile) => [tile.dataset.seat, [...tile.querySelectorAll("canvas")].map((one) => one.toDataURL()).join(" ")]))',
        );
        $differ = [];
        $until = microtime(true) + 40;
        do {
            usleep(500_000);
            $expected = $pictures($fresh);
            $differ = array_diff_assoc($expected, $pictures($desk));
        } while (($differ !== [] || $expected === []) && microtime(true) < $until);

        return ['tiles' => count($expected), 'differ' => count($differ)];
    }

    private function database(): PDO
    {
        $database = new PDO("sqlite:{$this->folder}/data/crag.sqlite");
        $database->exec('pragma busy_timeout = 5000');

        return $database;
    }

    private function instance(): Instance
    {
        putenv("CRAG_DATA={$this->folder}/data");
        putenv("CRAG_RUN_DIR={$this->folder}/run");
        try {
            return Instance::lasting('127.0.0.1', $this->port);
        } finally {
            putenv('CRAG_DATA');
            putenv('CRAG_RUN_DIR');
        }
    }

    /** @return array<string, string> */
    private function environment(): array
    {
        return ['CRAG_DATA' => "{$this->folder}/data", 'CRAG_RUN_DIR' => "{$this->folder}/run"];
    }

    private function serve(): void
    {
        $log = "{$this->folder}/serve.out";
        $process = proc_open(
            [PHP_BINARY, 'crag', 'serve', "--port={$this->port}", '--host=127.0.0.1'],
            [['file', '/dev/null', 'r'], ['file', $log, 'a'], ['file', $log, 'a']],
            $pipes,
            Setup::root(),
            [...getenv(), ...$this->environment()],
        );
        $this->serve = $process === false ? throw new Problem('crag serve could not be started.') : $process;
    }

    private function untilUp(): void
    {
        $until = microtime(true) + 90;
        $context = stream_context_create(['http' => ['timeout' => 3, 'ignore_errors' => true]]);
        while (@file_get_contents("http://127.0.0.1:{$this->port}/up", false, $context) !== 'up') {
            if (microtime(true) > $until) {
                throw new Problem(
                    "Crag did not come up again:\n".(string) @file_get_contents("{$this->folder}/serve.out"),
                );
            }
            usleep(100_000);
        }
    }

    private function end(): void
    {
        $this->class?->end();
        if ($this->serve !== null) {
            $pid = proc_get_status($this->serve)['pid'];
            posix_kill($pid, SIGTERM);
            $until = microtime(true) + 15;
            while (proc_get_status($this->serve)['running'] && microtime(true) < $until) {
                usleep(50_000);
            }
            posix_kill($pid, SIGKILL);
            proc_close($this->serve);
        }
        if ($this->isMounted) {
            exec('umount -l '.escapeshellarg("{$this->folder}/data").' 2>/dev/null');
        }
        Folder::remove($this->folder);
    }
}
