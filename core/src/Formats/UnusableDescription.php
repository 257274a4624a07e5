<?php

declare(strict_types=1);

namespace Crag\Formats;

use InvalidArgumentException;

/** What a page says of how it can be reached for a talk is not that, or is of more than sound. */
final class UnusableDescription extends InvalidArgumentException
{
}
