<?php

declare(strict_types=1);

namespace Crag\Asks;

use Crag\Prompt\Question\Question;

/** Who changed an answer, and from what to what: each voter's first answer beside the last, where they differ. */
final readonly class Changes
{
    /** @param  list<array{from: string, to: string, voters: non-empty-list<string>}>  $all  the most frequent first */
    private function __construct(public array $all)
    {
    }

    /**
     * @param  iterable<array{string, mixed}>  $answers  voters and what they answered, in the order in which they did
     */
    public static function among(Question $question, iterable $answers): self
    {
        $first = $last = [];
        foreach ($answers as [$voter, $answer]) {
            if ($answer !== null) {
                $first[$voter] ??= $answer;
                $last[$voter] = $answer;
            }
        }
        $changes = [];
        foreach ($first as $voter => $from) {
            $to = $last[$voter] ?? $from;
            if (! $question->isSame($from, $to)) {
                $change = [$question->asked->written($from), $question->asked->written($to)];
                $changes[implode("\n", $change)] ??= ['from' => $change[0], 'to' => $change[1], 'voters' => []];
                $changes[implode("\n", $change)]['voters'][] = (string) $voter;
            }
        }
        $changes = array_values($changes);
        usort($changes, static fn (array $a, array $b): int => count($b['voters']) <=> count($a['voters']));

        /** @var list<array{from: string, to: string, voters: non-empty-list<string>}> $changes */
        return new self($changes);
    }
}
