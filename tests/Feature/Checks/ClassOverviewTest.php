<?php

declare(strict_types=1);

namespace Tests\Feature\Checks;

use App\Models\LiveSession;
use App\Models\Seat;
use App\Models\Teachers\RosterEntry;
use Illuminate\Testing\TestResponse;
use Symfony\Component\HttpFoundation\Response;
use Tests\Support\CragTestCase;

/** Where everybody stands, and who works with whom next. */
final class ClassOverviewTest extends CragTestCase
{
    private LiveSession $session;

    /** @var array<string, Seat> */
    private array $seats = [];

    protected function setUp(): void
    {
        parent::setUp();
        $this->session = $this->newSession();
        $this->session
            ->prompt()
            ->firstOrFail()
            ->update([
                'details' => [
                    'skills' => ['moments'],
                    'look_for' => ['steps' => [], 'words' => ['pivot'], 'slips' => []],
                    'questions' => [
                        ['id' => 'force', 'kind' => 'number', 'words' => 'F?', 'spot' => null, 'right' => '80 N'],
                    ],
                ],
            ]);
        foreach (['Tamsin' => 3, 'Otis' => 0, 'Wren' => 2, 'Iona' => 1] as $name => $level) {
            [$seat, $token] = $this->seat($this->session, $name);
            $this->seats[$name] = $seat;
            $this->published->listening["seat.{$seat->id}"] = 1;
            $this->desk('checks', ['canvas' => $this->canvasOf($seat)->id, 'level' => $level])->assertOk();
            $operations = [
                $this->stroke(),
                ['kind' => 'answer', 'body' => ['question' => 'force', 'value' => $level > 1 ? '80 N' : '720 N']] +
                $this->stroke(),
            ];
            $this->appendAs($seat, $token, ...$operations)->assertJsonCount(2, 'accepted');
        }
    }

    public function test_the_picture_has_everybody_with_sums_skills_and_slips(): void
    {
        $picture = $this->asTeacher()
            ->get("/desk/{$this->session->id}/picture")
            ->assertOk();
        $picture->assertSeeInOrder(['Otis', 'No attempt', '0 %', 'Wren', '67 %', 'Tamsin', 'Secure', '100 %']);
        $picture->assertSeeInOrder(['Patterns at prompt 1', '4', '“pivot” isn’t mentioned.']);
        $picture
            ->assertSeeInOrder(['Skills', 'moments', '50 %'])
            ->assertSeeInOrder(['Not right at prompt 1', '2', '720 N']);
    }

    public function test_groups_are_proposed_with_their_reason_and_keep_to_wishes(): void
    {
        $this->propose(['size' => 2, 'way' => 'alike'])->assertSeeInOrder([
            'Group 1',
            'Not yet secure',
            'Otis',
            'Iona',
            'Group 2',
            'Tamsin',
            'Wren',
        ]);
        $this->propose(['size' => 2, 'way' => 'slip'])->assertSeeInOrder([
            '2 answered 720 N',
            'Otis',
            'Iona',
            'What 2 have in common: “pivot” isn’t mentioned.',
            'Tamsin',
        ]);
        $this->propose(['size' => 2, 'way' => 'alike', 'apart' => 'otis, Iona'])
            ->assertOk()
            ->assertDontSee('2 answered');
        $this->propose(['size' => 2, 'way' => 'alike', 'apart' => 'Nobody, Iona'])
            ->assertUnprocessable()
            ->assertSee('Who is');
        $this->propose([
            'size' => 2,
            'way' => 'alike',
            'apart' => 'Otis, Iona',
            'together' => 'Iona, Otis',
        ])->assertUnprocessable();
        $this->propose(['size' => 1, 'way' => 'alike'])->assertUnprocessable();
        $this->published->listening = ["seat.{$this->seats['Wren']->id}" => 1];
        $this->propose(['size' => 2, 'way' => 'alike'])
            ->assertSee('3 students are away')
            ->assertDontSee('Otis');
        $this->propose(['size' => 2, 'way' => 'alike', 'absent' => 1])->assertSee('Otis');
    }

    public function test_kept_groups_are_chosen_in_hand_outs_and_go_into_the_class_list(): void
    {
        $roster = $this->teacher()
            ->rosters()
            ->create(['name' => '9B']);
        $entry = $roster->entries()->create(['n' => 1, 'name' => 'Otis', 'group' => 'Oak']);
        $this->seats['Otis']->update(['roster_entry_id' => $entry->id]);
        $ids = array_map(static fn (Seat $seat): string => $seat->id, array_values($this->seats));
        $this->desk('groups', [
            'groups' => [[$ids[0], $ids[2]], [$ids[1], $ids[3], 'somebody-else'], []],
        ])->assertJsonPath('said', 'Saved 2 groups: choose one when you hand out.');
        self::assertSame(
            ['1', '2', '1', '2'],
            array_map(static fn (Seat $seat): ?string => $seat->refresh()->group, array_values($this->seats)),
        );
        self::assertSame('2', RosterEntry::query()->findOrFail($entry->id)->group);
        $this->asTeacher()
            ->get("/desk/{$this->session->id}/bands")
            ->assertSee('Group 1 (2)')
            ->assertSee('Group 2 (2)')
            ->assertDontSee('Group Oak');
    }

    public function test_groups_stand_on_the_class_screen_with_their_places_and_no_name_that_was_not_chosen(): void
    {
        $ids = array_map(static fn (Seat $seat): string => $seat->id, array_values($this->seats));
        $this->desk('screen', ['view' => 'groups'])
            ->assertUnprocessable()
            ->assertJsonPath('message', 'Make groups in the class picture first.');
        // An empty one goes, and its place with it.
        $this->desk('groups', [
            'groups' => [[$ids[0], $ids[2]], [], [$ids[1], $ids[3]]],
            'places' => ['By the window', 'Nowhere', 'Table 4'],
        ])->assertOk();
        $this->desk('screen', ['view' => 'groups'])->assertNoContent();
        $this->desk('settings', ['shown_names' => 'seats'])->assertOk();
        $this->asScreen($this->session)
            ->get("/screen/{$this->session->id}/shown")
            ->assertSeeInOrder(['Group 1', 'By the window', 'Seat 1', 'Seat 3', 'Group 2', 'Table 4'])
            ->assertDontSee('Nowhere')
            ->assertDontSee('Otis');
        $this->desk('settings', ['shown_names' => 'names'])->assertOk();
        $this->asScreen($this->session)
            ->get("/screen/{$this->session->id}/shown")
            ->assertSee('Otis');
        $this->desk('groups', ['groups' => [[$ids[0]]], 'places' => [str_repeat('x', 41)]])->assertUnprocessable();
    }

    /**
     * @param  array<string, mixed>  $asked
     * @return TestResponse<Response>
     */
    private function propose(array $asked): TestResponse
    {
        return $this->asTeacher()->getJson("/desk/{$this->session->id}/groups?".http_build_query($asked));
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
