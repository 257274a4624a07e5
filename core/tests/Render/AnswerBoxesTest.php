<?php

declare(strict_types=1);

namespace Crag\Tests\Render;

use Crag\Canvas\Scene;
use Crag\Json\Fields;
use Crag\Prompt\Question\Question;
use Crag\Render\NoPictures;
use Crag\Render\SceneSvg;
use Crag\Tests\Canvas\Logs;
use PHPUnit\Framework\Attributes\Test;
use PHPUnit\Framework\TestCase;

/** Boxes on a page and what is answered in them. Logs::stroke goes from (100, 100) to (110, 120), in units. */
final class AnswerBoxesTest extends TestCase
{
    #[Test]
    public function an_answer_stands_in_its_box_and_nothing_in_an_empty_one(): void
    {
        $questions = [
            self::asked('number', ['right' => '84', 'form' => ['kind' => 'any', 'digits' => 0]], 'How many?'),
            self::asked('text', ['right' => []]),
        ];
        $svg = self::drawn($questions, ['q0' => '84']);
        self::assertStringContainsString('>84<', $svg);
        self::assertSame(2, substr_count($svg, 'height="86"') + substr_count($svg, 'height="48"'));
        self::assertStringContainsString('How many?', $svg);
        self::assertSame(1, substr_count($svg, '#e8f1f6'), 'one of them is answered');
    }

    #[Test]
    public function a_bare_box_leaves_the_words_to_the_page(): void
    {
        $bare = self::asked('number', ['right' => ''], '12 × 7 =', ['bare' => true]);
        self::assertStringNotContainsString('12 × 7', self::drawn([$bare], []));
    }

    #[Test]
    public function long_words_become_smaller_until_they_fit(): void
    {
        $words = str_repeat('moment of the load ', 12);
        $tall = self::asked('text', ['right' => []], '', ['h' => 90, 'bare' => true]);
        $svg = self::drawn([$tall], ['q0' => $words]);
        self::assertStringContainsString('font-size="14"', $svg);
        self::assertStringNotContainsString('font-size="28"', $svg);
    }

    #[Test]
    public function choices_show_which_is_chosen(): void
    {
        $choice = self::asked('choice', [
            'options' => [['id' => 'a', 'words' => 'left'], ['id' => 'b', 'words' => 'right']],
            'right' => [],
            'shuffle' => false,
        ]);
        $svg = self::drawn([$choice], ['q0' => 'b']);
        self::assertStringContainsString('○ left', $svg);
        self::assertStringContainsString('● right', $svg);
    }

    #[Test]
    public function only_boxes_of_the_page_are_drawn_and_room_to_write_has_no_number(): void
    {
        $there = self::asked('number', ['right' => ''], '', ['page' => 1]);
        self::assertStringNotContainsString('class="boxes"', self::drawn([$there], []));
        $space = self::drawn([self::asked('space', [])], []);
        self::assertStringContainsString('stroke-dasharray', $space);
        self::assertStringNotContainsString('>1<', $space);
    }

    #[Test]
    public function what_is_drawn_in_a_box_answers_it_and_what_is_drawn_beside_it_does_not(): void
    {
        $drawing = self::asked('drawing', [], '', ['x' => 90, 'y' => 80, 'w' => 200, 'h' => 100]);
        $space = self::asked('space', [], '', ['x' => 90, 'y' => 80, 'w' => 200, 'h' => 100]);
        self::assertSame('drawn', Scene::fold([Logs::stroke('a', 1000)])->answerTo($drawing));
        self::assertNull(Scene::fold([Logs::stroke('a', 9000)])->answerTo($drawing));
        self::assertNull(Scene::fold([Logs::stroke('a', 1000)])->answerTo($space));
        self::assertFalse($space->takesAnswer());
        self::assertNull($drawing->compare('drawn'));
    }

    #[Test]
    public function ink_through_a_printed_answer_is_that_answer(): void
    {
        $fields = [
            'options' => [
                ['id' => 'c1', 'words' => '', 'x' => 90, 'y' => 90, 'w' => 40, 'h' => 40],
                ['id' => 'c2', 'words' => 'below', 'x' => 90, 'y' => 400, 'w' => 40, 'h' => 40],
            ],
            'right' => ['c1'],
            'several' => false,
        ];
        $marked = self::asked('marked', $fields);
        $scene = Scene::fold([Logs::stroke('a', 1000)]);
        self::assertSame(['c1'], $scene->answerTo($marked));
        self::assertSame('A', $marked->asked->written(['c1']));
        self::assertSame('right', $marked->compare(['c1'])?->outcome->value);
        self::assertSame('wrong', $marked->compare(['c2'])?->outcome->value);
        self::assertSame('unreadable', $marked->compare('?')?->outcome->value);
        self::assertNull(Scene::fold([])->answerTo($marked));
    }

    /**
     * @param  list<Question>  $questions
     * @param  array<string, string>  $answers
     */
    private static function drawn(array $questions, array $answers): string
    {
        $log = [];
        foreach ($answers as $question => $value) {
            $log[] = Logs::operation("a{$question}", 'answer', ['question' => $question, 'value' => $value]);
        }

        return SceneSvg::document(
            Scene::fold($log)->withBoxes(array_map(
                static fn (Question $one, int $i): Question => Question::read(
                    new Fields(['id' => "q{$i}"] + $one->toArray()),
                ),
                $questions,
                array_keys($questions),
            )),
            new NoPictures(),
        );
    }

    /**
     * @param  array<string, mixed>  $fields
     * @param  array<string, mixed>  $spot
     */
    private static function asked(string $kind, array $fields, string $words = '', array $spot = []): Question
    {
        return Question::read(new Fields($fields + [
            'id' => 'q',
            'kind' => $kind,
            'words' => $words,
            'spot' => $spot + ['page' => 0, 'x' => 200, 'y' => 200, 'w' => 320],
            'form' => ['kind' => 'any', 'digits' => 0],
            'tolerance' => ['kind' => 'none', 'most' => ''],
        ]));
    }
}
