<?php

declare(strict_types=1);

namespace Deploy\Bench;

use Deploy\Child;
use Deploy\Console;
use Deploy\DemoClass;
use Deploy\Instance;
use Deploy\Problem;
use Deploy\Shared\District;
use Deploy\SimulatedClass;
use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * As {@see BenchFaults}, in the shape of several machines: nodes go off and are restarted, keepers, workers and nginx
 * are killed on whichever node, PostgreSQL and Redis are restarted or stand still, the front begins anew. Redis comes
 * back empty each time.
 */
final class BenchDistrictFaults
{
    /** How often each kind comes, in shares. */
    private const KINDS = [
        'node off' => 2,
        'node restarted' => 1,
        'keeper' => 3,
        'worker' => 2,
        'nginx' => 1,
        'redis' => 2,
        'redis stopped' => 1,
        'postgres' => 1,
        'postgres stopped' => 2,
        'front' => 1,
        'cut' => 2,
        'twice' => 2,
        'turned' => 2,
    ];

    private readonly Randomizer $chance;

    public function __construct(
        private readonly int $nodes,
        private readonly int $count,
        private readonly int $students,
        int $seed,
    ) {
        $this->chance = new Randomizer(new Mt19937($seed));
    }

    /** @return array<string, mixed> */
    public function measure(): array
    {
        $report = tempnam(sys_get_temp_dir(), 'crag-bench') ?: throw new Problem('No temporary file can be made.');
        $class = null;
        $district = District::start($this->nodes);
        try {
            $code = DemoClass::seed($district->node(0)->environment())['code'];
            $class = new SimulatedClass('endure', $district->address(), $code, (string) $this->students, $report);
            $class->hear('joined', 60);
            $done = $this->break($district, $class);
            $class->say('end');
            $class->hear('done', 150);

            return ['nodes' => $this->nodes, 'faults' => array_sum($done), 'kinds' => $done] +
                EnduredLog::compare($district->postgres()->open(), $report);
        } finally {
            $class?->end();
            $district->stop();
            @unlink($report);
        }
    }

    /** @return array<string, int> how many of each kind there were */
    private function break(District $district, SimulatedClass $class): array
    {
        $bag = [];
        foreach (self::KINDS as $kind => $share) {
            $bag = [...$bag, ...array_fill(0, $share, $kind)];
        }
        $done = array_fill_keys(array_keys(self::KINDS), 0);
        for ($i = 0; $i < $this->count; $i++) {
            // Each kind comes at least once, if there are enough.
            $kind = array_keys(self::KINDS)[$i] ?? $bag[$this->chance->getInt(0, count($bag) - 1)];
            $this->fault($kind, $district, $class);
            $done[$kind]++;
            $this->rest($district, $this->chance->getInt(300, 1500));
            if ($i % 10 === 9) {
                Console::step($i + 1 ." of {$this->count} faults");
            }
        }

        return $done;
    }

    private function fault(string $kind, District $district, SimulatedClass $class): void
    {
        $node = $district->node($this->chance->getInt(0, $this->nodes - 1));
        $keepers = Instance::keeperNames();
        match ($kind) {
            'node off' => $this->off($district, $node),
            'node restarted' => self::restart($node),
            'keeper' => self::kill($node->child($keepers[$this->chance->getInt(0, count($keepers) - 1)])->pid()),
            'worker' => self::kill($this->one(Child::descendants($node->child('answer')->pid()))),
            'nginx' => self::kill($node->child('nginx')->pid()),
            'redis' => $district->redis()->startAgain(),
            'redis stopped' => $this->stopped($district, $district->redis()->child()->pid()),
            'postgres' => $district->postgres()->startAgain(),
            'postgres stopped' => $this->stopped($district, $district->postgres()->child()->pid()),
            'front' => $district->front()->startAgain(),
            default => $class->say($kind),
        };
    }

    private function off(District $district, Instance $node): void
    {
        $node->kill();
        $this->rest($district, $this->chance->getInt(500, 4000));
        $node->start();
    }

    private static function restart(Instance $node): void
    {
        $node->leave();
        $node->start();
    }

    /** Nodes go on looking after what they have started. */
    private function rest(District $district, int $ms): void
    {
        $until = microtime(true) + $ms / 1000;
        do {
            usleep(100_000);
            array_map(static fn (Instance $node) => $node->tend(), $district->nodes());
        } while (microtime(true) < $until);
    }

    /** All of its processes stand still for a while. */
    private function stopped(District $district, int $pid): void
    {
        $pids = [$pid, ...Child::descendants($pid)];
        array_map(static fn (int $one): bool => @posix_kill($one, SIGSTOP), $pids);
        $this->rest($district, $this->chance->getInt(500, 3000));
        array_map(static fn (int $one): bool => @posix_kill($one, SIGCONT), $pids);
    }

    /** @param  list<int>  $pids */
    private function one(array $pids): int
    {
        return $pids === [] ? 0 : $pids[$this->chance->getInt(0, count($pids) - 1)];
    }

    private static function kill(int $pid): void
    {
        if ($pid > 1) {
            @posix_kill($pid, SIGKILL);
        }
    }
}
