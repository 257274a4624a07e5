<?php

declare(strict_types=1);

namespace App\Http\Pages;

use App\Canvas\Together;
use App\Http\CurrentRole;
use App\Http\CurrentTeacher;
use App\Http\SameForAll;
use App\Http\Words\DeskKeys;
use App\Http\Words\DeskWords;
use App\Live\Clock;
use App\Models\LiveSession;
use App\Models\Prompt;
use App\Models\Show\Showcase;
use App\Sessions\Room\UndoAct;
use Crag\Canvas\Drawing\Palette;
use Crag\Canvas\Drawing\StampArt;
use Crag\Prompt\Sharing;
use Crag\Session\Room\SeatState;
use Crag\Session\Rules\Deed;
use Crag\Session\Screen\OfferState;
use Crag\Session\Screen\ScreenView;
use Crag\Watch\CanvasState;
use Illuminate\Http\Request;

/** What the desk's views and its script are given. */
final class DeskPage
{
    /** @return array<string, mixed> for the script: resources/ts/pages/desk.ts: Page */
    public static function script(Request $request, LiveSession $session, Prompt $current): array
    {
        return [
            'session' => $session->id,
            'prompt' => $current->id,
            'me' => CurrentTeacher::of($request)?->id,
            'name' => CurrentTeacher::of($request)?->name,
            'isShared' => $session->teachers()->count() > 1,
            'may' => Deeds::of($request, $session)->told(Deed::Lead),
            'keys' => DeskKeys::bound(),
            'colours' => [
                'coach' => Palette::PENS[CurrentRole::of($request)->coachPen()],
                'private' => Palette::PENS['Rust'],
            ],
            'clock' => Clock::ms(),
            'address' => '/desk/'.$session->id,
            'assets' => '/asset',
            'stamps' => StampArt::all(),
            'words' => SameForAll::words('desk', DeskWords::all(...)),
            'states' => array_column(CanvasState::sorted(), 'value'),
        ];
    }

    /** @return array<string, mixed> for desk/desk and desk/bands */
    public static function bands(Request $request, LiveSession $session): array
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
            ->with(['canvases' => $inRoom, 'canvases.check', 'canvases.seat'])
            ->get()
            ->each(static fn (Prompt $prompt) => self::countShared($session, $prompt));

        $seats = $session
            ->seats()
            ->with('entry')
            ->withCount(['answers'])
            ->get();

        $messages = $session->messages()->get()->groupBy('seat_id');

        $offers = $session->offers()->where('state', OfferState::Waiting)->with('seat')->get();

        $acts = UndoAct::latest($session);

        return [
            'session' => $session,
            'prompts' => $prompts,
            'current' => $prompts->firstOrFail(static fn (Prompt $prompt): bool => $prompt->id === $session->prompt_id),
            'settings' => $session->settings,
            'deeds' => Deeds::of($request, $session),
            'seats' => $seats,
            'waiting' => Waiting::among($seats, $messages, $offers->toBase(), $prompts->toBase()),
            'live' => $session->screen_view === ScreenView::Showcase ? self::live($session->showcase) : [],
            'fresh' => $session->freshSeats()->count(),
            'lineup' => $session->lineup()->with('canvas.seat', 'canvas.prompt')->get(),
            'missing' => $session->missing(),
            'acts' => $acts->reverse(),
            'undoable' => UndoAct::undoable($acts),
            'isShared' => $session->teachers()->count() > 1,
            'offersWaiting' => $offers->count(),
            'handouts' => $session
                ->handouts()
                ->whereNull('undone_at_ms')
                ->has('canvases')
                ->with(['canvases.seat', 'prompt'])
                ->limit(8)
                ->get(),
        ];
    }

    /** Where several draw on one canvas, what stands on the others is not counted. */
    private static function countShared(LiveSession $session, Prompt $prompt): void
    {
        if ($prompt->sharing() !== Sharing::Each) {
            $now = $prompt->canvases->whereIn('seat_id', Together::holders($session, $prompt)->pluck('id'));
            $prompt->setRelation('canvases', $now);
            $prompt->setAttribute('canvases_count', $now->count());
            $prompt->setAttribute('started_count', $now->whereNotNull('last_stroke_ms')->count());
            $prompt->setAttribute('sent_count', $now->whereNotNull('sent_at_ms')->count());
        }
    }

    /** @return list<array{string, string}> canvas and page of each that is shown as it is now */
    private static function live(?Showcase $showcase): array
    {
        $live = [];
        foreach ($showcase->items ?? [] as $item) {
            if ($item->at_operation === null) {
                $live[] = [$item->canvas_id, $item->page];
            }
        }

        return $live;
    }
}
