<?php

declare(strict_types=1);

namespace Crag\Tests\Asks;

use Crag\Asks\Card;
use Crag\Asks\CardKind;
use Crag\Asks\Look;
use Crag\Asks\Teams;
use Crag\Json\Fields;
use Crag\Json\UnreadableFields;
use Crag\Plan\Practice;
use Crag\Prompt\Backdrop\Backdrop;
use PHPUnit\Framework\Attributes\Test;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class CardTest extends TestCase
{
    private const QUESTION = ['kind' => 'number', 'words' => 'F?', 'right' => '80 N'];

    #[Test]
    public function a_card_is_read_and_written_alike(): void
    {
        foreach ([
            ['kind' => 'ask', 'question' => self::QUESTION, 'picture' => 'p1', 'look' => 'bars', 'seconds' => 20],
            ['kind' => 'worked', 'words' => '60 × 2 = 120', 'picture' => '', 'seconds' => null],
            ['kind' => 'work', 'seconds' => 30],
        ] as $json) {
            $card = Card::one($json);
            self::assertEquals($card, Card::one($card->toArray()));
            self::assertSame($json['kind'], $card->kind->value);
            self::assertSame($json['seconds'], $card->seconds);
        }
    }

    #[Test]
    public function a_line_is_a_card_that_goes_straight_on(): void
    {
        $card = Card::one('F? | 80 N | 20 s');
        self::assertSame([CardKind::Ask, 'F?', 20, Look::None], [$card->kind, $card->words, $card->seconds, $card->look]);
    }

    #[TestWith([['kind' => 'worked', 'words' => ' ', 'picture' => '']])]
    #[TestWith([['kind' => 'riddle']])]
    #[TestWith([['kind' => 'ask', 'question' => ['kind' => 'choice', 'words' => '?', 'options' => [], 'right' => []]]])]
    #[TestWith([['kind' => 'work', 'seconds' => 2]])]
    #[TestWith([7])]
    public function test_what_is_no_card_says_so(mixed $json): void
    {
        $this->expectException(UnreadableFields::class);
        Card::one($json);
    }

    /** By itself a run shows the answers when the time is up, and goes on when they have been looked at. */
    #[TestWith([Look::None, 10_000, null, 14_000])]
    #[TestWith([Look::Bars, 10_000, null, 10_000])]
    #[TestWith([Look::Right, 10_000, 11_000, 21_000])]
    #[TestWith([Look::Right, 40_000, 11_000, 50_000])]
    #[TestWith([Look::Bars, null, null, null])]
    public function test_when_a_run_steps_on(Look $look, ?int $over, ?int $lookedAt, ?int $expected): void
    {
        $card = Card::one(['kind' => 'ask', 'question' => self::QUESTION, 'look' => $look->value, 'seconds' => null]);
        self::assertSame($expected, $card->stepsAt($over, $lookedAt));
        self::assertSame($over, Card::one(['kind' => 'work', 'seconds' => null])->stepsAt($over, $lookedAt));
    }

    #[Test]
    public function teams_are_as_large_as_each_other_and_stay_as_they_are(): void
    {
        $who = array_map(strval(...), range(1, 11));
        $teams = Teams::dealt($who, ['Arches', 'Cables', 'Trusses'], 'seed');
        self::assertEquals($teams, Teams::dealt($who, ['Arches', 'Cables', 'Trusses'], 'seed'));
        $sizes = array_count_values($teams->all());
        self::assertEqualsCanonicalizing([3, 4, 4], array_values($sizes));
        $smallest = array_search(3, $sizes, true);
        self::assertSame($smallest, $teams->with(['late'])->of('late'));
        self::assertSame($teams->of('1'), $teams->with(['late'])->of('1'));
        self::assertNull($teams->of('late'));
        $json = (array) json_decode((string) json_encode($teams->toArray()), true);
        self::assertEquals($teams, Teams::read(new Fields($json)));
    }

    #[Test]
    public function groups_are_teams_and_whoever_has_none_joins_the_smallest(): void
    {
        $teams = Teams::ofGroups(['a' => 'Ties', 'b' => 'Struts', 'c' => 'Ties', 'd' => '']);
        self::assertSame(['a' => 'Ties', 'b' => 'Struts', 'c' => 'Ties', 'd' => 'Struts'], $teams->all());
    }

    /** @param  list<string>  $names */
    #[TestWith([['one']])]
    #[TestWith([['Ties', 'ties']])]
    #[TestWith([['Ties', ' ']])]
    public function test_teams_need_names(array $names): void
    {
        $this->expectException(UnreadableFields::class);
        Teams::dealt(['a'], $names, '');
    }

    #[Test]
    public function practice_holds_the_questions_and_puts_one_with_a_picture_on_its_page(): void
    {
        $practice = Practice::of('Take your time.', [
            Card::one('F? | 80 N'),
            Card::one(['kind' => 'work', 'seconds' => null]),
            Card::one(['kind' => 'ask', 'question' => self::QUESTION, 'picture' => 'p1', 'seconds' => null]),
            Card::one(['kind' => 'ask', 'question' => self::QUESTION, 'picture' => 'gone', 'seconds' => null]),
        ], ['p1' => Backdrop::picture('p1')]);
        self::assertSame(
            [['q1', null], ['q2', 0], ['q3', null]],
            array_map(static fn ($one): array => [$one->id, $one->spot?->page], $practice->prompt->questions),
        );
        self::assertCount(1, $practice->pages->pages);
        self::assertTrue(Practice::of('', [], [])->isEmpty());
    }
}
