<?php

declare(strict_types=1);

namespace Crag\Tests\Watch;

use Crag\Json\Fields;
use Crag\Prompt\Question\Question;
use Crag\Watch\AnswerGroups;
use Crag\Watch\Noticed;
use Crag\Watch\Signal;
use Crag\Watch\Signals;
use Crag\Watch\Watched;
use Crag\Watch\WatchSettings;
use PHPUnit\Framework\TestCase;

final class SignalsTest extends TestCase
{
    private const NOW = 10_000_000;

    public function test_an_answer_that_was_sent_and_is_not_right_is_told_with_the_answer(): void
    {
        $answers = self::answers(['a' => '24', 'b' => '240 N m', 'c' => '24']);
        $noticed = self::among(
            [new Watched('a', sentAtMs: 1), new Watched('b', sentAtMs: 1), new Watched('c')],
            $answers,
            Signal::SentWrong,
        );
        self::assertSame([['a', 'Sent :answer', ['answer' => '24']]], $noticed);
    }

    public function test_at_most_five_are_marked_each_once_and_no_kind_hides_another(): void
    {
        $one = static fn (Signal $signal, string $seat): Noticed => new Noticed($signal, $seat, '', []);
        $slips = array_map(static fn (string $seat): Noticed => $one(Signal::SameSlip, $seat), range('a', 'h'));
        $noticed = [
            $one(Signal::SentWrong, 'a'),
            $one(Signal::LongStill, 'x'),
            $one(Signal::LongStill, 'y'),
            ...$slips,
            $one(Signal::FarAhead, 'z'),
        ];
        $marked = Signals::marked($noticed);
        // The first slip is of one who is marked already; the next round has the second of each kind.
        self::assertSame(['a', 'x', 'z', 'y', 'b'], array_column($marked, 'seat'));
        self::assertSame(
            ['wrong', 'stuck', 'ahead', 'stuck', 'wrong'],
            array_map(static fn (Noticed $one): string => $one->signal->mark(), $marked),
        );
        self::assertSame([], Signals::marked([]));
    }

    public function test_rubbing_out_counts_while_it_goes_on(): void
    {
        $usual = WatchSettings::usual()->rubOuts;
        $now = self::NOW;
        self::assertSame(
            [['a', 'Rubbed out :n times in five minutes', ['n' => $usual]]],
            self::among(
                [
                    new Watched('a', lastStrokeMs: $now - Signals::RUBBING_MS, rubbedOut: $usual),
                    new Watched('b', lastStrokeMs: $now, rubbedOut: $usual - 1),
                    new Watched('c', lastStrokeMs: $now - Signals::RUBBING_MS - 1, rubbedOut: $usual),
                    new Watched('d', rubbedOut: $usual),
                ],
                null,
                Signal::RubbingOut,
            ),
        );
    }

    public function test_the_longest_still_of_those_who_could_work_are_named(): void
    {
        $ago = static fn (float $minutes): int => (int) (self::NOW - 60_000 * $minutes);
        $noticed = self::among(
            [
                new Watched('five', lastStrokeMs: $ago(5), givenAtMs: $ago(30)),
                new Watched('never', givenAtMs: $ago(12.5)),
                new Watched('new-prompt', lastStrokeMs: $ago(20), givenAtMs: $ago(3)),
                new Watched('seven', lastStrokeMs: $ago(7), givenAtMs: $ago(30)),
                new Watched('six', lastStrokeMs: $ago(6), givenAtMs: $ago(30)),
                new Watched('away', isHere: false, givenAtMs: $ago(30)),
                new Watched('sent', sentAtMs: 1, givenAtMs: $ago(30)),
                new Watched('elsewhere', isElsewhere: true, givenAtMs: $ago(30)),
                new Watched('covered', isCovered: true, givenAtMs: $ago(30)),
                new Watched('knocks', isKnocking: true, givenAtMs: $ago(30)),
                new Watched('unknown'),
            ],
            null,
            Signal::LongStill,
        );
        self::assertSame(
            [
                ['never', 'Nothing drawn for :n min', ['n' => 12]],
                ['seven', 'No stroke for :n min', ['n' => 7]],
                ['six', 'No stroke for :n min', ['n' => 6]],
            ],
            $noticed,
        );
    }

    public function test_the_same_slip_needs_enough_students(): void
    {
        $answers = self::answers([
            'a' => '24 N m',
            'b' => '0.024 kN m',
            'c' => '24 Nm',
            'd' => '240 N m',
            'e' => '240 Nm',
            'f' => '240 N m',
            'g' => '30 N m',
        ]);
        $all = array_map(static fn (string $seat): Watched => new Watched($seat), ['a', 'b', 'c', 'd', 'e', 'f', 'g']);
        self::assertSame(['a', 'b', 'c'], array_column(self::among($all, $answers, Signal::SameSlip), 0));
        self::assertSame(3, self::among($all, $answers, Signal::SameSlip)[0][2]['n']);
        self::assertSame(
            [],
            self::among(array_slice($all, 1), $answers, Signal::SameSlip),
            'a third who may not be spoken of does not count',
        );
    }

    public function test_far_ahead_is_sent_before_most_or_two_prompts_beyond_the_middle(): void
    {
        $class = static fn (Watched ...$some): array => [
            ...array_values($some),
            new Watched('x'),
            new Watched('y'),
            new Watched('z'),
        ];
        self::assertSame(
            [['a', 'Sent; :n of :all have', ['n' => 1, 'all' => 4]]],
            self::among($class(new Watched('a', sentAtMs: 1)), null, Signal::FarAhead),
        );
        self::assertSame(
            [],
            self::among($class(new Watched('a', sentAtMs: 1), new Watched('b', sentAtMs: 1)), null, Signal::FarAhead),
        );
        self::assertSame([], self::among([new Watched('a', sentAtMs: 1), new Watched('b')], null, Signal::FarAhead));
        self::assertSame(
            [['c', 'At prompt :n; the middle of the class is at :middle', ['n' => 3, 'middle' => 1]]],
            self::among($class(new Watched('b', prompt: 2), new Watched('c', prompt: 3)), null, Signal::FarAhead),
        );
    }

    public function test_signals_come_by_urgency_and_can_be_off(): void
    {
        $all = [
            new Watched('a', sentAtMs: 1, lastStrokeMs: self::NOW, rubbedOut: 50),
            new Watched('b'),
            new Watched('c'),
            new Watched('d'),
        ];
        $heard = static fn (WatchSettings $settings): array => array_map(
            static fn (Noticed $one): Signal => $one->signal,
            Signals::among($all, self::answers(['a' => '24']), $settings, self::NOW),
        );
        self::assertSame([Signal::SentWrong, Signal::RubbingOut, Signal::FarAhead], $heard(WatchSettings::usual()));
        self::assertSame([], $heard(WatchSettings::read(['off' => array_column(Signal::cases(), 'value')])));
    }

    /**
     * @param  list<Watched>  $canvases
     * @return list<array{string, string, array<string, string|int>}>
     */
    private static function among(array $canvases, ?AnswerGroups $answers, Signal $only): array
    {
        $settings = WatchSettings::read([
            'off' => array_values(array_diff(array_column(Signal::cases(), 'value'), [$only->value])),
        ]);

        return array_map(
            static fn (Noticed $one): array => [$one->seat, $one->sentence, $one->values],
            Signals::among($canvases, $answers ?? AnswerGroups::among([]), $settings, self::NOW),
        );
    }

    /** @param  array<string, string>  $given  by seat */
    private static function answers(array $given): AnswerGroups
    {
        $question = Question::read(
            new Fields(['id' => 'q1', 'kind' => 'number', 'words' => '', 'spot' => null, 'right' => '240 N m']),
        );

        return AnswerGroups::among(
            array_map(
                static fn (string $seat, string $answer): array => [$seat, $question, $answer],
                array_keys($given),
                $given,
            ),
        );
    }
}
