<?php

declare(strict_types=1);

namespace Tests\Feature\Life;

use App\Models\Asset;
use App\Models\HeldFolder;
use App\Models\LiveSession;
use App\Models\Prompt;
use App\Models\Seat;
use App\Sessions\Room\TakeSeat;
use Crag\Prompt\Backdrop\Backdrop;
use Crag\Session\Door\PersonName;
use Crag\Session\Room\SeatState;
use Tests\Support\CragTestCase;

/** A session that goes on from an earlier one, and what several say together; a reader that answers at once. */
final class GoOnTest extends CragTestCase
{
    private LiveSession $session;

    protected function setUp(): void
    {
        parent::setUp();
        $this->session = $this->newSession();
        $this->session
            ->prompt()
            ->firstOrFail()
            ->update([
                'words' => 'Find F.',
                'details' => [
                    'skills' => ['moments'],
                    'questions' => [
                        ['id' => 'force', 'kind' => 'number', 'words' => 'F?', 'spot' => null, 'right' => '80 N'],
                    ],
                ],
            ]);
    }

    public function test_canvases_are_carried_on_with_their_pictures_and_replay_or_begin_empty(): void
    {
        [$seat, $token] = $this->seat($this->session, 'نور');
        $seat->update(['group' => 'Struts']);
        $asset = Asset::query()->create([
            'live_session_id' => $this->session->id,
            'seat_id' => $seat->id,
            'mime' => 'image/png',
            'width' => 10,
            'height' => 10,
            'bytes' => 3,
        ]);
        file_put_contents($asset->path(), 'abc');
        $picture = [
            'type' => 'picture',
            'asset' => $asset->id,
            'x' => 10,
            'y' => 10,
            'w' => 100,
            'h' => 100,
            'alt' => '',
        ];
        $this->appendAs(
            $seat,
            $token,
            $this->stroke(),
            ['body' => ['object' => $picture]] + $this->stroke(),
        )->assertJsonCount(2, 'accepted');
        $this->asTeacher()->post("/desk/{$this->session->id}/end");

        foreach (['carried' => 2, 'empty' => 0] as $how => $objects) {
            $at = (string) $this->asTeacher()
                ->post("/desk/{$this->session->id}/go-on", ['canvases' => $how])
                ->assertRedirect()
                ->headers->get('Location');
            $next = LiveSession::query()->findOrFail(basename($at));
            self::assertSame(
                [$this->session->title, 'Find F.', 1],
                [$next->title, $next->prompt()->firstOrFail()->words, $next->prompts()->count()],
            );
            [$again, $newToken] = app(TakeSeat::class)($next, PersonName::read('نور'));
            $canvas = $this->canvasOf($again)->refresh();
            self::assertCount($objects, $canvas->scene()->placed);
            self::assertSame('Struts', $again->refresh()->group);
            if ($how === 'carried') {
                $copy = Asset::query()->where('live_session_id', $next->id)->firstOrFail();
                self::assertSame([$again->id, 'abc'], [$copy->seat_id, file_get_contents($copy->path())]);
                $this->asStudent($again, $newToken)
                    ->postJson("/seat/{$again->id}/operations", [
                        'canvas' => $canvas->id,
                        'operations' => [$this->stroke()],
                    ])
                    ->assertJsonCount(1, 'accepted');
                self::assertSame(3, $canvas->refresh()->operation_count);
                self::assertSame(3, $next->refresh()->operation_count);
            }
            [$other] = app(TakeSeat::class)($next->refresh(), PersonName::read('Wren'));
            self::assertCount(0, $this->canvasOf($other)->scene()->placed, 'who was not there begins empty');
            HeldFolder::remove('sessions', $next->id);
        }
        $this->asTeacher()->delete("/desk/{$this->session->id}");
        self::assertSame(2, LiveSession::query()->count(), 'the next ones stand on their own');
        self::assertSame([null, null], LiveSession::query()->pluck('carries_on_id')->all());
        self::assertSame(
            [null, null],
            Prompt::query()->whereNotNull('live_session_id')->pluck('carries_prompt_id')->all(),
            'and name it no more',
        );
    }

    public function test_nobody_has_anothers_earlier_work_by_typing_the_name(): void
    {
        [$seat, $token] = $this->seat($this->session, 'Tamsin');
        $this->appendAs($seat, $token, $this->stroke())->assertJsonCount(1, 'accepted');
        $this->asTeacher()->post("/desk/{$this->session->id}/end");
        $next = LiveSession::query()->findOrFail(
            basename(
                (string) $this->post("/desk/{$this->session->id}/go-on", ['canvases' => 'carried'])->headers->get(
                    'Location',
                ),
            ),
        );

        $this->asNobody()
            ->post('/join', ['code' => $next->join_code, 'name' => 'Tamsin'])
            ->assertRedirect();
        $stranger = $next->seats()->firstOrFail();
        self::assertSame([SeatState::Knocking, 0], [$stranger->state, $stranger->canvases()->count()]);
        $this->asNobody()
            ->post('/join', ['code' => $next->join_code, 'name' => 'Wren'])
            ->assertRedirect();
        self::assertSame(
            SeatState::Seated,
            $next->seats()->where('name', 'Wren')->firstOrFail()->state,
            'who has no earlier work just comes in',
        );
        $stranger->delete();

        // The device that drew it is known.
        $this->asStudent($seat, $token)
            ->post('/join', ['code' => $next->join_code, 'name' => 'Tamsin'])
            ->assertRedirect();
        $again = $next->seats()->where('name', 'Tamsin')->firstOrFail();
        self::assertSame(SeatState::Seated, $again->state);
        self::assertCount(1, $this->canvasOf($again)->scene()->placed);

        // Where canvases begin empty, a name is only a name.
        $empty = LiveSession::query()->findOrFail(
            basename(
                (string) $this->asTeacher()
                    ->post("/desk/{$this->session->id}/go-on", ['canvases' => 'empty'])
                    ->headers->get('Location'),
            ),
        );
        $this->asNobody()
            ->post('/join', ['code' => $empty->join_code, 'name' => 'Tamsin'])
            ->assertRedirect();
        self::assertSame(SeatState::Seated, $empty->seats()->firstOrFail()->state);
    }

    public function test_a_teacher_lets_the_owner_of_earlier_work_in_and_it_is_there(): void
    {
        [$seat, $token] = $this->seat($this->session, 'Tamsin');
        $this->appendAs($seat, $token, $this->stroke())->assertJsonCount(1, 'accepted');
        $next = LiveSession::query()->findOrFail(
            basename(
                (string) $this->asTeacher()
                    ->post("/desk/{$this->session->id}/go-on", ['canvases' => 'carried'])
                    ->headers->get('Location'),
            ),
        );
        $this->asNobody()
            ->post('/join', ['code' => $next->join_code, 'name' => 'Tamsin'])
            ->assertRedirect();
        $knocking = $next->seats()->firstOrFail();
        $this->asTeacher()
            ->postJson("/desk/{$next->id}/let-in", ['seats' => [$knocking->id]])
            ->assertOk();
        self::assertCount(1, $this->canvasOf($knocking)->scene()->placed);
    }

    public function test_prompts_go_on_with_pictures_of_their_own_and_in_their_order(): void
    {
        $asset = Asset::query()->create([
            'live_session_id' => $this->session->id,
            'mime' => 'image/png',
            'width' => 10,
            'height' => 10,
            'bytes' => 3,
        ]);
        file_put_contents($asset->path(), 'abc');
        $this->asTeacher()
            ->post("/desk/{$this->session->id}/hand-out", [
                'words' => 'Brace it.',
                'backdrop' => 'squared',
                'place' => 'next',
            ])
            ->assertOk();
        $second = $this->session->prompts()->where('n', 2)->firstOrFail();
        $second->update(['backdrop' => Backdrop::picture($asset->id)]);
        $this->postJson("/desk/{$this->session->id}/settings", [
            'shown_names' => 'seats',
            'offers' => false,
        ])->assertOk();
        $next = LiveSession::query()->findOrFail(
            basename(
                (string) $this->post("/desk/{$this->session->id}/go-on", ['canvases' => 'empty'])->headers->get(
                    'Location',
                ),
            ),
        );
        $this->post("/desk/{$this->session->id}/end");
        $this->delete("/desk/{$this->session->id}")->assertRedirect('/');

        self::assertSame([1 => 'Find F.', 2 => 'Brace it.'], $next->prompts()->pluck('words', 'n')->all());
        self::assertSame(['seats', false], [$next->settings->shownNames->value, $next->settings->offers]);
        $copy = Asset::query()->where('live_session_id', $next->id)->firstOrFail();
        self::assertNotSame($asset->id, $copy->id);
        self::assertSame($copy->id, $next->prompts()->where('n', 2)->firstOrFail()->backdrop->asset);
        self::assertStringEqualsFile($copy->path(), 'abc');
        self::assertNotSame($this->session->join_code, $next->join_code);
        HeldFolder::remove('sessions', $next->id);
    }

    public function test_a_helper_starts_nothing(): void
    {
        $this->asTeacher('the-helper')
            ->post("/beside/{$this->session->id}/{$this->session->helper_key}", ['name' => 'Mr Tarn'])
            ->assertRedirect();
        $this->post("/desk/{$this->session->id}/go-on", ['canvases' => 'empty'])->assertForbidden();
        $this->postJson("/desk/{$this->session->id}/keep", ['keep_days' => 1])->assertForbidden();
        $this->get("/desk/{$this->session->id}/take")
            ->assertOk()
            ->assertDontSee('Keep for this long');
        self::assertSame(1, LiveSession::query()->count());
    }

    public function test_a_class_is_followed_through_its_sessions_by_skill(): void
    {
        $roster = $this->teacher()
            ->rosters()
            ->create(['name' => '9B']);
        $entry = $roster->entries()->create(['n' => 1, 'name' => 'Tamsin']);
        foreach ([1, 3] as $level) {
            $session =
                $level === 1
                    ? $this->session
                    : LiveSession::query()->findOrFail(
                        basename(
                            (string) $this->asTeacher()
                                ->post("/desk/{$this->session->id}/go-on", ['canvases' => 'empty'])
                                ->headers->get('Location'),
                        ),
                    );
            $session->update(['roster_id' => $roster->id]);
            [$seat] = app(TakeSeat::class)($session->refresh(), PersonName::read('Tamsin'), $entry);
            $this->asTeacher()
                ->postJson("/desk/{$session->id}/checks", ['canvas' => $this->canvasOf($seat)->id, 'level' => $level])
                ->assertOk();
            $this->post("/desk/{$session->id}/end");
            $this->travel(1)->days();
        }
        $this->get("/class/{$roster->id}/sessions")
            ->assertOk()
            ->assertSeeInOrder(['moments', '33 %', '100 %', 'Tamsin', '+67']);
        $this->asTeacher('another-teacher')
            ->get("/class/{$roster->id}/sessions")
            ->assertNotFound();
    }

    public function test_a_reader_answers_whoever_sends_only_where_the_teacher_lets_it(): void
    {
        [$seat, $token] = $this->seat($this->session, 'Tamsin');
        $canvas = $this->canvasOf($seat);
        $this->send($seat, $token);
        self::assertSame(0, $seat->messages()->count());
        $this->asStudent($seat, $token)
            ->postJson("/seat/{$seat->id}/take-back", ['canvas' => $canvas->id])
            ->assertOk();
        $this->asTeacher()
            ->postJson("/desk/{$this->session->id}/prompt/{$canvas->prompt_id}/reader", ['on' => true])
            ->assertOk();
        $this->send($seat, $token);
        $message = $seat->messages()->firstOrFail();
        self::assertSame(['From a set of rules', false], [$message->sender, $message->isFromStudent()]);
        self::assertStringContainsString('isn’t answered', $message->words);
        $this->asTeacher()
            ->get("/desk/{$this->session->id}/canvas/{$canvas->id}/reading")
            ->assertOk()
            ->assertSee('Send feedback automatically');
    }

    private function send(Seat $seat, string $token): void
    {
        $this->asStudent($seat, $token)
            ->postJson("/seat/{$seat->id}/send", ['canvas' => $this->canvasOf($seat)->id])
            ->assertOk();
    }
}
