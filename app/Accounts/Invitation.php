<?php

declare(strict_types=1);

namespace App\Accounts;

use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** A link with which one person may make an account here, once. */
final class Invitation
{
    private const KEY = 'invitation';

    /** @return string the token that stands in the link; only its hash is kept */
    public static function make(int $days): string
    {
        DB::table('invitations')->where('expires_at', '<', now())->delete();
        $token = Str::random(40);
        DB::table('invitations')->insert([
            'token_hash' => hash('sha256', $token),
            'expires_at' => now()->addDays($days),
        ]);

        return $token;
    }

    public static function holds(string $token): bool
    {
        return DB::table('invitations')
            ->where('token_hash', hash('sha256', $token))
            ->where('expires_at', '>=', now())
            ->exists();
    }

    /** This browser may make an account with it. */
    public static function accept(Request $request, string $token): void
    {
        $request->session()->put(self::KEY, $token);
    }

    public static function isAccepted(Request $request): bool
    {
        $token = $request->session()->get(self::KEY);

        return is_string($token) && self::holds($token);
    }

    /** It was used, and is nobody's any more. */
    public static function use(Request $request): void
    {
        $token = $request->session()->pull(self::KEY);
        if (is_string($token)) {
            DB::table('invitations')->where('token_hash', hash('sha256', $token))->delete();
        }
    }
}
