<?php

declare(strict_types=1);

namespace Crag\Maths\Algebra;

use Brick\Math\BigRational;
use Crag\Maths\Parsing\UnreadableMaths;

/**
 * A unit as it was written: how many base units it makes, and of what. The SI's units and prefixes (SI Brochure, 9th
 * edition, tables 2, 4, 7 and 8), hours and minutes, litres, tonnes, degrees, three currencies, and ¤ for
 * the school's own ({@see Notation}).
 */
final readonly class Unit
{
    private const PREFIXES = [
        'T' => 12,
        'G' => 9,
        'M' => 6,
        'k' => 3,
        'h' => 2,
        'da' => 1,
        '' => 0,
        'd' => -1,
        'c' => -2,
        'm' => -3,
        'µ' => -6,
        'u' => -6,
        'n' => -9,
        'p' => -12,
    ];

    private const PREFIX_WORDS = [
        'tera' => 'T',
        'giga' => 'G',
        'mega' => 'M',
        'kilo' => 'k',
        'deci' => 'd',
        'centi' => 'c',
        'milli' => 'm',
        'micro' => 'µ',
        'nano' => 'n',
    ];

    /** By sign: how many base units as a fraction, of what, and whether it takes prefixes. */
    private const UNITS = [
        'm' => ['1', ['m' => 1], true],
        'g' => ['1/1000', ['kg' => 1], true],
        's' => ['1', ['s' => 1], true],
        'A' => ['1', ['A' => 1], true],
        'K' => ['1', ['K' => 1], true],
        'mol' => ['1', ['mol' => 1], true],
        'cd' => ['1', ['cd' => 1], true],
        'N' => ['1', ['m' => 1, 'kg' => 1, 's' => -2], true],
        'Pa' => ['1', ['m' => -1, 'kg' => 1, 's' => -2], true],
        'J' => ['1', ['m' => 2, 'kg' => 1, 's' => -2], true],
        'W' => ['1', ['m' => 2, 'kg' => 1, 's' => -3], true],
        'Hz' => ['1', ['s' => -1], true],
        'C' => ['1', ['s' => 1, 'A' => 1], true],
        'V' => ['1', ['m' => 2, 'kg' => 1, 's' => -3, 'A' => -1], true],
        'Ω' => ['1', ['m' => 2, 'kg' => 1, 's' => -3, 'A' => -2], true],
        'F' => ['1', ['m' => -2, 'kg' => -1, 's' => 4, 'A' => 2], true],
        'T' => ['1', ['kg' => 1, 's' => -2, 'A' => -1], true],
        'Wb' => ['1', ['m' => 2, 'kg' => 1, 's' => -2, 'A' => -1], true],
        'l' => ['1/1000', ['m' => 3], true],
        'L' => ['1/1000', ['m' => 3], true],
        't' => ['1000', ['kg' => 1], true],
        'bar' => ['100000', ['m' => -1, 'kg' => 1, 's' => -2], true],
        'eV' => ['801088317/5000000000000000000000000000', ['m' => 2, 'kg' => 1, 's' => -2], true],
        'min' => ['60', ['s' => 1], false],
        'h' => ['3600', ['s' => 1], false],
        'd' => ['86400', ['s' => 1], false],
        'ha' => ['10000', ['m' => 2], false],
        '°' => ['1', ['°' => 1], false],
        'rad' => ['180', ['°' => 1], true],
        '°C' => ['1', ['°C' => 1], false],
        '£' => ['1', ['£' => 1], false],
        'p' => ['1/100', ['£' => 1], false],
        '€' => ['1', ['€' => 1], false],
        '$' => ['1', ['$' => 1], false],
        '¤' => ['1', ['¤' => 1], false],
    ];

    private const WORDS = [
        'metre' => 'm',
        'meter' => 'm',
        'gram' => 'g',
        'gramme' => 'g',
        'second' => 's',
        'sec' => 's',
        'ampere' => 'A',
        'amp' => 'A',
        'kelvin' => 'K',
        'mole' => 'mol',
        'newton' => 'N',
        'pascal' => 'Pa',
        'joule' => 'J',
        'watt' => 'W',
        'hertz' => 'Hz',
        'coulomb' => 'C',
        'volt' => 'V',
        'ohm' => 'Ω',
        'farad' => 'F',
        'tesla' => 'T',
        'litre' => 'l',
        'liter' => 'l',
        'tonne' => 't',
        'minute' => 'min',
        'hour' => 'h',
        'hr' => 'h',
        'day' => 'd',
        'degree' => '°',
        'deg' => '°',
        'radian' => 'rad',
        'hectare' => 'ha',
        'pound' => '£',
        'penny' => 'p',
        'pence' => 'p',
        'euro' => '€',
        'dollar' => '$',
        'celsius' => '°C',
    ];

    /** @param  array<string, int>  $dimension  powers of base units, in order, none of them 0 */
    private function __construct(public string $text, public Value $factor, private array $dimension)
    {
    }

    public static function none(): self
    {
        return new self('', Value::number(1), []);
    }

    /** @throws UnreadableMaths */
    public static function read(string $typed): self
    {
        $text = trim(
            (string) preg_replace(
                '/\s+/u',
                ' ',
                strtr($typed, [
                    'μ' => 'µ',
                    'Ω' => 'Ω',
                    'º' => '°',
                    '℃' => '°C',
                    '°c' => '°C',
                    '−' => '-',
                    '⁻' => '-',
                    '²' => '^2',
                    '³' => '^3',
                    '¹' => '^1',
                    '⁴' => '^4',
                ]),
            ),
        );
        $text = str_replace('-^', '^-', $text);
        $unit = self::none();
        $numerator = 1;
        $isBracketed = false;
        $pattern =
            '/\G\s*(?:(?<slash>\/|per\b)|(?<times>[*·⋅×.])|(?<bracket>[()])|(?<unit>°C|[°£€$¤]|\p{L}+)(?:\^?(?<power>-?\d+))?)/u';
        for ($at = 0; $at < strlen($text); $at += strlen((string) $found[0])) {
            if (preg_match($pattern, $text, $found, PREG_UNMATCHED_AS_NULL, $at) !== 1) {
                throw UnreadableMaths::unit(trim($typed));
            }
            $isBracketed = $found['bracket'] === null ? $isBracketed : $found['bracket'] === '(';
            if ($found['slash'] !== null) {
                $numerator = -1;
            } elseif ($found['unit'] !== null) {
                $named = self::named($found['unit'], $typed);
                foreach ($named as $i => $one) {
                    // A power belongs to the last of two that were written together.
                    $unit = $unit->multipliedBy(
                        $one,
                        $i === count($named) - 1 ? $numerator * (int) ($found['power'] ?? 1) : $numerator,
                    );
                }
                // m/s/s: what follows a stroke directly, or in brackets, stands under it.
                $numerator = $isBracketed ? $numerator : 1;
            }
        }

        return new self($text, $unit->factor, $unit->dimension);
    }

    public function isNone(): bool
    {
        return $this->text === '';
    }

    /** Whether both measure the same kind of thing. */
    public function isLike(self $other): bool
    {
        return $this->dimension === $other->dimension;
    }

    /** Whether both are the same unit, however they are written. */
    public function is(self $other): bool
    {
        return $this->isLike($other) && $this->factor->equals($other->factor);
    }

    private function multipliedBy(self $other, int $power): self
    {
        $dimension = $this->dimension;
        foreach ($other->dimension as $base => $n) {
            $dimension[$base] = ($dimension[$base] ?? 0) + $n * $power;
        }
        $dimension = array_filter($dimension);
        ksort($dimension);

        return new self('', $this->factor->multipliedBy($other->factor->power(Value::number($power))), $dimension);
    }

    /**
     * One unit, or two that were written without a space.
     *
     * @return non-empty-list<self>
     *
     * @throws UnreadableMaths
     */
    private static function named(string $name, string $typed): array
    {
        $one = self::single($name);
        if ($one !== null) {
            return [$one];
        }
        // Kg is meant as a mass, and not as kelvin times grams.
        $other = str_starts_with($name, 'K') ? self::inAnyCase($name) : null;
        if ($other !== null) {
            return [$other];
        }
        for ($cut = mb_strlen($name) - 1; $cut > 0; $cut--) {
            [$first, $second] = [self::single(mb_substr($name, 0, $cut)), self::single(mb_substr($name, $cut))];
            if ($first !== null && $second !== null) {
                return [$first, $second];
            }
        }

        return [self::inAnyCase($name) ?? throw UnreadableMaths::unit(trim($typed))];
    }

    /** KG is kg, since nothing else is written so; where small and large letters differ it is not guessed. */
    private static function inAnyCase(string $name): ?self
    {
        $small = mb_strtolower($name);
        $found = [];
        foreach (self::UNITS as $sign => [, , $takesPrefix]) {
            foreach ($takesPrefix ? self::PREFIXES : ['' => 0] as $prefix => $tens) {
                if (mb_strtolower($prefix.$sign) === $small) {
                    $found["{$prefix}{$sign}"] = self::of($sign, $tens);
                }
            }
        }
        $one = array_values($found)[0] ?? null;
        foreach ($found as $other) {
            if ($one === null || ! $one->is($other)) {
                return null;
            }
        }

        // What reads as two units as well, like NM, is not guessed either.
        return $small === 'nm' ? null : $one;
    }

    private static function single(string $name): ?self
    {
        if (isset(self::UNITS[$name])) {
            return self::of($name, 0);
        }
        foreach (self::PREFIXES as $prefix => $tens) {
            $rest = $prefix !== '' && str_starts_with($name, $prefix) ? substr($name, strlen($prefix)) : '';
            if (isset(self::UNITS[$rest]) && self::UNITS[$rest][2]) {
                return self::of($rest, $tens);
            }
        }

        return self::inWords(mb_strtolower($name));
    }

    private static function inWords(string $name): ?self
    {
        $prefixes = array_map(static fn (string $sign): int => self::PREFIXES[$sign], self::PREFIX_WORDS);
        foreach (['' => 0] + $prefixes as $prefix => $tens) {
            if (! str_starts_with($name, (string) $prefix)) {
                continue;
            }
            $word = substr($name, strlen((string) $prefix));
            $sign =
                self::WORDS[$word] ?? (str_ends_with($word, 's') ? self::WORDS[substr($word, 0, -1)] ?? null : null);
            if ($sign !== null) {
                return self::of($sign, $tens);
            }
        }

        return null;
    }

    private static function of(string $sign, int $tens): self
    {
        [$base, $dimension] = self::UNITS[$sign];
        $factor = Value::number(
            BigRational::of($base)->multipliedBy(
                $tens < 0
                    ? BigRational::of(10)
                        ->power(-$tens)
                        ->reciprocal()
                    : BigRational::of(10)->power($tens),
            ),
        );

        // A radian is 180/π degrees.
        return new self('', $sign === 'rad' ? $factor->dividedBy(Value::letter('π')) : $factor, $dimension);
    }
}
