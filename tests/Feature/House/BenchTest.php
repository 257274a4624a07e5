<?php

declare(strict_types=1);

namespace Tests\Feature\House;

use App\Canvas\TakeCanvas;
use App\Models\Asset;
use App\Models\Canvas;
use Crag\Canvas\Drawing\Place;
use Crag\Canvas\Log\Layer;
use Crag\Formats\InkMl;
use Crag\Prompt\Tray\Tool;
use Crag\Render\NoPictures;
use Crag\Render\SceneSvg;
use Crag\Tests\Canvas\Examples;
use Crag\Tests\Canvas\Logs;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Process;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\TestWith;
use Symfony\Component\HttpFoundation\Response;
use Tests\Support\OneStudentTestCase;

/** What stands behind a canvas's tools: trays, pieces, files in and out, kept scenes, the lead canvas. */
final class BenchTest extends OneStudentTestCase
{
    public function test_words_are_kept_to_the_letter(): void
    {
        $text = ['text' => "  F = 80 N\n\n"] + Examples::text();
        $note = ['text' => ''] + Examples::note();
        $this->send($this->add($text), $this->add($note))->assertOk()->assertJsonCount(0, 'refused');
        $objects = array_values(
            array_map(
                static fn ($placed): array => $placed->object->toArray(),
                $this->canvasOf($this->seat)->scene()->placed,
            ),
        );
        self::assertSame([$text['text'], ''], array_column($objects, 'text'));
    }

    public function test_a_tray_is_given_to_the_session_or_to_one_prompt(): void
    {
        $this->tray(['tray' => 'starter', 'for' => 'session'])->assertNoContent();
        self::assertSame('starter', $this->tools()['kind']);
        $this->tray([
            'tray' => 'custom',
            'tools' => ['text', 'picture'],
            'pictures' => '1',
            'for' => 'prompt',
        ])->assertNoContent();
        self::assertSame(['kind' => 'custom', 'tools' => ['text', 'picture']], $this->tools());
        $this->tray(['tray' => 'custom', 'tools' => ['text', 'picture'], 'for' => 'prompt'])->assertNoContent();
        self::assertSame(['text'], $this->tools()['tools']);
        $this->handOut(['words' => 'Next', 'backdrop' => 'blank', 'place' => 'next'])->assertOk();
        self::assertSame('starter', $this->tools()['kind']);
        $this->tray(['tray' => 'maths', 'for' => 'session', 'pictures' => '1'])->assertNoContent();
        self::assertContains('maths', $this->tools()['tools']);
        self::assertCount(
            4,
            array_filter(
                $this->published->on("room.{$this->session->id}"),
                static fn (string $message): bool => str_contains($message, '"type":"tray"'),
            ),
        );
    }

    /** @param  array<string, mixed>  $fields */
    #[TestWith([['tray' => 'everything', 'for' => 'session']])]
    #[TestWith([['tray' => 'custom', 'for' => 'session']])]
    #[TestWith([['tray' => 'custom', 'tools' => ['chisel'], 'for' => 'session']])]
    #[TestWith([['tray' => 'starter', 'for' => 'ever']])]
    public function test_a_tray_that_cannot_be_changes_nothing(array $fields): void
    {
        $this->tray($fields)->assertUnprocessable();
        self::assertSame('standard', $this->tools()['kind']);
    }

    public function test_what_is_made_with_a_tool_that_was_put_away_is_refused_and_the_rest_is_kept(): void
    {
        $this->tray(['tray' => 'custom', 'tools' => ['pen'], 'for' => 'session'])->assertNoContent();
        $this->travel(1)->hours();
        DB::table('live_sessions')->update([
            'tray' => json_encode([
                'now' => ['kind' => 'custom', 'tools' => ['pen']],
                'before' => null,
                'changed' => 1,
            ]),
        ]);
        $answer = $this->send(
            $this->stroke('a-stroke-of-the-pen'),
            $this->add(Examples::stamp(), 'stamp-put-away'),
            $this->stroke('another-of-the-pen'),
        )
            ->assertOk()
            ->json();
        self::assertSame(['a-stroke-of-the-pen', 'another-of-the-pen'], array_column($answer['accepted'], 'id'));
        self::assertSame(['stamp-put-away'], array_column($answer['refused'], 'id'));
    }

    public function test_pieces_go_to_every_canvas_and_to_late_comers(): void
    {
        $address = "/desk/{$this->session->id}/prompt/{$this->session->prompt_id}/hand-out";
        $pieces = [
            'what' => 'pieces',
            'mode' => 'pieces',
            'objects' => [['object' => Examples::piece(), 'place' => [100, 200, 0, 10_000]]],
        ];
        $this->asTeacher()
            ->postJson($address, $pieces)
            ->assertOk()
            ->assertJson(['canvases' => 1]);
        [$late] = $this->seat($this->session, 'Late');
        foreach ([$this->seat, $late] as $seat) {
            $placed = array_values($this->canvasOf($seat)->scene()->placed);
            self::assertCount(1, $placed);
            self::assertSame(
                [Layer::Pieces, [100, 200, 0, 10_000]],
                [$placed[0]->layer, ($placed[0]->place ?? Place::untouched())->toArray()],
            );
        }
        $this->postJson($address, ['objects' => [['object' => Examples::stamp()]]] + $pieces)->assertUnprocessable();
        $this->postJson($address, ['objects' => 'all'] + $pieces)->assertUnprocessable();
        self::assertCount(1, $this->canvasOf($late)->scene()->placed);
    }

    public function test_a_picture_of_the_students_own_can_be_shown_and_nobody_elses(): void
    {
        $picture = $this->bringIn(self::png())->assertOk()->json('objects.0.object');
        self::assertSame(['picture', 6000, 3000], [$picture['type'], $picture['w'], $picture['h']]);
        self::assertSame($this->seat->id, Asset::query()->findOrFail($picture['asset'])->seat_id);
        $this->send($this->add($picture))->assertJsonCount(1, 'accepted');
        [$mate, $token] = $this->seat($this->session, 'Mate');
        $refused = $this->appendAs($mate, $token, $this->add($picture))->assertOk()->json('refused.0.reason');
        self::assertStringContainsString('use that picture', $refused);
    }

    public function test_drawings_and_ink_come_in_as_objects(): void
    {
        $this->send($this->stroke('a-stroke-to-take-out'));
        $scene = $this->canvasOf($this->seat)->scene();
        $stroke = array_values($scene->placed)[0]->object->toArray();
        foreach (
            [InkMl::write($scene), SceneSvg::exchange($scene, new NoPictures()), "\u{FEFF}\n".InkMl::write($scene)] as $file
        ) {
            self::assertEquals([$stroke], array_column($this->bringIn($file)->assertOk()->json('objects'), 'object'));
        }
    }

    #[TestWith(['', 'empty'])]
    #[TestWith(['no picture at all', 'isn’t a PNG'])]
    #[TestWith(['<svg xmlns="http://www.w3.org/2000/svg"><g>', 'isn’t well-formed SVG'])]
    #[TestWith(['<ink xmlns="http://www.w3.org/2003/InkML"/>', 'Nothing in this InkML'])]
    public function test_a_file_that_cannot_be_taken_says_why(string $file, string $reason): void
    {
        self::assertStringContainsString($reason, $this->bringIn($file)->assertUnprocessable()->json('message'));
        self::assertSame(0, Asset::query()->count());
    }

    public function test_pictures_that_the_teacher_put_away_stay_out(): void
    {
        $this->tray(['tray' => 'standard', 'for' => 'session'])->assertNoContent();
        self::assertNotContains(Tool::Picture->value, $this->tools()['tools']);
        $this->bringIn(self::png())->assertForbidden();
        $this->asTeacher()
            ->call(
                'POST',
                "/desk/{$this->session->id}/bring-in",
                cookies: $this->prepareCookiesForRequest(),
                server: ['CONTENT_TYPE' => 'application/octet-stream', 'HTTP_ACCEPT' => 'application/json'],
                content: self::png(),
            )
            ->assertOk();
        self::assertNull(Asset::query()->firstOrFail()->seat_id);
    }

    public function test_a_long_log_is_opened_as_a_kept_scene_and_told_whole_when_asked(): void
    {
        $this->send(...array_map(fn (int $i): array => $this->stroke("stroke-number-{$i}", 100 * $i), range(10, 79)));
        $answer = $this->opened();
        self::assertSame([70, 70, 0], [$answer['n'], count($answer['scene']['objects']), count($answer['operations'])]);
        self::assertSame(['undo' => true, 'redo' => false], $answer['older']);
        $this->send(
            ['kind' => 'withdraw', 'body' => ['target' => 'stroke-number-20']] + $this->stroke('undoing-an-old-one'),
        );
        self::assertCount(1, $this->opened()['operations']);
        self::assertCount(69, $this->canvasOf($this->seat)->scene()->placed);
        self::assertCount(
            71,
            $this->getJson("/seat/{$this->seat->id}/canvas/{$this->canvasOf($this->seat)->id}/log")
                ->assertOk()
                ->json('operations'),
        );
        $kept = $this->asTeacher()
            ->getJson("/desk/{$this->session->id}/prompt/{$this->session->prompt_id}/canvases")
            ->assertOk()
            ->json();
        self::assertSame(71, $kept['kept'][$this->canvasOf($this->seat)->id]['n'] + count($kept['operations']));
    }

    public function test_a_kept_scene_that_was_thrown_away_is_folded_again(): void
    {
        $this->send(...array_map(fn (int $i): array => $this->stroke("stroke-number-{$i}", 100 * $i), range(10, 69)));
        $before = $this->canvasOf($this->seat)->scene()->toArray();
        self::assertSame(1, DB::table('scenes')->count());
        DB::table('scenes')->delete();
        self::assertSame($before, $this->canvasOf($this->seat)->scene()->toArray());
    }

    public function test_the_lead_canvas_is_one_for_each_prompt_and_counts_as_nobodys_work(): void
    {
        $address = "/desk/{$this->session->id}/prompt/{$this->session->prompt_id}/lead";
        $canvas = $this->asTeacher()->getJson($address)->assertOk()->json('canvas');
        self::assertSame($canvas, $this->getJson($address)->json('canvas'));
        $stroke = ['layer' => 'lead'] + $this->stroke('the-teachers-stroke');
        $this->postJson("/desk/{$this->session->id}/operations", ['canvas' => $canvas, 'operations' => [$stroke]])
            ->assertOk()
            ->assertJsonCount(1, 'accepted');
        self::assertSame(1, $this->session->canvases()->count());
        self::assertSame(2, Canvas::query()->count());
        $prompt = $this->session->prompt()->firstOrFail();
        self::assertSame($canvas, app(TakeCanvas::class)->lead($prompt)->id);
        $this->getJson("/desk/{$this->session->id}/prompt/{$prompt->id}/states")
            ->assertOk()
            ->assertJsonCount(1, 'states');
    }

    public function test_a_replay_tells_the_time_of_every_step(): void
    {
        $this->send(
            $this->stroke('the-first-stroke'),
            ['at' => 1_700_000_060_000] + $this->stroke('the-second-stroke'),
        );
        $answer = $this->asTeacher()
            ->getJson("/desk/{$this->session->id}/canvas/{$this->canvasOf($this->seat)->id}/replay?author=own")
            ->assertOk()
            ->json();
        self::assertSame([[0, 250], [1_450, 1_700]], $answer['steps']);
        self::assertSame(1_700, $answer['lasts']);
        self::assertCount(2, $answer['operations']);
    }

    public function test_every_page_is_in_the_files_and_in_the_record(): void
    {
        $this->send(
            $this->stroke('the-first-stroke'),
            Logs::operation('another-page', 'page')->toArray(),
            ['body' => ['object' => ['text' => 'second page'] + Examples::text(), 'page' => 'another-page']] +
                $this->stroke('on-the-second-page'),
        )->assertJsonCount(3, 'accepted');
        $canvas = $this->canvasOf($this->seat)->id;
        $this->asStudent($this->seat, $this->token);
        self::assertStringNotContainsString(
            'second page',
            (string) $this->get("/seat/{$this->seat->id}/work/{$canvas}.svg")
                ->assertOk()
                ->getContent(),
        );
        self::assertStringContainsString(
            'second page',
            (string) $this->get("/seat/{$this->seat->id}/work/{$canvas}.svg?page=2")
                ->assertOk()
                ->getContent(),
        );
        $this->get("/seat/{$this->seat->id}/work/{$canvas}.svg?page=3")->assertNotFound();
        $this->get("/seat/{$this->seat->id}/work/{$canvas}.exe")->assertNotFound();
        $file = (string) tempnam(sys_get_temp_dir(), 'crag-test');
        foreach (["/seat/{$this->seat->id}/work/{$canvas}.pdf", "/seat/{$this->seat->id}/work.pdf"] as $address) {
            $response = $this->get($address)->assertOk();
            file_put_contents(
                $file,
                $response->baseResponse instanceof Response && method_exists($response->baseResponse, 'getFile')
                    ? (string) file_get_contents($response->baseResponse->getFile()->getPathname())
                    : (string) $response->getContent(),
            );
            self::assertStringContainsString(
                'Pages:           2',
                Process::run(['pdfinfo', $file])->output(),
                $address,
            );
        }
        unlink($file);
        $this->asTeacher()
            ->get("/desk/{$this->session->id}/work/{$canvas}.png")
            ->assertOk()
            ->assertHeader('Content-Type', 'image/png');
        $this->postJson("/desk/{$this->session->id}/showcase", [
            'canvas' => $canvas,
            'page' => 'no-such-page',
        ])->assertUnprocessable();
        $this->postJson("/desk/{$this->session->id}/showcase", [
            'canvas' => $canvas,
            'page' => 'another-page',
        ])->assertNoContent();
        $showcase = $this->session->refresh()->showcase_id;
        self::assertStringContainsString(
            'second page',
            (string) $this->asScreen($this->session)
                ->get("/screen/{$this->session->id}/showcase/{$showcase}/1.svg")
                ->assertOk()
                ->getContent(),
        );
    }

    public function test_backdrops_are_handed_out_with_their_settings(): void
    {
        $axes = [
            'x_from' => '-2',
            'x_to' => '8',
            'x_step' => '.5',
            'y_from' => '0',
            'y_to' => '1e3',
            'y_step' => '100',
            'x_label' => '12',
            'y_label' => 'F / N',
            'size' => 'middle',
        ];
        $this->handOut(['words' => '', 'backdrop' => 'axes', 'place' => 'under', 'settings' => $axes])->assertOk();
        $backdrop = $this->canvasOf($this->seat)->scene()->backdrop()->toArray();
        self::assertSame(
            [-2, 8, 0.5, 1000, '12'],
            [$backdrop['x_from'], $backdrop['x_to'], $backdrop['x_step'], $backdrop['y_to'], $backdrop['x_label']],
        );
        $problem = $this->handOut([
            'words' => '',
            'backdrop' => 'axes',
            'place' => 'under',
            'settings' => ['x_to' => '-9'] + $axes,
        ])
            ->assertUnprocessable()
            ->json('message');
        self::assertStringContainsString('must be above', $problem);
        $this->handOut([
            'words' => '',
            'backdrop' => 'number-line',
            'place' => 'under',
            'settings' => ['from' => '0', 'to' => '', 'step' => '1', 'parts' => '1'],
        ])->assertUnprocessable();
        self::assertSame('axes', $this->canvasOf($this->seat)->scene()->backdrop()->kind->value);
    }

    public function test_a_page_of_a_pdf_becomes_a_backdrop(): void
    {
        $svg = SceneSvg::document($this->canvasOf($this->seat)->scene(), new NoPictures());
        $pdf = Process::input($svg)
            ->run(['rsvg-convert', '-f', 'pdf'])
            ->throw()
            ->output();
        $upload = static fn (string $bytes): UploadedFile => UploadedFile::fake()->createWithContent(
            'sheet.pdf',
            $bytes,
        );
        $fields = ['words' => '', 'backdrop' => 'picture', 'place' => 'under'];
        $this->handOut($fields + ['picture' => $upload($pdf), 'pdf_page' => '1'])->assertOk();
        $asset = Asset::query()->findOrFail($this->canvasOf($this->seat)->scene()->backdrop()->asset);
        self::assertSame([2400, 1500], [$asset->width, $asset->height]);
        self::assertStringContainsString(
            'no page 2',
            $this->handOut($fields + ['picture' => $upload($pdf), 'pdf_page' => '2'])
                ->assertUnprocessable()
                ->json('message'),
        );
        self::assertStringContainsString(
            'damaged',
            $this->handOut($fields + ['picture' => $upload('%PDF-1.7 and nothing more')])
                ->assertUnprocessable()
                ->json('message'),
        );
        self::assertSame(1, Asset::query()->count());
    }

    /**
     * @param  array<string, mixed>  ...$operations
     * @return TestResponse<Response>
     */
    private function send(array ...$operations): TestResponse
    {
        return $this->appendAs($this->seat, $this->token, ...$operations);
    }

    /**
     * @param  array<string, mixed>  $object
     * @return array<string, mixed>
     */
    private function add(array $object, ?string $id = null): array
    {
        return ['body' => ['object' => $object]] + $this->stroke($id);
    }

    /** @return TestResponse<Response> */
    private function bringIn(string $bytes): TestResponse
    {
        return $this->asStudent($this->seat, $this->token)->call(
            'POST',
            "/seat/{$this->seat->id}/bring-in",
            cookies: $this->prepareCookiesForRequest(),
            server: ['CONTENT_TYPE' => 'application/octet-stream', 'HTTP_ACCEPT' => 'application/json'],
            content: $bytes,
        );
    }

    /**
     * @param  array<string, mixed>  $fields
     * @return TestResponse<Response>
     */
    private function tray(array $fields): TestResponse
    {
        return $this->asTeacher()->post("/desk/{$this->session->id}/tray", $fields, ['Accept' => 'application/json']);
    }

    /**
     * @param  array<string, mixed>  $fields
     * @return TestResponse<Response>
     */
    private function handOut(array $fields): TestResponse
    {
        return $this->asTeacher()->post("/desk/{$this->session->id}/hand-out", $fields, [
            'Accept' => 'application/json',
        ]);
    }

    /** @return array{kind: string, tools: list<string>} what the student's page is told */
    private function tools(): array
    {
        return $this->opened()['tray'];
    }

    /** @return array<string, mixed> */
    private function opened(): array
    {
        return $this->asStudent($this->seat, $this->token)
            ->getJson("/seat/{$this->seat->id}/canvas")
            ->assertOk()
            ->json();
    }

    private static function png(): string
    {
        ob_start();
        imagepng(imagecreatetruecolor(600, 300));

        return (string) ob_get_clean();
    }
}
