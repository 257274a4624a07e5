<?php

declare(strict_types=1);

namespace Tests\Browser;

use CurlHandle;
use Deploy\Crag;
use Deploy\Folder;
use Deploy\Install\Setup;
use Deploy\Port;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use ReflectionClassConstant;
use Symfony\Component\Process\Process;

/** Crag as docs/operating.md sets it up: a user of its own, TLS in front, and units that start what there is. */
final class ServiceTest extends TestCase
{
    private const NAME = 'crag.sillbeck.test';

    private string $folder;

    /** @var list<Process> */
    private array $started = [];

    protected function setUp(): void
    {
        $this->folder = sys_get_temp_dir().'/crag-service-'.getmypid();
        Folder::make($this->folder);
    }

    protected function tearDown(): void
    {
        foreach (array_reverse($this->started) as $process) {
            $process->stop(8, SIGTERM);
        }
        Folder::remove($this->folder);
    }

    public function test_behind_tls_it_is_one_address_with_every_header_and_believes_its_proxy_alone(): void
    {
        $front = Port::free();
        $port = Port::free();
        $url = 'https://'.self::NAME.":{$front}";
        $this->start(
            [PHP_BINARY, 'crag', 'serve', "--port={$port}", '--host=127.0.0.1'],
            [
                'CRAG_URL' => $url,
                'CRAG_PROXIES' => '127.0.0.1',
                'CRAG_WATCH_FROM' => '127.0.0.1 10.1.2.3',
                'CRAG_TEACHERS' => 'anybody',
            ] + $this->folders(),
        );
        $this->front($front, $port);
        $this->untilUp("http://127.0.0.1:{$port}/up");

        [$status, $head, $body] = $this->ask("{$url}/");
        self::assertSame(200, $status, $body);
        foreach (
            [
                'strict-transport-security: max-age=31536000',
                "content-security-policy: default-src 'self'",
                'x-frame-options: deny',
                'x-content-type-options: nosniff',
                'referrer-policy: same-origin',
                'wss://'.self::NAME,
            ] as $header
        ) {
            self::assertStringContainsString($header, strtolower($head));
        }
        preg_match_all('/^set-cookie: (.*)$/im', $head, $cookies);
        self::assertNotSame([], $cookies[1]);
        foreach ($cookies[1] as $cookie) {
            self::assertMatchesRegularExpression('/secure/i', $cookie);
            // The one that scripts may read is worth nothing without the session's.
            if (! str_starts_with($cookie, 'XSRF-TOKEN')) {
                self::assertMatchesRegularExpression('/httponly/i', $cookie);
            }
            self::assertMatchesRegularExpression('/samesite/i', $cookie);
        }
        self::assertStringContainsString("action=\"{$url}/start\"", $body);
        self::assertStringNotContainsString('http://', (string) preg_replace('#http://www\.w3\.org#', '', $body));

        // Under another name it is not this server, and nobody's word for the way is taken but the proxy's.
        self::assertSame(421, $this->ask("http://127.0.0.1:{$port}/")[0]);
        self::assertSame(421, $this->ask("{$url}/", ['Host: evil.example'])[0]);
        // Its parts may still be starting.
        $until = microtime(true) + 30;
        while (($health = $this->ask("http://127.0.0.1:{$port}/health")[0]) === 503 && microtime(true) < $until) {
            usleep(100_000);
        }
        self::assertSame(200, $health);
        self::assertSame(200, $this->ask("http://127.0.0.1:{$port}/metrics", ['X-Forwarded-For: 10.1.2.3'])[0]);
        self::assertSame(403, $this->ask("http://127.0.0.1:{$port}/metrics", ['X-Forwarded-For: 10.9.9.9'])[0]);
        self::assertSame(403, $this->ask("http://127.0.0.1:{$port}/health", ['X-Forwarded-For: 10.9.9.9'])[0]);
        // A socket through both.
        self::assertSame(
            403,
            $this->ask("{$url}/live/desk/01hzzzzzzzzzzzzzzzzzzzzzzz", [
                'Connection: Upgrade',
                'Upgrade: websocket',
                'Sec-WebSocket-Version: 13',
                'Sec-WebSocket-Key: dGhlIHNhbXBsZSBub25jZQ==',
            ])[0],
        );
    }

    public function test_a_user_without_rights_runs_it_from_a_folder_that_cannot_be_written(): void
    {
        if (posix_geteuid() !== 0) {
            self::markTestSkipped('It takes root to become somebody else.');
        }
        // As the setting up has it: the project is root's, and everybody may read it.
        (new Process(['chmod', '-R', 'go+rX', 'vendor', 'public', 'storage/setup'], Setup::root()))->mustRun();
        if (
            (new Process([
                'setpriv',
                '--reuid=65534',
                '--regid=65534',
                '--clear-groups',
                'test',
                '-r',
                Setup::root().'/vendor/autoload.php',
            ]))->run() !== 0
        ) {
            self::markTestSkipped('The project lies in a folder that only root may enter.');
        }
        chown($this->folder, 65534);
        chgrp($this->folder, 65534);
        $port = Port::free();
        $as = [
            'setpriv',
            '--reuid=65534',
            '--regid=65534',
            '--clear-groups',
            '--no-new-privs',
            '--bounding-set=-all',
            'env',
            "HOME={$this->folder}",
            "TMPDIR={$this->folder}",
        ];
        $serve = $this->start(
            [...$as, PHP_BINARY, 'crag', 'serve', "--port={$port}", '--host=127.0.0.1'],
            $this->folders(),
        );
        $this->untilUp("http://127.0.0.1:{$port}/up", $serve);
        [$status, , $body] = $this->ask("http://127.0.0.1:{$port}/");
        self::assertSame(200, $status, $body);
        $backup = new Process(
            [...$as, PHP_BINARY, 'crag', 'backup', "--into={$this->folder}/backups"],
            Setup::root(),
            $this->folders(),
        );
        $backup->mustRun();
        self::assertStringContainsString('read again and compared', $backup->getOutput());
    }

    public function test_once_it_is_installed_a_start_fetches_nothing(): void
    {
        // In place of what could fetch something stand programs that only note that they were asked.
        $fake = "{$this->folder}/fake";
        Folder::make($fake);
        foreach (['composer', 'npm', 'apt-get', 'sudo', 'curl', 'git'] as $program) {
            file_put_contents("{$fake}/{$program}", "#!/bin/sh\necho {$program} >> {$fake}/asked\nexit 1\n");
            chmod("{$fake}/{$program}", 0o755);
        }
        $port = Port::free();
        $serve = $this->start(
            [PHP_BINARY, 'crag', 'serve', "--port={$port}", '--host=127.0.0.1'],
            ['PATH' => "{$fake}:".getenv('PATH')] + $this->folders(),
        );
        $this->untilUp("http://127.0.0.1:{$port}/up", $serve);
        self::assertFileDoesNotExist("{$fake}/asked");
    }

    /** @return iterable<string, array{string}> */
    public static function units(): iterable
    {
        foreach (glob(Setup::root().'/deploy/systemd/*.service') ?: [] as $file) {
            yield basename($file) => [$file];
        }
    }

    #[DataProvider('units')]
    public function test_a_unit_starts_a_command_that_there_is_with_settings_that_are_read(string $file): void
    {
        $text = (string) file_get_contents($file);
        self::assertSame(1, preg_match('#^ExecStart=/opt/crag/crag (\w+)#m', $text, $found));
        self::assertArrayHasKey($found[1], (array) (new ReflectionClassConstant(Crag::class, 'COMMANDS'))->getValue());
        preg_match_all('/\bCRAG_[A-Z_]+/', $text, $names);
        $read = (string) file_get_contents(Setup::root().'/deploy/command/Setting.php');
        foreach (array_unique($names[0]) as $name) {
            self::assertStringContainsString("'{$name}'", $read);
        }
        foreach (['User=crag', 'NoNewPrivileges=yes', 'ProtectSystem=strict', 'CapabilityBoundingSet='] as $line) {
            self::assertStringContainsString($line, $text);
        }
        self::assertFileExists(Setup::root().'/deploy/systemd/crag-backup.timer');
    }

    /** The file that ships, with this test's name, ports and certificate in it. */
    private function front(int $port, int $behind): void
    {
        (new Process([
            'openssl',
            'req',
            '-x509',
            '-newkey',
            'rsa:2048',
            '-nodes',
            '-days',
            '2',
            '-subj',
            '/CN='.self::NAME,
            '-keyout',
            "{$this->folder}/key.pem",
            '-out',
            "{$this->folder}/cert.pem",
        ]))->mustRun();
        $text = (string) file_get_contents(Setup::root().'/deploy/front/nginx.conf');
        $text = str_replace(['crag.sillbeck.example', ':8000'], [self::NAME, ":{$behind}"], $text);
        $text = (string) preg_replace(
            [
                '#/etc/letsencrypt/\S+fullchain\.pem#',
                '#/etc/letsencrypt/\S+privkey\.pem#',
                '#listen \[::\]:\d+[^;]*;#',
                '#listen 443#',
                '#listen 80;#',
            ],
            [
                "{$this->folder}/cert.pem",
                "{$this->folder}/key.pem",
                '',
                "listen 127.0.0.1:{$port}",
                'listen 127.0.0.1:'.Port::free().';',
            ],
            $text,
        );
        $temp = implode(
            ' ',
            array_map(fn (string $one): string => "{$one}_temp_path {$this->folder}/{$one};", [
                'client_body',
                'proxy',
                'fastcgi',
                'uwsgi',
                'scgi',
            ]),
        );
        file_put_contents(
            "{$this->folder}/front.conf",
            (posix_geteuid() === 0 ? 'user root; ' : '').
                "daemon off; pid {$this->folder}/front.pid; events {} http { {$temp} {$text} }",
        );
        $this->start([
            '/usr/sbin/nginx',
            '-p',
            $this->folder,
            '-e',
            "{$this->folder}/front.log",
            '-c',
            "{$this->folder}/front.conf",
        ]);
    }

    /** @return array<string, string|false> */
    private function folders(): array
    {
        return ['CRAG_DATA' => "{$this->folder}/data", 'CRAG_RUN_DIR' => "{$this->folder}/run", 'CRAG_RUN' => false];
    }

    /**
     * @param  list<string>  $command
     * @param  array<string, string|false>  $environment
     */
    private function start(array $command, array $environment = []): Process
    {
        $process = new Process($command, Setup::root(), $environment);
        $process->start();

        return $this->started[] = $process;
    }

    private function untilUp(string $address, ?Process $process = null): void
    {
        $until = microtime(true) + 60;
        while (@file_get_contents($address) !== 'up') {
            self::assertLessThan(
                $until,
                microtime(true),
                implode(
                    "\n",
                    array_map(
                        static fn (Process $one): string => $one->getOutput().$one->getErrorOutput(),
                        $this->started,
                    ),
                ),
            );
            self::assertTrue(
                $process === null || $process->isRunning(),
                $process?->getOutput().$process?->getErrorOutput(),
            );
            usleep(100_000);
        }
    }

    /**
     * @param  list<string>  $headers
     * @return array{int, string, string}
     */
    private function ask(string $address, array $headers = []): array
    {
        $curl = curl_init($address);
        self::assertInstanceOf(CurlHandle::class, $curl);
        $port = (int) parse_url($address, PHP_URL_PORT);
        curl_setopt_array($curl, [
            CURLOPT_RETURNTRANSFER => true,
            CURLOPT_HEADER => true,
            CURLOPT_SSL_VERIFYPEER => false,
            CURLOPT_SSL_VERIFYHOST => 0,
            CURLOPT_HTTPHEADER => $headers,
            CURLOPT_RESOLVE => [self::NAME.":{$port}:127.0.0.1"],
            CURLOPT_TIMEOUT => 10,
            CURLOPT_HTTP_VERSION => CURL_HTTP_VERSION_1_1,
        ]);
        $answer = (string) curl_exec($curl);
        $head = (int) curl_getinfo($curl, CURLINFO_HEADER_SIZE);

        return [(int) curl_getinfo($curl, CURLINFO_RESPONSE_CODE), substr($answer, 0, $head), substr($answer, $head)];
    }
}
