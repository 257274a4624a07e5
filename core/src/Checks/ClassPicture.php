<?php

declare(strict_types=1);

namespace Crag\Checks;

/**
 * Where everybody stands: seat × prompt, with sums by row and column, and how secure each skill is. What was not
 * checked counts nowhere. A skill is as secure as the mean of the checked prompts that are tagged with it.
 */
final readonly class ClassPicture
{
    /**
     * @param  list<string>  $seats
     * @param  list<string>  $prompts
     * @param  array<string, array<string, StudentResult>>  $cells  by seat and prompt
     * @param  array<string, ResultTotals>  $rows  by seat
     * @param  array<string, ResultTotals>  $columns  by prompt
     * @param  array<string, array{class: ?float, seats: array<string, ?float>}>  $skills  by tag
     */
    private function __construct(
        public array $seats,
        public array $prompts,
        private array $cells,
        public array $rows,
        public array $columns,
        public ResultTotals $whole,
        public array $skills,
    ) {
    }

    /**
     * @param  list<string>  $seats
     * @param  array<string, list<string>>  $prompts  their skill tags by prompt, in order
     * @param  array<string, array<string, StudentResult>>  $cells  by seat and prompt; what is missing is nothing
     */
    public static function of(array $seats, array $prompts, array $cells): self
    {
        $at = static fn (string $seat, string $prompt): StudentResult => $cells[$seat][$prompt] ??
            StudentResult::none();
        $ids = array_map(strval(...), array_keys($prompts));
        $rows = $columns = $skills = $all = [];
        foreach ($seats as $seat) {
            $row = array_map(static fn (string $prompt): StudentResult => $at($seat, $prompt), $ids);
            $rows[$seat] = ResultTotals::of($row);
            array_push($all, ...$row);
        }
        foreach ($ids as $prompt) {
            $columns[$prompt] = ResultTotals::of(
                array_map(static fn (string $seat): StudentResult => $at($seat, $prompt), $seats),
            );
        }
        foreach (array_unique(array_merge(...array_values($prompts))) as $skill) {
            $tagged = array_values(
                array_filter($ids, static fn (string $prompt): bool => in_array($skill, $prompts[$prompt], true)),
            );
            $each = $cellsOfSkill = [];
            foreach ($seats as $seat) {
                $mine = array_map(static fn (string $prompt): StudentResult => $at($seat, $prompt), $tagged);
                $each[$seat] = ResultTotals::of($mine)->secure;
                array_push($cellsOfSkill, ...$mine);
            }
            $skills[(string) $skill] = ['class' => ResultTotals::of($cellsOfSkill)->secure, 'seats' => $each];
        }

        return new self($seats, $ids, $cells, $rows, $columns, ResultTotals::of($all), $skills);
    }

    /**
     * Who needs the teacher most comes first: the lowest average of what was checked, then whoever has been checked
     * for nothing; equals stay as they sat.
     *
     * @return list<string> the seats
     */
    public function byNeed(): array
    {
        $seats = $this->seats;
        usort($seats, fn (string $a, string $b): int => ($this->rows[$a]->secure ?? 2.0) <=>
            ($this->rows[$b]->secure ?? 2.0));

        return $seats;
    }

    public function at(string $seat, string $prompt): StudentResult
    {
        return $this->cells[$seat][$prompt] ?? StudentResult::none();
    }
}
