<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\CurrentScreen;
use App\Http\CurrentSeat;
use App\Http\CurrentTeacher;
use App\Models\Asset;
use App\Models\LiveSession;
use App\Models\LoggedOperation;
use App\Models\Seat;
use App\Models\Show\ShowcaseItem;
use App\Models\Teachers\Plan;
use App\Pictures\LightPicture;
use App\Pictures\PageLines;
use Crag\Json\Fields;
use Crag\Json\UnreadableFields;
use Crag\Prompt\Backdrop\Backdrop;
use Crag\Render\NoPictures;
use Crag\Render\SceneSvg;
use Crag\Session\Screen\ScreenView;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

/** Backdrops and pictures, as pages show them. */
final class PictureController
{
    /** A ruling, its settings in the address. */
    public function backdrop(Request $request): Response
    {
        try {
            $backdrop = Backdrop::read(
                new Fields(
                    array_map(
                        static fn (mixed $value): mixed => is_string($value) && is_numeric($value)
                            ? $value + 0
                            : $value ?? '',
                        $request->query(),
                    ),
                ),
            );
        } catch (UnreadableFields $problem) {
            abort(404, __($problem->getMessage()));
        }
        abort_unless($backdrop->isRuling(), 404);

        return response(SceneSvg::backdrop($backdrop, new NoPictures()))->withHeaders([
            'Content-Type' => 'image/svg+xml',
            'Cache-Control' => 'public, max-age=86400',
        ]);
    }

    /**
     * Pictures of the teacher's are for everybody in the session; a student's are for that student and the teacher, for
     * those who draw on the same canvas, and for those who see a replay of that student's.
     */
    public function asset(Request $request, Asset $asset): BinaryFileResponse
    {
        abort_unless($this->maySee($request, $asset), 403);

        return $this->file($asset);
    }

    /** The words of a PDF's page, line by line: as {@see Asset::$page_words} has them. */
    public function text(Request $request, Asset $asset): JsonResponse
    {
        abort_unless($this->maySee($request, $asset), 403);

        return response()
            ->json(['lines' => PageLines::of($asset)])
            ->header('Cache-Control', 'private, max-age=86400');
    }

    private function maySee(Request $request, Asset $asset): bool
    {
        if ($asset->plan_id !== null) {
            return CurrentTeacher::of($request)?->mayEdit(Plan::query()->findOrFail($asset->plan_id)) === true;
        }
        $session = LiveSession::query()->findOrFail($asset->live_session_id);

        return CurrentTeacher::of($request)?->mayRun($session) ||
            $this->isFor(CurrentSeat::in($request, $session), $asset) ||
            (CurrentScreen::shows($request, $session) &&
                ($asset->seat_id === null ||
                    ($session->shown_on->isOnScreen() && self::isReplayed($session, $asset)))) ||
            (CurrentSeat::in($request, $session)?->isIn() === true &&
                $session->shown_on->isOnPages() &&
                self::isReplayed($session, $asset));
    }

    /** The same picture in fewer bytes. */
    public function light(Request $request, Asset $asset): BinaryFileResponse
    {
        $whole = $this->asset($request, $asset);
        $small = LightPicture::of($asset);

        return $small === null
            ? $whole
            : response()->file($small, ['Content-Type' => $asset->mime, 'Cache-Control' => 'private, max-age=86400']);
    }

    private function file(Asset $asset): BinaryFileResponse
    {
        return response()->file($asset->path(), [
            'Content-Type' => $asset->mime,
            'Cache-Control' => 'private, max-age=86400',
        ]);
    }

    /** A replay is drawn by the pages themselves, which need its pictures. */
    private static function isReplayed(LiveSession $session, Asset $asset): bool
    {
        return $session->screen_view === ScreenView::Showcase &&
            $asset->seat_id !== null &&
            ShowcaseItem::query()
                ->where('showcase_id', $session->showcase_id)
                ->whereNotNull('replay_from_ms')
                ->whereHas('canvas', static fn ($canvas) => $canvas->where('seat_id', $asset->seat_id))
                ->exists();
    }

    /** Whether another student put it on a canvas on which this one draws too. */
    private static function isOnShared(Seat $seat, Asset $asset): bool
    {
        return LoggedOperation::query()
            ->whereIn('canvas_id', $seat->worksOn()->where('seat_id', '!=', $seat->id)->select('id'))
            ->where('seat_id', $asset->seat_id)
            ->where('body', 'like', "%{$asset->id}%")
            ->exists();
    }

    private function isFor(?Seat $seat, Asset $asset): bool
    {
        return $seat !== null &&
            ($asset->seat_id === null || $asset->seat_id === $seat->id || self::isOnShared($seat, $asset));
    }
}
