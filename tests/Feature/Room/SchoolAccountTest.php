<?php

declare(strict_types=1);

namespace Tests\Feature\Room;

use App\Http\Controllers\SimulatedProviderController;
use App\Models\Seat;
use App\Models\Teachers\Roster;
use Crag\Session\Door\Door;
use Firebase\JWT\JWT;
use GuzzleHttp\Client;
use GuzzleHttp\HandlerStack;
use GuzzleHttp\Promise\Create;
use GuzzleHttp\Promise\PromiseInterface;
use GuzzleHttp\Psr7\Response as Answer;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Cache;
use Illuminate\Testing\TestResponse;
use Psr\Http\Message\RequestInterface;
use Symfony\Component\HttpFoundation\Response;
use Tests\Support\OneStudentTestCase;

/** Students sign in with a school's accounts, at a provider that stands in for the school's. */
final class SchoolAccountTest extends OneStudentTestCase
{
    private Roster $roster;

    protected function setUp(): void
    {
        parent::setUp();
        config(['crag.oidc_issuer' => SimulatedProviderController::AT, 'crag.oidc_secret' => 'north']);
        $this->roster = $this->teacher()->rosters()->create(['name' => '9B Beams']);
        $this->roster->entries()->create([
            'n' => 4,
            'name' => 'Wren Ashgrove',
            'account' => 'wren@sillbeck.example',
            'pin' => '4711',
        ]);
        $this->session->update(['roster_id' => $this->roster->id, 'door' => Door::ClassList]);
        // The server asks the provider, which is this application.
        $this->app?->instance(Client::class, new Client(['handler' => HandlerStack::create($this->provider(...))]));
    }

    public function test_who_is_on_the_list_comes_in_without_a_pin_and_on_the_next_device_as_well(): void
    {
        $this->asNobody()->get("/join/{$this->session->join_code}")
            ->assertOk()->assertSee('Sign in with your school account');
        $this->signIn('Wren@Sillbeck.example')->assertRedirect();
        $seat = $this->seatOf('Wren Ashgrove');
        self::assertSame('seated', $seat->state->value);
        self::assertSame(4, $seat->n);
        self::assertNotNull($seat->account_hash);
        self::assertStringNotContainsString('sillbeck', $seat->account_hash);
        $before = $seat->token_hash;
        $this->asNobody();
        $this->signIn('wren@sillbeck.example')->assertRedirect(route('seat', $seat));
        self::assertSame(1, Seat::query()->where('name', 'like', 'Wren%')->count());
        self::assertNotSame($before, $seat->refresh()->token_hash);
    }

    public function test_who_is_not_on_the_list_knocks_and_is_marked(): void
    {
        $this->asNobody();
        $this->signIn('robin@sillbeck.example', 'Robin Hale')->assertRedirect();
        $seat = $this->seatOf('Robin Hale');
        self::assertSame('knocking', $seat->state->value);
        self::assertNull($seat->roster_entry_id);
        $this->session->update(['door' => Door::Open]);
        $this->asNobody();
        $this->signIn('alex@sillbeck.example', 'Alex Hale')->assertRedirect();
        self::assertSame('seated', $this->seatOf('Alex Hale')->state->value);
        // Somebody else's name is asked about, whoever signs in under it.
        $this->asNobody();
        $this->signIn('other@sillbeck.example', 'Tamsin')->assertRedirect();
        self::assertSame('knocking', Seat::query()->whereNotNull('claims_id')->firstOrFail()->state->value);
    }

    public function test_who_was_kept_out_stays_out(): void
    {
        $this->asNobody();
        $this->signIn('wren@sillbeck.example');
        $seat = $this->seatOf('Wren Ashgrove');
        $this->asTeacher()->postJson("/desk/{$this->session->id}/send-out", ['seat' => $seat->id, 'keep' => true])
            ->assertOk();
        $this->asNobody();
        $this->signIn('wren@sillbeck.example')->assertSessionHasErrors('account');
        self::assertSame('kept_out', $seat->refresh()->state->value);
    }

    public function test_an_answer_that_was_not_asked_for_is_none(): void
    {
        $this->asNobody();
        $sent = $this->begin();
        $join = route('join', $this->session->join_code);
        // Without or with another state, a second time, after a refusal there.
        $this->get('/account-back?code=abc&state=other')->assertRedirect($join)->assertSessionHasErrors('account');
        $this->get("/account-back?code=abc&state={$sent['state']}")->assertRedirect(route('join'));
        $sent = $this->begin();
        $this->get("/account-back?error=access_denied&state={$sent['state']}")->assertRedirect($join);
        self::assertSame(1, Seat::query()->count());
    }

    public function test_a_token_that_is_not_the_providers_for_us_and_now_is_refused(): void
    {
        $key = openssl_pkey_new(['private_key_bits' => 2048]) ?: self::fail();
        openssl_pkey_export($key, $strange);
        $this->getJson(SimulatedProviderController::AT.'/keys')->assertOk();
        $ours = Cache::get('simulated-accounts');
        self::assertIsString($ours);
        $good = [
            'iss' => url(SimulatedProviderController::AT), 'aud' => 'crag', 'sub' => 'x', 'email' => 'wren@sillbeck.example',
            'name' => 'Wren', 'iat' => time(), 'exp' => time() + 60,
        ];
        foreach ([
            'signed by somebody else' => [$good, $strange],
            'of another provider' => [['iss' => 'https://elsewhere.example'] + $good, $ours],
            'for somebody else' => [['aud' => 'library'] + $good, $ours],
            'over' => [['exp' => time() - 600] + $good, $ours],
            'without an end' => [array_diff_key($good, ['exp' => 0]), $ours],
            'of nobody' => [['sub' => ''] + $good, $ours],
            'for another sign-in' => [['nonce' => 'old'] + $good, $ours],
        ] as $what => [$claims, $with]) {
            $this->asNobody();
            $sent = $this->begin();
            $claims += ['nonce' => $sent['nonce']];
            $this->answers = ['id_token' => JWT::encode($claims, $with, 'RS256', 'simulated-accounts')];
            $this->get("/account-back?code=abc&state={$sent['state']}")->assertSessionHasErrors('account');
            self::assertSame(1, Seat::query()->count(), $what);
        }
        $this->asNobody();
        $sent = $this->begin();
        $claims = $good + ['nonce' => $sent['nonce']];
        $this->answers = ['id_token' => JWT::encode($claims, $ours, 'RS256', 'simulated-accounts')];
        $this->get("/account-back?code=abc&state={$sent['state']}")->assertSessionHasNoErrors();
        self::assertSame(2, Seat::query()->count());
    }

    public function test_a_provider_that_does_not_answer_leaves_the_other_way_in(): void
    {
        $this->isAway = true;
        $this->asNobody()->get("/join/{$this->session->join_code}/account")
            ->assertRedirect(route('join', $this->session->join_code))
            ->assertSessionHasErrors(['account' => 'Signing in doesn’t work right now. Type your name instead.']);
    }

    public function test_it_is_not_there_where_no_provider_is_set(): void
    {
        config(['crag.oidc_issuer' => '']);
        $this->asNobody()->get("/join/{$this->session->join_code}")->assertOk()->assertDontSee('Sign in with');
        $this->get("/join/{$this->session->join_code}/account")->assertNotFound();
        $this->get('/account-back')->assertNotFound();
        config(['crag.oidc_issuer' => 'https://accounts.sillbeck.example']);
        foreach (['/.well-known/openid-configuration', '/keys', '/sign-in'] as $one) {
            $this->get(SimulatedProviderController::AT.$one)->assertNotFound();
        }
        $this->post(SimulatedProviderController::AT.'/token')->assertNotFound();
    }

    private bool $isAway = false;

    /** @var array<string, string>|null what the provider's token endpoint says instead */
    private ?array $answers = null;

    private function provider(RequestInterface $asked): PromiseInterface
    {
        $at = $asked->getUri()->getPath();
        if ($this->isAway) {
            return Create::promiseFor(new Answer(503));
        }
        if (str_ends_with($at, '/token') && $this->answers !== null) {
            $told = $this->answers + ['access_token' => 'x', 'token_type' => 'Bearer'];

            return Create::promiseFor(new Answer(200, [], json_encode($told, JSON_THROW_ON_ERROR)));
        }
        parse_str((string) $asked->getBody(), $form);
        $provider = app(SimulatedProviderController::class);
        $answer = match (basename($at)) {
            'keys' => $provider->keys(),
            'token' => $provider->token(Request::create((string) $asked->getUri(), $asked->getMethod(), $form)),
            default => $provider->configuration(),
        };

        return Create::promiseFor(new Answer($answer->getStatusCode(), [], (string) $answer->getContent()));
    }

    /** @return array<string, string> what the browser is sent to the provider with */
    private function begin(): array
    {
        $to = $this->get("/join/{$this->session->join_code}/account")->assertRedirect()->headers->get('Location');
        parse_str((string) parse_url((string) $to, PHP_URL_QUERY), $sent);

        /** @var array<string, string> */
        return $sent;
    }

    /** @return TestResponse<Response> */
    private function signIn(string $account, string $name = ''): TestResponse
    {
        $sent = $this->begin();
        $back = $this->post(SimulatedProviderController::AT.'/sign-in', $sent + ['account' => $account, 'name' => $name])
            ->headers->get('Location');

        return $this->get((string) $back);
    }

    private function seatOf(string $name): Seat
    {
        return Seat::query()->where('name', $name)->firstOrFail();
    }
}
