<?php

declare(strict_types=1);

namespace Crag\Tests\Checks;

use Crag\Checks\Aspect;
use Crag\Checks\Feedback;
use Crag\Checks\InvalidJudgement;
use Crag\Checks\Judgement;
use Crag\Checks\Level;
use Crag\Checks\Proposal;
use Crag\Checks\Scale;
use Crag\Json\Fields;
use Crag\Json\UnreadableFields;
use Crag\Maths\Comparing\Outcome;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class JudgementTest extends TestCase
{
    public function test_strata_alone_is_the_level_itself(): void
    {
        foreach (Level::cases() as $level) {
            $judgement = Judgement::of([Aspect::whole()], false, [$level->value], null, '', null);
            self::assertSame($level, $judgement->level([Aspect::whole()], null));
            self::assertEqualsWithDelta($level->value / 3, $judgement->share([Aspect::whole()], null), 1e-9);
            self::assertSame($level->word(), $judgement->words([Aspect::whole()]));
        }
    }

    public function test_several_aspects_make_one_level_by_their_mean(): void
    {
        $aspects = self::aspects();
        $judgement = Judgement::of($aspects, false, [0 => 2, 1 => 1], 3.5, '  Say why. ', 5.0);
        // Method 2 of 2, answer 1 of 3: two thirds.
        self::assertEqualsWithDelta((1 + 1 / 3) / 2, $judgement->share($aspects, 5.0), 1e-9);
        self::assertSame(Level::Nearly, $judgement->level($aspects, 5.0));
        self::assertSame('Method: complete, Answer: Not yet', $judgement->words($aspects));
        self::assertSame(
            ['none' => false, 'marks' => [0 => 2, 1 => 1], 'points' => 3.5, 'note' => 'Say why.'],
            $judgement->toArray(),
        );
    }

    public function test_what_is_not_named_stays(): void
    {
        $aspects = self::aspects();
        $was = Judgement::of($aspects, false, [0 => 2, 1 => 1], 3.5, 'Say why.', 5.0);
        self::assertEquals($was, $was->changed($aspects, [], 5.0));
        self::assertSame([0 => 0, 1 => 1], $was->changed($aspects, ['level' => 1], 5.0)->marks, 'the first key');
        self::assertSame([0 => 2, 1 => 3], $was->changed($aspects, ['marks' => [1 => 3]], 5.0)->marks);
        self::assertSame([1 => 1], $was->changed($aspects, ['marks' => [0 => null]], 5.0)->marks);
        self::assertNull($was->changed($aspects, ['points' => null], 5.0)->points);
        self::assertSame('', $was->changed($aspects, ['note' => ' '], 5.0)->note);
        self::assertTrue($was->changed($aspects, ['level' => null], 5.0)->isEmpty(), 'taken away');
        $none = $was->changed($aspects, ['level' => 0], 5.0);
        self::assertSame([true, [], 3.5, 'Say why.'], [$none->isNoAttempt, $none->marks, $none->points, $none->note]);
        self::assertFalse($none->changed($aspects, ['level' => 2], 5.0)->isNoAttempt, 'a level after all');
        $this->expectException(InvalidJudgement::class);
        $was->changed($aspects, ['marks' => ['first' => 1]], 5.0);
    }

    public function test_points_alone_are_a_share_of_the_most_there_are(): void
    {
        $points = Judgement::of(self::aspects(), false, [], 4.0, '', 5.0);
        self::assertSame(
            [0.8, Level::Secure],
            [$points->share(self::aspects(), 5.0), $points->level(self::aspects(), 5.0)],
        );
        self::assertNull($points->level(self::aspects(), null), 'nobody knows of how many');
        self::assertSame(
            Level::NoAttempt,
            Judgement::of(self::aspects(), true, [], null, '', null)->level(self::aspects(), null),
        );
        self::assertTrue(Judgement::of(self::aspects(), false, [0 => null], null, ' ', null)->isEmpty());
    }

    /** @param  array<array-key, mixed>  $marks */
    #[TestWith([[0 => 3], null, ''])]
    #[TestWith([[2 => 0], null, ''])]
    #[TestWith([['x' => 0], null, ''])]
    #[TestWith([[0 => '1'], null, ''])]
    #[TestWith([[], 0.3, ''])]
    #[TestWith([[], 5.5, ''])]
    #[TestWith([[], -1.0, ''])]
    public function test_what_the_prompt_does_not_have_is_refused(array $marks, ?float $points, string $note): void
    {
        $this->expectException(InvalidJudgement::class);
        Judgement::of(self::aspects(), false, $marks, $points, $note, 5.0);
    }

    public function test_a_note_has_an_end(): void
    {
        $this->expectException(InvalidJudgement::class);
        Judgement::of(self::aspects(), false, [], null, str_repeat('a', Judgement::LONGEST_NOTE + 1), null);
    }

    public function test_own_levels_show_as_the_nearest_strata_and_keys_count_from_one(): void
    {
        $five = Scale::of(['a', 'b', 'c', 'd', 'e']);
        self::assertSame(
            [1, 2, 2, 3, 3],
            array_map(static fn (int $mark): int => Scale::level($five->share($mark))->value, range(0, 4)),
        );
        self::assertSame([null, 0, 4], [$five->markOfKey(0), $five->markOfKey(1), $five->markOfKey(5)]);
        self::assertSame(2, Scale::strata()->markOfKey(2));
        self::assertSame([0, 2, 4], array_map($five->nearest(...), [Level::NotYet, Level::Nearly, Level::Secure]));
    }

    /** @param  list<mixed>  $levels */
    #[TestWith([['one']])]
    #[TestWith([['a', 'b', 'c', 'd', 'e', 'f', 'g']])]
    #[TestWith([['a', '']])]
    #[TestWith([['a', 3]])]
    public function test_a_scale_has_two_to_six_levels_with_words(array $levels): void
    {
        $this->expectException(UnreadableFields::class);
        Aspect::read(new Fields(['name' => 'Method', 'levels' => $levels]));
    }

    public function test_a_proposal_follows_the_answers_and_nothing_else(): void
    {
        self::assertSame(Level::Secure, Proposal::of([Outcome::Right, Outcome::Right]));
        self::assertSame(Level::Nearly, Proposal::of([Outcome::Right, null]));
        self::assertSame(Level::Nearly, Proposal::of([Outcome::OtherForm]));
        self::assertSame(Level::NotYet, Proposal::of([Outcome::Wrong, null]));
        self::assertNull(Proposal::of([null, null]));
        self::assertNull(Proposal::of([Outcome::Unreadable]), 'what is not understood is not wrong');
        self::assertNull(Proposal::of([]));
    }

    public function test_students_see_what_is_chosen_when_it_is_due(): void
    {
        $nothing = Feedback::read([]);
        self::assertFalse($nothing->isDue(true, true));
        $atOnce = Feedback::read(['what' => ['note', 'level', 'name'], 'when' => 'at_once']);
        self::assertSame(['what' => ['level', 'note'], 'when' => 'at_once'], $atOnce->toArray());
        self::assertTrue($atOnce->isDue(false, false));
        $prompt = Feedback::read(['what' => ['points'], 'when' => 'prompt']);
        self::assertSame(
            [false, true, true],
            [$prompt->isDue(false, false), $prompt->isDue(true, false), $prompt->isDue(false, true)],
        );
        $session = Feedback::read(['what' => ['points'], 'when' => 'never']);
        self::assertSame([false, true], [$session->isDue(true, false), $session->isDue(true, true)]);
    }

    /** @return list<Aspect> */
    private static function aspects(): array
    {
        return [
            Aspect::read(new Fields(['name' => 'Method', 'levels' => ['none', 'some', 'complete']])),
            Aspect::read(new Fields(['name' => 'Answer'])),
        ];
    }
}
