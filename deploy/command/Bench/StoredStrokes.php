<?php

declare(strict_types=1);

namespace Deploy\Bench;

use PDO;

/** What became of strokes that simulated students finished. */
final class StoredStrokes
{
    /**
     * @param  list<string>  $ids  of what was finished
     * @return array{posted: int, stored: int, missing: int, twice: int, disordered: int}
     */
    public static function count(PDO $database, array $ids): array
    {
        $rows = $database->query(
            "select op_id, canvas_id, made_at_ms from operations where layer = 'student' order by canvas_id, n",
        );
        $times = [];
        $disordered = 0;
        $last = [];
        foreach ($rows === false ? [] : $rows->fetchAll(PDO::FETCH_NUM) as [$id, $canvas, $at]) {
            $times[$id] = ($times[$id] ?? 0) + 1;
            // A student's strokes stand in the log in the order in which they were made.
            $disordered += (int) $at < ($last[$canvas] ?? 0) ? 1 : 0;
            $last[$canvas] = (int) $at;
        }
        $stored = array_intersect_key($times, array_flip($ids));

        return [
            'posted' => count($ids),
            'stored' => count($stored),
            'missing' => count($ids) - count($stored),
            'twice' => count(array_filter($stored, static fn (int $n): bool => $n > 1)),
            'disordered' => $disordered,
        ];
    }
}
