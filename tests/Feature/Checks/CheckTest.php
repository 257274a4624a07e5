<?php

declare(strict_types=1);

namespace Tests\Feature\Checks;

use App\Models\Canvas;
use App\Models\Check;
use App\Models\Seat;
use Illuminate\Testing\TestResponse;
use Symfony\Component\HttpFoundation\Response;
use Tests\Support\OneStudentTestCase;

/** What a teacher finds in canvases, and what their students see of it. */
final class CheckTest extends OneStudentTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->session
            ->prompt()
            ->firstOrFail()
            ->update([
                'words' => 'Find F.',
                'details' => [
                    'points' => 5,
                    'aspects' => [
                        ['name' => 'Method', 'levels' => ['none', 'some', 'complete']],
                        ['name' => 'Answer', 'levels' => []],
                    ],
                    'questions' => [
                        ['id' => 'force', 'kind' => 'number', 'words' => 'F?', 'spot' => null, 'right' => '80 N'],
                    ],
                ],
            ]);
    }

    public function test_marks_points_and_note_come_one_by_one_and_stay_together(): void
    {
        $canvas = $this->canvasOf($this->seat);
        $this->check(['canvas' => $canvas->id, 'marks' => [0 => 2]])
            ->assertOk()
            ->assertJsonPath('level', 3);
        $this->check(['canvas' => $canvas->id, 'marks' => [1 => 1]])->assertJsonPath('level', 2);
        $this->check(['canvas' => $canvas->id, 'points' => 3.5])->assertOk();
        $this->check(['canvas' => $canvas->id, 'note' => 'Say where you turn about.'])->assertOk();
        $check = $canvas->refresh()->check ?? self::fail('no check');
        self::assertSame([[2, 1], 3.5, 'Say where you turn about.'], [$check->marks, $check->points, $check->note]);
        self::assertSame(4, Check::query()->count(), 'each is written down');
        $this->get("/desk/{$this->session->id}/canvas/{$canvas->id}/answers")
            ->assertOk()
            ->assertSee('complete')
            ->assertSee('Say where you turn about.')
            ->assertSee('Points of 5');
        foreach (
            [
                ['marks' => [0 => 5]],
                ['points' => 7],
                ['points' => 0.3],
                ['note' => str_repeat('a', 601)],
                ['level' => 7],
            ] as $bad
        ) {
            $this->check(['canvas' => $canvas->id] + $bad)->assertUnprocessable();
        }
        self::assertSame(4, Check::query()->count());
        $csv = (string) $this->get("/desk/{$this->session->id}/results.csv")->getContent();
        self::assertStringContainsString('"Method: complete, Answer: Not yet",3.5,Say where you turn about.', $csv);
    }

    public function test_a_key_sets_the_first_aspect_and_many_are_undone_at_once(): void
    {
        [$other] = $this->seat($this->session, 'نور');
        $canvases = [$this->canvasOf($this->seat)->id, $this->canvasOf($other)->id];
        $this->check(['canvas' => $canvases[0], 'marks' => [1 => 3], 'note' => 'Neat.'])->assertOk();
        $before = $this->check(['canvases' => $canvases, 'level' => 1])
            ->assertOk()
            ->json('before');
        self::assertSame(
            [[0 => 0, 1 => 3], [0 => 0]],
            Canvas::query()
                ->whereIn('id', $canvases)
                ->with('check')
                ->orderBy('seat_id')
                ->get()
                ->map(fn (Canvas $one) => $one->check?->marks)
                ->all(),
        );
        $this->check(['canvases' => $canvases, 'level' => 0])->assertJsonPath('level', 0);
        $this->postJson("/desk/{$this->session->id}/checks/restore", ['before' => $before])->assertOk();
        [$mine, $theirs] = Canvas::query()
            ->whereIn('id', $canvases)
            ->with('check')
            ->orderBy('seat_id')
            ->get()
            ->map(fn (Canvas $one) => $one->check?->judgement()->toArray())
            ->all();
        self::assertSame(
            [['none' => false, 'marks' => [1 => 3], 'points' => null, 'note' => 'Neat.'], true],
            [$mine, ($theirs['marks'] ?? null) === []],
        );
    }

    public function test_answers_propose_and_the_teacher_accepts(): void
    {
        [$wrong, $token] = $this->seat($this->session, 'Otis');
        [$nothing] = $this->seat($this->session, 'Wren');
        $this->answer($this->seat, $this->token, '80 N');
        $this->answer($wrong, $token, '720 N');
        $address = "/desk/{$this->session->id}/prompt/{$this->session->prompt_id}/proposed";
        $this->asTeacher()
            ->getJson($address)
            ->assertOk()
            ->assertExactJson([
                'counts' => [
                    ['level' => 3, 'word' => 'Secure', 'n' => 1],
                    ['level' => 1, 'word' => 'Not yet', 'n' => 1],
                ],
            ]);
        self::assertSame(0, Check::query()->count(), 'nothing is checked by itself');
        $before = $this->postJson($address)->assertOk()->json('before');
        self::assertCount(2, $before);
        self::assertSame(
            [[2], [0], null],
            [
                $this->canvasOf($this->seat)->check?->marks,
                $this->canvasOf($wrong)->check?->marks,
                $this->canvasOf($nothing)->check?->marks,
            ],
        );
        $this->postJson($address)->assertUnprocessable();
    }

    public function test_a_tile_says_when_the_work_went_on_after_the_check(): void
    {
        $canvas = $this->canvasOf($this->seat);
        $this->draw();
        $this->check(['canvas' => $canvas->id, 'level' => 2]);
        $this->states()
            ->assertJsonPath('states.0.changed', false)
            ->assertJsonPath('scale.2.word', 'complete')
            ->assertJsonPath('scale.0.level', 1);
        $this->asTeacher()
            ->postJson("/desk/{$this->session->id}/coach", [
                'canvas' => $canvas->id,
                'operations' => [['layer' => 'coach'] + $this->stroke()],
            ])
            ->assertJsonCount(1, 'accepted');
        $this->states()->assertJsonPath('states.0.changed', false);
        // One stroke more is no other work; three are, on a canvas that has hardly any.
        $this->draw();
        $this->states()->assertJsonPath('states.0.changed', false);
        $this->draw();
        $this->draw();
        $this->states()->assertJsonPath('states.0.changed', true);
        $this->check(['canvas' => $canvas->id, 'level' => 3]);
        $this->states()->assertJsonPath('states.0.changed', false);
    }

    public function test_another_try_gives_the_work_back_and_tells_its_author_alone(): void
    {
        $canvas = $this->canvasOf($this->seat);
        $this->draw();
        $this->asStudent($this->seat, $this->token)
            ->postJson("/seat/{$this->seat->id}/send", ['canvas' => $canvas->id])
            ->assertJsonPath('own.isSent', true);
        $this->check(['canvas' => $canvas->id, 'level' => 1]);
        $again = fn (string $id): TestResponse => $this->asTeacher()->postJson("/desk/{$this->session->id}/again", [
            'canvas' => $id,
        ]);
        $again($canvas->id)->assertOk();
        $this->asStudent($this->seat, $this->token)
            ->getJson("/seat/{$this->seat->id}/canvas")
            ->assertJsonPath('own.isSent', false)
            ->assertJsonPath('own.messages.0.words', 'Have another go at this (Prompt 1), then send it again.');
        // The check stays: what comes since is marked.
        self::assertSame(1, $canvas->refresh()->check?->level?->value);
        // Work that was not sent can be asked for too.
        $again($canvas->id)->assertOk();
        [$stranger] = $this->seat($this->newSession('Other'), 'Stranger');
        $again($this->canvasOf($stranger)->id)->assertNotFound();
        $this->asStudent($this->seat, $this->token)
            ->postJson("/desk/{$this->session->id}/again", ['canvas' => $canvas->id])
            ->assertForbidden();
    }

    public function test_the_student_sees_what_is_chosen_when_it_is_due(): void
    {
        $canvas = $this->canvasOf($this->seat);
        $this->check([
            'canvas' => $canvas->id,
            'marks' => [0 => 1],
            'points' => 2.5,
            'note' => 'Which way does it turn?',
        ]);
        $own = fn () => $this->asStudent($this->seat, $this->token)->getJson("/seat/{$this->seat->id}/canvas");
        $own()->assertJsonPath('own.checks', []);
        $this->settings(['what' => ['note'], 'when' => 'at_once']);
        $own()
            ->assertJsonPath('own.checks.0.note', 'Which way does it turn?')
            ->assertJsonPath('own.checks.0.level', null)
            ->assertJsonPath('own.checks.0.points', null)
            ->assertDontSee('Method');
        $this->settings(['what' => ['level', 'points'], 'when' => 'prompt']);
        $own()->assertJsonPath('own.checks', []);
        $this->asTeacher()
            ->postJson("/desk/{$this->session->id}/prompt/{$canvas->prompt_id}/state", ['state' => 'closed'])
            ->assertOk();
        $own()
            ->assertJsonPath('own.checks.0.words', 'Method: some')
            ->assertJsonPath('own.checks.0.points', 2.5)
            ->assertJsonPath('own.checks.0.note', '');
        self::assertStringContainsString('Method: some', implode('', $this->published->on("seat.{$this->seat->id}")));
        $this->settings(['what' => ['note'], 'when' => 'session']);
        $own()->assertJsonPath('own.checks', []);
        $this->asStudent($this->seat, $this->token)
            ->get("/seat/{$this->seat->id}/home")
            ->assertOk()
            ->assertDontSee('Which way');
        $this->asTeacher()->post("/desk/{$this->session->id}/end");
        $this->asStudent($this->seat, $this->token)
            ->get("/seat/{$this->seat->id}")
            ->assertOk()
            ->assertSee('Which way does it turn?')
            ->assertDontSee('2.5 of 5 points');
    }

    public function test_phrases_are_the_teachers_own(): void
    {
        $this->asTeacher()
            ->postJson("/desk/{$this->session->id}/phrases", ['phrase' => 'Show the units.'])
            ->assertOk();
        self::assertSame(['Show the units.'], $this->teacher()->refresh()->phrases);
        $this->get("/desk/{$this->session->id}/canvas/{$this->canvasOf($this->seat)->id}/answers")->assertSee(
            'Show the units.',
        );
        $this->postJson("/desk/{$this->session->id}/phrases", [
            'phrase' => 'Show the units.',
            'drop' => true,
        ])->assertOk();
        self::assertSame([], $this->teacher()->refresh()->phrases);
    }

    public function test_phrases_come_in_the_order_of_their_use_on_this_prompt_and_stand_still_while_one_checks(): void
    {
        $this->teacher()->update(['phrases' => ['Neat.', 'Units!']]);
        $seats = [$this->seat, $this->seat($this->session, 'Wren')[0], $this->seat($this->session, 'Iona')[0]];
        foreach (['Units!', 'Name the pivot.', 'Name the pivot.'] as $i => $note) {
            $this->check(['canvas' => $this->canvasOf($seats[$i])->id, 'note' => $note])->assertOk();
        }
        $answers = "/desk/{$this->session->id}/canvas/{$this->canvasOf($this->seat)->id}/answers";
        $order = fn (): array => preg_match_all('/data-phrase="([^"]+)"/', (string) $this->get($answers)->getContent(), $found)
            ? $found[1]
            : [];
        self::assertSame(['Name the pivot.', 'Units!', 'Neat.'], $order());
        foreach ($seats as $seat) {
            $this->check(['canvas' => $this->canvasOf($seat)->id, 'note' => 'Neat.'])->assertOk();
        }
        self::assertSame(['Name the pivot.', 'Units!', 'Neat.'], $order(), 'the keys stay where they are');
        $this->travel(6)->minutes();
        self::assertSame('Neat.', $order()[0]);
    }

    /** @param  array<string, mixed>  $what */
    private function settings(array $what): void
    {
        $this->asTeacher()
            ->postJson("/desk/{$this->session->id}/settings", ['feedback' => $what])
            ->assertOk();
    }

    /**
     * @param  array<string, mixed>  $body
     * @return TestResponse<Response>
     */
    private function check(array $body): TestResponse
    {
        return $this->asTeacher()->postJson("/desk/{$this->session->id}/checks", $body);
    }

    /** @return TestResponse<Response> */
    private function states(): TestResponse
    {
        return $this->asTeacher()
            ->getJson("/desk/{$this->session->id}/prompt/{$this->session->prompt_id}/states")
            ->assertOk();
    }

    private function draw(): void
    {
        $this->appendAs($this->seat, $this->token, $this->stroke())->assertJsonCount(1, 'accepted');
    }

    private function answer(Seat $seat, string $token, string $value): void
    {
        $this->appendAs(
            $seat,
            $token,
            ['kind' => 'answer', 'body' => ['question' => 'force', 'value' => $value]] + $this->stroke(),
        )->assertJsonCount(1, 'accepted');
    }
}
