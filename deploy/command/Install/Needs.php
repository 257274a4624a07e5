<?php

declare(strict_types=1);

namespace Deploy\Install;

/** What a machine is to do; each needs what those before it need. */
enum Needs: int
{
    case Run = 0;
    case Tests = 1;
    case Engines = 2;
}
