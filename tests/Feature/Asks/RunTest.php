<?php

declare(strict_types=1);

namespace Tests\Feature\Asks;

use App\Models\Asks\Ask;
use App\Models\Asks\Run;
use App\Models\LiveSession;
use App\Models\Seat;
use App\Sessions\Life\EndIdle;
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
        $this->start("F? | 80 N | 20 s\nWhich way? | up; *down", ['teams' => true])->assertOk();
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
            ->assertJsonPath('own.run', null);
        $this->desk("run/{$run->id}/show", ['on' => true])->assertOk();
        $this->asStudent($seat, $token)
            ->getJson("/seat/{$seat->id}/canvas")
            ->assertJsonPath('own.run', ['right' => 2, 'of' => 2]);
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
            ->assertSee('up; *down');
    }

    /**
     * @param  array<string, mixed>  $with
     * @return TestResponse<Response>
     */
    private function start(string $lines, array $with = []): TestResponse
    {
        return $this->desk('runs', $with + ['lines' => $lines, 'seconds' => 30, 'auto' => false, 'teams' => false]);
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
