<?php

declare(strict_types=1);

namespace Tests\Feature\Room;

use App\Http\Middleware\May;
use App\Http\Middleware\SendsWork;
use App\Models\Canvas;
use App\Models\LiveSession;
use App\Models\Seat;
use App\Sessions\Life\EndIdle;
use App\Sessions\Life\EndSession;
use App\Sessions\Room\Hands;
use App\Sessions\Room\RoomState;
use Crag\Session\Life\Expiry;
use Crag\Session\Room\SeatState;
use Crag\Session\Room\ShortMessage;
use Crag\Session\Rules\Deed;
use Illuminate\Support\Facades\Route;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\HttpFoundation\BinaryFileResponse;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpFoundation\StreamedResponse;
use Tests\Support\OneStudentTestCase;
use ZipArchive;

/** The room: who is in, what holds for everybody, and what a student does there. */
final class RoomTest extends OneStudentTestCase
{
    public function test_every_route_of_desks_and_seats_names_its_deed(): void
    {
        $asked = 0;
        foreach (Route::getRoutes()->getRoutes() as $route) {
            if (preg_match('#^(desk|seat)/#', $route->uri()) === 1) {
                $deeds = array_filter(
                    $route->gatherMiddleware(),
                    static fn (mixed $one): bool => is_string($one) &&
                        in_array(explode(':', $one)[0], [May::class, SendsWork::class], true),
                );
                self::assertNotEmpty($deeds, $route->uri());
                foreach ($deeds as $one) {
                    self::assertNotNull(Deed::tryFrom(explode(':', (string) $one)[1] ?? ''), (string) $one);
                }
                $asked++;
            }
        }
        self::assertGreaterThan(60, $asked);
    }

    public function test_a_door_that_is_shut_lets_nobody_new_in_and_those_who_are_in_stay(): void
    {
        $this->desk('door', ['door' => 'shut'])->assertOk();
        $this->asNobody()
            ->post('/join', ['code' => $this->session->join_code, 'name' => 'Rafe'])
            ->assertSessionHasErrors('name');
        self::assertSame(1, $this->session->seats()->count());
        $this->asStudent($this->seat, $this->token)
            ->get("/join/{$this->session->join_code}")
            ->assertRedirect("/seat/{$this->seat->id}");
        $this->desk('door', ['door' => 'ajar'])->assertUnprocessable();
    }

    public function test_what_is_told_of_a_student_is_what_holds_now_and_not_what_a_request_once_read(): void
    {
        $before = Seat::query()->with('session')->findOrFail($this->seat->id);
        $this->seat->update(['light' => true, 'hand_at_ms' => 1]);
        app(RoomState::class)->tellOwn($before);
        $told = array_map(
            static fn (string $one): array => (array) json_decode($one, true),
            array_column(array_slice($this->published->messages, -2), 1),
        );
        self::assertTrue(data_get($told[0], 'event.body.own.light'));
        self::assertTrue(data_get($told[0], 'event.body.own.hand'));
        self::assertTrue(data_get($told[1], 'event.body.seat.light'));
    }

    public function test_knocking_students_wait_and_are_let_in_one_by_one_or_all(): void
    {
        $this->desk('door', ['door' => 'knock']);
        [$rafe, $token] = $this->knock('Rafe');
        $this->knock('Iona');
        $this->knock('Bram');
        self::assertSame(0, $rafe->canvases()->count());
        $this->asStudent($rafe, $token)
            ->get("/seat/{$rafe->id}")
            ->assertSee('You’re knocking');
        $this->getJson("/seat/{$rafe->id}/canvas")
            ->assertStatus(409)
            ->assertJsonPath('refusal', 'not_in');
        $this->getJson("/seat/{$rafe->id}/catch-up")->assertJsonMissingPath('events.room');
        $this->assertSocket(403, "/live/seat/{$this->session->id}/{$rafe->id}");
        $this->assertSocket(204, "/live/door/{$rafe->id}");

        $this->desk('let-in', ['seats' => [$rafe->id]])->assertJsonPath('said', '1 student let in.');
        self::assertStringContainsString('"seated"', implode('', $this->published->on("seat.{$rafe->id}")));
        $this->asStudent($rafe, $token)
            ->getJson("/seat/{$rafe->id}/canvas")
            ->assertOk();
        $this->desk('let-in', ['all' => true])->assertJsonPath('said', '2 students let in.');
        self::assertSame(4, $this->session->seated()->count());
    }

    public function test_whoever_is_turned_away_reads_why_and_may_knock_again(): void
    {
        $this->desk('door', ['door' => 'knock']);
        [$rafe, $token] = $this->knock('Rafe');
        $this->desk('turn-away', ['seats' => [$rafe->id], 'reason' => 'Please use your own name.'])->assertOk();
        $this->asStudent($rafe, $token)
            ->get("/seat/{$rafe->id}")
            ->assertSee('Please use your own name.');
        $this->postJson("/seat/{$rafe->id}/knock")->assertJsonPath('own.state', 'knocking');
        $this->postJson("/seat/{$rafe->id}/knock")
            ->assertStatus(409)
            ->assertJsonPath('refusal', 'is_in');
    }

    public function test_a_student_who_is_sent_out_loses_nothing_and_hears_nothing_more(): void
    {
        $canvas = $this->canvasOf($this->seat)->id;
        $late = ['at' => now()->getTimestampMs() - 20_000] + $this->stroke('drawn-before-the-end');
        $this->desk('send-out', ['seat' => $this->seat->id, 'reason' => 'Come to me.'])->assertJsonPath(
            'undo.body.seats.0',
            $this->seat->id,
        );
        self::assertSame(
            ["seat.{$this->seat->id}", "coach.{$this->seat->id}", "out.{$this->seat->id}"],
            $this->published->closed,
        );
        $this->asStudent($this->seat, $this->token)
            ->get("/seat/{$this->seat->id}")
            ->assertSee('Come to me.');
        $this->travel(1)->minutes();
        $this->postJson("/seat/{$this->seat->id}/operations", [
            'canvas' => $canvas,
            'operations' => [$late, ['at' => now()->getTimestampMs()] + $this->stroke('drawn-after-the-end')],
        ])
            ->assertJsonPath('accepted.0.id', 'drawn-before-the-end')
            ->assertJsonPath('held.0.why', 'not_in');
        $this->desk('let-in', ['seats' => [$this->seat->id]])->assertOk();
        $this->seat->refresh();
        self::assertSame(1, $this->seat->turn);
        $this->asStudent($this->seat, $this->token)
            ->getJson("/seat/{$this->seat->id}/canvas")
            ->assertJsonPath('canvas', $canvas)
            ->assertJsonCount(1, 'operations');
        $this->assertSocket(403, "/live/seat/{$this->session->id}/{$this->seat->id}");
        $this->assertSocket(204, "/live/seat/{$this->session->id}/{$this->seat->id}u1");
    }

    public function test_whoever_is_kept_out_comes_in_with_neither_device_nor_name(): void
    {
        $this->desk('send-out', ['seat' => $this->seat->id, 'keep' => true])->assertOk();
        $this->asStudent($this->seat, $this->token)
            ->postJson("/seat/{$this->seat->id}/knock")
            ->assertStatus(409)
            ->assertJsonPath('refusal', 'kept_out');
        $this->get("/join/{$this->session->join_code}")->assertRedirect("/seat/{$this->seat->id}");
        $this->asNobody()
            ->post('/join', ['code' => $this->session->join_code, 'name' => 'tamsin'])
            ->assertSessionHasErrors('name');
        $this->desk('let-in', ['seats' => [$this->seat->id]])->assertOk();
        self::assertTrue($this->seat->refresh()->isIn());
    }

    public function test_the_same_name_from_another_device_knocks_and_comes_back_to_the_work(): void
    {
        $this->appendAs($this->seat, $this->token, $this->stroke())->assertOk();
        [$again, $token] = $this->knock('tamsin');
        self::assertSame([SeatState::Knocking, $this->seat->id], [$again->state, $again->claims_id]);
        $this->asTeacher()
            ->get("/desk/{$this->session->id}/bands")
            ->assertSee('Who is it?')
            ->assertSee('At the door: a laptop.')
            ->assertDontSee('&quot;claimed&quot;:true', false);
        $this->desk('let-in', ['seats' => [$again->id], 'claimed' => true])->assertOk();
        self::assertNull(Seat::query()->find($again->id));
        self::assertStringContainsString('"become"', implode('', $this->published->on("seat.{$again->id}")));
        $this->asStudent($this->seat, $token)
            ->get("/join/{$this->session->join_code}")
            ->assertRedirect("/seat/{$this->seat->id}");
        $this->getJson("/seat/{$this->seat->id}/canvas")
            ->assertOk()
            ->assertJsonCount(1, 'operations');
        // What was drawn on the device before still arrives; nothing else is answered there.
        $this->asStudent($this->seat, $this->token)
            ->getJson("/seat/{$this->seat->id}/canvas")
            ->assertForbidden();
        $this->postJson("/seat/{$this->seat->id}/operations", [
            'canvas' => $this->canvasOf($this->seat)->id,
            'operations' => [$this->stroke()],
        ])->assertJsonCount(1, 'accepted');
    }

    public function test_a_namesake_is_told_apart(): void
    {
        [$again] = $this->knock('Tamsin');
        $this->desk('let-in', ['seats' => [$again->id]])->assertOk();
        self::assertSame(['Tamsin', 'Tamsin (2)'], $this->session->seated()->pluck('name')->all());
    }

    public function test_a_seat_code_brings_the_place_to_another_device(): void
    {
        $code = $this->asStudent($this->seat, $this->token)
            ->postJson("/seat/{$this->seat->id}/code")
            ->assertOk()
            ->json('code');
        $this->asNobody()
            ->post('/join', ['code' => $this->session->join_code, 'seat_code' => 'CCC CCC'])
            ->assertSessionHasErrors('seat_code');
        $token = $this->asNobody()
            ->post('/join', ['code' => $this->session->join_code, 'seat_code' => strtolower($code)])
            ->assertRedirect("/seat/{$this->seat->id}")
            ->getCookie(Seat::cookieFor($this->session->id))
            ?->getValue();
        $this->asStudent($this->seat, (string) $token)
            ->get("/seat/{$this->seat->id}")
            ->assertOk()
            ->assertSee('Tamsin');
        $this->asNobody()
            ->post('/join', ['code' => $this->session->join_code, 'seat_code' => $code])
            ->assertSessionHasErrors('seat_code');
        $later = $this->asStudent($this->seat, (string) $token)
            ->postJson("/seat/{$this->seat->id}/code")
            ->json('code');
        $this->travel(11)->minutes();
        $this->asNobody()
            ->post('/join', ['code' => $this->session->join_code, 'seat_code' => $later])
            ->assertSessionHasErrors('seat_code');
    }

    public function test_an_unsuitable_name_knocks_and_can_be_changed_at_once(): void
    {
        $this->desk('settings', ['unsuitable' => "mudlark\nclodpole"])->assertOk();
        [$sly] = $this->knock('M U D L 4 R K');
        self::assertSame(SeatState::Knocking, $sly->state);
        $this->desk('rename', ['seat' => $sly->id, 'name' => 'Tamsin'])->assertJsonPath('name', 'Tamsin (2)');
        $this->desk('rename', ['seat' => $sly->id, 'name' => ' '])->assertUnprocessable();
        self::assertStringContainsString('Tamsin (2)', implode('', $this->published->on("seat.{$sly->id}")));
    }

    public function test_pens_down_reaches_every_page_and_holds_what_is_drawn_after(): void
    {
        $canvas = $this->canvasOf($this->seat)->id;
        $this->desk('pens', ['down' => true, 'words' => 'Look here'])->assertOk();
        self::assertStringContainsString('Look here', implode('', $this->published->on("room.{$this->session->id}")));
        $this->asStudent($this->seat, $this->token)
            ->getJson("/seat/{$this->seat->id}/canvas")
            ->assertJsonPath('room.pens.words', 'Look here');
        $late = ['at' => now()->getTimestampMs()] + $this->stroke('the-one-under-way');
        $this->travel(30)->seconds();
        $send = fn (): TestResponse => $this->asStudent($this->seat, $this->token)->postJson(
            "/seat/{$this->seat->id}/operations",
            [
                'canvas' => $canvas,
                'operations' => [$late, ['at' => now()->getTimestampMs()] + $this->stroke('while-they-were-down')],
            ],
        );
        $send()
            ->assertJsonPath('accepted.0.id', 'the-one-under-way')
            ->assertJsonPath('held.0.id', 'while-they-were-down')
            ->assertJsonPath('held.0.why', 'pens_down')
            ->assertJsonCount(0, 'refused');
        $this->postJson("/seat/{$this->seat->id}/bring-in", [])
            ->assertStatus(409)
            ->assertJsonPath('refusal', 'pens_down');
        $this->asScreen($this->session)
            ->get("/screen/{$this->session->id}/shown")
            ->assertSee('Look here');
        $this->desk('pens', ['down' => false])->assertOk();
        $send()->assertJsonCount(2, 'accepted')->assertJsonCount(0, 'held');
        $this->desk('pens', ['down' => true, 'words' => str_repeat('a', 201)])->assertUnprocessable();
    }

    public function test_pens_can_be_down_for_one(): void
    {
        [$mate] = $this->seat($this->session, 'Mate');
        $this->desk('pens', ['down' => true, 'seat' => $this->seat->id])->assertOk();
        self::assertStringContainsString(
            '"pens":{"since"',
            implode('', $this->published->on("seat.{$this->seat->id}")),
        );
        self::assertStringNotContainsString(
            '"pens":{"since"',
            implode('', [
                ...$this->published->on("seat.{$mate->id}"),
                ...$this->published->on("room.{$this->session->id}"),
            ]),
        );
        $this->desk('pens', ['down' => false])->assertOk();
        self::assertFalse($this->seat->refresh()->pens->isDown());
    }

    public function test_a_timer_is_right_on_late_pages_and_brings_pens_down(): void
    {
        $this->freezeTime();
        $this->desk('timer', ['do' => 'set', 'seconds' => 90, 'pens' => true])->assertJsonPath('timer.pens', true);
        $this->travel(30)->seconds();
        $this->desk('timer', ['do' => 'pause'])->assertJsonPath('timer.left', 60_000);
        $this->desk('timer', ['do' => 'more'])->assertJsonPath('timer.left', 120_000);
        $ends = $this->desk('timer', ['do' => 'resume'])->json('timer.ends');
        self::assertSame(
            $ends,
            $this->asStudent($this->seat, $this->token)
                ->getJson("/seat/{$this->seat->id}/canvas")
                ->json('room.timer.ends'),
        );
        $this->travel(150)->seconds();
        $this->postJson("/seat/{$this->seat->id}/operations", [
            'canvas' => $this->canvasOf($this->seat)->id,
            'operations' => [['at' => now()->getTimestampMs()] + $this->stroke()],
        ])->assertJsonPath('held.0.why', 'pens_down');
        $this->desk('pens', ['down' => false])->assertOk();
        self::assertNull($this->session->refresh()->timer);
        $this->desk('timer', ['do' => 'set', 'seconds' => 0])->assertUnprocessable();
        $this->desk('timer', ['do' => 'more'])->assertJsonPath('timer', null);
    }

    public function test_at_the_own_pace_students_turn_to_what_is_open_and_gather_brings_them_back(): void
    {
        $second = $this->desk('prompts', ['words' => 'Brace the frame.'])->json('prompt');
        $third = $this->desk('prompts', ['words' => 'Secret.'])->json('prompt');
        $turn = fn (string $prompt): TestResponse => $this->asStudent($this->seat, $this->token)->postJson(
            "/seat/{$this->seat->id}/turn-to",
            ['prompt' => $prompt],
        );
        $turn($second)->assertStatus(409)->assertJsonPath('refusal', 'together');
        $this->desk('pace', ['pace' => 'own'])->assertOk();
        $turn($second)->assertStatus(409)->assertJsonPath('refusal', 'prompt_unseen');
        $this->desk("prompt/{$second}/state", ['state' => 'open'])->assertOk();
        $turn($second)->assertJsonPath('own.prompt', $second);
        $this->getJson("/seat/{$this->seat->id}/canvas")
            ->assertJsonPath('prompt.words', 'Brace the frame.')
            ->assertJsonCount(2, 'room.prompts')
            ->assertDontSee('Secret.');
        $turn($third)->assertStatus(409);
        $this->desk("prompt/{$this->session->prompt_id}/gather", ['page' => 0])->assertOk();
        $this->asStudent($this->seat, $this->token)
            ->getJson("/seat/{$this->seat->id}/canvas")
            ->assertJsonPath('prompt.id', $this->session->prompt_id);
        $turn($second);
        $this->desk('pace', ['pace' => 'together'])->assertOk();
        self::assertNull($this->seat->refresh()->prompt_id);
        self::assertSame(2, $this->seat->canvases()->count());
    }

    public function test_prompts_are_closed_skipped_and_put_in_another_order(): void
    {
        $first = (string) $this->session->prompt_id;
        $second = $this->desk('prompts', ['words' => 'Brace the frame.'])->json('prompt');
        $this->desk("prompt/{$second}/move", ['by' => -1])->assertOk();
        self::assertSame([$second, $first], $this->session->prompts()->pluck('id')->all());
        self::assertSame([1, 2], $this->session->prompts()->pluck('n')->all());
        $this->desk("prompt/{$first}/state", ['state' => 'skipped'])->assertStatus(409);
        $this->desk("prompt/{$first}/state", ['state' => 'closed'])->assertOk();
        $this->travel(1)->minutes();
        $held = $this->appendAs($this->seat, $this->token, ['at' => now()->getTimestampMs()] + $this->stroke());
        $held->assertJsonPath('held.0.why', 'prompt_closed');
        $this->desk("prompt/{$second}/gather", [])->assertOk();
        $this->desk("prompt/{$first}/state", ['state' => 'skipped'])->assertOk();
        $this->desk("prompt/{$first}/state", ['state' => 'nowhere'])->assertUnprocessable();
        $this->asStudent($this->seat, $this->token)
            ->getJson("/seat/{$this->seat->id}/canvas")
            ->assertJsonCount(1, 'room.prompts');
    }

    public function test_covered_work_leaks_by_no_other_way(): void
    {
        $prompt = (string) $this->session->prompt_id;
        $canvas = $this->canvasOf($this->seat)->id;
        $this->desk('settings', ['cover' => true])->assertOk();
        $this->published->messages = [];
        $stroke = $this->stroke('covered-stroke-0001');
        $this->asStudent($this->seat, $this->token)
            ->postJson("/seat/{$this->seat->id}/operations", ['canvas' => $canvas, 'operations' => [$stroke]])
            ->assertJsonCount(1, 'accepted');
        $ink = $stroke['body']['object']['ink'];
        self::assertStringContainsString(
            $ink,
            implode('', $this->published->on("seat.{$this->seat->id}")),
            'the student has it',
        );
        self::assertSame(
            ['{"stream":"operations","operations":[{"s":1,"covered":true}]}'],
            $this->published->on("desk.{$this->session->id}"),
        );
        $this->session->teachers()->attach($this->teacher('a-helper')->id, ['role' => 'helper']);
        $ways = [
            'catch-up?operations=0',
            "prompt/{$prompt}/canvases",
            "prompt/{$prompt}/states",
            'picture',
            'groups?size=2&way=mixed',
            'take',
            'bands',
            'results.csv?table=answers',
            'results.csv',
            'results.csv?table=matrix',
            'statements.json',
            "student/{$this->seat->id}",
        ];
        foreach (['a-helper', 'the-teacher'] as $who) {
            foreach ($ways as $way) {
                $answer = $this->asTeacher($who)
                    ->get("/desk/{$this->session->id}/{$way}")
                    ->assertOk();
                $said =
                    $answer->baseResponse instanceof StreamedResponse
                        ? $answer->streamedContent()
                        : (string) $answer->getContent();
                self::assertStringNotContainsString($ink, $said, "{$who} {$way}");
                self::assertStringNotContainsString($stroke['id'], $said, "{$who} {$way}");
            }
            $this->postJson("/desk/{$this->session->id}/record", ['kind' => 'zip'])->assertStatus(409);
            $file = $this->get("/desk/{$this->session->id}/student/{$this->seat->id}/everything.zip")->assertOk()
                ->baseResponse;
            self::assertInstanceOf(BinaryFileResponse::class, $file);
            $zip = new ZipArchive();
            $zip->open($file->getFile()->getPathname());
            self::assertSame(1, $zip->numFiles);
            self::assertStringNotContainsString($ink, (string) $zip->getFromIndex(0));
        }
        // Another prompt that is revealed is open; what has ended is open altogether.
        $this->asTeacher()
            ->postJson("/desk/{$this->session->id}/prompt/{$prompt}/reveal")
            ->assertOk();
        self::assertStringContainsString(
            $ink,
            (string) $this->get("/desk/{$this->session->id}/catch-up?operations=0")->getContent(),
        );
        $this->session->prompts()->update(['revealed_at_ms' => null]);
        self::assertCount(0, $this->session->refresh()->openCanvases()->get());
        $this->app->make(EndSession::class)($this->session);
        self::assertCount(1, $this->session->refresh()->openCanvases()->get());
    }

    public function test_covered_work_does_not_reach_the_desk_until_it_is_revealed(): void
    {
        $prompt = $this->session->prompt_id;
        $canvas = $this->canvasOf($this->seat)->id;
        $this->desk('settings', ['cover' => true])->assertOk();
        $this->asStudent($this->seat, $this->token)->postJson("/seat/{$this->seat->id}/operations", [
            'canvas' => $canvas,
            'operations' => [$this->stroke()],
        ]);
        $this->postJson("/seat/{$this->seat->id}/send", ['canvas' => $canvas])->assertJsonPath('own.isSent', true);
        $grid = json_decode(
            $this->asTeacher()
                ->getJson("/desk/{$this->session->id}/prompt/{$prompt}/canvases")
                ->streamedContent(),
            true,
        );
        self::assertSame([true, true, []], [$grid['covered'], $grid['seats'][0]['isSent'], $grid['operations']]);
        foreach (
            ["canvas/{$canvas}/log", "canvas/{$canvas}/answers", "canvas/{$canvas}/replay", "work/{$canvas}.png"] as $address
        ) {
            $this->getJson("/desk/{$this->session->id}/{$address}")
                ->assertStatus(409)
                ->assertJsonPath('refusal', 'covered');
        }
        foreach (['showcase' => [], 'checks' => ['level' => 3]] as $address => $body) {
            $this->desk($address, ['canvas' => $canvas] + $body)
                ->assertStatus(409)
                ->assertJsonPath('refusal', 'covered');
        }
        $this->asStudent($this->seat, $this->token)
            ->postJson("/seat/{$this->seat->id}/take-back", ['canvas' => $canvas])
            ->assertJsonPath('own.isSent', false);
        $this->postJson("/seat/{$this->seat->id}/take-back", ['canvas' => $canvas])->assertJsonPath(
            'refusal',
            'not_sent',
        );
        $this->postJson("/seat/{$this->seat->id}/send", ['canvas' => $canvas])->assertOk();
        $this->desk("prompt/{$prompt}/reveal", [])->assertOk();
        $this->desk("prompt/{$prompt}/reveal", [])->assertStatus(409);
        self::assertCount(
            1,
            json_decode(
                $this->asTeacher()
                    ->getJson("/desk/{$this->session->id}/prompt/{$prompt}/canvases")
                    ->streamedContent(),
                true,
            )['operations'],
        );
        $this->asStudent($this->seat, $this->token)
            ->postJson("/seat/{$this->seat->id}/take-back", ['canvas' => $canvas])
            ->assertStatus(409)
            ->assertJsonPath('refusal', 'revealed');
        // Naming another prompt beside it does not have it judged by that one.
        $other = $this->session
            ->prompt()
            ->firstOrFail()
            ->replicate()
            ->fill(['n' => 9, 'revealed_at_ms' => null]);
        $other->save();
        $this->postJson("/seat/{$this->seat->id}/take-back", [
            'canvas' => $canvas,
            'prompt' => $other->id,
        ])->assertUnprocessable();
        self::assertNotNull($this->canvasOf($this->seat)->sent_at_ms);
    }

    public function test_what_was_sent_is_not_drawn_on_until_it_is_taken_back(): void
    {
        $canvas = $this->canvasOf($this->seat)->id;
        $this->asStudent($this->seat, $this->token)
            ->postJson("/seat/{$this->seat->id}/send", ['canvas' => $canvas])
            ->assertOk();
        $this->postJson("/seat/{$this->seat->id}/send", ['canvas' => $canvas])->assertJsonPath('refusal', 'sent');
        $this->travel(1)->minutes();
        $this->postJson("/seat/{$this->seat->id}/operations", [
            'canvas' => $canvas,
            'operations' => [['at' => now()->getTimestampMs()] + $this->stroke()],
        ])->assertJsonPath('held.0.why', 'sent');
    }

    public function test_who_waits_is_told_that_help_is_coming_and_goes_once_seen_to(): void
    {
        $waits = fn (): string => (string) preg_replace(
            '/.*id="waiting-all"(.*?)<\/section>.*/s',
            '$1',
            (string) $this->asTeacher()->get("/desk/{$this->session->id}/bands")->getContent(),
        );
        $is = function (bool $hand, bool $isComing): void {
            $this->asStudent($this->seat, $this->token)
                ->getJson("/seat/{$this->seat->id}/canvas")
                ->assertJsonPath('own.hand', $hand)
                ->assertJsonPath('own.isComing', $isComing);
        };
        // Nobody comes to a hand that is not up.
        $this->desk('hand', ['seat' => $this->seat->id, 'coming' => true])->assertOk();
        $is(false, false);
        app(Hands::class)->up($this->seat->refresh(), null);
        $this->desk('hand', ['seat' => $this->seat->id, 'coming' => true])->assertOk();
        $is(true, true);
        self::assertStringContainsString('you’re coming', $waits());
        $this->desk('hand', ['seat' => $this->seat->id])->assertOk();
        $is(false, false);
        self::assertStringContainsString('Nobody is waiting', $waits());
        // The next hand begins anew.
        app(Hands::class)->up($this->seat->refresh(), null);
        $is(true, false);
        app(Hands::class)->down($this->seat->refresh());
        // What a student writes waits until it is answered, or done.
        $this->travel(1)->seconds();
        app(Hands::class)->say($this->seat->refresh(), ShortMessage::read('Is it 80?'), null);
        self::assertStringContainsString('Is it 80?', $waits());
        $this->travel(1)->seconds();
        $this->desk('hand', ['seat' => $this->seat->id])->assertOk();
        self::assertStringContainsString('Nobody is waiting', $waits());
        $this->travel(1)->seconds();
        app(Hands::class)->say($this->seat->refresh(), ShortMessage::read('Or 60?'), null);
        $this->travel(1)->seconds();
        $this->desk('hand', ['seat' => $this->seat->id, 'words' => 'Have another look.'])->assertOk();
        self::assertStringContainsString('Nobody is waiting', $waits());
    }

    public function test_sent_work_waits_until_it_is_looked_at_or_checked(): void
    {
        $waits = fn (): string => (string) preg_replace(
            '/.*id="waiting-all"(.*?)<\/section>.*/s',
            '$1',
            (string) $this->asTeacher()->get("/desk/{$this->session->id}/bands")->getContent(),
        );
        $canvas = $this->canvasOf($this->seat);
        $send = fn (bool $isSent): TestResponse => $this->asStudent($this->seat, $this->token)->postJson(
            "/seat/{$this->seat->id}/".($isSent ? 'send' : 'take-back'),
            ['canvas' => $canvas->id],
        );
        $this->appendAs($this->seat, $this->token, ['id' => 'the-first-stroke'] + $this->stroke());
        $send(true)->assertOk();
        self::assertStringContainsString('Sent work, not looked at yet', $waits());
        self::assertStringContainsString('1 sent', $waits());
        // It is no hand: nobody is counted who waits.
        self::assertStringContainsString('Nobody is waiting', $waits());
        $this->desk("canvas/{$canvas->id}/looked", ['n' => $canvas->refresh()->operation_count])->assertSuccessful();
        self::assertStringNotContainsString('Sent work', $waits());
        $send(false)->assertOk();
        $this->appendAs($this->seat, $this->token, ['id' => 'the-second-stroke'] + $this->stroke());
        $send(true)->assertOk();
        self::assertStringContainsString('Sent work', $waits());
        $this->desk('checks', ['canvases' => [$canvas->id], 'level' => 2])->assertOk();
        self::assertStringNotContainsString('Sent work', $waits());
    }

    public function test_hands_queue_in_order_and_are_answered_or_lowered(): void
    {
        [$mate, $token] = $this->seat($this->session, 'Mate');
        $this->asStudent($mate, $token)
            ->postJson("/seat/{$mate->id}/hand", ['up' => true, 'words' => 'Stuck at <b>'])
            ->assertJsonPath('own.hand', true);
        $this->travel(5)->seconds();
        $this->asStudent($this->seat, $this->token)
            ->postJson("/seat/{$this->seat->id}/hand", ['up' => true])
            ->assertOk();
        $bands = (string) $this->asTeacher()
            ->get("/desk/{$this->session->id}/bands")
            ->assertSee('Stuck at &lt;b&gt;', false)
            ->getContent();
        self::assertMatchesRegularExpression('/id="waiting-all".*Mate.*Tamsin/s', $bands);
        $this->desk('hand', ['seat' => $mate->id, 'words' => 'I’m coming.'])->assertJsonPath('said', 'Sent to Mate.');
        self::assertNull($mate->refresh()->hand_at_ms);
        $own = $this->asStudent($mate, $token)
            ->getJson("/seat/{$mate->id}/canvas")
            ->json('own.messages');
        self::assertSame(
            [['Mate', true, 'Stuck at <b>'], ['Ms Okafor-Lind', false, 'I’m coming.']],
            array_map(static fn (array $one): array => [$one['from'], $one['mine'], $one['words']], $own),
        );
        $this->desk('hand', ['seat' => $this->seat->id])->assertOk();
        self::assertNull($this->seat->refresh()->hand_at_ms);
        $this->desk("message/{$own[1]['id']}/remove", [])->assertOk();
        $this->asStudent($mate, $token)
            ->getJson("/seat/{$mate->id}/canvas")
            ->assertJsonCount(1, 'own.messages');
        self::assertStringNotContainsString(
            'Stuck',
            implode('', [
                ...$this->published->on("seat.{$this->seat->id}"),
                ...$this->published->on("room.{$this->session->id}"),
            ]),
        );
    }

    public function test_messages_can_be_off(): void
    {
        $this->desk('settings', ['messages' => false])->assertOk();
        $this->asStudent($this->seat, $this->token)
            ->postJson("/seat/{$this->seat->id}/write", ['words' => 'Hello'])
            ->assertStatus(409)
            ->assertJsonPath('refusal', 'messages_off');
        $this->postJson("/seat/{$this->seat->id}/hand", ['up' => true, 'words' => 'Hello'])
            ->assertJsonPath('own.hand', true)
            ->assertJsonCount(0, 'own.messages');
        $this->postJson("/seat/{$this->seat->id}/write", ['words' => str_repeat('a', 301)])->assertStatus(409);
    }

    public function test_settings_are_kept_for_the_class(): void
    {
        $roster = $this->teacher()
            ->rosters()
            ->create(['name' => '9B']);
        $this->session->update(['roster_id' => $roster->id]);
        $this->desk('settings', ['cover' => true, 'shown_names' => 'seats'])->assertOk();
        $this->desk('settings', ['shown_names' => 'loud'])->assertUnprocessable();
        self::assertSame(
            [true, 'seats'],
            [$roster->refresh()->settings['session']['cover'], $roster->settings['session']['shown_names']],
        );
        $this->asStudent($this->seat, $this->token)
            ->getJson("/seat/{$this->seat->id}/canvas")
            ->assertJsonPath('own.seat', 'Seat 1');
    }

    public function test_a_helper_coaches_and_does_not_run_the_session(): void
    {
        $this->asTeacher('a-helper')
            ->get("/beside/{$this->session->id}/wrong")
            ->assertNotFound();
        $this->get("/beside/{$this->session->id}/{$this->session->helper_key}")
            ->assertOk()
            ->assertSee('helper');
        $this->post("/beside/{$this->session->id}/{$this->session->helper_key}", [
            'name' => 'Mr Adeyemi',
        ])->assertRedirect("/desk/{$this->session->id}");
        $help = fn (string $what, array $body): TestResponse => $this->asTeacher('a-helper')->postJson(
            "/desk/{$this->session->id}/{$what}",
            $body,
        );
        $help('checks', ['canvas' => $this->canvasOf($this->seat)->id, 'level' => 2])->assertOk();
        $help('hand', ['seat' => $this->seat->id, 'words' => 'Try a sketch.'])->assertOk();
        self::assertStringContainsString(
            'Mr Adeyemi',
            implode('', $this->published->on("desk.{$this->session->id}")),
            'the other desk hears who did it',
        );
        self::assertSame(2, $this->session->teachers()->count());
        $prompt = $this->session->prompt_id;
        foreach (
            [
                'end' => [],
                'send-out' => ['seat' => $this->seat->id],
                'pens' => ['down' => true],
                'timer' => ['do' => 'stop'],
                'pace' => ['pace' => 'own'],
                'settings' => ['cover' => true],
                "prompt/{$prompt}/gather" => [],
                "prompt/{$prompt}/hand-out" => ['what' => 'prompt', 'mode' => 'fresh'],
                'screen' => ['view' => 'nothing'],
                'door' => ['door' => 'shut'],
            ] as $what => $body
        ) {
            $help($what, $body)->assertForbidden();
        }
        $help("prompt/{$prompt}/hand-out", [
            'what' => 'prompt',
            'mode' => 'fresh',
            'seats' => [$this->seat->id],
        ])->assertOk();
        $this->asTeacher('a-colleague')
            ->post("/beside/{$this->session->id}/{$this->session->return_key}", ['name' => 'Dr Vance'])
            ->assertRedirect();
        $this->asTeacher('a-colleague')
            ->postJson("/desk/{$this->session->id}/pens", ['down' => true])
            ->assertOk();
        $this->asTeacher('a-colleague')
            ->get("/beside/{$this->session->id}/{$this->session->helper_key}")
            ->assertOk();
        $this->post("/beside/{$this->session->id}/{$this->session->helper_key}", [
            'name' => 'Dr Vance',
        ])->assertRedirect();
        $this->postJson("/desk/{$this->session->id}/pens", ['down' => false])->assertOk();
    }

    public function test_a_session_without_a_sign_of_life_is_warned_ended_and_forgotten(): void
    {
        $this->travel(111)->minutes();
        app(EndIdle::class)();
        app(EndIdle::class)();
        $warnings = array_filter(
            $this->published->on("desk.{$this->session->id}"),
            static fn (string $one): bool => str_contains($one, '"ending"'),
        );
        self::assertCount(1, $warnings);
        $this->desk('keep-open', [])->assertOk();
        $this->travel(111)->minutes();
        app(EndIdle::class)();
        self::assertTrue($this->session->refresh()->isRunning());
        $this->travel(10)->minutes();
        app(EndIdle::class)();
        self::assertFalse($this->session->refresh()->isRunning());
        $this->asTeacher()
            ->get("/desk/{$this->session->id}/ended")
            ->assertSee(now()->addDays(30)->translatedFormat('j F Y'));
        $this->travel(31)->days();
        app(EndIdle::class)();
        self::assertNull(LiveSession::query()->find($this->session->id));
        self::assertGreaterThan(0, Expiry::WARNING_MS);
    }

    public function test_students_see_one_page_of_the_lead_canvas_and_no_other(): void
    {
        $lead = $this->asTeacher()
            ->getJson("/desk/{$this->session->id}/prompt/{$this->session->prompt_id}/lead")
            ->json('canvas');
        $draw = fn (array $more, string $id): TestResponse => $this->asTeacher()->postJson(
            "/desk/{$this->session->id}/operations",
            [
                'canvas' => $lead,
                'operations' => [array_replace_recursive($this->stroke($id), ['layer' => 'lead'] + $more)],
            ],
        );
        $this->postJson("/desk/{$this->session->id}/operations", [
            'canvas' => $lead,
            'operations' => [
                ['id' => 'the-second-page', 'kind' => 'page', 'layer' => 'lead', 'at' => 5, 'body' => (object) []],
            ],
        ])->assertJsonCount(1, 'accepted');
        $draw([], 'on-the-first-page');
        $draw(['body' => ['page' => 'the-second-page']], 'on-the-second-page');
        $this->asStudent($this->seat, $this->token)
            ->getJson("/seat/{$this->seat->id}/lead")
            ->assertStatus(409)
            ->assertJsonPath('refusal', 'lead_hidden');
        $this->desk("prompt/{$this->session->prompt_id}/lead/show", ['page' => ''])->assertOk();
        $this->asStudent($this->seat, $this->token)
            ->getJson("/seat/{$this->seat->id}/lead")
            ->assertSee('on-the-first-page')
            ->assertDontSee('on-the-second-page');
        $before = count($this->published->on("lead.{$this->session->id}"));
        $draw(['body' => ['page' => 'the-second-page']], 'another-on-the-second');
        self::assertCount($before, $this->published->on("lead.{$this->session->id}"));
        $draw([], 'another-on-the-first');
        self::assertStringContainsString(
            'another-on-the-first',
            implode('', $this->published->on("lead.{$this->session->id}")),
        );
        $this->desk("prompt/{$this->session->prompt_id}/lead/show", [])->assertOk();
        $draw([], 'a-third-on-the-first');
        self::assertStringNotContainsString(
            'a-third-on-the-first',
            implode('', $this->published->on("lead.{$this->session->id}")),
        );
    }

    #[DataProvider('inkOff')]
    public function test_lead_ink_lies_under_the_students_own_while_it_is_on(bool $stays): void
    {
        $at = "prompt/{$this->session->prompt_id}/lead/ink";
        $lead = $this->asTeacher()
            ->getJson("/desk/{$this->session->id}/prompt/{$this->session->prompt_id}/lead")
            ->json('canvas');
        $draw = fn (string $id): TestResponse => $this->asTeacher()->postJson("/desk/{$this->session->id}/operations", [
            'canvas' => $lead,
            'operations' => [['layer' => 'lead'] + $this->stroke($id)],
        ]);
        $draw('before-it-was-on');
        $this->desk($at, ['on' => true])->assertOk();
        $draw('while-it-was-on');
        $this->asStudent($this->seat, $this->token)
            ->getJson("/seat/{$this->seat->id}/lead")
            ->assertSee('while-it-was-on')
            ->assertDontSee('before-it-was-on');
        $this->desk($at, ['on' => false, 'stays' => $stays])->assertOk();
        self::assertCount($stays ? 1 : 0, $this->canvasOf($this->seat)->scene()->placed);
        [$late] = $this->seat($this->session, 'Late');
        self::assertCount($stays ? 1 : 0, $this->canvasOf($late)->scene()->placed);
        self::assertFalse($this->session->refresh()->lead->hasInk());
    }

    /** @return iterable<array{bool}> */
    public static function inkOff(): iterable
    {
        yield 'it goes again' => [false];
        yield 'it stays' => [true];
    }

    public function test_light_data_is_the_students_choice(): void
    {
        $this->asStudent($this->seat, $this->token)
            ->postJson("/seat/{$this->seat->id}/light", ['on' => true])
            ->assertJsonPath('own.light', true);
        $this->assertSocket(204, "/live/light/{$this->session->id}/{$this->seat->id}");
        self::assertSame(1, Canvas::query()->where('seat_id', $this->seat->id)->count());
    }

    /**
     * @param  array<string, mixed>  $body
     * @return TestResponse<Response>
     */
    private function desk(string $what, array $body): TestResponse
    {
        return $this->asTeacher()->postJson("/desk/{$this->session->id}/{$what}", $body);
    }

    /** @return array{Seat, string} */
    private function knock(string $name): array
    {
        $token = $this->asNobody()
            ->post('/join', ['code' => $this->session->join_code, 'name' => $name])
            ->assertRedirect()
            ->getCookie(Seat::cookieFor($this->session->id))
            ?->getValue();

        $seat = $this->session->seats()->get()->sortBy('n')->last();
        self::assertInstanceOf(Seat::class, $seat);

        return [$seat, (string) $token];
    }

    private function assertSocket(int $status, string $address): void
    {
        $this->get('/live/may-open', ['X-Original-URI' => $address])->assertStatus($status);
    }
}
