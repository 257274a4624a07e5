<?php

declare(strict_types=1);

namespace Tests\Feature\Room;

use App\Sessions\Room\LiveTalk;
use Illuminate\Testing\TestResponse;
use Symfony\Component\HttpFoundation\Response;
use Tests\Support\OneStudentTestCase;

/** A teacher talks with one student from page to page: asked, accepted, put through, ended. */
final class LiveTalkTest extends OneStudentTestCase
{
    private const SOUND = "v=0\r\no=- 1 2 IN IP4 127.0.0.1\r\ns=-\r\nt=0 0\r\nm=audio 9 UDP/TLS/RTP/SAVPF 111\r\n".
        "a=candidate:1 1 udp 2122 127.0.0.1 50001 typ host\r\na=candidate:2 1 udp 2121 10.20.3.4 50002 typ host\r\n";

    protected function setUp(): void
    {
        parent::setUp();
        config(['crag.live_talk' => true]);
        $this->published->listening = ["seat.{$this->seat->channelId()}" => 1];
    }

    public function test_a_talk_is_asked_for_accepted_put_through_and_ended(): void
    {
        $talk = $this->ask();
        self::assertSame(['id' => $talk, 'name' => 'Ms Okafor-Lind', 'isOn' => false], $this->own()['liveTalk']);
        $this->page($talk, ['is' => 'accepted'])->assertOk()->assertJson(['servers' => [], 'only' => false]);
        self::assertTrue($this->own()['liveTalk']['isOn']);
        $this->published->messages = [];
        $this->page($talk, ['is' => 'offer', 'sdp' => self::SOUND])->assertOk();
        $told = $this->published->on("desk.{$this->session->id}");
        self::assertCount(1, $told);
        self::assertSame(
            ['stream' => 'live', 'live' => ['id' => $talk, 'is' => 'offer', 'sdp' => self::SOUND]],
            json_decode($told[0], true),
        );
        $this->desk($talk, ['sdp' => self::SOUND])->assertOk();
        $told = $this->published->on("seat.{$this->seat->channelId()}");
        self::assertSame(self::SOUND, json_decode((string) end($told), true)['live']['sdp']);
        $this->desk($talk)->assertOk();
        self::assertNull($this->own()['liveTalk']);
        // Nothing of it is kept: no event has the addresses, and no table has the talk.
        self::assertStringNotContainsString('candidate', json_encode(\DB::table('events')->get(), JSON_THROW_ON_ERROR));
        $this->page($talk, ['is' => 'offer', 'sdp' => self::SOUND])->assertConflict();
        $this->desk($talk, ['sdp' => self::SOUND])->assertConflict();
    }

    public function test_a_student_can_say_no_and_either_can_end_it(): void
    {
        $talk = $this->ask();
        $this->published->messages = [];
        $this->page($talk, ['is' => 'declined'])->assertOk();
        self::assertNull($this->own()['liveTalk']);
        self::assertStringContainsString('"is":"declined"', implode('', $this->published->on("desk.{$this->session->id}")));
        $talk = $this->ask();
        $this->page($talk, ['is' => 'accepted'])->assertOk();
        $this->page($talk, ['is' => 'ended'])->assertOk();
        self::assertNull($this->own()['liveTalk']);
    }

    public function test_one_talk_at_a_time_and_a_question_that_nobody_answers_is_gone(): void
    {
        $this->ask();
        $this->asTeacher()->postJson($this->at('/live-talk'), ['seat' => $this->seat->id])
            ->assertConflict()
            ->assertSee('already being asked');
        $this->travel(LiveTalk::ASKS_S + 1)->seconds();
        self::assertNull($this->own()['liveTalk']);
        $late = $this->ask();
        $this->travel(LiveTalk::ASKS_S + 1)->seconds();
        $this->page($late, ['is' => 'accepted'])->assertConflict();
    }

    public function test_a_page_that_is_not_open_cannot_be_asked(): void
    {
        $this->published->listening = [];
        $this->asTeacher()->postJson($this->at('/live-talk'), ['seat' => $this->seat->id])
            ->assertConflict()
            ->assertJsonPath('message', 'Tamsin’s page isn’t open right now.');
        $this->postJson($this->at('/live-talk'), ['seat' => 'nobody'])->assertNotFound();
    }

    public function test_nobody_else_takes_part(): void
    {
        $talk = $this->ask();
        [$mate, $token] = $this->seat($this->session, 'Mate');
        // Another student can neither answer it nor listen in.
        $this->asStudent($mate, $token)->postJson("/seat/{$mate->id}/live-talk/{$talk}", ['is' => 'accepted'])
            ->assertConflict();
        $this->postJson("/seat/{$this->seat->id}/live-talk/{$talk}", ['is' => 'accepted'])->assertForbidden();
        $this->postJson("/seat/{$mate->id}/live-talk/{$talk}", ['is' => 'ended'])->assertOk();
        self::assertNotNull($this->own()['liveTalk']);
        // Nor a colleague, to whom it does not belong, nor a teacher of another session.
        $this->page($talk, ['is' => 'accepted'])->assertOk();
        $this->asTeacher('another-teacher')->postJson($this->at("/live-talk/{$talk}"), ['seat' => $this->seat->id])
            ->assertForbidden();
        $this->session->teachers()->attach($this->teacher('a-colleague')->id, ['role' => 'colleague']);
        $this->asTeacher('a-colleague')->postJson($this->at("/live-talk/{$talk}"), ['seat' => $this->seat->id])
            ->assertConflict();
        self::assertNotNull($this->own()['liveTalk']);
    }

    public function test_what_is_no_sound_is_not_passed_on(): void
    {
        $talk = $this->ask();
        $this->page($talk, ['is' => 'accepted'])->assertOk();
        foreach (['', 'hello', self::SOUND."m=video 9 UDP/TLS/RTP/SAVPF 96\r\n"] as $sdp) {
            $this->page($talk, ['is' => 'offer', 'sdp' => $sdp])->assertUnprocessable();
        }
        $this->page($talk, ['is' => 'listening'])->assertUnprocessable();
        $this->desk($talk, ['sdp' => 'hello'])->assertUnprocessable();
    }

    public function test_the_installation_allows_it_and_says_by_which_ways(): void
    {
        config([
            'crag.turn_url' => 'turn:turn.sillbeck.example:3478',
            'crag.turn_secret' => 'north',
            'crag.turn_only' => true,
            'crag.talk_networks' => '10.20.0.0/16',
        ]);
        $talk = $this->ask();
        $ways = $this->page($talk, ['is' => 'accepted'])->assertOk()->json();
        self::assertTrue($ways['only']);
        self::assertSame('turn:turn.sillbeck.example:3478', $ways['servers'][0]['urls']);
        self::assertStringEndsWith(':crag', $ways['servers'][0]['username']);
        self::assertStringNotContainsString('north', json_encode($ways, JSON_THROW_ON_ERROR));
        $this->published->messages = [];
        $this->page($talk, ['is' => 'offer', 'sdp' => self::SOUND])->assertOk();
        $told = implode('', $this->published->on("desk.{$this->session->id}"));
        self::assertStringContainsString('10.20.3.4', $told);
        self::assertStringNotContainsString('127.0.0.1 50001', $told);
        config(['crag.live_talk' => false]);
        $this->desk($talk)->assertOk();
        $this->asTeacher()->postJson($this->at('/live-talk'), ['seat' => $this->seat->id])->assertConflict();
        self::assertNull($this->own()['liveTalk']);
        $this->asTeacher()->get($this->at(''))->assertOk()->assertDontSee('Talk live');
    }

    private function ask(): string
    {
        $id = $this->asTeacher()->postJson($this->at('/live-talk'), ['seat' => $this->seat->id])->assertOk()->json('id');
        self::assertIsString($id);

        return $id;
    }

    private function at(string $what): string
    {
        return "/desk/{$this->session->id}{$what}";
    }

    /**
     * @param  array<string, string>  $body
     * @return TestResponse<Response>
     */
    private function page(string $talk, array $body): TestResponse
    {
        return $this->asStudent($this->seat, $this->token)->postJson("/seat/{$this->seat->id}/live-talk/{$talk}", $body);
    }

    /**
     * @param  array<string, string>  $body
     * @return TestResponse<Response>
     */
    private function desk(string $talk, array $body = []): TestResponse
    {
        return $this->asTeacher()->postJson($this->at("/live-talk/{$talk}"), ['seat' => $this->seat->id] + $body);
    }

    /**
     * @phpstan-impure
     *
     * @return array<string, mixed>
     */
    private function own(): array
    {
        return $this->asStudent($this->seat, $this->token)->getJson("/seat/{$this->seat->id}/canvas")->json('own');
    }
}
