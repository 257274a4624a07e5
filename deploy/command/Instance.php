<?php

declare(strict_types=1);

namespace Deploy;

use Deploy\Install\Setup;
use Deploy\Keep\DataLock;

/**
 * One running Crag: nginx, php-fpm and a queue worker on a port of its own, everything that they need at run time
 * in one folder under storage/run/. Several live side by side.
 */
final class Instance
{
    /** What a part listens at in the instance's folder. */
    private const SOCKETS = [
        'nginx' => ['publish', 'gate', 'live'],
        'php-fpm' => ['php-live', 'php-watch', 'php-page', 'php-dear'],
        'answer' => ['answer-live', 'answer-page'],
    ];

    /** What answers requests. */
    public const ANSWERING = ['answer', 'php-fpm'];

    /** Pools of workers that stay started, and the seconds that a request may take there. */
    private const POOLS = ['live' => 30, 'page' => 60];

    /** What PHP takes only as it starts. */
    private const SPEED_UPS = [
        'opcache.jit=disable',
        'opcache.validate_timestamps=0',
        'opcache.memory_consumption=128',
        'opcache.max_accelerated_files=20000',
        'realpath_cache_size=4M',
    ];

    /** The front looks every second, and believes it the third time. */
    private const LEAVES_S = 4;

    /** After so many seconds a folder that nobody runs in is one that was left. */
    private const LEFT_S = 3600;

    /** Where nothing else is said: enough for a few nodes, and few enough to wait beside each other. */
    private const PARTS = 4;

    /** @var array<string, Child> */
    private array $children = [];

    /** @var ?resource held while this process lives: two on the same data would spoil each other's work */
    private $lock = null;

    /** @var array<string, true> parts that are not started again when they end */
    private array $once = [];

    /** @param  string  $data where what is kept lives */
    private function __construct(
        public readonly string $run,
        public readonly string $data,
        public readonly string $host,
        public readonly int $port,
        private readonly bool $demo,
    ) {
    }

    /** An instance whose data lives on between starts. */
    public static function lasting(string $host, int $port): self
    {
        return new self(Setting::run($port), Setting::data(), $host, $port, false);
    }

    /** With folders of its own choice, for this machine alone. */
    public static function in(string $run, string $data, int $port, bool $demo): self
    {
        return new self($run, $data, '127.0.0.1', $port, $demo);
    }

    /** An instance with empty data at each start. */
    public static function fresh(string $name, string $host, int $port, bool $demo): self
    {
        self::sweep(Setup::root()."/storage/run/{$name}");
        $run = Setup::root()."/storage/run/{$name}-{$port}";
        Folder::remove("{$run}/data");
        Folder::remove("{$run}/cache");
        array_map(unlink(...), glob("{$run}/*.log") ?: []);

        return new self($run, "{$run}/data", $host, $port, $demo);
    }

    /**
     * What is left of those that were killed outright, and whose port nobody will choose again.
     *
     * @param  string  $runs  how their folders' paths begin
     */
    public static function sweep(string $runs): void
    {
        foreach (glob("{$runs}-*/data/lock") ?: [] as $file) {
            // One that is only just starting has made this file and not taken it yet.
            if (filemtime($file) > time() - self::LEFT_S) {
                continue;
            }
            try {
                $lock = DataLock::take(dirname($file));
            } catch (Problem) {
                continue;
            }
            $left = self::in(dirname($file, 2), dirname($file), 0, false);
            $left->endLeftovers();
            Folder::remove($left->counts());
            $left->removeAll();
            fclose($lock);
        }
    }

    public function address(): string
    {
        $host = $this->host === '0.0.0.0' ? '127.0.0.1' : $this->host;

        return "http://{$host}:{$this->port}";
    }

    /** @return array<string, string> what the application is told */
    public function environment(): array
    {
        return [
            'APP_ENV' => 'production',
            'APP_DEBUG' => 'false',
            'APP_KEY' => $this->key(),
            'APP_URL' => $this->address(),
            'CRAG_RUN' => $this->run,
            'CRAG_DATA' => $this->data,
            'CRAG_DATABASE_URL' => Setting::database(),
            'CRAG_REDIS_URL' => Setting::redis(),
            'CRAG_NODE' => $this->nodeName(),
            'CRAG_LOG' => Setting::logsJson() ? 'json' : '',
            'CRAG_URL' => Setting::url(),
            'CRAG_TEACHERS' => Setting::teachers(),
            'CRAG_ZONE' => Setting::zone(),
            'CRAG_DECIMAL' => Setting::decimal(),
            'CRAG_MONEY' => Setting::money(),
            'CRAG_COUNTS' => $this->counts(),
            // Half-made files lie with the data, and go when it is started again.
            'TMPDIR' => $this->tmp(),
            'CRAG_DEMO' => $this->demo ? 'true' : 'false',
            ...$this->demo ? self::shown() : [],
            'DB_DATABASE' => "{$this->data}/crag.sqlite",
            'FONTCONFIG_FILE' => "{$this->run}/fonts.conf",
            'VIEW_COMPILED_PATH' => Setup::root().'/'.Setup::VIEWS,
            'APP_CONFIG_CACHE' => "{$this->run}/cache/config.php",
            'APP_ROUTES_CACHE' => "{$this->run}/cache/routes.php",
            'APP_EVENTS_CACHE' => "{$this->run}/cache/events.php",
            'APP_SERVICES_CACHE' => "{$this->run}/cache/services.php",
            'APP_PACKAGES_CACHE' => "{$this->run}/cache/packages.php",
        ];
    }

    /** @return array<string, string> what is off by itself, and on in the demo where nobody says otherwise */
    private static function shown(): array
    {
        $shown = [
            'CRAG_RECORDING' => '1',
            'CRAG_LIVE_TALK' => '1',
            'CRAG_OIDC_ISSUER' => '/simulated-accounts',
            'CRAG_OIDC_NAME' => 'your Sillbeck account',
        ];

        return array_filter($shown, static fn (string $name): bool => getenv($name) === false, ARRAY_FILTER_USE_KEY);
    }

    /** Starts everything and returns when it answers. */
    public function start(): void
    {
        if (strlen("{$this->run}/php-watch.sock") > 107) {
            throw new Problem(
                "The project's folder is too deep: a socket's path may have 107 characters, and {$this->run}/php-watch.sock has ".
                    strlen("{$this->run}/php-watch.sock").
                    '.',
            );
        }
        Setting::isDistrict();
        $this->lock = DataLock::take($this->data, $this->nodeName());
        $this->endLeftovers();
        if (Port::isTaken($this->host, $this->port)) {
            throw new Problem("Port {$this->port} is taken. Choose another with --port=N.");
        }
        $this->makeReady();
        // php-fpm compiles its classes while the tables are made; nobody reaches it before nginx is there.
        $this->startOne('php-fpm');
        try {
            Shell::run([PHP_BINARY, 'artisan', 'crag:prepare'], Setup::root(), $this->environment());
        } catch (Problem $problem) {
            $this->stop();
            throw $problem;
        }
        $this->startOne('answer');
        $this->startOne('nginx');
        $this->startOne('queue');
        foreach (self::keeperNames() as $keeper) {
            $this->startOne($keeper);
        }
        $this->waitUntilItAnswers();
    }

    public function startOne(string $name): void
    {
        $command = match ($name) {
            'php-fpm' => [
                '/usr/sbin/php-fpm8.2',
                '--nodaemonize',
                ...posix_geteuid() === 0 ? ['--allow-to-run-as-root'] : [],
                '--fpm-config',
                "{$this->run}/php-fpm.conf",
                ...self::settings(self::SPEED_UPS),
            ],
            'nginx' => [
                '/usr/sbin/nginx',
                '-p',
                $this->run,
                '-e',
                "{$this->run}/nginx.log",
                '-c',
                "{$this->run}/nginx.conf",
            ],
            'answer' => [
                PHP_BINARY,
                ...self::settings([
                    ...self::SPEED_UPS,
                    'opcache.enable_cli=1',
                    // It takes what is newer than the process for half written, and would compile each view each time.
                    'opcache.file_update_protection=0',
                    'memory_limit=256M',
                    'display_errors=off',
                    'log_errors=on',
                    "error_log={$this->run}/php.log",
                ]),
                'deploy/answer/answer.php',
                ...array_map(
                    static fn (string $pool, int $longest): string => "{$pool}:".self::workers().":{$longest}",
                    array_keys(self::POOLS),
                    self::POOLS,
                ),
            ],
            'queue' => [PHP_BINARY, 'artisan', 'crag:work'],
            "keep-{$this->part($name)}" => [PHP_BINARY, 'artisan', 'crag:keep', "--part={$this->part($name)}"],
            default => throw new Problem("There is no part called {$name}."),
        };
        $this->launch($name, $command);
    }

    private function part(string $name): int
    {
        return (int) substr($name, 5);
    }

    /** @return list<string> */
    public static function keeperNames(): array
    {
        return array_map(static fn (int $part): string => "keep-{$part}", range(0, self::keepers() - 1));
    }

    /**
     * How many keepers share the sessions. SQLite has one writer at a time, so that few are enough. Where several nodes
     * share their sessions each has a keeper for each part, and one of them has it.
     */
    private static function keepers(): int
    {
        return Setting::keepers() ?? (Setting::isDistrict() ? self::PARTS : max(1, min(4, intdiv(self::cores(), 4))));
    }

    /** What tells this node from the others; empty where there is one. */
    public function nodeName(): string
    {
        return Setting::isDistrict() ? php_uname('n')."-{$this->port}" : '';
    }

    /** Half-made files: with the data, each node's own. */
    private function tmp(): string
    {
        return "{$this->data}/tmp".($this->nodeName() === '' ? '' : "/{$this->nodeName()}");
    }

    /**
     * Where tries are counted for a minute: in memory, where the machine has such a folder. On a disk each count waited
     * behind what is stored.
     */
    private function counts(): string
    {
        $folder = '/dev/shm/crag-'.posix_geteuid().'-'.md5($this->run);
        clearstatcache();
        // What somebody else has put there is not ours.
        $isOurs = file_exists($folder) || is_link($folder)
            ? @fileowner($folder) === posix_geteuid() && ! is_link($folder) && (fileperms($folder) & 0o77) === 0
            : is_dir('/dev/shm') && is_writable('/dev/shm');

        return $isOurs ? $folder : "{$this->run}/cache/data";
    }

    private static function cores(): int
    {
        return max(1, (int) shell_exec('nproc'));
    }

    /** @return string what nginx needs to share sessions among them: the first share each, the rest to the last */
    private static function shares(): string
    {
        $n = self::keepers();
        $lines = [];
        for ($part = 0; $part < $n - 1; $part++) {
            $lines[] = sprintf('%.2F%% %d;', 100 / $n, $part);
        }

        return implode(' ', [...$lines, '* '.($n - 1).';']);
    }

    /**
     * @param  list<string>  $settings
     * @return list<string>
     */
    private static function settings(array $settings): array
    {
        return array_merge(...array_map(static fn (string $setting): array => ['-d', $setting], $settings));
    }

    /** How many answer in a pool: some wait for the database or for nginx while others work. */
    private static function workers(): int
    {
        return max(3, 2 * self::cores());
    }

    /**
     * @param  list<string>  $command
     * @param  bool  $isOnce  whether it has done its work when it ends, and is not started again
     */
    public function launch(string $name, array $command, bool $isOnce = false): void
    {
        if ($isOnce) {
            $this->once[$name] = true;
        }
        $sockets = array_map(fn (string $name): string => "{$this->run}/{$name}.sock", self::SOCKETS[$name] ?? []);
        $child = $this->children[$name] = new Child(
            $name,
            $command,
            "{$this->run}/{$name}.out",
            $this->environment(),
            $sockets,
        );
        $child->start();
        $this->note($name, $child);
    }

    /** @return list<string> everything that it starts */
    public static function parts(): array
    {
        return ['nginx', ...self::ANSWERING, ...self::keeperNames(), 'queue'];
    }

    public function child(string $name): Child
    {
        return $this->children[$name] ?? throw new Problem("{$name} was not started.");
    }

    /** Stays until asked to stop; a part that dies is started again. */
    public function superviseUntilAsked(): void
    {
        $asked = false;
        pcntl_async_signals(true);
        foreach ([SIGINT, SIGTERM, SIGHUP] as $signal) {
            pcntl_signal($signal, static function () use (&$asked): void {
                $asked = true;
            });
        }
        $logs = Setting::logsJson() ? new LogLines($this->run, $this->nodeName()) : null;
        while (! $asked) {
            usleep(200_000);
            array_map(Console::say(...), $logs?->since() ?? []);
            // @phpstan-ignore booleanOr.leftAlwaysFalse (a signal sets it)
            $asked || $this->tend();
        }
        $this->leave();
    }

    /** Starts again what has ended. */
    public function tend(): void
    {
        $this->closeSockets();
        foreach ($this->children as $name => $child) {
            if (! $child->isRunning()) {
                $this->wentDown($name, $child);
            }
        }
    }

    /**
     * A part has ended. Whatever it left running goes with it, and it is started again, after a while that grows if it
     * keeps ending.
     */
    private function wentDown(string $name, Child $child): void
    {
        if (isset($this->once[$name])) {
            Console::step("{$name} has ended");
            unset($this->children[$name]);

            return;
        }
        if ($child->startsAgainIn() > 0) {
            return;
        }
        Console::step("{$name} ended; starting it again");
        $child->start();
        $this->note($name, $child);
    }

    /** nginx makes its sockets for everybody; they are nobody's but ours. */
    private function closeSockets(): void
    {
        clearstatcache();
        foreach (glob("{$this->run}/*.sock") ?: [] as $socket) {
            if (((int) @fileperms($socket) & 0o777) !== 0o600) {
                @chmod($socket, 0o600);
            }
        }
    }

    private function note(string $name, Child $child): void
    {
        file_put_contents("{$this->run}/{$name}.started", (string) $child->pid());
    }

    /** Everything at once and without a word, as when the machine goes off. */
    public function kill(): void
    {
        foreach ($this->children as $child) {
            foreach (Child::descendants($child->pid()) as $pid) {
                posix_kill($pid, SIGKILL);
            }
            $child->endGroup();
        }
        $this->stop();
    }

    /** As one of several: it says that it goes, so that the front sends nobody here any more, and then stops. */
    public function leave(): void
    {
        if ($this->nodeName() !== '') {
            touch("{$this->run}/leaving");
            sleep(self::LEAVES_S);
        }
        $this->stop();
    }

    /** Ends every process that was started, the last one first. */
    public function stop(): void
    {
        foreach (array_reverse($this->children) as $name => $child) {
            $child->stop();
            @unlink("{$this->run}/{$name}.started");
        }
        $this->children = [];
        // Whoever was refused because another runs here takes nothing of that one's.
        if ($this->lock !== null) {
            Folder::remove($this->counts());
            fclose($this->lock);
            $this->lock = null;
        }
    }

    public function removeAll(): void
    {
        Folder::remove($this->run);
    }

    private function makeReady(): void
    {
        @unlink("{$this->run}/leaving");
        foreach ([$this->tmp(), $this->counts()] as $anew) {
            Folder::remove($anew);
            Folder::make($anew);
        }
        foreach (['tmp', 'cache/data', 'cache/fonts'] as $folder) {
            Folder::make("{$this->run}/{$folder}");
        }
        Folder::make("{$this->data}/web-sessions");
        foreach ([...glob("{$this->run}/cache/*.php") ?: [], ...glob("{$this->run}/*.out") ?: []] as $file) {
            unlink($file);
        }
        $this->render();
    }

    private function render(): void
    {
        $asRoot = posix_geteuid() === 0;
        $cores = self::cores();
        $fill = [
            'run' => $this->run,
            'root' => Setup::root(),
            'host' => $this->host,
            'port' => (string) $this->port,
            // As many as the machine lets us open, to a measure.
            'files' => (string) min(
                16384,
                is_int($most = posix_getrlimit()['hard openfiles'] ?? 0) ? max(1024, $most) : 16384,
            ),
            'workers' => (string) max(1, intdiv($cores, 2)),
            'live_children' => (string) self::workers(),
            'page_children' => (string) self::workers(),
            'dear_children' => (string) max(2, $cores),
            'https' => str_starts_with(Setting::url(), 'https://') ? 'on' : '',
            'proxies' => Setting::proxies() === []
                    ? ''
                    : implode(
                        ' ',
                        array_map(static fn (string $one): string => "set_real_ip_from {$one};", Setting::proxies()),
                    ).' real_ip_header X-Forwarded-For; real_ip_recursive on;',
            'watchers' => implode(
                ' ',
                array_map(static fn (string $one): string => "allow {$one};", Setting::watchers()),
            ),
            'keepers' => self::shares(),
            'shared_channels' => Setting::redis() === ''
                ? ''
                : 'upstream shared { nchan_redis_server "'.Setting::redis().'"; } nchan_redis_pass shared;',
            'nice' => $asRoot ? '4' : '0',
            'tmp' => $this->tmp(),
        ];
        $files = [
            'nginx/nginx.conf' => $asRoot ? 'user root;' : '',
            'nginx/fastcgi.conf' => '',
            'php-fpm/php-fpm.conf' => $asRoot ? "user = root\ngroup = root" : '',
            'fontconfig/fonts.conf' => '',
        ];
        foreach ($files as $file => $user) {
            $text = (string) file_get_contents(Setup::root()."/deploy/{$file}");
            foreach ([...$fill, 'user' => $user] as $name => $value) {
                $text = str_replace('{{'.$name.'}}', $value, $text);
            }
            file_put_contents($this->run.'/'.basename($file), $text);
            chmod($this->run.'/'.basename($file), 0o600);
        }
    }

    private function waitUntilItAnswers(): void
    {
        $until = microtime(true) + 20;
        $context = stream_context_create(['http' => ['timeout' => 5, 'ignore_errors' => true]]);
        while (microtime(true) < $until) {
            foreach ($this->children as $name => $child) {
                if (! $child->isRunning()) {
                    $words = $child->lastWords();
                    $this->stop();
                    throw new Problem(
                        "{$name} ended as soon as it was started:\n{$words}\n".
                            (string) @file_get_contents("{$this->run}/{$name}.log"),
                    );
                }
            }
            $answer = file_exists("{$this->run}/php-live.sock")
                ? @file_get_contents($this->address().'/up', false, $context)
                : false;
            if ($answer !== false && str_contains($http_response_header[0] ?? '', '200')) {
                $this->closeSockets();

                return;
            }
            usleep(30_000);
        }
        $this->stop();
        throw new Problem("Nothing answered at {$this->address()} within 20 s; see {$this->run}/*.log.");
    }

    /** What an earlier start in this folder left running, should it have been killed outright. */
    private function endLeftovers(): void
    {
        foreach (glob("{$this->run}/*.started") ?: [] as $file) {
            $group = (int) file_get_contents($file);
            // Inside an instance's own process, as a test or a bench is, its parts are not leftovers.
            if ($group > 1 && getenv('CRAG_RUN') !== $this->run && Child::isGroupOf($group, $this->run)) {
                Child::killGroup($group);
                usleep(100_000);
            }
            unlink($file);
        }
    }

    /** The application's key, made once for each place where data is kept. */
    private function key(): string
    {
        $file = "{$this->data}/app.key";
        if (! is_file($file)) {
            Folder::make($this->data);
            $made = "{$file}-".getmypid();
            file_put_contents($made, 'base64:'.base64_encode(random_bytes(32)));
            chmod($made, 0o600);
            // Of several nodes that start together one makes it: a link is made whole, and once.
            @link($made, $file);
            unlink($made);
        }

        return (string) file_get_contents($file);
    }
}
