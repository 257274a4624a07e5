<?php

declare(strict_types=1);

namespace App\Http\Controllers\Screen;

use App\Http\CurrentScreen;
use App\Http\CurrentTeacher;
use App\Http\Pages\ScreenPage;
use App\Http\Recording;
use App\Live\Audience;
use App\Live\CatchUp;
use App\Live\Portion;
use App\Models\LiveSession;
use App\Models\LoggedOperation;
use App\Models\Prompt;
use App\Models\Seat;
use App\Models\Show\Offer;
use App\Models\Show\Showcase;
use App\Models\Show\ShowcaseItem;
use App\Pictures\EmbeddedPictures;
use Crag\Canvas\Bolder;
use Crag\Canvas\Log\Layer;
use Crag\Canvas\Log\OperationKind;
use Crag\Canvas\Log\Replay;
use Crag\Render\SceneSvg;
use Crag\Session\Screen\OfferState;
use Crag\Session\Screen\ScreenView;
use Illuminate\Contracts\View\View;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

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

    public function show(Request $request, LiveSession $session): View
    {
        // A small one stands on the desk.
        $request->attributes->set('framed', true);

        return view('screen.screen', ScreenPage::of($session));
    }

    /** What is shown now, alone. */
    public function shownNow(LiveSession $session): View
    {
        return view('screen.shown', ScreenPage::of($session));
    }

    public function catchUp(Request $request, LiveSession $session): Response
    {
        return CatchUp::answer(
            CatchUp::events($session, $request, Audience::room($session), Audience::screen($session)),
            Portion::none(),
        );
    }

    /** What is drawn for the present prompt; another one is nobody's to show yet. */
    public function prompt(LiveSession $session, Prompt $prompt): Response
    {
        abort_unless($prompt->id === $session->prompt_id, 404);

        return self::svg(SceneSvg::document(
            $prompt->sceneForAll()->withBoxes($prompt->value()->common()),
            new EmbeddedPictures($session),
        ));
    }

    /** One of the canvases that are shown, as it was when it was chosen or as it is now. */
    public function picture(LiveSession $session, string $showcase, int $n): Response
    {
        $item = self::onScreen($session, $showcase, $n);
        $works = ShowcaseItem::query()->where('showcase_id', $showcase)->count();

        return self::svg(SceneSvg::document(
            Bolder::scene($item->scene(), $works),
            new EmbeddedPictures($session),
            $item->page,
        ));
    }

    /** What is drawn over it, and nothing else. */
    public function over(LiveSession $session, string $showcase, int $n): Response
    {
        return self::inkOver($session, self::onScreen($session, $showcase, $n));
    }

    public function replay(LiveSession $session, string $showcase, int $n): JsonResponse
    {
        return self::played(self::onScreen($session, $showcase, $n));
    }

    /** On a student's own page, while it is shown there. */
    public function toStudent(Seat $seat, string $showcase, int $n): Response
    {
        return self::drawn($seat->session, self::onPages($seat->session, $showcase, $n));
    }

    public function overToStudent(Seat $seat, string $showcase, int $n): Response
    {
        return self::inkOver($seat->session, self::onPages($seat->session, $showcase, $n));
    }

    public function replayToStudent(Seat $seat, string $showcase, int $n): JsonResponse
    {
        return self::played(self::onPages($seat->session, $showcase, $n));
    }

    /** What is said about it, while its replay goes along with it. */
    public function talk(LiveSession $session, string $showcase, int $n): BinaryFileResponse
    {
        return self::heard(self::onScreen($session, $showcase, $n));
    }

    public function talkToStudent(Seat $seat, string $showcase, int $n): BinaryFileResponse
    {
        return self::heard(self::onPages($seat->session, $showcase, $n));
    }

    private static function heard(ShowcaseItem $item): BinaryFileResponse
    {
        return Recording::played($item->talk ?? abort(404));
    }

    /** One of those on the page of offers. */
    public function offer(LiveSession $session, Offer $offer): Response
    {
        abort_unless(
            $session->screen_view === ScreenView::Board &&
                $offer->state === OfferState::Accepted,
            404,
        );

        return self::part($session, $offer);
    }

    public static function part(LiveSession $session, Offer $offer): Response
    {
        $scene = $offer->scene();
        $cut = $offer->cut;

        return self::svg(
            $cut === null
                ? SceneSvg::document($scene, new EmbeddedPictures($session), $offer->page)
                : SceneSvg::part($scene, new EmbeddedPictures($session), $offer->page, $cut),
        );
    }

    private static function onScreen(LiveSession $session, string $showcase, int $n): ShowcaseItem
    {
        $isShown =
            $showcase === $session->showcase_id &&
            $session->screen_view === ScreenView::Showcase &&
            $session->shown_on->isOnScreen();
        // The small class screen on a desk may be a step behind: its teacher sees all of it anyway.
        $isTeachers =
            ! $isShown &&
            CurrentTeacher::of(request())?->mayRun($session) === true &&
            Showcase::query()->whereKey($showcase)->where('live_session_id', $session->id)->exists();
        abort_unless($isShown || $isTeachers, 404);

        return self::item($showcase, $n);
    }

    private static function onPages(LiveSession $session, string $showcase, int $n): ShowcaseItem
    {
        abort_unless(
            $showcase === $session->showcase_id &&
                $session->screen_view === ScreenView::Showcase &&
                $session->shown_on->isOnPages(),
            404,
        );

        return self::item($showcase, $n);
    }

    private static function item(string $showcase, int $n): ShowcaseItem
    {
        return ShowcaseItem::query()
            ->where('showcase_id', $showcase)
            ->where('n', $n)
            ->with('canvas.prompt.session', 'over')
            ->firstOrFail();
    }

    public static function drawn(LiveSession $session, ShowcaseItem $item): Response
    {
        return self::svg(SceneSvg::document($item->scene(), new EmbeddedPictures($session), $item->page));
    }

    private static function inkOver(LiveSession $session, ShowcaseItem $item): Response
    {
        return self::svg(SceneSvg::ink($item->over?->scene() ?? abort(404), new EmbeddedPictures($session)));
    }

    /** A replay plays to everybody who sees what is shown, and only while the teacher plays it. */
    private static function played(ShowcaseItem $item): JsonResponse
    {
        abort_if($item->replay_from_ms === null, 404);
        $rows = LoggedOperation::query()
            ->where('canvas_id', $item->canvas_id)
            ->where('n', '<=', $item->at_operation ?? PHP_INT_MAX)
            ->where('layer', '!=', Layer::Coach->value)
            ->orderBy('n')
            ->get();
        $boxes = $item->canvas->boxes();
        // What is answered away from the page is between a student and the teacher.
        $seen = array_map(static fn (array $box): mixed => $box[1]['id'] ?? null, $boxes);
        $rows = $rows->filter(
            static fn (LoggedOperation $row): bool => $row->kind !== OperationKind::Answer->value ||
                in_array(json_decode($row->body, true)['question'] ?? '', $seen, true),
        )->values();
        $log = $rows->map(static fn (LoggedOperation $row) => $row->operation());
        $talk = $item->talk;
        $replay = $talk === null
            ? Replay::of($log, ...$item->canvas->authors())
            : Replay::along($log, $talk->began_at_ms, $talk->lasts_ms);

        return response()->json([
            'lasts' => $talk->lasts_ms ?? $replay->lasts(),
            'filmed' => $talk->is_filmed ?? false,
            'captions' => $talk?->captions()->lines ?? [],
            'rubbed' => [],
            'boxes' => $boxes,
            'steps' => array_map(static fn (array $step): array => [$step['from'], $step['to']], $replay->steps),
            'operations' => $rows
                ->map(
                    static fn (LoggedOperation $row): array => [
                        'n' => $row->n,
                        'id' => $row->op_id,
                        'kind' => $row->kind,
                        'layer' => $row->layer,
                        'at' => $row->made_at_ms,
                        'body' => json_decode($row->body),
                    ],
                )
                ->all(),
        ]);
    }

    private static function svg(string $document): Response
    {
        return response($document)->withHeaders([
            'Content-Type' => 'image/svg+xml',
            'Content-Security-Policy' => "default-src 'none'; img-src data:; style-src 'unsafe-inline'; sandbox",
        ]);
    }
}
