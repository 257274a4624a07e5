<?php

declare(strict_types=1);

namespace App\Sessions;

use App\Live\Announce;
use App\Live\Audience;
use App\Models\Canvas;
use App\Models\LiveSession;
use App\Models\Showcase;
use Crag\Session\ScreenView;
use Illuminate\Support\Facades\DB;

/** What the class screen shows: changed here, and nowhere else. */
final readonly class Shown
{
    public function __construct(private Announce $announce)
    {
    }

    public function view(LiveSession $session, ScreenView $view): void
    {
        DB::transaction(function () use ($session, $view): void {
            $session->update(['screen_view' => $view]);
            $this->tell($session);
        });
    }

    /** Shows a page of a canvas as it is now, or as it was after so many operations. */
    public function canvas(LiveSession $session, Canvas $canvas, string $page = '', ?int $at = null, bool $withNotes = false): void
    {
        DB::transaction(function () use ($session, $canvas, $page, $at, $withNotes): void {
            $showcase = Showcase::query()->create([
                'live_session_id' => $session->id,
                'canvas_id' => $canvas->id,
                'page' => $page,
                'at_operation' => $at ?? $canvas->operation_count,
                'with_notes' => $withNotes,
            ]);
            $session->showcase()->associate($showcase);
            $session->screen_view = ScreenView::Showcase;
            $session->save();
            $this->tell($session);
        });
    }

    /** The same, after something that it depends on has changed. */
    public function again(LiveSession $session): void
    {
        DB::transaction(fn () => $this->tell($session));
    }

    private function tell(LiveSession $session): void
    {
        foreach ([Audience::screen($session), Audience::desk($session)] as $audience) {
            ($this->announce)($session, $audience, 'screen', ['view' => $session->screen_view->value]);
        }
    }
}
