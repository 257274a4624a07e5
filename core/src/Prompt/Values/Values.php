<?php

declare(strict_types=1);

namespace Crag\Prompt\Values;

use Crag\Maths\Algebra\Value;
use Crag\Maths\Parsing\MathsParser;
use Crag\Maths\Parsing\Node;
use Crag\Maths\Parsing\UnreadableMaths;
use Generator;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/**
 * The values that a prompt holds in braces, drawn for each student: {a: 2..9}, {b: 3, 5, 7}, {c: 0..1 step 0.25}, with
 * conditions after a semicolon, {b: 2..9; b ≠ a}, and results, {d = a*b}. After a semicolon values can be drawn that
 * are not shown there: {c = a*x + b; x: 1..9}. A name is one letter. Braces without a colon or an equals sign show
 * what they are worth: {a}, {a*b + 1}. The whole grammar is in docs/formats.md.
 */
final class Values
{
    private const MOST_NAMES = 12;

    private const MOST_CHOICES = 2000;

    /** With fewer combinations than this each is tried; with more they are drawn at random, and tried so often. */
    private const MOST_TRIES = 4_000;

    private const DRAWN = '/^\s*(?<name>\p{L})\s*(?<sign>[:=])(?<rest>[^=].*)$/us';

    private const LONG_NAME = '/^\s*(?<name>\p{L}[\p{L}\p{N}_]+)\s*:/us';

    private const UNSEEN = '/^\s*(?<name>\p{L})\s*:(?<rest>.*)$/us';

    private const CONDITION = '/^(?<one>.+?)(?<sign>≠|!=|<>|≤|<=|≥|>=|<|>|=)(?<two>.+)$/us';

    /**
     * @var array<string, array{list<array<string, Value>>, Generator<int, array<string, Value>>}> by seed: what was
     *      drawn, and where more come from
     */
    private array $drawn = [];

    /**
     * @param  array<string, list<Value>>  $choices  by name
     * @param  array<string, array{string, Node}>  $results  by name: as written, and read
     * @param  list<array{string, Node, string, Node}>  $conditions  as written; two expressions and the sign between
     *      them
     */
    private function __construct(
        private readonly array $choices,
        private readonly array $results,
        private readonly array $conditions,
    ) {
    }

    /**
     * @param  list<string>  $texts  everything in a prompt that may hold braces
     *
     * @throws InvalidValues
     */
    public static function in(array $texts): self
    {
        $choices = $results = $conditions = [];
        foreach ($texts as $text) {
            foreach (Braces::within($text) as $inside) {
                $parts = explode(';', $inside);
                if (preg_match(self::LONG_NAME, $parts[0], $found) === 1) {
                    throw InvalidValues::longName($found['name']);
                }
                if (preg_match(self::DRAWN, $parts[0], $found) !== 1) {
                    continue;
                }
                $name = $found['name'];
                if (isset($choices[$name]) || isset($results[$name])) {
                    throw InvalidValues::twice($name);
                }
                if ($found['sign'] === ':') {
                    $choices[$name] = self::choices($name, trim($found['rest']));
                } else {
                    $results[$name] = ["{$name} = ".trim($found['rest']), self::read($inside, $found['rest'])];
                }
                foreach (array_slice($parts, 1) as $part) {
                    if (preg_match(self::UNSEEN, $part, $found) !== 1) {
                        $conditions[] = self::condition($inside, $part);
                    } elseif (isset($choices[$found['name']]) || isset($results[$found['name']])) {
                        throw InvalidValues::twice($found['name']);
                    } else {
                        $choices[$found['name']] = self::choices($found['name'], trim($found['rest']));
                    }
                }
            }
        }
        if (count($choices) + count($results) > self::MOST_NAMES) {
            throw InvalidValues::manyNames(self::MOST_NAMES);
        }
        $values = new self($choices, $results, $conditions);
        if (! $values->isEmpty()) {
            $values->draw('', 0);
        }

        return $values;
    }

    /** @return list<string> */
    public function names(): array
    {
        return array_map(strval(...), [...array_keys($this->choices), ...array_keys($this->results)]);
    }

    public function isEmpty(): bool
    {
        return $this->choices === [] && $this->results === [];
    }

    /**
     * What the student with a number gets: always the same for the same seed and number, and never what the number
     * beside has as long as there is another draw.
     *
     * @throws InvalidValues
     */
    public function draw(string $seed, int $n): Draw
    {
        if ($this->isEmpty()) {
            return new Draw([]);
        }
        $this->drawn[$seed] ??= [[], $this->allowed($seed)];
        [$draws, $more] = $this->drawn[$seed];
        for (; count($draws) <= $n && $more->valid(); $more->next()) {
            $draws[] = $more->current();
        }
        $this->drawn[$seed] = [$draws, $more];

        return new Draw($draws[$n % max(1, count($draws))] ?? throw InvalidValues::nothingFits());
    }

    /**
     * How many different draws there are, counted up to so many.
     *
     * @throws InvalidValues
     */
    public function count(int $most): int
    {
        $n = 0;
        foreach ($this->isEmpty() ? [] : $this->allowed('') as $draw) {
            if (++$n >= $most) {
                break;
            }
        }

        return $n;
    }

    /**
     * @return Generator<int, array<string, Value>> every draw that keeps to the conditions, each once, in the seed's
     *      order
     */
    private function allowed(string $seed): Generator
    {
        foreach ($this->combinations(new Randomizer(new Xoshiro256StarStar(hash('sha256', $seed, true)))) as $values) {
            $values = $this->withResults($values);
            if ($this->isAllowed($values)) {
                yield $values;
            }
        }
    }

    /** @return Generator<int, array<string, Value>> */
    private function combinations(Randomizer $randomizer): Generator
    {
        $possible = array_product(array_map(count(...), $this->choices));
        $tried = [];
        $all = $possible <= self::MOST_TRIES ? $randomizer->shuffleArray(range(0, (int) $possible - 1)) : null;
        for ($try = 0; $try < ($all === null ? self::MOST_TRIES : count($all)); $try++) {
            $at = $all[$try] ?? $randomizer->getInt(0, (int) min($possible, PHP_INT_MAX >> 1) - 1);
            if (isset($tried[$at])) {
                continue;
            }
            $tried[$at] = true;
            $values = [];
            foreach ($this->choices as $name => $choices) {
                $values[$name] = $choices[$at % count($choices)];
                $at = intdiv($at, count($choices));
            }
            yield $values;
        }
    }

    /**
     * @param  array<string, Value>  $values
     * @return array<string, Value>
     */
    private function withResults(array $values): array
    {
        foreach ($this->results as $name => [$written, $expression]) {
            $values[$name] = self::worth($written, $expression, $values);
        }

        return $values;
    }

    /** @param  array<string, Value>  $values */
    private function isAllowed(array $values): bool
    {
        foreach ($this->conditions as [$written, $one, $sign, $two]) {
            $compared = self::worth($written, $one, $values)->compareTo(self::worth($written, $two, $values));
            $holds = match ($sign) {
                '≠', '!=', '<>' => $compared !== 0,
                '≤', '<=' => $compared <= 0,
                '≥', '>=' => $compared >= 0,
                '<' => $compared < 0,
                '>' => $compared > 0,
                default => $compared === 0,
            };
            if (! $holds) {
                return false;
            }
        }

        return true;
    }

    /** @param  array<string, Value>  $values */
    private static function worth(string $part, Node $expression, array $values): Value
    {
        try {
            $value = $expression->value($values);
        } catch (UnreadableMaths $problem) {
            throw InvalidValues::unreadable($part, $problem->getMessage());
        }
        if ($value->hasLetters()) {
            throw InvalidValues::unreadable($part, "{$value->letters()[0]} has no values.");
        }

        return $value;
    }

    /** @return list<Value> */
    private static function choices(string $name, string $written): array
    {
        $number = '[-−]?\d+(?:\.\d+)?';
        if (
            preg_match("/^({$number})\s*(?:\.\.+|…)\s*({$number})(?:\s+step\s+({$number}))?$/u", $written, $found) === 1
        ) {
            return self::range($name, $found[1], $found[2], $found[3] ?? '1');
        }
        if (preg_match("/^{$number}\s*[-–—]\s*\d/u", $written) === 1 && ! str_contains($written, ',')) {
            throw InvalidValues::dash($written);
        }
        $choices = [];
        foreach (explode(',', $written) as $one) {
            try {
                $value = MathsParser::expression($one)->value();
            } catch (UnreadableMaths) {
                throw InvalidValues::range($written);
            }
            if ($value->hasLetters()) {
                throw InvalidValues::range($written);
            }
            $choices[] = $value;
        }

        return count($choices) > self::MOST_CHOICES ? throw InvalidValues::many($name, self::MOST_CHOICES) : $choices;
    }

    /** @return list<Value> */
    private static function range(string $name, string $from, string $to, string $step): array
    {
        [$at, $end, $step] = array_map(static fn (string $one): Value => Value::number(str_replace('−', '-', $one)), [
            $from,
            $to,
            $step,
        ]);
        if ($step->compareTo(Value::number(0)) <= 0 || $at->compareTo($end) > 0) {
            throw InvalidValues::range("{$from}..{$to}");
        }
        $choices = [];
        for (; $at->compareTo($end) <= 0; $at = $at->plus($step)) {
            $choices[] = $at;
            if (count($choices) > self::MOST_CHOICES) {
                throw InvalidValues::many($name, self::MOST_CHOICES);
            }
        }

        return $choices;
    }

    /** @return array{string, Node, string, Node} */
    private static function condition(string $inside, string $written): array
    {
        $written = trim($written);

        return preg_match(self::CONDITION, $written, $found) === 1
            ? [$written, self::read($written, $found['one']), $found['sign'], self::read($written, $found['two'])]
            : throw InvalidValues::unreadable($inside, "“{$written}” isn’t a condition like a ≠ b.");
    }

    private static function read(string $part, string $expression): Node
    {
        try {
            return MathsParser::expression($expression);
        } catch (UnreadableMaths $problem) {
            throw InvalidValues::unreadable(trim($part), $problem->getMessage());
        }
    }
}
