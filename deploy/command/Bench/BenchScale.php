<?php

declare(strict_types=1);

namespace Deploy\Bench;

use Deploy\Install\Setup;
use Deploy\Problem;
use Random\Engine\Mt19937;
use Random\Randomizer;
use SplPriorityQueue;

/**
 * Many schools at nine o'clock, simulated with the service times that `bench district` measured: joins and strokes come
 * at random moments (Poisson), and each takes a node's core, then PostgreSQL's, then Redis, for times that are spread
 * exponentially around what was measured. It answers how many nodes it takes, and which of the three is the next wall.
 * docs/scaling.md has the assumptions.
 */
final readonly class BenchScale
{
    /** The busiest minute: so many of a class join in its ten minutes' start. */
    private const START_S = 600;

    private const CLASSES_OF_A_SCHOOL = 10;

    /** What is used of a core on the average, so that the worst second still has room. */
    private const USED = 0.6;

    private const PARTS = ['node', 'postgres', 'redis'];

    /**
     * @param  string  $measured  a file with what `bench district` printed
     * @param  int  $pause  seconds from one stroke of a student to the next
     * @param  ?int  $nodes  null for as many as it takes
     */
    public function __construct(
        private string $measured,
        private int $schools,
        private int $students,
        private int $pause,
        private int $seconds,
        private ?int $nodes,
        private int $cores,
        private int $databaseCores,
    ) {
    }

    /** @return array<string, mixed> */
    public function measure(): array
    {
        $costs = $this->costs();
        $classes = $this->schools * self::CLASSES_OF_A_SCHOOL;
        $all = $classes * $this->students;
        $rates = ['a_join' => $all / self::START_S, 'a_stroke' => $all / $this->pause];
        $load = [];
        foreach (self::PARTS as $part) {
            $load[$part] = ($rates['a_join'] * $costs['a_join'][$part] + $rates['a_stroke'] * $costs['a_stroke'][$part]) / 1000;
        }
        $nodes = $this->nodes ?? (int) max(2, ceil($load['node'] / ($this->cores * self::USED)) + 1);
        // One may be away at any time.
        $stations = [
            'node' => new Station(max(1, ($nodes - 1) * $this->cores)),
            'postgres' => new Station($this->databaseCores),
            'redis' => new Station(1),
        ];
        $waits = $this->simulate($stations, $rates, $costs);

        return [
            'schools' => $this->schools,
            'classes' => $classes,
            'students' => $all,
            'per_second' => ['joins' => round($rates['a_join'], 1), 'strokes' => round($rates['a_stroke'], 1)],
            'cores_needed' => array_map(static fn (float $one): float => round($one, 2), $load),
            'nodes' => $nodes,
            'cores_of_a_node' => $this->cores,
            'cores_of_the_database' => $this->databaseCores,
            'used' => array_map(fn (Station $one): float => round($one->use($this->seconds * 1000), 3), $stations),
            'saved_ms' => Quantiles::of($waits['a_stroke'], 50, 95, 99),
            'join_ms' => Quantiles::of($waits['a_join'], 50, 95, 99),
        ];
    }

    /**
     * @param  array<string, Station>  $stations
     * @param  array<string, float>  $rates  a second
     * @param  array<string, array<string, float>>  $costs
     * @return array<string, list<float>> milliseconds from coming to done
     */
    private function simulate(array $stations, array $rates, array $costs): array
    {
        $chance = new Randomizer(new Mt19937(9));
        $spread = static fn (float $mean): float => -$mean * log($chance->getInt(1, PHP_INT_MAX) / PHP_INT_MAX);
        /** @var SplPriorityQueue<float, array{string, int, float}> $coming  what, at which station, and when it came */
        $coming = new SplPriorityQueue();
        $coming->setExtractFlags(SplPriorityQueue::EXTR_BOTH);
        foreach ($rates as $what => $rate) {
            $coming->insert([$what, 0, 0.0], -$spread(1000 / $rate));
        }
        $until = $this->seconds * 1000;
        $waits = array_map(static fn (): array => [], $rates);
        while (! $coming->isEmpty()) {
            ['data' => [$what, $at, $came], 'priority' => $priority] = $coming->extract();
            $now = -$priority;
            if ($at === 0) {
                $came = $now;
                $next = $now + $spread(1000 / $rates[$what]);
                if ($next < $until) {
                    $coming->insert([$what, 0, 0.0], -$next);
                }
            }
            $part = self::PARTS[$at];
            $done = $stations[$part]->take($now, $spread($costs[$what][$part]));
            if ($at + 1 < count(self::PARTS)) {
                $coming->insert([$what, $at + 1, $came], -$done);
            } else {
                $waits[$what][] = $done - $came;
            }
        }

        return $waits;
    }

    /** @return array<string, array<string, float>> milliseconds of CPU, by what is done and where */
    private function costs(): array
    {
        $file = str_starts_with($this->measured, '/') ? $this->measured : Setup::root()."/{$this->measured}";
        $found = json_decode((string) @file_get_contents($file), true);
        $costs = [];
        foreach (['a_join', 'a_stroke'] as $what) {
            $of = $found['cpu_ms'][$what] ?? throw new Problem("{$file} is not what ./crag bench district prints.");
            $isNode = static fn (string $part): bool => str_starts_with($part, 'node');
            $nodes = array_filter($of, $isNode, ARRAY_FILTER_USE_KEY);
            $costs[$what] = ['node' => array_sum($nodes), 'postgres' => $of['postgres'], 'redis' => $of['redis']];
        }

        return $costs;
    }
}
