<?php

declare(strict_types=1);

namespace App\Http\Pages;

use App\Live\Audience;
use App\Live\CatchUp;
use App\Models\LiveSession;
use Crag\Session\Screen\OfferState;
use Crag\Session\Screen\ScreenView;

/** What the class screen shows; asked for is only what stands there now. */
final class ScreenPage
{
    /** @return array<string, mixed> for screen/shown */
    public static function of(LiveSession $session): array
    {
        $session->load('prompt', 'showcase.items.canvas.seat', 'showcase.items.over', 'ask.againOf');
        $view = $session->screen_view;

        return [
            'session' => $session,
            'position' => CatchUp::position($session, Audience::room($session), Audience::screen($session)),
            'here' => $view === ScreenView::Join ? $session->seated()->count() : 0,
            'hasPicture' => $view === ScreenView::Prompt && (
                ! $session->prompt->pagesValue()->isBlank() || $session->prompt->handouts()->exists()
            ),
            'picked' => $view === ScreenView::Pick ? $session->picks()->with('seat')->first()?->seat : null,
            'groups' => $view === ScreenView::Groups
                ? $session->seated()->whereNotNull('group')->get()->groupBy('group')->sortKeys(SORT_NUMERIC)
                : collect(),
            'offers' => $view === ScreenView::Board
                ? $session->offers()->where('state', OfferState::Accepted)->with('seat')->get()->groupBy('column')
                : collect(),
        ];
    }
}
