<?php

declare(strict_types=1);

namespace Crag\Tests\Asks;

use Crag\Asks\OneOfEach;
use Crag\Asks\Tally;
use Crag\Asks\Work;
use Crag\Json\Fields;
use Crag\Prompt\Question\Question;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class OneOfEachTest extends TestCase
{
    /**
     * @return iterable<string, array{array<string, string>, array<string, array{int, int, bool}>, string}> answers;
     *      objects, times shown and whether it is kept back; the voters picked
     */
    public static function classes(): iterable
    {
        $answers = ['ada' => '80 N', 'ben' => '0.08 kN', 'cy' => '240 N', 'dot' => '80 N'];
        yield 'the usual amount, of the most frequent answer first' => [
            $answers,
            ['ada' => [2, 0, false], 'ben' => [40, 0, false], 'cy' => [9, 0, false], 'dot' => [12, 0, false]],
            'dot cy',
        ];
        yield 'who was shown steps back' => [
            $answers,
            ['ada' => [2, 0, false], 'ben' => [40, 0, false], 'cy' => [9, 0, false], 'dot' => [12, 1, false]],
            'ada cy',
        ];
        yield 'but is shown again where nobody else is' => [
            ['ada' => '80 N'],
            ['ada' => [5, 3, false]],
            'ada',
        ];
        yield 'who asks not to be shown is left out' => [
            $answers,
            ['ada' => [5, 0, true], 'ben' => [5, 0, true], 'cy' => [9, 0, true], 'dot' => [5, 0, false]],
            'dot',
        ];
        yield 'an empty canvas says nothing' => [
            $answers,
            ['ada' => [0, 0, false], 'cy' => [9, 0, false]],
            'cy',
        ];
        yield 'four at the most' => [
            ['a' => '1', 'b' => '2', 'c' => '3', 'd' => '4', 'e' => '5', 'f' => '5'],
            array_fill_keys(['a', 'b', 'c', 'd', 'e', 'f'], [3, 0, false]),
            'e a b c',
        ];
        yield 'nobody answered' => [[], ['ada' => [5, 0, false]], ''];
    }

    /**
     * @param  array<string, string>  $answers
     * @param  array<string, array{int, int, bool}>  $works
     */
    #[DataProvider('classes')]
    public function test_one_canvas_for_each_common_answer(array $answers, array $works, string $picked): void
    {
        $question = Question::read(
            new Fields(['id' => 'ask', 'spot' => null, 'words' => 'F?', 'kind' => 'number', 'right' => '']),
        );
        $made = [];
        foreach ($works as $voter => [$objects, $shown, $keepsBack]) {
            $made[$voter] = new Work($voter, $objects, $shown, $keepsBack);
        }
        $found = OneOfEach::among(Tally::of($question, $answers), $made);
        $canvases = array_map(static fn (OneOfEach $one): string => $one->work->canvas, $found);
        self::assertSame($picked, implode(' ', $canvases));
    }

    public function test_it_says_how_many_think_so_and_whether_it_is_new(): void
    {
        $question = Question::read(
            new Fields(['id' => 'ask', 'spot' => null, 'words' => 'F?', 'kind' => 'number', 'right' => '']),
        );
        [$one] = OneOfEach::among(
            Tally::of($question, ['ada' => '80 N', 'ben' => '80 N']),
            ['ada' => new Work('a', 4, 1, false)],
        );
        self::assertSame(['80 N', 2, false], [$one->label, $one->alike, $one->isFresh]);
    }
}
