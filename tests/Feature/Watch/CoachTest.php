<?php

declare(strict_types=1);

namespace Tests\Feature\Watch;

use App\Canvas\TakeCanvas;
use App\Models\Asset;
use App\Models\Canvas;
use App\Models\HeldFolder;
use App\Models\LoggedOperation;
use Crag\Prompt\Backdrop\Backdrop;
use Crag\Reading\Point;
use Crag\Reading\Reader;
use Crag\Reading\Reading;
use Crag\Reading\Work;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use Symfony\Component\HttpFoundation\Response;
use Tests\Support\OneStudentTestCase;

/** Close beside one student: coach ink, private notes, an earlier state given back. */
final class CoachTest extends OneStudentTestCase
{
    private Canvas $canvas;

    protected function setUp(): void
    {
        parent::setUp();
        $this->canvas = $this->canvasOf($this->seat);
    }

    public function test_coach_ink_reaches_the_student_and_never_touches_the_students(): void
    {
        $own = $this->draw();
        $this->coach(['layer' => 'coach'] + $this->stroke($ink = Str::random(20)))->assertJsonCount(1, 'accepted');
        self::assertStringContainsString($ink, implode('', $this->published->on("seat.{$this->seat->id}")));
        $this->asStudent($this->seat, $this->token)
            ->getJson("/seat/{$this->seat->id}/canvas")
            ->assertSee($ink);
        foreach (['student', 'lead', 'pieces', 'private'] as $layer) {
            $this->coach(['layer' => $layer] + $this->stroke())->assertJsonCount(1, 'refused');
        }
        foreach (
            [
                'remove' => ['targets' => [$own]],
                'withdraw' => ['target' => $own],
                'fresh' => [],
                'backdrop' => ['backdrop' => ['kind' => 'lined']],
            ] as $kind => $body
        ) {
            $this->coach(['kind' => $kind, 'layer' => 'coach', 'body' => (object) $body])->assertJsonCount(
                1,
                'refused',
            );
        }
        $this->asStudent($this->seat, $this->token)
            ->postJson("/seat/{$this->seat->id}/operations", [
                'canvas' => $this->canvas->id,
                'operations' => [['kind' => 'remove', 'body' => ['targets' => [$ink]]] + $this->stroke()],
            ])
            ->assertJsonCount(1, 'refused');
        self::assertSame(0, $this->canvas->refresh()->operation_count - 2);
        self::assertSame($this->canvas->last_stroke_ms, $this->canvas->refresh()->last_stroke_ms);
    }

    public function test_coach_ink_is_undone_by_its_own_history_alone(): void
    {
        $this->draw();
        $this->coach(['layer' => 'coach'] + $this->stroke());
        $this->asTeacher()
            ->getJson("/desk/{$this->session->id}/canvas/{$this->canvas->id}/close")
            ->assertJsonPath('canvas', $this->canvas->id)
            ->assertJsonPath('channel', $this->seat->id)
            ->assertJsonPath('looked', 0)
            ->assertJsonPath('notes', null);
        $this->desk("canvas/{$this->canvas->id}/looked", ['n' => 99])->assertOk();
        $this->asTeacher()
            ->getJson("/desk/{$this->session->id}/canvas/{$this->canvas->id}/close")
            ->assertJsonPath('looked', 2);
    }

    public function test_private_notes_have_a_log_of_their_own_that_no_student_is_sent(): void
    {
        $this->draw();
        $notes = $this->asTeacher()
            ->getJson("/desk/{$this->session->id}/canvas/{$this->canvas->id}/notes")
            ->assertOk()
            ->json('canvas');
        self::assertNotSame($this->canvas->id, $notes);
        $this->getJson("/desk/{$this->session->id}/canvas/{$this->canvas->id}/notes")->assertJsonPath('canvas', $notes);
        $this->coach(['layer' => 'private'] + $this->stroke($ink = Str::random(20)), $notes)->assertJsonCount(
            1,
            'accepted',
        );
        $this->coach(['layer' => 'coach'] + $this->stroke(), $notes)->assertJsonCount(1, 'refused');
        $this->coach(['kind' => 'page', 'layer' => 'private', 'body' => (object) []], $notes)->assertJsonCount(
            1,
            'accepted',
        );

        $this->asStudent($this->seat, $this->token);
        $told =
            $this->getJson("/seat/{$this->seat->id}/canvas")->content().
            $this->getJson("/seat/{$this->seat->id}/catch-up?canvas={$notes}&operations=0")->content().
            $this->getJson("/seat/{$this->seat->id}/catch-up?canvas={$this->canvas->id}&operations=0")->content().
            implode('', $this->published->on("seat.{$this->seat->id}")).
            implode('', $this->published->on("room.{$this->session->id}")).
            implode('', $this->published->on("lead.{$this->session->id}"));
        self::assertStringNotContainsString($ink, $told);
        foreach (["canvas/{$notes}/log", "work/{$notes}.svg", "work/{$notes}.pdf"] as $address) {
            $this->getJson("/seat/{$this->seat->id}/{$address}")->assertNotFound();
        }
        $this->postJson("/seat/{$this->seat->id}/operations", [
            'canvas' => $notes,
            'operations' => [$this->stroke()],
        ])->assertNotFound();
        $this->get("/seat/{$this->seat->id}/work/{$this->canvas->id}.svg")
            ->assertOk()
            ->assertDontSee($ink);

        self::assertStringContainsString($ink, implode('', $this->published->on("desk.{$this->session->id}")));
        self::assertNotSame($notes, app(TakeCanvas::class)->lead($this->session->prompt()->firstOrFail())->id);
        self::assertSame(1, $this->session->canvases()->count());
    }

    public function test_notes_are_shown_to_the_class_only_where_that_is_chosen(): void
    {
        $this->draw();
        $notes = $this->asTeacher()
            ->getJson("/desk/{$this->session->id}/canvas/{$this->canvas->id}/notes")
            ->json('canvas');
        $text = [
            'type' => 'text',
            'x' => 100,
            'y' => 100,
            'size' => 36,
            'colour' => '#25323b',
            'text' => 'Ask about the pivot',
        ];
        $this->coach(['kind' => 'add', 'layer' => 'private', 'body' => ['object' => $text]], $notes)->assertJsonCount(
            1,
            'accepted',
        );
        foreach ([false, true] as $with) {
            $this->desk('line-up', ['chosen' => [['canvas' => $this->canvas->id]], 'notes' => $with])->assertOk();
            $this->desk('line-up/'.$this->session->lineup()->firstOrFail()->id.'/show', [])->assertOk();
            $picture = $this->asScreen($this->session)
                ->get("/screen/{$this->session->id}/showcase/{$this->session->refresh()->showcase_id}/1.svg")
                ->assertOk();
            self::assertSame($with, str_contains((string) $picture->content(), 'Ask about the pivot'));
        }
    }

    public function test_an_earlier_state_is_given_back_and_taken_back(): void
    {
        $first = $this->draw();
        $this->draw();
        $told = $this->desk("canvas/{$this->canvas->id}/give-back", ['to' => $first])->assertOk();
        self::assertCount(1, $this->canvas->refresh()->scene()->placed);
        self::assertStringContainsString('give_back', implode('', $this->published->on("seat.{$this->seat->id}")));
        $this->draw();
        self::assertCount(2, $this->canvas->refresh()->scene()->placed);
        $this->asTeacher()->postJson((string) $told->json('undo.address'), $told->json('undo.body'))->assertOk();
        self::assertCount(3, $this->canvas->refresh()->scene()->placed);
        $this->desk("canvas/{$this->canvas->id}/give-back", ['to' => 'never-was-there'])->assertUnprocessable();
        self::assertSame(5, LoggedOperation::query()->where('canvas_id', $this->canvas->id)->count());
    }

    public function test_those_that_were_emptied_are_given_back_together_and_taken_back(): void
    {
        [$other, $token] = $this->seat($this->session, 'Otis');
        $canvas = $this->canvasOf($other);
        $this->draw();
        $this->append(['kind' => 'clear', 'body' => ['what' => 'all']])->assertJsonCount(1, 'accepted');
        $this->asStudent($other, $token)
            ->postJson("/seat/{$other->id}/operations", ['canvas' => $canvas->id, 'operations' => [$this->stroke()]])
            ->assertJsonCount(1, 'accepted');
        $both = [$this->canvas->id, $canvas->id];
        $told = $this->desk('give-back', ['canvases' => $both])->assertJsonPath(
            'said',
            'Restored on 1 of 2. Nothing is lost: later work is in Replay.',
        );
        self::assertCount(1, $this->canvas->refresh()->scene()->placed);
        self::assertCount(1, $canvas->refresh()->scene()->placed);
        $this->asTeacher()->postJson((string) $told->json('undo.address'), $told->json('undo.body'))->assertOk();
        self::assertCount(0, $this->canvas->refresh()->scene()->placed);
        $this->desk('give-back', ['canvases' => [$canvas->id]])
            ->assertJsonPath('said', 'None of them was cleared, so there’s nothing to restore.')
            ->assertJsonMissingPath('undo');
        $this->desk('give-back', ['canvases' => ['nowhere']])->assertNotFound();
        $this->desk('give-back', ['canvases' => []])->assertUnprocessable();
    }

    public function test_a_reader_proposes_and_the_teacher_sends(): void
    {
        $this->session
            ->prompt()
            ->firstOrFail()
            ->update([
                'details' => [
                    'look_for' => ['steps' => [], 'words' => ['pivot', 'load'], 'slips' => []],
                    'questions' => [
                        ['id' => 'force', 'kind' => 'number', 'words' => 'F?', 'spot' => null, 'right' => '80 N'],
                    ],
                ],
            ]);
        $text = [
            'type' => 'text',
            'x' => 100,
            'y' => 100,
            'size' => 36,
            'colour' => '#25323b',
            'text' => 'The Pivot holds it',
        ];
        $this->append(['kind' => 'add', 'body' => ['object' => $text]]);
        // Working from top to bottom, whichever line was typed first.
        foreach ([300 => '3x = 240', 200 => '3x + 60 = 300', 400 => 'x = 60'] as $y => $line) {
            $this->append(['kind' => 'add', 'body' => ['object' => ['y' => $y, 'text' => $line] + $text]]);
        }
        $this->append(['kind' => 'answer', 'body' => ['question' => 'force', 'value' => '720 N']]);
        $told = $this->asTeacher()
            ->get("/desk/{$this->session->id}/canvas/{$this->canvas->id}/reading")
            ->assertOk();
        $told
            ->assertSee('From a set of rules')
            ->assertSeeInOrder([
                'Holds',
                '“pivot” is mentioned.',
                'Missing',
                '720 N is not right yet.',
                '“x = 60” doesn’t follow from “3x = 240”.',
                'It holds for another number than the line before.',
                '“load” isn’t mentioned.',
                'Look again at the step to “x = 60”.',
            ]);
        $told->assertSee('Show where')->assertSee('data-do="see-place"', false);
        self::assertSame(0, $this->session->messages()->count(), 'nothing goes to the student by itself');
    }

    public function test_another_reader_is_put_in_by_configuration(): void
    {
        $reader = new class implements Reader
        {
            public function name(): string
            {
                return 'From a colleague: it counts strokes.';
            }

            public function read(Work $work): Reading
            {
                return new Reading(
                    [],
                    [new Point('There are :n strokes.', 'They were counted.', ['n' => $work->strokes])],
                    new Point('Which of them matter?', 'It always asks that.'),
                );
            }
        };
        config(['crag.reader' => $reader::class]);
        $this->app->instance($reader::class, $reader);
        $this->append($this->stroke());
        $this->asTeacher()
            ->get("/desk/{$this->session->id}/canvas/{$this->canvas->id}/reading")
            ->assertOk()
            ->assertSeeInOrder(['From a colleague', 'There are 1 strokes.', 'They were counted.', 'Which of them matter?'])
            ->assertDontSee('Show where');
    }

    public function test_every_check_there_was_stands_beside_the_answers(): void
    {
        $this->desk('checks', ['canvas' => $this->canvas->id, 'level' => 1])->assertOk();
        $this->desk('checks', ['canvas' => $this->canvas->id, 'level' => 3])->assertOk();
        $shown = $this->asTeacher()
            ->get("/desk/{$this->session->id}/canvas/{$this->canvas->id}/answers")
            ->assertOk();
        $shown->assertSeeInOrder(['Checks so far', 'Secure', 'Not yet']);
    }

    public function test_a_copy_goes_onto_the_lead_canvas_with_pictures_of_its_own(): void
    {
        $asset = Asset::query()->create([
            'live_session_id' => $this->session->id,
            'seat_id' => $this->seat->id,
            'mime' => 'image/png',
            'width' => 2,
            'height' => 2,
            'bytes' => 3,
        ]);
        file_put_contents($asset->path(), 'abc');
        $this->draw();
        $picture = [
            'type' => 'picture',
            'asset' => $asset->id,
            'x' => 0,
            'y' => 0,
            'w' => 1000,
            'h' => 1000,
            'alt' => 'Beam',
        ];
        $this->append(['kind' => 'add', 'body' => ['object' => $picture]])->assertJsonCount(1, 'accepted');
        $this->coach(['layer' => 'coach'] + $this->stroke())->assertJsonCount(1, 'accepted');
        $before = $this->canvas->refresh()->operation_count;
        $this->desk("canvas/{$this->canvas->id}/copy-to-lead", ['page' => ''])->assertJsonPath(
            'said',
            'Copied onto page 2 of your lead canvas.',
        );
        $lead = app(TakeCanvas::class)
            ->lead($this->session->prompt()->firstOrFail())
            ->refresh();
        $json = (string) json_encode($lead->scene()->toArray());
        self::assertCount(2, $lead->scene()->placed, 'the stroke and the picture, not the coach ink');
        self::assertStringNotContainsString($asset->id, $json);
        self::assertSame(2, Asset::query()->count());
        self::assertSame($before, $this->canvas->refresh()->operation_count);
        HeldFolder::remove('sessions', $this->session->id);
    }

    public function test_a_helper_coaches_and_keeps_notes_but_does_not_write_on_the_lead_canvas(): void
    {
        $this->session->teachers()->attach($this->teacher('helper')->id, ['role' => 'helper']);
        $this->draw();
        $this->asTeacher('helper')
            ->postJson("/desk/{$this->session->id}/coach", [
                'canvas' => $this->canvas->id,
                'operations' => [['layer' => 'coach'] + $this->stroke()],
            ])
            ->assertJsonCount(1, 'accepted');
        $this->getJson("/desk/{$this->session->id}/canvas/{$this->canvas->id}/notes")->assertOk();
        $this->postJson("/desk/{$this->session->id}/canvas/{$this->canvas->id}/copy-to-lead", [])->assertForbidden();
        $lead = app(TakeCanvas::class)->lead($this->session->prompt()->firstOrFail());
        $this->postJson("/desk/{$this->session->id}/coach", [
            'canvas' => $lead->id,
            'operations' => [['layer' => 'lead'] + $this->stroke()],
        ])->assertNotFound();
    }

    public function test_a_list_of_canvases_is_judged_by_each_of_them(): void
    {
        $other = $this->session->prompts()->create([
            'n' => 2,
            'words' => '',
            'state' => 'open',
            'backdrop' => Backdrop::blank(),
            'revealed_at_ms' => 1,
        ]);
        $this->desk('settings', ['cover' => true])->assertOk();
        $this->session->update(['prompt_id' => $other->id]);
        foreach (
            [
                'give-back' => ['canvases' => [$this->canvas->id]],
                'give-back/undo' => ['given' => [['canvas' => $this->canvas->id, 'operation' => 'x']]],
            ] as $what => $body
        ) {
            $this->desk($what, $body)->assertStatus(409)->assertJsonPath('refusal', 'covered');
        }
    }

    public function test_nothing_of_covered_work_is_coached_or_noted(): void
    {
        $this->desk('settings', ['cover' => true])->assertOk();
        foreach (['close', 'notes'] as $what) {
            $this->asTeacher()
                ->getJson("/desk/{$this->session->id}/canvas/{$this->canvas->id}/{$what}")
                ->assertStatus(409)
                ->assertJsonPath('refusal', 'covered');
        }
        $this->coach(['layer' => 'coach'] + $this->stroke())->assertStatus(409);
        $this->desk("canvas/{$this->canvas->id}/looked", ['n' => 1])->assertStatus(409);
    }

    private function draw(): string
    {
        $this->append($this->stroke($id = Str::random(20)))->assertJsonCount(1, 'accepted');

        return $id;
    }

    /**
     * @param  array<string, mixed>  $operation
     * @return TestResponse<Response>
     */
    private function append(array $operation): TestResponse
    {
        return $this->asStudent($this->seat, $this->token)->postJson("/seat/{$this->seat->id}/operations", [
            'canvas' => $this->canvas->id,
            'operations' => [$operation + $this->stroke()],
        ]);
    }

    /**
     * @param  array<string, mixed>  $operation
     * @return TestResponse<Response>
     */
    private function coach(array $operation, ?string $canvas = null): TestResponse
    {
        return $this->desk('coach', [
            'canvas' => $canvas ?? $this->canvas->id,
            'operations' => [$operation + $this->stroke()],
        ]);
    }

    /**
     * @param  array<string, mixed>  $body
     * @return TestResponse<Response>
     */
    private function desk(string $what, array $body): TestResponse
    {
        return $this->asTeacher()->postJson("/desk/{$this->session->id}/{$what}", $body);
    }
}
