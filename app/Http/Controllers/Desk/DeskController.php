<?php

declare(strict_types=1);

namespace App\Http\Controllers\Desk;

use App\Http\Pages\Deeds;
use App\Models\LiveSession;
use App\Models\Prompt;
use Crag\Session\Room\SeatState;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** The teacher's working page. */
final class DeskController
{
    public function show(Request $request, LiveSession $session): View|RedirectResponse
    {
        return $session->isRunning()
            ? view('desk.desk', $this->bands($request, $session))
            : redirect()->route('desk.ended', $session);
    }

    /** The bands again, after something that they tell has changed. */
    public function refresh(Request $request, LiveSession $session): View
    {
        return view('desk.bands', $this->bands($request, $session));
    }

    /** @return array<string, mixed> */
    private function bands(Request $request, LiveSession $session): array
    {
        $session->load('prompt', 'showcase.items.canvas.seat');
        $inRoom = static fn ($canvases) => $canvases->whereHas(
            'seat',
            static fn ($seats) => $seats->where('state', SeatState::Seated),
        );
        $prompts = $session
            ->prompts()
            ->withCount([
                'canvases' => $inRoom,
                'canvases as started_count' => static fn ($query) => $inRoom($query)->whereNotNull('last_stroke_ms'),
                'canvases as sent_count' => static fn ($query) => $inRoom($query)->whereNotNull('sent_at_ms'),
            ])
            ->with(['canvases' => $inRoom, 'canvases.check'])
            ->get();

        return [
            'session' => $session,
            'prompts' => $prompts,
            'current' => $prompts->firstOrFail(static fn (Prompt $prompt): bool => $prompt->id === $session->prompt_id),
            'settings' => $session->settingsValue(),
            'deeds' => Deeds::of($request, $session),
            'seats' => $session
                ->seats()
                ->with('entry')
                ->withCount(['answers'])
                ->get(),
            'fresh' => $session->freshSeats()->count(),
            'lineup' => $session->lineup()->with('canvas.seat', 'canvas.prompt')->get(),
            'messages' => $session->messages()->get()->groupBy('seat_id'),
            'handouts' => $session
                ->handouts()
                ->whereNull('undone_at_ms')
                ->has('canvases')
                ->with(['canvases.seat', 'prompt'])
                ->limit(8)
                ->get(),
        ];
    }
}
