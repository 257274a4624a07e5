<?php

declare(strict_types=1);

namespace Crag\Maths\Plotting;

use Crag\Maths\Parsing\Node;
use Crag\Maths\Parsing\NodeKind;

/** What an expression is worth, in floating-point numbers; null where it is not defined. */
final class NumberAt
{
    private const LARGEST = 1e12;

    /** @param  array<string, float>  $letters  what its letters stand for */
    public static function of(Node $node, array $letters): ?float
    {
        $parts = [];
        foreach ($node->parts as $part) {
            $value = self::of($part, $letters);
            if ($value === null) {
                return null;
            }
            $parts[] = $value;
        }
        $value = match ($node->sign) {
            NodeKind::Number => $node->numeral?->value->toFloat(),
            NodeKind::Letter => $node->letter === 'π' ? M_PI : $letters[$node->letter] ?? null,
            NodeKind::Mixed, NodeKind::Sum => array_sum($parts),
            NodeKind::Product => array_product($parts),
            NodeKind::Negative => -$parts[0],
            NodeKind::Quotient => abs($parts[1]) < 1e-300 ? null : $parts[0] / $parts[1],
            NodeKind::Power => self::power($parts[0], $parts[1]),
            NodeKind::Root => self::root($parts[0], $node->order),
            NodeKind::Percent => $parts[0] / 100,
        };

        return $value === null || is_nan($value) || abs($value) > self::LARGEST ? null : (float) $value;
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
