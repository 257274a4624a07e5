<?php

declare(strict_types=1);

namespace Crag\Tests\Formats;

use Crag\Formats\Captions;
use PHPUnit\Framework\TestCase;

/** What is said in a recording, line by line. */
final class CaptionsTest extends TestCase
{
    public function test_lines_begin_at_their_times_and_end_with_the_next(): void
    {
        self::assertSame(
            [
                ['from' => 0, 'to' => 5_000, 'words' => 'The plank is level'],
                ['from' => 5_000, 'to' => 12_500, 'words' => 'Now it tips'],
                ['from' => 12_500, 'to' => 20_000, 'words' => 'to the left'],
            ],
            Captions::read("The plank is level\n0:05 Now it tips\n0:12.5 to the left", 20_000)->lines,
        );
    }

    public function test_what_has_no_time_is_spread_by_length_sentence_by_sentence(): void
    {
        self::assertSame(
            [
                ['from' => 0, 'to' => 2_000, 'words' => 'Up.'],
                ['from' => 2_000, 'to' => 8_000, 'words' => 'And down!'],
            ],
            Captions::read('Up. And down!', 8_000)->lines,
        );
    }

    public function test_every_moment_up_to_the_end_has_at_most_one_line_and_order_holds(): void
    {
        foreach (["0:09 late\n0:04 early\n9:59 never", "\n\n0:00 a\n0:00 b", '12:5 no time', "0:01\n0:02 x"] as $words) {
            $before = 0;
            foreach (Captions::read($words, 10_000)->lines as ['from' => $from, 'to' => $to]) {
                self::assertGreaterThanOrEqual($before, $from, $words);
                self::assertGreaterThanOrEqual($from, $to, $words);
                self::assertLessThanOrEqual(10_000, $to, $words);
                $before = $to;
            }
        }
        self::assertSame([], Captions::read('', 10_000)->lines);
        self::assertSame("It tips.\nIt holds.", Captions::read('0:01 It tips. It holds.', 10_000)->text());
        self::assertSame('12:5 no time', Captions::read('12:5 no time', 10_000)->lines[0]['words']);
    }

    public function test_other_scripts_and_signs_are_written_as_they_are(): void
    {
        $vtt = Captions::read("اللوح يميل. الآن\n0:03 3 < 4 & more", 6_000)->vtt();
        self::assertSame(
            "WEBVTT\n\n00:00.000 --> 00:02.200\nاللوح يميل.\n\n".
            "00:02.200 --> 00:03.000\nالآن\n\n00:03.000 --> 00:06.000\n3 &lt; 4 &amp; more\n",
            $vtt,
        );
    }
}
