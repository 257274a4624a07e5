<?php

declare(strict_types=1);

namespace Crag\Canvas\Drawing\Stamps;

/** Chemistry: vessels, and what molecules are drawn of. */
final class Chemistry
{
    public const WORD = 'Chemistry';

    /** What each shows, and its lines. */
    public const ART = [
        'atom' => ['Atom', 'M22 50 C22 13 78 13 78 50 C78 87 22 87 22 50 Z'],
        'electron' => ['Electron', 'M44 50 C44 42 56 42 56 50 C56 58 44 58 44 50 Z M47 50 L53 50'],
        'bond' => ['Single bond', 'M4 50 L96 50'],
        'double_bond' => ['Double bond', 'M4 40 L96 40 M4 60 L96 60'],
        'triple_bond' => ['Triple bond', 'M4 30 L96 30 M4 50 L96 50 M4 70 L96 70'],
        'ring' => ['Ring of six', 'M50 6 L89 28 L89 72 L50 94 L11 72 L11 28 Z'],
        'benzene' => [
            'Benzene ring',
            'M50 6 L89 28 L89 72 L50 94 L11 72 L11 28 Z M26 50 C26 18 74 18 74 50 C74 82 26 82 26 50 Z',
        ],
        'beaker' => ['Beaker', 'M16 10 L24 20 L24 90 L76 90 L76 10 M24 52 L76 52'],
        'flask' => ['Flask', 'M36 8 L64 8 M42 8 L42 38 L14 90 L86 90 L58 38 L58 8 M28 64 L72 64'],
        'burner' => ['Burner', 'M40 92 L40 42 L60 42 L60 92 M20 92 L80 92 M50 34 C34 26 46 16 50 4 C54 16 66 26 50 34'],
    ];
}
