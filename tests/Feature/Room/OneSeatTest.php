<?php

declare(strict_types=1);

namespace Tests\Feature\Room;

use App\Jobs\JobState;
use App\Models\LoggedOperation;
use App\Models\Prompt;
use App\Models\Seat;
use App\Records\Results;
use App\Sessions\Checks\ClassOverview;
use App\Sessions\Life\EndIdle;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Log;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Support\OneStudentTestCase;

/** Whatever one seat's data does, that seat alone cannot be read, and everything that is made for the class goes on. */
final class OneSeatTest extends OneStudentTestCase
{
    private Prompt $prompt;

    private Seat $ada;

    protected function setUp(): void
    {
        parent::setUp();
        $this->prompt = $this->session->prompt()->firstOrFail();
        $this->prompt->update([
            'details' => [
                'questions' => [
                    ['id' => 'q1', 'kind' => 'number', 'words' => 'What load?', 'spot' => null, 'right' => '80 N'],
                ],
            ],
        ]);
        [$this->ada, $token] = $this->seat($this->session, 'Ada');
        $this->answer($this->ada, $token, '80 N');
    }

    public function test_digits_of_another_script_are_digits(): void
    {
        $this->answer($this->seat, $this->token, '٨٠ N');
        $this->states()
            ->assertOk()
            ->assertJsonPath('answers.0.outcome', 'right')
            ->assertJsonCount(2, 'answers.0.seats');
    }

    /** @return iterable<string, array{string}> */
    public static function broken(): iterable
    {
        yield 'no JSON' => ['{"question":'];
        yield 'JSON of another shape' => ['[1, 2]'];
        yield 'a question that is none' => ['{"question":{"id":"q1"},"value":{"a":[[]]}}'];
    }

    #[DataProvider('broken')]
    public function test_a_log_that_cannot_be_read_costs_its_own_seat_alone(string $body): void
    {
        $this->answer($this->seat, $this->token, '12 N');
        $canvas = $this->canvasOf($this->seat);
        DB::table('operations')
            ->where('canvas_id', $canvas->id)
            ->where('kind', 'answer')
            ->update(['body' => $body]);
        DB::table('scenes')->delete();
        $logged = 0;
        Log::listen(static function ($message) use (&$logged): void {
            $logged += $message->level === 'error' ? 1 : 0;
            self::assertStringNotContainsString('Tamsin', $message->message);
        });

        for ($i = 0; $i < 3; $i++) {
            $this->states()
                ->assertOk()
                ->assertJsonPath('answers.0.seats', [$this->ada->id]);
        }
        $states = array_column((array) $this->states()->json('states'), 'states', 'seat');
        self::assertNotContains('unreadable', $states[$this->ada->id]);
        self::assertContains('unreadable', $states[$this->seat->id]);
        self::assertSame(1, $logged, 'the same fault is written down once');

        self::assertCount(2, ClassOverview::of($this->session->refresh())->seats);
        $desk = "/desk/{$this->session->id}";
        $this->asTeacher()
            ->get("{$desk}/picture")
            ->assertOk();
        $this->getJson("{$desk}/prompt/{$this->prompt->id}/canvases")->assertOk();
        $this->getJson("{$desk}/prompt/{$this->prompt->id}/proposed")->assertOk();
        self::assertStringContainsString('80 N', Results::of($this->session)->csv('answers'));
        self::assertNotSame([], Results::of($this->session)->statements('https://crag.example'));
    }

    public function test_a_record_says_which_canvas_cannot_be_read(): void
    {
        $this->answer($this->seat, $this->token, '12 N');
        DB::table('operations')
            ->where('canvas_id', $this->canvasOf($this->seat)->id)
            ->update(['body' => '{']);
        DB::table('scenes')->delete();
        $record = $this->asTeacher()->post(
            "/desk/{$this->session->id}/record",
            ['kind' => 'pdf'],
            ['HX-Request' => 'true'],
        );
        self::assertLessThan(400, $record->status());
        self::assertSame(JobState::Ready, $this->session->records()->latest('id')->firstOrFail()->state);
    }

    public function test_a_session_that_cannot_be_read_does_not_keep_others_from_ending(): void
    {
        $other = $this->newSession('Another club');
        DB::table('live_sessions')
            ->where('id', $this->session->id)
            ->update(['settings' => '{"broken']);
        $this->travel(3)->days();
        app(EndIdle::class)();
        self::assertNotNull($other->refresh()->ended_at);
    }

    public function test_the_same_fault_is_logged_again_for_another_seat(): void
    {
        Cache::flush();
        $fault = new \LogicException('what a student typed');
        $lines = [];
        Log::listen(static function ($message) use (&$lines): void {
            $lines[] = $message->message;
        });
        foreach (['one', 'one', 'two'] as $id) {
            \App\Sessions\Room\EachSeat::log($id, $fault);
        }
        self::assertCount(2, $lines);
        self::assertStringNotContainsString('typed', implode($lines));
    }

    private function answer(Seat $seat, string $token, string $value): void
    {
        $this->appendAs($seat, $token, [
            'id' => Str::random(20),
            'kind' => 'answer',
            'layer' => 'student',
            'at' => 1_700_000_000_000,
            'body' => ['question' => 'q1', 'value' => $value],
        ])->assertOk();
        self::assertSame(
            1,
            LoggedOperation::query()->where('canvas_id', $this->canvasOf($seat)->id)->where('kind', 'answer')->count(),
        );
    }

    /** @return TestResponse<\Symfony\Component\HttpFoundation\Response> */
    private function states(): TestResponse
    {
        return $this->asTeacher()->getJson("/desk/{$this->session->id}/prompt/{$this->prompt->id}/states");
    }
}
