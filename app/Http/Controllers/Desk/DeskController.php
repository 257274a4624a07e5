<?php

declare(strict_types=1);

namespace App\Http\Controllers\Desk;

use App\Models\LiveSession;
use App\Models\Prompt;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** The teacher's working page. */
final class DeskController
{
    public function show(LiveSession $session): View|RedirectResponse
    {
        return $session->isRunning()
            ? view('desk.desk', $this->bands($session))
            : redirect()->route('desk.ended', $session);
    }

    /** The bands again, after something that they tell has changed. */
    public function refresh(LiveSession $session): View
    {
        return view('desk.bands', $this->bands($session));
    }

    public function names(Request $request, LiveSession $session): View
    {
        $session->update(['names_shown' => $request->boolean('shown')]);

        return $this->refresh($session);
    }

    /** @return array<string, mixed> */
    private function bands(LiveSession $session): array
    {
        $session->load('prompt', 'showcase.canvas.seat');
        $prompts = $session->prompts()
            ->withCount(['canvases', 'canvases as started_count' => static fn ($query) => $query->whereNotNull('last_stroke_ms')])
            ->with('canvases.check')->get();

        return [
            'session' => $session,
            'prompts' => $prompts,
            'current' => $prompts->firstOrFail(static fn (Prompt $prompt): bool => $prompt->id === $session->prompt_id),
        ];
    }
}
