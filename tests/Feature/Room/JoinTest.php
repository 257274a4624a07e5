<?php

declare(strict_types=1);

namespace Tests\Feature\Room;

use App\Models\LiveSession;
use App\Models\Seat;
use App\Sessions\Life\EndSession;
use App\Sessions\Room\TakeSeat;
use PHPUnit\Framework\Attributes\TestWith;
use Tests\Support\CragTestCase;

final class JoinTest extends CragTestCase
{
    public function test_a_teacher_starts_with_a_name_and_a_title_and_nothing_else(): void
    {
        $response = $this->post('/start', ['name' => 'Ms Okafor-Lind', 'title' => 'Bridges and Beams']);
        $session = LiveSession::query()->firstOrFail();
        $response->assertRedirect("/desk/{$session->id}")->assertCookie('crag_teacher');
        self::assertMatchesRegularExpression('/^[CDFGHJKMNPQRTWXY34679]{6}$/', $session->join_code);
        self::assertSame(1, $session->prompts()->count());
    }

    #[TestWith(['', 'Bridges', 'name'])]
    #[TestWith(["\u{200b}", 'Bridges', 'name'])]
    #[TestWith(['Ms Okafor-Lind', '', 'title'])]
    public function test_starting_without_what_is_needed_says_what_is_missing(
        string $name,
        string $title,
        string $field,
    ): void {
        $this->post('/start', ['name' => $name, 'title' => $title])->assertSessionHasErrors($field);
        self::assertSame(0, LiveSession::query()->count());
    }

    public function test_a_code_and_a_name_give_a_seat_and_its_page(): void
    {
        $session = $this->newSession();
        $response = $this->post('/join', ['code' => strtolower($session->code()->spaced()), 'name' => ' Tamsin ']);
        $seat = Seat::query()->firstOrFail();
        $response->assertRedirect("/seat/{$seat->id}")->assertCookie(Seat::cookieFor($session->id));
        self::assertSame('Tamsin', $seat->name);
        self::assertCount(1, $this->published->on("desk.{$session->id}"));
    }

    public function test_the_same_device_comes_back_to_the_same_seat(): void
    {
        $session = $this->newSession();
        [$seat, $token] = $this->seat($session);
        $this->asStudent($seat, $token)
            ->get("/join/{$session->join_code}")
            ->assertRedirect("/seat/{$seat->id}");
        $this->asStudent($seat, $token)
            ->post('/join', ['code' => $session->join_code, 'name' => 'Another'])
            ->assertRedirect("/seat/{$seat->id}");
        self::assertSame(1, Seat::query()->count());
    }

    public function test_two_students_of_one_name_are_told_apart(): void
    {
        $session = $this->newSession();
        $this->seat($session, 'Aino');
        self::assertSame('aino (2)', $this->seat($session, 'aino')[0]->name);
    }

    #[TestWith(['KMP4R', 'this has 5'])]
    #[TestWith(['KMP4RO', 'never use'])]
    #[TestWith(['CCCCCC', 'No session has the code'])]
    public function test_a_wrong_code_gets_a_helpful_answer(string $code, string $says): void
    {
        $this->get('/join?code='.$code)
            ->assertOk()
            ->assertSee($says);
        $this->followingRedirects()
            ->post('/join', ['code' => $code, 'name' => 'Tamsin'])
            ->assertSee($says);
        self::assertSame(0, Seat::query()->count());
    }

    public function test_the_code_of_an_ended_session_is_dead_and_says_so(): void
    {
        $session = $this->newSession();
        app(EndSession::class)($session);
        $this->get("/join/{$session->join_code}")
            ->assertOk()
            ->assertSee('has ended');
        $this->followingRedirects()
            ->post('/join', ['code' => $session->join_code, 'name' => 'Tamsin'])
            ->assertSee('has ended');
        self::assertSame(0, Seat::query()->count());
    }

    public function test_guessing_is_slowed_and_a_right_code_always_goes_through(): void
    {
        $session = $this->newSession();
        $this->visitor('guesser');
        for ($i = 0; $i < 10; $i++) {
            $this->get('/join/CCCCCC')->assertSee('No session has');
        }
        $this->get('/join/CCCCCC')->assertSee('Too many wrong codes');
        $this->get("/join/{$session->join_code}")->assertSee($session->title);
        $this->visitor('another at the same address')->get('/join/CCCCCC')->assertSee('No session has');
        // A script without a cookie, and one that takes a new one each time, are slowed by their address.
        $this->asNobody();
        for ($i = 0; $i < 400; $i++) {
            $this->visitor("new {$i}")->get('/join/CCCCCC');
        }
        $this->visitor('the next')->get('/join/CCCCCC')->assertSee('Too many wrong codes');
        $this->get("/join/{$session->join_code}")->assertSee($session->title);
        $this->post('/join', ['code' => $session->join_code, 'name' => 'Tamsin'])->assertRedirectContains('/seat/');
        $this->travel(2)->minutes();
        $this->visitor('guesser')->get('/join/CCCCCC')->assertSee('No session has');
    }

    public function test_thirty_classes_begin_at_nine_behind_one_address(): void
    {
        for ($i = 0; $i < 30; $i++) {
            $this->visitor("teacher {$i}")
                ->post('/start', ['name' => "T{$i}", 'title' => "Class {$i}"])
                ->assertRedirectContains('/desk/');
        }
        $sessions = LiveSession::query()->pluck('join_code')->all();
        self::assertCount(30, $sessions);
        foreach (range(1, 12) as $n) {
            foreach ($sessions as $k => $code) {
                $this->visitor("student {$n} of {$k}")
                    ->post('/join', ['code' => $code, 'name' => "S{$n}"])
                    ->assertRedirectContains('/seat/');
            }
        }
    }

    public function test_one_script_fills_neither_a_session_nor_the_school(): void
    {
        $session = $this->newSession();
        $in = 0;
        for ($i = 0; $i < 200; $i++) {
            // However the code is typed, and with a new cookie each time.
            $typed = $i % 2 === 0 ? $session->join_code : ' '.strtolower($session->code()->spaced());
            $in += $this->visitor("fresh {$i}")
                ->post('/join', ['code' => $typed, 'name' => "X{$i}"])
                ->isRedirect()
                ? 1
                : 0;
        }
        self::assertSame(120, $in);
        self::assertSame(120, $session->seats()->count());
        $this->asNobody()
            ->post('/start', ['name' => 'T', 'title' => 'x'])
            ->assertRedirect();
        for ($i = 0; $i < 40; $i++) {
            $last = $this->asNobody()
                ->post('/start', ['name' => 'T', 'title' => 'x'])
                ->status();
        }
        self::assertSame(429, $last);
        $this->visitor('a teacher')
            ->post('/start', ['name' => 'T', 'title' => 'x'])
            ->assertRedirectContains('/desk/');

        // The desk frees the places of those who came just now and drew nothing.
        [$real] = $this->seat($session, 'Tamsin');
        $real->canvases()->update(['last_stroke_ms' => 1]);
        $this->asTeacher()
            ->get("/desk/{$session->id}/bands")
            ->assertSee('Remove these 120');
        $this->postJson("/desk/{$session->id}/clear-fresh")->assertJsonPath('said', '120 places are free again.');
        self::assertSame(['Tamsin'], $session->seats()->pluck('name')->all());
        $this->postJson("/desk/{$session->id}/clear-fresh")->assertJsonPath(
            'said',
            'Everyone here has drawn something.',
        );
    }

    private function visitor(string $name): self
    {
        return $this->asNobody()->withCookie('crag_visitor', $name);
    }

    #[TestWith([''])]
    #[TestWith(['    '])]
    #[TestWith(['aaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaa'])]
    public function test_a_name_that_is_none_keeps_the_code_and_says_why(string $name): void
    {
        $session = $this->newSession();
        $this->post('/join', ['code' => $session->join_code, 'name' => $name])
            ->assertRedirect("/join/{$session->join_code}")
            ->assertSessionHasErrors('name');
        self::assertSame(0, Seat::query()->count());
    }

    public function test_a_full_session_takes_nobody_more(): void
    {
        $session = $this->newSession();
        for ($n = 1; $n <= TakeSeat::MOST_SEATS; $n++) {
            $rows[] = [
                'id' => sprintf('seat%022d', $n),
                'live_session_id' => $session->id,
                'n' => $n,
                'name' => "S{$n}",
                'token_hash' => "h{$n}",
                'ink_key' => 'k',
            ];
        }
        Seat::query()->insert($rows);
        $this->post('/join', ['code' => $session->join_code, 'name' => 'Late'])->assertSessionHasErrors('code');
        self::assertSame(TakeSeat::MOST_SEATS, Seat::query()->count());
    }

    public function test_a_name_with_markup_is_shown_as_text(): void
    {
        $session = $this->newSession();
        [$seat, $token] = $this->seat($session, '<b>Jo</b>');
        $this->asStudent($seat, $token)
            ->get("/seat/{$seat->id}")
            ->assertSee('&lt;b&gt;Jo&lt;/b&gt;', false);
    }

    public function test_every_page_forbids_what_is_not_its_own(): void
    {
        $policy = (string) $this->get('/')->headers->get('Content-Security-Policy');
        self::assertStringContainsString("script-src 'self'", $policy);
        self::assertStringNotContainsString('unsafe', $policy);
        // No page has a style in it that its own policy forbids, not even one for what nobody expects.
        $page = (string) $this->get('/start')
            ->assertStatus(405)
            ->assertSee('That can’t be done')
            ->assertDontSee('Supported methods')
            ->getContent();
        self::assertDoesNotMatchRegularExpression('/<style|style=/', $page);
        $this->get('/nowhere')
            ->assertNotFound()
            ->assertHeader('X-Content-Type-Options', 'nosniff')
            ->assertSee('There’s nothing here');
    }
}
