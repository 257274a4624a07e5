<?php

declare(strict_types=1);

namespace Crag\Canvas\Drawing;

/**
 * The colours and widths that the tray offers; any other colour can be chosen freely. The pens' colours differ in
 * lightness as much as in hue, so that no two look alike to somebody who sees red, green or blue otherwise.
 */
final class Palette
{
    public const PENS = [
        'Slate' => '#25323b',
        'Lake' => '#2272b5',
        'Rust' => '#8f2d1a',
        'Lichen' => '#5f9a3c',
        'Ochre' => '#d99a1f',
        'Heather' => '#4b2a7e',
        'Rose' => '#d0679d',
        'Sky' => '#5aa9d6',
    ];

    /** In tenths of a unit. */
    public const WIDTHS = ['Hair' => 12, 'Fine' => 24, 'Middle' => 40, 'Broad' => 70, 'Broadest' => 120];

    public const HIGHLIGHTERS = ['Yellow' => '#f2d43d', 'Green' => '#8fd16a', 'Blue' => '#7cc7ee', 'Pink' => '#f29ac0'];

    public const NOTES = [
        'Straw' => '#f8e9ae',
        'Leaf' => '#cfe6c3',
        'Mist' => '#cfe3f0',
        'Clay' => '#f3d3cc',
        'Dusk' => '#e4dcf2',
    ];

    /** Of letters, in units. */
    public const SIZES = ['Small' => 26, 'Middle' => 36, 'Large' => 52, 'Largest' => 80];
}
