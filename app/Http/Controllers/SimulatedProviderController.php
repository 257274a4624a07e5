<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Teachers\RosterEntry;
use Firebase\JWT\JWT;
use Illuminate\Contracts\View\View;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Str;

/**
 * A stand-in for a school's sign-in page, for the demo and for tests: an OpenID Connect provider with which anybody
 * signs in as any student of a class list. It is there only where the installation names it as its provider.
 */
final class SimulatedProviderController
{
    public const AT = '/simulated-accounts';

    private const CODE_S = 60;

    private const TOKEN_S = 300;

    private const KEY = 'simulated-accounts';

    public function __construct()
    {
        abort_unless(config('crag.oidc_issuer') === self::AT, 404);
    }

    public function configuration(): JsonResponse
    {
        $at = url(self::AT);

        return response()->json([
            'issuer' => $at,
            'authorization_endpoint' => "{$at}/sign-in",
            'token_endpoint' => "{$at}/token",
            'jwks_uri' => "{$at}/keys",
            'response_types_supported' => ['code'],
            'subject_types_supported' => ['public'],
            'id_token_signing_alg_values_supported' => ['RS256'],
            'code_challenge_methods_supported' => ['S256'],
        ]);
    }

    public function keys(): JsonResponse
    {
        $details = openssl_pkey_get_details(openssl_pkey_get_private(self::privateKey()) ?: abort(500));
        $rsa = is_array($details) && is_array($details['rsa']) ? $details['rsa'] : abort(500);
        $url = static fn (string $bytes): string => rtrim(strtr(base64_encode($bytes), '+/', '-_'), '=');

        return response()->json(['keys' => [[
            'kty' => 'RSA',
            'use' => 'sig',
            'alg' => 'RS256',
            'kid' => self::KEY,
            'n' => $url((string) $rsa['n']),
            'e' => $url((string) $rsa['e']),
        ]]]);
    }

    public function show(Request $request): View
    {
        return view('account.simulated', [
            'asked' => $this->asked($request),
            'people' => RosterEntry::query()->where('account', '!=', '')->orderBy('n')->get()->unique('account'),
        ]);
    }

    /** Somebody has chosen who they are. */
    public function signIn(Request $request): RedirectResponse
    {
        $asked = $this->asked($request);
        $request->validate(['account' => ['required', 'email', 'max:120'], 'name' => ['nullable', 'string', 'max:60']]);
        $code = Str::random(40);
        Cache::put(self::KEY." {$code}", $asked + [
            'account' => mb_strtolower($request->string('account')->toString()),
            'name' => $request->string('name')->trim()->toString(),
        ], self::CODE_S);

        $answer = http_build_query(['code' => $code, 'state' => $asked['state']]);

        return redirect()->away("{$asked['redirect_uri']}?{$answer}");
    }

    /** A code for a token: once, by who knows the secret, and had the code asked for. */
    public function token(Request $request): JsonResponse
    {
        $sent = Cache::pull(self::KEY.' '.$request->string('code')->toString());
        $verifier = $request->string('code_verifier')->toString();
        $challenge = rtrim(strtr(base64_encode(hash('sha256', $verifier, true)), '+/', '-_'), '=');
        if (
            ! is_array($sent) ||
            $request->input('redirect_uri') !== $sent['redirect_uri'] ||
            $request->input('client_secret') !== config()->string('crag.oidc_secret') ||
            ! hash_equals($sent['code_challenge'], $challenge)
        ) {
            return response()->json(['error' => 'invalid_grant'], 400);
        }
        $now = time();
        $account = $sent['account'];

        return response()->json([
            'access_token' => Str::random(40),
            'token_type' => 'Bearer',
            'expires_in' => self::TOKEN_S,
            'id_token' => JWT::encode([
                'iss' => url(self::AT),
                'aud' => config()->string('crag.oidc_client'),
                'sub' => hash('sha256', $account),
                'nonce' => $sent['nonce'],
                'iat' => $now,
                'exp' => $now + self::TOKEN_S,
                'email' => $account,
                'name' => $sent['name'] ?:
                    RosterEntry::query()->where('account', $account)->value('name') ??
                    Str::headline(explode('@', $account)[0]),
            ], self::privateKey(), 'RS256', self::KEY),
        ]);
    }

    /** @return array{redirect_uri: string, state: string, nonce: string, code_challenge: string} */
    private function asked(Request $request): array
    {
        $request->validate([
            'client_id' => ['required', 'in:'.config()->string('crag.oidc_client')],
            'redirect_uri' => ['required', 'in:'.route('join.account.back')],
            'response_type' => ['required', 'in:code'],
            'code_challenge_method' => ['required', 'in:S256'],
            'code_challenge' => ['required', 'string'],
            'state' => ['required', 'string'],
            'nonce' => ['required', 'string'],
        ]);

        return [
            'redirect_uri' => $request->string('redirect_uri')->toString(),
            'state' => $request->string('state')->toString(),
            'nonce' => $request->string('nonce')->toString(),
            'code_challenge' => $request->string('code_challenge')->toString(),
        ];
    }

    private static function privateKey(): string
    {
        return Cache::rememberForever(self::KEY, static function (): string {
            $kind = ['private_key_bits' => 2048, 'private_key_type' => OPENSSL_KEYTYPE_RSA];
            $key = openssl_pkey_new($kind) ?: abort(500);
            openssl_pkey_export($key, $pem);

            return is_string($pem) ? $pem : abort(500);
        });
    }
}
