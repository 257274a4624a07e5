<?php

declare(strict_types=1);

namespace App\Sessions\Life;

use App\Database\Wipe;
use App\Live\Audience;
use App\Live\Publisher;
use App\Models\HeldFolder;
use App\Models\LiveSession;
use App\Models\Prompt;
use Illuminate\Support\Facades\DB;

/** Removes every row and file that the session left. */
final readonly class ForgetSession
{
    public function __construct(private Publisher $publisher)
    {
    }

    public function __invoke(LiveSession $session): void
    {
        foreach ($session->seats()->get() as $seat) {
            $this->publisher->close(Audience::seat($seat));
        }
        foreach ([Audience::room($session), Audience::desk($session), Audience::screen($session)] as $audience) {
            $this->publisher->close($audience);
        }
        // Foreign keys take every row that belongs to it along.
        DB::transaction(static function () use ($session): void {
            // A session that went on from it stands on its own from now on, and does not name it.
            Prompt::query()
                ->whereIn('carries_prompt_id', Prompt::query()->where('live_session_id', $session->id)->select('id'))
                ->update(['carries_prompt_id' => null]);
            LiveSession::query()
                ->where('carries_on_id', $session->id)
                ->update(['carries_on_id' => null]);
            $session->delete();
        });
        HeldFolder::remove('sessions', $session->id);
        Wipe::afterForgetting();
    }
}
