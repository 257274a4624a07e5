<?php

declare(strict_types=1);

namespace Crag\Maths\Steps;

/** Whether a line of working follows from the one before it. */
enum Follows
{
    case Yes;
    case No;
    /** Nothing here can tell: something was put in, another letter comes up, or it is no maths. */
    case Unknown;
}
