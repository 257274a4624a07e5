<?php

declare(strict_types=1);

namespace App\Sessions\Life;

use App\Live\Announce;
use App\Live\Audience;
use App\Models\LiveSession;
use App\Sessions\Work\ReadInk;
use Illuminate\Support\Carbon;

/** Ends it for everybody; what was drawn stays until it is forgotten. */
final readonly class EndSession
{
    public function __construct(private Announce $announce)
    {
    }

    public function __invoke(LiveSession $session): void
    {
        if ($session->isRunning()) {
            $session->update(['ended_at' => Carbon::now()]);
            ReadInk::forget($session);
            ($this->announce)($session, Audience::room($session), 'ended');
        }
    }
}
