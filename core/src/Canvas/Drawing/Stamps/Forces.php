<?php

declare(strict_types=1);

namespace Crag\Canvas\Drawing\Stamps;

/** Mechanics: what pushes, carries and turns. */
final class Forces
{
    public const WORD = 'Forces';

    /** What each shows, and its lines. */
    public const ART = [
        'weight' => ['Weight', 'M24 90 L32 42 L68 42 L76 90 Z M40 42 C30 12 70 12 60 42'],
        'support' => ['Support', 'M50 22 L80 78 L20 78 Z M10 90 L90 90'],
        'roller' => [
            'Roller',
            'M50 12 L76 58 L24 58 Z M26 72 C26 62 42 62 42 72 C42 82 26 82 26 72 Z '.
                'M58 72 C58 62 74 62 74 72 C74 82 58 82 58 72 Z M10 92 L90 92',
        ],
        'force' => ['Force', 'M50 8 L50 88 M26 64 L50 90 L74 64'],
        'turning' => ['Turning force', 'M80 74 C96 30 56 2 26 20 C4 34 6 64 22 78 M22 52 L20 80 L48 76'],
        'balance' => [
            'Balance',
            'M10 40 L90 40 M50 40 L50 86 M30 88 L70 88 M10 40 L2 62 L22 62 L10 40 '.
                'M90 40 L78 62 L98 62 L90 40',
        ],
        'hammer' => ['Hammer', 'M22 14 L58 14 L66 32 L58 36 L22 36 Z M40 36 L40 92'],
        'spring' => ['Spring', 'M50 4 L50 16 L24 24 L76 36 L24 48 L76 60 L24 72 L50 80 L50 96'],
        'pulley' => [
            'Pulley',
            'M50 4 L50 22 M24 48 C24 14 76 14 76 48 C76 82 24 82 24 48 Z M24 48 L24 96 M76 48 L76 96 '.
                'M50 47 L50 49',
        ],
    ];
}
