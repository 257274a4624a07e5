<?php

declare(strict_types=1);

namespace App\Sessions;

use App\Live\Announce;
use App\Live\Audience;
use App\Models\Canvas;
use App\Models\LineupEntry;
use App\Models\LiveSession;
use Illuminate\Support\Facades\DB;

/** Work that is chosen to be talked about, prompt by prompt, in the order in which it was chosen. */
final readonly class LineUp
{
    public function __construct(private Announce $announce, private Shown $shown)
    {
    }

    /**
     * A page of each canvas as it is now; what is there already takes the present moment.
     *
     * @param  list<array{Canvas, string}>  $chosen  canvases and the ids of their pages
     */
    public function add(LiveSession $session, array $chosen, bool $withNotes): void
    {
        DB::transaction(function () use ($session, $chosen, $withNotes): void {
            foreach ($chosen as [$canvas, $page]) {
                $last = LineupEntry::query()->where('prompt_id', $canvas->prompt_id)->max('n');
                $entry = LineupEntry::query()->firstOrNew(
                    ['prompt_id' => $canvas->prompt_id, 'canvas_id' => $canvas->id, 'page' => $page],
                    ['live_session_id' => $session->id, 'n' => (is_numeric($last) ? (int) $last : 0) + 1],
                );
                $entry->fill(['at_operation' => $canvas->operation_count, 'with_notes' => $withNotes])->save();
            }
            $this->tell($session);
        });
    }

    public function remove(LiveSession $session, LineupEntry $entry): void
    {
        DB::transaction(function () use ($session, $entry): void {
            $entry->delete();
            $this->tell($session);
        });
    }

    public function show(LiveSession $session, LineupEntry $entry): void
    {
        $this->shown->canvas($session, $entry->canvas, $entry->page, $entry->at_operation, $entry->with_notes);
    }

    private function tell(LiveSession $session): void
    {
        ($this->announce)($session, Audience::desk($session), 'lineup');
    }
}
