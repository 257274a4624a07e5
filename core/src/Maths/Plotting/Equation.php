<?php

declare(strict_types=1);

namespace Crag\Maths\Plotting;

use Closure;
use Crag\Json\UnreadableFields;
use Crag\Maths\Parsing\MathsParser;
use Crag\Maths\Parsing\Node;
use Crag\Maths\Parsing\NodeKind;
use Crag\Maths\Parsing\UnreadableMaths;

/**
 * A line that says what holds on axes: "y = 2x − 1" or the right side alone; in pieces, "y = x for x < 1; 2 − x for
 * 1 ≤ x < 3"; "x = 3"; "y ≤ x + 1". Letters beside x are given numbers with "with a = 2, b = 1"; angles are radians, or
 * degrees where it ends with "in degrees".
 */
final readonly class Equation
{
    public const LONGEST = 80;

    public const HOW = 'Write it like y = 2x + 1, x = 3, y < x², tangent x² at 1, or area x² from 0 to 2.';

    /** A number as it is typed beside an expression. */
    public const NUMBER = '[−\-]?[0-9.\/]+';

    /** A number that is written beside a graph has so many decimals at most. */
    private const DECIMALS = 3;

    /** What a number is called that is to be tried out. */
    private const LETTERS = 'abcdkmnpq';

    private const MOST_LETTERS = 4;

    /** @param  array<string, float>  $letters */
    private function __construct(public string $typed, public array $letters, public bool $inDegrees)
    {
    }

    /** @throws UnreadableFields */
    public static function read(string $typed): self
    {
        $typed = trim($typed);
        if ($typed === '' || mb_strlen($typed) > self::LONGEST) {
            throw UnreadableFields::saying(self::HOW);
        }
        $letters = [];
        if (preg_match('/\A(.*)\bwith\b(.*)\z/u', $typed, $found) === 1) {
            $typed = trim($found[1]);
            foreach (explode(',', $found[2]) as $one) {
                if (preg_match('/\A\s*([a-z])\s*=\s*('.self::NUMBER.')\s*\z/u', $one, $set) !== 1) {
                    throw UnreadableFields::saying('Give letters numbers like this: with a = 2, b = −1.');
                }
                $letters[$set[1]] = self::number($set[2]);
            }
        }

        $inDegrees = preg_match('/\A(.+?)\s+in degrees\z/u', $typed, $found) === 1;

        return new self($inDegrees ? $found[1] : $typed, $letters, $inDegrees);
    }

    /** The same with 1 for each letter that has no number yet, where they are few and such as one calls a number. */
    public function begun(): self
    {
        $isWords = preg_match('/\A(tangent|area)\b/u', $this->typed) === 1;
        $plain = (string) preg_replace('/\b(for|a?(sin|cos|tan)|ln|log|exp|abs|sqrt|pi)/u', '', $this->typed);
        preg_match_all('/['.self::LETTERS.']/u', $isWords ? '' : $plain, $found);
        $unknown = array_diff(array_unique($found[0]), array_keys($this->letters));

        return count($unknown) > self::MOST_LETTERS
            ? $this
            : new self($this->typed, $this->letters + array_fill_keys($unknown, 1.0), $this->inDegrees);
    }

    /**
     * What is said of what: "y" or "x", the sign, and the right side.
     *
     * @return array{string, string, string}
     *
     * @throws UnreadableFields
     */
    public function related(): array
    {
        $left = '(y|x|[fgh]\s*\(\s*x\s*\))';
        if (preg_match('/\A'.$left.'\s*(=|<=|>=|≤|≥|<|>)\s*(.+)\z/ui', $this->typed, $found) !== 1) {
            return ['y', '=', $this->typed];
        }
        [$of, $sign] = [mb_strtolower($found[1]), strtr($found[2], ['<=' => '≤', '>=' => '≥'])];
        if ($of !== 'y' && $of !== 'x' && $sign !== '=') {
            throw UnreadableFields::saying(self::HOW);
        }

        return [$of === 'x' ? 'x' : 'y', $sign, $found[3]];
    }

    /**
     * A function in pieces, each where it is said to hold.
     *
     * @return Closure(float): ?float
     */
    public function pieces(string $typed): Closure
    {
        $pieces = [];
        foreach (explode(';', $typed) as $one) {
            $isBounded = preg_match('/\A(.+?)\s+for\s+(.+)\z/u', trim($one), $found) === 1;
            $pieces[] = [
                $this->function($isBounded ? $found[1] : trim($one)),
                $isBounded ? self::domain($found[2]) : static fn (float $x): bool => true,
            ];
        }

        return static function (float $x) use ($pieces): ?float {
            foreach ($pieces as [$function, $holds]) {
                if ($holds($x)) {
                    return $function($x);
                }
            }

            return null;
        };
    }

    /** @return Closure(float): bool */
    private static function domain(string $typed): Closure
    {
        $number = '('.self::NUMBER.')';
        $less = '\s*(<=|≤|<)\s*';
        if (preg_match('/\A'.$number.$less.'x'.$less.$number.'\z/u', trim($typed), $found) === 1) {
            [$from, $to] = [self::number($found[1]), self::number($found[4])];
            [$isOpen, $isOpenToo] = [$found[2] === '<', $found[3] === '<'];

            return static fn (float $x): bool => ($isOpen ? $x > $from : $x >= $from) &&
                ($isOpenToo ? $x < $to : $x <= $to);
        }
        if (preg_match('/\Ax\s*(<=|≤|<|>=|≥|>)\s*'.$number.'\z/u', trim($typed), $found) === 1) {
            $at = self::number($found[2]);

            return match ($found[1]) {
                '<' => static fn (float $x): bool => $x < $at,
                '>' => static fn (float $x): bool => $x > $at,
                '<=', '≤' => static fn (float $x): bool => $x <= $at,
                default => static fn (float $x): bool => $x >= $at,
            };
        }
        throw UnreadableFields::saying('Say where it holds like this: for x < 2, or for −1 ≤ x < 3.');
    }

    /**
     * Whether two lines say the same graph, however they are written: looked at in many places. What was constructed by
     * hand ("≈") may be a few hundredths off.
     */
    public static function areSame(string $one, string $other): bool
    {
        if ($one === $other) {
            return $one !== '';
        }
        try {
            [$first, $second] = [self::read(self::typed($one)), self::read(self::typed($other))];
            [$of, $sign, $right] = $first->related();
            [$ofToo, $signToo, $rightToo] = $second->related();
            if ($of !== $ofToo || $sign !== $signToo) {
                return false;
            }
            $isUpright = $of === 'x';
            $a = $isUpright ? $first->function($right, '') : $first->pieces($right);
            $b = $isUpright ? $second->function($rightToo, '') : $second->pieces($rightToo);
        } catch (UnreadableFields) {
            return false;
        }
        $loose = str_contains("{$one}{$other}", '≈') ? 0.03 : 1e-6;
        for ($i = -20; $i <= 20; $i++) {
            $x = $i * 0.47;
            [$y, $z] = [$a($x), $b($x)];
            if (($y === null) !== ($z === null) || abs(($y ?? 0) - ($z ?? 0)) > $loose * (1 + abs($x) + abs($y ?? 0))) {
                return false;
            }
        }

        return true;
    }

    /** A line as it stands beside its graph, as it was typed: ", a = 2" was "with a = 2". */
    private static function typed(string $written): string
    {
        $typed = strtr($written, ['≈' => '=']);

        return (string) preg_replace('/, ([a-z] = )/u', ' with $1', $typed, 1);
    }

    /** A slope and a start as one writes them: 4x − 4, −x, 3. */
    public static function linear(float $slope, float $start): string
    {
        [$m, $c] = [self::decimal($slope), self::decimal(abs($start))];
        $x = $m === '0' ? '' : (in_array($m, ['1', '−1'], true) ? rtrim($m, '1') : $m).'x';
        if ($c === '0') {
            return $x === '' ? '0' : $x;
        }

        return $x === '' ? self::decimal($start) : $x.($start < 0 ? ' − ' : ' + ').$c;
    }

    public static function decimal(float $value): string
    {
        $digits = rtrim(rtrim(number_format(abs($value), self::DECIMALS, '.', ''), '0'), '.');

        return $value < 0 && $digits !== '0' ? "−{$digits}" : $digits;
    }

    /**
     * An expression as a function of one letter.
     *
     * @return Closure(float): ?float
     *
     * @throws UnreadableFields
     */
    public function function(string $typed, string $of = 'x'): Closure
    {
        try {
            $node = MathsParser::expression(trim($typed));
        } catch (UnreadableMaths $problem) {
            throw UnreadableFields::saying($problem->getMessage());
        }
        $known = [$of, ...array_keys(NumberAt::CONSTANTS), ...array_keys($this->letters)];
        $isStrange = $node->holds(
            static fn (Node $one): bool => $one->is(NodeKind::Letter) && ! in_array($one->letter, $known, true),
        );
        if ($isStrange) {
            throw UnreadableFields::saying(self::HOW);
        }
        [$letters, $inDegrees] = [$this->letters, $this->inDegrees];

        return static fn (float $x): ?float => NumberAt::of($node, [$of => $x] + $letters, $inDegrees);
    }

    /** @throws UnreadableFields */
    public static function number(string $typed): float
    {
        try {
            return NumberAt::of(MathsParser::expression($typed), []) ?? throw UnreadableFields::saying(self::HOW);
        } catch (UnreadableMaths) {
            throw UnreadableFields::saying(self::HOW);
        }
    }
}
