<?php

declare(strict_types=1);

namespace Crag\Prompt\Backdrop;

enum BackdropKind: string
{
    case Blank = 'blank';
    case Squared = 'squared';
    case Dotted = 'dotted';
    case Isometric = 'isometric';
    case Lined = 'lined';
    case Axes = 'axes';
    case NumberLine = 'number-line';
    case Staves = 'staves';
    case Millimetre = 'millimetre';
    case Polar = 'polar';
    case Log = 'log';
    case Timeline = 'timeline';
    case Comparison = 'comparison';
    case Causes = 'causes';
    case Map = 'map';
    case Picture = 'picture';

    public function word(): string
    {
        return match ($this) {
            self::NumberLine => 'Number line',
            self::Staves => 'Music staves',
            self::Picture => 'Picture or PDF page',
            self::Millimetre => 'Graph paper in mm',
            self::Polar => 'Polar paper',
            self::Log => 'Logarithmic paper',
            self::Comparison => 'Comparison table',
            self::Causes => 'Causes and effect',
            self::Map => 'Map outline',
            default => ucfirst($this->value),
        };
    }

    /** @return array<string, string> in which it comes, by key in words: the first is the usual one; none for most */
    public function variants(): array
    {
        return match ($this) {
            self::Staves => [
                'none' => 'without clefs', 'treble' => 'treble clef', 'bass' => 'bass clef', 'piano' => 'for piano',
            ],
            self::Polar => ['by-15' => 'a ray every 15°', 'by-30' => 'a ray every 30°'],
            self::Log => ['one' => 'upwards only', 'both' => 'both ways'],
            self::Timeline => ['of-6' => '6 parts', 'of-4' => '4 parts', 'of-8' => '8 parts', 'of-12' => '12 parts'],
            self::Comparison => ['of-2' => '2 columns', 'of-3' => '3 columns', 'of-4' => '4 columns'],
            self::Causes => ['of-4' => '4 causes', 'of-3' => '3 causes', 'of-6' => '6 causes'],
            self::Map => [
                'world' => 'the world', 'africa' => 'Africa', 'asia' => 'Asia', 'british-isles' => 'British Isles',
                'europe' => 'Europe', 'north-america' => 'North America', 'oceania' => 'Oceania',
                'south-america' => 'South America',
            ],
            default => [],
        };
    }

    /** Whether it comes in sizes. */
    public function hasSizes(): bool
    {
        return in_array($this, [self::Squared, self::Dotted, self::Isometric], true);
    }
}
