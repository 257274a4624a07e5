<?php

declare(strict_types=1);

namespace Deploy\Browser;

use Exception;
use Facebook\WebDriver\Exception\StaleElementReferenceException;
use Facebook\WebDriver\Remote\RemoteExecuteMethod;
use Facebook\WebDriver\Remote\RemoteWebDriver;
use Facebook\WebDriver\Remote\RemoteWebElement;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverDimension;
use RuntimeException;
use Throwable;

/** One browser, driven as a person would: looking, waiting, typing, and moving a pointer. */
final class Page
{
    /** Seconds; a busy machine may take its time, and what holds is not waited for. */
    public const PATIENCE = 60.0;

    /** Microseconds between two looks at what is waited for: short at first, longer for what takes long. */
    private const FIRST_PAUSE = 10_000;

    private const LONGEST_PAUSE = 100_000;

    /** Milliseconds that the page itself waits for what a selector names, before it is asked anew. */
    private const WATCH = 2_000;

    /**
     * What a selector names, and the first of it that can be seen: the driver’s own word for that is a large script for
     * each element.
     */
    private const LOOK = <<<'JS'
        const named = (selector) => document.querySelector(selector);
        const isSeen = (one) => {
            if (one.tagName === 'OPTION') return isSeen(one.closest('select'));
            if (!one.checkVisibility({ opacityProperty: true, visibilityProperty: true })) return false;
            const { width, height } = one.getBoundingClientRect();
            return (width > 0 && height > 0) || [...one.children].some(isSeen);
        };
        const seen = (selector) => [...document.querySelectorAll(selector)].find(isSeen) ?? null;
        JS;

    /** How the driver's protocol names an element. */
    public const ELEMENT = 'element-6066-11e4-a52e-4f735466cecf';

    /** A test may end a browser itself, as somebody would who goes home. */
    public bool $isGone = false;

    /** @var array<string, true> where it has been */
    private array $origins = [];

    public function __construct(public readonly RemoteWebDriver $driver)
    {
    }

    /** Leaves nothing of whoever used it: a new tab, and no cookie, database or setting of the old ones. */
    public function empty(): void
    {
        $before = $this->driver->getWindowHandles();
        $fresh = $this->driver->executeCustomCommand('/session/:sessionId/window/new', 'POST', ['type' => 'tab']);
        assert(is_array($fresh) && is_string($fresh['handle']));
        foreach ($before as $handle) {
            $this->driver->switchTo()->window($handle);
            $this->driver->close();
        }
        $this->driver->switchTo()->window($fresh['handle']);
        $this->developer('Network.clearBrowserCookies');
        $this->developer('Browser.resetPermissions');
        foreach (array_keys($this->origins) as $origin) {
            $this->developer('Storage.clearDataForOrigin', ['origin' => $origin, 'storageTypes' => 'all']);
        }
        $this->origins = [];
        $this->driver->manage()->getLog('browser');
    }

    /** The page's size, exactly, whatever the window's frame takes. */
    public function emulate(int $width, int $height, bool $dark = false): void
    {
        $this->developer('Emulation.setDeviceMetricsOverride', [
            'width' => $width,
            'height' => $height,
            'deviceScaleFactor' => 1,
            'mobile' => false,
        ]);
        if ($dark) {
            $this->prefers(['prefers-color-scheme' => 'dark']);
        }
    }

    /** The same by the window alone, where an engine knows no other way. */
    public function resize(int $width, int $height): void
    {
        $this->driver->manage()->window()->setSize(new WebDriverDimension($width, $height));
        $inside = $this->run('return [innerWidth, innerHeight]');
        [$across, $down] = is_array($inside) ? $inside : [$width, $height];
        if ($across !== $width || $down !== $height) {
            $frame = new WebDriverDimension(2 * $width - (int) $across, 2 * $height - (int) $down);
            $this->driver->manage()->window()->setSize($frame);
        }
    }

    /** @param  array<string, string>  $settings  what the device's settings say, by the media feature's name */
    public function prefers(array $settings): void
    {
        $features = array_map(
            static fn (string $name, string $value): array => ['name' => $name, 'value' => $value],
            array_keys($settings),
            $settings,
        );
        $this->developer('Emulation.setEmulatedMedia', ['features' => $features]);
    }

    /**
     * A command of the browser's developer protocol.
     *
     * @param  array<string, mixed>  $parameters
     */
    public function developer(string $command, array $parameters = []): mixed
    {
        return $this->driver->executeCustomCommand('/session/:sessionId/goog/cdp/execute', 'POST', [
            'cmd' => $command,
            'params' => (object) $parameters,
        ]);
    }

    /** Megabytes that the page's script holds, after what is not needed any more was given back. */
    public function heap(): float
    {
        $this->developer('HeapProfiler.collectGarbage');
        $bytes = $this->run('return performance.memory.usedJSHeapSize');

        return round((is_numeric($bytes) ? $bytes : 0) / 1048576, 1);
    }

    public function offline(bool $offline): void
    {
        $this->developer('Network.enable');
        $this->developer('Network.emulateNetworkConditions', [
            'offline' => $offline,
            'latency' => 0,
            'downloadThroughput' => -1,
            'uploadThroughput' => -1,
        ]);
    }

    /** Opens what it shows in a second tab beside it; the first stays the one that is driven. */
    public function openBeside(): string
    {
        $before = $this->driver->getWindowHandles();
        $this->run('window.open(location.href)');

        return $this->until(
            fn (): ?string => array_values(array_diff($this->driver->getWindowHandles(), $before))[0] ?? null,
            'a second tab',
        );
    }

    public function visit(string $address): self
    {
        preg_match('~^https?://[^/]+~', $address, $found);
        if ($found !== []) {
            $this->origins[$found[0]] = true;
        }
        $this->driver->get($address);

        return $this;
    }

    /** @param  list<array{name: string, value: string, httpOnly: bool}>  $cookies  as if an address had set them */
    public function take(string $address, array $cookies): void
    {
        if (Engine::name() === 'webkit') {
            // Its driver takes them only where it is.
            $this->driver->get("{$address}/crag.svg");
            foreach ($cookies as $cookie) {
                $this->driver->manage()->addCookie($cookie);
            }

            return;
        }
        foreach ($cookies as $cookie) {
            $this->developer('Network.setCookie', ['url' => $address] + $cookie);
        }
    }

    public function run(string $script, mixed ...$arguments): mixed
    {
        return $this->driver->executeScript($script, $arguments);
    }

    /**
     * Waits until the callback gives something true, and gives it back.
     *
     * @template T
     *
     * @param  callable(): T  $callback
     * @return T
     */
    public function until(callable $callback, string $what, float $patience = self::PATIENCE): mixed
    {
        $end = microtime(true) + $patience;
        $problem = null;
        $pause = self::FIRST_PAUSE;
        do {
            try {
                $value = $callback();
                if ($value) {
                    return $value;
                }
                $problem = null;
            } catch (StaleElementReferenceException $problem) {
                // The page put it anew; look again.
            }
            usleep($pause);
            $pause = min(self::LONGEST_PAUSE, intdiv($pause * 3, 2));
        } while (microtime(true) < $end);
        throw new RuntimeException(
            "Waited {$patience} s in vain for {$what} at {$this->driver->getCurrentURL()}.",
            0,
            $problem,
        );
    }

    /**
     * Waits until the page has what a look at it gives, and gives it back. The page itself looks and says when: a
     * question from outside costs more than fifty looks of its own.
     *
     * @param  string  $look  an expression of one's own arguments that is null or false until then
     */
    private function watch(string $look, string $what, float $patience, mixed ...$arguments): mixed
    {
        return $this->until(fn (): mixed => $this->look($look, self::WATCH, ...$arguments), $what, $patience);
    }

    /** @param  int  $forMs  how long the page goes on looking */
    private function look(string $look, int $forMs, mixed ...$arguments): mixed
    {
        $script = self::LOOK.<<<JS

            const given = arguments;
            const end = performance.now() + {$forMs};
            return new Promise((done) => {
                (function once() {
                    const found = ((...arguments) => {$look})(...given);
                    if ((found !== null && found !== false) || performance.now() >= end) done(found);
                    else setTimeout(once, 15);
                })();
            });
            JS;
        try {
            return $this->run($script, ...$arguments);
        } catch (Exception $problem) {
            // Another page came in its place meanwhile, which each driver says in words of its own.
            if (preg_match('/unload|destroy|discard|navigat/i', $problem->getMessage()) === 1) {
                return null;
            }
            throw $problem;
        }
    }

    public function find(string $selector): RemoteWebElement
    {
        return $this->element($this->watch('named(arguments[0])', $selector, self::PATIENCE, $selector));
    }

    /** @return list<RemoteWebElement> */
    public function all(string $selector): array
    {
        return array_values($this->driver->findElements(WebDriverBy::cssSelector($selector)));
    }

    /** The first one that can be seen. */
    public function seen(string $selector): RemoteWebElement
    {
        return $this->element(
            $this->watch('seen(arguments[0])', "{$selector} to be seen", self::PATIENCE, $selector),
        );
    }

    /** What a script gave for an element. */
    private function element(mixed $given): RemoteWebElement
    {
        assert(is_array($given) && is_string($given[self::ELEMENT] ?? null));

        return new RemoteWebElement(new RemoteExecuteMethod($this->driver), $given[self::ELEMENT], true);
    }

    public function click(string $selector): self
    {
        $this->until(function () use ($selector): bool {
            $this->seen($selector)->click();

            return true;
        }, "a click on {$selector}");

        return $this;
    }

    /** One of a select's values, as a hand that picks it. */
    public function choose(string $selector, string $value): self
    {
        $this->find($selector);
        $this->run(
            'const [select, value] = arguments; const one = document.querySelector(select); one.value = value; one.dispatchEvent(new Event("change", { bubbles: true }))',
            $selector,
            $value,
        );

        return $this;
    }

    /** A tool, a setting of it, or something for what is chosen: where it is folded away it is brought out first. */
    public function option(string $selector): self
    {
        $ways = str_contains($selector, '[data-tool=')
            ? ['.open-further']
            : [
                '[data-reveal=style]',
                '[data-reveal=rare]',
                '[data-reveal=line]',
                '.tray-tools .tool[aria-pressed=true]',
                '[data-reveal=line]',
            ];
        foreach ($ways as $way) {
            if ($this->isSeen($selector)) {
                break;
            }
            if ($this->isSeen($way)) {
                $this->click($way);
            }
        }

        return $this->click($selector);
    }

    private function isSeen(string $selector): bool
    {
        return $this->look('seen(arguments[0])', 0, $selector) !== null;
    }

    public function type(string $selector, string $text): self
    {
        // As a hand does it, over what stands there and without leaving the field: a page may fill a field that nobody
        // is in.
        $this->until(function () use ($selector, $text): bool {
            $field = $this->watch(
                '{ const field = seen(arguments[0]); field?.focus(); field?.select(); return field }',
                "{$selector} to type in",
                self::PATIENCE,
                $selector,
            );
            $this->element($field)->sendKeys($text);

            return true;
        }, "{$text} in {$selector}");

        return $this;
    }

    public function text(string $selector): string
    {
        $said = $this->watch(
            '{ const one = seen(arguments[0]); return one && ` ${one.innerText ?? one.textContent}` }',
            "{$selector} to be read",
            self::PATIENCE,
            $selector,
        );

        return is_string($said) ? trim($said) : '';
    }

    public function waitForText(string $selector, string $text, float $patience = self::PATIENCE): self
    {
        $this->watch(
            '(named(arguments[0])?.innerText ?? "").includes(arguments[1])',
            "\"{$text}\" in {$selector}",
            $patience,
            $selector,
            $text,
        );

        return $this;
    }

    public function press(string ...$keys): self
    {
        $actions = [];
        foreach ($keys as $key) {
            $actions[] = ['type' => 'keyDown', 'value' => $key];
        }
        foreach (array_reverse($keys) as $key) {
            $actions[] = ['type' => 'keyUp', 'value' => $key];
        }
        $this->perform([['type' => 'key', 'id' => 'keys', 'actions' => $actions]]);

        return $this;
    }

    /**
     * Draws over an element, in fractions of its size, with a real pointer.
     *
     * @param  list<array{float, float}|array{float, float, float}>  $points  x, y, and the pressure if any
     * @param  int  $holdMs  held still at the end, before it is lifted
     */
    public function draw(
        string $selector,
        array $points,
        string $pointer = 'mouse',
        int $msEach = 16,
        bool $lift = true,
        int $holdMs = 0,
    ): self {
        $box = $this->run(
            'const b = document.querySelector(arguments[0]).getBoundingClientRect(); return [b.left, b.top, b.width, b.height]',
            $selector,
        );
        assert(is_array($box));
        $actions = [];
        foreach ($points as $i => $point) {
            $pressure = ($point[2] ?? null) === null ? [] : ['pressure' => $point[2]];
            $actions[] =
                [
                    'type' => 'pointerMove',
                    'duration' => $i === 0 ? 0 : $msEach,
                    'origin' => 'viewport',
                    'x' => (int) round($box[0] + $point[0] * $box[2]),
                    'y' => (int) round($box[1] + $point[1] * $box[3]),
                ] + $pressure;
            if ($i === 0) {
                $actions[] = ['type' => 'pointerDown', 'button' => 0] + $pressure;
            }
        }
        $actions[] = ['type' => 'pause', 'duration' => $holdMs];
        if ($lift) {
            $actions[] = ['type' => 'pointerUp', 'button' => 0];
        }
        $this->perform([
            $this->pointer($pointer, $actions),
        ]);

        return $this;
    }

    /** Goes on with what a draw without lifting began, to a point in fractions of an element's size. */
    public function moveOn(string $selector, float $x, float $y, string $pointer = 'mouse'): self
    {
        $box = $this->run(
            'const b = document.querySelector(arguments[0]).getBoundingClientRect(); return [b.left, b.top, b.width, b.height]',
            $selector,
        );
        assert(is_array($box));
        $move = [
            'type' => 'pointerMove',
            'duration' => 16,
            'origin' => 'viewport',
            'x' => (int) round($box[0] + $x * $box[2]),
            'y' => (int) round($box[1] + $y * $box[3]),
        ];
        $this->perform([
            $this->pointer($pointer, [$move]),
        ]);

        return $this;
    }

    /**
     * Several fingers at once over an element, each along points in fractions of its size.
     *
     * @param  list<list<array{float, float}>>  $fingers  as many points for each
     */
    public function fingers(string $selector, array $fingers, int $msEach = 16): self
    {
        $box = $this->run(
            'const b = document.querySelector(arguments[0]).getBoundingClientRect(); return [b.left, b.top, b.width, b.height]',
            $selector,
        );
        assert(is_array($box));
        $sources = [];
        foreach ($fingers as $n => $points) {
            $actions = [];
            foreach ($points as $i => [$x, $y]) {
                $actions[] = [
                    'type' => 'pointerMove',
                    'duration' => $i === 0 ? 0 : $msEach,
                    'origin' => 'viewport',
                    'x' => (int) round($box[0] + $x * $box[2]),
                    'y' => (int) round($box[1] + $y * $box[3]),
                ];
                if ($i === 0) {
                    $actions[] = ['type' => 'pointerDown', 'button' => 0];
                }
            }
            $actions[] = ['type' => 'pointerUp', 'button' => 0];
            $sources[] = [
                'type' => 'pointer',
                'id' => "finger{$n}",
                'parameters' => ['pointerType' => 'touch'],
                'actions' => $actions,
            ];
        }
        $this->perform($sources);

        return $this;
    }

    /** Ends what a draw without lifting began. */
    public function lift(string $pointer = 'mouse'): self
    {
        $this->perform([
            $this->pointer($pointer, [['type' => 'pointerUp', 'button' => 0]]),
        ]);

        return $this;
    }

    public function screenshot(string $file): void
    {
        $this->driver->takeScreenshot($file);
    }

    /** @return list<string> what the browser complained of since this was last asked */
    public function complaints(): array
    {
        $complaints = [];
        foreach ($this->logged() as $entry) {
            if ($entry['level'] === 'SEVERE') {
                $complaints[] = $entry['message'];
            }
        }

        return $complaints;
    }

    /** @return array<array-key, array{level: string, message: string}> WebKit's driver keeps no log */
    private function logged(): array
    {
        return Engine::name() === 'webkit' ? [] : $this->driver->manage()->getLog('browser') ?? [];
    }

    public function quit(): void
    {
        $this->isGone = true;
        try {
            $this->driver->quit();
        } catch (Throwable) {
            // A browser that a test has killed has gone already.
        }
    }

    /**
     * @param  list<array<string, mixed>>  $actions
     * @return array<string, mixed>
     */
    private function pointer(string $kind, array $actions): array
    {
        $known = Engine::pointer($kind);

        return ['type' => 'pointer', 'id' => $known, 'parameters' => ['pointerType' => $known], 'actions' => $actions];
    }

    /** @param  list<array<string, mixed>>  $sources */
    private function perform(array $sources): void
    {
        $this->driver->executeCustomCommand('/session/:sessionId/actions', 'POST', ['actions' => $sources]);
    }
}
