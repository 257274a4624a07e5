<?php

declare(strict_types=1);

namespace App\Sessions\Room;

use App\Live\Clock;
use App\Models\Act;
use App\Models\LiveSession;
use App\Sessions\Work\HandOutWork;
use App\Sessions\Work\SendWork;
use Crag\Session\Room\ActKind;
use Crag\Session\Room\RoomAct;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;

/** Takes back what was done to the whole room. Everybody's work stays as it is. */
final readonly class UndoAct
{
    private const OFFERED = 40;

    public function __construct(
        private ChangePrompts $prompts,
        private Attention $attention,
        private HandOutWork $handOut,
        private SendWork $work,
    ) {
    }

    /** @return bool whether it could still be taken back */
    public function __invoke(Act $act): bool
    {
        return DB::transaction(function () use ($act): bool {
            if (! in_array($act->id, self::undoable(self::latest($act->session)), true)) {
                return false;
            }
            match ($act->kind) {
                ActKind::Gather => $this->prompts->back($act),
                ActKind::PromptState => $this->prompts->stateBack($act),
                ActKind::Pens => $this->attention->back($act),
                ActKind::Reveal => $this->work->cover($act),
                ActKind::HandOut => $act->handout === null ? null : $this->handOut->undo($act->handout),
            };
            $act->update(['undone_at_ms' => Clock::ms()]);

            return true;
        });
    }

    /** @return Collection<int, Act> the latest ones, oldest first; what is older is no longer offered */
    public static function latest(LiveSession $session): Collection
    {
        return $session
            ->acts()
            ->with('handout', 'prompt', 'teacher')
            ->reorder()
            ->orderByDesc('id')
            ->limit(self::OFFERED)
            ->get()
            ->reverse()
            ->values();
    }

    /**
     * @param  Collection<int, Act>  $acts
     * @return list<string> the ids of those that can be taken back
     */
    public static function undoable(Collection $acts): array
    {
        return RoomAct::undoable(array_values($acts->map(static fn (Act $act): RoomAct => $act->value())->all()));
    }
}
