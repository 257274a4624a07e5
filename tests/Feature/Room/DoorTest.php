<?php

declare(strict_types=1);

namespace Tests\Feature\Room;

use App\Models\LiveSession;
use App\Models\Seat;
use App\Models\Teachers\Roster;
use Crag\Session\Room\SeatState;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\TestWith;
use Symfony\Component\HttpFoundation\Response;
use Tests\Support\CragTestCase;

/** Who comes in by which door, and under which name. */
final class DoorTest extends CragTestCase
{
    private LiveSession $session;

    private Roster $roster;

    protected function setUp(): void
    {
        parent::setUp();
        $this->session = $this->newSession();
        $this->roster = $this->teacher()->rosters()->create(['name' => '9B']);
        foreach (['Wren Ashgrove' => '', 'Jory Penhale' => '2468'] as $name => $pin) {
            $n = (int) $this->roster->entries()->max('n') + 1;
            $this->roster->entries()->create(['n' => $n, 'name' => $name, 'group' => '', 'pin' => $pin]);
        }
    }

    public function test_a_list_only_door_lets_in_the_class_and_has_everyone_else_knock(): void
    {
        $this->session->update(['roster_id' => $this->roster->id]);
        $this->door('list')->assertOk();
        $this->asNobody()->get("/join/{$this->session->join_code}")->assertSee('Not on the list? Type your name to knock');
        [$wren, $jory] = $this->roster->entries()->orderBy('n')->get()->all();
        $this->join(['entry' => $wren->id]);
        self::assertSame(SeatState::Seated, $this->latest()->state);
        $this->join(['entry' => $jory->id, 'pin' => '0000'])->assertSessionHasErrors('pin');
        $this->join(['entry' => $jory->id, 'pin' => '2468']);
        self::assertSame(SeatState::Seated, $this->latest()->state);
        // Whoever types the name of someone on the list is not that student yet.
        foreach (['Bram Tollan', 'wren ashgrove'] as $name) {
            $this->join(['name' => $name]);
            self::assertSame(SeatState::Knocking, $this->latest()->state);
        }
        $this->asTeacher()->get("/desk/{$this->session->id}/bands")->assertOk()->assertSee('not on the list');
    }

    public function test_without_a_class_list_there_is_no_such_door(): void
    {
        $this->door('list')->assertConflict()->assertSee('This session has no class list');
        $this->asTeacher()->get("/desk/{$this->session->id}/bands")->assertDontSee('Class list only');
        $this->door('attic')->assertUnprocessable();
    }

    #[TestWith(['t u r d', SeatState::Knocking])]
    #[TestWith(['Cassandra', SeatState::Seated])]
    public function test_a_name_with_a_usual_unsuitable_word_knocks(string $name, SeatState $state): void
    {
        $this->join(['name' => $name]);
        self::assertSame($state, $this->latest()->state);
        $this->asTeacher()->postJson("/desk/{$this->session->id}/settings", ['usual_words' => false])->assertOk();
        $this->join(['name' => "{$name} two"]);
        self::assertSame(SeatState::Seated, $this->latest()->state, 'a teacher may switch it off');
    }

    public function test_an_installation_has_words_of_its_own(): void
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'words');
        file_put_contents($file, "plank\n");
        config(['crag.unsuitable' => $file]);
        $this->join(['name' => 'Plank']);
        self::assertSame(SeatState::Knocking, $this->latest()->state);
        unlink($file);
        $this->join(['name' => 'turd']);
        self::assertSame(SeatState::Seated, $this->latest()->state, 'a list that is gone stops nobody');
    }

    public function test_who_was_turned_away_knocks_under_another_name(): void
    {
        [$seat, $token] = $this->knocking('Lord Turd');
        $this->asTeacher()
            ->postJson("/desk/{$this->session->id}/turn-away", ['seats' => [$seat->id], 'reason' => 'Your own name, please.'])
            ->assertOk();
        $this->asStudent($seat, $token)
            ->get("/seat/{$seat->id}")
            ->assertSee('change it and knock again')
            ->assertSee('Your own name, please.');
        $knock = fn (string $name) => $this->asStudent($seat, $token)->postJson("/seat/{$seat->id}/knock", ['name' => $name]);
        $knock(str_repeat('a', 60))->assertUnprocessable();
        self::assertSame(SeatState::TurnedAway, $seat->refresh()->state);
        $knock('Bram Tollan')->assertOk()->assertJsonPath('own.name', 'Bram Tollan');
        self::assertSame([SeatState::Knocking, 'Bram Tollan'], [$seat->refresh()->state, $seat->name]);
        $this->asNobody()->postJson("/seat/{$seat->id}/knock", ['name' => 'Not me'])->assertForbidden();
    }

    public function test_who_was_sent_out_stays_who_they_are(): void
    {
        [$seat, $token] = $this->seat($this->session, 'Piers');
        $this->asTeacher()->postJson("/desk/{$this->session->id}/send-out", ['seat' => $seat->id])->assertOk();
        $this->asStudent($seat, $token)->postJson("/seat/{$seat->id}/knock", ['name' => 'Someone Else'])->assertOk();
        self::assertSame('Piers', $seat->refresh()->name);
    }

    /** @return array{Seat, string} */
    private function knocking(string $name): array
    {
        $this->door('knock');
        [$seat, $token] = $this->seat($this->session, $name);
        $seat->update(['state' => SeatState::Knocking]);

        return [$seat, $token];
    }

    /** @return TestResponse<Response> */
    private function door(string $which): TestResponse
    {
        return $this->asTeacher()->postJson("/desk/{$this->session->id}/door", ['door' => $which]);
    }

    /**
     * @param  array<string, string>  $as
     * @return TestResponse<Response>
     */
    private function join(array $as): TestResponse
    {
        return $this->asNobody()->post('/join', ['code' => $this->session->join_code] + $as);
    }

    /** @phpstan-impure */
    private function latest(): Seat
    {
        return $this->session->seats()->reorder()->orderByDesc('id')->firstOrFail();
    }
}
