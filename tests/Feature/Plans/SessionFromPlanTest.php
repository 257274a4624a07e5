<?php

declare(strict_types=1);

namespace Tests\Feature\Plans;

use App\Models\LiveSession;
use App\Models\Prompt;
use App\Models\Seat;
use App\Models\Teachers\Plan;
use App\Pictures\StorePicture;
use App\Plans\EditPlan;
use App\Plans\MakePlan;
use App\Plans\PreparedPrompt;
use App\Sessions\Life\StartSession;
use Crag\Canvas\Log\Layer;
use Crag\Json\Fields;
use Crag\Plan\PlanPrompt;
use Crag\Plan\PromptPage;
use Crag\Plan\PromptPages;
use Crag\Prompt\Backdrop\Backdrop;
use Crag\Session\Door\NameMode;
use Illuminate\Http\UploadedFile;
use Illuminate\Testing\TestResponse;
use Tests\Support\CragTestCase;

/**
 * A session begins with what a plan holds, each student with numbers of the own, and answers are taken and compared.
 */
final class SessionFromPlanTest extends CragTestCase
{
    private Plan $plan;

    protected function setUp(): void
    {
        parent::setUp();
        $this->plan = app(MakePlan::class)->empty($this->teacher(), 'Levers');
        $this->asTeacher();
    }

    public function test_a_session_begins_with_the_plans_prompts_pages_pieces_and_tools(): void
    {
        $this->add($this->worksheet());
        $session = $this->start();
        $prompt = $session->prompt()->firstOrFail();
        self::assertSame(2, $session->prompts()->count());
        self::assertSame(
            ['pen', 'eraser'],
            array_map(static fn ($tool): string => $tool->value, $prompt->trayInForce()->now->tools),
        );
        [$seat] = $this->seat($session);
        $scene = $this->canvasOf($seat)->scene();
        self::assertCount(2, $scene->pages);
        self::assertSame(
            ['lead', 'pieces'],
            array_map(static fn ($placed): string => $placed->layer->value, array_values($scene->placed)),
        );
        // The picture is the session's own: the plan may be deleted.
        $asset = (string) $scene->backdrop()->asset;
        $this->delete("/plan/{$this->plan->id}");
        $this->get("/asset/{$asset}")->assertOk();
        self::assertSame('Levers', $session->refresh()->title);
    }

    public function test_starting_and_trying_warn_of_what_cannot_be_drawn(): void
    {
        $this->add(PreparedPrompt::saying('Weigh {num: 2..9} g'));
        foreach (['start', 'try'] as $page) {
            $this->get("/plan/{$this->plan->id}/{$page}")
                ->assertOk()
                ->assertSee('Fix this before the class sees it')
                ->assertSee('Prompt 1: “num” is too long');
        }
        [$seat] = $this->seat($this->start());
        self::assertSame('Weigh … g', $this->canvasOf($seat)->prompt->forSeat($seat)->words);
    }

    public function test_the_class_screen_shows_what_is_drawn_for_the_present_prompt_alone(): void
    {
        $this->add($this->worksheet());
        $session = $this->start();
        $next = $session->prompts()->where('n', 2)->firstOrFail();
        $this->post("/desk/{$session->id}/screen", ['view' => 'prompt']);
        $this->asScreen($session)
            ->get("/screen/{$session->id}")
            ->assertOk()
            ->assertSee("prompt/{$session->prompt_id}.svg");
        $svg = (string) $this->get("/screen/{$session->id}/prompt/{$session->prompt_id}.svg")
            ->assertOk()
            ->getContent();
        self::assertStringContainsString('data:image/', $svg);
        $this->get("/screen/{$session->id}/prompt/{$next->id}.svg")->assertNotFound();
    }

    public function test_an_empty_plan_starts_with_an_empty_prompt(): void
    {
        $session = $this->start();
        self::assertSame('', $session->prompt()->firstOrFail()->words);
        [$seat] = $this->seat($session);
        self::assertTrue($this->canvasOf($seat)->scene()->isEmpty());
    }

    public function test_each_student_has_values_of_the_own_and_is_not_told_the_answer(): void
    {
        $this->add($this->variant());
        $session = $this->start();
        $words = [];
        foreach (['Ada', 'Ivo', 'Mei', 'Tor'] as $name) {
            [$seat, $token] = $this->seat($session, $name);
            $told = $this->asStudent($seat, $token)
                ->getJson("/seat/{$seat->id}/canvas")
                ->assertOk();
            $again = $this->getJson("/seat/{$seat->id}/canvas")->json('prompt.words');
            self::assertSame($words[] = $told->json('prompt.words'), $again);
            self::assertMatchesRegularExpression('/^What is \d × \d\?$/', (string) $told->json('prompt.words'));
            self::assertSame(['id', 'kind', 'words', 'spot'], array_keys((array) $told->json('prompt.questions.0')));
            $this->get("/seat/{$seat->id}")->assertSee((string) $told->json('prompt.words'));
        }
        self::assertCount(4, array_unique($words));
        $heard = implode('', $this->published->on("room.{$session->id}"));
        self::assertStringNotContainsString('2..9', $heard);
        $this->asTeacher()
            ->get("/desk/{$session->id}")
            ->assertSee('What is a × b?');
    }

    public function test_answers_are_taken_and_compared_with_the_students_own_key(): void
    {
        $this->add($this->variant());
        $session = $this->start();
        [$seat, $token] = $this->seat($session);
        preg_match(
            '/(\d) × (\d)/',
            (string) $this->asStudent($seat, $token)
                ->getJson("/seat/{$seat->id}/canvas")
                ->json('prompt.words'),
            $found,
        );
        $right = (int) ($found[1] ?? 0) * (int) ($found[2] ?? 0);
        $this->answer($seat, $token, 'q1', (string) ($right + 1))->assertJsonCount(1, 'accepted');
        $this->assertAnswer($seat, 'wrong');
        $this->answer($seat, $token, 'q1', "{$right}.0");
        $this->assertAnswer($seat, 'right');
        $this->answer($seat, $token, 'q1', 'lots');
        $this->assertAnswer($seat, 'unreadable');
        $this->answer($seat, $token, 'q1', null);
        $this->assertAnswer($seat, 'none');
    }

    public function test_an_answer_that_is_none_is_refused(): void
    {
        $this->add($this->variant());
        $session = $this->start();
        [$seat, $token] = $this->seat($session);
        $this->answer($seat, $token, 'q9', '5')->assertJsonCount(1, 'refused')->assertSee('no longer asked');
        $this->answer($seat, $token, 'q1', 5)->assertJsonCount(1, 'refused')->assertSee('an answer to this question');
        $this->answer($seat, $token, 'q1', ['a'])->assertJsonCount(1, 'refused');
        $this->answer($seat, $token, 'q1', str_repeat('9', 301))->assertJsonCount(1, 'refused');
        self::assertSame([], $this->canvasOf($seat)->scene()->answers);
    }

    public function test_undo_leaves_answers_alone_and_a_kept_scene_has_them(): void
    {
        $this->add($this->variant());
        $session = $this->start();
        [$seat, $token] = $this->seat($session);
        $this->answer($seat, $token, 'q1', '12');
        $canvas = $this->canvasOf($seat);
        $answer = $canvas->operations()->where('kind', 'answer')->firstOrFail();
        $undo = [
            'id' => 'undo-the-answer',
            'kind' => 'withdraw',
            'layer' => 'student',
            'at' => 1,
            'body' => ['target' => $answer->op_id],
        ];
        $this->asStudent($seat, $token)
            ->postJson("/seat/{$seat->id}/operations", ['canvas' => $canvas->id, 'operations' => [$undo]])
            ->assertJsonCount(1, 'refused');
        $strokes = array_map(fn (): array => $this->stroke(), range(1, 60));
        $this->postJson("/seat/{$seat->id}/operations", [
            'canvas' => $canvas->id,
            'operations' => $strokes,
        ])->assertJsonCount(60, 'accepted');
        $opened = $this->getJson("/seat/{$seat->id}/canvas")->assertOk();
        self::assertGreaterThan(50, $opened->json('n'));
        self::assertSame([['question' => 'q1', 'value' => '12']], $opened->json('scene.answers'));
    }

    public function test_words_typed_while_teaching_go_into_the_plan(): void
    {
        $this->post('/start', ['name' => 'Ms Okafor-Lind', 'title' => 'Frames'])->assertRedirect();
        $session = LiveSession::query()->latest('id')->firstOrFail();
        $plan = $session->plan()->firstOrFail();
        $hand = fn (string $words, string $place) => $this->post("/desk/{$session->id}/hand-out", [
            'words' => $words,
            'backdrop' => 'squared',
            'place' => $place,
        ])->assertOk();
        $hand('First', 'under');
        $hand('Second', 'next');
        $hand('Second, put better', 'under');
        self::assertSame(['First', 'Second, put better'], $plan->refresh()->present()->pluck('words')->all());
        $again = app(StartSession::class)->fromPlan($this->teacher(), $plan, null);
        self::assertSame(['First', 'Second, put better'], $again->prompts()->pluck('words')->all());
        self::assertSame('squared', $again->prompt()->firstOrFail()->backdrop->kind->value);
    }

    public function test_a_running_session_takes_over_changes_when_asked(): void
    {
        $prompt = $this->add(PreparedPrompt::saying('One'));
        $session = $this->start();
        [$begun, $token] = $this->seat($session, 'Begun');
        [$blank] = $this->seat($session, 'Blank');
        $this->appendAs($begun, $token, $this->stroke());
        $edit = app(EditPlan::class);
        $edit->set($this->plan, $this->teacher(), $prompt, 'words', 'One', 'First');
        $this->add($this->variant());
        $this->asTeacher();
        $running = $this->getJson("/plan/{$this->plan->id}/state")->json('running.0');
        self::assertSame(['prompt 1 (words)', 'prompt 2, which is new'], $running['lacks']);
        self::assertSame(['1 student has begun prompt 1: their work stays.'], $running['warnings']);
        $canvas = $this->getJson("/plan/{$this->plan->id}/prompt/{$prompt->id}/canvas")->json('canvas');
        $this->postJson("/plan/{$this->plan->id}/operations", [
            'canvas' => $canvas,
            'operations' => [['layer' => 'lead'] + $this->stroke()],
        ]);
        self::assertSame('One', $session->prompt()->firstOrFail()->words);
        self::assertSame($session->id, $this->getJson("/plan/{$this->plan->id}/state")->json('running.0.id'));
        $this->postJson("/plan/{$this->plan->id}/follow/{$session->id}")
            ->assertOk()
            ->assertJson(['changed' => 2]);
        self::assertSame(
            ['First', 'What is {a: 2..9} × {b: 2..9; b ≠ a}?'],
            $session->prompts()->pluck('words')->all(),
        );
        self::assertCount(
            1,
            array_filter(
                $this->canvasOf($begun)->scene()->placed,
                static fn ($placed): bool => $placed->layer === Layer::Student,
            ),
        );
        self::assertCount(1, $this->canvasOf($blank)->scene()->placed);
        $this->postJson("/plan/{$this->plan->id}/follow/{$session->id}")->assertJson(['changed' => 0]);
    }

    public function test_a_plan_says_that_a_session_is_behind_only_when_it_is(): void
    {
        [$one, $two, $three] = array_map(fn (string $words): Prompt => $this->add(PreparedPrompt::saying($words)), [
            'One',
            'Two',
            'Three',
        ]);
        $session = $this->start();
        $behind = fn (): bool => $this->getJson("/plan/{$this->plan->id}/state")->json('running.0.behind');
        $follow = fn (): int => $this->postJson("/plan/{$this->plan->id}/follow/{$session->id}")
            ->assertOk()
            ->json('changed');
        $edit = app(EditPlan::class);
        self::assertFalse($behind(), 'nothing has changed yet');
        $edit->set($this->plan, $this->teacher(), $two, 'words', 'Two', 'Second');
        self::assertTrue($behind());
        $told = fn (string $what): array => $this->getJson("/plan/{$this->plan->id}/state")->json("running.0.{$what}");
        self::assertSame(['prompt 2 (words)'], $told('lacks'));
        self::assertSame([], $told('warnings'), 'nobody has begun it');
        $edit->step($this->plan, $this->teacher(), false);
        self::assertFalse($behind(), 'taken back');
        $edit->move($this->plan, $this->teacher(), $three, $one->id);
        self::assertSame(['the new order'], $told('lacks'));
        self::assertSame([true, 2, false], [$behind(), $follow(), $behind()]);
        self::assertSame(['One', 'Three', 'Two'], $session->prompts()->pluck('words')->all());
        $edit->remove($this->plan, $this->teacher(), $two);
        self::assertSame(['the removal of “Two”'], $told('lacks'));
        self::assertSame([true, 1, false], [$behind(), $follow(), $behind()]);
        self::assertSame([1 => 'One', 2 => 'Three'], $session->prompts()->pluck('words', 'n')->all());
        // The present one stays, whatever becomes of it in the plan; so does what was typed while teaching.
        StartSession::put($session, PreparedPrompt::saying('Typed'), 3, null);
        $edit->remove($this->plan, $this->teacher(), $one);
        self::assertFalse($behind());
        $edit->step($this->plan, $this->teacher(), false);
        $edit->move($this->plan, $this->teacher(), $three, null);
        self::assertSame([true, 3, false], [$behind(), $follow(), $behind()]);
        self::assertSame(['Three', 'Typed', 'One'], $session->prompts()->pluck('words')->all());
    }

    public function test_only_those_who_run_a_session_make_it_follow(): void
    {
        $session = $this->start();
        $this->plan->teachers()->attach($this->teacher('a-colleague'));
        $this->asTeacher('a-colleague')
            ->postJson("/plan/{$this->plan->id}/follow/{$session->id}")
            ->assertForbidden();
    }

    public function test_a_plan_is_tried_in_a_session_that_stands_in_no_list(): void
    {
        $this->add($this->variant());
        $this->get("/plan/{$this->plan->id}/try")->assertOk();
        $session = LiveSession::query()->where('is_trial', true)->firstOrFail();
        $seated = $this->get("/plan/{$this->plan->id}/try/{$session->id}")->assertRedirect();
        $seat = $session->seats()->firstOrFail();
        $token = $seated->getCookie(Seat::cookieFor($session->id))?->getValue();
        $this->asStudent($seat, (string) $token)
            ->get("/seat/{$seat->id}")
            ->assertOk()
            ->assertHeader('X-Frame-Options', 'SAMEORIGIN');
        $this->asTeacher()->get('/plans')->assertDontSee($session->join_code);
        $this->get('/')->assertDontSee(route('desk', $session));
        self::assertNull($this->plan->refresh()->used_at);
        // It is the same one until the plan changes.
        $this->get("/plan/{$this->plan->id}/try");
        self::assertSame(1, LiveSession::query()->where('is_trial', true)->count());
        // After a day it is forgotten, when the next plan is tried.
        $this->travel(25)->hours();
        $other = app(MakePlan::class)->empty($this->teacher(), 'Frames');
        $this->asTeacher()
            ->get("/plan/{$other->id}/try")
            ->assertOk();
        self::assertNull(LiveSession::query()->find($session->id));
        [$other, $otherToken] = $this->seat($this->newSession());
        $this->asStudent($other, $otherToken)
            ->get("/seat/{$other->id}")
            ->assertHeader('X-Frame-Options', 'DENY');
    }

    public function test_home_starts_what_was_used_last_with_its_class_by_one_press(): void
    {
        $roster = $this->teacher()->rosters()->create(['name' => '9B Beams']);
        $other = app(MakePlan::class)->empty($this->teacher(), 'Ratio');
        $this->plan->update(['used_at' => now()]);
        $other->update(['used_at' => now()->subWeek()]);
        $this->get('/')
            ->assertOk()
            ->assertSeeInOrder(['Teach now', 'Levers', '9B Beams', 'Ratio', 'I am a student'])
            ->assertDontSee('Start with 9B Beams');
        $this->post("/plan/{$this->plan->id}/start", ['roster' => $roster->id])->assertRedirect();
        $this->get('/')->assertSeeInOrder(['running since', 'Teach now', 'Start with 9B Beams']);
        $this->asNobody()
            ->get('/')
            ->assertOk()
            ->assertDontSee('Levers')
            ->assertSee('Sign in');
    }

    public function test_a_teacher_without_a_name_gives_one_first(): void
    {
        $this->teacher()->update(['name' => '']);
        $this->post("/plan/{$this->plan->id}/start")->assertRedirect("/plan/{$this->plan->id}/start");
        self::assertSame(0, LiveSession::query()->count());
        $this->get("/plan/{$this->plan->id}/start")->assertSee('Your name');
        $this->post("/plan/{$this->plan->id}/start", ['name' => str_repeat('x', 41)])->assertSessionHasErrors('name');
        $this->post("/plan/{$this->plan->id}/start", ['name' => 'Ms Okafor-Lind'])->assertRedirect();
        self::assertSame('Ms Okafor-Lind', LiveSession::query()->firstOrFail()->teacher_name);
    }

    public function test_a_class_is_started_with_what_it_was_last_started_with(): void
    {
        $roster = $this->teacher()
            ->rosters()
            ->create(['name' => '9B']);
        $this->get("/plan/{$this->plan->id}/start")
            ->assertOk()
            ->assertSee('9B');
        $this->post("/plan/{$this->plan->id}/start", ['roster' => $roster->id, 'tray' => 'starter'])->assertRedirect();
        $this->post("/plan/{$this->plan->id}/start", ['roster' => $roster->id])->assertRedirect();
        $session = LiveSession::query()->latest('id')->firstOrFail();
        self::assertSame('starter', $session->trayInForce()->now->kind->value);
        self::assertSame(NameMode::Seats, $session->settings->deskNames);
        $this->get('/plans')->assertSee('Start with 9B');
    }

    private function start(): LiveSession
    {
        $this->asTeacher()
            ->post("/plan/{$this->plan->id}/start")
            ->assertRedirect();

        return LiveSession::query()->where('plan_id', $this->plan->id)->latest('id')->firstOrFail();
    }

    private function add(PreparedPrompt $prepared): Prompt
    {
        $sequence = $this->plan->refresh()->sequence;

        return app(EditPlan::class)->add(
            $this->plan,
            $this->teacher(),
            $prepared,
            $sequence === [] ? null : end($sequence),
        );
    }

    private function variant(): PreparedPrompt
    {
        return new PreparedPrompt(
            PlanPrompt::read(
                new Fields([
                    'words' => 'What is {a: 2..9} × {b: 2..9; b ≠ a}?',
                    'questions' => [
                        ['id' => 'q1', 'kind' => 'number', 'words' => '', 'spot' => null, 'right' => '{a*b}'],
                    ],
                ]),
            ),
            PromptPages::blank(),
        );
    }

    /** Two pages, one with a picture under a line and a piece; a second prompt after it. */
    private function worksheet(): PreparedPrompt
    {
        $picture = UploadedFile::fake()->image('sheet.png', 40, 30);
        $asset = app(StorePicture::class)($this->plan, $picture->getPathname());
        $line = [
            'type' => 'line',
            'x' => 0,
            'y' => 0,
            'w' => 500,
            'h' => 500,
            'colour' => '#25323b',
            'width' => 20,
            'filled' => false,
        ];
        $this->add(
            new PreparedPrompt(
                PlanPrompt::read(
                    new Fields([
                        'words' => 'Fill it in.',
                        'tray' => ['kind' => 'custom', 'tools' => ['pen', 'eraser']],
                    ]),
                ),
                PromptPages::read([
                    [
                        'backdrop' => Backdrop::picture($asset->id)->toArray(),
                        'objects' => [
                            ['object' => $line],
                            [
                                'object' => [
                                    'type' => 'piece',
                                    'alt' => 'A rod',
                                    'locked' => false,
                                    'stack' => false,
                                    'of' => $line,
                                ],
                            ],
                        ],
                    ],
                    (new PromptPage(Backdrop::blank()))->toArray(),
                ]),
            ),
        );

        return PreparedPrompt::saying('And now?');
    }

    /** @return TestResponse<\Symfony\Component\HttpFoundation\Response> */
    private function answer(Seat $seat, string $token, string $question, mixed $value): TestResponse
    {
        $operation = [
            'id' => 'answer-'.bin2hex(random_bytes(6)),
            'kind' => 'answer',
            'layer' => 'student',
            'at' => 1_700_000_000_000,
            'body' => ['question' => $question, 'value' => $value],
        ];

        return $this->appendAs($seat, $token, $operation)->assertOk();
    }

    private function assertAnswer(Seat $seat, string $outcome): void
    {
        $this->asTeacher()
            ->get("/desk/{$seat->live_session_id}/canvas/{$this->canvasOf($seat)->id}/answers")
            ->assertOk()
            ->assertSee("data-outcome=\"{$outcome}\"", false);
    }
}
