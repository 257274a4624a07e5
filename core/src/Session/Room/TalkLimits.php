<?php

declare(strict_types=1);

namespace Crag\Session\Room;

/** How much may be said about a canvas. */
final class TalkLimits
{
    public const LONGEST_MS = 180_000;

    /** Three minutes of speech at 24 kbit/s are 540 kB; browsers may take more. */
    public const MOST_BYTES = 2_000_000;

    /** With pictures of who speaks, at 150 kbit/s. */
    public const MOST_FILMED_BYTES = 8_000_000;

    /** For the moment between the last sound and the button, and what a browser's clock makes of it. */
    public const GRACE_MS = 3_000;

    public const MOST_ON_A_CANVAS = 12;

    /** Characters of what is said, in writing. */
    public const LONGEST_WORDS = 1_000;
}
