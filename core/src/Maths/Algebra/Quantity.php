<?php

declare(strict_types=1);

namespace Crag\Maths\Algebra;

use Crag\Maths\Parsing\Digits;
use Crag\Maths\Parsing\Lexer;
use Crag\Maths\Parsing\MathsParser;
use Crag\Maths\Parsing\Node;
use Crag\Maths\Parsing\UnreadableMaths;

/** A number with its unit, or without one, as it was typed. */
final readonly class Quantity
{
    private function __construct(public Node $node, public Value $value, public Unit $unit)
    {
    }

    /** @throws UnreadableMaths */
    public static function read(string $typed): self
    {
        return self::compound($typed) ?? self::single($typed);
    }

    /** "3 m 20 cm", "2 h 30 min": in the first of the units; null where it is nothing like that. */
    private static function compound(string $typed): ?self
    {
        $text = Digits::plain(mb_scrub($typed));
        if (preg_match('/^\s*[-−]?(?:\d+(?:[.,]\d+)?\s*(?:\p{L}+|[£€$¤])\s*(?:and\s+)?){2,4}$/u', $text) !== 1) {
            return null;
        }
        preg_match_all('/([-−]?\d+(?:[.,]\d+)?)\s*(\p{L}+|[£€$¤])/u', $text, $found, PREG_SET_ORDER);
        try {
            $parts = array_map(static fn (array $one): self => self::single("{$one[1]} {$one[2]}"), $found);
        } catch (UnreadableMaths) {
            return null;
        }
        $first = $parts[0];
        $isMinus = $first->value->compareTo(Value::number(0)) < 0;
        $value = $first->value;
        foreach (array_slice($parts, 1) as $part) {
            // Each must be smaller than the one before: "30 min 2 h" is a slip.
            if (! $part->unit->isLike($first->unit) || $part->unit->factor->compareTo($first->unit->factor) >= 0) {
                return null;
            }
            $more = $part->inBase()->dividedBy($first->unit->factor);
            $value = $isMinus ? $value->minus($more) : $value->plus($more);
        }

        return new self($first->node, $value, $first->unit);
    }

    /** @throws UnreadableMaths */
    private static function single(string $typed): self
    {
        [$number, $unit] = self::parted($typed);
        $node = MathsParser::expression($number);
        $value = $node->value();
        if ($value->hasLetters()) {
            throw UnreadableMaths::letters($value->letters()[0]);
        }

        return new self($node, $value, Unit::read($unit));
    }

    /** In base units. */
    public function inBase(): Value
    {
        return $this->value->multipliedBy($this->unit->factor);
    }

    /** @return array{string, string} the number and the unit */
    private static function parted(string $typed): array
    {
        $text = (string) preg_replace(
            [
                '/\\\\(?:text|mathrm)\s*\{([^{}]*)\}/u',
                '/^\s*([\p{L}])\s*=\s*/u',
                '/(?<=\d)\s*[xX]\s*(?=10\s*[\^⁰¹²³⁴⁵⁶⁷⁸⁹⁻])/u',
            ],
            [' $1', '', '*'],
            Lexer::inRadians(Digits::plain(mb_scrub($typed))),
        );
        if (preg_match('/^\s*(-?)\s*([£€$¤])\s*(.*)$/us', $text, $found) === 1) {
            return [$found[1].$found[3], $found[2]];
        }
        // The unit begins with the first letter that is no part of the number.
        $inNumber =
            '(?:[^\p{L}°£€$¤\\\\]|\\\\(?!%)[A-Za-z]+|\\\\.|π|pi(?![\p{L}])|sqrt|cbrt|root|(?:arc|a)?(?:sin|cos|tan)(?!\p{L})|(?:ln|log|exp|abs)(?!\p{L})|(?<!\p{L})e(?!\p{L})|(?<=\d)[eE](?=[-+−]?\d))';
        if (preg_match('/^('.$inNumber.'*)(.*)$/us', $text, $found) !== 1 || trim($found[1]) === '') {
            return [$text, ''];
        }
        // A stroke before the unit belongs to it: "5 /s".
        preg_match('~^(.*?)(\s*/\s*)?$~us', $found[1], $cut);
        $isBare = trim($found[2]) === '';

        return [$isBare ? $found[1] : $cut[1] ?? '', $isBare ? '' : ($cut[2] ?? '').$found[2]];
    }
}
