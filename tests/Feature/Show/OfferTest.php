<?php

declare(strict_types=1);

namespace Tests\Feature\Show;

use App\Models\Show\Offer;
use Crag\Session\Screen\OfferState;
use Illuminate\Support\Facades\Process;
use Illuminate\Testing\TestResponse;
use Symfony\Component\HttpFoundation\BinaryFileResponse;
use Symfony\Component\HttpFoundation\Response;
use Tests\Support\OneStudentTestCase;

/** What students offer to the class: seen by nobody until a teacher accepts it. */
final class OfferTest extends OneStudentTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $text = [
            'type' => 'text',
            'x' => 100,
            'y' => 100,
            'size' => 36,
            'colour' => '#25323b',
            'text' => 'turns about the pivot',
        ];
        $this->appendAs($this->seat, $this->token, ['body' => ['object' => $text]] + $this->stroke())->assertJsonCount(
            1,
            'accepted',
        );
    }

    public function test_nothing_appears_until_it_is_accepted(): void
    {
        $this->offer(['words' => 'Look at the pivot'])->assertOk();
        $offer = Offer::query()->firstOrFail();
        $this->desk('screen', ['view' => 'board'])->assertNoContent();
        $this->screen()->assertDontSee($offer->id)->assertDontSee('Look at the pivot');
        $this->asScreen($this->session)
            ->get("/screen/{$this->session->id}/offer/{$offer->id}.svg")
            ->assertNotFound();
        $this->asTeacher()
            ->get("/desk/{$this->session->id}/offers")
            ->assertOk()
            ->assertSee('Look at the pivot')
            ->assertSee('Tamsin');

        $this->desk("offer/{$offer->id}/accept")->assertOk();
        $this->screen()->assertSee('Look at the pivot')->assertDontSee('Tamsin');
        $this->asScreen($this->session)
            ->get("/screen/{$this->session->id}/offer/{$offer->id}.svg")
            ->assertOk()
            ->assertSee('turns about');
        $this->desk('screen', ['view' => 'prompt']);
        $this->asScreen($this->session)
            ->get("/screen/{$this->session->id}/offer/{$offer->id}.svg")
            ->assertNotFound();
    }

    public function test_what_is_declined_vanishes_and_its_student_hears_nothing(): void
    {
        $this->offer([])->assertOk();
        $before = count($this->published->on("seat.{$this->seat->id}"));
        $offer = Offer::query()->firstOrFail();
        $this->desk("offer/{$offer->id}/decline")->assertOk();
        self::assertCount($before, $this->published->on("seat.{$this->seat->id}"));
        $this->asTeacher()
            ->get("/desk/{$this->session->id}/offers")
            ->assertDontSee($offer->id);
    }

    public function test_a_part_is_cut_out_and_a_bad_one_is_refused(): void
    {
        foreach (
            [
                ['x' => 1590, 'y' => 0, 'w' => 500, 'h' => 500],
                ['x' => 0, 'y' => 0, 'w' => 5, 'h' => 5],
                ['x' => 'a', 'y' => 0, 'w' => 500, 'h' => 500],
            ] as $cut
        ) {
            $this->offer(['cut' => $cut])->assertUnprocessable();
        }
        $this->offer(['cut' => ['x' => -20, 'y' => 50, 'w' => 520, 'h' => 300]])->assertOk();
        $offer = Offer::query()->firstOrFail();
        self::assertEquals(['x' => 0, 'y' => 50, 'w' => 500, 'h' => 300], $offer->cut?->toArray());
        $this->asTeacher()
            ->get("/desk/{$this->session->id}/offer/{$offer->id}.svg")
            ->assertOk()
            ->assertSee('viewBox="0 50 500 300"', false);
        [$mate, $token] = $this->seat($this->session, 'Mate');
        $this->asStudent($mate, $token)
            ->postJson("/seat/{$mate->id}/offer", ['canvas' => $this->canvasOf($this->seat)->id])
            ->assertNotFound();
    }

    public function test_accepted_ones_stand_in_columns_with_headings(): void
    {
        $this->desk('offers/board', ['headings' => ['By moments', 'By balance']])->assertOk();
        $this->desk('offers/board', ['open' => true])->assertOk();
        $this->offer(['words' => 'first'])->assertOk();
        $this->offer(['words' => 'second'])->assertOk();
        [$first, $second] = Offer::query()->orderBy('id')->get()->all();
        self::assertSame(
            [OfferState::Accepted, OfferState::Accepted],
            [$first->state, $second->state],
            'all offers open',
        );
        $this->desk("offer/{$second->id}/arrange", ['column' => 0, 'at' => 0])->assertOk();
        self::assertSame([2, 1], [$first->refresh()->place, $second->refresh()->place]);
        $this->desk("offer/{$first->id}/arrange", ['column' => 1])->assertOk();
        $this->desk("offer/{$first->id}/arrange", ['column' => 2])->assertUnprocessable();
        $this->desk('screen', ['view' => 'board'])->assertNoContent();
        $this->screen()->assertSeeInOrder(['By moments', 'second', 'By balance', 'first']);
        $this->desk('offers/board', ['headings' => ['All']])->assertOk();
        self::assertSame(0, $first->refresh()->column, 'nothing falls off the page');
        $this->desk('offers/board', ['headings' => ['a', 'b', 'c', 'd', 'e']])->assertUnprocessable();
        $this->desk("offer/{$first->id}/line-up")->assertOk();
        self::assertSame(1, $this->session->lineup()->count());
    }

    public function test_columns_change_places_with_what_stands_in_them(): void
    {
        $this->desk('offers/board', ['headings' => ['Left', 'Middle', 'Right'], 'open' => true])->assertOk();
        foreach (['one', 'two'] as $words) {
            $this->offer(['words' => $words])->assertOk();
        }
        [$one, $two] = Offer::query()->orderBy('id')->get()->all();
        $this->desk("offer/{$two->id}/arrange", ['column' => 2])->assertOk();
        $this->desk('offers/board', ['order' => [2, 0, 1]])->assertOk();
        self::assertSame(['Right', 'Left', 'Middle'], $this->session->refresh()->board->headings);
        self::assertSame([1, 0], [$one->refresh()->column, $two->refresh()->column]);
        $this->desk('offers/board', ['order' => [0, 0, 1]])->assertOk();
        $this->desk('offers/board', ['order' => [1, 0]])->assertOk();
        self::assertSame(['Right', 'Left', 'Middle'], $this->session->refresh()->board->headings, 'that is no order');
    }

    public function test_the_class_votes_by_numbers_that_stay_and_sees_how_it_went_when_the_teacher_says(): void
    {
        $this->desk('offers/board', ['open' => true])->assertOk();
        $this->offer(['words' => 'one'])->assertOk();
        $this->desk('offers/vote', ['votes' => 2])->assertUnprocessable();
        $this->offer(['words' => 'two'])->assertOk();
        $this->offer(['words' => 'three'])->assertOk();
        $this->desk('screen', ['view' => 'board'])->assertNoContent();
        $this->desk('offers/vote', ['votes' => 2])->assertOk();
        $this->desk('offers/vote', ['votes' => 9])->assertUnprocessable();
        $vote = fn (array $numbers) => $this->asStudent($this->seat, $this->token)->postJson(
            "/seat/{$this->seat->id}/ask",
            ['ask' => $this->session->refresh()->ask_id, 'value' => $numbers],
        );
        $vote(['v1', 'v2', 'v3'])->assertUnprocessable()->assertSee('You can choose up to 2.');
        $vote(['v2', 'v3'])->assertOk();
        // Whatever moves in the meantime, a vote stays with its work.
        $third = Offer::query()->where('number', 3)->sole();
        $this->desk("offer/{$third->id}/arrange", ['column' => 0, 'at' => 0])->assertOk();
        $this->screen()->assertSeeInOrder(['three', 'one', 'two'])->assertDontSee('vote');
        $this->desk('ask-step')->assertOk();
        $this->screen()->assertSeeInOrder(['three', '1 vote', 'one', 'no votes', 'two', '1 vote']);
    }

    public function test_the_board_is_printed_as_the_class_sees_it_and_kept_after_the_end(): void
    {
        $pdf = fn () => $this->asTeacher()->get("/desk/{$this->session->id}/board.pdf");
        $pdf()->assertNotFound();
        $this->desk('offers/board', ['headings' => ['By moments', 'By balance'], 'open' => true])->assertOk();
        $this->offer(['words' => 'Look at the pivot'])->assertOk();
        $file = sys_get_temp_dir().'/board-test.pdf';
        $answer = $pdf()->assertOk()->baseResponse;
        self::assertInstanceOf(BinaryFileResponse::class, $answer);
        copy($answer->getFile()->getPathname(), $file);
        $text = Process::run(['pdftotext', '-layout', $file, '-'])->throw()->output();
        unlink($file);
        foreach (['By moments', 'By balance', 'Look at the pivot', 'turns about the pivot'] as $words) {
            self::assertStringContainsString($words, $text);
        }
        self::assertStringNotContainsString('Tamsin', $text);
        $this->asTeacher()->post("/desk/{$this->session->id}/end");
        $pdf()->assertOk();
        $this->asTeacher()->get("/desk/{$this->session->id}/ended")->assertOk()->assertSee('board.pdf');
    }

    public function test_a_teacher_takes_none_or_not_so_many(): void
    {
        for ($i = 0; $i < 5; $i++) {
            $this->offer([])->assertOk();
        }
        $this->offer([])->assertStatus(409);
        $this->desk('settings', ['offers' => false])->assertOk();
        Offer::query()->delete();
        $this->offer([])->assertStatus(409)->assertSee('taking offers now');
        $this->desk('settings', ['offers' => true])->assertOk();
        $this->desk('offers/board', ['open' => true])->assertOk();
        for ($i = 0; $i < 40; $i++) {
            $this->offer([])->assertOk();
        }
        $this->offer([])->assertStatus(409)->assertSee('offered enough');
        $this->desk('settings', ['offers' => false])->assertOk();
        $this->asTeacher()
            ->get("/desk/{$this->session->id}/bands")
            ->assertDontSee('offers-button');
    }

    /**
     * @param  array<string, mixed>  $body
     * @return TestResponse<Response>
     */
    private function offer(array $body): TestResponse
    {
        return $this->asStudent($this->seat, $this->token)->postJson(
            "/seat/{$this->seat->id}/offer",
            ['canvas' => $this->canvasOf($this->seat)->id] + $body,
        );
    }

    /**
     * @param  array<string, mixed>  $body
     * @return TestResponse<Response>
     */
    private function desk(string $what, array $body = []): TestResponse
    {
        return $this->asTeacher()->postJson("/desk/{$this->session->id}/{$what}", $body);
    }

    /** @return TestResponse<Response> */
    private function screen(): TestResponse
    {
        return $this->asScreen($this->session)
            ->get("/screen/{$this->session->id}/shown")
            ->assertOk();
    }
}
