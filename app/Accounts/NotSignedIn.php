<?php

declare(strict_types=1);

namespace App\Accounts;

use RuntimeException;

/** A sign-in that came to nothing; the message is for whoever tried. */
final class NotSignedIn extends RuntimeException
{
}
