<?php

declare(strict_types=1);

namespace Tests\Feature\Life;

use App\Database\Engine;
use App\Models\Asset;
use App\Models\Canvas;
use App\Models\HeldFolder;
use App\Models\LiveSession;
use App\Models\Record;
use App\Models\Seat;
use App\Sessions\Life\EndIdle;
use Crag\Session\Room\Pace;
use Crag\Session\Room\PromptState;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use Symfony\Component\HttpFoundation\BinaryFileResponse;
use Tests\Support\CragTestCase;
use ZipArchive;

/** How long a session stays open and is kept, and what forgetting leaves: nothing. */
final class KeepTest extends CragTestCase
{
    private LiveSession $session;

    private Seat $tamsin;

    private string $token;

    protected function setUp(): void
    {
        parent::setUp();
        $this->session = $this->newSession();
        [$this->tamsin, $this->token] = $this->seat($this->session, 'Tamsin');
        $this->draw($this->tamsin, $this->token);
        [$noor, $token] = $this->seat($this->session, 'نور');
        $this->draw($noor, $token);
    }

    public function test_each_session_is_kept_as_long_as_its_teacher_says(): void
    {
        $this->asTeacher()
            ->postJson("/desk/{$this->session->id}/keep", ['keep_days' => 3])
            ->assertOk()
            ->assertJsonPath('said', 'Kept for 3 days after the session.');
        $this->postJson("/desk/{$this->session->id}/keep", ['keep_days' => 401])->assertUnprocessable();
        $this->post("/desk/{$this->session->id}/end");
        $this->travelTo(now()->addDays(3)->subSecond());
        app(EndIdle::class)();
        $this->get("/desk/{$this->session->id}/ended")
            ->assertOk()
            ->assertSee(now()->addSecond()->translatedFormat('j F Y'));
        $this->travelTo(now()->addSeconds(2));
        app(EndIdle::class)();
        self::assertNull(LiveSession::query()->find($this->session->id));
    }

    public function test_no_days_means_gone_with_the_end(): void
    {
        $this->asTeacher()
            ->postJson("/desk/{$this->session->id}/keep", ['keep_days' => 0])
            ->assertOk();
        $this->asStudent($this->tamsin, $this->token)
            ->get("/seat/{$this->tamsin->id}/home")
            ->assertOk()
            ->assertSee('download your work before');
        $this->asTeacher()
            ->get("/desk/{$this->session->id}")
            ->assertOk()
            ->assertSee('Nothing is kept');
        $this->post("/desk/{$this->session->id}/end")->assertRedirect('/');
        self::assertSame(0, LiveSession::query()->count());
        $this->asStudent($this->tamsin, $this->token)
            ->get("/seat/{$this->tamsin->id}")
            ->assertNotFound();
    }

    public function test_own_time_outlives_the_teachers_silence_and_ends_by_itself(): void
    {
        $this->asTeacher()
            ->post("/desk/{$this->session->id}/hand-out", [
                'words' => 'Brace it.',
                'backdrop' => 'blank',
                'place' => 'next',
            ])
            ->assertOk();
        $this->session
            ->prompts()
            ->where('n', 1)
            ->update(['state' => PromptState::Unseen]);
        $day = now()->addDays(4);
        $this->postJson("/desk/{$this->session->id}/own-time", [
            'until' => now()->subDay()->format('Y-m-d'),
        ])->assertUnprocessable();
        $this->postJson("/desk/{$this->session->id}/own-time", ['until' => 'soon'])->assertUnprocessable();
        $this->postJson("/desk/{$this->session->id}/own-time", ['until' => $day->format('Y-m-d')])->assertOk();
        self::assertSame(Pace::Own, $this->session->refresh()->pace);
        self::assertSame(0, $this->session->prompts()->where('state', PromptState::Unseen)->count());
        $this->asStudent($this->tamsin, $this->token)
            ->getJson("/seat/{$this->tamsin->id}/canvas")
            ->assertJsonPath('room.openUntil', $day->translatedFormat('j F Y'));

        $this->travelTo($day->copy()->subHours(6));
        app(EndIdle::class)();
        self::assertTrue($this->session->refresh()->isRunning());
        $this->draw($this->tamsin, $this->token);
        $this->travelTo($day->copy()->endOfDay()->addSecond());
        app(EndIdle::class)();
        self::assertFalse($this->session->refresh()->isRunning());
    }

    public function test_everything_about_one_student_can_be_taken_and_deleted(): void
    {
        $desk = "/desk/{$this->session->id}";
        $ask = (string) $this->asTeacher()
            ->postJson("{$desk}/asks", [
                'question' => ['kind' => 'text', 'words' => 'What holds it?', 'right' => []],
                'seats' => [$this->tamsin->id],
            ])
            ->json('ask');
        $this->asStudent($this->tamsin, $this->token)
            ->postJson("/seat/{$this->tamsin->id}/ask", ['ask' => $ask, 'value' => 'the strut'])
            ->assertOk();
        $this->postJson("/seat/{$this->tamsin->id}/write", ['words' => 'I am stuck'])->assertOk();
        $asset = Asset::query()->create([
            'live_session_id' => $this->session->id,
            'seat_id' => $this->tamsin->id,
            'mime' => 'image/png',
            'width' => 1,
            'height' => 1,
            'bytes' => 3,
        ]);
        file_put_contents($asset->path(), 'abc');
        $this->asTeacher()
            ->postJson("{$desk}/line-up", ['chosen' => [['canvas' => $this->canvasOf($this->tamsin)->id]]])
            ->assertOk();
        $this->postJson("{$desk}/record", ['kind' => 'pdf'])->assertOk();
        $record = Record::query()->firstOrFail()->path();
        self::assertFileExists($record);

        $file = $this->fileOf("{$desk}/student/{$this->tamsin->id}/everything.zip");
        $zip = new ZipArchive();
        self::assertTrue($zip->open($file));
        $all = json_decode((string) $zip->getFromName('everything.json'), true);
        self::assertSame(
            ['Tamsin', 'the strut', 'I am stuck', 'add'],
            [
                $all['name'],
                $all['quick_asks'][0]['answers'][0]['answer'],
                $all['messages'][0]['words'],
                $all['canvases'][0]['steps'][0]['kind'],
            ],
        );
        self::assertNotFalse($zip->locateName('01-tamsin/prompt-01-page-1.png'));
        self::assertStringNotContainsString('نور', (string) $zip->getFromName('everything.json'));

        $this->delete("{$desk}/student/{$this->tamsin->id}")->assertRedirect();
        self::assertSame([], $this->placesThatName($this->tamsin->id));
        self::assertSame([], $this->placesThatName('Tamsin'));
        self::assertFileDoesNotExist($asset->path());
        self::assertFileDoesNotExist($record);
        self::assertSame(1, Canvas::query()->whereNotNull('seat_id')->count(), 'the others keep theirs');
        $this->getJson("{$desk}/catch-up?desk=0&room=0&operations=0&prompt={$this->session->prompt_id}")->assertOk();
    }

    public function test_a_private_link_lives_as_long_as_the_work_does(): void
    {
        $this->asStudent($this->tamsin, $this->token)
            ->get("/seat/{$this->tamsin->id}/home")
            ->assertOk();
        $link = "/home/{$this->tamsin->id}/".$this->tamsin->refresh()->home_key;
        $this->asTeacher()->post("/desk/{$this->session->id}/end");
        $page = $this->asNobody()->get($link)->assertOk()->assertSee('Well done, Tamsin')->assertDontSee('نور');
        $canvas = $this->canvasOf($this->tamsin)->id;
        $page->assertSee("{$link}/work/{$canvas}.png");
        $this->get("{$link}/work/{$canvas}.png")
            ->assertOk()
            ->assertHeader('Content-Type', 'image/png');
        self::assertStringStartsWith('%PDF', (string) file_get_contents($this->fileOf("{$link}/work.pdf")));
        $this->asTeacher()
            ->delete("/desk/{$this->session->id}/student/{$this->tamsin->id}")
            ->assertRedirect();
        $this->asNobody()->get($link)->assertNotFound();
        $this->get("{$link}/work/{$canvas}.png")->assertNotFound();
    }

    public function test_what_a_student_takes_home_holds_the_checks_only_when_they_are_due(): void
    {
        $this->asTeacher()
            ->postJson("/desk/{$this->session->id}/checks", [
                'canvas' => $this->canvasOf($this->tamsin)->id,
                'level' => 3,
                'points' => 4.5,
                'note' => 'Neat reasoning',
            ])
            ->assertOk();
        $this->postJson("/desk/{$this->session->id}/settings", [
            'feedback' => ['what' => ['level', 'note'], 'when' => 'session'],
        ])->assertOk();
        $text = fn (): string => (string) shell_exec(
            'pdftotext '.escapeshellarg($this->fileOf("/seat/{$this->tamsin->id}/work.pdf")).' -',
        );
        $this->asStudent($this->tamsin, $this->token);
        self::assertStringNotContainsString('Neat reasoning', $text());
        $this->asTeacher()->post("/desk/{$this->session->id}/end");
        $this->asStudent($this->tamsin, $this->token);
        self::assertStringContainsString('Neat reasoning', $text());
        self::assertStringContainsString('Secure', $text());
        self::assertStringNotContainsString('4.5 points', $text(), 'points are not among what students see');
    }

    public function test_forgetting_leaves_no_row_and_no_file(): void
    {
        $this->asTeacher()
            ->postJson("/desk/{$this->session->id}/record", ['kind' => 'pdf'])
            ->assertOk();
        $this->get("/desk/{$this->session->id}/student/{$this->tamsin->id}/everything.zip")->assertOk();
        $this->post("/desk/{$this->session->id}/end");
        $this->delete("/desk/{$this->session->id}")->assertRedirect('/');
        foreach ([$this->session->id, $this->tamsin->id, 'Tamsin', 'نور'] as $trace) {
            self::assertSame([], $this->placesThatName($trace));
        }
        self::assertDirectoryDoesNotExist(config('crag.data')."/sessions/{$this->session->id}");
    }

    public function test_a_browser_does_not_remember_the_address_of_a_session(): void
    {
        $this->asTeacher()
            ->get("/desk/{$this->session->id}")
            ->assertOk();
        self::assertStringNotContainsString($this->session->id, json_encode(session()->all(), JSON_THROW_ON_ERROR));
        self::assertNotSame([], session()->all());
    }

    public function test_the_page_in_plain_words_says_how_long(): void
    {
        $this->asNobody()->get('/kept')->assertOk()->assertSee('30 days after a session');
        HeldFolder::remove('sessions', $this->session->id);
    }

    private function draw(Seat $seat, string $token): void
    {
        $this->appendAs($seat, $token, $this->stroke())->assertJsonCount(1, 'accepted');
    }

    /** A copy of what is sent, which would be gone with the answer. */
    private function fileOf(string $address): string
    {
        $answer = $this->get($address)->assertOk()->baseResponse;
        self::assertInstanceOf(BinaryFileResponse::class, $answer);
        $copy = tempnam(sys_get_temp_dir(), 'crag-test') ?: self::fail('no file');
        copy($answer->getFile()->getPathname(), $copy);

        return $copy;
    }

    /** @return list<string> table and column, wherever a row holds it */
    private function placesThatName(string $trace): array
    {
        $places = [];
        foreach (Engine::here()->tables() as $table) {
            foreach (Schema::getColumnListing($table) as $column) {
                if (DB::table($table)->whereRaw("cast(\"{$column}\" as text) like ?", ["%{$trace}%"])->exists()) {
                    $places[] = "{$table}.{$column}";
                }
            }
        }

        return $places;
    }
}
