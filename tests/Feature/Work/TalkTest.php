<?php

declare(strict_types=1);

namespace Tests\Feature\Work;

use App\Live\Clock;
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

    public function test_it_stands_beside_the_ink_in_what_is_taken_home(): void
    {
        $this->send(self::voice())->assertOk();
        $zip = new ZipArchive();
        $answer = $this->asTeacher()->get("/desk/{$this->session->id}/student/{$this->seat->id}/everything.zip")->assertOk();
        $file = $answer->baseResponse;
        self::assertInstanceOf(BinaryFileResponse::class, $file);
        self::assertTrue($zip->open($file->getFile()->getPathname()));
        $sound = (string) $zip->getFromName('01-tamsin/prompt-01-talk-1.webm');
        self::assertSame((string) file_get_contents(TalkThrough::query()->firstOrFail()->path()), $sound);
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

    private static function voice(): string
    {
        return (string) file_get_contents(__DIR__.'/../../../core/tests/Formats/voice.webm');
    }
}
