<?php

declare(strict_types=1);

namespace Crag\Maths\Plotting;

use Crag\Maths\Parsing\Node;
use Crag\Maths\Parsing\NodeKind;

/** What an expression is worth, in floating-point numbers; null where it is not defined. */
final class NumberAt
{
    private const LARGEST = 1e12;

    public const CONSTANTS = ['π' => M_PI, 'e' => M_E];

    /**
     * @param  array<string, float>  $letters  what its letters stand for
     * @param  bool  $inDegrees  whether angles are degrees, and not radians
     */
    public static function of(Node $node, array $letters, bool $inDegrees = false): ?float
    {
        $parts = [];
        foreach ($node->parts as $part) {
            $value = self::of($part, $letters, $inDegrees);
            if ($value === null) {
                return null;
            }
            $parts[] = $value;
        }
        $value = match ($node->sign) {
            NodeKind::Number => $node->numeral?->value->toFloat(),
            NodeKind::Letter => $letters[$node->letter] ?? self::CONSTANTS[$node->letter] ?? null,
            NodeKind::Mixed, NodeKind::Sum => array_sum($parts),
            NodeKind::Product => array_product($parts),
            NodeKind::Negative => -$parts[0],
            NodeKind::Quotient => abs($parts[1]) < 1e-300 ? null : $parts[0] / $parts[1],
            NodeKind::Power => self::power($parts[0], $parts[1]),
            NodeKind::Root => self::root($parts[0], $node->order),
            NodeKind::Percent => $parts[0] / 100,
            // Nobody plots them.
            NodeKind::Factorial, NodeKind::Binomial => null,
            NodeKind::Logarithm => self::logarithm($parts[0], $parts[1]),
            NodeKind::Called => self::called($node->letter, $parts[0], $inDegrees ? M_PI / 180 : 1),
        };

        return $value === null || is_nan($value) || abs($value) > self::LARGEST ? null : (float) $value;
    }

    /** @param  float  $radians  in the unit in which angles are counted */
    private static function called(string $name, float $of, float $radians): ?float
    {
        return match ($name) {
            'sin' => sin($of * $radians),
            'cos' => cos($of * $radians),
            // Where the cosine is nought there is none.
            'tan' => abs(cos($of * $radians)) < 1e-12 ? null : tan($of * $radians),
            'asin' => abs($of) > 1 ? null : asin($of) / $radians,
            'acos' => abs($of) > 1 ? null : acos($of) / $radians,
            'atan' => atan($of) / $radians,
            'ln' => $of <= 0 ? null : log($of),
            'log' => $of <= 0 ? null : log10($of),
            'exp' => exp($of),
            'abs' => abs($of),
            default => null,
        };
    }

    private static function logarithm(float $of, float $base): ?float
    {
        return $of <= 0 || $base <= 0 || abs(log($base)) < 1e-12 ? null : log($of) / log($base);
    }

    private static function power(float $base, float $exponent): ?float
    {
        // Of a negative number only whole powers are told.
        return ($base < 0 && floor($exponent) !== $exponent) || ($base === 0.0 && $exponent < 0)
            ? null
            : $base ** $exponent;
    }

    private static function root(float $of, int $order): ?float
    {
        if ($of < 0) {
            return $order % 2 === 1 ? -((-$of) ** (1 / $order)) : null;
        }

        return $of ** (1 / $order);
    }
}
