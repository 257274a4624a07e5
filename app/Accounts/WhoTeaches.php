<?php

declare(strict_types=1);

namespace App\Accounts;

use App\Models\Teachers\Teacher;

/** Who may begin sessions and make plans in this installation: CRAG_TEACHERS. */
enum WhoTeaches: string
{
    /** Whoever opens the page. */
    case Anybody = 'anybody';
    /** Whoever has an account, which anybody can make. */
    case Account = 'account';
    /** Whoever has an account, which takes an invitation to make: ./crag invite. */
    case Invitation = 'invitation';

    public static function here(): self
    {
        return self::tryFrom(config()->string('crag.teachers')) ?? self::Invitation;
    }

    public function admits(?Teacher $teacher): bool
    {
        return $teacher?->stopped_at === null && ($this === self::Anybody || $teacher?->hasAccount() === true);
    }
}
