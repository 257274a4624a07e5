<?php

declare(strict_types=1);

namespace Crag\Watch;

/**
 * Something worth going to see. It points at a moment of work and never says what a student is. In the order of
 * urgency.
 */
enum Signal: string
{
    /** It was sent with an answer that is not right. */
    case SentWrong = 'sent_wrong';
    case RubbingOut = 'rubbing_out';
    case LongStill = 'long_still';
    case SameSlip = 'same_slip';
    case FarAhead = 'far_ahead';

    /** What its mark on a tile says by its shape: something wrong, stuck, or ahead. */
    public function mark(): string
    {
        return match ($this) {
            self::SentWrong, self::SameSlip => 'wrong',
            self::RubbingOut, self::LongStill => 'stuck',
            self::FarAhead => 'ahead',
        };
    }

    /** Its name among the settings. */
    public function word(): string
    {
        return match ($this) {
            self::SentWrong => 'Sent with a wrong answer',
            self::RubbingOut => 'Rubbing out a lot',
            self::LongStill => 'Longest without a stroke',
            self::SameSlip => 'The same slip as others',
            self::FarAhead => 'Far ahead',
        };
    }
}
