<?php

declare(strict_types=1);

namespace App\Http\Controllers\Desk;

use App\Models\LiveSession;
use App\Sessions\Shown;
use Crag\Session\ScreenView;
use Crag\Session\ShownOn;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Validation\Rules\Enum;

/** The teacher chooses what the class screen shows. */
final class ScreenController
{
    public function __construct(private readonly Shown $shown)
    {
    }

    public function view(Request $request, LiveSession $session): Response
    {
        $request->validate(['view' => ['required', new Enum(ScreenView::class)]]);
        $view = ScreenView::from($request->string('view')->toString());
        abort_if($view === ScreenView::Tally && $session->ask_id === null, 422, __('Ask something first.'));
        abort_if($view === ScreenView::Showcase && $session->showcase_id === null, 422, __('Choose a canvas to show first.'));
        $this->shown->view($session, $view);

        return response()->noContent();
    }

    /** Where chosen work is to be seen. */
    public function on(Request $request, LiveSession $session): Response
    {
        $request->validate(['on' => ['required', new Enum(ShownOn::class)]]);
        $this->shown->on($session, ShownOn::from($request->string('on')->toString()));

        return response()->noContent();
    }

    public function showcase(Request $request, LiveSession $session): Response
    {
        $canvas = $session->canvases()->findOrFail($request->input('canvas'));
        $page = $request->string('page')->toString();
        abort_unless(isset($canvas->scene()->pages[$page]), 422, __('That canvas has no such page.'));
        $this->shown->canvas($session, $canvas, $page);

        return response()->noContent();
    }
}
