<?php

declare(strict_types=1);

namespace Tests\Feature\Life;

use App\Jobs\JobState;
use App\Models\Asks\Ask;
use App\Models\Asks\Run;
use App\Models\Canvas;
use App\Models\LiveSession;
use App\Models\Record;
use App\Models\Seat;
use App\Sessions\Show\ShowToClass;
use Crag\Json\Fields;
use Crag\Prompt\Question\Question;
use Illuminate\Testing\TestResponse;
use SimpleXMLElement;
use Symfony\Component\HttpFoundation\Response;
use Tests\Support\CragTestCase;
use ZipArchive;

/** What a session leaves behind, in open formats, whose sums agree with the database. */
final class RecordTest extends CragTestCase
{
    private LiveSession $session;

    /** @var array<string, Seat> */
    private array $seats = [];

    protected function setUp(): void
    {
        parent::setUp();
        $this->session = $this->newSession();
        $this->session
            ->prompt()
            ->firstOrFail()
            ->update([
                'words' => 'Find F.',
                'details' => [
                    'questions' => [
                        ['id' => 'force', 'kind' => 'number', 'words' => 'F?', 'spot' => null, 'right' => '80 N'],
                    ],
                ],
            ]);
        foreach (
            ['Tamsin' => ['80 N', 3], 'نور' => ['720 N', 1], 'Otis' => [null, null]] as $name => [$answer, $level]
        ) {
            [$seat, $token] = $this->seat($this->session, $name);
            $this->seats[$name] = $seat;
            $canvas = $this->canvasOf($seat);
            $operations =
                $answer === null
                    ? []
                    : [
                        $this->stroke(),
                        ['kind' => 'answer', 'body' => ['question' => 'force', 'value' => $answer]] + $this->stroke(),
                    ];
            if ($operations !== []) {
                $this->asStudent($seat, $token)
                    ->postJson("/seat/{$seat->id}/operations", ['canvas' => $canvas->id, 'operations' => $operations])
                    ->assertJsonCount(2, 'accepted');
            }
            if ($level !== null) {
                $this->asTeacher()
                    ->postJson("/desk/{$this->session->id}/checks", ['canvas' => $canvas->id, 'level' => $level])
                    ->assertOk();
            }
        }
    }

    public function test_the_spreadsheets_hold_results_matrix_answers_and_quick_asks(): void
    {
        $ask = (string) $this->asTeacher()
            ->postJson("/desk/{$this->session->id}/asks", [
                'question' => ['kind' => 'number', 'words' => 'Sure?', 'right' => '3'],
                'anonymous' => true,
            ])
            ->json('ask');
        foreach (['ods' => 'content.xml', 'xlsx' => 'xl/worksheets/sheet1.xml'] as $format => $inside) {
            $file = $this->opened($this->take("results.{$format}")->assertOk());
            $xml = (string) $file->getFromName($inside);
            self::assertStringContainsString('Tamsin', $xml);
            self::assertStringContainsString('نور', $xml);
            self::assertNotFalse(simplexml_load_string($xml));
        }
        $ods = (string) $this->opened($this->take('results.ods'))->getFromName('content.xml');
        foreach (['Results', 'Matrix', 'Answers', 'Quick asks', '720 N', 'not right', 'Prompt 1', '67'] as $there) {
            self::assertStringContainsString($there, $ods);
        }
        $bySeat = (string) $this->opened($this->take('results.ods?names=seats'))->getFromName('content.xml');
        self::assertStringNotContainsString('Tamsin', $bySeat);
        self::assertStringContainsString($this->seats['Tamsin']->seatName(), $bySeat);
        self::assertNotSame('', $ask);
    }

    public function test_the_totals_are_the_desks_and_asks_tell_what_was_answered_before(): void
    {
        $prompt = $this->session->prompt()->firstOrFail();
        $tally = $this->asTeacher()
            ->getJson("/desk/{$this->session->id}/prompt/{$prompt->id}/states")
            ->assertOk()
            ->json('tally');
        self::assertIsArray($tally);
        $totals = $this->sheet('Totals');
        self::assertSame(
            ['1', 'Find F.', ...array_map(strval(...), [$tally[3], $tally[2], $tally[1], $tally[0], $tally['unchecked']])],
            array_slice($totals[1], 0, 7),
        );
        self::assertSame(array_slice($totals[1], 2), array_slice($totals[2], 2), 'one prompt is all of them');
        $seat = $this->seats['Tamsin'];
        $ask = Ask::query()->create([
            'live_session_id' => $this->session->id,
            'n' => 1,
            'question' => Question::read(
                new Fields(['id' => 'ask', 'spot' => null, 'kind' => 'number', 'words' => 'F?', 'right' => '']),
            ),
            'made_at_ms' => now()->getTimestampMs(),
        ]);
        $again = Ask::query()->create([...$ask->only('live_session_id', 'question', 'made_at_ms'), 'n' => 2, 'again_of_id' => $ask->id]);
        foreach ([[$ask, '60 N'], [$again, '80 N']] as [$one, $value]) {
            $one->answers()->create(['voter' => $seat->id, 'value' => ['value' => $value], 'made_at_ms' => 1]);
        }
        $asks = $this->sheet('Quick asks');
        self::assertSame(['60 N', ''], [$asks[1][5], $asks[1][8] ?? '']);
        self::assertSame(['80 N', '60 N'], [$asks[2][5], $asks[2][8]]);
        app(ShowToClass::class)->canvas($this->session, $this->canvasOf($seat));
        $this->postJson("/desk/{$this->session->id}/praise", ['n' => 1, 'words' => 'A clear diagram'])->assertOk();
        self::assertSame(['1', 'Tamsin', 'Prompt 1', 'A clear diagram'], $this->sheet('Praise')[1]);
    }

    public function test_runs_stand_in_the_sheet_by_team_and_asks_in_the_pdf_with_their_bars(): void
    {
        $desk = "/desk/{$this->session->id}";
        $seat = $this->seats['Tamsin'];
        $this->asTeacher()->postJson("{$desk}/runs", [
            'cards' => ['Which way does it turn? | up; *down', 'F? | 80 N'],
            'seconds' => 30,
            'teams' => '2',
            'team_names' => ['Arches', 'Cables'],
        ])->assertOk();
        $run = Run::query()->sole();
        $ask = $run->asks()->firstOrFail();
        $ask->answers()->create(['voter' => $seat->id, 'value' => ['value' => 'o2'], 'made_at_ms' => 1]);
        $this->postJson("{$desk}/run/{$run->id}/next", ['at' => 1])->assertOk();
        $this->postJson("{$desk}/run/{$run->id}/end")->assertOk();
        $team = $run->refresh()->teams?->of($seat->id);
        $runs = $this->sheet('Runs');
        self::assertContains(['2', '2', (string) $team, '1', '1'], array_map(
            static fn (array $row): array => array_slice($row, 2),
            $runs,
        ));
        self::assertSame(['everyone', '1', '1'], array_slice($runs[3], 4));
        self::assertSame('1', $this->sheet('Quick asks')[1][9], 'an answer says of which run it was');
        $pdf = function (array $with): string {
            $this->asTeacher()->postJson("/desk/{$this->session->id}/record", ['kind' => 'pdf'] + $with)->assertOk();

            return (string) shell_exec(
                'pdftotext -layout '.escapeshellarg(Record::query()->latest('id')->firstOrFail()->path()).' -',
            );
        };
        $text = $pdf([]);
        foreach (['Quick ask 1', 'Which way does it turn?', 'Right: down', 'How everyone did', (string) $team] as $words) {
            self::assertStringContainsString($words, $text);
        }
        self::assertStringNotContainsString('Quick ask 1', $pdf(['asks' => false]));
        self::assertStringNotContainsString('Quick ask 1', $pdf(['seats' => [$seat->id]]), 'nobody takes the class home');
    }

    /** @return list<list<string>> a sheet of the results, row by row */
    private function sheet(string $name): array
    {
        $root = simplexml_load_string((string) $this->opened($this->take('results.ods'))->getFromName('content.xml'));
        self::assertInstanceOf(SimpleXMLElement::class, $root);
        $root->registerXPathNamespace('table', 'urn:oasis:names:tc:opendocument:xmlns:table:1.0');
        $rows = [];
        foreach ((array) $root->xpath("//table:table[@table:name='{$name}']/table:table-row") as $row) {
            $row->registerXPathNamespace('table', 'urn:oasis:names:tc:opendocument:xmlns:table:1.0');
            $rows[] = array_values(
                array_map(
                    static fn (SimpleXMLElement $cell): string => trim(strip_tags((string) $cell->asXML())),
                    (array) $row->xpath('table:table-cell'),
                ),
            );
        }

        return $rows;
    }

    public function test_statements_tell_what_was_begun_answered_and_checked(): void
    {
        $statements = $this->take('statements.json')
            ->assertOk()
            ->assertHeader('Content-Type', 'application/json')
            ->json();
        self::assertIsArray($statements);
        $verbs = array_count_values(
            array_map(static fn (mixed $one): string => (string) data_get($one, 'verb.display.en'), $statements),
        );
        ksort($verbs);
        self::assertSame(['answered' => 2, 'attempted' => 2, 'scored' => 2], $verbs);
        self::assertEqualsCanonicalizing(
            [true, false],
            array_values(
                array_filter(
                    array_map(static fn (mixed $one): mixed => data_get($one, 'result.success'), $statements),
                    is_bool(...),
                ),
            ),
        );
        self::assertCount(
            6,
            array_unique(array_map(static fn (mixed $one): string => (string) data_get($one, 'id'), $statements)),
        );
        self::assertStringNotContainsString(
            'Tamsin',
            (string) $this->take('statements.json?names=seats')->getContent(),
        );
    }

    public function test_a_zip_has_a_folder_for_each_student_while_the_session_goes_on(): void
    {
        $this->take('take')->assertOk()->assertSee('The session goes on');
        $this->asTeacher()
            ->post("/desk/{$this->session->id}/record", ['kind' => 'zip', 'by' => 'seat', 'names' => 'seats'])
            ->assertOk();
        $record = Record::query()->firstOrFail();
        self::assertSame([JobState::Ready, 3], [$record->state, $record->done]);
        $this->take('record.pdf')->assertNotFound();
        $zip = new ZipArchive();
        self::assertTrue($zip->open($record->path()));
        $names = array_map(static fn (int $i): string => (string) $zip->getNameIndex($i), range(0, $zip->numFiles - 1));
        self::assertCount(9, $names);
        self::assertCount(3, preg_grep('~^\d\d-[a-z0-9-]+/prompt-01-page-1\.png$~', $names) ?: []);
        self::assertStringNotContainsString('tamsin', implode(' ', $names));
        $this->asTeacher()
            ->post("/desk/{$this->session->id}/record", ['kind' => 'tar'])
            ->assertRedirect();
    }

    public function test_only_chosen_prompts_are_in_it(): void
    {
        $this->asTeacher()
            ->postJson("/desk/{$this->session->id}/record", ['kind' => 'pdf', 'prompts' => ['another']])
            ->assertUnprocessable();
        $this->asTeacher()
            ->postJson("/desk/{$this->session->id}/record", ['kind' => 'pdf', 'prompts' => [$this->session->prompt_id]])
            ->assertOk();
        self::assertSame(3, Record::query()->firstOrFail()->total);
    }

    public function test_matrix_and_answers_come_as_csv_too(): void
    {
        self::assertStringContainsString(
            '2,نور,1,,33',
            (string) $this->take('results.csv?table=matrix')->assertOk()->getContent(),
        );
        self::assertStringContainsString(
            '720 N,not right,',
            (string) $this->take('results.csv?table=answers')->getContent(),
        );
        $roster = $this->teacher()
            ->rosters()
            ->create(['name' => '9B Beams']);
        $this->session->update(['roster_id' => $roster->id]);
        $this->asTeacher()
            ->postJson("/desk/{$this->session->id}/record", ['kind' => 'pdf'])
            ->assertOk();
        self::assertStringContainsString(
            '9B Beams',
            (string) shell_exec('pdftotext '.escapeshellarg(Record::query()->firstOrFail()->path()).' -'),
        );
    }

    public function test_each_table_has_a_file_name_of_its_own(): void
    {
        $names = array_map(
            fn (string $query): string => (string) $this->take("results.csv{$query}")->headers->get(
                'Content-Disposition',
            ),
            ['', '?table=matrix', '?table=answers', '?table=asks', '?table=nonsense'],
        );
        self::assertSame(
            ['results', 'matrix', 'answers', 'quick-asks', 'results'],
            array_map(
                static fn (string $one): string => preg_match('/\d{4}-\d\d-\d\d-([a-z-]+)\.csv/', $one, $found) === 1
                    ? $found[1]
                    : '',
                $names,
            ),
        );
    }

    public function test_times_are_the_schools(): void
    {
        config(['crag.zone' => 'Asia/Kathmandu']);
        $at = $this->session->created_at->copy()->addMinutes(345)->format('H:i');
        self::assertStringContainsString('+05:45', (string) $this->take('results.csv?table=answers')->getContent());
        $this->get('/')->assertSee($at);
        self::assertSame('UTC', $this->session->refresh()->created_at->tzName, 'what is stored stays in UTC');
        // Open until the end of a day means the school's day.
        $this->postJson("/desk/{$this->session->id}/own-time", [
            'until' => now()->addDays(2)->format('Y-m-d'),
        ])->assertOk();
        self::assertSame(
            now()->addDays(2)->startOfDay()->addHours(18)->addMinutes(14)->addSeconds(59)->getTimestampMs(),
            $this->session->refresh()->open_until_ms,
        );
    }

    public function test_the_pdf_holds_every_word_of_the_prompt_and_what_was_answered(): void
    {
        $words = trim(str_repeat('A long way round the weir. ', 30));
        $this->session
            ->prompt()
            ->firstOrFail()
            ->update(['words' => $words]);
        $this->asTeacher()
            ->postJson("/desk/{$this->session->id}/record", ['kind' => 'pdf'])
            ->assertOk();
        $text = (string) preg_replace(
            '/\s+/',
            ' ',
            (string) shell_exec(
                'pdftotext -layout '.escapeshellarg(Record::query()->latest('id')->firstOrFail()->path()).' -',
            ),
        );
        self::assertSame(3, substr_count($text, $words));
        foreach (['1. F? → 80 N (right)', '1. F? → 720 N (not right)', '1. F? → no answer'] as $answer) {
            self::assertStringContainsString($answer, $text);
        }
    }

    public function test_several_canvases_stand_on_a_page_and_only_chosen_students_are_in_it(): void
    {
        $record = function (array $options): Record {
            $this->asTeacher()
                ->postJson("/desk/{$this->session->id}/record", ['kind' => 'pdf'] + $options)
                ->assertOk();

            return Record::query()->latest('id')->firstOrFail();
        };
        $pages = static fn (Record $one): int => (int) (preg_match(
            '/Pages:\s+(\d+)/',
            (string) shell_exec('pdfinfo '.escapeshellarg($one->path())),
            $found,
        ) === 1
            ? $found[1]
            : 0);
        $text = static fn (Record $one): string => (string) shell_exec(
            'pdftotext '.escapeshellarg($one->path()).' -',
        );
        self::assertSame(3, $pages($record(['per' => 1])));
        self::assertSame(2, $pages($record(['per' => 2])));
        $four = $record(['per' => 4, 'by' => 'seat']);
        self::assertSame(1, $pages($four));
        self::assertStringContainsString('Tamsin', $text($four));
        self::assertStringContainsString('Find F.', $text($four));
        self::assertStringNotContainsString('Find F.', $text($record(['per' => 4, 'words' => false])));
        $one = $record(['seats' => [$this->seats['Otis']->id]]);
        self::assertStringContainsString('Otis', $text($one));
        self::assertStringNotContainsString('Tamsin', $text($one));
        $this->postJson("/desk/{$this->session->id}/record", ['seats' => ['nobody']])->assertUnprocessable();
        $this->postJson("/desk/{$this->session->id}/record", ['per' => 3])->assertUnprocessable();
    }

    public function test_the_page_after_the_end_begins_with_the_work_and_makes_each_picture_once(): void
    {
        $this->asTeacher()
            ->post("/desk/{$this->session->id}/end")
            ->assertRedirect();
        $canvas = $this->canvasOf($this->seats['Tamsin']);
        $page = $this->asTeacher()
            ->get("/desk/{$this->session->id}/ended")
            ->assertOk();
        $address = "/desk/{$this->session->id}/work/{$canvas->id}/picture.svg";
        $page->assertSeeInOrder([$address, 'Canvas of Tamsin', 'Canvases as PDF or zip'], false);
        // Whoever drew nothing has no empty frame.
        $page->assertDontSee($this->canvasOf($this->seats['Otis'])->id.'/picture.svg');
        $picture = $this->get($address)->assertOk();
        self::assertStringContainsString('<svg', (string) $picture->getContent());
        $this->get($address, ['If-None-Match' => (string) $picture->headers->get('ETag')])
            ->assertStatus(304)
            ->assertContent('');
        $other = $this->newSession('Other');
        $this->get("/desk/{$other->id}/work/{$canvas->id}/picture.svg")->assertNotFound();
    }

    public function test_nobody_reads_the_record_but_its_teachers(): void
    {
        foreach (['results.csv', 'results.ods', 'statements.json', 'take', 'record.zip'] as $file) {
            $this->asTeacher('another-teacher')
                ->get("/desk/{$this->session->id}/{$file}")
                ->assertForbidden();
            $this->asNobody()
                ->get("/desk/{$this->session->id}/{$file}")
                ->assertForbidden();
        }
        self::assertSame(3, Canvas::query()->where('live_session_id', $this->session->id)->count());
    }

    /** @return TestResponse<Response> */
    private function take(string $file): TestResponse
    {
        return $this->asTeacher()->get("/desk/{$this->session->id}/{$file}");
    }

    /** @param  TestResponse<Response>  $answer */
    private function opened(TestResponse $answer): ZipArchive
    {
        $file = tempnam(sys_get_temp_dir(), 'crag-test') ?: self::fail('no file');
        file_put_contents($file, $answer->getContent());
        $zip = new ZipArchive();
        self::assertTrue($zip->open($file));

        return $zip;
    }
}
