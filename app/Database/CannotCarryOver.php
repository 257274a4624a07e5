<?php

declare(strict_types=1);

namespace App\Database;

use RuntimeException;

/** Why nothing was carried over, in a sentence. */
final class CannotCarryOver extends RuntimeException
{
}
