<?php

declare(strict_types=1);

namespace App\Sessions\Life;

use App\Live\Announce;
use App\Live\Audience;
use App\Models\LiveSession;
use Illuminate\Support\Facades\DB;

/** It was ended by mistake: it runs again with its code, its seats and everything on them. */
final readonly class ReopenSession
{
    public function __construct(private Announce $announce)
    {
    }

    public function __invoke(LiveSession $session): void
    {
        DB::transaction(function () use ($session): void {
            if (! $session->isRunning()) {
                $session->update(['ended_at' => null]);
                ($this->announce)($session, Audience::room($session), 'reopened');
            }
        });
    }
}
