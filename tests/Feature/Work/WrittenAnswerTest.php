<?php

declare(strict_types=1);

namespace Tests\Feature\Work;

use App\Models\LiveSession;
use App\Models\Prompt;
use App\Models\Seat;
use App\Sessions\Life\EndSession;
use Crag\Canvas\Drawing\Ink;
use Crag\Handwriting\Made\Forms;
use Crag\Handwriting\Made\Hand;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use Symfony\Component\HttpFoundation\Response;
use Tests\Support\CragTestCase;

/** Answers that are written by hand in a box: read by the server, and counted once their writer has confirmed them. */
final class WrittenAnswerTest extends CragTestCase
{
    private const BOX = ['page' => 0, 'x' => 200, 'y' => 200, 'w' => 900, 'h' => 200];

    private LiveSession $session;

    private Prompt $prompt;

    private Seat $seat;

    private string $token;

    protected function setUp(): void
    {
        parent::setUp();
        $this->session = $this->newSession();
        $this->prompt = $this->session->prompt()->firstOrFail();
        $this->prompt->update(['details' => ['questions' => [
            [
                'id' => 'm',
                'kind' => 'number',
                'words' => 'M?',
                'spot' => self::BOX,
                'right' => '240 N m',
                'by_hand' => true,
            ],
            ['id' => 'typed', 'kind' => 'number', 'words' => 'F?', 'spot' => null, 'right' => '80 N'],
        ]]]);
        [$this->seat, $this->token] = $this->seat($this->session, 'Tamsin');
    }

    public function test_what_is_written_in_the_box_is_read_and_counts_once_it_is_confirmed(): void
    {
        $this->write('240 Nm');
        $read = $this->read()->assertOk();
        self::assertSame('240 Nm', $read->json('text'));
        self::assertSame([], $this->canvasOf($this->seat)->refresh()->scene()->answers, 'nothing counts by itself');
        $this->confirm('240 N m')->assertOk();
        $this->answer($this->seat, $this->token, (string) $read->json('text'));
        [$otis, $token] = $this->seat($this->session, 'Otis');
        $this->answer($otis, $token, '0.24 kN m');
        $this->asTeacher()
            ->getJson("/desk/{$this->session->id}/prompt/{$this->prompt->id}/states")
            ->assertJsonCount(1, 'answers')
            ->assertJsonPath('answers.0.outcome', 'right')
            ->assertJsonCount(2, 'answers.0.seats');
    }

    public function test_ink_beside_the_box_a_highlighter_and_rubbed_out_ink_are_not_read(): void
    {
        $this->read()->assertOk()->assertExactJson(['text' => '']);
        $this->write('7', y: 700);
        $this->read()->assertExactJson(['text' => '']);
        $ids = $this->write('5');
        $this->read()->assertJsonPath('text', '5');
        $this->append(['kind' => 'remove', 'body' => ['targets' => $ids]]);
        $this->read()->assertExactJson(['text' => '']);
    }

    public function test_more_ink_than_a_line_is_nothing_to_read(): void
    {
        for ($i = 0; $i < 81; $i++) {
            $object = $this->pen([[220 + 9 * $i, 220], [224 + 9 * $i, 380]]);
            $this->append(['kind' => 'add', 'body' => ['object' => $object]]);
        }
        $this->read()->assertOk()->assertExactJson(['text' => '']);
    }

    public function test_what_its_writer_corrects_is_learned_until_the_session_ends(): void
    {
        // A seven that is read as something else.
        $odd = [[[300, 260], [340, 250], [380, 262], [352, 300], [348, 372]]];
        $this->strokes($odd);
        $before = (string) $this->read()->json('text');
        for ($i = 0; $i < 2; $i++) {
            $this->confirm('4')->assertOk();
        }
        self::assertNotSame('4', $before);
        $this->read()->assertJsonPath('text', '4');
        self::assertSame(1, DB::table('own_forms')->count());
        // Another student's hand is another hand.
        [$otis, $token] = $this->seat($this->session, 'Otis');
        $this->strokes($odd, $otis, $token);
        self::assertSame($before, $this->read($otis, $token)->json('text'));
        app(EndSession::class)($this->session->refresh());
        self::assertSame(0, DB::table('own_forms')->count(), 'how somebody writes is forgotten with the session');
    }

    public function test_chosen_strokes_are_read_anywhere_on_the_page(): void
    {
        $ids = $this->write('12+35=47', y: 700);
        $this->asStudent($this->seat, $this->token)
            ->postJson("/seat/{$this->seat->id}/read-ink", ['canvas' => $this->canvas(), 'strokes' => $ids])
            ->assertOk()
            ->assertJsonPath('text', '12+35 = 47')
            ->assertJsonPath('latex', '12+35 = 47');
    }

    public function test_nobody_else_reads_it_and_odd_questions_change_nothing(): void
    {
        $this->write('7');
        $body = ['canvas' => $this->canvas(), 'question' => 'm'];
        [$otis, $token] = $this->seat($this->session, 'Otis');
        foreach (['read-ink', 'learn-ink'] as $what) {
            $says = ['says' => '7'];
            $post = fn (Seat $seat): TestResponse => $this->postJson("/seat/{$seat->id}/{$what}", $body + $says);
            $this->asStudent($otis, $token);
            $post($this->seat)->assertForbidden();
            $post($otis)->assertNotFound();
            $this->asTeacher();
            $post($this->seat)->assertForbidden();
            $mine = fn (array $with): TestResponse => $this->asStudent($this->seat, $this->token)
                ->postJson("/seat/{$this->seat->id}/{$what}", $with + $body + $says);
            $mine(['question' => 'typed'])->assertNotFound();
            $mine(['question' => 'nothing'])->assertNotFound();
            $mine(['canvas' => 'nowhere'])->assertNotFound();
            $mine(['strokes' => 'all'])->assertUnprocessable();
            $mine(['strokes' => [['deep']]])->assertUnprocessable();
        }
        self::assertSame(0, DB::table('own_forms')->count());
        $this->asStudent($this->seat, $this->token)
            ->postJson("/seat/{$this->seat->id}/learn-ink", $body + ['says' => str_repeat('7', 301)])
            ->assertUnprocessable();
    }

    public function test_a_student_is_forgotten_with_their_hand(): void
    {
        $this->write('7');
        $this->confirm('7');
        self::assertSame(1, DB::table('own_forms')->count());
        $this->seat->delete();
        self::assertSame(0, DB::table('own_forms')->count());
    }

    public function test_a_box_for_writing_needs_its_place(): void
    {
        $questions = $this->prompt->details['questions'] ?? [];
        self::assertIsArray($questions);
        $this->prompt->update(['details' => ['questions' => [['spot' => null] + $questions[0]]]]);
        self::assertSame(['Question 1 needs a place on the page.'], $this->prompt->refresh()->value()->problems());
    }

    /**
     * In a made-up hand.
     *
     * @return list<string> the strokes' ids
     */
    private function write(string $text, int $y = 330): array
    {
        $strokes = (new Hand(Forms::all(true), 11))->line(str_replace('−', '-', $text))['trace']->strokes;

        return $this->strokes(array_map(
            static fn (array $stroke): array => array_map(
                static fn (array $at): array => [240 + $at[0] * 0.8, $y + $at[1] * 0.8],
                $stroke,
            ),
            $strokes,
        ));
    }

    /**
     * @param  list<list<array{float|int, float|int}>>  $strokes  in units
     * @return list<string>
     */
    private function strokes(array $strokes, ?Seat $seat = null, ?string $token = null): array
    {
        $ids = [];
        foreach ($strokes as $n => $stroke) {
            $ids[] = $id = 'stroke-'.substr(md5(serialize($stroke).$seat?->id), 0, 12)."-{$n}";
            $this->append(['id' => $id, 'kind' => 'add', 'body' => ['object' => $this->pen($stroke)]], $seat, $token);
        }

        return $ids;
    }

    /**
     * @param  list<array{float|int, float|int}>  $stroke
     * @return array<string, mixed>
     */
    private function pen(array $stroke): array
    {
        return [
            'type' => 'stroke',
            'colour' => '#25323b',
            'width' => 40,
            'ink' => Ink::of(array_map(
                static fn (array $at, int $n): array => [(int) (10 * $at[0]), (int) (10 * $at[1]), 128, 8 * $n],
                $stroke,
                array_keys($stroke),
            ))->encode(),
        ];
    }

    /** @param  array<string, mixed>  $operation */
    private function append(array $operation, ?Seat $seat = null, ?string $token = null): void
    {
        $operation += [
            'id' => 'op-'.substr(md5(serialize($operation)), 0, 16),
            'layer' => 'student',
            'at' => 1_700_000_000_000,
        ];
        $this->appendAs($seat ?? $this->seat, $token ?? $this->token, $operation)->assertJsonCount(1, 'accepted');
    }

    private function answer(Seat $seat, string $token, string $value): void
    {
        $this->append(['kind' => 'answer', 'body' => ['question' => 'm', 'value' => $value]], $seat, $token);
    }

    /** @return TestResponse<Response> */
    private function read(?Seat $seat = null, ?string $token = null): TestResponse
    {
        $seat ??= $this->seat;

        return $this->asStudent($seat, $token ?? $this->token)->postJson("/seat/{$seat->id}/read-ink", [
            'canvas' => $this->canvasOf($seat)->id,
            'question' => 'm',
        ]);
    }

    /** @return TestResponse<Response> */
    private function confirm(string $says): TestResponse
    {
        return $this->asStudent($this->seat, $this->token)->postJson("/seat/{$this->seat->id}/learn-ink", [
            'canvas' => $this->canvas(),
            'question' => 'm',
            'says' => $says,
        ]);
    }

    private function canvas(): string
    {
        return $this->canvasOf($this->seat)->id;
    }
}
