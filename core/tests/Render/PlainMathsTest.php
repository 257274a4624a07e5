<?php

declare(strict_types=1);

namespace Crag\Tests\Render;

use Crag\Render\PlainMaths;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class PlainMathsTest extends TestCase
{
    /** @return iterable<array{string, string}> */
    public static function formulas(): iterable
    {
        yield ['What is $\frac{1}{2}$ of 8?', 'What is 1/2 of 8?'];
        yield ['$\frac{a+b}{\sqrt{2}}$', '(a+b)/√2'];
        yield ['$x^{2} + x^3 - y^{n+1}$', 'x² + x³ - y^(n+1)'];
        yield ['$F = 3 \times 10^{-4}\,\text{N m}$', 'F = 3 × 10⁻⁴ N m'];
        yield ['$\sqrt[3]{8} \le \pi$ and $45^\circ$', '∛8 ≤ π and 45°'];
        yield ['No maths, £5 and $3', 'No maths, £5 and $3'];
        yield ['$\frac{{4}}{x_{12}}$', '4/x_12'];
    }

    #[DataProvider('formulas')]
    public function test_formulas_are_written_in_letters(string $words, string $plain): void
    {
        self::assertSame($plain, PlainMaths::words($words));
    }
}
