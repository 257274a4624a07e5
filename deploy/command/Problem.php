<?php

declare(strict_types=1);

namespace Deploy;

use RuntimeException;

/** Something that a person must know or mend; the message says what and how. */
final class Problem extends RuntimeException
{
}
