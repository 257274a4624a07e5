<?php

declare(strict_types=1);

namespace Deploy\Browser;

use Deploy\Child;
use Deploy\Folder;
use Deploy\Install\Requirements;
use Deploy\Port;
use Deploy\Problem;
use Facebook\WebDriver\Chrome\ChromeOptions;
use Facebook\WebDriver\Remote\DesiredCapabilities;
use Facebook\WebDriver\Remote\RemoteWebDriver;
use Throwable;

/** A ChromeDriver of our own on a free port, and the headless browsers that it opens. */
final class Chrome implements Browsers
{
    private const ARGUMENTS = [
        '--headless',
        '--no-sandbox',
        '--disable-gpu',
        '--disable-quic',
        '--no-first-run',
        '--disable-sync',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-dev-shm-usage',
        '--disable-background-timer-throttling',
        '--disable-backgrounding-occluded-windows',
        '--disable-renderer-backgrounding',
        '--hide-scrollbars',
        // A person's tabs share their process, and the next person has it warm.
        '--renderer-process-limit=1',
        '--force-color-profile=srgb',
        '--use-fake-device-for-media-stream',
        '--use-fake-ui-for-media-stream',
        // Two browsers here talk with each other without leaving this machine.
        '--allow-loopback-in-peer-connection',
    ];

    /** @var list<Page> */
    private array $pages = [];

    /** @var list<Page> emptied, for whoever comes next: starting a browser costs more than most tests do with it */
    private array $idle = [];

    private function __construct(
        private readonly Child $driver,
        private readonly int $port,
        private readonly string $folder,
    ) {
    }

    public static function start(): self
    {
        $port = Port::free();
        $folder = sys_get_temp_dir().'/crag-chrome-'.$port;
        Folder::make($folder);
        $driver = new Child('chromedriver', ['/usr/bin/chromedriver', "--port={$port}"], "{$folder}/driver.log", [
            'TMPDIR' => $folder,
            'HOME' => $folder,
        ]);
        $driver->start();
        $until = microtime(true) + 15;
        while (($socket = @stream_socket_client("tcp://127.0.0.1:{$port}", timeout: 1.0)) === false) {
            if (microtime(true) > $until || ! $driver->isRunning()) {
                $driver->stop();
                throw new Problem("ChromeDriver did not start:\n".$driver->lastWords());
            }
            usleep(50_000);
        }
        fclose($socket);

        return new self($driver, $port, $folder);
    }

    /** A browser of its own, with its own cookies, as another person's device would be. */
    public function open(int $width = 1280, int $height = 800, bool $touch = false, bool $dark = false): Page
    {
        $page = $touch ? null : array_pop($this->idle);
        if ($page !== null) {
            $page->emulate($width, $height, $dark);

            return $page;
        }
        $options = new ChromeOptions();
        $arguments = [...self::ARGUMENTS, "--window-size={$width},{$height}"];
        if ($touch) {
            $arguments[] = '--touch-events=enabled';
        }
        $options->setBinary(Requirements::BROWSER_PROGRAM);
        $options->addArguments($arguments);
        $capabilities = DesiredCapabilities::chrome();
        $capabilities->setCapability(ChromeOptions::CAPABILITY, $options);
        $capabilities->setCapability('goog:loggingPrefs', ['browser' => 'ALL']);
        $driver = RemoteWebDriver::create("http://127.0.0.1:{$this->port}", $capabilities, 30_000, 90_000);
        $page = new Page($driver);
        $page->emulate($width, $height, $dark);

        return $this->pages[] = $page;
    }

    /** Empties a browser for the next one who opens it; one that cannot be emptied is ended. */
    public function giveBack(Page $page): void
    {
        if ($page->isGone) {
            return;
        }
        try {
            $page->empty();
            $this->idle[] = $page;
        } catch (Throwable) {
            $page->quit();
            $this->pages = array_values(array_filter($this->pages, static fn (Page $one): bool => $one !== $page));
        }
    }

    public function pid(): int
    {
        return $this->driver->pid();
    }

    public function stop(): void
    {
        foreach ($this->pages as $page) {
            $page->quit();
        }
        $this->pages = $this->idle = [];
        $this->driver->stop();
        Folder::remove($this->folder);
    }
}
