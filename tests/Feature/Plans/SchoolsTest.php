<?php

declare(strict_types=1);

namespace Tests\Feature\Plans;

use App\Accounts\AccountRole;
use App\Accounts\Invitation;
use App\Jobs\JobState;
use App\Models\LiveSession;
use App\Models\Teachers\School;
use App\Models\Teachers\Teacher;
use App\Plans\MakePlan;
use App\Schools\Usage;
use App\Sessions\Life\StartSession;
use Crag\Session\Rules\RefusedDeed;
use Illuminate\Mail\Mailer;
use Illuminate\Mail\Transport\ArrayTransport;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Mail;
use Illuminate\Support\Facades\Route;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\TestWith;
use Tests\Support\CragTestCase;
use ZipArchive;

/** Many schools in one installation, and those who look after them. */
final class SchoolsTest extends CragTestCase
{
    private School $sillbeck;

    private School $other;

    protected function setUp(): void
    {
        parent::setUp();
        $this->sillbeck = School::query()->create(['name' => 'Sillbeck School', 'domains' => 'sillbeck.example']);
        $this->other = School::query()->create(['name' => 'Tarnside School']);
    }

    /** Signed in, with the token of a device of its own. */
    private function person(string $who): Teacher
    {
        $teacher = $this->teacher($who);
        [$school, $role] = match ($who) {
            'administrator' => [null, AccountRole::Administrator],
            'of sillbeck' => [$this->sillbeck->id, AccountRole::Administrator],
            'of tarnside' => [$this->other->id, AccountRole::Administrator],
            'teacher of sillbeck' => [$this->sillbeck->id, AccountRole::Teacher],
            default => [null, AccountRole::Teacher],
        };
        $teacher->update([
            'name' => $who,
            'email' => str_replace(' ', '.', $who).'@sillbeck.example',
            'password' => 'beams and levers',
            'school_id' => $school,
            'role' => $role,
        ]);

        return $teacher;
    }

    /** @return iterable<string, array{string, bool, bool}> who, whether they look after Sillbeck, and after all */
    public static function people(): iterable
    {
        yield 'the administrator' => ['administrator', true, true];
        yield 'who looks after it' => ['of sillbeck', true, false];
        yield 'who looks after another' => ['of tarnside', false, false];
        yield 'a teacher of it' => ['teacher of sillbeck', false, false];
        yield 'a teacher of none' => ['teacher of none', false, false];
    }

    #[DataProvider('people')]
    public function test_every_page_is_for_those_alone_who_look_after_it(string $who, bool $ofIt, bool $ofAll): void
    {
        $member = $this->person('teacher of sillbeck');
        $this->person($who);
        $tried = 0;
        foreach (Route::getRoutes()->getRoutes() as $route) {
            if (preg_match('#\Aschools?(/|\z)#', $route->uri()) !== 1) {
                continue;
            }
            $isOfAll = in_array('App\Http\Middleware\LooksAfterSchools:all', $route->gatherMiddleware(), true);
            $address = '/'.strtr($route->uri(), ['{school}' => $this->sillbeck->id, '{teacher}' => $member->id]);
            foreach (array_diff($route->methods(), ['HEAD']) as $method) {
                $status = $this->asTeacher($who)->json($method, $address)->getStatusCode();
                $may = $isOfAll ? $ofAll : ($route->getName() === 'schools' ? $ofIt || $who === 'of tarnside' : $ofIt);
                // What a form lacks is told by leading back to it; a file that was not made is none.
                $isFine = in_array($status, $route->getName() === 'school.export.file' ? [200, 404] : [200, 302, 422], true);
                self::assertSame($may, $may ? $isFine : $status !== 404, "{$method} {$address} as {$who}: {$status}");
                $tried++;
            }
        }
        self::assertGreaterThanOrEqual(10, $tried);
    }

    public function test_nobody_and_a_student_see_no_such_page(): void
    {
        $this->get('/schools')->assertNotFound();
        [, $token] = $this->seat($this->newSession());
        $this->withCookie('crag_seat', $token)->get("/school/{$this->sillbeck->id}")->assertNotFound();
    }

    public function test_who_looks_after_one_school_is_led_to_it_and_the_teachers_of_others_are_not_theirs(): void
    {
        $this->person('of sillbeck');
        $stranger = $this->person('of tarnside');
        $this->asTeacher('of sillbeck')->get('/schools')->assertRedirect("/school/{$this->sillbeck->id}");
        $this->asTeacher('of sillbeck')->post("/school/{$this->sillbeck->id}/teacher/{$stranger->id}/stop")->assertNotFound();
        self::assertNull($stranger->fresh()?->stopped_at);
    }

    public function test_an_administrator_who_was_stopped_looks_after_nothing(): void
    {
        $this->person('of sillbeck')->update(['stopped_at' => now()]);
        $this->asTeacher('of sillbeck')->get("/school/{$this->sillbeck->id}")->assertNotFound();
    }

    public function test_a_school_is_added_and_its_first_teacher_comes_by_invitation(): void
    {
        $this->person('administrator');
        $this->asTeacher('administrator')->post('/schools', ['name' => 'Sillbeck School'])->assertSessionHasErrors('name');
        $this->asTeacher('administrator')->post('/schools', ['name' => ' Becksill School '])->assertRedirect();
        $school = School::query()->where('name', 'Becksill School')->firstOrFail();
        $this->asTeacher('administrator')
            ->post("/school/{$school->id}/invite", ['role' => 'administrator'])
            ->assertSessionHas('link');
        $link = session('link');
        self::assertIsString($link);
        config(['crag.teachers' => 'invitation']);
        $this->withCookie('crag_teacher', 'new')->get((string) parse_url($link, PHP_URL_PATH))->assertRedirect('/account');
        $this->post('/account', ['name' => 'Ms Okafor-Lind', 'email' => 'lind@becksill.example', 'password' => 'a long bridge'])
            ->assertRedirect();
        $teacher = Teacher::query()->where('email', 'lind@becksill.example')->firstOrFail();
        self::assertSame($school->id, $teacher->school_id);
        self::assertTrue($teacher->looksAfter($school));
        self::assertFalse($teacher->looksAfter($this->sillbeck));
        $this->get((string) parse_url($link, PHP_URL_PATH))->assertNotFound();
    }

    public function test_who_has_an_account_accepts_an_invitation_with_it(): void
    {
        $teacher = $this->person('teacher of none');
        $token = Invitation::make(7, $this->sillbeck);
        $this->asTeacher('teacher of none')->get("/invitation/{$token}");
        $this->asTeacher('teacher of none')->get('/account')->assertSee('Accept the invitation from Sillbeck School');
        self::assertNull($teacher->fresh()?->school_id, 'to look at it is not to accept it');
        $this->asTeacher('teacher of none')->post('/account/accept')->assertRedirect('/account');
        $now = $teacher->refresh()->only(['school_id', 'role']);
        self::assertSame([$this->sillbeck->id, AccountRole::Teacher], array_values($now));
        $this->asTeacher('teacher of none')->post('/account/accept')->assertNotFound();
    }

    public function test_an_invitation_to_look_after_a_school_that_is_gone_makes_nobody_look_after_all(): void
    {
        $teacher = $this->person('teacher of none');
        $token = Invitation::make(7, $this->sillbeck, AccountRole::Administrator);
        $this->asTeacher('teacher of none')->get("/invitation/{$token}");
        // However it went: even an invitation that was left behind.
        $this->sillbeck->delete();
        $this->asTeacher('teacher of none')->post('/account/accept')->assertNotFound();
        self::assertFalse($teacher->refresh()->isAdministrator());
    }

    public function test_who_looks_after_all_schools_keeps_doing_so(): void
    {
        $administrator = $this->person('administrator');
        $token = Invitation::make(7, $this->sillbeck);
        $this->asTeacher('administrator')->get("/invitation/{$token}");
        $this->asTeacher('administrator')->post('/account/accept')->assertStatus(409);
        self::assertNull($administrator->fresh()?->school_id);
    }

    #[TestWith(['ms.lind@sillbeck.example', true])]
    #[TestWith(['MS.LIND@Sillbeck.example', true])]
    #[TestWith(['ms.lind@elsewhere.example', false])]
    #[TestWith(['ms.lind@sillbeck.example.elsewhere.example', false])]
    public function test_who_reads_mail_at_a_school_can_ask_for_an_invitation(string $address, bool $isSent): void
    {
        config(['crag.teachers' => 'invitation', 'mail.default' => 'array']);
        // The answer tells nothing.
        $this->post('/account/ask', ['school_email' => $address])
            ->assertRedirect('/account')
            ->assertSessionHas('said', 'If that’s an address at a school here, we’ve sent it an e-mail with an invitation.');
        $mailer = Mail::mailer('array');
        self::assertInstanceOf(Mailer::class, $mailer);
        $transport = $mailer->getSymfonyTransport();
        self::assertInstanceOf(ArrayTransport::class, $transport);
        self::assertCount((int) $isSent, $transport->messages());
        foreach ($transport->messages() as $message) {
            self::assertMatchesRegularExpression('#/invitation/\w{40}#', quoted_printable_decode($message->toString()));
        }
        self::assertSame((int) $isSent, DB::table('invitations')->where('school_id', $this->sillbeck->id)->count());
    }

    public function test_a_school_that_is_full_takes_no_more_teachers_and_begins_no_more_sessions(): void
    {
        $this->person('administrator');
        $teacher = $this->person('teacher of sillbeck');
        $this->asTeacher('administrator')
            ->post("/school/{$this->sillbeck->id}/limit", ['name' => 'Sillbeck', 'most_teachers' => '1', 'most_sessions' => '1', 'most_megabytes' => ''])
            ->assertSessionHasNoErrors();
        self::assertSame('Sillbeck', $this->sillbeck->fresh()?->name);
        $token = Invitation::make(7, $this->sillbeck);
        $new = $this->person('teacher of none');
        $this->asTeacher('teacher of none')->get("/invitation/{$token}");
        $this->asTeacher('teacher of none')->post('/account/accept')->assertStatus(409);
        self::assertNull($new->fresh()?->school_id);
        $first = app(StartSession::class)($teacher, 'Levers');
        self::assertSame($this->sillbeck->id, $first->school_id);
        $this->asTeacher('teacher of sillbeck')
            ->post('/start', ['title' => 'Levers', 'name' => 'Ms Okafor-Lind'])
            ->assertStatus(409)
            ->assertSee('as many sessions as it can');
        self::assertSame(1, LiveSession::query()->count());
        // Other schools are not its business.
        app(StartSession::class)($this->person('of tarnside'), 'Levers');
        $first->update(['ended_at' => now(), 'byte_count' => 2_000_000]);
        app(StartSession::class)($teacher, 'Levers')->update(['ended_at' => now()]);
        $this->sillbeck->update(['most_megabytes' => 2]);
        $this->expectException(RefusedDeed::class);
        app(StartSession::class)($teacher, 'Levers');
    }

    public function test_who_is_stopped_teaches_no_more_until_they_may_again(): void
    {
        $this->person('of sillbeck');
        $teacher = $this->person('teacher of sillbeck');
        $this->asTeacher('of sillbeck')->post("/school/{$this->sillbeck->id}/teacher/{$teacher->id}/stop")->assertRedirect();
        $this->asTeacher('teacher of sillbeck')->post('/start', ['title' => 'Levers', 'name' => 'Ms Okafor-Lind'])->assertRedirect('/account');
        self::assertSame(0, LiveSession::query()->count());
        $this->asTeacher('of sillbeck')->post("/school/{$this->sillbeck->id}/teacher/{$teacher->id}/again")->assertRedirect();
        $this->asTeacher('teacher of sillbeck')->post('/start', ['title' => 'Levers', 'name' => 'Ms Okafor-Lind'])->assertRedirect();
        self::assertSame(1, LiveSession::query()->count());
        // Nobody locks themselves out.
        $own = Teacher::query()->where('name', 'of sillbeck')->firstOrFail();
        $this->asTeacher('of sillbeck')->post("/school/{$this->sillbeck->id}/teacher/{$own->id}/stop")->assertStatus(409);
    }

    public function test_work_is_kept_as_long_as_the_school_says_at_most(): void
    {
        config(['crag.keep_days' => 30]);
        $session = app(StartSession::class)($this->person('teacher of sillbeck'), 'Levers');
        self::assertSame(30, $session->retention()->days);
        $this->person('of sillbeck');
        $this->asTeacher('of sillbeck')
            ->post("/school/{$this->sillbeck->id}", ['keep_days' => '10', 'domains' => '@Sillbeck.example staff.sillbeck.example'])
            ->assertSessionHasNoErrors();
        self::assertSame('sillbeck.example, staff.sillbeck.example', $this->sillbeck->fresh()?->domains);
        $again = static fn (array $with): int => tap($session)->update($with)->fresh()?->retention()->days ?? -1;
        self::assertSame(10, $again(['keep_days' => null]));
        self::assertSame(10, $again(['keep_days' => 200]));
        self::assertSame(3, $again(['keep_days' => 3]));
        $this->asTeacher('of sillbeck')->post("/school/{$this->sillbeck->id}", ['domains' => 'here'])->assertSessionHasErrors('domains');
        $this->asTeacher('of sillbeck')->post("/school/{$this->sillbeck->id}", ['keep_days' => '401'])->assertSessionHasErrors('keep_days');
        self::assertSame(10, $this->sillbeck->fresh()->keep_days);
    }

    public function test_usage_is_numbers_without_a_name(): void
    {
        $this->person('administrator');
        $session = app(StartSession::class)($this->person('teacher of sillbeck'), 'Levers');
        $this->seat($session, 'Tamsin Moss');
        $session->update(['byte_count' => 3_400_000]);
        app(StartSession::class)($this->person('of tarnside'), 'Levers')->update(['created_at' => now()->subDays(40)]);
        $usage = Usage::ofAll(School::query()->get());
        self::assertEquals([1, 1, 1, 1, 3_400_000], array_values((array) $usage[$this->sillbeck->id]));
        self::assertEquals([1, 1, 0, 0, 0], array_values((array) $usage[$this->other->id]));
        $this->asTeacher('administrator')->get('/schools')->assertOk()->assertSee('Sillbeck School')->assertDontSee('Tamsin');
    }

    public function test_everything_of_a_school_comes_in_one_file(): void
    {
        $this->person('of sillbeck');
        $teacher = $this->person('teacher of sillbeck');
        app(MakePlan::class)->empty($teacher, 'Bridges and Beams');
        $session = app(StartSession::class)($teacher, 'Levers');
        [$seat] = $this->seat($session, 'Tamsin Moss');
        $this->canvasOf($seat);
        app(StartSession::class)($this->person('of tarnside'), 'Not theirs');
        $this->asTeacher('of sillbeck')->get("/school/{$this->sillbeck->id}/export.zip")->assertNotFound();
        $this->asTeacher('of sillbeck')->post("/school/{$this->sillbeck->id}/export")->assertRedirect();
        $school = $this->sillbeck->fresh();
        self::assertSame(JobState::Ready, $school?->export_state);
        self::assertSame([2, 2], [$school->export_done, $school->export_total]);
        $this->asTeacher('of sillbeck')->get("/school/{$school->id}/export.zip")->assertOk()->assertDownload('sillbeck-school.zip');
        $this->asTeacher('of sillbeck')->get("/school/{$school->id}")->assertSee('Save the file from');
        $zip = new ZipArchive();
        $zip->open($school->exportPath());
        $told = json_decode((string) $zip->getFromName('school.json'), true);
        self::assertSame('Sillbeck School', $told['name']);
        self::assertSame(['Bridges and Beams'], array_column($told['plans'], 'title'));
        self::assertSame(['Levers'], array_column($told['sessions'], 'title'));
        self::assertNotFalse($zip->locateName($told['plans'][0]['file']));
        self::assertStringContainsString('Tamsin Moss', (string) $zip->getFromName("{$told['sessions'][0]['folder']}/rows.csv"));
        self::assertNotFalse($zip->locateName("{$told['sessions'][0]['folder']}/canvases.zip"));
        self::assertStringNotContainsString('Not theirs', (string) $zip->getFromName('school.json'));
        self::assertStringNotContainsString('password', (string) $zip->getFromName('school.json'));
    }

    public function test_a_school_goes_with_everything_and_no_other_is_touched(): void
    {
        $this->person('administrator');
        $teacher = $this->person('teacher of sillbeck');
        $plan = app(MakePlan::class)->empty($teacher, 'Bridges and Beams');
        $session = app(StartSession::class)($teacher, 'Levers');
        [$seat] = $this->seat($session, 'Tamsin Moss');
        $kept = app(StartSession::class)($this->person('of tarnside'), 'Kept');
        $this->asTeacher('administrator')->delete("/school/{$this->sillbeck->id}", ['sure' => 'sillbeck'])->assertSessionHasErrors('sure');
        self::assertNotNull($this->sillbeck->fresh());
        $this->asTeacher('administrator')->delete("/school/{$this->sillbeck->id}", ['sure' => 'Sillbeck School'])->assertRedirect('/schools');
        foreach ([$this->sillbeck, $teacher, $plan, $session, $seat] as $gone) {
            self::assertNull($gone->fresh());
        }
        self::assertNotNull($kept->fresh());
        self::assertNotNull($this->other->fresh());
        $this->asTeacher('administrator')->get('/schools')->assertOk();
        $this->asTeacher('administrator')->get('/schools')->assertDontSee('Sillbeck School');
    }
}
