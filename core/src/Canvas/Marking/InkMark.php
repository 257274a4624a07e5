<?php

declare(strict_types=1);

namespace Crag\Canvas\Marking;

use Crag\Canvas\Fit\Trace;
use Crag\Prompt\Question\PrintedOption;

/**
 * One line of ink beside options that are printed on a page: which of them it marks, by a circle around it, a tick, a
 * cross, or a line through or under it. In units.
 */
final readonly class InkMark
{
    /** A mark may lie so far outside its option, in heights of it, and no farther than half the way to the next. */
    private const AROUND = 0.6;

    /** So much of a line lies on an option that it marks; with less than the second it marks nothing. */
    private const MOSTLY = 0.5;

    private const HARDLY = 0.25;

    /** What lies on another option too is no clear mark of one. */
    private const OTHER = 0.6;

    /** A circle's ends may be apart so much of its length. */
    private const OPEN = 0.35;

    /** A corner of a tick bends away so much of the line's size, and turns by more than a right angle. */
    private const BEND = 0.12;

    private function __construct(private Trace $trace)
    {
    }

    public static function of(Trace $trace): self
    {
        return new self($trace);
    }

    /**
     * @param  list<PrintedOption>  $options
     * @return list<int>|null the options that it marks, by their places; null where that cannot be told
     */
    public function on(array $options): ?array
    {
        $around = $this->around($options);
        if (count($around) > 0) {
            return count($around) === 1 ? $around : null;
        }
        $shares = array_map(fn (PrintedOption $one): float => $this->share($one, $options), $options);
        arsort($shares);
        $order = array_keys($shares);
        $most = $shares[$order[0]];
        $next = isset($order[1]) ? $shares[$order[1]] : 0.0;
        $tip = $this->tip();
        if ($tip !== null) {
            // A tick means where its corner lies, however far its tail goes.
            foreach ($options as $i => $option) {
                if (self::holds(self::room($option, $options), $tip)) {
                    return [$i];
                }
            }
        }
        if ($most < self::HARDLY) {
            return [];
        }

        return $most >= self::MOSTLY && $next < self::OTHER * $most ? [$order[0]] : null;
    }

    /** How long the ink is that lies on an option. */
    public function lengthOn(PrintedOption $option): float
    {
        return $this->trace->length * $this->share($option, [$option]);
    }

    /**
     * @param  list<PrintedOption>  $options
     * @return list<int> those around whose middle it goes
     */
    private function around(array $options): array
    {
        $gap = Trace::distance($this->trace->first(), $this->trace->last());
        if ($this->trace->length <= 0.0 || $gap > self::OPEN * $this->trace->length) {
            return [];
        }
        $found = [];
        foreach ($options as $i => $option) {
            if ($this->encloses($option->x + $option->w / 2, $option->y + $option->h / 2) && $this->isWide($option)) {
                $found[] = $i;
            }
        }

        return $found;
    }

    /** Whether it goes around something of an option's size, and is no dot on it. */
    private function isWide(PrintedOption $option): bool
    {
        return $this->trace->size > 0.6 * min($option->w, 2 * $option->h);
    }

    /** By the even-odd rule, with the ends joined. */
    private function encloses(float $x, float $y): bool
    {
        $points = $this->trace->points;
        $inside = false;
        for ($i = 0, $j = count($points) - 1; $i < count($points); $j = $i++) {
            [[$ax, $ay], [$bx, $by]] = [$points[$i], $points[$j]];
            if (($ay > $y) !== ($by > $y) && $x < ($bx - $ax) * ($y - $ay) / ($by - $ay) + $ax) {
                $inside = ! $inside;
            }
        }

        return $inside;
    }

    /** @return array{float, float}|null the corner of a tick */
    private function tip(): ?array
    {
        $points = $this->trace->points;
        $corners = Trace::corners($points, 0, count($points) - 1, self::BEND * $this->trace->size);
        if (count($corners) !== 3) {
            return null;
        }
        [$from, $corner, $to] = array_map(static fn (int $i): array => $points[$i], $corners);
        $dot = ($from[0] - $corner[0]) * ($to[0] - $corner[0]) + ($from[1] - $corner[1]) * ($to[1] - $corner[1]);

        // The corner is the lowest point: a tick, and no hook or roof.
        return $dot > -0.3 * Trace::distance($from, $corner) * Trace::distance($to, $corner) &&
            $corner[1] >= max($from[1], $to[1])
            ? $corner
            : null;
    }

    /**
     * @param  list<PrintedOption>  $options
     * @return float how much of the line lies on an option, from 0 to 1
     */
    private function share(PrintedOption $option, array $options): float
    {
        $room = self::room($option, $options);
        $on = array_filter($this->trace->points, static fn (array $point): bool => self::holds($room, $point));

        return count($on) / count($this->trace->points);
    }

    /**
     * @param  list<PrintedOption>  $options
     * @return array{float, float, float, float} left, top, right, bottom of the option with what is around it
     */
    private static function room(PrintedOption $option, array $options): array
    {
        $across = $down = self::AROUND * $option->h;
        foreach ($options as $other) {
            if ($other === $option) {
                continue;
            }
            $apartX = max($other->x - $option->x - $option->w, $option->x - $other->x - $other->w);
            $apartY = max($other->y - $option->y - $option->h, $option->y - $other->y - $other->h);
            // Beside each other they share the room between, above each other likewise.
            if ($apartY < 0 && $apartX >= 0) {
                $across = min($across, $apartX / 2);
            } elseif ($apartX < 0 && $apartY >= 0) {
                $down = min($down, $apartY / 2);
            }
        }

        return [
            $option->x - $across,
            $option->y - $down,
            $option->x + $option->w + $across,
            $option->y + $option->h + $down,
        ];
    }

    /**
     * @param  array{float, float, float, float}  $room
     * @param  array{float, float}  $point
     */
    private static function holds(array $room, array $point): bool
    {
        return $point[0] >= $room[0] && $point[1] >= $room[1] && $point[0] <= $room[2] && $point[1] <= $room[3];
    }
}
