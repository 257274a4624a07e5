<?php

declare(strict_types=1);

namespace Deploy\Bench;

use Deploy\DemoClass;
use Deploy\Problem;
use Deploy\SimulatedClass;
use PDO;

/** A simulated class that draws when it is told to, and tells afterwards what it made: demo/class.ts, "scribble". */
final class Scribblers
{
    private readonly SimulatedClass $process;

    private readonly string $report;

    /** @var array<string, mixed>|null */
    private ?array $made = null;

    /**
     * @param  int  $pauseMs  between two strokes of a student; each takes a second
     * @param  int  $before  strokes that each student has drawn already
     */
    public function __construct(
        private readonly DemoClass $class,
        int $students,
        private readonly int $seconds,
        int $pauseMs = 0,
        int $before = 0,
    ) {
        $this->report =
            tempnam(sys_get_temp_dir(), 'crag-bench') ?: throw new Problem('No temporary file can be made.');
        $this->process = new SimulatedClass(
            'scribble',
            $class->instance->address(),
            $class->addresses['code'],
            (string) $students,
            (string) $seconds,
            $this->report,
            (string) $pauseMs,
            (string) $before,
        );
        $this->process->hear('joined', 60 + $students + intdiv($students * $before, 100));
    }

    public function begin(): void
    {
        $this->process->say('go');
    }

    /** Waits until they have drawn for their seconds. */
    public function finish(): void
    {
        $this->process->hear('done', $this->seconds + 60);
        $this->made = json_decode((string) file_get_contents($this->report), true, flags: JSON_THROW_ON_ERROR);
    }

    /** @return array{sent: list<array{string, int, int}>, posts: list<float>, ids: list<string>, joins: list<float>} */
    public function made(): array
    {
        /**
         * @var array{
         *     sent: list<array{string, int, int}>, posts: list<float>, ids: list<string>, joins: list<float>,
         * } $made
         */
        $made = $this->made ?? throw new Problem('They are not done yet.');

        return $made;
    }

    /** @return array<string, mixed> whether everything that was finished is stored, once and in order */
    public function stored(): array
    {
        ['ids' => $ids, 'posts' => $posts] = $this->made();
        $database = new PDO("sqlite:{$this->class->instance->data}/crag.sqlite");
        $found = $database->query("select op_id, canvas_id, n from operations where kind = 'add' order by id");
        $rows = $found === false ? [] : $found->fetchAll(PDO::FETCH_NUM);
        $stored = array_count_values(array_map(static fn (array $row): string => (string) $row[0], $rows));
        $disordered = 0;
        $last = [];
        foreach ($rows as [, $canvas, $n]) {
            $disordered += (int) $n <= ($last[$canvas] ?? 0) ? 1 : 0;
            $last[$canvas] = (int) $n;
        }

        return [
            'posted' => count($ids),
            'stored' => count(array_intersect_key(array_flip($ids), $stored)),
            'missing' => count(array_diff_key(array_flip($ids), $stored)),
            'twice' => count(array_filter($stored, static fn (int $times): bool => $times > 1)),
            'disordered' => $disordered,
            'post_ms' => Quantiles::of($posts, 50, 95),
        ];
    }

    public function leave(): void
    {
        $this->process->end();
        @unlink($this->report);
    }
}
