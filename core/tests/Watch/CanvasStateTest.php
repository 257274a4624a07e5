<?php

declare(strict_types=1);

namespace Crag\Tests\Watch;

use Crag\Watch\CanvasState;
use Crag\Watch\Watched;
use Crag\Watch\WatchSettings;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class CanvasStateTest extends TestCase
{
    private const NOW = 5_000_000;

    /** @param  list<CanvasState>  $states */
    #[DataProvider('canvases')]
    public function test_states_follow_from_what_is_known(Watched $canvas, array $states): void
    {
        self::assertSame($states, CanvasState::all($canvas, WatchSettings::usual(), self::NOW));
    }

    /** @return iterable<string, array{Watched, list<CanvasState>}> */
    public static function canvases(): iterable
    {
        yield 'nothing drawn' => [new Watched('a'), [CanvasState::NotStarted]];
        yield 'just now' => [new Watched('a', lastStrokeMs: self::NOW - 10_000), [CanvasState::Drawing]];
        yield 'a clock that runs ahead' => [new Watched('a', lastStrokeMs: self::NOW + 500), [CanvasState::Drawing]];
        yield 'a moment ago' => [new Watched('a', lastStrokeMs: self::NOW - 10_001), [CanvasState::Pausing]];
        yield 'just under the minutes that are set' => [
            new Watched('a', lastStrokeMs: self::NOW - 59_999),
            [CanvasState::Pausing],
        ];
        yield 'as many minutes as are set' => [
            new Watched('a', lastStrokeMs: self::NOW - 60_000),
            [CanvasState::Quiet],
        ];
        yield 'what cannot be read comes first' => [
            (new Watched('a', isHere: false))->unreadable(),
            [CanvasState::Unreadable, CanvasState::Away, CanvasState::NotStarted],
        ];
        yield 'away' => [new Watched('a', isHere: false), [CanvasState::Away, CanvasState::NotStarted]];
        yield 'away in mid-stroke' => [new Watched('a', isHere: false, lastStrokeMs: self::NOW), [CanvasState::Away]];
        yield 'a hand up while drawing' => [
            new Watched('a', hasHandUp: true, lastStrokeMs: self::NOW),
            [CanvasState::HandUp, CanvasState::Drawing],
        ];
        yield 'sent' => [new Watched('a', sentAtMs: 1, lastStrokeMs: 1), [CanvasState::Sent, CanvasState::Quiet]];
        yield 'at another prompt' => [
            new Watched('a', isElsewhere: true),
            [CanvasState::Elsewhere, CanvasState::NotStarted],
        ];
        yield 'covered work tells nothing' => [
            new Watched('a', isCovered: true, lastStrokeMs: self::NOW),
            [CanvasState::Covered],
        ];
        yield 'but that it was sent' => [
            new Watched('a', isCovered: true, sentAtMs: 1),
            [CanvasState::Sent, CanvasState::Covered],
        ];
        yield 'knocking' => [new Watched('a', isKnocking: true, hasHandUp: true), [CanvasState::Knocking]];
    }

    #[TestWith([null, 0])]
    #[TestWith([0, 0])]
    #[TestWith([119_999, 0])]
    #[TestWith([120_000, 2])]
    #[TestWith([185_000, 3])]
    #[TestWith([-9_000, 0])]
    public function test_quiet_is_counted_in_whole_minutes_once_it_is_worth_a_word(?int $ago, int $minutes): void
    {
        $settings = WatchSettings::read(['quiet_minutes' => 2]);
        self::assertSame(
            $minutes,
            CanvasState::quietMinutes($ago === null ? null : self::NOW - $ago, $settings, self::NOW),
        );
    }

    public function test_settings_keep_to_their_limits_and_come_back_as_they_were(): void
    {
        $settings = WatchSettings::read([
            'drawing_seconds' => 999,
            'still_minutes' => 0,
            'rub_outs' => '12',
            'same_slip' => 'x',
            'off' => ['far_ahead', 'nonsense', 3],
        ]);
        self::assertSame(
            [
                'drawing_seconds' => 60,
                'quiet_minutes' => 1,
                'still_minutes' => 1,
                'rub_outs' => 12,
                'same_slip' => 3,
                'off' => ['far_ahead'],
            ],
            $settings->toArray(),
        );
        self::assertEquals($settings, WatchSettings::read($settings->toArray()));
    }

    public function test_each_state_of_a_canvas_is_counted_and_sorted_once(): void
    {
        $canvases = array_filter(
            CanvasState::cases(),
            static fn (CanvasState $state): bool => $state !== CanvasState::Knocking,
        );
        foreach ([CanvasState::counted(), CanvasState::sorted()] as $list) {
            self::assertCount(count($canvases), $list);
            foreach ($canvases as $state) {
                self::assertContains($state, $list);
            }
        }
        self::assertSame(CanvasState::HandUp, CanvasState::sorted()[0]);
        self::assertFalse(CanvasState::Away->isRare());
    }

    public function test_each_state_has_its_words_and_short_ones_are_no_longer(): void
    {
        foreach (CanvasState::cases() as $state) {
            self::assertNotSame('', $state->heading());
            self::assertLessThanOrEqual(mb_strlen($state->words()), mb_strlen($state->shortWords()));
        }
    }
}
