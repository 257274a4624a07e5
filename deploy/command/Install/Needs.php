<?php

declare(strict_types=1);

namespace Deploy\Install;

/** What a machine is to do; each needs what those before it need. */
enum Needs: int
{
    case Run = 0;
    /** To be one of several nodes. */
    case Node = 1;
    /** And to have on it the servers that they share. */
    case District = 2;
    case Tests = 3;
    case Engines = 4;
}
