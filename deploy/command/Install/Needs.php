<?php

declare(strict_types=1);

namespace Deploy\Install;

/** What a machine is to do; each needs what those before it need. */
enum Needs: int
{
    case Run = 0;
    /** The servers that several machines share as well. */
    case District = 1;
    case Tests = 2;
    case Engines = 3;
}
