<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Canvas\StudentCanvas;
use App\Http\CurrentRole;
use App\Http\CurrentSeat;
use App\Models\Seat;
use Closure;
use Crag\Session\Rules\Deed;
use Crag\Session\Rules\RefusedDeed;
use Crag\Session\Rules\Role;
use Crag\Session\Rules\Rules;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/**
 * For finished work, which comes with every stroke: whose it is and whether it may be sent is found in one question
 * instead of five, as the keeper finds it. Each operation is asked about by its own time: Crag\Session\Room\MayDraw.
 */
final class SendsWork
{
    public static function route(Deed $deed): string
    {
        return self::class.':'.$deed->value;
    }

    /** @throws RefusedDeed */
    public function handle(Request $request, Closure $next, string $deed): Response
    {
        [$id, $seat] = [$request->json('canvas'), $request->route('seat')];
        $work = is_string($id) && is_string($seat) ? StudentCanvas::one($id, $seat) : null;
        if ($work === null) {
            self::refuse($request);
        }
        $token = $request->cookie(Seat::cookieFor((string) $work->canvas->live_session_id));
        abort_unless(is_string($token) && $work->isHeldBy($token), 403, self::notYours());
        CurrentRole::set($request, Role::Student);
        Rules::check(Deed::from($deed), Role::Student, $work->situation);
        $request->attributes->set('work', $work);

        return $next($request);
    }

    /** Only who holds the seat is told that it has no such canvas. */
    private static function refuse(Request $request): never
    {
        $seat = Seat::query()->findOrFail($request->route('seat'));
        abort_unless(
            CurrentSeat::holds($request, $seat) || CurrentSeat::held($request, $seat),
            403,
            self::notYours(),
        );
        abort(404);
    }

    private static function notYours(): string
    {
        return __('This seat belongs to another device. Join with the code to get your own.');
    }
}
