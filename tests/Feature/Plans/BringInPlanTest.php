<?php

declare(strict_types=1);

namespace Tests\Feature\Plans;

use App\Models\Asset;
use App\Models\Prompt;
use App\Models\Teachers\Intake;
use App\Models\Teachers\Plan;
use App\Pictures\PdfPage;
use App\Pictures\StorePicture;
use App\Plans\EditPlan;
use App\Plans\MakePlan;
use App\Plans\PreparedPrompt;
use App\Plans\TakesDrawing;
use Crag\Asks\Card;
use Crag\Formats\QtiItem;
use Crag\Prompt\Backdrop\BackdropKind;
use Crag\Prompt\Question\QuestionKind;
use Illuminate\Http\UploadedFile;
use Illuminate\Testing\TestResponse;
use Opis\JsonSchema\Validator;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\HttpFoundation\BinaryFileResponse;
use Tests\Support\CragTestCase;
use Tests\Support\SamplePdf;
use ZipArchive;

/** Files become prompts, and a plan becomes files. */
final class BringInPlanTest extends CragTestCase
{
    private Plan $plan;

    protected function setUp(): void
    {
        parent::setUp();
        $this->plan = app(MakePlan::class)->empty($this->teacher(), 'Levers');
        $this->asTeacher();
    }

    public function test_plain_text_becomes_a_prompt_a_paragraph(): void
    {
        $this->take("Where is the pivot?\nShow it.\r\n\r\n  \nHow far is the load?\n\n\n")->assertJson([
            'done' => true,
        ]);
        self::assertSame(["Where is the pivot?\nShow it.", 'How far is the load?'], $this->words());
        $this->take("Zw\xF6lf Kilo", $this->plan->refresh()->sequence[0]);
        self::assertSame(["Where is the pivot?\nShow it.", 'Zwölf Kilo', 'How far is the load?'], $this->words());
    }

    /** @return iterable<string, array{string}> */
    public static function pictures(): iterable
    {
        foreach (['png', 'jpg', 'webp', 'gif'] as $kind) {
            yield $kind => [$kind];
        }
    }

    #[DataProvider('pictures')]
    public function test_a_picture_becomes_a_prompt_with_it_as_backdrop(string $kind): void
    {
        $file = UploadedFile::fake()->image("sheet.{$kind}", 60, 40);
        $this->take((string) file_get_contents($file->getPathname()))->assertJson(['done' => true]);
        $this->assertPictures([1]);
    }

    public function test_a_drawing_is_drawn_and_runs_nothing(): void
    {
        $this->take(
            '<?xml version="1.0"?><svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 80 50"><script>alert(1)</script><image href="http://elsewhere.test/x.png" width="9" height="9"/><rect width="80" height="50" fill="#f00"/></svg>',
        )->assertJson(['done' => true]);
        $this->assertPictures([1]);
        self::assertStringNotContainsString(
            'script',
            (string) file_get_contents($this->plan->assets()->firstOrFail()->path()),
        );
    }

    public function test_a_teacher_has_room_for_so_many_pictures_and_no_more(): void
    {
        $png = (string) UploadedFile::fake()->image('frame.png', 20, 10)->getContent();
        $this->take($png)->assertOk();
        // In another plan of the same teacher: the room is the teacher's.
        $other = app(MakePlan::class)->empty($this->teacher(), 'Worksheets');
        Asset::query()->create([
            'plan_id' => $other->id,
            'mime' => 'image/png',
            'width' => 1,
            'height' => 1,
            'bytes' => StorePicture::TEACHER_MB * 1024 * 1024,
        ]);
        self::assertStringContainsString(
            'no room for more pictures',
            (string) $this->take($png)->assertUnprocessable()->json('message'),
        );
        $theirs = app(MakePlan::class)->empty($this->teacher('another-teacher'), 'Theirs');
        $this->asTeacher('another-teacher');
        $this->plan = $theirs;
        $this->take($png)->assertOk();
    }

    public function test_a_picture_in_a_zip_is_drawn_anew_once_however_often_it_is_named(): void
    {
        $pictures = array_map(
            static fn (int $n): array => [
                'id' => "picture-{$n}",
                'file' => 'pictures/one.png',
                'width' => 20,
                'height' => 10,
            ],
            range(1, 50),
        );
        $prompts = array_map(
            static fn (int $n): array => [
                'words' => "{$n}",
                'pages' => [['backdrop' => ['kind' => 'picture', 'asset' => "picture-{$n}"], 'objects' => []]],
            ],
            range(1, 50),
        );
        $this->take(
            $this->zip([
                'plan.json' => (string) json_encode([
                    'format' => 'crag-plan',
                    'version' => 1,
                    'title' => 'x',
                    'tags' => [],
                    'prompts' => $prompts,
                    'pictures' => $pictures,
                ]),
                'pictures/one.png' => (string) UploadedFile::fake()->image('one.png', 20, 10)->getContent(),
            ]),
        )->assertOk();
        self::assertCount(50, $this->words());
        self::assertSame(1, $this->plan->assets()->count());
    }

    public function test_an_svg_is_drawn_within_the_renderers_own_limits(): void
    {
        $svg =
            '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 80 50"><path d="'.
            str_repeat('M0 0', 3_000_000).
            '"/></svg>';
        self::assertStringContainsString('damaged', (string) $this->take($svg)->assertUnprocessable()->json('message'));
        self::assertSame([], $this->words());
    }

    public function test_pdfs_that_are_looked_at_and_left_do_not_pile_up(): void
    {
        for ($i = 0; $i < 7; $i++) {
            $this->travel(1)->seconds();
            $this->take(SamplePdf::pages(2))->assertOk();
        }
        self::assertSame(4, Intake::query()->count());
        self::assertCount(4, glob(config()->string('crag.data')."/plans/{$this->plan->id}/*.pdf") ?: []);
    }

    public function test_a_page_of_a_pdf_is_brought_onto_the_canvas(): void
    {
        $bring = fn (int $page): TestResponse => $this->call(
            'POST',
            "/plan/{$this->plan->id}/bring-in?pdf_page={$page}",
            [],
            $this->prepareCookiesForRequest(),
            [],
            [
                'CONTENT_TYPE' => 'application/octet-stream',
                'HTTP_ACCEPT' => 'application/json',
            ],
            SamplePdf::pages(3),
        );
        [$first, $third] = [
            $bring(1)->assertOk()->json('objects.0.object'),
            $bring(3)->assertOk()->json('objects.0.object'),
        ];
        self::assertSame('picture', $first['type']);
        self::assertNotSame(
            md5_file($this->plan->assets()->findOrFail($first['asset'])->path()),
            md5_file($this->plan->assets()->findOrFail($third['asset'])->path()),
        );
        $bring(4)
            ->assertUnprocessable()
            ->assertJsonFragment(['message' => 'That PDF has 3 pages, so there’s no page 4.']);
    }

    public function test_the_gaps_of_a_worksheet_are_found(): void
    {
        $intake = $this->take(SamplePdf::worksheet())->json('id');
        $this->postJson("/plan/{$this->plan->id}/intake/{$intake}/pages", ['pages' => '1', 'as' => 'prompts'])
            ->assertOk();
        $prompt = $this->plan->refresh()->present()->last();
        self::assertInstanceOf(Prompt::class, $prompt);
        // What the page begins with is what the prompt says.
        self::assertSame('Levers and moments', $prompt->words);
        $at = "/plan/{$this->plan->id}/prompt/{$prompt->id}/gaps";
        $gaps = $this->getJson($at)->assertOk()->assertJson(['all' => 5])->json('gaps');
        self::assertSame(
            [
                ['text', 'A plank turns about its'],
                ['text', 'Name of the force'],
                ['text', '40 N'],
                ['number', '12 × 7 ='],
                ['text', ''],
            ],
            array_map(static fn (array $gap): array => [$gap['kind'], $gap['words']], $gaps),
        );
        foreach ($gaps as $gap) {
            self::assertSame(0, $gap['spot']['page']);
            self::assertGreaterThan($gap['spot']['x'], 1_100);
        }
        // On a page without a picture nothing can be found; nor by somebody else.
        $empty = app(EditPlan::class)->add($this->plan, $this->teacher(), PreparedPrompt::saying('Empty'), null);
        $this->getJson("/plan/{$this->plan->id}/prompt/{$empty->id}/gaps")->assertUnprocessable();
        $this->asTeacher('another-teacher')->getJson($at)->assertForbidden();
    }

    public function test_the_text_of_a_page_is_told_to_who_may_see_it_and_found_in_the_library(): void
    {
        $intake = $this->take(SamplePdf::worksheet())->json('id');
        $this->postJson("/plan/{$this->plan->id}/intake/{$intake}/pages", ['pages' => '1', 'as' => 'prompts'])
            ->assertOk();
        $asset = Asset::query()->where('plan_id', $this->plan->id)->latest('id')->firstOrFail();
        $lines = $this->getJson("/asset/{$asset->id}/text")->assertOk()->json('lines');
        self::assertSame('Levers and moments', $lines[0][0]);
        self::assertSame('Name of the force', $lines[2][0]);
        self::assertGreaterThan($lines[0][2], $lines[1][2], 'from top to bottom');
        // By what stands on the page alone; all the words of a search must be there.
        foreach (['plank turns' => true, 'PLANK' => true, 'plank bicycle' => false, '100%' => false] as $search => $is) {
            $found = $this->get('/plans?search='.urlencode($search))->assertOk();
            $found->{$is ? 'assertSee' : 'assertDontSee'}("/plan/{$this->plan->id}", false);
        }
        // A session that is made of it gives its own students the text, and nobody else.
        $this->asTeacher('another-teacher')->getJson("/asset/{$asset->id}/text")->assertForbidden();
        $this->asNobody()->getJson("/asset/{$asset->id}/text")->assertForbidden();
    }

    public function test_a_pdf_is_looked_at_first_and_its_chosen_pages_become_pages_of_one_prompt(): void
    {
        $this->postJson("/plan/{$this->plan->id}/prompts", ['words' => 'First', 'after' => null]);
        $intake = $this->take(SamplePdf::pages(6))
            ->assertJson(['state' => 'chosen', 'total' => 6])
            ->json('id');
        self::assertSame(['First'], $this->words());
        $small = $this->get("/plan/{$this->plan->id}/intake/{$intake}/page/2.png")->assertOk();
        self::assertLessThanOrEqual(
            240,
            max(array_slice((array) getimagesizefromstring((string) $small->getContent()), 0, 2)),
        );
        $this->postJson("/plan/{$this->plan->id}/intake/{$intake}/pages", [
            'pages' => '2, 9',
            'as' => 'pages',
        ])->assertUnprocessable();
        // One prompt has room for 30 pages; a plan for more prompts.
        Intake::query()
            ->whereKey($intake)
            ->update(['total' => 40]);
        self::assertStringContainsString(
            'You chose 31 pages: up to 30',
            (string) $this->postJson("/plan/{$this->plan->id}/intake/{$intake}/pages", [
                'pages' => '1-31',
                'as' => 'pages',
            ])
                ->assertUnprocessable()
                ->json('message'),
        );
        Intake::query()
            ->whereKey($intake)
            ->update(['total' => 6]);
        $this->postJson("/plan/{$this->plan->id}/intake/{$intake}/pages", [
            'pages' => '1-3, 6',
            'as' => 'pages',
            'after' => $this->plan->refresh()->sequence[0],
        ])->assertOk();
        $this->getJson("/plan/{$this->plan->id}/intake/{$intake}")->assertJson([
            'state' => 'ready',
            'done' => 4,
            'total' => 4,
        ]);
        self::assertSame(['First', 'Worksheet, page 1'], $this->words());
        $this->assertPictures([1, 4]);
        self::assertFileDoesNotExist(Intake::query()->findOrFail($intake)->path());
        $this->postJson("/plan/{$this->plan->id}/intake/{$intake}/pages", ['pages' => '1'])->assertStatus(409);
        $this->get("/plan/{$this->plan->id}/intake/{$intake}/page/1.png")->assertNotFound();
    }

    public function test_pages_of_a_pdf_become_prompts_in_their_order(): void
    {
        $intake = $this->take(SamplePdf::pages(3))->json('id');
        $this->postJson("/plan/{$this->plan->id}/intake/{$intake}/pages", [
            'pages' => 'all',
            'as' => 'prompts',
        ])->assertOk();
        $this->assertPictures([1, 1, 1]);
        $pictures = $this->plan
            ->present()
            ->map(fn ($prompt) => (string) app(TakesDrawing::class)->of($prompt)->first()->asset)
            ->all();
        self::assertSame($this->plan->assets()->orderBy('id')->pluck('id')->all(), $pictures);
    }

    public function test_an_item_and_a_package_of_items_become_prompts(): void
    {
        $item =
            '<qti-assessment-item xmlns="'.
            QtiItem::NAMESPACE.
            '" identifier="a" title="t"><qti-response-declaration identifier="R" cardinality="single" base-type="float"><qti-correct-response><qti-value>80</qti-value></qti-correct-response></qti-response-declaration>'.
            '<qti-item-body><p>What force? <qti-text-entry-interaction response-identifier="R"/></p></qti-item-body></qti-assessment-item>';
        $this->take($item)->assertJson(['done' => true]);
        $manifest =
            '<manifest xmlns="m"><resources><resource identifier="a" type="imsqti_item_xmlv3p0" href="items/a.xml"/><resource identifier="b" type="webcontent" href="b.png"/></resources></manifest>';
        $this->take($this->zip(['imsmanifest.xml' => $manifest, 'items/a.xml' => $item]))->assertJson(['done' => true]);
        self::assertSame(['What force? ____', 'What force? ____'], $this->words());
        self::assertSame(
            'right',
            $this->plan->present()->firstOrFail()->value()->questions[0]->compare('80.0')?->outcome->value,
        );
    }

    public function test_a_plan_is_taken_out_and_read_back_equal(): void
    {
        $this->take(SamplePdf::pages(1))->json('id');
        $intake = Intake::query()->firstOrFail();
        $this->postJson("/plan/{$this->plan->id}/intake/{$intake->id}/pages", ['pages' => '1', 'as' => 'pages']);
        foreach (['order', 'moments', 'linear', 'agree', 'tools'] as $key) {
            $this->postJson("/plan/{$this->plan->id}/prompts", ['ready' => $key, 'after' => null])->assertOk();
        }
        $this->postJson("/plan/{$this->plan->id}/edits", [
            'field' => 'tags',
            'from' => [],
            'to' => ['Year 9', 'forces'],
        ])->assertOk();
        $first = $this->taken($this->plan);
        self::assertSame('Levers', $first['plan.json']['title']);
        self::assertCount(6, $first['plan.json']['prompts']);
        self::assertCount(1, $first['plan.json']['pictures']);
        self::assertCount(
            6,
            array_filter(array_keys($first), static fn (string $name): bool => str_starts_with($name, 'svg/')),
        );

        $this->post('/plans/bring-in', [
            'file' => UploadedFile::fake()->createWithContent('levers.zip', $first['zip']),
        ])->assertRedirect();
        $copy = Plan::query()->latest('id')->firstOrFail();
        self::assertNotSame($this->plan->id, $copy->id);
        $second = $this->taken($copy);
        self::assertSame($first['plan.json'], $second['plan.json']);
        self::assertSame(array_keys($first), array_keys($second));
        foreach (array_diff(array_keys($first), ['zip']) as $file) {
            self::assertTrue($first[$file] === $second[$file], "{$file} is the same, byte for byte");
        }
    }

    public function test_the_taken_out_plan_keeps_to_the_published_schema(): void
    {
        foreach (['tools', 'moments', 'agree', 'times', 'order'] as $key) {
            $this->postJson("/plan/{$this->plan->id}/prompts", ['ready' => $key, 'after' => null]);
        }
        $first = $this->plan->prompts()->firstOrFail();
        $cards = [Card::one('Which way? | up; *down | 20 s'), Card::one(['kind' => 'work', 'seconds' => null])];
        $details = ['asks' => array_map(static fn (Card $card): array => $card->toArray(), $cards)] + $first->details;
        $first->update(['details' => $details]);
        $plan = json_decode((string) $this->files($this->plan)['plan.json']);
        self::assertNull(self::againstSchema($plan));
        $schema = json_decode((string) file_get_contents(base_path('docs/plan.schema.json')));
        self::assertEqualsCanonicalizing(
            array_column(QuestionKind::cases(), 'value'),
            $schema->{'$defs'}->question->properties->kind->enum,
        );
        self::assertEqualsCanonicalizing(
            array_column(BackdropKind::cases(), 'value'),
            $schema->{'$defs'}->page->properties->backdrop->properties->kind->enum,
        );
        $plan->prompts[1]->questions[0]->kind = 'riddle';
        self::assertNotNull(self::againstSchema($plan));
    }

    public function test_prompts_are_printed_and_questions_taken_out(): void
    {
        foreach (['moments', 'times', 'agree'] as $key) {
            $this->postJson("/plan/{$this->plan->id}/prompts", ['ready' => $key, 'after' => null]);
        }
        $pdf = $this->get("/plan/{$this->plan->id}/take-out/prompts.pdf")
            ->assertOk()
            ->assertDownload('levers.pdf');
        self::assertSame(3, self::pages($pdf));
        $zip = $this->opened(
            self::download(
                $this->get("/plan/{$this->plan->id}/take-out/questions.zip")
                    ->assertOk()
                    ->assertDownload('levers.qti.zip'),
            ),
        );
        self::assertSame(
            ['imsmanifest.xml', 'item-001.xml', 'item-002.xml', 'item-003.xml', 'left-out.txt'],
            array_keys($zip),
        );
        // Its key has a unit: QTI compares numbers alone.
        self::assertStringContainsString('its tolerance', $zip['left-out.txt']);
        $withKey = $this->get("/plan/{$this->plan->id}/take-out/prompts.pdf?key=1")->assertOk();
        self::assertGreaterThan(self::pages($pdf), self::pages($withKey), 'the key stands on sheets of its own');
        self::assertCount(4, QtiItem::read($zip['item-002.xml'])->questions);
        $empty = app(MakePlan::class)->empty($this->teacher(), 'Empty');
        $this->get("/plan/{$empty->id}/take-out/prompts.pdf")->assertNotFound();
    }

    /** @return iterable<string, array{string, string}> */
    public static function unusable(): iterable
    {
        yield 'nothing' => ['', 'empty'];
        yield 'blanks' => ["  \n ", 'empty'];
        yield 'a program' => ["\x7FELF\x01\x01\0\0\0\0", 'can’t be added'];
        yield 'a damaged PDF' => ["%PDF-1.4\nnonsense", 'damaged'];
        yield 'a locked PDF' => [SamplePdf::locked(), 'password'];
        yield 'a damaged picture' => ["\x89PNG\r\n\x1a\n".str_repeat("\0", 40), 'damaged'];
        yield 'a damaged zip' => ["PK\x03\x04nonsense", 'damaged'];
        yield 'a damaged drawing' => ['<svg xmlns="http://www.w3.org/2000/svg"><rect', 'damaged'];
        yield 'a broken item' => ['<qti-assessment-item>', 'isn’t well-formed'];
        yield 'an endless text' => [str_repeat('word ', 50_000), 'too much'];
    }

    #[DataProvider('unusable')]
    public function test_what_cannot_be_brought_in_is_refused_with_a_reason(string $bytes, string $why): void
    {
        self::assertStringContainsString($why, (string) $this->take($bytes)->assertUnprocessable()->json('message'));
        self::assertSame([], $this->words());
        $before = Plan::query()->count();
        $this->post('/plans/bring-in', [
            'file' => UploadedFile::fake()->createWithContent('x.bin', $bytes),
        ])->assertSessionHasErrors('file');
        self::assertSame($before, Plan::query()->count());
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function brokenPlans(): iterable
    {
        $prompt = ['words' => '', 'pages' => [['backdrop' => ['kind' => 'blank'], 'objects' => []]]];
        $plan = ['format' => 'crag-plan', 'version' => 1, 'title' => 'x', 'tags' => [], 'prompts' => [$prompt]];
        yield 'a later version' => [['version' => 2] + $plan, 'version'];
        yield 'no pages' => [['prompts' => [['pages' => []] + $prompt]] + $plan, 'pages'];
        yield 'a backdrop of no kind' => [
            ['prompts' => [['pages' => [['backdrop' => ['kind' => 'marble'], 'objects' => []]]] + $prompt]] + $plan,
            'kind',
        ];
        yield 'an object of no kind' => [
            [
                'prompts' => [
                    [
                        'pages' => [
                            ['backdrop' => ['kind' => 'blank'], 'objects' => [['object' => ['type' => 'cube']]]],
                        ],
                    ] + $prompt,
                ],
            ] + $plan,
            'kind of object',
        ];
        yield 'a picture that is missing' => [
            ['pictures' => [['id' => 'a', 'file' => 'pictures/a.png']]] + $plan,
            'damaged',
        ];
    }

    /** @param  array<string, mixed>  $json */
    #[DataProvider('brokenPlans')]
    public function test_a_broken_plan_file_is_refused_whole(array $json, string $why): void
    {
        $before = Plan::query()->count();
        $this->post('/plans/bring-in', [
            'file' => UploadedFile::fake()->createWithContent(
                'plan.zip',
                $this->zip(['plan.json' => (string) json_encode($json)]),
            ),
        ])->assertSessionHasErrors('file');
        self::assertStringContainsString($why, (string) session('errors')->first('file'));
        self::assertSame($before, Plan::query()->count());
    }

    public function test_a_plan_file_cannot_name_anothers_picture(): void
    {
        $asset = $this->plan->assets()->create(['mime' => 'image/png', 'width' => 1, 'height' => 1, 'bytes' => 1]);
        $json = [
            'format' => 'crag-plan',
            'version' => 1,
            'title' => 'x',
            'tags' => [],
            'prompts' => [
                [
                    'words' => '',
                    'pages' => [['backdrop' => ['kind' => 'picture', 'asset' => $asset->id], 'objects' => []]],
                ],
            ],
        ];
        $this->post('/plans/bring-in', [
            'file' => UploadedFile::fake()->createWithContent(
                'plan.zip',
                $this->zip(['plan.json' => (string) json_encode($json)]),
            ),
        ])->assertRedirect();
        $copy = Plan::query()->latest('id')->firstOrFail();
        self::assertNotSame(
            $asset->id,
            app(TakesDrawing::class)
                ->of($copy->present()->firstOrFail())
                ->first()->asset,
        );
    }

    public function test_bringing_in_is_taken_back_like_any_change(): void
    {
        $this->take("One\n\nTwo");
        app(EditPlan::class)->add($this->plan->refresh(), $this->teacher(), PreparedPrompt::saying('Three'), null);
        foreach ([1, 2, 3] as $step) {
            $this->postJson("/plan/{$this->plan->id}/step", ['again' => false])->assertOk();
        }
        self::assertSame([], $this->words());
    }

    /** @return TestResponse<\Symfony\Component\HttpFoundation\Response> */
    private function take(string $bytes, string $after = ''): TestResponse
    {
        return $this->call(
            'POST',
            "/plan/{$this->plan->id}/take-in?after={$after}",
            [],
            $this->prepareCookiesForRequest(),
            [],
            [
                'CONTENT_TYPE' => 'application/octet-stream',
                'HTTP_ACCEPT' => 'application/json',
            ],
            $bytes,
        );
    }

    /** @return list<mixed> */
    private function words(): array
    {
        return array_values($this->plan->refresh()->present()->pluck('words')->all());
    }

    /**
     * @param  list<int>  $pages  how many pages with a picture each prompt has; a prompt without one counts as 1 too
     */
    private function assertPictures(array $pages): void
    {
        $all = $this->plan->refresh()->present()->map(fn ($prompt) => app(TakesDrawing::class)->of($prompt)->pages);
        self::assertSame($pages, $all->map(static fn (array $some): int => count($some))->all());
        foreach ($all->last() as $page) {
            self::assertSame('picture', $page->backdrop->kind->value);
        }
    }

    /** @return array<string, mixed> the files of a plan that is taken out, plan.json decoded, and the zip itself */
    private function taken(Plan $plan): array
    {
        $files = $this->files($plan);

        return ['plan.json' => json_decode($files['plan.json'], true, flags: JSON_THROW_ON_ERROR)] + $files;
    }

    /** @return array<string, string> the zip's files, and the zip itself */
    private function files(Plan $plan): array
    {
        $file = self::download($this->get("/plan/{$plan->id}/take-out/plan.zip")->assertOk());

        return $this->opened($file) + ['zip' => (string) file_get_contents($file)];
    }

    private static function againstSchema(mixed $plan): ?string
    {
        return (new Validator())
            ->validate($plan, (string) file_get_contents(base_path('docs/plan.schema.json')))
            ->error()
            ?->message();
    }

    /** @param  TestResponse<\Symfony\Component\HttpFoundation\Response>  $response */
    private static function download(TestResponse $response): string
    {
        self::assertInstanceOf(BinaryFileResponse::class, $response->baseResponse);

        return $response->baseResponse->getFile()->getPathname();
    }

    /**
     * How many pages a PDF that was downloaded has.
     *
     * @param  TestResponse<\Symfony\Component\HttpFoundation\Response>  $response
     */
    private static function pages(TestResponse $response): int
    {
        return PdfPage::count(self::download($response));
    }

    /** @return array<string, string> */
    private function opened(string $path): array
    {
        $zip = new ZipArchive();
        self::assertTrue($zip->open($path));
        $files = [];
        for ($i = 0; $i < $zip->numFiles; $i++) {
            $files[(string) $zip->getNameIndex($i)] = (string) $zip->getFromIndex($i);
        }

        return $files;
    }

    /** @param  array<string, string>  $files */
    private function zip(array $files): string
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'crag-test-zip');
        $zip = new ZipArchive();
        $zip->open($path, ZipArchive::OVERWRITE);
        foreach ($files as $name => $content) {
            $zip->addFromString($name, $content);
        }
        $zip->close();
        $bytes = (string) file_get_contents($path);
        unlink($path);

        return $bytes;
    }
}
