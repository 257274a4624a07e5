<?php

declare(strict_types=1);

namespace Crag\Asks;

/** What one step of a run is. */
enum CardKind: string
{
    case Ask = 'ask';
    /** A worked answer that everyone reads. */
    case Worked = 'worked';
    /** A student's work: what is lined up, or one of each answer to the ask before. */
    case Work = 'work';

    public function word(): string
    {
        return match ($this) {
            self::Ask => 'Question',
            self::Worked => 'Worked answer',
            self::Work => 'A student’s work',
        };
    }
}
