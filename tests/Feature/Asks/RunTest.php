<?php

declare(strict_types=1);

namespace Tests\Feature\Asks;

use App\Live\Clock;
use App\Models\Asks\Ask;
use App\Models\Asks\Run;
use App\Models\Asset;
use App\Models\LiveSession;
use App\Models\Prompt;
use App\Models\Seat;
use App\Sessions\Life\EndIdle;
use Crag\Session\Room\PromptState;
use Illuminate\Testing\TestResponse;
use Symfony\Component\HttpFoundation\Response;
use Tests\Support\CragTestCase;

/** Quick asks one after the other, and how everybody did. */
final class RunTest extends CragTestCase
{
    private LiveSession $session;

    /** @var array<string, array{Seat, string}> */
    private array $class = [];

    protected function setUp(): void
    {
        parent::setUp();
        $this->session = $this->newSession();
        foreach (['Tamsin' => 'Struts', 'Otis' => 'Struts', 'Wren' => 'Ties'] as $name => $group) {
            $this->class[$name] = $this->seat($this->session, $name);
            $this->class[$name][0]->update(['group' => $group]);
        }
    }

    public function test_a_run_goes_through_its_asks_and_ends_with_how_everybody_did(): void
    {
        $this->start("F? | 80 N | 20 s\nWhich way? | up; *down", ['teams' => 'groups'])->assertOk();
        $run = Run::query()->firstOrFail();
        self::assertSame(
            [1, 20_000],
            [$run->at, Ask::query()->firstOrFail()->ends_at_ms - Ask::query()->firstOrFail()->made_at_ms],
        );
        $this->answer('Tamsin', '80 N');
        $this->answer('Otis', '8 N');
        $this->desk("run/{$run->id}/next", ['at' => 1])->assertOk();
        $this->desk("run/{$run->id}/next", ['at' => 1])->assertOk();
        self::assertSame(2, Ask::query()->count(), 'a second word about the same one changes nothing');
        $this->answer('Tamsin', 'o2');
        $this->answer('Wren', 'o2');
        $this->desk("run/{$run->id}/next", ['at' => 2])->assertOk();
        self::assertTrue($run->refresh()->isOver());
        self::assertNull($this->session->refresh()->ask_id);

        $this->asTeacher()
            ->get("/desk/{$this->session->id}/ask")
            ->assertOk()
            ->assertSee('How everyone did')
            ->assertSee('1 of 2 right')
            ->assertSeeInOrder(['Struts', '1.0', 'Ties', '1.0']);
        [$seat, $token] = $this->class['Tamsin'];
        $this->asStudent($seat, $token)
            ->getJson("/seat/{$seat->id}/canvas")
            ->assertJsonPath('own.run.result', null);
        $this->desk("run/{$run->id}/show", ['on' => true])->assertOk();
        $this->asStudent($seat, $token)
            ->getJson("/seat/{$seat->id}/canvas")
            ->assertJsonPath('own.run.result', ['right' => 2, 'of' => 2])
            ->assertJsonPath('own.run.team', 'Struts');
        $screen = $this->asScreen($this->session)
            ->get("/screen/{$this->session->id}/shown")
            ->assertOk()
            ->assertSee('Struts');
        foreach (array_keys($this->class) as $name) {
            $screen->assertDontSee($name);
        }
        $this->desk("run/{$run->id}/show", ['on' => false])->assertOk();
        $this->asScreen($this->session)
            ->get("/screen/{$this->session->id}/shown")
            ->assertDontSee('Struts');
    }

    public function test_it_moves_on_by_itself_even_without_its_desk(): void
    {
        $this->start("F? | 80 N | 20 s\nWhy?", ['auto' => true])->assertOk();
        $run = Run::query()->firstOrFail();
        $this->travel(21)->seconds();
        app(EndIdle::class)();
        self::assertSame(1, $run->refresh()->at, 'the answers stand for a moment');
        $this->travel(4)->seconds();
        app(EndIdle::class)();
        self::assertSame(2, $run->refresh()->at);
        $this->travel(35)->seconds();
        app(EndIdle::class)();
        self::assertTrue($run->refresh()->isOver());
    }

    public function test_lines_that_cannot_be_asked_say_so_and_nothing_begins(): void
    {
        $this->start('F? | 80 N | soon')->assertUnprocessable()->assertSee('Write a time like');
        $this->start("\n  \n")->assertUnprocessable();
        $this->start(str_repeat("Why?\n", 41))->assertUnprocessable();
        self::assertSame(0, Run::query()->count() + Ask::query()->count());
    }

    public function test_planned_asks_of_the_prompt_stand_ready(): void
    {
        $this->session
            ->prompt()
            ->firstOrFail()
            ->update(['details' => ['asks' => ['Which way? | up; *down | 20 s']]]);
        $this->asTeacher()
            ->get("/desk/{$this->session->id}/ask")
            ->assertOk()
            ->assertSee('Which way?')
            ->assertSee('&quot;right&quot;:[&quot;o2&quot;]', false);
    }

    public function test_the_answers_are_looked_at_before_it_goes_on(): void
    {
        $card = ['look' => 'right', 'kind' => 'ask', 'seconds' => null, 'question' => $this->question()];
        $this->desk('runs', ['cards' => [$card, 'Why?'], 'seconds' => 20, 'auto' => true, 'screen' => true])->assertOk();
        $run = Run::query()->firstOrFail();
        $this->answer('Tamsin', 'o2');
        $this->desk("run/{$run->id}/next", ['at' => 1, 'looked' => false])->assertOk();
        $this->desk("run/{$run->id}/next", ['at' => 1, 'looked' => false])->assertOk();
        $ask = Ask::query()->sole();
        self::assertSame([1, true, true, false], [
            $run->refresh()->at,
            $ask->is_tally_shown,
            $ask->is_right_shown,
            $ask->isOpen(Clock::ms()),
        ], 'a second word about the same step changes nothing');
        $this->screen()->assertSee('Right: down');
        $this->travel(9)->seconds();
        app(EndIdle::class)();
        self::assertSame(1, $run->refresh()->at, 'the answers stand for ten seconds');
        $this->travel(2)->seconds();
        app(EndIdle::class)();
        self::assertSame(2, $run->refresh()->at);
    }

    public function test_a_time_that_is_up_shows_the_answers_by_itself(): void
    {
        $card = ['look' => 'bars', 'kind' => 'ask', 'seconds' => 10, 'question' => $this->question()];
        $this->desk('runs', ['cards' => [$card], 'seconds' => 20, 'auto' => true])->assertOk();
        $this->travel(11)->seconds();
        app(EndIdle::class)();
        $ask = Ask::query()->sole();
        self::assertSame([true, false], [$ask->is_tally_shown, $ask->is_right_shown]);
    }

    public function test_a_worked_answer_stands_between_two_questions(): void
    {
        $this->session->update(['screen_view' => 'join']);
        $worked = ['kind' => 'worked', 'words' => '60 N × 2 m = 120 N m', 'picture' => '', 'seconds' => 15];
        $this->desk('runs', ['cards' => ['F? | 80 N', $worked, 'Why?'], 'seconds' => 20, 'auto' => true,
            'screen' => true])->assertOk();
        $run = Run::query()->firstOrFail();
        $this->screen()->assertSee('F?');
        $this->desk("run/{$run->id}/next", ['at' => 1])->assertOk();
        $this->screen()->assertSee('120 N m')->assertSee('Worked answer');
        self::assertSame('60 N × 2 m = 120 N m', $this->ownRun('Wren')['worked']['words']);
        $this->asTeacher()->get("/desk/{$this->session->id}/ask")->assertOk()->assertSee('Card 2 of 3');
        $this->travel(16)->seconds();
        app(EndIdle::class)();
        self::assertSame(3, $run->refresh()->at);
        self::assertNull($this->ownRun('Wren')['worked']);
        $this->screen()->assertSee('Why?');
        $this->desk("run/{$run->id}/end", [])->assertOk();
        self::assertSame('join', $this->session->refresh()->screen_view->value, 'what stood there before stands there again');
    }

    public function test_a_students_work_comes_from_the_line_up_or_from_the_answers(): void
    {
        $canvas = $this->canvasOf($this->class['Otis'][0]);
        $this->desk('line-up', ['chosen' => [['canvas' => $canvas->id]]])->assertOk();
        $this->desk('runs', ['cards' => ['F? | 80 N', ['kind' => 'work', 'seconds' => null]], 'seconds' => 20,
            'screen' => true])->assertOk();
        $run = Run::query()->firstOrFail();
        $this->desk("run/{$run->id}/next", ['at' => 1])->assertOk();
        self::assertSame('showcase', $this->session->refresh()->screen_view->value);
        self::assertSame($canvas->id, $this->session->showcase?->items->sole()->canvas_id);
        self::assertNull($this->session->ask_id);
        // It goes with its card, on a class screen that the run does not hold too.
        $this->desk('screen', ['view' => 'join'])->assertNoContent();
        $cards = [['kind' => 'work', 'seconds' => null], 'F? | 80 N'];
        $this->desk('runs', ['cards' => $cards, 'seconds' => 20, 'screen' => false])->assertOk();
        self::assertSame('showcase', $this->session->refresh()->screen_view->value);
        $second = Run::query()->latest('id')->firstOrFail();
        $this->desk("run/{$second->id}/next", ['at' => 1])->assertOk();
        self::assertSame('join', $this->session->refresh()->screen_view->value);
        // What the teacher shows meanwhile stays when the run ends.
        $this->desk('show', ['canvas' => $canvas->id]);
        $shown = $this->session->refresh()->screen_view->value;
        $this->desk("run/{$second->id}/end", [])->assertOk();
        self::assertSame($shown, $this->session->refresh()->screen_view->value);
    }

    public function test_teams_have_names_and_nobody_is_left_out(): void
    {
        $this->start('F? | 80 N', ['teams' => '2', 'team_names' => ['Arches', ' ']])->assertOk();
        $run = Run::query()->firstOrFail();
        $teams = array_map(fn (string $name): ?string => $run->teams?->of($this->class[$name][0]->id), [
            'Tamsin' => 'Tamsin', 'Otis' => 'Otis', 'Wren' => 'Wren']);
        self::assertEqualsCanonicalizing(['Arches', 'Team 2'], array_unique(array_values($teams)));
        self::assertSame($teams['Wren'], $this->ownRun('Wren')['team']);
        $late = $this->class['Late'] = $this->seat($this->session, 'Late');
        self::assertNull($this->ownRun('Late')['team']);
        $this->desk("run/{$run->id}/end", [])->assertOk();
        $this->start("F? | 80 N\nM? | 1", ['teams' => '2'])->assertOk();
        $run = Run::query()->latest('id')->firstOrFail();
        self::assertCount(4, $run->teams?->all() ?? []);
        $this->start('F? | 80 N', ['teams' => '2', 'team_names' => ['Ties', 'ties']])->assertUnprocessable();
        $this->start('F? | 80 N', ['teams' => '77'])->assertUnprocessable();
    }

    public function test_a_question_of_the_teachers_own_makes_the_run_wait(): void
    {
        $this->start("F? | 80 N | 20 s\nWhy?", ['auto' => true])->assertOk();
        $this->desk('asks', ['question' => $this->question(), 'seconds' => null])->assertOk();
        $this->travel(60)->seconds();
        app(EndIdle::class)();
        self::assertSame(1, Run::query()->sole()->at);
        $this->desk('ask-away', [])->assertOk();
        app(EndIdle::class)();
        self::assertSame(2, Run::query()->sole()->at);
    }

    public function test_lines_become_cards_and_cards_become_practice(): void
    {
        $cards = $this->desk('cards', ['lines' => "F? | 80 N\n\nWhich way? | up; *down | 20 s"])
            ->assertOk()
            ->json('cards');
        self::assertSame(['F?', 'Which way?'], array_map(fn (array $card) => $card['question']['words'], $cards));
        $this->desk('cards', ['lines' => 'F? | 80 N | soon'])->assertUnprocessable()->assertSee('Card 1');
        $prompt = $this->desk('practice', ['cards' => $cards])->assertOk()->json('prompt');
        $practice = Prompt::query()->findOrFail($prompt);
        self::assertSame(PromptState::Open, $practice->state);
        self::assertSame(['q1', 'q2'], array_column($practice->details['questions'], 'id'));
        $this->desk('practice', ['cards' => [['kind' => 'work', 'seconds' => null]]])->assertUnprocessable();
    }

    public function test_a_picture_of_another_session_is_no_picture(): void
    {
        $foreign = Asset::query()->create(['live_session_id' => $this->newSession()->id, 'mime' => 'image/png',
            'width' => 10, 'height' => 10, 'bytes' => 100]);
        $card = ['kind' => 'ask', 'question' => $this->question(), 'picture' => $foreign->id, 'seconds' => null];
        $this->desk('runs', ['cards' => [$card], 'seconds' => 20])->assertUnprocessable();
        $own = Asset::query()->create(['live_session_id' => $this->session->id, 'mime' => 'image/png',
            'width' => 10, 'height' => 10, 'bytes' => 100]);
        $this->desk('runs', ['cards' => [['picture' => $own->id] + $card], 'seconds' => 20])->assertOk();
        [$seat, $token] = $this->class['Wren'];
        $this->asStudent($seat, $token)->getJson("/seat/{$seat->id}/canvas")->assertJsonPath('own.ask.picture', $own->id);
        $practice = $this->desk('practice', ['cards' => [['picture' => $own->id] + $card]])->json('prompt');
        $prompt = Prompt::query()->findOrFail($practice);
        self::assertSame(0, $prompt->details['questions'][0]['spot']['page'], 'it stands on its picture');
        self::assertSame($own->id, $prompt->pagesValue()->toArray()[0]['backdrop']['asset'] ?? null);
    }

    /** @return array<string, mixed> */
    private function question(): array
    {
        return ['kind' => 'choice', 'words' => 'Which way?', 'options' => [['id' => 'o1', 'words' => 'up'],
            ['id' => 'o2', 'words' => 'down']], 'right' => ['o2'], 'shuffle' => false];
    }

    /**
     * @param  array<string, mixed>  $with
     * @return TestResponse<Response>
     */
    private function start(string $lines, array $with = []): TestResponse
    {
        return $this->desk('runs', $with + [
            'cards' => array_values(array_filter(array_map(trim(...), explode("\n", $lines)))),
            'seconds' => 30,
            'auto' => false,
        ]);
    }

    /** @return array<string, mixed>|null what a student's page knows of the run */
    private function ownRun(string $name): ?array
    {
        [$seat, $token] = $this->class[$name];

        return $this->asStudent($seat, $token)->getJson("/seat/{$seat->id}/canvas")->json('own.run');
    }

    /** @return TestResponse<Response> */
    private function screen(): TestResponse
    {
        return $this->asScreen($this->session)->get("/screen/{$this->session->id}/shown")->assertOk();
    }

    private function answer(string $name, string $value): void
    {
        [$seat, $token] = $this->class[$name];
        $this->asStudent($seat, $token)
            ->postJson("/seat/{$seat->id}/ask", ['ask' => $this->session->refresh()->ask_id, 'value' => $value])
            ->assertOk();
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
