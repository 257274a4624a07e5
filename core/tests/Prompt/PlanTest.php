<?php

declare(strict_types=1);

namespace Crag\Tests\Prompt;

use Crag\Canvas\Log\Author;
use Crag\Canvas\Log\Layer;
use Crag\Canvas\Log\Operation;
use Crag\Canvas\Scene;
use Crag\Json\Fields;
use Crag\Json\UnreadableFields;
use Crag\Plan\PictureIds;
use Crag\Plan\Plan;
use Crag\Plan\PlanPrompt;
use Crag\Plan\PromptPages;
use Crag\Prompt\InvalidPrompt;
use Crag\Tests\Canvas\Examples;
use Crag\Tests\Canvas\Logs;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Test;
use PHPUnit\Framework\TestCase;

final class PlanTest extends TestCase
{
    #[Test]
    public function its_draws_are_counted_and_shown_as_three_students_have_them(): void
    {
        $of = static fn (string $words): ?array => PlanPrompt::read(new Fields(['words' => $words]))->draws('seed');
        $draws = $of('{a: 2..9; a ≠ 5} × {b: 3, 4}') ?? self::fail();
        self::assertSame([14, false], [$draws['count'], $draws['more']]);
        self::assertCount(3, array_unique($draws['samples']));
        self::assertMatchesRegularExpression('/^[2-9] × [34]$/', $draws['samples'][0]);
        self::assertTrue($of('{a: 1..200} {b: 1..200}')['more'] ?? false);
        self::assertNull($of('Nothing differs.'));
        self::assertNull($of('{a: 2-9}'), 'what cannot be drawn is told as a problem');
        self::assertNull($of('{a: 2..3; a > 5}'));
    }

    private const PROMPT = [
        'words' => 'What is $\frac{1}{2}$ of {a: 2..8 step 2}?',
        'questions' => [
            [
                'id' => 'q1',
                'kind' => 'number',
                'words' => '',
                'spot' => ['page' => 1, 'x' => 100, 'y' => 100, 'w' => 300],
                'right' => '{a/2}',
                'tolerance' => ['kind' => 'none', 'most' => ''],
                'form' => ['kind' => 'any', 'digits' => 0],
                'own_unit' => false,
            ],
        ],
        'tray' => ['kind' => 'custom', 'tools' => ['pen', 'eraser']],
        'points' => 2.5,
        'minutes' => 8,
        'look_for' => ['steps' => ['names the support'], 'words' => ['moment'], 'slips' => ['adds the distances']],
        'asks' => [
            [
                'kind' => 'ask',
                'question' => [
                    'id' => 'ask',
                    'kind' => 'choice',
                    'words' => 'Which way?',
                    'spot' => null,
                    'options' => [['id' => 'o1', 'words' => 'up'], ['id' => 'o2', 'words' => 'down']],
                    'right' => ['o2'],
                    'shuffle' => false,
                ],
                'picture' => '',
                'look' => 'none',
                'seconds' => 20,
            ],
        ],
        'aspects' => [
            ['name' => 'Method', 'levels' => ['none', 'some', 'complete']],
            ['name' => 'Answer', 'levels' => []],
        ],
        'skills' => ['fractions'],
        'tasks' => [['do' => 'unit', 'words' => 'Write a force', 'with' => 'N']],
        'sharing' => 'group',
        'practice' => ['family' => 'units', 'kinds' => ['length'], 'level' => 2, 'n' => 8],
    ];

    #[Test]
    public function a_prompt_is_read_and_written_alike(): void
    {
        self::assertEquals(self::PROMPT, self::prompt(self::PROMPT)->toArray());
    }

    #[Test]
    public function a_quick_ask_written_as_a_line_is_the_same_card(): void
    {
        self::assertEquals(
            self::prompt(self::PROMPT)->asks,
            self::prompt(['asks' => ['Which way? | up; *down | 20 s', '  ']] + self::PROMPT)->asks,
        );
    }

    #[Test]
    public function words_alone_make_a_prompt(): void
    {
        $prompt = self::prompt(['words' => "  Draw it.\r\n"]);
        self::assertSame('Draw it.', $prompt->words);
        self::assertSame([], $prompt->questions);
        self::assertNull($prompt->points);
        self::assertEquals($prompt, PlanPrompt::saying('Draw it.'));
    }

    #[Test]
    public function a_student_gets_words_and_key_with_the_same_values(): void
    {
        $prompt = self::prompt(self::PROMPT);
        for ($n = 0; $n < 4; $n++) {
            $mine = $prompt->filled($prompt->values()->draw('s', $n));
            $drawn = (int) preg_replace('/^.*of (\d)\?$/', '$1', $mine->words);
            self::assertSame('right', $mine->question('q1')?->compare((string) ($drawn / 2))?->outcome->value);
        }
        self::assertNull($prompt->question('q9'));
    }

    #[Test]
    public function what_should_be_mended_is_said(): void
    {
        self::assertSame([], self::prompt(self::PROMPT)->problems());
        $question = ['id' => 'q2', 'kind' => 'number', 'words' => '', 'spot' => null, 'right' => '5 blocks'];
        $broken = self::prompt(['questions' => [...self::PROMPT['questions'], $question]] + self::PROMPT);
        self::assertSame(['Question 2, the right answer: “blocks” isn’t a unit Crag knows.'], $broken->problems());
        self::assertNull($broken->question('q2')?->compare('5'));
        $values = self::prompt(['words' => 'Draw {a: 9..2}.']);
        self::assertCount(1, $values->problems());
        self::assertSame('Draw ….', $values->forStudent('s', 1)->words);
        self::assertSame('Draw ….', $values->wordsForAll());
    }

    /** @return iterable<string, array{array<string, mixed>}> */
    public static function broken(): iterable
    {
        yield 'a third of a point' => [['points' => 0.3] + self::PROMPT];
        yield 'no time' => [['minutes' => 0] + self::PROMPT];
        yield 'a question twice' => [
            ['questions' => [self::PROMPT['questions'][0], self::PROMPT['questions'][0]]] + self::PROMPT,
        ];
        yield 'a tray of no kind' => [['tray' => ['kind' => 'golden', 'tools' => []]] + self::PROMPT];
        yield 'words as a number' => [['words' => 5] + self::PROMPT];
    }

    /** @param  array<string, mixed>  $json */
    #[Test]
    #[DataProvider('broken')]
    public function a_broken_prompt_is_refused(array $json): void
    {
        $this->expectException(UnreadableFields::class);
        self::prompt($json);
    }

    #[Test]
    public function words_have_an_end(): void
    {
        $this->expectException(InvalidPrompt::class);
        self::prompt(['words' => str_repeat('x', 2001)]);
    }

    #[Test]
    public function what_is_drawn_goes_onto_an_empty_canvas_and_is_the_same_there(): void
    {
        $pages = self::drawn();
        $scene = Scene::fold(self::laid($pages, false));
        self::assertEquals($pages->toArray(), PromptPages::from($scene)->toArray());
        self::assertCount(2, $scene->pages);
    }

    #[Test]
    public function for_students_pieces_lie_on_their_own_layer(): void
    {
        $scene = Scene::fold(self::laid(self::drawn(), true));
        $layers = array_map(static fn ($placed): string => $placed->layer->value, array_values($scene->placed));
        self::assertSame([Layer::Lead->value, Layer::Lead->value, Layer::Pieces->value, Layer::Lead->value], $layers);
    }

    #[Test]
    public function what_is_drawn_can_be_seen_without_a_canvas(): void
    {
        $pages = self::drawn();
        self::assertEquals($pages->toArray(), PromptPages::from($pages->scene())->toArray());
        self::assertFalse($pages->isBlank());
    }

    #[Test]
    public function a_blank_page_needs_no_operation(): void
    {
        self::assertTrue(PromptPages::blank()->isBlank());
        self::assertSame([], PromptPages::blank()->operations(static fn (): string => 'x', true));
    }

    #[Test]
    public function a_plan_is_read_and_written_alike(): void
    {
        $plan = Plan::of(
            '  Levers   and loads ',
            ['Year 9', 'year 9', ' forces '],
            [[self::prompt(self::PROMPT), self::drawn()]],
        );
        self::assertSame('Levers and loads', $plan->title);
        self::assertSame(['Year 9', 'forces'], $plan->tags);
        /** @var array<string, mixed> $json */
        $json = json_decode(json_encode($plan->toArray(), JSON_THROW_ON_ERROR), true, flags: JSON_THROW_ON_ERROR);
        self::assertEquals($plan->toArray(), Plan::read($json)->toArray());
    }

    #[Test]
    public function another_format_is_refused(): void
    {
        $this->expectException(UnreadableFields::class);
        Plan::read(['format' => 'slides', 'version' => 1, 'title' => '', 'prompts' => []]);
    }

    #[Test]
    public function a_later_version_is_refused(): void
    {
        $this->expectException(UnreadableFields::class);
        $this->expectExceptionMessage('outside 1 to 1');
        Plan::read(['format' => 'crag-plan', 'version' => 2, 'title' => '', 'prompts' => []]);
    }

    #[Test]
    public function pictures_are_found_and_renamed_wherever_they_are_named(): void
    {
        $json = [
            'backdrop' => ['asset' => 'A'],
            'objects' => [['object' => ['of' => ['asset' => 'B']]]],
            'options' => [['picture' => 'A'], ['picture' => ''], ['words' => 'asset']],
        ];
        self::assertSame(['A', 'B'], PictureIds::in($json));
        self::assertSame(['C', 'B'], PictureIds::in(PictureIds::renamed($json, ['A' => 'C'])));
    }

    private static function drawn(): PromptPages
    {
        return PromptPages::read([
            [
                'backdrop' => ['kind' => 'squared', 'size' => 'middle'],
                'objects' => [
                    ['object' => Examples::stroke(), 'group' => 'g1'],
                    ['object' => Examples::note(), 'place' => [10, 20, 300, 10000], 'group' => 'g1'],
                    ['object' => Examples::piece()],
                ],
            ],
            ['backdrop' => ['kind' => 'blank'], 'objects' => [['object' => Examples::stamp()]]],
        ]);
    }

    /** @return list<Operation> */
    private static function laid(PromptPages $pages, bool $apart): array
    {
        $n = 0;

        return array_map(
            static fn (array $one): Operation => Operation::read($one + ['at' => 1], Author::teacher()),
            $pages->operations(static function () use (&$n): string {
                return Logs::id('laid'.$n++);
            }, $apart),
        );
    }

    /** @param  array<string, mixed>  $json */
    private static function prompt(array $json): PlanPrompt
    {
        return PlanPrompt::read(new Fields($json));
    }
}
