<?php

declare(strict_types=1);

namespace Crag\Asks;

use Crag\Maths\Comparing\Outcome;
use Crag\Prompt\Question\Question;

/**
 * How everybody did in a run of asks. Only asks with a right answer count. A team has the mean of its members' right
 * answers, so that a small team is not behind for being small; who answered nothing at all took no part and counts
 * nowhere.
 */
final readonly class RunResult
{
    /**
     * @param  int  $of  asks that have a right answer
     * @param  list<array{words: string, answered: int, right: ?int}>  $asks  in their order; right is null where there
     *      is none
     * @param  array<string, int>  $right  by who answered: how many right
     * @param  array<string, float>  $teams  by name, the best first: the mean of right answers
     */
    private function __construct(public int $of, public array $asks, public array $right, public array $teams)
    {
    }

    /**
     * @param  list<array{Question, array<array-key, mixed>}>  $asked  each with the answers that count, by who gave
     *      them
     * @param  array<string, string>  $teams  team by who answers; an empty name is none
     */
    public static function of(array $asked, array $teams = []): self
    {
        $of = 0;
        $asks = $right = [];
        foreach ($asked as [$question, $answers]) {
            $hasKey = $question->asked->hasKey();
            $of += $hasKey ? 1 : 0;
            $here = 0;
            foreach ($answers as $who => $answer) {
                $right[(string) $who] ??= 0;
                if ($hasKey && $question->compare($answer)?->outcome === Outcome::Right) {
                    $right[(string) $who]++;
                    $here++;
                }
            }
            $asks[] = ['words' => $question->words, 'answered' => count($answers), 'right' => $hasKey ? $here : null];
        }
        // A team none of whose members has answered yet stands there with nothing.
        $members = array_fill_keys(array_filter($teams, static fn (string $team): bool => $team !== ''), []);
        foreach ($right as $who => $n) {
            $team = $teams[$who] ?? '';
            if ($team !== '') {
                $members[$team][] = $n;
            }
        }
        $means = array_map(
            static fn (array $all): float => $all === [] ? 0.0 : array_sum($all) / count($all),
            $members,
        );
        uksort($means, static fn (string $a, string $b): int => [$means[$b], $a] <=> [$means[$a], $b]);

        return new self($of, $asks, $right, $means);
    }

    /** @return array<int, int> how many had so many right, from none to all */
    public function spread(): array
    {
        $spread = array_fill(0, $this->of + 1, 0);
        foreach ($this->right as $n) {
            $spread[$n]++;
        }

        return $spread;
    }
}
