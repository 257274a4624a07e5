<?php

declare(strict_types=1);

namespace App\Live;

use App\Models\Event;
use App\Models\LiveSession;
use Illuminate\Support\Facades\DB;

/** Writes down that something happened, without whom it names, and then sends it out whole. */
final readonly class Announce
{
    public function __construct(private Publisher $publisher)
    {
    }

    /** @param  array<string, mixed>  $body */
    public function __invoke(LiveSession $session, Audience $audience, string $type, array $body = []): void
    {
        $event = DB::transaction(static function () use ($session, $audience, $type, $body): Event {
            $last = Event::query()
                ->where('live_session_id', $session->id)
                ->where('audience', $audience->name)
                ->max('n');

            return Event::query()->create([
                'live_session_id' => $session->id,
                'audience' => $audience->name,
                'n' => (is_numeric($last) ? (int) $last : 0) + 1,
                'type' => $type,
                'body' => json_encode((object) Told::kept($type, $body), JSON_THROW_ON_ERROR),
                'at_ms' => Clock::ms(),
            ]);
        });
        $message = json_encode(
            [
                'stream' => self::stream($audience),
                'event' => ['n' => $event->n, 'type' => $type, 'body' => (object) $body],
            ],
            JSON_THROW_ON_ERROR,
        );
        DB::afterCommit(fn () => $this->publisher->publish($audience->channel, $message));
    }

    /** A page hears one seat at most, so its stream needs no id. */
    private static function stream(Audience $audience): string
    {
        return explode(':', $audience->name)[0];
    }
}
