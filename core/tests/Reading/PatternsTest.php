<?php

declare(strict_types=1);

namespace Crag\Tests\Reading;

use Crag\Json\Fields;
use Crag\Maths\Comparing\Verdict;
use Crag\Prompt\LookFor;
use Crag\Reading\Answered;
use Crag\Reading\Pattern;
use Crag\Reading\Patterns;
use Crag\Reading\Reading;
use Crag\Reading\RuleReader;
use Crag\Reading\Typed;
use Crag\Reading\Work;
use PHPUnit\Framework\TestCase;

final class PatternsTest extends TestCase
{
    public function test_what_several_miss_is_found_with_who_misses_it(): void
    {
        $patterns = Patterns::among([
            'ada' => self::reading(['the pivot']),
            'bo' => self::reading(['measured from the left end']),
            'cy' => self::reading(['left end, so 720 N']),
            'dee' => self::reading([], 1),
            'eve' => self::reading([], 2),
        ]);
        self::assertSame(
            [
                ['Step: :step', ['ada', 'bo', 'cy']],
                ['“:word” isn’t mentioned.', ['bo', 'cy']],
                ['Have another look at this: :slip. Does it work here?', ['bo', 'cy']],
                ['There isn’t much yet.', ['dee', 'eve']],
            ],
            array_map(static fn (Pattern $one): array => [$one->point->sentence, $one->who], $patterns),
        );
    }

    public function test_one_alone_is_no_pattern_and_wrong_answers_are_counted_elsewhere(): void
    {
        $wrong = static fn (): Reading => (new RuleReader())->read(
            new Work('', LookFor::nothing(), [new Answered('F?', '720 N', Verdict::wrong())], [Typed::saying('F')], 9, 0),
        );
        self::assertSame([], Patterns::among(['ada' => $wrong(), 'bo' => $wrong(), 'cy' => self::reading(['pivot'])]));
        self::assertSame([], Patterns::among([]));
    }

    /** @param  list<string>  $typed */
    private static function reading(array $typed, int $strokes = 9): Reading
    {
        $lookFor = LookFor::read(new Fields([
            'steps' => ['takes moments about the support'],
            'words' => ['pivot'],
            'slips' => ['left end'],
        ]));

        return (new RuleReader())->read(new Work('', $lookFor, [], array_map(Typed::saying(...), $typed), $strokes, 0));
    }
}
