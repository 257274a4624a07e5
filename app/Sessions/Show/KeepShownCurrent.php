<?php

declare(strict_types=1);

namespace App\Sessions\Show;

use App\Canvas\TeacherDrew;
use App\Models\LiveSession;

/** Whoever looks at what is shown sees what the teacher draws on it and over it. */
final readonly class KeepShownCurrent
{
    public function __construct(private ShowToClass $show)
    {
    }

    public function handle(TeacherDrew $event): void
    {
        $session = LiveSession::query()->find($event->canvas->live_session_id);
        if ($session !== null) {
            $this->show->drawnOn($session, $event->canvas);
        }
    }
}
