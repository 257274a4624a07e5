<?php

declare(strict_types=1);

namespace Tests\Feature\Watch;

use App\Models\Seat;
use App\Models\Teachers\Teacher;
use Illuminate\Testing\TestResponse;
use Symfony\Component\HttpFoundation\Response;
use Tests\Support\OneStudentTestCase;

/** Several teachers split the room. */
final class TakeOnTest extends OneStudentTestCase
{
    private Seat $wren;

    private Teacher $helper;

    protected function setUp(): void
    {
        parent::setUp();
        [$this->wren] = $this->seat($this->session, 'Wren');
        $this->helper = $this->teacher('a-helper');
        $this->helper->update(['name' => 'Mr Adeyemi']);
        $this->session->teachers()->attach($this->helper->id, ['role' => 'helper']);
    }

    public function test_each_teacher_takes_some_on_and_all_desks_hear_of_it(): void
    {
        $this->published->messages = [];
        $told = $this->take('a-helper', [$this->seat->id, $this->wren->id])
            ->assertOk()
            ->assertJsonPath('said', 'You’ve taken on 2 students. “Mine” shows just yours.')
            ->json('undo.body');
        self::assertSame([$this->helper->id, $this->helper->id], $this->takenBy());
        self::assertStringContainsString(
            '"takenBy":{"by":"'.$this->helper->id.'","name":"Mr Adeyemi"}',
            implode('', $this->published->on("desk.{$this->session->id}")),
        );
        // Another takes one of them over, and the first gives the rest up.
        $this->take('the-teacher', [$this->wren->id])->assertOk();
        self::assertSame([$this->helper->id, $this->teacher()->id], $this->takenBy());
        $this->asTeacher('a-helper')->postJson("/desk/{$this->session->id}/take-on", $told)->assertOk();
        self::assertSame([null, null], $this->takenBy());
    }

    public function test_students_hear_nothing_of_it_and_no_one_else_takes_anyone(): void
    {
        $this->published->messages = [];
        $this->take('the-teacher', [$this->seat->id])->assertOk();
        self::assertSame([], $this->published->on("seat.{$this->seat->id}"));
        self::assertSame([], $this->published->on("room.{$this->session->id}"));
        $this->take('another-teacher', [$this->wren->id])->assertForbidden();
        $this->asStudent($this->seat, $this->token)
            ->postJson("/desk/{$this->session->id}/take-on", ['seats' => [$this->seat->id]])
            ->assertForbidden();
        [$elsewhere] = $this->seat($this->newSession('Another'), 'Olwen');
        $this->take('the-teacher', [$elsewhere->id])->assertNotFound();
        $this->take('the-teacher', [])->assertUnprocessable();
        self::assertSame([$this->teacher()->id, null], $this->takenBy());
    }

    public function test_where_the_others_are_says_with_what_rights(): void
    {
        $this->asTeacher('a-helper')->postJson("/desk/{$this->session->id}/here", ['seat' => $this->wren->id])->assertOk();
        $this->asTeacher()
            ->postJson("/desk/{$this->session->id}/here", ['seat' => null])
            ->assertJsonPath('others', [
                ['by' => $this->helper->id, 'name' => 'Mr Adeyemi', 'seat' => $this->wren->id, 'isHelper' => true],
            ]);
    }

    /** @return list<?string> of Tamsin and of Wren */
    private function takenBy(): array
    {
        return [$this->seat->refresh()->taken_by_id, $this->wren->refresh()->taken_by_id];
    }

    /**
     * @param  list<string>  $seats
     * @return TestResponse<Response>
     */
    private function take(string $who, array $seats): TestResponse
    {
        return $this->asTeacher($who)->postJson("/desk/{$this->session->id}/take-on", ['seats' => $seats]);
    }
}
