<?php

declare(strict_types=1);

namespace Deploy\Bench;

use Deploy\Console;
use Deploy\DemoClass;
use Deploy\Instance;
use Deploy\Problem;
use Deploy\Shared\District;
use Deploy\SimulatedClass;

/**
 * Many classes on several nodes behind one front, the students of each class spread over all of them. In the middle one
 * node goes off as if its plug were pulled, and comes back; later another is restarted as one is for an upgrade. What
 * was finished must be stored once.
 */
final readonly class BenchDistrict
{
    /** Strokes that ended this long after a fault count as those that felt it. */
    private const FELT_MS = 6_000;

    /** And those that ended so shortly before it. */
    private const BEFORE_MS = 1_000;

    private const TAKEOVER_PATIENCE_S = 15;

    /** Everybody is in, and no pen moves. */
    private const STILL_S = 10;

    /** @param  int  $pause  seconds from one stroke of a student to the next */
    public function __construct(
        private int $nodes,
        private int $classes,
        private int $students,
        private int $seconds,
        private int $pause,
    ) {
    }

    /** @return array<string, mixed> quantiles are of milliseconds, CPU is in seconds, memory in MB */
    public function measure(): array
    {
        if ($this->nodes < 2) {
            throw new Problem('One node alone is no district: --nodes=2 or more.');
        }
        $report = tempnam(sys_get_temp_dir(), 'crag-bench') ?: throw new Problem('No temporary file can be made.');
        $class = null;
        $district = District::start($this->nodes);
        try {
            $class = $this->simulate($district, $report);
            $before = self::cpu($district);
            $this->join($class);
            $joining = self::since($before, self::cpu($district));
            $still = self::cpu($district);
            sleep(self::STILL_S);
            $still = self::since($still, self::cpu($district));
            $before = self::cpu($district);
            $began = microtime(true);
            $class->say('go');
            self::waitUntil($began + $this->seconds * 0.25);
            $used = self::since($before, self::cpu($district));
            $killedAt = (int) (microtime(true) * 1000);
            $off = $this->nodes - 1;
            $district->node($off)->kill();
            $takeover = $this->takeover($district, $off, $killedAt);
            Console::step('A node is off, and comes back');
            $district->node($off)->start();
            self::waitUntil($began + $this->seconds * 0.65);
            Console::step('Another is restarted');
            $restartedAt = (int) (microtime(true) * 1000);
            $district->node(0)->leave();
            $district->node(0)->start();
            $class->hear('done', $this->seconds + 120);
            /**
             * @var array{
             *     ids: list<string>, saved: list<float>, savedAt: list<int>, joins: list<float>, posts: int,
             * } $found
             */
            $found = (array) json_decode((string) file_get_contents($report), true, flags: JSON_THROW_ON_ERROR);
            $stored = StoredStrokes::count($district->postgres()->open(), $found['ids']);
            $between = static fn (int $fromMs, int $toMs): array => Quantiles::of(
                array_values(array_filter(
                    $found['saved'],
                    static fn (int $i): bool => $found['savedAt'][$i] >= $fromMs && $found['savedAt'][$i] <= $toMs,
                    ARRAY_FILTER_USE_KEY,
                )),
                50,
                95,
                100,
            );
            $felt = static fn (int $atMs): array => $between($atMs - self::BEFORE_MS, $atMs + self::FELT_MS);

            return [
                'nodes' => $this->nodes,
                'classes' => $this->classes,
                'students' => $this->classes * $this->students,
                'stored' => $stored['stored'],
                'lost' => $stored['missing'],
                'twice' => $stored['twice'],
                'disordered' => $stored['disordered'],
                'over_http' => $found['posts'],
                'saved_ms' => Quantiles::of($found['saved'], 50, 95, 99),
                'before_kill_ms' => $between(0, $killedAt - self::BEFORE_MS),
                'takeover_ms' => $takeover,
                'after_kill_ms' => $felt($killedAt),
                'after_restart_ms' => $felt($restartedAt),
                'join_ms' => Quantiles::of($found['joins'], 50, 95),
                'cpu_ms' => [
                    'a_join' => self::each($joining, $this->classes * $this->students),
                    'a_stroke' => self::each(
                        $used,
                        count(array_filter($found['savedAt'], static fn (int $at): bool => $at < $killedAt)),
                    ),
                    'a_still_second' => self::each($still, self::STILL_S),
                ],
                'memory_mb' => self::sums($district, Usage::memory(...)),
                'connections' => (int) $district->postgres()
                    ->open()
                    ->query("select count(*) from pg_stat_activity where datname = 'crag'")
                    ->fetchColumn(),
            ];
        } finally {
            $class?->end();
            $district->stop();
            @unlink($report);
        }
    }

    private function simulate(District $district, string $report): SimulatedClass
    {
        $sessions = [];
        for ($n = 0; $n < $this->classes; $n++) {
            $seeded = DemoClass::seed($district->node($n % $this->nodes)->environment());
            $sessions[] = array_intersect_key($seeded, ['code' => 1, 'desk' => 1]);
        }

        return new SimulatedClass(
            'flood',
            $district->address(),
            (string) json_encode($sessions, JSON_UNESCAPED_SLASHES),
            (string) ($this->classes * $this->students),
            (string) $this->seconds,
            (string) (1 / $this->pause),
            'socket',
            'dry',
            $report,
        );
    }

    private function join(SimulatedClass $class): void
    {
        $all = $this->classes * $this->students;
        $class->hear('joined', 60 + $all);
        Console::step("{$all} simulated students in {$this->classes} sessions are in, on {$this->nodes} nodes");
    }

    /** Milliseconds from a node's end until other nodes have all that it had to keep. */
    private function takeover(District $district, int $off, int $sinceMs): int
    {
        $redis = $district->redis()->open();
        $name = $district->node($off)->nodeName();
        $until = microtime(true) + self::TAKEOVER_PATIENCE_S;
        do {
            $holders = array_map($redis->get(...), $redis->keys('crag:keep.*.lease'));
            if (count($holders) === count(Instance::keeperNames()) && ! in_array($name, $holders, true)) {
                return (int) (microtime(true) * 1000) - $sinceMs;
            }
            usleep(20_000);
        } while (microtime(true) < $until);
        throw new Problem('What the node kept was not taken over.');
    }

    /**
     * @param  array<string, float>  $seconds
     * @return array<string, float> milliseconds of one of so many
     */
    private static function each(array $seconds, int $n): array
    {
        return array_map(static fn (float $one): float => round(($one * 1000) / max(1, $n), 2), $seconds);
    }

    private static function waitUntil(float $moment): void
    {
        usleep((int) max(0, ($moment - microtime(true)) * 1e6));
    }

    /**
     * @param  array<string, float>  $before
     * @param  array<string, float>  $now
     * @return array<string, float>
     */
    private static function since(array $before, array $now): array
    {
        $since = [];
        foreach ($now as $what => $seconds) {
            $since[$what] = round($seconds - $before[$what], 2);
        }

        return $since;
    }

    /** @return array<string, float> seconds, by what used them */
    private static function cpu(District $district): array
    {
        return self::sums($district, Usage::cpu(...));
    }

    /**
     * @param  callable(int): float  $of  a process
     * @return array<string, float>
     */
    private static function sums(District $district, callable $of): array
    {
        $sums = [
            'postgres' => $of($district->postgres()->child()->pid()),
            'redis' => $of($district->redis()->child()->pid()),
            'front' => $of($district->front()->child()->pid()),
        ];
        foreach ($district->nodes() as $n => $node) {
            $sums["node{$n}"] = round(array_sum(array_map(
                static fn (string $part): float => $of($node->child($part)->pid()),
                Instance::parts(),
            )), 2);
        }

        return $sums;
    }
}
