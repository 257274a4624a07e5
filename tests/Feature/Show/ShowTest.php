<?php

declare(strict_types=1);

namespace Tests\Feature\Show;

use App\Models\Asset;
use App\Models\Canvas;
use App\Models\HeldFolder;
use App\Models\LiveSession;
use App\Models\Seat;
use App\Models\Show\LineupEntry;
use App\Sessions\Room\ChangePrompts;
use App\Sessions\Show\LineUp;
use App\Sessions\Show\ShowToClass;
use Illuminate\Testing\TestResponse;
use Symfony\Component\HttpFoundation\Response;
use Tests\Support\CragTestCase;

/** Chosen work, side by side, on the class screen and on the students' own pages. */
final class ShowTest extends CragTestCase
{
    private LiveSession $session;

    /** @var list<array{Seat, string, Canvas}> */
    private array $class = [];

    protected function setUp(): void
    {
        parent::setUp();
        $this->session = $this->newSession();
        foreach (['Tamsin', 'Otis', 'Wren'] as $name) {
            [$seat, $token] = $this->seat($this->session, $name);
            $this->class[] = [$seat, $token, $this->canvasOf($seat)];
            $this->draw(count($this->class) - 1, $name);
        }
        $this->desk('line-up', [
            'chosen' => array_map(static fn (array $one): array => ['canvas' => $one[2]->id], $this->class),
        ])->assertOk();
    }

    public function test_praise_is_seen_by_the_class_without_a_name_and_told_to_its_author_alone(): void
    {
        [$ada, $token] = $this->seat($this->session, 'Ada');
        [$ben, $bens] = $this->seat($this->session, 'Ben');
        app(ShowToClass::class)->moments($this->session, [
            ['canvas_id' => $this->canvasOf($ada)->id, 'page' => '', 'at_operation' => 0],
            ['canvas_id' => $this->canvasOf($ben)->id, 'page' => '', 'at_operation' => 0],
        ]);
        $praise = fn (array $body): TestResponse => $this->asTeacher()->postJson(
            "/desk/{$this->session->id}/praise",
            $body,
        );
        $praise(['n' => 1, 'words' => 'A clear diagram'])->assertOk();
        $this->asScreen($this->session)
            ->get("/screen/{$this->session->id}/shown")
            ->assertSee('A clear diagram')
            ->assertDontSee('Ada');
        $hears = fn (Seat $seat, string $with): string => (string) $this->asStudent($seat, $with)
            ->getJson("/seat/{$seat->id}/canvas")
            ->getContent();
        self::assertStringContainsString('Your work was shown: “A clear diagram”', $hears($ada, $token));
        self::assertStringNotContainsString('Your work was shown', $hears($ben, $bens));
        // Taken away again it is not before the class; the author keeps it.
        $praise(['n' => 1, 'words' => ''])->assertOk();
        $this->asScreen($this->session)
            ->get("/screen/{$this->session->id}/shown")
            ->assertDontSee('A clear diagram');
        self::assertStringContainsString('Your work was shown', $hears($ada, $token));
        $praise(['n' => 3, 'words' => 'Well done'])->assertNotFound();
        $praise(['n' => 1, 'words' => str_repeat('x', 61)])->assertUnprocessable();
        $this->asStudent($ada, $token)
            ->postJson("/desk/{$this->session->id}/praise", ['n' => 1, 'words' => 'Me'])
            ->assertForbidden();
    }

    public function test_up_to_four_are_shown_side_by_side_in_the_order_of_the_line_up(): void
    {
        [$a, $b, $c] = $this->entries();
        $this->desk("line-up/{$c}/show")->assertOk();
        $this->desk("line-up/{$a}/beside")->assertOk();
        $this->screen()->assertSee('&quot;n&quot;:2', false)->assertDontSee('Tamsin');
        $this->picture(1)->assertSee('Tamsin');
        $this->picture(2)->assertSee('Wren');
        $this->picture(3)->assertNotFound();
    }

    public function test_chosen_work_is_lined_up_and_shown_in_one_step_by_who_runs_the_session(): void
    {
        $chosen = static fn (array ...$some): array => [
            'chosen' => array_map(static fn (array $one): array => ['canvas' => $one[2]->id], $some),
            'show' => true,
        ];
        $this->desk('line-up', $chosen($this->class[2], $this->class[0]))->assertOk();
        $this->screen()->assertSee('&quot;n&quot;:2', false);
        foreach ([1 => 'Wren', 2 => 'Tamsin'] as $n => $name) {
            $this->picture($n)->assertSee($name);
        }
        self::assertCount(3, $this->entries(), 'what was in the line-up is not in it twice');
        // A helper lines work up, and shows nothing.
        $this->session->teachers()->attach($this->teacher('a-helper')->id, ['role' => 'helper']);
        $this->asTeacher('a-helper')
            ->postJson("/desk/{$this->session->id}/line-up", $chosen($this->class[1]))
            ->assertForbidden();
        $this->picture(1)->assertSee('Wren');
    }

    public function test_one_more_stands_beside_what_is_shown_however_fast_it_is_pressed(): void
    {
        [$a, $b, $c] = $this->entries();
        $this->desk("line-up/{$a}/show")->assertOk();
        $this->desk("line-up/{$c}/beside")->assertOk();
        $this->desk("line-up/{$b}/beside")->assertOk();
        foreach ([1 => 'Tamsin', 2 => 'Otis', 3 => 'Wren'] as $n => $name) {
            $this->picture($n)->assertSee($name);
        }
        $this->desk("line-up/{$b}/beside")->assertOk();
        $this->picture(2)->assertSee('Wren');
        $this->picture(3)->assertNotFound();
        $this->desk("line-up/{$a}/beside")->assertOk();
        $this->desk("line-up/{$c}/beside")->assertOk();
        $this->picture(1)->assertSee('Wren');
    }

    public function test_the_line_up_is_stepped_through_and_ends(): void
    {
        $this->desk('line-up/step', ['by' => 1])->assertJsonPath('said', null);
        $this->picture(1)->assertSee('Tamsin');
        $this->desk('line-up/step', ['by' => 1])->assertOk();
        $this->picture(1)->assertSee('Otis');
        $this->desk('line-up/step', ['by' => 1])->assertOk();
        $this->desk('line-up/step', ['by' => 1])->assertJsonPath('said', 'That was the last one.');
        $this->picture(1)->assertSee('Wren');
        $this->desk('line-up/step', ['by' => -1])->assertOk();
        $this->picture(1)->assertSee('Otis');
    }

    public function test_entries_are_moved_and_captioned_and_captions_stay_with_teachers(): void
    {
        [$a, $b, $c] = $this->entries();
        $this->desk("line-up/{$c}/change", ['by' => -1])->assertOk();
        $this->desk("line-up/{$c}/change", ['by' => -1])->assertOk();
        $this->desk("line-up/{$c}/change", ['by' => -1])->assertOk();
        self::assertSame([$c, $a, $b], $this->entries());
        $this->desk("line-up/{$c}/change", ['by' => 2])->assertOk();
        self::assertSame([$a, $b, $c], $this->entries(), 'dragged to the end');
        $this->desk("line-up/{$c}/change", ['by' => -2])->assertOk();
        $this->desk("line-up/{$a}/change", ['caption' => ' Starts from the pivot '])->assertOk();
        $this->asTeacher()
            ->get("/desk/{$this->session->id}/bands")
            ->assertSee('Starts from the pivot');
        $this->desk("line-up/{$a}/show")->assertOk();
        $this->screen()->assertDontSee('Starts from');
    }

    public function test_what_is_drawn_over_it_is_seen_by_all_and_never_on_the_students_canvas(): void
    {
        [$a, $b] = $this->entries();
        $this->desk('shown-on', ['on' => 'both']);
        $this->desk("line-up/{$a}/show")->assertOk();
        $before = $this->class[0][2]->refresh()->operation_count;
        $showcase = (string) $this->session->refresh()->showcase_id;
        $over = (string) $this->asTeacher()
            ->getJson("/desk/{$this->session->id}/showcase/{$showcase}/1/over")
            ->assertOk()
            ->json('canvas');
        $this->asScreen($this->session)
            ->get("/screen/{$this->session->id}/showcase/{$showcase}/1-over.svg")
            ->assertOk()
            ->assertDontSee('<path', false);
        $this->desk('operations', [
            'canvas' => $over,
            'operations' => [['layer' => 'lead'] + $this->stroke()],
        ])->assertJsonCount(1, 'accepted');
        $this->asScreen($this->session)
            ->get("/screen/{$this->session->id}/showcase/{$showcase}/1-over.svg")
            ->assertOk()
            ->assertSee('<path', false);
        self::assertSame(
            1,
            json_decode((string) last($this->published->on("room.{$this->session->id}")), true)['event']['body'][
                'room'
            ]['showcase']['items'][0]['over'],
        );
        self::assertSame($before, $this->class[0][2]->refresh()->operation_count);
        [$seat, $token] = $this->class[1];
        $this->asStudent($seat, $token)
            ->get("/seat/{$seat->id}/showcase/{$showcase}/1-over.svg")
            ->assertOk();

        // Shown again later, the ink is there; another picture has none.
        $this->desk("line-up/{$b}/show")->assertOk();
        self::assertNull($this->session->refresh()->showcase?->items[0]->over);
        $this->desk("line-up/{$a}/show")->assertOk();
        self::assertSame($over, $this->session->refresh()->showcase?->items[0]->over?->id);
        $this->asStudent($seat, $token)
            ->get("/seat/{$seat->id}/showcase/{$showcase}/1-over.svg")
            ->assertNotFound();
    }

    public function test_a_part_and_a_replay_are_the_same_for_everybody(): void
    {
        [$a] = $this->entries();
        $this->desk('shown-on', ['on' => 'both']);
        $this->desk("line-up/{$a}/show")->assertOk();
        $at = 'showcase/'.$this->session->refresh()->showcase_id.'/1';
        [$seat, $token] = $this->class[1];
        $this->asStudent($seat, $token)
            ->getJson("/seat/{$seat->id}/{$at}-replay.json")
            ->assertNotFound();
        $this->desk("{$at}/look", ['view' => ['x' => 400, 'y' => 250, 'scale' => 2]])->assertOk();
        $this->desk("{$at}/look", ['view' => ['x' => -1, 'y' => 250, 'scale' => 2]])->assertUnprocessable();
        $this->desk("{$at}/replay", ['on' => true, 'speed' => 8])->assertOk();
        $this->asStudent($seat, $token)
            ->getJson("/seat/{$seat->id}/canvas")
            ->assertJsonPath('room.showcase.items.0.view', ['x' => 400, 'y' => 250, 'scale' => 2])
            ->assertJsonPath('room.showcase.items.0.replay.speed', 8);
        $replay = $this->getJson("/seat/{$seat->id}/{$at}-replay.json")
            ->assertOk()
            ->assertJsonCount(1, 'operations')
            ->assertJsonPath('operations.0.kind', 'add');
        self::assertStringNotContainsString(
            $this->class[0][2]->id,
            (string) $replay->getContent(),
            'the replay does not say whose it is',
        );
        $this->asScreen($this->session)
            ->getJson("/screen/{$this->session->id}/{$at}-replay.json")
            ->assertOk();
        $this->desk("{$at}/replay", ['on' => false])->assertOk();
        $this->asScreen($this->session)
            ->getJson("/screen/{$this->session->id}/{$at}-replay.json")
            ->assertNotFound();
    }

    public function test_a_students_picture_is_everybodys_only_while_its_replay_plays(): void
    {
        [$owner, , $canvas] = $this->class[0];
        [$mate, $token] = $this->class[1];
        $asset = Asset::query()->create([
            'live_session_id' => $this->session->id,
            'seat_id' => $owner->id,
            'mime' => 'image/png',
            'width' => 1,
            'height' => 1,
            'bytes' => 3,
        ]);
        file_put_contents($asset->path(), 'abc');
        $this->desk('shown-on', ['on' => 'pages']);
        $this->desk('moments', ['items' => [['canvas' => $canvas->id]]])->assertOk();
        $at = 'showcase/'.$this->session->refresh()->showcase_id.'/1/replay';
        $this->asStudent($mate, $token)
            ->get("/asset/{$asset->id}")
            ->assertForbidden();
        $this->desk($at, ['on' => true])->assertOk();
        $this->asStudent($mate, $token)
            ->get("/asset/{$asset->id}")
            ->assertOk();
        $this->asScreen($this->session)
            ->get("/asset/{$asset->id}")
            ->assertForbidden();
        $this->desk('shown-on', ['on' => 'both']);
        $this->asScreen($this->session)
            ->get("/asset/{$asset->id}")
            ->assertOk();
        $this->desk('screen', ['view' => 'prompt']);
        $this->asScreen($this->session)
            ->get("/asset/{$asset->id}")
            ->assertForbidden();
        $this->asStudent($mate, $token)
            ->get("/asset/{$asset->id}")
            ->assertForbidden();
        HeldFolder::remove('sessions', $this->session->id);
    }

    public function test_two_moments_of_one_canvas_and_the_lead_canvas_stand_beside_each_other(): void
    {
        $this->draw(0, 'later');
        $canvas = $this->class[0][2]->refresh();
        $this->desk('moments', [
            'items' => [['canvas' => $canvas->id, 'at' => 1], ['canvas' => $canvas->id]],
        ])->assertOk();
        $this->picture(1)->assertSee('Tamsin')->assertDontSee('later');
        $this->picture(2)->assertSee('Tamsin')->assertSee('later');
        $this->desk('lead-beside', [])->assertOk();
        self::assertSame(3, $this->session->refresh()->showcase?->items()->count());
        $this->desk('lead-beside', [])->assertOk();
        self::assertSame(
            3,
            $this->session->refresh()->showcase()->firstOrFail()->items()->count(),
            'it stands there once',
        );
        $this->asTeacher()
            ->getJson("/desk/{$this->session->id}/talk")
            ->assertJsonPath('items.2.owner', 'Lead canvas')
            ->assertJsonPath('items.0.owner', 'Tamsin');
        $this->desk('moments', ['items' => [['canvas' => 'nobody']]])->assertNotFound();
    }

    public function test_shown_work_is_handed_out_to_build_on_and_taken_back(): void
    {
        [$a] = $this->entries();
        $this->desk("line-up/{$a}/show")->assertOk();
        $at = 'showcase/'.$this->session->refresh()->showcase_id.'/1';
        $before = count($this->class[2][2]->scene()->placed);
        $undo = (string) $this->desk("{$at}/hand-out")
            ->assertOk()
            ->json('undo.address');
        self::assertGreaterThan($before, count($this->class[2][2]->refresh()->scene()->placed));
        $this->asTeacher()->postJson($undo)->assertOk();
        self::assertCount($before, $this->class[2][2]->refresh()->scene()->placed);
    }

    public function test_who_was_picked_and_the_lead_canvas_alone_stand_on_the_class_screen(): void
    {
        $this->desk('screen', ['view' => 'pick'])->assertUnprocessable();
        $this->session->picks()->create(['seat_id' => $this->class[1][0]->id, 'made_at_ms' => 1, 'among' => 3]);
        $this->desk('screen', ['view' => 'pick'])->assertNoContent();
        $this->screen()->assertSee('Seat 2')->assertDontSee('Otis');
        $this->desk('settings', ['shown_names' => 'names'])->assertOk();
        $this->screen()->assertSee('Otis');
        $this->desk('lead-beside', ['alone' => true])->assertOk();
        self::assertSame(1, $this->session->refresh()->showcase()->firstOrFail()->items()->count());
        $this->screen()->assertSee('data-live', false);
        $this->picture(1)->assertOk();
    }

    public function test_the_small_screen_of_a_desk_may_be_a_step_behind_and_no_other(): void
    {
        [$a, $b] = $this->entries();
        $this->desk("line-up/{$a}/show")->assertOk();
        $before = (string) $this->session->refresh()->showcase_id;
        $this->desk("line-up/{$b}/show")->assertOk();
        $picture = "/screen/{$this->session->id}/showcase/{$before}/1.svg";
        $this->asScreen($this->session)->get($picture)->assertNotFound();
        $this->asTeacher()->get($picture)->assertOk();
        $other = $this->newSession('Levers');
        $this->asTeacher()
            ->get("/screen/{$other->id}/showcase/{$before}/1.svg")
            ->assertNotFound();
        $this->asTeacher('another-teacher')->get($picture)->assertForbidden();
    }

    public function test_two_things_done_at_once_are_told_as_they_are_together(): void
    {
        [$a] = $this->entries();
        // Another request has read the session before this one changes it.
        $behind = LiveSession::query()->findOrFail($this->session->id);
        $this->desk('shown-on', ['on' => 'both'])->assertNoContent();
        app(LineUp::class)->show($behind, [LineupEntry::query()->findOrFail($a)]);
        $told = json_decode((string) last($this->published->on("room.{$this->session->id}")), true);
        self::assertCount(1, $told['event']['body']['room']['showcase']['items'] ?? []);

        $behind = LiveSession::query()->findOrFail($this->session->id);
        $this->desk('pens', ['down' => true, 'words' => 'Look'])->assertOk();
        app(ChangePrompts::class)->gather($behind, $behind->prompt()->firstOrFail());
        $told = json_decode((string) last($this->published->on("room.{$this->session->id}")), true);
        self::assertSame('Look', $told['event']['body']['room']['pens']['words'] ?? null);
    }

    public function test_coach_ink_is_not_shown_to_the_class(): void
    {
        $canvas = $this->class[0][2];
        $this->desk('coach', [
            'canvas' => $canvas->id,
            'operations' => [
                [
                    'layer' => 'coach',
                    'body' => [
                        'object' => [
                            'type' => 'text',
                            'x' => 100,
                            'y' => 300,
                            'size' => 36,
                            'colour' => '#25323b',
                            'text' => 'between us',
                        ],
                    ],
                ] + $this->stroke(),
            ],
        ])->assertJsonCount(1, 'accepted');
        $this->desk('moments', ['items' => [['canvas' => $canvas->id]]])->assertOk();
        $this->picture(1)->assertSee('Tamsin')->assertDontSee('between us');
    }

    public function test_a_moment_stands_still_and_what_is_live_goes_on(): void
    {
        [$a] = $this->entries();
        $this->draw(0, 'Later');
        $this->desk("line-up/{$a}/show")->assertOk();
        $this->picture(1)->assertSee('Tamsin')->assertDontSee('Later');
        $this->desk("line-up/{$a}/change", ['is_live' => true])->assertOk();
        $this->desk("line-up/{$a}/show")->assertOk();
        $this->picture(1)->assertSee('Later');
        $this->screen()->assertSee('data-live', false);
    }

    public function test_names_are_none_unless_changed_for_all_or_for_one(): void
    {
        [$a, $b] = $this->entries();
        $this->desk("line-up/{$a}/change", ['names' => 'names'])->assertOk();
        $this->desk("line-up/{$a}/show")->assertOk();
        $this->desk("line-up/{$b}/beside")->assertOk();
        $this->screen()->assertSee('Tamsin')->assertDontSee('Otis');
        $this->desk('settings', ['shown_names' => 'seats'])->assertOk();
        $this->screen()
            ->assertSee('Tamsin')
            ->assertDontSee('Otis')
            ->assertSee($this->class[1][0]->seatName());
    }

    public function test_students_see_it_on_their_own_pages_only_while_it_is_shown_there(): void
    {
        [$a] = $this->entries();
        $this->desk("line-up/{$a}/show")->assertOk();
        $this->own(1)->assertJsonPath('room.showcase', null);
        $this->onPage(1)->assertNotFound();
        $this->desk('shown-on', ['on' => 'pages'])->assertNoContent();
        $this->own(1)->assertJsonPath('room.showcase.items.0.name', '')->assertJsonPath('own.isShown', false);
        $this->own(0)->assertJsonPath('own.isShown', true)->assertJsonPath('own.shownName', false);
        $this->onPage(1)->assertOk()->assertSee('Tamsin');
        $this->picture(1)->assertNotFound();
        $this->asTeacher()
            ->postJson("/desk/{$this->session->id}/screen", ['view' => 'nothing'])
            ->assertNoContent();
        $this->onPage(1)->assertNotFound();
        $this->own(0)->assertJsonPath('own.isShown', false);
        $this->asTeacher()
            ->postJson("/desk/{$this->session->id}/shown-on", ['on' => 'walls'])
            ->assertUnprocessable();
    }

    public function test_the_teacher_sees_who_asks_not_to_be_shown(): void
    {
        [$seat, $token] = $this->class[0];
        $this->asTeacher()
            ->get("/desk/{$this->session->id}/bands")
            ->assertDontSee('Asks not to be shown');
        $this->asStudent($seat, $token)
            ->postJson("/seat/{$seat->id}/keep-back", ['on' => true])
            ->assertJsonPath('own.keepsBack', true);
        $this->asTeacher()
            ->get("/desk/{$this->session->id}/bands")
            ->assertSee('Asks not to be shown');
        $this->asStudent($seat, $token)
            ->postJson("/seat/{$seat->id}/keep-back", ['on' => false])
            ->assertOk();
        $this->asTeacher()
            ->get("/desk/{$this->session->id}/bands")
            ->assertDontSee('Asks not to be shown');
    }

    private function draw(int $i, string $words): void
    {
        [$seat, $token, $canvas] = $this->class[$i];
        $text = ['type' => 'text', 'x' => 100, 'y' => 100, 'size' => 36, 'colour' => '#25323b', 'text' => $words];
        $this->asStudent($seat, $token)
            ->postJson("/seat/{$seat->id}/operations", [
                'canvas' => $canvas->id,
                'operations' => [['body' => ['object' => $text]] + $this->stroke()],
            ])
            ->assertJsonCount(1, 'accepted');
    }

    public function test_who_is_out_sees_nothing_that_is_shown(): void
    {
        $this->desk('showcase', ['canvas' => $this->canvasOf($this->class[0][0])->id])->assertSuccessful();
        $this->desk('shown-on', ['on' => 'both'])->assertSuccessful();
        $this->onPage(1)->assertSuccessful();
        $this->desk('send-out', ['seat' => $this->class[1][0]->id])->assertSuccessful();
        $this->onPage(1)->assertStatus(409);
        [$seat, $token] = $this->class[1];
        foreach (['1-over.svg', '1-replay.json'] as $what) {
            $this->asStudent($seat->refresh(), $token)
                ->getJson("/seat/{$seat->id}/showcase/{$this->session->refresh()->showcase_id}/{$what}")
                ->assertStatus(409);
        }
    }

    /** @return list<int> */
    private function entries(): array
    {
        return array_values(
            $this->session->lineup()->get()->map(static fn (LineupEntry $entry): int => $entry->id)->all(),
        );
    }

    /** @return TestResponse<Response> */
    private function screen(): TestResponse
    {
        return $this->asScreen($this->session)
            ->get("/screen/{$this->session->id}/shown")
            ->assertOk();
    }

    /** @return TestResponse<Response> */
    private function picture(int $n): TestResponse
    {
        return $this->asScreen($this->session)->get(
            "/screen/{$this->session->id}/showcase/{$this->session->refresh()->showcase_id}/{$n}.svg",
        );
    }

    /** @return TestResponse<Response> */
    private function onPage(int $i): TestResponse
    {
        [$seat, $token] = $this->class[$i];

        return $this->asStudent($seat, $token)->getJson(
            "/seat/{$seat->id}/showcase/{$this->session->refresh()->showcase_id}/1.svg",
        );
    }

    /** @return TestResponse<Response> */
    private function own(int $i): TestResponse
    {
        [$seat, $token] = $this->class[$i];

        return $this->asStudent($seat, $token)
            ->getJson("/seat/{$seat->id}/canvas")
            ->assertOk();
    }

    /**
     * @param  array<string, mixed>  $body
     * @return TestResponse<Response>
     */
    private function desk(string $what, array $body = []): TestResponse
    {
        return $this->asTeacher()->postJson("/desk/{$this->session->id}/{$what}", $body);
    }
}
