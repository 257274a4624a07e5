<?php

declare(strict_types=1);

namespace Crag\Maths\Algebra;

use Crag\Maths\Parsing\Digits;
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
            Digits::plain(mb_scrub($typed)),
        );
        if (preg_match('/^\s*(-?)\s*([£€$])\s*(.*)$/us', $text, $found) === 1) {
            return [$found[1].$found[3], $found[2]];
        }
        // The unit begins with the first letter that is no part of the number.
        $inNumber =
            '(?:[^\p{L}°£€$\\\\]|\\\\(?!%)[A-Za-z]+|\\\\.|π|pi(?![\p{L}])|sqrt|cbrt|root|(?<=\d)[eE](?=[-+−]?\d))';
        if (preg_match('/^('.$inNumber.'*)(.*)$/us', $text, $found) !== 1 || trim($found[1]) === '') {
            return [$text, ''];
        }
        // A stroke before the unit belongs to it: "5 /s".
        preg_match('~^(.*?)(\s*/\s*)?$~us', $found[1], $cut);
        $isBare = trim($found[2]) === '';

        return [$isBare ? $found[1] : $cut[1] ?? '', $isBare ? '' : ($cut[2] ?? '').$found[2]];
    }
}
