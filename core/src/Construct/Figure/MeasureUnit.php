<?php

declare(strict_types=1);

namespace Crag\Construct\Figure;

/** What a measure counts. */
enum MeasureUnit: string
{
    case Length = 'length';
    case Area = 'area';
    case Degrees = 'degrees';
    case Number = 'number';
    /** Two numbers: across and up. */
    case Place = 'place';
}
