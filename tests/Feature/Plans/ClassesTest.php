<?php

declare(strict_types=1);

namespace Tests\Feature\Plans;

use App\Models\LiveSession;
use App\Models\Teachers\Roster;
use App\Models\Teachers\RosterEntry;
use App\Plans\MakePlan;
use App\Sessions\Life\StartSession;
use Crag\Session\Room\SeatState;
use Illuminate\Http\UploadedFile;
use Tests\Support\CragTestCase;

/** A class list is made, kept and taken out, and its students join by tapping their names. */
final class ClassesTest extends CragTestCase
{
    public function test_names_are_pasted_brought_in_changed_and_taken_out(): void
    {
        $this->asTeacher()
            ->post('/classes', ['name' => '9B', 'names' => "Ada Brook\nIvo Stone"])
            ->assertRedirect();
        $roster = Roster::query()->firstOrFail();
        $this->post("/class/{$roster->id}/names", [
            'file' => UploadedFile::fake()->createWithContent(
                'more.csv',
                "Group;Name;Seat\nOak;Zoë Müller;7\nOak;Ivo Stone;3\n",
            ),
        ])->assertRedirect();
        self::assertSame(
            [1 => 'Ada Brook', 2 => 'Ivo Stone', 7 => 'Zoë Müller'],
            $roster->entries()->pluck('name', 'n')->all(),
        );
        [$ada, $ivo, $zoe] = $roster->entries()->get()->all();
        $rows = [
            $ada->id => ['n' => '2', 'name' => 'Ada B.', 'group' => 'Steel', 'pin' => '0420'],
            $ivo->id => ['n' => '1', 'name' => 'Ivo Stone'],
            $zoe->id => ['n' => '7', 'name' => ''],
        ];
        $this->post("/class/{$roster->id}", ['name' => '9 B', 'entries' => $rows])
            ->assertRedirect()
            ->assertSessionHasNoErrors();
        self::assertSame([1 => 'Ivo Stone', 2 => 'Ada B.'], $roster->entries()->pluck('name', 'n')->all());
        self::assertSame('9 B', $roster->refresh()->name);
        $csv = (string) $this->get("/class/{$roster->id}/list.csv")
            ->assertOk()
            ->getContent();
        self::assertSame("\u{FEFF}Seat,Name,Group\r\n1,Ivo Stone,\r\n2,Ada B.,Steel\r\n", $csv);
        $this->get("/class/{$roster->id}")
            ->assertSee('Ada B.')
            ->assertSee('0420');
        $this->delete("/class/{$roster->id}")->assertRedirect('/classes');
        self::assertSame(0, RosterEntry::query()->count());
    }

    public function test_bad_lists_are_refused_with_a_reason_and_change_nothing(): void
    {
        $this->asTeacher()
            ->post('/classes', ['name' => '9B', 'names' => '  '])
            ->assertSessionHasErrors('names');
        $this->post('/classes', ['name' => '', 'names' => 'Ada'])->assertSessionHasErrors('name');
        $this->post('/classes', [
            'name' => '9B',
            'file' => UploadedFile::fake()->image('a.png'),
        ])->assertSessionHasErrors('names');
        self::assertSame(0, Roster::query()->count());
        $roster = $this->roster();
        [$ada, $ivo] = $roster->entries()->get()->all();
        $change = fn (array $ivos) => $this->post("/class/{$roster->id}", [
            'name' => '9B',
            'entries' => [$ada->id => ['n' => '1', 'name' => 'Ada'], $ivo->id => $ivos],
        ])->assertSessionHasErrors("entries.{$ivo->id}");
        $change(['n' => '1', 'name' => 'Ivo']);
        $change(['n' => '0', 'name' => 'Ivo']);
        $change(['n' => '2', 'name' => str_repeat('x', 41)]);
        $change(['n' => '2', 'name' => 'Ivo', 'pin' => 'abc']);
        self::assertSame([1 => 'Ada', 2 => 'Ivo'], $roster->entries()->pluck('name', 'n')->all());
    }

    public function test_a_row_that_cannot_be_saved_keeps_none_of_the_others_back(): void
    {
        $roster = $this->roster();
        [$ada, $ivo] = $roster->entries()->get()->all();
        $this->asTeacher()
            ->post("/class/{$roster->id}", [
                'name' => '9B',
                'entries' => [
                    $ada->id => ['name' => 'Ada Brook', 'pin' => '٠٤٢٠'],
                    $ivo->id => ['n' => 'x', 'name' => 'Ivo Stone'],
                ],
            ])
            ->assertSessionHasErrors("entries.{$ivo->id}")
            ->assertSessionHas('said', 'The list is saved, apart from one row.');
        self::assertSame(
            [['Ada Brook', '0420'], ['Ivo', '']],
            $roster->entries()->get()->map(static fn ($entry): array => [$entry->name, $entry->pin])->all(),
        );
        $this->get("/class/{$roster->id}")
            ->assertSee('value="Ivo Stone"', false)
            ->assertSee('Ivo: A seat number is from 1 to 999.');
        // A page that does not know of a row leaves it alone; two change places; nobody sits on another's seat.
        $this->post("/class/{$roster->id}", [
            'name' => '9B',
            'entries' => [$ada->id => ['group' => 'Oak']],
        ])->assertSessionHasNoErrors();
        $this->post("/class/{$roster->id}", [
            'name' => '9B',
            'entries' => [$ada->id => ['n' => '2'], $ivo->id => ['n' => '1']],
        ])->assertSessionHasNoErrors();
        self::assertSame([1 => 'Ivo', 2 => 'Ada Brook'], $roster->entries()->pluck('name', 'n')->all());
        $this->post("/class/{$roster->id}", [
            'name' => '9B',
            'entries' => [$ada->id => ['n' => '1', 'group' => 'Steel'], $ivo->id => ['group' => 'Steel']],
        ])->assertSessionHasErrors(["entries.{$ada->id}" => 'Ada Brook: Seat 1 belongs to someone else.']);
        self::assertSame(['Steel', 'Oak'], $roster->entries()->pluck('group')->all());
    }

    public function test_names_that_are_too_long_are_named_and_the_others_taken(): void
    {
        $long = str_repeat('Longname ', 10);
        $this->asTeacher()
            ->post('/classes', ['name' => '9B', 'names' => "Ada\n{$long}\nIvo"])
            ->assertSessionHasErrors('names');
        self::assertStringContainsString(trim($long), session('errors')->first('names'));
        self::assertSame(['Ada', 'Ivo'], RosterEntry::query()->pluck('name')->all());
        $this->post('/classes', ['name' => '9C', 'names' => $long])->assertSessionHasErrors([
            'names' => 'No names of up to 40 characters were found.',
        ]);
    }

    public function test_a_taken_name_asks_for_its_pin_before_anything_is_wrong(): void
    {
        $roster = $this->roster();
        $ada = $roster->entries()->firstOrFail();
        $ada->update(['pin' => '0420']);
        $session = $this->sessionOf($roster);
        $this->asNobody()
            ->post('/join', ['code' => $session->join_code, 'entry' => $ada->id, 'pin' => '०४२०'])
            ->assertSessionHasNoErrors();
        $this->asNobody()
            ->get("/join/{$session->join_code}")
            ->assertSee("entry={$ada->id}", false);
        $this->post('/join', ['code' => $session->join_code, 'entry' => $ada->id])
            ->assertSessionHasNoErrors()
            ->assertRedirect("/join/{$session->join_code}?entry={$ada->id}");
        $this->get("/join/{$session->join_code}?entry={$ada->id}")->assertSee('PIN for Ada');
        $this->post('/join', [
            'code' => $session->join_code,
            'entry' => $ada->id,
            'pin' => ' ',
        ])->assertSessionHasErrors(['pin' => 'Type the PIN for Ada.']);
        $this->post('/join', [
            'code' => $session->join_code,
            'entry' => $ada->id,
            'pin' => '0420',
        ])->assertSessionHasNoErrors();
        self::assertSame([SeatState::Seated, SeatState::Knocking], $session->seats()->get()->pluck('state')->all());
    }

    public function test_pins_are_printed_and_changed_only_after_asking(): void
    {
        $roster = $this->roster();
        $this->asTeacher()
            ->get("/class/{$roster->id}")
            ->assertDontSee('Remove all the PINs?');
        $this->post("/class/{$roster->id}/pins");
        $page = (string) $this->get("/class/{$roster->id}")
            ->assertSee('Print the PINs')
            ->getContent();
        self::assertSame(3, substr_count($page, 'data-ask='), 'new PINs, no PINs, and deleting the class');
        $slips = $this->get("/class/{$roster->id}/pins")->assertOk();
        $roster->entries()->get()->each(static fn ($entry) => $slips->assertSee($entry->pin)->assertSee($entry->name));
        $this->asTeacher('a-colleague')
            ->get("/class/{$roster->id}/pins")
            ->assertNotFound();
    }

    public function test_students_tap_their_name_and_have_the_same_seat_every_time(): void
    {
        $roster = $this->roster();
        foreach ([1, 2] as $time) {
            $session = $this->sessionOf($roster);
            $ivo = $roster->entries()->where('name', 'Ivo')->firstOrFail();
            $this->asNobody()
                ->get("/join/{$session->join_code}")
                ->assertOk()
                ->assertSee('Tap your name')
                ->assertSee('Ivo');
            $this->post('/join', ['code' => $session->join_code, 'entry' => $ivo->id])->assertRedirect();
            self::assertSame([2 => 'Ivo'], $session->seats()->pluck('name', 'n')->all());
            // Who is not in the list types a name and sits behind them all.
            $this->asNobody()
                ->post('/join', ['code' => $session->join_code, 'name' => 'Guest'])
                ->assertRedirect();
            self::assertSame([2 => 'Ivo', 3 => 'Guest'], $session->seats()->pluck('name', 'n')->all());
            $this->asTeacher()
                ->get("/desk/{$session->id}")
                ->assertSee('1 of 9B are missing')
                ->assertSee('Ada');
        }
    }

    public function test_whoever_taps_a_name_that_is_taken_knocks(): void
    {
        $roster = $this->roster();
        $session = $this->sessionOf($roster);
        $ada = $roster->entries()->firstOrFail();
        $this->asNobody()
            ->post('/join', ['code' => $session->join_code, 'entry' => $ada->id])
            ->assertRedirect();
        $this->asNobody()
            ->post('/join', ['code' => $session->join_code, 'entry' => $ada->id])
            ->assertRedirect();
        $this->asNobody()
            ->get("/join/{$session->join_code}")
            ->assertSee('is already here');
        [$first, $second] = $session->seats()->get()->all();
        self::assertSame([SeatState::Seated, SeatState::Knocking], [$first->state, $second->state]);
        self::assertSame(
            [$ada->id, null, $first->id],
            [$first->roster_entry_id, $second->roster_entry_id, $second->claims_id],
        );
    }

    public function test_a_pin_is_asked_for_and_cannot_be_guessed_for_long(): void
    {
        $roster = $this->roster();
        $this->asTeacher()
            ->post("/class/{$roster->id}/pins")
            ->assertRedirect();
        $ada = $roster->entries()->firstOrFail();
        self::assertMatchesRegularExpression('/^\d{4}$/', $ada->pin);
        $session = $this->sessionOf($roster);
        $this->asNobody()
            ->get("/join/{$session->join_code}?entry={$ada->id}")
            ->assertSee('PIN for Ada')
            // Four figures may stand in a token by chance.
            ->assertDontSeeText($ada->pin);
        $wrong = sprintf('%04d', ((int) $ada->pin + 1) % 10000);
        for ($try = 0; $try < 5; $try++) {
            $this->post('/join', [
                'code' => $session->join_code,
                'entry' => $ada->id,
                'pin' => $wrong,
            ])->assertSessionHasErrors('pin');
        }
        $this->post('/join', [
            'code' => $session->join_code,
            'entry' => $ada->id,
            'pin' => $ada->pin,
        ])->assertSessionHasErrors('pin');
        self::assertSame(0, $session->seats()->count());
        $this->travel(2)->minutes();
        $this->post('/join', [
            'code' => $session->join_code,
            'entry' => $ada->id,
            'pin' => $ada->pin,
        ])->assertRedirect();
        self::assertSame(1, $session->seats()->count());
        $this->asTeacher()->post("/class/{$roster->id}/pins", ['none' => 1]);
        self::assertSame('', $ada->refresh()->pin);
    }

    public function test_a_name_of_another_class_does_not_open_this_one(): void
    {
        $session = $this->sessionOf($this->roster());
        $other = $this->teacher()
            ->rosters()
            ->create(['name' => '9C'])
            ->entries()
            ->create(['n' => 1, 'name' => 'Else']);
        $this->asNobody()
            ->post('/join', ['code' => $session->join_code, 'entry' => $other->id])
            ->assertNotFound();
    }

    public function test_a_deleted_class_leaves_its_sessions_alone(): void
    {
        $roster = $this->roster();
        $session = $this->sessionOf($roster);
        $this->asNobody()->post('/join', [
            'code' => $session->join_code,
            'entry' => $roster->entries()->firstOrFail()->id,
        ]);
        $this->asTeacher()->delete("/class/{$roster->id}");
        self::assertSame(['Ada'], $session->refresh()->seats()->pluck('name')->all());
        $this->asNobody()
            ->get("/join/{$session->join_code}")
            ->assertOk()
            ->assertDontSee('Tap your name');
    }

    private function roster(): Roster
    {
        $roster = $this->teacher()
            ->rosters()
            ->create(['name' => '9B']);
        $roster->entries()->create(['n' => 1, 'name' => 'Ada']);
        $roster->entries()->create(['n' => 2, 'name' => 'Ivo']);

        return $roster;
    }

    private function sessionOf(Roster $roster): LiveSession
    {
        return app(StartSession::class)->fromPlan(
            $this->teacher(),
            app(MakePlan::class)->empty($this->teacher(), 'Levers'),
            $roster,
        );
    }
}
