<?php

declare(strict_types=1);

namespace App\Sessions\Show;

use App\Live\Announce;
use App\Live\Audience;
use App\Models\Canvas;
use App\Models\LiveSession;
use App\Models\Show\LineupEntry;
use App\Models\Show\Showcase;
use App\Models\Show\ShowcaseItem;
use App\Models\TalkThrough;
use Crag\Session\Screen\ScreenView;
use Illuminate\Support\Facades\DB;

/** Work that is chosen to be talked about, prompt by prompt, in the order in which it was chosen. */
final readonly class LineUp
{
    public function __construct(private Announce $announce, private ShowToClass $shown)
    {
    }

    /**
     * A page of each canvas as it is now; what is there already takes the present moment.
     *
     * @param  list<array{Canvas, string}>  $chosen  canvases and the ids of their pages
     * @param  ?TalkThrough  $talk  what is said about them, where it is shown with that
     * @return list<LineupEntry>
     */
    public function add(LiveSession $session, array $chosen, bool $withNotes, ?TalkThrough $talk = null): array
    {
        return DB::transaction(function () use ($session, $chosen, $withNotes, $talk): array {
            $entries = [];
            foreach ($chosen as [$canvas, $page]) {
                $last = LineupEntry::query()->where('prompt_id', $canvas->prompt_id)->max('n');
                $entry = LineupEntry::query()->firstOrNew(
                    ['prompt_id' => $canvas->prompt_id, 'canvas_id' => $canvas->id, 'page' => $page],
                    ['live_session_id' => $session->id, 'n' => (is_numeric($last) ? (int) $last : 0) + 1],
                );
                $entry->fill([
                    'at_operation' => $canvas->operation_count,
                    'with_notes' => $withNotes,
                    'talk_id' => $talk?->id,
                ])->save();
                $entries[] = $entry;
            }
            $this->tell($session);

            return $entries;
        });
    }

    /**
     * Into the line-up and before the class, in one step.
     *
     * @param  list<array{Canvas, string}>  $chosen  up to four canvases and the ids of their pages
     */
    public function addAndShow(LiveSession $session, array $chosen, bool $withNotes): void
    {
        DB::transaction(fn () => $this->show($session, $this->add($session, $chosen, $withNotes)));
    }

    public function remove(LiveSession $session, LineupEntry $entry): void
    {
        DB::transaction(function () use ($session, $entry): void {
            $entry->delete();
            $this->tell($session);
        });
    }

    /** @param  list<LineupEntry>  $entries  up to four, from left to right */
    public function show(LiveSession $session, array $entries): void
    {
        $this->shown->entries($session, $entries);
    }

    /** Beside what is shown now, the latest four; shown already, it goes, but for the last one. */
    public function beside(LiveSession $session, LineupEntry $entry): void
    {
        $shown = $this->shownNow($session);
        $ids = in_array($entry->id, $shown, true) ? array_diff($shown, [$entry->id]) : [...$shown, $entry->id];
        $entries = $session->lineup()->whereIn('id', array_slice($ids, -Showcase::MOST))->get();
        if (! $entries->isEmpty()) {
            $this->shown->entries($session, array_values($entries->all()));
        }
    }

    /** @return list<int> entries that the class sees */
    private function shownNow(LiveSession $session): array
    {
        return $session->screen_view !== ScreenView::Showcase
            ? []
            : array_values(
                ShowcaseItem::query()
                    ->where('showcase_id', $session->showcase_id)
                    ->whereNotNull('lineup_entry_id')
                    ->orderBy('n')
                    ->get()
                    ->map(static fn (ShowcaseItem $item): int => (int) $item->lineup_entry_id)
                    ->all(),
            );
    }

    /** As many as are shown now, so many places further; nothing beyond the ends. */
    public function step(LiveSession $session, int $by): bool
    {
        $all = $session->lineup()->get()->values();
        $shown = $this->shownNow($session);
        $at = $all->search(static fn (LineupEntry $entry): bool => in_array($entry->id, $shown, true));
        $to = $at === false ? ($by > 0 ? 0 : $all->count() - 1) : $at + $by * count($shown);
        $next = array_values($all->slice(max(0, $to), max(1, count($shown)))->all());
        if ($to < 0 || $next === []) {
            return false;
        }
        $this->shown->entries($session, $next);

        return true;
    }

    /** @param  array<string, mixed>  $changes */
    public function change(LiveSession $session, LineupEntry $entry, array $changes): void
    {
        DB::transaction(function () use ($session, $entry, $changes): void {
            $entry->update($changes);
            $this->tell($session);
        });
    }

    /** So many places earlier or later among those of its prompt. */
    public function move(LiveSession $session, LineupEntry $entry, int $by): void
    {
        DB::transaction(function () use ($session, $entry, $by): void {
            $ids = LineupEntry::query()->where('prompt_id', $entry->prompt_id)->orderBy('n')->pluck('id')->all();
            $at = (int) array_search($entry->id, $ids, true);
            array_splice($ids, max(0, min(count($ids) - 1, $at + $by)), 0, array_splice($ids, $at, 1));
            foreach ($ids as $i => $id) {
                LineupEntry::query()
                    ->whereKey($id)
                    ->update(['n' => $i + 1]);
            }
            $this->tell($session);
        });
    }

    private function tell(LiveSession $session): void
    {
        ($this->announce)($session, Audience::desk($session), 'lineup');
    }
}
