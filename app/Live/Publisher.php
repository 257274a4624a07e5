<?php

declare(strict_types=1);

namespace App\Live;

use CurlHandle;
use Illuminate\Support\Facades\Log;
use RuntimeException;

/**
 * The one place that writes to channels. Delivery is a courtesy: when it fails, the pages find the gap and
 * catch up, so a failure is logged and nothing else.
 */
class Publisher
{
    private ?CurlHandle $curl = null;

    public function __construct(private readonly string $socket)
    {
    }

    public function publish(string $channel, string $message): void
    {
        $this->request('POST', $channel, $message);
    }

    /** The same message to two channels, in one request. */
    public function publishToBoth(string $channel, string $other, string $message): void
    {
        $this->request('POST', "{$channel}/{$other}", $message);
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
        $answer = json_decode($this->request('GET', $channel), true);

        return is_array($answer) && is_int($answer['subscribers'] ?? null) ? $answer['subscribers'] : 0;
    }

    private function request(string $method, string $channel, string $body = ''): string
    {
        $this->curl ??= curl_init() ?: throw new RuntimeException('curl cannot start.');
        curl_setopt_array($this->curl, [
            CURLOPT_UNIX_SOCKET_PATH => $this->socket,
            CURLOPT_URL => "http://publish/channel/{$channel}",
            CURLOPT_CUSTOMREQUEST => $method,
            CURLOPT_POSTFIELDS => $method === 'POST' ? $body : null,
            CURLOPT_HTTPHEADER => ['Content-Type: application/json', 'Accept: application/json', 'Expect:'],
            CURLOPT_RETURNTRANSFER => true,
            CURLOPT_TIMEOUT_MS => 2000,
        ]);
        $answer = curl_exec($this->curl);
        if ($answer === false) {
            Log::notice('A message was not delivered live: '.curl_error($this->curl));
        }

        return is_string($answer) ? $answer : '';
    }
}
