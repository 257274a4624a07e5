<?php

declare(strict_types=1);

namespace Crag\Canvas\Drawing\Stamps;

/** Computing: boxes of flowcharts, after ISO 5807, and gates of logic. */
final class Computing
{
    public const WORD = 'Computing';

    /** What each shows, and its lines. */
    public const ART = [
        'terminal' => ['Start or end', 'M28 30 L72 30 C98 30 98 70 72 70 L28 70 C2 70 2 30 28 30 Z'],
        'process' => ['Process', 'M6 26 L94 26 L94 74 L6 74 Z'],
        'decision' => ['Decision', 'M50 14 L96 50 L50 86 L4 50 Z'],
        'input' => ['Input or output', 'M24 26 L96 26 L76 74 L4 74 Z'],
        'and_gate' => ['AND gate', 'M4 34 L26 34 M4 66 L26 66 M26 20 L50 20 C88 20 88 80 50 80 L26 80 Z M79 50 L98 50'],
        'or_gate' => [
            'OR gate',
            'M2 34 L28 34 M2 66 L28 66 M20 20 C60 18 74 34 84 50 C74 66 60 82 20 80 C34 60 34 40 20 20 Z '.
                'M84 50 L98 50',
        ],
        'not_gate' => [
            'NOT gate',
            'M2 50 L22 50 M22 20 L70 50 L22 80 Z M72 50 C72 42 86 42 86 50 C86 58 72 58 72 50 Z '.
                'M87 50 L98 50',
        ],
    ];
}
