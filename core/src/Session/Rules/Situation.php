<?php

declare(strict_types=1);

namespace Crag\Session\Rules;

use Crag\Session\Door\Door;
use Crag\Session\Room\Pace;
use Crag\Session\Room\PromptState;
use Crag\Session\Room\SeatState;

/** All of a session's state that a rule can depend on, for one seat and one prompt. */
final readonly class Situation
{
    /**
     * @param  ?SeatState  $seat  null where no seat is concerned
     * @param  PromptState  $prompt  of the prompt that is concerned
     * @param  bool  $isPensDown  for everybody or for this seat
     * @param  bool  $isCovered  whether the prompt's work is still hidden from the teacher
     * @param  bool  $isRevealed  whether it was covered once and has been revealed
     * @param  bool  $isSent  whether this seat has sent its work on the prompt
     * @param  bool  $isLeadShown  whether students may look at a lead canvas now
     * @param  bool  $hasOffers  whether students may offer work to the class
     * @param  bool  $hasKeepBack  whether students may ask not to be shown
     * @param  bool  $isJustOver  whether it has ended, and not long ago
     */
    public function __construct(
        public bool $isRunning = true,
        public Door $door = Door::Open,
        public ?SeatState $seat = null,
        public Pace $pace = Pace::Together,
        public PromptState $prompt = PromptState::Open,
        public bool $isPensDown = false,
        public bool $isCovered = false,
        public bool $isRevealed = false,
        public bool $isSent = false,
        public bool $hasMessages = true,
        public bool $isLeadShown = false,
        public bool $hasOffers = true,
        public bool $hasKeepBack = true,
        public bool $isJustOver = false,
    ) {
    }
}
