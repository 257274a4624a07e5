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
    case Nothing = 'nothing';
}
