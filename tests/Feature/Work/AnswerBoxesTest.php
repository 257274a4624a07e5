<?php

declare(strict_types=1);

namespace Tests\Feature\Work;

use App\Models\LiveSession;
use App\Models\Prompt;
use App\Models\Seat;
use App\Sessions\Show\ShowToClass;
use Tests\Support\CragTestCase;

/** Answer boxes are seen, with what is in them, wherever their page is. */
final class AnswerBoxesTest extends CragTestCase
{
    private LiveSession $session;

    private Prompt $prompt;

    private Seat $seat;

    private string $token;

    protected function setUp(): void
    {
        parent::setUp();
        $this->session = $this->newSession();
        $this->prompt = $this->session->prompt()->firstOrFail();
        $spot = static fn (int $y): array => ['page' => 0, 'x' => 900, 'y' => $y, 'w' => 200, 'h' => 60, 'bare' => true];
        $plain = ['form' => ['kind' => 'any', 'digits' => 0], 'tolerance' => ['kind' => 'none', 'most' => '']];
        $this->prompt->update(['words' => 'Fill in the sheet.', 'details' => ['questions' => [
            ['id' => 'force', 'kind' => 'number', 'words' => 'F', 'spot' => $spot(100), 'right' => '84'] + $plain,
            ['id' => 'room', 'kind' => 'space', 'words' => '', 'spot' => $spot(200)],
            ['id' => 'below', 'kind' => 'text', 'words' => 'Why?', 'spot' => null, 'right' => []],
            ['id' => 'up', 'kind' => 'tick', 'words' => '', 'spot' => $spot(300), 'right' => 'ticked'],
            ['id' => 'way', 'kind' => 'marked', 'words' => '', 'spot' => $spot(400), 'right' => ['c1'], 'several' => false,
                'options' => [
                    ['id' => 'c1', 'words' => 'left', 'x' => 200, 'y' => 290, 'w' => 160, 'h' => 60],
                    ['id' => 'c2', 'words' => 'right', 'x' => 200, 'y' => 600, 'w' => 160, 'h' => 60],
                ]],
        ]]]);
        [$this->seat, $this->token] = $this->seat($this->session);
        $this->answer('force', '84');
        $this->answer('below', 'a secret reason');
        $this->answer('up', 'ticked');
        $this->appendAs($this->seat, $this->token, $this->stroke());
    }

    public function test_the_grid_has_them_with_their_numbers_and_never_what_is_right(): void
    {
        $answer = $this->asTeacher()->get("/desk/{$this->session->id}/prompt/{$this->prompt->id}/canvases")->assertOk();
        $told = json_decode($answer->streamedContent(), true, 32, JSON_THROW_ON_ERROR);
        self::assertIsArray($told);
        self::assertSame([1, 2, 4, 5], array_column($told['boxes'], 0));
        self::assertSame($told['boxes'], $told['seats'][0]['boxes']);
        self::assertArrayNotHasKey('right', $told['boxes'][0][1]);
    }

    public function test_the_close_up_tells_each_answer_by_its_number_and_leaves_room_to_write_out(): void
    {
        $canvas = $this->canvasOf($this->seat);
        $page = $this->asTeacher()->get("/desk/{$this->session->id}/canvas/{$canvas->id}/answers")->assertOk();
        $page->assertSeeInOrder(['value="1"', '84', 'value="3"', 'a secret reason', 'value="4"', '✓', 'value="5"', 'left'], false);
        $page->assertDontSee('value="2"', false);
        $states = $this->getJson("/desk/{$this->session->id}/prompt/{$this->prompt->id}/states")->assertOk();
        self::assertSame([1, 3, 4, 5], array_column((array) $states->json('answers'), 'n'));
        self::assertSame('right', $states->json('answers.3.outcome'));
    }

    public function test_shown_work_its_replay_and_the_students_copy_have_what_stands_on_the_page_alone(): void
    {
        $canvas = $this->canvasOf($this->seat);
        $this->asTeacher();
        app(ShowToClass::class)->canvas($this->session, $canvas);
        $showcase = $this->session->refresh()->showcase_id;
        $shown = $this->get("/desk/{$this->session->id}/showcase/{$showcase}/1.svg")->assertOk();
        $shown->assertSee('>84<', false)->assertDontSee('a secret reason');
        $this->post("/desk/{$this->session->id}/showcase/1/replay")->isOk();
        $replay = $this->getJson("/desk/{$this->session->id}/canvas/{$canvas->id}/replay")->assertOk();
        self::assertCount(4, (array) $replay->json('boxes'));
        $mine = $this->asStudent($this->seat, $this->token)
            ->get("/seat/{$this->seat->id}/work/{$canvas->id}.svg")
            ->assertOk();
        self::assertStringContainsString('<svg', (string) $mine->getContent());
        $this->get("/seat/{$this->seat->id}/work/{$canvas->id}/picture.svg")->assertOk()->assertSee('>84<', false);
    }

    public function test_marks_that_do_not_say_which_are_told_as_such(): void
    {
        $between = $this->stroke(x: 2000);
        $this->appendAs($this->seat, $this->token, ['body' => ['object' => [
            'type' => 'line', 'colour' => '#25323b', 'width' => 40, 'x' => 2800, 'y' => 2700, 'w' => 0, 'h' => 3800,
        ]]] + $between)->assertJsonCount(1, 'accepted');
        $canvas = $this->canvasOf($this->seat);
        $this->asTeacher()
            ->get("/desk/{$this->session->id}/canvas/{$canvas->id}/answers")
            ->assertSee(__('The marks don’t say which one is meant.'));
    }

    public function test_nobody_answers_a_printed_question_by_typing(): void
    {
        $this->answer('way', 'c2', 'refused');
        $canvas = $this->canvasOf($this->seat);
        $this->asTeacher()
            ->get("/desk/{$this->session->id}/canvas/{$canvas->id}/answers")
            ->assertSeeInOrder(['value="5"', 'left'], false);
    }

    private function answer(string $question, string $value, string $kept = 'accepted'): void
    {
        $this->appendAs($this->seat, $this->token, [
            'kind' => 'answer',
            'body' => ['question' => $question, 'value' => $value],
        ] + $this->stroke())->assertJsonCount(1, $kept);
    }
}
