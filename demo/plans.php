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

$piece = static fn (string $kind, int $x, int $y, array $settings = [], bool $free = false): array => [
    'object' => [
        'type' => 'manipulative',
        'kind' => $kind,
        'x' => $x * 10,
        'y' => $y * 10,
        'settings' => $settings,
    ] + ($free ? ['free' => true] : []),
];
$shows = static fn (string $kind, string $fact, string $words, string $right): array => [
    'id' => str_replace('_', '-', "{$kind}-{$fact}"),
    'kind' => 'state',
    'words' => $words,
    'spot' => null,
    'piece' => $kind,
    'fact' => $fact,
    'right' => $right,
];
$on = static fn (string $backdrop, array ...$objects): array => [
    ['backdrop' => ['kind' => $backdrop] + ($backdrop === 'blank' ? [] : ['size' => 'middle']), 'objects' => $objects],
];
$instruments = [
    [
        'words' => 'Hang loads on both sides so that the beam is level, with at least two different distances. Then write the two moments beside it.',
        'questions' => [$shows('loaded_beam', 'balance', 'Make the beam level', 'balanced')],
        'minutes' => 6,
        'skills' => ['moments'],
        'pages' => $on('squared', $piece('loaded_beam', 400, 160, ['arms' => 6, 'weight' => 10])),
    ],
    [
        'words' => 'Each bag holds the same number of bolts. Take the same from both sides until you know what one bag holds.',
        'questions' => [
            $number('x', 'x =', '4'),
            $shows('balance', 'left', 'Leave one bag alone on the left', 'x'),
        ],
        'minutes' => 6,
        'skills' => ['equations'],
        'pages' => $on('blank', $piece('balance', 400, 120, ['left' => '3x + 2', 'right' => 'x + 10', 'x' => 4])),
    ],
    [
        'words' => 'A rod is cut into {b: 4..9} equal parts. Shade {a: 2..7; a < b}/{b} of it, and the same amount on the circle.',
        'questions' => [
            $shows('fraction_bar', 'shaded', 'On the rod', '{a}/{b}'),
            $shows('fraction_circle', 'shaded', 'On the circle', '{a}/{b}'),
        ],
        'minutes' => 5,
        'skills' => ['fractions'],
        'pages' => $on(
            'blank',
            $piece('fraction_bar', 300, 160, ['parts' => '{b}']),
            $piece('fraction_circle', 480, 420, ['parts' => 4]),
        ),
    ],
    [
        'words' => 'The span is made of rods of two lengths. Show it as bars: how long is the unknown rod?',
        'questions' => [$number('rod', 'The unknown rod, in cm', '45 cm')],
        'minutes' => 5,
        'skills' => ['ratio'],
        'pages' => $on('blank', $piece('bar_model', 300, 200, ['first' => '75, x', 'second' => '120'], true)),
    ],
    [
        'words' => 'Arrange the tiles as a rectangle. What are its sides?',
        'questions' => [['id' => 'sides', 'kind' => 'maths', 'words' => 'Area =', 'spot' => null, 'right' => '(x+2)(x+3)']],
        'minutes' => 6,
        'skills' => ['algebra'],
        'pages' => $on('blank', $piece('algebra_tiles', 370, 160, ['squares' => 1, 'xs' => 5, 'ones' => 6])),
    ],
    [
        'words' => 'Stretch the band round pegs so that it encloses 6 squares, with no side straight across or straight up.',
        'questions' => [$shows('geoboard', 'area', 'An area of 6 squares', '6')],
        'minutes' => 5,
        'skills' => ['area'],
        'pages' => $on('blank', $piece('geoboard', 520, 160, ['pegs' => 7])),
    ],
    [
        'words' => 'Load the spring step by step. What law do you see? Put your readings on the axes of the next page.',
        'questions' => [$number('law', 'Stretch for each newton', '6 mm')],
        'minutes' => 8,
        'skills' => ['Hooke’s law'],
        'pages' => [
            $on('blank', $piece('spring', 600, 100, ['stretch' => 6, 'weight' => 2]))[0],
            [
                'backdrop' => [
                    'kind' => 'axes',
                    'x_from' => 0,
                    'x_to' => 24,
                    'x_step' => 2,
                    'y_from' => 0,
                    'y_to' => 160,
                    'y_step' => 20,
                    'x_label' => 'N',
                    'y_label' => 'mm',
                    'equal' => 0,
                ],
                'objects' => [],
            ],
        ],
    ],
    [
        'words' => 'Lift the 120 N load. How much rope do you pull for each 10 cm, and with what force?',
        'questions' => [$number('force', 'The force', '40 N'), $number('rope', 'Rope for 10 cm', '30 cm')],
        'minutes' => 6,
        'skills' => ['pulleys'],
        'pages' => $on('blank', $piece('pulley', 560, 140, ['ropes' => 3, 'load' => 120])),
    ],
    [
        'words' => 'The club measured how many grams each model bridge carried. Add the last three, 12, 14 and 14, and read off the median.',
        'questions' => [$shows('data_line', 'median', 'The median on the line', '11')],
        'minutes' => 6,
        'skills' => ['statistics'],
        'pages' => $on('blank', $piece('data_line', 380, 160, ['values' => '6, 8, 9, 11, 11'])),
    ],
    [
        'words' => 'Build a warning light that two switches can turn off, each by itself.',
        'questions' => [$shows('circuit', 'state', 'Make the light shine', 'closed')],
        'minutes' => 6,
        'skills' => ['circuits'],
        'pages' => $on('blank', $piece('circuit', 560, 140)),
    ],
    [
        'words' => 'Glue sets in 1 h 35 min. The club glued the deck at 9:50. Turn the clock to when it is firm.',
        'questions' => [$shows('clock', 'hands', 'When it is firm', '11:25')],
        'minutes' => 4,
        'skills' => ['time'],
        'pages' => $on('blank', $piece('clock', 600, 140, ['hours' => 9, 'minutes' => 50])),
    ],
    [
        'words' => 'Sort the lengths of rod: which fit a span of 12 cm, which a span of 18 cm, which both?',
        'questions' => [$shows('venn_sets', 'both', 'Fit both', '2, 3, 6')],
        'minutes' => 5,
        'skills' => ['factors'],
        'pages' => $on(
            'blank',
            $piece('venn_sets', 390, 100, ['names' => 'Fits 12 cm, Fits 18 cm', 'items' => '2, 3, 4, 5, 6, 9, 12, 18']),
        ),
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
        'title' => 'Bridges and Beams: instruments',
        'tags' => ['Year 9', 'pieces'],
        'prompts' => $instruments,
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
