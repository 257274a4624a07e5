<?php

declare(strict_types=1);

namespace App\Live\Keeper;

/**
 * What pages publish for a keeper, read from nginx as a stream of events (WHATWG HTML, server-sent events). How far it
 * was read is written down before anything is done with it: a keeper that ends reads on behind what ended it, and pages
 * post what was not answered.
 */
final class Inbox
{
    private const OPENING_S = 2;

    private const CHUNK = 65_536;

    /** More than nginx keeps for it is never waiting. */
    private const MOST_WAITING = 64 * 1024 * 1024;

    /** @var ?resource */
    private $stream = null;

    private string $text = '';

    /** @param  string  $socket  where nginx listens */
    public function __construct(
        private readonly string $socket,
        private readonly int $part,
        private readonly Share $share,
    ) {
    }

    /**
     * Waits for messages and gives all that have come by then.
     *
     * @param  int  $patienceMs  how long to wait for the first
     * @return list<string>
     */
    public function wait(int $patienceMs): array
    {
        if ($this->stream === null && ! $this->open()) {
            usleep(min(200, $patienceMs) * 1000);

            return [];
        }
        $read = [$this->stream];
        $none = null;
        // A signal may cut it short.
        if (@stream_select($read, $none, $none, intdiv($patienceMs, 1000), ($patienceMs % 1000) * 1000) !== 1) {
            return [];
        }
        while (is_resource($this->stream) && strlen($this->text) < self::MOST_WAITING) {
            $more = (string) fread($this->stream, self::CHUNK);
            if ($more === '') {
                break;
            }
            $this->text .= $more;
        }
        if ($this->stream === null || feof($this->stream)) {
            $this->close();
        }

        return $this->whole();
    }

    public function close(): void
    {
        if (is_resource($this->stream)) {
            fclose($this->stream);
        }
        $this->stream = null;
    }

    private function open(): bool
    {
        $stream = @stream_socket_client("unix://{$this->socket}", timeout: self::OPENING_S);
        if ($stream === false) {
            return false;
        }
        $last = $this->share->readTo();
        fwrite(
            $stream,
            "GET /keep/{$this->part} HTTP/1.1\r\nHost: keep\r\nAccept: text/event-stream\r\n".
                ($last === '' ? '' : "Last-Event-ID: {$last}\r\n").
                "\r\n",
        );
        stream_set_blocking($stream, false);
        $this->stream = $stream;
        $this->text = '';

        return true;
    }

    /** @return list<string> the messages whose events have come whole; the rest waits for more */
    private function whole(): array
    {
        $end = strrpos($this->text, "\n\n");
        if ($end === false) {
            return [];
        }
        preg_match_all('/^data: ?(.*)$/m', substr($this->text, 0, $end), $found);
        if (preg_match_all('/^id: ?([0-9:,\[\]-]+)$/m', substr($this->text, 0, $end), $ids) > 0) {
            $this->share->hasRead(end($ids[1]));
        }
        $this->text = substr($this->text, $end + 2);

        return $found[1];
    }
}
