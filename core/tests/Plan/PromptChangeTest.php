<?php

declare(strict_types=1);

namespace Crag\Tests\Plan;

use Crag\Json\Fields;
use Crag\Plan\PlanPrompt;
use Crag\Plan\PromptChange;
use PHPUnit\Framework\TestCase;

final class PromptChangeTest extends TestCase
{
    public function test_it_says_what_changed_in_the_teachers_words_and_each_once(): void
    {
        $of = static fn (array $more): PlanPrompt => PlanPrompt::read(new Fields($more + ['words' => 'F?']));
        $text = static fn (string $picture): array => ['questions' => [[
            'id' => 'q1', 'kind' => 'choice', 'words' => '', 'spot' => null, 'shuffle' => false, 'right' => [],
            'options' => [['id' => 'a', 'words' => 'up', 'picture' => $picture]],
        ]]];
        $before = $of([]);
        self::assertSame([], PromptChange::between($before, $of([]), false));
        self::assertSame([PromptChange::Drawing], PromptChange::between($before, $of([]), true));
        self::assertSame(
            [PromptChange::Words, PromptChange::Questions, PromptChange::Settings],
            PromptChange::between($before, $of(['words' => 'G?', 'minutes' => 3, 'points' => 2] + $text('one')), false),
        );
        self::assertSame(
            [],
            PromptChange::between($of($text('one')), $of($text('two')), false),
            'the same picture is called otherwise in a session',
        );
    }
}
