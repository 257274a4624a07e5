<?php

declare(strict_types=1);

namespace App\Answering;

/**
 * One request on a connection from nginx, as a FastCGI responder reads and answers it (FastCGI Specification 1.0,
 * sections 3.3, 3.4, 5 and 6.2). nginx opens a connection for each request and never sends two at once.
 */
final class FastCgi
{
    private const VERSION = 1;

    private const BEGIN = 1;

    private const ABORT = 2;

    private const END = 3;

    private const PARAMS = 4;

    private const STDIN = 5;

    private const STDOUT = 6;

    private const HEAD = 8;

    /** What one record can hold: a multiple of eight, so that nothing is padded. */
    private const MOST = 65_528;

    /** nginx has all of a request before it begins to send it. */
    private const PATIENCE_S = 30;

    private int $id = 0;

    private string $buffer = '';

    private int $at = 0;

    private bool $isBroken = false;

    /** @param  resource  $stream */
    public function __construct(private $stream)
    {
        stream_set_timeout($stream, self::PATIENCE_S);
    }

    /**
     * @return array{array<string, string>, string}|null what the server says of it, and its body; null where it broke
     * off
     */
    public function read(): ?array
    {
        $params = $body = '';
        for (; ;) {
            $head = $this->take(self::HEAD);
            $found = $head === null ? false : unpack('Cversion/Ctype/nid/nlength/Cpadding', $head);
            if ($found === false || $found['version'] !== self::VERSION) {
                return null;
            }
            ['type' => $type, 'id' => $id, 'length' => $length, 'padding' => $padding] = $found;
            $content = $this->take($length + $padding);
            if ($content === null || $type === self::ABORT) {
                return null;
            }
            $content = substr($content, 0, $length);
            if ($type === self::BEGIN) {
                $this->id = $id;
            } elseif ($type === self::PARAMS) {
                $params .= $content;
            } elseif ($type === self::STDIN) {
                if ($length === 0) {
                    return [self::pairs($params), $body];
                }
                $body .= $content;
            }
        }
    }

    /** Whether whoever asked still takes it. */
    public function write(string $text): bool
    {
        for ($from = 0, $n = strlen($text); $from < $n && ! $this->isBroken; $from += self::MOST) {
            $this->send(self::STDOUT, substr($text, $from, self::MOST));
        }

        return ! $this->isBroken;
    }

    public function end(): void
    {
        // No more output, and the request is complete.
        $this->send(self::STDOUT, '');
        $this->send(self::END, "\0\0\0\0\0\0\0\0");
        fclose($this->stream);
    }

    private function send(int $type, string $content): void
    {
        $record = pack('CCnnCC', self::VERSION, $type, $this->id, strlen($content), 0, 0).$content;
        while ($record !== '' && ! $this->isBroken) {
            $n = @fwrite($this->stream, $record);
            $this->isBroken = $n === false || $n === 0;
            $record = substr($record, (int) $n);
        }
    }

    private function take(int $length): ?string
    {
        while (strlen($this->buffer) - $this->at < $length) {
            $more = fread($this->stream, 65_536);
            if ($more === false || $more === '') {
                return null;
            }
            $this->buffer = substr($this->buffer, $this->at).$more;
            $this->at = 0;
        }
        $taken = substr($this->buffer, $this->at, $length);
        $this->at += $length;

        return $taken;
    }

    /**
     * @return array<string, string> names and values, each with its length before it: one byte, or four with the
     * first bit set
     */
    private static function pairs(string $text): array
    {
        $pairs = [];
        for ($at = 0, $end = strlen($text); $at < $end;) {
            $lengths = [];
            foreach ([0, 1] as $which) {
                $length = ord($text[$at] ?? "\0");
                if ($length < 128) {
                    $at++;
                } else {
                    $length = (unpack('N', substr($text, $at, 4)."\0\0\0\0")[1] ?? 0) & 0x7F_FF_FF_FF;
                    $at += 4;
                }
                $lengths[$which] = $length;
            }
            $pairs[substr($text, $at, $lengths[0])] = substr($text, $at + $lengths[0], $lengths[1]);
            $at += $lengths[0] + $lengths[1];
        }

        return $pairs;
    }
}
