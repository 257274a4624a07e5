<?php

declare(strict_types=1);

namespace Tests\Feature\Watch;

use App\Live\Clock;
use App\Live\Keeper\TellStates;
use App\Sessions\Life\EndSession;
use App\Sessions\Watch\DeskLooks;
use Illuminate\Support\Facades\DB;
use Tests\Support\OneStudentTestCase;

/** States that desks are told without asking. */
final class TellStatesTest extends OneStudentTestCase
{
    private TellStates $tell;

    private int $now;

    protected function setUp(): void
    {
        parent::setUp();
        $this->tell = app(TellStates::class);
        $this->now = Clock::ms();
    }

    public function test_a_desk_that_looks_is_told_what_it_would_be_answered(): void
    {
        self::assertSame([], $this->toldAfter(0), 'nobody looks');
        $answer = $this->look();
        $told = $this->toldAfter(1000);
        self::assertCount(1, $told);
        self::assertSame($this->session->prompt_id, $told[0]['prompt']);
        self::assertEquals(array_diff_key($answer, ['at' => 1]), array_diff_key($told[0]['states'], ['at' => 1]));
        self::assertIsInt($told[0]['states']['at']);
    }

    public function test_it_is_told_when_something_has_happened_and_not_more_often_than_every_two_seconds(): void
    {
        $this->look();
        self::assertCount(1, $this->toldAfter(1000));
        self::assertSame([], $this->toldAfter(2500), 'nothing happened');
        $this->appendAs($this->seat, $this->token, $this->stroke())->assertOk();
        self::assertCount(1, $this->toldAfter(1000), 'a stroke');
        $this->asStudent($this->seat, $this->token)->postJson("/seat/{$this->seat->id}/hand", ['up' => true])->assertOk();
        self::assertSame([], $this->toldAfter(1000), 'just told');
        $told = $this->toldAfter(1100);
        self::assertCount(1, $told, 'a hand');
        self::assertTrue($told[0]['states']['states'][0]['hand']);
        self::assertSame([], $this->toldAfter(5000));
        self::assertCount(1, $this->toldAfter(5000), 'minutes pass');
    }

    public function test_two_desks_of_a_session_are_told_once_and_who_looks_away_is_forgotten(): void
    {
        $this->look();
        $this->look(silent: [$this->seat->id]);
        $told = $this->toldAfter(1000);
        self::assertCount(1, $told);
        self::assertContains('away', $told[0]['states']['states'][0]['states']);
        self::assertSame([], $this->toldAfter(50_000));
        DeskLooks::forgetOld($this->now);
        self::assertSame(0, DB::table('desk_looks')->count());
    }

    public function test_nothing_is_told_of_what_has_ended_or_to_who_does_not_say_that_it_looks(): void
    {
        $this->asTeacher()->getJson($this->address())->assertOk();
        self::assertSame([], $this->toldAfter(1000));
        $this->look();
        app(EndSession::class)($this->session->refresh());
        self::assertSame([], $this->toldAfter(3000));
    }

    public function test_one_that_cannot_be_worked_out_keeps_nobody_elses_back(): void
    {
        $this->look();
        $other = $this->newSession('Levers');
        DeskLooks::note($other, $other->prompt()->firstOrFail(), [], $this->now);
        DB::table('live_sessions')->where('id', $this->session->id)->update(['settings' => '{"broken']);
        $this->published->messages = [];
        $this->now += 1000;
        while (($this->tell)($this->now)) {
            continue;
        }
        self::assertCount(1, $this->states("desk.{$other->id}"));
        self::assertSame([], $this->states("desk.{$this->session->id}"));
    }

    /**
     * @param  list<string>  $silent
     * @return array<string, mixed> what a desk that asks is answered
     */
    private function look(array $silent = []): array
    {
        return (array) $this->asTeacher()
            ->getJson($this->address().'?looks=1&silent='.implode(',', $silent))
            ->assertOk()
            ->json();
    }

    private function address(): string
    {
        return "/desk/{$this->session->id}/prompt/{$this->session->refresh()->prompt_id}/states";
    }

    /** @return list<array<string, mixed>> what the desk is told when so many milliseconds more have passed */
    private function toldAfter(int $ms): array
    {
        $this->now += $ms;
        $this->published->messages = [];
        while (($this->tell)($this->now)) {
            continue;
        }

        return $this->states("desk.{$this->session->id}");
    }

    /** @return list<array<string, mixed>> */
    private function states(string $channel): array
    {
        return array_values(
            array_filter(
                array_map(
                    static fn (string $message): array => (array) json_decode($message, true),
                    $this->published->on($channel),
                ),
                static fn (array $message): bool => ($message['stream'] ?? '') === 'states',
            ),
        );
    }
}
