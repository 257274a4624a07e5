<?php

declare(strict_types=1);

namespace Crag\Maths\Structured;

use Crag\Maths\Algebra\Value;

/** What lies between two bounds, or beyond one; null is a bound that is not there. */
final readonly class Interval
{
    public function __construct(
        public ?Value $low,
        public bool $withLow,
        public ?Value $high,
        public bool $withHigh,
    ) {
    }

    public static function everything(): self
    {
        return new self(null, false, null, false);
    }

    /** What lies in both; null where that is nothing. */
    public function and(self $other): ?self
    {
        [$low, $withLow] = self::inner($this->low, $this->withLow, $other->low, $other->withLow, 1);
        [$high, $withHigh] = self::inner($this->high, $this->withHigh, $other->high, $other->withHigh, -1);
        if ($low !== null && $high !== null) {
            $compared = $low->compareTo($high);
            if ($compared > 0 || ($compared === 0 && ! ($withLow && $withHigh))) {
                return null;
            }
        }

        return new self($low, $withLow, $high, $withHigh);
    }

    public function is(self $other): bool
    {
        return self::same($this->low, $other->low) && self::same($this->high, $other->high) &&
            ($this->low === null || $this->withLow === $other->withLow) &&
            ($this->high === null || $this->withHigh === $other->withHigh);
    }

    /** Whether it has the same bounds, and only what becomes of a bound itself is another. */
    public function hasBoundsOf(self $other): bool
    {
        return self::same($this->low, $other->low) && self::same($this->high, $other->high);
    }

    /** @return array{?Value, bool} */
    private static function inner(?Value $one, bool $withOne, ?Value $other, bool $withOther, int $sign): array
    {
        if ($one === null || $other === null) {
            return $one === null ? [$other, $withOther] : [$one, $withOne];
        }
        $compared = $sign * $one->compareTo($other);

        return match (true) {
            $compared > 0 => [$one, $withOne],
            $compared < 0 => [$other, $withOther],
            default => [$one, $withOne && $withOther],
        };
    }

    private static function same(?Value $one, ?Value $other): bool
    {
        return $one === null || $other === null ? $one === $other : $one->equals($other);
    }
}
