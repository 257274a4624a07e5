<?php

declare(strict_types=1);

namespace App\Sessions\Show;

use App\Live\Announce;
use App\Live\Audience;
use App\Live\Clock;
use App\Models\Canvas;
use App\Models\LiveSession;
use App\Models\Show\LineupEntry;
use App\Models\Show\Showcase;
use App\Models\Show\ShowcaseItem;
use App\Models\TalkThrough;
use App\Sessions\Room\RoomState;
use Crag\Session\Screen\Destination;
use Crag\Session\Screen\ScreenView;
use Crag\Session\Screen\ShownPart;
use Illuminate\Support\Facades\DB;

/** What the class screen shows, and what is shown on the students' own pages: changed here, and nowhere else. */
final readonly class ShowToClass
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

    public function on(LiveSession $session, Destination $where): void
    {
        DB::transaction(function () use ($session, $where): void {
            $session->update(['shown_on' => $where]);
            $this->tell($session);
        });
    }

    /** Shows a page of a canvas as it is now. */
    public function canvas(LiveSession $session, Canvas $canvas, string $page = ''): void
    {
        $this->show($session, [
            ['canvas_id' => $canvas->id, 'page' => $page, 'at_operation' => $canvas->operation_count],
        ]);
    }

    /** @param  list<LineupEntry>  $entries  up to four, from left to right */
    public function entries(LiveSession $session, array $entries): void
    {
        $this->show(
            $session,
            array_map(
                static fn (LineupEntry $entry): array => [
                    'canvas_id' => $entry->canvas_id,
                    'page' => $entry->page,
                    'at_operation' => $entry->is_live ? null : $entry->at_operation,
                    'with_notes' => $entry->with_notes,
                    'names' => $entry->names,
                    'lineup_entry_id' => $entry->id,
                ] + ($entry->talk_id === null ? [] : self::spoken($entry->talk_id)),
                array_slice($entries, 0, Showcase::MOST),
            ),
        );
    }

    /**
     * Pages of canvases at moments of their own: one before and after, several as they are compared.
     *
     * @param  list<array{canvas_id: string, page: string, at_operation: ?int}>  $items
     */
    public function moments(LiveSession $session, array $items): void
    {
        $this->show($session, array_slice($items, 0, Showcase::MOST));
    }

    /** A drawing explained aloud, from its beginning. */
    public function talk(LiveSession $session, TalkThrough $talk): void
    {
        $this->show($session, [
            [
                'canvas_id' => $talk->canvas_id,
                'page' => $talk->page(),
                'at_operation' => $talk->canvas->operation_count,
            ] + self::spoken($talk->id),
        ]);
    }

    /** @return array{talk_id: string, replay_from_ms: int, replay_speed: int} its voice begins as it is shown */
    private static function spoken(string $talk): array
    {
        return ['talk_id' => $talk, 'replay_from_ms' => Clock::ms(), 'replay_speed' => 1];
    }

    /** One more beside what is shown now: the teacher's own canvas. */
    public function beside(LiveSession $session, Canvas $canvas, string $page): void
    {
        $items = [];
        foreach (
            $session->screen_view === ScreenView::Showcase
                ? ShowcaseItem::query()->where('showcase_id', $session->showcase_id)->orderBy('n')->get()
                : [] as $item
        ) {
            if ($item->canvas_id !== $canvas->id && count($items) < Showcase::MOST - 1) {
                $items[] = $item->only([
                    'canvas_id', 'page', 'at_operation', 'with_notes', 'names', 'lineup_entry_id', 'talk_id',
                ]);
            }
        }
        $this->show($session, [...$items, ['canvas_id' => $canvas->id, 'page' => $page, 'at_operation' => null]]);
    }

    /**
     * Which part of it everybody sees; null for the whole page.
     */
    public function look(LiveSession $session, ShowcaseItem $item, ?ShownPart $view): void
    {
        DB::transaction(function () use ($session, $item, $view): void {
            $item->update(['view' => $view]);
            $this->tell($session);
        });
    }

    /** Says something kind of it before the class; nothing takes it away again. */
    public function praise(LiveSession $session, ShowcaseItem $item, string $words): void
    {
        DB::transaction(function () use ($session, $item, $words): void {
            $item->update(['praise' => $words]);
            $this->tell($session);
        });
    }

    /** Its replay begins before the class, or stands still again. */
    public function replay(LiveSession $session, ShowcaseItem $item, bool $isOn, int $speed): void
    {
        DB::transaction(function () use ($session, $item, $isOn, $speed): void {
            $item->update([
                'replay_from_ms' => $isOn ? Clock::ms() : null,
                // A voice has its own pace.
                'replay_speed' => $item->talk_id === null ? $speed : 1,
            ]);
            $this->tell($session);
        });
    }

    /** Whether the class sees this page of a canvas alone, as it is drawn on. */
    public function isShown(LiveSession $session, Canvas $canvas, string $page): bool
    {
        $items =
            $session->screen_view === ScreenView::Showcase && $session->showcase !== null
                ? $session->showcase->items
                : null;

        return $items?->count() === 1 &&
            $items[0]?->canvas_id === $canvas->id &&
            $items[0]->page === $page &&
            $items[0]->at_operation === null;
    }

    /** Something was drawn on a canvas that may be shown as it is drawn on. */
    public function drawnOn(LiveSession $session, Canvas $canvas): void
    {
        if ($session->screen_view !== ScreenView::Showcase) {
            return;
        }
        $items = ShowcaseItem::query()->where('showcase_id', $session->showcase_id);
        $shown =
            $canvas->over_item_id === null
                ? $items->where('canvas_id', $canvas->id)->whereNull('at_operation')
                : $items->whereKey($canvas->over_item_id);
        if ($shown->exists()) {
            $this->tell($session);
        }
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
                $made = $showcase->items()->create(['n' => $i + 1] + $item);
                $this->keepInk($session, $made);
            }
            $session->showcase()->associate($showcase);
            $session->screen_view = ScreenView::Showcase;
            $session->save();
            $this->tell($session);
            // Whose work it is is told so.
            foreach ($showcase->items()->with('canvas.seat')->get() as $item) {
                foreach ($item->canvas->seat?->people() ?? [] as $seat) {
                    $this->room->tellStudent($seat->setRelation('session', $session));
                }
            }
        });
    }

    /** What was drawn over the same picture when it was shown before is there again. */
    private function keepInk(LiveSession $session, ShowcaseItem $item): void
    {
        $before = Canvas::query()
            ->where('live_session_id', $session->id)
            ->whereNotNull('over_item_id')
            ->whereIn(
                'over_item_id',
                ShowcaseItem::query()
                    ->where('canvas_id', $item->canvas_id)
                    ->where('page', $item->page)
                    ->where('at_operation', $item->at_operation)
                    ->select('id'),
            )
            ->latest('id')
            ->first();
        $before?->update(['over_item_id' => $item->id]);
    }

    private function tell(LiveSession $session): void
    {
        foreach ([Audience::screen($session), Audience::desk($session)] as $audience) {
            ($this->announce)($session, $audience, 'screen', ['view' => $session->screen_view->value]);
        }
        $this->room->tell($session);
    }
}
