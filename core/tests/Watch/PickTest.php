<?php

declare(strict_types=1);

namespace Crag\Tests\Watch;

use Crag\Watch\Pick;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

final class PickTest extends TestCase
{
    public function test_everybody_comes_round_before_anyone_comes_twice(): void
    {
        $class = ['a', 'b', 'c', 'd', 'e'];
        for ($seed = 0; $seed < 40; $seed++) {
            $randomizer = new Randomizer(new Mt19937($seed));
            $picked = [];
            for ($i = 0; $i < 15; $i++) {
                $picked[] = (string) Pick::draw($class, $picked, $randomizer);
            }
            foreach (array_chunk($picked, 5) as $round) {
                sort($round);
                self::assertSame($class, $round);
            }
            for ($i = 1; $i < 15; $i++) {
                self::assertNotSame($picked[$i - 1], $picked[$i], 'nobody twice in a row');
            }
        }
    }

    public function test_every_first_draw_is_as_likely_as_another(): void
    {
        $randomizer = new Randomizer(new Mt19937(7));
        $counts = ['a' => 0, 'b' => 0, 'c' => 0, 'd' => 0];
        for ($i = 0; $i < 4_000; $i++) {
            $counts[(string) Pick::draw(array_keys($counts), [], $randomizer)]++;
        }
        self::assertGreaterThan(900, min($counts));
        self::assertLessThan(1_100, max($counts));
    }

    public function test_whoever_is_away_is_passed_over_and_keeps_the_turn(): void
    {
        self::assertSame(['b'], Pick::among(['a', 'b'], ['a']));
        self::assertSame(['a'], Pick::among(['a'], ['a', 'b', 'a']), 'alone there is no other');
        self::assertSame(['c'], Pick::among(['a', 'b', 'c'], ['a', 'b', 'a', 'b', 'c']));
        self::assertSame([], Pick::among([], ['a']));
        self::assertNull(Pick::draw([], ['a'], new Randomizer(new Mt19937(1))));
    }

    public function test_a_new_round_does_not_begin_with_the_one_who_ended_the_last(): void
    {
        self::assertSame(['a', 'b'], Pick::among(['a', 'b', 'c'], ['b', 'a', 'c']));
    }
}
