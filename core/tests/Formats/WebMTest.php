<?php

declare(strict_types=1);

namespace Crag\Tests\Formats;

use Crag\Formats\UnreadableSound;
use Crag\Formats\WebM;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Recordings as Chromium makes them: voice.webm is the beginning of one, broken off in the middle of a packet. */
final class WebMTest extends TestCase
{
    private static function voice(): string
    {
        return (string) file_get_contents(__DIR__.'/voice.webm');
    }

    public function test_a_recording_is_put_together_anew_and_knows_how_long_it_lasts(): void
    {
        $sound = WebM::read(self::voice());
        self::assertGreaterThan(800, $sound->lastsMs);
        self::assertLessThan(5_000, $sound->lastsMs);
        // Who wrote it is not kept.
        self::assertStringContainsString('Chrome', self::voice());
        self::assertStringNotContainsString('Chrome', $sound->bytes);
        self::assertStringContainsString('OpusHead', $sound->bytes);
    }

    public function test_what_was_put_together_is_put_together_to_the_same_again(): void
    {
        $once = WebM::read(self::voice());
        $twice = WebM::read($once->bytes);
        self::assertSame([$once->lastsMs, $once->bytes], [$twice->lastsMs, $twice->bytes]);
    }

    public function test_a_long_recording_can_be_played_from_any_of_its_clusters(): void
    {
        $short = WebM::read(self::voice());
        // Each place in the list of cues is where a cluster begins, counted from the segment's first child.
        $segment = strpos($short->bytes, "\x18\x53\x80\x67") + 12;
        preg_match_all('/\xF7\x01\x00{6}\x01\x01\xF1\x01\x00{6}\x08(.{8})/s', $short->bytes, $found);
        self::assertNotSame([], $found[1]);
        foreach ($found[1] as $place) {
            $at = (int) hexdec(bin2hex($place));
            self::assertSame("\x1F\x43\xB6\x75", substr($short->bytes, $segment + $at, 4));
        }
    }

    #[DataProvider('others')]
    public function test_what_is_no_recording_of_a_voice_alone_is_refused(string $bytes, string $says): void
    {
        $this->expectException(UnreadableSound::class);
        $this->expectExceptionMessage($says);
        WebM::read($bytes);
    }

    /** @return iterable<string, array{string, string}> */
    public static function others(): iterable
    {
        yield 'nothing' => ['', 'no sound'];
        yield 'words' => ['A plank rests on a pivot.', 'no sound'];
        yield 'its head alone' => [substr(self::voice(), 0, 158), 'no sound'];
        yield 'another codec' => [str_replace('A_OPUS', 'A_VORB', self::voice()), 'one track of sound'];
        yield 'another head' => [str_replace('OpusHead', 'OpusTail', self::voice()), 'one track of sound'];
        yield 'a packet of another track' => [str_replace("\xA3\x8C\x81", "\xA3\x8C\x82", self::voice()), 'damaged'];
    }

    public function test_a_small_picture_of_who_speaks_is_kept_where_it_may_be(): void
    {
        $filmed = (string) file_get_contents(__DIR__.'/camera.webm');
        $sound = WebM::read($filmed, true);
        self::assertSame([320, 240], $sound->size);
        self::assertGreaterThan(1_000, $sound->lastsMs);
        self::assertStringNotContainsString('Chrome', $sound->bytes);
        $again = WebM::read($sound->bytes, true);
        self::assertSame([$sound->bytes, $sound->size], [$again->bytes, $again->size]);
        self::assertNull(WebM::read(self::voice(), true)->size);
        foreach ([
            'one track of sound and nothing else' => [$filmed, false],
            'up to 640 pixels' => [str_replace("\xB0\x82\x01\x40", "\xB0\x82\x02\x81", $filmed), true],
            'one of pictures' => [str_replace('V_VP8', 'V_VP7', $filmed), true],
        ] as $says => [$bytes, $mayFilm]) {
            try {
                WebM::read($bytes, $mayFilm);
                self::fail($says);
            } catch (UnreadableSound $problem) {
                self::assertStringContainsString($says, $problem->getMessage());
            }
        }
    }

    public function test_with_pictures_each_cluster_begins_with_a_whole_one(): void
    {
        $bytes = WebM::read((string) file_get_contents(__DIR__.'/camera.webm'), true)->bytes;
        // An element's size takes eight bytes here: a cluster's time, then its first blocks.
        preg_match_all('/\x1F\x43\xB6\x75.{8}\xE7.{16}(.*?)(?=\x1F\x43\xB6\x75|\z)/s', $bytes, $clusters);
        self::assertNotSame([], $clusters[1]);
        foreach ($clusters[1] as $cluster) {
            preg_match('/\xA3\x01\x00{5}..\x82..(.)(.)/s', $cluster, $first);
            self::assertSame(0x80, ord($first[1] ?? ''));
            self::assertSame(0, ord($first[2] ?? '') & 1);
        }
    }

    public function test_whatever_comes_is_read_or_refused(): void
    {
        $bytes = self::voice();
        for ($i = 0; $i < 400; $i++) {
            $odd = $bytes;
            for ($k = 0; $k < 4; $k++) {
                $odd[(self::draw($i * 7 + $k)) % 400] = chr(self::draw($i * 13 + $k) % 256);
            }
            try {
                self::assertLessThan(100_000, strlen(WebM::read($odd)->bytes));
            } catch (UnreadableSound $problem) {
                self::assertNotSame('', $problem->getMessage());
            }
        }
    }

    private static function draw(int $n): int
    {
        return (int) hexdec(substr(hash('sha256', "draw {$n}"), 0, 7));
    }
}
