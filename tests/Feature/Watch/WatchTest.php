<?php

declare(strict_types=1);

namespace Tests\Feature\Watch;

use App\Models\Check;
use App\Models\Prompt;
use App\Models\Seat;
use App\Sessions\Room\ChangePrompts;
use App\Sessions\Work\HandOutWork;
use Crag\Plan\Handout;
use Crag\Plan\HandoutMode;
use Crag\Plan\PromptPage;
use Crag\Prompt\Backdrop\Backdrop;
use Crag\Session\Room\Pace;
use Crag\Session\Room\SeatState;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\TestWith;
use Symfony\Component\HttpFoundation\Response;
use Tests\Support\OneStudentTestCase;

/** What the desk is told of thirty canvases, and what it does to several at once. */
final class WatchTest extends OneStudentTestCase
{
    private Prompt $prompt;

    protected function setUp(): void
    {
        parent::setUp();
        $this->prompt = $this->session->prompt()->firstOrFail();
        $this->draw($this->seat, $this->token);
    }

    public function test_tasks_tick_themselves_for_the_desk_and_the_page_has_their_tests(): void
    {
        $session = $this->newSession();
        $session->prompt()->firstOrFail()->update(['details' => ['tasks' => [
            ['do' => 'pen', 'words' => '', 'with' => ''],
            ['do' => 'unit', 'words' => '', 'with' => 'N'],
            ['do' => 'hand', 'words' => 'Ask for help once', 'with' => ''],
        ]]]);
        [$seat, $token] = $this->seat($session, 'Wren');
        $told = $this->asStudent($seat, $token)->getJson("/seat/{$seat->id}/canvas")->assertOk()->json('prompt.tasks');
        self::assertSame(
            ['Draw something with the pen', 'Write a number with N as text', 'Ask for help once'],
            array_column($told, 'words'),
        );
        self::assertSame(['fact' => 'hand'], $told[2]['test']);
        $state = fn (): mixed => $this->asTeacher()
            ->getJson("/desk/{$session->id}/prompt/{$session->prompt_id}/states?looks=1")
            ->assertOk()
            ->json('states.0.tasks');
        self::assertSame([0, 3], $state());
        $this->appendAs($seat, $token, $this->stroke())->assertJsonCount(1, 'accepted');
        self::assertSame([1, 3], $state());
        foreach ([true, false] as $up) {
            $this->asStudent($seat, $token)->postJson("/seat/{$seat->id}/hand", ['up' => $up])->assertOk();
        }
        self::assertSame([2, 3], $state(), 'a hand that was up once counts');
        $session->prompt()->firstOrFail()->update(['details' => []]);
        self::assertNull($state());
    }

    public function test_states_follow_the_log_and_whether_the_page_answers(): void
    {
        $this->assertStates('away');
        $this->published->listening["seat.{$this->seat->id}"] = 1;
        $this->assertStates('drawing');
        $this->travel(3)->minutes();
        $this->assertStates('quiet')->assertJsonPath('states.0.minutes', 3);
        $this->published->listening = [];
        $this->asStudent($this->seat, $this->token)->getJson("/seat/{$this->seat->id}/catch-up?polling=1");
        $this->assertStates('quiet');
        $this->asStudent($this->seat, $this->token)
            ->postJson("/seat/{$this->seat->id}/hand", ['up' => true])
            ->assertOk();
        $this->postJson("/seat/{$this->seat->id}/send", ['canvas' => $this->canvasOf($this->seat)->id])->assertOk();
        $this->assertStates('hand_up', 'sent', 'quiet');
        $this->travel(10)->seconds();
        $this->assertStates('away', 'hand_up', 'sent', 'quiet');
    }

    public function test_thresholds_and_signals_are_settings(): void
    {
        $this->published->listening["seat.{$this->seat->id}"] = 1;
        $this->travel(5)->minutes();
        $this->states()
            ->assertJsonPath('signals.0.signal', 'long_still')
            ->assertJsonPath('signals.0.reason', 'No stroke for 5 min');
        $this->desk('settings', ['watch' => ['still_minutes' => 6, 'quiet_minutes' => 30]])->assertOk();
        $this->states()->assertJsonPath('signals', [])->assertJsonPath('states.0.minutes', 0);
        $this->desk('settings', ['watch' => ['off' => ['long_still']]])->assertOk();
        $this->travel(10)->minutes();
        $this->states()->assertJsonPath('signals', []);
        self::assertSame(['long_still'], $this->session->refresh()->settings->watch->toArray()['off']);
    }

    public function test_sorted_pieces_are_counted_and_no_students_page_is_told_what_belongs_where(): void
    {
        $box = static fn (int $x, int $w): array => [
            'type' => 'rectangle',
            'x' => $x,
            'y' => 1000,
            'w' => $w,
            'h' => $w,
            'colour' => '#25323b',
            'width' => 40,
            'filled' => false,
        ];
        $piece = static fn (string $alt, array $of, array $more = []): array => [
            'object' => ['type' => 'piece', 'alt' => $alt, 'locked' => false, 'stack' => false, 'of' => $of] + $more,
        ];
        $this->states()->assertJsonPath('states.0.sorted', null);
        $this->desk("prompt/{$this->prompt->id}/hand-out", [
            'what' => 'pieces',
            'mode' => 'pieces',
            'page' => 0,
            'objects' => [
                $piece('Forces', $box(0, 4000), ['area' => true, 'takes' => ['240 N']]),
                $piece('240 N', $box(9000, 500)),
            ],
        ])->assertOk();
        $this->states()->assertJsonPath('states.0.sorted', [0, 1]);
        $found = array_keys(
            array_filter(
                $this->canvasOf($this->seat)->scene()->placed,
                static fn ($one): bool => ($one->object->alt ?? '') === '240 N',
            ),
        )[0];
        $this->appendAs($this->seat, $this->token, [
            'id' => (string) Str::ulid(),
            'kind' => 'arrange',
            'layer' => 'student',
            'at' => 0,
            'body' => ['targets' => [$found], 'places' => [[-8000, 0, 0, 10_000]]],
        ])->assertJsonCount(1, 'accepted');
        $this->states()->assertJsonPath('states.0.sorted', [1, 1]);
        // Nothing that reaches the student, now or later, says what belongs there.
        $canvas = $this->canvasOf($this->seat);
        $told = [
            json_encode($canvas->scene()->toArray()),
            (string) $canvas->operations()->get()->toJson(),
            (string) json_encode($this->published),
            (string) $this->asStudent($this->seat, $this->token)->get("/seat/{$this->seat->id}")->getContent(),
            (string) $this->getJson("/seat/{$this->seat->id}/catch-up")->getContent(),
        ];
        foreach ($told as $i => $one) {
            self::assertDoesNotMatchRegularExpression('/takes\\\\*("|&quot;)\s*:/', (string) $one, "place {$i}");
        }
    }

    public function test_nobody_is_called_still_while_pens_are_down(): void
    {
        $this->published->listening["seat.{$this->seat->id}"] = 1;
        $this->travel(5)->minutes();
        $this->desk('pens', ['down' => true])->assertOk();
        $this->states()->assertJsonPath('signals', []);
    }

    public function test_a_page_that_has_fallen_silent_is_away_however_open_its_socket_seems(): void
    {
        $this->published->listening["seat.{$this->seat->id}"] = 1;
        $this->states()->assertJsonPath('states.0.states', ['drawing']);
        $this->asTeacher()
            ->getJson(
                "/desk/{$this->session->id}/prompt/{$this->session->prompt_id}/states?silent=other,{$this->seat->id}",
            )
            ->assertJsonPath('states.0.states.0', 'away');
    }

    public function test_rubbing_out_is_counted_for_five_minutes(): void
    {
        $this->published->listening["seat.{$this->seat->id}"] = 1;
        for ($i = 0; $i < 12; $i++) {
            $this->draw($this->seat, $this->token, $id = Str::random(20));
            $this->append($this->seat, $this->token, ['kind' => 'withdraw', 'body' => ['target' => $id]]);
        }
        $this->states()
            ->assertJsonPath('signals.0.signal', 'rubbing_out')
            ->assertJsonPath('signals.0.reason', 'Rubbed out 12 times in five minutes');
        $this->travel(301)->seconds();
        $this->draw($this->seat, $this->token);
        $this->states()->assertJsonPath('signals', []);
    }

    public function test_equal_answers_stand_together_and_a_fresh_start_takes_its_answer_along(): void
    {
        $this->ask();
        [$ada, $adas] = $this->seat($this->session, 'Ada');
        [$bo, $bos] = $this->seat($this->session, 'Bo');
        $this->answer($this->seat, $this->token, '24');
        $this->answer($ada, $adas, '240 N m');
        $this->answer($bo, $bos, '24');
        $this->answer($bo, $bos, '0.24 kN m');
        $this->states()
            ->assertJsonPath('answers.0', [
                'question' => 'q1',
                'n' => 1,
                'written' => '240 N m',
                'outcome' => 'right',
                'seats' => [$ada->id, $bo->id],
                'otherwise' => [$bo->id => '0.24 kN m'],
            ])
            ->assertJsonPath('answers.1.seats', [$this->seat->id])
            ->assertJsonPath('answers.1.outcome', 'wrong');
        $this->answer($ada, $adas, ' ');
        app(HandOutWork::class)->give(
            $this->session,
            $this->prompt,
            Handout::of(HandoutMode::Fresh, [new PromptPage(Backdrop::blank())]),
            'Fresh',
            [$bo],
        );
        $this->states()
            ->assertJsonCount(1, 'answers')
            ->assertJsonPath('answers.0.seats', [$this->seat->id]);
    }

    public function test_covered_work_tells_neither_answers_nor_amount(): void
    {
        $this->ask();
        $this->published->listening["seat.{$this->seat->id}"] = 1;
        $this->answer($this->seat, $this->token, '24');
        $this->desk('settings', ['cover' => true])->assertOk();
        $this->assertStates('covered')
            ->assertJsonPath('answers', [])
            ->assertJsonPath('signals', [])
            ->assertJsonPath('states.0.objects', 0)
            ->assertJsonPath('states.0.last', 0);
    }

    public function test_whoever_turned_to_another_prompt_is_elsewhere_with_its_number(): void
    {
        $this->published->listening["seat.{$this->seat->id}"] = 1;
        $second = app(HandOutWork::class)->add($this->session, \Crag\Prompt\Prompt::of('Second', Backdrop::blank()));
        $this->desk('pace', ['pace' => Pace::Own->value])->assertOk();
        $this->desk("prompt/{$second->id}/state", ['state' => 'open'])->assertOk();
        app(ChangePrompts::class)->turn($this->seat->refresh(), $second);
        $this->assertStates('elsewhere', 'drawing')->assertJsonPath('states.0.prompt', 2);
        $this->asTeacher()
            ->getJson("/desk/{$this->session->id}/prompt/{$second->id}/states")
            ->assertJsonPath('states.0.states', ['not_started']);
    }

    public function test_those_who_knock_are_counted_beside_the_grid(): void
    {
        [$rafe] = $this->seat($this->session, 'Rafe');
        $rafe->update(['state' => SeatState::Knocking]);
        $this->states()->assertJsonPath('knocking', 1)->assertJsonCount(1, 'states');
    }

    public function test_several_canvases_are_checked_at_once_and_say_what_they_were_before(): void
    {
        [$ada] = $this->seat($this->session, 'Ada');
        $ids = [$this->canvasOf($this->seat)->id, $this->canvasOf($ada)->id];
        $this->desk('checks', ['canvas' => $ids[0], 'level' => 1])->assertOk();
        $this->desk('checks', ['canvases' => $ids, 'level' => 3])
            ->assertJsonPath('tally.3', 2)
            ->assertJsonPath('before', [
                ['canvas' => $ids[0], 'judgement' => ['none' => false, 'marks' => [1], 'points' => null, 'note' => '']],
                ['canvas' => $ids[1], 'judgement' => ['none' => false, 'marks' => [], 'points' => null, 'note' => '']],
            ]);
        self::assertSame(3, Check::query()->count());
        $this->desk('checks', ['canvases' => [], 'level' => 3])->assertNotFound();
        $this->desk('settings', ['cover' => true])->assertOk();
        $this->desk('checks', ['canvases' => $ids, 'level' => 0])
            ->assertStatus(409)
            ->assertJsonPath('refusal', 'covered');
        $this->assertDatabaseCount('checks', 3);
    }

    public function test_pens_go_down_and_words_go_out_to_some(): void
    {
        [$ada, $adas] = $this->seat($this->session, 'Ada');
        [$bo] = $this->seat($this->session, 'Bo');
        $this->desk('pens', ['down' => true, 'seats' => [$ada->id, $bo->id], 'words' => 'Listen'])
            ->assertJsonPath('said', 'Pens down for 2 students.')
            ->assertJsonPath('undo.body.down', false);
        self::assertTrue($bo->refresh()->pens->isDown());
        self::assertFalse($this->seat->refresh()->pens->isDown());
        $this->desk('pens', ['down' => false, 'seats' => [$ada->id, $bo->id]])->assertOk();
        self::assertFalse($bo->refresh()->pens->isDown());
        $this->desk('hand', ['seats' => [$ada->id, $bo->id], 'words' => 'Look at the pivot'])->assertJsonPath(
            'said',
            'Sent to 2 students.',
        );
        self::assertSame(
            [1, 1, 0],
            [$ada->messages()->count(), $bo->messages()->count(), $this->seat->messages()->count()],
        );
        $this->desk('pens', ['down' => true, 'seats' => []])->assertNotFound();
        $this->desk('hand', ['seats' => ['nobody'], 'words' => 'x'])->assertNotFound();
    }

    public function test_a_pick_comes_from_those_who_are_here_and_can_be_undone(): void
    {
        $this->desk('pick', [])->assertUnprocessable()->assertSee('Nobody is here to pick');
        [$ada] = $this->seat($this->session, 'Ada');
        [$bo] = $this->seat($this->session, 'Bo');
        $this->published->listening = ["seat.{$this->seat->id}" => 1, "seat.{$ada->id}" => 1];
        $first = $this->desk('pick', [])->assertOk()->assertJsonPath('among', 2)->json('seat');
        $second = $this->desk('pick', [])->assertJsonPath('among', 1);
        self::assertEqualsCanonicalizing([$this->seat->id, $ada->id], [$first, $second->json('seat')]);
        $this->desk("pick/{$second->json('pick')}/undo", [])->assertOk();
        $this->desk('pick', [])->assertJsonPath('seat', $second->json('seat'));
        $this->published->listening["seat.{$bo->id}"] = 1;
        $this->desk('pick', ['seats' => [$this->seat->id, $bo->id]])
            ->assertJsonPath('seat', $bo->id)
            ->assertJsonPath('among', 1);
        $this->desk('pick', ['seats' => [$bo->id]])->assertJsonPath('seat', $bo->id);
    }

    public function test_the_line_up_keeps_the_moment_and_shows_it(): void
    {
        $canvas = $this->canvasOf($this->seat);
        $this->desk('line-up', ['chosen' => [['canvas' => $canvas->id, 'page' => 'no such page']]])->assertJsonPath(
            'said',
            '1 canvas is in the line-up.',
        );
        $entry = $this->session->lineup()->firstOrFail();
        self::assertSame(['', 1, $canvas->refresh()->operation_count], [$entry->page, $entry->n, $entry->at_operation]);
        $this->draw($this->seat, $this->token);
        $this->desk("line-up/{$entry->id}/show", [])->assertOk();
        self::assertSame(1, $this->session->refresh()->showcase?->items->first()?->at_operation);
        $this->desk('line-up', ['chosen' => [['canvas' => $canvas->id]]])->assertOk();
        self::assertSame([2], $this->session->lineup()->pluck('at_operation')->all());
        $this->asTeacher()
            ->get("/desk/{$this->session->id}/bands")
            ->assertOk()
            ->assertSee('Tamsin');
        $this->desk("line-up/{$entry->id}/remove", [])->assertOk();
        self::assertSame(0, $this->session->lineup()->count());
    }

    #[TestWith(['line-up'])]
    public function test_covered_work_is_not_lined_up(string $what): void
    {
        $this->desk('settings', ['cover' => true])->assertOk();
        $this->desk($what, ['chosen' => [['canvas' => $this->canvasOf($this->seat)->id]]])->assertStatus(409);
        self::assertSame(0, $this->session->lineup()->count());
    }

    public function test_answers_are_read_as_the_school_writes_numbers(): void
    {
        $this->ask('1,234 kN');
        [$isaac, $token] = $this->seat($this->session, 'Isaac');
        $this->answer($this->seat, $this->token, '1,234 kN');
        $this->answer($isaac, $token, '1.234 N');
        $groups = fn (): array => array_map(
            static fn (array $group): array => [$group['written'], $group['outcome']],
            $this->states()['answers'],
        );
        // With a point, a comma before three figures parts thousands.
        self::assertSame([['1,234 kN', 'right'], ['1.234 N', 'wrong']], $groups());
        config(['crag.decimal' => 'comma']);
        self::assertSame([['1,234 kN', 'right']], $groups());
        self::assertSame('1,234 kN', $this->prompt->refresh()->value()->questions[0]->toArray()['right']);
    }

    private function ask(string $right = '240 N m'): void
    {
        $this->prompt->update([
            'details' => [
                'questions' => [
                    ['id' => 'q1', 'kind' => 'number', 'words' => 'M?', 'spot' => null, 'right' => $right],
                ],
            ],
        ]);
    }

    public function test_desks_of_one_session_hear_where_the_others_are(): void
    {
        $this->session->teachers()->attach($this->teacher('a-colleague')->id, ['role' => 'colleague']);
        [$seat] = $this->seat($this->session, 'Isaac');
        [$elsewhere] = $this->seat($this->newSession('Other'), 'Stranger');
        $here = fn (string $who, ?string $at): TestResponse => $this->asTeacher($who)
            ->postJson("/desk/{$this->session->id}/here", ['seat' => $at])
            ->assertOk();
        $here('the-teacher', null)->assertExactJson(['others' => []]);
        $this->published->messages = [];
        $here('a-colleague', $seat->id)->assertJsonPath('others.0.by', $this->teacher()->id);
        $told = implode('', $this->published->on("desk.{$this->session->id}"));
        self::assertStringContainsString('"type":"here"', $told);
        self::assertStringContainsString($seat->id, $told);
        $here('the-teacher', null)->assertJsonPath('others.0.seat', $seat->id);
        // Told once, and not with every sign of life; whoever is silent is gone.
        $this->published->messages = [];
        $here('a-colleague', $seat->id);
        self::assertSame([], $this->published->on("desk.{$this->session->id}"));
        $this->travel(61)->seconds();
        $here('the-teacher', null)->assertExactJson(['others' => []]);
        // A seat of another session is nowhere.
        $here('a-colleague', $elsewhere->id);
        $here('the-teacher', null)->assertJsonPath('others.0.seat', null);
        $this->asTeacher('another-teacher')
            ->postJson("/desk/{$this->session->id}/here", ['seat' => null])
            ->assertForbidden();
    }

    private function answer(Seat $seat, string $token, string $value): void
    {
        $this->append($seat, $token, ['kind' => 'answer', 'body' => ['question' => 'q1', 'value' => $value]]);
    }

    private function draw(Seat $seat, string $token, ?string $id = null): void
    {
        $this->append($seat, $token, $this->stroke($id));
    }

    /** @param  array<string, mixed>  $operation */
    private function append(Seat $seat, string $token, array $operation): void
    {
        $operation += ['id' => Str::random(20), 'layer' => 'student', 'at' => 1_700_000_000_000];
        $this->appendAs($seat, $token, $operation)->assertJsonCount(1, 'accepted');
    }

    /**
     * @param  array<string, mixed>  $body
     * @return TestResponse<Response>
     */
    private function desk(string $what, array $body): TestResponse
    {
        return $this->asTeacher()->postJson("/desk/{$this->session->id}/{$what}", $body);
    }

    /** @return TestResponse<Response> */
    private function states(): TestResponse
    {
        return $this->asTeacher()
            ->getJson("/desk/{$this->session->id}/prompt/{$this->prompt->id}/states")
            ->assertOk();
    }

    /** @return TestResponse<Response> */
    private function assertStates(string ...$states): TestResponse
    {
        return $this->states()->assertJsonPath('states.0.states', $states);
    }
}
