<?php

declare(strict_types=1);

namespace App\Console;

use App\Accounts\AccountRole;
use App\Accounts\Invitation;
use App\Live\PublicAddress;
use Illuminate\Console\Command;

/** Prints a link with which one teacher can make an account. */
final class Invite extends Command
{
    protected $signature = 'crag:invite {--days=7} {--administrator : somebody who looks after schools}';

    protected $description = 'Make a link with which one teacher can make an account';

    public function handle(): int
    {
        $role = $this->option('administrator') ? AccountRole::Administrator : AccountRole::Teacher;
        $token = Invitation::make(max(1, (int) $this->option('days')), role: $role);
        $this->line(PublicAddress::of('invitation', ['token' => $token]));

        return self::SUCCESS;
    }
}
