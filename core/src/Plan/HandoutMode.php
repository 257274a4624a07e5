<?php

declare(strict_types=1);

namespace Crag\Plan;

/** How something that is handed out lies on a student's canvas. */
enum HandoutMode: string
{
    /** Fixed under the ink. */
    case Backdrop = 'backdrop';
    /** For students to move and change. */
    case Pieces = 'pieces';
    /** On an emptied canvas; the old work stays in Replay. */
    case Fresh = 'fresh';

    public function word(): string
    {
        return match ($this) {
            self::Backdrop => 'Backdrop',
            self::Pieces => 'Pieces',
            self::Fresh => 'Fresh start',
        };
    }
}
