<?php

declare(strict_types=1);

namespace Crag\Tests\Canvas;

use Crag\Canvas\Drawing\Ink;
use Crag\Json\UnreadableFields;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class InkTest extends TestCase
{
    public function test_any_ink_reads_back_as_it_was_written(): void
    {
        mt_srand(7);
        for ($round = 0; $round < 200; $round++) {
            $samples = [];
            $ms = 0;
            for ($i = mt_rand(1, 60); $i > 0; $i--) {
                $samples[] = [mt_rand(-2000, 18000), mt_rand(-2000, 12000), mt_rand(0, 255), $ms];
                $ms += mt_rand(0, 40);
            }
            self::assertSame($samples, Ink::decode(Ink::of($samples)->encode())->samples());
        }
    }

    public function test_the_written_form_is_the_documented_one(): void
    {
        // 1 → zigzag 2, -1 → 1, 64 → 128 = 0x80 0x01, 0 → 0
        self::assertSame(rtrim(base64_encode("\x02\x01\x80\x01\x00"), '='), Ink::of([[1, -1, 64, 0]])->encode());
    }

    public function test_a_drawn_line_takes_at_most_35_hundredths_of_its_plain_json(): void
    {
        $samples = $plain = [];
        for ($i = 0; $i < 120; $i++) {
            $x = 4000 + 25 * $i;
            $y = (int) (5000 + 900 * sin($i / 9));
            $pressure = 120 + (($i * 7) % 23);
            $samples[] = [$x, $y, $pressure, $i * 8];
            $plain[] = ['x' => $x / 10, 'y' => $y / 10, 'pressure' => $pressure, 't' => $i * 8];
        }
        $ratio = strlen(Ink::of($samples)->encode()) / strlen((string) json_encode($plain));
        self::assertLessThanOrEqual(0.35, $ratio);
    }

    public function test_it_lasts_from_the_first_sample_to_the_last(): void
    {
        self::assertSame(240, Ink::of([[0, 0, 0, 0], [9, 9, 9, 240]])->lasts());
    }

    public function test_a_part_of_a_line_begins_and_ends_between_its_samples(): void
    {
        $ink = Ink::of([[0, 0, 100, 0], [160, 0, 116, 10], [160, 320, 116, 20]]);
        self::assertSame([[40, 0, 104, 0], [160, 0, 116, 7], [160, 160, 116, 12]], $ink->part(4, 24)->samples());
        self::assertSame([[0, 0, 100, 0]], $ink->part(0, 0)->samples());
        self::assertSame($ink->samples(), $ink->part(0, 32)->samples());
        self::assertSame(
            [[-10, -10, 5, 0], [-13, -13, 5, 1]],
            Ink::of([[-10, -10, 5, 0], [-21, -21, 5, 4]])
                ->part(0, 4)
                ->samples(),
        );
    }

    public function test_one_and_the_same_ink_is_stored_as_one_and_the_same_text(): void
    {
        $short = rtrim(base64_encode("\x02\x04\x06\x00"), '=');
        self::assertSame($short, Ink::of([[1, 2, 3, 0]])->encode());
        foreach (
            [
                'as it is' => $short,
                'with its padding' => base64_encode("\x02\x04\x06\x00"),
                'with spaces' => substr($short, 0, 2).' '.substr($short, 2)."\n",
                'a number spelt with a byte too many' => base64_encode("\x82\x00\x04\x06\x00"),
                'nothing spelt with two bytes' => base64_encode("\x02\x04\x06\x80\x00"),
            ] as $how => $text
        ) {
            self::assertSame($short, Ink::decode($text)->encode(), $how);
        }
    }

    public function test_kept_ink_reads_back_as_it_was_written(): void
    {
        $samples = [[10, 20, 30, 0], [11, 22, 33, 8]];
        self::assertSame($samples, Ink::kept(Ink::of($samples)->encode())->samples());
    }

    #[DataProvider('unreadable')]
    public function test_what_cannot_be_ink_is_refused_with_the_reason(string $text, string $reason): void
    {
        $this->expectException(UnreadableFields::class);
        $this->expectExceptionMessage($reason);
        Ink::decode($text);
    }

    /** @return iterable<string, array{string, string}> */
    public static function unreadable(): iterable
    {
        yield 'nothing' => ['', 'no points'];
        yield 'not base64' => ['%%%', 'not base64'];
        yield 'half a point' => [base64_encode("\x02\x02"), 'middle of a point'];
        yield 'half a number' => [base64_encode("\x02\x02\x02\x80"), 'middle of a number'];
        yield 'a huge number' => [base64_encode("\xff\xff\xff\xff\xff\xff\x01"), 'too large'];
        yield 'far off the page' => [self::raw(99_999, 0, 0, 0), 'off the page'];
        yield 'a pressure of 300' => [self::raw(0, 0, 300, 0), 'pressure is 300'];
        yield 'a time before the first' => [self::raw(0, 0, 0, -5), 'times do not rise'];
        yield 'too many points' => [
            base64_encode(str_repeat("\0\0\0\0", Ink::MOST_SAMPLES + 1)),
            'more than 4000 points',
        ];
    }

    private static function raw(int ...$numbers): string
    {
        $bytes = '';
        foreach ($numbers as $number) {
            $zigzag = $number < 0 ? -2 * $number - 1 : 2 * $number;
            while ($zigzag > 127) {
                $bytes .= chr(($zigzag & 127) | 128);
                $zigzag >>= 7;
            }
            $bytes .= chr($zigzag);
        }

        return base64_encode($bytes);
    }
}
