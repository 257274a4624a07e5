<?php

declare(strict_types=1);

namespace Crag\Canvas\Operation;

/** Where in the drawing order objects go: what is drawn later lies above. */
enum Order: string
{
    case Front = 'front';
    case Back = 'back';
    /** Above the next object of the same page. */
    case Forward = 'forward';
    /** Below the one before. */
    case Backward = 'backward';
}
