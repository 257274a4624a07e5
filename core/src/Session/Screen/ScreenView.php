<?php

declare(strict_types=1);

namespace Crag\Session\Screen;

/** What the class screen shows. */
enum ScreenView: string
{
    case Join = 'join';
    case Prompt = 'prompt';
    case Showcase = 'showcase';
    case Tally = 'tally';
    /** The student who was picked last. */
    case Pick = 'pick';
    /** What students offered, and was accepted. */
    case Board = 'board';
    /** How everybody did in a run of quick asks. */
    case Run = 'run';
    /** Who works with whom, and where in the room. */
    case Groups = 'groups';
    case Nothing = 'nothing';

    public function word(): string
    {
        return match ($this) {
            self::Join => 'How to join',
            self::Prompt => 'The prompt',
            self::Showcase => 'Chosen work',
            self::Tally => 'The tally',
            self::Pick => 'Who was picked',
            self::Board => 'Offered work',
            self::Run => 'Results of the run',
            self::Groups => 'The groups',
            self::Nothing => 'Nothing',
        };
    }

    /** Why it cannot stand there yet, as a sentence; null where it can. */
    public function lacks(bool $hasAsk, bool $hasShowcase, bool $hasPick, bool $hasGroups): ?string
    {
        return match (true) {
            $this === self::Tally && ! $hasAsk => 'Ask something first.',
            $this === self::Showcase && ! $hasShowcase => 'Choose a canvas to show first.',
            $this === self::Pick && ! $hasPick => 'Pick someone first.',
            $this === self::Groups && ! $hasGroups => 'Make groups in the class picture first.',
            default => null,
        };
    }

    /** What stands there once something has ended: the prompt, if that was it. */
    public function without(self $ended): self
    {
        return $this === $ended ? self::Prompt : $this;
    }

    /** What stands there once a prompt is handed out: how to join has been read by then. */
    public function whenGathered(): self
    {
        return $this->without(self::Join);
    }

    /** Whether it goes on showing something else than the prompt to which everybody is brought. */
    public function staysWhenGathered(): bool
    {
        return ! in_array($this, [self::Join, self::Prompt, self::Nothing], true);
    }
}
