<?php

declare(strict_types=1);

namespace App\Accounts;

enum AccountRole: string
{
    case Teacher = 'teacher';
    /** Looks after their school; without one, after all of the installation's. */
    case Administrator = 'administrator';
}
