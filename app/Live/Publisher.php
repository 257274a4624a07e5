<?php

declare(strict_types=1);

namespace App\Live;

use CurlHandle;
use CurlMultiHandle;
use Illuminate\Support\Facades\Log;
use RuntimeException;

/**
 * The one place that writes to channels. Delivery is a courtesy: when it fails, the pages find the gap and
 * catch up, so a failure is logged and nothing else.
 */
class Publisher
{
    /** Kept open side by side; an instance's php-fpm opens none of them. */
    private const CONNECTIONS = 32;

    private ?CurlHandle $curl = null;

    private ?CurlMultiHandle $multi = null;

    /** @var array<int, CurlHandle> */
    private array $spare = [];

    public function __construct(private readonly string $socket)
    {
    }

    public function publish(string $channel, string $message): void
    {
        $this->request('POST', $channel, $message);
    }

    /**
     * Side by side: where many are told, one after the other would wait for nginx each time.
     *
     * @param  list<array{string, string}>  $messages  each with its channel; two channels, with a / between them, for
     *      what both hear
     */
    public function publishAll(array $messages): void
    {
        $this->together('POST', $messages);
    }

    /**
     * @param  list<array{string, string}>  $requests  channel and body
     * @return list<string> the answers
     */
    private function together(string $method, array $requests): array
    {
        if (count($requests) < 2) {
            return array_map(fn (array $one): string => $this->request($method, ...$one), $requests);
        }
        $this->multi ??= self::manyConnections();
        $sent = $answers = [];
        foreach ($requests as $i => [$channel, $body]) {
            $sent[] = $one = $this->spare[$i] ??= curl_init() ?: throw new RuntimeException('curl cannot start.');
            $this->prepare($one, $method, $channel, $body);
            curl_multi_add_handle($this->multi, $one);
        }
        do {
            $status = curl_multi_exec($this->multi, $left);
            if ($left > 0) {
                curl_multi_select($this->multi);
            }
        } while ($left > 0 && $status === CURLM_OK);
        foreach ($sent as $one) {
            if (curl_error($one) !== '') {
                Log::notice('A message was not delivered live: '.curl_error($one));
            }
            $answers[] = (string) curl_multi_getcontent($one);
            curl_multi_remove_handle($this->multi, $one);
        }

        return $answers;
    }

    private static function manyConnections(): CurlMultiHandle
    {
        $multi = curl_multi_init();
        curl_multi_setopt($multi, CURLMOPT_MAX_HOST_CONNECTIONS, self::CONNECTIONS);
        curl_multi_setopt($multi, CURLMOPT_MAXCONNECTS, self::CONNECTIONS);

        return $multi;
    }

    /** Closes every socket of those for whom it is. */
    public function close(Audience $audience): void
    {
        foreach ([$audience->channel, ...$audience->beside] as $channel) {
            $this->request('DELETE', $channel);
        }
    }

    /** Whether something takes messages. */
    public function isThere(): bool
    {
        $socket = @stream_socket_client("unix://{$this->socket}", timeout: 1);
        if ($socket !== false) {
            fclose($socket);
        }

        return $socket !== false;
    }

    /** How many pages listen to the channel. */
    public function listeners(string $channel): int
    {
        return self::subscribers($this->request('GET', $channel));
    }

    /**
     * How many pages listen to each of them, asked side by side.
     *
     * @param  list<string>  $channels
     * @return array<string, int> by channel
     */
    public function listenersOfAll(array $channels): array
    {
        $answers = $this->together('GET', array_map(static fn (string $channel): array => [$channel, ''], $channels));

        return array_combine($channels, array_map(self::subscribers(...), $answers));
    }

    private static function subscribers(string $answer): int
    {
        $json = json_decode($answer, true);

        return is_array($json) && is_int($json['subscribers'] ?? null) ? $json['subscribers'] : 0;
    }

    private function request(string $method, string $channel, string $body = ''): string
    {
        $this->curl ??= curl_init() ?: throw new RuntimeException('curl cannot start.');
        $this->prepare($this->curl, $method, $channel, $body);
        $answer = curl_exec($this->curl);
        if ($answer === false) {
            Log::notice('A message was not delivered live: '.curl_error($this->curl));
        }

        return is_string($answer) ? $answer : '';
    }

    private function prepare(CurlHandle $curl, string $method, string $channel, string $body): void
    {
        curl_setopt_array($curl, [
            CURLOPT_UNIX_SOCKET_PATH => $this->socket,
            CURLOPT_URL => "http://publish/channel/{$channel}",
            CURLOPT_CUSTOMREQUEST => $method,
            CURLOPT_POSTFIELDS => $method === 'POST' ? $body : null,
            CURLOPT_HTTPHEADER => ['Content-Type: application/json', 'Accept: application/json', 'Expect:'],
            CURLOPT_RETURNTRANSFER => true,
            CURLOPT_TIMEOUT_MS => 2000,
        ]);
    }
}
