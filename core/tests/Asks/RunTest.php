<?php

declare(strict_types=1);

namespace Crag\Tests\Asks;

use Crag\Asks\AskLine;
use Crag\Asks\RunResult;
use Crag\Json\UnreadableFields;
use Crag\Prompt\Question\QuestionKind;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class RunTest extends TestCase
{
    #[TestWith(['Force at the end? | 80 N | 40 s', QuestionKind::Number, '80 N', 40])]
    #[TestWith(['Guess the mass | ?', QuestionKind::Number, null, null])]
    #[TestWith(['Which way? | up; *down; neither | 20 s', QuestionKind::Choice, 'down', 20])]
    #[TestWith(['Which hold? | *strut; *tie; paint', QuestionKind::Choices, 'strut · tie', null])]
    #[TestWith(['Which is best? | strut; tie', QuestionKind::Choice, null, null])]
    #[TestWith(['Expand it | maths: 2x + 2 | 2 min', QuestionKind::Maths, '2x + 2', 120])]
    #[TestWith(['It turns about the … | text: pivot / hinge', QuestionKind::Text, 'pivot / hinge', null])]
    #[TestWith(['What holds it?', QuestionKind::Text, null, null])]
    #[TestWith(['How was it? | scale | 15 s', QuestionKind::Scale, null, 15])]
    #[TestWith(['And now? | 30 s', QuestionKind::Text, null, 30])]
    public function test_a_line_is_an_ask(string $line, QuestionKind $kind, ?string $key, ?int $seconds): void
    {
        $ask = AskLine::read($line);
        self::assertSame(
            [$kind, $key, $seconds],
            [
                $ask->question->asked->kind(),
                $ask->question->asked->hasKey() ? $ask->question->asked->key() : null,
                $ask->seconds,
            ],
        );
        self::assertSame(trim(explode('|', $line)[0]), $ask->question->words);
        self::assertSame($line, $ask->line);
    }

    #[TestWith(['a | b | c | d'])]
    #[TestWith(['a | 80 N | soon'])]
    #[TestWith(['a | 80 N | 2 s'])]
    #[TestWith(['a | 80 N | 90 min'])]
    public function test_a_line_that_is_none_says_so(string $line): void
    {
        $this->expectException(UnreadableFields::class);
        AskLine::read($line);
    }

    public function test_right_answers_are_counted_and_teams_have_the_mean(): void
    {
        $force = AskLine::read('F? | 80 N')->question;
        $way = AskLine::read('Which way? | up; *down')->question;
        $free = AskLine::read('Why?')->question;
        $result = RunResult::of(
            [
                [$force, ['ada' => '80 N', 'bo' => '0.08 kN', 'cy' => '8 N']],
                [$way, ['ada' => 'o2', 'bo' => 'o1', 'dee' => 'o2']],
                [$free, ['ada' => 'because']],
            ],
            ['ada' => 'Red', 'bo' => 'Red', 'cy' => 'Blue', 'dee' => 'Blue', 'eve' => 'Blue'],
        );
        self::assertSame(2, $result->of);
        self::assertSame(['ada' => 2, 'bo' => 1, 'cy' => 0, 'dee' => 1], $result->right);
        self::assertSame(
            [
                ['words' => 'F?', 'answered' => 3, 'right' => 2],
                ['words' => 'Which way?', 'answered' => 3, 'right' => 2],
                ['words' => 'Why?', 'answered' => 1, 'right' => null],
            ],
            $result->asks,
        );
        self::assertSame(['Red' => 1.5, 'Blue' => 0.5], $result->teams, 'who answered nothing counts nowhere');
        self::assertSame([1, 2, 1], $result->spread());
        self::assertSame(['Green' => 0.0], RunResult::of([], ['eve' => 'Green'])->teams);
        self::assertSame([], RunResult::of([])->right);
    }
}
