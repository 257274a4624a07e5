<?php

declare(strict_types=1);

namespace App\Accounts;

use Firebase\JWT\JWK;
use Firebase\JWT\JWT;
use GuzzleHttp\Client;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\Log;
use Illuminate\Support\Str;
use League\OAuth2\Client\Provider\GenericProvider;
use Throwable;

/**
 * Signing in with a school's account, by OpenID Connect Core 1.0: the code flow with a secret, PKCE (RFC 7636), state
 * and nonce. Of the answer only who it is is taken; no token is kept.
 */
final class SchoolAccount
{
    private const SCOPES = ['openid', 'profile', 'email'];

    /** What a browser was sent away with, until it comes back. */
    private const ON_THE_WAY = 'school_account';

    private const KEPT_S = 3_600;

    private const PATIENCE_S = 6;

    /** A provider's clock may be off by so much. */
    private const LEEWAY_S = 60;

    public function __construct(private readonly Client $client)
    {
    }

    /** What asks the provider: briefly, and only where it was told to. */
    public static function client(): Client
    {
        return new Client([
            'timeout' => self::PATIENCE_S,
            'connect_timeout' => self::PATIENCE_S,
            'allow_redirects' => false,
        ]);
    }

    public static function isThere(): bool
    {
        return config()->string('crag.oidc_issuer') !== '';
    }

    /** What the button says. */
    public static function name(): string
    {
        return config()->string('crag.oidc_name') ?: __('your school account');
    }

    /**
     * Where the browser goes to sign in, for a session.
     *
     * @throws NotSignedIn
     */
    public function begin(Request $request, string $code): string
    {
        return self::told(function () use ($request, $code): string {
            $provider = $this->provider();
            $nonce = Str::random(32);
            $address = $provider->getAuthorizationUrl([
                'nonce' => $nonce,
                'scope' => self::SCOPES,
                // A device of the school's may remember who signed in before.
                'prompt' => 'select_account',
            ]);
            $request->session()->put(self::ON_THE_WAY, [
                'state' => $provider->getState(),
                'nonce' => $nonce,
                'verifier' => $provider->getPkceCode(),
                'code' => $code,
            ]);

            return $address;
        });
    }

    /**
     * The browser comes back.
     *
     * @return array{string, SchoolIdentity|NotSignedIn} the session's join code, and who it is, or why nobody
     */
    public function end(Request $request): array
    {
        // What was begun here is ended here, once.
        $sent = $request->session()->pull(self::ON_THE_WAY);
        $sent = is_array($sent) ? array_filter($sent, is_string(...)) : [];
        $code = $sent['code'] ?? '';
        try {
            $state = $sent['state'] ?? '';
            if ($state === '' || ! hash_equals($state, $request->string('state')->toString())) {
                throw new NotSignedIn(__('Signing in took too long. Try again.'));
            }
            if ($request->filled('error')) {
                throw new NotSignedIn(__('You weren’t signed in. Try again, or type your name.'));
            }

            return [$code, self::told(fn (): SchoolIdentity => $this->identity($request, $sent))];
        } catch (NotSignedIn $problem) {
            return [$code, $problem];
        }
    }

    /** @param  array<array-key, string>  $sent */
    private function identity(Request $request, array $sent): SchoolIdentity
    {
        $provider = $this->provider();
        $provider->setPkceCode($sent['verifier'] ?? '');
        $token = $provider->getAccessToken('authorization_code', ['code' => $request->string('code')->toString()]);
        $idToken = $token->getValues()['id_token'] ?? null;
        $claims = (array) $this->decoded(is_string($idToken) ? $idToken : '');
        $of = static fn (string $claim): string => is_string($claims[$claim] ?? null) ? trim($claims[$claim]) : '';
        $audience = (array) ($claims['aud'] ?? []);
        $issuer = $this->discovered()['issuer'];
        if (
            $of('iss') !== $issuer ||
            ! in_array(config()->string('crag.oidc_client'), $audience, true) ||
            $of('sub') === '' ||
            ! isset($claims['exp']) ||
            ! hash_equals($sent['nonce'] ?? '', $of('nonce'))
        ) {
            throw new NotSignedIn(__('The sign-in page’s answer wasn’t meant for here. Try again.'));
        }
        $name = $of('name') ?: trim($of('given_name').' '.$of('family_name')) ?: $of('preferred_username');

        return new SchoolIdentity($issuer, $of('sub'), $name, $of(config()->string('crag.oidc_claim')));
    }

    private function decoded(string $idToken): object
    {
        JWT::$leeway = self::LEEWAY_S;
        try {
            return JWT::decode($idToken, JWK::parseKeySet($this->keys(false), 'RS256'));
        } catch (Throwable) {
            // Its keys may be new ones.
            return JWT::decode($idToken, JWK::parseKeySet($this->keys(true), 'RS256'));
        }
    }

    private function provider(): GenericProvider
    {
        $told = $this->discovered();

        return new GenericProvider(
            [
                'clientId' => config()->string('crag.oidc_client'),
                'clientSecret' => config()->string('crag.oidc_secret'),
                'redirectUri' => route('join.account.back'),
                'urlAuthorize' => $told['authorization_endpoint'],
                'urlAccessToken' => $told['token_endpoint'],
                'urlResourceOwnerDetails' => $told['userinfo_endpoint'] ?? '',
                'pkceMethod' => GenericProvider::PKCE_METHOD_S256,
                'scopeSeparator' => ' ',
            ],
            ['httpClient' => $this->client],
        );
    }

    /** @return array<string, string> where the provider does what */
    private function discovered(): array
    {
        $issuer = self::issuer();

        /** @var array<string, string> */
        return Cache::remember("school-account {$issuer}", self::KEPT_S, function () use ($issuer): array {
            $told = array_filter($this->json("{$issuer}/.well-known/openid-configuration"), is_string(...));
            foreach (['issuer', 'authorization_endpoint', 'token_endpoint', 'jwks_uri'] as $needed) {
                isset($told[$needed]) ?: throw new NotSignedIn("The provider does not say its {$needed}.");
            }

            return $told;
        });
    }

    /** @return array<array-key, mixed> the keys that it signs with */
    private function keys(bool $anew): array
    {
        $uri = $this->discovered()['jwks_uri'];
        $key = "school-account keys {$uri}";
        if ($anew) {
            Cache::forget($key);
        }

        return Cache::remember($key, self::KEPT_S, fn (): array => $this->json($uri));
    }

    /** The simulated provider is reached as this installation is. */
    private static function issuer(): string
    {
        $issuer = config()->string('crag.oidc_issuer');

        return str_starts_with($issuer, '/') ? url($issuer) : $issuer;
    }

    /** @return array<array-key, mixed> */
    private function json(string $address): array
    {
        $told = json_decode((string) $this->client->get($address)->getBody(), true);

        return is_array($told) ? $told : throw new NotSignedIn("What {$address} says is not JSON.");
    }

    /**
     * What goes wrong on the way is the administrator's to read, in words of its own; who signs in is told what to do.
     *
     * @template T
     *
     * @param  callable(): T  $do
     * @return T
     *
     * @throws NotSignedIn
     */
    private static function told(callable $do): mixed
    {
        try {
            return $do();
        } catch (Throwable $problem) {
            Log::warning('Signing in with a school account failed: '.$problem->getMessage());
            throw new NotSignedIn(__('Signing in doesn’t work right now. Type your name instead.'), previous: $problem);
        }
    }
}
