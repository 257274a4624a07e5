<?php

declare(strict_types=1);

namespace Crag\Tests\Formats;

use Crag\Formats\SessionDescription;
use Crag\Formats\UnusableDescription;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** How two pages reach each other. */
final class SessionDescriptionTest extends TestCase
{
    private const SOUND = "v=0\r\no=- 1 2 IN IP4 127.0.0.1\r\ns=-\r\nt=0 0\r\nm=audio 9 UDP/TLS/RTP/SAVPF 111\r\n".
        "a=candidate:1 1 udp 2122 127.0.0.1 50001 typ host generation 0\r\n".
        "a=candidate:2 1 udp 2121 10.20.3.4 50002 typ host generation 0\r\n".
        "a=candidate:3 1 udp 2120 5b7e.local 50003 typ host generation 0\r\n".
        "a=candidate:4 1 udp 1000 192.0.2.7 50004 typ relay raddr 0.0.0.0 rport 0\r\n".
        "a=candidate:5 1 udp 2119 fd00::1 50005 typ host generation 0\r\n";

    public function test_it_is_passed_on_as_it_is_where_all_may_be_told(): void
    {
        self::assertSame(self::SOUND, SessionDescription::read(self::SOUND));
    }

    /** @param  list<int>  $told */
    #[DataProvider('networks')]
    public function test_of_the_addresses_only_those_of_the_networks_are_told(string $network, array $told): void
    {
        preg_match_all('/^a=candidate:(\d)/m', SessionDescription::read(self::SOUND, [$network]), $found);
        self::assertSame($told, array_map(intval(...), $found[1]));
    }

    /** @return iterable<string, array{string, list<int>}> the relay's own is always told */
    public static function networks(): iterable
    {
        yield 'this machine' => ['127.0.0.0/8', [1, 4]];
        yield 'one address' => ['127.0.0.1', [1, 4]];
        yield 'a school' => ['10.20.0.0/16', [2, 4]];
        yield 'another school' => ['10.21.0.0/16', [4]];
        yield 'the newer kind' => ['fd00::/8', [4, 5]];
        yield 'no network' => ['sillbeck', [4]];
    }

    #[DataProvider('unusable')]
    public function test_what_is_not_the_sound_of_one_talk_is_refused(string $text): void
    {
        $this->expectException(UnusableDescription::class);
        SessionDescription::read($text);
    }

    /** @return iterable<string, array{string}> */
    public static function unusable(): iterable
    {
        yield 'nothing' => [''];
        yield 'words' => ['hello'];
        yield 'a picture as well' => [self::SOUND."m=video 9 UDP/TLS/RTP/SAVPF 96\r\n"];
        yield 'data alone' => [str_replace('m=audio', 'm=application', self::SOUND)];
        yield 'no line of one' => [self::SOUND."<script>\r\n"];
        yield 'too long' => [self::SOUND.str_repeat("a=x\r\n", 5_000)];
    }
}
