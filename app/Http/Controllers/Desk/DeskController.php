<?php

declare(strict_types=1);

namespace App\Http\Controllers\Desk;

use App\Http\Pages\DeskPage;
use App\Models\LiveSession;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** The teacher's working page. */
final class DeskController
{
    public function show(Request $request, LiveSession $session): View|RedirectResponse
    {
        return $session->isRunning()
            ? view('desk.desk', DeskPage::bands($request, $session))
            : redirect()->route('desk.ended', $session);
    }

    /** The bands again, after something that they tell has changed. */
    public function refresh(Request $request, LiveSession $session): View
    {
        return view('desk.bands', DeskPage::bands($request, $session));
    }
}
