<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Canvas;
use App\Models\LineupEntry;
use App\Models\LiveSession;
use App\Models\Seat;
use Illuminate\Testing\TestResponse;
use Symfony\Component\HttpFoundation\Response;
use Tests\Support\CragTestCase;

/** Chosen work, side by side, on the class screen and on the students' own pages. */
final class ShowTest extends CragTestCase
{
    private LiveSession $session;

    /** @var list<array{Seat, string, Canvas}> */
    private array $class = [];

    protected function setUp(): void
    {
        parent::setUp();
        $this->session = $this->newSession();
        foreach (['Tamsin', 'Otis', 'Wren'] as $name) {
            [$seat, $token] = $this->seat($this->session, $name);
            $this->class[] = [$seat, $token, $this->canvasOf($seat)];
            $this->draw(count($this->class) - 1, $name);
        }
        $this->desk('line-up', ['chosen' => array_map(static fn (array $one): array => ['canvas' => $one[2]->id], $this->class)])->assertOk();
    }

    public function test_up_to_four_are_shown_side_by_side_in_the_order_of_the_line_up(): void
    {
        [$a, $b, $c] = $this->entries();
        $this->desk('line-up/show', ['entries' => [$c, $a]])->assertOk();
        $this->screen()->assertSee('data-count="2"', false)->assertDontSee('Tamsin');
        $this->picture(1)->assertSee('Tamsin');
        $this->picture(2)->assertSee('Wren');
        $this->picture(3)->assertNotFound();
        $this->desk('line-up/show', ['entries' => [$a, $b, $c, 1, 2]])->assertUnprocessable();
        $this->desk('line-up/show', ['entries' => []])->assertUnprocessable();
    }

    public function test_the_line_up_is_stepped_through_and_ends(): void
    {
        $this->desk('line-up/step', ['by' => 1])->assertJsonPath('said', null);
        $this->picture(1)->assertSee('Tamsin');
        $this->desk('line-up/step', ['by' => 1])->assertOk();
        $this->picture(1)->assertSee('Otis');
        $this->desk('line-up/step', ['by' => 1])->assertOk();
        $this->desk('line-up/step', ['by' => 1])->assertJsonPath('said', 'There is nothing further in the line-up.');
        $this->picture(1)->assertSee('Wren');
        $this->desk('line-up/step', ['by' => -1])->assertOk();
        $this->picture(1)->assertSee('Otis');
    }

    public function test_entries_are_moved_and_captioned_and_captions_stay_with_teachers(): void
    {
        [$a, $b, $c] = $this->entries();
        $this->desk("line-up/{$c}/change", ['by' => -1])->assertOk();
        $this->desk("line-up/{$c}/change", ['by' => -1])->assertOk();
        $this->desk("line-up/{$c}/change", ['by' => -1])->assertOk();
        self::assertSame([$c, $a, $b], $this->entries());
        $this->desk("line-up/{$a}/change", ['caption' => ' Starts from the pivot '])->assertOk();
        $this->asTeacher()->get("/desk/{$this->session->id}/bands")->assertSee('Starts from the pivot');
        $this->desk("line-up/{$a}/show")->assertOk();
        $this->screen()->assertDontSee('Starts from');
    }

    public function test_a_moment_stands_still_and_what_is_live_goes_on(): void
    {
        [$a] = $this->entries();
        $this->draw(0, 'Later');
        $this->desk("line-up/{$a}/show")->assertOk();
        $this->picture(1)->assertSee('Tamsin')->assertDontSee('Later');
        $this->desk("line-up/{$a}/change", ['is_live' => true])->assertOk();
        $this->desk("line-up/{$a}/show")->assertOk();
        $this->picture(1)->assertSee('Later');
        $this->screen()->assertSee('data-live', false);
    }

    public function test_names_are_none_unless_changed_for_all_or_for_one(): void
    {
        [$a, $b] = $this->entries();
        $this->desk("line-up/{$a}/change", ['names' => 'real'])->assertOk();
        $this->desk('line-up/show', ['entries' => [$a, $b]])->assertOk();
        $this->screen()->assertSee('Tamsin')->assertDontSee('Otis');
        $this->desk('settings', ['shown_names' => 'stone'])->assertOk();
        $this->screen()->assertSee('Tamsin')->assertDontSee('Otis')->assertSee($this->class[1][0]->stoneName());
    }

    public function test_students_see_it_on_their_own_pages_only_while_it_is_shown_there(): void
    {
        [$a] = $this->entries();
        $this->desk("line-up/{$a}/show")->assertOk();
        $this->own(1)->assertJsonPath('room.showcase', null);
        $this->onPage(1)->assertNotFound();
        $this->desk('shown-on', ['on' => 'pages'])->assertNoContent();
        $this->own(1)->assertJsonPath('room.showcase.items.0.name', '')->assertJsonPath('own.isShown', false);
        $this->own(0)->assertJsonPath('own.isShown', true)->assertJsonPath('own.shownName', false);
        $this->onPage(1)->assertOk()->assertSee('Tamsin');
        $this->picture(1)->assertNotFound();
        $this->asTeacher()->postJson("/desk/{$this->session->id}/screen", ['view' => 'nothing'])->assertNoContent();
        $this->onPage(1)->assertNotFound();
        $this->own(0)->assertJsonPath('own.isShown', false);
        $this->asTeacher()->postJson("/desk/{$this->session->id}/shown-on", ['on' => 'walls'])->assertUnprocessable();
    }

    public function test_the_teacher_sees_who_asks_not_to_be_shown(): void
    {
        [$seat, $token] = $this->class[0];
        $this->asTeacher()->get("/desk/{$this->session->id}/bands")->assertDontSee('Asks not to be shown');
        $this->asStudent($seat, $token)->postJson("/seat/{$seat->id}/keep-back", ['on' => true])->assertJsonPath('own.keepsBack', true);
        $this->asTeacher()->get("/desk/{$this->session->id}/bands")->assertSee('Asks not to be shown');
        $this->asStudent($seat, $token)->postJson("/seat/{$seat->id}/keep-back", ['on' => false])->assertOk();
        $this->asTeacher()->get("/desk/{$this->session->id}/bands")->assertDontSee('Asks not to be shown');
    }

    private function draw(int $i, string $words): void
    {
        [$seat, $token, $canvas] = $this->class[$i];
        $text = ['type' => 'text', 'x' => 100, 'y' => 100, 'size' => 36, 'colour' => '#25323b', 'text' => $words];
        $this->asStudent($seat, $token)->postJson("/seat/{$seat->id}/operations", ['canvas' => $canvas->id, 'operations' => [['body' => ['object' => $text]] + $this->stroke()]])->assertJsonCount(1, 'accepted');
    }

    /** @return list<int> */
    private function entries(): array
    {
        return array_values($this->session->lineup()->get()->map(static fn (LineupEntry $entry): int => $entry->id)->all());
    }

    /** @return TestResponse<Response> */
    private function screen(): TestResponse
    {
        return $this->asScreen($this->session)->get("/screen/{$this->session->id}/shown")->assertOk();
    }

    /** @return TestResponse<Response> */
    private function picture(int $n): TestResponse
    {
        return $this->asScreen($this->session)->get("/screen/{$this->session->id}/showcase/{$this->session->refresh()->showcase_id}/{$n}.svg");
    }

    /** @return TestResponse<Response> */
    private function onPage(int $i): TestResponse
    {
        [$seat, $token] = $this->class[$i];

        return $this->asStudent($seat, $token)->getJson("/seat/{$seat->id}/showcase/{$this->session->refresh()->showcase_id}/1.svg");
    }

    /** @return TestResponse<Response> */
    private function own(int $i): TestResponse
    {
        [$seat, $token] = $this->class[$i];

        return $this->asStudent($seat, $token)->getJson("/seat/{$seat->id}/canvas")->assertOk();
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
