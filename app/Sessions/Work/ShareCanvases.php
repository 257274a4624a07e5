<?php

declare(strict_types=1);

namespace App\Sessions\Work;

use App\Canvas\TakeCanvas;
use App\Canvas\Together;
use App\Live\Announce;
use App\Live\Audience;
use App\Models\LiveSession;
use App\Models\Prompt;
use App\Models\Seat;
use App\Sessions\Room\RoomState;
use Crag\Prompt\Sharing;
use Illuminate\Support\Facades\DB;

/** Who draws on one canvas together. Nothing that was drawn before goes away: it stays on the canvas on which it is. */
final readonly class ShareCanvases
{
    public function __construct(
        private TakeCanvas $takeCanvas,
        private Together $together,
        private RoomState $room,
        private Announce $announce,
    ) {
    }

    public function __invoke(LiveSession $session, Prompt $prompt, Sharing $sharing): void
    {
        DB::transaction(function () use ($session, $prompt, $sharing): void {
            $prompt->update(['details' => ['sharing' => $sharing->value] + $prompt->details]);
            $this->turn($session, $prompt);
            ($this->announce)($session, Audience::desk($session), 'seats');
        });
    }

    /** Students' groups have changed: whoever is in another one has its canvases from now on. */
    public function regroup(LiveSession $session): void
    {
        $this->together->settle($session);
        $shared = $session->prompts()->get()->filter(
            static fn (Prompt $prompt): bool => $prompt->sharing() === Sharing::Group,
        );
        foreach ($shared as $prompt) {
            $this->turn($session, $prompt->setRelation('session', $session));
        }
        if ($shared->isNotEmpty()) {
            ($this->announce)($session, Audience::desk($session), 'seats');
        }
    }

    /** Whoever is at the prompt turns to the canvas that is theirs now. */
    private function turn(LiveSession $session, Prompt $prompt): void
    {
        $there = $session
            ->seated()
            ->with('entry')
            ->get()
            ->filter(static fn (Seat $seat): bool => $seat->presentPromptId() === $prompt->id);
        $this->takeCanvas->all($there, $prompt);
        $there->each(fn (Seat $seat) => $this->room->tellStudent($seat->setRelation('session', $session)));
    }
}
