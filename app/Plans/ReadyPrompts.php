<?php

declare(strict_types=1);

namespace App\Plans;

use Crag\Json\Fields;
use Crag\Plan\PlanPrompt;
use Crag\Plan\PromptPages;

/** Prompts that are there from the beginning, to be put into a plan and changed at will. */
final class ReadyPrompts
{
    /** @return array<string, array{string, string}> by key: the title, and what it is for */
    public function all(): array
    {
        return [
            'squared' => [__('Blank squared page'), __('Just space')],
            'tools' => [__('Try out the tools'), __('Small tasks that tick themselves, for a first lesson')],
            'sketch' => [__('Sketch it and explain it'), __('A drawing on the left, words on the right')],
            'three-two-one' => [__('Three, two, one'), __('For the end of a lesson')],
            'snapshot' => [__('Your work at the time'), __('A photo from the exercise book, and words')],
            'odd-one' => [
                __('Which is the odd one out?'),
                __('Four things, each with a case for being the odd one out'),
            ],
            'slip' => [__('Find the slip'), __('A worked answer with one mistake')],
            'agree' => [__('Agree or disagree'), __('A claim, a side to take, and reasons')],
            'order' => [__('Order these'), __('Pieces to be moved into an order')],
            'times' => [__('Times tables'), __('Other numbers for each student')],
            'fractions' => [__('Adding fractions'), __('Other numbers for each student')],
            'linear' => [__('Solving ax + b = c'), __('Other numbers for each student')],
            'moments' => [__('Moments about a support'), __('A beam with other loads for each student')],
            'level' => [__('Make the beam level'), __('Loads to hang on a beam that tips')],
            'bags' => [__('Bags on a balance'), __('An equation to be solved by taking away')],
            'shade' => [__('Shade a fraction'), __('Another fraction for each student')],
            'median' => [__('Read off the median'), __('Values on a line, to be added to')],
        ];
    }

    public function prompt(string $key): PreparedPrompt
    {
        [$prompt, $page] = match ($key) {
            'squared' => [[], self::page('squared')],
            'tools' => $this->tools(),
            'sketch' => [
                ['words' => __('Sketch it on the left. Explain it in words on the right.')],
                self::page('blank', [
                    self::line(800, 60, 0, 880),
                    self::text(60, 50, __('Sketch'), 30),
                    self::text(860, 50, __('In words'), 30),
                ]),
            ],
            'three-two-one' => [
                [
                    'words' => __(
                        'Three things you know now, two you could tell a friend, one question you still have.',
                    ),
                    'minutes' => 5,
                ],
                self::page('lined', [
                    self::text(60, 50, __('3 things I know now'), 34),
                    self::text(60, 420, __('2 things I could tell a friend'), 34),
                    self::text(60, 700, __('1 question I still have'), 34),
                ]),
            ],
            'snapshot' => [
                [
                    'words' => __(
                        'Take a photo of your work and put it on the page. Then write: what went well, and where did you get stuck?',
                    ),
                    'tray' => [
                        'kind' => 'standard',
                        'tools' => [
                            'pen',
                            'highlighter',
                            'eraser',
                            'move',
                            'shapes',
                            'text',
                            'note',
                            'stamps',
                            'picture',
                            'pages',
                        ],
                    ],
                ],
                self::page('blank', [
                    self::box(60, 90, 940, 820),
                    self::text(80, 40, __('Your photo'), 30),
                    self::text(1060, 40, __('In words'), 30),
                ]),
            ],
            'odd-one' => $this->oddOne(),
            'slip' => $this->slip(),
            'agree' => $this->agree(),
            'order' => $this->order(),
            'times' => $this->times(),
            'fractions' => $this->fractions(),
            'linear' => $this->linear(),
            'moments' => $this->moments(),
            'level' => self::withPiece(__('Hang loads on both sides so that the beam is level.'), [
                self::shows('loaded_beam', 'balance', __('Make the beam level'), 'balanced'),
            ], 'loaded_beam', 400, ['arms' => 6]),
            'bags' => self::withPiece(
                __('Every bag holds the same. Take the same from both sides until one bag is alone. What does it hold?'),
                [self::number('x', 'x =', '4'), self::shows('balance', 'left', __('One bag alone on the left'), 'x')],
                'balance',
                400,
                ['left' => '2x + 3', 'right' => '11', 'x' => 4],
            ),
            'shade' => self::withPiece(
                __('Shade {a: 1..7; a < b}/{b: 3..9} of the bar.'),
                [self::shows('fraction_bar', 'shaded', __('On the bar'), '{a}/{b}')],
                'fraction_bar',
                500,
                ['parts' => '{b}'],
            ),
            'median' => self::withPiece(
                __('Add the values 7, 9 and 15, and read off the median.'),
                [self::shows('data_line', 'median', __('The median'), '9')],
                'data_line',
                380,
                ['values' => '4, 8, 9, 10'],
            ),
            default => abort(422, __('There is no such prompt.')),
        };

        return new PreparedPrompt(PlanPrompt::read(new Fields($prompt + ['words' => ''])), PromptPages::read([$page]));
    }

    /** @return array{array<string, mixed>, array<string, mixed>} */
    private function tools(): array
    {
        $tasks = [];
        foreach (['pen', 'colour', 'shape', 'stamp', 'text', 'page', 'hand', 'send'] as $kind) {
            $tasks[] = ['do' => $kind, 'words' => '', 'with' => ''];
        }

        return [
            [
                'words' => __('Try out the tools. You can’t go wrong: Undo takes anything back.'),
                'minutes' => 5,
                'tasks' => $tasks,
            ],
            self::page('dotted', [
                self::text(60, 60, __('Draw a bridge of your own. Each task ticks itself when you’ve done it.'), 30),
                self::box(1200, 640, 300, 220),
            ]),
        ];
    }

    /** @return array{array<string, mixed>, array<string, mixed>} */
    private function oddOne(): array
    {
        $objects = [];
        foreach (
            [
                [__('A door'), 120, 150],
                [__('A seesaw'), 860, 150],
                [__('A wheelbarrow'), 120, 560],
                [__('A shelf'), 860, 560],
            ] as [$words, $x, $y]
        ) {
            array_push($objects, self::box($x, $y, 620, 340), self::text($x + 24, $y + 20, $words, 36));
        }

        return [
            ['words' => __('Which is the odd one out? Ring one and say why. There is more than one good answer.')],
            self::page('blank', $objects),
        ];
    }

    /** @return array{array<string, mixed>, array<string, mixed>} */
    private function slip(): array
    {
        $lines = [__('A 30 N load hangs 2 m from the pivot.'), __('moment = force × distance'), '= 30 × 2', '= 32 N m'];
        $objects = [];
        foreach ($lines as $i => $line) {
            $objects[] = self::text(120, 160 + 130 * $i, $line, 44);
        }

        return [
            [
                'words' => __(
                    'There’s one slip in this answer. Ring it, put it right, and say how it might have happened.',
                ),
                'look_for' => [
                    'steps' => [__('rings the last line'), __('multiplies instead of adding')],
                    'words' => [],
                    'slips' => [],
                ],
            ],
            self::page('squared', $objects),
        ];
    }

    /** @return array{array<string, mixed>, array<string, mixed>} */
    private function agree(): array
    {
        $options = [
            ['id' => 'yes', 'words' => __('I agree')],
            ['id' => 'no', 'words' => __('I disagree')],
            ['id' => 'depends', 'words' => __('It depends')],
        ];

        return [
            [
                'words' => __(
                    '“The longer the plank, the more it can carry.” Take a side and give your reasons on the page.',
                ),
                'questions' => [
                    [
                        'id' => 'side',
                        'kind' => 'choice',
                        'words' => '',
                        'spot' => null,
                        'options' => $options,
                        'right' => [],
                        'shuffle' => false,
                    ],
                ],
            ],
            self::page('lined'),
        ];
    }

    /** @return array{array<string, mixed>, array<string, mixed>} */
    private function order(): array
    {
        $objects = [
            self::line(120, 780, 1360, 0),
            self::text(120, 810, __('smallest'), 30),
            self::text(1340, 810, __('largest'), 30),
        ];
        foreach (['1.2 kN', '240 N', '0.5 kN', '2400 N', '24 N'] as $i => $words) {
            $objects[] = self::piece(120 + 290 * $i, 200 + 90 * ($i % 2), $words);
        }

        return [['words' => __('Put the pieces in order, smallest first.')], self::page('blank', $objects)];
    }

    /** @return array{array<string, mixed>, array<string, mixed>} */
    private function times(): array
    {
        $questions = [];
        foreach (
            [
                ['{a: 2..12} × {b: 2..12}', '{a*b}'],
                ['{c: 2..12} × {d: 2..12; c ≠ a}', '{c*d}'],
                ['{f*g} ÷ {f: 2..12}', '{g}'],
                ['{h: 2..12} × {g: 2..12}', '{g*h}'],
            ] as $i => [$words, $right]
        ) {
            $questions[] = self::number("q{$i}", $words, $right);
        }

        return [
            [
                'words' => __('Times tables: everyone has their own numbers.'),
                'questions' => $questions,
                'points' => 4,
                'skills' => [__('times tables')],
            ],
            self::page('squared'),
        ];
    }

    /** @return array{array<string, mixed>, array<string, mixed>} */
    private function fractions(): array
    {
        return [
            [
                'words' => __('Work out').
                    ' $\frac{{a: 1..4}}{{b: 3..9; b > a}} + \frac{{c: 1..4}}{{d: 3..9; d > c; b ≠ d}}$. '.
                    __('Show each step.'),
                'questions' => [
                    self::number('sum', __('As a fraction in lowest terms'), '{a/b + c/d}', [
                        'form' => ['kind' => 'lowest', 'digits' => 0],
                    ]),
                ],
                'points' => 2,
                'skills' => [__('fractions')],
                'look_for' => [
                    'steps' => [__('finds a common denominator'), __('adds the numerators')],
                    'words' => [],
                    'slips' => [__('adds the denominators')],
                ],
            ],
            self::page('squared'),
        ];
    }

    /** @return array{array<string, mixed>, array<string, mixed>} */
    private function linear(): array
    {
        return [
            [
                'words' => __('Solve').' {a: 2..9}x + {b: 1..20} = {c = a*x + b; x: -6..9; x ≠ 0}. '.__('Show each step.'),
                'questions' => [self::number('x', 'x =', '{x}')],
                'points' => 2,
                'skills' => [__('equations')],
                'look_for' => [
                    'steps' => [__('does the same to both sides')],
                    'words' => [],
                    'slips' => [__('divides before subtracting')],
                ],
            ],
            self::page('squared'),
        ];
    }

    /** @return array{array<string, mixed>, array<string, mixed>} */
    private function moments(): array
    {
        $beam = [
            self::line(200, 420, 1200, 0, 80),
            [
                'object' => [
                    'type' => 'triangle',
                    'x' => 7000,
                    'y' => 4240,
                    'w' => 1400,
                    'h' => 1200,
                    'colour' => '#25323b',
                    'width' => 40,
                    'filled' => false,
                ],
            ],
            [
                'object' => [
                    'type' => 'arrow',
                    'x' => 2600,
                    'y' => 4200,
                    'w' => 0,
                    'h' => 2000,
                    'colour' => '#a8452e',
                    'width' => 60,
                    'filled' => false,
                ],
            ],
            self::text(220, 640, __('load'), 34),
            [
                'object' => [
                    'type' => 'arrow',
                    'x' => 13400,
                    'y' => 4200,
                    'w' => 0,
                    'h' => 2000,
                    'colour' => '#2c6e8f',
                    'width' => 60,
                    'filled' => false,
                ],
            ],
            self::text(1330, 640, 'F', 34),
        ];

        return [
            [
                'words' => __(
                    'A beam rests on a pivot. A load of {f: 60..300 step 20} N hangs {a: 1..4} m left of it. What force F, {b: 1..4; b ≠ a} m right of the pivot, keeps it level?',
                ),
                'questions' => [
                    self::number('force', 'F =', '{f*a/b} N', ['tolerance' => ['kind' => 'percent', 'most' => '1']]),
                ],
                'points' => 3,
                'skills' => [__('moments')],
                'look_for' => [
                    'steps' => [__('draws both forces'), __('takes moments about the pivot')],
                    'words' => [__('moment'), __('pivot')],
                    'slips' => [__('sets the forces equal')],
                ],
            ],
            self::page('squared', $beam),
        ];
    }

    /**
     * @param  array<string, mixed>  $more
     * @return array<string, mixed>
     */
    private static function number(string $id, string $words, string $right, array $more = []): array
    {
        return $more + ['id' => $id, 'kind' => 'number', 'words' => $words, 'spot' => null, 'right' => $right];
    }

    /** @return array<string, mixed> */
    private static function shows(string $piece, string $fact, string $words, string $right): array
    {
        return ['id' => str_replace('_', '-', "{$piece}-{$fact}"), 'kind' => 'state', 'words' => $words, 'spot' => null] +
            ['piece' => $piece, 'fact' => $fact, 'right' => $right];
    }

    /**
     * One piece on an empty page.
     *
     * @param  list<array<string, mixed>>  $questions
     * @param  array<string, int|string>  $settings
     * @return array{array<string, mixed>, array<string, mixed>}
     */
    private static function withPiece(string $words, array $questions, string $kind, int $x, array $settings): array
    {
        $piece = ['type' => 'manipulative', 'kind' => $kind, 'x' => $x * 10, 'y' => 2000, 'settings' => $settings];

        return [['words' => $words, 'questions' => $questions], self::page('blank', [['object' => $piece]])];
    }

    /**
     * @param  list<array<string, mixed>>  $objects
     * @return array<string, mixed>
     */
    private static function page(string $backdrop, array $objects = []): array
    {
        return [
            'backdrop' => ['kind' => $backdrop] + (in_array($backdrop, ['squared', 'dotted'], true) ? ['size' => 'middle'] : []),
            'objects' => $objects,
        ];
    }

    /** @return array<string, mixed> */
    private static function text(int $x, int $y, string $words, int $size): array
    {
        return [
            'object' => [
                'type' => 'text',
                'x' => $x * 10,
                'y' => $y * 10,
                'w' => (int) min(14_000, mb_strlen($words) * $size * 6),
                'size' => $size,
                'colour' => '#25323b',
                'align' => 'start',
                'fixed' => false,
                'text' => $words,
            ],
        ];
    }

    /** @return array<string, mixed> */
    private static function box(int $x, int $y, int $w, int $h): array
    {
        return [
            'object' => [
                'type' => 'rectangle',
                'x' => $x * 10,
                'y' => $y * 10,
                'w' => $w * 10,
                'h' => $h * 10,
                'colour' => '#25323b',
                'width' => 20,
                'filled' => false,
            ],
        ];
    }

    /** @return array<string, mixed> */
    private static function line(int $x, int $y, int $w, int $h, int $width = 30): array
    {
        return [
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
    }

    /** @return array<string, mixed> words on a note, to be moved */
    private static function piece(int $x, int $y, string $words): array
    {
        return [
            'object' => [
                'type' => 'piece',
                'alt' => $words,
                'locked' => false,
                'stack' => false,
                'of' => [
                    'type' => 'note',
                    'x' => $x * 10,
                    'y' => $y * 10,
                    'w' => 2200,
                    'h' => 1000,
                    'size' => 36,
                    'colour' => '#f8e9ae',
                    'text' => $words,
                ],
            ],
        ];
    }
}
