<?php

declare(strict_types=1);

namespace Crag\Session;

/** What the class screen shows. */
enum ScreenView: string
{
    case Join = 'join';
    case Prompt = 'prompt';
    case Showcase = 'showcase';
    case Tally = 'tally';
    case Nothing = 'nothing';
}
