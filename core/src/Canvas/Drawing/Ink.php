<?php

declare(strict_types=1);

namespace Crag\Canvas\Drawing;

use Crag\Canvas\Log\UnreadableOperation;
use Crag\Json\UnreadableFields;
use Crag\Prompt\Paper;

/**
 * The samples of one stroke: [x, y in tenths of a unit, pressure 0–255, milliseconds since the stroke began].
 *
 * Written as text: for every sample the four differences to the sample before (to 0, 0, 0, 0 for the first),
 * each zigzag-coded and put as a base-128 varint (seven bits a byte, lowest first, high bit set on all but the last),
 * the bytes together in base64 (RFC 4648 section 4) without padding.
 */
final class Ink
{
    public const MOST_SAMPLES = 4000;

    /** Characters: four numbers a sample, each at most three bytes (four thirds in base64), with room to spare. */
    public const LONGEST_TEXT = self::MOST_SAMPLES * 24;

    private const LONGEST_MS = 3_600_000;

    /** @param  ?list<array{int, int, int, int}>  $samples  null until they are asked for */
    private function __construct(private ?string $text, private ?array $samples)
    {
    }

    /**
     * @param  list<array{int, int, int, int}>  $samples
     *
     * @throws UnreadableFields when there are none, too many, or one lies out of reach
     */
    public static function of(array $samples): self
    {
        if ($samples === []) {
            throw UnreadableOperation::badInk('it has no points');
        }
        if (count($samples) > self::MOST_SAMPLES) {
            throw UnreadableOperation::badInk('it has more than '.self::MOST_SAMPLES.' points');
        }
        $last = 0;
        foreach ($samples as [$x, $y, $pressure, $ms]) {
            if (! Paper::reaches($x, $y)) {
                throw UnreadableOperation::badInk("a point lies at {$x}, {$y}, off the page");
            }
            if ($pressure < 0 || $pressure > 255) {
                throw UnreadableOperation::badInk("a pressure is {$pressure}");
            }
            if ($ms < $last || $ms > self::LONGEST_MS) {
                throw UnreadableOperation::badInk('its times do not rise');
            }
            $last = $ms;
        }

        return new self(null, $samples);
    }

    /** @throws UnreadableFields */
    public static function decode(string $text): self
    {
        $isShortest = true;
        $ink = self::of(self::read($text, $isShortest));
        // What another writer spells at length is spelt anew; what is as short as it can be is the only such text.
        $ink->text = $isShortest ? rtrim($text, '=') : null;

        return $ink;
    }

    /** Ink that was checked when it came in: it is decoded only if somebody asks for its samples. */
    public static function kept(string $text): self
    {
        return new self($text, null);
    }

    /** @return list<array{int, int, int, int}> */
    public function samples(): array
    {
        return $this->samples ??= self::read((string) $this->text);
    }

    public function encode(): string
    {
        return $this->text ??= self::write($this->samples());
    }

    /** Milliseconds from the first sample to the last. */
    public function lasts(): int
    {
        $samples = $this->samples();

        return $samples[count($samples) - 1][3];
    }

    /**
     * The part from one place along the samples to another, both counted in sixteenths of a sample: 24 is half way from
     * the second sample to the third. Its times begin at 0.
     */
    public function part(int $from, int $to): self
    {
        $samples = $this->samples();
        $part = [self::between($samples, $from)];
        for ($i = intdiv($from, 16) + 1; $i * 16 < $to; $i++) {
            $part[] = $samples[$i];
        }
        if ($to > $from) {
            $part[] = self::between($samples, $to);
        }
        $start = $part[0][3];

        return new self(
            null,
            array_map(
                static fn (array $sample): array => [$sample[0], $sample[1], $sample[2], $sample[3] - $start],
                $part,
            ),
        );
    }

    /**
     * @param  list<array{int, int, int, int}>  $samples
     * @return array{int, int, int, int}
     */
    private static function between(array $samples, int $place): array
    {
        $a = $samples[intdiv($place, 16)];
        $b = $samples[min(count($samples) - 1, intdiv($place, 16) + 1)];
        $share = $place % 16;
        $mix = static fn (int $a, int $b): int => (int) floor((16 * $a + ($b - $a) * $share + 8) / 16);

        return [$mix($a[0], $b[0]), $mix($a[1], $b[1]), $mix($a[2], $b[2]), $mix($a[3], $b[3])];
    }

    /**
     * @param  bool  $isShortest  becomes false where the same samples have a shorter text
     * @return list<array{int, int, int, int}>
     *
     * @throws UnreadableFields
     */
    private static function read(string $text, bool &$isShortest = true): array
    {
        $bytes = base64_decode($text, true);
        if ($bytes === false) {
            throw UnreadableOperation::badInk('it is not base64');
        }
        $isShortest = rtrim(base64_encode($bytes), '=') === rtrim($text, '=');
        $numbers = self::numbers($bytes, $isShortest);
        if (count($numbers) % 4 !== 0) {
            throw UnreadableOperation::badInk('it ends in the middle of a point');
        }
        $samples = [];
        $x = $y = $pressure = $ms = 0;
        for ($i = 0, $count = count($numbers); $i < $count; $i += 4) {
            $samples[] = [
                ($x += $numbers[$i]),
                ($y += $numbers[$i + 1]),
                ($pressure += $numbers[$i + 2]),
                ($ms += $numbers[$i + 3]),
            ];
        }

        return $samples;
    }

    /** @param  list<array{int, int, int, int}>  $samples */
    private static function write(array $samples): string
    {
        $bytes = '';
        $before = [0, 0, 0, 0];
        foreach ($samples as $sample) {
            foreach ($sample as $i => $value) {
                $bytes .= self::varint($value - $before[$i]);
            }
            $before = $sample;
        }

        return rtrim(base64_encode($bytes), '=');
    }

    /** @return list<int> */
    private static function numbers(string $bytes, bool &$isShortest): array
    {
        $numbers = [];
        $value = 0;
        $shift = 0;
        /** @var array<int, int> $codes */
        $codes = unpack('C*', $bytes) ?: [];
        foreach ($codes as $byte) {
            $value |= ($byte & 0x7F) << $shift;
            if ($byte < 0x80) {
                $isShortest = $isShortest && ($byte > 0 || $shift === 0);
                $numbers[] = ($value >> 1) ^ -($value & 1);
                $value = $shift = 0;
            } elseif (($shift += 7) > 28) {
                throw UnreadableOperation::badInk('a number in it is too large');
            }
        }
        if ($shift !== 0) {
            throw UnreadableOperation::badInk('it ends in the middle of a number');
        }

        return $numbers;
    }

    private static function varint(int $value): string
    {
        $zigzag = $value < 0 ? -2 * $value - 1 : 2 * $value;
        $bytes = '';
        while ($zigzag > 0x7F) {
            $bytes .= chr(($zigzag & 0x7F) | 0x80);
            $zigzag >>= 7;
        }

        return $bytes.chr($zigzag);
    }
}
