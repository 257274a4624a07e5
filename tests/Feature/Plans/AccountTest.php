<?php

declare(strict_types=1);

namespace Tests\Feature\Plans;

use App\Models\HeldFolder;
use App\Models\LiveSession;
use App\Models\LoggedOperation;
use App\Models\Message;
use App\Models\Teachers\Plan;
use App\Models\Teachers\Roster;
use App\Models\Teachers\Teacher;
use App\Plans\MakePlan;
use App\Sessions\Life\StartSession;
use Illuminate\Http\Request;
use Illuminate\Mail\Mailer;
use Illuminate\Mail\Transport\ArrayTransport;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Facades\Mail;
use Illuminate\Support\Facades\Route;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\TestWith;
use Tests\Support\CragTestCase;

/** An account is made, follows its teacher to other devices, and its password can be replaced. */
final class AccountTest extends CragTestCase
{
    private const SECRET = 'a long enough secret';

    public function test_an_account_keeps_what_the_device_has_and_opens_it_elsewhere(): void
    {
        app(MakePlan::class)->empty($this->teacher(), 'Levers');
        $this->make()->assertRedirect('/plans');
        self::assertTrue(Hash::check(self::SECRET, (string) $this->teacher()->refresh()->password));
        $device = $this->asNobody()->signIn()->assertRedirect('/plans')->getCookie('crag_teacher')?->getValue();
        $this->withCookie('crag_teacher', (string) $device)
            ->get('/plans')
            ->assertSee('Levers')
            ->assertDontSee('private return link');
    }

    public function test_what_was_made_without_the_account_comes_along(): void
    {
        $this->make();
        app(MakePlan::class)->empty($this->teacher('a-laptop'), 'Made on the laptop');
        $this->teacher('a-laptop')
            ->rosters()
            ->create(['name' => '9L']);
        $session = app(StartSession::class)($this->teacher('a-laptop'), 'Run on the laptop');
        $this->asTeacher('a-laptop')->signIn()->assertRedirect('/plans');
        $owner = $this->teacher('a-laptop');
        self::assertSame('lind@sillbeck.test', $owner->email);
        self::assertSame(['Made on the laptop'], $owner->plans()->pluck('title')->all());
        self::assertSame(['9L'], $owner->rosters()->pluck('name')->all());
        self::assertTrue($owner->mayRun($session));
        self::assertSame(1, Teacher::query()->count());
    }

    public function test_what_was_written_without_the_account_stays_the_teachers(): void
    {
        $this->make();
        $laptop = $this->teacher('a-laptop');
        $session = app(StartSession::class)($laptop, 'Run on the laptop');
        [$seat] = $this->seat($session);
        $this->asTeacher('a-laptop')->postJson("/desk/{$session->id}/hand", ['seat' => $seat->id, 'words' => 'Well spotted!'])
            ->assertOk();
        $this->signIn()->assertRedirect('/plans');
        // Its words are not the student's own.
        self::assertFalse(Message::query()->firstOrFail()->isFromStudent());
    }

    public function test_name_address_and_password_are_changed_each_by_itself(): void
    {
        $this->make();
        $this->asTeacher()->post('/account/name', ['name' => ' Ms Lind '])->assertRedirect('/account');
        self::assertSame('Ms Lind', $this->teacher()->name);
        $this->post('/account/name', ['name' => ''])->assertSessionHasErrors('name');
        $this->post('/account/address', ['new_email' => 'New@Sillbeck.test', 'address_password' => 'wrong'])
            ->assertSessionHasErrors(['address_password' => 'That isn’t your password.']);
        Teacher::query()->create(['name' => 'Other', 'email' => 'other@sillbeck.test']);
        $this->post('/account/address', ['new_email' => 'other@sillbeck.test', 'address_password' => self::SECRET])
            ->assertSessionHasErrors('new_email');
        $this->post('/account/address', ['new_email' => 'New@Sillbeck.test', 'address_password' => self::SECRET])
            ->assertSessionHasNoErrors();
        $teacher = $this->teacher()->refresh();
        self::assertSame('new@sillbeck.test', $teacher->email);
        $before = $teacher->return_key;
        $this->post('/account/password', ['old_password' => 'wrong', 'new_password' => 'another long secret'])
            ->assertSessionHasErrors('old_password');
        $this->post('/account/password', ['old_password' => self::SECRET, 'new_password' => 'short'])
            ->assertSessionHasErrors('new_password');
        self::assertTrue(Hash::check(self::SECRET, (string) $teacher->refresh()->password));
        $this->post('/account/password', ['old_password' => self::SECRET, 'new_password' => 'another long secret'])
            ->assertSessionHasNoErrors();
        $teacher->refresh();
        self::assertTrue(Hash::check('another long secret', (string) $teacher->password));
        self::assertNotSame($before, $teacher->return_key);
        $this->travel(2)->minutes();
        for ($try = 0; $try < 6; $try++) {
            $this->post('/account/password', ['old_password' => 'wrong', 'new_password' => 'another long secret']);
        }
        $this->post('/account/password', ['old_password' => 'another long secret', 'new_password' => 'a third long secret'])
            ->assertSessionHasErrors(['old_password' => 'Too many tries. Wait a minute, then try again.']);
    }

    public function test_devices_are_listed_and_signed_out(): void
    {
        $this->make();
        foreach (['Mozilla/5.0 (iPhone; CPU iPhone OS 19_0)', 'Mozilla/5.0 (X11; Linux x86_64)'] as $agent) {
            $this->asNobody()->withHeader('User-Agent', $agent)->signIn();
        }
        $teacher = $this->teacher();
        self::assertSame(3, $teacher->devices()->count());
        $this->asTeacher()->get('/account')->assertOk()->assertSee('Phone')->assertSee('(this one)');
        $phone = $teacher->devices()->where('kind', 'phone')->firstOrFail();
        $this->post('/account/devices', ['device' => 'nothing'])
            ->assertSessionHas('said', 'No other device was signed in.');
        $this->post('/account/devices', ['device' => $phone->publicId()])
            ->assertSessionHas('said', 'One device is signed out.');
        self::assertSame(2, $teacher->devices()->count());
        // All the others; this one stays, whatever is named.
        $this->post('/account/devices')->assertSessionHas('said', 'One device is signed out.');
        $this->post('/account/devices', ['device' => $teacher->devices()->firstOrFail()->publicId()]);
        self::assertSame(1, $teacher->devices()->count());
        $this->get('/account')->assertSee('(this one)');
        // Another teacher's device is nobody's business.
        $other = $this->teacher('another-teacher');
        $this->post('/account/devices', ['device' => $other->devices()->firstOrFail()->publicId()]);
        self::assertSame(1, $other->devices()->count());
    }

    public function test_a_teacher_deletes_everything_and_nothing_of_a_colleagues(): void
    {
        $this->make();
        $teacher = $this->teacher();
        $plan = app(MakePlan::class)->empty($teacher, 'Levers');
        $folder = HeldFolder::of('plans', $plan->id);
        $together = app(MakePlan::class)->empty($teacher, 'Seesaws');
        $teacher->rosters()->create(['name' => '9B']);
        $own = $this->newSession('Own');
        [$seat, $token] = $this->seat($own);
        $this->appendAs($seat, $token, $this->stroke())->assertOk();
        $colleague = $this->teacher('a-colleague');
        $together->teachers()->attach($colleague);
        $shared = app(StartSession::class)($colleague, 'Shared');
        $shared->teachers()->attach($teacher->id, ['role' => 'colleague']);
        [$student] = $this->seat($shared, 'Wren');
        $this->asTeacher()->postJson("/desk/{$shared->id}/hand", ['seat' => $student->id, 'words' => 'Well spotted!'])
            ->assertOk();
        $this->delete('/account', ['delete_password' => 'wrong'])->assertSessionHasErrors('delete_password');
        self::assertTrue($teacher->refresh()->hasAccount());
        $this->delete('/account', ['delete_password' => self::SECRET])->assertRedirect('/');
        self::assertSame(['Shared'], LiveSession::query()->pluck('title')->all());
        self::assertSame(0, LoggedOperation::query()->count());
        // What a colleague edits too is the colleague's.
        self::assertSame(['Seesaws'], Plan::query()->pluck('title')->all());
        self::assertTrue($together->refresh()->teacher->is($colleague));
        self::assertSame([$colleague->id], $together->teachers()->pluck('teachers.id')->all());
        $this->asTeacher('a-colleague')->get("/plan/{$together->id}")->assertOk();
        self::assertSame(0, Roster::query()->count());
        self::assertDirectoryDoesNotExist($folder);
        self::assertNull(Teacher::query()->where('email', 'lind@sillbeck.test')->first());
        // The colleague's class and what was written there stay, and nobody gets in with the old ways.
        self::assertFalse(Message::query()->firstOrFail()->isFromStudent());
        $this->asTeacher()->get("/desk/{$shared->id}")->assertForbidden();
        $this->asNobody()->signIn()->assertSessionHasErrors('email');
        $this->get('/back/'.$teacher->id.'/')->assertNotFound();
    }

    public function test_what_was_made_without_an_account_is_deleted_by_saying_so(): void
    {
        app(MakePlan::class)->empty($this->teacher(), 'Levers');
        $this->asTeacher()->get('/account')->assertOk()->assertSee('Yes, everything that was made on this device');
        $this->delete('/account')->assertSessionHasErrors('sure');
        self::assertSame(1, Plan::query()->count());
        $this->delete('/account', ['sure' => '1'])->assertRedirect('/');
        self::assertSame([0, 0], [Plan::query()->count(), Teacher::query()->count()]);
        // Whoever is nobody has nothing to change.
        $this->asNobody()->get('/account')->assertOk()->assertDontSee('Delete everything');
        $this->post('/account/address', ['new_email' => 'a@sillbeck.test', 'address_password' => 'x'])
            ->assertConflict();
        $this->post('/account/devices')->assertConflict();
    }

    public function test_wrong_passwords_are_refused_and_counted(): void
    {
        $this->make();
        $this->asNobody();
        for ($try = 0; $try < 6; $try++) {
            $this->signIn('not the secret')->assertSessionHasErrors('email');
        }
        $this->signIn()->assertSessionHasErrors(['email' => 'Too many tries. Wait a minute, then try again.']);
        $this->travel(2)->minutes();
        $this->signIn()->assertSessionHasNoErrors();
    }

    public function test_an_account_needs_an_address_of_its_own_and_a_password(): void
    {
        $this->make();
        $this->asTeacher('another');
        $this->post('/account', [
            'name' => 'X',
            'email' => 'LIND@sillbeck.test',
            'password' => self::SECRET,
        ])->assertSessionHasErrors('email');
        $this->post('/account', [
            'name' => 'X',
            'email' => 'no address',
            'password' => self::SECRET,
        ])->assertSessionHasErrors('email');
        $this->post('/account', [
            'name' => 'X',
            'email' => 'x@sillbeck.test',
            'password' => 'short',
        ])->assertSessionHasErrors('password');
        self::assertFalse($this->teacher('another')->refresh()->hasAccount());
    }

    public function test_signing_out_forgets_this_device_alone(): void
    {
        $this->make();
        $this->asTeacher()->post('/account/sign-out')->assertRedirect('/');
        $this->onDevice('the-teacher')->get('/plans')->assertSee('No plans yet');
        self::assertSame(1, Teacher::query()->count());
        // Without an account the plans would be lost.
        $this->asTeacher('another')->post('/account/sign-out')->assertStatus(409);
    }

    public function test_the_private_return_link_opens_the_plans_on_another_device(): void
    {
        app(MakePlan::class)->empty($this->teacher(), 'Levers');
        $link = "/back/{$this->teacher()->id}/{$this->teacher()->return_key}";
        $this->asTeacher()->get($link)->assertRedirect('/plans');
        $this->asNobody()
            ->get($link)
            ->assertOk()
            ->assertSee('Only carry on if this is your own link')
            ->assertCookieMissing('crag_teacher');
        $device = $this->post($link)->assertRedirect('/plans')->getCookie('crag_teacher')?->getValue();
        $this->withCookie('crag_teacher', (string) $device)->get('/plans')->assertSee('Levers');
    }

    public function test_a_link_from_a_stranger_carries_nothing_away_unasked(): void
    {
        $stranger = $this->teacher('a-stranger');
        app(MakePlan::class)->empty($this->teacher(), 'Levers');
        $link = "/back/{$stranger->id}/{$stranger->return_key}";
        $this->asTeacher()->get($link)->assertOk()->assertSee('Only carry on if this is your own link');
        $this->get('/plans')->assertSee('Levers');
        self::assertSame(0, $stranger->plans()->count());
        $this->post("/back/{$stranger->id}/wrong")->assertNotFound();
        $this->post($link)->assertRedirect('/plans');
        self::assertSame(['Levers'], $stranger->plans()->pluck('title')->all());
    }

    public function test_whoever_has_an_account_is_asked_too(): void
    {
        $this->make();
        $stranger = $this->teacher('a-stranger');
        $link = "/back/{$stranger->id}/{$stranger->return_key}";
        $this->asTeacher()
            ->get($link)
            ->assertOk()
            ->assertSee('You’re signed in here as Ms Okafor-Lind')
            ->assertCookieMissing('crag_teacher');
        // A session's return link has nobody take part in a stranger's session unasked.
        $session = $this->newSession();
        $this->asTeacher('a-stranger')
            ->get("/return/{$session->id}/{$session->return_key}")
            ->assertRedirect("/beside/{$session->id}/{$session->return_key}");
        self::assertNull($stranger->roleIn($session));
    }

    public function test_a_mail_never_takes_its_address_from_the_request(): void
    {
        $this->make();
        config(['mail.default' => 'array', 'app.url' => 'http://crag.test:8000']);
        foreach (
            [
                ['http://evil.example', []],
                ['http://localhost', ['HTTP_X_FORWARDED_HOST' => 'evil.example', 'REMOTE_ADDR' => '127.0.0.1']],
            ] as [$called, $server]
        ) {
            $this->asNobody()
                ->withServerVariables($server)
                ->post("{$called}/account/forgot", ['email' => 'lind@sillbeck.test'])
                ->assertSessionHas('said');
            $this->travel(2)->minutes();
        }
        $mailer = Mail::mailer('array');
        self::assertInstanceOf(Mailer::class, $mailer);
        $transport = $mailer->getSymfonyTransport();
        self::assertInstanceOf(ArrayTransport::class, $transport);
        self::assertCount(2, $transport->messages());
        foreach ($transport->messages() as $message) {
            self::assertStringContainsString(
                'http://crag.test:8000/account/reset/',
                quoted_printable_decode($message->toString()),
            );
            self::assertStringNotContainsString('evil', $message->toString());
        }
    }

    public function test_with_a_public_address_other_names_are_refused(): void
    {
        config(['crag.url' => 'https://crag.sillbeck.test']);
        foreach (['evil.example', 'crag.sillbeck.test:81', 'localhost', 'crag.sillbeck.test.evil.example'] as $host) {
            $this->get("http://{$host}/")
                ->assertStatus(421)
                ->assertSee('https://crag.sillbeck.test');
            $this->post("http://{$host}/join", ['code' => 'x'])->assertStatus(421);
        }
        $this->get('https://Crag.Sillbeck.test/')->assertOk();
        $this->get('http://127.0.0.1:8000/up')->assertOk();
    }

    public function test_what_a_request_says_of_its_way_is_not_believed(): void
    {
        $seen = [];
        Route::middleware('web')->get('/who', static function (Request $request) use (&$seen): string {
            $seen[] = [$request->ip(), $request->getHost(), $request->isSecure()];

            return '';
        });
        $this->withServerVariables(['REMOTE_ADDR' => '127.0.0.1'])->get('/who', [
            'X-Forwarded-For' => '10.9.8.7',
            'X-Forwarded-Host' => 'evil.example',
            'X-Forwarded-Proto' => 'https',
            'Forwarded' => 'for=10.9.8.7;host=evil.example',
        ]);
        self::assertSame([['127.0.0.1', 'localhost', false]], $seen);
    }

    public function test_tries_on_one_account_are_limited_wherever_they_come_from(): void
    {
        $this->make();
        for ($i = 0; $i < 30; $i++) {
            $this->asNobody()
                ->withCookie('crag_visitor', "guesser {$i}")
                ->withServerVariables(['REMOTE_ADDR' => "10.0.0.{$i}"]);
            $this->signIn('wrong')->assertSessionHasErrors([
                'email' => 'That e-mail address and password don’t match.',
            ]);
        }
        $this->asNobody()
            ->withCookie('crag_visitor', 'the next')
            ->withServerVariables(['REMOTE_ADDR' => '10.0.1.1']);
        $this->signIn()->assertSessionHasErrors(['email' => 'Too many tries. Wait a minute, then try again.']);
        $this->travel(61)->seconds();
        $this->signIn()->assertSessionHasNoErrors();
    }

    public function test_where_an_account_is_needed_nobody_teaches_without_one(): void
    {
        config(['crag.teachers' => 'account']);
        $this->asNobody()
            ->get('/')
            ->assertOk()
            ->assertSee('Teachers sign in here first')
            ->assertDontSee('Start a session');
        $this->post('/start', ['name' => 'X', 'title' => 'Y'])->assertRedirect('/account');
        $this->get('/plans')->assertRedirect('/account');
        $this->postJson('/classes', ['name' => 'x'])->assertForbidden();
        self::assertSame([0, 0], [LiveSession::query()->count(), Teacher::query()->count()]);
        $this->get('/account')->assertOk()->assertSee('Make the account');
        $this->make()->assertRedirect('/plans');
        $this->asTeacher()
            ->post('/start', ['name' => 'Ms Okafor-Lind', 'title' => 'Levers'])
            ->assertRedirectContains('/desk/');
        // A student needs none.
        $this->asNobody()
            ->post('/join', ['code' => LiveSession::query()->firstOrFail()->join_code, 'name' => 'Tamsin'])
            ->assertRedirectContains('/seat/');
    }

    public function test_where_an_invitation_is_needed_it_works_once_and_for_its_days(): void
    {
        config(['crag.teachers' => 'invitation', 'app.url' => 'http://crag.test']);
        $this->make()->assertForbidden();
        $this->asTeacher()->get('/account')->assertSee('need an invitation')->assertDontSee('Make the account');
        Artisan::call('crag:invite', ['--days' => 2]);
        $link = trim(Artisan::output());
        self::assertStringStartsWith('http://crag.test/invitation/', $link);
        $path = substr($link, strlen('http://crag.test'));
        $this->asTeacher()->get($path)->assertRedirect('/account');
        $this->get('/account')->assertSee('Make the account');
        $this->make()->assertRedirect('/plans');
        $this->asNobody()->get($path)->assertNotFound();
        Artisan::call('crag:invite', ['--days' => 2]);
        $late = substr(trim(Artisan::output()), strlen('http://crag.test'));
        $this->travel(3)->days();
        $this->get($late)->assertNotFound();
        $this->get('/invitation/guessed')->assertNotFound();
    }

    #[TestWith([null])]
    #[TestWith(['smtp-or-log'])]
    public function test_without_a_mail_server_or_with_one_that_does_not_answer_the_mail_stands_in_a_file(
        ?string $mailer,
    ): void {
        $this->make();
        $settings = require base_path('config/mail.php');
        self::assertSame(['transport' => 'log', 'channel' => 'mails'], $settings['mailers'][$settings['default']]);
        $file = sys_get_temp_dir().'/crag-mails-'.getmypid().'.log';
        config([
            'mail.default' => $mailer ?? $settings['default'],
            'mail.mailers.smtp.port' => 1,
            'logging.channels.mails.path' => $file,
        ]);
        $this->asNobody()
            ->post('/account/forgot', ['email' => 'lind@sillbeck.test'])
            ->assertSessionHas('said');
        self::assertSame(0600, fileperms($file) & 0777);
        preg_match('#/account/reset/(\w+)\?#', quoted_printable_decode((string) file_get_contents($file)), $found);
        unlink($file);
        $this->post('/account/reset', [
            'token' => $found[1] ?? '',
            'email' => 'lind@sillbeck.test',
            'password' => 'quite another secret',
        ])->assertRedirect('/account');
        $this->signIn('quite another secret')->assertSessionHasNoErrors();
    }

    public function test_a_forgotten_password_is_replaced_by_a_link_in_a_mail(): void
    {
        $this->make();
        config(['mail.default' => 'array']);
        $this->asNobody()
            ->post('/account/forgot', ['email' => 'lind@sillbeck.test'])
            ->assertSessionHas('said');
        $answer = session('said');
        $this->post('/account/forgot', ['email' => 'nobody@sillbeck.test'])->assertSessionHas('said', $answer);
        $mailer = Mail::mailer('array');
        self::assertInstanceOf(Mailer::class, $mailer);
        $transport = $mailer->getSymfonyTransport();
        self::assertInstanceOf(ArrayTransport::class, $transport);
        self::assertCount(1, $transport->messages());
        $sent = quoted_printable_decode($transport->messages()->firstOrFail()->toString());
        preg_match('#/account/reset/(\w+)\?#', $sent, $found);
        $token = $found[1] ?? '';
        $this->get("/account/reset/{$token}?email=lind@sillbeck.test")
            ->assertOk()
            ->assertSee('lind@sillbeck.test');
        $new = ['email' => 'lind@sillbeck.test', 'password' => 'quite another secret'];
        $this->post('/account/reset', ['token' => 'wrong'] + $new)->assertSessionHasErrors('email');
        $this->post('/account/reset', ['token' => $token] + $new)->assertRedirect('/account');
        $this->post('/account/reset', ['token' => $token] + $new)->assertSessionHasErrors('email');
        $this->signIn()->assertSessionHasErrors('email');
        $this->signIn('quite another secret')->assertSessionHasNoErrors();
        // Devices that knew the old password are signed out.
        $this->onDevice('the-teacher')->get('/plans')->assertSee('No plans yet');
    }

    /** @return TestResponse<\Symfony\Component\HttpFoundation\Response> */
    private function make(): TestResponse
    {
        return $this->asTeacher()->post('/account', [
            'name' => 'Ms Okafor-Lind',
            'email' => 'Lind@Sillbeck.test',
            'password' => self::SECRET,
        ]);
    }

    /** @return TestResponse<\Symfony\Component\HttpFoundation\Response> */
    private function signIn(string $password = self::SECRET): TestResponse
    {
        return $this->post('/account/sign-in', ['email' => 'lind@sillbeck.test', 'password' => $password]);
    }

    /** The device that has a cookie, whether it is anybody's or not. */
    private function onDevice(string $token): static
    {
        return $this->asNobody()->withCookie('crag_teacher', $token);
    }
}
