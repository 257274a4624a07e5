<?php

declare(strict_types=1);

namespace Tests\Feature\Asks;

use App\Canvas\TakeCanvas;
use App\Models\Asks\Ask;
use App\Models\Asset;
use App\Models\LiveSession;
use App\Models\Seat;
use App\Sessions\Asks\Asking;
use Crag\Prompt\Backdrop\UsualPaper;
use Crag\Session\Screen\ScreenView;
use Illuminate\Testing\TestResponse;
use Symfony\Component\HttpFoundation\Response;
use Tests\Support\CragTestCase;

/** Quick asks, from the question to the counted answers. */
final class AskTest extends CragTestCase
{
    private const CHOICE = [
        'kind' => 'choice',
        'words' => 'Which way does it turn?',
        'options' => [['id' => 'o1', 'words' => 'Left'], ['id' => 'o2', 'words' => 'Right']],
        'right' => ['o2'],
        'shuffle' => false,
    ];

    private LiveSession $session;

    private Seat $tamsin;

    private string $tamsins;

    private Seat $otis;

    private string $otiss;

    protected function setUp(): void
    {
        parent::setUp();
        $this->session = $this->newSession();
        [$this->tamsin, $this->tamsins] = $this->seat($this->session, 'Tamsin');
        [$this->otis, $this->otiss] = $this->seat($this->session, 'Otis');
    }

    public function test_what_nobody_has_answered_yet_has_an_empty_tally(): void
    {
        foreach (
            [['kind' => 'number', 'words' => 'F?', 'right' => ''], ['kind' => 'text', 'words' => 'Why?', 'right' => []]] as $question
        ) {
            $this->asTeacher()
                ->postJson("/desk/{$this->session->id}/asks", ['question' => $question])
                ->assertOk();
            $this->get("/desk/{$this->session->id}/ask")
                ->assertOk()
                ->assertSee('0 of');
            $this->postJson("/desk/{$this->session->id}/screen", ['view' => 'tally'])->assertNoContent();
            $this->asScreen($this->session)
                ->get("/screen/{$this->session->id}/shown")
                ->assertOk()
                ->assertSee('Nobody has answered yet');
        }
    }

    public function test_it_is_asked_answered_changed_and_counted(): void
    {
        $ask = $this->ask(self::CHOICE);
        self::assertStringContainsString(
            'Which way does it turn?',
            implode('', $this->published->on("seat.{$this->tamsin->id}")),
        );
        $this->asked($this->tamsin, $this->tamsins)
            ->assertJsonPath('own.ask.isOpen', true)
            ->assertJsonPath('own.ask.tally', null)
            ->assertJsonMissingPath('own.ask.question.right');
        $this->answer($this->tamsin, $this->tamsins, $ask, 'o1')->assertOk();
        $this->answer($this->otis, $this->otiss, $ask, 'o2')->assertOk();
        $this->answer($this->tamsin, $this->tamsins, $ask, 'o2')->assertOk();
        $this->asked($this->tamsin, $this->tamsins)->assertJsonPath('own.ask.mine', 'o2');
        $this->panel()->assertSee('2 of 2 answered')->assertSee('2 right')->assertSee('1 changed from Left to Right');
        $this->answer($this->otis, $this->otiss, $ask, null)->assertOk();
        $this->panel()
            ->assertSee('1 of 2 answered')
            ->assertSeeInOrder(['Not answered yet', 'Otis']);
    }

    public function test_an_answer_that_meets_the_showing_of_the_tally_is_the_last_word(): void
    {
        $ask = $this->ask(self::CHOICE);
        // Read before the tally was shown, and stored after.
        $read = Ask::query()->findOrFail($ask);
        $this->desk("ask/{$ask}/show", ['tally' => true])->assertOk();
        $this->app->make(Asking::class)->answer($read, $this->tamsin, 'o2');
        $last = $this->published->on("seat.{$this->tamsin->id}");
        self::assertStringContainsString('"mine":"o2"', (string) end($last));
        self::assertStringContainsString('"answered":1', (string) end($last));
        $this->desk("ask/{$ask}/show", ['tally' => false])->assertOk();
        $this->answer($this->tamsin, $this->tamsins, $ask, 'o1')->assertOk();
        $last = $this->published->on("seat.{$this->tamsin->id}");
        self::assertStringContainsString('"mine":"o1"', (string) end($last));
    }

    public function test_bad_answers_and_answers_to_what_is_not_asked_are_refused(): void
    {
        $ask = $this->ask(self::CHOICE);
        $this->answer($this->tamsin, $this->tamsins, $ask, 'o9')->assertUnprocessable();
        $this->answer($this->tamsin, $this->tamsins, $ask, ['o1', 'o2'])->assertUnprocessable();
        $again = $this->ask(self::CHOICE);
        $this->answer($this->tamsin, $this->tamsins, $ask, 'o1')->assertStatus(409);
        $this->desk("ask/{$again}/close")->assertOk();
        $this->answer($this->tamsin, $this->tamsins, $again, 'o1')->assertStatus(409);
        $this->desk('ask-away')->assertOk();
        $this->asked($this->tamsin, $this->tamsins)->assertJsonPath('own.ask', null);
        self::assertSame(0, Ask::query()->findOrFail($again)->answers()->count());
        foreach (
            [
                ['kind' => 'choice', 'words' => 'x', 'options' => [], 'right' => ['o1'], 'shuffle' => false],
                ['kind' => 'riddle', 'words' => 'x'],
                [],
            ] as $bad
        ) {
            $this->desk('asks', ['question' => $bad])->assertUnprocessable();
        }
        $this->desk('asks', ['question' => self::CHOICE, 'seats' => ['nobody']])->assertUnprocessable();
    }

    public function test_half_a_minute_more_opens_what_had_run_out_and_ends_what_had_no_end(): void
    {
        $ask = $this->ask(self::CHOICE, ['seconds' => 30]);
        $this->travel(31)->seconds();
        $this->answer($this->tamsin, $this->tamsins, $ask, 'o1')->assertStatus(409);
        $this->desk("ask/{$ask}/longer")->assertOk();
        $this->answer($this->tamsin, $this->tamsins, $ask, 'o1')->assertOk();
        $this->desk("ask/{$ask}/close")->assertOk();
        $this->desk("ask/{$ask}/longer")->assertOk();
        $this->answer($this->tamsin, $this->tamsins, $ask, 'o2')->assertOk();
        $this->travel(61)->seconds();
        $this->answer($this->tamsin, $this->tamsins, $ask, 'o1')->assertStatus(409);
        $open = $this->ask(self::CHOICE);
        // The one before is over, and is not opened again behind it.
        $this->desk("ask/{$ask}/longer")->assertConflict();
        $this->answer($this->tamsin, $this->tamsins, $ask, 'o1')->assertStatus(409);
        $this->desk("ask/{$open}/longer")->assertOk();
        $this->travel(31)->seconds();
        $this->answer($this->tamsin, $this->tamsins, $open, 'o1')->assertStatus(409);
    }

    public function test_one_key_goes_from_hidden_to_the_bars_to_the_right_answer_and_back(): void
    {
        $this->desk('ask-step')->assertUnprocessable();
        $ask = Ask::query()->findOrFail($this->ask(self::CHOICE));
        $seen = [];
        for ($i = 0; $i < 4; $i++) {
            $this->desk('ask-step')->assertOk();
            $ask->refresh();
            $seen[] = [$ask->is_tally_shown, $ask->is_right_shown];
        }
        self::assertSame([[true, false], [true, true], [false, false], [true, false]], $seen);
        // Where nothing is right or wrong there are two steps.
        $ask = Ask::query()->findOrFail($this->ask(['kind' => 'text', 'words' => 'Why?', 'right' => []]));
        $this->desk('ask-step')->assertOk();
        self::assertTrue($ask->refresh()->is_tally_shown);
        $this->desk('ask-step')->assertOk();
        self::assertFalse($ask->refresh()->is_tally_shown);
    }

    public function test_it_stands_on_the_class_screen_at_once_with_its_choices_and_gives_it_back(): void
    {
        $this->session->update(['screen_view' => ScreenView::Join]);
        $screen = fn (): TestResponse => $this->asScreen($this->session)
            ->get("/screen/{$this->session->id}/shown")
            ->assertOk();
        $ask = $this->ask(self::CHOICE, ['screen' => true]);
        self::assertSame(ScreenView::Tally, $this->session->refresh()->screen_view);
        $screen()->assertSeeInOrder(['Which way does it turn?', 'Nobody has answered yet', 'Left', 'Right'])
            ->assertDontSee('<meter', false);
        $this->answer($this->tamsin, $this->tamsins, $ask, 'o1')->assertOk();
        $screen()->assertSee('1 answer');
        // Asked again it stays there, and what stood there first comes back in the end.
        $this->desk("ask/{$ask}/again")->assertOk();
        $this->desk('ask-away')->assertOk();
        self::assertSame(ScreenView::Join, $this->session->refresh()->screen_view);
        // What was chosen meanwhile is left alone; and a quiet one never comes there.
        $this->ask(self::CHOICE, ['screen' => true]);
        $this->desk('screen', ['view' => 'nothing'])->assertNoContent();
        $this->desk('ask-away')->assertOk();
        self::assertSame(ScreenView::Nothing, $this->session->refresh()->screen_view);
        $this->ask(self::CHOICE);
        self::assertSame(ScreenView::Nothing, LiveSession::query()->findOrFail($this->session->id)->screen_view);
    }

    public function test_who_chose_what_is_on_the_tiles_and_who_moved_in_a_table_by_name_for_teachers_alone(): void
    {
        $ask = $this->ask(self::CHOICE);
        $this->answer($this->tamsin, $this->tamsins, $ask, 'o1')->assertOk();
        $this->answer($this->otis, $this->otiss, $ask, 'o2')->assertOk();
        $this->asTeacher()
            ->getJson("/desk/{$this->session->id}/ask-choices")
            ->assertExactJson(['choices' => [$this->tamsin->id => 'Left', $this->otis->id => 'Right']]);
        $this->panel()->assertSee("data-do=\"choose-seats\" data-seat=\"{$this->tamsin->id}\"", false);
        $again = (string) $this->desk("ask/{$ask}/again")->json('ask');
        $this->answer($this->tamsin, $this->tamsins, $again, 'o2')->assertOk();
        $this->answer($this->otis, $this->otiss, $again, 'o2')->assertOk();
        $this->panel()->assertSeeInOrder(['1 of 2 changed their answer', 'Left', 'Right', 'Tamsin']);
        $this->desk("ask/{$again}/show", ['tally' => true])->assertOk();
        $this->desk('screen', ['view' => 'tally'])->assertNoContent();
        $this->asScreen($this->session)
            ->get("/screen/{$this->session->id}/shown")
            ->assertSee('1 of 2 changed their answer')
            ->assertDontSee('Tamsin')
            ->assertDontSee($this->tamsin->id);
        // Of anonymous answers nobody learns whose they are.
        $secret = $this->ask(self::CHOICE, ['anonymous' => true]);
        $this->answer($this->tamsin, $this->tamsins, $secret, 'o1')->assertOk();
        $this->asTeacher()
            ->getJson("/desk/{$this->session->id}/ask-choices")
            ->assertExactJson(['choices' => []]);
        $this->panel()->assertDontSee('data-do="choose-seats"', false);
        $this->desk("ask/{$secret}/one-of-each")->assertUnprocessable();
    }

    public function test_one_of_each_answer_is_shown_and_the_class_says_which_it_agrees_with(): void
    {
        $ask = $this->ask(self::CHOICE);
        $this->answer($this->tamsin, $this->tamsins, $ask, 'o1')->assertOk();
        $this->answer($this->otis, $this->otiss, $ask, 'o2')->assertOk();
        $this->desk("ask/{$ask}/one-of-each")
            ->assertUnprocessable()
            ->assertJsonPath('message', 'Nobody who answered has work to show here.');
        $this->desk('ask-works')->assertUnprocessable();
        foreach ([[$this->tamsin, $this->tamsins], [$this->otis, $this->otiss]] as [$seat, $token]) {
            $this->appendAs($seat, $token, $this->stroke());
        }
        $this->desk("ask/{$ask}/one-of-each")
            ->assertOk()
            ->assertJsonPath('said', 'Showing one of each. A: Left (1 student) · B: Right (1 student)');
        $this->session->refresh();
        self::assertSame(ScreenView::Showcase, $this->session->screen_view);
        self::assertSame(2, $this->session->showcase?->items()->count());
        $this->desk('ask-works')->assertOk();
        // The works stay where they are: they are what is asked about.
        self::assertSame(ScreenView::Showcase, $this->session->refresh()->screen_view);
        $this->asked($this->tamsin, $this->tamsins)
            ->assertJsonPath('own.ask.question.options.0.words', 'A')
            ->assertJsonPath('own.ask.question.options.1.words', 'B');
        // Covered work is shown by nothing.
        $this->desk('settings', ['cover' => true])->assertOk();
        $this->desk("ask/{$ask}/one-of-each")->assertStatus(409);
    }

    public function test_words_follow_what_was_asked_aloud_and_answers_stay(): void
    {
        $ask = $this->ask(['words' => ''] + self::CHOICE);
        $this->answer($this->tamsin, $this->tamsins, $ask, 'o1')->assertOk();
        $this->panel()->assertSee('Add the words');
        $this->desk("ask/{$ask}/words", ['words' => ' '])->assertUnprocessable();
        $this->desk("ask/{$ask}/words", ['words' => 'And which way now?'])->assertOk();
        $this->asked($this->tamsin, $this->tamsins)
            ->assertJsonPath('own.ask.question.words', 'And which way now?')
            ->assertJsonPath('own.ask.mine', 'o1');
        $this->panel()->assertDontSee('Add the words')->assertSee('1 of 2 answered');
    }

    public function test_it_is_answered_by_drawing_on_canvases_of_its_own(): void
    {
        $own = $this->canvasOf($this->tamsin);
        $told = $this->desk('asks', [
            'question' => ['kind' => 'text', 'words' => 'Draw the forces', 'right' => []],
            'pad' => 'prompt',
            'seconds' => 300,
        ])->assertOk();
        $drawings = (string) $told->json('drawings');
        $pad = $this->asked($this->tamsin, $this->tamsins)
            ->assertJsonPath('own.ask.pad.isSent', false)
            ->json('own.ask.pad.canvas');
        self::assertNotSame($own->id, $pad);
        $this->asStudent($this->tamsin, $this->tamsins)
            ->getJson("/seat/{$this->tamsin->id}/pad")
            ->assertOk()
            ->assertJsonPath('canvas', $pad)
            ->assertJsonPath('tray.tools', ['pen', 'eraser', 'text', 'maths', 'picture']);
        $draw = fn (string $id): TestResponse => $this->asStudent($this->tamsin, $this->tamsins)->postJson(
            "/seat/{$this->tamsin->id}/operations",
            ['canvas' => $pad, 'operations' => [['at' => now()->getTimestampMs()] + $this->stroke($id)]],
        );
        $draw('the-first-stroke')->assertJsonCount(1, 'accepted');
        // It is no prompt of the session's: nobody is brought to it, and nothing else counts it.
        self::assertSame(1, $this->session->prompts()->count());
        $this->asTeacher()
            ->get("/desk/{$this->session->id}/bands")
            ->assertSee("data-prompt=\"{$drawings}\"", false)
            ->assertSee('drawings for the quick ask');
        $this->desk("prompt/{$drawings}/gather")->assertNotFound();
        $this->asTeacher()
            ->getJson("/desk/{$this->session->id}/prompt/{$drawings}/canvases")
            ->assertOk()
            ->assertJsonPath('operations.0.canvas', $pad);
        // Sending is the answer; taken back, it is drawn on.
        $this->panel()->assertSee('0 of 2 sent their drawing');
        $this->asStudent($this->tamsin, $this->tamsins)
            ->postJson("/seat/{$this->tamsin->id}/send", ['canvas' => $pad])
            ->assertJsonPath('own.ask.pad.isSent', true)
            ->assertJsonPath('own.isSent', false);
        $this->panel()->assertSee('1 of 2 sent their drawing')->assertSee('See the drawings');
        $this->travel(1)->minutes();
        $draw('after-it-was-sent')->assertJsonPath('held.0.why', 'sent');
        $this->asStudent($this->tamsin, $this->tamsins)
            ->postJson("/seat/{$this->tamsin->id}/take-back", ['canvas' => $pad])
            ->assertJsonPath('own.ask.pad.isSent', false);
        $draw('the-second-stroke')->assertJsonCount(1, 'accepted');
        // What is drawn before the end is taken, though it comes later; what is drawn after it is held.
        $this->travel(6)->minutes();
        $draw('after-its-time')->assertJsonPath('held.0.why', 'prompt_closed');
        $this->desk("ask/{$told->json('ask')}/longer")->assertOk();
        $draw('in-the-time-it-was-given')->assertJsonCount(1, 'accepted');
        $this->desk('ask-away')->assertOk();
        $this->travel(1)->minutes();
        $draw('after-it-was-put-away')->assertJsonPath('held.0.why', 'prompt_closed');
        $this->asStudent($this->tamsin, $this->tamsins)
            ->getJson("/seat/{$this->tamsin->id}/pad")
            ->assertNotFound();
        // Kept with the record, and the own canvas was never touched.
        self::assertSame($own->operation_count, $own->refresh()->operation_count);
        $this->panel()->assertSeeInOrder(['Asked before', 'Draw the forces', 'See the drawings']);
        $this->desk('end')->assertRedirect();
        $this->asTeacher()
            ->get("/desk/{$this->session->id}/ended")
            ->assertSee('Quick ask 1')
            ->assertSee("/work/{$pad}/picture.svg", false);
    }

    public function test_a_drawing_starts_on_what_the_teacher_chose_for_those_asked_and_for_latecomers(): void
    {
        $ask = fn (array $more): TestResponse => $this->desk(
            'asks',
            $more + ['question' => ['kind' => 'text', 'words' => '', 'right' => []]],
        );
        $ask(['pad' => 'nonsense'])->assertUnprocessable();
        $lead = app(TakeCanvas::class)->lead($this->session->prompt()->firstOrFail());
        $this->asTeacher()
            ->postJson("/desk/{$this->session->id}/operations", [
                'canvas' => $lead->id,
                'operations' => [['layer' => 'lead'] + $this->stroke('the-teachers-beam')],
            ])
            ->assertJsonCount(1, 'accepted');
        $ask(['pad' => 'lead', 'seats' => [$this->tamsin->id]])->assertOk();
        $this->asStudent($this->otis, $this->otiss)->getJson("/seat/{$this->otis->id}/pad")->assertNotFound();
        $this->asked($this->otis, $this->otiss)->assertJsonPath('own.ask', null);
        $pad = $this->asStudent($this->tamsin, $this->tamsins)
            ->getJson("/seat/{$this->tamsin->id}/pad")
            ->assertOk();
        self::assertStringContainsString('"kind":"add"', (string) $pad->getContent());
        foreach (array_column(UsualPaper::cases(), 'value') as $paper) {
            $ask(['pad' => $paper])->assertOk();
            self::assertSame($paper, $this->session->refresh()->ask?->drawings?->backdrop->kind->value);
        }
        // A part of the lead canvas is a picture of it, in the part's own proportions.
        $ask(['pad' => 'lead-part', 'page' => '', 'cut' => ['x' => 0, 'y' => 0, 'w' => 400, 'h' => 400]])->assertOk();
        $backdrop = $this->session->refresh()->ask?->drawings?->backdrop;
        self::assertSame(['picture', 1.0], [
            $backdrop?->kind->value,
            round($backdrop->paper->width / max(1, $backdrop->paper->height), 2),
        ]);
        $ask(['pad' => 'lead-part', 'cut' => ['x' => 0, 'y' => 0, 'w' => 0, 'h' => 'x']])->assertUnprocessable();
        $ask(['pad' => 'lead-part'])->assertOk();
        $ask(['pad' => 'picture', 'picture' => 'nowhere'])->assertUnprocessable();
        $picture = Asset::query()->create([
            'live_session_id' => $this->session->id,
            'mime' => 'image/png',
            'width' => 400,
            'height' => 200,
            'bytes' => 1,
        ]);
        $ask(['pad' => 'picture', 'picture' => $picture->id])->assertOk();
        self::assertSame('picture', $this->session->refresh()->ask?->drawings?->backdrop->kind->value);
        $picture->update(['seat_id' => $this->otis->id]);
        $ask(['pad' => 'picture', 'picture' => $picture->id])->assertUnprocessable();
        $ask(['pad' => 'blank'])->assertOk();
        [$late, $token] = $this->seat($this->session, 'Late');
        $this->asStudent($late, $token)
            ->getJson("/seat/{$late->id}/pad")
            ->assertOk()
            ->assertJsonPath('operations', []);
        // Asked again it starts on the same, on canvases that are new.
        $before = $this->session->refresh()->ask?->drawings?->id;
        $this->desk("ask/{$this->session->ask_id}/again")->assertOk();
        $now = $this->session->refresh()->ask?->drawings?->id;
        self::assertNotNull($now);
        self::assertNotSame($before, $now);
    }

    public function test_it_ends_when_its_time_is_up(): void
    {
        $ask = $this->ask(self::CHOICE, ['seconds' => 30]);
        $this->asked($this->tamsin, $this->tamsins)->assertJsonPath('own.ask.isOpen', true);
        $this->travel(31)->seconds();
        $this->answer($this->tamsin, $this->tamsins, $ask, 'o1')->assertStatus(409);
        $this->asked($this->tamsin, $this->tamsins)->assertJsonPath('own.ask.isOpen', false);
        $this->panel()->assertSee('closed');
    }

    public function test_only_those_who_are_chosen_are_asked(): void
    {
        $ask = $this->ask(self::CHOICE, ['seats' => [$this->otis->id]]);
        $this->asked($this->tamsin, $this->tamsins)->assertJsonPath('own.ask', null);
        $this->answer($this->tamsin, $this->tamsins, $ask, 'o1')->assertStatus(409);
        $this->answer($this->otis, $this->otiss, $ask, 'o1')->assertOk();
        $this->panel()->assertSee('1 of 1 answered');
    }

    public function test_what_is_anonymous_names_nobody_and_still_counts_each_once(): void
    {
        $ask = $this->ask(self::CHOICE, ['anonymous' => true]);
        $this->answer($this->tamsin, $this->tamsins, $ask, 'o1')->assertOk();
        $this->answer($this->tamsin, $this->tamsins, $ask, 'o2')->assertOk();
        $this->answer($this->otis, $this->otiss, $ask, 'o1')->assertOk();
        $this->panel()->assertSee('2 of 2 answered')->assertSee('anonymous')->assertDontSee('Not answered yet');
        $stored = (string) json_encode(Ask::query()->findOrFail($ask)->answers()->get());
        self::assertStringNotContainsString($this->tamsin->id, $stored);
        $this->asked($this->tamsin, $this->tamsins)->assertJsonPath('own.ask.mine', 'o2');
    }

    public function test_the_tally_is_shown_to_all_only_when_the_teacher_shows_it_and_names_nobody(): void
    {
        $ask = $this->ask(self::CHOICE);
        $this->answer($this->tamsin, $this->tamsins, $ask, 'o1')->assertOk();
        $this->asTeacher()
            ->postJson("/desk/{$this->session->id}/screen", ['view' => 'tally'])
            ->assertNoContent();
        $this->asScreen($this->session)
            ->get("/screen/{$this->session->id}/shown")
            ->assertSee('1 answer')
            ->assertDontSee('<meter', false);
        $this->desk("ask/{$ask}/show", ['tally' => true])->assertOk();
        $this->asked($this->otis, $this->otiss)
            ->assertJsonPath('own.ask.tally.bars.0', ['label' => 'Left', 'count' => 1, 'outcome' => null])
            ->assertJsonPath('own.ask.right', null);
        $this->asScreen($this->session)
            ->get("/screen/{$this->session->id}/shown")
            ->assertSee('Left')
            ->assertDontSee('Tamsin')
            ->assertDontSee('not right');
        $this->desk("ask/{$ask}/show", ['right' => true])->assertOk();
        $this->asked($this->otis, $this->otiss)
            ->assertJsonPath('own.ask.right', 'Right')
            ->assertJsonPath('own.ask.tally.bars.0.outcome', 'wrong');
        $this->desk('ask-away')->assertOk();
        self::assertSame(ScreenView::Prompt, $this->session->refresh()->screen_view);
    }

    public function test_asked_again_shows_before_beside_after(): void
    {
        $ask = $this->ask(['kind' => 'number', 'words' => 'F?', 'right' => '80 N']);
        $this->answer($this->tamsin, $this->tamsins, $ask, '720 N')->assertOk();
        $again = (string) $this->desk("ask/{$ask}/again")
            ->assertOk()
            ->json('ask');
        $this->answer($this->tamsin, $this->tamsins, $again, '0.08 kN')->assertOk();
        $this->panel()->assertSee('before: 0')->assertSee('1 right')->assertSee('Asked before')->assertSee('720 N');
    }

    /**
     * @param  array<string, mixed>  $question
     * @param  array<string, mixed>  $how
     */
    private function ask(array $question, array $how = []): string
    {
        return (string) $this->desk('asks', ['question' => $question] + $how)
            ->assertOk()
            ->json('ask');
    }

    /** @return TestResponse<Response> */
    private function answer(Seat $seat, string $token, string $ask, mixed $value): TestResponse
    {
        return $this->asStudent($seat, $token)->postJson("/seat/{$seat->id}/ask", ['ask' => $ask, 'value' => $value]);
    }

    /** @return TestResponse<Response> */
    private function asked(Seat $seat, string $token): TestResponse
    {
        return $this->asStudent($seat, $token)
            ->getJson("/seat/{$seat->id}/canvas")
            ->assertOk();
    }

    /** @return TestResponse<Response> */
    private function panel(): TestResponse
    {
        return $this->asTeacher()
            ->get("/desk/{$this->session->id}/ask")
            ->assertOk();
    }

    /**
     * @param  array<string, mixed>  $body
     * @return TestResponse<Response>
     */
    private function desk(string $what, array $body = []): TestResponse
    {
        return $this->asTeacher()->postJson("/desk/{$this->session->id}/{$what}", $body);
    }
}
