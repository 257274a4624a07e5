<?php

declare(strict_types=1);

namespace Tests\Feature\Work;

use App\Jobs\JobState;
use App\Models\Asset;
use App\Models\Check;
use App\Models\HeldFolder;
use App\Models\Record;
use Crag\Prompt\Backdrop\BackdropKind;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\TestWith;
use Symfony\Component\HttpFoundation\BinaryFileResponse;
use Symfony\Component\HttpFoundation\Response;
use Tests\Support\OneStudentTestCase;

final class LessonTest extends OneStudentTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->appendAs($this->seat, $this->token, $this->stroke())->assertOk();
    }

    public function test_a_hand_out_goes_under_the_ink_and_takes_none_away(): void
    {
        $this->handOut(['words' => 'Find the moment.', 'backdrop' => 'squared', 'place' => 'under'])->assertOk();
        $scene = $this->canvasOf($this->seat)->scene();
        self::assertCount(1, $scene->placed);
        self::assertSame(BackdropKind::Squared, $scene->backdrop()->kind);
        self::assertStringContainsString(
            'Find the moment.',
            implode('', $this->published->on("room.{$this->session->id}")),
        );
        $this->asStudent($this->seat, $this->token)
            ->get("/seat/{$this->seat->id}")
            ->assertSee('Find the moment.');
    }

    public function test_late_comers_get_what_the_others_have(): void
    {
        $this->handOut(['words' => 'Find the moment.', 'backdrop' => 'isometric', 'place' => 'under']);
        [$late] = $this->seat($this->session, 'Late');
        self::assertSame(BackdropKind::Isometric, $this->canvasOf($late)->scene()->backdrop()->kind);
    }

    public function test_the_next_prompt_is_a_new_canvas_and_the_old_work_stays(): void
    {
        $old = $this->canvasOf($this->seat);
        $this->handOut(['words' => 'Brace the frame.', 'backdrop' => 'dotted', 'place' => 'next'])->assertOk();
        $new = $this->seat->canvases()->where('id', '!=', $old->id)->firstOrFail();
        self::assertTrue($new->scene()->isEmpty());
        self::assertCount(1, $old->scene()->placed);
        $this->asStudent($this->seat, $this->token)
            ->getJson("/seat/{$this->seat->id}/canvas")
            ->assertJsonPath('canvas', $new->id)
            ->assertJsonPath('prompt.n', 2);
        $this->asTeacher()
            ->postJson("/desk/{$this->session->id}/prompt/{$old->prompt_id}/gather", [])
            ->assertOk();
        $this->asStudent($this->seat, $this->token)
            ->getJson("/seat/{$this->seat->id}/canvas")
            ->assertJsonPath('canvas', $old->id);
    }

    /** @param  array<string, mixed>  $with */
    #[DataProvider('badHandOuts')]
    public function test_a_hand_out_that_cannot_be_says_why_and_changes_nothing(array $with, string $says): void
    {
        $this->handOut($with + ['words' => 'New', 'backdrop' => 'blank', 'place' => 'under'])
            ->assertUnprocessable()
            ->assertSee($says);
        self::assertSame('', $this->session->prompt()->firstOrFail()->words);
        self::assertSame(0, Asset::query()->count());
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function badHandOuts(): iterable
    {
        yield 'too many words' => [['words' => str_repeat('a', 2001)], '2000 characters'];
        yield 'a backdrop from nowhere' => [['backdrop' => 'lava'], 'backdrop'];
        yield 'a place from nowhere' => [['place' => 'attic'], 'place'];
        yield 'a picture without a file' => [['backdrop' => 'picture'], 'Choose a picture or a PDF first'];
        yield 'a file that is no picture' => [
            [
                'backdrop' => 'picture',
                'picture' => UploadedFile::fake()->createWithContent('x.png', '<svg onload="alert(1)"/>'),
            ],
            'a PNG, JPEG',
        ];
        yield 'a damaged picture' => [
            [
                'backdrop' => 'picture',
                'picture' => UploadedFile::fake()->createWithContent(
                    'x.png',
                    substr(
                        (string) base64_decode(
                            'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
                        ),
                        0,
                        40,
                    ),
                ),
            ],
            'damaged',
        ];
    }

    #[TestWith(['png', 'image/png', 'image/jpeg'])]
    #[TestWith(['jpeg', 'image/jpeg', 'image/jpeg'])]
    #[TestWith(['webp', 'image/webp', 'image/jpeg'])]
    public function test_a_picture_is_drawn_anew_and_lies_under_the_ink(
        string $format,
        string $mime,
        string $kept,
    ): void {
        $image = imagecreatetruecolor(4000, 1000);
        imagefill($image, 0, 0, 0x2C6E8F);
        ob_start();
        ('image'.$format)($image);
        $file = UploadedFile::fake()->createWithContent("bridge.{$format}", ob_get_clean().'<?php hidden extra');
        $this->handOut([
            'words' => 'Look',
            'backdrop' => 'picture',
            'place' => 'under',
            'picture' => $file,
        ])->assertOk();
        $asset = Asset::query()->firstOrFail();
        self::assertSame([$kept, 3200, 800], [$asset->mime, $asset->width, $asset->height]);
        self::assertStringNotContainsString('hidden extra', (string) file_get_contents($asset->path()));
        self::assertSame($asset->id, $this->canvasOf($this->seat)->scene()->backdrop()->asset);
        $this->asStudent($this->seat, $this->token)
            ->get("/asset/{$asset->id}")
            ->assertOk()
            ->assertHeader('Content-Type', $kept);
    }

    public function test_see_through_pictures_stay_see_through(): void
    {
        $image = imagecreatetruecolor(40, 40);
        imagesavealpha($image, true);
        imagefill($image, 0, 0, (int) imagecolorallocatealpha($image, 0, 0, 0, 127));
        ob_start();
        imagepng($image);
        $file = UploadedFile::fake()->createWithContent('glass.png', (string) ob_get_clean());
        $this->handOut(['words' => '', 'backdrop' => 'picture', 'place' => 'under', 'picture' => $file])->assertOk();
        self::assertSame('image/png', Asset::query()->firstOrFail()->mime);
    }

    public function test_a_check_counts_at_its_latest_level_and_can_be_taken_away(): void
    {
        $canvas = $this->canvasOf($this->seat);
        $this->asTeacher()
            ->postJson("/desk/{$this->session->id}/checks", ['canvas' => $canvas->id, 'level' => 1])
            ->assertOk();
        $this->postJson("/desk/{$this->session->id}/checks", ['canvas' => $canvas->id, 'level' => 3])
            ->assertJsonPath('tally.3', 1)
            ->assertJsonPath('tally.1', 0);
        $states = $this->getJson("/desk/{$this->session->id}/prompt/{$canvas->prompt_id}/states");
        $states
            ->assertJsonPath('states.0.level', 3)
            ->assertJsonPath('tally.unchecked', 0)
            ->assertJsonPath('started', 1);
        $this->postJson("/desk/{$this->session->id}/checks", [
            'canvas' => $canvas->id,
            'level' => null,
        ])->assertJsonPath('tally.unchecked', 1);
        $this->postJson("/desk/{$this->session->id}/checks", [
            'canvas' => $canvas->id,
            'level' => 4,
        ])->assertUnprocessable();
        self::assertSame([1, 1, 1], Check::query()->pluck('at_operation')->all());
    }

    public function test_the_grid_gets_every_seat_and_every_log(): void
    {
        $this->asTeacher();
        $response = $this->getJson("/desk/{$this->session->id}/prompt/{$this->session->prompt_id}/canvases");
        $answer = json_decode($response->streamedContent(), true);
        self::assertSame('Tamsin', $answer['seats'][0]['name']);
        self::assertSame($answer['seats'][0]['canvas'], $answer['operations'][0]['canvas']);
        self::assertSame(1, $answer['position']['operations']);
    }

    public function test_a_showcase_is_the_canvas_as_it_was_and_nameless_unless_chosen(): void
    {
        $canvas = $this->canvasOf($this->seat);
        $this->asTeacher()
            ->postJson("/desk/{$this->session->id}/showcase", ['canvas' => $canvas->id])
            ->assertNoContent();
        $showcase = $this->session->refresh()->showcase_id;
        $this->asScreen($this->session)
            ->get("/screen/{$this->session->id}")
            ->assertOk()
            ->assertSee("data-showcase=\"{$showcase}\"", false)
            ->assertDontSee('Tamsin');
        $shown = (string) $this->get("/screen/{$this->session->id}/showcase/{$showcase}/1.svg")
            ->assertOk()
            ->assertHeader('Content-Type', 'image/svg+xml')
            ->getContent();
        $this->asStudent($this->seat, $this->token)->postJson("/seat/{$this->seat->id}/operations", [
            'canvas' => $canvas->id,
            'operations' => [$this->stroke()],
        ]);
        self::assertSame(
            $shown,
            $this->asScreen($this->session)
                ->get("/screen/{$this->session->id}/showcase/{$showcase}/1.svg")
                ->getContent(),
        );

        $this->asTeacher()
            ->postJson("/desk/{$this->session->id}/settings", ['shown_names' => 'seats'])
            ->assertOk();
        $this->asScreen($this->session)
            ->get("/screen/{$this->session->id}/shown")
            ->assertSee('Seat 1')
            ->assertDontSee('Tamsin');
        $this->asTeacher()
            ->postJson("/desk/{$this->session->id}/settings", ['shown_names' => 'names'])
            ->assertOk();
        $this->asScreen($this->session)
            ->get("/screen/{$this->session->id}/shown")
            ->assertSee('Tamsin');
        $this->asTeacher()
            ->postJson("/desk/{$this->session->id}/screen", ['view' => 'nothing'])
            ->assertNoContent();
        $this->asScreen($this->session)
            ->get("/screen/{$this->session->id}/shown")
            ->assertDontSee('Tamsin')
            ->assertDontSee($showcase);
        $this->get("/screen/{$this->session->id}/showcase/{$showcase}/1.svg")->assertNotFound();
    }

    public function test_the_class_screen_shows_how_to_join_and_then_the_prompt(): void
    {
        $this->asScreen($this->session)
            ->get("/screen/{$this->session->id}")
            ->assertSee($this->session->code()->spaced())
            ->assertSee('data-qr', false);
        $this->handOut(['words' => 'Find the moment.', 'backdrop' => 'blank', 'place' => 'under']);
        $this->asScreen($this->session)
            ->get("/screen/{$this->session->id}")
            ->assertSee('Find the moment.');
        $this->asTeacher()
            ->postJson("/desk/{$this->session->id}/screen", ['view' => 'showcase'])
            ->assertUnprocessable();
        $this->postJson("/desk/{$this->session->id}/screen", ['view' => 'fireworks'])->assertUnprocessable();
    }

    public function test_the_end_is_told_and_stays_the_end(): void
    {
        $this->end();
        self::assertStringContainsString('"ended"', implode('', $this->published->on("room.{$this->session->id}")));
        $this->asTeacher()
            ->get("/desk/{$this->session->id}")
            ->assertRedirect("/desk/{$this->session->id}/ended");
        $this->postJson("/desk/{$this->session->id}/hand-out", [
            'words' => 'x',
            'backdrop' => 'blank',
            'place' => 'under',
        ])->assertConflict();
        $this->get('/')->assertSee('Bridges and Beams')->assertSee('Forget now');
        $this->asStudent($this->seat, $this->token)
            ->get("/seat/{$this->seat->id}")
            ->assertSee('The session has ended');
    }

    public function test_the_teacher_gets_a_page_for_every_canvas_with_its_name(): void
    {
        $this->seat($this->session, 'نور');
        $this->handOut(['words' => 'Brace & <b>frame</b>', 'backdrop' => 'squared', 'place' => 'next']);
        $this->end();
        $this->asTeacher()
            ->post("/desk/{$this->session->id}/record")
            ->assertOk();
        $this->get("/desk/{$this->session->id}/record")->assertSee('Canvases as PDF (4)');
        self::assertSame(
            [JobState::Ready, 4, 4],
            [Record::query()->value('state'), Record::query()->value('done'), Record::query()->value('total')],
        );
        $file = $this->get("/desk/{$this->session->id}/record.pdf")
            ->assertOk()
            ->assertDownload()->baseResponse;
        assert($file instanceof BinaryFileResponse);
        $words = (string) shell_exec(
            'pdftotext -layout '.escapeshellarg($file->getFile()->getPathname()).' - 2>&1',
        );
        self::assertSame(4, substr_count($words, 'Bridges and Beams'));
        self::assertStringContainsString('Tamsin', $words);
        self::assertStringContainsString('Brace & <b>frame</b>', $words);
    }

    public function test_a_session_that_nobody_joined_has_no_record_and_says_so(): void
    {
        $empty = $this->newSession('Empty');
        $this->asTeacher()->post("/desk/{$empty->id}/end");
        $this->get("/desk/{$empty->id}/ended")->assertSee('There’s no work to keep');
        $this->postJson("/desk/{$empty->id}/record")->assertUnprocessable();
    }

    public function test_the_checks_come_as_csv_that_a_spreadsheet_does_not_run(): void
    {
        [$sly] = $this->seat($this->session, '=HYPERLINK("x")');
        $this->asTeacher()->postJson("/desk/{$this->session->id}/checks", [
            'canvas' => $this->canvasOf($this->seat)->id,
            'level' => 2,
        ]);
        $csv = (string) $this->get("/desk/{$this->session->id}/results.csv")
            ->assertOk()
            ->getContent();
        self::assertMatchesRegularExpression('/^1,Tamsin,1,,2,Nearly,,,\d{4}-[^,]+,yes,,0,\r$/m', $csv);
        self::assertStringContainsString('"\'=HYPERLINK(""x"")"', $csv);
        self::assertSame(2, $sly->n);
    }

    public function test_a_student_takes_the_own_work_home(): void
    {
        $this->end();
        $canvas = $this->canvasOf($this->seat)->id;
        $this->asStudent($this->seat, $this->token)
            ->get("/seat/{$this->seat->id}")
            ->assertSee("{$canvas}.png");
        $png = (string) $this->get("/seat/{$this->seat->id}/work/{$canvas}.png")
            ->assertOk()
            ->getContent();
        self::assertSame([1600, 1000], array_slice((array) getimagesizefromstring($png), 0, 2));
        $pdf = $this->get("/seat/{$this->seat->id}/work.pdf")
            ->assertOk()
            ->assertDownload('bridges-and-beams.pdf');
        self::assertSame('application/pdf', $pdf->headers->get('Content-Type'));
    }

    public function test_forgetting_leaves_no_row_and_no_file(): void
    {
        $this->handOut([
            'words' => '',
            'backdrop' => 'picture',
            'place' => 'under',
            'picture' => UploadedFile::fake()->image('a.png', 30, 30),
        ])->assertOk();
        $this->asTeacher()->postJson("/desk/{$this->session->id}/checks", [
            'canvas' => $this->canvasOf($this->seat)->id,
            'level' => 2,
        ]);
        $this->postJson("/desk/{$this->session->id}/showcase", ['canvas' => $this->canvasOf($this->seat)->id]);
        $this->end();
        $this->asTeacher()->post("/desk/{$this->session->id}/record");
        $folder = HeldFolder::of('sessions', $this->session->id);
        self::assertNotEmpty(glob("{$folder}/*"));
        $this->delete("/desk/{$this->session->id}")->assertRedirect('/');

        self::assertDirectoryDoesNotExist($folder);
        foreach (Schema::getTableListing(schemaQualified: false) as $table) {
            if (! in_array($table, ['migrations', 'teachers', 'devices', 'sqlite_sequence'], true)) {
                self::assertSame(0, DB::table($table)->count(), $table);
            }
        }
        foreach (['room', 'wet', 'leading'] as $channel) {
            self::assertContains("{$channel}.{$this->session->id}", $this->published->closed);
        }
        $this->asStudent($this->seat, $this->token)
            ->get("/seat/{$this->seat->id}")
            ->assertNotFound();
        $this->get("/join/{$this->session->join_code}")->assertSee('No session has');
    }

    public function test_names_on_the_desk_can_be_off(): void
    {
        $this->asTeacher()
            ->postJson("/desk/{$this->session->id}/settings", ['desk_names' => 'seats'])
            ->assertOk();
        $this->get("/desk/{$this->session->id}")->assertSee('data-names="seats"', false);
    }

    /**
     * @param  array<string, mixed>  $with
     * @return TestResponse<Response>
     */
    private function handOut(array $with): TestResponse
    {
        return $this->asTeacher()->post("/desk/{$this->session->id}/hand-out", $with, ['Accept' => 'application/json']);
    }

    private function end(): void
    {
        $this->asTeacher()
            ->post("/desk/{$this->session->id}/end")
            ->assertRedirect("/desk/{$this->session->id}/ended");
        $this->session->refresh();
    }
}
