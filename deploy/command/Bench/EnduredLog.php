<?php

declare(strict_types=1);

namespace Deploy\Bench;

use PDO;

/** What students who drew on whatever happened were told and saw, beside what is stored. */
final class EnduredLog
{
    /**
     * @param  string  $report  the file that demo/enduring.ts writes
     * @return array{made: int, acknowledged: int, lost: int, twice: int, disagreements: int, never_answered: int}
     */
    public static function compare(PDO $database, string $report): array
    {
        /**
         * @var list<array{canvas: string, made: int, acknowledged: list<array{string, int}>, refused: list<string>,
         *      seen: list<array{string, int}>}> $students
         */
        $students = json_decode((string) file_get_contents($report), true, flags: JSON_THROW_ON_ERROR);
        $sum = [
            'made' => 0,
            'acknowledged' => 0,
            'lost' => 0,
            'twice' => 0,
            'disagreements' => 0,
            'never_answered' => 0,
        ];
        foreach ($students as $student) {
            $query = $database->prepare(
                "select op_id, n from operations where canvas_id = ? and kind = 'add' and seat_id is not null order by n",
            );
            $query->execute([$student['canvas']]);
            $rows = $query->fetchAll(PDO::FETCH_NUM);
            $stored = array_column($rows, 1, 0);
            $acknowledged = array_column($student['acknowledged'], 1, 0);
            $seen = array_column($student['seen'], 1, 0);
            $sum['made'] += $student['made'];
            $sum['acknowledged'] += count($acknowledged);
            $sum['lost'] += count(array_diff_key($acknowledged, $stored));
            $sum['twice'] += count($rows) - count($stored);
            $sum['never_answered'] += $student['made'] - count($acknowledged) - count($student['refused']);
            // The number that was told, the number that is stored, and what the page has under it.
            $sum['disagreements'] +=
                count(array_diff_assoc($acknowledged, $stored)) +
                count(array_diff_assoc(array_intersect_key($seen, $stored), $stored)) +
                count(array_diff_key($stored, $seen)) +
                count($student['refused']);
        }
        $holes = $database->query(
            'select count(*) from canvases c where c.seat_id is not null and c.operation_count <> (select count(*) from operations o where o.canvas_id = c.id)',
        );
        $sum['disagreements'] += $holes === false ? 1 : (int) $holes->fetchColumn();
        if ($database->getAttribute(PDO::ATTR_DRIVER_NAME) === 'sqlite') {
            $sound = $database->query('pragma integrity_check');
            $sum['disagreements'] += $sound !== false && $sound->fetchColumn() === 'ok' ? 0 : 1;
        }

        return $sum;
    }
}
