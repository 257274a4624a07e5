<?php

declare(strict_types=1);

namespace Tests\Feature\Room;

use App\Canvas\TakeCanvas;
use App\Models\Asks\Ask;
use App\Models\Prompt;
use App\Sessions\Work\HandOutWork;
use Crag\Prompt\Backdrop\Backdrop;
use Crag\Prompt\Prompt as PromptValue;
use Crag\Session\Room\Pace;
use Crag\Session\Room\PromptState;
use Crag\Session\Screen\ScreenView;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\TestWith;
use Symfony\Component\HttpFoundation\Response;
use Tests\Support\OneStudentTestCase;

/** What is done to everybody at once: it does what it says, nothing beside, and there is a way back. */
final class TogetherTest extends OneStudentTestCase
{
    private Prompt $first;

    private Prompt $second;

    protected function setUp(): void
    {
        parent::setUp();
        $this->first = $this->session->prompt()->firstOrFail();
        $this->second = app(HandOutWork::class)->add($this->session, PromptValue::of('Second', Backdrop::blank()));
    }

    public function test_an_old_form_never_brings_an_old_value_back(): void
    {
        $this->desk('settings', ['shown_names' => 'names'])->assertOk();
        $this->desk('settings', ['shown_names' => 'hidden'])->assertOk();
        $this->desk('settings', ['sound' => false])->assertOk();
        $this->desk('settings', ['watch' => ['still_minutes' => 9]])->assertOk();
        $this->desk('settings', ['watch' => ['rub_outs' => 5]])->assertOk();
        $this->desk('settings', ['feedback' => ['what' => ['note']]])->assertOk();
        $this->desk('settings', ['feedback' => ['when' => 'at_once']])->assertOk();
        $settings = $this->session->refresh()->settings->toArray();
        self::assertSame(
            ['hidden', false, 9, 5],
            [
                $settings['shown_names'],
                $settings['sound'],
                $settings['watch']['still_minutes'],
                $settings['watch']['rub_outs'],
            ],
        );
        self::assertSame(['what' => ['note'], 'when' => 'at_once'], $settings['feedback']);
        $this->asTeacher()
            ->get("/desk/{$this->session->id}/bands")
            ->assertSee('data-settings=', false)
            ->assertSee('&quot;still_minutes&quot;:9', false);
    }

    public function test_everyone_is_brought_to_the_first_page_and_back_again(): void
    {
        $this->desk('pace', ['pace' => Pace::Own->value])->assertOk();
        $this->desk("prompt/{$this->second->id}/state", ['state' => 'open'])->assertOk();
        [$ada, $token] = $this->seat($this->session, 'Ada');
        $this->asStudent($ada, $token)
            ->postJson("/seat/{$ada->id}/turn-to", ['prompt' => $this->second->id])
            ->assertOk();
        $this->published->messages = [];
        $told = $this->desk("prompt/{$this->first->id}/gather")
            ->assertOk()
            ->assertJsonPath('said', 'Everyone is at prompt 1.');
        self::assertStringContainsString('"page":0', implode('', $this->published->on("room.{$this->session->id}")));
        self::assertNull($ada->refresh()->prompt_id);
        $this->undo($told)->assertJsonPath('said', 'Everyone is back where they were.');
        self::assertSame($this->second->id, $ada->refresh()->prompt_id);
        self::assertStringContainsString('"back":true', implode('', $this->published->on("room.{$this->session->id}")));
        self::assertSame(Pace::Own, $this->session->refresh()->pace);
    }

    public function test_undo_puts_the_prompt_its_state_the_pace_and_the_class_screen_back(): void
    {
        $this->session->update(['screen_view' => ScreenView::Join]);
        $told = $this->desk("prompt/{$this->second->id}/gather")
            ->assertOk()
            ->assertJsonPath('said', 'Everyone is at prompt 2.');
        self::assertSame(
            [$this->second->id, ScreenView::Prompt],
            [$this->session->refresh()->prompt_id, $this->session->screen_view],
        );
        $this->undo($told);
        self::assertSame(
            [$this->first->id, ScreenView::Join],
            [$this->session->refresh()->prompt_id, $this->session->screen_view],
        );
        self::assertSame(PromptState::Unseen, $this->second->refresh()->state);
        $this->desk('pace', ['pace' => Pace::Own->value])
            ->assertOk()
            ->assertJsonMissingPath('undo');
        $this->undo($this->desk('pace', ['pace' => Pace::Together->value])->assertOk());
        self::assertSame(Pace::Own, $this->session->refresh()->pace);
    }

    public function test_work_that_is_shown_stays_on_the_class_screen_when_everyone_is_brought_on(): void
    {
        $this->desk('showcase', ['canvas' => $this->canvasOf($this->seat)->id])->assertNoContent();
        $this->desk("prompt/{$this->second->id}/gather")
            ->assertOk()
            ->assertJsonPath('said', 'Everyone is at prompt 2. The class screen keeps what it shows.');
        self::assertSame(ScreenView::Showcase, $this->session->refresh()->screen_view);
    }

    public function test_a_later_move_is_undone_before_an_earlier_one(): void
    {
        $first = $this->desk("prompt/{$this->second->id}/gather")->assertOk();
        $second = $this->desk("prompt/{$this->first->id}/gather")->assertOk();
        $address = (string) $first->json('undo.address');
        $this->asTeacher()
            ->postJson($address, [])
            ->assertConflict()
            ->assertSee('Undo the newer one first');
        self::assertSame($this->first->id, $this->session->refresh()->prompt_id);
        $this->undo($second);
        self::assertSame($this->second->id, $this->session->refresh()->prompt_id);
        $this->undo($first);
        self::assertSame($this->first->id, $this->session->refresh()->prompt_id);
        $this->asTeacher()
            ->postJson($address, [])
            ->assertConflict()
            ->assertSee('already been undone');
    }

    public function test_pens_down_for_all_is_undone_with_those_that_were_down_for_one(): void
    {
        $this->desk('pens', ['down' => true, 'seat' => $this->seat->id, 'words' => 'You first'])->assertOk();
        $this->desk('pens', ['down' => true, 'words' => 'All eyes here'])
            ->assertOk()
            ->assertJsonPath('said', 'Pens down for 1 student.');
        $up = $this->desk('pens', ['down' => false])
            ->assertOk()
            ->assertJsonPath('said', 'Pens up for 1 student.');
        self::assertFalse($this->seat->refresh()->pens->isDown());
        $this->undo($up)->assertJsonPath('said', 'Pens are down again.');
        self::assertSame('All eyes here', $this->session->refresh()->pens->words);
        self::assertSame('You first', $this->seat->refresh()->pens->words);
    }

    public function test_a_closed_and_a_hidden_prompt_open_again_with_those_who_were_there(): void
    {
        $this->desk('pace', ['pace' => Pace::Own->value])->assertOk();
        $this->desk("prompt/{$this->second->id}/state", ['state' => 'open'])
            ->assertOk()
            ->assertJsonPath('said', 'Prompt 2 is open.');
        $this->desk("prompt/{$this->second->id}/state", ['state' => 'open'])
            ->assertOk()
            ->assertExactJson([]);
        $this->asStudent($this->seat, $this->token)
            ->postJson("/seat/{$this->seat->id}/turn-to", ['prompt' => $this->second->id])
            ->assertOk();
        $this->undo($this->desk("prompt/{$this->second->id}/state", ['state' => 'closed']))->assertJsonPath(
            'said',
            'Undone: prompt 2 is open.',
        );
        $hidden = $this->desk("prompt/{$this->second->id}/state", ['state' => 'skipped'])->assertOk();
        self::assertNull($this->seat->refresh()->prompt_id);
        $this->undo($hidden);
        self::assertSame($this->second->id, $this->seat->refresh()->prompt_id);
        self::assertSame(PromptState::Open, $this->second->refresh()->state);
    }

    public function test_revealed_work_is_covered_again(): void
    {
        $this->desk('settings', ['cover' => true])->assertOk();
        $told = $this->desk("prompt/{$this->first->id}/reveal")->assertOk();
        self::assertFalse($this->first->refresh()->isCovered());
        $this->published->messages = [];
        $this->undo($told)->assertJsonPath('said', 'The work is covered again.');
        self::assertTrue($this->first->refresh()->isCovered());
        self::assertStringContainsString(
            '"type":"reveal"',
            implode('', $this->published->on("desk.{$this->session->id}")),
        );
    }

    public function test_what_was_done_is_listed_with_its_way_back(): void
    {
        $list = fn (): TestResponse => $this->asTeacher()->get("/desk/{$this->session->id}/bands")->assertOk();
        $list()->assertSee('Nothing yet. Pens down, hand-outs');
        $told = $this->desk("prompt/{$this->second->id}/hand-out", ['what' => 'prompt', 'mode' => 'fresh'])
            ->assertOk()
            ->assertJsonPath('said', 'Cleared 1 canvas and handed out. The old work is in Replay.');
        $address = (string) $told->json('undo.address');
        $list()
            ->assertSee('Cleared 1 canvas and handed out.')
            ->assertSee("data-post=\"{$address}\"", false);
        $this->undo($told)->assertJsonPath('said', 'Undone. No student’s ink was touched.');
        $list()
            ->assertSee('<b>undone</b>', false)
            ->assertDontSee("data-post=\"{$address}\"", false);
    }

    #[TestWith(['nobody'])]
    #[TestWith(['student'])]
    #[TestWith(['other teacher'])]
    public function test_the_way_back_is_this_sessions_teachers(string $who): void
    {
        $address = (string) $this->desk("prompt/{$this->second->id}/gather")->json('undo.address');
        match ($who) {
            'nobody' => $this->asNobody(),
            'student' => $this->asStudent($this->seat, $this->token),
            default => $this->asTeacher('another-teacher'),
        };
        self::assertContains($this->postJson($address, [])->status(), [302, 401, 403, 404]);
        $other = $this->newSession('Other');
        $this->asTeacher()
            ->postJson(str_replace($this->session->id, $other->id, $address), [])
            ->assertNotFound();
        self::assertSame($this->second->id, $this->session->refresh()->prompt_id);
    }

    public function test_the_lead_canvas_goes_to_the_class_screen_alone_lives_there_and_comes_down(): void
    {
        $this->desk('shown-on', ['on' => 'pages'])->assertNoContent();
        $this->desk('lead-beside', ['prompt' => $this->first->id, 'alone' => true])->assertOk();
        self::assertSame('screen', $this->session->refresh()->shown_on->value);
        $lead = app(TakeCanvas::class)->lead($this->first);
        $this->asTeacher()
            ->get("/desk/{$this->session->id}/bands")
            ->assertSee("data-live=\"[[&quot;{$lead->id}", false);
        $this->published->messages = [];
        $this->asTeacher()
            ->postJson("/desk/{$this->session->id}/operations", [
                'canvas' => $lead->id,
                'operations' => [['layer' => 'lead'] + $this->stroke()],
            ])
            ->assertJsonCount(1, 'accepted');
        self::assertNotSame(
            [],
            $this->published->on("screen.{$this->session->id}"),
            'the class screen hears of each stroke',
        );
        $this->desk('lead-beside', ['prompt' => $this->first->id, 'alone' => true])
            ->assertOk()
            ->assertJsonPath('said', 'Taken down. The class screen shows the prompt.');
        self::assertSame(ScreenView::Prompt, $this->session->refresh()->screen_view);
    }

    public function test_a_fresh_start_says_its_number_keeps_pieces_and_can_be_undone(): void
    {
        $piece = [
            'type' => 'piece',
            'alt' => 'Weight',
            'locked' => false,
            'stack' => false,
            'of' => [
                'type' => 'stamp',
                'stamp' => 'weight',
                'x' => 3000,
                'y' => 3000,
                'size' => 90,
                'colour' => '#25323b',
            ],
        ];
        $group = ['group' => 'g1'];
        $this->desk("prompt/{$this->first->id}/hand-out", [
            'what' => 'pieces',
            'mode' => 'pieces',
            'page' => 0,
            'objects' => [['object' => $piece] + $group, ['object' => $piece] + $group],
        ])->assertOk();
        $groups = array_column(
            array_map(
                static fn ($placed): array => ['group' => $placed->group],
                $this->canvasOf($this->seat)->scene()->placed,
            ),
            'group',
        );
        self::assertSame(
            [2, 1],
            [count($groups), count(array_unique($groups))],
            'what belongs together stays together',
        );
        $this->appendAs($this->seat, $this->token, $this->stroke())->assertJsonCount(1, 'accepted');
        $told = $this->desk("prompt/{$this->first->id}/hand-out", [
            'what' => 'prompt',
            'mode' => 'fresh',
            'seats' => [$this->seat->id],
        ])
            ->assertOk()
            ->assertJsonPath('said', 'Cleared 1 canvas and handed out. The old work is in Replay.');
        self::assertCount(2, $this->canvasOf($this->seat)->scene()->placed);
        $this->undo($told);
        self::assertCount(3, $this->canvasOf($this->seat)->scene()->placed);
    }

    public function test_the_class_screens_prompt_holds_what_everybody_was_handed_out(): void
    {
        $address = "/screen/{$this->session->id}/prompt/{$this->first->id}.svg";
        $before = $this->asScreen($this->session)->get($address)->assertOk()->getContent();
        $this->desk("prompt/{$this->first->id}/hand-out", [
            'what' => 'pieces',
            'mode' => 'pieces',
            'page' => 0,
            'objects' => [
                [
                    'object' => [
                        'type' => 'piece',
                        'alt' => 'Beam',
                        'locked' => false,
                        'stack' => false,
                        'of' => [
                            'type' => 'rectangle',
                            'x' => 1000,
                            'y' => 1000,
                            'w' => 4000,
                            'h' => 500,
                            'colour' => '#25323b',
                            'width' => 40,
                            'filled' => true,
                        ],
                    ],
                ],
            ],
        ])->assertOk();
        $after = $this->asScreen($this->session)->get($address)->assertOk()->getContent();
        self::assertGreaterThan(strlen((string) $before), strlen((string) $after));
        $this->desk('screen', ['view' => 'prompt'])->assertNoContent();
        $this->asScreen($this->session)
            ->get("/screen/{$this->session->id}/shown")
            ->assertSee('shown-picture');
    }

    public function test_nobody_is_invited_through_a_shut_door(): void
    {
        $code = $this->session->code()->spaced();
        foreach (['join', 'prompt'] as $view) {
            $this->desk('screen', ['view' => $view])->assertNoContent();
            $this->desk('door', ['door' => 'open'])->assertOk();
            $this->asScreen($this->session)
                ->get("/screen/{$this->session->id}/shown")
                ->assertSee($code);
            $this->desk('door', ['door' => 'shut'])->assertOk();
            $this->asScreen($this->session)
                ->get("/screen/{$this->session->id}/shown")
                ->assertDontSee($code);
        }
    }

    public function test_the_class_screen_hears_of_every_answer_and_says_how_many_there_are(): void
    {
        $this->desk('asks', [
            'question' => ['kind' => 'number', 'words' => 'F?', 'right' => '80 N'],
            'seconds' => 60,
        ])->assertOk();
        $this->desk('screen', ['view' => 'tally'])->assertNoContent();
        $this->asScreen($this->session)
            ->get("/screen/{$this->session->id}/shown")
            ->assertSee('Nobody has answered yet')
            ->assertSee('data-ends=', false);
        $this->published->messages = [];
        $this->asStudent($this->seat, $this->token)
            ->postJson("/seat/{$this->seat->id}/ask", ['ask' => Ask::query()->firstOrFail()->id, 'value' => '80 N'])
            ->assertOk();
        self::assertNotSame([], $this->published->on("screen.{$this->session->id}"));
        $this->asScreen($this->session)
            ->get("/screen/{$this->session->id}/shown")
            ->assertSee('1 answer');
    }

    public function test_a_runs_ask_is_known_to_every_desk_and_its_result_can_be_closed(): void
    {
        $this->desk('runs', ['cards' => ['F? | 80 N', 'M? | 2 N m'], 'seconds' => 30, 'auto' => true])->assertOk();
        $run = $this->session->refresh()->run()->firstOrFail();
        $this->asTeacher()
            ->get("/desk/{$this->session->id}/bands")
            ->assertSee("&quot;run&quot;:&quot;{$run->id}&quot;,&quot;at&quot;:1,&quot;looked&quot;:false,&quot;steps&quot;:", false);
        $this->desk("run/{$run->id}/away")->assertStatus(409);
        $this->desk("run/{$run->id}/end")->assertOk();
        $this->desk("run/{$run->id}/show", ['on' => true])->assertOk();
        self::assertSame(ScreenView::Run, $this->session->refresh()->screen_view);
        $this->desk("run/{$run->id}/away")->assertOk();
        self::assertSame([null, ScreenView::Prompt], [$this->session->refresh()->run_id, $this->session->screen_view]);
        $this->asTeacher()
            ->get("/desk/{$this->session->id}/ask")
            ->assertDontSee('How everyone did');
    }

    /**
     * @param  array<string, mixed>  $body
     * @return TestResponse<Response>
     */
    private function desk(string $what, array $body = []): TestResponse
    {
        return $this->asTeacher()->postJson("/desk/{$this->session->id}/{$what}", $body);
    }

    /**
     * @param  TestResponse<Response>  $told
     * @return TestResponse<Response>
     */
    private function undo(TestResponse $told): TestResponse
    {
        $address = $told->json('undo.address');
        $body = $told->json('undo.body');
        self::assertIsString($address);

        return $this->asTeacher()
            ->postJson($address, is_array($body) ? $body : [])
            ->assertOk();
    }
}
