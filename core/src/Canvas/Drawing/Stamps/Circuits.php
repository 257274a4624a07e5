<?php

declare(strict_types=1);

namespace Crag\Canvas\Drawing\Stamps;

/** Electricity: the signs of circuit diagrams, after IEC 60617. */
final class Circuits
{
    public const WORD = 'Circuits';

    /** What each shows, and its lines. */
    public const ART = [
        'cell' => ['Cell', 'M4 50 L42 50 M42 20 L42 80 M58 36 L58 64 M58 50 L96 50'],
        'battery' => [
            'Battery',
            'M2 50 L22 50 M22 20 L22 80 M34 36 L34 64 M66 20 L66 80 M78 36 L78 64 M78 50 L98 50 '.
                'M44 50 L45 50 M55 50 L56 50',
        ],
        'lamp' => [
            'Lamp',
            'M2 50 L24 50 M76 50 L98 50 M24 50 C24 15 76 15 76 50 C76 85 24 85 24 50 Z M32 32 L68 68 '.
                'M68 32 L32 68',
        ],
        'resistor' => ['Resistor', 'M2 50 L20 50 M20 36 L80 36 L80 64 L20 64 Z M80 50 L98 50'],
        'variable_resistor' => [
            'Variable resistor',
            'M2 50 L20 50 M20 36 L80 36 L80 64 L20 64 Z M80 50 L98 50 M26 88 L74 12 M56 16 L75 11 L76 31',
        ],
        'switch' => ['Switch', 'M2 62 L26 62 M74 62 L98 62 M26 62 L68 34'],
        'ammeter' => [
            'Ammeter',
            'M2 50 L20 50 M80 50 L98 50 M20 50 C20 10 80 10 80 50 C80 90 20 90 20 50 Z '.
                'M38 66 L50 34 L62 66 M43 55 L57 55',
        ],
        'voltmeter' => [
            'Voltmeter',
            'M2 50 L20 50 M80 50 L98 50 M20 50 C20 10 80 10 80 50 C80 90 20 90 20 50 Z '.
                'M38 35 L50 67 L62 35',
        ],
        'motor' => [
            'Motor',
            'M2 50 L20 50 M80 50 L98 50 M20 50 C20 10 80 10 80 50 C80 90 20 90 20 50 Z '.
                'M37 66 L37 35 L50 54 L63 35 L63 66',
        ],
    ];
}
