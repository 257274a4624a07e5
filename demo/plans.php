<?php

declare(strict_types=1);

/*
 * The plans of the demo class, in the form in which plans are taken out (docs/plan.schema.json), without pictures.
 */

$line = static fn (int $x, int $y, int $w, int $h, int $width = 40): array => [
    'object' => [
        'type' => 'line',
        'x' => $x * 10,
        'y' => $y * 10,
        'w' => $w * 10,
        'h' => $h * 10,
        'colour' => '#25323b',
        'width' => $width,
        'filled' => false,
    ],
];
$text = static fn (int $x, int $y, string $words, int $size = 34): array => [
    'object' => [
        'type' => 'text',
        'x' => $x * 10,
        'y' => $y * 10,
        'w' => mb_strlen($words) * $size * 6,
        'size' => $size,
        'colour' => '#25323b',
        'align' => 'start',
        'fixed' => false,
        'text' => $words,
    ],
];
$weight = static fn (int $x, int $y, string $alt, bool $stack = false): array => [
    'object' => [
        'type' => 'piece',
        'alt' => $alt,
        'locked' => false,
        'stack' => $stack,
        'of' => [
            'type' => 'stamp',
            'stamp' => 'weight',
            'x' => $x * 10,
            'y' => $y * 10,
            'size' => 110,
            'colour' => '#8f2d1a',
        ],
    ],
];
$squared = ['kind' => 'squared', 'size' => 'middle'];
$number = static fn (string $id, string $words, string $right, array $more = []): array => $more + [
    'id' => $id,
    'kind' => 'number',
    'words' => $words,
    'spot' => null,
    'right' => $right,
];

$beams = [
    [
        'words' => 'A plank 4 m long rests on a pivot 1 m from its left end. A load of 240 N hangs from the left end. Draw every force on the plank. What force at the right end keeps it level?',
        'questions' => [
            $number('force', 'The force at the right end', '80 N'),
            [
                'id' => 'sure',
                'kind' => 'scale',
                'words' => 'How sure are you?',
                'spot' => null,
                'from' => 1,
                'to' => 4,
                'low' => 'guessed',
                'high' => 'certain',
            ],
        ],
        'points' => 3,
        'minutes' => 8,
        'skills' => ['moments', 'force diagrams'],
        'look_for' => [
            'steps' => ['all three forces', 'takes moments about the pivot'],
            'words' => ['moment', 'pivot'],
            'slips' => ['sets the two forces equal', 'measures from the left end'],
        ],
        'pages' => [
            [
                'backdrop' => $squared,
                'objects' => [
                    $line(200, 470, 1200, 0, 90),
                    [
                        'object' => [
                            'type' => 'triangle',
                            'x' => 4300,
                            'y' => 4740,
                            'w' => 1400,
                            'h' => 1200,
                            'colour' => '#25323b',
                            'width' => 40,
                            'filled' => false,
                        ],
                    ],
                    $text(470, 620, 'pivot'),
                    $text(200, 390, 'left end', 28),
                    $text(1290, 390, 'right end', 28),
                    $weight(145, 700, 'A weight of 240 N'),
                ],
            ],
        ],
    ],
    [
        'words' => 'A load of {f: 60..300 step 20} N hangs {a: 1..4} m left of the pivot. What force {b: 1..4; b ≠ a} m right of it keeps the beam level?',
        'questions' => [
            $number('force', 'F =', '{f*a/b} N', [
                'tolerance' => ['kind' => 'percent', 'most' => '1'],
                'spot' => ['page' => 0, 'x' => 1080, 'y' => 700, 'w' => 400],
            ]),
        ],
        'points' => 2,
        'minutes' => 6,
        'skills' => ['moments'],
        'pages' => [
            [
                'backdrop' => $squared,
                'objects' => [
                    $line(200, 470, 1200, 0, 90),
                    [
                        'object' => [
                            'type' => 'triangle',
                            'x' => 7300,
                            'y' => 4740,
                            'w' => 1400,
                            'h' => 1200,
                            'colour' => '#25323b',
                            'width' => 40,
                            'filled' => false,
                        ],
                    ],
                ],
            ],
        ],
    ],
    [
        'words' => 'This frame leans over when it is pushed. Where must one more rod go so that it stands? Draw it, and say which shape makes a frame stiff.',
        'questions' => [
            [
                'id' => 'shape',
                'kind' => 'choice',
                'words' => 'Stiff by its shape alone:',
                'spot' => null,
                'right' => ['tri'],
                'shuffle' => true,
                'options' => [
                    ['id' => 'sq', 'words' => 'a square'],
                    ['id' => 'tri', 'words' => 'a triangle'],
                    ['id' => 'pent', 'words' => 'a pentagon'],
                ],
            ],
        ],
        'minutes' => 7,
        'skills' => ['structures'],
        'pages' => [
            [
                'backdrop' => ['kind' => 'dotted', 'size' => 'middle'],
                'objects' => [
                    $line(500, 250, 600, 0, 70),
                    $line(500, 750, 600, 0, 70),
                    $line(500, 250, 0, 500, 70),
                    $line(1100, 250, 0, 500, 70),
                ],
            ],
        ],
    ],
    [
        'words' => 'The club’s footbridge spans 12 m. Draw it at a scale of 1 : 50. How long is the span on paper, and what is the ratio of span to depth if the beam is $\frac{3}{4}$ m deep?',
        'questions' => [$number('span', 'The span on paper', '24 cm'), $number('ratio', 'Span ÷ depth', '16')],
        'points' => 2,
        'minutes' => 10,
        'skills' => ['scale drawing', 'ratio'],
        'pages' => [['backdrop' => $squared, 'objects' => []]],
    ],
    [
        'words' => 'Put the weights where you like, and write an expression for the moment of n weights of w newtons, d metres from the pivot.',
        'questions' => [['id' => 'moment', 'kind' => 'maths', 'words' => 'M =', 'spot' => null, 'right' => 'nwd']],
        'minutes' => 6,
        'skills' => ['moments', 'algebra'],
        'pages' => [
            [
                'backdrop' => $squared,
                'objects' => [$line(200, 520, 1200, 0, 90), $weight(180, 120, 'A stack of weights', true)],
            ],
        ],
    ],
];

return [
    [
        'format' => 'crag-plan',
        'version' => 1,
        'title' => 'Bridges and Beams',
        'tags' => ['Year 9', 'forces', 'moments'],
        'prompts' => $beams,
    ],
    [
        'format' => 'crag-plan',
        'version' => 1,
        'title' => 'Levers: a first look',
        'tags' => ['Year 9', 'moments'],
        'prompts' => [$beams[1], $beams[4]],
    ],
    [
        'format' => 'crag-plan',
        'version' => 1,
        'title' => 'Scale drawing and ratio',
        'tags' => ['ratio'],
        'prompts' => [$beams[3]],
    ],
];
