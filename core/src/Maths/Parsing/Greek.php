<?php

declare(strict_types=1);

namespace Crag\Maths\Parsing;

/** Greek letters by the names that formulas and typed answers call them. */
final class Greek
{
    public const LETTERS = [
        'alpha' => 'α',
        'beta' => 'β',
        'gamma' => 'γ',
        'theta' => 'θ',
        'lambda' => 'λ',
        'mu' => 'μ',
        'rho' => 'ρ',
        'sigma' => 'σ',
        'phi' => 'φ',
        'omega' => 'ω',
        'Delta' => 'Δ',
    ];
}
