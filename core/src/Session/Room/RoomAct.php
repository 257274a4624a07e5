<?php

declare(strict_types=1);

namespace Crag\Session\Room;

/** One thing that was done to the whole room. */
final readonly class RoomAct
{
    /** @param  ?string  $prompt  which prompt it was about */
    public function __construct(
        public string $id,
        public ActKind $kind,
        public ?string $prompt,
        public bool $isUndone,
    ) {
    }

    /**
     * Which of them can be taken back. What replaced an earlier act is taken back first: going back to where everyone
     * was two moves ago would throw away the move between.
     *
     * @param  list<self>  $acts  oldest first
     * @return list<string> their ids
     */
    public static function undoable(array $acts): array
    {
        $open = [];
        foreach ($acts as $act) {
            if ($act->isUndone) {
                continue;
            }
            $place = match (true) {
                $act->kind->standsAlone() => $act->id,
                $act->kind->isOfOnePrompt() => "{$act->kind->value} {$act->prompt}",
                default => $act->kind->value,
            };
            $open[$place] = $act->id;
        }

        return array_values($open);
    }
}
