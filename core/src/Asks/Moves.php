<?php

declare(strict_types=1);

namespace Crag\Asks;

use Crag\Prompt\Question\Question;

/**
 * Where answers went between two asks of the same question. Only who answered both times is in it, and only answers
 * that stand under one bar alone: whoever ticks several has no one place to come from.
 */
final readonly class Moves
{
    /**
     * @param  list<string>  $labels  rows and columns, as the bars are in order
     * @param  list<list<list<string>>>  $cells  who went from a row to a column
     */
    private function __construct(public array $labels, public array $cells)
    {
    }

    /**
     * All answers are counted in one tally, so that equal ones stand under one bar however they were written.
     *
     * @param  array<array-key, mixed>  $before  by voter, as {@see \Crag\Prompt\Question\Asked::read} took them
     * @param  array<array-key, mixed>  $after
     */
    public static function between(Question $question, array $before, array $after): self
    {
        $all = [];
        foreach (['from' => $before, 'to' => $after] as $when => $answers) {
            foreach ($answers as $voter => $answer) {
                $all["{$when} {$voter}"] = $answer;
            }
        }
        $tally = Tally::of($question, $all);
        $places = self::places($tally);
        $labels = array_map(static fn (Bar $bar): string => $bar->label, $tally->bars);
        $cells = array_fill(0, count($labels), array_fill(0, count($labels), []));
        foreach (array_keys($before) as $voter) {
            $from = $places["from {$voter}"] ?? null;
            $to = $places["to {$voter}"] ?? null;
            if ($from !== null && $to !== null) {
                $cells[$from][$to][] = (string) $voter;
            }
        }

        return new self($labels, $cells);
    }

    /** @return list<int> the answers that anybody came from or went to */
    public function used(): array
    {
        $used = [];
        foreach ($this->cells as $row => $columns) {
            foreach ($columns as $column => $voters) {
                if ($voters !== []) {
                    $used[$row] = $used[$column] = true;
                }
            }
        }
        ksort($used);

        return array_keys($used);
    }

    /** How many changed their answer. */
    public function moved(): int
    {
        $n = 0;
        foreach ($this->cells as $row => $columns) {
            foreach ($columns as $column => $voters) {
                $n += $row === $column ? 0 : count($voters);
            }
        }

        return $n;
    }

    /** How many answered both times. */
    public function both(): int
    {
        return array_sum(array_map(count(...), array_merge(...$this->cells)));
    }

    /** @return array<array-key, ?int> by voter, which bar each stands under; null for those under several */
    private static function places(Tally $tally): array
    {
        $places = [];
        foreach ($tally->bars as $i => $bar) {
            foreach ($bar->voters as $voter) {
                $places[$voter] = array_key_exists($voter, $places) ? null : $i;
            }
        }

        return $places;
    }
}
