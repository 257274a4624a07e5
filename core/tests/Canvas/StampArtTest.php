<?php

declare(strict_types=1);

namespace Crag\Tests\Canvas;

use Crag\Canvas\Drawing\StampArt;
use PHPUnit\Framework\TestCase;

final class StampArtTest extends TestCase
{
    public function test_every_stamp_has_a_word_of_its_own_and_lies_on_its_field(): void
    {
        $words = $names = [];
        foreach (StampArt::sets() as [$subject, $stamps]) {
            self::assertNotSame('', $subject);
            foreach ($stamps as $name) {
                $names[] = $name;
                $words[] = StampArt::word($name);
                $path = StampArt::all()[$name];
                self::assertMatchesRegularExpression('/^(M[\d.]+ [\d.]+( ?[LC]( ?[\d.]+ [\d.]+)+)*( Z)? ?)+$/', $path, $name);
                preg_match_all('/[\d.]+/', $path, $numbers);
                foreach ($numbers[0] as $number) {
                    self::assertLessThanOrEqual(StampArt::FIELD, (float) $number, $name);
                }
            }
        }
        self::assertSame($names, StampArt::names());
        self::assertSame($words, array_values(array_unique($words)));
    }

    public function test_a_note_stands_where_its_head_is_and_other_stamps_in_their_middle(): void
    {
        self::assertSame([42.0, 87.5], StampArt::anchor('quaver'));
        self::assertSame([50, 50], StampArt::anchor('sharp'));
        // On a stave the head's middle is a whole number of half spaces away from the stamp's, so that both snap alike.
        self::assertSame(0.0, fmod((87.5 - 50) / 100 * StampArt::ON_STAVE, 11));
    }
}
