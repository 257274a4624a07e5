<?php

declare(strict_types=1);

namespace App\Accounts;

use App\Models\Teachers\School;
use Illuminate\Database\Query\Builder;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** A link with which one person may make an account here, once. */
final class Invitation
{
    private const KEY = 'invitation';

    /**
     * @param  ?School  $school  to which whoever uses it belongs
     * @return string the token that stands in the link; only its hash is kept
     */
    public static function make(int $days, ?School $school = null, AccountRole $role = AccountRole::Teacher): string
    {
        DB::table('invitations')->where('expires_at', '<', now())->delete();
        $token = Str::random(40);
        DB::table('invitations')->insert([
            'token_hash' => hash('sha256', $token),
            'expires_at' => now()->addDays($days),
            'school_id' => $school?->id,
            'role' => $role->value,
        ]);

        return $token;
    }

    public static function holds(string $token): bool
    {
        return self::find($token)->exists();
    }

    private static function find(string $token): Builder
    {
        return DB::table('invitations')
            ->where('token_hash', hash('sha256', $token))
            ->where('expires_at', '>=', now());
    }

    /** This browser may make an account with it. */
    public static function accept(Request $request, string $token): void
    {
        $request->session()->put(self::KEY, $token);
    }

    public static function isAccepted(Request $request): bool
    {
        return self::accepted($request) !== null;
    }

    /** @return ?array{?School, AccountRole} the school that it is for, and as whom; null without one */
    public static function accepted(Request $request): ?array
    {
        $token = $request->session()->get(self::KEY);
        $found = is_string($token) ? self::find($token)->first(['school_id', 'role']) : null;

        $school = $found?->school_id === null ? null : School::query()->find($found->school_id);

        // One to a school that is gone is none: it must not become one to all of them.
        return $found === null || ($found->school_id !== null && $school === null)
            ? null
            : [$school, AccountRole::from($found->role)];
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
