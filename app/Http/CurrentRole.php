<?php

declare(strict_types=1);

namespace App\Http;

use App\Models\LiveSession;
use App\Models\Prompt;
use App\Sessions\Room\CurrentSituation;
use Crag\Session\Rules\Deed;
use Crag\Session\Rules\RefusedDeed;
use Crag\Session\Rules\Role;
use Crag\Session\Rules\Rules;
use Illuminate\Http\Request;

/** As whom a request comes: found by the middleware that let it through. */
final class CurrentRole
{
    public static function set(Request $request, Role $role): void
    {
        $request->attributes->set('role', $role);
    }

    public static function of(Request $request): Role
    {
        $role = $request->attributes->get('role');

        return $role instanceof Role ? $role : abort(403);
    }

    /**
     * For what a route cannot know before it has read the request.
     *
     * @throws RefusedDeed
     */
    public static function check(Request $request, LiveSession $session, Deed $deed, ?Prompt $prompt = null): void
    {
        Rules::check($deed, self::of($request), CurrentSituation::of($session, null, $prompt));
    }
}
