<?php

declare(strict_types=1);

namespace Crag\Construct\Figure;

/** What an element of a construction comes to be at the moment, in units of the page. */
interface Figure
{
}
