<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\CurrentScreen;
use App\Http\CurrentSeat;
use App\Http\CurrentTeacher;
use App\Models\Asset;
use App\Models\LiveSession;
use Crag\Prompt\Backdrop;
use Crag\Prompt\BackdropKind;
use Crag\Render\NoPictures;
use Crag\Render\SceneSvg;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

/** Backdrops and pictures, as pages show them. */
final class PictureController
{
    public function backdrop(string $kind): Response
    {
        $found = BackdropKind::tryFrom($kind);
        abort_if($found === null || $found === BackdropKind::Picture, 404);

        return response(SceneSvg::backdrop(Backdrop::ruled($found), new NoPictures))->withHeaders([
            'Content-Type' => 'image/svg+xml', 'Cache-Control' => 'public, max-age=86400',
        ]);
    }

    public function asset(Request $request, Asset $asset): BinaryFileResponse
    {
        $session = LiveSession::query()->findOrFail($asset->live_session_id);
        $may = CurrentTeacher::of($request)?->mayRun($session)
            || CurrentSeat::in($request, $session) !== null
            || CurrentScreen::shows($request, $session);
        abort_unless($may, 403);

        return response()->file($asset->path(), ['Content-Type' => $asset->mime, 'Cache-Control' => 'private, max-age=86400']);
    }
}
