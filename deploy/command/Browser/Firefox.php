<?php

declare(strict_types=1);

namespace Deploy\Browser;

use Deploy\Child;
use Deploy\Folder;
use Deploy\Port;
use Deploy\Problem;

/** A headless Firefox of our own: for each person a window with cookies and databases of its own. */
final class Firefox implements Browsers
{
    /** Nothing is fetched, updated, asked or told. */
    private const SETTINGS = [
        'app.update.enabled' => false,
        'browser.shell.checkDefaultBrowser' => false,
        'datareporting.policy.dataSubmissionEnabled' => false,
        'extensions.update.enabled' => false,
        'network.captive-portal-service.enabled' => false,
        'services.settings.server' => 'http://127.0.0.1:9/',
        'toolkit.telemetry.enabled' => false,
    ];

    /** @param  list<Page>  $pages */
    private function __construct(
        private readonly Child $program,
        private readonly BidiSocket $socket,
        private readonly string $folder,
        private array $pages = [],
    ) {
    }

    public static function start(): self
    {
        $port = Port::free();
        $folder = sys_get_temp_dir()."/crag-firefox-{$port}";
        Folder::make($folder);
        $lines = '';
        foreach (self::SETTINGS as $name => $value) {
            $lines .= 'user_pref('.json_encode($name).', '.json_encode($value).");\n";
        }
        file_put_contents("{$folder}/user.js", $lines);
        $program = new Child(
            'firefox',
            [
                '/usr/bin/firefox-esr', '--headless', '--no-remote',
                '--profile', $folder, "--remote-debugging-port={$port}",
            ],
            "{$folder}/firefox.log",
            ['HOME' => $folder, 'TMPDIR' => $folder],
        );
        $program->start();
        $until = microtime(true) + 60;
        while (! str_contains((string) file_get_contents("{$folder}/firefox.log"), 'BiDi listening')) {
            if (microtime(true) > $until || ! $program->isRunning()) {
                $program->stop();
                throw new Problem("Firefox did not start:\n".$program->lastWords());
            }
            usleep(100_000);
        }
        $socket = BidiSocket::open($port);
        $socket->ask('session.new', ['capabilities' => (object) []]);

        return new self($program, $socket, $folder);
    }

    public function open(int $width = 1280, int $height = 800): Page
    {
        $page = new Page(new BidiDriver($this->socket));
        $page->emulate($width, $height);

        return $this->pages[] = $page;
    }

    public function giveBack(Page $page): void
    {
        if ($page->driver instanceof BidiDriver) {
            $page->driver->end();
        }
        $this->pages = array_values(array_filter($this->pages, static fn (Page $one): bool => $one !== $page));
    }

    public function stop(): void
    {
        $this->socket->close();
        $this->program->stop();
        Folder::remove($this->folder);
    }
}
