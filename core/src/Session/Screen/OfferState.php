<?php

declare(strict_types=1);

namespace Crag\Session\Screen;

/** What became of work that a student offered to the class. */
enum OfferState: string
{
    case Waiting = 'waiting';
    /** It stands on the page of offered work. */
    case Accepted = 'accepted';
    /** Quietly: the student is told nothing. */
    case Declined = 'declined';
}
