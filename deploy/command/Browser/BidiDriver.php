<?php

declare(strict_types=1);

namespace Deploy\Browser;

use Facebook\WebDriver\Remote\DriverCommand;
use Facebook\WebDriver\Remote\RemoteWebDriver;
use RuntimeException;

/** What {@see Page} asks of a driver, over WebDriver BiDi (Debian has no geckodriver): a tab with its own cookies. */
final class BidiDriver extends RemoteWebDriver
{
    /** @var list<array{level: string, message: string}> */
    private array $complaints = [];

    private string $person;

    private string $tab;

    public function __construct(private readonly BidiSocket $socket)
    {
        $this->sessionID = 'bidi';
        $this->isW3cCompliant = true;
        $this->person = self::text($socket->ask('browser.createUserContext')['userContext']);
        $tab = $socket->ask('browsingContext.create', ['type' => 'window', 'userContext' => $this->person]);
        $this->tab = self::text($tab['context']);
        $socket->ask('session.subscribe', ['events' => ['log.entryAdded'], 'contexts' => [$this->tab]]);
    }

    public function end(): void
    {
        $this->socket->ask('browser.removeUserContext', ['userContext' => $this->person]);
    }

    /** @param  array<string, mixed>  $params */
    public function execute($command_name, $params = []): mixed
    {
        return match ($command_name) {
            DriverCommand::GET => $this->go('navigate', ['url' => $params['url'], 'wait' => 'complete']),
            DriverCommand::REFRESH => $this->go('reload', ['wait' => 'complete']),
            DriverCommand::EXECUTE_SCRIPT => $this->script(self::text($params['script']), $params['args']),
            DriverCommand::FIND_ELEMENTS => $this->find(self::text($params['value'])),
            DriverCommand::CLICK_ELEMENT => $this->click($params[':id']),
            DriverCommand::SEND_KEYS_TO_ELEMENT => $this->keys($params),
            DriverCommand::IS_ELEMENT_DISPLAYED => parent::execute($command_name, $params),
            DriverCommand::GET_ELEMENT_TEXT => $this->on($params[':id'], 'return arguments[0].innerText'),
            DriverCommand::GET_ELEMENT_ATTRIBUTE => $this->on(
                $params[':id'],
                'const [it, name] = arguments; return name === "href" || name === "value" ? it[name] : it.getAttribute(name)',
                $params[':name'],
            ),
            DriverCommand::GET_PAGE_SOURCE => $this->script('return document.documentElement.outerHTML', []),
            DriverCommand::GET_CURRENT_URL => $this->script('return location.href', []),
            DriverCommand::SCREENSHOT => $this->go('captureScreenshot', [])['data'],
            DriverCommand::GET_LOG => $this->complaints(),
            default => throw new RuntimeException("There is no {$command_name} over BiDi yet."),
        };
    }

    /** @param  array<string, mixed>  $params */
    public function executeCustomCommand($endpointUrl, $method = 'GET', $params = []): mixed
    {
        return match (true) {
            str_ends_with($endpointUrl, '/actions') => $this->act($params['actions']),
            ($params['cmd'] ?? '') === 'Emulation.setDeviceMetricsOverride' => $this->go('setViewport', [
                'viewport' => ['width' => $params['params']->width, 'height' => $params['params']->height],
            ]),
            ($params['cmd'] ?? '') === 'Network.setCookie' => $this->cookie($params['params']),
            default => throw new RuntimeException("There is no {$endpointUrl} over BiDi yet."),
        };
    }

    private function cookie(object $cookie): mixed
    {
        return $this->socket->ask('storage.setCookie', [
            'cookie' => [
                'name' => $cookie->name,
                'value' => ['type' => 'string', 'value' => $cookie->value],
                'domain' => parse_url(self::text($cookie->url), PHP_URL_HOST),
                'path' => '/',
                'httpOnly' => $cookie->httpOnly,
            ],
            'partition' => ['type' => 'storageKey', 'userContext' => $this->person],
        ]);
    }

    /**
     * @param  array<string, mixed>  $parameters
     * @return array<string, mixed>
     */
    private function go(string $what, array $parameters): array
    {
        return $this->socket->ask("browsingContext.{$what}", ['context' => $this->tab] + $parameters);
    }

    /** @param  array<array-key, mixed>  $arguments */
    private function script(string $script, array $arguments): mixed
    {
        $result = $this->socket->ask('script.callFunction', [
            // What it gives comes as JSON, but for an element.
            'functionDeclaration' => "async function (...given) { const one = await (function () { {$script}\n }).apply(null, given.map((it) => "
                .'typeof it === "string" ? JSON.parse(it) : it)); return one instanceof Element ? one : JSON.stringify({ one }) }',
            'awaitPromise' => true,
            'target' => ['context' => $this->tab],
            'arguments' => array_map(
                static fn (mixed $one): array => is_array($one) && isset($one[Page::ELEMENT])
                    ? ['sharedId' => $one[Page::ELEMENT]]
                    : ['type' => 'string', 'value' => json_encode($one, JSON_THROW_ON_ERROR)],
                array_values($arguments),
            ),
        ]);
        if ($result['type'] !== 'success') {
            throw new RuntimeException('The page’s script failed: '.json_encode($result));
        }
        if ($result['result']['type'] === 'node') {
            return [Page::ELEMENT => $result['result']['sharedId']];
        }
        $given = json_decode(self::text($result['result']['value'] ?? '{}'), true, flags: JSON_THROW_ON_ERROR);

        return is_array($given) ? $given['one'] ?? null : null;
    }

    private function on(mixed $element, string $script, mixed ...$arguments): mixed
    {
        return $this->script($script, [[Page::ELEMENT => $element], ...$arguments]);
    }

    /** @return list<array<string, mixed>> */
    private function find(string $selector): array
    {
        $found = $this->go('locateNodes', ['locator' => ['type' => 'css', 'value' => $selector]])['nodes'];

        return array_map(
            static fn (mixed $node): array => [Page::ELEMENT => is_array($node) ? $node['sharedId'] : ''],
            is_array($found) ? array_values($found) : [],
        );
    }

    private function click(mixed $element): null
    {
        $at = $this->on(
            $element,
            <<<'JS'
            const it = arguments[0];
            it.scrollIntoView({ block: 'nearest', inline: 'nearest' });
            const { left, top, width, height } = it.getClientRects()[0] ?? it.getBoundingClientRect();
            return [Math.round(left + width / 2), Math.round(top + height / 2)];
            JS,
        );
        [$x, $y] = is_array($at) ? $at : [0, 0];

        return $this->act([[
            'type' => 'pointer',
            'id' => 'click',
            'parameters' => ['pointerType' => 'mouse'],
            'actions' => [
                ['type' => 'pointerMove', 'x' => $x, 'y' => $y, 'origin' => 'viewport'],
                ['type' => 'pointerDown', 'button' => 0],
                ['type' => 'pointerUp', 'button' => 0],
            ],
        ]]);
    }

    /** @param  array<string, mixed>  $params */
    private function keys(array $params): null
    {
        $this->on($params[':id'], 'arguments[0].focus()');
        $actions = [];
        foreach (mb_str_split(self::text($params['text'] ?? '')) as $key) {
            array_push($actions, ['type' => 'keyDown', 'value' => $key], ['type' => 'keyUp', 'value' => $key]);
        }

        return $this->act([['type' => 'key', 'id' => 'typing', 'actions' => $actions]]);
    }

    private function act(mixed $actions): null
    {
        // Keys press what is in focus only in the window that is in front.
        if ($this->script('return document.hasFocus()', []) !== true) {
            $this->go('activate', []);
        }
        $this->socket->ask('input.performActions', ['context' => $this->tab, 'actions' => $actions]);

        return null;
    }

    /** @return list<array{level: string, message: string}> */
    private function complaints(): array
    {
        foreach ($this->socket->events() as $event) {
            $entry = $event['params'] ?? null;
            $isOwn = is_array($entry) && ($entry['source']['context'] ?? null) === $this->tab;
            if ($isOwn && $entry['level'] === 'error') {
                $this->complaints[] = ['level' => 'SEVERE', 'message' => self::text($entry['text'] ?? '')];
            }
        }
        [$complaints, $this->complaints] = [$this->complaints, []];

        return $complaints;
    }

    private static function text(mixed $value): string
    {
        return is_string($value) ? $value : throw new RuntimeException('The browser gave no text.');
    }
}
