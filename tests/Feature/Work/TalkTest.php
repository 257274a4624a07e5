<?php

declare(strict_types=1);

namespace Tests\Feature\Work;

use App\Live\Clock;
use App\Models\Show\LineupEntry;
use App\Models\TalkThrough;
use Crag\Session\Room\TalkLimits;
use Illuminate\Testing\TestResponse;
use Symfony\Component\HttpFoundation\BinaryFileResponse;
use Symfony\Component\HttpFoundation\Response;
use Tests\Support\OneStudentTestCase;
use ZipArchive;

/** A student explains a drawing aloud. */
final class TalkTest extends OneStudentTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        config(['crag.recording' => true]);
        $this->session->update(['settings' => $this->session->settings->with(['recording' => true])]);
        $this->appendAs($this->seat, $this->token, ['at' => Clock::ms()] + $this->stroke())->assertOk();
    }

    public function test_what_was_said_is_kept_told_to_the_desk_and_played_with_the_drawing(): void
    {
        $this->published->messages = [];
        $this->send(self::voice(), ['words' => ' The plank tips left. '])
            ->assertOk()
            ->assertJsonPath('said', 'Sent. Your teacher can play it with your drawing.');
        $talk = TalkThrough::query()->firstOrFail();
        self::assertFileExists($talk->path());
        self::assertStringContainsString('"type":"talk"', implode('', $this->published->on("desk.{$this->session->id}")));
        $canvas = $this->canvasOf($this->seat)->id;
        $at = "/desk/{$this->session->id}/canvas/{$canvas}";
        $this->asTeacher()->get("{$at}/talks")->assertOk()->assertSee($talk->id)->assertSee('The plank tips left.');
        $this->get("{$at}/talk/{$talk->id}.webm")->assertOk()->assertHeader('Content-Type', 'audio/webm');
        $this->getJson("{$at}/talk/{$talk->id}/replay")
            ->assertOk()
            ->assertJsonPath('lasts', $talk->lasts_ms)
            ->assertJsonCount(1, 'steps');
        $states = $this->getJson("/desk/{$this->session->id}/prompt/{$this->session->prompt_id}/states")->json('states');
        self::assertSame(1, $states[0]['talks']);
    }

    public function test_nobody_else_hears_it(): void
    {
        $this->send(self::voice())->assertOk();
        $talk = TalkThrough::query()->firstOrFail();
        $canvas = $this->canvasOf($this->seat)->id;
        $sound = "/desk/{$this->session->id}/canvas/{$canvas}/talk/{$talk->id}.webm";
        $this->asNobody()->get($sound)->assertForbidden();
        $this->asStudent($this->seat, $this->token)->get($sound)->assertForbidden();
        $this->asTeacher('another-teacher')->get($sound)->assertForbidden();
        $this->asTeacher('another-teacher')->get("/desk/{$this->session->id}/canvas/{$canvas}/talks")->assertForbidden();
        // Nor under another canvas, nor while the work is covered.
        [$mate] = $this->seat($this->session, 'Mate');
        $other = $this->canvasOf($mate)->id;
        $this->asTeacher()->get("/desk/{$this->session->id}/canvas/{$other}/talk/{$talk->id}.webm")->assertNotFound();
        $this->session->update(['settings' => $this->session->settings->with(['cover' => true])]);
        $this->get($sound)->assertConflict();
    }

    public function test_recording_is_off_unless_the_installation_and_the_teacher_allow_it(): void
    {
        config(['crag.recording' => false]);
        $this->send(self::voice())->assertConflict();
        $this->asTeacher()->get("/desk/{$this->session->id}/bands")->assertDontSee('Talk-throughs');
        config(['crag.recording' => true]);
        $this->asTeacher()->postJson("/desk/{$this->session->id}/settings", ['recording' => false])->assertOk();
        $this->send(self::voice())->assertConflict();
        self::assertSame(0, TalkThrough::query()->count());
    }

    public function test_what_cannot_be_kept_is_refused_with_its_reason(): void
    {
        $this->send('no sound at all')->assertUnprocessable()->assertSee('no sound in this recording');
        $this->send(str_repeat('a', TalkLimits::MOST_BYTES + 1))->assertUnprocessable()->assertSee('too large');
        $this->send(self::voice(), ['canvas' => 'not-a-canvas'])->assertNotFound();
        $this->send(self::voice(), ['began' => 'soon'])->assertUnprocessable();
        $this->send(self::voice(), ['words' => str_repeat('a', TalkLimits::LONGEST_WORDS + 1)])->assertUnprocessable();
        [$mate, $token] = $this->seat($this->session, 'Mate');
        $this->send(self::voice(), ['canvas' => $this->canvasOf($mate)->id])->assertNotFound();
        self::assertSame(0, TalkThrough::query()->count());
        for ($i = 0; $i < TalkLimits::MOST_ON_A_CANVAS; $i++) {
            // A device sends no more than so many files in a minute.
            $this->travel(1)->minutes();
            $this->send(self::voice())->assertOk();
        }
        $this->send(self::voice())->assertConflict()->assertSee('enough talk-throughs');
    }

    public function test_a_camera_runs_only_where_the_installation_and_the_teacher_allow_it(): void
    {
        $filmed = (string) file_get_contents(__DIR__.'/../../../core/tests/Formats/camera.webm');
        $this->send($filmed)->assertUnprocessable()->assertSee('one track of sound and nothing else');
        config(['crag.camera' => true]);
        $this->send($filmed)->assertUnprocessable();
        $this->asTeacher()->postJson("/desk/{$this->session->id}/settings", ['camera' => true])->assertOk();
        $this->send($filmed)->assertOk();
        $talk = TalkThrough::query()->firstOrFail();
        self::assertTrue($talk->is_filmed);
        $at = "/desk/{$this->session->id}/canvas/{$talk->canvas_id}/talk/{$talk->id}";
        $this->asTeacher()->get("{$at}.webm")->assertOk()->assertHeader('Content-Type', 'video/webm');
        $this->getJson("{$at}/replay")->assertOk()->assertJsonPath('filmed', true);
        // A voice alone goes on to be one, and is no larger than one may be.
        $this->send(self::voice())->assertOk();
        self::assertFalse(TalkThrough::query()->latest('id')->firstOrFail()->is_filmed);
        $this->send(str_repeat('a', TalkLimits::MOST_FILMED_BYTES + 1))->assertUnprocessable()->assertSee('too large');
        config(['crag.camera' => false]);
        $this->send($filmed)->assertUnprocessable();
        $this->asTeacher()->get("/desk/{$this->session->id}/bands")->assertDontSee('Camera in talk-throughs');
    }

    public function test_it_stands_beside_the_ink_in_what_is_taken_home(): void
    {
        $this->send(self::voice(), ['words' => '0:00 It tips & holds.'])->assertOk();
        $zip = new ZipArchive();
        $answer = $this->asTeacher()->get("/desk/{$this->session->id}/student/{$this->seat->id}/everything.zip")->assertOk();
        $file = $answer->baseResponse;
        self::assertInstanceOf(BinaryFileResponse::class, $file);
        self::assertTrue($zip->open($file->getFile()->getPathname()));
        $sound = (string) $zip->getFromName('01-tamsin/prompt-01-talk-1.webm');
        self::assertSame((string) file_get_contents(TalkThrough::query()->firstOrFail()->path()), $sound);
        self::assertStringContainsString('It tips &amp; holds.', (string) $zip->getFromName('01-tamsin/prompt-01-talk-1.vtt'));
        $page = (string) $zip->getFromName('01-tamsin/prompt-01-talk-1.html');
        self::assertStringContainsString('<title>Tamsin, Prompt 1</title>', $page);
        self::assertStringContainsString('src="prompt-01-talk-1.webm"', $page);
        self::assertStringContainsString('\u003Cpath', $page);
        $rest = json_decode((string) $zip->getFromName('everything.json'), true);
        self::assertSame(['Prompt 1'], array_column($rest['talk_throughs'], 'prompt'));
    }

    public function test_it_is_forgotten_with_its_student_and_with_the_session(): void
    {
        $this->send(self::voice())->assertOk();
        $path = TalkThrough::query()->firstOrFail()->path();
        $this->asTeacher()->delete("/desk/{$this->session->id}/student/{$this->seat->id}")->assertRedirect();
        self::assertFileDoesNotExist($path);
        self::assertSame(0, TalkThrough::query()->count());
    }

    public function test_a_spoken_note_reaches_those_who_work_on_the_canvas_and_nobody_else(): void
    {
        [$mate, $token] = $this->seat($this->session, 'Mate');
        $this->speak($this->canvasOf($this->seat)->id, ['words' => 'Try the other support.'])
            ->assertOk()
            ->assertJsonPath('said', 'Sent. Tamsin can play it now.');
        $note = TalkThrough::query()->firstOrFail();
        self::assertNull($note->seat_id);
        $own = $this->asStudent($this->seat, $this->token)->getJson("/seat/{$this->seat->id}/canvas")->json('own');
        self::assertSame(
            [[
                'id' => $note->id,
                'canvas' => $note->canvas_id,
                'from' => 'Ms Okafor-Lind',
                'length' => '0:01',
                'words' => 'Try the other support.',
            ]],
            $own['voices'],
        );
        $this->get("/seat/{$this->seat->id}/talk/{$note->id}.webm")
            ->assertOk()->assertHeader('Content-Type', 'audio/webm');
        $this->asStudent($mate, $token)->get("/seat/{$mate->id}/talk/{$note->id}.webm")->assertNotFound();
        self::assertSame([], $this->getJson("/seat/{$mate->id}/canvas")->json('own.voices'));
        // What students said is for teachers alone, its author too: it was sent.
        $this->send(self::voice())->assertOk();
        $said = TalkThrough::query()->whereNotNull('seat_id')->firstOrFail();
        $this->asStudent($this->seat, $this->token)->get("/seat/{$this->seat->id}/talk/{$said->id}.webm")
            ->assertNotFound();
        // A teacher takes back what teachers said, not what students did.
        $at = "/desk/{$this->session->id}/canvas/{$note->canvas_id}/talk";
        $this->asTeacher()->postJson("{$at}/{$said->id}/remove")->assertNotFound();
        $this->postJson("{$at}/{$note->id}/remove")->assertOk();
        self::assertFileDoesNotExist($note->path());
        self::assertFileExists($said->path());
        self::assertSame(
            [],
            $this->asStudent($this->seat, $this->token)->getJson("/seat/{$this->seat->id}/canvas")->json('own.voices'),
        );
    }

    public function test_a_spoken_note_is_refused_as_a_talk_through_is(): void
    {
        $canvas = $this->canvasOf($this->seat)->id;
        $this->speak($canvas, [], 'no sound at all')->assertUnprocessable();
        $this->speak($canvas, ['began' => 'soon'])->assertUnprocessable();
        $this->speak('not-a-canvas')->assertNotFound();
        config(['crag.recording' => false]);
        $this->speak($canvas)->assertConflict();
        config(['crag.recording' => true]);
        $this->session->update(['settings' => $this->session->settings->with(['cover' => true])]);
        $this->speak($canvas)->assertConflict();
        self::assertSame(0, TalkThrough::query()->count());
    }

    public function test_a_note_is_forgotten_with_the_student_about_whose_work_it_is(): void
    {
        $this->speak($this->canvasOf($this->seat)->id)->assertOk();
        $path = TalkThrough::query()->firstOrFail()->path();
        $this->asTeacher()->delete("/desk/{$this->session->id}/student/{$this->seat->id}")->assertRedirect();
        self::assertFileDoesNotExist($path);
        self::assertSame(0, TalkThrough::query()->count());
    }

    public function test_a_talk_through_is_played_to_the_class_with_its_captions(): void
    {
        $this->send(self::voice(), ['words' => 'It tips. It holds.'])->assertOk();
        $talk = TalkThrough::query()->firstOrFail();
        $at = "/desk/{$this->session->id}/canvas/{$talk->canvas_id}/talk/{$talk->id}";
        $shown = "/screen/{$this->session->id}/showcase/{$this->session->showcase_id}/1";
        $this->asScreen($this->session)->get("{$shown}-talk.webm")->assertNotFound();
        $this->asTeacher()->postJson("{$at}/show")->assertOk();
        $this->session->refresh();
        $shown = "/screen/{$this->session->id}/showcase/{$this->session->showcase_id}/1";
        $this->asScreen($this->session)->get("{$shown}-talk.webm")->assertOk();
        $replay = $this->getJson("{$shown}-replay.json")->assertOk()->json();
        self::assertSame($talk->lasts_ms, $replay['lasts']);
        self::assertSame(['It tips.', 'It holds.'], array_column($replay['captions'], 'words'));
        $items = $this->asTeacher()->getJson("/desk/{$this->session->id}/talk")->json('items');
        self::assertTrue($items[0]['isSpoken']);
        self::assertSame(1, $items[0]['replay']['speed']);
        // It stands still, and begins again at its own pace, however fast ink alone would be played.
        $play = "/desk/{$this->session->id}/showcase/{$this->session->showcase_id}/1/replay";
        $this->postJson($play, ['on' => false])->assertOk();
        $this->postJson($play, ['on' => true, 'speed' => 8])->assertOk();
        self::assertSame(1, $this->getJson("/desk/{$this->session->id}/talk")->json('items.0.replay.speed'));
        // On students' own pages only while it is shown there.
        [$mate, $token] = $this->seat($this->session, 'Mate');
        $onPage = "/seat/{$mate->id}/showcase/{$this->session->showcase_id}/1-talk.webm";
        $this->asStudent($mate, $token)->get($onPage)->assertNotFound();
        $this->asTeacher()->postJson("/desk/{$this->session->id}/shown-on", ['on' => 'pages'])->assertSuccessful();
        $this->asStudent($mate, $token)->get($onPage)->assertOk();
        // A helper shows nothing to the class.
        $this->session->teachers()->attach($this->teacher('a-helper')->id, ['role' => 'helper']);
        $this->asTeacher('a-helper')->postJson("{$at}/show")->assertForbidden();
    }

    public function test_it_stands_in_the_line_up_and_is_shown_with_its_voice_when_its_turn_comes(): void
    {
        $this->send(self::voice())->assertOk();
        $talk = TalkThrough::query()->firstOrFail();
        $at = "/desk/{$this->session->id}/canvas/{$talk->canvas_id}/talk/{$talk->id}";
        $this->asTeacher()->postJson("{$at}/line-up")->assertOk();
        $entry = LineupEntry::query()->firstOrFail();
        self::assertSame($talk->id, $entry->talk_id);
        $this->get("/desk/{$this->session->id}/bands")->assertSee('with its voice');
        $this->postJson("/desk/{$this->session->id}/line-up/{$entry->id}/show")->assertOk();
        $item = $this->getJson("/desk/{$this->session->id}/talk")->json('items.0');
        self::assertTrue($item['isSpoken']);
        self::assertNotNull($item['replay']);
        // The page alone again: it is shown as it is, without a voice.
        $this->postJson("/desk/{$this->session->id}/line-up", ['chosen' => [['canvas' => $talk->canvas_id]]])
            ->assertOk();
        self::assertNull($entry->refresh()->talk_id);
        $this->postJson("/desk/{$this->session->id}/line-up/{$entry->id}/show")->assertOk();
        self::assertFalse($this->getJson("/desk/{$this->session->id}/talk")->json('items.0.isSpoken'));
    }

    public function test_the_lead_canvas_is_explained_by_those_who_run_the_session(): void
    {
        $lead = app(\App\Canvas\TakeCanvas::class)->lead($this->session->prompt ?? self::fail());
        $this->speak($lead->id)->assertOk()->assertJsonPath('said', 'Kept. You can show it to the class.');
        $talk = TalkThrough::query()->firstOrFail();
        $this->asTeacher()->get("/desk/{$this->session->id}/canvas/{$lead->id}/talks")
            ->assertOk()->assertSee('<audio', false);
        $this->postJson("/desk/{$this->session->id}/canvas/{$lead->id}/talk/{$talk->id}/show")->assertOk();
        $this->session->teachers()->attach($this->teacher('a-helper')->id, ['role' => 'helper']);
        $this->speak($lead->id, [], null, 'a-helper')->assertForbidden();
        $this->speak($this->canvasOf($this->seat)->id, [], null, 'a-helper')->assertOk();
    }

    /**
     * @param  array<string, string>  $with
     * @return TestResponse<Response>
     */
    private function send(string $bytes, array $with = []): TestResponse
    {
        $query = http_build_query(
            $with + ['canvas' => $this->canvasOf($this->seat)->id, 'began' => (string) (Clock::ms() - 1_000)],
        );

        return $this->asStudent($this->seat, $this->token)->call(
            'POST',
            "/seat/{$this->seat->id}/talk?{$query}",
            cookies: $this->prepareCookiesForRequest(),
            server: ['CONTENT_TYPE' => 'application/octet-stream', 'HTTP_ACCEPT' => 'application/json'],
            content: $bytes,
        );
    }

    /**
     * @param  array<string, string>  $with
     * @return TestResponse<Response>
     */
    private function speak(string $canvas, array $with = [], ?string $bytes = null, string $as = 'the-teacher'): TestResponse
    {
        $query = http_build_query($with + ['began' => (string) (Clock::ms() - 1_000)]);

        return $this->asTeacher($as)->call(
            'POST',
            "/desk/{$this->session->id}/canvas/{$canvas}/talks?{$query}",
            cookies: $this->prepareCookiesForRequest(),
            server: ['CONTENT_TYPE' => 'application/octet-stream', 'HTTP_ACCEPT' => 'application/json'],
            content: $bytes ?? self::voice(),
        );
    }

    private static function voice(): string
    {
        return (string) file_get_contents(__DIR__.'/../../../core/tests/Formats/voice.webm');
    }
}
