<?php

declare(strict_types=1);

namespace Crag\Tests\Render;

use Crag\Canvas\Scene;
use Crag\Json\Fields;
use Crag\Plan\PlanPrompt;
use Crag\Render\Lines;
use Crag\Render\NoPictures;
use Crag\Render\Numbers;
use Crag\Render\PromptSheet;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class PaperTest extends TestCase
{
    /**
     * @param  array<string, mixed>  $prompt
     * @return list<string>
     */
    private static function sheets(array $prompt): array
    {
        return PromptSheet::documents(
            'Levers',
            3,
            PlanPrompt::read(new Fields($prompt + ['words' => ''])),
            Scene::fold([]),
            new NoPictures(),
        );
    }

    /**
     * @param  array<string, mixed>  $more
     * @return array<string, mixed>
     */
    private static function question(int $n, string $kind = 'text', array $more = []): array
    {
        return ['id' => "q{$n}", 'kind' => $kind, 'words' => "Question number {$n}", 'spot' => null, 'right' => []] + $more;
    }

    public function test_a_prompt_on_paper_has_its_words_a_place_for_the_name_and_lines_to_write_on(): void
    {
        [$sheet] = self::sheets([
            'words' => 'What force $F$ balances the <beam>?',
            'questions' => [self::question(1)],
        ]);
        self::assertStringContainsString('Levers · 3', $sheet);
        self::assertStringContainsString('>Name<', $sheet);
        self::assertStringContainsString('What force F balances the &lt;beam&gt;?', $sheet);
        self::assertStringContainsString('1.  Question number 1', $sheet);
        self::assertStringContainsString('stroke="#8b8578" stroke-width="0.8"', $sheet);
    }

    public function test_choices_and_steps_stand_there_to_be_ringed(): void
    {
        [$sheet] = self::sheets([
            'questions' => [
                self::question(1, 'choice', [
                    'options' => [['id' => 'a', 'words' => 'turns left'], ['id' => 'b', 'words' => 'turns right']],
                    'shuffle' => false,
                ]),
                self::question(2, 'scale', ['from' => 1, 'to' => 4, 'low' => 'guessed', 'high' => 'certain']),
            ],
        ]);
        self::assertStringContainsString('◯  turns left', $sheet);
        self::assertStringContainsString('guessed   ◯ 1   ◯ 2   ◯ 3   ◯ 4   certain', $sheet);
    }

    public function test_what_finds_no_room_stands_on_further_sheets_and_nothing_is_left_out(): void
    {
        $sheets = self::sheets(['questions' => array_map(static fn (int $n): array => self::question($n), range(1, 40))]);
        self::assertGreaterThan(1, count($sheets));
        $all = implode('', $sheets);
        foreach (range(1, 40) as $n) {
            self::assertSame(1, substr_count($all, ">{$n}.  Question number {$n}<"));
        }
    }

    public function test_the_key_has_what_is_right_in_the_boxes_and_below(): void
    {
        $plain = ['form' => ['kind' => 'any', 'digits' => 0], 'tolerance' => ['kind' => 'none', 'most' => '']];
        $spot = ['page' => 0, 'x' => 560, 'y' => 420, 'w' => 360, 'bare' => true];
        $prompt = PlanPrompt::read(new Fields(['words' => 'Fill in.', 'questions' => [
            ['id' => 'q1', 'kind' => 'number', 'words' => 'F', 'spot' => $spot, 'right' => '84'] + $plain,
            ['id' => 'q2', 'kind' => 'text', 'words' => 'Why?', 'spot' => null, 'right' => ['the pivot', 'fulcrum']],
            ['id' => 'q3', 'kind' => 'choice', 'words' => 'Way?', 'spot' => null, 'right' => ['b'], 'shuffle' => false,
                'options' => [['id' => 'a', 'words' => 'left'], ['id' => 'b', 'words' => 'right']]],
        ]]));
        $sheets = fn (bool $isKey): string => implode(PromptSheet::documents(
            'Levers',
            1,
            $prompt,
            Scene::fold([]),
            new NoPictures(),
            $isKey,
        ));
        self::assertStringNotContainsString('>84<', $sheets(false));
        self::assertStringContainsString('>84<', $sheets(true));
        self::assertStringContainsString('→ the pivot', $sheets(true));
        self::assertStringContainsString('→ right', $sheets(true));
        self::assertStringContainsString('Key · Levers', $sheets(true));
        self::assertStringNotContainsString('→', $sheets(false));
    }

    public function test_a_question_with_a_place_on_the_page_has_its_box_there(): void
    {
        [$sheet] = self::sheets([
            'questions' => [['spot' => ['page' => 0, 'x' => 560, 'y' => 420, 'w' => 360]] + self::question(1)],
        ]);
        self::assertStringContainsString('x="560" y="420" width="360" height="86"', $sheet);
    }

    #[TestWith([0.0, '0'])]
    #[TestWith([-0.00001, '0'])]
    #[TestWith([-2.5, "\u{2212}2.5"])]
    #[TestWith([1.23456, '1.2346'])]
    #[TestWith([120.0, '120'])]
    public function test_numbers_are_written_as_on_paper(float $value, string $written): void
    {
        self::assertSame($written, Numbers::plain($value));
    }

    public function test_what_does_not_fit_ends_with_an_ellipsis_and_no_line_is_too_long(): void
    {
        $words = 'Take moments about the pivot, then about the wall, and compare both of them';
        $lines = Lines::atMost($words, 20, 2);
        self::assertCount(2, $lines);
        self::assertStringEndsWith('…', $lines[1]);
        foreach ([...$lines, ...Lines::of(str_repeat('梁の重さ', 30), 20)] as $line) {
            self::assertLessThanOrEqual(20, mb_strwidth($line));
        }
        self::assertSame(str_repeat('梁の重さ', 30), implode('', Lines::of(str_repeat('梁の重さ', 30), 20)));
        self::assertSame([], Lines::atMost($words, 20, 0));
    }
}
