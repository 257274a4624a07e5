<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Canvas\TakeCanvas;
use App\Http\Middleware\PlainInput;
use App\Models\Asks\Ask;
use App\Models\Asks\Run;
use App\Models\Asset;
use App\Models\Canvas;
use App\Models\Handout;
use App\Models\HeldFolder;
use App\Models\LiveSession;
use App\Models\LoggedOperation;
use App\Models\Message;
use App\Models\Pick;
use App\Models\Seat;
use App\Models\Show\LineupEntry;
use App\Models\Show\Offer;
use App\Plans\EditPlan;
use App\Plans\MakePlan;
use App\Plans\PreparedPrompt;
use App\Plans\TakesDrawing;
use App\Sessions\Life\StartSession;
use App\Sessions\Room\Hands;
use App\Sessions\Show\LineUp;
use App\Sessions\Show\Offering;
use App\Sessions\Show\ShowToClass;
use App\Sessions\Work\HandOutWork;
use Crag\Json\Fields;
use Crag\Plan\Handout as HandoutValue;
use Crag\Plan\HandoutMode;
use Crag\Plan\PromptPage;
use Crag\Prompt\Backdrop\Backdrop;
use Crag\Prompt\Question\Question;
use Crag\Session\Room\SeatState;
use Crag\Session\Room\ShortMessage;
use Illuminate\Support\Facades\Route;
use Illuminate\Support\Str;
use PHPUnit\Framework\Attributes\DataProvider;
use ReflectionClassConstant;
use Symfony\Component\HttpFoundation\StreamedResponse;
use Tests\Support\CragTestCase;

/** Every route, asked by everybody whom it does not concern. */
final class WrongPersonTest extends CragTestCase
{
    private LiveSession $session;

    private Seat $seat;

    private string $token;

    private Message $message;

    private Handout $handout;

    private Pick $pick;

    private LineupEntry $entry;

    private Ask $ask;

    private Offer $offer;

    private Run $run;

    protected function setUp(): void
    {
        parent::setUp();
        $this->session = $this->newSession();
        [$this->seat, $this->token] = $this->seat($this->session, 'Tamsin');
        app(ShowToClass::class)->canvas($this->session, $this->canvasOf($this->seat));
        app(Hands::class)->up($this->seat, ShortMessage::read('Stuck'));
        $this->message = $this->session->messages()->firstOrFail();
        $this->handout = app(HandOutWork::class)->give(
            $this->session,
            $this->session->prompt()->firstOrFail(),
            HandoutValue::of(HandoutMode::Fresh, [new PromptPage(Backdrop::blank())]),
            'Nothing',
            null,
        );
        $this->pick = $this->session->picks()->create(['seat_id' => $this->seat->id, 'made_at_ms' => 1, 'among' => 1]);
        app(LineUp::class)->add($this->session, [[$this->canvasOf($this->seat), '']], false);
        $this->entry = $this->session->lineup()->firstOrFail();
        $this->ask = Ask::query()->create([
            'live_session_id' => $this->session->id,
            'n' => 1,
            'question' => Question::read(
                new Fields(['id' => 'ask', 'kind' => 'text', 'words' => 'What holds it?', 'spot' => null, 'right' => []]),
            ),
            'made_at_ms' => 1,
        ]);
        $this->offer = app(Offering::class)->offer($this->seat, $this->canvasOf($this->seat), '', null, 'Look');
        $this->run = Run::query()->create([
            'live_session_id' => $this->session->id,
            'cards' => ['Why?'],
            'seconds' => 20,
            'is_auto' => true,
        ]);
        LoggedOperation::query()->delete();
    }

    /** @return iterable<array{string}> */
    public static function strangersToAPlan(): iterable
    {
        yield 'nobody' => ['nobody'];
        yield 'a student of a session that was started from it' => ['classmate'];
        yield 'another teacher' => ['other teacher'];
    }

    #[DataProvider('strangersToAPlan')]
    public function test_nobody_else_opens_a_plan(string $who): void
    {
        $plan = app(MakePlan::class)->empty($this->teacher(), 'Levers');
        $prompt = app(EditPlan::class)->add(
            $plan,
            $this->teacher(),
            PreparedPrompt::saying('Where is the pivot?'),
            null,
        );
        $canvas = app(TakesDrawing::class)->canvas($prompt);
        $fill = [
            '{plan}' => $plan->id,
            '{prompt}' => $prompt->id,
            '{canvas}' => $canvas->id,
            '{format}' => 'png',
            '{run}' => $this->session->id,
            '{intake}' => 'x',
            '{page}' => '1',
        ];
        $tried = 0;
        $this->become($who, 'desk');
        foreach (Route::getRoutes()->getRoutes() as $route) {
            foreach (
                str_starts_with($route->uri(), 'plan/') ? array_diff($route->methods(), ['HEAD']) : [] as $method
            ) {
                $response = $this->json($method, '/'.strtr($route->uri(), $fill), [
                    'field' => 'words',
                    'from' => 'Where is the pivot?',
                    'to' => 'x',
                ]);
                self::assertSame(403, $response->status(), "{$who}: {$method} {$route->uri()}");
                $response->assertDontSee('Where is the pivot?');
                $tried++;
            }
        }
        self::assertGreaterThan(20, $tried);
        self::assertSame('Where is the pivot?', $prompt->refresh()->words);
        self::assertSame('Levers', $plan->refresh()->title);
    }

    public function test_a_teacher_cannot_reach_into_another_plan_through_ones_own(): void
    {
        $edit = app(EditPlan::class);
        $theirs = app(MakePlan::class)->empty($this->teacher(), 'Levers');
        $prompt = $edit->add($theirs, $this->teacher(), PreparedPrompt::saying('Theirs'), null);
        $canvas = app(TakesDrawing::class)->canvas($prompt);
        $mine = app(MakePlan::class)->empty($this->teacher('another-teacher'), 'Mine');
        $this->asTeacher('another-teacher');
        $this->getJson("/plan/{$mine->id}/prompt/{$prompt->id}/canvas")->assertNotFound();
        $this->postJson("/plan/{$mine->id}/prompt/{$prompt->id}/edits", [
            'field' => 'words',
            'from' => 'Theirs',
            'to' => 'x',
        ])->assertNotFound();
        $this->postJson("/plan/{$mine->id}/prompt/{$prompt->id}/place", ['after' => null])->assertNotFound();
        $this->getJson("/plan/{$mine->id}/canvas/{$canvas->id}/log")->assertNotFound();
        $this->getJson("/plan/{$mine->id}/work/{$canvas->id}.svg")->assertNotFound();
        $this->postJson("/plan/{$mine->id}/operations", [
            'canvas' => $canvas->id,
            'operations' => [['layer' => 'lead'] + $this->stroke()],
        ])->assertNotFound();
        $this->postJson("/plan/{$mine->id}/follow/{$this->session->id}", [])->assertNotFound();
        $roster = $this->teacher()
            ->rosters()
            ->create(['name' => '9B']);
        foreach (['get' => "/class/{$roster->id}", 'delete' => "/class/{$roster->id}"] as $method => $address) {
            $this->{$method}($address)->assertNotFound();
        }
        foreach (['', '/names', '/pins'] as $more) {
            $this->post("/class/{$roster->id}{$more}", ['name' => 'x', 'names' => 'Ada'])->assertNotFound();
        }
        $this->get("/class/{$roster->id}/list.csv")->assertNotFound();
        $this->post("/plan/{$mine->id}/start", ['roster' => $roster->id])->assertNotFound();
        $asset = Asset::query()->create([
            'plan_id' => $theirs->id,
            'mime' => 'image/png',
            'width' => 1,
            'height' => 1,
            'bytes' => 3,
        ]);
        $this->get("/asset/{$asset->id}")->assertForbidden();
        $this->get("/plan-link/{$theirs->id}/wrong")->assertNotFound();
        $this->get("/back/{$this->teacher()->id}/wrong")->assertNotFound();
    }

    #[DataProvider('people')]
    public function test_nobody_else_gets_through(string $who): void
    {
        $tried = 0;
        foreach (Route::getRoutes()->getRoutes() as $route) {
            // A session's teachers see its class screen.
            if ($who === 'insider' && str_starts_with($route->uri(), 'screen/')) {
                continue;
            }
            if (preg_match('#^(desk|seat|screen)/#', $route->uri()) !== 1 || str_contains($route->uri(), '{key}')) {
                continue;
            }
            foreach (array_diff($route->methods(), ['HEAD']) as $method) {
                $this->become(
                    $who,
                    str_starts_with($route->uri(), 'seat/')
                        ? 'seat'
                        : (str_starts_with($route->uri(), 'screen/')
                            ? 'screen'
                            : 'desk'),
                );
                $response = $this->json($method, '/'.$this->fill($route->uri()), [
                    'canvas' => $this->canvasOf($this->seat)->id,
                    'operations' => [$this->stroke()],
                ]);
                self::assertSame(403, $response->status(), "{$who}: {$method} {$route->uri()}");
                $tried++;
            }
        }
        self::assertGreaterThan(60, $tried);
        self::assertSame(0, LoggedOperation::query()->whereNotNull('seat_id')->count());
        self::assertTrue($this->session->refresh()->isRunning());
    }

    /** @return iterable<array{string}> */
    public static function people(): iterable
    {
        yield 'nobody' => ['nobody'];
        yield 'a student of the same session' => ['classmate'];
        yield 'a student of another session' => ['other student'];
        yield 'the teacher of another session' => ['other teacher'];
        yield 'the class screen or the teacher of this one, in the other\'s place' => ['insider'];
    }

    /** @return iterable<string, array{string, list<string>}> who, and what that person may read */
    public static function nine(): iterable
    {
        yield 'nobody' => ['nobody', []];
        yield 'a student of the same session' => ['classmate', []];
        yield 'a student of another session' => ['other student', []];
        yield 'a student who knocks' => ['knocking', []];
        yield 'a student who was sent out' => ['sent out', []];
        yield 'a helper' => ['helper', ['work', 'note', 'words', 'name']];
        yield 'the teacher of another session' => ['other teacher', []];
        yield 'the class screen, on which it is shown' => ['screen', ['work']];
        yield 'the student whose it is' => ['owner', ['work', 'words', 'name']];
    }

    /** @param  list<string>  $may */
    #[DataProvider('nine')]
    public function test_nine_kinds_of_person_read_no_more_than_is_theirs_by_any_route(string $who, array $may): void
    {
        $text = static fn (string $words, string $layer): array => [
            'id' => Str::random(20),
            'kind' => 'add',
            'layer' => $layer,
            'at' => 1,
            'body' => [
                'object' => [
                    'type' => 'text',
                    'text' => $words,
                    'x' => 2000,
                    'y' => 2000,
                    'size' => 300,
                    'colour' => '#25323b',
                ],
            ],
        ];
        $canvas = $this->canvasOf($this->seat);
        $this->asStudent($this->seat, $this->token)
            ->postJson("/seat/{$this->seat->id}/operations", [
                'canvas' => $canvas->id,
                'operations' => [$text('WORKOFTAMSIN', 'student')],
            ])
            ->assertJsonCount(1, 'accepted');
        $this->asTeacher()
            ->getJson("/desk/{$this->session->id}/canvas/{$canvas->id}/notes")
            ->assertOk();
        $notes = (string) Canvas::query()->where('notes_on_id', $canvas->id)->value('id');
        $this->postJson("/desk/{$this->session->id}/coach", [
            'canvas' => $notes,
            'operations' => [$text('PRIVATENOTE', 'private')],
        ])->assertJsonCount(1, 'accepted');
        app(Hands::class)->up($this->seat, ShortMessage::read('SECRETQUESTION'));
        $roster = $this->teacher()
            ->rosters()
            ->create(['name' => '9B']);
        $roster->entries()->create(['n' => 1, 'name' => 'Listed', 'pin' => '471188']);
        $this->session->refresh()->update(['roster_id' => $roster->id]);
        app(ShowToClass::class)->canvas($this->session, $canvas->refresh());
        $secrets = [
            'work' => 'WORKOFTAMSIN',
            'note' => 'PRIVATENOTE',
            'words' => 'SECRETQUESTION',
            'name' => 'Tamsin',
            'return' => $this->session->return_key,
            'helper' => $this->session->helper_key,
            'pin' => '471188',
            'teacher' => $this->teacher()->return_key,
        ];
        [$mate, $mates] = $this->seat($this->session, 'Mate');
        $this->session->teachers()->attach($this->teacher('a-helper')->id, ['role' => 'helper']);
        match ($who) {
            'knocking' => $mate->update(['state' => SeatState::Knocking]),
            'sent out' => $mate->update(['state' => SeatState::SentOut]),
            default => null,
        };
        $read = $asked = 0;
        $found = array_fill_keys($may, false);
        foreach (Route::getRoutes()->getRoutes() as $route) {
            if (
                preg_match(
                    '#^(desk|seat|screen|plan|class|join|live|asset|home|plans|classes|account|up|health)\b#',
                    $route->uri(),
                ) !== 1 ||
                ! in_array('GET', $route->methods(), true) ||
                str_contains($route->uri(), '{key}')
            ) {
                continue;
            }
            // A student asks with the own seat and, where that says no, with the other's.
            foreach (
                in_array($who, ['classmate', 'knocking', 'sent out'], true) && str_contains($route->uri(), '{seat}')
                    ? [$mate->id, $this->seat->id]
                    : [$this->seat->id] as $seat
            ) {
                match ($who) {
                    'owner' => $this->asStudent($this->seat->refresh(), $this->token),
                    'classmate', 'knocking', 'sent out' => $this->asStudent($mate->refresh(), $mates),
                    'helper' => $this->asTeacher('a-helper'),
                    'screen' => $this->asScreen($this->session),
                    default => $this->become($who, 'desk'),
                };
                $formats = str_contains($route->uri(), '{format}') ? ['svg', 'inkml'] : ['svg'];
                foreach ($formats as $format) {
                    $address =
                        '/'.
                        str_replace(
                            ['{code?}', '/png'],
                            [$this->session->join_code, "/{$format}"],
                            $this->fill(
                                str_replace(['{seat}', '{format}', '{sheet}'], [$seat, $format, 'csv'], $route->uri()),
                            ),
                        );
                    $answer = $this->get($address);
                    $body =
                        $answer->baseResponse instanceof StreamedResponse
                            ? $answer->streamedContent()
                            : (string) $answer->getContent();
                    foreach ($secrets as $what => $secret) {
                        if (str_contains($body, $secret)) {
                            self::assertContains($what, $may, "{$who} reads the {$what} at {$address}");
                            $found[$what] = true;
                            $read++;
                        }
                    }
                    $asked++;
                }
            }
        }
        self::assertGreaterThan(60, $asked);
        // What may be read was read: the search would have found a leak.
        self::assertSame(array_fill_keys($may, true), $found, "{$who}: {$read}");
    }

    public function test_a_list_where_one_thing_is_meant_is_refused_and_odd_lists_break_nothing(): void
    {
        $plan = app(MakePlan::class)->empty($this->teacher(), 'Levers');
        $prompt = app(EditPlan::class)->add(
            $plan,
            $this->teacher(),
            PreparedPrompt::saying('Where is the pivot?'),
            null,
        );
        $several = (new ReflectionClassConstant(PlainInput::class, 'SEVERAL'))->getValue();
        self::assertIsArray($several);
        $tried = 0;
        $wrong = [];
        foreach (Route::getRoutes()->getRoutes() as $route) {
            $isSeat = str_starts_with($route->uri(), 'seat/');
            // What ends, forgets or deletes takes no input.
            if (
                preg_match('#^(desk|seat|plan|plans|classes|account|join|start)\b#', $route->uri()) !== 1 ||
                preg_match('#/end$|forget|clear-fresh|\{key\}|/handout/|/act/#', $route->uri()) === 1
            ) {
                continue;
            }
            foreach (array_intersect($route->methods(), ['GET', 'POST']) as $method) {
                cache()->flush();
                if ($isSeat) {
                    $this->asStudent($this->seat, $this->token);
                } else {
                    $this->asTeacher();
                }
                $address =
                    '/'.
                    strtr($this->fill($route->uri()), [
                        '{plan}' => $plan->id,
                        $this->session->id.'/pages' => 'x/pages',
                    ]);
                $address = str_starts_with($route->uri(), 'plan/')
                    ? '/'.
                        strtr($route->uri(), [
                            '{plan}' => $plan->id,
                            '{prompt}' => $prompt->id,
                            '{run}' => 'x',
                            '{intake}' => 'x',
                            '{page}' => '1',
                            '{format}' => 'png',
                            '{canvas}' => 'x',
                        ])
                    : $address;
                $status = $this->json($method, $address, ['words' => ['one', ['two']]])->getStatusCode();
                if (! in_array($status, [422, 404, 403, 409], true)) {
                    $wrong[] = "{$method} {$address} {$status}";
                }
                foreach (
                    [
                        [[]],
                        ['x' => [1]],
                        [null, 5, ['deep']],
                        [[['deeper']]],
                        array_fill(0, 3, '01hzzzzzzzzzzzzzzzzzzzzzzz'),
                    ] as $odd
                ) {
                    $response = $this->json($method, $address, array_fill_keys($several, $odd));
                    if (! ($response->getStatusCode() < 500)) {
                        $wrong[] =
                            "{$method} {$address} ".json_encode($odd).' '.$response->exception?->getMessage();
                    }
                    $tried++;
                }
            }
        }
        self::assertSame([], $wrong);
        self::assertGreaterThan(500, $tried);
    }

    public function test_the_socket_opens_for_its_own_page_and_for_nobody_else(): void
    {
        [$mate, $mateToken] = $this->seat($this->session, 'Mate');
        $own = "/live/seat/{$this->session->id}/{$mate->id}";
        $other = "/live/seat/{$this->session->id}/{$this->seat->id}";
        $desk = "/live/desk/{$this->session->id}";
        $screen = "/live/screen/{$this->session->id}";

        $this->asStudent($mate, $mateToken);
        $this->assertSocket(204, $own);
        $this->assertSocket(403, $other);
        $this->assertSocket(403, $desk);
        $this->assertSocket(403, $screen);
        $this->assertSocket(403, '/live/seat/other/'.$mate->id);
        $this->assertSocket(403, '/live/everything');
        $this->assertSocket(403, $own, ['Origin' => 'http://elsewhere.test']);
        $this->assertSocket(403, $own, ['Origin' => 'http://localhost:81']);
        $this->assertSocket(204, $own, ['Origin' => 'http://localhost']);
        // Own ink goes out, the teacher's comes in; what pens draw and what the teacher leads with are not a student's.
        $this->assertSocket(204, $wet = "/live/wet/{$this->session->id}/{$mate->id}");
        $this->assertSocket(204, $lead = "/live/lead/{$this->session->id}/{$mate->id}");
        $this->assertSocket(403, "/live/wet/{$this->session->id}/{$this->seat->id}");
        $this->assertSocket(403, "/live/lead/{$this->session->id}/{$this->seat->id}");
        foreach (
            [
                ($pens = "/live/pens/{$this->session->id}"),
                ($leading = "/live/leading/{$this->session->id}"),
                ($shown = "/live/shown/{$this->session->id}"),
                "/live/coach/{$this->session->id}/{$mate->id}",
                "/live/wet/{$this->session->id}",
                "/live/wet/{$this->session->id}/{$mate->id}/x",
            ] as $path
        ) {
            $this->assertSocket(403, $path);
        }

        $this->asTeacher();
        $this->assertSocket(204, $desk);
        $this->assertSocket(204, $pens);
        $this->assertSocket(204, $leading);
        $this->assertSocket(403, $wet);
        $this->assertSocket(403, $lead);
        $this->assertSocket(403, $own);
        $this->assertSocket(204, $coach = "/live/coach/{$this->session->id}/{$mate->id}");
        $this->assertSocket(403, "{$coach}u3");
        $this->asTeacher('another-teacher');
        $this->assertSocket(403, $desk);
        $this->assertSocket(403, $coach);
        $this->assertSocket(403, $pens);
        $this->assertSocket(403, $leading);
        $this->asScreen($this->session);
        $this->assertSocket(204, $screen);
        $this->assertSocket(204, $shown);
        $this->assertSocket(403, $pens);
        $this->assertSocket(403, $leading);
        $this->assertSocket(403, $desk);
        $this->asNobody();
        foreach ([$own, $desk, $screen] as $address) {
            $this->assertSocket(403, $address);
        }
    }

    public function test_a_students_private_link_opens_the_own_work_and_no_more(): void
    {
        [$mate, $token] = $this->seat($this->session, 'Mate');
        $this->asStudent($mate, $token)
            ->get("/seat/{$mate->id}/home")
            ->assertOk()
            ->assertDontSee('Tamsin');
        $key = (string) $mate->refresh()->home_key;
        $mine = $this->canvasOf($mate)->id;
        $theirs = $this->canvasOf($this->seat)->id;
        $this->asNobody()
            ->get("/home/{$mate->id}/{$key}")
            ->assertOk()
            ->assertSee('Mate')
            ->assertDontSee('Tamsin');
        $this->get("/home/{$mate->id}/{$key}/work/{$mine}.svg")->assertOk();
        $this->get("/home/{$mate->id}/{$key}/work/{$theirs}.svg")->assertNotFound();
        foreach (['', '/work.pdf', "/work/{$theirs}.svg"] as $rest) {
            $this->get("/home/{$this->seat->id}/{$key}{$rest}")->assertNotFound();
            $this->get("/home/{$mate->id}/wrong{$rest}")->assertNotFound();
        }
        $this->get("/seat/{$mate->id}/home")->assertForbidden();
    }

    public function test_the_private_links_need_their_key(): void
    {
        $this->asNobody()
            ->get("/return/{$this->session->id}/wrong")
            ->assertNotFound();
        $this->get("/screen/{$this->session->id}/open/wrong")->assertNotFound();
        $this->get("/screen/{$this->session->id}/open/{$this->session->return_key}")->assertNotFound();
        $this->get("/screen/{$this->session->id}/open/{$this->session->screen_key}")->assertRedirect(
            "/screen/{$this->session->id}",
        );
        $this->get("/return/{$this->session->id}/{$this->session->return_key}")
            ->assertRedirect("/desk/{$this->session->id}")
            ->assertCookie('crag_teacher');
    }

    public function test_a_student_is_told_nothing_of_another(): void
    {
        [$mate, $token] = $this->seat($this->session, 'Mate');
        $canvas = $this->canvasOf($this->seat)->id;
        $this->asStudent($mate, $token);
        foreach (
            [
                "/seat/{$mate->id}",
                "/seat/{$mate->id}/canvas",
                "/seat/{$mate->id}/catch-up?canvas={$canvas}&operations=0",
            ] as $address
        ) {
            $this->get($address)
                ->assertOk()
                ->assertDontSee('Tamsin')
                ->assertDontSee($canvas)
                ->assertDontSee($this->seat->ink_key);
        }
        $this->postJson("/seat/{$mate->id}/operations", [
            'canvas' => $canvas,
            'operations' => [$this->stroke()],
        ])->assertNotFound();
        foreach (['png', 'svg', 'pdf', 'inkml'] as $format) {
            $this->get("/seat/{$mate->id}/work/{$canvas}.{$format}")->assertNotFound();
        }
        $this->get("/seat/{$mate->id}/canvas/{$canvas}/log")->assertNotFound();
        $heard = implode('', [
            ...$this->published->on("room.{$this->session->id}"),
            ...$this->published->on("seat.{$mate->id}"),
        ]);
        self::assertStringNotContainsString('Tamsin', $heard);
    }

    public function test_a_teacher_cannot_reach_into_another_session_through_ones_own(): void
    {
        $this->teacher('another-teacher');
        $theirs = app(StartSession::class)($this->teacher('another-teacher'), 'Levers');
        $canvas = $this->canvasOf($this->seat)->id;
        $this->asTeacher('another-teacher');
        $this->postJson("/desk/{$theirs->id}/checks", ['canvas' => $canvas, 'level' => 3])->assertNotFound();
        $this->postJson("/desk/{$theirs->id}/showcase", ['canvas' => $canvas])->assertNotFound();
        $this->getJson("/desk/{$theirs->id}/prompt/{$this->session->prompt_id}/canvases")->assertNotFound();
        $this->getJson("/desk/{$theirs->id}/prompt/{$this->session->prompt_id}/states")->assertNotFound();
        $this->postJson("/desk/{$theirs->id}/prompt/{$this->session->prompt_id}/gather")->assertNotFound();
        $this->getJson("/desk/{$theirs->id}/prompt/{$this->session->prompt_id}/lead")->assertNotFound();
        foreach (
            [
                'hand-out' => ['what' => 'prompt', 'mode' => 'fresh'],
                'state' => ['state' => 'closed'],
                'move' => ['by' => 1],
                'reveal' => [],
                'lead/show' => ['page' => ''],
                'lead/ink' => ['on' => true],
            ] as $what => $body
        ) {
            $this->postJson("/desk/{$theirs->id}/prompt/{$this->session->prompt_id}/{$what}", $body)->assertNotFound();
        }
        foreach (
            ['let-in' => ['seats' => [$this->seat->id]], 'turn-away' => ['seats' => [$this->seat->id]]] as $what => $body
        ) {
            $this->postJson("/desk/{$theirs->id}/{$what}", $body)->assertOk();
        }
        foreach (
            ['send-out' => [], 'rename' => ['name' => 'x'], 'hand' => [], 'pens' => ['down' => true]] as $what => $body
        ) {
            $this->postJson("/desk/{$theirs->id}/{$what}", $body + ['seat' => $this->seat->id])->assertNotFound();
        }
        $this->getJson("/desk/{$theirs->id}/student/{$this->seat->id}")->assertNotFound();
        $this->getJson("/desk/{$theirs->id}/student/{$this->seat->id}/everything.zip")->assertNotFound();
        $this->deleteJson("/desk/{$theirs->id}/student/{$this->seat->id}")->assertNotFound();
        foreach (['accept', 'decline', 'arrange', 'line-up'] as $what) {
            $this->postJson("/desk/{$theirs->id}/offer/{$this->offer->id}/{$what}", ['by' => 1])->assertNotFound();
        }
        foreach (['next', 'end', 'show'] as $what) {
            $this->postJson("/desk/{$theirs->id}/run/{$this->run->id}/{$what}", [
                'at' => 0,
                'on' => true,
            ])->assertNotFound();
        }
        $this->getJson("/desk/{$theirs->id}/offer/{$this->offer->id}.svg")->assertNotFound();
        $this->postJson("/desk/{$theirs->id}/message/{$this->message->id}/remove")->assertNotFound();
        $this->postJson("/desk/{$theirs->id}/handout/{$this->handout->id}/undo")->assertNotFound();
        $this->postJson("/desk/{$theirs->id}/handout/{$this->handout->id}/again", [
            'seat' => $this->seat->id,
        ])->assertNotFound();
        self::assertTrue($this->seat->refresh()->isIn());
        $this->getJson("/desk/{$theirs->id}/canvas/{$canvas}/log")->assertNotFound();
        $this->getJson("/desk/{$theirs->id}/canvas/{$canvas}/replay")->assertNotFound();
        $this->getJson("/desk/{$theirs->id}/work/{$canvas}.svg")->assertNotFound();
        foreach (['close', 'notes'] as $what) {
            $this->getJson("/desk/{$theirs->id}/canvas/{$canvas}/{$what}")->assertNotFound();
        }
        foreach (
            [
                'looked' => ['n' => 1],
                'give-back' => ['to' => 'x'],
                'give-back/undo' => ['operation' => 'x'],
                'copy-to-lead' => [],
            ] as $what => $body
        ) {
            $this->postJson("/desk/{$theirs->id}/canvas/{$canvas}/{$what}", $body)->assertNotFound();
        }
        $this->postJson("/desk/{$theirs->id}/coach", ['canvas' => $canvas, 'operations' => []])->assertNotFound();
        $this->postJson("/desk/{$theirs->id}/checks", ['canvases' => [$canvas], 'level' => 3])->assertNotFound();
        $this->postJson("/desk/{$theirs->id}/line-up", ['chosen' => [['canvas' => $canvas]]])->assertNotFound();
        $this->postJson("/desk/{$theirs->id}/line-up/{$this->entry->id}/show")->assertNotFound();
        $this->postJson("/desk/{$theirs->id}/line-up/{$this->entry->id}/remove")->assertNotFound();
        foreach (['close', 'show', 'again'] as $what) {
            $this->postJson("/desk/{$theirs->id}/ask/{$this->ask->id}/{$what}")->assertNotFound();
        }
        $this->postJson("/desk/{$theirs->id}/pick/{$this->pick->id}/undo")->assertNotFound();
        $this->postJson("/desk/{$theirs->id}/pick", ['seats' => [$this->seat->id]])->assertUnprocessable();
        $this->assertSocket(403, "/live/coach/{$theirs->id}/{$this->seat->id}");
    }

    public function test_a_picture_is_seen_by_its_session_alone(): void
    {
        $asset = Asset::query()->create([
            'live_session_id' => $this->session->id,
            'mime' => 'image/png',
            'width' => 1,
            'height' => 1,
            'bytes' => 3,
        ]);
        file_put_contents($asset->path(), 'abc');
        [$mate, $token] = $this->seat($this->session, 'Mate');
        $this->asStudent($mate, $token)
            ->get("/asset/{$asset->id}")
            ->assertOk();
        $this->asTeacher()
            ->get("/asset/{$asset->id}")
            ->assertOk();
        $this->asScreen($this->session)
            ->get("/asset/{$asset->id}")
            ->assertOk();
        $this->asNobody()
            ->get("/asset/{$asset->id}")
            ->assertForbidden();
        $this->asTeacher('another-teacher')
            ->get("/asset/{$asset->id}")
            ->assertForbidden();
        HeldFolder::remove('sessions', $this->session->id);
    }

    public function test_a_students_picture_is_seen_by_that_student_and_the_teacher_alone(): void
    {
        [$mate, $token] = $this->seat($this->session, 'Mate');
        [$other, $otherToken] = $this->seat($this->session, 'Other');
        $asset = Asset::query()->create([
            'live_session_id' => $this->session->id,
            'seat_id' => $mate->id,
            'mime' => 'image/png',
            'width' => 1,
            'height' => 1,
            'bytes' => 3,
        ]);
        file_put_contents($asset->path(), 'abc');
        $this->asStudent($mate, $token)
            ->get("/asset/{$asset->id}")
            ->assertOk();
        $this->asTeacher()
            ->get("/asset/{$asset->id}")
            ->assertOk();
        $this->asStudent($other, $otherToken)
            ->get("/asset/{$asset->id}")
            ->assertForbidden();
        $this->asScreen($this->session)
            ->get("/asset/{$asset->id}")
            ->assertForbidden();
        HeldFolder::remove('sessions', $this->session->id);
    }

    public function test_nobody_draws_on_a_canvas_of_anothers_kind(): void
    {
        $lead = app(TakeCanvas::class)->lead($this->session->prompt()->firstOrFail());
        [$mate, $token] = $this->seat($this->session, 'Mate');
        $this->asStudent($mate, $token)
            ->postJson("/seat/{$mate->id}/operations", ['canvas' => $lead->id, 'operations' => [$this->stroke()]])
            ->assertNotFound();
        $this->asTeacher()
            ->postJson("/desk/{$this->session->id}/operations", [
                'canvas' => $this->canvasOf($this->seat)->id,
                'operations' => [$this->stroke()],
            ])
            ->assertNotFound();
    }

    private function become(string $who, string $part): void
    {
        match ($who) {
            'nobody' => $this->asNobody(),
            'classmate' => $this->asStudent(...$this->seat($this->session, 'Mate')),
            'other student' => $this->asStudent(...$this->seat($this->newSession('Levers'), 'Stranger')),
            'other teacher' => $this->asTeacher('another-teacher'),
            default => $part === 'desk' ? $this->asScreen($this->session) : $this->asTeacher(),
        };
    }

    private function fill(string $uri): string
    {
        return strtr($uri, [
            '{session}' => $this->session->id,
            '{seat}' => $this->seat->id,
            '{prompt}' => (string) $this->session->prompt_id,
            '{student}' => $this->seat->id,
            '{message}' => $this->message->id,
            '{handout}' => $this->handout->id,
            '{act}' => $this->session->acts()->firstOrFail()->id,
            '{canvas}' => $this->canvasOf($this->seat)->id,
            '{format}' => 'png',
            '{showcase}' => (string) $this->session->showcase_id,
            '{pick}' => (string) $this->pick->id,
            '{entry}' => (string) $this->entry->id,
            '{ask}' => $this->ask->id,
            '{n}' => '1',
            '{sheet}' => 'ods',
            '{offer}' => $this->offer->id,
            '{run}' => $this->run->id,
        ]);
    }

    /** @param  array<string, string>  $headers */
    private function assertSocket(int $status, string $address, array $headers = []): void
    {
        $this->get('/live/may-open', ['X-Original-URI' => $address] + $headers)->assertStatus($status);
    }
}
