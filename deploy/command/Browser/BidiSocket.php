<?php

declare(strict_types=1);

namespace Deploy\Browser;

use RuntimeException;

/**
 * A browser's WebDriver BiDi socket (https://www.w3.org/TR/webdriver-bidi/): commands and their answers as JSON text
 * frames (RFC 6455). Packagist, as far as it answers here, has no client.
 */
final class BidiSocket
{
    private const TEXT = 1;

    private const PING = 9;

    private const PONG = 10;

    private const PATIENCE = 90;

    private int $last = 0;

    /** @var list<array<string, mixed>> */
    private array $events = [];

    /** @param  resource  $stream */
    private function __construct(private $stream)
    {
    }

    public static function open(int $port): self
    {
        $stream = stream_socket_client("tcp://127.0.0.1:{$port}", timeout: self::PATIENCE);
        if ($stream === false) {
            throw new RuntimeException("No browser listens on port {$port}.");
        }
        stream_set_timeout($stream, self::PATIENCE);
        $key = base64_encode(random_bytes(16));
        fwrite($stream, implode("\r\n", [
            'GET /session HTTP/1.1',
            "Host: 127.0.0.1:{$port}",
            'Upgrade: websocket',
            'Connection: Upgrade',
            "Sec-WebSocket-Key: {$key}",
            'Sec-WebSocket-Version: 13',
            '',
            '',
        ]));
        $answer = '';
        while (! str_ends_with($answer, "\r\n\r\n")) {
            $line = fgets($stream);
            $answer .= $line === false ? throw new RuntimeException("No socket:\n{$answer}") : $line;
        }

        return str_contains($answer, ' 101 ') ? new self($stream) : throw new RuntimeException("No socket:\n{$answer}");
    }

    /**
     * @param  array<string, mixed>  $parameters
     * @return array<string, mixed>
     */
    public function ask(string $method, array $parameters = []): array
    {
        $id = ++$this->last;
        $command = ['id' => $id, 'method' => $method, 'params' => (object) $parameters];
        $this->send(self::TEXT, json_encode($command, JSON_THROW_ON_ERROR));
        for (; ;) {
            $message = json_decode($this->receive(), true, flags: JSON_THROW_ON_ERROR);
            if (! is_array($message)) {
                continue;
            }
            if (($message['id'] ?? null) !== $id) {
                $this->events[] = $message;

                continue;
            }
            if ($message['type'] !== 'success') {
                throw new RuntimeException("{$method}: ".json_encode($message));
            }

            return is_array($message['result']) ? $message['result'] : [];
        }
    }

    /** @return list<array<string, mixed>> what was told since this was last asked */
    public function events(): array
    {
        $this->ask('session.status');
        [$events, $this->events] = [$this->events, []];

        return $events;
    }

    public function close(): void
    {
        fclose($this->stream);
    }

    private function send(int $kind, string $text): void
    {
        $length = strlen($text);
        $head = match (true) {
            $length < 126 => pack('CC', 0x80 | $kind, 0x80 | $length),
            $length < 65_536 => pack('CCn', 0x80 | $kind, 0x80 | 126, $length),
            default => pack('CCJ', 0x80 | $kind, 0x80 | 127, $length),
        };
        $mask = random_bytes(4);
        $rest = $head.$mask.($text ^ str_repeat($mask, intdiv($length, 4) + 1));
        while ($rest !== '') {
            $rest = substr($rest, (int) fwrite($this->stream, $rest));
        }
    }

    /** The next whole text. */
    private function receive(): string
    {
        $text = '';
        for (; ;) {
            ['first' => $first, 'length' => $length] = (array) unpack('Cfirst/Clength', $this->read(2));
            $length = match ($length & 127) {
                126 => ((array) unpack('n', $this->read(2)))[1],
                127 => ((array) unpack('J', $this->read(8)))[1],
                default => $length & 127,
            };
            $part = $this->read((int) $length);
            if (($first & 15) === self::PING) {
                $this->send(self::PONG, $part);
            } elseif (($first & 15) <= self::TEXT) {
                $text .= $part;
                if (($first & 0x80) !== 0) {
                    return $text;
                }
            }
        }
    }

    private function read(int $length): string
    {
        $bytes = '';
        while (strlen($bytes) < $length) {
            $more = fread($this->stream, max(1, $length - strlen($bytes)));
            if ($more === false || $more === '') {
                throw new RuntimeException('The browser has gone silent.');
            }
            $bytes .= $more;
        }

        return $bytes;
    }
}
