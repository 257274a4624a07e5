<?php

declare(strict_types=1);

namespace Crag\Canvas\Drawing\Stamps;

/** For marking and remarking. */
final class Marks
{
    public const WORD = 'Marks';

    /** What each shows, and its lines. */
    public const ART = [
        'tick' => ['Tick', 'M14 54 L38 80 L86 20'],
        'cross' => ['Cross', 'M20 20 L80 80 M80 20 L20 80'],
        'question' => ['Question', 'M30 32 C30 8 72 8 72 34 C72 54 50 52 50 70 M50 88 L50 89'],
        'idea' => [
            'Idea',
            'M36 70 C36 58 22 52 22 34 C22 2 78 2 78 34 C78 52 64 58 64 70 Z M38 82 L62 82 M44 93 L56 93',
        ],
        'star' => ['Star', 'M50 10 L61 38 L91 40 L68 59 L76 88 L50 72 L24 88 L32 59 L9 40 L39 38 Z'],
        'look' => [
            'Look here',
            'M6 50 C26 16 74 16 94 50 C74 84 26 84 6 50 Z M36 50 C36 32 64 32 64 50 C64 68 36 68 36 50 Z',
        ],
        'flag' => ['Flag', 'M24 92 L24 10 L80 26 L24 46'],
    ];
}
