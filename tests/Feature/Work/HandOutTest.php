<?php

declare(strict_types=1);

namespace Tests\Feature\Work;

use App\Models\Asset;
use App\Models\Canvas;
use App\Models\Handout;
use App\Models\Seat;
use Crag\Canvas\Object\PlacedObject;
use Crag\Prompt\Backdrop\BackdropKind;
use Illuminate\Http\UploadedFile;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\TestWith;
use Symfony\Component\HttpFoundation\Response;
use Tests\Support\OneStudentTestCase;

/** Work that is given out: to whom, how, whose page has it, and taking it back. */
final class HandOutTest extends OneStudentTestCase
{
    private Seat $mate;

    protected function setUp(): void
    {
        parent::setUp();
        [$this->mate] = $this->seat($this->session, 'Mate');
        $this->appendAs($this->seat, $this->token, $this->stroke('the-students-own'))->assertOk();
    }

    /** @param  list<string>  $layers */
    #[TestWith(['backdrop', ['lead', 'student']])]
    #[TestWith(['pieces', ['student', 'pieces']])]
    #[TestWith(['fresh', ['lead']])]
    public function test_the_lead_canvas_goes_out_and_comes_back(string $mode, array $layers): void
    {
        $this->drawOnLead('drawn-by-teacher');
        $told = $this->give(['what' => 'lead', 'mode' => $mode, 'alt' => 'A beam'])
            ->assertOk()
            ->assertJsonPath('canvases', 2)
            ->json();
        self::assertSame($layers, $this->layers($this->seat));
        self::assertStringContainsString($told['handout'], implode('', $this->published->on("seat.{$this->seat->id}")));
        [$late] = $this->seat($this->session, 'Late');
        self::assertCount(1, $this->layers($late));

        $this->asTeacher()->postJson($told['undo']['address'], $told['undo']['body'])->assertOk();
        self::assertSame(['student'], $this->layers($this->seat));
        self::assertSame([], $this->layers($late));
        [$later] = $this->seat($this->session, 'Later');
        self::assertSame([], $this->layers($later));
        $this->postJson($told['undo']['address'])->assertStatus(409);
    }

    public function test_work_goes_to_those_who_are_chosen_and_to_nobody_else(): void
    {
        $this->drawOnLead('drawn-by-teacher');
        $this->give(['what' => 'lead', 'mode' => 'backdrop', 'seats' => [$this->mate->id]])->assertJsonPath(
            'canvases',
            1,
        );
        self::assertSame(['student'], $this->layers($this->seat));
        self::assertSame(['lead'], $this->layers($this->mate));
        [$late] = $this->seat($this->session, 'Late');
        self::assertSame([], $this->layers($late));
        $this->give(['what' => 'lead', 'mode' => 'backdrop', 'seats' => []])->assertUnprocessable();
        $this->give(['what' => 'lead', 'mode' => 'backdrop', 'seats' => ['nobody']])->assertUnprocessable();
    }

    public function test_chosen_pages_lie_on_the_pages_of_their_numbers(): void
    {
        $lead = $this->drawOnLead('on-the-first-page');
        $this->postJson("/desk/{$this->session->id}/operations", [
            'canvas' => $lead,
            'operations' => [
                ['id' => 'the-second-page', 'kind' => 'page', 'layer' => 'lead', 'at' => 5, 'body' => (object) []],
            ],
        ])->assertJsonCount(1, 'accepted');
        $this->drawOnLead('on-the-second-page', ['body' => ['page' => 'the-second-page']]);
        $this->give(['what' => 'lead', 'mode' => 'backdrop', 'pages' => '2'])->assertOk();
        $scene = $this->canvasOf($this->seat)->scene();
        self::assertCount(2, $scene->pages);
        self::assertCount(1, $scene->onPage(''));
        self::assertCount(1, $scene->onPage((string) array_keys($scene->pages)[1]));
        $this->give(['what' => 'lead', 'mode' => 'backdrop', 'pages' => '9'])
            ->assertUnprocessable()
            ->assertSee('no page 9');
        $this->give(['what' => 'lead', 'mode' => 'fresh', 'pages' => '2'])->assertOk();
        self::assertCount(
            1,
            $this->canvasOf($this->seat)->scene()->pages,
            'a fresh start has the pages that were chosen and no others',
        );
    }

    public function test_whoever_comes_late_has_all_that_was_handed_out_page_by_page(): void
    {
        $lead = $this->drawOnLead('on-the-first-page');
        $this->give(['what' => 'lead', 'mode' => 'pieces', 'alt' => 'A beam'])->assertOk();
        $this->postJson("/desk/{$this->session->id}/operations", [
            'canvas' => $lead,
            'operations' => [
                ['id' => 'the-second-page', 'kind' => 'page', 'layer' => 'lead', 'at' => 5, 'body' => (object) []],
            ],
        ]);
        $this->drawOnLead('on-the-second-page', ['body' => ['page' => 'the-second-page']]);
        $both = $this->give(['what' => 'lead', 'mode' => 'backdrop', 'pages' => 'all'])->assertOk()->json();
        $this->give(['what' => 'lead', 'mode' => 'backdrop', 'pages' => '1'])->assertOk();
        $this->give(['what' => 'lead', 'mode' => 'backdrop', 'pages' => 'all'])->assertOk();

        [$late] = $this->seat($this->session, 'Late');

        self::assertSame($this->pages($this->mate), $this->pages($late));
        self::assertSame([['lead', 'lead', 'lead', 'pieces'], ['lead', 'lead']], $this->pages($late));
        $this->asTeacher()->postJson($both['undo']['address'], $both['undo']['body'])->assertOk();
        self::assertSame([['lead', 'lead', 'pieces'], ['lead']], $this->pages($late));
    }

    public function test_a_hand_out_is_seen_before_it_is_given_and_gives_nothing(): void
    {
        $this->drawOnLead('drawn-by-teacher');
        $preview = fn (array $body): TestResponse => $this->asTeacher()->postJson(
            "/desk/{$this->session->id}/prompt/{$this->session->prompt_id}/hand-out/preview",
            $body + ['mode' => 'backdrop'],
        );
        $size = static function (TestResponse $answer): array {
            $picture = $answer->assertOk()->json('picture');
            self::assertIsString($picture);
            $png = base64_decode(substr($picture, strlen('data:image/png;base64,')), true);

            return array_slice(getimagesizefromstring((string) $png) ?: [], 0, 2);
        };
        $lead = $preview(['what' => 'lead', 'pages' => '1']);
        $lead->assertJsonPath('said', 'On 1 page');
        self::assertSame([640, 400], $size($lead));
        $tall = $preview([
            'what' => 'words',
            'backdrop' => 'squared',
            'settings' => ['squares' => 32, 'paper' => '1000x1600'],
        ]);
        self::assertSame([640, 1024], $size($tall));
        self::assertNotSame($lead->json('picture'), $preview(['what' => 'prompt'])->json('picture'));
        $preview(['what' => 'lead', 'pages' => '9'])->assertUnprocessable();
        $preview(['what' => 'words'])->assertUnprocessable();
        $preview(['what' => 'words', 'backdrop' => 'axes', 'settings' => ['x_from' => 5, 'x_to' => -5]])
            ->assertUnprocessable();
        self::assertSame(0, $this->session->handouts()->count());
        self::assertSame(['student'], $this->layers($this->seat));
    }

    public function test_taking_back_leaves_a_page_where_a_student_has_worked(): void
    {
        $lead = $this->drawOnLead('on-the-first-page');
        $this->postJson("/desk/{$this->session->id}/operations", [
            'canvas' => $lead,
            'operations' => [
                ['id' => 'the-second-page', 'kind' => 'page', 'layer' => 'lead', 'at' => 5, 'body' => (object) []],
            ],
        ]);
        $this->drawOnLead('on-the-second-page', ['body' => ['page' => 'the-second-page']]);
        $told = $this->give(['what' => 'lead', 'mode' => 'backdrop', 'pages' => 'all'])->json();
        $canvas = $this->canvasOf($this->seat);
        $page = (string) array_keys($canvas->scene()->pages)[1];
        $own = array_replace_recursive($this->stroke('on-the-page-handed-out'), ['body' => ['page' => $page]]);
        $this->asStudent($this->seat, $this->token)
            ->postJson("/seat/{$this->seat->id}/operations", ['canvas' => $canvas->id, 'operations' => [$own]])
            ->assertJsonCount(1, 'accepted');
        $this->asTeacher()->postJson($told['undo']['address'], [])->assertOk();
        self::assertSame(['student', 'student'], $this->layers($this->seat));
        self::assertCount(2, $canvas->scene()->pages);
        self::assertCount(1, $this->canvasOf($this->mate)->scene()->pages);
    }

    public function test_the_desk_knows_whose_page_has_it(): void
    {
        $this->drawOnLead('drawn-by-teacher');
        $handout = $this->give(['what' => 'lead', 'mode' => 'backdrop'])->json('handout');
        $this->get("/desk/{$this->session->id}/bands")
            ->assertSee('on 0 of 2')
            ->assertSee('Retry');
        $canvas = $this->canvasOf($this->seat)->id;
        $this->asStudent($this->seat, $this->token)
            ->postJson("/seat/{$this->seat->id}/got", ['canvas' => $canvas, 'handout' => $handout])
            ->assertOk();
        $this->postJson("/seat/{$this->seat->id}/got", [
            'canvas' => $this->canvasOf($this->mate)->id,
            'handout' => $handout,
        ])->assertNotFound();
        $this->asTeacher()
            ->get("/desk/{$this->session->id}/bands")
            ->assertSee('on 1 of 2')
            ->assertSee('not here, will get it');
        $this->postJson("/desk/{$this->session->id}/handout/{$handout}/again", ['seat' => $this->mate->id])->assertOk();
        self::assertStringContainsString('"again":true', implode('', $this->published->on("seat.{$this->mate->id}")));
        // Opening the canvas says it too.
        $this->asStudent($this->seat, $this->token)->getJson("/seat/{$this->seat->id}/canvas");
        $this->asTeacher()
            ->postJson("/desk/{$this->session->id}/handout/{$handout}/undo", ['seat' => $this->mate->id])
            ->assertOk();
        self::assertSame(['lead', 'student'], $this->layers($this->seat));
        $this->get("/desk/{$this->session->id}/bands")->assertSee('on 1 of 1');
    }

    public function test_a_picture_goes_under_the_ink(): void
    {
        $asset = $this->asTeacher()
            ->post(
                "/desk/{$this->session->id}/picture",
                ['picture' => UploadedFile::fake()->image('bridge.png', 80, 50)],
                ['Accept' => 'application/json'],
            )
            ->assertOk()
            ->json('asset');
        $this->give(['what' => 'picture', 'mode' => 'backdrop', 'asset' => $asset])->assertOk();
        self::assertSame(
            [BackdropKind::Picture, $asset],
            [
                $this->canvasOf($this->seat)->scene()->backdrop()->kind,
                $this->canvasOf($this->seat)->scene()->backdrop()->asset,
            ],
        );
        $this->asStudent($this->seat, $this->token)
            ->get("/asset-light/{$asset}")
            ->assertOk();
        $this->asNobody()
            ->get("/asset-light/{$asset}")
            ->assertForbidden();
        $this->asTeacher()
            ->post("/desk/{$this->session->id}/picture", [], ['Accept' => 'application/json'])
            ->assertUnprocessable();
        $foreign = Asset::query()->create([
            'live_session_id' => $this->newSession('Levers')->id,
            'mime' => 'image/png',
            'width' => 1,
            'height' => 1,
            'bytes' => 3,
        ]);
        $this->give(['what' => 'picture', 'mode' => 'backdrop', 'asset' => $foreign->id])->assertNotFound();
    }

    public function test_a_large_picture_comes_in_fewer_bytes_with_light_data(): void
    {
        $image = imagecreatetruecolor(2000, 1200);
        for ($i = 0; $i < 4000; $i++) {
            imagefilledellipse($image, ($i * 7919) % 2000, ($i * 104_729) % 1200, 60, 40, ($i * 15_485_863) & 0xFFFFFF);
        }
        ob_start();
        imagejpeg($image, null, 90);
        $file = UploadedFile::fake()->createWithContent('bridge.jpg', (string) ob_get_clean());
        $asset = Asset::query()->findOrFail(
            $this->asTeacher()
                ->post("/desk/{$this->session->id}/picture", ['picture' => $file], ['Accept' => 'application/json'])
                ->json('asset'),
        );
        $this->get("/asset-light/{$asset->id}")->assertOk();
        self::assertLessThan($asset->bytes / 3, filesize("{$asset->path()}-light"));
        self::assertSame(900, ((array) getimagesize("{$asset->path()}-light"))[0]);
    }

    public function test_words_and_backdrop_are_taken_back_together(): void
    {
        $told = $this->asTeacher()
            ->post(
                "/desk/{$this->session->id}/hand-out",
                ['words' => 'Find the moment.', 'backdrop' => 'squared', 'place' => 'under'],
                ['Accept' => 'application/json'],
            )
            ->assertOk()
            ->json();
        self::assertSame(BackdropKind::Squared, $this->canvasOf($this->seat)->scene()->backdrop()->kind);
        $this->session->teachers()->attach($this->teacher('a-helper'), ['role' => 'helper']);
        $this->asTeacher('a-helper')->postJson($told['undo']['address'], [])->assertForbidden();
        $this->asTeacher()->postJson($told['undo']['address'], [])->assertOk();
        $prompt = $this->session->prompt()->firstOrFail();
        self::assertSame(['', BackdropKind::Blank], [$prompt->words, $prompt->backdrop->kind]);
        self::assertSame(BackdropKind::Blank, $this->canvasOf($this->seat)->scene()->backdrop()->kind);
        self::assertSame(['student'], $this->layers($this->seat));
    }

    public function test_nothing_and_nonsense_cannot_be_handed_out(): void
    {
        $this->give(['what' => 'lead', 'mode' => 'pieces', 'alt' => 'x'])
            ->assertUnprocessable()
            ->assertSee('nothing on it');
        $this->drawOnLead('drawn-by-teacher');
        $this->give(['what' => 'lead', 'mode' => 'pieces', 'alt' => ' '])->assertUnprocessable();
        $this->give(['what' => 'everything', 'mode' => 'backdrop'])->assertUnprocessable();
        $this->give(['what' => 'lead', 'mode' => 'upside-down'])->assertUnprocessable();
        self::assertSame(0, Handout::query()->count());
        self::assertSame(1, $this->canvasOf($this->seat)->operation_count);
    }

    /**
     * @param  array<string, mixed>  $body
     * @return TestResponse<Response>
     */
    private function give(array $body): TestResponse
    {
        return $this->asTeacher()->postJson(
            "/desk/{$this->session->id}/prompt/{$this->session->prompt_id}/hand-out",
            $body,
        );
    }

    /** @param  array<string, mixed>  $more */
    private function drawOnLead(string $id, array $more = []): string
    {
        $lead = $this->asTeacher()
            ->getJson("/desk/{$this->session->id}/prompt/{$this->session->prompt_id}/lead")
            ->json('canvas');
        $this->postJson("/desk/{$this->session->id}/operations", [
            'canvas' => $lead,
            'operations' => [array_replace_recursive($this->stroke($id), ['layer' => 'lead'] + $more)],
        ])->assertJsonCount(1, 'accepted');

        return $lead;
    }

    /** @return list<list<string>> the layers of what is on each page of a student's canvas */
    private function pages(Seat $seat): array
    {
        $scene = $this->canvasOf($seat)->scene();

        return array_map(
            static fn (int|string $page): array => array_values(array_map(
                static fn (PlacedObject $placed): string => $placed->layer->value,
                $scene->onPage((string) $page),
            )),
            array_keys($scene->pages),
        );
    }

    /** @return list<string> the layers of what is on a student's canvas, in drawing order */
    private function layers(Seat $seat): array
    {
        $canvas = Canvas::query()->where('seat_id', $seat->id)->firstOrFail();

        return array_values(
            array_map(static fn (PlacedObject $placed): string => $placed->layer->value, $canvas->scene()->placed),
        );
    }
}
