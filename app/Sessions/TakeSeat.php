<?php

declare(strict_types=1);

namespace App\Sessions;

use App\Canvas\TakeCanvas;
use App\Live\Announce;
use App\Live\Audience;
use App\Models\LiveSession;
use App\Models\Seat;
use Crag\Session\PersonName;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** Gives a student a place, with a name of its own in the room and a canvas for the present prompt. */
final readonly class TakeSeat
{
    public const MOST_SEATS = 200;

    public function __construct(private TakeCanvas $takeCanvas, private Announce $announce)
    {
    }

    /** @return array{Seat, string} the seat, and the token by which its cookie is known */
    public function __invoke(LiveSession $session, PersonName $name): array
    {
        $token = Str::random(40);
        $seat = DB::transaction(function () use ($session, $name, $token): Seat {
            $taken = $session->seats()->pluck('name', 'n');
            $seat = Seat::query()->create([
                'live_session_id' => $session->id,
                'n' => (int) $taken->keys()->max() + 1,
                'name' => $name->apartFrom(array_map(strval(...), $taken->values()->all()))->value,
                'token_hash' => hash('sha256', $token),
                'ink_key' => Str::random(16),
            ]);
            $canvas = ($this->takeCanvas)($seat, $session->prompt()->firstOrFail());
            ($this->announce)($session, Audience::desk($session), 'seat', [
                'seat' => $seat->announcement(), 'prompt' => $canvas->prompt_id, 'canvas' => $canvas->id,
            ]);

            return $seat;
        });

        return [$seat, $token];
    }
}
