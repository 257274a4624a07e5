<?php

declare(strict_types=1);

namespace Crag\Formats;

/**
 * Sound as browsers record it, and a small picture of who speaks where that is wanted: Opus, and VP8, in WebM. It is
 * taken apart and put together anew, so that what is kept has one track of each and nothing else, knows how long it
 * lasts, and can be played from any moment.
 *
 * RFC 8794 (EBML), RFC 9559 (Matroska), RFC 7845 section 5.1 (the head of an Opus track), RFC 6386 section 9.1 (the
 * head of a VP8 frame).
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

    /** With pictures a cluster begins with one that needs none before it, or when its times would no longer fit. */
    private const LONGEST_CLUSTER_MS = 30_000;

    /** Pixels of a picture's side. */
    public const LARGEST = 640;

    private const SOUND = 1;

    private const PICTURE = 2;

    private int $scale = self::MILLISECOND;

    private ?string $head = null;

    /** @var array<int, self::SOUND|self::PICTURE> what a track is, by its number in the file */
    private array $tracks = [];

    /** @var array{int, int}|null of the pictures, in pixels */
    private ?array $size = null;

    private int $clusterMs = 0;

    /** @var list<array{int, string, self::SOUND|self::PICTURE}> milliseconds since the beginning, packet and track */
    private array $packets = [];

    private function __construct(private readonly string $bytes, private readonly bool $mayFilm)
    {
    }

    /**
     * @param  bool  $mayFilm  whether it may have a track of pictures
     *
     * @throws UnreadableSound
     */
    public static function read(string $bytes, bool $mayFilm = false): Sound
    {
        $file = new self($bytes, $mayFilm);
        $file->walk(0, strlen($bytes));
        if ($file->head === null || $file->packets === []) {
            throw UnreadableSound::noSound();
        }

        return new Sound($file->written(), $file->lasts(), $file->size);
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

    /** A track: its number, what it is, and what is needed to read it. */
    private function entry(int $at, int $end): void
    {
        $of = $this->children($at, $end);
        $codec = $of[0x86] ?? '';
        $number = self::value($of[0xD7] ?? "\x01");
        if (isset($this->tracks[$number])) {
            throw UnreadableSound::otherTracks($this->mayFilm);
        }
        if ($codec === 'A_OPUS' && $this->head === null && str_starts_with($of[0x63A2] ?? '', 'OpusHead')) {
            $this->head = $of[0x63A2];
            $this->tracks[$number] = self::SOUND;
        } elseif ($codec === 'V_VP8' && $this->mayFilm && $this->size === null && isset($of[0xE0])) {
            $about = (new self($of[0xE0], false))->children(0, strlen($of[0xE0]));
            $this->size = [self::value($about[0xB0] ?? "\0"), self::value($about[0xBA] ?? "\0")];
            if (min($this->size) < 1 || max($this->size) > self::LARGEST) {
                throw UnreadableSound::largePicture(self::LARGEST);
            }
            $this->tracks[$number] = self::PICTURE;
        } else {
            throw UnreadableSound::otherTracks($this->mayFilm);
        }
    }

    /** @return array<int, string> what stands in elements from one place to another, by their ids */
    private function children(int $at, int $end): array
    {
        $of = [];
        while ($at < $end) {
            [$id, $at] = $this->number($at, $end, true);
            [$size, $at] = $this->number($at, $end, false);
            if ($size === null || $at + $size > $end) {
                throw UnreadableSound::broken();
            }
            $of[(int) $id] = substr($this->bytes, $at, $size);
            $at += $size;
        }

        return $of;
    }

    private function block(int $at, int $end): void
    {
        [$track, $at] = $this->number($at, $end, false);
        $flags = $end - $at > 3 ? ord($this->bytes[$at + 2]) : null;
        // Several packets in one block are not what browsers write.
        $isPlain = $flags !== null && ($flags & 0x06) === 0;
        $is = $this->tracks[$track ?? 0] ?? null;
        if ($is === null || ! $isPlain || count($this->packets) >= self::MOST_PACKETS) {
            throw UnreadableSound::broken();
        }
        $time = $this->whole($at, $at + 2);
        $by = $time > 0x7FFF ? $time - 0x10000 : $time;
        $this->packets[] = [
            max(0, $this->clusterMs + $this->milliseconds($by)),
            substr($this->bytes, $at + 3, $end - $at - 3),
            $is,
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
        $sound = self::element(self::ENTRY, self::element(0xD7, chr(self::SOUND)).
            self::element(0x73C5, "\x01").
            self::element(0x83, "\x02").
            self::element(0x86, 'A_OPUS').
            self::element(0x63A2, (string) $this->head).
            self::element(0xE1, self::element(0xB5, pack('E', 48_000.0)).self::element(0x9F, ($this->head ?? '')[9])));
        $picture = $this->size === null
            ? ''
            : self::element(self::ENTRY, self::element(0xD7, chr(self::PICTURE)).
                self::element(0x73C5, "\x02").
                self::element(0x83, "\x01").
                self::element(0x86, 'V_VP8').
                self::element(0xE0, self::element(0xB0, self::bytes($this->size[0], 2)).
                    self::element(0xBA, self::bytes($this->size[1], 2))));
        $tracks = self::element(self::TRACKS, $sound.$picture);
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

    /** A picture that is whole by itself: the lowest bit of its first byte is not set. */
    private static function needsNoOther(string $frame): bool
    {
        return $frame !== '' && (ord($frame[0]) & 1) === 0;
    }

    /** @return array{list<int>, list<string>} when each begins, and its bytes */
    private function clusters(): array
    {
        $times = $blocks = [];
        $isPictured = false;
        foreach ($this->packets as [$at, $packet, $track]) {
            $last = count($times) - 1;
            $isKey = $track === self::SOUND || self::needsNoOther($packet);
            $lasts = $last < 0 ? 0 : $at - $times[$last];
            $mayBegin = $this->size === null
                ? $lasts >= self::CLUSTER_MS
                : $track === self::PICTURE && $isKey && $isPictured;
            if ($last < 0 || $mayBegin || $lasts >= self::LONGEST_CLUSTER_MS) {
                $times[] = $at;
                $blocks[] = '';
                $last++;
                $isPictured = false;
            }
            $isPictured = $isPictured || $track === self::PICTURE;
            $by = max(-0x8000, $at - $times[$last]) & 0xFFFF;
            $head = chr(0x80 | $track).pack('n', $by).($isKey ? "\x80" : "\0");
            $blocks[$last] .= self::element(self::SIMPLE_BLOCK, $head.$packet);
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
