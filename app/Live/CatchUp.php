<?php

declare(strict_types=1);

namespace App\Live;

use App\Models\Event;
use App\Models\LiveSession;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** What a page missed: everything for its audiences after the last number that it knows of each. */
final class CatchUp
{
    /** So many at once; a page that gets as many asks again. */
    public const MOST = 500;

    /**
     * @return array<string, list<array{n: int, type: string, body: mixed}>> events by stream
     */
    public static function events(LiveSession $session, Request $request, Audience ...$audiences): array
    {
        $missed = [];
        foreach ($audiences as $audience) {
            $stream = explode(':', $audience->name)[0];
            $missed[$stream] = (new Told($session))->again(
                Event::query()
                    ->where('live_session_id', $session->id)
                    ->where('audience', $audience->name)
                    ->where('n', '>', $request->integer($stream))
                    ->orderBy('n')
                    ->limit(self::MOST)
                    ->get(),
            );
        }

        return $missed;
    }

    /** @param  array<string, list<array{n: int, type: string, body: mixed}>>  $events  by stream */
    public static function answer(array $events, Portion $portion): Response
    {
        $more =
            $portion->hasMore ||
            array_filter($events, static fn (array $some): bool => count($some) >= self::MOST) !== [];

        return response(
            sprintf(
                '{"events":%s,"operations":[%s],"more":%s,"clock":%d}',
                json_encode($events, JSON_THROW_ON_ERROR),
                $portion->operations,
                $more ? 'true' : 'false',
                Clock::ms(),
            ),
        )->header('Content-Type', 'application/json');
    }

    /** @return array<string, int> the last number of each audience now, by stream */
    public static function position(LiveSession $session, Audience ...$audiences): array
    {
        $position = [];
        foreach ($audiences as $audience) {
            $last = Event::query()
                ->where('live_session_id', $session->id)
                ->where('audience', $audience->name)
                ->max('n');
            $position[explode(':', $audience->name)[0]] = is_numeric($last) ? (int) $last : 0;
        }

        return $position;
    }
}
