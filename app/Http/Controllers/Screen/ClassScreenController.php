<?php

declare(strict_types=1);

namespace App\Http\Controllers\Screen;

use App\Http\CurrentScreen;
use App\Live\Audience;
use App\Live\CatchUp;
use App\Models\LiveSession;
use App\Models\Prompt;
use App\Models\Seat;
use App\Models\ShowcaseItem;
use App\Pictures\EmbeddedPictures;
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

    /** One of the canvases that are shown, as it was when it was chosen or as it is now. */
    public function picture(LiveSession $session, string $showcase, int $n): Response
    {
        abort_unless($showcase === $session->showcase_id && $session->screen_view === ScreenView::Showcase && $session->shown_on->isOnScreen(), 404);

        return self::drawn($session, $showcase, $n);
    }

    /** On a student's own page, while it is shown there. */
    public function toStudent(Seat $seat, string $showcase, int $n): Response
    {
        $session = $seat->session;
        abort_unless($showcase === $session->showcase_id && $session->screen_view === ScreenView::Showcase && $session->shown_on->isOnPages(), 404);

        return self::drawn($session, $showcase, $n);
    }

    private static function drawn(LiveSession $session, string $showcase, int $n): Response
    {
        $item = ShowcaseItem::query()->where('showcase_id', $showcase)->where('n', $n)->with('canvas.prompt.session')->firstOrFail();

        return response(SceneSvg::document($item->scene(), new EmbeddedPictures($session), $item->page))
            ->withHeaders(['Content-Type' => 'image/svg+xml', 'Content-Security-Policy' => "default-src 'none'; img-src data:; style-src 'unsafe-inline'; sandbox"]);
    }

    /** @return array<string, mixed> */
    private function shown(LiveSession $session): array
    {
        return [
            'session' => $session->load('prompt', 'showcase.items.canvas.seat', 'ask.againOf'),
            'position' => CatchUp::position($session, Audience::room($session), Audience::screen($session)),
        ];
    }
}
