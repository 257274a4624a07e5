<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Http\CurrentRole;
use App\Live\Announce;
use App\Live\Audience;
use App\Models\Canvas;
use App\Models\LiveSession;
use App\Models\Prompt;
use App\Models\Seat;
use App\Models\Teachers\Teacher;
use App\Sessions\Room\CurrentSituation;
use Closure;
use Crag\Session\Rules\Deed;
use Crag\Session\Rules\RefusedDeed;
use Crag\Session\Rules\Rules;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Asks the core's table of rules whether this person may do this now. The route names the deed. */
final class May
{
    /** @throws RefusedDeed */
    public function handle(Request $request, Closure $next, string $deed): Response
    {
        $seat = $request->route('seat');
        $seat = $seat instanceof Seat ? $seat : null;
        $session = $request->route('session');
        $session = $session instanceof LiveSession ? $session : $seat?->session;
        abort_unless($session instanceof LiveSession, 404);
        foreach ([self::prompt($request, $session, $seat, $deed), ...self::several($request, $session)] as $prompt) {
            Rules::check(Deed::from($deed), CurrentRole::of($request), CurrentSituation::of($session, $seat, $prompt));
        }

        $response = $next($request);
        if (! $request->isMethodSafe() && $seat === null && $response->isSuccessful()) {
            self::tellTheOther($request, $session, $deed);
        }

        return $response;
    }

    /** Teachers who share a session see each other's deeds; what goes on all the time is seen where it happens. */
    private static function tellTheOther(Request $request, LiveSession $session, string $deed): void
    {
        $teacher = $request->attributes->get('teacher');
        if (
            $teacher instanceof Teacher &&
            ! $request->routeIs('desk.operations', 'desk.coach', 'desk.looked', 'desk.here') &&
            $session->teachers()->count() > 1
        ) {
            app(Announce::class)($session, Audience::desk($session), 'deed', [
                'deed' => $deed,
                'by' => $teacher->id,
                'name' => $teacher->name,
            ]);
        }
    }

    public static function route(Deed $deed): string
    {
        return self::class.':'.$deed->value;
    }

    /**
     * The prompts of the canvases in a list: what acts on all of them must be open for each.
     *
     * @return iterable<Prompt>
     */
    private static function several(Request $request, LiveSession $session): iterable
    {
        $ids = $request->array('canvases');
        foreach (['chosen', 'given', 'items', 'before'] as $list) {
            foreach ($request->array($list) as $one) {
                $ids[] = is_array($one) ? $one['canvas'] ?? null : null;
            }
        }
        $ids = array_filter($ids, is_string(...));

        return $ids === []
            ? []
            : $session
                ->allPrompts()
                ->whereIn('id', $session->canvases()->whereIn('id', $ids)->select('prompt_id'))
                ->get();
    }

    /**
     * The prompt that is named, that of the canvas that is named, or the one that the student or the class has now. A
     * request that names two would be judged by one and act on the other: it is refused.
     */
    private static function prompt(Request $request, LiveSession $session, ?Seat $seat, string $deed): ?Prompt
    {
        $named = [];
        $prompt = $request->route('prompt') ?? ($seat === null ? null : $request->input('prompt'));
        if ($prompt !== null) {
            $id = $prompt instanceof Prompt ? $prompt->id : $prompt;
            // Nobody is brought to what holds the drawings of a quick ask, and it is not opened or closed by itself.
            $prompts = $deed === Deed::ChangePrompts->value ? $session->prompts() : $session->allPrompts();
            $named[] = $prompts->findOrFail(is_string($id) ? $id : '');
        }
        foreach ([$request->route('canvas'), $request->input('canvas')] as $canvas) {
            $found = ! is_string($canvas)
                ? null
                : ($seat === null
                    ? Canvas::query()->where('live_session_id', $session->id)->findOrFail($canvas)
                    : $seat->worksOn()->find($canvas));
            if ($found !== null) {
                $named[] = $found->prompt;
            }
        }
        abort_if(
            count(array_unique(array_map(static fn (Prompt $one): string => $one->id, $named))) > 1,
            422,
            __('That names two prompts.'),
        );

        return $named[0] ?? ($seat === null ? $session->prompts()->find($session->prompt_id) : $seat->presentPrompt());
    }
}
