<?php

declare(strict_types=1);

namespace App\Http\Pages;

use App\Models\LiveSession;
use App\Models\Prompt;
use Crag\Session\Screen\OfferState;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Relations\Relation;
use Illuminate\Http\Request;

/** What a session leaves behind, for the page after its end and for taking it while it runs. */
final class RecordPage
{
    /** @return array<string, mixed> for desk/life/record */
    public static function record(LiveSession $session): array
    {
        return [
            'session' => $session,
            'record' => $session->records()->first(),
            'prompts' => $session->allPrompts()->get(),
            'drew' => $session->seatsWithWork()->get(),
        ];
    }

    /** @return array<string, mixed> the same, and what can be done with all of it and with one student's */
    public static function whole(Request $request, LiveSession $session): array
    {
        return self::record($session->loadCount(['seats', 'canvases', 'prompts'])) + [
            'deeds' => Deeds::of($request, $session),
            'hasBoard' => $session->offers()->where('state', OfferState::Accepted)->exists(),
            'students' => $session->seats()->get(),
            'work' => self::work($session),
        ];
    }

    /**
     * What was drawn, by prompt; of whoever drew nothing, nothing.
     *
     * @return Collection<int, Prompt> each with those canvases, in the order of the seats
     */
    private static function work(LiveSession $session): Collection
    {
        return $session
            ->allPrompts()
            ->with([
                'canvases' => static fn (Relation $canvases) => $canvases
                    ->whereNotNull('seat_id')
                    ->where('operation_count', '>', 0)
                    ->with('seat.members.seat', 'check'),
            ])
            ->get()
            ->each(
                static fn (Prompt $prompt) => $prompt->setRelation('canvases', $prompt->canvases->sortBy('seat.n')->values()),
            )
            ->filter(static fn (Prompt $prompt): bool => $prompt->canvases->isNotEmpty());
    }
}
