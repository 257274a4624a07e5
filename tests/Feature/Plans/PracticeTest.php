<?php

declare(strict_types=1);

namespace Tests\Feature\Plans;

use App\Models\LiveSession;
use App\Models\Prompt;
use App\Models\Seat;
use App\Models\Teachers\Plan;
use App\Plans\EditPlan;
use App\Plans\MakePlan;
use App\Plans\PreparedPrompt;
use Crag\Practice\Task;
use Illuminate\Testing\TestResponse;
use Symfony\Component\HttpFoundation\Response;
use Tests\Support\CragTestCase;

/** A prompt with a sheet of tasks of which each student has their own. */
final class PracticeTest extends CragTestCase
{
    private const TABLES = ['family' => 'times_tables', 'kinds' => ['t7', 't8'], 'level' => 1, 'n' => 10];

    private Plan $plan;

    private Prompt $prompt;

    protected function setUp(): void
    {
        parent::setUp();
        $this->plan = app(MakePlan::class)->empty($this->teacher(), 'Tables');
        $this->prompt = app(EditPlan::class)->add($this->plan, $this->teacher(), PreparedPrompt::saying('Tables'), null);
        $this->asTeacher()->set(null, self::TABLES)->assertOk();
    }

    public function test_it_is_saved_taken_back_and_refused_with_its_reason(): void
    {
        self::assertSame(self::TABLES, $this->prompt->refresh()->value()->toArray()['practice']);
        self::assertSame([], $this->prompt->value()->toArray()['questions']);
        $this->set(self::TABLES, ['n' => 0] + self::TABLES)->assertUnprocessable();
        $this->set(self::TABLES, ['family' => 'magic'] + self::TABLES)->assertUnprocessable();
        $this->set(self::TABLES, null)->assertOk();
        self::assertNull($this->prompt->refresh()->value()->practice);
        $this->postJson("/plan/{$this->plan->id}/step", [])->assertOk();
        self::assertNotNull($this->prompt->refresh()->value()->practice);
    }

    public function test_three_sheets_are_seen_before_class_and_printed_with_their_key(): void
    {
        $at = "/plan/{$this->plan->id}/prompt/{$this->prompt->id}/practice";
        $tasks = $this->prompt->refresh()->value()->practice?->tasks($this->prompt->id, 2) ?? self::fail();
        $this->get($at)->assertOk()->assertSee('Seat 3')->assertSee($tasks[0]->words)->assertSee($tasks[0]->right);
        $roster = $this->teacher()->rosters()->create(['name' => '9B']);
        $roster->entries()->create(['n' => 2, 'name' => 'Tamsin Vale']);
        $printed = $this->get("{$at}/print?for={$roster->id}&key=1")->assertOk()->assertSee('Tamsin Vale');
        self::assertSame(2, substr_count((string) $printed->getContent(), '<section class="practice-paper'));
        $printed->assertSee($tasks[9]->words)->assertSee($tasks[9]->steps[0]);
        $this->get("{$at}/print?n=3")->assertOk()->assertDontSee('is-key', false)->assertDontSee($tasks[9]->steps[0]);
        $this->get("{$at}/print?n=400")->assertRedirect();
        // Another teacher's class is not theirs to print; and where there is no practice there are no sheets.
        $other = $this->teacher('another-teacher')->rosters()->create(['name' => 'Other']);
        $other->entries()->create(['n' => 1, 'name' => 'Somebody Else']);
        $this->asTeacher()->get("{$at}/print?for={$other->id}")->assertOk()->assertDontSee('Somebody Else');
        $this->set(self::TABLES, null)->assertOk();
        $this->get($at)->assertNotFound();
        $this->asTeacher('another-teacher')->get($at)->assertForbidden();
    }

    public function test_each_student_has_tasks_of_their_own_and_their_answers_are_compared_with_these(): void
    {
        [$session, $prompt] = $this->begin();
        [$tamsin, $token] = $this->seat($session, 'Tamsin');
        [$wren] = $this->seat($session, 'Wren');
        $tasks = self::tasks($prompt, $tamsin);
        self::assertNotEquals($tasks, self::tasks($prompt, $wren));
        $told = $this->asStudent($tamsin, $token)->getJson("/seat/{$tamsin->id}/canvas")->json('prompt.questions');
        self::assertSame(
            array_map(static fn (Task $task): string => $task->words, $tasks),
            array_column($told, 'words'),
        );
        self::assertStringNotContainsString('"right"', json_encode($told, JSON_THROW_ON_ERROR));
        // One right, one a row too far, one in words of its own.
        $this->appendAs(
            $tamsin,
            $token,
            self::answer('practice01', $tasks[0]->right),
            self::answer('practice02', (string) array_key_first($tasks[1]->slips)),
            self::answer('practice03', 'no idea'),
        )->assertOk();
        self::assertSame([$tamsin->id => [1, 10], $wren->id => [0, 10]], $this->right($session, $prompt));
        $this->appendAs($tamsin, $token, self::answer('practice02', $tasks[1]->right))->assertOk();
        self::assertSame([2, 10], $this->right($session, $prompt)[$tamsin->id]);
    }

    public function test_practice_that_goes_on_gives_the_next_task_with_each_answer_until_enough_are_right(): void
    {
        $this->set(self::TABLES, $row = ['row' => 3, 'follows' => true] + self::TABLES)->assertOk();
        self::assertEquals($row, $this->prompt->refresh()->value()->toArray()['practice']);
        [$session, $prompt] = $this->begin();
        [$tamsin, $token] = $this->seat($session, 'Tamsin');
        $told = fn (): array => (array) $this->asStudent($tamsin, $token)
            ->getJson("/seat/{$tamsin->id}/canvas")
            ->json('prompt');
        self::assertCount(1, $told()['questions']);
        self::assertSame(['n' => 0, 'all' => 3, 'done' => false], $told()['course']);
        // A task that is not there yet cannot be answered; one that is done stays as it was answered.
        $this->appendAs($tamsin, $token, self::answer('practice02', '4'))->assertJsonCount(1, 'refused');
        $this->appendAs($tamsin, $token, self::answer('practice01', '-1'))->assertJsonCount(1, 'accepted');
        $this->appendAs($tamsin, $token, self::answer('practice01', '12'))->assertJsonCount(1, 'refused');
        $now = $told();
        self::assertCount(2, $now['questions']);
        self::assertFalse($now['questions'][0]['mark']['right']);
        self::assertTrue($now['questions'][1]['once']);
        self::assertArrayNotHasKey('mark', $now['questions'][1]);
        for ($n = 2; $n <= 4; $n++) {
            $right = ($prompt->courseOf($tamsin) ?? self::fail())->tasks[$n - 1]->right;
            $this->appendAs($tamsin, $token, self::answer("practice0{$n}", $right))->assertJsonCount(1, 'accepted');
        }
        self::assertSame(['n' => 3, 'all' => 3, 'done' => true], $told()['course']);
        self::assertCount(4, $told()['questions']);
        self::assertSame([3, 3], $this->right($session, $prompt)[$tamsin->id]);
        $this->asTeacher()
            ->get("/desk/{$session->id}/canvas/{$this->canvasOf($tamsin)->id}/answers")
            ->assertSeeInOrder(['-1', 'not right', 'right']);
    }

    public function test_the_close_up_says_what_may_have_led_to_a_wrong_answer(): void
    {
        [$session, $prompt] = $this->begin();
        [$tamsin, $token] = $this->seat($session, 'Tamsin');
        $task = self::tasks($prompt, $tamsin)[0];
        $wrong = (string) array_key_first($task->slips);
        $this->appendAs($tamsin, $token, self::answer('practice01', $wrong))->assertOk();
        $this->asTeacher()
            ->get("/desk/{$session->id}/canvas/{$this->canvasOf($tamsin)->id}/answers")
            ->assertOk()
            ->assertSee('Perhaps: '.array_values($task->slips)[0])
            ->assertSee("Right: {$task->right}");
    }

    /** @return array{LiveSession, Prompt} */
    private function begin(): array
    {
        $this->asTeacher()->post("/plan/{$this->plan->id}/start")->assertRedirect();
        $session = LiveSession::query()->where('plan_id', $this->plan->id)->firstOrFail();

        return [$session, $session->prompt()->firstOrFail()];
    }

    /** @return array<string, array{int, int}> how many are right, and how many there are, by seat */
    private function right(LiveSession $session, Prompt $prompt): array
    {
        $states = $this->asTeacher()->getJson("/desk/{$session->id}/prompt/{$prompt->id}/states")->assertOk()->json('states');

        return array_column($states, 'practice', 'seat');
    }

    /** @return list<Task> */
    private static function tasks(Prompt $prompt, Seat $seat): array
    {
        return $prompt->value()->practice?->tasks($prompt->id, $seat->n) ?? self::fail();
    }

    /** @return array<string, mixed> */
    private static function answer(string $question, string $value): array
    {
        return [
            'id' => substr(hash('sha256', "{$question} {$value} ".microtime()), 0, 20),
            'kind' => 'answer',
            'layer' => 'student',
            'at' => 1_700_000_000_000,
            'body' => ['question' => $question, 'value' => $value],
        ];
    }

    /**
     * @param  ?array<string, mixed>  $from
     * @param  ?array<string, mixed>  $to
     * @return TestResponse<Response>
     */
    private function set(?array $from, ?array $to): TestResponse
    {
        return $this->postJson("/plan/{$this->plan->id}/prompt/{$this->prompt->id}/edits", [
            'field' => 'practice', 'from' => $from, 'to' => $to,
        ]);
    }
}
