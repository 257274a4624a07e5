<?php

declare(strict_types=1);

namespace Tests\Browser;

use App\Live\Audience;
use App\Live\Publisher;
use App\Models\Seat;
use CurlHandle;
use Deploy\Bench\Usage;
use Deploy\Instance;
use Deploy\Port;
use Tests\Support\BrowserTestCase;

/** The running whole without a page: channels, many posts at once, two instances side by side. */
final class SocketsTest extends BrowserTestCase
{
    public function test_the_server_reaches_a_page_sees_it_and_can_close_its_socket(): void
    {
        [, $code] = $this->startLesson();
        $student = $this->join('Leila', $code);
        $seat = basename($student->driver->getCurrentURL());
        $publisher = new Publisher(self::$crag->run.'/publish.sock');
        $student->until(fn (): bool => $publisher->listeners("seat.{$seat}") === 1, 'the page to listen');
        $address = $student->driver->getCurrentURL();
        $student->visit('about:blank');
        $student->until(fn (): bool => $publisher->listeners("seat.{$seat}") === 0, 'the page to be gone', 5);
        $student->visit($address)->find('#page-frame[data-ready]');
        $student->until(fn (): bool => $publisher->listeners("seat.{$seat}") === 1, 'the page to be back');

        $student->run(
            'window.heard = []; const s = new WebSocket(`ws://${location.host}${arguments[0]}`); s.onmessage = (m) => heard.push(m.data); s.onclose = () => heard.push("closed"); s.onopen = () => heard.push("open")',
            '/live/seat/'.$this->sql('select live_session_id from seats where id = ?', [$seat]).'/'.$seat,
        );
        $student->until(fn (): bool => $student->run('return heard.join()') === 'open', 'a second socket');
        $publisher->publish("seat.{$seat}", '"a word"');
        $student->until(fn (): bool => $student->run('return heard.join()') === 'open,"a word"', 'the message');
        $publisher->close(Audience::seat((new Seat())->forceFill(['id' => $seat, 'turn' => 0])));
        $student->until(
            fn (): bool => $student->run('return heard.join()') === 'open,"a word",closed',
            'the socket to be closed',
        );
        self::assertSame(0, $publisher->listeners('seat.of-nobody'));
    }

    public function test_what_is_too_large_or_too_fast_ends_its_socket_and_takes_no_memory(): void
    {
        [$teacher, $code] = $this->startLesson();
        $student = $this->join('Leila', $code);
        $session = basename($teacher->driver->getCurrentURL());
        $seat = basename($student->driver->getCurrentURL());
        $before = Usage::memory(self::$crag->child('nginx')->pid());
        $flood = <<<'JS'
        const [path, size, times] = arguments;
        return await new Promise((told) => {
            const s = new WebSocket(`ws://${location.host}${path}`);
            s.onclose = () => told(`shut${s.extensions}`);
            s.onopen = () => { for (let i = 0; i < times; i++) { s.send('x'.repeat(size)); } setTimeout(() => told('open'), 3000); };
        });
        JS;
        self::assertSame(
            'open',
            $student->run($flood, "/live/wet/{$session}/{$seat}", 12_000, 3),
            'as much as a page sends',
        );
        foreach (["/live/wet/{$session}/{$seat}", "/live/seat/{$session}/{$seat}"] as $path) {
            for ($i = 0; $i < 10; $i++) {
                self::assertSame('shut', $student->run($flood, $path, 1_000_000, 4), 'large ones');
                self::assertSame('shut', $student->run($flood, $path, 300, 2000), 'many');
            }
        }
        self::assertLessThan($before + 8, Usage::memory(self::$crag->child('nginx')->pid()), 'megabytes of nginx');
        $student->draw('.page-paper', [[0.2, 0.2], [0.5, 0.4], [0.8, 0.2]]);
        $teacher->until(fn (): bool => $this->inked($teacher, '.tile:nth-child(1)') > 50, 'a stroke');
    }

    public function test_nothing_outside_can_publish(): void
    {
        foreach (['/channel/room.x', '/publish', '/live/may-open', '/index.php'] as $path) {
            $curl = curl_init(self::$crag->address().$path);
            self::assertInstanceOf(CurlHandle::class, $curl);
            curl_setopt_array($curl, [CURLOPT_POST => true, CURLOPT_POSTFIELDS => 'x', CURLOPT_RETURNTRANSFER => true]);
            curl_exec($curl);
            self::assertContains(curl_getinfo($curl, CURLINFO_RESPONSE_CODE), [403, 404, 405], $path);
        }
    }

    public function test_many_posts_at_once_are_numbered_without_a_hole_and_none_twice(): void
    {
        [, $code] = $this->startLesson();
        $people = [];
        foreach (['Wren', 'Otis', 'Hana'] as $name) {
            $page = $this->join($name, $code);
            $people[] = [
                'seat' => basename($page->driver->getCurrentURL()),
                'canvas' => $page->find('#page-frame')->getAttribute('data-ready'),
                'cookies' => implode(
                    '; ',
                    array_map(
                        static fn ($cookie): string => $cookie->getName().'='.$cookie->getValue(),
                        $page->driver->manage()->getCookies(),
                    ),
                ),
            ];
        }
        $all = curl_multi_init();
        $requests = [];
        for ($i = 0; $i < 25; $i++) {
            foreach ($people as $person) {
                // Each one is sent twice, as an impatient page would.
                foreach ([1, 2] as $time) {
                    $requests[] = $one = $this->post($person, "{$person['seat']}-{$i}");
                    curl_multi_add_handle($all, $one);
                }
            }
        }
        do {
            curl_multi_exec($all, $running);
            curl_multi_select($all, 0.1);
        } while ($running > 0);

        foreach ($requests as $request) {
            self::assertSame(
                200,
                curl_getinfo($request, CURLINFO_RESPONSE_CODE),
                (string) curl_multi_getcontent($request),
            );
        }
        foreach ($people as $person) {
            $numbers = $this->sql(
                'select group_concat(n) from (select n from operations where canvas_id = ? order by id)',
                [$person['canvas']],
            );
            self::assertSame(implode(',', range(1, 25)), $numbers);
        }
        $session = $this->sql('select live_session_id from canvases where id = ?', [$people[0]['canvas']]);
        self::assertSame(
            '75,1,75',
            $this->sql(
                "select count(*) || ',' || min(session_n) || ',' || max(session_n) from operations where live_session_id = ?",
                [$session],
            ),
        );
    }

    public function test_two_instances_run_side_by_side_and_know_nothing_of_each_other(): void
    {
        [, $code] = $this->startLesson();
        $other = Instance::fresh('test', '127.0.0.1', Port::free(), false);
        $other->start();
        try {
            $page = $this->person('stranger')->visit("{$other->address()}/join/{$code}");
            self::assertStringContainsString('No session has the code', $page->text('main'));
            self::assertNotSame(self::$crag->run, $other->run);
        } finally {
            $other->stop();
            $other->removeAll();
        }
        self::assertSame('up', file_get_contents(self::$crag->address().'/up'));
    }

    /** @param  array{seat: string, canvas: ?string, cookies: string}  $person */
    private function post(array $person, string $id): CurlHandle
    {
        $operation = [
            'id' => substr(md5($id), 0, 20),
            'kind' => 'add',
            'layer' => 'student',
            'at' => 1,
            'body' => ['object' => ['type' => 'stroke', 'colour' => '#25323b', 'width' => 40, 'ink' => 'AgICAg']],
        ];
        $curl = curl_init(self::$crag->address()."/seat/{$person['seat']}/operations");
        assert($curl instanceof CurlHandle);
        curl_setopt_array($curl, [
            CURLOPT_POSTFIELDS => json_encode(['canvas' => $person['canvas'], 'operations' => [$operation]]),
            CURLOPT_HTTPHEADER => ['Content-Type: application/json', 'Accept: application/json'],
            CURLOPT_COOKIE => $person['cookies'],
            CURLOPT_RETURNTRANSFER => true,
        ]);

        return $curl;
    }
}
