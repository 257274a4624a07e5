<?php

declare(strict_types=1);

namespace Crag\Canvas\Drawing\Stamps;

/** Music: notes whose heads stand on the lines of a stave, rests and signs. */
final class Music
{
    public const WORD = 'Music';

    /** What each shows, and its lines. */
    public const ART = [
        'semibreve' => ['Semibreve', 'M26 87.5 C26 76 58 76 58 87.5 C58 99 26 99 26 87.5 Z'],
        'minim' => ['Minim', 'M26 87.5 C26 76 58 76 58 87.5 C58 99 26 99 26 87.5 Z M58 87 L58 6'],
        'crotchet' => [
            'Crotchet',
            'M26 87.5 C26 76 58 76 58 87.5 C58 99 26 99 26 87.5 Z M31 84.5 L53 84.5 M31 90.5 L53 90.5 M58 87 L58 6',
        ],
        'quaver' => [
            'Quaver',
            'M26 87.5 C26 76 58 76 58 87.5 C58 99 26 99 26 87.5 Z M31 84.5 L53 84.5 M31 90.5 L53 90.5 '.
                'M58 87 L58 6 C62 28 82 30 76 54',
        ],
        'semiquaver' => [
            'Semiquaver',
            'M26 87.5 C26 76 58 76 58 87.5 C58 99 26 99 26 87.5 Z M31 84.5 L53 84.5 M31 90.5 L53 90.5 '.
                'M58 87 L58 6 C62 22 82 24 78 42 M58 28 C62 44 82 46 76 64',
        ],
        'crotchet_rest' => ['Crotchet rest', 'M40 12 L60 36 L44 50 L62 74 C44 66 36 80 52 92'],
        'quaver_rest' => ['Quaver rest', 'M38 32 L40 34 C44 46 56 44 64 30 L46 80'],
        'sharp' => ['Sharp', 'M40 16 L40 86 M60 12 L60 82 M26 42 L74 32 M26 66 L74 56'],
        'flat' => ['Flat', 'M38 8 L38 88 C52 80 66 66 62 54 C58 44 42 52 38 60'],
        'natural' => ['Natural', 'M38 8 L38 68 L62 60 M38 40 L62 32 M62 32 L62 92'],
    ];
}
