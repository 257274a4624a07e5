<?php

declare(strict_types=1);

namespace Crag\Session\Room;

use Crag\Session\Rules\Deed;

/** What a teacher does to the whole room, and can take back. */
enum ActKind: string
{
    /** Everyone is brought to one prompt. */
    case Gather = 'gather';
    case HandOut = 'hand_out';
    case Pens = 'pens';
    /** Covered work opens on the desks. */
    case Reveal = 'reveal';
    /** A prompt is opened, closed, skipped or hidden. */
    case PromptState = 'prompt_state';

    /** What taking it back is. */
    public function undoing(): Deed
    {
        return match ($this) {
            self::Gather, self::PromptState => Deed::ChangePrompts,
            self::HandOut => Deed::HandOut,
            self::Pens => Deed::SetPens,
            self::Reveal => Deed::Cover,
        };
    }

    /** Whether one act of this kind can be taken back whatever came after it: ink and hand-outs lie side by side. */
    public function standsAlone(): bool
    {
        return $this === self::HandOut;
    }

    /** Whether acts of this kind replace each other only on the same prompt. */
    public function isOfOnePrompt(): bool
    {
        return $this === self::Reveal || $this === self::PromptState;
    }
}
