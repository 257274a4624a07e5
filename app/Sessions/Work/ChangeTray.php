<?php

declare(strict_types=1);

namespace App\Sessions\Work;

use App\Live\Announce;
use App\Live\Audience;
use App\Live\Clock;
use App\Models\LiveSession;
use Crag\Canvas\Log\TrayInForce;
use Crag\Prompt\Tray\ToolTray;
use Illuminate\Support\Facades\DB;

/** Gives students other tools. What was drawn stays; open pages are told at once. */
final readonly class ChangeTray
{
    public function __construct(private Announce $announce)
    {
    }

    /** For the present prompt alone. */
    public function ofPrompt(LiveSession $session, ToolTray $tray): void
    {
        DB::transaction(function () use ($session, $tray): void {
            $prompt = $session->prompt()->firstOrFail();
            $prompt->update(['tray' => TrayInForce::since($tray, Clock::ms(), $prompt->trayInForce())]);
            $this->tell($session, $tray);
        });
    }

    /** For every prompt, those with a tray of their own too. */
    public function ofSession(LiveSession $session, ToolTray $tray): void
    {
        DB::transaction(function () use ($session, $tray): void {
            $before = $session->prompt()->firstOrFail()->trayInForce();
            $session->update(['tray' => TrayInForce::since($tray, Clock::ms(), $before)]);
            $session->prompts()->update(['tray' => null]);
            $this->tell($session, $tray);
        });
    }

    private function tell(LiveSession $session, ToolTray $tray): void
    {
        ($this->announce)($session, Audience::room($session), 'tray', ['tray' => $tray->toArray()]);
    }
}
