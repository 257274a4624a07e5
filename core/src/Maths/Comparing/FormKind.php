<?php

declare(strict_types=1);

namespace Crag\Maths\Comparing;

/** The ways in which a teacher may want an answer written. */
enum FormKind: string
{
    case Any = 'any';
    case Lowest = 'lowest';
    case Mixed = 'mixed';
    case Decimal = 'decimal';
    case Percent = 'percent';
    case Standard = 'standard';
    case Figures = 'figures';
    case Places = 'places';
    case Surd = 'surd';
    case Expanded = 'expanded';

    public function word(): string
    {
        return match ($this) {
            self::Any => 'in any form',
            self::Lowest => 'as a fraction in lowest terms',
            self::Mixed => 'as a mixed number',
            self::Decimal => 'as a decimal',
            self::Percent => 'as a percentage',
            self::Standard => 'as a number from 1 to 10 times a power of ten',
            self::Figures => 'to significant figures',
            self::Places => 'to decimal places',
            self::Surd => 'with the smallest root',
            self::Expanded => 'without brackets',
        };
    }

    /** Whether it says how many digits. */
    public function hasDigits(): bool
    {
        return $this === self::Figures || $this === self::Places;
    }
}
