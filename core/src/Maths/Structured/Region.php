<?php

declare(strict_types=1);

namespace Crag\Maths\Structured;

use Crag\Maths\Algebra\Value;
use Crag\Maths\Parsing\MathsParser;
use Crag\Maths\Parsing\Node;
use Crag\Maths\Parsing\UnreadableMaths;

/**
 * What inequalities or an interval allow: for one letter in which they are linear, the intervals between bounds; in all
 * other cases the inequalities themselves, each a difference that is above zero.
 */
final readonly class Region
{
    /**
     * @param  string  $letter  empty where an interval alone is written
     * @param  list<Interval>  $intervals
     * @param  list<array{Value, bool}>  $differences  those that are above zero, or with true zero too
     */
    private function __construct(private string $letter, private array $intervals, private array $differences)
    {
    }

    /** @throws UnreadableMaths */
    public static function read(string $written): self
    {
        $text = Pieces::plain($written);
        if (preg_match('/[<>≤≥]/u', $text) !== 1) {
            return new self('', array_map(self::interval(...), preg_split('/\s*(?:∪|\bor\b|\\\\cup)\s*/u', $text) ?: []), []);
        }
        $letter = '';
        $intervals = $differences = [];
        foreach (preg_split('/\s+or\s+/u', $text) ?: [] as $part) {
            $between = Interval::everything();
            foreach (preg_split('/\s+and\s+|,(?=\s)|;/u', $part) ?: [] as $chain) {
                foreach (self::links($chain) as [$small, $large, $isWith]) {
                    $names = array_values(array_unique([...self::lettersOf($small), ...self::lettersOf($large)]));
                    if ($letter === '' && count($names) === 1) {
                        $letter = $names[0];
                    }
                    $linear = count($names) === 1 && $letter === $names[0]
                        ? self::solved($small, $large, $letter, $isWith)
                        : null;
                    if ($linear === null) {
                        $differences[] = [$large->value()->minus($small->value()), $isWith];
                    } elseif ($between !== null) {
                        $between = $between->and($linear);
                    }
                }
            }
            if ($between !== null) {
                $intervals[] = $between;
            }
        }

        return new self($letter, $differences === [] ? $intervals : [], $differences);
    }

    public function is(self $other): bool
    {
        return $this->hasLetterOf($other) &&
            self::match(
                $this->intervals,
                $other->intervals,
                static fn (Interval $one, Interval $two): bool => $one->is($two),
            ) &&
            self::match($this->differences, $other->differences, self::areSame(...));
    }

    /** Whether the bounds are the same, and only whether they belong to it is not. */
    public function hasBoundsOf(self $other): bool
    {
        return $this->hasLetterOf($other) && $this->differences === [] && $other->differences === [] &&
            self::match(
                $this->intervals,
                $other->intervals,
                static fn (Interval $one, Interval $two): bool => $one->hasBoundsOf($two),
            );
    }

    /** Whether it is known number by number, and not as inequalities alone. */
    public function isLinear(): bool
    {
        return $this->letter !== '' && $this->differences === [];
    }

    public function hasLetterOf(self $other): bool
    {
        return $this->letter === $other->letter || $this->letter === '' || $other->letter === '';
    }

    /**
     * @template T
     *
     * @param  list<T>  $ones
     * @param  list<T>  $others
     * @param  callable(T, T): bool  $same
     */
    private static function match(array $ones, array $others, callable $same): bool
    {
        foreach ($ones as $one) {
            foreach ($others as $i => $other) {
                if ($same($one, $other)) {
                    unset($others[$i]);

                    continue 2;
                }
            }

            return false;
        }

        return $others === [];
    }

    /**
     * @param  array{Value, bool}  $one
     * @param  array{Value, bool}  $other
     */
    private static function areSame(array $one, array $other): bool
    {
        if ($one[1] !== $other[1] || ! $one[0]->isMultipleOf($other[0])) {
            return false;
        }
        $kind = array_key_first($one[0]->numerator->terms);
        $signs = $kind === null
            ? 1
            : $one[0]->numerator->terms[$kind]->factor->getSign() *
                ($other[0]->numerator->terms[$kind] ?? $one[0]->numerator->terms[$kind])->factor->getSign();

        return $signs > 0;
    }

    /** @return list<array{Node, Node, bool}> the smaller, the larger, and whether they may be equal */
    private static function links(string $chain): array
    {
        $parts = preg_split('/([<>≤≥])/u', $chain, flags: PREG_SPLIT_DELIM_CAPTURE) ?: [];
        if (count($parts) < 3) {
            throw UnreadableMaths::extra(trim($chain));
        }
        $links = [];
        for ($i = 1; $i + 1 < count($parts); $i += 2) {
            [$left, $right] = [MathsParser::expression($parts[$i - 1]), MathsParser::expression($parts[$i + 1])];
            $isUp = $parts[$i] === '<' || $parts[$i] === '≤';
            $links[] = [$isUp ? $left : $right, $isUp ? $right : $left, $parts[$i] === '≤' || $parts[$i] === '≥'];
        }

        return $links;
    }

    /** @return list<string> */
    private static function lettersOf(Node $node): array
    {
        return $node->value()->letters();
    }

    /** Null where it is not linear in the letter. */
    private static function solved(Node $small, Node $large, string $letter, bool $isWith): ?Interval
    {
        $at = [];
        foreach ([0, 1, 2, 3] as $n) {
            try {
                $letters = [$letter => Value::number($n)];
                $at[] = $large->value($letters)->minus($small->value($letters));
            } catch (UnreadableMaths) {
                return null;
            }
        }
        $slope = $at[1]->minus($at[0]);
        if (! $at[2]->minus($at[1])->equals($slope) || ! $at[3]->minus($at[2])->equals($slope)) {
            return null;
        }
        $sign = $slope->compareTo(Value::number(0));
        if ($sign === 0) {
            return null;
        }
        $bound = $at[0]->negated()->dividedBy($slope);

        return $sign > 0 ? new Interval($bound, $isWith, null, false) : new Interval(null, false, $bound, $isWith);
    }

    /** "[1, 4)", and "]1, 4[" as it is written elsewhere. */
    private static function interval(string $written): Interval
    {
        if (preg_match('/^\s*([\[\](])(.*)([\])\[])\s*$/us', $written, $found) !== 1) {
            throw UnreadableMaths::extra(trim($written));
        }
        $bounds = Pieces::apart($found[2], ';,');
        if (count($bounds) !== 2) {
            throw UnreadableMaths::expected('two ends of the interval', '');
        }

        return new Interval(
            self::bound($bounds[0]),
            $found[1] === '[',
            self::bound($bounds[1]),
            $found[3] === ']',
        );
    }

    private static function bound(string $written): ?Value
    {
        return preg_match('/^[-−+]?\s*(∞|oo|inf(inity)?)$/ui', trim($written)) === 1
            ? null
            : MathsParser::expression($written)->value();
    }
}
