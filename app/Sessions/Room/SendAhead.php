<?php

declare(strict_types=1);

namespace App\Sessions\Room;

use App\Canvas\CanvasJson;
use App\Canvas\Together;
use App\Live\Audience;
use App\Live\Publisher;
use App\Models\LiveSession;
use App\Models\Prompt;
use Illuminate\Support\Facades\DB;

/**
 * Before a class is gathered at a prompt, each page is sent what it would ask for when it hears of it: a class that
 * asks all at once would wait for each other. A page that did not get it, or has a full canvas there, asks as always.
 */
final readonly class SendAhead
{
    /** A log that is longer is asked for. */
    private const MOST_OPERATIONS = 40;

    public function __construct(private Publisher $publisher)
    {
    }

    public function __invoke(LiveSession $session, Prompt $prompt): void
    {
        $room = RoomState::shared($session);
        $tray = $prompt->trayInForce()->now->toArray();
        $canvases = $prompt->canvases()->where('operation_count', '<=', self::MOST_OPERATIONS)->get()->keyBy('seat_id');
        $waiting = DB::table('handout_canvases')
            ->whereIn('canvas_id', $canvases->pluck('id'))
            ->whereNull('got_at_ms')
            ->pluck('handout_id', 'canvas_id');
        foreach ($session->seated()->with('messages')->get() as $seat) {
            $seat->setRelation('session', $session);
            $canvas = $canvases->get((string) Together::found($seat, $prompt)?->id);
            if ($canvas === null) {
                continue;
            }
            $opening = CanvasJson::opening($canvas->setRelation('prompt', $prompt), [
                'room' => $room,
                'own' => RoomState::own($seat),
                'prompt' => $prompt->announcementTo($seat),
                'tray' => $tray,
                'ended' => false,
                'waiting' => $waiting->has($canvas->id),
            ], by: $seat);
            $this->publisher->publish(
                Audience::seat($seat)->channel,
                '{"stream":"opening","opening":'.$opening.'}',
            );
        }
    }
}
