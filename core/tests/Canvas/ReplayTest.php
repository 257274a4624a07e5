<?php

declare(strict_types=1);

namespace Crag\Tests\Canvas;

use Crag\Canvas\Drawing\Ink;
use Crag\Canvas\Log\Author;
use Crag\Canvas\Log\Operation;
use Crag\Canvas\Log\Replay;
use PHPUnit\Framework\TestCase;

final class ReplayTest extends TestCase
{
    public function test_a_stroke_takes_as_long_as_the_hand_took_and_ends_when_it_was_finished(): void
    {
        $replay = Replay::of([self::stroke('a', 10_000, 800), self::stroke('b', 11_500, 400)]);
        self::assertSame([['from' => 0, 'to' => 800], ['from' => 1_900, 'to' => 2_300]], $replay->steps);
        self::assertSame(2_300, $replay->lasts());
    }

    public function test_the_moments_at_which_something_went_are_marked(): void
    {
        $replay = Replay::of([
            self::stroke('a', 10_000, 800),
            Logs::operation('r', 'remove', ['targets' => [Logs::id('a')]]),
            self::stroke('b', 21_000, 400),
            Logs::undo('w', 'b'),
            self::stroke('c', 22_000, 300),
        ]);
        self::assertSame([$replay->steps[1]['to'], $replay->steps[3]['to']], $replay->rubbedOut);
    }

    public function test_long_pauses_are_shortened(): void
    {
        $replay = Replay::of([self::stroke('a', 0, 0), self::stroke('b', 600_000, 500)]);
        self::assertSame(250 + Replay::LONGEST_PAUSE_MS, $replay->steps[1]['from']);
    }

    public function test_clocks_that_disagree_never_turn_time_back(): void
    {
        $log = [self::stroke('a', 90_000, 500), self::stroke('b', 10_000, 500), self::stroke('c', 95_000, 500)];
        $last = 0;
        foreach (Replay::of($log)->steps as ['from' => $from, 'to' => $to]) {
            self::assertGreaterThanOrEqual($last, $from);
            self::assertGreaterThan($from, $to);
            $last = $to;
        }
    }

    public function test_what_others_did_takes_no_time_when_one_author_is_played(): void
    {
        $log = [
            self::stroke('a', 1_000, 300),
            Logs::operation('b', 'backdrop', ['backdrop' => ['kind' => 'lined']], null),
            self::stroke('c', 2_000, 300),
        ];
        $steps = Replay::of($log, Author::seat(Logs::SEAT))->steps;
        self::assertSame(['from' => 300, 'to' => 300], $steps[1]);
        self::assertSame(['from' => 1_000, 'to' => 1_300], $steps[2]);
    }

    public function test_it_tells_how_much_is_finished_at_any_time(): void
    {
        $replay = Replay::of([self::stroke('a', 1_000, 300), self::stroke('b', 2_000, 300)]);
        self::assertSame([0, 0, 1, 1, 2, 2], array_map($replay->finishedAt(...), [0, 299, 300, 1_299, 1_300, 99_999]));
        self::assertSame(0, Replay::of([])->lasts());
    }

    public function test_along_a_recording_each_step_is_when_it_was_made(): void
    {
        $log = [
            self::stroke('before', 9_000, 500),
            self::stroke('under-way', 10_300, 700),
            self::stroke('within', 14_000, 1_000),
            self::stroke('after', 99_000, 500),
        ];
        self::assertSame(
            [
                ['from' => 0, 'to' => 0],
                ['from' => 0, 'to' => 300],
                ['from' => 3_000, 'to' => 4_000],
                ['from' => 6_000, 'to' => 6_000],
            ],
            Replay::along($log, 10_000, 6_000)->steps,
        );
        // A device whose clock ran behind: the log's order holds.
        $odd = Replay::along([self::stroke('a', 12_000, 100), self::stroke('b', 11_000, 100)], 10_000, 6_000)->steps;
        self::assertGreaterThanOrEqual($odd[0]['to'], $odd[1]['to']);
    }

    private static function stroke(string $id, int $at, int $takes): Operation
    {
        $ink = Ink::of([[0, 0, 128, 0], [100, 100, 128, $takes]])->encode();

        return Operation::read(
            [
                'id' => Logs::id($id),
                'kind' => 'add',
                'layer' => 'student',
                'at' => $at,
                'body' => ['object' => ['ink' => $ink] + Examples::stroke()],
            ],
            Author::seat(Logs::SEAT),
        );
    }
}
