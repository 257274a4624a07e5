<?php

declare(strict_types=1);

namespace Crag\Prompt\Values;

use Crag\Json\Fields;
use Crag\Json\UnreadableFields;

/** Numbers from one to another in even steps, the first a whole number of steps from zero. */
final readonly class Range
{
    public const MOST_STEPS = 200;

    private const FARTHEST = 1_000_000;

    private const FINEST = 0.0001;

    private function __construct(public float $from, public float $to, public float $step)
    {
    }

    /**
     * @param  string  $prefix  before "from", "to" and "step" in the fields' names
     * @param  string  $what  which of a form's ranges it is, for the sentence about what is wrong
     *
     * @throws UnreadableFields
     */
    public static function read(Fields $fields, string $prefix = '', string $what = 'Numbers: '): self
    {
        try {
            [$from, $to, $step] = array_map(
                static fn (string $name): float => $fields->number($prefix.$name, -self::FARTHEST, self::FARTHEST),
                ['from', 'to', 'step'],
            );
        } catch (UnreadableFields) {
            throw UnreadableFields::saying("{$what}“from”, “to” and “step” must be numbers up to a million.");
        }
        if ($step < self::FINEST) {
            throw UnreadableFields::saying("{$what}the step must be above 0.");
        }
        if ($to <= $from) {
            throw UnreadableFields::saying("{$what}“to” must be above “from”.");
        }
        if (($to - $from) / $step > self::MOST_STEPS) {
            throw UnreadableFields::saying(
                "{$what}the step is so small that there would be more than ".self::MOST_STEPS.' lines.',
            );
        }

        return new self($from, $to, $step);
    }

    /** @return array<string, float|int> */
    public function toArray(string $prefix = ''): array
    {
        $plain = static fn (float $number): float|int => floor($number) === $number ? (int) $number : $number;

        return [
            $prefix.'from' => $plain($this->from),
            $prefix.'to' => $plain($this->to),
            $prefix.'step' => $plain($this->step),
        ];
    }

    /** @return list<float> every whole number of steps in the range */
    public function ticks(): array
    {
        $ticks = [];
        for (
            $n = (int) ceil($this->from / $this->step - 1e-9);
            $n * $this->step <= $this->to + $this->step * 1e-9;
            $n++
        ) {
            $ticks[] = $n * $this->step;
        }

        return $ticks;
    }

    /** How many of the ticks pass between two labels, so that no more than so many labels stand. */
    public function labelEvery(int $mostLabels): int
    {
        $count = count($this->ticks());
        foreach ([1, 2, 5, 10, 20, 50, 100] as $every) {
            if ($count / $every <= $mostLabels) {
                return $every;
            }
        }

        return 200;
    }
}
