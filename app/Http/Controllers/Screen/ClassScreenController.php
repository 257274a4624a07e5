<?php

declare(strict_types=1);

namespace App\Http\Controllers\Screen;

use App\Http\CurrentScreen;
use App\Live\Audience;
use App\Live\CatchUp;
use App\Models\Canvas;
use App\Models\LiveSession;
use App\Models\Prompt;
use App\Models\Showcase;
use App\Pictures\EmbeddedPictures;
use Crag\Canvas\Scene;
use Crag\Render\SceneSvg;
use Crag\Session\ScreenView;
use Illuminate\Contracts\View\View;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** What the room's display shows. */
final class ClassScreenController
{
    /** The private link makes this device a class screen; the address then holds no key. */
    public function open(LiveSession $session, string $key): RedirectResponse
    {
        abort_unless(hash_equals($session->screen_key, $key), 404);
        CurrentScreen::remember($session);

        return redirect()->route('screen', $session);
    }

    public function show(LiveSession $session): View
    {
        return view('screen.screen', $this->shown($session));
    }

    /** What is shown now, alone. */
    public function shownNow(LiveSession $session): View
    {
        return view('screen.shown', $this->shown($session));
    }

    public function catchUp(Request $request, LiveSession $session): JsonResponse
    {
        return response()->json([
            'events' => CatchUp::events($session, $request, Audience::room($session), Audience::screen($session)),
            'operations' => [],
        ]);
    }

    /** What is drawn for the present prompt; another one is nobody's to show yet. */
    public function prompt(LiveSession $session, Prompt $prompt): Response
    {
        abort_unless($prompt->id === $session->prompt_id, 404);

        return response(SceneSvg::document($prompt->pagesValue()->scene(), new EmbeddedPictures($session)))
            ->withHeaders(['Content-Type' => 'image/svg+xml', 'Content-Security-Policy' => "default-src 'none'; img-src data:; style-src 'unsafe-inline'; sandbox"]);
    }

    /** The canvas as it was when it was chosen. */
    public function picture(LiveSession $session, Showcase $showcase): Response
    {
        abort_unless(
            $showcase->id === $session->showcase_id && $session->screen_view === ScreenView::Showcase,
            404,
        );
        $scene = $showcase->canvas->scene($showcase->at_operation);
        $notes = $showcase->with_notes ? Canvas::query()->where('notes_on_id', $showcase->canvas_id)->first()?->scene() : null;
        $scene = $notes === null ? $scene : new Scene($scene->pages, $scene->placed + $notes->placed);

        return response(SceneSvg::document($scene, new EmbeddedPictures($session), $showcase->page))
            ->header('Content-Type', 'image/svg+xml');
    }

    /** @return array<string, mixed> */
    private function shown(LiveSession $session): array
    {
        return [
            'session' => $session->load('prompt', 'showcase.canvas.seat', 'ask.againOf'),
            'position' => CatchUp::position($session, Audience::room($session), Audience::screen($session)),
        ];
    }
}
