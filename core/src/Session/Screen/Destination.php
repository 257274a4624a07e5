<?php

declare(strict_types=1);

namespace Crag\Session\Screen;

/** Where chosen work is to be seen. */
enum Destination: string
{
    case Screen = 'screen';
    case Pages = 'pages';
    case Both = 'both';

    public function word(): string
    {
        return match ($this) {
            self::Screen => 'Class screen',
            self::Pages => 'Their pages',
            self::Both => 'Both',
        };
    }

    public function isOnPages(): bool
    {
        return $this !== self::Screen;
    }

    public function isOnScreen(): bool
    {
        return $this !== self::Pages;
    }
}
