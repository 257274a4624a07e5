<?php

declare(strict_types=1);

namespace Crag\Formats;

/**
 * Sound as browsers record it: Opus in WebM. It is taken apart and put together anew, so that what is kept has one
 * track of sound and nothing else, knows how long it lasts, and can be played from any moment.
 *
 * RFC 8794 (EBML), RFC 9559 (Matroska), RFC 7845 section 5.1 (the head of an Opus track).
 */
final class WebM
{
    private const EBML = 0x1A45DFA3;

    private const SEGMENT = 0x18538067;

    private const INFO = 0x1549A966;

    private const SCALE = 0x2AD7B1;

    private const TRACKS = 0x1654AE6B;

    private const ENTRY = 0xAE;

    private const CLUSTER = 0x1F43B675;

    private const TIME = 0xE7;

    private const SIMPLE_BLOCK = 0xA3;

    private const BLOCK_GROUP = 0xA0;

    private const BLOCK = 0xA1;

    private const PARENTS = [self::SEGMENT, self::CLUSTER, self::INFO, self::TRACKS, self::BLOCK_GROUP];

    /** Nanoseconds in the millisecond that times are counted in. */
    private const MILLISECOND = 1_000_000;

    /** What one packet plays at least. */
    private const PACKET_MS = 20;

    private const MOST_PACKETS = 20_000;

    /** What is kept in one cluster: it can be played from its beginning. */
    private const CLUSTER_MS = 2_000;

    private int $scale = self::MILLISECOND;

    private ?string $head = null;

    private int $track = 0;

    private int $clusterMs = 0;

    /** @var list<array{int, string}> milliseconds since the beginning, and the packet */
    private array $packets = [];

    private function __construct(private readonly string $bytes)
    {
    }

    /** @throws UnreadableSound */
    public static function read(string $bytes): Sound
    {
        $file = new self($bytes);
        $file->walk(0, strlen($bytes));
        if ($file->head === null || $file->packets === []) {
            throw UnreadableSound::noSound();
        }

        return new Sound($file->written(), $file->lasts());
    }

    private function lasts(): int
    {
        return max(0, ...array_column($this->packets, 0)) + self::PACKET_MS;
    }

    /**
     * The elements from one place to another. What has no size of its own (it was written while it was recorded) ends
     * where its parent does: its children stand in line with those that follow.
     */
    private function walk(int $at, int $end): void
    {
        while ($at < $end) {
            [$id, $at] = $this->number($at, $end, true);
            [$size, $at] = $this->number($at, $end, false);
            $isOpen = $size === null;
            $next = $isOpen ? $at : $at + $size;
            if ($next > $end) {
                // A recording that was broken off ends in the middle of an element.
                $next = $end;
                if ($id !== self::SEGMENT && $id !== self::CLUSTER) {
                    return;
                }
            }
            // The children of what has no size of its own come next.
            $isParent = in_array($id, self::PARENTS, true) && ! $isOpen;
            match ($id) {
                self::SCALE => $this->scale = $this->whole($at, $next),
                self::ENTRY => $this->entry($at, $next),
                self::TIME => $this->clusterMs = $this->milliseconds($this->whole($at, $next)),
                self::SIMPLE_BLOCK, self::BLOCK => $this->block($at, $next),
                default => $isParent ? $this->walk($at, $next) : null,
            };
            $at = $next;
        }
    }

    /** A track: its number, that it is sound, and the head by which Opus is read. */
    private function entry(int $at, int $end): void
    {
        $of = [];
        while ($at < $end) {
            [$id, $at] = $this->number($at, $end, true);
            [$size, $at] = $this->number($at, $end, false);
            if ($size === null || $at + $size > $end) {
                throw UnreadableSound::broken();
            }
            $of[$id] = substr($this->bytes, $at, $size);
            $at += $size;
        }
        if ($this->head !== null || ($of[0x86] ?? '') !== 'A_OPUS' || ! str_starts_with($of[0x63A2] ?? '', 'OpusHead')) {
            throw UnreadableSound::notOpusAlone();
        }
        $this->head = $of[0x63A2];
        $this->track = self::value($of[0xD7] ?? "\x01");
    }

    private function block(int $at, int $end): void
    {
        [$track, $at] = $this->number($at, $end, false);
        $flags = $end - $at > 3 ? ord($this->bytes[$at + 2]) : null;
        // Several packets in one block are not what browsers write.
        $isPlain = $flags !== null && ($flags & 0x06) === 0;
        if ($track !== $this->track || ! $isPlain || count($this->packets) >= self::MOST_PACKETS) {
            throw UnreadableSound::broken();
        }
        $time = $this->whole($at, $at + 2);
        $by = $time > 0x7FFF ? $time - 0x10000 : $time;
        $this->packets[] = [
            max(0, $this->clusterMs + $this->milliseconds($by)),
            substr($this->bytes, $at + 3, $end - $at - 3),
        ];
    }

    private function milliseconds(int $ticks): int
    {
        return (int) round($ticks * $this->scale / self::MILLISECOND);
    }

    /**
     * A number of varying length (RFC 8794 section 4). An id keeps the bit that says how long it is; a size of ones
     * alone is not known.
     *
     * @return array{?int, int} and where it ends
     */
    private function number(int $at, int $end, bool $isId): array
    {
        $first = $at < $end ? ord($this->bytes[$at]) : 0;
        $length = 1;
        while ($length <= 8 && ($first & (0x100 >> $length)) === 0) {
            $length++;
        }
        if ($length > ($isId ? 4 : 8) || $at + $length > $end) {
            throw UnreadableSound::broken();
        }
        $value = $isId ? $first : $first & ((0x100 >> $length) - 1);
        $isUnknown = $value === (0x100 >> $length) - 1;
        for ($i = 1; $i < $length; $i++) {
            $byte = ord($this->bytes[$at + $i]);
            $value = $value * 256 + $byte;
            $isUnknown = $isUnknown && $byte === 0xFF;
        }

        return [! $isId && $isUnknown ? null : $value, $at + $length];
    }

    private function whole(int $at, int $end): int
    {
        return self::value(substr($this->bytes, $at, min(8, $end - $at)));
    }

    private static function value(string $bytes): int
    {
        $value = 0;
        foreach (str_split($bytes) as $byte) {
            $value = ($value << 8) + ord($byte);
        }

        return $value & PHP_INT_MAX;
    }

    private function written(): string
    {
        $info = self::element(self::INFO, self::element(self::SCALE, self::bytes(self::MILLISECOND, 4)).
            self::element(0x4489, pack('E', (float) $this->lasts())).
            self::element(0x4D80, 'Crag').
            self::element(0x5741, 'Crag'));
        $tracks = self::element(self::TRACKS, self::element(self::ENTRY, self::element(0xD7, "\x01").
            self::element(0x73C5, "\x01").
            self::element(0x83, "\x02").
            self::element(0x86, 'A_OPUS').
            self::element(0x63A2, (string) $this->head).
            self::element(0xE1, self::element(0xB5, pack('E', 48_000.0)).self::element(0x9F, ($this->head ?? '')[9]))));
        [$times, $clusters] = $this->clusters();
        // Each place takes as many bytes, so that how long the list is does not depend on what stands in it.
        $cues = self::cues($times, array_fill(0, count($times), 0));
        $at = strlen($info) + strlen($tracks) + strlen($cues);
        $places = [];
        foreach ($clusters as $cluster) {
            $places[] = $at;
            $at += strlen($cluster);
        }
        $segment = $info.$tracks.self::cues($times, $places).implode('', $clusters);
        $ebml = self::element(self::EBML, self::element(0x4282, 'webm').
            self::element(0x4287, "\x02").
            self::element(0x4285, "\x02"));

        return $ebml.self::element(self::SEGMENT, $segment);
    }

    /** @return array{list<int>, list<string>} when each begins, and its bytes */
    private function clusters(): array
    {
        $times = $blocks = [];
        foreach ($this->packets as [$at, $packet]) {
            $last = count($times) - 1;
            if ($last < 0 || $at >= $times[$last] + self::CLUSTER_MS) {
                $times[] = $at;
                $blocks[] = '';
                $last++;
            }
            $by = max(-0x8000, $at - $times[$last]) & 0xFFFF;
            $blocks[$last] .= self::element(self::SIMPLE_BLOCK, "\x81".pack('n', $by)."\x80".$packet);
        }

        return [
            $times,
            array_map(
                static fn (int $at, string $some): string => self::element(
                    self::CLUSTER,
                    self::element(self::TIME, self::bytes($at, 8)).$some,
                ),
                $times,
                $blocks,
            ),
        ];
    }

    /**
     * @param  list<int>  $times
     * @param  list<int>  $places
     */
    private static function cues(array $times, array $places): string
    {
        $points = array_map(
            static fn (int $at, int $place): string => self::element(
                0xBB,
                self::element(0xB3, self::bytes($at, 8)).
                    self::element(0xB7, self::element(0xF7, "\x01").self::element(0xF1, self::bytes($place, 8))),
            ),
            $times,
            $places,
        );

        return self::element(0x1C53BB6B, implode('', $points));
    }

    private static function element(int $id, string $body): string
    {
        $length = match (true) {
            $id > 0xFFFFFF => 4,
            $id > 0xFFFF => 3,
            $id > 0xFF => 2,
            default => 1,
        };

        // A size of eight bytes, however small.
        return self::bytes($id, $length).self::bytes(0x0100000000000000 | strlen($body), 8).$body;
    }

    private static function bytes(int $value, int $length): string
    {
        return substr(pack('J', $value), 8 - $length);
    }
}
