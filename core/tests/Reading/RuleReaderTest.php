<?php

declare(strict_types=1);

namespace Crag\Tests\Reading;

use Crag\Json\Fields;
use Crag\Maths\Comparing\Verdict;
use Crag\Prompt\LookFor;
use Crag\Reading\Answered;
use Crag\Reading\Point;
use Crag\Reading\RuleReader;
use Crag\Reading\Typed;
use Crag\Reading\Work;
use PHPUnit\Framework\TestCase;

final class RuleReaderTest extends TestCase
{
    public function test_it_says_what_holds_and_what_is_missing_each_with_its_reason(): void
    {
        $reading = (new RuleReader())->read(
            self::work(
                [
                    new Answered('F?', '80 N', Verdict::right()),
                    new Answered('M?', '24', Verdict::wrong('The unit is missing.')),
                    new Answered('R?', '', null),
                ],
                ['Moments about the PIVOT are equal'],
            ),
        );
        self::assertSame(
            [':answer is right.', '“:word” is mentioned.', 'Step: :step'],
            self::sentences($reading->holds),
        );
        self::assertSame(
            [':answer is not right yet.', '“:asked” isn’t answered.', '“:word” isn’t mentioned.'],
            self::sentences($reading->missing),
        );
        self::assertSame('The unit is missing.', $reading->missing[0]->reason);
        foreach ([...$reading->holds, ...$reading->missing, $reading->question] as $point) {
            self::assertNotSame('', $point->reason);
        }
    }

    public function test_where_nothing_was_typed_nothing_is_said_of_words(): void
    {
        $reading = (new RuleReader())->read(self::work([], [], 40));
        self::assertSame([[], []], [$reading->holds, $reading->missing]);
        self::assertSame(
            ['There isn’t much yet.'],
            self::sentences((new RuleReader())->read(self::work([], [], 2))->missing),
        );
    }

    public function test_the_first_step_that_does_not_follow_is_pointed_at(): void
    {
        $reading = (new RuleReader())->read(self::work([], ["2x = 240\nx = 480", 'x = 120']));
        self::assertContains('“:after” doesn’t follow from “:before”.', self::sentences($reading->missing));
        self::assertSame(['before' => '2x = 240', 'after' => 'x = 480'], $reading->missing[0]->values);
        self::assertStringStartsWith('Look again at the step', $reading->question->sentence);
        $whole = (new RuleReader())->read(self::work([], ["2x = 240\nx = 120"]));
        self::assertNotContains('“:after” doesn’t follow from “:before”.', self::sentences($whole->missing));
        $alone = (new RuleReader())->read(self::work([], ['3 × 240 = 620']));
        self::assertContains('“:after” doesn’t hold.', self::sentences($alone->missing));
    }

    public function test_the_question_comes_from_a_slip_then_a_wrong_answer_then_a_missing_word(): void
    {
        $ask = static fn (Work $work): string => (new RuleReader())->read($work)->question->sentence;
        $wrong = [new Answered('F?', '720 N', Verdict::wrong())];
        self::assertStringStartsWith('Have another look', $ask(self::work($wrong, ['measures from the left end'])));
        self::assertStringStartsWith('How could you', $ask(self::work($wrong, ['pivot'])));
        self::assertStringStartsWith('What part', $ask(self::work([], ['pivot'])));
        self::assertStringStartsWith(
            'What would change',
            $ask(self::work([], ['the load and the pivot', 'moments about the pivot'])),
        );
    }

    public function test_a_word_is_found_as_a_word_in_any_script_and_case(): void
    {
        self::assertTrue(RuleReader::has('der drehpunkt', 'Drehpunkt'));
        self::assertTrue(RuleReader::has('two pivots', 'pivot'));
        self::assertFalse(RuleReader::has('unload it', 'load'));
        self::assertTrue(RuleReader::has('عند المحور', 'المحور'));
        self::assertFalse(RuleReader::has('anything', ' '));
    }

    /**
     * @param  list<Answered>  $answers
     * @param  list<string>  $texts
     */
    private static function work(array $answers, array $texts, int $strokes = 20): Work
    {
        return new Work(
            'Find F.',
            LookFor::read(
                new Fields([
                    'steps' => ['takes moments about the pivot'],
                    'words' => ['pivot', 'load'],
                    'slips' => ['measures from the left end'],
                ]),
            ),
            $answers,
            array_map(Typed::saying(...), $texts),
            $strokes,
            60_000,
        );
    }

    /**
     * @param  list<Point>  $points
     * @return list<string>
     */
    private static function sentences(array $points): array
    {
        return array_map(static fn (Point $point): string => $point->sentence, $points);
    }
}
