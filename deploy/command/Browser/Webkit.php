<?php

declare(strict_types=1);

namespace Deploy\Browser;

use Deploy\Child;
use Deploy\Folder;
use Deploy\Port;
use Deploy\Problem;
use Facebook\WebDriver\Remote\DesiredCapabilities;
use Facebook\WebDriver\Remote\RemoteWebDriver;

/** WebKitGTK's MiniBrowser in a window that nobody sees. A driver opens one at a time, so each person has a driver. */
final class Webkit implements Browsers
{
    private const PROGRAM = '/usr/lib/x86_64-linux-gnu/webkit2gtk-4.1/MiniBrowser';

    /** @param  array<int, array{Page, Child}>  $open  by the page's object id */
    private function __construct(
        private readonly Child $screen,
        private readonly string $display,
        private readonly string $folder,
        private array $open = [],
    ) {
    }

    public static function start(): self
    {
        $number = 90 + getmypid() % 900;
        $folder = sys_get_temp_dir()."/crag-webkit-{$number}";
        Folder::make($folder);
        $screen = new Child(
            'xvfb',
            ['/usr/bin/Xvfb', ":{$number}", '-screen', '0', '1600x1300x24', '-nolisten', 'tcp'],
            "{$folder}/screen.log",
            [],
        );
        $screen->start();
        $until = microtime(true) + 20;
        while (! file_exists("/tmp/.X11-unix/X{$number}")) {
            if (microtime(true) > $until || ! $screen->isRunning()) {
                throw new Problem("Xvfb did not start:\n".$screen->lastWords());
            }
            usleep(50_000);
        }

        return new self($screen, ":{$number}", $folder);
    }

    public function open(int $width = 1280, int $height = 800): Page
    {
        $port = Port::free();
        $driver = new Child(
            'webkitdriver',
            ['/usr/bin/WebKitWebDriver', '--host=127.0.0.1', "--port={$port}"],
            "{$this->folder}/driver-{$port}.log",
            [
                'DISPLAY' => $this->display,
                'HOME' => $this->folder,
                'LIBGL_ALWAYS_SOFTWARE' => '1',
                // The sandbox needs rights that a container's root has not.
                'WEBKIT_DISABLE_SANDBOX_THIS_IS_DANGEROUS' => '1',
            ],
        );
        $driver->start();
        $until = microtime(true) + 20;
        while (($socket = @stream_socket_client("tcp://127.0.0.1:{$port}", timeout: 1.0)) === false) {
            if (microtime(true) > $until || ! $driver->isRunning()) {
                throw new Problem("WebKitWebDriver did not start:\n".$driver->lastWords());
            }
            usleep(50_000);
        }
        fclose($socket);
        $capabilities = new DesiredCapabilities([
            'browserName' => 'MiniBrowser',
            'webkitgtk:browserOptions' => ['binary' => self::PROGRAM, 'args' => ['--automation']],
        ]);
        $page = new Page(RemoteWebDriver::create("http://127.0.0.1:{$port}", $capabilities, 30_000, 90_000));
        $page->resize($width, $height);
        $this->open[spl_object_id($page)] = [$page, $driver];

        return $page;
    }

    public function giveBack(Page $page): void
    {
        $driver = $this->open[spl_object_id($page)][1] ?? null;
        unset($this->open[spl_object_id($page)]);
        $page->quit();
        $driver?->stop();
    }

    public function stop(): void
    {
        foreach ($this->open as [$page]) {
            $this->giveBack($page);
        }
        $this->screen->stop();
        Folder::remove($this->folder);
    }
}
