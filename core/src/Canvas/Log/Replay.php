<?php

declare(strict_types=1);

namespace Crag\Canvas\Log;

use Crag\Canvas\Object\Stroke;
use Crag\Canvas\Operation\Add;

/**
 * The steps of a canvas in time: when each operation of its log begins and ends when it is played again. A stroke takes
 * as long as the hand took; a pause longer than {@see self::LONGEST_PAUSE_MS} is shortened to that.
 */
final readonly class Replay
{
    public const LONGEST_PAUSE_MS = 1_200;

    /** What a step without ink takes to be seen. */
    private const MOMENT_MS = 250;

    /**
     * @param  list<array{from: int, to: int}>  $steps  milliseconds since the replay began, one for each operation
     * @param  list<int>  $rubbedOut  the moments at which something went: rubbed out, removed, emptied, undone or
     *      given back
     */
    private function __construct(public array $steps, public array $rubbedOut)
    {
    }

    /**
     * @param  iterable<Operation>  $log  in the order of the log
     * @param  Author  ...$authors  whose steps take time; what others did is there at once. None for everybody's
     */
    public static function of(iterable $log, Author ...$authors): self
    {
        $steps = $rubbedOut = [];
        $at = 0;
        $before = null;
        foreach ($log as $operation) {
            if ($authors !== [] && ! $operation->author->isAmong($authors)) {
                $steps[] = ['from' => $at, 'to' => $at];

                continue;
            }
            $takes = self::takes($operation);
            $pause = $before === null ? 0 : $operation->madeAtMs - $takes - $before;
            $from = $at + max(0, min(self::LONGEST_PAUSE_MS, $pause));
            $at = $from + max($takes, self::MOMENT_MS);
            $steps[] = ['from' => $from, 'to' => $at];
            $before = $operation->madeAtMs;
            if ($operation->effect->kind()->takesAway()) {
                $rubbedOut[] = $at;
            }
        }

        return new self($steps, $rubbedOut);
    }

    /**
     * The same along a recording: each step when it was made, and what was made before it or after it at its ends.
     *
     * @param  iterable<Operation>  $log  in the order of the log
     * @param  int  $beganMs  when the recording began, milliseconds since 1970
     * @param  int  $lastsMs  milliseconds
     */
    public static function along(iterable $log, int $beganMs, int $lastsMs): self
    {
        $steps = $rubbedOut = [];
        $before = 0;
        foreach ($log as $operation) {
            $done = $operation->madeAtMs - $beganMs;
            // The log's order holds: nothing is finished before what stands before it.
            $to = max($before, min($lastsMs, max(0, $done)));
            $from = max($before, min($to, $done - self::takes($operation)));
            $steps[] = ['from' => $from, 'to' => $to];
            $before = $to;
            if ($done > 0 && $done < $lastsMs && $operation->effect->kind()->takesAway()) {
                $rubbedOut[] = $to;
            }
        }

        return new self($steps, $rubbedOut);
    }

    /** Milliseconds from the first step to the last. */
    public function lasts(): int
    {
        return $this->steps === [] ? 0 : max(array_column($this->steps, 'to'));
    }

    /** How many operations are finished at a time: the log up to there is what is to be seen. */
    public function finishedAt(int $ms): int
    {
        $low = 0;
        $high = count($this->steps);
        while ($low < $high) {
            $middle = intdiv($low + $high, 2);
            if ($this->steps[$middle]['to'] <= $ms) {
                $low = $middle + 1;
            } else {
                $high = $middle;
            }
        }

        return $low;
    }

    /** How long the hand took. */
    private static function takes(Operation $operation): int
    {
        $object = $operation->effect instanceof Add ? $operation->effect->placings[0]->object : null;

        return $object instanceof Stroke ? $object->ink->lasts() : 0;
    }
}
