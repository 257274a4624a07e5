<?php

declare(strict_types=1);

namespace Crag\Chemistry;

use Brick\Math\BigRational;

/** What stands on one side of an arrow, or a formula alone: substances, and how much of each. */
final readonly class Side
{
    /** @param  list<array{BigRational, Formula}>  $substances */
    private function __construct(public array $substances)
    {
    }

    /**
     * @param  string  $text  in {@see Notation::plain}
     *
     * @throws UnreadableChemistry
     */
    public static function read(string $text): self
    {
        $substances = [];
        // A plus between spaces, or before another substance, parts them; one at the end of an ion is its charge.
        foreach (preg_split('/\s+\+\s+|\+(?!\s*\((?:s|l|g|aq)\))(?=\s*(?:\d+(?:\/\d+)?\s*)?[\p{Lu}(\[])(?![^{]*\})/u', $text) ?: [] as $part) {
            $pattern = '/^\s*(?:(\d{1,4})\s*\/\s*(\d{1,4})|(\d{1,4})(?:[.,](\d{1,3}))?)?\s*(.*)$/us';
            if (preg_match($pattern, $part, $found) !== 1) {
                throw UnreadableChemistry::large();
            }
            $amount = match (true) {
                $found[1] !== '' => (int) $found[2] === 0
                    ? throw UnreadableChemistry::sign('/')
                    : BigRational::nd($found[1], $found[2]),
                $found[3] !== '' => BigRational::of($found[3].($found[4] === '' ? '' : ".{$found[4]}")),
                default => BigRational::one(),
            };
            $substances[] = [$amount, Formula::read($found[5])];
        }

        return new self(self::gathered($substances));
    }

    /**
     * The same substances, in any order, and by how much more of each there is.
     *
     * @return ?BigRational null where they are others, or not in one proportion
     */
    public function multipleOf(self $other): ?BigRational
    {
        if (! $this->hasSubstancesOf($other)) {
            return null;
        }
        $by = null;
        foreach ($this->substances as [$amount, $formula]) {
            $times = $amount->dividedBy($other->amountOf($formula))->simplified();
            if ($by !== null && ! $by->isEqualTo($times)) {
                return null;
            }
            $by = $times;
        }

        return $by;
    }

    /** Whether each has what the other has, whatever amounts there are. */
    public function hasSubstancesOf(self $other): bool
    {
        return count($this->substances) === count($other->substances) &&
            array_filter(
                $this->substances,
                static fn (array $one): bool => $other->amountOf($one[1])->isEqualTo(0),
            ) === [];
    }

    public function amountOf(Formula $formula): BigRational
    {
        foreach ($this->substances as [$amount, $one]) {
            if ($one->isWrittenAs($formula)) {
                return $amount;
            }
        }

        return BigRational::zero();
    }

    /** @return array<string, BigRational> how many of each kind of atom there are, and the charge, under '' */
    public function total(): array
    {
        $total = ['' => BigRational::zero()];
        foreach ($this->substances as [$amount, $formula]) {
            foreach (['' => $formula->charge] + $formula->atoms as $symbol => $n) {
                $total[$symbol] = ($total[$symbol] ?? BigRational::zero())->plus($amount->multipliedBy($n));
            }
        }

        return $total;
    }

    public function hasStates(): bool
    {
        return array_filter($this->substances, static fn (array $one): bool => $one[1]->state !== '') !== [];
    }

    /** @return array<string, string> states by substance */
    public function states(): array
    {
        $states = [];
        foreach ($this->substances as [, $formula]) {
            $states[$formula->written] = $formula->state;
        }
        ksort($states);

        return $states;
    }

    /**
     * The same substance twice on one side is one of the sum.
     *
     * @param  list<array{BigRational, Formula}>  $substances
     * @return list<array{BigRational, Formula}>
     */
    private static function gathered(array $substances): array
    {
        $kept = [];
        foreach ($substances as [$amount, $formula]) {
            $key = "{$formula->written} {$formula->state}";
            $kept[$key] = [isset($kept[$key]) ? $kept[$key][0]->plus($amount) : $amount, $formula];
        }

        return array_values($kept);
    }
}
