<?php

declare(strict_types=1);

namespace App\Sessions;

use App\Live\Announce;
use App\Live\Audience;
use App\Models\Canvas;
use App\Models\LineupEntry;
use App\Models\LiveSession;
use App\Models\Showcase;
use Crag\Session\ScreenView;
use Crag\Session\ShownOn;
use Illuminate\Support\Facades\DB;

/** What the class screen shows, and what is shown on the students' own pages: changed here, and nowhere else. */
final readonly class Shown
{
    public function __construct(private Announce $announce, private RoomState $room)
    {
    }

    public function view(LiveSession $session, ScreenView $view): void
    {
        DB::transaction(function () use ($session, $view): void {
            $session->update(['screen_view' => $view]);
            $this->tell($session);
        });
    }

    public function on(LiveSession $session, ShownOn $where): void
    {
        DB::transaction(function () use ($session, $where): void {
            $session->update(['shown_on' => $where]);
            $this->tell($session);
        });
    }

    /** Shows a page of a canvas as it is now. */
    public function canvas(LiveSession $session, Canvas $canvas, string $page = ''): void
    {
        $this->show($session, [['canvas_id' => $canvas->id, 'page' => $page, 'at_operation' => $canvas->operation_count]]);
    }

    /** @param  list<LineupEntry>  $entries  up to four, from left to right */
    public function entries(LiveSession $session, array $entries): void
    {
        $this->show($session, array_map(static fn (LineupEntry $entry): array => [
            'canvas_id' => $entry->canvas_id, 'page' => $entry->page, 'at_operation' => $entry->is_live ? null : $entry->at_operation,
            'with_notes' => $entry->with_notes, 'names' => $entry->names, 'lineup_entry_id' => $entry->id,
        ], array_slice($entries, 0, Showcase::MOST)));
    }

    /** The same, after something that it depends on has changed. */
    public function again(LiveSession $session): void
    {
        DB::transaction(fn () => $this->tell($session));
    }

    /** @param  list<array<string, mixed>>  $items */
    private function show(LiveSession $session, array $items): void
    {
        DB::transaction(function () use ($session, $items): void {
            $showcase = Showcase::query()->create(['live_session_id' => $session->id]);
            foreach ($items as $i => $item) {
                $showcase->items()->create(['n' => $i + 1] + $item);
            }
            $session->showcase()->associate($showcase);
            $session->screen_view = ScreenView::Showcase;
            $session->save();
            $this->tell($session);
            // Whose work it is is told so.
            foreach ($showcase->items()->with('canvas.seat')->get() as $item) {
                $item->canvas->seat === null || $this->room->tellStudent($item->canvas->seat->setRelation('session', $session));
            }
        });
    }

    private function tell(LiveSession $session): void
    {
        foreach ([Audience::screen($session), Audience::desk($session)] as $audience) {
            ($this->announce)($session, $audience, 'screen', ['view' => $session->screen_view->value]);
        }
        $this->room->tell($session);
    }
}
