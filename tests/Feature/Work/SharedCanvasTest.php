<?php

declare(strict_types=1);

namespace Tests\Feature\Work;

use App\Live\Clock;
use App\Live\InkKey;
use App\Live\Keeper\Delivery;
use App\Live\Keeper\Keep;
use App\Live\Keeper\KeepKey;
use App\Models\Canvas;
use App\Models\Event;
use App\Models\LiveSession;
use App\Models\LoggedOperation;
use App\Models\Prompt;
use App\Models\Seat;
use App\Sessions\Life\GoOn;
use Crag\Session\Room\MayDraw;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\HttpFoundation\Response;
use Tests\Support\CragTestCase;

/** Several students on one canvas: who has it, who sees it, and what becomes of what they draw. */
final class SharedCanvasTest extends CragTestCase
{
    private LiveSession $session;

    private Prompt $prompt;

    /** @var array<string, Seat> by name */
    private array $seats = [];

    /** @var array<string, string> by name */
    private array $tokens = [];

    protected function setUp(): void
    {
        parent::setUp();
        $this->session = $this->newSession();
        foreach (['Tamsin', 'Wren', 'Piers', 'Olwen'] as $name) {
            [$this->seats[$name], $this->tokens[$name]] = $this->seat($this->session, $name);
        }
        $this->prompt = $this->session->prompt()->firstOrFail();
        $this->inGroups(['Tamsin', 'Wren'], ['Piers']);
    }

    public function test_a_group_has_one_canvas_and_who_has_no_group_has_their_own(): void
    {
        $this->share('group')->assertSee('Each group shares a canvas now');
        $of = [];
        foreach (array_keys($this->seats) as $name) {
            $of[$name] = $this->canvas($name);
        }
        self::assertSame($of['Tamsin'], $of['Wren']);
        self::assertCount(3, array_unique($of));
        self::assertSame($this->seats['Olwen']->id, Canvas::query()->findOrFail($of['Olwen'])->seat_id);
    }

    public function test_everyone_draws_on_one_and_each_has_their_own_again_with_their_work(): void
    {
        $own = $this->canvas('Tamsin');
        $this->append('Tamsin', $own, $this->stroke('my-own-stroke-000000'))->assertOk();
        $this->share('everyone');
        $all = $this->canvas('Tamsin');
        self::assertNotSame($own, $all);
        self::assertSame($all, $this->canvas('Olwen'));
        $this->append('Olwen', $all, $this->stroke('on-the-shared-one-00'))->assertOk();
        $this->share('each')->assertSee('their own canvas again');
        self::assertSame($own, $this->canvas('Tamsin'));
        self::assertCount(1, Canvas::query()->findOrFail($own)->scene()->placed);
        $this->share('everyone');
        self::assertSame($all, $this->canvas('Tamsin'));
        self::assertCount(1, Canvas::query()->findOrFail($all)->scene()->placed);
    }

    public function test_what_one_draws_is_told_to_the_members_and_to_nobody_else(): void
    {
        $this->share('group');
        $canvas = $this->canvas('Tamsin');
        $this->published->messages = [];
        $this->append('Tamsin', $canvas, $this->stroke('a-stroke-of-tamsins0'))->assertJsonCount(1, 'accepted');
        $told = array_column($this->published->messages, 0);
        sort($told);
        $expected = ["desk.{$this->session->id}", "seat.{$this->seats['Tamsin']->id}", "seat.{$this->seats['Wren']->id}"];
        sort($expected);
        self::assertSame($expected, $told);
        $heard = json_decode($this->published->on("seat.{$this->seats['Wren']->id}")[0], true);
        self::assertSame($this->seats['Tamsin']->id, $heard['operations'][0]['by']);
        self::assertArrayNotHasKey('kept', $heard);
    }

    public function test_over_the_socket_the_answer_is_for_who_sent_it(): void
    {
        $this->share('group');
        $canvas = $this->canvas('Tamsin');
        $this->published->messages = [];
        $this->keep('Wren', $canvas, $this->stroke('a-stroke-of-wrens-00'));
        $kept = fn (string $name): mixed => json_decode($this->published->on("seat.{$this->seats[$name]->id}")[0], true)['kept'] ?? null;
        self::assertSame('reply', $kept('Wren')['reply']);
        self::assertSame([['id' => 'a-stroke-of-wrens-00', 'n' => 1]], $kept('Wren')['accepted']);
        self::assertNull($kept('Tamsin'));
        self::assertSame($this->seats['Wren']->id, LoggedOperation::query()->firstOrFail()->seat_id);
    }

    /** @param  'log'|'operations'|'catch-up'|'send'|'offer'|'socket'  $way */
    #[DataProvider('ways')]
    public function test_who_is_in_another_group_or_in_none_sees_and_does_nothing_there(string $way): void
    {
        $this->share('group');
        $canvas = $this->canvas('Tamsin');
        $this->append('Tamsin', $canvas, $this->stroke('a-stroke-of-tamsins0'))->assertOk();
        foreach (['Piers', 'Olwen'] as $name) {
            $seat = $this->seats[$name];
            $this->asStudent($seat, $this->tokens[$name]);
            match ($way) {
                'log' => $this->getJson("/seat/{$seat->id}/canvas/{$canvas}/log")->assertNotFound(),
                'operations' => $this->append($name, $canvas, $this->stroke())->assertNotFound(),
                'catch-up' => $this->getJson("/seat/{$seat->id}/catch-up?canvas={$canvas}&operations=0")
                    ->assertOk()
                    ->assertJsonCount(0, 'operations'),
                'send' => $this->postJson("/seat/{$seat->id}/send", ['canvas' => $canvas])->assertNotFound(),
                'offer' => $this->postJson("/seat/{$seat->id}/offer", ['canvas' => $canvas])->assertNotFound(),
                'socket' => $this->keep($name, $canvas, $this->stroke()),
            };
        }
        self::assertSame(1, LoggedOperation::query()->where('canvas_id', $canvas)->count());
    }

    /** @return iterable<string, array{string}> */
    public static function ways(): iterable
    {
        foreach (['log', 'operations', 'catch-up', 'send', 'offer', 'socket'] as $way) {
            yield $way => [$way];
        }
    }

    public function test_only_members_open_the_channels_of_a_groups_ink(): void
    {
        $this->share('group');
        $group = $this->groupOf('Tamsin');
        $may = fn (string $what, string $name): int => $this->asStudent($this->seats[$name], $this->tokens[$name])
            ->get('/live/may-open', ['X-Original-URI' => "/live/{$what}/{$this->session->id}/{$this->seats[$name]->id}/{$group->channelId()}"])
            ->getStatusCode();
        foreach (['near', 'wet'] as $what) {
            self::assertSame(204, $may($what, 'Wren'));
            self::assertSame(403, $may($what, 'Piers'));
            self::assertSame(403, $may($what, 'Olwen'));
        }
        $old = $group->channelId();
        $this->inGroups(['Tamsin'], ['Piers', 'Wren']);
        self::assertContains("near.{$old}", $this->published->closed);
        self::assertSame(403, $may('near', 'Wren'), 'the old channel is closed to who has left');
        $group->refresh();
        self::assertSame(403, $may('near', 'Wren'), 'and so is the new one');
        self::assertSame(204, $may('near', 'Tamsin'));
    }

    public function test_nobody_is_told_anothers_key_that_would_do_elsewhere(): void
    {
        $this->share('group');
        $told = json_encode($this->own('Wren')) ?: '';
        self::assertStringNotContainsString($this->seats['Tamsin']->ink_key, $told);
        self::assertStringContainsString(InkKey::near($this->seats['Tamsin'], $this->groupOf('Tamsin')), $told);
        $this->asStudent($this->seats['Wren'], $this->tokens['Wren'])
            ->postJson("/desk/{$this->session->id}/prompt/{$this->prompt->id}/share", ['sharing' => 'everyone'])
            ->assertForbidden();
    }

    public function test_nobody_changes_or_takes_back_what_another_drew_and_nobody_empties_the_page(): void
    {
        $this->share('group');
        $canvas = $this->canvas('Tamsin');
        $this->append('Tamsin', $canvas, $this->stroke('a-stroke-of-tamsins0'))->assertOk();
        $did = fn (string $kind, array $body): ?string => $this->append('Wren', $canvas, [
            'id' => substr(md5($kind), 0, 20), 'kind' => $kind, 'layer' => 'student', 'at' => Clock::ms(), 'body' => $body,
        ])->json('refused.0.reason');
        self::assertStringContainsString('Someone else made that', (string) $did('remove', ['targets' => ['a-stroke-of-tamsins0']]));
        self::assertStringContainsString('Someone else made that', (string) $did('withdraw', ['target' => 'a-stroke-of-tamsins0']));
        self::assertStringContainsString('Others draw here too', (string) $did('clear', ['what' => 'ink']));
        self::assertCount(1, Canvas::query()->findOrFail($canvas)->scene()->placed);
    }

    public function test_what_was_drawn_before_a_change_of_groups_still_arrives_and_what_comes_after_is_held(): void
    {
        $this->share('group');
        $canvas = $this->canvas('Wren');
        $this->travel(-1)->minutes();
        $before = Clock::ms();
        $this->travelBack();
        $this->inGroups(['Tamsin'], ['Piers', 'Wren']);
        $this->travel(intdiv(MayDraw::ON_THE_WAY_MS, 1000) + 5)->seconds();
        self::assertNotSame($canvas, $this->canvas('Wren'));
        self::assertSame($this->canvas('Piers'), $this->canvas('Wren'));
        $late = ['at' => $before] + $this->stroke('drawn-before-the-move');
        $after = ['at' => Clock::ms()] + $this->stroke('drawn-after-the-move0');
        $this->append('Wren', $canvas, $late, $after)
            ->assertJsonPath('accepted.0.id', 'drawn-before-the-move')
            ->assertJsonPath('held.0.why', 'other_group');
        $this->asStudent($this->seats['Wren'], $this->tokens['Wren'])
            ->getJson("/seat/{$this->seats['Wren']->id}/canvas/{$canvas}/log")
            ->assertNotFound();
    }

    public function test_who_comes_back_into_a_group_finds_its_canvas(): void
    {
        $this->share('group');
        $canvas = $this->canvas('Wren');
        $this->inGroups(['Tamsin'], ['Piers', 'Wren']);
        $this->inGroups(['Tamsin', 'Wren'], ['Piers']);
        self::assertSame($canvas, $this->canvas('Wren'));
        $this->append('Wren', $canvas, $this->stroke())->assertJsonCount(1, 'accepted');
    }

    public function test_pens_of_one_member_or_of_the_whole_group_go_down(): void
    {
        $this->share('group');
        $canvas = $this->canvas('Tamsin');
        $pens = fn (array $what) => $this->asTeacher()->postJson("/desk/{$this->session->id}/pens", $what)->assertOk();
        $this->travel(-1)->minutes();
        $pens(['seat' => $this->seats['Tamsin']->id, 'down' => true]);
        $this->travelBack();
        $now = fn (): array => ['at' => Clock::ms()] + $this->stroke();
        $this->append('Tamsin', $canvas, $now())->assertJsonPath('held.0.why', 'pens_down');
        $this->append('Wren', $canvas, $now())->assertJsonCount(1, 'accepted');
        $this->travel(-1)->minutes();
        $pens(['seats' => [$this->groupOf('Wren')->id], 'down' => true]);
        $this->travelBack();
        $this->append('Wren', $canvas, $now())->assertJsonPath('held.0.why', 'pens_down');
        $pens(['seats' => [$this->groupOf('Wren')->id], 'down' => false]);
        $this->append('Tamsin', $canvas, $now())->assertJsonCount(1, 'accepted');
    }

    public function test_the_desk_sees_a_tile_for_each_group_with_who_is_in_it(): void
    {
        $this->share('group');
        $this->append('Tamsin', $this->canvas('Tamsin'), $this->stroke())->assertOk();
        $answer = $this->asTeacher()
            ->get("/desk/{$this->session->id}/prompt/{$this->prompt->id}/canvases")
            ->streamedContent();
        $told = json_decode($answer, true, flags: JSON_THROW_ON_ERROR);
        self::assertTrue($told['shared']);
        self::assertSame(['Olwen', 'Group 1', 'Group 2'], array_column($told['seats'], 'name'));
        self::assertSame(['Tamsin', 'Wren'], array_column($told['seats'][1]['members'], 'name'));
        // One of them is there: so is the group.
        $this->published->listening["seat.{$this->seats['Wren']->id}"] = 1;
        $states = $this->asTeacher()
            ->getJson("/desk/{$this->session->id}/prompt/{$this->prompt->id}/states")
            ->assertOk()
            ->json('states');
        self::assertSame(array_column($told['seats'], 'id'), array_column($states, 'seat'));
        self::assertContains('drawing', $states[1]['states']);
        $this->asTeacher()
            ->get("/desk/{$this->session->id}/student/{$this->groupOf('Tamsin')->id}")
            ->assertOk()
            ->assertSee('Wren')
            ->assertSee('Pens down for this group');
    }

    public function test_a_group_is_handed_something_once_and_its_pieces_are_everyones_to_move(): void
    {
        $this->share('group');
        $this->asTeacher()->postJson("/desk/{$this->session->id}/prompt/{$this->prompt->id}/hand-out", [
            'what' => 'pieces', 'mode' => 'pieces', 'page' => 0, 'seats' => null,
            'objects' => [['object' => [
                'type' => 'piece',
                'alt' => 'Weight',
                'locked' => false,
                'stack' => false,
                'of' => [
                    'type' => 'stamp', 'stamp' => 'weight', 'x' => 3000, 'y' => 3000, 'size' => 90, 'colour' => '#25323b',
                ],
            ]]],
        ])->assertOk();
        $canvas = $this->canvas('Tamsin');
        $pieces = Canvas::query()->findOrFail($canvas)->scene()->placed;
        self::assertCount(1, $pieces);
        $move = fn (string $name, int $by): array => [
            'id' => "moved-by-{$name}-000000", 'kind' => 'arrange', 'layer' => 'student', 'at' => Clock::ms(),
            'body' => ['targets' => [array_key_first($pieces)], 'places' => [[$by, 0, 0, 1000]]],
        ];
        $this->append('Tamsin', $canvas, $move('Tamsin', 100))->assertJsonCount(1, 'accepted');
        $this->append('Wren', $canvas, $move('Wren', 50))->assertJsonCount(1, 'accepted');
        $piece = array_values(Canvas::query()->findOrFail($canvas)->scene()->placed)[0];
        self::assertSame(50, $piece->place->toArray()[0], 'the later in the log holds, for everyone');
    }

    public function test_a_check_and_sending_count_for_every_member(): void
    {
        $this->share('group');
        $canvas = $this->sentByWren();
        self::assertTrue($this->own('Tamsin')['isSent']);
        $this->asTeacher()->postJson("/desk/{$this->session->id}/checks", [
            'canvas' => $canvas, 'level' => 3,
        ])->assertOk();
        $matrix = (string) $this->asTeacher()->get("/desk/{$this->session->id}/results.csv")->getContent();
        self::assertMatchesRegularExpression('/^1,Tamsin,1,,3,Secure,.*,no,[^,]*,0,"?Group 1"?\r$/m', $matrix);
        self::assertMatchesRegularExpression('/^2,Wren,1,,3,Secure,.*,yes,[^,]*,\d+,"?Group 1"?\r$/m', $matrix);
    }

    public function test_forgetting_one_keeps_the_others_work_and_says_no_more_whose_it_was(): void
    {
        $this->share('group');
        $canvas = $this->canvas('Wren');
        $this->append('Wren', $canvas, $this->stroke('a-stroke-of-wrens-00'))->assertOk();
        $this->append('Tamsin', $canvas, $this->stroke('a-stroke-of-tamsins0'))->assertOk();
        $this->asTeacher()->delete("/desk/{$this->session->id}/student/{$this->seats['Wren']->id}")->assertRedirect();
        self::assertCount(2, Canvas::query()->findOrFail($canvas)->scene()->placed);
        self::assertSame(0, LoggedOperation::query()->where('seat_id', $this->seats['Wren']->id)->count());
        $group = $this->groupOf('Tamsin');
        $this->asTeacher()->delete("/desk/{$this->session->id}/student/{$group->id}")->assertNotFound();
    }

    public function test_a_members_picture_is_seen_by_those_who_draw_there_and_by_nobody_else(): void
    {
        $this->share('group');
        $canvas = $this->canvas('Wren');
        $image = imagecreatetruecolor(60, 40);
        ob_start();
        imagepng($image);
        $bytes = (string) ob_get_clean();
        $picture = function (string $name) use ($bytes): array {
            $this->asStudent($this->seats[$name], $this->tokens[$name]);

            return $this->call(
                'POST',
                "/seat/{$this->seats[$name]->id}/bring-in",
                cookies: $this->prepareCookiesForRequest(),
                server: ['CONTENT_TYPE' => 'application/octet-stream', 'HTTP_ACCEPT' => 'application/json'],
                content: $bytes,
            )->assertOk()->json('objects.0.object');
        };
        [$shown, $kept] = [$picture('Wren'), $picture('Wren')];
        $this->append('Wren', $canvas, ['body' => ['object' => $shown]] + $this->stroke('a-picture-of-wrens-0'))
            ->assertJsonCount(1, 'accepted');
        $sees = fn (string $name, string $asset): int => $this->asStudent($this->seats[$name], $this->tokens[$name])
            ->get("/asset/{$asset}")
            ->getStatusCode();
        self::assertSame([200, 403], [$sees('Tamsin', $shown['asset']), $sees('Piers', $shown['asset'])]);
        self::assertSame(403, $sees('Tamsin', $kept['asset']), 'what lies nowhere is its own student’s');
    }

    public function test_what_is_kept_of_a_group_s_news_holds_no_names_and_tells_who_is_in_it_now(): void
    {
        $this->share('group');
        $this->canvas('Wren');
        foreach (Event::query()->get() as $event) {
            self::assertStringNotContainsString('Wren', $event->body, $event->type);
            self::assertStringNotContainsString($this->seats['Wren']->ink_key, $event->body, $event->type);
        }
        $this->asTeacher()
            ->postJson("/desk/{$this->session->id}/rename", ['seat' => $this->seats['Wren']->id, 'name' => 'Wrenna'])
            ->assertOk();
        $told = $this->asTeacher()
            ->getJson("/desk/{$this->session->id}/catch-up?room=0&desk=0&operations=0")
            ->assertOk()
            ->json('events.desk');
        $groups = array_values(array_filter($told, static fn (array $event): bool => $event['type'] === 'group'));
        $of = array_column(array_column(array_column($groups, 'body'), 'seat'), 'members');
        self::assertContains('Wrenna', array_column(array_merge(...$of), 'name'));
        self::assertNotContains('Wren', array_column(array_merge(...$of), 'name'));
    }

    public function test_names_beside_the_pens_are_as_the_teacher_has_them(): void
    {
        $this->share('group');
        $this->canvas('Wren');
        $names = fn (): array => array_column($this->own('Tamsin')['together']['members'], 'name');
        self::assertSame(['Tamsin', 'Wren'], $names());
        foreach (['seats' => ['Seat 1', 'Seat 2'], 'hidden' => ['', '']] as $mode => $expected) {
            $this->published->messages = [];
            $this->asTeacher()->postJson("/desk/{$this->session->id}/settings", ['pen_names' => $mode])->assertOk();
            self::assertSame($expected, $names());
            $told = implode('', $this->published->on("seat.{$this->seats['Wren']->id}"));
            self::assertStringContainsString('"stream":"together"', $told);
            self::assertStringNotContainsString('Tamsin', $told);
        }
        $this->asTeacher()->postJson("/desk/{$this->session->id}/settings", ['pen_names' => 'names'])->assertOk();
        $this->published->messages = [];
        $this->asTeacher()
            ->postJson("/desk/{$this->session->id}/rename", ['seat' => $this->seats['Wren']->id, 'name' => 'Wrenna'])
            ->assertOk();
        self::assertStringContainsString('Wrenna', implode('', $this->published->on("seat.{$this->seats['Tamsin']->id}")));
    }

    public function test_a_page_that_opens_a_full_canvas_is_told_who_made_what(): void
    {
        $this->share('group');
        $canvas = $this->canvas('Wren');
        foreach (range(1, 60) as $i) {
            $name = $i % 3 === 0 ? 'Tamsin' : 'Wren';
            $this->append($name, $canvas, $this->stroke(sprintf('stroke-number-%06d', $i)))->assertOk();
        }
        $opened = $this->opening('Tamsin')->assertJsonPath('older.undo', true);
        self::assertSame(60, $opened->json('n') + count($opened->json('operations')));
        $authors = $opened->json('authors');
        self::assertCount(20, $authors[$this->seats['Tamsin']->id]);
        self::assertContains('stroke-number-000001', $authors[$this->seats['Wren']->id]);
        $this->share('each');
        self::assertNull($this->opening('Tamsin')->json('authors'), 'on one’s own canvas it is nobody else');
    }

    public function test_a_replay_plays_the_steps_of_one_member_and_has_the_others_there_at_once(): void
    {
        $this->share('group');
        $canvas = $this->canvas('Wren');
        foreach (['Wren', 'Tamsin', 'Wren'] as $i => $name) {
            $this->append($name, $canvas, $this->stroke("stroke-number-{$i}-00000"))->assertOk();
        }
        $replay = fn (string $author): array => $this->asTeacher()
            ->getJson("/desk/{$this->session->id}/canvas/{$canvas}/replay?author={$author}")
            ->assertOk()
            ->json('steps');
        $takes = fn (string $author): array => array_map(
            static fn (array $step): bool => $step[1] > $step[0],
            $replay($author),
        );
        self::assertSame([true, false, true], $takes($this->seats['Wren']->id));
        self::assertSame([false, true, false], $takes($this->seats['Tamsin']->id));
        self::assertSame([true, true, true], $takes('own'));
        $this->asTeacher()
            ->getJson("/desk/{$this->session->id}/canvas/{$canvas}/replay?author={$this->seats['Piers']->id}")
            ->assertNotFound();
    }

    public function test_sent_work_of_a_group_waits_for_the_teacher(): void
    {
        $this->share('group');
        $this->sentByWren();
        $this->asTeacher()
            ->get("/desk/{$this->session->id}/bands")
            ->assertSee("waiting-sent-{$this->groupOf('Wren')->id}", false)
            ->assertSee('1 of 3 started');
    }

    public function test_a_session_that_carries_on_gives_a_groups_work_to_the_group_and_to_no_one_called_so(): void
    {
        $this->share('group');
        $this->append('Tamsin', $this->canvas('Tamsin'), $this->stroke('a-stroke-of-tamsins0'))->assertOk();
        $this->asTeacher()->post("/desk/{$this->session->id}/end");
        $next = app(GoOn::class)($this->teacher(), $this->session->refresh(), true);
        [$other, $token] = $this->seat($next, 'Group 1');
        $this->asStudent($other, $token)->getJson("/seat/{$other->id}/canvas")->assertJsonCount(0, 'operations');
        [$tamsin, $key] = $this->seat($next, 'Tamsin');
        self::assertSame('1', $tamsin->refresh()->groupName());
        $opened = $this->asStudent($tamsin, $key)->getJson("/seat/{$tamsin->id}/canvas")->assertOk();
        $opened->assertJsonPath('operations.0.id', 'a-stroke-of-tamsins0')->assertJsonPath('operations.0.by', $tamsin->id);
    }

    /** @return TestResponse<Response> */
    private function share(string $how): TestResponse
    {
        return $this->asTeacher()
            ->postJson("/desk/{$this->session->id}/prompt/{$this->prompt->id}/share", ['sharing' => $how])
            ->assertOk();
    }

    /** @param  list<string>  ...$groups  names */
    private function inGroups(array ...$groups): void
    {
        $this->asTeacher()
            ->postJson("/desk/{$this->session->id}/groups", [
                'groups' => array_map(
                    fn (array $names): array => array_map(fn (string $name): string => $this->seats[$name]->id, $names),
                    $groups,
                ),
            ])
            ->assertOk();
    }

    /** @return string the canvas of Wren's group, with a stroke, sent */
    private function sentByWren(): string
    {
        $canvas = $this->canvas('Wren');
        $this->append('Wren', $canvas, $this->stroke())->assertOk();
        $this->asStudent($this->seats['Wren'], $this->tokens['Wren'])
            ->postJson("/seat/{$this->seats['Wren']->id}/send", ['canvas' => $canvas])
            ->assertOk();

        return $canvas;
    }

    private function canvas(string $name): string
    {
        return $this->opening($name)->json('canvas');
    }

    /** @return array<string, mixed> */
    private function own(string $name): array
    {
        return $this->opening($name)->json('own');
    }

    /** @return TestResponse<Response> */
    private function opening(string $name): TestResponse
    {
        return $this->asStudent($this->seats[$name], $this->tokens[$name])
            ->getJson("/seat/{$this->seats[$name]->id}/canvas")
            ->assertOk();
    }

    private function groupOf(string $name): Seat
    {
        $of = $this->seats[$name]->memberships()->whereNull('until_ms')->with('group')->firstOrFail();

        return $of->group->setRelation('session', $this->session);
    }

    /**
     * @param  array<string, mixed>  ...$operations
     * @return TestResponse<Response>
     */
    private function append(string $name, string $canvas, array ...$operations): TestResponse
    {
        return $this->asStudent($this->seats[$name], $this->tokens[$name])
            ->postJson("/seat/{$this->seats[$name]->id}/operations", ['canvas' => $canvas, 'operations' => $operations]);
    }

    /** @param  array<string, mixed>  $operation */
    private function keep(string $name, string $canvas, array $operation): void
    {
        $delivery = Delivery::read((string) json_encode([
            's' => $this->seats[$name]->id,
            'k' => KeepKey::of($this->seats[$name]->refresh()),
            'b' => 'reply',
            'c' => $canvas,
            'o' => [$operation],
        ]));
        self::assertNotNull($delivery);
        app(Keep::class)([$delivery]);
    }
}
